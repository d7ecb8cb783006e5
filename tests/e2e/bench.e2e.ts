import { pickColour, cents, entry, expect, figure, newDesign, saved, say, test } from './app.ts';
import type { Page } from '@playwright/test';

const rows = (page: Page) =>
	page
		.locator('[data-row]')
		.evaluateAll((buttons) => buttons.map((b) => b.getAttribute('aria-label')).reverse());
const row = (page: Page, name: string) => page.getByRole('button', { name, exact: true });

test('rows by keyboard: repeat, resize by half an inch, copy, move, take out, undo all of it, redo', async ({
	page
}) => {
	await newDesign(page, 'Keyboard column');
	await say(page, '4 16 at 13 grey', '4 11 at 9 gull x2', '1 11 at 10 gold');
	const start = await rows(page);
	await page.keyboard.press('Control+ArrowDown');
	await expect(row(page, '1 × 11 at 10, hive gold matte')).toBeFocused();
	await page.keyboard.press('ArrowDown');
	await page.keyboard.press('+');
	await page.keyboard.press(']');
	await expect(row(page, '4 × 11 at 9½, gull white, 3 layers')).toBeFocused();
	await page.keyboard.press('d');
	await page.keyboard.press('Alt+ArrowUp');
	await expect
		.poll(() => rows(page))
		.toEqual([
			'4 × 16 at 13, limpet grey',
			'4 × 11 at 9½, gull white, 3 layers',
			'1 × 11 at 10, hive gold matte',
			'4 × 11 at 9½, gull white, 3 layers'
		]);
	await page.keyboard.press('Delete');
	await expect.poll(() => rows(page)).toHaveLength(3);
	const end = await rows(page);
	await saved(page);
	await page.reload();
	await expect(page.getByRole('button', { name: 'Undo' })).toBeEnabled();
	for (let i = 0; i < 5; i++) await page.getByRole('button', { name: 'Undo' }).click();
	await expect.poll(() => rows(page)).toEqual(start);
	for (let i = 0; i < 5; i++) await page.getByRole('button', { name: 'Redo' }).click();
	await expect.poll(() => rows(page)).toEqual(end);
});

test('the entry line stands where the next layer goes, and takes a row’s words back', async ({ page }) => {
	await newDesign(page, 'Entry column');
	await say(page, '4 16 at 13 grey', '4 11 at 9 gull');
	await page.keyboard.press('ArrowDown');
	await expect(page.getByText('goes here')).toBeVisible();
	await page.keyboard.type('4 11 at 10 gold');
	await page.keyboard.press('Enter');
	await expect
		.poll(() => rows(page))
		.toEqual(['4 × 16 at 13, limpet grey', '4 × 11 at 10, hive gold matte', '4 × 11 at 9, gull white']);
	await row(page, '4 × 11 at 10, hive gold matte').dblclick();
	await expect(entry(page)).toHaveValue('4 × 11 at 10 gold');
	await entry(page).fill('5 × 11 at 10 spiral left gold / white x4');
	await page.keyboard.press('Enter');
	await expect
		.poll(async () => (await rows(page))[1])
		.toBe('5 × 11 at 10, hive gold matte, gull white, 4 layers');
	await page.keyboard.press('Escape');
	await say(page, '2 moss');
	await expect(page.getByText('2 × moss mat')).toBeVisible();
	await page.getByRole('button', { name: 'Take out moss mat' }).click();
	await expect(page.getByText('2 × moss mat')).toBeHidden();
});

test('rows are reordered by dragging', async ({ page }) => {
	await newDesign(page, 'Dragged column');
	await say(page, '4 16 at 13 grey', '4 11 at 9 gull', '4 11 at 10 gold');
	await row(page, '4 × 11 at 10, hive gold matte').hover();
	const handle = page.getByLabel('Drag 4 × 11 at 10, hive gold matte');
	const from = (await handle.boundingBox())!;
	const to = (await row(page, '4 × 16 at 13, limpet grey').boundingBox())!;
	await page.mouse.move(from.x + 4, from.y + 10);
	await page.mouse.down();
	await page.mouse.move(from.x + 4, to.y + 20, { steps: 12 });
	await page.mouse.move(from.x + 4, to.y + 40, { steps: 6 });
	await page.waitForTimeout(250);
	await page.mouse.up();
	await expect
		.poll(() => rows(page))
		.toEqual(['4 × 11 at 10, hive gold matte', '4 × 16 at 13, limpet grey', '4 × 11 at 9, gull white']);
});

