import { createClient } from '@libsql/client';
import type { Page } from '@playwright/test';
import { dumpRows } from '../kit/dump.ts';
import { expect, test, type App } from './app.ts';

/** All that is kept but what only tells when and how often something was saved. */
async function kept(app: App): Promise<string[]> {
	const rows = await dumpRows(`file:${app.database}`);
	// The stamp of the Stockroom counts saves: it is no figure.
	return rows.map((r) =>
		r.startsWith('INSERT INTO "workspace"') ? r.replace(/, \d+, \d+, [01], 'owner'\);$/, '') : r
	);
}

async function settled(page: Page, press: () => Promise<unknown>) {
	const answered = page.waitForResponse((r) => r.request().method() === 'POST');
	await press();
	await answered;
}

test('a form that is saved untouched leaves everything as it was, with the demo and with a loss of 3⅓ %', async ({
	page,
	app
}) => {
	test.setTimeout(120_000);
	const save = () => page.getByRole('button', { name: 'Save', exact: true }).click();
	await page.goto('/settings');
	for (const loss of ['4', '3 1/3']) {
		await page.goto('/settings');
		await page.getByLabel('Loss of balloons').fill(loss);
		await save();
		await expect(page.getByText('Saved. Designs are priced')).toBeVisible();
		const before = await kept(app);

		await page.goto('/settings');
		await expect(page.getByLabel('Loss of balloons')).toHaveValue(loss);
		await settled(page, save);
		await expect(page.getByText('Saved. Designs are priced')).toBeVisible();
		expect(await kept(app)).toEqual(before);

		await page.goto('/settings/work');
		await settled(page, save);
		await expect(page.getByText('Saved. Designs and drafts count with it')).toBeVisible();
		expect(await kept(app)).toEqual(before);

		await page.goto('/stockroom?search=gull');
		await page.getByRole('button', { name: 'Change the pack of 11 in round, gull white' }).click();
		await settled(page, save);
		await expect(
			page.getByRole('button', { name: 'Change the pack of 11 in round, gull white' })
		).toBeVisible();
		expect(await kept(app)).toEqual(before);

		await page.goto('/bench/bee-figure/plan');
		for (const step of [0, 2]) {
			await page
				.getByRole('button', { name: /^Change: / })
				.nth(step)
				.click();
			await settled(page, () => page.getByRole('button', { name: 'Change the step', exact: true }).click());
			await expect(page.getByRole('button', { name: 'Change the step', exact: true })).toBeHidden();
			expect(await kept(app)).toEqual(before);
		}

		await page.goto('/bench/bee-figure/versions');
		await settled(page, () => page.getByRole('button', { name: 'Name it' }).first().click());
		expect(await kept(app)).toEqual(before);

		await page.goto('/bench/lighthouse-column/count');
		await settled(page, () => page.getByRole('button', { name: 'Make it a new version' }).click());
		await expect(page.getByText('It took exactly what the recipe says')).toBeVisible();
		const after = await kept(app);
		// A count is kept, and what it took leaves the shelf; everything else is as it was.
		const rest = (rows: readonly string[]) => rows.filter((r) => !/^INSERT INTO "(count_back|stock_move|workspace)"/.test(r)); // prettier-ignore
		expect(rest(after)).toEqual(rest(before));
		// What is typed anew as it stood is saved as it stood.
		await page.goto('/quotes/quote-bees');
		const note = page.getByLabel('A word to the client');
		const said = await note.inputValue();
		const quote = async () => {
			const client = createClient({ url: `file:${app.database}` });
			const { rows } = await client.execute("SELECT terms, client_id, event_date, zone FROM quote WHERE id = 'quote-bees'"); // prettier-ignore
			const lines = await client.execute("SELECT * FROM quote_line WHERE quote_id = 'quote-bees' ORDER BY position"); // prettier-ignore
			client.close();
			return [JSON.parse(String(rows[0]!.terms)) as object, rows[0]!.event_date, lines.rows.map((r) => Object.values(r))]; // prettier-ignore
		};
		const stood = await quote();
		await note.fill(`${said} `);
		await note.fill(said);
		await expect(page.locator('[data-name=quote-state]')).toHaveText('saved');
		expect(await quote()).toEqual(stood);
	}
});
