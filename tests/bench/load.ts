import type { ChildProcess } from 'node:child_process';
import { readFileSync } from 'node:fs';
import autocannon, { type Request, type Result } from 'autocannon';
import type { Recipe } from '../../src/lib/core/recipe/recipe.ts';
import { recipeSchema } from '../../src/lib/core/recipe/recipe.schema.ts';
import type { Repos } from '../../src/lib/server/repos/index.ts';
import { report, withStudio } from './studio.ts';

/** What a server said of itself since it was asked before. */
interface Strain {
	/** Longest its event loop was held up, ms: so long every other request waited. */
	readonly longest: number;
	readonly memory: number;
}

const strainOf = (server: ChildProcess): Promise<Strain> =>
	new Promise((resolve) => {
		server.once('message', (said) => resolve(said as Strain));
		server.send('report');
	});

/** Working copies to save, more than there are connections; each is saved by one at a time. */
const COPIES = 60;

/** A save of a working copy nobody else is saving: it starts from what was answered before. */
function saving(recipe: Recipe): Request {
	const free = Array.from({ length: COPIES }, (_, i) => ({ id: `load-${i}`, revision: 1 }));
	let next = 0;
	return {
		method: 'POST',
		setupRequest: (request, context) => {
			const copy = free.shift()!;
			Object.assign(context, { copy });
			return {
				...request,
				path: `/bench/${copy.id}/save`,
				headers: { ...request.headers, 'content-type': 'application/json' },
				body: JSON.stringify({
					saveId: `load-save-${next++}`,
					baseRevision: copy.revision,
					recipe: { ...recipe, name: `Load ${next}` }
				})
			};
		},
		onResponse: (status, body, context) => {
			const { copy } = context as { copy: (typeof free)[number] };
			if (status === 200) copy.revision = (JSON.parse(body) as { revision: number }).revision;
			free.push(copy);
		}
	};
}

/** Puts the working copies there. @returns the token of a sent quote */
export async function fill(repos: Repos, recipe: Recipe): Promise<string> {
	for (let i = 0; i < COPIES; i++) {
		await repos.designs.create(`load-${i}`, recipe, new Date());
		await repos.designs.keep(`load-${i}`, new Date());
	}
	return (await repos.quotes.find('quote-regatta'))?.issued?.token ?? '';
}

/** What fifty people ask of a studio in turn: pages, pictures, papers, saves and the interface. */
export function mixed(recipe: Recipe, { token, pictures }: { token: string; pictures: string[] }): Request[] {
	const get = (path: string): Request => ({ method: 'GET', path });
	const tally = post('/api/tally', { recipe });
	const save = saving(recipe);
	return [
		get('/shelf'), ...pictures.map(get), get('/bench/hive-column'), save, save, save,
		get('/bench/hive-column/plan'), get('/bench/hive-column/plan.pdf'), get('/shelf?search=bee'), get('/quotes'),
		get('/quotes/quote-garden'), save, save, get(`/q/${token}`), get(`/q/${token}/quote.pdf`), tally,
		get('/bench/bee-figure'), save, get('/bench/bee-figure/lists'), get('/bench/bee-figure/picture.svg'), get('/stockroom'),
		get('/bench/bee-figure/bill.csv'), get('/quick'), get('/shelf?sort=price'), save, tally, get('/healthz')
	]; // prettier-ignore
}

/** Each connection begins at another place of the list: fifty people do not press the same thing at once. */
export function run(
	url: string,
	requests: Request[],
	options: { connections: number; seconds: number; cookie: string; together?: number; from?: number }
) {
	let clients = options.from ?? 0;
	return autocannon({
		url,
		requests,
		connections: options.connections,
		duration: options.seconds,
		timeout: 30,
		...(options.together !== undefined && { overallRate: options.together, skipAggregateResult: true }),
		setupClient: (client) => {
			const from = (clients++ * 7) % requests.length;
			const own = requests.map((r) => ({ ...r, headers: { ...r.headers, cookie: options.cookie } }));
			client.setRequests([...own.slice(from), ...own.slice(0, from)]);
		}
	});
}

/** Groups of people, who begin one after the other within a second: a load tool lets all of one group press at once. */
const GROUPS = 17;

/** Fifty people, each of whom presses something every three seconds. */
async function people(
	url: string,
	requests: Request[],
	options: { seconds: number; cookie: string }
): Promise<Result> {
	const groups = await Promise.all(
		Array.from({ length: GROUPS }, async (_, i) => {
			await new Promise((resolve) => setTimeout(resolve, (1000 * i) / GROUPS));
			return run(url, requests, { ...options, connections: 3, together: 1, from: 3 * i });
		})
	);
	const merged = autocannon as unknown as { aggregateResult: (results: Result[], opts: object) => Result };
	return merged.aggregateResult(groups, { url, connections: 50, duration: options.seconds, title: '', socketPath: undefined }); // prettier-ignore
}

const bad = (result: Result) => result.errors + result.timeouts + result.non2xx;

/** What takes longest by itself: a long garland packed, a file of many designs, a tally of hundreds, papers. */
const heavy = (recipe: Recipe): Request[] => [
	{ method: 'GET', path: '/bench/comet-tail-garland/plan.pdf?quantity=3' },
	{ method: 'GET', path: '/bench/comet-tail-garland/sizes' },
	{ method: 'GET', path: '/bench/comet-tail-garland' },
	{ method: 'GET', path: '/bench/comet-tail-garland/count' },
	{ method: 'GET', path: '/shelf?sort=margin' },
	{ method: 'GET', path: '/shelf/recipes.json' },
	post('/api/tally', { recipe, quantity: 999 }),
	post('/shelf/bring', {
		colours: [],
		materials: [],
		designs: Array.from({ length: 200 }, (_, i) => ({ id: `brought-${i}`, recipe }))
	})
];

