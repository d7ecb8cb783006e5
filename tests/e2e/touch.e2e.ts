import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { cents, entry, expect, figure, newDesign, saved, say, test } from './app.ts';

const COLUMN = ['4 11 at 9 gull white x3', '4 11 at 8 harbour blue x2', '1 16 at 12 hive gold'];
const bar = (page: Page) => page.getByRole('group', { name: /^What is pressed/ });
/** A row by what stands on it, whatever the gaps between its words. */
const row = (page: Page, text: string) =>
	page.locator('[data-row]').filter({ hasText: new RegExp(text.split(' ').join('\\s*')) });
const picture = (page: Page) => page.getByRole('application');

/** A point of the picture: pixels right of its middle line and over its floor. */
async function point(page: Page, right: number, over: number) {
	const box = (await picture(page).boundingBox())!;
	return { x: box.x + box.width * 0.42 + right, y: box.y + box.height - 56 - over };
}
async function column(page: Page, name: string) {
	const id = await newDesign(page, name);
	await say(page, ...COLUMN);
	await expect(page.locator('[data-row]')).toHaveCount(3);
	return id;
}
const undo = (page: Page) => page.getByRole('button', { name: 'Undo' }).click();

test('by mouse: a balloon is pressed, and its row is larger, more, copied, in another colour, and out; each is one step', async ({
	page
}) => {
	await column(page, 'Pressed');
	const { x, y } = await point(page, 20, 30);
	await page.mouse.click(x, y);
	await expect(bar(page)).toContainText('row 1');
	const before = await cents(page, 'price');
	const steps: readonly (readonly [act: string, after: () => Promise<void>])[] = [
		['Size, half an inch: more', () => expect(row(page, '4 × 11 at 9½')).toHaveCount(1)],
		['How many: more', () => expect(row(page, '5 × 11 at 9')).toHaveCount(1)],
		['Layers alike: more', () => expect(row(page, '×4')).toHaveCount(1)],
		['Copy above', () => expect(row(page, 'gull white')).toHaveCount(2)],
		['Move up', () => expect(page.locator('[data-row]').nth(1)).toContainText('gull white')]
	];
	for (const [act, after] of steps) {
		await bar(page).getByRole('button', { name: act, exact: true }).click();
		await after();
		await undo(page);
		await expect(page.locator('[data-row]').last()).toContainText(
			/4\s*×\s*11\s*at\s*9$|4\s*×\s*11\s*at\s*9\D/
		);
		expect(await cents(page, 'price')).toBe(before);
		await expect(page.locator('[data-row]')).toHaveCount(3);
		if (act === 'Copy above') await page.mouse.click(x, y);
	}
	// One balloon of it alone.
	await bar(page).getByRole('button', { name: 'this balloon', exact: true }).click();
	await bar(page).getByRole('button', { name: 'Size, half an inch: less' }).click();
	await expect(row(page, '1 × 11 at 8½')).toHaveCount(1);
	await undo(page);
	await bar(page).getByRole('button', { name: 'Turn this balloon to the front' }).click();
	await saved(page);
	await undo(page);
	// The row alone in another colour, then all that is of one.
	await bar(page).getByRole('button', { name: 'this row' }).click();
	await bar(page)
		.getByRole('button', { name: /^Its colour/ })
		.click();
	await page.getByRole('button', { name: 'kelp green', exact: true }).click();
	await expect(row(page, 'kelp green')).toHaveCount(1);
	await expect(row(page, 'gull white')).toHaveCount(0);
	await bar(page).getByRole('button', { name: 'Take it out' }).click();
	await expect(page.locator('[data-row]')).toHaveCount(2);
	await expect(bar(page)).toHaveCount(0);
	await undo(page);
	await expect(page.locator('[data-row]')).toHaveCount(3);
	await saved(page);
});

