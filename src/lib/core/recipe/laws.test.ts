import { describe, expect, test } from 'vitest';
import { documents, PUMPS, said, STOCK } from '../../../../tests/kit/entry-lines.ts';
import { bundleOf } from '../files/bundle.ts';
import { namesIn } from '../files/remap.ts';
import { catalogueOf, colours, rates } from '../../../../tests/kit/studio.ts';
import { madeSteps } from '../plan/plan.ts';
import { MET } from '../plan/shared.ts';
import { lengthOfRun } from '../structures/run/path.ts';
import { withPaths } from './shared-paths.ts';
import { needsOf } from '../structures/registry/count.ts';
import { swapSlots } from './edit.ts';
import { type RecipeDraft } from './draft.ts';
import { slotsIn } from './links.ts';
import type { Recipe, Section } from './recipe.ts';
import { recipeSchema } from './recipe.schema.ts';
import { findingKey } from '../checks/finding.ts';
import { applyRemedy } from '../checks/remedy.ts';
import { tally } from '../tally/tally.ts';
import { runsBy, scaleBy } from './scale.ts';
import { sayRecipe } from '../compare/say-recipe.ts';
import { servable } from './serving-lines.ts';
import { omittingSlots } from './omit-slots.ts';

const all = [...documents()];
const context = {
	catalogue: catalogueOf(STOCK, colours),
	rates: { ...rates, pumps: PUMPS },
	library: () => said([]).recipe
};
const newId = () => 'fresh';

/** Everything under one key, wherever it stands in a document: asked of the JSON itself. */
function under(value: unknown, keys: ReadonlySet<string>, found: string[] = []): string[] {
	if (Array.isArray(value)) for (const v of value) under(v, keys, found);
	else if (typeof value === 'object' && value !== null)
		for (const [key, v] of Object.entries(value)) {
			if (keys.has(key)) found.push(...[v].flat().filter((x): x is string => typeof x === 'string'));
			under(v, keys, found);
		}
	return found;
}
const SLOTS = new Set(['slot', 'slots']);
const sorted = (ids: Iterable<string>) => [...new Set(ids)].sort();
const partIds = ({ sections }: Recipe) =>
	sorted(sections.flatMap((s) => under(s.structure, new Set(['id']))));

test('the documents hold every kind', () => {
	const kinds = sorted(all.flatMap(([, r]) => r.sections.map((s: Section) => s.structure.kind)));
	expect(kinds).toEqual(['applied', 'bunch', 'design', 'extras', 'form', 'frame', 'run', 'stack', 'weave']);
	for (const [name, recipe] of all) expect([name, recipeSchema.safeParse(recipe).error?.message]).toEqual([name, undefined]); // prettier-ignore
});

/** Keys that no line says: names of parts, how a size came to be known, what packing came to, another picture of the same. */
const UNSAID = new Set(
	'id origin unit seed packed format version key tags notes name silenced credit role steps slot across'.split(
		' '
	)
);
/** What says nothing as things are: the length of no pole, the fill of a run without a mix, the count an estimate has ends of. */
const isIdle = (holder: Record<string, unknown>, key: string): boolean =>
	(key === 'upright' && (holder[key] as { kind: string }).kind === 'none') ||
	(key === 'organic' && (holder['mix'] as unknown[]).length === 0) ||
	// By nothing it stands on the floor, however; on a part of another, there.
	(key === 'how' && (holder['by'] === null || holder['at'] !== undefined)) ||
	(key === 'share' && 'each' in holder) ||
	((key === 'quantity' || key === 'count') && holder['range'] !== null && 'range' in holder) ||
	(key === 'height' && (holder['path'] as { kind?: string } | undefined)?.kind === 'lent');
