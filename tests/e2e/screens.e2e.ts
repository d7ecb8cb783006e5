import { cents, clientLink, expect, figure, newDesign, say, test } from './app.ts';

test('no screen is wider than a phone, and the top words stay in reach', async ({ page }) => {
	const client = await clientLink(page);
	await page.setViewportSize({ width: 390, height: 844 });
	const own = ['plan', 'photos', 'count'].map((page) => `/bench/bee-figure/${page}`);
	const workshop = [
		'/stockroom',
		'/stockroom/things',
		'/stockroom/cut',
		'/stockroom/count',
		'/stockroom/suppliers',
		'/stockroom/list',
		'/stockroom/orders',
		'/stockroom/labels',
		'/stockroom/colours',
		'/bench/lighthouse-column/swatches',
		'/stockroom/round-11-gull-white',
		'/thumb/sheets',
		'/bench/regatta-letter/sheet'
	];
	const people = ['/settings/people', '/settings/changes', '/settings/backups', '/settings/studio-file', '/settings/health', '/me', '/work']; // prettier-ignore
	const jobs = [
		'/jobs',
		'/jobs/quote-lanterns',
		'/jobs/quote-lanterns/lists',
		'/jobs/quote-lanterns/tally',
		'/jobs/quote-lanterns/count',
		'/jobs/quote-choir/settle',
		'/jobs/quote-paid/photos',
		'/numbers',
		'/numbers/taught',
		'/jobs/day/today',
		'/jobs/calendar',
		'/jobs/buying',
		'/jobs/plan'
	];
	const more = [
		...people,
		...jobs,
		'/shelf/open',
		'/compare',
		'/thumb',
		'/thumb/helium',
		...own,
		...workshop
	];
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
	await page.getByRole('button', { name: /in another colour/ }).click();
	await page.getByRole('button', { name: 'harbour blue', exact: true }).click();
	await page.getByLabel('Height, over all').fill('6 ft');
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
		['Height, over all', 'tall', '“tall” is not a length'],
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
	await page.getByRole('button', { name: 'Add', exact: true }).click();
	for (const sentence of [
		'Give the material a name.',
		'Which size is printed on the bag?',
		'Choose its colour.'
	])
		await expect(page.getByText(sentence)).toBeVisible();
	await page.getByLabel('Name', { exact: true }).fill('11 in round, squall violet');
	await page.getByLabel('Size on the bag, in').fill('11');
	await page.getByRole('button', { name: /^Colour of the material/ }).click();
	await page.getByRole('button', { name: 'squall violet', exact: true }).click();
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
	await page.getByLabel('Overhead', { exact: true }).fill('36');
	await page.getByRole('button', { name: 'Save' }).click();
	await expect(page.getByText('Saved.')).toBeVisible();
	await page.goto('/bench/watering-can-column');
	expect(await cents(page, 'cost')).toBeGreaterThan(before);
	await page.goto(client);
	await expect(figure(page, 'total')).toHaveText(total!);
	await page.goto('/settings');
	await page.getByLabel('Overhead', { exact: true }).fill('9');
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
	await expect(page.getByText('“a few” is not a number').first()).toBeVisible();
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

test('rules of thumb on a phone: the answer follows the typing, nonsense is said at its field, and it is used in a design', async ({
	page
}) => {
	await page.setViewportSize({ width: 390, height: 844 });
	await page.goto('/thumb');
	await page.getByRole('link', { name: /^Strokes and sizes/ }).click();
	const answer = page.locator('dl .main');
	await expect(answer).toContainText('27.0 for 8½ in');
	await page.getByLabel('Size I want').fill('3½');
	await expect(answer).toContainText('1.9 for 3½ in');
	await page.getByLabel('Strokes I counted').fill('0');
	await expect(page.getByText('Strokes I counted must be at least 0.25.')).toBeVisible();
	// What was answered last stays in sight, and so does what was typed.
	await expect(answer).toContainText('1.9 for 3½ in');
	await page.getByLabel('Strokes I counted').fill('4');
	await page.getByRole('button', { name: 'Use “at 2 strokes” in a design' }).click();
	await expect(page.getByText('say it on the entry line of the Bench')).toBeVisible();
	await expect(page.locator('.apexcharts-svg')).toBeVisible();

	await page.goto('/thumb/heat');
	await page.getByLabel('Air there').fill('-459.67 F');
	await expect(page.getByText('Air there lies between −40 and 140 °F.')).toBeVisible();
	await page.getByLabel('Air there').fill('40 C');
	await page.getByLabel('Size here').fill('11');
	await expect(page.getByText(/^Size it to 10/).or(page.getByText('Size it to 10'))).toBeVisible();
});

test('a pump is measured in the settings, and the sizing sheet counts its strokes; contradictions are refused', async ({
	page
}) => {
	await page.goto('/settings');
	await page.getByLabel('Another pump').fill('floor pump');
	const pairs = page.getByLabel('Strokes = size').last();
	await pairs.fill('1 = 6, 2 = 6');
	await page.getByRole('button', { name: 'Save' }).click();
	await expect(page.getByText(/^These contradict each other/).first()).toBeVisible();
	await expect(pairs).toHaveValue('1 = 6, 2 = 6');
	await pairs.fill('1 = 6, 2 = 7½');
	await page.getByRole('button', { name: 'Save' }).click();
	await expect(page.getByText('Saved. Designs are priced')).toBeVisible();
	await expect(page.getByText(/^A stroke is 1\d\d\d mL/)).toBeVisible();
	await page.goto('/thumb');
	await expect(page.getByRole('columnheader', { name: 'floor pump, strokes' })).toBeVisible();
	await expect(page.getByRole('row', { name: /^hole 6 9\.5 1\.0$/ })).toBeVisible();
	const holes = await page.request.get('/thumb/sizing-holes.pdf?sizes=8, 13&paper=a4');
	expect([holes.status(), holes.headers()['content-type']]).toEqual([200, 'application/pdf']);
	expect((await page.request.get('/thumb/sizing-holes.pdf?sizes=large')).status()).toBe(400);
	expect((await page.request.get('/thumb/sizing-holes.pdf?sizes=900')).status()).toBe(400);
});
