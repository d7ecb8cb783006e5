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
const ACTIONS = ['', '?/create', '?/default', '?/add', '?/say', '?/send', '?/decide', '?/accept', '?/decline', '?/ask', '?/pay', '?/revise', '?/answer', '?/settle', '?/credit', '?/place', '?/merge', '?/draft', '?/__proto__', '?/constructor', '?/%00', '?search=%', '?page=-1&sort=__proto__', '?quantity=1e9']; // prettier-ignore
const FIELDS = ['id', 'name', 'saveId', 'quantity', 'recipe', 'started', 'text', 'with', 'client', 'version', 'revision', 'theme', 'back', 'pack', 'kind', 'level', 'extra', 'key', 'minor', 'card', 'question', 'payment', 'paper', 'lines', '__proto__']; // prettier-ignore
const routes = Object.keys(PERMISSIONS);

const plain = (value: unknown) => (typeof value === 'string' ? value : JSON.stringify(value));
const pairs = fc.array(fc.tuple(fc.constantFrom(...FIELDS), fc.constantFrom(...ODD)), { maxLength: 8 });
const bodies = fc.oneof(
	pairs.map((all) => JSON.stringify(Object.fromEntries(all))),
	pairs.map((all) => new URLSearchParams(all.map(([k, v]) => [k, plain(v)])).toString()),
	pairs.map((all) => `${all.map(([k, v]) => `--x\r\ncontent-disposition: form-data; name="${k}"${v === null ? '; filename="a.png"' : ''}\r\n\r\n${plain(v)}\r\n`).join('')}--x--\r\n`),
	fc.string({ maxLength: 200 }),
	fc.constantFrom('', '{', '[]', 'null', '"x"', '\u0000')
); // prettier-ignore
const requests = fc.record({
	method: fc.constantFrom(...METHODS),
	route: fc.constantFrom(...routes),
	id: fc.constantFrom(...IDS),
	action: fc.constantFrom(...ACTIONS),
	type: fc.constantFrom(...TYPES),
	body: bodies,
	ownOrigin: fc.boolean()
});

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
		const { status, text } = await ask(`${url}${path}`, { method, headers, ...(hasBody && { body }) });
		const silent = status >= 400 && method !== 'HEAD' && text.length < 3;
		if (status === 0 || status >= 500 || silent)
			bad.push(`${status} to ${method} ${path} as ${type || 'nothing'}: ${body.slice(0, 120)}`);
	}
	return { tried: count, bad };
}
