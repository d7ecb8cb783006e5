import { beforeEach, describe, expect, test, vi } from 'vitest';
import { settings } from '../../../../scripts/demo/settings.ts';
import { colours, design, designOf, floating, materials, rates } from '../../../../tests/kit/studio.ts';
import { newSection } from '../../core/recipe/build.ts';
import { designUse } from '../../core/structures/design/empty.ts';
import { stackIn, stacksIn } from '../../core/structures/stack/edit.ts';
import { printLayer } from '../../core/structures/stack/print.ts';
import type { Recipe } from '../../core/recipe/recipe.ts';
import { benchCommands } from './bench-commands.ts';
import { Bench } from './bench.svelte.ts';
import { swapInSize } from './swap-in-size.ts';

beforeEach(() => {
	vi.useFakeTimers();
	vi.stubGlobal('fetch', () => new Promise(() => {}));
});

const column = design('column', '4 16 at 13 grey', '4 11 at 9 white x2');
const bench = (recipe: Recipe = column, kept: Recipe | null = recipe, stock = materials) =>
	new Bench({
		id: 'd',
		recipe,
		revision: 1,
		keptNumber: 1,
		kept,
		settings: { ...settings, rates },
		materials: stock,
		colours,
		library: [],
		partVersions: {},
		designs: []
	});
const rows = (b: Bench) => b.layers.map((l) => printLayer(l, b.recipe.slots));
const type = (b: Bench, text: string) => {
	b.text = text;
	return b.enter();
};

