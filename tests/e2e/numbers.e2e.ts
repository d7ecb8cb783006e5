import { readFileSync } from 'node:fs';
import { type Page } from '@playwright/test';
import { expect, test } from './app.ts';

const part = (page: Page, name: string | RegExp) => page.getByRole('region', { name });

test('questions are answered in words, with a chart, a table and the same as CSV; other days, no days, nonsense', async ({
	page
}) => {
	await page.goto('/jobs');
	await page.getByRole('link', { name: 'Numbers', exact: true }).click();
	const designs = part(page, 'Which designs earn, and how much?');
	await expect(designs.locator('[data-name=answer]')).toContainText('brought most');
	await expect(designs.locator('.apexcharts-svg')).toBeVisible();
	const [, cells] = await Promise.all([
		designs.getByRole('row').nth(1).getByRole('rowheader').click({ trial: true }),
		designs.getByRole('row').nth(1).allInnerTexts()
	]);
	const name = cells[0]!.split('\t')[0]!.trim();
	const waits = page.waitForEvent('download');
	await designs.getByRole('link', { name: 'as CSV' }).click();
	const csv = readFileSync((await (await waits).path())!, 'utf8');
	expect(csv.split('\r\n')[1]).toContain(name);
	expect(csv.split('\r\n')[0]).toContain('Design,Pieces,Charged');
	await expect(part(page, 'What should I stop selling, or ask more for?').locator('[data-name=answer]')).not.toBeEmpty(); // prettier-ignore
	await expect(part(page, 'At which price a foot do clients say yes?').getByRole('row')).not.toHaveCount(0);
	await expect(part(page, 'What money comes and goes in the weeks ahead?').getByRole('row')).toHaveCount(9);
	// Every one of them has its file, and there is no other.
	for (const link of await page.getByRole('link', { name: 'as CSV' }).all())
		expect((await page.request.get((await link.getAttribute('href'))!)).headers()['content-type']).toContain('text/csv'); // prettier-ignore
	expect((await page.request.get('/numbers/wages.csv')).status()).toBe(404);

	await page.getByLabel('From').fill('2001-01-01');
	await page.getByLabel('Until').fill('2001-12-31');
	await page.getByRole('button', { name: 'Show these days' }).click();
	await expect(designs.locator('[data-name=answer]')).toHaveText(
		'No job of these days was counted back yet.'
	);
	await page.goto('/numbers?from=never&to=2020-13-40');
	await expect(designs.locator('[data-name=answer]')).toContainText('brought most');
	await page.getByRole('link', { name: 'all of it' }).click();
	await expect(part(page, 'How much of what I charge is left, month by month?').locator('[data-name=answer]')).toContainText('was left'); // prettier-ignore
});

test('what jobs taught is said on a draft, taken over by a press, gone back on, and a bad day left out', async ({
	page
}) => {
	await page.goto('/quotes/quote-garden');
	await expect(page.locator('[data-lesson]')).toContainText(/Your last three .* than reckoned/);
	await page.locator('[data-lesson]').getByRole('link', { name: 'What jobs taught' }).click();
	const columns = part(page, 'columns, at the bench');
	const change = columns.locator('[data-name=change]');
	await expect(change).toContainText(/^1\.00 → 1\.\d\d$/);
	const after = (await change.locator('b').textContent())!;
	await columns.getByRole('button', { name: `Reckon with ${after}` }).click();
	await expect(page.getByText('From now on it is reckoned with that.')).toBeVisible();
	await expect(columns).toContainText('In use since');
	await expect(change).toHaveText(`${after} → ${after}`);
	// The settings page is saved meanwhile, and leaves it as it is.
	await page.goto('/settings/work');
	await page.getByRole('button', { name: /^Save/ }).first().click();
	await page.goto('/numbers/taught');
	await expect(columns).toContainText('In use since');
	await page.keyboard.press('Tab');
	await columns.getByRole('button', { name: 'Back to 1' }).focus();
	await page.keyboard.press('Enter');
	await expect(page.getByText('Back to what your standards say.')).toBeVisible();
	await expect(change).toContainText(`1.00 → ${after}`);

	await columns.getByText('The jobs it rests on').click();
	const rows = await columns.getByRole('row').count();
	await columns.getByRole('button', { name: /out: it was a bad day$/ }).first().click(); // prettier-ignore
	await expect(columns.getByRole('row')).toHaveCount(rows - 1);
	const out = part(page, 'Days left out');
	const many = await out.getByRole('button').count();
	await out.getByRole('button', { name: /in again$/ }).first().click(); // prettier-ignore
	await expect(out.getByRole('button')).toHaveCount(many - 1);
});

