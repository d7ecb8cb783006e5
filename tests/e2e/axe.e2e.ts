import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { NOBODY } from '../kit/signed-in.ts';
import { clientLink, expect, newDesign, say, test } from './app.ts';

type Screen = [path: string, open?: (page: Page) => Promise<unknown>];
// They run beside each other, on a worker each.
test.describe.configure({ mode: 'parallel' });

test('axe finds nothing serious on the screens of designing, in both themes', async ({ page }) => {
	await newDesign(page, 'Empty');
	await look(page, [
		['/shelf'],
		['/shelf?search=walrus'],
		['/shelf/open'],
		[new URL(page.url()).pathname],
		['/bench/lighthouse-column', (p) => p.getByRole('button', { name: /^Colourway/ }).click()],
		['/bench/hive-column', (p) => p.getByRole('button', { name: 'Pole, joining and settling' }).click()],
		['/bench/kelp-column', (p) => say(p, '4 11 at nonsense', 'x')],
		[
			'/bench/tide-gauge-pole',
			(p) => p.getByRole('combobox', { name: 'Say a layer' }).pressSequentially('4 11 at 9 g')
		],
		['/bench/hive-column/lists'],
		['/bench/jellyfish-bunch', (p) => p.getByRole('button', { name: 'Gas of jellyfish' }).click()],
		['/bench/planets-bunch', (p) => p.getByRole('button', { name: 'More of moon' }).click()],
		['/bench/hive-column/colours'],
		['/bench/tide-gauge-pole/versions'],
		['/bench/comet/count'],
		['/compare?first=hive-column&secondAs=6'],
		[
			'/bench/octopus-figure',
			(p) => p.getByRole('button', { name: 'Name and place of Octopus arm', exact: true }).click()
		],
		['/new', (p) => p.getByRole('button', { name: /^Colour 1: / }).click()],
		['/new?shape=bouquet', (p) => p.getByRole('button', { name: /^Weight: / }).click()],
		['/welcome'],
		['/shorthand'],
		['/nowhere']
	]);
});

test('axe finds nothing serious on what opens over the Bench, in both themes', async ({ page }) => {
	await look(page, [
		['/bench/toadstool-figure/sizes'],
		[
			'/bench/bee-figure/plan',
			(p) =>
				p
					.getByRole('button', { name: /^Change: / })
					.first()
					.click()
		],
		['/bench/bee-figure/photos'],
		['/bench/tide-gauge-pole', (p) => p.locator('[data-row]').first().click()],
		[
			'/bench/loaf-arch',
			(p) =>
				p
					.getByRole('button', { name: /by hand$/ })
					.first()
					.click()
		],
		['/bench/comet', (p) => p.getByRole('button', { name: /^Take it away/ }).click()],
		[
			'/bench/comet-tail-garland',
			async (p) => {
				await p.getByRole('button', { name: 'Path and count of tail' }).click();
				await p.getByRole('button', { name: 'Change the path' }).click();
			}
		],
		['/bench/signal-flag-wall', (p) => p.getByRole('button', { name: 'Size and joints of flags' }).click()],
		['/bench/toadstool-figure', (p) => p.getByRole('button', { name: 'Change spots' }).click()],
		['/bench/lighthouse-column', (p) => p.getByRole('button', { name: 'Change ground stake' }).click()],
		[
			'/bench/orbit-plinth',
			async (p) => {
				await p.getByRole('button', { name: /^3 × 11 at 9 with/ }).click();
				await p.keyboard.press('p');
				await p.getByRole('listbox').waitFor();
			}
		],
		['/bench/hive-column', (p) => p.keyboard.press('Control+k')],
		['/bench/hive-column', (p) => p.getByRole('button', { name: /^About/ }).click()],
		['/bench/lighthouse-column', (p) => p.getByRole('button', { name: /sizes of this design$/ }).click()]
	]);
});

test('axe finds nothing serious on the doors, in both themes', async ({ browser }) => {
	const page = await (await browser.newContext({ storageState: NOBODY })).newPage();
	await look(page, [
		['/sign-in', (p) => p.getByRole('button', { name: 'Sign in' }).click()],
		['/sign-in/code'],
		['/forgot', (p) => p.getByRole('button', { name: 'Ask for it' }).click()],
		['/reset/no-such', (p) => p.getByRole('button', { name: 'Take this one' }).click()],
		['/join/no-such']
	]);
});

