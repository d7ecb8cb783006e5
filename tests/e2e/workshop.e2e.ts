import { entry, expect, newDesign, saved, say, test } from './app.ts';

test('letters, sticks in a box and tube from point to point: said, refused in words, a joint moved by keys, taken apart', async ({
	page
}) => {
	await newDesign(page, 'Of tube');
	await say(page, 'frame sign', 'letter T 4 ft');
	await entry(page).fill('letter K 4 ft');
	await page.keyboard.press('Enter');
	await expect(page.getByText(/no square frame here/)).toBeVisible();
	await entry(page).fill('');
	await say(page, 'box 3 sticks 3 ft apart 10 in');
	await expect(page.getByText(/3′ 0″ high, 1 length/)).toBeVisible();
	await entry(page).fill('parts 0 by 0 to 0 by −2 ft');
	await page.keyboard.press('Enter');
	await expect(page.getByText(/Nothing goes below the floor/)).toBeVisible();
	await entry(page).fill('');
	await say(page, 'door 4 ft by 6 ft feet 2 ft', 'taken apart');
	const joints = page.getByRole('button', { name: /joint \d/ });
	await expect(joints).toHaveCount(4);
	const before = await page.getByRole('button', { name: /^Change parts/ }).textContent();
	await joints.nth(2).focus();
	for (let i = 0; i < 4; i++) await page.keyboard.press('ArrowRight');
	await expect(page.getByRole('button', { name: /^Change parts/ })).not.toHaveText(before!);
	await say(page, 'guyed 4 at 5 ft out 4 ft', 'covered in tissue', 'for grass on plate 24 in');
	await saved(page);
	await page.getByRole('link', { name: 'Steps' }).click();
	await expect(page.getByText(/^Tie 4 lines to sign/)).toBeVisible();
	await expect(page.getByText(/^Cover the tube of sign: wound in tissue/)).toBeVisible();
});

test('a mast lower than its tree is refused at its field', async ({ page }) => {
	await newDesign(page, 'Mast');
	await say(page, 'frame mast');
	await page.getByText('add a post on a plate …').click();
	await page.getByRole('button', { name: 'a mast with a tree' }).click();
	await page.getByRole('textbox', { name: 'How high the tree is' }).fill('9 ft');
	await page.getByRole('textbox', { name: 'Mast', exact: true }).fill('7 ft');
	await expect(page.getByText('The tree is no higher than its mast.')).toBeVisible();
	await expect(page.getByRole('button', { name: 'Put it there' })).toBeDisabled();
});

test('pieces that come back are written down, mended and lost; nonsense is said at its field', async ({
	page
}) => {
	await page.goto('/stockroom');
	await page.getByRole('link', { name: /What comes back/ }).click();
	await expect(page.getByText(/are wanted/).first()).toBeVisible();
	const add = page.getByRole('region', { name: 'Write pieces down' });
	await add.getByLabel('Thing').selectOption({ label: 'arch frame, jointed' });
	await add.getByLabel('How many').fill('two');
	await add.getByLabel('Where it is').fill('loft');
	await add.getByRole('button', { name: 'Write down' }).click();
	await expect(add.getByText(/“two”|whole number/)).toBeVisible();
	await expect(add.getByLabel('Where it is')).toHaveValue('loft');
	await add.getByLabel('How many').fill('2');
	await add.getByLabel('Hired out for').fill('60');
	await add.getByRole('button', { name: 'Write down' }).click();
	await expect(page.getByText('2 × arch frame, jointed: written down.')).toBeVisible();
	const pieces = page.getByRole('region', { name: 'Pieces' });
	const own = pieces.getByRole('listitem').filter({ hasText: 'arch frame, jointed 2' });
	await own.getByRole('button', { name: 'change' }).click();
	await own.getByLabel('It is', { exact: true }).selectOption('in repair');
	await own.getByLabel('Note').fill('a joint is cracked');
	await own.getByRole('button', { name: 'Change', exact: true }).click();
	await expect(page.getByText('arch frame, jointed 2 is changed.')).toBeVisible();
	await expect(own).toContainText('a joint is cracked');
	await expect(page.getByRole('row', { name: /^arch frame, jointed 1/ })).toBeVisible();
	// What could not be kept of one piece stays with it, and is not in the fields of another.
	await own.getByRole('button', { name: 'change' }).click();
	await own.getByLabel('What is written on it').fill('tall stand 1');
	await own.getByLabel('Hired out for').fill('lots');
	await own.getByRole('button', { name: 'Change', exact: true }).click();
	await expect(own.getByText(/“lots”/)).toBeVisible();
	await expect(own.getByLabel('What is written on it')).toHaveValue('tall stand 1');
	const other = pieces.getByRole('listitem').filter({ hasText: 'plate 1' });
	await other.getByRole('button', { name: 'change' }).click();
	await expect(other.getByLabel('What is written on it')).toHaveValue('plate 1');
	await expect(other.getByText(/“lots”/)).toBeHidden();
	for (const from of ['9999-12-31', '2026-02-31', 'never'])
		expect((await page.request.get(`/stockroom/things?from=${from}`)).status()).toBe(200);
});

