import { readdirSync, readFileSync } from 'node:fs';
import fc from 'fast-check';
import { PERMISSIONS } from '../../src/lib/server/permissions.ts';
import { ODD } from './mutate.ts';
import { ask, type Outcome } from './tally.ts';

const IDS = [
	'hive-column',
	'quote-garden',
	'nobody',
	'__proto__',
	'..',
	'%00',
	'%E0%A4%A',
	"a'b",
	'x'.repeat(300)
];
const METHODS = ['GET', 'POST', 'PUT', 'DELETE', 'HEAD', 'OPTIONS', 'PATCH'];
const TYPES = [
	'application/json', 'application/x-www-form-urlencoded', 'multipart/form-data', 'multipart/form-data; boundary=x', 'text/plain', 'application/xml',
	'nonsense', 'application/json; charset=utf-16', ''
]; // prettier-ignore
const ACTIONS = ['', '?/default', '?/__proto__', '?/constructor', '?/%00', '?search=%', '?page=-1&sort=__proto__', '?quantity=1e9']; // prettier-ignore
/** What would end the way in of whoever asks, so that the rest would not be asked. */
const LEAVE = new Set(['/sign-out', '/me', '/settings/people', '/theme']);
/** Names of every field of every form and of what is sent as JSON, as the sources have them. */
const FIELDS = [...new Set(['__proto__', 'saveId', 'revision', 'baseRevision', 'recipe', 'lines', 'started', 'with', ...readdirSync('src', { recursive: true, encoding: 'utf8' }).filter((file) => file.endsWith('.svelte')).flatMap((file) => [...readFileSync(`src/${file}`, 'utf8').matchAll(/name="([A-Za-z]\w*)"/g)].map(([, name]) => name!))])].sort(); // prettier-ignore
/** What could be meant, in the wrong place: a thing that is there, a size, an amount, a day, a share. */
const PLAUSIBLE = ['hive-column', 'quote-garden', 'round-11-gull-white', 'quayside', '11', '3 ft', '12.50', '-3', '2027-02-30', '2027-06-04', '40 %', '1/2', 'yes', 'on', 'USD', 'Pip', 'a@b.example', '{"a":1}', '0'] as const; // prettier-ignore
const routes = Object.keys(PERMISSIONS);
/** Everything that is done here: each action of each page, each method of the rest. */
const things = routes
	.filter((r) => !LEAVE.has(r))
	.flatMap((route) =>
		Object.keys(PERMISSIONS[route]!).map((what) =>
			what === 'load' || /^[A-Z]+$/.test(what)
				? { route, method: what === 'load' ? 'GET' : what, action: '' }
				: { route, method: 'POST', action: what === 'default' ? '' : `?/${what}` }
		)
	);

const plain = (value: unknown) => (typeof value === 'string' ? value : JSON.stringify(value));
const value = fc.oneof(fc.constantFrom(...ODD), fc.constantFrom(...PLAUSIBLE), fc.string({ maxLength: 40 }));
const pairs = fc.array(fc.tuple(fc.constantFrom(...FIELDS), value), { maxLength: 24 });
const bodies = fc.oneof(
	pairs.map((all) => JSON.stringify(Object.fromEntries(all))),
	pairs.map((all) => new URLSearchParams(all.map(([k, v]) => [k, plain(v)])).toString()),
	pairs.map((all) => `${all.map(([k, v]) => `--x\r\ncontent-disposition: form-data; name="${k}"${v === null ? '; filename="a.png"' : ''}\r\n\r\n${plain(v)}\r\n`).join('')}--x--\r\n`),
	fc.string({ maxLength: 200 }),
	fc.constantFrom('', '{', '[]', 'null', '"x"', '\u0000')
); // prettier-ignore
const anything = fc.record({
	method: fc.constantFrom(...METHODS),
	route: fc.constantFrom(...routes),
	id: fc.constantFrom(...IDS),
	action: fc.constantFrom(...ACTIONS),
	type: fc.constantFrom(...TYPES),
	body: bodies,
	ownOrigin: fc.boolean()
});
const form = pairs.map((all) => new URLSearchParams(all.map(([k, v]) => [k, plain(v)])).toString());
const json = fc.oneof(
	pairs.map((all) => JSON.stringify(Object.fromEntries(all))),
	fc.json({ maxDepth: 3 })
);
/** What is done here, with the right method from the right page, and nothing in it as it should be. */
const inputs = fc
	.tuple(fc.constantFrom(...things), fc.constantFrom(...IDS), fc.boolean(), form, json)
	.map(([thing, id, asForm, sentForm, sentJson]) => ({
		...thing,
		id,
		type: asForm || thing.action ? 'application/x-www-form-urlencoded' : 'application/json',
		body: asForm || thing.action ? sentForm : sentJson,
		ownOrigin: true
	}));
const requests = fc.oneof(anything, { arbitrary: inputs, weight: 3 });
/** How much longer is borne where other things run beside it. */
const PATIENT = process.env['CI'] ? 5 : 1;
/** Nothing hangs: an answer comes within so long on a machine with nothing else to do, ms. */
const HANG = 1000;

/** Requests nobody's page would send: each is answered, in words, and never with 500. */
export async function oddRequests(url: string, count: number, seed: number): Promise<Outcome> {
	const bad: string[] = [];
	for (const { method, route, id, action, type, body, ownOrigin } of fc.sample(requests, {
		numRuns: count,
		seed
	})) {
		// prettier-ignore
		const path = `${route.replace(/\[\w+\]/g, id)}${action}`;
		const hasBody = !['GET', 'HEAD'].includes(method);
		const headers: Record<string, string> = ownOrigin ? { origin: url } : {};
		if (hasBody && type) headers['content-type'] = type;
		const began = performance.now();
		const { status, text } = await ask(`${url}${path}`, { method, headers, ...(hasBody && { body }) });
		// What is made for the first time takes longer than what hangs would be let: it is asked once more.
		let took = performance.now() - began;
		if (took > HANG && method === 'GET') {
			const again = performance.now();
			await ask(`${url}${path}`, { method, headers });
			took = performance.now() - again;
		}
		const silent = status >= 400 && method !== 'HEAD' && text.length < 3;
		// A copy of everything takes as long as there is of it.
		const slow = took > HANG * PATIENT && !/^\/settings\/(backups|studio-file)/.test(route);
		if (status === 0 || status >= 500 || silent || slow)
			bad.push(
				`${status} after ${Math.round(took)} ms to ${method} ${path} as ${type || 'nothing'}: ${body.slice(0, 120)}`
			);
	}
	return { tried: count, bad };
}