test('axe finds nothing serious on the screens of buying, in both themes', async ({ page }) => {
	await look(page, [
		[
			'/stockroom',
			(p) =>
				p
					.getByRole('button', { name: /^Change the pack of/ })
					.first()
					.click()
		],
		['/stockroom/round-11-gull-white', (p) => p.getByText('Another pack or supplier').click()],
		['/stockroom/count'],
		['/stockroom/suppliers'],
		['/stockroom/colours'],
		['/stockroom/labels?search=gull'],
		['/bench/lighthouse-column/swatches'],
		['/stockroom/list', (p) => p.getByText('Or paste rows from a spreadsheet').click()],
		['/shelf?away=yes']
	]);
});

test('axe finds nothing serious on the screens of jobs and numbers, in both themes', async ({ page }) => {
	await look(page, [
		['/jobs', (p) => p.locator('.calendar[data-ready]').waitFor()],
		['/jobs/calendar'],
		['/jobs/buying'],
		['/jobs/plan'],
		['/jobs/quote-lanterns', (p) => p.getByRole('button', { name: 'Add a day' }).click()],
		['/jobs/quote-lanterns/lists'],
		['/jobs/quote-lanterns/tally', (p) => p.getByRole('button', { name: /^One is lost/ }).click()],
		['/jobs/quote-lanterns/count'],
		['/jobs/quote-choir/settle'],
		['/jobs/quote-paid/photos'],
		['/numbers', (p) => p.locator('.apexcharts-svg').first().waitFor()],
		['/numbers/taught', (p) => p.getByText('The jobs it rests on').first().click()],
		['/jobs/day/today'],
		['/thumb'],
		['/thumb/heat', (p) => p.locator('.apexcharts-svg').first().waitFor()]
	]);
});

test('axe finds nothing serious on the settings, in both themes', async ({ page }) => {
	await look(page, [
		['/settings/work'],
		['/settings/people', (p) => p.getByRole('button', { name: 'Make the link' }).click()],
		['/settings/changes'],
		['/settings/backups'],
		['/settings/studio-file'],
		['/settings/health'],
		['/me'],
		['/work'],
		['/settings']
	]);
});

test('axe finds nothing serious on the screens of selling, in both themes', async ({ page }) => {
	const client = await clientLink(page);
	await look(page, [
		['/quotes'],
		['/quotes/quote-garden'],
		['/bench/lighthouse-column/price'],
		['/quotes/quote-regatta'],
		['/quotes/quote-lamps'],
		['/quotes/quote-oven'],
		['/quotes/quote-oven/post/quote-oven.1.quote'],
		['/clients'],
		['/clients/client-quote-past-2'],
		['/quick', (p) => p.getByRole('button', { name: 'Margin' }).click()],
		['/quick', (p) => p.getByRole('button', { name: 'Put it on a quote' }).click()],
		[
			'/quotes/quote-garden',
			async (p) => {
				await p.getByText('heading, note, choice').first().click();
				await p.getByRole('button', { name: 'Add a design' }).click();
			}
		],
		[client]
	]);
});

async function look(page: Page, screens: readonly Screen[]) {
	test.setTimeout(180_000);
	const serious: string[] = [];
	for (const [path, open] of screens) {
		await page.goto(path);
		await open?.(page);
		await page.evaluate(shortened);
		for (const theme of ['light', 'dark']) {
			await page.evaluate((t) => (document.documentElement.dataset.theme = t), theme);
			// Only colours differ between the themes: everything else is looked at once.
			// Without a page of its own for the results: the app has no frames within frames, and this takes half the time.
			const axe = new AxeBuilder({ page }).options({ resultTypes: ['violations'] }).setLegacyMode();
			const { violations } = await (theme === 'dark' ? axe.withRules('color-contrast') : axe).analyze();
			for (const v of violations.filter((v) => v.impact === 'serious' || v.impact === 'critical'))
				serious.push(`${path} (${theme}): ${v.id}, ${v.nodes.map((n) => n.target.join(' ')).join(' | ')}`);
		}
	}
	expect(serious).toEqual([]);
}

/** Of long lists, tables and drawings the first dozen stay: what is alike is looked at often enough, in a fraction of the time. */
function shortened() {
	for (const list of document.querySelectorAll('tbody, ul, ol, svg, svg g, [role="listbox"], [role="grid"]'))
		for (const more of [...list.children].slice(12))
			if (!more.contains(document.activeElement)) more.remove();
}
