import type { Locator, Page } from '@playwright/test';
import { cents, entry, expect, figure, newDesign, saved, say, test } from './app.ts';

/** Presses of a hand or of keys, counted from “New design” on. */
class Presses {
	count = 0;
	readonly page: Page;
	readonly touch: boolean;
	constructor(page: Page, touch = false) {
		this.page = page;
		this.touch = touch;
	}
	async on(what: Locator, times = 1) {
		for (let i = 0; i < times; i++) {
			await (this.touch ? what.tap() : what.click());
			this.count++;
		}
	}
	async key(...keys: string[]) {
		for (const key of keys) {
			await this.page.keyboard.press(key);
			this.count++;
		}
	}
	button = (name: string | RegExp) =>
		this.page.getByRole('button', { name, exact: typeof name === 'string' });
}
/** Builds what is asked for and waits for the Bench with its price. */
async function built(page: Page, presses: Presses) {
	await presses.on(presses.button('Build it'));
	await page.waitForURL(/\/bench\/.+/);
	// It is there before it answers: what it keeps in the tab is kept from then on.
	await page.locator('html[data-ready]').waitFor({ state: 'attached' });
	await expect(figure(page, 'price')).toHaveText(/\d/);
	return cents(page, 'price');
}
const colour = async (presses: Presses, index: number, name: string) => {
	await presses.on(presses.button(new RegExp(`^Colour ${index}: `)));
	await presses.on(presses.button(name));
};

/** What a hand does from “New design” on, and how many presses it may take. */
const JOURNEYS: Readonly<Record<string, { most: number; go: (p: Presses) => Promise<void> }>> = {
	Column: {
		most: 12,
		go: async (p) => {
			await colour(p, 1, 'harbour blue');
			await p.on(p.button('How tall: less'), 2);
			await p.on(p.button(/^Stand: /));
			await p.on(p.page.getByRole('option', { name: /^stand with 8 ft pole/ }));
		}
	},
	'Organic garland': {
		most: 16,
		go: async (p) => {
			await colour(p, 1, 'thrift pink');
			await p.on(p.button('How long: more'), 4);
			await p.on(p.button(/^What holds it: /));
			await p.on(p.page.getByRole('option', { name: /^wall hook/ }));
		}
	},
	Centrepiece: {
		most: 14,
		go: async (p) => {
			await colour(p, 1, 'kelp green');
			await p.on(p.button('Foot, inflated size: more'), 2);
			await p.on(p.button(/^Weight: /));
			await p.on(p.page.getByRole('option', { name: /^sandbag/ }));
		}
	},
	Bouquet: {
		most: 12,
		go: async (p) => {
			await p.on(p.button('How many balloons: more'), 2);
			await p.on(p.button(/^Ribbon: /));
			await p.on(p.page.getByRole('option', { name: /^ribbon.*gold/ }));
			await p.on(p.button(/^Weight: /));
			await p.on(p.page.getByRole('option', { name: /^sandbag/ }));
		}
	},
	Arch: { most: 12, go: async (p) => p.on(p.button('How wide: more'), 2) },
	'Wall or panel': { most: 12, go: async (p) => p.on(p.button('How wide: more'), 2) },
	'Pillar with topper': { most: 12, go: async (p) => p.on(p.button('How tall: more'), 2) },
	'Table runner': { most: 12, go: async (p) => p.on(p.button('How long: more'), 2) },
	Figure: { most: 12, go: async (p) => p.on(p.button('Balloons in a cluster: more')) },
	'Letter or number frame': { most: 12, go: async (p) => p.on(p.button('How tall: more'), 2) }
};

for (const [title, { most, go }] of Object.entries(JOURNEYS)) {
	test(`${title} by mouse alone, in ${most} presses at most`, async ({ page }) => {
		const presses = new Presses(page);
		await page.goto('/shelf');
		await presses.on(page.getByRole('link', { name: 'New design' }));
		await presses.on(page.getByRole('button', { name: title, exact: true }));
		await expect(page.getByRole('heading', { name: title })).toBeVisible();
		const before = await cents(page, 'balloons');
		await go(presses);
		const shown = await cents(page, 'price');
		expect(before).toBeGreaterThan(0);
		const price = await built(page, presses);
		// The price that moved with the fields is the price of the design.
		expect(price).toBe(shown);
		expect(presses.count).toBeLessThanOrEqual(most);
		// An ordinary design: it can be gone on with, and is not begun anew by a reload.
		await expect(page.getByRole('region', { name: 'The same in lines' })).toBeVisible();
		await saved(page);
		await page.reload();
		await expect(page.getByRole('region', { name: 'The same in lines' })).toHaveCount(0);
		expect(await cents(page, 'price')).toBe(price);
	});
}

