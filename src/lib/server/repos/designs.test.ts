import { eq } from 'drizzle-orm';
import { describe, expect, test } from 'vitest';
import { design as keyed } from '../../../../tests/kit/studio.ts';
import { NOW, owner, tempStudio } from '../../../../tests/kit/temp-db.ts';
import type { Recipe } from '../../core/recipe/recipe.ts';
import { newSection } from '../../core/recipe/build.ts';
import { designUse } from '../../core/structures/design/empty.ts';
import { design, designVersion, saveReceipt, versionRef } from '../db/tables/design.ts';
import { createRepos } from './index.ts';

const column = keyed('column', '4 16 at 13 grey', '4 11 at 9 white x4');
const renamed = (name: string): Recipe => ({ ...column, name });

async function one() {
	const { db, repos } = await tempStudio();
	await repos.designs.create('d', column, NOW);
	const save = (saveId: string, baseRevision: number, name: string, after?: string) =>
		repos.designs.save('d', { saveId, baseRevision, after, recipe: renamed(name) }, NOW);
	return { db, repos, save };
}

describe('saving a working copy', () => {
	test('a save repeated under its id changes nothing', async () => {
		const { repos, save } = await one();
		expect(await save('save-aaaa', 1, 'first')).toEqual({ status: 'saved', revision: 2 });
		expect(await save('save-aaaa', 1, 'again')).toEqual({ status: 'saved', revision: 2 });
		expect((await repos.designs.find('d'))?.recipe.name).toBe('first');
	});
	test('a stale one is refused and gets theirs; nothing is written', async () => {
		const { repos, save } = await one();
		await save('save-aaaa', 1, 'theirs');
		expect(await save('save-bbbb', 1, 'mine')).toMatchObject({
			status: 'stale',
			theirs: { revision: 2, recipe: { name: 'theirs' } }
		});
		expect(await repos.designs.find('d')).toMatchObject({ revision: 2, recipe: { name: 'theirs' } });
	});
	test('a save that follows one still on its way is no conflict, unless somebody came between', async () => {
		const { save } = await one();
		await save('save-aaaa', 1, 'on its way');
		expect(await save('save-bbbb', 1, 'the last keystrokes', 'save-aaaa')).toMatchObject({ revision: 3 });
		await save('save-cccc', 3, 'somebody else');
		expect(await save('save-dddd', 1, 'too late', 'save-bbbb')).toMatchObject({ status: 'stale' });
	});
	test('an id that names a save of one design saves nothing in another', async () => {
		const { repos, save } = await one();
		await save('save-aaaa', 1, 'here');
		await repos.designs.create('e', renamed('there'), NOW);
		expect(
			await repos.designs.save('e', { saveId: 'save-aaaa', baseRevision: 1, recipe: renamed('x') }, NOW)
		).toEqual({ status: 'used' });
		expect((await repos.designs.find('e'))?.recipe.name).toBe('there');
	});
	test('a design that is not there is missing, a second create changes nothing', async () => {
		const { repos, save } = await one();
		await repos.designs.create('d', renamed('other'), NOW);
		expect((await repos.designs.find('d'))?.recipe.name).toBe('column');
		expect(await repos.designs.save('e', { saveId: 'save-x', baseRevision: 1, recipe: column }, NOW)).toEqual(
			{
				status: 'missing'
			}
		);
		await save('save-aaaa', 1, 'x');
	});
});

describe('kept versions', () => {
	test('keeping twice makes one version; a change makes the next', async () => {
		const { repos, save } = await one();
		expect(await repos.designs.keep('d', NOW)).toEqual({ number: 1, made: true });
		expect(await repos.designs.keep('d', NOW)).toEqual({ number: 1, made: false });
		await save('save-aaaa', 1, 'changed');
		expect((await repos.designs.lastKept('d'))?.recipe.name).toBe('column');
		expect(await repos.designs.keep('d', NOW)).toEqual({ number: 2, made: true });
		expect((await repos.designs.version('d.1'))?.recipe.name).toBe('column');
		expect(await repos.designs.shelf()).toMatchObject([{ versionId: 'd.2', keptNumber: 2, ahead: false }]);
	});
	test('the database itself refuses to change or delete one', async () => {
		const { db, repos } = await one();
		await repos.designs.keep('d', NOW);
		const here = eq(designVersion.id, 'd.1');
		await expect(
			db.write((tx) => tx.update(designVersion).set({ recipe: {} }).where(here))
		).rejects.toMatchObject({
			cause: { message: expect.stringContaining('a kept version never changes') }
		});
		await expect(db.write((tx) => tx.delete(designVersion).where(here))).rejects.toMatchObject({
			cause: {
				message: expect.stringContaining('a kept version is deleted only with a design that was put away')
			}
		});
	});
	test('the index of the designs inside is written with the version, compared and mended', async () => {
		const { db, repos } = await one();
		await repos.designs.keep('d', NOW);
		const parent = keyed('parent', '4 11 at 9 white');
		const uses = newSection('u', 'part', designUse('d'));
		// One that stands there in a size only is used too.
		const sizes = [{ ...keyed('sized', '4 11 at 9 white', 'size 6 ft').sizes[0]!, swaps: { u: 'e' } }];
		await repos.designs.create('p', { ...parent, sections: [...parent.sections, uses], sizes }, NOW);
		await repos.designs.keep('p', NOW);
		const refs = await db.read.select({ kind: versionRef.kind, ref: versionRef.refId }).from(versionRef);
		expect(refs.sort((a, b) => a.ref.localeCompare(b.ref))).toEqual([
			{ kind: 'design', ref: 'd' },
			{ kind: 'design', ref: 'e' }
		]);
		expect(await repos.designs.uses()).toEqual([
			{ user: 'p', used: 'd' },
			{ user: 'p', used: 'e' }
		]);
		expect(await repos.designs.checkRefs(false)).toEqual({ versions: 2, wrong: [] });
		await db.write((tx) => tx.delete(versionRef).where(eq(versionRef.refId, 'e')));
		expect(await repos.designs.checkRefs(false)).toEqual({ versions: 2, wrong: ['p.1'] });
		expect(await repos.designs.checkRefs(true)).toEqual({ versions: 2, wrong: ['p.1'] });
		expect(await repos.designs.checkRefs(false)).toEqual({ versions: 2, wrong: [] });
	});
});

