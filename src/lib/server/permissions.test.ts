import { readdirSync } from 'node:fs';
import { expect, test } from 'vitest';
import { may, resolveActor, type Role } from './actor.ts';
import { PERMISSIONS } from './permissions.ts';

/** Every folder of src/routes that answers: a page, a load or a server route. */
function routes(folder = 'src/routes', id = ''): string[] {
	const entries = readdirSync(folder, { withFileTypes: true });
	const answers = entries.some((e) => /^\+(page|server)\b/.test(e.name));
	const below = entries.filter((e) => e.isDirectory());
	return [
		...(answers ? [id || '/'] : []),
		...below.flatMap((e) => routes(`${folder}/${e.name}`, `${id}/${e.name}`))
	];
}

test('every route names its permission, and no name is left over', () => {
	expect(Object.keys(PERMISSIONS).sort()).toEqual(routes().sort());
});
test('what a guest may open has no owner behind it', () => {
	expect(resolveActor('public')).toMatchObject({ role: 'guest' });
	expect(resolveActor('quote')).toMatchObject({ role: 'owner' });
});
test.each<[Role, boolean]>([
	['owner', true],
	['crew', false],
	['guest', false]
])('prices are for owners: %s %s', (role, allowed) => {
	expect(may({ workspace: 'home', person: 'p', role }, 'quote')).toBe(allowed);
	expect(may({ workspace: 'home', person: 'p', role }, 'public')).toBe(true);
});
