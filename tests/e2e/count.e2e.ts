import { type Page } from '@playwright/test';
import { signIn, storageOf } from '../kit/signed-in.ts';
import { expect, test } from './app.ts';

const region = (page: Page, name: string) => page.getByRole('region', { name, exact: true });
const keep = (page: Page) => page.getByRole('button', { name: 'Keep the count' }).click();
const percent = async (page: Page, name: string) => parseFloat((await page.locator(`[data-name=${name}]`).textContent())!.replace('−', '-')); // prettier-ignore

test('a job that is over is counted back by mouse: the shelf says the same, and what it came to stands beside what was reckoned', async ({
	page,
	context
}) => {
	await page.goto('/jobs');
	await page.getByRole('link', { name: 'over', exact: true }).click();
	await page.getByRole('link', { name: /to count back/ }).last().click(); // prettier-ignore
	await page.getByRole('link', { name: 'Count it back' }).click();
	await expect(page.getByRole('heading', { name: /^Count back/ })).toBeVisible();
	const other = await context.newPage();
	await other.goto(page.url());

	await keep(page);
	await expect(page.getByText('Nothing was counted.', { exact: false })).toBeVisible();
	await page.getByRole('button', { name: 'All else as reckoned' }).click();
	const took = page.getByRole('textbox', { name: /^Took, 11 rounds, / }).first();
	const label = (await took.getAttribute('aria-label'))!.slice('Took, '.length);
	const lost = page.getByRole('textbox', { name: `Lost, ${label}`, exact: true });
	await lost.fill('999');
	await page.getByRole('textbox', { name: /^at the bench, Tansy/ }).fill('9');
	await keep(page);
	await expect(page.getByText('More were lost than it took.', { exact: false })).toBeVisible();
	await expect(page.getByText('2:30, 2.5 h or 150 min.', { exact: false })).toBeVisible();
	await expect(lost).toHaveValue('999');
	await took.fill('90');
	await lost.fill('12');
	await page.getByLabel(`Why, ${label}`, { exact: true }).selectOption('popped');
	await page.getByRole('textbox', { name: /^at the bench, Tansy/ }).fill('9:15');
	await page.getByLabel('Miles driven in all').fill('64');
	await page.getByLabel('Paid besides, for').fill('parking ticket');
	await page.getByLabel('How much').fill('45');
	await keep(page);
	await expect(page.getByText('The count is kept', { exact: false })).toBeVisible();
	const came = region(page, 'What it came to');
	await expect(came.getByText(/^At the bench: 9:15 where \d+:\d\d was reckoned$/)).toBeVisible();
	await came.getByText('Line by line').click();
	await expect(came.getByRole('row', { name: /parking ticket/ })).toContainText('$45.00');
	const before = await percent(page, 'real-margin');

	// Put right: less lost, and the margin is better for it; the ledger has the difference alone.
	await page.getByRole('textbox', { name: /^at the bench, Tansy/ }).fill('4:00');
	await lost.fill('2');
	await keep(page);
	await expect(came.getByText(/^At the bench: 4:00/).or(page.getByText('The count is kept', { exact: false })).first()).toBeVisible(); // prettier-ignore
	await expect.poll(() => percent(page, 'real-margin')).toBeGreaterThan(before);
	// Another tab knows nothing of it: it is told, and what was typed is there.
	await other.getByLabel('Miles driven in all').fill('7');
	await keep(other);
	await expect(other.getByText('counted somewhere else meanwhile', { exact: false })).toBeVisible();
	await expect(other.getByLabel('Miles driven in all')).toHaveValue('7');
	await other.close();

	await page.goto(`/stockroom?search=${encodeURIComponent(label.replace('11 rounds, ', '11 in round, '))}`);
	await page.getByRole('link', { name: /^11 in round/ }).first().click(); // prettier-ignore
	await expect(page.getByText('popped on inflating').first()).toBeVisible();
	await page.goto('/jobs?past=yes');
	await expect(page.getByText('counted back', { exact: true }).first()).toBeVisible();
});

