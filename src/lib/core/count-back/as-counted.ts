import { readMaterialKey } from '../materials/material-key.ts';
import { slotOfPlace } from '../structures/stack/place.ts';
import { countOfPiece } from '../structures/applied/count.ts';
import type { TallyContext } from '../tally/tally.ts';
import { mixed, rational, rationalText, type Rational } from '../units/rational.ts';
import { type NewId } from '../document/id.ts';
import { newLine } from '../structures/extras/empty.ts';
import { copiesOf } from '../recipe/copies.ts';
import { countLines } from './count-lines.ts';
import { fitClusters, fitMixes } from './fit-runs.ts';
import { countsNow, countsOf, distance, keyOfPlace, missingOf, type Pumps } from './missing.ts';
import { withPumps } from '../recipe/with-pumps.ts';
import { dropUnusedSlots, type RecipeDraft } from '../recipe/draft.ts';
import type { Mutable } from '../document/mutable.ts';
import { linesIn } from '../structures/extras/edit.ts';
import { addExtra, addPiece, removePart } from '../recipe/edit-parts.ts';
import { ofKind } from '../structures/kinds.ts';
import { listsOf } from '../structures/registry/refs.ts';
import { MOST_ALIKE, MOST_REPEATS } from '../document/limits.ts';
import type { Cluster } from '../document/cluster.ts';
import type { Colourway } from '../document/slot.ts';
import type { Id } from '../document/id.ts';
import type { Layer } from '../structures/stack/document.ts';
import type { Recipe, Section } from '../recipe/recipe.ts';

/** What was counted: in which colours, and how many of each thing for one, by the keys of `countLines`. */
export interface Took {
	readonly colourway: Id | null;
	readonly counts: ReadonlyMap<string, number | Rational>;
}

const exactly = (count: number | Rational): Rational => (typeof count === 'number' ? rational(count) : count);

/**
 * The recipe as it was counted: what one of it really took by material and size.
 *
 * Whole layers come and go where that answers the count; a balloon less is taken from the topmost layer that has it, a
 * balloon more is tucked in there; lines take their new count. What designs inside take, and what follows by a rule,
 * is not changed here.
 *
 * @param took what is not named in it stays
 * @returns a sentence for everything that could not be made so
 */
export function asCounted(
	recipe: Recipe,
	took: Took,
	context: TallyContext,
	newId: NewId
): { readonly recipe: Recipe; readonly left: readonly string[] } {
	const draft = structuredClone(recipe) as RecipeDraft;
	const { pumps } = context.rates;
	// Counted in other colours: those stand first while the counts are looked for.
	const choice = { colourway: took.colourway, size: null, quantity: 1 };
	const first = recipe.colourways.find((c) => c.id === took.colourway) ?? recipe.colourways[0]!;
	const others = recipe.colourways.filter((c) => c !== first);
	draft.colourways = structuredClone([first, ...others]) as Mutable<Colourway>[];
	const before = structuredClone(draft) as Recipe;
	const wanted = new Map<string, number>();
	for (const line of countLines(recipe, choice, context)) {
		const count = took.counts.get(line.key);
		if (line.what === 'balloon')
			wanted.set(
				line.key,
				exactly(count ?? line.recipe)
					.sub(line.inside)
					.valueOf()
			);
		else if (count !== undefined) changeLines(draft, line.key, exactly(count).sub(line.recipe), newId);
	}
	fitLayers(draft, wanted, pumps);
	const runs = ofKind(draft.sections, 'run');
	fitClusters(draft, runs, wanted, pumps);
	fitMixes(draft, runs, wanted, pumps);
	for (const [key, count] of wanted) {
		fitParts(draft, key, count - (countsNow(draft, pumps).get(key)?.count ?? 0), pumps);
		const missing = count - (countsNow(draft, pumps).get(key)?.count ?? 0);
		if (missing < 0) takeOut(draft, key, -missing, newId);
		if (missing > 0) tuckIn(draft, key, missing, { before, newId, pumps });
	}
	settleRanges(draft);
	dropUnusedSlots(draft);
	const order = recipe.colourways.map((c) => c.id);
	draft.colourways.sort((a, b) => order.indexOf(a.id) - order.indexOf(b.id));
	const done = structuredClone(draft) as Recipe;
	const left = countLines(done, choice, context);
	const sentences = [...took.counts].flatMap(([key, count]) => {
		const line = left.find((l) => l.key === key);
		const now = line?.recipe ?? rational(0);
		if (now.equals(exactly(count))) return [];
		const label = line?.label ?? countLines(recipe, choice, context).find((l) => l.key === key)?.label;
		return [
			`${label ?? 'A line'}: counted ${mixed(exactly(count))}, the recipe says ${mixed(now)}. Change it by hand.`
		];
	});
	return { recipe: done, left: sentences };
}

/**
 * The recipe with its mixes along a path as they were counted; all else stays, open lengths and ranges too.
 * @param counts balloons for one in its first colours, by the keys of `countLines`; what is not named stays
 */