test.describe('by finger, 390 wide', () => {
	test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });
	for (const [title, { most, go }] of Object.entries(JOURNEYS)) {
		test(title, async ({ page }) => {
			const presses = new Presses(page, true);
			await page.goto('/shelf');
			await presses.on(page.getByRole('link', { name: 'New design' }));
			await presses.on(page.getByRole('button', { name: title, exact: true }));
			await go(presses);
			// Everything pressed is as large as a finger, and nothing is wider than the phone.
			for (const control of await page.locator('main button:visible, main select:visible').all()) {
				const box = (await control.boundingBox())!;
				expect.soft([await control.textContent(), Math.round(box.height) >= 44]).toEqual([await control.textContent(), true]); // prettier-ignore
			}
			expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
			await built(page, presses);
			expect(presses.count).toBeLessThanOrEqual(most);
		});
	}
});

test('a column by keys alone: the list of commands, arrows, and Ctrl Enter', async ({ page }) => {
	const presses = new Presses(page);
	await page.goto('/quotes');
	await presses.key('Control+k');
	await page.keyboard.type('new design');
	await presses.key('Enter');
	await page.waitForURL(/\/new/);
	await expect(page.getByRole('button', { name: 'Column', exact: true })).toBeFocused();
	// To the first colour, another one, over the rest of the colours to the height, half a foot less.
	await presses.key('Tab', 'Enter');
	await expect(page.getByText('in stock')).toBeVisible();
	await presses.key('ArrowRight', 'Enter');
	await presses.key('Control+Enter');
	await page.waitForURL(/\/bench\/.+/);
	await expect(entry(page)).toBeFocused();
	expect(presses.count).toBeLessThanOrEqual(12);
});

test('every shape by keys alone, from “New design” to its price', async ({ page }) => {
	test.setTimeout(120_000);
	for (const title of Object.keys(JOURNEYS)) {
		const presses = new Presses(page);
		await page.goto('/new');
		await expect(page.getByRole('button', { name: 'Column', exact: true })).toBeFocused();
		const titles = await page.getByRole('toolbar', { name: 'Starting shapes' }).getByRole('button').allTextContents(); // prettier-ignore
		const at = titles.findIndex((t) => t.trim() === title);
		for (let i = 0; i < at; i++) await presses.key('ArrowRight');
		await expect(page.getByRole('button', { name: title, exact: true })).toBeFocused();
		await expect(page.getByRole('heading', { name: title })).toBeVisible();
		// Over the first colour to what comes after it, and on from there.
		await presses.key('Tab', 'Tab');
		await presses.key('Control+Enter');
		await page.waitForURL(/\/bench\/.+/);
		await expect(figure(page, 'price')).toHaveText(/\d/);
		expect(presses.count).toBeLessThanOrEqual(at + 3);
	}
});

test('fields keep what was said: nonsense is answered at the field, a reload and another shape lose nothing', async ({
	page
}) => {
	await page.goto('/new');
	const tall = page.getByRole('textbox', { name: 'How tall' });
	await tall.fill('banana');
	await tall.press('Tab');
	await expect(page.getByText(/“banana” is not a length/)).toBeVisible();
	await expect(tall).toHaveValue('banana');
	await tall.fill('200 ft');
	await tall.press('Tab');
	await expect(page.getByText('That is between 1′ 0″ and 30′ 0″.')).toBeVisible();
	await expect(page.getByRole('button', { name: 'Build it' })).toBeDisabled();
	await tall.fill('8 ft');
	await tall.press('Tab');
	await expect(page.getByRole('button', { name: 'Build it' })).toBeEnabled();
	await page.getByRole('button', { name: 'Arch', exact: true }).click();
	await expect(page.getByRole('heading', { name: 'Arch' })).toBeVisible();
	await page.getByRole('button', { name: 'Column', exact: true }).click();
	await expect(tall).toHaveValue('8 ft');
	await page.reload();
	await expect(tall).toHaveValue('8 ft');
	// Left for another screen and gone back to, it is the shape that was in hand.
	await page.getByRole('button', { name: 'Bouquet', exact: true }).click();
	await page.getByRole('link', { name: 'Shelf', exact: true }).click();
	await page.waitForURL(/\/shelf/);
	await page.goBack();
	await expect(page.getByRole('region', { name: 'Bouquet: what it is made of' })).toBeVisible();
});

