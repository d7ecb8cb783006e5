import { cents, entry, expect, figure, newDesign, saved, say, test } from './app.ts';

test('places of a row on the plan, by keyboard: an unlike size leans, one key levels it, all undone', async ({
	page
}) => {
	await newDesign(page, 'Uneven quad');
	await say(page, '4 11 at 10 gull');
	await page.getByRole('button', { name: /^4 × 11 at 10/ }).click();
	await page.keyboard.press('p');
	const plan = page.getByRole('listbox', { name: 'Balloons, seen from above' });
	await expect(plan.getByRole('option')).toHaveCount(4);
	// Opening it is no refusal: nothing is said beside the row.
	await expect(page.locator('[role=alert]').filter({ hasText: /\S/ })).toHaveCount(0);
	await plan.getByRole('option').first().focus();
	await page.keyboard.press('ArrowRight');
	await page.getByLabel('Inflated to').fill('eleventy');
	await page.getByLabel('Inflated to').press('Tab');
	await expect(page.getByText(/Sized to what\?/)).toBeVisible();
	await page.getByLabel('Inflated to').fill('6');
	await page.getByLabel('Inflated to').press('Tab');
	await expect(page.getByText(/The row leans by \d+°/)).toBeVisible();
	await page.getByLabel('Sized with').selectOption('by eye, good to ½ in');
	await page.getByLabel('Looks to').selectOption('front');
	await expect(plan.getByRole('option', { name: '11 at 6 by eye, gull white, looks front' })).toBeVisible();

	await plan.getByRole('option').first().focus();
	await page.keyboard.press('l');
	await expect(plan.getByRole('option')).not.toHaveCount(4);
	await page.keyboard.press('Escape');
	await expect(page.getByRole('button', { name: /1 × 11 at 6 by eye/ }).first()).toBeVisible();
	for (let i = 0; i < 4; i++) await page.getByRole('button', { name: 'Undo' }).click();
	await expect(page.getByRole('button', { name: '4 × 11 at 10, gull white', exact: true })).toBeVisible();
	// One line says it too, and round-trips through the row.
	await say(page, '3 11 at 9 gull with 1 11 at 7 hive');
	await page.getByRole('button', { name: /^3 × 11 at 9 with 1 × 11 at 7/ }).click();
	await page.keyboard.press('Enter');
	await expect(entry(page)).toHaveValue('3 × 11 at 9 white with 1 × 11 at 7 gold');
});

test('a face said in lines: pieces tier by tier, their fixings by rules, a piece on a piece, swapped in one step', async ({
	page
}) => {
	await newDesign(page, 'Face');
	await say(
		page,
		'4 11 at 10 hive gold',
		'1 16 at 13 hive gold',
		'put 2 5 at 4 gull as eyes on row 2 front with patch and strip',
		'put 2 5 at 2 mussel as pupils on eyes with glue',
		'put 4 5 at 3 pennant as spots on row 1 round',
		'put 1 foil star on row 1 front with tie'
	);
	const pieces = page.getByRole('list', { name: 'on column' });
	await expect(pieces.getByText('5 at 4 · row 2 front · patch and strip')).toBeVisible();
	await expect(pieces.getByText('on eyes · glue')).toBeVisible();
	await expect(page.getByText(/^14 balloons|· 14 balloons/)).toBeVisible();
	await expect(page.getByRole('button', { name: /^tape patch, clear/ })).toBeVisible();

	await pieces.getByRole('button', { name: 'Change eyes' }).click();
	await page.getByRole('textbox', { name: 'Count' }).fill('0');
	await page.getByRole('textbox', { name: 'Count' }).press('Tab');
	await expect(page.getByText(/How many.*1/).last()).toBeVisible();
	await page.getByRole('textbox', { name: 'Count' }).fill('3');
	await page.getByRole('textbox', { name: 'Count' }).press('Tab');
	await page.keyboard.press('Escape');
	await expect(pieces.getByText('3 ×')).toBeVisible();

	// Where on the ball it sits is picked too, and is said on the line.
	await pieces.getByRole('button', { name: 'Change pupils' }).click();
	await page.getByRole('combobox', { name: 'where on it' }).selectOption('up left');
	await page.keyboard.press('Escape');
	await expect(pieces.getByText('on eyes, up left · glue')).toBeVisible();
	await say(page, 'put 1 5 at 2 mussel as glint on pupils down');
	await expect(pieces.getByText('on pupils, down · strip')).toBeVisible();
	await page.getByRole('button', { name: 'Undo' }).click();

	await pieces.getByRole('button', { name: /^Change foil star/ }).click();
	await page.getByLabel('swappable').check();
	await page.keyboard.press('Escape');
	await say(page, 'swap star for foil round');
	await expect(pieces.getByText(/foil round 18 in/)).toBeVisible();
	await page.getByRole('button', { name: 'Undo' }).click();
	await expect(pieces.getByText(/foil star 18 in/).first()).toBeVisible();

	// A row that carries pieces goes: they are still counted, and the checker says where they are missed.
	await page.getByRole('button', { name: /^1 × 16 at 13/ }).click();
	await page.keyboard.press('Delete');
	await expect(page.getByText(/eyes: what it was fixed to is not there any more/)).toBeVisible();
	await say(page, 'put 2 5 at 4 gull on row 9 front');
	await expect(page.getByText('column has 1 row: there is no row 9.')).toBeVisible();
});