describe('the entry line of the Bench', () => {
	test('what is typed stands as a ghost and is counted, and is not in the recipe until Enter', () => {
		const b = bench();
		b.text = '1 11 at 10 gold';
		expect(b.tally.bill.balloons).toBe(13);
		expect(b.layers).toHaveLength(2);
		expect(stackIn(b.shown)!.layers).toHaveLength(3);
		expect(stackIn(b.shown)!.layers.at(-1)!.id).toBe(b.ghost);
		expect(b.enter()).toBe(true);
		expect(rows(b)).toEqual(['4 × 16 at 13 grey', '4 × 11 at 9 white ×2', '1 × 11 at 10 gold']);
		expect([b.text, b.ghost]).toEqual(['', null]);
		expect(b.recipe.slots.map((s) => s.name)).toEqual(['grey', 'white', 'gold']);
	});
	test('what could not be kept is set aside and said, what was typed stays, and the rest goes on', async () => {
		const b = bench();
		b.judgeBy((recipe) => (stackIn(recipe)!.layers.length > 3 ? 'layers: At most 3.' : ''));
		expect([type(b, '1 11 at 10 gold'), type(b, '1 11 at 9 gold')]).toEqual([true, false]);
		expect([b.text, b.refusal, b.layers.length]).toEqual([
			'1 11 at 9 gold',
			'That cannot be kept, so it was set aside: layers: At most 3.',
			3
		]);
		expect(b.canRedo).toBe(false);
		b.clearEntry();
		// By a key or a panel: as soon as the screen has followed.
		b.change((d) => {
			const { layers } = stacksIn(d as Recipe)[0]!.stack as unknown as { layers: unknown[] };
			layers.push({ ...b.layers[0]!, id: 'fourth' });
		});
		await vi.waitFor(() => expect(b.layers).toHaveLength(3), 20_000);
		expect(b.refusal).toMatch(/set aside/);
		b.resize(b.layers[1]!.id, 1);
		expect(rows(b)[1]).toBe('4 × 11 at 9½ white ×2');
	});
	test('what could not be kept is set aside before anything is sent, however soon that is', () => {
		const b = bench();
		b.judgeBy((recipe) => (stackIn(recipe)!.layers.length > 2 ? 'layers: At most 2.' : ''));
		const sent: { recipe: Recipe }[] = [];
		vi.stubGlobal('fetch', (_: string, init: { body: string }) => {
			sent.push(JSON.parse(init.body));
			return new Promise(() => {});
		});
		b.change((d) => {
			const { layers } = stacksIn(d as Recipe)[0]!.stack as unknown as { layers: unknown[] };
			layers.push({ ...b.layers[0]!, id: 'third' });
		});
		void b.saver.flush();
		expect(sent.map((s) => stackIn(s.recipe)!.layers.length)).toEqual([2]);
		expect(b.refusal).toMatch(/set aside/);
	});
	test('items, weights and limbs are seen before Enter too, and replace what is being changed', () => {
		const b = bench(
			designOf(floating, 'moons', ['bunch moons', '1 moon foil in helium on 4 ft ribbon']),
			null,
			floating
		);
		const shown = () => {
			const own = b.shown.sections[0]!.structure;
			return own.kind === 'bunch' ? own : undefined;
		};
		b.text = '3 11 at full white in helium';
		expect(shown()!.items.map((i) => i.count)).toEqual([1, 3]);
		expect(shown()!.items[1]!.id).toBe(b.ghost);
		expect(b.tally.bill.lines.some((l) => l.label === '11 rounds, gull white')).toBe(true);
		b.text = 'weight sack';
		expect([shown()!.items.length, shown()!.weight]).toEqual([
			1,
			{ kind: 'material', material: 'sack', count: 1 }
		]);
		const { id } = shown()!.items[0]!;
		b.startEditingPart(b.recipe.sections[0]!.id, id, '2 moon foil in helium');
		expect([shown()!.items.map((i) => i.count), b.ghost]).toEqual([[2], id]);
		b.clearEntry();
		expect(shown()!.items[0]!.count).toBe(1);
		const empty = bench(design('word'), null, floating);
		empty.text = 'letters TID of gold';
		expect(empty.shown).toBe(empty.recipe);
		expect(empty.enter()).toBe(true);
		expect(empty.current!.structure.kind).toBe('bunch');
		expect(b.recipe.slots).toEqual([]);
	});
	test('what is not understood is refused with a sentence and stays; typing on is quiet', () => {
		const b = bench();
		expect(type(b, '4 11 at 9 plaid')).toBe(false);
		expect(b.refusal).toContain('“plaid”');
		expect([b.text, b.layers.length]).toEqual(['4 11 at 9 plaid', 2]);
		expect(b.ghost).toBeNull();
	});
	test('stands between the layers where it is moved, and goes on upwards from there', () => {
		const b = bench();
		b.moveEntry(-1);
		b.moveEntry(-1);
		b.moveEntry(-1);
		expect(b.entryIndex).toBe(0);
		type(b, '4 5 at 4 white');
		type(b, '4 5 at 3.5 white');
		expect(rows(b).slice(0, 3)).toEqual(['4 × 5 at 4 white', '4 × 5 at 3½ white', '4 × 16 at 13 grey']);
		b.moveEntry(1);
		b.moveEntry(1);
		expect(b.at).toBeNull();
	});
	test('a row’s own words come back, and Enter changes that row alone', () => {
		const b = bench();
		const { id } = b.layers[0]!;
		b.startEditing(b.layers[0]!);
		expect(b.text).toBe('4 × 16 at 13 grey');
		type(b, '5 16 at 12 grey');
		expect(rows(b)[0]).toBe('5 × 16 at 12 grey');
		expect(b.layers[0]!.id).toBe(id);
		b.startEditing(b.layers[1]!);
		b.clearEntry();
		expect([b.editing, rows(b)[1]]).toEqual([null, '4 × 11 at 9 white ×2']);
	});
	test('a section said is in hand from then on: what follows goes there, and undo takes all of it back', () => {
		const b = bench();
		type(b, 'section arm x2 left of column');
		expect([b.current!.name, b.layers.length]).toEqual(['arm', 0]);
		type(b, '1 11 at 9 white');
		expect(b.allRows.map((l) => l.clusters[0]!.places.length)).toEqual([4, 4, 1]);
		expect(b.tally.bill.balloons).toBe(12 + 2);
		b.take(b.recipe.sections[0]!.id);
		type(b, '1 11 at 8 gold');
		expect(stackIn(b.recipe)!.layers).toHaveLength(3);
		for (let i = 0; i < 3; i++) b.undo();
		expect([b.recipe, b.current!.name]).toEqual([column, 'column']);
	});
	test('a design of other designs only has no place for a layer, and says what to do', () => {
		const use = newSection('u', 'loaf', designUse('loaf'));
		const b = bench({ ...column, sections: [use] });
		for (const line of ['4 11 at 9 white', 'pole 7 ft']) {
			expect(type(b, line)).toBe(false);
			expect(b.refusal).toContain('Say one first, like “section column”');
			expect(b.text).toBe(line);
		}
		b.clearEntry();
		expect(type(b, 'section top on loaf')).toBe(true);
		expect(type(b, '4 11 at 9 white')).toBe(true);
		expect(b.layers).toHaveLength(1);
	});
	test('takes uprights and extras too', () => {
		const b = bench();
		type(b, 'pole 7 ft');
		type(b, '2 fairy');
		expect(b.stack!.upright).toMatchObject({ kind: 'pole', length: 2_133_600 });
		expect(b.extras).toMatchObject([{ material: 'fairy lights', quantity: '2' }]);
	});
});

