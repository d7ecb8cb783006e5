import { cents, entry, expect, figure, newDesign, saved, say, test } from './app.ts';

test('a bunch said in words: rows, gas, what it lifts, air against helium, changed with the keyboard', async ({
	page
}) => {
	await newDesign(page, 'Marks bunch');
	await say(
		page,
		'bunch marks',
		'weight sandbag',
		'3 11 at full gull in helium on 5 ft ribbon harbour',
		'1 foil moon in helium on 6 ft ribbon gold as moon'
	);
	const rows = page.getByRole('list', { name: 'marks' });
	await expect(
		rows.getByRole('button', { name: /^Change 3 × 11 at full gull white in helium on 5 ft/ })
	).toBeVisible();
	await expect(rows.getByText('weight sandbag 8 lb')).toBeVisible();
	await expect(page.getByRole('button', { name: /^helium, large cylinder/ })).toBeVisible();
	// What is typed is seen and counted before Enter, and gone again with Escape.
	await entry(page).fill('2 11 at full thrift in helium');
	await expect(rows.getByRole('button', { name: /^Change 2 × 11 at full thrift/ })).toBeVisible();
	await expect(page.getByRole('application', { name: /6 balloons/ })).toBeVisible();
	await entry(page).press('Escape');
	await expect(rows.getByRole('button', { name: /^Change 2 × 11/ })).toBeHidden();
	const before = await cents(page, 'cost');

	// One more by a key; its row is changed as it was said; both are one step of undo.
	await rows.getByRole('button', { name: /^Change 3 × 11/ }).press('+');
	await expect(rows.getByRole('button', { name: /^Change 4 × 11/ })).toBeVisible();
	expect(await cents(page, 'cost')).toBeGreaterThan(before);
	await rows.getByRole('button', { name: /^Change 4 × 11/ }).press('Enter');
	await expect(entry(page)).toHaveValue(/^4 × 11 at full white in helium on 5 ft ribbon harbour blue/);
	await entry(page).fill('2 11 at full white on 5 ft ribbon harbour as spray');
	await entry(page).press('Enter');
	await expect(
		rows.getByRole('button', { name: /^Change 2 × 11 at full gull white on 5 ft.*as spray/ })
	).toBeVisible();
	await page.getByRole('button', { name: 'Undo' }).click();
	await expect(rows.getByRole('button', { name: /^Change 4 × 11/ })).toBeVisible();

	// Whether it floats, there and elsewhere; nonsense is told at its field.
	await page.getByRole('button', { name: 'Gas of marks' }).click();
	await expect(page.getByText(/^It floats\. A weight of \d+ g holds it/)).toBeVisible();
	const up = page.getByLabel('Height above the sea, ft');
	await up.fill('9000 m');
	await up.press('Tab');
	await expect(page.getByText(/between −1,400 and 19,600 ft/)).toBeVisible();
	await page.getByLabel('Air at the venue, °F').fill('-460');
	await page.getByLabel('Air at the venue, °F').press('Tab');
	await expect(page.getByText(/between −40 and 140 °F/)).toBeVisible();
	const sides = page.getByRole('table', { name: 'Air against helium' });
	await expect(sides.getByRole('row', { name: /build it 1 to 3 days before the same day/ })).toBeVisible();
	await page.keyboard.press('Escape');

	// A card nobody weighed, a foil filled firm by a field, and what the checker says.
	await say(page, '2 card bee');
	await expect(page.getByText(/card bee: nobody has said what it weighs/)).toBeVisible();
	await page.getByRole('button', { name: 'More of moon' }).click();
	await page.getByLabel('How full, by look').selectOption('firm');
	await page.getByLabel('Its length').fill('');
	await page.getByLabel('Its length').press('Tab');
	await page.keyboard.press('Escape');
	await expect(
		rows.getByRole('button', { name: /foam cream firm in helium on ribbon hive gold as moon/ })
	).toBeVisible();
	await expect(page.getByText(/moon: filled firm/)).toBeVisible();

	await saved(page);
	await page.reload();
	// Three items, and what holds them down.
	await expect(rows.getByRole('button', { name: /^Change/ })).toHaveCount(4);
});

test('what no bunch and no form can be is refused where it was typed, and nothing is lost', async ({
	page
}) => {
	await newDesign(page, 'Odd bunch');
	await say(page, 'bunch odd');
	for (const [line, says] of [
		['3 12 link white in helium', /A link balloon is too small and heavy to float/],
		['weight 5 at 4 gull', /What makes it heavy/],
		[`letters ${'TIDE'.repeat(60)} of gold`, /240 letters\. A wording has at most 40/],
		['3 11 at 10 gull in helium on 900 ft ribbon', /between 1 in and 100 ft/]
	] as const) {
		await say(page, line);
		await expect(page.getByRole('alert').filter({ hasText: says })).toBeVisible();
		await expect(entry(page)).toHaveValue(line);
	}
	await say(page, 'form arms');
	await expect(page.getByText('Say “6 260 black 24 wound as leg”')).toBeVisible();
	await say(page, '2 260 thrift 40 + 30');
	await expect(page.getByRole('alert').filter({ hasText: 'do not go into it' })).toBeVisible();
});