test('lines that are optional, alternative, estimated, taken along; a rule of the design', async ({
	page
}) => {
	await newDesign(page, 'Lined');
	await say(
		page,
		'4 11 at 9 gull',
		'1 sandbag or 4 ground stakes',
		'2 to 4 moss mat',
		'1 lamp light optional'
	);
	const extras = page.getByRole('list', { name: 'Extras' });
	await expect(extras.getByText('2 to 4 × moss mat · estimated')).toBeVisible();
	await expect(extras.getByText('not taken')).toHaveCount(2);
	await expect(figure(page, 'spread')).toContainText('−3.90 to +3.90');
	const before = await cents(page, 'cost');

	await extras.getByRole('button', { name: 'Change ground stake' }).click();
	await page.getByRole('button', { name: 'Take this one' }).click();
	await page.getByLabel('taken when').fill('on grass');
	await page.keyboard.press('Tab');
	await page.keyboard.press('Escape');
	await expect(extras.getByText(/4 × ground stake · on grass/)).toBeVisible();
	await extras.getByRole('button', { name: 'Change lamp light, battery' }).click();
	await page.getByLabel('taken: count it').check();
	await page.keyboard.press('Escape');
	expect(await cents(page, 'cost')).toBeGreaterThan(before);

	await extras.getByRole('button', { name: 'Change moss mat' }).click();
	await page.getByLabel('How many').fill('4 to 2');
	await page.getByLabel('How many').press('Tab');
	await expect(page.getByText(/goes from the smaller number to the larger/)).toBeVisible();
	await page.getByLabel('How many').fill('3');
	await page.getByLabel('It is').selectOption('taken along, charged only if used');
	await page.keyboard.press('Escape');
	await expect(figure(page, 'spread')).toBeHidden();
	await expect(page.getByText('taken along: moss mat')).toBeVisible();

	await say(page, 'each floor contact takes 3 floor patch');
	await expect(page.getByRole('button', { name: /^floor patch, felt 12/ })).toBeVisible();
	await page.getByRole('button', { name: /^About Lined/ }).click();
	await expect(page.getByLabel('Each takes')).toHaveValue('3');
	await page.getByRole('button', { name: 'Back to the workspace’s rule' }).click();
	await page.getByLabel('Credit and source').fill('after a garden figure, changed in the hat');
	await page.keyboard.press('Tab');
	await page.keyboard.press('Escape');
	await expect(page.getByRole('button', { name: /^floor patch, felt 4/ })).toBeVisible();
	await saved(page);
});