export function mixesAs(recipe: Recipe, counts: ReadonlyMap<string, number>, pumps: Pumps): Recipe {
	const draft = structuredClone(recipe) as RecipeDraft;
	const now = [...countsNow(draft, pumps)].map(
		([key, { count }]) => [key, counts.get(key) ?? count] as const
	);
	fitMixes(draft, ofKind(draft.sections, 'run'), new Map(now), pumps);
	return draft as Recipe;
}

const stacksOf = (draft: RecipeDraft) =>
	ofKind(draft.sections, 'stack').map(({ section, structure }) => ({ section, stack: structure }));

/** What was counted is known: rows and items lie between two numbers no more. */
function settleRanges(draft: RecipeDraft) {
	for (const { structure } of draft.sections)
		for (const part of listsOf(structure).flat())
			if (part.repeat !== undefined || part.count !== undefined) delete part.range;
}

/** Repeats rows more or less, topmost first, as long as that brings every count nearer and none past it. */
function fitLayers(draft: RecipeDraft, wanted: ReadonlyMap<string, number>, pumps: Pumps) {
	for (;;) {
		const missing = missingOf(draft, wanted, pumps);
		const now = distance(missing);
		if (now === 0) return;
		let best: { layer: Mutable<Layer>; repeat: number; gain: number } | undefined;
		for (const { section, stack } of stacksOf(draft)) {
			const copies = copiesOf(draft as Recipe, section as Section);
			const layers = stack.layers as readonly Layer[];
			for (let row = layers.length - 1; row >= 0; row--) {
				const layer = stack.layers[row]!;
				const each = copies * layer.clusters.reduce((a, c) => a + c.places.length, 0);
				const start = layer.repeat;
				for (const by of [-1, 1]) {
					// A row that has anything nobody wants more of, or less, is not looked at: most are not.
					if (!suits(draft, layers, row, (key) => by * (missing.get(key) ?? 0) > 0)) continue;
					for (let repeat = start + by; repeat >= 0 && repeat <= MOST_REPEATS; repeat += by) {
						if (Math.abs(repeat - start) * each > now) break;
						layer.repeat = repeat;
						const gain = now - distance(missingOf(withoutEmpty(draft), wanted, pumps));
						// All of it has to be wanted: half a layer is no layer.
						if (gain < Math.abs(repeat - start) * each - 0.5) break;
						if (!best || gain > best.gain) best = { layer, repeat, gain };
					}
					layer.repeat = start;
				}
			}
		}
		if (!best) return;
		best.layer.repeat = best.repeat;
		dropEmpty(draft);
	}
}

/** Whether every balloon of a row's topmost ring is one of these. */
const suits = (
	draft: RecipeDraft,
	layers: readonly Layer[],
	row: number,
	isOne: (key: string) => boolean
): boolean =>
	baked(layers, row).every(({ places }) =>
		places.every((p) => isOne(keyOfPlace(draft, p as never, p.slot ?? '')))
	);

const withoutEmpty = (draft: RecipeDraft): RecipeDraft => {
	const copy = structuredClone(draft);
	dropEmpty(copy);
	return copy;
};

function dropEmpty(draft: RecipeDraft) {
	for (const { stack } of stacksOf(draft))
		stack.layers = stack.layers.filter((l) => l.repeat > 0 && l.clusters.length > 0);
}

/** Gives items of bunches and pieces of forms that take such a balloon another count, last first; one of each stays. */
function fitParts(draft: RecipeDraft, key: string, missing: number, pumps: Pumps) {
	let left = missing;
	for (const { structure } of draft.sections.toReversed())
		for (const part of listsOf(structure).flat().toReversed()) {
			if (left === 0) return;
			if (part.count === undefined) continue;
			const before = countsNow(draft, pumps).get(key)?.count ?? 0;
			const start = part.count;
			part.count = start + 1;
			const each = (countsNow(draft, pumps).get(key)?.count ?? 0) - before;
			const by = each > 0 ? Math.trunc(left / each) : 0;
			part.count = Math.max(1, Math.min(MOST_ALIKE, start + by));
			left -= (part.count - start) * each;
		}
}

/** Takes balloons out of the topmost layers that have them; of pieces where no layer has any. */
function takeOut(draft: RecipeDraft, key: string, count: number, newId: NewId) {
	let left = count;
	for (const { section, stack } of stacksOf(draft).toReversed()) {
		const copies = copiesOf(draft as Recipe, section as Section);
		for (let row = stack.layers.length - 1; row >= 0 && left >= copies; row--) {
			if (!hasKey(draft, stack.layers as readonly Layer[], row, key)) continue;
			const top = splitTop(stack.layers, row, newId);
			for (const cluster of top.clusters) {
				cluster.places = cluster.places.filter((place) => {
					if (left < copies || keyOfPlace(draft, place as never, place.slot ?? '') !== key) return true;
					left -= copies;
					return false;
				});
			}
			top.clusters = top.clusters.filter((c) => c.places.length > 0);
			dropEmpty(draft);
			row = Math.min(row + 2, stack.layers.length);
		}
	}
	for (const { section, structure } of ofKind(draft.sections, 'applied')) {
		const copies = copiesOf(draft as Recipe, section as Section);
		for (const piece of [...structure.pieces]) {
			if (piece.what.kind !== 'balloon' || left < copies) continue;
			if (keyOfPlace(draft, piece.what.balloon as never, piece.what.balloon.slot) !== key) continue;
			for (const on of piece.on.toReversed()) {
				const out = Math.min(on.count, Math.floor(left / copies));
				on.count -= out;
				left -= out * copies;
			}
			piece.on = piece.on.filter((o) => o.count > 0);
			if (countOfPiece(piece as never) === 0) removePart(draft, piece.id);
		}
	}
}

