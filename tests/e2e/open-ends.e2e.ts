import { PNG } from 'pngjs';
import { entry, expect, figure, newDesign, saved, say, test } from './app.ts';

test('a garland whose length nobody knows, by mouse: ends that get smaller, a stretch that stays free, a price with ends', async ({
	page
}) => {
	await newDesign(page, 'Open swag');
	await say(page, 'run swag');
	const put = page.getByRole('button', { name: 'Put to swag by hand' });
	const what = page.getByRole('group', { name: 'What to put' });
	const choose = async (name: string) => {
		await put.click();
		await what.getByRole('button', { name, exact: true }).click();
	};
	const done = async () => {
		await page.getByRole('button', { name: 'Put it there' }).click();
		await expect(what).toHaveCount(0);
	};
	await choose('clusters');
	await done();
	const list = page.getByRole('list', { name: 'swag' });
	const price = figure(page, 'price');
	await expect(price).toHaveText(/\d/);
	await choose('smaller clusters towards the ends');
	await page.getByRole('button', { name: 'Over so many clusters: more' }).click();
	await done();
	await expect(list.getByText('ends thinner to 3 in over 4 clusters')).toBeVisible();
	const before = await price.innerText();
	await choose('a stretch that stays free');
	await done();
	await expect(list.getByText('free 1 ft at 4 ft')).toBeVisible();
	await expect(price).not.toHaveText(before);
	await choose('a length not known yet');
	await done();
	await expect(list.getByText('open 8 ft to 12 ft')).toBeVisible();
	await expect(page.getByText(/^may be/)).toBeVisible();
	// One step a thing; taken back it is known again.
	await page.getByRole('button', { name: 'Undo' }).click();
	await expect(list.getByText('open 8 ft to 12 ft')).toHaveCount(0);
	await page.getByRole('button', { name: 'Redo' }).click();
	await saved(page);
	await page.reload();
	await expect(list.getByText('open 8 ft to 12 ft')).toBeVisible();
	// A length that is said is known; plain words say the same.
	await entry(page).fill('line 9 ft');
	await page.keyboard.press('Enter');
	await expect(list.getByText(/^open/)).toHaveCount(0);
	await say(page, 'between 8 and 12 ft long');
	await expect(list.getByText('open 8 ft to 12 ft')).toBeVisible();
	// Wrong words are kept and say what to do.
	await entry(page).fill('open 12 ft to 8 ft');
	await page.keyboard.press('Enter');
	await expect(page.getByText(/Type the shorter first/)).toBeVisible();
	await expect(entry(page)).toHaveValue('open 12 ft to 8 ft');
});

test('a row used again changes everywhere, by mouse and by words; layers lie between two numbers', async ({
	page
}) => {
	await newDesign(page, 'Bands');
	for (const row of ['4 11 at 9 gull white', '4 11 at 10 buoy orange', 'row 1 again, twice'])
		await say(page, row);
	const rows = page.locator('[data-row]');
	await expect(rows).toHaveCount(3);
	await expect(page.getByText('like row 1')).toBeVisible();
	const [again, first] = [rows.first(), rows.last()];
	await expect(again).toContainText('at9');
	await first.click();
	await page.getByRole('button', { name: 'Inflated size: more' }).click();
	// Half an inch larger where it is said once: both are, and both are again when the other is changed.
	await expect(again).toContainText('at9½');
	await again.click();
	await page.getByRole('textbox', { name: 'Inflated size' }).fill('8');
	await page.keyboard.press('Enter');
	await expect(first).toContainText('at8');
	await page.getByLabel('The same again as').selectOption('none: a row by itself');
	await page.getByRole('textbox', { name: 'Inflated size' }).fill('7');
	await page.keyboard.press('Enter');
	await expect(again).toContainText('at7');
	await expect(first).toContainText('at8');
	await say(page, '3 5 at 4 hive gold x 2 to 4');
	await expect(page.getByText('2 to 4 layers')).toBeVisible();
	await expect(page.getByText(/^may be/)).toBeVisible();
	await entry(page).fill('3 5 at 4 hive gold x 4 to 2');
	await page.keyboard.press('Enter');
	await expect(page.getByText(/The fewest come first/)).toBeVisible();
	await saved(page);
});

