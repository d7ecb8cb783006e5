import type { StackRing, Interval, PlacedStack } from './placed.ts';
import type { PictureFacet } from '../facets/picture.ts';
import { BY_ITSELF, NOTHING_PLACED } from '../kit/placed.ts';
import { ORIGIN } from '../kit/spot.ts';
import type { Layer, Stack } from './document.ts';
import { type PlacedLayer, type RingSpec, type LayerSpec, placeLayers } from '../../geometry/layers.ts';
import type { Cluster, Place } from '../../document/cluster.ts';
import { slotAt } from '../../document/pattern.ts';
import type { PumpProfile } from '../../sizing/strokes.ts';
import { type Diameter, resolveSize } from '../../sizing/resolve.ts';
import { SQUASH, bodyHeight, clustersHeight, uprightNeeded, overallHeight } from '../../geometry/heights.ts';

/** The first place that shall look to a side, and to which: its ring is turned so. */
export function facingOf({ places }: Cluster): RingSpec['facing'] {
	const place = places.findIndex((p) => p.side !== null);
	return place < 0 ? undefined : { place, side: places[place]!.side! };
}

/** Each row's repeats written out, floor first. */
export function ringsOf(stack: Stack): StackRing[] {
	const rings: StackRing[] = [];
	stack.layers.forEach((layer, row) => {
		for (let k = 0; k < layer.repeat; k++) {
			rings.push({ layer, row, ringOfRow: k, ringOfStack: rings.length });
		}
	});
	return rings;
}

/** A slot's place in a cluster: the place's own word first, then the pattern's. */
export const slotOfPlace = (cluster: Cluster, place: number, ring: StackRing): string =>
	cluster.places[place]!.slot ??
	slotAt(cluster.pattern, {
		place,
		ringOfRow: ring.ringOfRow,
		ringOfStack: ring.ringOfStack,
		rings: ring.layer.repeat,
		places: cluster.places.length
	});

/** Places a stack as assumed, and at both ends of sizes and squash where those are asked for. */
export function placeStack(stack: Stack, pumps: readonly PumpProfile[] = []): PlacedStack {
	const rings = ringsOf(stack);
	const diameters = new Map<Place, Diameter>();
	let known = true;
	for (const layer of stack.layers) {
		for (const cluster of layer.clusters) {
			for (const place of cluster.places) {
				const d = resolveSize(place.size, place.nominal, pumps);
				diameters.set(place, d);
				known &&= d.known;
			}
		}
	}
	const at = (end: 'assumed' | 'low' | 'high', squash: number) => {
		const spec = new Map<Layer, LayerSpec>();
		for (const layer of stack.layers) {
			spec.set(layer, {
				turn: layer.turn,
				rings: layer.clusters.map((cluster) => ({
					diameters: cluster.places.map((place) => diameters.get(place)![end]),
					side: cluster.side,
					tier: cluster.tier,
					facing: facingOf(cluster)
				}))
			});
		}
		return placeLayers(
			rings.map((ring) => spec.get(ring.layer)!),
			squash
		);
	};
	const layers = at('assumed', stack.squash);
	// The ends are asked for now and then, the height at every keystroke: they are placed when somebody asks.
	let ends: readonly (readonly PlacedLayer[])[] | undefined;
	const interval = (height: (layers: readonly PlacedLayer[]) => number): Interval => {
		const usual = height(layers);
		const both = () => {
			ends ??= [
				at('low', Math.min(SQUASH.low, stack.squash)),
				at('high', Math.max(SQUASH.high, stack.squash))
			];
			return ends.map(height);
		};
		return {
			usual,
			get low() {
				return Math.min(usual, ...both());
			},
			get high() {
				return Math.max(usual, ...both());
			},
			known: known && layers.length > 0
		};
	};
	const tie = stack.upright.tie / 1000;
	return {
		layers,
		rings,
		body: interval(bodyHeight),
		clusters: interval(clustersHeight),
		upright: interval((l) => uprightNeeded(l, tie)),
		overall: interval(overallHeight)
	};
}

export const picture: PictureFacet<Stack> = {
	...BY_ITSELF,
	place: (stack, { pumps, colourway }) =>
		stack.layers.length === 0
			? NOTHING_PLACED
			: {
					stacks: [{ stack, placed: placeStack(stack, pumps), colourway, spots: [ORIGIN] }],
					loose: []
				}
};