describe('the Bench', () => {
	test('undo and redo walk through every change; a row that is gone is not in hand any more', () => {
		const b = bench();
		type(b, '1 11 at 10 gold');
		b.selected = b.layers[2]!.id;
		b.undo();
		expect([b.selected, b.layers.length, b.canUndo, b.canRedo]).toEqual([null, 2, false, true]);
		b.redo();
		expect(b.layers).toHaveLength(3);
		b.replaceAll(column);
		expect(b.layers).toHaveLength(2);
		b.undo();
		expect(b.layers).toHaveLength(3);
	});
	test('a size that no balloon can have is refused and nothing is a step', () => {
		const b = bench();
		expect(b.resize(b.layers[1]!.id, 20)).toMatchObject({ ok: false, code: 'refused' });
		expect(b.canUndo).toBe(false);
		expect(b.resize(b.layers[1]!.id, 1).ok).toBe(true);
		expect(rows(b)[1]).toBe('4 × 11 at 9½ white ×2');
	});
	test('measures itself against the last kept version, in the colourway in hand', () => {
		const b = bench();
		expect(b.before!.cost.total.known).toEqual(b.tally.cost.total.known);
		type(b, '4 11 at 9 white');
		expect(b.tally.cost.total.known.minor).toBeGreaterThan(b.before!.cost.total.known.minor);
		expect(bench(column, null).before).toBeNull();
	});
	test('the picture and the ruler follow the view and the rows', () => {
		const b = bench();
		expect(b.picture.discs).toHaveLength(12);
		b.view = 'plan';
		expect(b.picture.view).toBe('plan');
		const [low, high] = b.layers.map((l) => b.tops.get(l.id)!);
		expect(high!).toBeGreaterThan(low!);
		expect(bench({ ...column, sections: column.sections.slice(1) } as Recipe).picture.discs).toEqual([]);
	});
	test('a colourway taken out leaves the first in hand', () => {
		const b = bench();
		b.change((d) => void d.colourways.push({ id: 'two', name: 'two', fills: {}, without: [] }));
		b.colourway = 'two';
		expect(b.tally.cost.total.unknown).not.toEqual([]);
		b.change((d) => void d.colourways.pop());
		expect(b.chosen.id).toBe(column.colourways[0]!.id);
	});
});

describe('sizes, swaps and parts on the Bench', () => {
	const lit = design(
		'lit',
		'4 16 at 13 grey',
		'4 11 at 9 white x4',
		'1 star card swappable',
		'size 7 ft',
		'size small 1 ft scaled'
	);
	test('a size looked at is counted and drawn, and the rows stay as they were said', () => {
		const b = bench(lit);
		const plain = b.tally.bill.balloons;
		b.size = b.recipe.sizes[0]!.id;
		expect(b.tally.bill.balloons).toBeGreaterThan(plain);
		expect(b.picture.discs).toHaveLength(b.tally.bill.balloons);
		expect(rows(b)[1]).toBe('4 × 11 at 9 white ×4');
		b.size = b.recipe.sizes[1]!.id;
		expect(b.tally.bill.balloons).toBe(plain);
		expect(b.tally.notes.join(' ')).toMatch(/move to/);
		b.change((d) => (d.sizes = []));
		expect(b.tally.notes).toEqual([]);
	});
	test('what is swappable is exchanged in one step, or in one size only', async () => {
		const b = bench(lit);
		const [line] = b.extras;
		await b.exchange(line!.id, 'fairy lights', false);
		expect(b.extras[0]!.material).toBe('fairy lights');
		b.undo();
		expect(b.extras[0]!.material).toBe('star card');
		await swapInSize(b, b.recipe.sizes[0]!.id, { element: line!.id, to: 'fairy lights', design: false });
		expect(b.tally.bill.lines.map((l) => l.label)).toContain('star card');
		b.size = b.recipe.sizes[0]!.id;
		expect(b.tally.bill.lines.map((l) => l.label)).toContain('fairy lights');
		await swapInSize(b, b.recipe.sizes[0]!.id, { element: line!.id, to: '', design: false });
		expect(b.recipe.sizes[0]!.swaps).toEqual({});
	});
	test('a design that cannot be fetched is said, and nothing is exchanged', async () => {
		vi.stubGlobal('fetch', () => Promise.reject(new Error('offline')));
		const b = bench({
			...column,
			sections: [...column.sections, newSection('u', 'loaf', designUse('loaf'))]
		});
		await b.exchange('u', 'bun', true);
		expect(b.refusal).toMatch(/cannot be reached just now/);
		expect(b.recipe.sections[1]!.structure).toMatchObject({ design: 'loaf' });
	});
	test('what was kept remembers the version of each part', () => {
		const b = bench({
			...column,
			sections: [...column.sections, newSection('u', 'loaf', designUse('loaf'))]
		});
		b.markKept(4);
		expect(b.keptNumber).toBe(4);
		expect(b.kept!.sections[1]!.structure).toMatchObject({ version: null });
		expect(b.kept!.name).toBe(b.recipe.name);
	});
	test('the list of commands: each by its own name, what it says stands on the entry line, colours and sizes by name', () => {
		const b = bench(lit);
		const said: string[] = [];
		const acts = { say: (text: string) => void said.push(text), keep: () => {}, places: () => {}, open: (page: string) => void said.push(page) }; // prettier-ignore
		const all = benchCommands(b, acts);
		expect(new Set(all.map((c) => c.name)).size).toBe(all.length);
		const run = (name: string) => all.find((c) => c.name === name)!.run();
		run('In the size small');
		expect(b.inSize?.name).toBe('small');
		run('Look from above');
		expect(b.view).toBe('plan');
		run('Put pieces on a row');
		run('Sizes side by side');
		expect(said).toEqual(['put 2 5 at 4 white as eyes on row 3 front with strip', 'sizes']);
	});
});
