import { expect, test } from 'vitest';
import { guestOf, may, OWNER, PERMISSION_NAMES, type Actor, type Permission, type Role } from './actor.ts';
import { permissionFor, PERMISSIONS } from './permissions.ts';
import { seenBy } from './seen-by.ts';

type Module = { readonly actions?: object } & Readonly<Record<string, unknown>>;
const METHODS = ['GET', 'POST', 'PUT', 'PATCH', 'DELETE'];
const idOf = (file: string): string => file.replace(/^.*\/routes/, '').replace(/\/\+[^/]*$/, '') || '/';

/** What every route does, by the code itself: a page loads and has actions, anything else answers methods. */
async function done(): Promise<Record<string, string[]>> {
	const pages = import.meta.glob('../../routes/**/+page.svelte', { query: '?url' });
	const loads = import.meta.glob<Module>('../../routes/**/+page.server.ts');
	const servers = import.meta.glob<Module>('../../routes/**/+server.ts');
	const found: Record<string, string[]> = {};
	for (const file of Object.keys(pages)) found[idOf(file)] = ['load'];
	for (const [file, read] of Object.entries(loads))
		found[idOf(file)] = ['load', ...Object.keys((await read()).actions ?? {})];
	for (const [file, read] of Object.entries(servers)) {
		const answers = await read();
		found[idOf(file)] = METHODS.filter((m) => m in answers);
	}
	return Object.fromEntries(Object.entries(found).map(([id, all]) => [id, all.sort()]));
}

test('every load, action and method of every route names its permission, and none is left over', async () => {
	const named = Object.entries(PERMISSIONS).map(([id, asks]) => [id, Object.keys(asks).sort()] as const);
	expect(Object.fromEntries(named)).toEqual(await done());
});

test.each<[string, string, string, Permission | undefined]>([
	['/bench/[design]/plan', 'GET', '', 'work'],
	['/bench/[design]/plan', 'HEAD', '', 'work'],
	['/bench/[design]/plan', 'POST', '?/say', 'design'],
	['/bench/[design]/plan', 'POST', '?size=x&/say', 'design'],
	['/bench/[design]/plan', 'POST', '?/constructor', 'work'],
	['/settings', 'POST', '', 'settings'],
	['/api/tally', 'POST', '', 'money'],
	['/api/tally', 'GET', '', 'money'],
	['/constructor', 'GET', '', undefined]
])('%s asked by %s%s', (route, method, search, wanted) =>
	expect(permissionFor(route, method, new URL(`http://studio${route}${search}`))).toBe(wanted)
);

test('a guest is nobody, and may do what is public alone', () => {
	expect(guestOf('home')).toEqual({ workspace: 'home', person: 'guest', role: 'guest' });
});

test.each<[Role, readonly Permission[]]>([
	[
		'owner',
		['public', 'read', 'work', 'tick', 'money', 'books', 'design', 'stock', 'quote', 'settings', 'people']
	],
	['office', ['public', 'read', 'work', 'tick', 'money', 'books', 'design', 'stock', 'quote']],
	['crew', ['public', 'read', 'work', 'tick']],
	['bookkeeper', ['public', 'read', 'work', 'money', 'books']],
	['guest', ['public']]
])('%s may', (role, allowed) => {
	expect(PERMISSION_NAMES.filter((p) => may({ ...OWNER, role }, p))).toEqual(allowed);
});

test('who may not see money sees no amount, however deep it lies, and everything else as it is', () => {
	const crew: Actor = { ...OWNER, role: 'crew' };
	const bytes = Buffer.from('paper');
	const page = {
		name: 'column',
		cost: { known: { minor: 1250, currency: 'USD' }, unknown: [] },
		lines: [{ label: 'patch', count: 4, amount: { minor: 8, currency: 'USD' }, priceMinor: 400, margin: 48 }],
		bytes
	};
	expect(seenBy(crew, page)).toEqual({
		name: 'column',
		cost: null,
		lines: [{ label: 'patch', count: 4, amount: null, priceMinor: null, margin: null }],
		bytes
	});
	expect(seenBy(OWNER, page)).toBe(page);
	expect(JSON.stringify(seenBy(crew, page))).not.toMatch(/1250|400|48/);
});
