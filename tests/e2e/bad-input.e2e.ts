import { entry, expect, figure, newDesign, saved, say, test } from './app.ts';

test('nonsense on the entry line: a sentence of its own, at its place, and it stays as typed', async ({
	page
}) => {
	await newDesign(page, 'Nonsense');
	await say(page, '4 11 at 9 gull');
	for (const [typed, sentence] of [
		['-4 11 at 9 white', 'A count cannot be negative'],
		['4000 11 at 9 white', 'A cluster holds 1 to 12 balloons'],
		['4 11 at nine feet white', 'cannot be sized to'],
		['6 11 at 14 gold', 'A 11 cannot be sized to 14 in'],
		['4 11 at 9 plaid', '“plaid” is neither a slot of this design nor a colour'],
		['lots of balloons', 'Start with how many'],
		['<b>4</b> 11', 'Start with how many']
	] as const) {
		await entry(page).fill(typed);
		await page.keyboard.press('Enter');
		await expect(page.getByRole('alert').filter({ hasText: sentence })).toBeVisible();
		await expect(entry(page)).toHaveValue(typed);
		await expect(entry(page)).toHaveAttribute('aria-invalid', 'true');
	}
	await page.keyboard.press('Escape');
	await expect(page.getByText('1 layer · 4 balloons')).toBeVisible();
});

test('half an inch too many is refused at the row; a stack higher than its pole is said', async ({
	page
}) => {
	await newDesign(page, 'Too high');
	await say(page, '4 11 at 12 gull x9', 'pole 4 ft');
	await expect(page.getByRole('region', { name: 'Findings' })).toContainText(
		'of pole, and this one is 4′ 0″. Take a longer pole'
	);
	await expect(page.getByRole('region', { name: 'Findings' })).toContainText('12 in is over the safe 11 in');
	await page.keyboard.press('Control+ArrowDown');
	await page.keyboard.press(']');
	await expect(page.getByRole('alert').filter({ hasText: 'cannot be sized to 12½ in' })).toBeVisible();
	await expect(page.getByRole('button', { name: /^4 × 11 at 12, gull white/ })).toBeVisible();
});

test('a margin of 100 % has no price, and says what to do; an empty design is told to start', async ({
	page
}) => {
	await newDesign(page, 'Hundred');
	await expect(figure(page, 'cost')).toHaveText('0.00');
	await expect(page.getByRole('button', { name: 'Quote this' })).toBeDisabled();
	await say(page, '4 11 at 9 gull');
	const margin = page.getByLabel('Target margin, per cent');
	for (const [typed, sentence] of [
		['100', 'No price leaves a margin of 100 % or more'],
		['-5', 'The margin cannot be negative'],
		['half', '“half” is not a number'],
		['', 'The margin is blank']
	] as const) {
		await margin.fill(typed);
		await expect(page.getByRole('alert').filter({ hasText: sentence })).toBeVisible();
		await expect(margin).toHaveValue(typed);
	}
	await saved(page);
	await page.goto('/settings');
	await page.getByLabel('Target margin').fill('120');
	await page.getByLabel('Labour').fill('');
	await page.getByRole('button', { name: 'Save' }).click();
	await expect(page.getByText('No price leaves a margin of 100 % or more').first()).toBeVisible();
	await expect(page.getByText('The hourly rate is blank. Type 0 for none.').first()).toBeVisible();
	await expect(page.getByLabel('Target margin')).toHaveValue('120');
});

test('a pack price of 0 is refused, a blank one is unknown and shows as such wherever it counts', async ({
	page
}) => {
	await page.goto('/stockroom?search=thrift');
	const name = '11 in round, thrift pink';
	await page.getByRole('button', { name: `Change the pack of ${name}` }).click();
	await page.getByLabel('Price', { exact: true }).fill('0');
	await page.getByRole('button', { name: 'Save' }).click();
	await expect(page.getByText('A price of 0 would make it free')).toBeVisible();
	await page.getByLabel('Pieces', { exact: true }).fill('-3');
	await page.getByLabel('Price', { exact: true }).fill('abc');
	await page.getByRole('button', { name: 'Save' }).click();
	await expect(page.getByText('“abc” is not an amount')).toBeVisible();
	await expect(page.getByText('Pieces in a pack cannot be negative')).toBeVisible();
	await expect(page.getByLabel('Price', { exact: true })).toHaveValue('abc');
	await page.getByLabel('Pieces', { exact: true }).fill('100');
	await page.getByLabel('Price', { exact: true }).fill('');
	await page.getByRole('button', { name: 'Save' }).click();
	await page.getByRole('button', { name: 'Save, that is meant' }).click();
	await expect(page.getByRole('row', { name })).toContainText('not known');
	await newDesign(page, 'Unknown pink');
	await say(page, '4 11 at 9 thrift');
	await expect(page.getByRole('region', { name: 'Findings' })).toContainText(
		'has no pack price, so its cost is unknown'
	);
	await expect(figure(page, 'cost')).toContainText('+ ?');
	await page.getByRole('button', { name: 'Quote this' }).click();
	await page.getByLabel('Client').fill('Somebody');
	await page.getByRole('button', { name: 'New quote' }).click();
	await page.getByRole('button', { name: 'Send', exact: true }).click();
	await expect(page.getByText('Some costs are unknown')).toContainText('thrift pink');
	// What cannot be read meanwhile is gone to, never sent as it was before.
	await page.getByLabel('How many').fill('two');
	await page.getByRole('button', { name: 'Send it all the same' }).click();
	await expect(page.getByLabel('How many')).toBeFocused();
	await expect(page.locator('[data-name=owner-margin]')).toBeHidden();
	await page.getByLabel('How many').fill('2');
	await page.getByRole('button', { name: 'Send it all the same' }).click();
	await expect(page.locator('[data-name=owner-margin]')).toContainText('+ ?');
});