/** Values seen under each key: what an enumeration may say instead. */
const seen = new Map<string, Set<unknown>>();
(function look(value: unknown, key = '') {
	if (Array.isArray(value)) for (const v of value) look(v, key);
	else if (typeof value === 'object' && value !== null)
		for (const [k, v] of Object.entries(value)) look(v, k);
	else seen.set(key, (seen.get(key) ?? new Set()).add(value));
})(all.map(([, r]) => r));

/** A document changed in one place, again and again; only those that could be kept. */
function* changes(recipe: Recipe): Generator<[string, Recipe]> {
	const walk = function* (holder: Record<string, unknown>, way: string): Generator<string> {
		for (const [key, value] of Object.entries(holder)) {
			if (UNSAID.has(key) || isIdle(holder, key)) continue;
			if (typeof value === 'object' && value !== null) {
				yield* walk(value as Record<string, unknown>, `${way} ${key}`);
				continue;
			}
			const others: unknown[] = typeof value === 'number' ? [value === 0 ? 300_000 : value * 2, value === 1 ? 3 : Math.ceil(value / 2)] : typeof value === 'boolean' ? [!value] : [...(seen.get(key) ?? [])].slice(0, 3); // prettier-ignore
			for (const other of others) {
				if (other === value) continue;
				holder[key] = other;
				yield `${way} ${key}: ${String(value)} → ${String(other)}`;
				holder[key] = value;
			}
		}
	};
	const draft = structuredClone(recipe) as RecipeDraft;
	for (const section of draft.sections) {
		const { kind } = section.structure;
		// Lines and pieces say themselves what they serve and sit on.
		const held = kind === 'extras' || kind === 'applied' ? section.structure : section;
		for (const what of walk(held as unknown as Record<string, unknown>, kind)) {
			// Of a run and a weave no line says where a single balloon looks.
			if (/^(run|weave).* (side|material|squash): /.test(what)) continue;
			if (recipeSchema.safeParse(draft).success) yield [what, draft as Recipe];
		}
	}
}

test('no two documents that differ are said alike', () => {
	const alike: string[] = [];
	// One document of each kind, with the most that is said of it.
	const rich = /^(layer|upright|piece|item|shape|along|woven|role|where|use): /;
	for (const [name, recipe] of all) {
		if (!rich.test(name)) continue;
		const before = sayRecipe(recipe, String).join('\n');
		for (const [what, changed] of changes(recipe))
			if (sayRecipe(changed, String).join('\n') === before) alike.push(what);
	}
	expect(alike).toEqual([]);
});