test('a tuft on a corner of a frame and a dot in a bay of a net, chosen by mouse', async ({ page }) => {
	await newDesign(page, 'Corners');
	for (const words of ['frame door', 'door 6 ft by 7 ft feet 2 ft', 'section tuft on door top left', '4 5 at 4 gull white']) await say(page, words); // prettier-ignore
	await page.getByRole('button', { name: 'Name and place of tuft' }).click();
	await page.getByLabel('Sits on').selectOption('top right');
	await page.keyboard.press('Escape');
	await expect(page.getByText('top right', { exact: false }).first()).toBeVisible();
	await saved(page);
	await page.reload();
	await expect(page.getByText('top right', { exact: false }).first()).toBeVisible();
});

test('a foil has the edge that is drawn for it: wrong drawings are answered at the field and kept, a file does too', async ({
	page
}) => {
	await page.goto('/stockroom');
	await page.getByText('Add a material').first().click();
	await page.getByLabel('Name', { exact: true }).first().fill('foil kite 30 in, gull white');
	await page.getByLabel('Kind').first().selectOption({ label: 'foil shape' });
	await page.getByLabel('Size on the bag, in').fill('30');
	await page.getByLabel('Pieces in a pack').fill('1');
	const edge = page.getByLabel(/^Edge of a foil/);
	await edge.fill('a kite');
	await expect(page.getByText(/There is no path in it/)).toBeVisible();
	await page.getByRole('button', { name: 'Add', exact: true }).first().click();
	await expect(page.getByText(/There is no path in it/)).toBeVisible();
	await expect(edge).toHaveValue('a kite');
	await page.getByLabel('from a drawing, or a photo').setInputFiles({ name: 'kite.svg', mimeType: 'image/svg+xml', buffer: Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"><path d="M5 0 L10 4 L5 14 L0 4 Z"/></svg>') }); // prettier-ignore
	await expect(page.getByRole('img', { name: 'Its edge as it will be drawn' })).toBeVisible();
	await page.getByRole('button', { name: 'Add', exact: true }).first().click();
	await expect(page.getByText('foil kite 30 in, gull white is in the Stockroom.')).toBeVisible();
	await page.goto('/stockroom?search=kite');
	await expect(page.getByText('foil kite 30 in, gull white').first()).toBeVisible();
});

/** A photo of a disc on a plain ground, with a speck beside it. */
function discPhoto(): Buffer {
	const png = new PNG({ width: 300, height: 200 });
	for (let y = 0; y < 200; y++)
		for (let x = 0; x < 300; x++) {
			const thing = Math.hypot(x - 150, y - 100) < 70 || Math.hypot(x - 20, y - 20) < 3;
			png.data.set(thing ? [190, 45, 40, 255] : [230, 226, 218, 255], (y * 300 + x) * 4);
		}
	return PNG.sync.write(png);
}

test('a photo gives its edge, an assorted bag its colours; both are bought, drawn and said by name', async ({
	page
}) => {
	await page.goto('/stockroom');
	await page.getByText('Add a material').first().click();
	await page.getByLabel('Kind').first().selectOption({ label: 'foil shape' });
	const edge = page.getByLabel(/^Edge of a foil/);
	const file = page.getByLabel('from a drawing, or a photo');
	await file.setInputFiles({ name: 'odd.png', mimeType: 'image/png', buffer: Buffer.from('no photo') });
	await expect(page.getByText('That photo could not be opened here.')).toBeVisible();
	await file.setInputFiles({ name: 'disc.png', mimeType: 'image/png', buffer: discPhoto() });
	await expect(page.getByRole('img', { name: 'Its edge as it will be drawn' })).toBeVisible();
	await expect(edge).toHaveValue(/^M[\d. L]+Z$/);

	// One colour is no assortment: it is said at the field, and what was picked stays.
	const bag = page.getByRole('group', { name: 'An assorted bag of' });
	await page.getByLabel('New colour').fill('carnival');
	const pick = async (name: string) => {
		await bag.getByRole('button', { name: /^Another colour/ }).click();
		await page.getByRole('button', { name, exact: true }).click();
	};
	await pick('pennant red');
	await page.getByRole('button', { name: 'Add the colour' }).click();
	await expect(page.getByText('An assorted bag has two colours or more.')).toBeVisible();
	await expect(bag.getByText('pennant red')).toBeVisible();
	await pick('gull white');
	await pick('kelp green');
	await page.getByRole('button', { name: 'Add the colour' }).click();
	await expect(page.getByText('carnival is a colour now.')).toBeVisible();

	await newDesign(page, 'Carnival post');
	await say(page, '4 11 at 9 carnival x5');
	await say(page, '4 11 at 9 hidden');
	await expect(page.getByText('hidden').first()).toBeVisible();
	await saved(page);
	await page.reload();
	await expect(page.getByText('carnival').first()).toBeVisible();
});
