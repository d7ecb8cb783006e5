import type { Side } from '../document/side.ts';
import type { PumpProfile } from '../sizing/strokes.ts';
import { placeStack } from '../structures/stack/place.ts';
import type { Levelling, Remedy } from './finding.ts';
import { inches } from '../units/length.ts';
import { newPlace } from '../structures/kit/build-cluster.ts';
import { type NewId } from '../document/id.ts';
import { layerWith, stackOf } from '../structures/stack/edit.ts';
import { type RecipeDraft } from '../recipe/draft.ts';
import type { Mutable } from '../document/mutable.ts';
import { chooseLine } from '../structures/extras/edit.ts';
import { changePiece } from '../structures/applied/edit.ts';
import { KEEP } from '../document/refs.ts';
import { mapRefs } from '../structures/registry/refs.ts';
import { slotsOf } from '../document/pattern.ts';
import type { Cluster } from '../document/cluster.ts';
import type { Layer, Stack } from '../structures/stack/document.ts';
import type { Structure } from '../structures/kinds.ts';

const LEVEL_SIDES: readonly Exclude<Side, 'all'>[] = ['front', 'back', 'left', 'right'];
const LEVEL_COUNTS = [4, 2, 3];
const LEVEL_SIZES = [3, 3.5, 4, 4.5].map(inches);
/** A levelling cluster has to take away at least this share of the tilt to be worth its balloons. House rule. */
const WORTH = 0.3;
/** Degrees under which a layer counts as level. House rule. */
const LEAST_TILT = 1;

/**
 * The small cluster that levels a leaning layer best, by trying: fives of 3 to 4½ in, two to four of them, on every
 * side, tucked in below as the lowest tier of the layer. Common practice is a small quad, which wins a tie.
 * @returns undefined where none takes away enough of the tilt
 */
export function findLevelling(
	stack: Stack,
	layer: string,
	pumps: readonly PumpProfile[]
): Levelling | undefined {
	const index = stack.layers.findIndex((l) => l.id === layer);
	const own = stack.layers[index];
	if (!own) return undefined;
	const upTo = (changed: Layer): number => {
		const below = stack.layers.slice(0, index);
		const placed = placeStack({ ...stack, layers: [...below, { ...changed, repeat: 1 }] }, pumps);
		return placed.layers.at(-1)!.tilt;
	};
	const before = upTo(own);
	let best: Levelling | undefined;
	for (const count of LEVEL_COUNTS) {
		for (const side of LEVEL_SIDES) {
			for (const size of LEVEL_SIZES) {
				const after = upTo(levelled(own, { count, side, size }, () => 'trial'));
				if (!best || after < best.after - 0.05) best = { count, side, size, before, after };
			}
		}
	}
	return best && before > LEAST_TILT && best.before - best.after >= WORTH * before ? best : undefined;
}

/** A layer with a levelling cluster below: what was there moves up a tier. */
function levelled(
	layer: Layer,
	{ count, side, size }: Pick<Levelling, 'count' | 'side' | 'size'>,
	newId: NewId
): Layer {
	const slot = slotsOf(layer.clusters[0]!.pattern)[0]!;
	const cluster: Cluster = {
		id: newId(),
		side,
		tier: 0,
		pattern: { kind: 'same', slot },
		places: Array.from({ length: count }, () =>
			newPlace(newId(), inches(5), { kind: 'value', um: size, unit: 'in', origin: 'derived' })
		)
	};
	const raised = layer.clusters.map((c) => ({ ...c, tier: Math.min(2, c.tier + 1) }));
	return { ...layer, clusters: [...raised, cluster] };
}

/**
 * Does what a finding proposes.
 * @returns a sentence where nothing could be done
 */
export function applyRemedy(
	draft: RecipeDraft,
	remedy: Remedy,
	{ newId, pumps }: { newId: NewId; pumps: readonly PumpProfile[] }
): string | undefined {
	switch (remedy.kind) {
		case 'upright': {
			const stack = stackOf(draft, remedy.section);
			if (stack) stack.upright.length = remedy.length;
			return undefined;
		}
		case 'size':
			for (const place of layerWith(draft, remedy.layer)?.clusters.flatMap((c) => c.places) ?? []) {
				if (place.nominal !== remedy.nominal || place.size.kind !== 'value') continue;
				if (place.size.um > remedy.size) place.size = { ...place.size, um: remedy.size, origin: 'derived' };
			}
			return undefined;
		case 'slot':
			mergeSlot(draft, remedy);
			return undefined;
		case 'fixing':
			changePiece(draft, remedy.piece, (piece) => (piece.fixing = remedy.fixing));
			return undefined;
		case 'join': {
			const layer = layerWith(draft, remedy.layer);
			if (layer) layer.joining = remedy.joining;
			return undefined;
		}
		case 'choose':
			chooseLine(draft, remedy.line);
			return undefined;
		case 'level': {
			const stack = stackOf(draft, remedy.section);
			const found = stack && findLevelling(stack as Stack, remedy.layer, pumps);
			if (!stack || !found)
				return 'No small cluster levels this layer. Even out its sizes, or turn it over the layer below.';
			const index = stack.layers.findIndex((l) => l.id === remedy.layer);
			stack.layers[index] = levelled(stack.layers[index] as Layer, found, newId) as Mutable<Layer>;
			return undefined;
		}
	}
}

/** Everything that named one slot names the other; the first one goes. */
function mergeSlot(draft: RecipeDraft, { from, to }: { from: string; to: string }) {
	const slot = (id: string) => (id === from ? to : id);
	for (const section of draft.sections)
		section.structure = mapRefs(section.structure as Structure, { ...KEEP, slot }) as Mutable<Structure>;
	draft.slots = draft.slots.filter((s) => s.id !== from);
	for (const colourway of draft.colourways) {
		delete colourway.fills[from];
		colourway.without = colourway.without.filter((s) => s !== from);
	}
}
