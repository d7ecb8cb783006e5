import type { Page } from '@playwright/test';
import { cents, entry, expect, figure, newDesign, say, saved, test } from './app.ts';

/** Begins a quote with a design, as from the Bench. */
async function quoteOf(page: Page, design: string) {
	await page.goto(`/quotes?with=${design}`);
	await page.getByLabel('Client').fill('Walks along all screens');
	await page.getByRole('button', { name: 'New quote' }).click();
	await page.waitForURL(/\/quotes\/[\w-]+$/);
	await expect(figure(page, 'total')).not.toHaveText('—');
}
const region = (page: Page, name: string) => page.getByRole('region', { name });
const isSaved = (page: Page) => expect(page.locator('[data-name=quote-state]')).toHaveText('saved');
const amount = (text: string | null) =>
	Math.round(Number((text ?? '').replace(/[^\d.−-]/g, '').replace('−', '-')) * 100);

test('one truth: Bench, Shelf, sizes, side by side, quick price, ways to price, quote and interface agree to the cent', async ({
	page
}) => {
	test.setTimeout(120_000);
	for (const design of ['lighthouse-column', 'hive-column', 'orbit-arch']) {
		await page.goto(`/bench/${design}`);
		const title = await page.getByLabel('Name of the design').inputValue();
		await saved(page);
		const [cost, price, job, asJob] = [await cents(page, 'cost'), await cents(page, 'price'), await cents(page, 'job-cost'), await cents(page, 'job-price')]; // prettier-ignore
		expect(job).toBeGreaterThan(2000);

		await page.goto(`/shelf?search=${encodeURIComponent(title)}`);
		const card = page.locator('li, article').filter({ hasText: title }).first();
		await expect(card.locator('dd').first()).toContainText((cost / 100).toFixed(2));
		await expect(card.locator('dd.price')).toContainText((price / 100).toFixed(2));

		await page.goto(`/compare?first=${design}&second=${design}`);
		for (const side of ['First', 'Second'])
			await expect(region(page, side).locator('dd.price')).toContainText((price / 100).toFixed(2));

		await page.goto(`/bench/${design}/sizes`);
		await expect(page.locator('tr.strong td').first()).toContainText((price / 100).toFixed(2));

		await page.goto(`/bench/${design}/price`);
		await expect(page.locator('[data-name=in-hand] [data-name=price]')).toHaveText((asJob / 100).toFixed(2));

		await page.goto('/quick');
		await page.getByLabel('Design', { exact: true }).selectOption({ label: title });
		await expect(figure(page, 'price')).toContainText((asJob / 100).toFixed(2));
		await page.getByRole('button', { name: 'Margin' }).click();
		await expect(figure(page, 'cost')).toHaveText(((cost + job) / 100).toFixed(2));

		const recipe: unknown = await (await page.request.get(`/bench/${design}/recipe.json`)).json();
		const answer = (await (await page.request.post('/api/tally', { data: { recipe } })).json()) as {
			cost: { totalMinor: number };
			price: { netMinor: number };
			job: { costMinor: number; priceMinor: number };
		};
		expect([answer.cost.totalMinor, answer.price.netMinor]).toEqual([cost, price]);
		expect([answer.job.costMinor, answer.job.priceMinor]).toEqual([job, asJob]);

		await quoteOf(page, design);
		expect(await cents(page, 'cost')).toBe(cost + job);
		await expect(page.locator('[data-name=in-hand] [data-name=price]')).toHaveText((asJob / 100).toFixed(2));
	}
});

