import { ofKind } from '../structures/kinds.ts';
import { layersForHeight, ownPitch } from '../geometry/antiprism.ts';
import { ringWidth } from '../geometry/ring.ts';
import { type Catalogue, matchKey } from '../materials/catalogue.ts';
import { ROUND_NOMINALS } from '../materials/material.ts';
import { resolveSize } from '../sizing/resolve.ts';
import type { PumpProfile } from '../sizing/strokes.ts';
import { runsOf } from '../structures/kit/alike.ts';
import { inches, MICROMETRES, um, type Micrometres } from '../units/length.ts';
import type { NewId } from '../document/id.ts';
import type { Mutable } from '../document/mutable.ts';
import type { RecipeDraft } from '../recipe/draft.ts';
import { MOST_REPEATS } from '../document/limits.ts';
import type { Cluster, Place } from '../document/cluster.ts';
import type { Layer, Stack } from '../structures/stack/document.ts';
import type { Recipe } from '../recipe/recipe.ts';

/** Balloons of the clusters a silhouette can be built with. */
export const CLUSTER_COUNTS = [3, 4, 5, 6] as const;
export type ClusterCount = (typeof CLUSTER_COUNTS)[number];

/** Inflated sizes are rounded to what a sizer holds: eighths of an inch. */
const EIGHTH = MICROMETRES.in / 8;
/** Shares of its bag: under one a balloon is limp, over the other full and fragile. Common practice. */
const [LIMP, FULL] = [0.6, 0.95];

export interface AsClusters {
	readonly recipe: Recipe;
	/** Rows rebuilt, and rows left as they are: single balloons and mixed clusters. */
	readonly changed: number;
	readonly left: number;
}

/**
 * The same silhouette built with clusters of another count: every ring of equal balloons as wide as it was, the whole
 * as high as it was, to the nearest layer.
 *
 * A ring of n balls of diameter d is d / sin(π/n) + d wide, so m balls have the diameter width / (1 + 1 / sin(π/m)).
 * The bag stays while the balloon is neither limp nor full in it; else it is the one whose fill is nearest to what it
 * was, of those in the Stockroom where there are any. House rules.
 */
export function asClusters(
	recipe: Recipe,
	count: ClusterCount,
	context: { readonly catalogue: Catalogue; readonly pumps: readonly PumpProfile[] },
	newId: NewId
): AsClusters {
	let [changed, left] = [0, 0];
	const draft = structuredClone(recipe) as RecipeDraft;
	for (const { structure: stack } of ofKind(draft.sections, 'stack')) {
		const { squash } = stack;
		// Height a row came out short of, mm: the next one makes it up.
		const debt = { height: 0 };
		stack.layers = stack.layers.map((layer) => {
			const made = rebuilt(layer as Layer, count, { ...context, squash, recipe, newId, debt });
			if (made) changed++;
			else left++;
			return (made ?? layer) as Mutable<Layer>;
		});
	}
	return { recipe: draft as Recipe, changed, left };
}

interface Rebuild {
	readonly catalogue: Catalogue;
	readonly pumps: readonly PumpProfile[];
	readonly squash: Stack['squash'];
	readonly recipe: Recipe;
	readonly newId: NewId;
	readonly debt: { height: number };
}

function rebuilt(layer: Layer, count: ClusterCount, context: Rebuild): Layer | undefined {
	const [only, ...others] = layer.clusters;
	const runs = only ? runsOf(only) : [];
	if (!only || others.length > 0 || runs.length !== 1 || only.places.length < 3) return undefined;
	if (only.places.length === count) return layer;
	const [place] = only.places as readonly [Place, ...Place[]];
	const size = resolveSize(place.size, place.nominal, context.pumps);
	if (!size.known || place.kind !== 'latex-round') return undefined;
	const width = ringWidth(only.places.length, size.assumed);
	const wanted = width / (1 + 1 / Math.sin(Math.PI / count));
	const own = um(Math.round((wanted * 1000) / EIGHTH) * EIGHTH);
	const fill = (size.assumed * 1000) / place.nominal;
	const stays = own >= place.nominal * LIMP && own <= place.nominal * FULL;
	const nominal = stays
		? place.nominal
		: bagFor(own, fill, coloursOf(only, context.recipe), context.catalogue);
	const pitch = ownPitch(count, own / 1000, context.squash);
	const height =
		layer.repeat * ownPitch(only.places.length, size.assumed, context.squash) + context.debt.height;
	const repeat = Math.min(MOST_REPEATS, layersForHeight(Math.max(pitch, height), pitch));
	context.debt.height = height - repeat * pitch;
	const places = Array.from({ length: count }, (_, i): Place => ({
		...(only.places[i] ?? place),
		id: only.places[i]?.id ?? context.newId(),
		nominal,
		size: { kind: 'value', um: own, unit: 'in', origin: 'derived' }
	}));
	return { ...layer, repeat, clusters: [{ ...only, places }] };
}

/** Colours the cluster takes in the first colourway: the Stockroom is asked for its bags in these. */
const coloursOf = ({ pattern }: Cluster, { colourways }: Recipe): (string | null)[] => {
	const slots =
		pattern.kind === 'same'
			? [pattern.slot]
			: pattern.kind === 'blocks'
				? pattern.blocks.map((b) => b.slot)
				: pattern.slots;
	return slots.map((slot) => colourways[0]?.fills[slot] ?? null);
};

function bagFor(
	size: Micrometres,
	fill: number,
	colours: readonly (string | null)[],
	{ byMatch }: Catalogue
): Micrometres {
	const bags = ROUND_NOMINALS.map(inches).filter((bag) => size <= bag * FULL);
	const listed = bags.filter((bag) =>
		colours.every((c) => c === null || byMatch.has(matchKey('latex-round', bag, c)))
	);
	const from = listed.length > 0 ? listed : bags.length > 0 ? bags : [inches(ROUND_NOMINALS.at(-1)!)];
	return from.reduce((best, bag) =>
		Math.abs(size / bag - fill) < Math.abs(size / best - fill) ? bag : best
	);
}