const post = (path: string, body: unknown): Request => ({
	method: 'POST',
	path,
	headers: { 'content-type': 'application/json' },
	body: JSON.stringify(body)
});

/** Each request by itself, while somebody else asks for next to nothing: the longest that one waited, and for what. */
async function heldUp(url: string, requests: readonly Request[]): Promise<{ longest: number; by: string }> {
	let worst = { longest: 0, by: '' };
	for (const { method, path, headers, body } of requests) {
		if (!path) continue;
		let done = false;
		const others = (async () => {
			while (!done) {
				const from = performance.now();
				await (await fetch(`${url}/healthz`)).text();
				const longest = performance.now() - from;
				if (longest > worst.longest) worst = { longest, by: path };
				await new Promise((resolve) => setTimeout(resolve, 2));
			}
		})();
		const init = { method, headers: headers as Record<string, string>, body: body as string };
		await (await fetch(`${url}${path}`, init)).arrayBuffer();
		done = true;
		await others;
	}
	return worst;
}

/** Seconds of the same load before it is measured: a server that was just started reads all it needs once. */
const WARM = 4;

/**
 * `npm run load`: fifty connections that ask for everything, then papers for minutes, against a built server.
 * @param seconds of the mixed load @param minutes of papers
 */
export async function load(seconds: number, minutes: number): Promise<boolean[]> {
	const recipe = recipeSchema.parse(JSON.parse(readFileSync('static/examples/bunch.recipe.json', 'utf8')));
	let token = '';
	return withStudio(
		4391,
		async (repos) => {
			token = await fill(repos, recipe);
		},
		async (url, server, cookie) => {
			const page = await (await fetch(`${url}/shelf`)).text();
			const pictures = [...page.matchAll(/src="(\/shelf\/picture\/[^"]+)"/g)].map((m) => m[1]!).slice(0, 4);
			const requests = mixed(recipe, { token, pictures });
			const held = await heldUp(url, [...requests, ...heavy(recipe)]);
			await run(url, requests, { connections: 50, seconds: WARM, cookie });
			// What was broken off at the end of that is still worked on for a moment.
			await new Promise((resolve) => setTimeout(resolve, 3000));
			await strainOf(server);
			// Fifty people: each presses something every three seconds, all through.
			const pressing = await people(url, requests, { seconds, cookie });
			const theirs = await strainOf(server);
			// As much as it can: each connection asks again as soon as it has its answer.
			const all = await run(url, requests, { connections: 50, seconds: Math.ceil(seconds / 3), cookie });
			const strain = await strainOf(server);
			const said = [
				report('50 people, a press every 3 s: slowest of a hundred', pressing.latency.p99, 300, 'ms'),
				report('  refused or failed', bad(pressing), 1, ''),
				report('mixed, 50 connections', all.requests.average, 100, 'requests/s', true),
				report('  slowest of a hundred', all.latency.p99, 500, 'ms'),
				report('  refused or failed', bad(all), 1, ''),
				report(`  longest one made another wait (${held.by})`, held.longest, 200, 'ms')
			];
			console.log(
				`         people: ${pressing.requests.total} asked, median ${pressing.latency.p50} ms, p97.5 ${pressing.latency.p97_5}, longest ${pressing.latency.max}, event loop held ${theirs.longest.toFixed(0)} ms at most, memory ${theirs.memory.toFixed(0)} MB`
			);
			console.log(
				`         median ${all.latency.p50} ms, p97.5 ${all.latency.p97_5}, longest ${all.latency.max}, ${JSON.stringify(all.statusCodeStats)}, event loop held ${strain.longest.toFixed(0)} ms at most, memory ${strain.memory.toFixed(0)} MB`
			);
			return minutes > 0 ? [...said, ...(await papers(url, server, { token, minutes, cookie }))] : said;
		},
		['--import', './tests/bench/lag.mjs']
	);
}

/** Papers for minutes: memory after the first fifth is compared with the end. */
async function papers(
	url: string,
	server: ChildProcess,
	{ token, minutes, cookie }: { token: string; minutes: number; cookie: string }
) {
	const paths = ['/bench/hive-column/plan.pdf', `/q/${token}/quote.pdf`, '/bench/bee-figure/plan.pdf'];
	const memory: number[] = [];
	let failed = 0;
	let longest = 0;
	for (let part = 0; part < 5; part++) {
		const requests = paths.map((path): Request => ({ method: 'GET', path: `${path}?part=${part}` }));
		const result = await run(url, requests, { connections: 6, seconds: minutes * 12, cookie });
		failed += bad(result);
		const strain = await strainOf(server);
		longest = Math.max(longest, strain.longest);
		memory.push(strain.memory);
	}
	console.log(`         memory while papers were made: ${memory.map((m) => m.toFixed(0)).join(', ')} MB`);
	return [
		report(
			`papers for ${minutes} min: memory at the end to after a fifth`,
			memory[4]! / memory[0]!,
			1.15,
			''
		),
		report('  refused or failed', failed, 1, ''),
		report('  longest one request held up the others', longest, 200, 'ms')
	];
}

if (process.argv[1]?.endsWith('load.ts')) {
	const [seconds = '60', minutes = '5'] = process.argv.slice(2);
	const reached = await load(Number(seconds), Number(minutes));
	process.exitCode = reached.every(Boolean) ? 0 : 1;
}