test('a photo of the day is taken in at the job, shown to the client by a press, and the page says thank you', async ({
	page
}) => {
	await page.goto('/jobs/quote-paid');
	await page.getByRole('link', { name: 'Photos' }).click();
	await page.getByRole('button', { name: 'Add it' }).click();
	await expect(page.getByText('Choose a photo.')).toBeVisible();
	await page.getByLabel('What stands under it').first().fill('The door');
	await page.getByLabel('A photo').setInputFiles({ name: 'a.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('no picture') }); // prettier-ignore
	await page.getByRole('button', { name: 'Add it' }).click();
	await expect(
		page
			.getByRole('main')
			.getByText(/picture|photo/i)
			.first()
	).toBeVisible();
	await expect(page.getByLabel('What stands under it').first()).toHaveValue('The door');
	await page.getByLabel('A photo').setInputFiles('scripts/demo/photos/bee-figure.jpg');
	await page.getByRole('button', { name: 'Add it' }).click();
	await expect(page.getByText('does not see it until you say so', { exact: false })).toBeVisible();
	const own = page.getByRole('listitem').filter({ has: page.getByAltText('The door') });
	const src = (await own.getByRole('img').getAttribute('src'))!;
	const link = (await page.getByRole('link', { name: 'Look at it' }).getAttribute('href'))!;
	const theirs = `${link.replace('?look', '')}/thanks/${src.split('/').at(-1)}`;
	expect((await page.request.get(theirs)).status()).toBe(404);
	await own.getByLabel('its client sees it').check();
	await own.getByRole('button', { name: 'Keep' }).click();
	await expect(page.getByText('Kept.')).toBeVisible();
	expect((await page.request.get(theirs)).status()).toBe(200);
	await page.goto(link);
	const thanks = part(page, 'Thank you');
	await expect(thanks.getByText('is over, and it was a pleasure', { exact: false })).toBeVisible();
	await expect(thanks.getByAltText('The door')).toBeVisible();
	await page.goto('/jobs/quote-paid/photos');
	await page.getByRole('button', { name: 'Take out The door' }).click();
	await expect(own).toHaveCount(0);
	expect((await page.request.get(theirs)).status()).toBe(404);
});

test('what is open is settled late: lists follow, and what it changed against the quote is said with its cost', async ({
	page,
	context
}) => {
	await page.goto('/jobs/quote-choir');
	await page.getByRole('link', { name: 'Settle 1 open' }).click();
	const against = part(page, 'Against the quote');
	await expect(against).toContainText('Nothing is otherwise than on the quote.');
	const other = await context.newPage();
	await other.goto(page.url());
	const infill = page.getByRole('textbox', { name: /a foot, Shop-window swag$/ });
	await infill.fill('lots');
	await page.getByRole('button', { name: 'Settle it' }).click();
	await expect(page.getByText('Not kept yet', { exact: false })).toBeVisible();
	await expect(infill).toHaveValue('lots');
	await infill.fill('2');
	await page.getByLabel('sky of Observatory column').selectOption('harbour blue');
	await page.getByRole('button', { name: 'Settle it' }).click();
	await expect(page.getByText('Settled: plan, lists', { exact: false })).toBeVisible();
	await expect(against).toContainText('nothing is open');
	await expect(against.getByRole('listitem').filter({ hasText: 'hive gold' })).toContainText(/98 → 110/);
	await expect(against.getByRole('listitem').filter({ hasText: 'harbour blue' }).first()).toContainText(/0 → \d+/); // prettier-ignore
	await page.goto('/jobs/quote-choir/lists');
	await expect(page.getByText('harbour blue', { exact: false }).first()).toBeVisible();
	// Somebody else's page knows nothing of it: it is told, and what was chosen there stays.
	await other.getByLabel('Observatory column, on the job').selectOption('not on the job');
	await other.getByRole('button', { name: 'Settle it' }).click();
	await expect(other.getByText('changed somewhere else meanwhile', { exact: false })).toBeVisible();
	await expect(other.getByLabel('Observatory column, on the job')).toHaveValue('no');
	await other.close();
	// Back to the quote: nothing is otherwise any more.
	await page.goto('/jobs/quote-choir/settle');
	await infill.fill('');
	await page.getByLabel('sky of Observatory column').selectOption('lamp-out navy');
	await page.getByRole('button', { name: 'Settle it' }).click();
	await expect(against).toContainText('Nothing is otherwise than on the quote.');
});

test('how many balloons go on a garland is learned from its job, and one press makes it a version; pressed twice it is made once', async ({
	page
}) => {
	await page.goto('/numbers/taught');
	const own = page.getByRole('region', { name: 'Balloons of Whisk and bun table runner' });
	const before = await own.getByRole('listitem').allInnerTexts();
	expect(before.length).toBeGreaterThan(0);
	const after = before.map((line) => Number(/→\s*(\d+)/.exec(line)![1]));
	await own.getByRole('button', { name: 'Make it a new version' }).dblclick();
	const made = page.getByText('of Whisk and bun table runner takes what jobs took.', { exact: false });
	const said = made.or(page.getByText('No job tells of that version any more', { exact: false }));
	await expect(said).toBeVisible();
	await expect(said).toBeInViewport();
	// The job was built from the version before: it has told.
	await expect(own).toBeHidden();
	await page.goto('/bench/whisk-and-bun-runner/versions');
	await expect(page.getByRole('option', { name: /^version 2, “as counted”/ })).not.toHaveCount(0);
	await expect(page.getByRole('option', { name: /^version 3/ })).toHaveCount(0);
	await page.goto('/bench/whisk-and-bun-runner/count');
	const rows = await page.getByRole('row').allInnerTexts();
	const sum = (size: string) => rows.filter((r) => r.startsWith(`${size} `)).reduce((a, r) => a + Number(/\t\s*(\d+)/.exec(r)![1]), 0); // prettier-ignore
	expect(before.map((line) => sum(/^\d+/.exec(line)![0]))).toEqual(after);
});
