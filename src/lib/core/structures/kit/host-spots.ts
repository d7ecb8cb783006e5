import type { Ball } from '../../geometry/ring.ts';

/** A part of what has neither rows nor pieces, called by where it is: a corner of a frame, a joint or a bay of a weave. */
export interface HostSpot {
	readonly name: string;
	readonly ball: Ball;
	/** An open space: what sits there fills it, in place of sitting on it. */
	readonly open: boolean;
}

const kept = new WeakMap<object, readonly HostSpot[]>();

/** Where the parts of a structure are is worked out once: structures never change. */
export function keptSpots<S extends object>(
	structure: S,
	make: (structure: S) => readonly HostSpot[]
): readonly HostSpot[] {
	const spots = kept.get(structure) ?? make(structure);
	kept.set(structure, spots);
	return spots;
}
