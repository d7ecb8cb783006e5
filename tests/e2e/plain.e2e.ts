import type { Page } from '@playwright/test';
import { entry, expect, newDesign, say, test } from './app.ts';

const rows = (page: Page) =>
	page
		.locator('[data-row]')
		.evaluateAll((buttons) => buttons.map((b) => b.getAttribute('aria-label')).reverse());
const options = (page: Page) => page.getByRole('listbox', { name: 'What can come next' }).getByRole('option');

test('the list under the line: arrows and Enter take what comes next, Escape closes it, a press takes it too', async ({
	page
}) => {
	await newDesign(page, 'List column');
	await entry(page).pressSequentially('4 11 at 9 hiv');
	await expect(options(page).first()).toHaveText(/hive gold/);
	await expect(entry(page)).toHaveAttribute('aria-expanded', 'true');
	await page.keyboard.press('ArrowDown');
	await expect(options(page).first()).toHaveAttribute('aria-selected', 'true');
	await page.keyboard.press('Enter');
	await expect(entry(page)).toHaveValue('4 11 at 9 hive gold');
	await expect(page.getByText('4 × 11-inch hive gold at 9, on top')).toBeVisible();
	await page.keyboard.press('Enter');
	await expect.poll(() => rows(page)).toEqual(['4 × 11 at 9, hive gold matte']);
	await entry(page).pressSequentially('6 5 at 4 gu');
	await expect(options(page).first()).toBeVisible();
	await page.keyboard.press('Escape');
	await expect(options(page)).toHaveCount(0);
	await expect(entry(page)).toHaveValue('6 5 at 4 gu');
	await page.keyboard.type('l');
	await options(page).filter({ hasText: 'gull white' }).click();
	await expect(entry(page)).toHaveValue('6 5 at 4 gull white');
	await expect(entry(page)).toBeFocused();
	await expect(options(page)).toHaveCount(0);
	await page.keyboard.press('Enter');
	await expect.poll(() => rows(page)).toHaveLength(2);
});

test('as she would tell a colleague: rows, a change of the one in hand, several at once; each is one step of undo', async ({
	page
}) => {
	await newDesign(page, 'Told column');
	await say(page, 'a quad of grey sixteens at thirteen', 'six layers of white quads, 11s at 9');
	await expect
		.poll(() => rows(page))
		.toEqual(['4 × 16 at 13, limpet grey', '4 × 11 at 9, gull white, 6 layers']);
	await entry(page).fill('half an inch smaller');
	await expect(page.getByText('row 2 becomes 4 × 11-inch gull white at 8½, 6 times')).toBeVisible();
	await page.keyboard.press('Enter');
	await expect.poll(async () => (await rows(page))[1]).toBe('4 × 11 at 8½, gull white, 6 layers');
	await say(page, 'bottom row in black');
	await expect.poll(async () => (await rows(page))[0]).toMatch(/^4 × 16 at 13, .*black/);
	await say(page, 'then 8 gold 5s at 4, and a red 16 at 14 on top');
	await expect.poll(() => rows(page)).toHaveLength(4);
	await page.getByRole('button', { name: 'Undo' }).click();
	await expect.poll(() => rows(page)).toHaveLength(2);
	await page.getByRole('button', { name: 'Undo' }).click();
	await expect.poll(async () => (await rows(page))[0]).toBe('4 × 16 at 13, limpet grey');
});

test('a line that is refused stays, its unknown words are marked, and each offer is one press', async ({
	page
}) => {
	await newDesign(page, 'Refused column');
	await say(page, '4 11 at 9 whtie wobbly');
	await expect(entry(page)).toHaveValue('4 11 at 9 whtie wobbly');
	await expect(page.locator('u')).toHaveText(['whtie', 'wobbly']);
	await page.getByRole('button', { name: '4 11 at 9 white', exact: true }).click();
	await expect.poll(() => rows(page)).toEqual(['4 × 11 at 9, gull white']);
	await expect(entry(page)).toHaveValue('');
});