test('two tabs: the stale one is refused, both stand side by side, and nothing typed is lost', async ({
	page,
	context
}) => {
	const id = await newDesign(page, 'Two tabs');
	await say(page, '4 11 at 9 gull');
	await saved(page);
	const other = await context.newPage();
	await other.goto(`/bench/${id}`);
	await say(other, '4 11 at 8 gold');
	await saved(other);
	await say(page, '1 11 at 10 pennant');
	const dialog = page.getByRole('dialog', { name: 'This design was changed somewhere else' });
	await expect(dialog).toBeVisible();
	await expect(dialog.getByRole('region', { name: 'Saved meanwhile' })).toContainText('4 × 11 at 8 gold');
	await expect(dialog.getByRole('region', { name: 'Yours, here' })).toContainText('1 × 11 at 10 red');
	// Closed without a choice: both are there again when she comes back.
	await page.reload();
	await expect(dialog).toBeVisible();
	await dialog.getByRole('button', { name: 'Go on with theirs' }).click();
	await expect.poll(() => rows(page)).toEqual(['4 × 11 at 9, gull white', '4 × 11 at 8, hive gold matte']);
	await page.getByRole('button', { name: 'Undo' }).click();
	await expect.poll(() => rows(page)).toEqual(['4 × 11 at 9, gull white', '1 × 11 at 10, pennant red']);
	await saved(page);
});

test('leaving keeps, and coming back loses nothing: by link, by the back button, by closing', async ({
	page
}) => {
	const id = await newDesign(page, 'Left behind');
	await say(page, '4 11 at 9 gull');
	await page.getByRole('link', { name: 'Shelf' }).click();
	await page.waitForURL(/\/shelf$/);
	await expect(page.getByRole('heading', { name: 'Left behind' })).toBeVisible();
	await page.goBack();
	await expect(row(page, '4 × 11 at 9, gull white')).toBeVisible();
	await expect(page.getByText('kept once')).toBeVisible();
	await say(page, '4 11 at 8 gold');
	await page.goto('/quotes'); // straight away, before the save could have gone
	await page.goto(`/bench/${id}`);
	await expect(row(page, '4 × 11 at 8, hive gold matte')).toBeVisible();
	await saved(page);
	await expect(page.getByRole('dialog')).toBeHidden();
});

test('a server that does not answer: it says so, keeps trying, and hands over when it is back', async ({
	page,
	app
}) => {
	await newDesign(page, 'Patient column');
	await say(page, '4 11 at 9 gull');
	await saved(page);
	await page.route('**/save', (route) => route.abort());
	await say(page, '4 11 at 8 gold');
	await expect(page.locator('[data-name=save-state]')).toContainText(
		'the server does not answer, trying again'
	);
	await app.restart();
	await page.unroute('**/save');
	await saved(page);
	await page.reload();
	await expect(row(page, '4 × 11 at 8, hive gold matte')).toBeVisible();
});

test('colourways: another colour, another picture; a slot left open has no cost', async ({ page }) => {
	await newDesign(page, 'Coloured column');
	await say(page, '4 11 at 9 gull x4');
	await page.getByRole('button', { name: /^Colourway/ }).click();
	await page.getByRole('button', { name: 'Add a colourway' }).click();
	await page.getByLabel('Name of this colourway').fill('dusk');
	await page.getByLabel('Name of this colourway').press('Enter');
	await pickColour(page, 'Colour of white', 'eelgrass');
	await expect(page.getByText('11 rounds, eelgrass')).toBeVisible();
	await pickColour(page, 'Colour of white', 'open until the job');
	await expect(figure(page, 'cost')).toContainText('+ ?');
	await expect(page.getByText(/no colour chosen in this colourway/)).toBeVisible();
	await page.getByRole('button', { name: 'first colours' }).click();
	await expect(figure(page, 'cost')).not.toContainText('?');
});

test('colourways side by side, each with its picture and price; two slots swapped; what cannot be bought is said', async ({
	page
}) => {
	await newDesign(page, 'Swapped column');
	await say(page, '4 11 at 9 gull x4', '4 16 at 12 pennant');
	const label = /^Colourway/;
	await page.getByRole('button', { name: label }).click();
	await page.getByRole('button', { name: 'Add a colourway' }).click();
	await page.getByRole('group', { name: 'Swap two colours' }).getByRole('button', { name: 'Swap' }).click();
	await expect(page.getByText('11 rounds, pennant red')).toBeVisible();
	await expect(page.getByText('16 rounds, gull white')).toBeVisible();
	await pickColour(page, 'Colour of red', 'thrift pink');
	await saved(page);
	await page.getByRole('link', { name: 'all colourways side by side' }).click();
	await expect(page.getByText('2 colourways side by side')).toBeVisible();
	const ways = page.locator('.ways > li');
	await expect(ways.nth(0)).toContainText('white: gull white');
	await expect(ways.nth(1)).toContainText('white: pennant red');
	await expect(ways.nth(1)).toContainText('16 rounds, thrift pink is not in the Stockroom');
	await expect(ways.nth(0).locator('circle')).toHaveCount(20);
	await expect(ways.nth(0).locator('dd.price')).toHaveText(/^\$\d+\.\d\d$/);
});

