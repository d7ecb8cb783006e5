import { createHash } from 'node:crypto';
import type { Page } from '@playwright/test';

/** A picture of record: what is opened, how wide, and what is done before it is taken. */
export interface Shot {
	readonly name: string;
	readonly path: string;
	readonly size?: readonly [number, number];
	readonly dark?: boolean;
	readonly before?: (page: Page) => Promise<unknown>;
}

export const shots: readonly Shot[] = [
	{ name: 'bench', path: '/bench/lighthouse-column', before: (p) => p.keyboard.type('6 5 at 4.5 rock') },
	{ name: 'bench-768', path: '/bench/toadstool-figure', size: [768, 1024] },
	{
		name: 'sections',
		path: '/bench/octopus-figure',
		before: async (p) => {
			await p.mouse.move(700, 500);
			await p.mouse.down();
			await p.mouse.move(760, 540, { steps: 6 });
			await p.mouse.up();
		}
	},
	{
		name: 'garland',
		path: '/bench/comet-tail-garland',
		before: async (p) => {
			await p.getByRole('button', { name: 'Path and count of tail' }).click();
			await p.getByText(/widest gap is/).waitFor();
		}
	},
	{ name: 'work', path: '/settings/work' },
	{
		name: 'price',
		path: '/bench/lighthouse-column/price?quantity=2',
		before: (p) => p.getByText(/^Of a hundred such jobs/).waitFor()
	},
	{ name: 'new', path: '/new?shape=arch', before: (p) => p.locator('.tile svg').nth(9).waitFor() },
	{ name: 'shelf', path: '/shelf' },
	{ name: 'lists', path: '/bench/hive-column/lists?quantity=2' },
	{ name: 'stockroom', path: '/stockroom' },
	{ name: 'quotes', path: '/quotes' },
	{ name: 'quote', path: '/quotes/quote-garden' },
	{ name: 'jobs', path: '/jobs', before: (p) => p.locator('.ec-event').first().waitFor() },
	{
		name: 'client',
		path: '/quotes/quote-lamps',
		before: async (p) => p.goto((await p.locator('[data-name=client-link]').getAttribute('href'))!)
	},
	{
		name: 'quick-390',
		path: '/quick',
		size: [390, 844],
		before: (p) => p.getByRole('button', { name: 'Margin' }).click()
	},
	{
		name: 'rules-390',
		path: '/thumb/helium',
		size: [390, 844],
		before: (p) => p.locator('.apexcharts-svg').waitFor()
	},
	{ name: 'plan', path: '/bench/octopus-figure/plan' },
	{ name: 'things', path: '/stockroom/things' },
	{ name: 'numbers', path: '/numbers', before: (p) => p.locator('.apexcharts-svg').first().waitFor() }
];

/** Which texts the pictures of record were taken of, by their names. */
export const TAKEN = 'docs/screenshots/taken.json';

/** Opens what a picture shows, ready to be taken. */
export async function open(page: Page, url: string, { path, before }: Shot): Promise<void> {
	await page.goto(url + path);
	await page.locator('html[data-ready]').waitFor({ state: 'attached' });
	await before?.(page);
	await page.waitForLoadState('networkidle');
	await page.waitForTimeout(300);
}

/** The window a picture is taken in. */
export const contextOf = ({ size = [1280, 800], dark = false }: Shot) =>
	({
		viewport: { width: size[0], height: size[1] },
		colorScheme: dark ? 'dark' : 'light',
		timezoneId: 'America/New_York',
		locale: 'en-US'
	}) as const;

/**
 * What stands on a page, as one short mark: its words and figures and the names of what is drawn. Days and addresses
 * that differ from run to run are left out.
 */
export async function markOf(page: Page): Promise<string> {
	const text = await page.evaluate(() => {
		const named = [...document.querySelectorAll('[aria-label], [data-balls]')].map(
			(e) => `${e.getAttribute('aria-label') ?? ''} ${e.getAttribute('data-balls') ?? ''}`
		);
		const typed = [...document.querySelectorAll('input')].map((e) =>
			['date', 'hidden'].includes(e.type) ? '' : e.value
		);
		return [document.body.innerText, ...named, ...typed].join('\n');
	});
	const steady = text
		.replace(/\b\w{3,9},? (Jan|Feb|Mar|Apr|May|Jun|Jul|Aug|Sep|Oct|Nov|Dec)\w* \d{1,2}(, \d{4})?/g, 'day')
		.replace(
			/(Jan|Feb|Mar|Apr|May|Jun|Jul|Aug|Sep|Oct|Nov|Dec)\w* \d{1,2}(, \d{4})?(,? \d{1,2}:\d{2}\s?[AP]M)?/g,
			'day'
		)
		.replace(/\b\d{4}-\d{2}-\d{2}\b|\b\d{1,2}\/\d{1,2}\/\d{4}\b/g, 'day')
		.replace(/https?:\/\/\S+|\/q\/[\w-]+/g, 'link')
		.replace(/\s+/g, ' ');
	return createHash('sha256').update(steady).digest('hex').slice(0, 16);
}
