import type { Page } from '@playwright/test';
import { cents, entry, expect, newDesign, saved, say, test } from './app.ts';

const list = (page: Page, name: string) => page.getByRole('list', { name, exact: true });
const line = (page: Page, section: string, text: RegExp) =>
	list(page, section).getByRole('button', { name: text });

test('a garland said in words: path, sizes and colours, three estimates, taught, packed, undone, kept over a reload', async ({
	page
}) => {
	await newDesign(page, 'Birthday garland');
	await say(
		page,
		'run garland',
		'line 12 ft lifted 6 ft',
		'70 % 5 at 4½ of 2 gull / 1 harbour',
		'30 % 11 at 9 of hive gold'
	);
	await expect(line(page, 'garland', /^Change line 12 ft lifted 6 ft/)).toBeVisible();
	await expect(line(page, 'garland', /^Change 70 % 5 at 4½ of 2 gull white \/ 1 harbour blue/)).toBeVisible();
	const before = await cents(page, 'cost');

	// What is typed is seen and counted before Enter, and gone again with Escape.
	await entry(page).fill('line 20 ft');
	await expect(line(page, 'garland', /^Change line 20 ft/)).toBeVisible();
	await expect.poll(() => cents(page, 'cost')).toBeGreaterThan(before);
	await entry(page).press('Escape');
	await expect(line(page, 'garland', /^Change line 12 ft/)).toBeVisible();
	await expect.poll(() => cents(page, 'cost')).toBe(before);

	// Three schools side by side; the worker fills in the third while nobody waits.
	await page.getByRole('button', { name: 'Path and count of garland' }).click();
	const table = page.getByRole('table', { name: 'How many it takes' });
	await expect(table.getByRole('row', { name: /by the foot, as taught — — — —/ })).toBeVisible();
	await expect(table.getByRole('row', { name: /packed \d+ \d+ \d+/ })).toBeVisible();
	await expect(
		page.getByText(/% apart; the recipe counts by clusters\. Most by count: 5; most by size: 11/)
	).toBeVisible();
	await expect(page.getByText(/widest gap is/)).toBeVisible({ timeout: 30_000 });
	await page.keyboard.press('Escape');

	await say(page, '7 ft took 96 5 + 30 11', 'counted by the foot');
	// Twelve feet of what took 18 a foot: 165 fives and 51 elevens.
	await expect(page.getByRole('button', { name: /^11 rounds, hive gold/ })).toContainText('51');
	await page.getByRole('button', { name: 'Path and count of garland' }).click();
	await expect(table.getByRole('row', { name: /by the foot, as taught 165 51 216/ })).toBeVisible();
	const packed = await table
		.getByRole('row', { name: /^packed/ })
		.getByRole('cell')
		.nth(3)
		.innerText();
	await table.getByRole('radio', { name: 'packed' }).check();
	await page.keyboard.press('Escape');
	await expect(line(page, 'garland', /^Change counted by packing/)).toBeVisible();
	await expect(page.getByRole('application', { name: new RegExp(`${packed} balloons`) })).toBeVisible();

	// A longer path: counted at once, packed again beside the typing, without a step of undo of its own.
	await line(page, 'garland', /^Change line 12 ft/).press('Enter');
	await expect(entry(page)).toHaveValue('line 12 ft lifted 6 ft');
	await say(page, 'line 16 ft lifted 6 ft');
	await expect(page.getByText(/it was packed as another shape/)).toBeHidden();
	await expect.poll(async () => Number(/(\d+) balloons/.exec((await page.getByRole('application').getAttribute('aria-label'))!)![1])).toBeGreaterThan(Number(packed)); // prettier-ignore
	await page.getByRole('button', { name: 'Undo' }).click();
	await expect(line(page, 'garland', /^Change line 12 ft/)).toBeVisible();
	await expect(page.getByRole('application', { name: new RegExp(`${packed} balloons`) })).toBeVisible();
	await saved(page);
	await page.reload();
	await expect(page.getByRole('application', { name: new RegExp(`${packed} balloons`) })).toBeVisible();

	// Small ones after hanging stay open until the job; hooks and a spine by name.
	await say(
		page,
		'infill 2 to 4 a foot 5 at 3 open',
		'spine decorating strip tails 1 ft',
		'hung on hooks every 3 ft with wall hook'
	);
	await expect(page.getByText(/no colour chosen in this colourway/)).toBeVisible();
	await expect(page.getByRole('button', { name: /^wall hook/ })).toContainText('5');
	await page.getByRole('link', { name: 'Steps' }).click();
	await expect(page.getByText(/Cut decorating strip for garland: 14′ 0″/)).toBeVisible();
	await expect(
		page.getByText(/Hang garland on 5 × wall hook, takes off clean, one every 3′ 0″/)
	).toBeVisible();
	await expect(page.getByText(/24 to 48 as it needs/)).toBeVisible();
});

