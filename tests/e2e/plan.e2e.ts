import { readFileSync, writeFileSync } from 'node:fs';
import { expect, newDesign, say, saved, test } from './app.ts';

test('a step is said, changed, moved and left out; nonsense stays typed; a press twice is once; a row that goes says so', async ({
	page
}) => {
	const id = await newDesign(page, 'Pier post');
	await say(
		page,
		'4 16 at 13 limpet grey',
		'4 11 at 10 gull white x2',
		'pole 7 ft',
		'step at site fill the base with sand'
	);
	await saved(page);
	await page.getByRole('link', { name: 'Steps' }).click();
	const steps = page
		.getByRole('region', { name: 'Steps' })
		.getByRole('listitem')
		.filter({ has: page.locator('.step') });
	await expect(steps.filter({ hasText: 'fill the base with sand' })).toHaveCount(1);
	await expect(steps.nth(0)).toContainText('Make the pole');
	await expect(steps.nth(1)).toContainText('Inflate, size and tie the balloons of column.');
	await expect(steps.nth(1)).toContainText('8 ×');

	// Changed, with a wait that cannot be read first.
	await page.getByRole('button', { name: /^Change: Make the pole/ }).click();
	await page.getByLabel('Tool').fill('spirit level');
	await page.getByLabel('Wait after it').fill('soon');
	await page.getByRole('button', { name: 'Change the step' }).click();
	await expect(page.getByText('Type a time like “90 s”, “10 min” or “1 h”.')).toBeVisible();
	await expect(page.getByLabel('Tool')).toHaveValue('spirit level');
	await page.getByLabel('Wait after it').fill('5 min');
	await page.getByRole('button', { name: 'Change the step' }).dblclick();
	const pole = steps.filter({ hasText: 'Make the pole' });
	await expect(pole).toContainText('with: spirit level · then wait 5 min');

	// A step of her own after it, once, about a row.
	await page.getByRole('button', { name: /^Add a step after: Make the pole/ }).click();
	await page.getByLabel('What is done').fill('Turn the grey ones so that no tail shows');
	await page.getByLabel('About').selectOption({ label: 'column, row 1' });
	await page.getByRole('button', { name: 'Add the step' }).dblclick();
	await expect(steps.filter({ hasText: 'so that no tail shows' })).toHaveCount(1);

	// Earlier by the button, later by dragging is the same list.
	await expect(steps.nth(3)).toContainText('Tie the clusters');
	await page.getByRole('button', { name: /^Earlier: Tie the clusters/ }).click();
	await expect(steps.nth(2)).toContainText('Tie the clusters');
	await page.getByRole('button', { name: /^Leave out: Walk round/ }).click();
	await expect(steps.filter({ hasText: 'Walk round' })).toContainText('Left out of the plan');
	await page.reload();
	await expect(steps.nth(0)).toContainText('with: spirit level');
	await expect(steps.nth(2)).toContainText('Tie the clusters');

	// The row of her step goes: the step stays and says so, on the plan and on the Bench.
	await page.goto(`/bench/${id}`);
	await page.getByRole('button', { name: /^4 × 16 at 13/ }).click();
	await page.keyboard.press('Delete');
	await saved(page);
	await expect(page.getByText('Step of the plan “Turn the grey ones').first()).toBeVisible();
	await page.getByRole('link', { name: 'Steps' }).click();
	await expect(steps.filter({ hasText: 'so that no tail shows' })).toContainText('Lost: what it is about');
	await page.getByRole('button', { name: /^Take out: Turn the grey ones/ }).click();
	await expect(steps.filter({ hasText: 'so that no tail shows' })).toHaveCount(0);
	// Printed it carries the lists and the pictures.
	await expect(page.getByRole('region', { name: 'To inflate' })).toContainText(
		'8 × 11 at 10, gull white, hole, for column'
	);
	await expect(page.getByRole('region', { name: 'To buy, and from the shelf' })).toContainText('gull white');
	const paper = await page.pdf({ format: 'Letter' });
	expect(paper.subarray(0, 5).toString()).toBe('%PDF-');
	const pdf = await page.request.get(`/bench/${id}/plan.pdf`);
	expect(pdf.headers()['content-type']).toBe('application/pdf');
});

test('two tabs: what the other said of a step stays, and where both said something it is asked', async ({
	page,
	context
}) => {
	await newDesign(page, 'Two-tab post');
	await say(page, '4 11 at 10 gull white x2', 'pole 7 ft', 'step fill the base with sand');
	await saved(page);
	await page.getByRole('link', { name: 'Steps' }).click();
	await page.waitForURL(/\/plan/);
	const other = await context.newPage();
	await other.goto(page.url());
	for (const tab of [page, other]) await tab.getByRole('button', { name: /^Change: fill the base/ }).click();
	await other.getByLabel('Tool').fill('funnel');
	await other.getByLabel('Method').fill('slowly');
	await other.getByRole('button', { name: 'Change the step' }).click();
	await expect(other.getByText('with: funnel')).toBeVisible();

	await page.getByLabel('Tool').fill('scoop');
	await page.getByLabel('Check before going on').fill('nothing leaks');
	await page.getByRole('button', { name: 'Change the step' }).click();
	await expect(page.getByText('Changed to “funnel” meanwhile')).toBeVisible();
	await expect(page.getByLabel('Tool')).toHaveValue('scoop');
	await expect(page.getByLabel('Method')).toHaveValue('slowly');
	await page.getByRole('button', { name: 'Change the step' }).click();
	await expect(page.getByText('with: scoop')).toBeVisible();
	await expect(page.getByText('nothing leaks')).toBeVisible();
	await expect(page.getByText('slowly')).toBeVisible();
});