test('the job around a quote: every minute of it, by mouse and by keys, and what cannot be is said where it is', async ({
	page
}) => {
	await quoteOf(page, 'hive-column');
	const total = () => cents(page, 'total');
	const own = region(page, 'The job around it');
	const before = await total();
	await own.getByLabel('Kind of job').selectOption('a room');
	await expect.poll(total).toBeGreaterThan(before);
	const room = await total();
	await own.getByLabel('Miles, one way').fill('40');
	await expect.poll(total).toBeGreaterThan(room);
	await own.getByLabel('Miles, one way').fill('10000');
	await expect(own.getByText(/Nobody drives further for balloons/)).toBeVisible();
	await expect(own.getByLabel('Miles, one way')).toHaveValue('10000');
	await own.getByLabel('Miles, one way').fill('');
	await expect.poll(total).toBe(room);

	// By keys alone: the minutes open, one is typed, another is no number.
	await own.getByText('Every minute of it').focus();
	await page.keyboard.press('Enter');
	const talk = own.getByLabel('talk with the client, minutes');
	await talk.focus();
	await page.keyboard.type('240');
	await expect.poll(total).toBeGreaterThan(room);
	await talk.fill('-5');
	await expect(own.getByRole('alert')).toContainText('cannot be negative');
	await talk.fill('');
	await expect.poll(total).toBe(room);
	await own.getByRole('button', { name: 'Add a line' }).click();
	await own.getByLabel('What is paid for, line 1').fill('hire of a lift');
	await own.getByLabel('Amount, line 1').fill('85');
	await expect.poll(total).toBeGreaterThan(room + 8500);

	// Somebody has to do it; a slower pair of hands costs hours and saves hers.
	await own.getByLabel('Tansy').uncheck();
	await expect(own.getByText('Somebody has to do it')).toBeVisible();
	await own.getByLabel('Pip').check();
	await own.getByLabel('Tansy').check();
	await expect(own.getByText('Somebody has to do it')).toBeHidden();
	await isSaved(page);
	await page.reload();
	await own.getByText('Every minute of it').click();
	await expect(own.getByLabel('What is paid for, line 1')).toHaveValue('hire of a lift');
	await expect(own.getByLabel('Pip')).toBeChecked();
});

test('ways to price stand beside each other, one press takes one; a typed price is what the client reads', async ({
	page
}) => {
	await quoteOf(page, 'lighthouse-column');
	const ways = region(page, 'Ways to price');
	const card = ways.locator('[data-name=card] [data-name=price]');
	const said = amount(await card.textContent());
	await ways.getByRole('button', { name: 'use rate card' }).click();
	await expect(page.locator('[data-name=in-hand] [data-name=price]')).toHaveText((said / 100).toFixed(2));
	await expect(ways.locator('[data-name=card]')).toContainText('in use');
	await ways.getByRole('button', { name: 'use floor for your own hour' }).click();
	await expect.poll(async () => amount(await page.locator('[data-name=in-hand] [data-name=hour]').textContent())).toBeGreaterThanOrEqual(2990); // prettier-ignore

	await page.getByLabel('Priced', { exact: true }).selectOption('at a price of its own');
	const typed = page.getByLabel('Typed price');
	await typed.fill('none');
	await expect(page.getByText('“none” is not a number')).toBeVisible();
	await typed.fill('333');
	await page.getByLabel('Delivery charge').fill('0');
	await expect(figure(page, 'total')).toHaveText('356.31');
	await isSaved(page);

	// What it hangs on is slid and never saved; how sure it is comes from beside the page.
	const hangs = region(page, 'What it hangs on');
	await hangs.getByLabel('what an hour costs').fill('150');
	await expect(hangs.locator('[data-name=slid]')).toContainText('The same price leaves');
	await hangs.getByRole('button', { name: 'as it is' }).click();
	await expect(hangs.locator('[data-name=slid]')).not.toContainText('The same price leaves');
	await expect(region(page, 'How sure it is')).toContainText(/Of a hundred such jobs half leave more than/);
	await expect(region(page, 'How sure it is')).toContainText(/Most of it hangs on/);
	await expect(region(page, 'What you charged before')).toContainText('an hour of everybody’s');
	await expect(figure(page, 'total')).toHaveText('356.31');
});

