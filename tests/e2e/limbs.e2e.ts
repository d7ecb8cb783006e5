import { cents, expect, newDesign, saved, say, test } from './app.ts';

test('by mouse: a limb becomes a belt as long as its row, goes over to another row, winds round the column', async ({
	page
}) => {
	await newDesign(page, 'Belted');
	await say(
		page,
		'4 11 at 9 white',
		'4 11 at 9 white',
		'4 11 at 9 white',
		'form limbs on column',
		'1 260 thrift 20 as sash on row 2 round'
	);
	const before = await cents(page, 'cost');
	await page.getByRole('button', { name: 'Change sash', exact: true }).click();
	await page.getByLabel('Shape').selectOption('a belt round its row');
	// A quad of 9 in balloons has a belt of 4 · 9 + π · 9 = 64 in: two balloons end to end.
	await expect(page.getByText(/As long as its way: 64/)).toBeVisible();
	await expect(page.getByRole('button', { name: /^260 modelling balloons, thrift pink 2/ })).toBeVisible();
	expect(await cents(page, 'cost')).toBeGreaterThan(before);

	await page.getByLabel('Length, in').fill('ten miles');
	await page.getByLabel('Length, in').press('Tab');
	await expect(page.getByText(/Type inches, like 24/)).toBeVisible();
	await expect(page.getByLabel('Length, in')).toHaveValue('ten miles');
	await page.getByLabel('Length, in').fill('');
	await page.getByLabel('Length, in').press('Tab');

	await page.getByLabel('Its other end').selectOption('tied to row 3 front');
	await expect(page.getByText(/As long as its way: \d/)).toBeVisible();
	await page.getByLabel('Shape').selectOption('wound round what carries it');
	await page.getByLabel('Times round').fill('3');
	await page.getByLabel('Times round').press('Tab');
	await page.getByLabel('One more colour of sash').or(page.getByRole('button', { name: 'one more' })).first().click();
	await page.keyboard.press('Escape');
	await page.keyboard.press('Escape');
	await saved(page);
	await page.reload();
	await expect(page.getByRole('button', { name: /^Change 1 260 thrift pink twined 3 as sash/ })).toBeVisible();
}); // prettier-ignore

test('by mouse: sand, paint and two bubbles on a row; nonsense stays typed', async ({ page }) => {
	await newDesign(page, 'Filled');
	await say(page, '4 11 at 5 white');
	await page.locator('[data-row]').first().click();
	await page.getByText('in them and on them').click();
	await page.getByLabel('In it').selectOption('sand');
	await page.getByLabel('How much sand').fill('a lot');
	await page.getByLabel('How much sand').press('Tab');
	await expect(page.getByText('How much sand? Type it like “200 g”, “½” or “full”.')).toBeVisible();
	await expect(page.getByLabel('How much sand')).toHaveValue('a lot');
	await page.getByLabel('How much sand').fill('200 g');
	await page.getByLabel('How much sand').press('Tab');
	await page.getByLabel('Paint on it').selectOption('dots');
	await page.getByLabel('two bubbles of each balloon').check();
	await saved(page);
	await page.reload();
	await expect(page.getByRole('button', { name: /^11 rounds, gull white 2/ })).toBeVisible();
	await page.locator('[data-row]').first().click();
	await page.getByText('in them and on them').click();
	await expect(page.getByLabel('How much sand')).toHaveValue('200 g');
	await expect(page.getByLabel('Paint on it')).toHaveValue('dots');
});

test('by mouse: a part is left out, in a size put back, and made ahead', async ({ page }) => {
	await page.goto('/bench/bee-figure');
	const whole = await cents(page, 'cost');
	await page.getByRole('button', { name: 'Name and place of wing' }).click();
	await page.getByLabel('Is it there?').selectOption('optional, now without');
	await page.getByLabel('When is it there?').fill('indoors');
	await page.getByLabel('When is it there?').press('Tab');
	await page.getByLabel('Made ahead, days').fill('3');
	await page.getByLabel('Made ahead, days').press('Tab');
	await page.keyboard.press('Escape');
	await expect(page.getByText('optional when indoors · left out · made up to 3 days before')).toBeVisible();
	expect(await cents(page, 'cost')).toBeLessThan(whole);
	await page.getByRole('button', { name: /sizes of this design$/ }).click();
	await page.getByRole('button', { name: 'Add a size' }).click();
	await page.getByLabel('wing in this size').selectOption('there');
	await page.keyboard.press('Escape');
	await expect.poll(() => cents(page, 'cost')).toBe(whole);
	await saved(page);
	await page.goto('/bench/bee-figure/plan');
	await expect(page.getByText('may be made up to 3 days before')).toBeHidden();
});