test('photos: what is none is answered in words, one is the cover, and it stands on the Shelf', async ({
	page
}) => {
	const id = await newDesign(page, 'Net loft');
	await say(page, '4 11 at 10 gull white x3');
	await saved(page);
	await page.goto(`/bench/${id}/photos`);
	const add = async (name: string, buffer: Buffer) => {
		await page.getByLabel('A photo, JPEG or PNG').setInputFiles({ name, mimeType: 'image/jpeg', buffer });
		await page.getByRole('button', { name: 'Add the photo' }).click();
	};
	await page.getByLabel('Caption').fill('by the nets');
	await add('words.jpg', Buffer.from('only words'));
	await expect(page.getByText('That is no photo this page can read. Choose a JPEG or a PNG.')).toBeVisible();
	await expect(page.getByLabel('Caption').first()).toHaveValue('by the nets');
	const huge = test.info().outputPath('huge.jpg');
	writeFileSync(huge, Buffer.alloc(10 * 1024 * 1024 + 10, 1));
	await page.getByLabel('A photo, JPEG or PNG').setInputFiles(huge);
	await page.getByRole('button', { name: 'Add the photo' }).click();
	await expect(page.getByText('That photo is over 10 MB.')).toBeVisible();
	const photo = readFileSync('scripts/demo/photos/octopus-figure.jpg');
	await add('one.jpg', photo);
	await expect(page.getByRole('img', { name: 'by the nets' })).toBeVisible();
	await add('two.jpg', photo);
	await expect(page.getByRole('listitem')).toHaveCount(2);
	const cover = await page.getByRole('listitem').nth(1).getByRole('img').getAttribute('src');
	await page.getByRole('button', { name: 'make it the cover' }).click();
	const shown = page.getByRole('listitem').filter({ has: page.locator(`img[src="${cover}"]`) });
	await expect(shown).toContainText('the cover');
	await page.goto('/shelf?search=net+loft');
	await expect(page.locator(`img[src="${cover}"]`)).toBeVisible();
	// Its bytes are a photo and nothing else, and nothing in them can run.
	const answer = await page.request.get(cover!);
	expect(answer.headers()).toMatchObject({
		'content-type': 'image/jpeg',
		'x-content-type-options': 'nosniff'
	});
	expect((await answer.body()).subarray(0, 3).toString('hex')).toBe('ffd8ff');
});

test('the client sees the photo of what was quoted, and no other photo by that link', async ({ page }) => {
	await page.goto('/quotes/quote-regatta');
	const link = (await page.locator('[data-name=client-link]').getAttribute('href'))!;
	await page.goto(link);
	await expect(page.getByRole('img', { name: 'Lighthouse column, as it was built before' })).toBeVisible();
	const path = new URL(link, page.url()).pathname;
	expect((await page.request.get(`${path}/photo/photo-lighthouse-column`)).status()).toBe(200);
	expect((await page.request.get(`${path}/photo/photo-bee-figure`)).status()).toBe(404);
});

test('a count back stands beside the recipe, and one key makes it a version', async ({ page }) => {
	const id = await newDesign(page, 'Slip post');
	await say(page, '4 16 at 13 limpet grey', '4 11 at 10 gull white x5');
	await saved(page);
	await page.goto(`/bench/${id}/count`);
	const white = page.getByLabel('Took, 11 at 10, gull white');
	await white.fill('four');
	await page.getByRole('button', { name: 'Make it a new version' }).click();
	await expect(page.getByText('“four” is not a number')).toBeVisible();
	await expect(white).toHaveValue('four');
	await white.fill('24');
	await page.getByLabel('Lost, 11 at 10, gull white').fill('2');
	await page.getByLabel('Note').fill('one layer more under the lamp');
	await page.getByRole('button', { name: 'Make it a new version' }).dblclick();
	await expect(page.getByText(/Version \d is the recipe as it was counted/)).toBeVisible();
	const counts = page.getByRole('region', { name: 'Counts so far' }).getByRole('listitem');
	await expect(counts).toHaveCount(1);
	await expect(counts).toContainText('11 at 10, gull white: 20 → 24, 2 lost');
	await page.goto(`/bench/${id}`);
	await expect(page.getByText('7 layers · 28 balloons')).toBeVisible();
	await page.goto(`/bench/${id}/versions`);
	await expect(page.getByRole('option', { name: /“as counted”/ }).first()).toBeAttached();
});

test('two designs side by side, and one as six-packs: as tall, more balloons, and it can be kept as a design', async ({
	page
}) => {
	const id = await newDesign(page, 'Reed post');
	await say(page, '4 11 at 10 spiral left gull white / limpet grey x9', 'pole 7 ft');
	await saved(page);
	await page.goto(`/compare?first=${id}`);
	await page.getByLabel('built').nth(1).selectOption({ label: 'in six-packs' });
	const [first, second] = [
		page.getByRole('region', { name: 'First', exact: true }),
		page.getByRole('region', { name: 'Second', exact: true })
	];
	await expect(second).toContainText('make it a design of its own');
	const balloons = async (side: typeof first) =>
		Number(/(\d+) balloons/.exec((await side.textContent())!)![1]);
	expect(await balloons(second)).toBeGreaterThan(await balloons(first));
	await expect(page.getByLabel('From the first to the second')).toContainText('Cost');
	await second.getByRole('button', { name: 'make it a design of its own' }).click();
	await page.waitForURL(/\/bench\/.+/);
	await expect(page.getByLabel('Name of the design')).toHaveValue('Reed post, in six-packs');
});
