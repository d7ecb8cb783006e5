import { produce } from 'immer';
import { describe, expect, test } from 'vitest';
import { documents, said, STOCK } from '../../../../tests/kit/entry-lines.ts';
import { applyEntry } from '../language/apply.ts';
import { colours, rates } from '../../../../tests/kit/studio.ts';
import { firstAnswers } from '../by-hand/answers.ts';
import type { Answers } from '../by-hand/asked.ts';
import { putByHand } from '../language/put-by-hand.ts';
import { handFormsOf } from '../structures/registry/by-hand.ts';
import type { Mutable } from '../document/mutable.ts';
import type { Place } from '../document/cluster.ts';
import type { Structure } from '../structures/kinds.ts';
import { listsOf, slotsOfStructure } from '../structures/registry/refs.ts';
import { draggedBy, gripsOf } from '../structures/registry/touch.ts';
import type { Layer, Stack } from '../structures/stack/document.ts';
import { placeStack } from '../structures/stack/place.ts';
import type { RecipeDraft } from './draft.ts';
import { copyPart, repeatPart } from './edit-parts.ts';
import {
	countHeld,
	countOfHeld,
	dropHeld,
	hostOfHeld,
	isPart,
	recolour,
	removeHeld,
	repeatOfHeld,
	resizeHeld,
	resizePlace,
	turnToFront,
	type Held,
	type Reach
} from './held.ts';
import type { Recipe } from './recipe.ts';
import { recipeSchema } from './recipe.schema.ts';

/** A draft with lines said to it, and ids counted up. */
function draftOf(...lines: string[]) {
	let n = 0;
	const newId = () => `new-${n++}`;
	const { recipe, ...at } = said([]);
	let { section } = at;
	const draft = structuredClone(recipe) as RecipeDraft;
	for (const line of lines) {
		const parsed = said([], draft as Recipe).read(line);
		if (!parsed.ok) throw new Error(`${line}: ${parsed.say}`);
		section = applyEntry(draft, parsed.value, { section }, newId) ?? section;
	}
	return { draft, newId };
}
const partsOf = (recipe: RecipeDraft) => recipe.sections.flatMap((s) => listsOf(s.structure).flat());
const slotsOf = (structure: unknown) => slotsOfStructure(structure as Structure);

/** Every part of every kind, with what was said before it. */
const cases = [...documents()].flatMap(([lines, before]) =>
	before.sections.flatMap((s) =>
		listsOf(s.structure as Mutable<Structure>)
			.flat()
			.map(({ id }) => ({
				name: `${s.structure.kind} after ${lines}: ${id}`,
				before: before as RecipeDraft,
				id
			}))
	)
);
const held = (about: string, place: string | null = null, slot: string | null = null): Held => ({
	about,
	place,
	slot
});
const rowsOf = (draft: RecipeDraft) => listsOf(draft.sections[0]!.structure)[0]! as unknown as Layer[];
const idsOf = (draft: RecipeDraft) => rowsOf(draft).map((r) => r.id);

