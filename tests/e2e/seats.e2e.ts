import { cents, expect, newDesign, saved, say, test } from './app.ts';

test('by mouse: a section sits on a part of another, and stays there when rows change', async ({ page }) => {
	await newDesign(page, 'Crowned');
	await say(
		page,
		'4 11 at 9 white',
		'put 1 11 at 7 thrift as head on row 1 front',
		'section crown right of column',
		'1 5 at 3 hive gold'
	);
	await page.getByRole('button', { name: 'Name and place of crown' }).click();
	await page.getByLabel('On which side').selectOption('on a part of it');
	await page.getByLabel('Sits on').selectOption('on head');
	await page.getByLabel('Where on it').selectOption('up');
	await page.keyboard.press('Escape');
	await expect(page.getByText('on head, up', { exact: false })).toBeVisible();
	await saved(page);
	await page.reload();
	await expect(page.getByText('on head, up', { exact: false })).toBeVisible();
	// Beside it again: what it sat on is no matter any more.
	await page.getByRole('button', { name: 'Name and place of crown' }).click();
	await page.getByLabel('On which side').selectOption('left');
	await page.keyboard.press('Escape');
	await expect(page.getByText('left of column', { exact: false })).toBeVisible();
});

test('by mouse: a row is as large as the one below it, keeps to it, and is its own when a size is said', async ({
	page
}) => {
	await newDesign(page, 'Stepped');
	await say(page, '4 11 at 8 white', '4 11 at 8 white');
	const [upper, lower] = [page.locator('[data-row]').first(), page.locator('[data-row]').last()];
	await upper.click();
	await page.getByLabel('As large as').selectOption('the row below');
	await page.getByLabel('and so much more, in').fill('a bit');
	await page.getByLabel('and so much more, in').press('Tab');
	await expect(page.getByLabel('and so much more, in')).toHaveValue('a bit');
	await page.getByLabel('and so much more, in').fill('1');
	await page.getByLabel('and so much more, in').press('Tab');
	await expect(upper).toContainText('as below + 1');
	await expect(upper).toContainText('9');
	await lower.click();
	await page.getByRole('textbox', { name: 'Inflated size' }).fill('9');
	await page.keyboard.press('Enter');
	await expect(upper).toContainText('at10');
	await upper.click();
	await page.getByRole('textbox', { name: 'Inflated size' }).fill('7');
	await page.keyboard.press('Enter');
	await expect(upper).not.toContainText('as below');
	await saved(page);
	await page.reload();
	await expect(page.locator('[data-row]').first()).toContainText('at7');
});

test('by mouse: a piece is fixed on trial, then for good, with two of it; by keys the same line says it', async ({
	page
}) => {
	await newDesign(page, 'Eyed');
	await say(page, '4 11 at 9 white', 'put 2 5 at 3 black as eyes on row 1 front');
	const before = await cents(page, 'cost');
	await page.getByRole('button', { name: 'Change eyes', exact: true }).click();
	await page.getByLabel('Fixed with').selectOption('trial loop');
	await page.getByLabel('And then for good').selectOption('glue');
	await page.getByLabel('Fixings a piece').fill('2');
	await page.getByLabel('Fixings a piece').press('Tab');
	await page.keyboard.press('Escape');
	await expect(page.getByText('2 trial loop then glue', { exact: false }).first()).toBeVisible();
	expect(await cents(page, 'cost')).not.toBe(before);
	await say(page, 'put 1 5 at 3 thrift as nose on row 1 front with ½ strip then glue');
	await expect(page.getByText('strip then glue', { exact: false }).first()).toBeVisible();
});

test('a cage is woven by keys: its links, its floats and its size are there at once', async ({ page }) => {
	await newDesign(page, 'Pot');
	await say(
		page,
		'weave pot',
		'cage of 10 links at 9, 4 by 3, 3 rings',
		'rows 14 crust',
		'bays of 5 at 4 white'
	);
	await expect(page.getByText(/4′ 4″ by 3′ 5″, 2′ 7″ high/)).toBeVisible();
	// 3 rings of 14 and 2 × 4 posts; a float in each of 2 × 4 bays.
	await expect(page.getByRole('button', { name: /^10 .*links?, crust brown 50/ })).toBeVisible();
	await expect(page.getByRole('button', { name: /^5 rounds, gull white 8/ })).toBeVisible();
});

test('by mouse: a row of layers alike is split where a step goes between', async ({ page }) => {
	await newDesign(page, 'Split');
	await say(page, '4 11 at 9 white x5');
	await page.locator('[data-row]').first().click();
	await page.getByLabel('Split it after so many layers').fill('9');
	await page.getByLabel('Split it after so many layers').press('Tab');
	await expect(page.getByText('It has 5 layers: split it after 1 to 4.')).toBeVisible();
	await page.getByLabel('Split it after so many layers').fill('2');
	await page.getByLabel('Split it after so many layers').press('Tab');
	await expect(page.locator('[data-row]')).toHaveCount(2);
	await expect(page.locator('[data-row]').first()).toContainText('×3');
	await expect(page.locator('[data-row]').last()).toContainText('×2');
	await page.keyboard.press('Escape');
	await page.getByRole('button', { name: /^Undo/ }).click();
	await expect(page.locator('[data-row]')).toHaveCount(1);
});
