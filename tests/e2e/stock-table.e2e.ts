import { expect, test } from './app.ts';

test('the Stockroom is searched, put in order, grouped and kept as a view, by mouse and by keys', async ({
	page
}) => {
	await page.goto('/stockroom');
	await page.getByLabel('Search the Stockroom').pressSequentially('gull 11');
	await expect(page.getByRole('row', { name: /gull white/ })).toHaveCount(1);
	await page.getByLabel('Search the Stockroom').fill('gull');
	await page.getByRole('button', { name: 'pack price' }).click();
	await page.getByRole('button', { name: 'pack price' }).click();
	await expect(page.getByRole('columnheader', { name: /pack price/ })).toHaveAttribute('aria-sort', 'descending'); // prettier-ignore
	await expect(page.locator('[data-row]').first()).toHaveText('16 in round, gull white');
	await page.getByLabel('kind by kind').check();
	await expect(page.getByRole('button', { name: '▾ modelling balloon' })).toBeVisible();
	await page.getByText('Columns', { exact: true }).click();
	await page.getByLabel('worth', { exact: true }).check();
	await page.getByText('Columns', { exact: true }).click();
	await page.getByText('Keep this view', { exact: true }).click();
	await page.getByRole('button', { name: 'Keep it' }).click();
	await expect(page.getByText('Give the view a name first.')).toBeVisible();
	await page.getByLabel('Name of this view').fill('whites by price');
	await page.getByRole('button', { name: 'Keep it' }).click();
	await expect(page.getByRole('link', { name: 'whites by price' })).toBeVisible();
	// It is an address: reloaded, left and come back to it is the same.
	await page.goto('/stockroom');
	await page.getByRole('link', { name: 'whites by price' }).click();
	await expect(page.getByLabel('Search the Stockroom')).toHaveValue('gull');
	await expect(page.getByRole('columnheader', { name: 'worth' })).toBeVisible();
	await expect(page.locator('[data-row]').first()).toHaveText('16 in round, gull white');
	// By keys: down to the next, F2 changes its pack, Esc leaves it, Enter opens it.
	await page.locator('[data-row]').first().focus();
	await page.keyboard.press('ArrowDown');
	await expect(page.locator('[data-row]').nth(1)).toBeFocused();
	await page.keyboard.press('F2');
	await expect(page.getByRole('textbox', { name: 'Price' })).toBeFocused();
	await page.keyboard.press('Escape');
	await expect(page.locator('[data-row]').nth(1)).toBeFocused();
	await page.keyboard.press('Enter');
	await expect(page.getByRole('heading', { level: 1 })).toContainText('gull white');
	await page.goto('/stockroom');
	await page.getByRole('button', { name: 'Forget the view whites by price' }).click();
	await expect(page.getByRole('link', { name: 'whites by price' })).toHaveCount(0);
});

test('a label’s code that is scanned leads to its material; a code nobody has is said', async ({ page }) => {
	await page.goto('/stockroom/labels?search=hive+gold');
	await expect(page.getByRole('listitem').filter({ hasText: '9 in round, hive gold' })).toBeVisible();
	const label = page.getByRole('listitem').filter({ hasText: '11 in round, hive gold' }).first();
	const code = (await label.locator('p').last().textContent())!.trim();
	await page.goto('/stockroom');
	const scan = page.getByLabel('Scan or type a code');
	await scan.fill('NOSUCH');
	await scan.press('Enter');
	await expect(page.getByText('Nothing has the code “NOSUCH”.')).toBeVisible();
	await scan.fill(code.toLowerCase());
	await scan.press('Enter');
	await expect(page.getByRole('heading', { level: 1 })).toContainText('11 in round, hive gold');
});

