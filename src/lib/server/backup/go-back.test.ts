import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import fc from 'fast-check';
import { describe, expect, onTestFinished, test } from 'vitest';
import { materials } from '../../../../tests/kit/studio.ts';
import { NOW, owner, tempFile, tempStudio } from '../../../../tests/kit/temp-db.ts';
import { writeStudioFile } from '../studio-file/write.ts';
import { pathOf } from '../db/path-of.ts';
import { backUp, checkCopy } from './back-up.ts';
import { openBackups, passphraseOf } from './backups.ts';
import { putBackup, rehearseStudio } from './go-back.ts';
import { keptBackups, nextName } from './kept-backups.ts';
import { isLocked, lockFile, unlockFile, WrongPassphrase } from './lock.ts';
import { newestGood } from './newest-good.ts';
import { rehearse, restore } from './restore.ts';

const WORDS = 'tin whistle, wet rope';
function folder(): string {
	const own = mkdtempSync(join(tmpdir(), 'bright-tally-lock-'));
	onTestFinished(() => rmSync(own, { recursive: true, force: true }));
	return own;
}

describe('locked with a passphrase', () => {
	test('opened with it to the byte, with no other; nothing of it can be read', async () => {
		const [plain, locked, open] = ['plain', 'locked', 'open'].map((n) => join(folder(), n)) as [
			string,
			string,
			string
		];
		writeFileSync(plain, 'a studio’s year '.repeat(9000));
		await lockFile(plain, locked, WORDS);
		expect([await isLocked(locked), await isLocked(plain)]).toEqual([true, false]);
		expect(readFileSync(locked).includes('year')).toBe(false);
		await unlockFile(locked, open, WORDS);
		expect(readFileSync(open).equals(readFileSync(plain))).toBe(true);
		await expect(unlockFile(locked, open, `${WORDS}.`)).rejects.toThrow(WrongPassphrase);
	});
	test('any byte changed, or its end gone, is seen', async () => {
		const [plain, locked, open] = ['plain', 'locked', 'open'].map((n) => join(folder(), n)) as [
			string,
			string,
			string
		];
		writeFileSync(plain, Buffer.alloc(150_000, 7));
		await lockFile(plain, locked, WORDS);
		const bytes = readFileSync(locked);
		await fc.assert(
			fc.asyncProperty(fc.nat(bytes.length - 1), fc.boolean(), async (at, cut) => {
				const own = Buffer.from(cut ? bytes.subarray(0, at) : bytes);
				if (!cut) own[at] = own[at]! ^ 1;
				writeFileSync(locked, own);
				await expect(unlockFile(locked, open, WORDS)).rejects.toThrow();
			}),
			{ seed: 22, numRuns: 8 }
		);
	}, 60_000);
	test('backups of a server that has one are locked, checked, found and gone back to', async () => {
		const { repos, url, db } = await tempStudio();
		const path = pathOf(url)!;
		const own = openBackups({
			url,
			env: { BACKUP_PASSPHRASE: WORDS },
			make: (file, passphrase) => backUp(url, file, passphrase),
			now: () => NOW
		});
		onTestFinished(() => own.close());
		const made = (await own.makeNow())!;
		expect([made.locked, await isLocked(made.file)]).toEqual([true, true]);
		expect((await checkCopy(made.file, WORDS))['material']).toBe(materials.length);
		await expect(checkCopy(made.file)).rejects.toThrow(WrongPassphrase);
		expect([await newestGood(path), await newestGood(path, WORDS)]).toEqual([undefined, made.file]);
		await repos.clients.named('Late Comers', 'late');
		expect(await rehearse(url, made.file, WORDS)).toEqual([{ table: 'client', now: 1, then: 0 }]);
		const going = { actor: owner, file: made.file, passphrase: WORDS, from: 'a backup', now: NOW };
		expect(await putBackup(repos, going)).toBe(true);
		expect(await repos.clients.list()).toEqual([]);
		db.close();
		const elsewhere = tempFile();
		expect(await restore(elsewhere, made.file, NOW, WORDS)).toBe('');
		expect(await rehearse(elsewhere, made.file, WORDS)).toEqual([]);
	});
	test('one that is too short ends the start with a sentence', () => {
		expect(() => passphraseOf({ BACKUP_PASSPHRASE: 'short' })).toThrow('give 12 characters or more');
		expect([passphraseOf({}), passphraseOf({ BACKUP_PASSPHRASE: WORDS })]).toEqual([undefined, WORDS]);
	});
});

describe('going back', () => {
	test('a rehearsal says what goes, comes and differs, and changes nothing; gone back, the studio is the same file to the byte', async () => {
		const { repos, url } = await tempStudio();
		const path = pathOf(url)!;
		const folderOfFiles = folder();
		const [before, after] = [join(folderOfFiles, 'before.zip'), join(folderOfFiles, 'after.zip')];
		await repos.clients.named('Tin Whistle Fair', 'fair');
		const was = await writeStudioFile(repos, before, NOW);
		await backUp(url, nextName(path, NOW));
		const { file } = keptBackups(path)[0]!;
		const going = { actor: owner, file, from: 'a backup', now: NOW };
		expect(await rehearseStudio(repos, going)).toEqual({ differences: [], settings: false });

		await repos.clients.forget('fair', 'nobody');
		await repos.clients.named('Late Comers', 'late');
		const pack = materials[0]!.packs[0]!;
		await repos.stock.changePack(pack.id, { count: pack.count, priceMinor: 4321 });
		const found = await rehearseStudio(repos, going);
		expect(found.settings).toBe(false);
		expect(found.differences).toContainEqual({ table: 'client', goes: 1, comes: 1, differs: 0, names: [{ name: 'Late Comers', goes: true }, { name: 'Tin Whistle Fair', goes: false }] }); // prettier-ignore
		expect(found.differences).toContainEqual({ table: 'pack', goes: 0, comes: 0, differs: 1, names: [] });
		expect((await repos.clients.list()).map((c) => c.name)).toEqual(['Late Comers']);

		expect(await putBackup(repos, going)).toBe(true);
		expect(await rehearseStudio(repos, going)).toEqual({ differences: [], settings: false });
		const is = await writeStudioFile(repos, after, NOW);
		const but = (m: typeof was) => m.files.filter((f) => f.name !== 'data/changeEntry.json');
		expect(but(is)).toEqual(but(was));
	});
	test('the way back from the command line gives the same file to the byte, its list of changes too', async () => {
		const { repos, url } = await tempStudio();
		const other = tempFile();
		const folderOfFiles = folder();
		const [before, after] = [join(folderOfFiles, 'before.zip'), join(folderOfFiles, 'after.zip')];
		await writeStudioFile(repos, before, NOW);
		const copy = nextName(pathOf(url)!, NOW);
		await backUp(url, copy);
		await restore(other, copy, NOW);
		const { connect } = await import('../db/client.ts');
		const { createRepos } = await import('../repos/index.ts');
		const db = connect(other);
		onTestFinished(() => db.close());
		await writeStudioFile(createRepos(db, owner), after, NOW);
		expect(readFileSync(after).equals(readFileSync(before))).toBe(true);
	});
});
