import type { VariantFacet } from '../facets/variant.ts';
import { placeStack } from './place.ts';
import type { Measure } from '../../document/measure.ts';
import type { PumpProfile } from '../../sizing/strokes.ts';
import type { Scale } from '../facets/variant.ts';
import { NO_STROKES, NO_WAY, NOTHING_SWAPPED, ON_NO_HOST } from '../kit/variant.ts';
import { MOST_REPEATS } from '../../document/limits.ts';
import type { Layer, Stack } from './document.ts';
import type { Id } from '../../document/id.ts';
import { hollow, clusterWithout } from '../kit/without.ts';
import { type Pattern, slotsOf, slotAt } from '../../document/pattern.ts';
import { scaleBalloon, toEighth } from '../kit/scale.ts';

export const variant: VariantFacet<Stack> = {
	...ON_NO_HOST,
	...NOTHING_SWAPPED,
	...NO_WAY,
	...NO_STROKES,
	scaled: scaleStack,
	lengthened: (s) => s,
	without: (s, out) => ({
		...s,
		layers: s.layers.flatMap((layer) => layerWithout(layer, out)).map((l) => emptied(l, out))
	}),
	leads: ({ layers }) => (layers.length > 0 ? 'by rows' : null),
	size: measured,
	toHeight
};

const FIGURE = { clusters: 'clusters', 'over all': 'overall', pole: 'upright', rows: 'body' } as const;

/** How high a stack is as a height is said of it; of a pole nobody chose, what its layers take of one. */
function measured(stack: Stack, pumps: readonly PumpProfile[], of: Measure) {
	const { length } = stack.upright;
	if (of === 'pole' && length !== null) return { mm: length / 1000, known: true };
	const { usual, known } = placeStack(stack, pumps)[FIGURE[of]];
	return { mm: usual, known };
}

/**
 * Rows that repeat are repeated more or less, in proportion (by largest remainder, one layer at a time); rows that stand once stay,
 * unless no row repeats: then all do but balls on their own. The total nearest to the height is found by halving: a taller total is a taller body.
 */
function toHeight(stack: Stack, height: number, pumps: readonly PumpProfile[], of: Measure): Stack {
	const anyRepeats = stack.layers.some((l) => l.repeat > 1);
	const ofOne = (l: Layer) => l.clusters.reduce((a, c) => a + c.places.length, 0) < 2;
	const anyClusters = !stack.layers.every(ofOne);
	const stays = (l: Layer) => (anyRepeats ? l.repeat === 1 : anyClusters && ofOne(l));
	const weights = stack.layers.map((l) => (stays(l) ? 0 : l.repeat));
	const rows = weights.filter((w) => w > 0).length;
	const grown = (total: number): Stack => {
		const shares = shared(total, weights);
		return {
			...stack,
			// As many as the height takes: known then.
			layers: stack.layers.map((l, i) =>
				weights[i] === 0 ? l : { ...l, repeat: shares[i]!, range: undefined }
			)
		};
	};
	// The pole follows: what it takes grows with the layers.
	const body = (s: Stack) => measured({ ...s, upright: { ...s.upright, length: null } }, pumps, of).mm;
	const now = weights.reduce((a, w) => a + w, 0);
	let [low, high] = [rows, Math.min(rows * MOST_REPEATS, Math.max(now, rows + 1))];
	while (high < rows * MOST_REPEATS && body(grown(high)) < height)
		high = Math.min(rows * MOST_REPEATS, high * 2);
	while (low < high) {
		const middle = Math.floor((low + high) / 2);
		if (body(grown(middle)) < height) low = middle + 1;
		else high = middle;
	}
	const near = [now, low, Math.max(rows, low - 1)].map((total) => {
		const candidate = total === now ? stack : grown(total);
		return { stack: candidate, body: body(candidate) };
	});
	const { stack: nearest } = near.reduce((a, b) =>
		Math.abs(b.body - height) < Math.abs(a.body - height) ? b : a
	);
	if (of !== 'pole' || stack.upright.length === null) return nearest;
	return { ...nearest, upright: { ...stack.upright, length: toEighth(height * 1000) } };
}

