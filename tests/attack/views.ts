import { chromium } from '@playwright/test';
import type { Recipe } from '../../src/lib/core/recipe/recipe.ts';
import type { Repos } from '../../src/lib/server/repos/index.ts';
import { withStudio } from '../bench/studio.ts';
import { storageOf } from '../kit/signed-in.ts';
import type { Outcome } from './tally.ts';

/** Words that would run where a page took them for more than words. */
export const PAYLOADS = [
	'<img src=x class=ran onerror="window.ran=1">',
	'"><script class=ran>window.ran=1</script>',
	"'-window.ran=1-'",
	'</script><script class=ran>window.ran=1</script>',
	'{{window.ran=1}}<svg class=ran onload="window.ran=1">'
] as const;
const DESIGN = 'attacked';

/** Puts the words wherever words are kept. @returns the token of a sent quote full of them */
async function fill(repos: Repos, words: string): Promise<string> {
	const now = new Date();
	const found = await repos.designs.find('bee-figure');
	const name = words.slice(0, 60);
	const recipe: Recipe = {
		...found!.recipe,
		name,
		tags: [words.slice(0, 30)],
		notes: words,
		slots: found!.recipe.slots.map((slot, i) => (i === 0 ? { ...slot, name } : slot)),
		sections: found!.recipe.sections.map((section) => ({ ...section, name: `${name} ${section.id}`.slice(0, 80) })),
		colourways: found!.recipe.colourways.map((c, i) => (i === 0 ? { ...c, name } : c))
	}; // prettier-ignore
	await repos.designs.create(DESIGN, recipe, now);
	await repos.designs.keep(DESIGN, now);
	await repos.designs.nameVersion(`${DESIGN}.1`, name);
	await repos.stock.addColour({ id: 'attacked', name, finish: 'matte', hex: '#aa3344' });
	await repos.stock.addSupplier({ id: 'attacked', name });
	const settings = (await repos.workspaces.find())!.settings;
	await repos.workspaces.change({ ...settings, business: { ...settings.business, name } });
	const clientId = await repos.clients.named(words, 'attacked');
	const quote = (await repos.quotes.find('quote-garden'))!;
	const terms = { ...quote.terms, occasion: words, venue: words, note: words };
	const lines = [{ id: 'attacked', versionId: `${DESIGN}.1`, colourwayId: null, sizeId: null, quantity: 1, way: null }];
	await repos.quotes.create('attacked', { clientId, eventDate: null, zone: quote.zone, terms, lines }, now);
	return (await repos.quotes.find('quote-regatta'))?.issued?.token ?? '';
} // prettier-ignore

const views = (token: string): string[] => [
	...['', '/plan', '/lists', '/colours', '/sizes', '/photos', '/versions', '/count', '/picture.svg'].map((p) => `/bench/${DESIGN}${p}`),
	...['/shelf', '/shelf?search=%3Cimg', '/shelf?tag=%22%3E%3Cscript%3E', '/shelf/open', '/quotes', '/quotes?search=%3Cscript%3E', '/quotes/attacked', '/quick', '/compare', '/clients', '/clients?search=%3Cscript%3E', '/clients/attacked', '/clients/attacked?merge=%3Cimg', '/quotes?state=%3Cimg&month=%3Csvg'],
	...['/stockroom', '/stockroom?search=%3Csvg', '/settings', '/thumb', '/thumb/helium', '/shorthand', `/q/${token}`, '/q/%3Cscript%3E', '/nothing/%3Cimg%3E'],
	...['/bench/%3Cscript%3E', '/bench/bee-figure', '/bench/bee-figure/plan', '/quotes/quote-bees', '/quotes?with=%3Cimg', '/compare?first=%3Cimg', '/thumb/%22%3E']
]; // prettier-ignore

/** Every view of a studio whose every word would run: nothing does, and nothing of it stands in a page as more than words. */
export async function scriptViews(payloads: number): Promise<Outcome> {
	const bad: string[] = [];
	let tried = 0;
	for (const words of PAYLOADS.slice(0, payloads)) {
		let token = '';
		await withStudio(
			4398,
			async (repos) => {
				token = await fill(repos, words);
			},
			async (url, _server, cookie) => {
				const args = process.getuid?.() === 0 ? ['--no-sandbox'] : [];
				const executablePath = process.env.CHROMIUM_PATH ?? '/usr/bin/chromium';
				const browser = await chromium.launch({ executablePath, args });
				const page = await browser.newPage({ storageState: storageOf(url, cookie) });
				for (const path of views(token)) {
					tried++;
					await page.goto(`${url}${path}`);
					const ran = await page.evaluate(
						() => 'ran' in window || document.querySelectorAll('.ran').length > 0
					);
					if (ran) bad.push(`${words} on ${path}`);
				}
				await browser.close();
			}
		);
	}
	return { tried, bad };
}
