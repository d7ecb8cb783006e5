import { PNG } from 'pngjs';
import { expect, figure, newDesign, saved, say, test } from './app.ts';

test('a price changed says first what it moves; asked again for another; two packs, a sale, which counts: by mouse and typing', async ({
	page
}) => {
	await page.goto('/stockroom?search=11 in round, gull');
	await page.getByRole('link', { name: '11 in round, gull white' }).click();
	await expect(page.getByText('this price counts')).toBeVisible();
	await page.getByRole('button', { name: /^Change the pack of/ }).click();
	const price = page.getByLabel('Price (blank: not known)').first();
	await price.fill('twelve');
	await page.getByRole('button', { name: 'Save the pack' }).click();
	await expect(page.getByText('“twelve” is not an amount', { exact: false })).toBeVisible();
	await expect(price).toHaveValue('twelve');
	await price.fill('33.00');
	await page.getByRole('button', { name: 'Save the pack' }).click();
	const asks = page.getByRole('alert').filter({ hasText: 'This moves' }).locator('p').first();
	await expect(asks).toContainText(/This moves \d+ designs.*; the largest by \+\d+\.\d\d, /, {
		timeout: 60_000
	});
	const first = await asks.innerText();
	// What is meant is what was asked about: another price is asked about again.
	await price.fill('66.00');
	await page.getByRole('button', { name: 'Save, that is meant' }).click();
	await expect(asks).not.toHaveText(first, { timeout: 20_000 });
	await page.getByRole('button', { name: 'Save, that is meant' }).click();
	await expect(page.getByText('100 for 66.00').first()).toBeVisible();

	await page.getByText('Another pack or supplier').click();
	const add = page.locator('form[action="?/addPack"]');
	await add.getByLabel('… or a new one, by its name').fill('Lantern Lane Trade Counter');
	await add.getByLabel('Pieces in a pack').fill('50');
	await add.getByLabel('Price (blank: not known)').fill('9.00');
	await add.getByLabel('Price breaks, in packs').fill('ten cheaper');
	await add.getByRole('button', { name: 'Add the pack' }).click();
	await expect(add.getByText('is no price break', { exact: false })).toBeVisible();
	await add.getByLabel('Price breaks, in packs').fill('4 at 8.50; 10 at 8');
	await add.getByRole('button', { name: 'Add the pack' }).click();
	await page.getByRole('button', { name: 'Add it, that is meant' }).click();
	await expect(page.getByText('A pack of Lantern Lane Trade Counter is there.')).toBeVisible();
	const own = page.getByRole('listitem').filter({ hasText: 'Lantern Lane' });
	await expect(own).toContainText('this price counts');
	await expect(own).toContainText('4 at 8.50; 10 at 8.00');
	await expect(page.getByText('How its price went')).toBeVisible();

	await page.goto('/stockroom/suppliers');
	const supplier = page.getByRole('form', { name: 'Lantern Lane Trade Counter' });
	await supplier.getByLabel('Days to the door').fill('soon');
	await supplier.getByRole('button', { name: 'Save' }).click();
	await expect(supplier.getByText('“soon” is not a number', { exact: false })).toBeVisible();
	await supplier.getByLabel('Days to the door').fill('3');
	await supplier.getByLabel('Sending costs').fill('7.50');
	await supplier.getByRole('button', { name: 'Save' }).click();
	await expect(page.getByText('Lantern Lane Trade Counter is saved.')).toBeVisible();
	await page.reload();
	await expect(supplier.getByLabel('Sending costs')).toHaveValue('7.50');
});

