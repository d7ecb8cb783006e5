import type { PlacedLayer } from './layers.ts';

/** The recipe's share of the rigid rise that inflated latex keeps. Common practice: default 0.80, range 0.76 to 1.0. */
export const SQUASH = { low: 0.76, usual: 0.8, high: 1 } as const;

/** What the trade calls the height of a column: each layer as a slab of its own pitch; layers × pitch where they are alike. mm */
export function bodyHeight(layers: readonly PlacedLayer[]): number {
	const [first, last] = [layers[0], layers.at(-1)];
	return first && last ? last.z - first.z + (first.pitch + last.pitch) / 2 : 0;
}

/**
 * Length of upright the stack needs: to the centre of the top ring that is threaded on it, and the tie above. A single
 * balloon on top is tied by its neck, it is not threaded; a stack of singles is. mm
 */
export function uprightNeeded(layers: readonly PlacedLayer[], tie: number): number {
	const threaded = layers.findLast((l) => l.rings.some((ring) => ring.length > 1)) ?? layers.at(-1);
	return threaded ? threaded.z + tie : 0;
}

/** The body without a single balloon on top of clusters: what is meant by “to the top of the clusters”. mm */
export function clustersHeight(layers: readonly PlacedLayer[]): number {
	const last = layers.findLastIndex((l) => l.rings.some((ring) => ring.length > 1));
	return bodyHeight(last < 0 ? layers : layers.slice(0, last + 1));
}

/** Top of the highest ball: what has to fit under the ceiling. mm */
export const overallHeight = (layers: readonly PlacedLayer[]): number =>
	layers.reduce((a, layer) => Math.max(a, layer.top), 0);

/**
 * The squash at which a stack comes out at a measured body height, by bisection in 0.5 to 1.2.
 * @param body computes the body height at a squash, rising with it; mm
 * @returns undefined where no squash in that range does: measure again, or the sizes are off
 */
export function fitSquash(body: (squash: number) => number, measured: number): number | undefined {
	let [low, high] = [0.5, 1.2];
	if (measured < body(low) || measured > body(high)) return undefined;
	for (let i = 0; i < 50; i++) {
		const middle = (low + high) / 2;
		if (body(middle) < measured) low = middle;
		else high = middle;
	}
	return (low + high) / 2;
}