test('pressed twice it is built once', async ({ page }) => {
	await page.goto('/shelf');
	const count = async () => Number(/^\d+/.exec((await page.getByText(/^\d+ designs$/).textContent())!)![0]);
	const before = await count();
	await page.goto('/new?shape=bouquet');
	await page.getByRole('button', { name: 'Build it' }).dblclick();
	await page.waitForURL(/\/bench\/.+/);
	await saved(page);
	await page.goto('/shelf');
	expect(await count()).toBe(before + 1);
});

test('rows by hand alone: the first one, another like it, its size, colours and count; each one step of undo', async ({
	page
}) => {
	await newDesign(page, 'By hand');
	const presses = new Presses(page);
	const form = page.getByRole('group', { name: 'Change this row' });
	const rows = () => page.locator('[data-row]');
	await presses.on(presses.button('add a row'));
	await expect(form).toBeVisible();
	await presses.on(form.getByRole('button', { name: '16', exact: true }));
	await presses.on(form.getByRole('button', { name: 'Inflated size: less' }));
	await presses.on(presses.button(/^Colour 1 of the row/));
	await presses.on(presses.button('harbour blue'));
	await expect(rows().first()).toHaveAccessibleName(/^4 × 16 at 12½, .*harbour blue/);
	await presses.on(presses.button('add a row'));
	await expect(rows()).toHaveCount(2);
	await presses.on(presses.button(/^Another colour in the row/));
	await presses.on(presses.button('gull white'));
	await presses.on(form.getByRole('button', { name: 'Layers of this row: more' }), 3);
	await expect(rows().first()).toHaveAccessibleName(/4 layers$/);
	expect(presses.count).toBeLessThanOrEqual(12);
	await form.getByLabel('How the colours go').selectOption('in a spiral');
	await expect(page.getByRole('region', { name: 'Picture' }).getByText(/over all/)).toBeVisible();
	// What a field refuses is said there; the row stays as it was.
	const count = form.getByRole('textbox', { name: 'Balloons in the cluster' });
	await count.fill('40');
	await count.press('Enter');
	await expect(form.getByRole('alert')).toHaveText(/1 to 12 balloons/);
	await expect(rows().first()).toHaveAccessibleName(/^4 × 16/);
	const before = await rows().first().getAttribute('aria-label');
	await page.getByRole('button', { name: 'Undo' }).click();
	await page.getByRole('button', { name: 'Redo' }).click();
	expect(await rows().first().getAttribute('aria-label')).toBe(before);
	await saved(page);
});

test('a press beside what is open closes it and arrives: lines typed then are not lost', async ({ page }) => {
	await newDesign(page, 'Arriving');
	const opener = page.getByRole('button', { name: /^About Arriving/ });
	for (const line of ['4 11 at 9 gull white', '4 11 at 8 pennant red', '1 11 at 10 hive gold']) {
		await opener.click();
		await expect(page.getByLabel('Tags')).toBeVisible();
		await entry(page).click();
		await page.keyboard.type(line);
		await page.keyboard.press('Enter');
		await expect(page.getByLabel('Tags')).toHaveCount(0);
	}
	await expect(page.locator('[data-row]')).toHaveCount(3);
	// Closed by a key the focus is where it was opened from.
	await opener.click();
	await page.keyboard.press('Escape');
	await expect(opener).toBeFocused();
});

