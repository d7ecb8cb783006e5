import { describe, expect, test } from 'vitest';
import { guard, harden, ownPath } from './guard.ts';

const ORIGIN = 'http://127.0.0.1:4173';
const ask = (path: string, init: RequestInit = {}, route = '/settings') => {
	const url = new URL(path, ORIGIN);
	const event = { request: new Request(url, { method: 'POST', ...init }), url, route: { id: route } };
	guard(event as Parameters<typeof guard>[0]);
	return event.request;
};
const status = async (work: () => unknown): Promise<number> => {
	try {
		await work();
		return 200;
	} catch (cause) {
		return (cause as { status: number }).status;
	}
};
const form = (entries: Record<string, string | Blob>) => {
	const body = new FormData();
	for (const [name, value] of Object.entries(entries)) body.append(name, value);
	return { body };
};

describe('what every request is held to', () => {
	test('a page elsewhere changes nothing, with a body or without', async () => {
		const from = (headers: Record<string, string>) => status(() => ask('/bench/d/keep', { headers }));
		expect(await from({ origin: 'http://elsewhere.example' })).toBe(403);
		expect(await from({ origin: 'null' })).toBe(403);
		expect(await from({ 'sec-fetch-site': 'cross-site' })).toBe(403);
		expect(await from({ origin: ORIGIN, 'sec-fetch-site': 'same-origin' })).toBe(200);
		// A command on this machine says neither.
		expect(await from({})).toBe(200);
		expect(await status(() => ask('/x', { method: 'GET', headers: { origin: 'http://elsewhere.example' } }))).toBe(200); // prettier-ignore
	});
	test.each(['__proto__', 'constructor', 'toString', 'a/b', '', '%00', 'default'])(
		'no action is called “%s”',
		async (name) => expect(await status(() => ask(`/stockroom?/${name}`))).toBe(404)
	);
	test('an action by its name is let through', async () =>
		expect(await status(() => ask('/stockroom?/pack'))).toBe(200));
	test('a body that is no form, a broken one and a file where text belongs are told apart', async () => {
		const read = (init: RequestInit, route?: string) =>
			status(() => ask('/settings', init, route).formData());
		expect(await read(form({ name: 'Lark' }))).toBe(200);
		for (const name of ['__proto__', 'constructor', 'toString'])
			expect(await read({ body: new URLSearchParams([[name, 'x']]) })).toBe(400);
		expect(await read({ body: '{}', headers: { 'content-type': 'application/json' } })).toBe(415);
		expect(await read({ body: 'x' })).toBe(415);
		expect(await read({ body: 'x', headers: { 'content-type': 'multipart/form-data; boundary=b' } })).toBe(
			400
		);
		expect(await read(form({ name: new Blob(['x']) }))).toBe(400);
		expect(await read(form({ photo: new Blob(['x']) }), '/bench/[design]/photos')).toBe(200);
	});
	test.each([
		['/shelf?page=2', '/shelf?page=2'],
		['/', '/'],
		['//evil.example', '/'],
		['/\\evil.example', '/'],
		['/\t/evil.example', '/'],
		['http://evil.example', '/'],
		['', '/'],
		['javascript:alert(1)', '/']
	])('to go back to “%s” is to go to “%s”', (asked, path) => expect(ownPath(asked, ORIGIN)).toBe(path));
});

test('every answer says what a browser may do with it; what is private is kept by nobody', () => {
	const answer = (headers: Record<string, string>, isPublic = false, isSecure = false) => {
		const response = new Response('', { headers });
		harden(response, isPublic, new URL(`${isSecure ? 'https' : 'http'}://studio`));
		return response.headers;
	};
	const svg = answer({ 'content-type': 'image/svg+xml' });
	expect(svg.get('content-security-policy')).toMatch(/default-src 'none'/);
	expect(svg.get('cache-control')).toBe('private, no-store');
	expect(answer({ 'cache-control': 'private, max-age=9' }).get('cache-control')).toBe('private, max-age=9');
	expect(answer({ 'content-security-policy': 'own' }).get('content-security-policy')).toBe('own');
	expect(answer({}, true).get('cache-control')).toBeNull();
	expect(answer({}).get('strict-transport-security')).toBeNull();
	expect(answer({}, true, true).get('strict-transport-security')).toBe('max-age=31536000');
});