test('the path: typed first, dragged second, by keys too; a door for scale, a photo with one known measure', async ({
	page
}) => {
	await newDesign(page, 'Door arch');
	await say(page, 'run arch', 'arch 6 ft by 7 ft lifted floor', '4 11 at 9 gull / harbour');
	await page.getByRole('button', { name: 'Path and count of arch' }).click();
	await page.getByRole('button', { name: 'Change the path' }).click();
	const dialog = page.getByRole('dialog', { name: 'The path of arch' });
	await expect(dialog.getByText('16′ 4″ long · 6′ 0″ wide · 7′ 0″ high')).toBeVisible();

	const span = dialog.getByLabel('Span');
	await span.fill('nonsense');
	await span.press('Tab');
	await expect(span).toHaveValue('nonsense');
	await expect(span).toHaveAttribute('aria-invalid', 'true');
	await span.fill('8 ft');
	await span.press('Tab');
	await expect(dialog.getByText(/8′ 0″ wide · 7′ 0″ high/)).toBeVisible();

	// A foot up by the keys; then the right foot is drawn out by hand.
	await dialog.getByRole('slider', { name: 'Move the top' }).press('Shift+ArrowUp');
	await expect(dialog.getByText(/8′ 0″ high/)).toBeVisible();
	const grip = dialog.getByRole('slider', { name: 'Move the right foot' });
	const box = (await grip.boundingBox())!;
	await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
	await page.mouse.down();
	await page.mouse.move(box.x + 60, box.y + 10, { steps: 5 });
	await page.mouse.up();
	await expect(dialog.getByText(/8′ 0″ wide/)).toBeHidden();
	await dialog.getByLabel('For scale').selectOption('door');

	await dialog.getByLabel('It goes as').selectOption('corners');
	await expect(dialog.getByLabel('Leg 3, down')).toBeVisible();
	const apart = dialog.getByLabel('Clusters apart, leg 2');
	await apart.fill('0.1');
	await apart.press('Tab');
	await expect(dialog.getByText(/½ in apart or more/)).toBeVisible();
	await apart.fill('6');
	await apart.press('Tab');
	await expect(apart).toHaveValue('6 in');
	await dialog.getByRole('button', { name: 'Add a leg' }).click();
	await expect(dialog.getByLabel('Leg 4, right')).toBeVisible();
	await dialog.getByLabel('It goes as').selectOption('curve');
	const points = dialog.getByLabel('Points, right by up');
	await points.fill('0 by 0, 1 by');
	await points.press('Tab');
	await expect(dialog.getByText(/so far right by so far up/)).toBeVisible();
	await points.fill('0 by 0, 3 by 2, 6 by 0 ft');
	await points.press('Tab');
	await expect(dialog.getByText(/6′ 0″ wide · 2′ 0″ high/)).toBeVisible();

	// A photo: what is none is said; two points a known distance apart set its scale.
	await dialog.getByLabel('a photo of the place behind it').setInputFiles('README.md');
	await expect(dialog.getByText(/no picture this browser can show/)).toBeVisible();
	await dialog
		.getByLabel('a photo of the place behind it')
		.setInputFiles('scripts/demo/photos/bee-figure.jpg');
	const known = dialog.getByLabel('Between the two points');
	await known.fill('5 ft');
	await known.press('Tab');
	await expect(dialog.getByText(/Press two points of the photo first/)).toBeVisible();
	const drawing = dialog.getByRole('group', { name: /^Drawing of the path/ });
	await drawing.click({ position: { x: 200, y: 300 } });
	await drawing.click({ position: { x: 200, y: 150 } });
	await known.fill('5 ft 6 in');
	await known.press('Tab');
	await expect(known).toHaveValue('5′ 6″');
	await dialog.getByRole('button', { name: 'Done' }).click();
	await page.keyboard.press('Escape');
	await expect(line(page, 'arch', /^Change curve 0 by 0, 3 by 2, 6 by 0 ft/)).toBeVisible();
});

test('a framed pipe: rows in turn, a pair at each elbow, a leg that was built fits the others; a tee; a helix', async ({
	page
}) => {
	await newDesign(page, 'Door frame');
	await say(page, 'run frame', 'corners up 30 in, right 54 in', '4 5 at 4 gull / harbour');
	await expect(page.getByRole('button', { name: 'Path and count of frame' })).toHaveText(
		/7′ 0″ · 31 clusters/
	);
	await say(page, '30 in took 10 clusters');
	await expect(page.getByRole('button', { name: 'Path and count of frame' })).toHaveText(/28 clusters/);
	await expect(line(page, 'frame', /^Change.*apart 3 in/)).toBeVisible();
	await say(page, 'corner 5 at 3 hive gold', 'tee at 5 ft up 1 ft');
	await expect(page.getByRole('button', { name: /^5 rounds, hive gold/ })).toContainText('2');
	await expect(page.getByRole('button', { name: 'Path and count of frame' })).toHaveText(
		/8′ 0″ · 32 clusters/
	);
	await say(page, '3 5 at 4 harbour with 1 5 at 4 gull x2 apart 3 in');
	await expect(
		line(page, 'frame', /^Change 3 × 5 at 4 harbour blue with 1 × 5 at 4 gull white ×2 apart 3 in/)
	).toBeVisible();
	// A part is taken out and comes back.
	await list(page, 'frame')
		.getByRole('button', { name: /^Take out tee/ })
		.click();
	await expect(line(page, 'frame', /^Change tee/)).toBeHidden();
	await page.getByRole('button', { name: 'Undo' }).click();
	await expect(line(page, 'frame', /^Change tee/)).toBeVisible();
	await say(page, 'helix 1 ft across 7 ft high 3 turns');
	await expect(page.getByRole('button', { name: 'Path and count of frame' })).toHaveText(/^1[12]′/);
});