test('sizes and slots left out: a table compares them, and lists, quotes and the quick price follow', async ({
	page
}) => {
	const id = await newDesign(page, 'Grown column');
	await say(
		page,
		'4 16 at 13 limpet',
		'4 11 at 9 gull x4',
		'4 5 at 4 buoy',
		'size 6 ft',
		'size small 1 ft scaled'
	);
	const stands = await cents(page, 'cost');
	await page.getByRole('button', { name: /sizes of this design$/ }).click();
	await page.getByRole('group', { name: 'Sizes' }).getByRole('button', { name: '6 ft' }).click();
	await expect.poll(() => cents(page, 'cost')).toBeGreaterThan(stands);
	await page.getByLabel('Height', { exact: true }).fill('tall');
	await page.getByLabel('Height', { exact: true }).press('Tab');
	await expect(page.getByText(/“tall” is not a/)).toBeVisible();
	await page.getByRole('group', { name: 'Sizes' }).getByRole('button', { name: 'small' }).click();
	await expect(page.getByText(/balloons move to \d+ in bags/).first()).toBeVisible();
	await page.keyboard.press('Escape');

	await say(page, 'leave out orange');
	await expect(page.getByText(/· 20 balloons/)).toBeVisible();
	await say(page, 'put back orange');
	await expect(page.getByText(/· 24 balloons/)).toBeVisible();
	await page.getByRole('button', { name: /^Colourway/ }).click();
	await page.getByLabel('Role of white').selectOption('main');
	await page.keyboard.press('Escape');
	await say(page, '4 11 at 8 main');
	await saved(page);
	await page.getByRole('button', { name: 'Keep' }).click();
	await expect(page.getByText('kept once')).toBeVisible();

	await page.goto(`/bench/${id}/sizes`);
	await expect(page.getByRole('columnheader')).toHaveText(['as it stands', '6 ft', 'small']);
	const counts = await page
		.getByRole('row', { name: /^balloons/ })
		.getByRole('cell')
		.allTextContents();
	expect(Number(counts[1])).toBeGreaterThan(Number(counts[0]));
	expect(counts[2]).toBe(counts[0]);
	await expect(page.getByText(/balloons move to \d+ in bags/).first()).toBeVisible();

	await page.goto('/quick');
	await page.getByLabel('Design', { exact: true }).selectOption('Grown column');
	await page.getByLabel('How many').fill('9');
	await expect(figure(page, 'price')).not.toHaveText('—');
	const plain = await figure(page, 'price').textContent();
	await page.getByLabel('Size', { exact: true }).selectOption('6 ft');
	await expect(figure(page, 'price')).not.toHaveText(plain!);
	await page.getByRole('button', { name: 'Copy as text' }).click();
	await expect(page.getByText('Copied.')).toBeVisible();
	expect(await page.evaluate(() => navigator.clipboard.readText())).toContain('Grown column 6 ft');

	await page.goto(`/quotes?with=${id}`);
	await page.getByLabel('Client').fill('Fernbank Garden Centre');
	await page.getByRole('button', { name: 'New quote' }).click();
	await page.waitForURL(/\/quotes\/.+/);
	await page.getByLabel('How many').fill('9');
	const price = figure(page, 'total');
	await expect(price).not.toHaveText('—');
	const before = await price.textContent();
	await page.getByLabel('Size', { exact: true }).selectOption('6 ft');
	await expect(price).not.toHaveText(before!);
});

test('a topper swapped in one step, versions named, what can be done listed by Ctrl K', async ({ page }) => {
	const id = await newDesign(page, 'Night column');
	await say(page, '4 11 at 10 lamp-out x6', 'use ringed planet on column swappable');
	await expect(page.getByText(/on top of column · a design of its own/)).toBeVisible();
	await say(page, 'swap planet for comet');
	await page.getByRole('button', { name: 'Name and place of Ringed planet' }).click();
	await expect(page.getByLabel('Swap it for')).toHaveValue('comet');
	await page.getByLabel('Swap it for').selectOption('Ringed planet');
	await page.keyboard.press('Escape');
	await saved(page);

	await page.keyboard.press('Control+k');
	await page.getByPlaceholder(/What to do/).fill('keep');
	await page.keyboard.press('Enter');
	await expect(page.getByText('kept once')).toBeVisible();
	await expect(page.getByText(/version 1 · a design of its own/)).toBeVisible();
	await page.keyboard.press('Control+k');
	await page.getByPlaceholder(/What to do/).fill('versions');
	await page.keyboard.press('Enter');
	await page.waitForURL(`**/bench/${id}/versions`);
	await page.getByLabel('Name of version 1').fill('before the fair');
	await page.getByRole('button', { name: 'Name it' }).click();
	await expect(page.getByRole('status').getByText('named')).toBeVisible();
	await page.reload();
	await expect(page.getByLabel('Name of version 1')).toHaveValue('before the fair');

	await page.keyboard.press('Control+k');
	await page.getByPlaceholder(/What to do/).fill('xyzzy');
	await expect(page.getByText('Nothing by that name. Try another word.')).toBeVisible();
	await page.keyboard.press('Escape');
});

test('a row that leans is levelled by one key on the row, and by the checker; focus comes back from the plan', async ({
	page
}) => {
	await newDesign(page, 'Leaning plinth');
	await say(page, '8 11 at 10 lamp-out', '6 11 at 9 harbour', '3 11 at 9 harbour with 2 11 at 6.5 lamp-out');
	await expect(page.getByText(/This layer leans by 9°/)).toBeVisible();
	const row = page.getByRole('button', { name: /^3 × 11 at 9 with/ });
	await row.click();
	await page.keyboard.press('p');
	await expect(page.getByRole('listbox')).toBeVisible();
	await page.keyboard.press('Escape');
	await expect(row).toBeFocused();
	await page.keyboard.press('l');
	await expect(page.getByText(/This layer leans/)).toBeHidden();
	await expect(page.getByRole('button', { name: /and 3 × 5 at 3,/ }).first()).toBeVisible();
	await page.getByRole('button', { name: 'Undo' }).click();
	await page.getByRole('button', { name: 'Level it' }).first().click();
	await expect(page.getByText(/This layer leans/)).toBeHidden();
	await row.first().focus();
	await page.keyboard.press('l');
	await expect(page.getByText(/No small cluster levels this layer/)).toBeVisible();
});
