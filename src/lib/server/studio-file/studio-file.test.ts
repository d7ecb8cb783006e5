import { createWriteStream, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import fc from 'fast-check';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { ZipFile } from 'yazl';
import { parse } from 'csv-parse/sync';
import { loadDemo } from '../../../../scripts/demo/load.ts';
import { NOW, owner, tempDatabase } from '../../../../tests/kit/temp-db.ts';
import { startingSettings } from '../db/starting-settings.ts';
import { createRepos, type Repos } from '../repos/index.ts';
import type { Manifest } from './manifest.ts';
import { lookThrough, NoStudioFile, openStudioFile, type ReadLimits, READ_LIMITS } from './read.ts';
import { sheetsOf, csvOf } from './sheets.ts';
import { writeStudioFile } from './write.ts';

const folder = mkdtempSync(join(tmpdir(), 'bright-tally-file-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));
const path = (name: string) => join(folder, name);
let home: Repos;
let manifest: Manifest;
beforeAll(async () => {
	const db = await tempDatabase(afterAll);
	await loadDemo(db, NOW);
	home = createRepos(db, owner);
	manifest = await writeStudioFile(home, path('studio.zip'), NOW);
}, 60_000);

/** What a reader comes to: nothing, or the sentence. */
async function said(file: string, limits?: ReadLimits): Promise<string> {
	try {
		const open = await openStudioFile(file, limits);
		await lookThrough(open).finally(() => open.close());
		return '';
	} catch (cause) {
		if (!(cause instanceof NoStudioFile)) throw cause;
		return cause.message;
	}
}
async function zipOf(name: string, files: Readonly<Record<string, string | Buffer>>): Promise<string> {
	const zip = new ZipFile();
	for (const [file, body] of Object.entries(files)) zip.addBuffer(Buffer.from(body), file);
	zip.end();
	await pipeline(zip.outputStream, createWriteStream(path(name)));
	return path(name);
}

describe('a studio as a file', () => {
	test('holds everything, and no password, session or letter of anybody', async () => {
		const open = await openStudioFile(path('studio.zip'));
		const counts = await home.wholeStudio.counts();
		expect(open.manifest).toEqual(manifest);
		expect(manifest.rows).toEqual(counts);
		await lookThrough(open);
		open.close();
		const names = manifest.files.map((f) => f.name);
		expect(names.filter((n) => n.startsWith('pictures/'))).toHaveLength(
			counts.photo + counts.placePhoto + counts.jobPhoto
		);
		expect(counts.jobPhoto).toBeGreaterThan(0);
		for (const secret of ['person', 'session', 'credential', 'secondStep', 'invitation'])
			expect(names).not.toContain(`data/${secret}.json`);
	});
	test('written twice it is the same bytes; brought into an empty studio and taken out there, the same files', async () => {
		await writeStudioFile(home, path('again.zip'), NOW);
		expect(readFileSync(path('again.zip')).equals(readFileSync(path('studio.zip')))).toBe(true);
		const repos = createRepos(await tempDatabase(afterAll), {
			...owner,
			workspace: 'elsewhere',
			person: 'else'
		});
		await repos.workspaces.create(startingSettings, NOW);
		const open = await openStudioFile(path('studio.zip'));
		const putting = {
			where: 'empty',
			from: 'a file',
			now: NOW,
			newToken: () => crypto.randomUUID()
		} as const;
		expect(await repos.wholeStudio.put(open.whole, putting)).toBe(true);
		open.close();
		const there = await writeStudioFile(repos, path('there.zip'), NOW);
		const sums = ({ files }: Manifest) =>
			Object.fromEntries(
				files.filter((f) => f.name !== 'data/changeEntry.json').map((f) => [f.name, f.sha256])
			);
		expect(sums(there)).toEqual(sums(manifest));
		expect(there.rows['changeEntry']).toBe(manifest.rows['changeEntry']! + 1);
		const today = NOW.toISOString().slice(0, 10);
		expect(await repos.quoteList.page({ today })).toEqual(await home.quoteList.page({ today }));
		expect(await repos.orders.won()).toEqual(await home.orders.won());
	});
	test('spreadsheets read back as they were written; what would be a formula is text', () => {
		const rows = {
			client: [
				{ id: 'c', name: '=1+1', email: 'a@b.example', phone: '' },
				{ id: 'd', name: 'Lamp, "Sons" & Co', email: '', phone: '1' }
			],
			quote: [
				{ id: 'q', number: 7, clientId: 'd', terms: { occasion: 'Fair' }, eventDate: null, state: 'seen' }
			],
			quoteIssue: [{ quoteId: 'q', frozen: { total: { minor: 123_456 }, deposit: { minor: 61_728 } } }],
			material: [{ id: 'm', name: 'Rope', kind: 'other', unit: 'm', colourId: null }],
			stockMove: [{ materialId: 'm', thousandths: 2500 }, { materialId: 'm', thousandths: -1000 }] // prettier-ignore
		};
		const sheets = sheetsOf(rows, 'USD');
		expect(parse(csvOf(sheets['clients']!), { columns: true })).toEqual([
			{ name: "'=1+1", email: 'a@b.example', phone: '' },
			{ name: 'Lamp, "Sons" & Co', email: '', phone: '1' }
		]);
		expect(parse(csvOf(sheets['quotes']!), { columns: true })).toEqual([
			{ number: '7', client: 'Lamp, "Sons" & Co', occasion: 'Fair', event: '', state: 'seen', total: '1234.56', deposit: '617.28' }
		]); // prettier-ignore
		expect(sheets['materials']).toEqual([
			{ name: 'Rope', kind: 'other', colour: '', unit: 'm', 'on hand': 1.5 }
		]);
		expect(csvOf(sheets['payments']!)).toBe('');
	});
});

describe('what is no studio file is refused with a sentence', () => {
	test('a letter, a zip of something, one from a newer app, a file too many, one file changed', async () => {
		writeFileSync(path('letter'), 'Dear friend, '.repeat(99));
		expect(await said(path('letter'))).toContain('is no zip');
		expect(await said(await zipOf('other.zip', { 'a.txt': 'x' }))).toContain('none of a studio');
		const newer = { ...manifest, layout: 2, files: [] };
		expect(await said(await zipOf('newer.zip', { 'manifest.json': JSON.stringify(newer) }))).toContain(
			'newer'
		);
		const some = { ...manifest, files: [] };
		const files = { 'manifest.json': JSON.stringify(some), 'b.json': '[]' };
		expect(await said(await zipOf('more.zip', files))).toContain('b.json in it is not in its list');
		const changed = { ...manifest, files: [{ name: 'settings.json', bytes: 2, sha256: '0'.repeat(64) }] };
		expect(await said(await zipOf('changed.zip', { 'manifest.json': JSON.stringify(changed), 'settings.json': '{}' }))).toContain('is not what it was'); // prettier-ignore
		expect(await said(await zipOf('words.zip', { 'manifest.json': '{"format":"x"}' }))).toContain(
			'cannot be read'
		);
	});
	test('what unpacks to far more than it is, more files or bytes than fit', async () => {
		const bomb = await zipOf('bomb.zip', { 'manifest.json': Buffer.alloc(20 * 1024 ** 2, 'a') });
		expect(await said(bomb)).toContain('too large unpacked');
		expect(await said(path('studio.zip'), { ...READ_LIMITS, files: 3 })).toContain('too large unpacked');
		expect(await said(path('studio.zip'), { ...READ_LIMITS, all: 1000 })).toContain('too large unpacked');
		expect(await said(path('studio.zip'), { ...READ_LIMITS, data: 10 })).toContain('too large');
	});
	test('any byte of it changed, or its end gone: the same, or a sentence; never anything else', async () => {
		const bytes = readFileSync(path('studio.zip'));
		await fc.assert(
			fc.asyncProperty(
				fc.nat(bytes.length - 1),
				fc.integer({ min: 1, max: 255 }),
				fc.boolean(),
				async (at, by, cut) => {
					const own = Buffer.from(cut ? bytes.subarray(0, at) : bytes);
					if (!cut) own[at] = own[at]! ^ by;
					writeFileSync(path('mutated.zip'), own);
					const sentence = await said(path('mutated.zip'));
					if (cut) expect(sentence).not.toBe('');
				}
			),
			{ seed: 22, numRuns: 40 }
		);
	}, 60_000);
});