describe('whatever is pressed', () => {
	test('there are parts of every kind that has some', () => {
		const kinds = new Set(cases.map(({ name }) => name.split(' ')[0]!));
		expect([...kinds].sort()).toEqual(['applied', 'bunch', 'extras', 'form', 'run', 'stack', 'weave']);
	});
	test('a copy taken out again leaves the recipe as it was', () => {
		for (const { name, before, id } of cases) {
			const draft = structuredClone(before);
			let n = 0;
			const copy = copyPart(draft, id, () => `copy-${n++}`);
			expect([name, partsOf(draft).length]).toEqual([name, partsOf(before).length + 1]);
			expect([name, recipeSchema.safeParse(draft).error?.message]).toEqual([name, undefined]);
			removeHeld(draft, held(copy!));
			expect([name, draft]).toEqual([name, before]);
		}
	});
	test('larger and smaller again it has the size it had, or was refused whole', () => {
		let [sized, refused] = [0, 0];
		for (const { name, before, id } of cases) {
			const draft = structuredClone(before);
			if (!resizeHeld(draft, held(id), 1).ok) {
				refused++;
				expect([name, draft]).toEqual([name, before]);
				continue;
			}
			sized++;
			expect(draft).not.toEqual(before);
			// A size nobody said, and one in words, became a figure by it.
			if (/"kind":"(unknown|word)"/.test(JSON.stringify(before))) continue;
			expect([name, resizeHeld(draft, held(id), -1).ok]).toEqual([name, true]);
			expect([name, draft]).toEqual([name, before]);
		}
		expect(sized).toBeGreaterThan(60);
		expect(refused).toBeGreaterThan(10);
	});
	test('in another colour only what it says of that colour is another', () => {
		let coloured = 0;
		for (const { name, before, id } of cases) {
			const draft = structuredClone(before);
			const section = draft.sections.find((s) =>
				listsOf(s.structure)
					.flat()
					.some((p) => p.id === id)
			)!;
			const part = () =>
				JSON.stringify(
					listsOf(section.structure)
						.flat()
						.find((p) => p.id === id)
				);
			const own = slotsOf(section.structure).find((slot) => part().includes(`"${slot}"`));
			if (own === undefined) continue;
			const others = () => JSON.stringify(partsOf(draft).filter((p) => p.id !== id));
			const rest = others();
			const to = { colour: 'nobody has it', name: 'new', colourway: draft.colourways[0]!.id };
			recolour(draft, held(id, null, own), 'part', to, () => 'made');
			expect([name, part()]).not.toEqual([name, expect.stringContaining(`"${own}"`)]);
			expect([name, part()]).toEqual([name, expect.stringContaining('"made"')]);
			expect([name, others()]).toEqual([name, rest]);
			expect(draft.colourways[0]!.fills['made']).toBe('nobody has it');
			coloured++;
		}
		expect(coloured).toBeGreaterThan(60);
	});
});

describe('a row of a column', () => {
	const column = () => draftOf('4 11 at 9 white x3', '4 11 at 9 red', '4 11 at 8 white');
	test('more balloons, more layers, to their limits', () => {
		const { draft, newId } = column();
		const [id] = idsOf(draft) as [string];
		expect(countOfHeld(draft as Recipe, held(id))).toBe(4);
		expect(countHeld(draft, held(id), 1, newId)).toBe(true);
		expect(countOfHeld(draft as Recipe, held(id))).toBe(5);
		for (let i = 0; i < 20; i++) countHeld(draft, held(id), -1, newId);
		expect(countOfHeld(draft as Recipe, held(id))).toBe(1);
		repeatPart(draft, id, 2);
		expect(repeatOfHeld(draft as Recipe, held(id))).toBe(5);
		for (let i = 0; i < 9; i++) repeatPart(draft, id, -1);
		expect(repeatOfHeld(draft as Recipe, held(id))).toBe(1);
		expect(isPart(draft as Recipe, held(id))).toBe(true);
		expect(isPart(draft as Recipe, held(draft.sections[0]!.id))).toBe(false);
	});
	test('one balloon alone: its size, its colour, turned to the front', () => {
		const { draft, newId } = column();
		const [row] = rowsOf(draft) as [Layer];
		const [first, second] = row.clusters[0]!.places as [Place, Place];
		const one = held(row.id, second.id, (row.clusters[0]!.pattern as { slot: string }).slot);
		expect(resizePlace(draft, one, 1).ok).toBe(true);
		expect(second.size).toMatchObject({ um: 241_300 });
		expect(first.size).toMatchObject({ um: 228_600 });
		turnToFront(draft, one);
		expect(row.clusters[0]!.places.map((p) => p.side)).toEqual([null, 'front', null, null]);
		const red = { colour: 'red', name: 'red', colourway: draft.colourways[0]!.id };
		const slots = draft.slots.length;
		recolour(draft, one, 'balloon', red, newId);
		expect([first.slot, second.slot === null]).toEqual([null, false]);
		expect(draft.colourways[0]!.fills[second.slot!]).toBe('red');
		expect(draft.slots.length - slots).toBeLessThanOrEqual(1);
	});
	test('all that is of a colour is filled anew, and no slot is made', () => {
		const { draft, newId } = column();
		const slot = draft.slots[0]!.id;
		const before = structuredClone(draft.sections);
		const to = { colour: 'red', name: 'red', colourway: draft.colourways[0]!.id };
		recolour(draft, held(idsOf(draft)[0]!, null, slot), 'all', to, newId);
		expect(draft.colourways[0]!.fills[slot]).toBe('red');
		expect(draft.sections).toEqual(before);
	});
	test('let go on another row it takes that place', () => {
		const { draft, newId } = column();
		const [a, b, c] = idsOf(draft) as [string, string, string];
		expect(dropHeld(draft, held(a), { about: c, place: null }, newId).ok).toBe(true);
		expect(idsOf(draft)).toEqual([b, c, a]);
		dropHeld(draft, held(a), { about: b, place: null }, newId);
		expect(idsOf(draft)).toEqual([a, b, c]);
		dropHeld(draft, held(a), { about: a, place: null }, newId);
		expect(idsOf(draft)).toEqual([a, b, c]);
	});
});

