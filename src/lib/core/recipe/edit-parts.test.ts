import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { applyEntry } from '../language/apply.ts';
import { removePart } from './edit-parts.ts';
import { counter, design, rates, studio, entryContext } from '../../../../tests/kit/studio.ts';
import { tally } from '../tally/tally.ts';
import { inches } from '../units/length.ts';
import { changeLine, chooseLine, linesIn } from '../structures/extras/edit.ts';
import { changePiece, piecesIn } from '../structures/applied/edit.ts';
import { addCluster, addPlace, changePlaces, moveCluster, removePlaces } from './edit-places.ts';
import { hostsFor, moveSection, removeSection } from './edit.ts';
import { stackIn } from '../structures/stack/edit.ts';
import { type RecipeDraft } from './draft.ts';
import { parseEntry } from '../language/read.ts';
import { recipeSchema } from './recipe.schema.ts';
import { applyRemedy } from '../checks/remedy.ts';
import type { Recipe } from './recipe.ts';

const face = design(
	'face',
	'4 11 at 10 white',
	'1 16 at 13 gold',
	'put 2 5 at 4 white as eyes on row 2 front',
	'put 2 5 at 2 red as pupils on eyes with glue',
	'2 fairy lights'
);
const draftOf = (recipe: Recipe) => structuredClone(recipe) as RecipeDraft;
const row = (d: RecipeDraft, at = 0) => stackIn(d as Recipe)!.layers[at]!;
const places = (d: RecipeDraft, at = 0) => row(d, at).clusters.flatMap((c) => c.places);
const isRecipe = (d: RecipeDraft) => expect(recipeSchema.safeParse(d).error?.issues ?? []).toEqual([]);
const count = (d: RecipeDraft) =>
	tally(d as Recipe, null, 1, { catalogue: studio, rates, library: () => undefined }).bill.balloons;

describe('places of a row', () => {
	test('some of them are changed, the others stay', () => {
		const d = draftOf(face);
		const [first, second] = places(d);
		changePlaces(d, row(d).id, new Set([second!.id]), { method: 'eye', side: 'front', nominal: inches(12) });
		expect(places(d)[1]).toMatchObject({ method: 'eye', side: 'front', nominal: inches(12) });
		expect(places(d)[0]).toEqual(first);
		isRecipe(d);
	});
	test('one more beside another is like it, up to twelve; the last of a row stays', () => {
		const d = draftOf(face);
		const newId = counter('p');
		const beside = places(d)[2]!.id;
		expect(addPlace(d, row(d).id, beside, newId)).toBe('p1');
		expect(
			places(d)
				.map((p) => p.id)
				.indexOf('p1')
		).toBe(3);
		while (addPlace(d, row(d).id, beside, newId) !== undefined) isRecipe(d);
		expect(places(d)).toHaveLength(12);
		removePlaces(
			d,
			row(d).id,
			new Set(
				places(d)
					.slice(1)
					.map((p) => p.id)
			)
		);
		expect(places(d)).toHaveLength(1);
		removePlaces(d, row(d).id, new Set([places(d)[0]!.id]));
		expect(places(d)).toHaveLength(1);
		expect(addPlace(d, row(d).id, 'nobody', newId)).toBeUndefined();
	});
	test('a cluster more stands at its side and tier, with ids of its own, and goes with its last place', () => {
		const d = draftOf(face);
		const first = addCluster(d, row(d).id, { side: 'left', tier: 1 }, counter('c'))!;
		expect(row(d).clusters[1]).toMatchObject({ side: 'left', tier: 1, places: [{ id: first }, {}] });
		moveCluster(d, row(d).id, first, { side: 'front' });
		expect(row(d).clusters.map((c) => c.side)).toEqual(['all', 'front']);
		isRecipe(d);
		removePlaces(d, row(d).id, new Set(row(d).clusters[1]!.places.map((p) => p.id)));
		expect(row(d).clusters).toHaveLength(1);
		expect(addCluster(d, 'nobody', { side: 'left', tier: 0 }, counter())).toBeUndefined();
	});
	test('any run of changes leaves a recipe that is one, with as many balloons as places', () => {
		const step = fc.record({ what: fc.nat(4), at: fc.nat(14), slot: fc.nat(2) });
		fc.assert(
			fc.property(fc.array(step, { maxLength: 16 }), (steps) => {
				const d = draftOf(design('any', '4 11 at 9 white / gold', '3 11 at 8 red'));
				const newId = counter('n');
				for (const { what, at, slot } of steps) {
					const { id } = row(d, at % 2);
					const own = places(d, at % 2);
					const one = own[at % own.length]!.id;
					if (what === 0) addPlace(d, id, one, newId);
					else if (what === 1) removePlaces(d, id, new Set([one]));
					else if (what === 2)
						changePlaces(d, id, new Set([one]), { slot: d.slots[slot % d.slots.length]!.id });
					else if (what === 3) addCluster(d, id, { side: 'back', tier: at % 3 }, newId);
					else moveCluster(d, id, one, { tier: slot });
				}
				isRecipe(d);
				expect(count(d)).toBe(places(d, 0).length + places(d, 1).length);
			}),
			{ numRuns: 60 }
		);
	});
	test('words typed over a row keep what they have no words for: a side, a certain material', () => {
		const d = draftOf(face);
		changePlaces(d, row(d).id, new Set([places(d)[1]!.id]), { side: 'left', material: '11-gold' });
		const parsed = parseEntry('4 11 at 9 white', entryContext(d as Recipe));
		if (!parsed.ok) throw new Error(parsed.say);
		applyEntry(d, parsed.value, { editing: row(d).id }, counter('r'));
		expect(places(d)[1]).toMatchObject({ side: 'left', material: '11-gold', size: { um: inches(9) } });
	});
});

