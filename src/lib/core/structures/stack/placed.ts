import type { Layer } from './document.ts';
import type { PlacedLayer } from '../../geometry/layers.ts';

/** One ring of a placed layer and the row it came from. */
export interface StackRing {
	readonly layer: Layer;
	readonly row: number;
	readonly ringOfRow: number;
	readonly ringOfStack: number;
}

/** A figure that hangs on squash and sizes: as computed, and the range it may lie in. mm */
export interface Interval {
	readonly usual: number;
	readonly low: number;
	readonly high: number;
	/** False where a size is not known: print a dash. */
	readonly known: boolean;
}

export interface PlacedStack {
	/** As assumed for the picture, floor first, repeats written out. */
	readonly layers: readonly PlacedLayer[];
	readonly rings: readonly StackRing[];
	readonly body: Interval;
	/** To the top of its clusters: a single balloon on top is not counted. */
	readonly clusters: Interval;
	readonly upright: Interval;
	readonly overall: Interval;
}