test('a standard is typed, timed by the watch and moves every price; a bad day is left out', async ({
	page
}) => {
	const id = await newDesign(page, 'Timed column');
	await say(page, '4 11 at 9 gull x12');
	await saved(page);
	const before = await cents(page, 'cost');
	await page.goto('/settings/work');
	const tie = page.getByLabel('tie: one takes');
	for (const [typed, sentence] of [
		['0', 'Nothing takes 0 seconds'],
		['soon', 'is not a number'],
		['700000', 'at most 86400']
	] as const) {
		// prettier-ignore
		await tie.fill(typed);
		await page.getByRole('button', { name: 'Save', exact: true }).click();
		await expect(page.getByRole('alert').filter({ hasText: sentence })).toBeVisible();
		await expect(tie).toHaveValue(typed);
	}
	await tie.fill('30');
	await page.getByRole('button', { name: 'Save', exact: true }).click();
	await expect(page.getByText('Saved. Designs and drafts count with it')).toBeVisible();
	await page.goto(`/bench/${id}`);
	await expect.poll(() => cents(page, 'cost')).toBeGreaterThan(before);
	const typed = await cents(page, 'cost');

	await page.goto('/settings/work');
	const watch = region(page, 'Time a build');
	await watch.getByLabel('What').selectOption('tie');
	await watch.getByLabel('How many').fill('0');
	await watch.getByRole('button', { name: 'Start' }).click();
	await page.waitForTimeout(1100);
	await watch.getByRole('button', { name: 'Stop' }).click();
	await watch.getByRole('button', { name: 'Keep it' }).click();
	await expect(watch).toContainText('How many were made?');
	await watch.getByLabel('How many').fill('4');
	await watch.getByRole('button', { name: 'Keep it' }).click();
	await expect(watch).toContainText('Kept with “tie”');
	await page.goto(`/bench/${id}`);
	await expect.poll(() => cents(page, 'cost')).toBeLessThan(typed);

	await page.goto('/settings/work');
	const timed = region(page, 'Timed builds')
		.locator('h3', { hasText: /^tie$/ })
		.locator('xpath=following-sibling::ul[1]');
	await timed.getByRole('button', { name: 'a bad day: leave it out' }).click();
	await expect(timed.getByRole('button', { name: 'take it back in' })).toBeVisible();
	await page.goto(`/bench/${id}`);
	await expect.poll(() => cents(page, 'cost')).toBe(typed);
	await page.goto('/settings/work');
	await page.getByLabel('tie: one takes').fill('6');
	await page.getByRole('button', { name: 'Save', exact: true }).click();
	await expect(page.getByText('Saved. Designs and drafts count with it')).toBeVisible();
});

test('a design is priced by another way with one press, and the Bench says so', async ({ page }) => {
	const id = await newDesign(page, 'Priced otherwise');
	await say(page, '4 11 at 9 gull x12');
	await saved(page);
	await page.getByRole('link', { name: 'Ways to price, how sure' }).click();
	await page.waitForURL(/price$/);
	await page.getByRole('button', { name: 'use materials and hours' }).click();
	await expect(page.getByText('The design is priced so from now on.')).toBeVisible();
	await page.goto(`/bench/${id}`);
	await expect(page.getByLabel('Way of pricing')).toHaveValue('factor');
	await expect(entry(page)).toBeVisible();
});