test('a row said while a wall is in hand is asked about, and goes where she says', async ({ page }) => {
	await newDesign(page, 'Asked wall');
	await say(page, '4 11 at 9 gull', 'weave wall', 'wall of 10 links at 9', '4 11 at 9 hive gold');
	await expect(page.getByText('That goes into column, not wall.')).toBeVisible();
	await expect.poll(() => rows(page)).toHaveLength(1);
	await page.getByRole('button', { name: 'into column' }).click();
	await expect.poll(() => rows(page)).toHaveLength(2);
	await say(page, 'section wall', '6 5 at 4 gull');
	await page.getByRole('button', { name: 'a new part of its own' }).click();
	await expect(page.getByRole('button', { name: /Name and place of part/ })).toBeVisible();
});

test('a pasted recipe: what each line becomes is shown, a line is mended there, all of it is one step', async ({ page }) => {
	await newDesign(page, 'Pasted column');
	await entry(page).focus();
	await page.evaluate(() => {
		const clipboardData = new DataTransfer();
		clipboardData.setData('text/plain', '# old notes\n1. 4 16 at 13 grey\n- six quads of white 11s at 9\n* 1 16 at 14 glod\n');
		document.activeElement!.dispatchEvent(new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true }));
	});
	const dialog = page.getByRole('dialog', { name: '3 lines were pasted' });
	await expect(dialog.getByText('4 × 11-inch gull white at 9, 6 times, on top')).toBeVisible();
	await expect(dialog.getByRole('button', { name: 'Put 2 of 3' })).toBeVisible();
	await dialog.getByLabel('Line 3').fill('1 16 at 14 gold');
	await dialog.getByRole('button', { name: 'Put all 3' }).click();
	await expect.poll(() => rows(page)).toEqual(['4 × 16 at 13, limpet grey', '4 × 11 at 9, gull white, 6 layers', '1 × 16 at 14, hive gold matte']);
	await page.getByRole('button', { name: 'Undo' }).click();
	await expect.poll(() => rows(page)).toEqual([]);
}); // prettier-ignore

test('said aloud where the browser can listen, and no sign of it where it cannot', async ({ page }) => {
	await page.addInitScript(() => {
		for (const name of ['SpeechRecognition', 'webkitSpeechRecognition'])
			Object.defineProperty(window, name, { value: undefined, writable: true });
	});
	await newDesign(page, 'Silent column');
	await expect(page.getByRole('button', { name: 'Say it aloud' })).toHaveCount(0);
	await page.addInitScript(() => {
		// A stand-in for what the browser hears.
		class Heard {
			onresult: ((event: unknown) => void) | null = null;
			onend: (() => void) | null = null;
			start() {
				setTimeout(() => {
					this.onresult?.({ results: [[{ words: 'Four white elevens at ten and a half' }]] });
					this.onend?.();
				}, 50);
			}
			stop() {
				this.onend?.();
			}
		}
		(window as unknown as { SpeechRecognition: unknown }).SpeechRecognition = Heard;
	});
	await page.reload();
	await page.locator('html[data-ready]').waitFor({ state: 'attached' });
	await page.getByRole('button', { name: 'Say it aloud' }).click();
	await expect(page.getByText('4 × 11-inch gull white at 10½, on top')).toBeVisible();
	await entry(page).press('Enter');
	await expect.poll(() => rows(page)).toEqual(['4 × 11 at 10½, gull white']);
});

test('by finger at 390: what comes next is taken with a tap, 44 px high, within the screen', async ({
	browser,
	baseURL
}) => {
	const context = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true, ...(baseURL ? { baseURL } : {}) }); // prettier-ignore
	const page = await context.newPage();
	await newDesign(page, 'Phone column');
	await entry(page).tap();
	await entry(page).pressSequentially('4 11 at 9 gul');
	const first = options(page).first();
	const box = (await first.boundingBox())!;
	expect(box.height).toBeGreaterThanOrEqual(44);
	expect(box.x + box.width).toBeLessThanOrEqual(390);
	await first.tap();
	await expect(entry(page)).toHaveValue('4 11 at 9 gull white');
	await entry(page).press('Enter');
	await expect.poll(() => rows(page)).toEqual(['4 × 11 at 9, gull white']);
	await context.close();
});