describe('a piece is let go', () => {
	const faced = () =>
		draftOf(
			'4 11 at 9 white',
			'4 11 at 9 red',
			'put 2 5 at 4 white as eyes on row 1 front',
			'put 2 5 at 3 red as pupils on eyes',
			'section arm left of column',
			'4 5 at 4 white'
		);
	const pieces = (draft: RecipeDraft) =>
		draft.sections.flatMap((s) =>
			s.structure.kind === 'applied'
				? s.structure.pieces.map((p) => ({ id: p.id, name: p.name, on: p.on, by: s.stand.by }))
				: []
		);
	test('on a balloon of another row of its host', () => {
		const { draft, newId } = faced();
		const eyes = pieces(draft).find((p) => p.name === 'eyes')!;
		const place = rowsOf(draft)[1]!.clusters[0]!.places[0]!.id;
		expect(dropHeld(draft, held(eyes.id), { about: idsOf(draft)[1]!, place }, newId).ok).toBe(true);
		expect(pieces(draft).find((p) => p.name === 'eyes')!.on).toEqual([
			{ host: { on: 'place', place }, count: 2 }
		]);
	});
	test('on another section it goes over with what sits on it', () => {
		const { draft, newId } = faced();
		const eyes = pieces(draft).find((p) => p.name === 'eyes')!;
		const arm = draft.sections.find((s) => s.name === 'arm')!;
		const row = listsOf(arm.structure)[0]![0]!.id;
		// As the Bench does it: on a draft that keeps its steps.
		const after = produce(draft, (d) => void dropHeld(d, held(eyes.id), { about: row, place: null }, newId));
		expect(pieces(after).map((p) => [p.name, p.by])).toEqual([
			['eyes', arm.id],
			['pupils', arm.id]
		]);
		expect(pieces(after)[0]!.on[0]!.host).toMatchObject({ on: 'layer', layer: row });
		expect(recipeSchema.safeParse(after).error?.message).toBeUndefined();
	});
	test('a row is no piece: it is refused in words', () => {
		const { draft, newId } = faced();
		const arm = draft.sections.find((s) => s.name === 'arm')!;
		const outcome = dropHeld(
			draft,
			held(idsOf(draft)[0]!),
			{ about: listsOf(arm.structure)[0]![0]!.id, place: null },
			newId
		);
		expect(outcome).toMatchObject({ ok: false, say: expect.stringContaining('cannot sit there') as string });
	});
});

