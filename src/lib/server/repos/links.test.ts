import { expect, test } from 'vitest';
import { NOW, owner, tempStudio } from '../../../../tests/kit/temp-db.ts';
import { createRepos } from './index.ts';

const later = (minutes: number) => new Date(NOW.getTime() + minutes * 60_000);

test('looks within ten minutes are one; another device, another thing or later is another; each studio has its own', async () => {
	const { db, repos } = await tempStudio();
	const { links } = repos;
	const look = (at: Date, what: 'page' | 'paper' = 'page', device = 'a phone') =>
		links.look('t', { at, what, device });
	await look(NOW);
	await look(later(9));
	await look(later(9), 'paper');
	await look(later(9), 'page', 'a computer');
	await look(later(25));
	const { many, newest } = await links.looks('t');
	expect(many).toBe(4);
	expect(newest[0]).toEqual({ at: later(25), what: 'page', device: 'a phone' });
	expect(await createRepos(db, { ...owner, workspace: 'elsewhere' }).links.looks('t')).toEqual({
		many: 0,
		newest: []
	});
});

test('a link is taken back once, and stays so', async () => {
	const { repos } = await tempStudio();
	expect(await repos.links.endedAt('t')).toBeNull();
	await repos.links.end('t', NOW);
	await repos.links.end('t', later(5));
	expect(await repos.links.endedAt('t')).toEqual(NOW);
});