describe('what is known of a kept version', () => {
	test('its name can be given, changed and taken away; the version itself never changes', async () => {
		const { repos } = await one();
		await repos.designs.keep('d', NOW);
		const names = async () => (await repos.designs.versions('d')).map((v) => v.name);
		expect(await names()).toEqual([null]);
		expect(await repos.designs.nameVersion('d.1', 'before the fair')).toBe(true);
		expect(await repos.designs.nameVersion('d.1', 'after the fair')).toBe(true);
		expect(await names()).toEqual(['after the fair']);
		await repos.designs.nameVersion('d.1', '');
		expect(await names()).toEqual([null]);
		expect(await repos.designs.nameVersion('d.9', 'nobody')).toBe(false);
	});
	test('how it came to be kept: by the button, by leaving, before going back', async () => {
		const { repos, save } = await one();
		await repos.designs.keep('d', NOW);
		await save('save-aaaa', 1, 'second');
		await repos.designs.keep('d', NOW, 'leaving');
		await save('save-bbbb', 2, 'third');
		await repos.designs.keep('d', NOW, 'going back');
		const how = (await repos.designs.versions('d')).map((v) => v.how);
		expect(how).toEqual(['going back', 'leaving', 'button']);
	});
	test('a parent is kept with the number of each part’s version; the working copy stays as it was', async () => {
		const { repos, save } = await one();
		await repos.designs.keep('d', NOW);
		await save('save-aaaa', 1, 'second');
		await repos.designs.keep('d', NOW);
		const uses = ['d', 'never kept'].map((part, i) => newSection(`u${i}`, part, designUse(part)));
		const parent = { ...column, name: 'parent', sections: [...column.sections, ...uses] };
		await repos.designs.create('p', parent, NOW);
		await repos.designs.keep('p', NOW);
		const versions = (recipe: Recipe) =>
			recipe.sections.flatMap((s) => (s.structure.kind === 'design' ? [s.structure.version] : []));
		expect(versions((await repos.designs.lastKept('p'))!.recipe)).toEqual([2, null]);
		expect(versions((await repos.designs.find('p'))!.recipe)).toEqual([null, null]);
		expect((await repos.designs.keptNumbers()).get('d')).toBe(2);
	});
	test('receipts of saves older than a month go with the next keep; younger ones still answer', async () => {
		const { db, repos, save } = await one();
		await save('save-aaaa', 1, 'long ago');
		const later = new Date(NOW.getTime() + 40 * 86_400_000);
		await repos.designs.save('d', { saveId: 'save-bbbb', baseRevision: 2, recipe: renamed('now') }, later);
		await repos.designs.keep('d', later);
		const left = await db.read.select({ id: saveReceipt.id }).from(saveReceipt);
		expect(left).toEqual([{ id: 'save-bbbb' }]);
		expect(await save('save-bbbb', 2, 'again')).toEqual({ status: 'saved', revision: 3 });
	});
});

test('a workspace sees its own rows only, and none of its rows can point into another', async () => {
	const { db, repos } = await one();
	await repos.designs.keep('d', NOW);
	const other = createRepos(db, { ...owner, workspace: 'elsewhere' });
	await other.workspaces.create((await repos.workspaces.find())!.settings, NOW);
	expect(await other.designs.find('d')).toBeUndefined();
	expect(await other.designs.version('d.1')).toBeUndefined();
	expect(await other.designs.shelf()).toEqual([]);
	expect(await other.stock.materials()).toEqual([]);
	const crossing = {
		workspaceId: 'elsewhere',
		id: 'd.9',
		designId: 'd',
		number: 9,
		recipe: column,
		keptAt: NOW,
		changedBy: 'p'
	};
	await expect(db.write((tx) => tx.insert(designVersion).values(crossing))).rejects.toMatchObject({
		cause: { message: expect.stringContaining('FOREIGN KEY constraint failed') }
	});
	await expect(
		db.write((tx) => tx.update(design).set({ keptRevision: 5 }).where(eq(design.id, 'd')))
	).rejects.toMatchObject({ cause: { message: expect.stringContaining('CHECK constraint failed') } });
});