test('by mouse: a colour is dropped on a balloon, and how far it goes is asked there', async ({ page }) => {
	await column(page, 'Dropped');
	const strip = page.getByRole('group', { name: 'Colours to drop on the picture' });
	const drop = async (name: string) => {
		const swatch = (await strip.getByRole('button', { name: new RegExp(`^${name}`) }).boundingBox())!;
		const { x, y } = await point(page, 20, 30);
		await page.mouse.move(swatch.x + 12, swatch.y + 12);
		await page.mouse.down();
		await page.mouse.move(x, y - 40, { steps: 4 });
		await page.mouse.move(x, y, { steps: 4 });
		await page.mouse.up();
	};
	await drop('harbour blue');
	await bar(page).getByRole('button', { name: 'this row' }).click();
	await expect(row(page, 'harbour blue')).toHaveCount(2);
	await undo(page);
	await drop('harbour blue');
	await bar(page).getByRole('button', { name: 'this balloon', exact: true }).click();
	await expect(page.locator('[data-row]').last()).toContainText('gull white');
	await expect(page.locator('[data-row]').last()).toContainText('harbour blue');
	await undo(page);
	await drop('hive gold');
	await bar(page).getByRole('button', { name: 'all gull white' }).click();
	await expect(page.locator('[data-row]').last()).toContainText('hive gold');
	await saved(page);
	// Pressed with nothing in hand it says what to do.
	await bar(page)
		.getByRole('button', { name: /^Put it down/ })
		.click();
	await strip.getByRole('button', { name: /^harbour blue/ }).click();
	await expect(page.getByText('Drag it onto a balloon, or press a balloon first.')).toBeVisible();
});

test('by mouse: the top of a column, the ends and the middle of a garland are dragged, the price with them', async ({
	page
}) => {
	await column(page, 'Dragged');
	const before = await cents(page, 'price');
	const drag = async (name: string, dx: number, dy: number) => {
		const grip = (await page.getByRole('button', { name }).boundingBox())!;
		await page.mouse.move(grip.x + 22, grip.y + 22);
		await page.mouse.down();
		await page.mouse.move(grip.x + 22 + dx, grip.y + 22 + dy, { steps: 6 });
		await expect(page.locator('output')).toBeVisible();
		await page.mouse.up();
	};
	await drag('Drag the top', 0, -90);
	await expect.poll(() => cents(page, 'price')).toBeGreaterThan(before);
	await undo(page);
	await expect.poll(() => cents(page, 'price')).toBe(before);
	await newDesign(page, 'Dragged along');
	await say(page, 'run garland', 'line 8 ft', '4 5 at 4 gull white');
	const line = () => page.getByRole('button', { name: /^Change line/ });
	await drag('Drag the right end', 60, 0);
	await expect(line()).not.toContainText('line 8 ft');
	await undo(page);
	await expect(line()).toContainText('line 8 ft');
	await drag('Drag the middle, higher or lower', 0, 60);
	await expect(line()).toContainText('lifted');
	await saved(page);
	// Escape leaves it as it was.
	const said = await line().textContent();
	const grip = (await page.getByRole('button', { name: 'Drag the left end' }).boundingBox())!;
	await page.mouse.move(grip.x + 22, grip.y + 22);
	await page.mouse.down();
	await page.mouse.move(grip.x - 60, grip.y + 22, { steps: 4 });
	await page.keyboard.press('Escape');
	await page.mouse.up();
	await expect(line()).toHaveText(said!);
});

test('by mouse: a row, and a piece on it, are dragged to another place', async ({ page }) => {
	await column(page, 'Moved');
	await say(page, 'put 1 5 at 4 kelp green as spot on row 1 front');
	const handle = () => bar(page).getByRole('button', { name: 'Drag it to another place' });
	const carry = async (to: { x: number; y: number }) => {
		const box = (await handle().boundingBox())!;
		await page.mouse.move(box.x + 10, box.y + 10);
		await page.mouse.down();
		await page.mouse.move(to.x, to.y, { steps: 8 });
		await page.mouse.up();
	};
	const box = (await picture(page).boundingBox())!;
	const seen = async (words: RegExp) => {
		// From the floor up along a line right of the middle, until it is there.
		for (const right of [0, 25, -25])
			for (let over = 10; over < box.height - 60; over += 8) {
				const at = await point(page, right, over);
				await page.mouse.move(at.x, at.y);
				if (words.test((await page.locator('p.says').textContent()) ?? '')) return at;
			}
		throw new Error(`${words} is nowhere in the picture`);
	};
	const [second, spot] = [await seen(/row 2/), await seen(/spot/)];
	await page.mouse.click(spot.x, spot.y);
	await expect(bar(page)).toContainText('spot');
	await carry(second);
	await expect(page.getByRole('list', { name: 'on column' })).toContainText('row 2 place');
	const first = await seen(/row 1/);
	await page.mouse.click(first.x, first.y);
	await carry(second);
	await expect(page.locator('[data-row]').nth(1)).toContainText('gull white');
	await saved(page);
});

