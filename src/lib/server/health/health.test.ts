import { mkdtempSync, readFileSync, rmSync, appendFileSync, existsSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, onTestFinished, test } from 'vitest';
import { NOW, tempStudio } from '../../../../tests/kit/temp-db.ts';
import { diskOf, LOW_DISK, sizeWords, warningsOf } from './health.ts';
import { plainCause } from './plain-cause.ts';
import { openTroubles } from './troubles.ts';

function folder(): string {
	const own = mkdtempSync(join(tmpdir(), 'bright-tally-health-'));
	onTestFinished(() => rmSync(own, { recursive: true, force: true }));
	return own;
}
const hoursAgo = (hours: number) => new Date(NOW.getTime() - hours * 3_600_000);
const backup = (hours: number) => ({ file: 'b.db', at: hoursAgo(hours), bytes: 1, locked: false });

describe('what somebody should do something about', () => {
	const looked = {
		disk: { free: 50 * LOW_DISK, data: 1024 ** 2 },
		backups: {
			plan: { hours: 24, keep: 14 },
			isLocal: true,
			list: () => [backup(20)],
			trouble: () => undefined
		},
		started: hoursAgo(100),
		now: NOW
	};
	const says = (more: object, backups: object = {}) =>
		warningsOf({ ...looked, ...more, backups: { ...looked.backups, ...backups } });
	test('nothing, where all is well; nor of data at an address', () => {
		expect(says({})).toEqual([]);
		expect(says({ disk: undefined }, { isLocal: false, list: () => [] })).toEqual([]);
	});
	test('little room: less than a gigabyte, or than a backup needs', () => {
		expect(says({ disk: { free: LOW_DISK / 2, data: 1 } })).toEqual([
			expect.stringContaining('512.0 MB are free')
		]);
		expect(says({ disk: { free: 2 * LOW_DISK, data: 2 * LOW_DISK } })).toHaveLength(1);
	});
	test('a backup that failed, is old, or never was', () => {
		expect(says({}, { trouble: () => NOW })).toEqual(['The last backup could not be made.']);
		expect(says({}, { list: () => [backup(24 * 4)] })).toEqual(['The newest backup is 4 days old.']);
		expect(says({}, { list: () => [] })).toEqual(['There is no backup yet.']);
		expect(says({ started: hoursAgo(1) }, { list: () => [] })).toEqual([]);
		expect(says({}, { list: () => [], plan: { hours: 0, keep: 14 } })).toEqual([]);
	});
	test('room is told of a folder that is there', () => {
		expect(diskOf(join(folder(), 'tally.db'))!.free).toBeGreaterThan(0);
		expect([diskOf(undefined), diskOf(join(folder(), 'not', 'there.db'))]).toEqual([undefined, undefined]);
		expect([sizeWords(1536 * 1024), sizeWords(2.25 * 1024 ** 3)]).toEqual(['1.5 MB', '2.3 GB']);
	});
});

describe('why something failed, written down', () => {
	test('what was asked with is not in it, nor what hangs on the error; where it was is', async () => {
		const { repos } = await tempStudio();
		const client = { name: 'Secret Garden Party', email: 'wren@secret.example' };
		await repos.clients.named(client.name, 'c-1');
		// The same id again: the query fails, with the values it was asked with.
		const cause = await repos.clients.named(client.email, 'c-1').catch((e: unknown) => e);
		expect(String((cause as Error).message)).toContain(client.email);
		const said = plainCause(cause);
		expect(said).not.toContain(client.email);
		expect(said).toMatch(/because of .*UNIQUE constraint failed/);
		expect(said).toContain('clients.ts');
		const typed = Object.assign(new Error('cannot be said'), { value: { note: 'allergic to latex' } });
		expect(plainCause(typed)).not.toContain('latex');
		expect(plainCause('wren@secret.example')).toBe('something that is no error (string)');
	});
});

describe('what went wrong', () => {
	test('is there after a crash, the newest first, though a line was cut off; a hundred of it', () => {
		const file = join(folder(), 'troubles');
		let minute = 0;
		const now = () => new Date(NOW.getTime() + 60_000 * minute++);
		const own = openTroubles(file, now);
		for (let i = 0; i < 130; i++) own.note(`No. ${i}`);
		appendFileSync(file, '{"at":"2027-05-');
		const again = openTroubles(file, now);
		expect(again.list().slice(0, 99)).toEqual(own.list().slice(0, 99));
		expect([own.list().length, own.list()[0]!.say]).toEqual([100, 'No. 129']);
	});
	test('stays in memory where it cannot be written; its file never grows without end', () => {
		const nowhere = openTroubles(join(folder(), 'not', 'there'));
		nowhere.note('The disk is full.');
		expect(nowhere.list()[0]!.say).toBe('The disk is full.');
		const file = join(folder(), 'troubles');
		const own = openTroubles(file);
		for (let i = 0; i < 1200; i++) own.note('x'.repeat(400));
		expect(existsSync(`${file}.before`)).toBe(true);
		expect(readFileSync(file).length).toBeLessThan(300 * 1024);
	});
});