test('a form: curls on a figure, a set of bands, strokes of the pump; steps and lists know them', async ({
	page
}) => {
	const id = await newDesign(page, 'Curled figure');
	await say(
		page,
		'5 11 at 10 thrift x2',
		'form curls on column',
		'6 260 thrift 48 wound as curl on row 1 round',
		'4 260 crust 20 growing 3 bent 180 as band on row 1 front'
	);
	const rows = page.getByRole('list', { name: 'curls' });
	await expect(rows.getByText('25 strokes of hand pump')).toBeVisible();
	await expect(rows.getByText(/fan out: each needs 6¼ in more than the one inside, 3¼ short/)).toBeVisible();
	await rows.getByRole('button', { name: /^Change 4 260/ }).press('Enter');
	await entry(page).fill('4 260 crust 20 growing 6½ bent 180 as band on row 1 front');
	await entry(page).press('Enter');
	await expect(rows.getByText(/lie flat/)).toBeVisible();
	// Ten balloons, and limbs in stretches that lie before and behind them.
	const drawn = async () =>
		Number(await page.locator('[role=application] canvas').getAttribute('data-balls'));
	await expect.poll(drawn).toBeGreaterThan(20);
	await saved(page);
	await page.goto(`/bench/${id}/plan`);
	await expect(page.getByText('Fix 6 × curl on row 1, evenly round.')).toBeVisible();
	await page.goto(`/bench/${id}/lists`);
	await expect(
		page.getByRole('row', { name: /^6 260 48 in, wound, filled twice thrift pink/ })
	).toBeVisible();
});

test('a word of foils, and a foil of her own with what its maker says', async ({ page }) => {
	await newDesign(page, 'Word of foils');
	await say(page, 'letters TIDEWICK of harbour');
	await expect(page.getByRole('button', { name: /^34 foil letter I, harbour blue 2/ })).toBeVisible();
	await expect(figure(page, 'price')).toHaveText(/\d/);
	await expect(page.getByRole('list', { name: 'tidewick' })).toContainText(
		'letters TIDEWICK at 34 of harbour blue'
	);

	await page.goto('/stockroom');
	await page.getByText('Add a material').click();
	const add = page.locator('form[action="?/add"]');
	await add.getByLabel('Name').fill('foil gull 24 in');
	await add.getByLabel('Kind').selectOption('foil shape');
	await add.getByLabel('Size on the bag, in').fill('24');
	await add.getByLabel('Pieces in a pack').fill('1');
	await add.getByLabel('One holds, L, by its maker').fill('lots');
	await add.getByLabel('Chambers of a foil').fill('1½');
	await add.getByRole('button', { name: 'Add', exact: true }).click();
	await expect(add.getByText(/“lots” is not a number/)).toBeVisible();
	await expect(add.getByText(/Chambers must be a whole number/)).toBeVisible();
	await add.getByLabel('One holds, L, by its maker').fill('22');
	await add.getByLabel('One weighs, g, empty').fill('21');
	await add.getByLabel('Chambers of a foil').fill('2');
	await add.getByRole('button', { name: 'Add', exact: true }).click();
	await expect(page.getByRole('cell', { name: 'foil gull 24 in', exact: true })).toBeVisible();

	await newDesign(page, 'Gull bunch');
	await say(page, 'bunch gulls', 'weight sandbag', '1 foil gull in helium on 4 ft ribbon gold');
	// 22 L creased to nine tenths is 19.8 L: the maker's figure, not the formula's.
	await page.getByRole('button', { name: 'Gas of gulls' }).click();
	await expect(page.getByText('20 L of helium')).toBeVisible();
});

test('pipe cutting: a plan at once, the proof after it, the cut list in a design; on a phone too', async ({
	page
}) => {
	await page.setViewportSize({ width: 390, height: 844 });
	await page.goto('/thumb');
	await page.getByRole('link', { name: /^Pipe cutting/ }).click();
	await page.getByLabel('Pieces, a line each').fill('3 × 40 in');
	await expect(page.getByText('2 sticks')).toBeVisible();
	await expect(page.getByText('Good: nobody can do with less.')).toBeVisible();
	await page.getByLabel('What the saw takes, in').fill('0');
	await expect(page.getByText('1 stick', { exact: true })).toBeVisible();
	await expect(page.getByRole('img', { name: '120 in: 40 in, 40 in, 40 in; 0 in left' })).toBeVisible();

	// By rule this takes three: the worker finds the two.
	await page.getByLabel('Pieces, a line each').fill('2 × 50 in\n2 × 35 in\n2 × 35 in');
	await expect(page.getByText('2 sticks')).toBeVisible();
	await expect(page.getByText('Good: nobody can do with less.')).toBeVisible();

	await page.getByLabel('Pieces, a line each').fill('two long ones');
	await expect(page.getByText(/“two long ones”: Type how many and how long/)).toBeVisible();
	await expect(page.getByText('2 sticks')).toBeVisible();
	await page.getByLabel('Pieces, a line each').fill('1 × 12 ft');
	await expect(page.getByRole('alert')).toHaveText(/longer than every length that is sold/);
	await page.getByLabel('Pieces, a line each').fill('2 × 4 ft');
	await page.getByRole('button', { name: 'Use this cut list in a design' }).click();
	await expect(page.getByText(/step cut 1 × 120 in: 48 \+ 48|It is copied/)).toBeVisible();
});
