import { createHash } from 'node:crypto';
import { createWriteStream } from 'node:fs';
import { Readable } from 'node:stream';
import { finished, pipeline } from 'node:stream/promises';
import { ZipFile } from 'yazl';
import { PICTURE_TABLES, STUDIO_TABLE_NAMES, type StudioTable } from '../db/studio-tables.ts';
import type { Repos } from '../repos/index.ts';
import type { StudioRow } from '../repos/whole-studio.ts';
import { dataFile, LAYOUT, MANIFEST, SETTINGS, type Manifest } from './manifest.ts';
import { csvOf, sheetsOf } from './sheets.ts';

/** The same studio makes the same bytes: when something was put in says nothing. */
const ENTRY = { mtime: new Date(2000, 0, 1), mode: 0o100644, forceDosTimestamp: true };
/** Tables the spreadsheets are made of. */
const IN_SHEETS = new Set<StudioTable>(['client', 'quote', 'quoteIssue', 'payment', 'material', 'pack', 'supplier', 'colour', 'stockMove']); // prettier-ignore

/**
 * Writes everything of a studio into one zip of open files, as it stands at one moment: data as JSON, a row a line; pictures
 * as pictures; what is looked at in spreadsheets as CSV; and what is in it, with the SHA-256 of each. No password is in it.
 * @param file to be made @param made the clock, and the only thing that differs between two of the same studio
 */
export async function writeStudioFile(repos: Repos, file: string, made: Date): Promise<Manifest> {
	return repos.wholeStudio.take(async ({ head, rows }) => {
		const zip = new ZipFile();
		const written = pipeline(zip.outputStream, createWriteStream(file, { mode: 0o600 }));
		const files: Manifest['files'] = [];
		const add = async (name: string, parts: AsyncIterable<Buffer>, compress = true) => {
			const sum = createHash('sha256');
			let bytes = 0;
			const source = Readable.from(
				(async function* () {
					for await (const part of parts) {
						sum.update(part);
						bytes += part.length;
						yield part;
					}
				})(),
				{ objectMode: false }
			);
			zip.addReadStream(source, name, { ...ENTRY, compress });
			// One after the other: no more of it is in memory than is being written.
			await Promise.race([finished(source), written]);
			files.push({ name, bytes, sha256: sum.digest('hex') });
		};
		const addText = (name: string, text: string) => add(name, Readable.from([Buffer.from(text)]));

		await addText(SETTINGS, `${JSON.stringify(head.settings, null, '\t')}\n`);
		const counts = {} as Record<StudioTable, number>;
		const forSheets: Partial<Record<StudioTable, StudioRow[]>> = {};
		for (const name of STUDIO_TABLE_NAMES) {
			let many = 0;
			const pictures: string[] = [];
			const lines = async function* () {
				yield Buffer.from('[');
				for await (const some of rows(name)) {
					if (IN_SHEETS.has(name)) (forSheets[name] ??= []).push(...some);
					const said = some.map((row) => JSON.stringify('bytes' in row ? { ...row, bytes: pictures[many++] } : (many++, row))); // prettier-ignore
					yield Buffer.from(`${many > some.length ? ',' : ''}\n${said.join(',\n')}`);
				}
				yield Buffer.from('\n]\n');
			};
			if (PICTURE_TABLES.has(name))
				for await (const some of rows(name))
					for (const row of some) {
						const ending = row['type'] === 'image/png' ? 'png' : 'jpg';
						const picture = `pictures/${name}-${String(pictures.length + 1).padStart(5, '0')}.${ending}`;
						pictures.push(picture);
						await add(picture, Readable.from([row['bytes'] as Buffer]), false);
					}
			await add(dataFile(name), lines());
			counts[name] = many;
		}
		for (const [name, sheet] of Object.entries(sheetsOf(forSheets, head.settings.rates.currency)))
			await addText(`spreadsheets/${name}.csv`, csvOf(sheet));
		const manifest: Manifest = {
			format: 'bright-tally-studio',
			layout: LAYOUT,
			studio: head.settings.business.name,
			made: made.toISOString(),
			rows: counts,
			files
		};
		zip.addBuffer(Buffer.from(`${JSON.stringify(manifest, null, '\t')}\n`), MANIFEST, ENTRY);
		zip.end();
		await written;
		return manifest;
	});
}