describe('pieces', () => {
	test('are changed and taken out; the last one takes its section along, and its slot', () => {
		const d = draftOf(face);
		const [eyes, pupils] = piecesIn(d as Recipe).map(({ piece }) => piece.id);
		changePiece(d, eyes!, (p) => (p.on[0]!.count = 3));
		expect(count(d)).toBe(4 + 1 + 3 + 2);
		removePart(d, pupils!);
		expect(d.slots.map((s) => s.name)).not.toContain('red');
		removePart(d, eyes!);
		expect(d.sections.some((s) => s.structure.kind === 'applied')).toBe(false);
		isRecipe(d);
	});
	test('go with the section that carries them; no section stands by pieces', () => {
		const d = draftOf(design('d', '4 11 at 10 white', 'section head', '1 16 at 13 grey', 'put 2 5 at 4 red on head top row')); // prettier-ignore
		const [main, head, pieces] = d.sections.map((s) => s.id);
		expect(hostsFor(d as Recipe, main!).map((s) => s.id)).toEqual([head]);
		expect(hostsFor(d as Recipe, head!).map((s) => s.id)).not.toContain(pieces);
		removeSection(d, head!);
		expect(d.sections.map((s) => s.id)).toEqual([main]);
		isRecipe(d);
	});
	test('pieces can be taken out where one section carries them: it stays', () => {
		const d = draftOf(design('d', '4 11 at 10 white', 'put 2 5 at 4 red on column top row'));
		const pieces = d.sections.find((s) => s.structure.kind === 'applied')!;
		removeSection(d, pieces.id);
		expect(d.sections.map((s) => s.structure.kind)).toEqual(['stack']);
		isRecipe(d);
	});
	test('a section goes up and down the list, never past its ends; pieces alone are no design', () => {
		const d = draftOf(design('d', '4 11 at 10 white', 'section head', '1 16 at 13 grey', 'section tail', '4 11 at 9 white', 'put 2 5 at 4 red on head top row')); // prettier-ignore
		const order = () => d.sections.map((s) => s.name);
		const [main, head, tail] = d.sections.filter((s) => s.structure.kind === 'stack').map((s) => s.id);
		const before = order();
		moveSection(d, main!, 1);
		expect(order()[1]).toBe(before[0]);
		moveSection(d, main!, 99);
		expect(order().at(-1)).toBe(before[0]);
		expect(new Set(order())).toEqual(new Set(before));
		moveSection(d, 'nobody', 1);
		removeSection(d, 'nobody');
		expect(d.sections).toHaveLength(before.length);
		removeSection(d, tail!);
		removeSection(d, main!);
		// What carries the pieces is the last one: it stays, and so do they.
		const kept = order();
		removeSection(d, head!);
		expect(order()).toEqual(kept);
		isRecipe(d);
	});
	test('two slots made one: pieces follow, and what was left out', () => {
		const d = draftOf(face);
		const [white, red] = ['white', 'red'].map((name) => d.slots.find((s) => s.name === name)!.id);
		d.colourways[0]!.without = [red!];
		applyRemedy(d, { kind: 'slot', from: red!, to: white! }, { newId: counter(), pumps: [] });
		expect(d.colourways[0]!.without).toEqual([]);
		expect(JSON.stringify(d)).not.toContain(red!);
		isRecipe(d);
	});
});

describe('lines', () => {
	test('are changed by their id; choosing one takes the others of its choice out, and no other line', () => {
		const d = draftOf(design('d', '4 11 at 9 white', '1 stand or 2 fairy lights', '1 patch'));
		const [stand, lights, patch] = linesIn(d);
		changeLine(d, patch!.id, (l) => (l.taken = true));
		chooseLine(d, lights!.id);
		expect([stand!.taken, lights!.taken, patch!.taken]).toEqual([false, true, true]);
		chooseLine(d, patch!.id);
		changeLine(d, 'nobody', () => expect.unreachable());
		expect(lights!.taken).toBe(true);
	});
});