test('what is retired is offered no more and counted where it is; one that stands for another takes its place', async ({
	page
}) => {
	await page.goto('/bench/lighthouse-column');
	const before = await figure(page, 'price').innerText();
	await page.goto('/stockroom/round-11-gull-white');
	await page.getByRole('button', { name: 'Retire it' }).click();
	await expect(page.getByText('It is retired: offered nowhere')).toBeVisible();
	await page.goto('/bench/lighthouse-column');
	await expect(figure(page, 'price')).toHaveText(before);
	await page.goto('/stockroom/round-11-gull-white');
	await page.getByRole('button', { name: 'Offer it again' }).click();
	await expect(page.getByText('It is retired')).toHaveCount(0);
	await page.getByLabel('It is the same as').selectOption({ label: '11 in round, foam cream' });
	await page.getByRole('button', { name: 'Make them one' }).click();
	await expect(page.getByRole('alert')).toContainText('This moves');
	await page.getByRole('button', { name: 'Make them one, that is meant' }).click();
	await expect(page.getByRole('heading', { name: '11 in round, foam cream' })).toBeVisible();
	await page.goto('/stockroom/round-11-gull-white');
	await expect(page.getByText('stands for it')).toBeVisible();
});

test('what is on the shelf: bought by the bag, lost, counted on a phone by finger; set aside and low are said', async ({
	page
}) => {
	await page.goto('/stockroom/round-5-kelp');
	const shelf = page.getByRole('region', { name: 'On the shelf' });
	await expect(shelf).toContainText('not counted yet');
	await shelf.getByLabel('How many').fill('a few');
	await shelf.getByRole('button', { name: 'Write it down' }).click();
	await expect(shelf.getByText('is not a number', { exact: false })).toBeVisible();
	await expect(shelf.getByLabel('How many')).toHaveValue('a few');
	await shelf.getByLabel('How many').fill('2 bags and 34');
	await shelf.getByLabel('What all of it cost').fill('20');
	await shelf.getByRole('button', { name: 'Write it down' }).click();
	await expect(shelf).toContainText('2 bags and 34');
	await expect(shelf).toContainText('20.00');
	await shelf.getByLabel('What happened').selectOption({ label: 'used' });
	await shelf.getByLabel('How many').fill('40');
	await shelf.getByRole('button', { name: 'Write it down' }).click();
	await expect(shelf).toContainText('1 bag and 94');
	await shelf.getByText('What came and went').click();
	await expect(shelf.getByRole('listitem').filter({ hasText: '−40' })).toBeVisible();

	await page.setViewportSize({ width: 390, height: 844 });
	await page.goto('/stockroom/count');
	const sheet = page.getByLabel(/^5 in round, kelp green/);
	await page.getByRole('button', { name: 'Write the count down' }).click();
	await expect(page.getByText('Nothing is counted yet.')).toBeVisible();
	await sheet.fill('lots');
	await page.getByRole('button', { name: 'Write the count down' }).click();
	await expect(page.getByText('“lots” is not a number', { exact: false })).toBeVisible();
	await expect(sheet).toHaveValue('lots');
	await sheet.fill('1 bag and 90');
	await page.getByRole('button', { name: 'Write the count down' }).click();
	await expect(page.getByText('1 counted, 1 differed.')).toBeVisible();
	expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
	await page.goto('/stockroom?search=kelp');
	await expect(page.getByRole('row').filter({ hasText: '5 in round, kelp green' })).toContainText('1 bag and 90');
}); // prettier-ignore

/** A photo of stripes: two thirds of it red, a third blue. */
function stripes(): Buffer {
	const png = new PNG({ width: 300, height: 200 });
	for (let y = 0; y < 200; y++)
		for (let x = 0; x < 300; x++)
			png.data.set(x < 200 ? [196, 58, 44, 255] : [42, 108, 144, 255], (y * 300 + x) * 4);
	return PNG.sync.write(png);
}

