import { expect } from '@playwright/test';
import { test } from './app.ts';

test('a design is put away, taken out, put away and deleted; one that is quoted says what holds it', async ({
	page
}) => {
	await page.goto('/shelf?search=kelp');
	await page.getByRole('button', { name: 'Duplicate Kelp column' }).click();
	await page.waitForURL(/\/bench\/.+/);
	const bench = page.url();
	await page.goto('/shelf?search=copy');
	await page.getByRole('button', { name: 'put away Kelp column, copy' }).click();
	await expect(page.getByRole('status').filter({ hasText: 'is put away' })).toBeVisible();
	await page.getByRole('button', { name: 'Take it out again' }).click();
	await expect(page.getByText('is back on the Shelf')).toBeVisible();
	await page.goto('/shelf?search=copy');
	await page.getByRole('button', { name: 'put away Kelp column, copy' }).click();
	await page.getByRole('link', { name: 'Put away (1)' }).click();
	await expect(page.getByRole('heading', { name: 'Put away', level: 1 })).toBeVisible();
	await page.goto(bench);
	await expect(page.getByText('put away ·')).toBeVisible();
	await page.goto('/shelf?away=yes');
	await page.getByRole('button', { name: 'Delete Kelp column, copy', exact: true }).click();
	await page.getByRole('button', { name: 'Keep it' }).click();
	await page.getByRole('button', { name: 'Delete Kelp column, copy', exact: true }).click();
	await page.getByRole('button', { name: 'Delete for good Kelp column, copy' }).click();
	await expect(page.getByText('Deleted for good.')).toBeVisible();
	await expect(page.getByText('Nothing is put away.')).toBeVisible();
	expect((await page.goto(bench))!.status()).toBe(404);

	await page.goto('/shelf?search=lighthouse');
	// Others may have left a copy of that name.
	const own = page.locator('.shelf li').filter({ has: page.locator('a[href="/bench/lighthouse-column"]') });
	const name = await own.getByRole('heading').innerText();
	await own.getByRole('button', { name: `put away ${name}` }).click();
	await page.goto('/shelf?away=yes');
	await page.getByRole('button', { name: `Delete ${name}`, exact: true }).click();
	await page.getByRole('button', { name: `Delete for good ${name}` }).click();
	await expect(page.getByText(/It stays put away, and is not deleted\. It stands on quote/)).toBeVisible();
	await page.getByRole('button', { name: `take out ${name}` }).click();
	await expect(page.getByText('is back on the Shelf')).toBeVisible();
});

test('a draft is put away and found again, and deleted; a sent quote stays', async ({ page }) => {
	await page.goto('/quotes');
	await page.getByLabel('Client', { exact: true }).fill('Tidewick Chandlery');
	await page.getByRole('button', { name: 'New quote' }).click();
	await page.waitForURL(/\/quotes\/.+/);
	const quote = page.url();
	await page.getByRole('button', { name: 'Put it away' }).click();
	await expect(page.locator('[data-name=state]')).toHaveText('draft, put away');
	await page.goto('/quotes?search=Chandlery');
	await expect(page.getByText('No quote for “Chandlery”.')).toBeVisible();
	await page.getByRole('link', { name: 'put away' }).click();
	await page.getByRole('link', { name: /Tidewick Chandlery/ }).click();
	await page.getByRole('button', { name: 'Take it out again' }).click();
	await expect(page.locator('[data-name=state]')).toHaveText('draft');
	await page.getByRole('button', { name: 'Delete', exact: true }).click();
	await page.getByRole('button', { name: 'Delete for good' }).click();
	await page.waitForURL(/\/quotes$/);
	expect((await page.goto(quote))!.status()).toBe(404);

	await page.goto('/quotes?state=sent');
	await page.locator('main li a').first().click();
	await page.waitForURL(/\/quotes\/.+/);
	await expect(page.getByRole('button', { name: 'Delete', exact: true })).toHaveCount(0);
	await page.getByRole('button', { name: 'Put it away' }).click();
	await expect(page.getByText('The client still has it.')).toBeVisible();
});