describe('a piece put by hand where something is pressed', () => {
	const put = (reach: Reach, values: Answers = {}) => {
		const { draft, newId } = draftOf('4 11 at 9 white', '4 11 at 9 red');
		const [row] = rowsOf(draft) as [Layer];
		const place = row.clusters[0]!.places[2]!.id;
		const on = hostOfHeld(draft as Recipe, { about: row.id, place }, reach);
		const form = handFormsOf({ kind: 'applied' })[0]!;
		const data = { colours, materials: STOCK, settings: { rates } } as never;
		const all = { ...firstAnswers(form.fields, data), colours: ['red'], ...values };
		const way = { section: undefined, editing: null, colourway: draft.colourways[0]!.id, nameOf: () => 'buoy red', material: () => undefined, on }; // prettier-ignore
		const done = putByHand(draft, form, all, way, newId);
		return { draft, done, row, place };
	};
	const pieceOf = (draft: RecipeDraft) =>
		draft.sections.flatMap((s) => (s.structure.kind === 'applied' ? s.structure.pieces : []))[0]!;
	test('on its row, at a side; on the very balloon', () => {
		const onRow = put('part', { side: 'left', count: 3 });
		expect(pieceOf(onRow.draft)).toMatchObject({
			name: 'buoy red',
			fixing: 'glue',
			on: [{ host: { on: 'layer', layer: onRow.row.id, side: 'left' }, count: 3 }]
		});
		expect(recipeSchema.safeParse(onRow.draft).error?.message).toBeUndefined();
		const onBalloon = put('balloon');
		expect(pieceOf(onBalloon.draft).on[0]!.host).toEqual({ on: 'place', place: onBalloon.place });
	});
	test('on a piece, it is carried by what that one is on; on a garland’s row nothing sits', () => {
		const { draft } = put('part');
		const on = hostOfHeld(draft as Recipe, { about: pieceOf(draft).id, place: null }, 'part');
		expect(on).toMatchObject({ host: { on: 'piece' }, section: draft.sections[0]!.id });
		const garland = draftOf('run garland', 'line 8 ft', '4 5 at 4 white').draft;
		const row = listsOf(garland.sections[0]!.structure)[0]![0]!.id;
		expect(hostOfHeld(garland as Recipe, { about: row, place: null }, 'part')).toBeUndefined();
	});
});

describe('what can be dragged', () => {
	const foot = 304.8;
	const structureOf = (...lines: string[]) => {
		const { draft } = draftOf(...lines);
		return draft.sections.at(-1)!.structure as Structure;
	};
	test('the top of a column: as many layers as come nearest', () => {
		const stack = structureOf('4 11 at 9 white x8');
		const [top] = gripsOf(stack, placeStack(stack as Stack));
		expect(top).toMatchObject({ id: 'top', x: 0, ways: 'up' });
		const taller = draggedBy(stack, 'top', { x: 0, z: 2 * foot }, []);
		const [now] = gripsOf(taller, placeStack(taller as Stack));
		// The nearest is no further than half a layer, which takes less than a balloon.
		expect(Math.abs(now!.z - top!.z - 2 * foot)).toBeLessThan(228.6 / 2);
	});
	test('an end that is dragged follows the hand, and the other goes as far', () => {
		const line = structureOf('run garland', 'line 8 ft');
		const at = (s: Structure, id: string) => gripsOf(s, undefined).find((g) => g.id === id)!;
		const longer = draggedBy(line, '0', { x: foot, z: 0 }, []);
		expect(at(longer, '0').x - at(line, '0').x).toBeCloseTo(foot, 6);
		expect(at(longer, 'left').x - at(line, 'left').x).toBeCloseTo(-foot, 6);
		expect(draggedBy(line, 'left', { x: -foot, z: 0 }, [])).toEqual(longer);
		const hung = draggedBy(line, 'height', { x: 50, z: 6 * foot }, []);
		expect(at(hung, 'height').z - at(line, 'height').z).toBeCloseTo(6 * foot, 6);
		// It hung at 7 ft.
		expect(hung).toMatchObject({ path: { length: 2_438_400 }, height: 3_962_400 });
	});
	test('the foot and the top of an arch', () => {
		const arch = structureOf('run arch', 'arch 8 ft by 7 ft');
		expect(draggedBy(arch, '1', { x: 99, z: -foot }, [])).toMatchObject({
			path: { span: 2_438_400, rise: 1_828_800 }
		});
		expect(draggedBy(arch, '0', { x: foot / 2, z: 99 }, [])).toMatchObject({
			path: { span: 2_743_200, rise: 2_133_600 }
		});
	});
});
