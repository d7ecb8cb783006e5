import { cents, entry, expect, newDesign, saved, say, test } from './app.ts';

test('a figure of sections: arms said in one line, mirrored, counted twice, placed by hand, folded, undone', async ({
	page
}) => {
	await newDesign(page, 'Sea figure');
	await say(
		page,
		'6 11 at 10 thrift x2',
		'section arm x2 mirrored left of column at 2 ft',
		'1 11 at 9 thrift x3'
	);
	await expect(page.getByText('×2 mirrored, left of column at 2′ 0″')).toBeVisible();
	await expect(page.getByRole('application', { name: /18 balloons/ })).toBeVisible();
	await expect(page.locator('[role=application] canvas')).toHaveAttribute('data-balls', '18');

	// Its place is changed in fields; what cannot be read is said there and changes nothing.
	await page.getByRole('button', { name: 'Name and place of arm' }).click();
	await page.getByLabel('How many').fill('forty');
	await page.getByLabel('How many').press('Tab');
	await expect(page.getByText('“forty” is not a number')).toBeVisible();
	await page.getByLabel('How many').fill('4');
	await page.getByLabel('Foot at height').fill('3 ft');
	await page.getByLabel('Tied on with').selectOption('260 modelling balloon, clear');
	await page.getByLabel('Notes').fill('turn the necks inwards');
	await page.keyboard.press('Escape');
	await expect(page.getByText('×4 mirrored, left of column at 3′ 0″')).toBeVisible();
	await expect(page.getByText('24 balloons')).toBeVisible();
	await expect(page.getByRole('button', { name: /^260 modelling balloon/ })).toBeVisible();

	await page.getByRole('button', { name: 'Fold arm' }).click();
	await expect(page.getByRole('button', { name: '1 × 11 at 9, pink, 3 layers' })).toBeHidden();
	await page.getByRole('button', { name: 'Unfold arm' }).click();

	// The entry line goes where the section in hand is.
	await page.getByRole('button', { name: 'Take column in hand' }).click();
	await say(page, '1 36 at 24 thrift');
	const column = page.getByRole('list', { name: 'column' });
	await expect(column.getByRole('button', { name: /^1 × 36 at 24/ })).toBeVisible();

	await page.getByRole('button', { name: 'Name and place of arm' }).click();
	await page.getByRole('button', { name: 'Take it out' }).click();
	await expect(page.getByText('13 balloons')).toBeVisible();
	await page.getByRole('button', { name: 'Undo' }).click();
	await expect(page.getByText('25 balloons')).toBeVisible();
	await saved(page);
	await page.reload();
	await expect(page.getByText('×4 mirrored, left of column at 3′ 0″')).toBeVisible();
});

test('a design inside a design: what keeping the part changes is shown first, cycles cannot be said', async ({
	page
}) => {
	const part = await newDesign(page, 'Buoy topper');
	await say(page, '1 11 at 9 buoy', '4 5 at 4 gull');
	await saved(page);
	await page.getByRole('button', { name: 'Keep' }).click();
	await expect(page.getByText('kept once')).toBeVisible();

	const whole = await newDesign(page, 'Buoy column');
	await say(page, '4 11 at 10 gull x6', 'use buoy topper x2 on column');
	await expect(page.getByText('×2, on top of column · a design of its own')).toBeVisible();
	await expect(page.getByText('34 balloons')).toBeVisible();
	const before = await cents(page, 'cost');
	await saved(page);
	await page.getByRole('button', { name: 'Keep' }).click();
	await expect(page.getByText('kept once')).toBeVisible();

	await page.goto(`/bench/${part}`);
	await expect(page.getByRole('link', { name: 'Buoy column' })).toBeVisible();
	await entry(page).fill('use buoy column on column');
	await page.keyboard.press('Enter');
	await expect(
		page.getByRole('alert').filter({ hasText: 'No kept design that may stand here' })
	).toBeVisible();
	await page.keyboard.press('Escape');
	await say(page, '4 16 at 12 gold');
	await saved(page);
	// Left without keeping: the part stays in its working copy, the whole as it was.
	await page.goto(`/bench/${whole}`);
	expect(await cents(page, 'cost')).toBe(before);
	await page.goto(`/bench/${part}`);
	await page.getByRole('button', { name: 'Keep' }).click();
	const dialog = page.getByRole('dialog', { name: 'Designs that use this one' });
	await expect(dialog.getByRole('row', { name: /^Buoy column [\d.]+ [\d.]+ \+[\d.]+$/ })).toBeVisible();
	await dialog.getByRole('button', { name: 'Keep it' }).click();
	await expect(page.getByText('kept 2 times')).toBeVisible();
	await page.goto(`/bench/${whole}`);
	expect(await cents(page, 'cost')).toBeGreaterThan(before);
});

test('the checker says why, does what it proposes by one key, and lets a hint be for a reason', async ({
	page
}) => {
	await newDesign(page, 'Checked column');
	await say(page, '4 11 at 10.5 gull', '4 11 at 8.5 gull', '4 11 at 8 gull x8', 'pole 4 ft');
	const findings = page.getByRole('region', { name: 'Findings' });
	await expect(findings).toContainText('The top layers would hang over the end of it and lean.');
	await findings.getByRole('button', { name: /^pole of \d′ 0″$/ }).click();
	await expect(findings).not.toContainText('Take a longer pole');
	await page.getByRole('button', { name: 'Undo' }).click();
	await expect(findings).toContainText('Take a longer pole');
	await page.getByRole('button', { name: 'Redo' }).click();

	await findings.getByRole('button', { name: /^It is fine as it is: From 10½ to 8½ in/ }).click();
	await findings.getByRole('button', { name: 'It is fine as it is', exact: true }).click();
	await expect(findings.getByRole('alert')).toContainText('Say why it may stay so');
	await findings.getByLabel('Why it may stay so').fill('a waist is wanted');
	await page.keyboard.press('Enter');
	await expect(findings).not.toContainText('From 10½ to 8½');
	await saved(page);
	await page.reload();
	await findings.getByRole('button', { name: 'one hint let be' }).click();
	await expect(findings).toContainText('Let be: a waist is wanted');
	await findings.getByRole('button', { name: 'say it again' }).click();
	await expect(findings).toContainText('From 10½ to 8½');
});