test('views, lists that print on a page each, and a recipe file that goes out and comes in', async ({
	page
}) => {
	await page.goto('/bench/lighthouse-column');
	for (const view of ['side', 'plan', 'front']) {
		await page.getByRole('button', { name: view, exact: true }).click();
		await expect(page.getByRole('application', { name: new RegExp(`${view}: 55 balloons`) })).toBeVisible();
	}
	await expect(page.locator('[role=application] canvas')).toHaveAttribute('data-balls', '55');
	const download = page.waitForEvent('download');
	await page.getByRole('button', { name: /^Take it away/ }).click();
	await page.getByRole('link', { name: 'recipe file' }).click();
	const file = await (await download).path();
	await page.keyboard.press('Escape');
	await page.getByRole('link', { name: 'Lists' }).click();
	await page.getByLabel('How many').fill('2');
	await page.getByRole('button', { name: 'Count' }).click();
	await expect(page.getByRole('heading', { name: '2 × Lighthouse column' })).toBeVisible();
	await expect(page.getByRole('row', { name: /11 rounds, gull white 48 \d+ \d+/ })).toBeVisible();
	await expect(page.getByRole('row', { name: /^16 11 8½ hole gull white/ })).toBeVisible();
	const pdf = await page.pdf({ format: 'Letter' });
	expect(pdf.toString('latin1').match(/\/Type\s*\/Page[^s]/g)).toHaveLength(2);
	await page.goto('/shelf/open');
	await page.getByLabel('File').setInputFiles(file);
	await page.getByRole('button', { name: 'See what it brings' }).click();
	await expect(page.getByRole('listitem').filter({ hasText: 'Lighthouse column' })).toContainText('new');
	await page.getByRole('button', { name: 'Bring it' }).click();
	await page.getByRole('link', { name: 'See the Shelf' }).click();
	await page.getByRole('link', { name: 'Lighthouse column', exact: true }).first().click();
	await page.waitForURL(/\/bench\/(?!lighthouse)/);
	await expect(page.getByText('14 layers · 55 balloons')).toBeVisible();
	expect(await cents(page, 'cost')).toBeGreaterThan(0);
});

test('the picture turns: by dragging, by the slider and its keys; a press on a balloon finds its row; front is level again', async ({
	page
}) => {
	await page.goto('/bench/planet-gate');
	const picture = page.getByRole('application', { name: /^Planet gate, front/ });
	const box = (await picture.boundingBox())!;
	const middle = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
	await page.mouse.move(middle.x, middle.y);
	await page.mouse.down();
	await page.mouse.move(middle.x + 90, middle.y + 40, { steps: 6 });
	await page.mouse.up();
	await expect(page.getByRole('application', { name: /^Planet gate, turned/ })).toBeVisible();
	await expect(page.getByRole('slider', { name: 'turn' })).toHaveAttribute('aria-valuetext', '-45°');
	await expect(page.getByRole('slider', { name: 'tilt' })).toHaveAttribute('aria-valuetext', '20°');
	// Height is not what it looks from above: it is not said.
	await expect(page.getByText(/over all/)).toBeHidden();

	const tilt = page.getByRole('slider', { name: 'tilt' });
	await tilt.focus();
	for (const left of ['15°', '10°', '5°', '0°']) {
		await page.keyboard.press('ArrowLeft');
		await expect(tilt).toHaveAttribute('aria-valuetext', left);
	}
	await expect(page.getByText(/over all/)).toBeVisible();
	await page.getByRole('slider', { name: 'turn' }).focus();
	await page.keyboard.press('ArrowRight');
	await expect(page.getByRole('slider', { name: 'turn' })).toHaveAttribute('aria-valuetext', '-40°');

	await page.getByRole('button', { name: 'front', exact: true }).click();
	await expect(picture).toBeVisible();
	await expect(page.getByRole('button', { pressed: true, name: /^4 × 16 at 12/ })).toBeHidden();
	// The lowest balloon of the left post.
	const floor = box.y + box.height - 56;
	const [left] = await page.evaluate(() => [document.querySelector('canvas')!.getBoundingClientRect().left]);
	for (let x = 40; x < box.width / 2; x += 14) {
		await page.mouse.click(left! + x, floor - 12);
		if (await page.getByRole('button', { pressed: true, name: /^4 × 16 at 12/ }).isVisible()) break;
	}
	await expect(page.getByRole('button', { pressed: true, name: /^4 × 16 at 12/ })).toBeVisible();
});

test('work made while the server does not answer is kept as it is made, and is there when the tab is gone', async ({
	page,
	context
}) => {
	const id = await newDesign(page, 'Offline column');
	await say(page, '4 16 at 13 grey');
	await saved(page);
	// Its own saves alone do not get through: the tab goes as tabs do that crash.
	await context.route('**/save', (route) => route.abort());
	await say(page, '4 11 at 9 gull x2', '1 11 at 10 gold');
	await expect(page.locator('[data-name=save-state]')).toHaveText(
		'not saved yet: the server does not answer, trying again. It is kept on this device until then'
	);
	await page.evaluate(() => {
		navigator.sendBeacon = () => false;
	});
	await page.close();
	await context.unroute('**/save');
	const again = await context.newPage();
	await again.goto(`/bench/${id}`);
	await expect.poll(() => rows(again)).toHaveLength(3);
	await saved(again);
	await again.reload();
	await expect.poll(() => rows(again)).toHaveLength(3);
});