test('a garland from nothing by hand: its sizes with shares that add up, what it hangs on, a size changed by its fields', async ({
	page
}) => {
	await newDesign(page, 'Garland by hand');
	await page.getByRole('button', { name: 'Add a section' }).click();
	await page
		.getByLabel('A new section')
		.selectOption({ label: 'garland, arch, runner or pipe: along a path' });
	await page.getByRole('button', { name: 'Add it' }).click();
	const put = page.getByRole('button', { name: 'Put to run by hand' });
	const what = page.getByRole('group', { name: 'What to put' });
	for (const bag of ['11', '5']) {
		await put.click();
		await what.getByRole('button', { name: 'a size of the mix' }).click();
		await page
			.getByRole('group', { name: 'Size on the bag' })
			.getByRole('button', { name: bag, exact: true })
			.click();
		await page.getByRole('button', { name: 'Put it there' }).click();
		await expect(what).toHaveCount(0);
	}
	const list = page.getByRole('list', { name: 'run' });
	await expect(list.getByText('50 % 11 at')).toBeVisible();
	await expect(list.getByText('50 % 5 at')).toBeVisible();
	await put.click();
	await what.getByRole('button', { name: 'what it hangs on' }).click();
	await page.getByRole('button', { name: /^What holds it: / }).click();
	await page.getByRole('option', { name: /^wall hook/ }).click();
	await page.getByRole('button', { name: 'Put it there' }).click();
	await expect(list.getByText(/hung on hooks every 2 ft with wall hook/)).toBeVisible();
	// One of them changed where it stands: the other makes room.
	await page.getByRole('button', { name: /^Fields of 50 % 11 at/ }).click();
	await page.getByRole('button', { name: 'Of all balloons, %: more' }).click();
	await page.getByRole('button', { name: 'Change it', exact: true }).click();
	await expect(list.getByText('51 % 11 at')).toBeVisible();
	await expect(list.getByText('49 % 5 at')).toBeVisible();
	await expect(figure(page, 'price')).toHaveText(/\d/);
	await page.getByRole('button', { name: 'Undo' }).click();
	await expect(list.getByText('50 % 11 at')).toBeVisible();
	await saved(page);
});

test('a line left in the middle is there again: after another screen, a reload and a closed tab', async ({
	page,
	context
}) => {
	const id = await newDesign(page, 'Half typed');
	await say(page, '4 11 at 9 gull white');
	await entry(page).fill('3 11 at 10 pen');
	await page.getByRole('link', { name: 'Shelf', exact: true }).click();
	await page.waitForURL(/\/shelf/);
	await page.goBack();
	await expect(entry(page)).toHaveValue('3 11 at 10 pen');
	await page.close({ runBeforeUnload: true });
	const later = await context.newPage();
	await later.goto(`/bench/${id}`);
	await expect(entry(later)).toHaveValue('3 11 at 10 pen');
	// Entered, it is no longer left over.
	await entry(later).press('End');
	await later.keyboard.type('nant x2');
	await later.keyboard.press('Enter');
	await expect(later.locator('[data-row]')).toHaveCount(2);
	await later.reload();
	await expect(entry(later)).toHaveValue('');
});

test('a kept design becomes a starting shape that asks for its colours and height', async ({ page }) => {
	await newDesign(page, 'House column');
	await say(page, '4 16 at 12 limpet grey', '4 11 at 9 gull white x6');
	await page.getByRole('button', { name: /^About House column/ }).click();
	await page.getByRole('checkbox', { name: /New designs may start from it/ }).check();
	await page.keyboard.press('Escape');
	await page.getByRole('button', { name: 'Keep', exact: true }).click();
	await expect(page.getByText(/kept once/)).toBeVisible();
	const presses = new Presses(page);
	await page.goto('/shelf');
	await presses.on(page.getByRole('link', { name: 'New design' }));
	await presses.on(presses.button('House column'));
	await presses.on(presses.button('How tall: more'), 2);
	const picks = page.getByRole('group', { name: 'white' });
	await presses.on(picks.getByRole('button', { name: /^Colour 1/ }));
	await presses.on(presses.button('harbour blue'));
	await built(page, presses);
	await expect(page.getByLabel('Name of the design')).toHaveValue('House column');
	await expect(page.getByText('11 rounds, harbour blue')).toBeVisible();
	expect(presses.count).toBeLessThanOrEqual(8);
	// The one it started from is as it was.
	await page.goto('/shelf?tag=starting+shape');
	await expect(page.getByText('1 of')).toBeVisible();
});
