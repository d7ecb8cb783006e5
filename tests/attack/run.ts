import { withStudio } from '../bench/studio.ts';
import { collisions } from './collisions.ts';
import { kills } from './kills.ts';
import { links } from './links.ts';
import { pictures } from './pictures.ts';
import { oddRequests } from './requests.ts';
import { tallyRequests, type Outcome } from './tally.ts';
import { PAYLOADS, scriptViews } from './views.ts';

/** What a running studio is attacked with: its address, a client's link, how often, from which seed. */
type Attack = (studio: { url: string; token: string }, count: number, seed: number) => Promise<Outcome>;

/** Attacks on one server, with how often each is made where nothing is said. */
export const ATTACKS: Readonly<Record<string, { readonly attack: Attack; readonly count: number }>> = {
	tally: { attack: ({ url }, count, seed) => tallyRequests(url, count, seed), count: 9000 },
	requests: { attack: ({ url }, count, seed) => oddRequests(url, count, seed), count: 11_000 },
	pictures: { attack: ({ url }, count, seed) => pictures(url, count, seed), count: 5400 },
	collisions: { attack: ({ url }, count, seed) => collisions(url, count, seed), count: 920 },
	links: { attack: ({ url, token }, count, seed) => links(url, token, count, seed), count: 500 }
};

/** Makes some of the attacks on one server of its own. @param counts how often each, by its name */
export async function attackStudio(counts: Readonly<Record<string, number>>, seed: number) {
	const outcomes: Record<string, Outcome> = {};
	let token = '';
	await withStudio(
		4395,
		async (repos) => {
			token = (await repos.quotes.find('quote-regatta'))?.issued?.token ?? '';
		},
		async (url) => {
			for (const [name, count] of Object.entries(counts))
				outcomes[name] = await ATTACKS[name]!.attack({ url, token }, count, seed);
		}
	);
	return outcomes;
}

/** Attacks with servers of their own. */
const OWN: Readonly<
	Record<
		string,
		{ readonly attack: (count: number, seed: number) => Promise<Outcome>; readonly count: number }
	>
> = {
	kills: { attack: kills, count: 388 },
	views: { attack: scriptViews, count: PAYLOADS.length }
};

if (process.argv[1]?.endsWith('attack/run.ts')) {
	const [name = 'all', said, from = '1'] = process.argv.slice(2);
	for (const one of name === 'all' ? [...Object.keys(OWN), ...Object.keys(ATTACKS)] : [name]) {
		const known = OWN[one] ?? ATTACKS[one];
		if (!known) {
			const names = [...Object.keys(OWN), ...Object.keys(ATTACKS)].join(', ');
			console.error(`There is no such attack. There is ${names}.`);
			process.exit(1);
		}
		const count = said === undefined ? known.count : Number(said);
		const { tried, bad } = OWN[one]
			? await OWN[one].attack(count, Number(from))
			: (await attackStudio({ [one]: count }, Number(from)))[one]!;
		console.log(`${one}: ${tried} tried, ${bad.length} bad`);
		for (const words of bad.slice(0, 20)) console.log(`  ${words}`);
		if (bad.length > 0) process.exitCode = 1;
	}
}
