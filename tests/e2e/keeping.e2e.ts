import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { openStudioFile, lookThrough } from '../../src/lib/server/studio-file/read.ts';
import { checkCopy } from '../../src/lib/server/backup/back-up.ts';
import { NOBODY } from '../kit/signed-in.ts';
import { serve } from '../kit/serve.ts';
import { expect, test } from './app.ts';

const WORDS = 'tin whistle, wet rope';

test('a backup by one press, whole, beside the data; and back to it, after seeing what would be different', async ({
	page,
	app
}) => {
	await page.goto('/settings/backups');
	await expect(page.getByText('Once a day a copy is made by itself')).toBeVisible();
	await page.getByRole('button', { name: 'Make one now' }).click();
	await expect(page.getByText(/tally-\d{4}-\d\d-\d\dT[\d-]+\.db is made and whole\./)).toBeVisible();
	const kept = page.getByRole('list', { name: 'Backups that are kept' });
	const name = /tally-[\dT-]+\.db/.exec((await kept.getByRole('listitem').first().textContent())!)![0];
	const rows = await checkCopy(join(dirname(app.database), 'backups', name));
	expect(rows['design']).toBeGreaterThanOrEqual(45);

	// A tab with a design that is open is still open when the studio goes back.
	const bench = await page.context().newPage();
	await bench.goto('/bench/kelp-column');
	await page.goto('/clients');
	await page.getByRole('link', { name: 'Tidewick Library' }).click();
	await page.getByLabel('Name', { exact: true }).fill('Tidewick Reading Room');
	await page.getByRole('button', { name: 'Save' }).first().click();
	await expect(page.getByRole('heading', { name: 'Tidewick Reading Room' })).toBeVisible();

	await page.goto(`/settings/backups/${name}`);
	const different = page.getByRole('list', { name: 'What would be different' });
	await expect(different).toContainText('1 client would be as they were.');
	await page.getByRole('link', { name: 'Leave it as it is' }).click();
	await page.goto(`/settings/backups/${name}`);
	await page.getByRole('button', { name: 'Put my studio back to this' }).click();
	await expect(page.getByText(/Your studio is as it was on/)).toBeVisible();
	await page.goto('/clients');
	await expect(page.getByRole('link', { name: 'Tidewick Library' })).toBeVisible();
	await expect(page.getByRole('link', { name: 'Tidewick Reading Room' })).toHaveCount(0);
	await page.goto('/settings/changes');
	await expect(page.getByText('the whole studio was put back to').first()).toBeVisible();
	await page.goto(`/settings/backups/${name}`);
	await expect(page.getByText('there is nothing to go back to')).toBeVisible();
	await page.goto('/settings/backups/tally-2027-01-01T00-00-00.db');
	await expect(page.getByText('There is no such backup.')).toBeVisible();
	await bench.reload();
	await expect(bench.getByRole('combobox', { name: 'Say a layer' })).toBeVisible();
	await page.goto('/settings/health');
	await expect(page.getByText('opened and found whole')).toBeVisible();
});

test('a studio taken out, locked, and brought into an empty one on another server; damage is seen', async ({
	page,
	app,
	browser
}) => {
	const folder = mkdtempSync(join(tmpdir(), 'bright-tally-out-'));
	const [open, locked, bad] = ['studio.zip', 'studio.zip.age', 'bad.zip'].map((n) => join(folder, n)) as [string, string, string]; // prettier-ignore
	await page.goto('/settings/studio-file');
	await expect(page.getByText(/This studio holds \d+ designs/)).toBeVisible();
	await expect(page.getByText('this one has something in it')).toBeVisible();
	const take = async (file: string) => {
		const coming = page.waitForEvent('download');
		await page.getByRole('button', { name: 'Take the file' }).click();
		await (await coming).saveAs(file);
	};
	await take(open);
	await page.getByLabel('Passphrase, if it should be locked').fill(WORDS);
	await take(locked);
	const file = await openStudioFile(open);
	await lookThrough(file).finally(() => file.close());
	const bytes = readFileSync(open);
	bytes[Math.floor(bytes.length / 2)]! ^= 1;
	writeFileSync(bad, bytes);
	// Too short is said, where a browser did not hold it back.
	const short = await page.request.post('/settings/studio-file/studio.zip', { form: { passphrase: 'short' }, headers: { origin: app.url } }); // prettier-ignore
	expect(await short.text()).toContain('Give 12 characters or more, or none.');

	const url = 'http://127.0.0.1:4391';
	const child = await serve({ port: 4391, database: `file:${join(folder, 'other.db')}` });
	try {
		const other = await (await browser.newContext({ storageState: NOBODY, baseURL: url })).newPage();
		await other.goto(`${url}/begin`);
		await other.getByLabel('Your name').fill('Wrack Fielding');
		await other.getByLabel('Your e-mail address').fill('wrack@saltmarsh.example');
		await other.getByLabel('A password').fill('three small gulls');
		await other.getByRole('button', { name: 'Begin' }).click();
		await other.waitForURL(/\/welcome/);
		await other.getByRole('link', { name: 'Bring its file in' }).click();
		const choose = other.getByLabel('Studio file');
		await other.locator('html[data-ready]').waitFor({ state: 'attached' });
		await choose.setInputFiles({ name: 'a.zip', mimeType: 'application/zip', buffer: Buffer.from('no zip') });
		await expect(other.getByText('That is no zip, or it is damaged.')).toBeVisible();
		await choose.setInputFiles(bad);
		await expect(other.getByText(/is not what it was|is damaged|cannot be read/)).toBeVisible();
		await choose.setInputFiles(locked);
		await expect(other.getByText('give the passphrase it was locked with')).toBeVisible();
		await other.getByLabel('Its passphrase').fill('not the words at all');
		await other.getByRole('button', { name: 'Open it' }).click();
		await expect(other.getByText('give the passphrase it was locked with')).toBeVisible();
		await expect(other.getByLabel('Its passphrase')).toHaveValue('not the words at all');
		await other.getByLabel('Its passphrase').fill(WORDS);
		await other.getByRole('button', { name: 'Open it' }).click();
		await expect(other.getByText(/Puddlelark Balloons, taken out on .*It is whole\./)).toBeVisible();
		await other.getByRole('button', { name: 'Bring it all in' }).click();
		await expect(other.getByText('It is all here')).toBeVisible();
		// The same figures stand there: what a design takes, what is on the shelf, what was quoted and won.
		for (const path of ['/bench/kelp-column/bill.csv', '/stockroom/stock.csv']) {
			const [there, here] = [await other.request.get(`${url}${path}`), await page.request.get(path)];
			expect(await there.text()).toBe(await here.text());
			expect(there.status()).toBe(200);
		}
		await page.goto('/quotes');
		await other.goto(`${url}/quotes`);
		expect(await other.locator('main').innerText()).toBe(await page.locator('main').innerText());
		await other.goto(`${url}/settings/studio-file`);
		await expect(other.getByText('this one has something in it')).toBeVisible();
	} finally {
		child.kill('SIGTERM');
	}
});