test('jobs are cut together, offcuts first; what is left goes to the shelf, and no offcut is cut twice', async ({
	page
}) => {
	await page.goto('/stockroom/cut');
	const shelf = page.getByRole('region', { name: 'On the shelf' });
	await shelf.getByLabel('Tube or sheet').selectOption({ label: 'white tube, inch' });
	await shelf.getByLabel('How long, in').fill('a bit');
	await shelf.getByRole('button', { name: 'Put on the shelf' }).click();
	await expect(shelf.getByText(/“a bit”/)).toBeVisible();
	await shelf.getByLabel('How long, in').fill('118');
	await shelf.getByRole('button', { name: 'Put on the shelf' }).click();
	await expect(shelf.getByText('1 × 118 in')).toBeVisible();
	for (const box of await page.getByRole('checkbox').all()) await box.check();
	await page.getByRole('button', { name: 'Cut these together' }).click();
	const cut = page.getByRole('region', { name: 'To cut of white tube, inch' });
	await expect(cut).toContainText('nobody can do with less');
	await expect(cut).toContainText('1 × 118 in off the shelf');
	const twice = await page.context().newPage();
	await twice.goto(page.url());
	await expect(twice.getByRole('region', { name: 'To cut of white tube, inch' })).toContainText(
		'off the shelf'
	);
	await cut.getByRole('button', { name: 'It is cut' }).click();
	await expect(page.getByText('Cut: what is left is on the shelf.')).toBeVisible();
	await expect(shelf.getByText('1 × 118 in')).toHaveCount(0);
	await twice.getByRole('button', { name: 'It is cut' }).first().click();
	await expect(twice.getByText(/no longer on the shelf/)).toBeVisible();
});

test('plates of jobs are laid on sheets together, a rest first; what is left goes to the shelf', async ({
	page
}) => {
	await page.goto('/stockroom/cut');
	const shelf = page.getByRole('region', { name: 'On the shelf' });
	await shelf.getByLabel('Tube or sheet').selectOption({ label: 'plywood sheet' });
	await shelf.getByLabel('How long, in').fill('31');
	await shelf.getByRole('button', { name: 'Put on the shelf' }).click();
	await expect(shelf.getByText(/has two sides/)).toBeVisible();
	await shelf.getByLabel('How wide, of a sheet').fill('30½');
	await shelf.getByRole('button', { name: 'Put on the shelf' }).click();
	await expect(shelf.getByText('1 × 31 by 30½ in')).toBeVisible();
	for (const box of await page.getByRole('checkbox').all()) await box.check();
	await page.getByRole('button', { name: 'Cut these together' }).click();
	const cut = page.getByRole('region', { name: 'To cut of plywood sheet' });
	await expect(cut).toContainText('30 by 30 in');
	await expect(cut).toContainText('1 × 31 by 30½ in off the shelf');
	await cut.getByLabel('A sheet, with what it costs').fill('as usual');
	await expect(cut.getByText(/two sides/)).toBeVisible();
	await cut.getByLabel('A sheet, with what it costs').fill('5 ft by 5 ft at 40.00');
	await expect(cut).toContainText('nobody can do with less');
	await cut.getByRole('button', { name: 'It is cut' }).click();
	await expect(page.getByText('Cut: what is left is on the shelf.')).toBeVisible();
	await expect(shelf.getByText('1 × 31 by 30½ in')).toHaveCount(0);
});

test('sheets: how few, how each is cut, a plate larger than a sheet, nonsense at its field', async ({
	page
}) => {
	await page.goto('/thumb/sheets');
	await expect(page.getByText('2 sheets')).toBeVisible();
	await page.getByLabel('Plates, a line each').fill('32 × 12 by 12 in');
	await page.getByLabel('What the saw takes, in').fill('0');
	await expect(page.getByText('1 sheet')).toBeVisible();
	await expect(page.getByText('nobody can do with less')).toBeVisible();
	await page.getByLabel('Plates, a line each').fill('1 × 60 by 60 in');
	await expect(page.getByRole('alert')).toContainText('larger than a sheet');
	await page.getByLabel('Plates, a line each').fill('some');
	await expect(page.getByText(/how many and their sides/)).toBeVisible();
});

test('a quote picks the base for its ground, and is priced on it', async ({ page }) => {
	await page.goto('/bench/plywood-stand');
	await expect(entry(page)).toBeFocused();
	await page.getByRole('button', { name: 'Quote this' }).click();
	await page.getByLabel('Client').fill('Tidewick Sailing Club');
	await page.getByRole('button', { name: 'New quote' }).click();
	await page.waitForURL(/\/quotes\/[\w-]+$/);
	await page.getByRole('combobox', { name: 'It stands on' }).first().waitFor();
	await page.getByRole('combobox', { name: 'It stands on' }).first().selectOption('stage');
	await expect(page.locator('[data-name=quote-state]')).toHaveText('saved');
	await page.reload();
	await expect(page.getByRole('combobox', { name: 'It stands on' }).first()).toHaveValue('stage');
});

test('what is hired out comes with its price and its deposit, as they are written down', async ({ page }) => {
	await page.goto('/quotes');
	await page.getByLabel('Client').fill('Quayside Supper Rooms');
	await page.getByRole('button', { name: 'New quote' }).click();
	await page.waitForURL(/\/quotes\/.+/);
	await page.getByLabel('Hire out').selectOption({ label: 'stand with 8 ft pole' });
	const line = page.getByRole('group', { name: 'stand with 8 ft pole' });
	await expect(line.getByLabel('Note to the client')).toHaveValue('Deposit $40.00, given back with it.');
	await expect(line.getByLabel(/^Price/)).toHaveValue('18.00');
	await expect(page.locator('[data-name=quote-state]')).toHaveText('saved');
	await page.reload();
	await expect(line.getByLabel(/^Price/)).toHaveValue('18.00');
});
