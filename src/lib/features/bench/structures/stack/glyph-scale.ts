import { resolveSize } from '../../../../core/sizing/resolve.ts';
import type { Layer } from '../../../../core/structures/stack/document.ts';

/** Room of a cluster in its row, px. */
const WIDEST = 124;
const TALLEST = 38;
/** A balloon hides that much of its neighbour. */
const SEEN = 0.78;

/** Pixels a millimetre, so that the widest row and the tallest balloon of a design still have room. */
export function glyphScale(layers: readonly Layer[]): number {
	let widest = 1;
	let tallest = 1;
	for (const layer of layers) {
		let width = 0;
		for (const place of layer.clusters.flatMap((c) => c.places)) {
			const d = resolveSize(place.size, place.nominal).assumed;
			width += d * SEEN;
			tallest = Math.max(tallest, d);
		}
		widest = Math.max(widest, width);
	}
	return Math.min(WIDEST / widest, TALLEST / tallest);
}