test('a wall of links: rows from below, joints by kind, hidden places, a handle that does not reach, bent and round', async ({
	page
}) => {
	await newDesign(page, 'Flag wall');
	await say(page, 'weave wall', 'panel of 10 links at 10', '4 rows 8 harbour', 'joined with 5 at 2 gull');
	await expect(page.getByRole('button', { name: 'Size and joints of wall' })).toHaveText(/8′ 0″ wide/);
	// Eighteen places, two small ones each.
	await expect(page.getByRole('button', { name: /^5 rounds, gull white/ })).toContainText('36');
	await say(page, 'handle of 8 pennant over 6 ft to 4 ft');
	await expect(page.getByRole('button', { name: /^5 rounds, gull white/ })).toContainText('68');
	await expect(page.getByText(/a handle of 8 over 6′ 0″ rises 2′ 3″, not 4′ 0″/)).toBeVisible();
	await page.getByRole('button', { name: 'Size and joints of wall' }).click();
	await expect(page.getByText(/68 small balloons hold it/)).toBeVisible();
	await page.getByLabel('10 × inner, held by').selectOption('quad');
	await expect(page.getByText(/88 small balloons hold it/)).toBeVisible();
	await page.keyboard.press('Escape');
	await expect(line(page, 'wall', /^Change inner quad/)).toBeVisible();

	// The row is changed as it was said; hidden places take what costs least.
	await line(page, 'wall', /^Change 4 rows 8 harbour blue/).press('Enter');
	await entry(page).fill('2 rows 4 blue / 4 hidden');
	await entry(page).press('Enter');
	await expect(line(page, 'wall', /^Change 2 rows 4 harbour blue \/ 4 hidden/)).toBeVisible();
	await expect(page.getByText(/any colour \(open\)/)).toBeHidden();
	await say(page, 'bent over 9 ft');
	await expect(page.getByText(/cannot be bent over 9′ 0″/)).toBeVisible();
	await say(page, 'ring of 10 links at 10', 'honeycomb of 10 links at 6');
	await expect(line(page, 'wall', /^Change honeycomb of 10 links at 6/)).toBeVisible();
	await page.getByRole('link', { name: 'Steps' }).click();
	await expect(page.getByText(/^Weave wall: each tail tied to the next nozzle/)).toBeVisible();
	await page.goBack();
	await page.getByRole('link', { name: 'Lists' }).click();
	await expect(page.getByText(/10 in links|10 links/).first()).toBeVisible();
});

test('what no run can be is refused where it was typed; shares, crossings and a worker that dies are said', async ({
	page
}) => {
	await newDesign(page, 'Odd garland');
	await say(page, 'run garland');
	const refused = async (text: string, sentence: RegExp) => {
		await entry(page).fill(text);
		await entry(page).press('Enter');
		await expect(page.getByText(sentence)).toBeVisible();
		await expect(entry(page)).toHaveValue(text);
	};
	await refused('line 0 ft', /between 3 in and 650 ft/);
	await refused('line 2 m sideways', /I read all but/);
	await refused('arch 2000 m by 3 ft', /How wide and how high/);
	await refused('120 % 5 at 4 of gull', /at most 100 %/);
	await refused('infill many', /How many a foot/);
	await entry(page).fill('');

	// The worker cannot be had: the rough picture stays and says so; asked again, it is packed.
	await page.route('**/packing.worker*', (route) => route.abort());
	await say(page, 'line 10 ft', '60 % 5 at 4½ of gull');
	await expect(page.getByText(/sizes make 60 %, not 100 %/)).toBeVisible();
	await page.getByRole('button', { name: 'Path and count of garland' }).click();
	await expect(page.getByText(/Packing stopped; the picture is rough/)).toBeVisible();
	await page.unroute('**/packing.worker*');
	await page.getByRole('button', { name: 'pack it again' }).click();
	await expect(page.getByText(/widest gap is/)).toBeVisible();
	await page.keyboard.press('Escape');
	await say(page, 'curve 0 by 0, 4 by 3, 2 by 5, 0 by 3, 4 by 0 ft');
	await expect(page.getByText(/its path crosses itself/).first()).toBeVisible();

	// More than anybody builds: refused, and what was said is there to be changed.
	await say(page, 'line 650 ft', '12 5 at 2 gull apart ½ in');
	await expect(page.getByText(/more than 100,000 balloons/)).toBeVisible();
	await page.getByRole('button', { name: 'Undo' }).click();
	await expect(page.getByText(/more than 100,000 balloons/)).toBeHidden();
});
