import { createHash } from 'node:crypto';
import { buffer } from 'node:stream/consumers';
import { promisify } from 'node:util';
import { open as openZip, type Entry, type ZipFile, type ZipFileOptions } from 'yauzl';
import type { ZodType } from 'zod';
import type { Readable } from 'node:stream';
import { settingsSchema } from '../../core/workspace/settings.schema.ts';
import { STUDIO_TABLE_NAMES, type StudioTable } from '../db/studio-tables.ts';
import { STUDIO_ROWS } from '../repos/studio-rows.ts';
import type { StudioRow, WholeStudio } from '../repos/whole-studio.ts';
import { dataFile, LAYOUT, MANIFEST, manifestSchema, SETTINGS, type Manifest } from './manifest.ts';

/** Why a file is not brought in, in a sentence. Nothing was done. */
export class NoStudioFile extends Error {}
const no = (sentence: string): never => {
	throw new NoStudioFile(sentence);
};

export interface ReadLimits {
	readonly files: number;
	/** Bytes of one file of data, unpacked. */
	readonly data: number;
	/** Bytes of everything, unpacked. */
	readonly all: number;
}
export const READ_LIMITS: ReadLimits = { files: 100_000, data: 400 * 1024 ** 2, all: 4 * 1024 ** 3 };

/** Of packed text no more comes out than this for one byte: what says more is made to fill a memory. */
const MOST_UNPACKED = 200;

const openAsync = promisify(openZip) as unknown as (path: string, options: object) => Promise<ZipFile>;

async function entriesOf(zip: ZipFile, limits: ReadLimits): Promise<Map<string, Entry>> {
	const all = new Map<string, Entry>();
	let bytes = 0;
	await new Promise<void>((resolve, reject) => {
		zip.on('error', reject);
		zip.on('end', resolve);
		zip.on('entry', (entry: Entry) => {
			bytes += entry.uncompressedSize;
			const bomb = entry.uncompressedSize > 1024 ** 2 && entry.uncompressedSize > MOST_UNPACKED * entry.compressedSize; // prettier-ignore
			if (
				all.has(entry.fileName) ||
				entry.isEncrypted() ||
				bomb ||
				all.size >= limits.files ||
				bytes > limits.all
			)
				reject(
					new NoStudioFile('That zip is none of a studio: it is too large unpacked, or holds a file twice.')
				);
			else {
				all.set(entry.fileName, entry);
				zip.readEntry();
			}
		});
		zip.readEntry();
	});
	return all;
}

/** A studio file that is open. */
export interface StudioFile {
	readonly manifest: Manifest;
	readonly whole: WholeStudio;
	close(): void;
}

/**
 * Opens a studio file. What is read of it is held against what the file says of itself, and every row against the schema that
 * reads it from the data: nothing is believed.
 * @throws {NoStudioFile} with a sentence, here or while rows are read
 */
export async function openStudioFile(path: string, limits: ReadLimits = READ_LIMITS): Promise<StudioFile> {
	const zip = await openAsync(path, { lazyEntries: true, autoClose: false, validateEntrySize: true, strictFileNames: true }).catch(() => no('That is no zip, or it is damaged. Choose a studio file that was taken out here.')); // prettier-ignore
	try {
		const entries = await entriesOf(zip, limits);
		const stream = promisify(zip.openReadStream.bind(zip)) as unknown as (entry: Entry, options?: ZipFileOptions) => Promise<Readable>; // prettier-ignore
		const bytesOf = async (name: string): Promise<Buffer> => {
			const entry = entries.get(name) ?? no(`${name} is missing in it.`);
			if (entry.uncompressedSize > limits.data) no(`${name} in it is too large.`);
			return buffer(await stream(entry)).catch(() => no(`${name} in it is damaged.`));
		};
		const json = async <T>(name: string, schema: ZodType<T>, bytes: Buffer): Promise<T> => {
			let said: unknown;
			try {
				said = JSON.parse(bytes.toString('utf8'));
			} catch {
				return no(`${name} in it cannot be read.`);
			}
			const read = await schema.safeParseAsync(said);
			if (read.success) return read.data;
			const { path: at, message } = read.error.issues[0]!;
			return no(`${name} in it cannot be read: ${at.join('.')}: ${message}`);
		};
		if (!entries.has(MANIFEST)) no('That zip is none of a studio. Choose one that was taken out here.');
		const manifest = await json(MANIFEST, manifestSchema, await bytesOf(MANIFEST));
		if (manifest.layout > LAYOUT)
			no('That file was made by a newer Bright Tally. Take the newer version of the app.');
		const known = new Map(manifest.files.map((f) => [f.name, f]));
		for (const name of entries.keys())
			if (name !== MANIFEST && !known.has(name)) no(`${name} in it is not in its list.`);
		const checked = async (name: string): Promise<Buffer> => {
			const bytes = await bytesOf(name);
			const said = known.get(name) ?? no(`${name} is missing in its list.`);
			if (createHash('sha256').update(bytes).digest('hex') !== said.sha256)
				no(`${name} in it is not what it was: the file was changed, or is damaged.`);
			return bytes;
		};
		const settings = await json(SETTINGS, settingsSchema, await checked(SETTINGS));
		return {
			manifest,
			whole: { head: { settings }, rows: (table) => rowsOf(table, manifest, checked) },
			close: () => zip.close()
		};
	} catch (cause) {
		zip.close();
		if (cause instanceof NoStudioFile) throw cause;
		return no('That zip is damaged. Take it out once more, or choose another.');
	}
}

async function* rowsOf(
	table: StudioTable,
	manifest: Manifest,
	checked: (name: string) => Promise<Buffer>
): AsyncGenerator<readonly StudioRow[]> {
	const name = dataFile(table);
	let rows: unknown;
	try {
		rows = JSON.parse((await checked(name)).toString('utf8'));
	} catch (cause) {
		if (cause instanceof NoStudioFile) throw cause;
	}
	if (!Array.isArray(rows)) return no(`${name} in it cannot be read.`);
	if (rows.length !== manifest.rows[table]) no(`${name} in it has other rows than its list says.`);
	const schema = STUDIO_ROWS[table];
	let some: StudioRow[] = [];
	for (const [i, row] of (rows as unknown[]).entries()) {
		const picture = (row as { bytes?: unknown } | null)?.bytes;
		const own = typeof picture === 'string' && picture.startsWith('pictures/') ? { ...(row as object), bytes: await checked(picture) } : row; // prettier-ignore
		const read = schema.safeParse(own);
		if (!read.success) {
			const { path, message } = read.error.issues[0]!;
			return no(`${name}, row ${i + 1}: ${path.join('.')}: ${message}`);
		}
		some.push(read.data);
		if (some.length < 50 && own === row) continue;
		yield some;
		some = [];
	}
	if (some.length > 0) yield some;
}

/** Looks at all of it. @throws {NoStudioFile} */
export async function lookThrough({ whole }: StudioFile): Promise<void> {
	for (const table of STUDIO_TABLE_NAMES) await drain(whole.rows(table));
}

async function drain(rows: AsyncIterable<unknown>): Promise<void> {
	const each = rows[Symbol.asyncIterator]();
	while (!(await each.next()).done);
}