function scaleStack(stack: Stack, scale: Scale): Stack {
	const layers = stack.layers.map((layer) => ({
		...layer,
		clusters: layer.clusters.map((cluster) => ({
			...cluster,
			places: cluster.places.map((place) => ({ ...place, ...scaleBalloon(place, scale) }))
		}))
	}));
	const { length } = stack.upright;
	if (length === null || scale.factor === 1) return { ...stack, layers };
	scale.note(`The ${stack.upright.kind} is taken ${Math.round(scale.factor * 100)} % as long.`);
	return { ...stack, layers, upright: { ...stack.upright, length: toEighth(length * scale.factor) } };
}

const emptied = (layer: Layer, out: ReadonlySet<Id>): Layer => ({
	...layer,
	clusters: layer.clusters.map((c) => ({ ...c, places: c.places.map((p) => hollow(p, out)) }))
});

function layerWithout(layer: Layer, out: ReadonlySet<Id>): Layer[] {
	const [only] = layer.clusters;
	const rings =
		layer.clusters.length === 1 && only ? ringsWithout(only.pattern, layer.repeat, out) : undefined;
	if (rings && only) {
		if (rings.repeat === 0) return [];
		const places = only.places.filter((p) => p.slot === null || !out.has(p.slot));
		return places.length === 0
			? []
			: [{ ...layer, repeat: rings.repeat, clusters: [{ ...only, pattern: rings.pattern, places }] }];
	}
	const clusters = layer.clusters.flatMap((cluster) => clusterWithout(cluster, out));
	return clusters.length === 0 ? [] : [{ ...layer, clusters }];
}

/** Rings and blocks of a row of one cluster: whole rings go. Undefined for patterns that colour within a ring. */
function ringsWithout(
	pattern: Pattern,
	repeat: number,
	out: ReadonlySet<Id>
): { pattern: Pattern; repeat: number } | undefined {
	if (pattern.kind !== 'rings' && pattern.kind !== 'blocks') return undefined;
	if (slotsOf(pattern).every((s) => !out.has(s))) return { pattern, repeat };
	const left = Array.from({ length: repeat }, (_, ringOfRow) =>
		slotAt(pattern, { place: 0, ringOfRow, ringOfStack: 0, rings: repeat, places: 1 })
	).filter((slot) => !out.has(slot));
	if (pattern.kind === 'rings') {
		const slots = pattern.slots.filter((s) => !out.has(s));
		return {
			pattern: { kind: 'rings', slots: slots.length > 0 ? slots : pattern.slots },
			repeat: left.length
		};
	}
	const blocks = pattern.blocks.filter((b) => !out.has(b.slot));
	return {
		pattern: { kind: 'blocks', blocks: blocks.length > 0 ? blocks : pattern.blocks },
		repeat: left.length
	};
}

/** `total` layers in proportion to `weights`, at least one where a weight is above 0: largest remainder, ties to the lower row. */
function shared(total: number, weights: readonly number[]): number[] {
	const all = weights.reduce((a, w) => a + w, 0);
	const exact = weights.map((w) => (w * total) / all);
	const shares = exact.map((e, i) =>
		weights[i] === 0 ? 0 : Math.max(1, Math.min(MOST_REPEATS, Math.floor(e)))
	);
	const order = exact.map((_, i) => i).filter((i) => weights[i]! > 0);
	let left = total - shares.reduce((a, s) => a + s, 0);
	while (left !== 0) {
		const step = Math.sign(left);
		const open = order.filter((i) => (step > 0 ? shares[i]! < MOST_REPEATS : shares[i]! > 1));
		if (open.length === 0) break;
		const next = open.reduce((a, b) =>
			step * (exact[b]! - shares[b]!) > step * (exact[a]! - shares[a]!) ? b : a
		);
		shares[next]! += step;
		left -= step;
	}
	return shares;
}
