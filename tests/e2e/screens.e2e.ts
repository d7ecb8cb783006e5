import { cents, clientLink, expect, figure, newDesign, say, test } from './app.ts';

test('no screen is wider than a phone, and the top words stay in reach', async ({ page }) => {
	const client = await clientLink(page);
	await page.setViewportSize({ width: 390, height: 844 });
	const own = ['plan', 'photos', 'count'].map((page) => `/bench/bee-figure/${page}`);
	const more = ['/shelf/open', '/compare', ...own];
	for (const path of ['/shelf', '/quick', '/quotes', '/settings', '/bench/hive-column', ...more, client]) {
		await page.goto(path);
		const over = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
		expect([path, over]).toEqual([path, 0]);
	}
});

test('quick price at a venue: how much for two of those in blue, six feet tall', async ({ page }) => {
	await page.setViewportSize({ width: 390, height: 844 });
	await page.goto('/quick');
	await page.getByLabel('Design', { exact: true }).selectOption('Kelp column');
	await page.getByLabel('Colour').selectOption({ label: 'harbour blue' });
	await page.getByLabel('Height of the body').fill('6 ft');
	await page.getByLabel('How many').fill('2');
	await expect(page.getByText(/comes out (5′ \d+″|6′ \d″)/)).toBeVisible();
	await expect(figure(page, 'margin')).toBeHidden();
	const price = await figure(page, 'price').textContent();
	await page.getByRole('button', { name: 'Margin', exact: true }).click();
	await expect(figure(page, 'margin')).toBeVisible();
	await page.getByRole('button', { name: 'Copy as text' }).click();
	await expect(page.getByText('Copied.')).toBeVisible();
	const copied = await page.evaluate(() => navigator.clipboard.readText());
	expect(copied).toContain(`2 × Kelp column, harbour blue`);
	expect(copied).toContain(price);
	expect(copied).not.toMatch(/margin|cost/);
	for (const [label, typed, sentence] of [
		['Height of the body', 'tall', '“tall” is not a length'],
		['How many', '0', 'How many must be at least 1']
	] as const) {
		await page.getByLabel(label).fill(typed);
		await expect(page.getByText(sentence)).toBeVisible();
		await expect(figure(page, 'price')).toHaveText('—');
	}
});

test('the Shelf finds, sorts and duplicates; a theme chosen stays', async ({ page }) => {
	await page.goto('/shelf');
	await page.keyboard.press('/');
	await page.keyboard.type('kelp');
	await page.keyboard.press('Enter');
	await expect(page.getByText('1 of')).toBeVisible();
	await page.getByRole('button', { name: 'Duplicate Kelp column' }).click();
	await page.waitForURL(/\/bench\/.+/);
	await expect(page.getByLabel('Name of the design')).toHaveValue('Kelp column, copy');
	await page.goto('/shelf?sort=price');
	const prices = await page.locator('dd.price').allTextContents();
	const values = prices.map((p) => Number(p.replace(/[^\d.]/g, '')));
	expect(values).toEqual([...values].sort((a, b) => b - a));
	await page.getByRole('button', { name: 'Go dark' }).click();
	await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark');
	await page.goto('/quotes');
	await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark');
});

test('a material added in the Stockroom can be said on the Bench and costs what its pack says', async ({
	page
}) => {
	await page.goto('/stockroom');
	await page.getByText('Add a material').click();
	await page.getByLabel('New colour').fill('squall violet');
	await page.getByRole('button', { name: 'Add the colour' }).click();
	await expect(page.getByText('squall violet is a colour now.')).toBeVisible();
	await page.getByText('Add a material').click();
	await page.getByRole('button', { name: 'Add', exact: true }).click();
	for (const sentence of [
		'Give the material a name.',
		'Which size is printed on the bag?',
		'Choose its colour.'
	])
		await expect(page.getByText(sentence)).toBeVisible();
	await page.getByLabel('Name', { exact: true }).fill('11 in round, squall violet');
	await page.getByLabel('Size on the bag, in').fill('11');
	await page.getByLabel('Colour', { exact: true }).selectOption({ label: 'squall violet, matte' });
	await page.getByLabel('Pieces in a pack').fill('50');
	await page.getByLabel('Pack price (blank: not known)').fill('25');
	await page.getByRole('button', { name: 'Add', exact: true }).click();
	await expect(page.getByText('11 in round, squall violet is in the Stockroom.')).toBeVisible();
	await newDesign(page, 'Violet');
	await say(page, '4 11 at 9 squall');
	await page.getByRole('button', { name: /^11 rounds, squall violet/ }).click();
	await expect(page.getByText(/pack of/)).toBeVisible();
	expect(await cents(page, 'materials')).toBeGreaterThanOrEqual(200);
});

test('settings move every price, and never a sent quote', async ({ page }) => {
	const client = await clientLink(page);
	await page.goto(client);
	const total = await figure(page, 'total').textContent();
	await page.goto('/bench/watering-can-column');
	const before = await cents(page, 'cost');
	await page.goto('/settings');
	await page.getByLabel('Labour').fill('36');
	await page.getByRole('button', { name: 'Save' }).click();
	await expect(page.getByText('Saved.')).toBeVisible();
	await page.goto('/bench/watering-can-column');
	expect(await cents(page, 'cost')).toBeGreaterThan(before);
	await page.goto(client);
	await expect(figure(page, 'total')).toHaveText(total!);
	await page.goto('/settings');
	await page.getByLabel('Labour').fill('18');
	await page.getByRole('button', { name: 'Save' }).click();
	await expect(page.getByText('Saved.')).toBeVisible();
});

test('what follows from a count is a rule of the studio: changed there, it changes every bill', async ({
	page
}) => {
	const patches = page.getByRole('button', { name: /^floor patch, felt/ });
	await page.goto('/bench/hive-column');
	await expect(patches).toHaveText(/felt\s*4\s/);
	await page.goto('/settings');
	const each = page.getByLabel('Pieces').first();
	await expect(each).toHaveValue('1');
	await each.fill('a few');
	await page.getByRole('button', { name: 'Save' }).click();
	await expect(page.getByText('“a few” is not a number')).toBeVisible();
	await expect(each).toHaveValue('a few');
	await each.fill('1 1/2');
	await page.getByRole('button', { name: 'Save' }).click();
	await expect(page.getByText('Saved.')).toBeVisible();
	await page.goto('/bench/hive-column');
	await expect(patches).toHaveText(/felt\s*6\s/);
	await page.goto('/settings');
	await expect(each).toHaveValue('1 1/2');
	await each.fill('1');
	await page.getByRole('button', { name: 'Save' }).click();
	await expect(page.getByText('Saved.')).toBeVisible();
});