describe.each(all)('%s', (_, recipe) => {
	const slots = sorted(recipe.sections.flatMap((s) => under(s.structure, SLOTS)));
	test('every slot, material and design it names is found', () => {
		expect(sorted(recipe.sections.flatMap(slotsIn))).toEqual(slots);
		const { materials, designs } = namesIn(recipe);
		expect(sorted(materials)).toEqual(
			sorted([
				...under(recipe.sections, new Set(['material', 'tie'])).filter((id) => id !== ''),
				...recipe.rules.flatMap((r) => r.material ?? []),
				...recipe.sizes.flatMap((s) => Object.values(s.swaps))
			])
		);
		expect(sorted(designs)).toEqual(sorted(under(recipe.sections, new Set(['design']))));
	});
	test('merging any slot into another leaves a recipe that can be kept, and the slot nowhere', () => {
		for (const from of slots) {
			const to = slots.find((s) => s !== from);
			if (to === undefined) continue;
			const draft = structuredClone(recipe) as RecipeDraft;
			applyRemedy(draft, { kind: 'slot', from, to }, { newId, pumps: PUMPS });
			expect([from, recipeSchema.safeParse(draft).error?.message]).toEqual([from, undefined]);
			expect(JSON.stringify(draft)).not.toContain(`"${from}"`);
		}
	});
	test('swapping two colours changes nothing but colours', () => {
		const [a, b] = slots;
		if (a === undefined || b === undefined) return;
		const draft = structuredClone(recipe) as RecipeDraft;
		swapSlots(draft, recipe.colourways[0]!.id, [a, b]);
		expect(draft.sections).toEqual(recipe.sections);
		expect(recipeSchema.safeParse(draft).success).toBe(true);
	});
	test('leaving out any slot leaves a recipe that can be kept, and nothing in that colour', () => {
		for (const slot of slots) {
			const left = omittingSlots(recipe, new Set([slot]));
			expect([slot, recipeSchema.safeParse(left).error?.message]).toEqual([slot, undefined]);
			for (const { structure } of left.sections) {
				const needs = needsOf(structure, recipe.colourways[0]);
				const behind = needs.flatMap((n) => (n.what === 'balloon' && !n.any && n.slot === slot ? [n] : []));
				expect([slot, structure.kind, behind]).toEqual([slot, structure.kind, []]);
			}
		}
	});
	test('larger, smaller, longer or shorter, it loses no part', () => {
		const parts = partIds(recipe);
		for (const factor of [0.3, 0.5, 0.9, 1.5, 3]) {
			for (const scaled of [scaleBy(recipe, factor).recipe, runsBy(recipe, factor)]) {
				expect([factor, partIds(scaled)]).toEqual([factor, parts]);
				expect([factor, recipeSchema.safeParse(scaled).error?.message]).toEqual([factor, undefined]);
			}
		}
	});
	test('what sits along a run sits on it still, and as far along', () => {
		const along = (r: Recipe) =>
			withPaths(r).sections.flatMap(({ structure, stand }) => {
				const by = withPaths(r).sections.find((s) => s.id === stand.by)?.structure;
				const hosts = structure.kind === 'form' ? structure.pieces.flatMap((p) => p.at ?? []) : structure.kind === 'applied' ? structure.pieces.flatMap((p) => p.on.map((o) => o.host)) : []; // prettier-ignore
				return by?.kind === 'run'
					? hosts.flatMap((h) => (h.on === 'path' ? [h.at / 1000 / lengthOfRun(by)] : []))
					: [];
			});
		const before = along(recipe);
		for (const factor of [0.5, 2])
			for (const scaled of [scaleBy(recipe, factor).recipe, runsBy(recipe, factor)])
				for (const [i, at] of along(scaled).entries()) expect([factor, at]).toEqual([factor, expect.closeTo(before[i]!, 1)]); // prettier-ignore
	});
	test('what its plan meets, a line can serve', () => {
		const can = new Set(servable(recipe).map(([id]) => id));
		const met = madeSteps(recipe, context).flatMap(({ key, about }) =>
			about !== null && MET.test(key) && !can.has(about) ? [key] : []
		);
		expect(met).toEqual([]);
	});
	test('a file of it has every balloon and material it needs', () => {
		const file = bundleOf([{ id: 'd', recipe }], { materials: STOCK, colours });
		const filed = new Set(file.materials.map((m) => m.id));
		const keyOf = (kind: string, nominal: unknown, colour: unknown, mark: unknown) => JSON.stringify([kind, nominal ?? null, colour ?? null, mark ?? null]); // prettier-ignore
		const here = new Map(STOCK.map((m) => [keyOf(m.kind, m.nominal, m.colour, m.mark), m.id]));
		for (const { structure } of recipe.sections)
			for (const colourway of recipe.colourways)
				for (const need of needsOf(structure, colourway)) {
					const id =
						need.what === 'balloon'
							? here.get(keyOf(need.kind, need.nominal, need.colour, need.mark))
							: need.what === 'material'
								? STOCK.find((m) => m.id === need.material)?.id
								: undefined;
					if (id !== undefined) expect([id, filed.has(id)]).toEqual([id, true]);
				}
	});
});

describe('a finding is known by what it is about', () => {
	test.each(all)('%s: no two of a design share a key', (_, recipe) => {
		const { findings } = tally(recipe, recipe.colourways[0]!.id, 1, context);
		const keys = findings.map((f) => findingKey(f));
		expect(keys).toEqual([...new Set(keys)]);
	});
});