test('of thousands of rows only those in view are drawn, and keys go through them', async ({ page }) => {
	test.setTimeout(90_000);
	await page.goto('/stockroom/list');
	await page.getByLabel('Name of the new supplier').fill('Breakwater Fittings');
	const rows = Array.from({ length: 3000 }, (_, i) => `B-${i},Fitting ${i},10,${(i % 90) + 1}.50,fitting`);
	await page.getByLabel('The list, as CSV').setInputFiles({ name: 'many.csv', mimeType: 'text/csv', buffer: Buffer.from(['code,name,pack,price,kind', ...rows].join('\n')) }); // prettier-ignore
	await page.getByRole('button', { name: /^See what the 3000 rows/ }).click();
	await page.getByRole('button', { name: 'Bring it in, that is meant' }).click({ timeout: 30_000 });
	await expect(page.getByText('3000 rows are brought in.')).toBeVisible({ timeout: 30_000 });
	await page.goto('/stockroom?kind=fitting&sort=name');
	await expect(page.getByText(/^30\d\d of /)).toBeVisible();
	expect(await page.locator('[data-row]').count()).toBeLessThan(120);
	await page.locator('[data-row]').first().focus();
	await page.keyboard.press('End');
	await expect(page.locator('[data-row]:focus')).not.toHaveText('Fitting 0');
	await page.getByLabel('Search the Stockroom').fill('B-2999');
	await expect(page.getByRole('link', { name: 'Fitting 2999' })).toBeVisible();
});

test('what is ordered is on order until it came, in parts too; what is lost says why and is learned', async ({
	page
}) => {
	await page.goto('/stockroom/round-16-gull-white');
	const order = page.getByRole('region', { name: 'On order' });
	await order.getByLabel('Packs', { exact: true }).fill('none');
	await order.getByRole('button', { name: 'Write the order down' }).click();
	await expect(order.getByText('is not a', { exact: false })).toBeVisible();
	await order.getByLabel('Packs', { exact: true }).fill('3');
	await order.getByRole('button', { name: 'Write the order down' }).click();
	await expect(order).toContainText('3 packs, 150');
	await order.getByRole('listitem').getByLabel('packs', { exact: true }).fill('2');
	await order.getByRole('button', { name: /^It came/ }).click();
	await expect(order).toContainText('1 pack, 50');
	const shelf = page.getByRole('region', { name: 'On the shelf' });
	await expect(shelf).toContainText('2 bags');
	await page.goto('/stockroom/orders');
	await page.getByRole('button', { name: /^It will not come: 16 in round, gull white/ }).click();
	await expect(page.getByRole('link', { name: '16 in round, gull white' })).toHaveCount(0);
	await expect(page.getByText('late: due', { exact: false })).toHaveCount(1);
	await page.goto('/stockroom/round-16-gull-white');
	await shelf.getByLabel('What happened').selectOption('lost or broken');
	await shelf.getByLabel('How many').fill('8');
	await shelf.getByLabel('Why').selectOption('holed in the bag');
	await shelf.getByLabel('Lot on the bag').fill('L-77');
	await shelf.getByRole('button', { name: 'Write it down' }).click();
	const losses = page.getByRole('region', { name: 'What is lost of it' });
	await expect(losses).toContainText('holed in the bag 8');
	await expect(losses).toContainText('L-77');
	await losses.getByRole('button', { name: /^Count with/ }).click();
	await losses.getByRole('button', { name: 'Count with it, that is meant' }).click({ timeout: 60_000 });
	await expect(losses.getByRole('button', { name: /^Count with/ })).toHaveCount(0);
});

test('colours of everybody side by side, and the colours of a design on a sheet against a wall', async ({
	page
}) => {
	await page.goto('/stockroom/colours');
	await page.getByLabel('Near this colour').selectOption({ label: 'hive gold' });
	await expect(page.getByText('the same to the eye', { exact: false }).first()).toBeVisible();
	await page.getByLabel('Finish').selectOption('mirror');
	await expect(page.getByRole('link', { name: /hive gold mirror/ }).first()).toBeVisible();
	await page.goto('/bench/lighthouse-column/swatches');
	await expect(page.getByText('is lost against it', { exact: false })).toHaveCount(1);
	await page.getByLabel('It stands against').selectOption('a dark stage');
	await expect(page.getByText('is lost against it', { exact: false })).toHaveCount(0);
});