test('by mouse: something is put on the row that was pressed, and the screen says what it is for', async ({
	page
}) => {
	await column(page, 'With a spot');
	const { x, y } = await point(page, 20, 30);
	await page.mouse.click(x, y);
	const before = await cents(page, 'cost');
	await bar(page)
		.getByRole('button', { name: /^Put to/ })
		.click();
	await page.getByRole('button', { name: 'How many: more' }).last().click();
	await page.getByRole('button', { name: 'Put it there' }).click();
	await expect(page.getByRole('list', { name: 'on column' })).toContainText('row 1 front');
	await expect.poll(() => cents(page, 'cost')).toBeGreaterThan(before);
	await saved(page);
	await page.getByRole('button', { name: 'What this screen is for' }).click();
	await expect(page.getByRole('dialog', { name: 'Bench' }).getByRole('listitem')).toHaveCount(5);
	await page.keyboard.press('Escape');
	// Past the bar in one key, and asked by one.
	await page.goto('/shelf');
	await page.keyboard.press('Tab');
	await expect(page.getByRole('link', { name: 'Skip to the page itself' })).toBeFocused();
	await page.keyboard.press('Enter');
	await page.keyboard.press('?');
	await expect(page.getByRole('dialog', { name: 'Shelf' })).toBeVisible();
});

test('a stand that does not reach is refused with those that do', async ({ page }) => {
	await newDesign(page, 'Too tall');
	await say(page, '4 11 at 9 gull white x16', 'pole 9 ft');
	await page.getByRole('button', { name: 'Pole, joining and settling' }).click();
	const stand = page.getByLabel('Stand, pole or line');
	await stand.selectOption({ label: 'stand with 8 ft pole' });
	await expect(
		page.getByText(/stand with 8 ft pole is too short.*These reach: stand with 9 ft pole/)
	).toBeVisible();
	await expect(stand).toHaveValue('');
	await stand.selectOption({ label: 'stand with 9 ft pole' });
	await expect(page.getByText(/is too short/)).toHaveCount(0);
	await saved(page);
});

test('by keys alone: through the picture, its actions, its grips, and back', async ({ page }) => {
	await column(page, 'By keys');
	await picture(page).focus();
	await page.keyboard.press('PageUp');
	await page.keyboard.press('Enter');
	await expect(bar(page)).toContainText('row 1');
	await expect(bar(page).getByRole('button', { name: /^Put it down/ })).toBeFocused();
	await bar(page).getByRole('button', { name: 'Size, half an inch: more' }).focus();
	await page.keyboard.press('Enter');
	await page.keyboard.press('Space');
	await expect(row(page, '4 × 11 at 10')).toHaveCount(1);
	await page.keyboard.press('Escape');
	await expect(bar(page)).toHaveCount(0);
	await expect(picture(page)).toBeFocused();
	const before = await cents(page, 'cost');
	await page.getByRole('button', { name: 'Drag the top' }).focus();
	await page.keyboard.press('ArrowUp');
	await expect.poll(() => cents(page, 'cost')).toBeGreaterThan(before);
	await page.keyboard.press('ArrowDown');
	await expect.poll(() => cents(page, 'cost')).toBe(before);
	await entry(page).focus();
	await saved(page);
});

for (const width of [390, 768]) {
	test.describe(`by finger at ${width}`, () => {
		test.use({ viewport: { width, height: 844 }, hasTouch: true, isMobile: true });
		test('a balloon is pressed, sized and coloured; every target is 44 px', async ({ page }) => {
			await column(page, 'By finger');
			const { x, y } = await point(page, 14, 24);
			await page.touchscreen.tap(x, y);
			await expect(bar(page)).toContainText('row 1');
			for (const button of await bar(page).getByRole('button').all()) {
				const box = (await button.boundingBox())!;
				expect(box.height, (await button.getAttribute('aria-label')) ?? '').toBeGreaterThanOrEqual(44);
			}
			const [found, rules] = [new AxeBuilder({ page }).include('.picture'), ['color-contrast']];
			expect((await found.disableRules(rules).analyze()).violations).toEqual([]);
			await bar(page).getByRole('button', { name: 'Size, half an inch: more' }).tap();
			await bar(page)
				.getByRole('button', { name: /^Its colour/ })
				.tap();
			await page.getByRole('button', { name: 'kelp green', exact: true }).tap();
			await expect(row(page, 'kelp green')).toHaveCount(1);
			await expect(row(page, '9½')).toHaveCount(1);
			await bar(page)
				.getByRole('button', { name: /^Put it down/ })
				.tap();
			await expect(bar(page)).toHaveCount(0);
			await expect(figure(page, 'price')).toHaveText(/\d/);
			await saved(page);
		});
	});
}