test('a rule of an order holds by the day, stands on the tape with what it leaves, and contradictions are asked about', async ({
	page
}) => {
	await page.goto('/settings/work');
	const rules = region(page, 'Rules of an order');
	const last = () => rules.getByRole('combobox').count();
	const n = await last();
	await rules.getByLabel(`Rule ${n}`, { exact: true }).selectOption('notice');
	await rules.getByLabel(`Rule ${n} holds for`).fill('3');
	await rules.getByLabel(`Rule ${n}, per cent`).fill('40');
	await page.getByRole('button', { name: 'Save', exact: true }).click();
	await expect(rules.getByRole('alert')).toContainText('Two rules of “short notice” hold for the same');
	await rules.getByLabel(`Rule ${n}`, { exact: true }).selectOption('weekend');
	await rules.getByLabel(`Rule ${n}, per cent`).fill('20');
	await page.getByRole('button', { name: 'Save', exact: true }).click();
	await expect(page.getByText('Saved. Designs and drafts count with it')).toBeVisible();

	await quoteOf(page, 'hive-column');
	const total = () => cents(page, 'total');
	await page.getByLabel('Event date').fill('2027-06-11');
	await isSaved(page);
	const friday = await total();
	await page.getByLabel('Event date').fill('2027-06-12');
	await expect.poll(total).toBeGreaterThan(friday);
	await expect(page.getByText('on a weekend')).toBeVisible();
	await isSaved(page);
	const saturday = await figure(page, 'total').textContent();
	// Sent it is worked out by the same rule.
	await page.getByRole('button', { name: 'Send', exact: true }).click();
	const link = page.locator('[data-name=client-link]');
	await page.goto((await link.getAttribute('href'))!);
	await expect(figure(page, 'total')).toHaveText(`$${saturday}`);

	await page.goto('/quotes');
	await expect(page.locator('[data-name=year]')).toContainText(/17 of 22 won/);
	await page.goto('/settings/work');
	await rules.getByLabel(`Rule ${n}`, { exact: true }).selectOption('');
	await page.getByRole('button', { name: 'Save', exact: true }).click();
	await expect(page.getByText('Saved. Designs and drafts count with it')).toBeVisible();
});

test('standards are taken away as a file and brought back; a file that is none is answered in words', async ({
	page
}) => {
	await page.goto('/settings/work');
	const part = region(page, 'Standards as a file');
	const bring = async (text: string) => {
		await part.locator('input[type=file]').setInputFiles({ name: 'own.csv', mimeType: 'text/csv', buffer: Buffer.from(text) }); // prettier-ignore
		await part.getByRole('button', { name: 'Bring it' }).click();
	};
	await part.getByRole('button', { name: 'Bring it' }).click();
	await expect(part).toContainText('Choose a file of standards first.');
	for (const [text, sentence] of [
		['colour,price\nred,4\n', 'has to name the columns task and seconds'],
		['task,seconds\njuggle,4\n', 'Line 2 names no task: “juggle”'],
		['task,seconds\ntie,0\n', 'Line 2, tie: seconds are above 0']
	] as const) {
		await bring(text);
		await expect(part).toContainText(sentence);
	}
	const before = await (await page.request.get('/settings/standards.csv')).text();
	expect(before).toMatch(/^task,unit,seconds,batch\r\n/);
	await bring('task,seconds,batch\r\nribbon,41,0\r\n');
	await expect(part).toContainText('One standard was changed.');
	await expect(page.getByLabel('ribbon: one takes')).toHaveValue('41');
	await bring(before);
	await expect(part).toContainText('One standard was changed.');
	expect(await (await page.request.get('/settings/standards.csv')).text()).toBe(before);
});

test('what is paid besides is a line of the design: typed wrong, right, taken out, undone', async ({
	page
}) => {
	await page.goto('/bench/hive-column');
	await saved(page);
	const before = await cents(page, 'cost');
	const besides = region(page, 'Paid besides');
	await besides.getByRole('button', { name: 'Paid besides…' }).click();
	await besides.getByLabel('Paid for').fill('painted sign');
	await besides.getByLabel('What one costs').fill('twelve');
	await besides.getByRole('button', { name: 'add' }).click();
	await expect(besides.getByRole('alert')).toHaveText('Type what one costs, like 12.50.');
	await expect(besides.getByLabel('Paid for')).toHaveValue('painted sign');
	await besides.getByLabel('What one costs').fill('12.50');
	await besides.getByLabel('What one costs').press('Enter');
	await expect.poll(() => cents(page, 'cost')).toBe(before + 1250);
	await saved(page);
	await page.reload();
	await expect(besides).toContainText('painted sign');
	expect(await cents(page, 'cost')).toBe(before + 1250);
	await besides.getByRole('button', { name: 'Take painted sign out' }).click();
	await expect.poll(() => cents(page, 'cost')).toBe(before);
});
