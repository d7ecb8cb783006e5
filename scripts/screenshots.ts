import { chromium, type Page } from '@playwright/test';
import { withStudio } from '../tests/bench/studio.ts';

/** `npm run screenshots`: one picture of each main view, from the demo data, into docs/screenshots. */
interface Shot {
	readonly name: string;
	readonly path: string;
	readonly size?: readonly [number, number];
	readonly dark?: boolean;
	readonly before?: (page: Page) => Promise<unknown>;
}

const shots: Shot[] = [
	{ name: 'bench', path: '/bench/lighthouse-column', before: (p) => p.keyboard.type('6 5 at 4.5 rock') },
	{ name: 'bench-dark', path: '/bench/jellyfish-bunch', dark: true },
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
	{ name: 'wall', path: '/bench/signal-flag-wall' },
	{ name: 'versions', path: '/bench/tide-gauge-pole/versions' },
	{ name: 'sizes', path: '/bench/toadstool-figure/sizes' },
	{
		name: 'places',
		path: '/bench/orbit-plinth',
		before: async (p) => {
			await p.getByRole('button', { name: /^3 × 11 at 9 with/ }).click();
			await p.keyboard.press('p');
			await p.getByRole('option').nth(4).click();
		}
	},
	{ name: 'shelf', path: '/shelf' },
	{ name: 'lists', path: '/bench/hive-column/lists?quantity=2' },
	{ name: 'stockroom', path: '/stockroom' },
	{ name: 'quotes', path: '/quotes' },
	{ name: 'quote', path: '/quotes/quote-garden' },
	{
		name: 'client',
		path: '/quotes/quote-regatta',
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
	{ name: 'side-by-side', path: '/compare?first=kelp-column&second=kelp-column&secondAs=6' }
];

await withStudio(
	4340,
	async () => {},
	async (url) => {
		const executablePath = process.env.CHROMIUM_PATH ?? '/usr/bin/chromium';
		const browser = await chromium.launch({
			executablePath,
			args: process.getuid?.() === 0 ? ['--no-sandbox'] : []
		});
		for (const { name, path, size = [1280, 800], dark = false, before } of shots) {
			const page = await browser.newPage({
				viewport: { width: size[0], height: size[1] },
				colorScheme: dark ? 'dark' : 'light',
				timezoneId: 'America/New_York',
				locale: 'en-US'
			});
			await page.goto(url + path);
			await page.locator('html[data-ready]').waitFor({ state: 'attached' });
			await before?.(page);
			await page.waitForLoadState('networkidle');
			await page.waitForTimeout(300);
			await page.screenshot({ path: `docs/screenshots/${name}.png` });
			await page.close();
			console.log(`docs/screenshots/${name}.png`);
		}
		await browser.close();
	}
);