test('a quote’s fields: each mistake at its field, typed text kept over a reload, nothing sent', async ({
	page
}) => {
	await page.goto('/quotes/quote-bees');
	for (const [label, typed, sentence] of [
		['How many', '2.5', 'How many must be a whole number'],
		['Delivery charge', 'forty', '“forty” is not an amount'],
		['Tax rate', '700', 'The tax rate can be at most 100 %'],
		['Target margin', '100', 'No price leaves a margin of 100 % or more'],
		['Valid for', '0', 'Days the offer stands must be at least 1'],
		['Client', ' ', 'Who is it for? Type a name.']
	] as const) {
		await page.getByLabel(label, { exact: true }).fill(typed);
		await expect(page.getByText(sentence)).toBeVisible();
	}
	await expect(page.locator('[data-name=quote-state]')).toHaveText(
		'saved, but for the field below that cannot be read'
	);
	await page.getByRole('button', { name: 'Send', exact: true }).click();
	await expect(page.locator('[data-name=client-link]')).toBeHidden();
	await page.reload();
	await expect(page.getByLabel('Tax rate')).toHaveValue('700');
	await expect(page.getByText('Who is it for? Type a name.')).toBeVisible();
});

test('a file that is no recipe, or a recipe with a mistake, is answered in words', async ({ page }) => {
	await page.goto('/shelf/open');
	for (const [text, sentence] of [
		['', 'Choose a recipe file, or paste what is in one.'],
		['hello', 'it cannot be read as JSON'],
		['{"name":"x"}', 'This file is not a recipe'],
		['{"format":"bright-tally/recipe","version":1}', 'This recipe has a mistake at']
	] as const) {
		await page.getByLabel('Or paste it').fill(text);
		await page.getByRole('button', { name: 'See what it brings' }).click();
		await expect(page.getByText(sentence)).toBeVisible();
		await expect(page.getByLabel('Or paste it')).toHaveValue(text);
	}
});

test('the server answers every crooked request in words, never with 500', async ({ page, app }) => {
	const { request } = page;
	const headers = { origin: app.url };
	const post = (path: string, data: unknown) => request.post(path, { data: data as string, headers });
	const answers = [
		await post('/bench/hive-column/save', 'not json'),
		await post('/bench/hive-column/save', { saveId: 'x', baseRevision: -1, recipe: {} }),
		await post('/bench/hive-column/save', {
			saveId: 'x'.repeat(20),
			baseRevision: 1,
			recipe: { format: 'bright-tally/recipe' }
		}),
		await post('/bench/nothing/save', { saveId: 'x'.repeat(20), baseRevision: 1, recipe: null }),
		await post('/bench/nothing/keep', {}),
		await post('/quotes/quote-garden/save', { baseRevision: 1, raw: { client: 7 } }),
		await request.post('/quotes/quote-garden?/decide', { form: { state: 'eaten' }, headers }),
		await request.post('/shelf?/nothing', { form: {}, headers }),
		await post('/shelf/bring', { designs: [{ id: '../x', recipe: {} }], colours: 'red' }),
		await post('/shelf/bring', 'x'),
		await post('/shelf/bring/here', { ids: [{}] }),
		await request.post('/bench/hive-column/plan?/say', { form: { id: 'row:none', wait: 'soon' }, headers }),
		await request.post('/bench/hive-column/plan?/move', { form: { id: 'x' }, headers }),
		await request.post('/bench/nothing/plan?/remove', {
			form: { id: 'row:none', saveId: 'x'.repeat(20) },
			headers
		}),
		await request.post('/bench/hive-column/photos?/add', { multipart: { caption: 'none' }, headers }),
		await request.post('/bench/hive-column/photos?/cover', { form: { photo: 'nobody' }, headers }),
		await request.post('/bench/hive-column/count', { form: { then: 'make', quantity: '9e9' }, headers }),
		await request.post('/compare', { form: { design: 'nobody', as: '99' }, headers, maxRedirects: 0 }),
		await request.get('/compare?first=nobody&firstVersion=x&secondAs=99'),
		await request.get('/bench/nothing/plan.pdf'),
		await request.get('/bench/nothing/bill.csv'),
		await request.get('/bench/hive-column/picture.svg?turn=NaN&tilt=1e99&view=inside&apart'),
		await request.get('/shelf/recipes.json?design=nobody'),
		await request.get('/photo/nobody'),
		await request.get('/bench/nothing'),
		await request.get('/q/not-a-token'),
		await request.get('/q/not-a-token/quote.pdf'),
		await request.get('/bench/hive-column/lists?quantity=-1&colourway=%F0'),
		await request.get('/shelf?page=-5&sort=%00&search=%25'),
		await request.get('/%E0%A4%A'),
		await request.post('/bench/hive-column/save', {
			data: 'x'.repeat(13 * 1024 * 1024 - 1000),
			headers: { ...headers, 'content-type': 'application/json' }
		})
	];
	for (const answer of answers) {
		expect([answer.url(), answer.status()]).toEqual([answer.url(), expect.any(Number)]);
		expect(answer.status()).toBeLessThan(500);
		if (answer.status() !== 303) expect((await answer.text()).length).toBeGreaterThan(10);
	}
	expect(answers.at(-1)!.status()).toBe(413);
	expect((await answers.at(-1)!.json()).message).toBe(
		'That is too large: 13 MB, and at most 12 MB can be sent at once.'
	);
});
