import {
	copyFileSync,
	existsSync,
	mkdtempSync,
	readdirSync,
	readFileSync,
	rmSync,
	writeFileSync
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, onTestFinished, test } from 'vitest';
import { materials } from '../../../../tests/kit/studio.ts';
import { NOW, tempStudio } from '../../../../tests/kit/temp-db.ts';
import { pathOf } from '../db/path-of.ts';
import { CannotStart, prepareDatabase } from '../db/prepare.ts';
import { backUp, checkCopy } from './back-up.ts';
import { backupPlan, openBackups } from './backups.ts';
import { folderOf, keptBackups, nameAt, nextName, rotate } from './kept-backups.ts';
import { rehearse, restore } from './restore.ts';

const HOUR = 3_600_000;
const at = (hours: number) => new Date(NOW.getTime() + hours * HOUR);
const pack = materials[0]!.packs[0]!;

function folder(): string {
	const own = mkdtempSync(join(tmpdir(), 'bright-tally-backups-'));
	onTestFinished(() => rmSync(own, { recursive: true, force: true }));
	return join(own, 'tally.db');
}
const make = (path: string) => (file: string) => {
	writeFileSync(file, path);
	return Promise.resolve({});
};

describe('copies that are kept', () => {
	test('the newest first; the oldest go, what was made by hand or of another stays', () => {
		const path = folder();
		for (let i = 0; i < 6; i++) writeFileSync(nextName(path, at(i)), String(i));
		const own = [
			join(folderOf(path), 'tally-by-hand.db'),
			join(folderOf(path), 'other-2027-05-04T15-00-00.db')
		];
		for (const file of own) writeFileSync(file, 'x');
		expect(keptBackups(path).map((b) => b.at)).toEqual([5, 4, 3, 2, 1, 0].map(at));
		// Two made in one second are two.
		expect(nextName(path, at(5))).toBe(nameAt(path, new Date(at(5).getTime() + 1000)));
		expect(rotate(path, 4)).toEqual([nameAt(path, at(1)), nameAt(path, at(0))]);
		// The one that is gone back to stays though it is the oldest.
		expect(rotate(path, 3, nameAt(path, at(2)))).toEqual([]);
		expect(rotate(path, 0)).toHaveLength(3);
		expect(keptBackups(path).map((b) => b.at)).toEqual([at(5)]);
		expect(own.every((file) => existsSync(file))).toBe(true);
	});
	test.each([
		[{}, { hours: 24, keep: 14 }],
		[
			{ BACKUP_HOURS: '6', BACKUP_KEEP: '40' },
			{ hours: 6, keep: 40 }
		],
		[{ BACKUP_HOURS: '0' }, { hours: 0, keep: 14 }],
		[
			{ BACKUP_HOURS: 'often', BACKUP_KEEP: '-3' },
			{ hours: 24, keep: 14 }
		]
	])('the plan of %j', (env, plan) => expect(backupPlan(env)).toEqual(plan));
	test('one when it is due, none before; a clock that was set back makes one; asked for at once it is one', async () => {
		const path = folder();
		let now = at(0);
		const own = openBackups({
			url: `file:${path}`,
			env: { BACKUP_KEEP: '3' },
			make: make(path),
			now: () => now
		});
		onTestFinished(() => own.close());
		expect(await own.makeIfDue()).toBe(true);
		now = at(23);
		expect(await own.makeIfDue()).toBe(false);
		now = at(24);
		expect(await own.makeIfDue()).toBe(true);
		now = at(-5);
		expect(await own.makeIfDue()).toBe(true);
		now = at(50);
		const [one, two] = await Promise.all([own.makeNow(), own.makeNow()]);
		expect([one, own.list().length]).toEqual([two, 3]);
		const elsewhere = openBackups({ url: 'libsql://data.example', env: {}, make: make(path) });
		onTestFinished(() => elsewhere.close());
		expect([await elsewhere.makeIfDue(), elsewhere.list(), await elsewhere.makeNow()]).toEqual([
			false,
			[],
			undefined
		]);
	});
});

describe('a copy and the way back', () => {
	test('made while it is written to, whole, and never under its name before it was looked at', async () => {
		const { repos, url } = await tempStudio();
		const path = pathOf(url)!;
		const file = nextName(path, NOW);
		const writing = Promise.all(
			Array.from({ length: 20 }, (_, i) =>
				repos.stock.changePack(pack.id, { count: pack.count, priceMinor: 1000 + i })
			)
		);
		const rows = await backUp(url, file);
		await writing;
		expect(await checkCopy(file)).toEqual(rows);
		expect(rows['material']).toBe(materials.length);
		await expect(backUp(url, file)).rejects.toThrow('is there already');
		expect(readdirSync(folderOf(path)).filter((n) => n.includes('.part'))).toEqual([]);
	});
	test('a copy with a page gone is refused; so is what is no database', async () => {
		const { url } = await tempStudio();
		const file = nextName(pathOf(url)!, NOW);
		await backUp(url, file);
		const bytes = readFileSync(file);
		bytes.fill(0x5a, 8192, 8192 + 4096 * 6);
		writeFileSync(file, bytes);
		await expect(checkCopy(file)).rejects.toThrow(/is not whole|is damaged/);
		writeFileSync(file, 'a letter to a friend '.repeat(300));
		await expect(checkCopy(file)).rejects.toThrow('is damaged, or is no database');
		await expect(checkCopy(`${file}.nowhere`)).rejects.toThrow('There is no file');
	});
	test('a rehearsal says what would change and changes nothing; then it is done, and the data of before lie aside', async () => {
		const { db, repos, url } = await tempStudio();
		const path = pathOf(url)!;
		const file = nextName(path, NOW);
		await backUp(url, file);
		await repos.stock.addSupplier({ id: 'later', name: 'Lantern Lane Trade Counter' });
		expect(await rehearse(url, file)).toEqual([{ table: 'supplier', now: 2, then: 1 }]);
		// While a server has it open it is refused.
		await expect(restore(url, file, NOW)).rejects.toThrow('is in use');
		await db.fold();
		db.close();
		// Connections of this process stay open until they are collected: the same data in a file nobody has open.
		copyFileSync(path, `${path}.still`);
		const still = `file:${path}.still`;
		const aside = await restore(still, file, NOW);
		expect(await rehearse(still, file)).toEqual([]);
		expect(await rehearse(still, aside)).toEqual([{ table: 'supplier', now: 1, then: 2 }]);
	});
	test('damaged data are not written on: the newest backup that is whole is named', async () => {
		const { db, url } = await tempStudio();
		const path = pathOf(url)!;
		const [good, bad] = [nextName(path, at(0)), nextName(path, at(1))];
		await backUp(url, good);
		copyFileSync(good, bad);
		writeFileSync(bad, readFileSync(bad).fill(0x5a, 4096));
		await db.fold();
		db.close();
		const before = readFileSync(path).fill(0x5a, 4096);
		writeFileSync(path, before);
		const started = prepareDatabase(url, 'drizzle', NOW);
		await expect(started).rejects.toThrow(CannotStart);
		await expect(started).rejects.toThrow(`the newest backup that is whole is ${good}`);
		expect(readFileSync(path).equals(before)).toBe(true);
		await restore(url, good, NOW);
		const { db: again } = await prepareDatabase(url, 'drizzle', NOW);
		again.close();
	});
});