/** Whether the topmost ring of a row has such a balloon: slots as its pattern gives them. */
const hasKey = (draft: RecipeDraft, layers: readonly Layer[], row: number, key: string): boolean =>
	baked(layers, row).some(({ places }) =>
		places.some((p) => keyOfPlace(draft, p as never, p.slot ?? '') === key)
	);

/** Clusters of a row's topmost ring, every place saying its own slot. */
function baked(layers: readonly Layer[], row: number): Cluster[] {
	const layer = layers[row]!;
	const below = layers.slice(0, row).reduce((a, l) => a + l.repeat, 0);
	const ring = { layer, row, ringOfRow: layer.repeat - 1, ringOfStack: below + layer.repeat - 1 };
	return layer.clusters.map((cluster) => ({
		...cluster,
		places: cluster.places.map((place, at) => ({ ...place, slot: slotOfPlace(cluster, at, ring) }))
	}));
}

/** The topmost ring of a row as a row of its own, every place saying its slot. */
function splitTop(layers: Mutable<Layer>[], row: number, newId: NewId): Mutable<Layer> {
	const layer = layers[row]!;
	const alone = layer.repeat === 1;
	const ids = (own: Id) => (alone ? own : newId());
	const clusters = baked(layers as readonly Layer[], row).map((cluster) => ({
		...cluster,
		id: ids(cluster.id),
		places: cluster.places.map((place) => ({ ...place, id: ids(place.id) }))
	}));
	const top = { ...layer, id: ids(layer.id), repeat: 1, clusters } as Mutable<Layer>;
	if (alone) layers[row] = top;
	else {
		layer.repeat -= 1;
		layers.splice(row + 1, 0, top);
	}
	return top;
}

/** Tucks balloons in at the topmost layer of their kind, or the topmost there is. */
function tuckIn(
	draft: RecipeDraft,
	key: string,
	count: number,
	{ before, newId, pumps }: { before: Recipe; newId: NewId; pumps: Pumps }
) {
	const need = countsNow(draft, pumps).get(key)?.need ?? countsOf(withPumps(before, pumps)).get(key)?.need;
	const hosts = stacksOf(draft).filter(({ section, stack }) => {
		const copies = copiesOf(draft as Recipe, section as Section);
		return stack.layers.length > 0 && count % copies === 0;
	});
	const rowIn = ({ layers }: { layers: unknown }) =>
		(layers as readonly Layer[]).findLastIndex((_, row, all) => hasKey(draft, all, row, key));
	const found = hosts.findLast(({ stack }) => rowIn(stack) >= 0) ?? hosts[0];
	if (!need || !found || !draft.slots.some((s) => s.id === need.slot)) return;
	const layer = found.stack.layers.at(rowIn(found.stack))!;
	const { kind, nominal, size, material, slot, method } = need;
	const each = count / copiesOf(draft as Recipe, found.section as Section);
	const balloon = { id: newId(), kind: kind as 'latex-round', nominal, size, material, slot, side: null, method: method === 'eye' && size.kind === 'value' ? ('eye' as const) : null }; // prettier-ignore
	const on = [{ host: { on: 'layer' as const, layer: layer.id, side: 'all' as const }, count: each }];
	addPiece(
		draft,
		{
			id: newId(),
			name: 'infill',
			what: { kind: 'balloon', balloon },
			on,
			fixing: 'tucked',
			each: '0',
			swappable: false
		},
		found.section.id,
		newId
	);
}

/** Gives the lines of a material a new count. What follows by a rule is no line. */
function changeLines(draft: RecipeDraft, key: string, by: Rational, newId: NewId) {
	if (by.equals(0)) return;
	const { material, role } = readMaterialKey(key);
	// A foil of a bunch is an item of it, no line.
	for (const { structure } of ofKind(draft.sections, 'bunch')) {
		const item = structure.items.find((i) => i.what.kind === 'material' && i.what.material === material);
		if (!item || role !== 'always') continue;
		const count = rational(item.count).add(by);
		if (count.d === 1n && count.compare(1) >= 0 && count.compare(MOST_ALIKE) <= 0) {
			item.count = count.valueOf();
			return;
		}
	}
	const line = linesIn(draft).find(
		(l) => l.material === material && (l.role === role || l.role === 'optional')
	);
	if (!line) {
		if (by.compare(0) > 0) addExtra(draft, newLine(newId(), material, rationalText(by)), newId);
		return;
	}
	const now = rational(line.quantity).add(by);
	if (now.compare(0) <= 0) removePart(draft, line.id);
	else {
		line.quantity = rationalText(now);
		line.range = null;
	}
}