test('at the bench: taps, keys and a long press count; two count on one step; nothing is lost without a line', async ({
	page,
	browser,
	app
}) => {
	await page.goto('/jobs/quote-oven');
	await page.getByRole('link', { name: 'Build and count' }).click();
	await expect(page.getByRole('button', { name: /^Count one/ })).toBeVisible();
	await page.reload();
	const pad = (p: Page) => p.getByRole('button', { name: /^Count one/ });
	const shown = (p: Page) => p.locator('[data-name=tally]');
	// To the first step of which there are many.
	const target = async () => Number((await pad(page).textContent())!.match(/of (\d+)/)![1]);
	for (let i = 0; i < 30 && (await target()) < 8; i++) await page.keyboard.press('ArrowRight');
	expect(await target()).toBeGreaterThanOrEqual(8);
	for (let i = 0; i < 4; i++) await pad(page).click();
	await page.keyboard.press('Space');
	await page.keyboard.press('PageDown');
	await expect(shown(page)).toHaveText('6');
	await pad(page).dispatchEvent('pointerdown');
	await expect(shown(page)).toHaveText('5');
	await pad(page).dispatchEvent('pointerup');
	await page.getByRole('button', { name: /^One is lost/ }).click();
	await page.getByRole('button', { name: 'popped on inflating' }).click();
	// The clock is pressed by hand; the foot switch counts on.
	await page.getByRole('button', { name: 'Start the clock' }).click();
	await page.keyboard.press('Space');
	await expect(shown(page)).toHaveText('6');
	await expect(page.getByText('counts wait to be sent', { exact: false })).toHaveCount(0);

	// A helper counts on the same step, and sees no price.
	const text = await pad(page).getAttribute('aria-label');
	const own = storageOf(app.url, await signIn(app.url, 'crew'));
	const helper = await browser.newContext({ storageState: own });
	const second = await helper.newPage();
	await second.goto(`${app.url}/jobs/quote-oven/tally`);
	await second.locator('html[data-ready]').waitFor({ state: 'attached' });
	for (let i = 0; i < 60 && (await pad(second).getAttribute('aria-label')) !== text; i++) await second.keyboard.press('ArrowRight'); // prettier-ignore
	await expect(shown(second)).toHaveText('6');
	await pad(second).click();
	await expect(shown(second)).toHaveText('7');
	await expect(shown(page)).toHaveText('7');
	expect(await second.locator('body').innerText()).not.toMatch(/\$\d/);
	// Who signs out leaves no page behind.
	const kept = (p: Page) => p.evaluate(async () => (await (await caches.open('kept-pages')).keys()).filter((r) => r.url.endsWith('/tally')).length); // prettier-ignore
	await expect.poll(() => kept(second)).toBe(1);
	await second.goto(`${app.url}/me`);
	await second.getByRole('button', { name: 'Sign out' }).click();
	await second.waitForURL('**/sign-in**');
	await expect.poll(() => kept(second)).toBe(0);
	await helper.close();

	// Without a line: it counts on, opens again from what is kept, and sends it once the line is back.
	await expect.poll(() => kept(page)).toBe(1);
	await page.context().setOffline(true);
	await pad(page).click();
	await page.getByRole('button', { name: 'Take one back' }).click();
	await expect(page.getByText('2 counts wait to be sent', { exact: false })).toBeVisible();
	await page.reload();
	await expect(page.getByText('2 counts wait to be sent', { exact: false })).toBeVisible();
	await page.context().setOffline(false);
	await expect(page.getByText('wait to be sent', { exact: false })).toHaveCount(0);
	await page.getByRole('button', { name: /^Stop the clock/ }).click();

	await page.goto('/jobs/quote-oven/count');
	await expect(page.getByText('What was counted at the bench is filled in below.')).toBeVisible();
	await expect(page.getByRole('textbox', { name: /^Lost, / }).and(page.locator('[value="1"]'))).toHaveCount(
		1
	);
	await expect(page.getByRole('textbox', { name: /^at the bench, others/ })).not.toHaveValue('');
});

test('the build plan: what is built when by whom; what does not fit is said with what would make it fit', async ({
	page
}) => {
	await page.goto('/jobs');
	await page.getByRole('link', { name: 'Build plan' }).click();
	await expect(page.getByRole('heading', { name: 'Build plan' })).toBeVisible();
	await expect(page.getByText(/It all fits\.|It does not fit:/)).toBeVisible();
	await page.getByText('Step by step').click();
	await expect(page.getByRole('row').nth(5)).toBeVisible();
	await page.getByLabel('Hours a day at the bench').fill('25');
	await page.getByRole('button', { name: 'Plan it' }).click();
	await expect(page.getByText('Hours a day', { exact: false }).getByText('16').first()).toBeVisible();
	await expect(page.getByLabel('Hours a day at the bench')).toHaveValue('25');
	await page.getByLabel('Hours a day at the bench').fill('0.5');
	for (const box of await page.getByRole('checkbox').all()) await box.uncheck();
	await page.getByRole('button', { name: 'Plan it' }).click();
	await expect(page.getByText('Nobody is ticked. Tick who builds.')).toBeVisible();
	await page.getByRole('checkbox').first().check();
	await page.getByRole('button', { name: 'Plan it' }).click();
	await expect(page.getByText(/It does not fit:/)).toBeVisible();
	await expect(page.getByText(/One more pair of hands|hours a day instead of|alone makes it better/).first()).toBeVisible(); // prettier-ignore
});

test('a piece counted by itself and with its job goes off the shelf twice: each of the two pages says so', async ({
	page
}) => {
	const twice = /what it took went off the shelf then/;
	await page.goto('/bench/lighthouse-column/count');
	await expect(page.getByText(twice)).toBeHidden();
	await page.goto('/jobs/quote-paid/count');
	await expect(page.getByText(twice)).toBeHidden();
	await page.getByRole('button', { name: 'All else as reckoned' }).click();
	await keep(page);
	await expect(page.getByText('The count is kept', { exact: false })).toBeVisible();
	await page.goto('/bench/lighthouse-column/count');
	await expect(page.getByText(twice)).toBeVisible();
	await page.getByRole('button', { name: 'Keep the count' }).click();
	await expect(page.getByText('The count is kept.')).toBeVisible();
	await page.getByRole('link', { name: /^Harbour Street School, / }).click();
	await expect(page.getByText(/Lighthouse column was counted back by itself on/)).toBeVisible();
});
