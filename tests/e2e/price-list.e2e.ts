import { expect, test } from './app.ts';

const file = (text: string, name = 'spring.csv') => ({ name, mimeType: 'text/csv', buffer: Buffer.from(text, 'latin1') }); // prettier-ignore

test('a supplier’s list in another encoding is mapped, looked at, brought in, remembered and taken back', async ({
	page
}) => {
	await page.goto('/stockroom/list');
	await page.getByLabel('Whose list is it?').selectOption({ label: 'Quayside Party Supply' });
	const list = page.getByLabel('The list, as CSV');
	// \x80 is the euro sign as Western Windows writes it.
	const rows = ['Spring;;;', 'No;Item;Holds;Each pack', 'Q-1;"11 in round, gull white";100;\x80 1.018,20', 'Q-4;"a ""bright"" star";10;call us', 'Q-5;mermaid dust;1;4,00', 'Q-6;12 in harbour blue;50;11,90']; // prettier-ignore
	await list.setInputFiles(file(rows.join('\r\n')));
	await expect(page.getByLabel('What the column Each pack says')).toHaveValue('price');
	await page.getByLabel('What the column Holds says').selectOption('pieces in a pack');
	await page.getByLabel('What the column Item says').selectOption('what it is called');
	await page.getByLabel('What the column No says').selectOption('order code');
	const states = page.getByRole('group', { name: 'Rows by what comes of them' });
	await expect(states.getByRole('button', { name: '1 to look at' })).toHaveAttribute('aria-pressed', 'true');
	await expect(page.getByText('“call us” is not a price')).toBeVisible();
	await page.getByLabel('what is new and says no kind is').selectOption('round');
	await states.getByRole('button', { name: '1 new' }).click();
	await expect(
		page
			.getByRole('region', { name: 'What would come of it' })
			.getByRole('row', { name: /12 in harbour blue/ })
	).toContainText('round, 50 for 11.90');
	await page.getByRole('button', { name: /^See what the 2 rows/ }).click();
	await expect(page.getByText('1 material is new; 2 rows are left out', { exact: false })).toBeVisible({ timeout: 20_000 }); // prettier-ignore
	await page.getByRole('button', { name: 'Bring it in, that is meant' }).click();
	await expect(page.getByText('2 rows are brought in.')).toBeVisible();
	await page.goto('/stockroom?search=12+in+harbour+blue');
	await expect(page.getByRole('link', { name: '12 in harbour blue', exact: true })).toBeVisible();
	// The columns are remembered by their headings, whatever their order.
	await page.goto('/stockroom/list');
	await page.getByLabel('Whose list is it?').selectOption({ label: 'Quayside Party Supply' });
	await list.setInputFiles(file('Each pack;No;Item;Holds\r\n4,00;Q-6;12 in harbour blue;50\r\n'));
	await expect(page.getByLabel('What the column No says')).toHaveValue('code');
	await expect(
		page
			.getByRole('region', { name: 'What would come of it' })
			.getByRole('row', { name: /12 in harbour blue/ })
	).toContainText('50 for 11.90 → 50 for 4.00');
	await page.getByRole('button', { name: /^Take back spring.csv/ }).click();
	await expect(page.getByText('It is taken back.')).toBeVisible();
	await page.goto('/stockroom?search=12+in+harbour+blue');
	await expect(page.getByText('No material answers to that.')).toBeVisible();
});

test('rows pasted from a spreadsheet, what is no list, and the Stockroom as CSV', async ({ page }) => {
	await page.goto('/stockroom/list');
	await page.getByLabel('Name of the new supplier').fill('Lantern Lane Overflow');
	await page.getByText('Or paste rows from a spreadsheet').click();
	const paste = page.getByLabel('Rows from a spreadsheet, with their headings');
	await paste.fill('just words');
	await page.getByRole('button', { name: 'Read these rows' }).click();
	await expect(page.getByText('No table is found in it', { exact: false })).toBeVisible();
	await expect(paste).toHaveValue('just words');
	await paste.fill('name\tpieces in a pack\tprice\n11 in round, gull white\t100\t14.00\n');
	await page.getByRole('button', { name: 'Read these rows' }).click();
	await page.getByRole('button', { name: /^See what the 1 row/ }).click();
	await expect(page.getByText('1 pack is added to what you have', { exact: false })).toContainText(
		'This moves',
		{ timeout: 60_000 }
	);
	const list = page.getByLabel('The list, as CSV');
	await list.setInputFiles({ name: 'photo.csv', mimeType: 'text/csv', buffer: Buffer.from([0x50, 0x4b, 3, 4, 1, 2, 3]) }); // prettier-ignore
	await expect(page.getByText('This is a spreadsheet’s own file', { exact: false })).toBeVisible();
	await list.setInputFiles({ name: 'huge.csv', mimeType: 'text/csv', buffer: Buffer.alloc(13 * 1024 * 1024, 65) }); // prettier-ignore
	await expect(page.getByText('huge.csv has 13 MB', { exact: false })).toBeVisible();
	await page.goto('/stockroom');
	const waits = page.waitForEvent('download');
	await page.getByRole('link', { name: 'All of it as CSV' }).click();
	expect((await waits).suggestedFilename()).toBe('stockroom.csv');
});
