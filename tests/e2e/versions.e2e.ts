import { expect, figure, newDesign, saved, say, test } from './app.ts';

test('versions are compared row by row and material by material; going back loses nothing', async ({
	page
}) => {
	const id = await newDesign(page, 'Thrice kept');
	await say(page, '4 16 at 13 grey', '4 11 at 9 gull x4');
	await saved(page);
	await page.getByRole('button', { name: 'Keep' }).click();
	await expect(page.getByText('kept once')).toBeVisible();
	await say(page, '1 11 at 10 gold');
	await saved(page);
	await page.getByRole('link', { name: 'Versions' }).click();

	// Leaving kept the second.
	await expect(page.getByText('kept 2 times')).toBeVisible();
	const rows = page.getByRole('region', { name: 'Rows' }).getByRole('listitem');
	await expect(rows).toHaveText([
		/4 × 16 at 13 grey/,
		/4 × 11 at 9 white ×4/,
		/colours first colours: grey limpet grey, white gull white\s*only in version 1/,
		/1 × 11 at 10 gold\s*only in version 2/,
		/colours first colours: grey limpet grey, white gull white, gold hive gold\s*only in version 2/
	]);
	await expect(page.getByText('11 rounds, hive gold')).toBeVisible();
	await expect(figure(page, 'cost')).toHaveText(/^\+\d+\.\d\d$/);
	await page.getByLabel('to', { exact: true }).selectOption('the working copy');
	await expect(page.getByText('from version 1 to the working copy')).toBeVisible();

	await page.getByRole('button', { name: 'Go back to version 1' }).click();
	await page.waitForURL(`/bench/${id}`);
	await expect(page.getByText('5 layers · 20 balloons')).toBeVisible();
	await page.goto(`/bench/${id}/versions`);
	await expect(page.getByText('kept 2 times, the working copy is newer')).toBeVisible();
	await page.getByLabel('From', { exact: true }).selectOption({ index: 1 });
	await expect(page.getByText('from version 2 to the working copy')).toBeVisible();
});

test('a page opened before somebody saved cannot take the design back over it', async ({ page, context }) => {
	const id = await newDesign(page, 'Taken back');
	await say(page, '4 11 at 9 gull');
	await saved(page);
	await page.getByRole('button', { name: 'Keep' }).click();
	await expect(page.getByText('kept once')).toBeVisible();
	const other = await context.newPage();
	await other.goto(`/bench/${id}/versions`);
	await say(page, '4 11 at 8 gull');
	await saved(page);
	await other.getByRole('button', { name: 'Go back to version 1' }).click();
	await expect(other.getByText('was changed since you opened the page')).toBeVisible();
	await page.reload();
	await expect(page.getByText('2 layers · 8 balloons')).toBeVisible();
});