test('colours of a picture go into a design in one step, as they can be bought; Undo takes them back', async ({
	page
}) => {
	await newDesign(page, 'From a photo');
	await say(page, '4 11 at 9 gull white x5', '1 11 at 9 hive gold');
	await page.getByRole('button', { name: /^Colourway first colours/ }).click();
	const file = page.getByLabel('Take the colours from a picture');
	await file.setInputFiles({ name: 'odd.png', mimeType: 'image/png', buffer: Buffer.from('no photo') });
	await expect(page.getByText('That photo could not be opened here.')).toBeVisible();
	await file.setInputFiles({ name: 'flag.png', mimeType: 'image/png', buffer: stripes() });
	const buy = page.getByRole('list', { name: 'What can be bought for them' });
	await expect(buy.getByRole('listitem')).toHaveCount(2);
	await expect(buy).toContainText('pennant red');
	await expect(buy).toContainText('harbour blue');
	await expect(page.getByRole('img', { name: 'The piece in these colours' })).toBeVisible();
	// One that is not meant is left out, and meant again.
	const blue = page.getByRole('button', { name: /^33 % of it/ });
	await blue.click();
	await expect(buy.getByRole('listitem')).toHaveCount(1);
	await blue.click();
	await expect(buy.getByRole('listitem')).toHaveCount(2);
	await page.getByRole('button', { name: 'Put them into the design' }).click();
	await page.keyboard.press('Escape');
	await expect(page.getByText('pennant red').first()).toBeVisible();
	await expect(page.getByText('gull white')).toHaveCount(0);
	await saved(page);
	await page.getByRole('button', { name: 'Undo' }).click();
	await expect(page.getByText('gull white').first()).toBeVisible();
	await expect(page.getByText('pennant red')).toHaveCount(0);
});

test('what is typed in one form of a material stays while another is sent, refused or not', async ({
	page
}) => {
	await page.goto('/stockroom/round-11-thrift');
	const what = page.getByRole('region', { name: 'What it is' });
	await what.getByLabel('Name').fill('11 in round, thrift');
	await what.getByLabel('One weighs, g, empty').fill('light');
	await what.getByRole('button', { name: 'Save' }).click();
	await expect(what.getByText('“light” is not a number', { exact: false })).toBeVisible();
	const shelf = page.getByRole('region', { name: 'On the shelf' });
	await shelf.getByLabel('How many').fill('3 bags');
	await shelf.getByRole('button', { name: 'Write it down' }).click();
	await expect(shelf).toContainText('3 bags');
	await expect(shelf.getByLabel('How many')).toHaveValue('');
	await expect(what.getByLabel('Name')).toHaveValue('11 in round, thrift');
	await expect(what.getByLabel('One weighs, g, empty')).toHaveValue('light');
	// Fields of a pack that was refused can be closed.
	const change = page.getByRole('button', { name: /^Change the pack of/ });
	await change.click();
	await page.getByLabel('Price (blank: not known)').first().fill('cheap');
	await page.getByRole('button', { name: 'Save the pack' }).click();
	await expect(page.getByText('“cheap” is not an amount', { exact: false })).toBeVisible();
	await change.click();
	await expect(page.getByRole('button', { name: 'Save the pack' })).toHaveCount(0);
	// Saved, the name is another; saved again without a change it is asked nothing.
	await what.getByLabel('One weighs, g, empty').fill('3');
	await what.getByRole('button', { name: 'Save' }).click();
	await expect(page.getByRole('heading', { name: '11 in round, thrift', exact: true })).toBeVisible();
	await what.getByRole('button', { name: 'Save' }).click();
	await expect(page.getByText('Saved.')).toBeVisible();
	await expect(page.getByText('“cheap” is not an amount', { exact: false })).toHaveCount(0);
	await expect(page.getByText('This moves', { exact: false })).toHaveCount(0);
});

test('a colour that is added leaves what is typed of a material as it is', async ({ page }) => {
	await page.goto('/stockroom');
	await page.getByText('Add a material').click();
	const add = page.locator('form[action="?/add"]');
	await add.getByLabel('Kind').selectOption('modelling balloon');
	await add.getByLabel('Name').fill('260 modelling balloon, thrift pink');
	await add.getByLabel('Model').fill('260');
	await add.getByRole('button', { name: /^Colour of the material/ }).click();
	await page.getByRole('button', { name: 'thrift pink', exact: true }).click();
	await page.getByLabel('New colour').fill('squall violet');
	await page.getByRole('button', { name: 'Add the colour' }).click();
	await expect(page.getByText('squall violet is a colour now.')).toBeVisible();
	await expect(add.getByLabel('Kind')).toHaveValue('modelling');
	await expect(add.getByLabel('Model')).toHaveValue('260');
	await expect(add.getByRole('button', { name: 'Colour of the material: thrift pink' })).toBeVisible();
});
