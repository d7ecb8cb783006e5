import type { Cluster } from '../../document/cluster.ts';
import type { Host } from '../../document/host.ts';
import type { Mutable } from '../../document/mutable.ts';
import type { Parsed } from '../../errors.ts';
import type { PumpProfile } from '../../sizing/strokes.ts';
import type { PlacedStack } from '../stack/placed.ts';
import type { Movable } from './refs.ts';

/** A point of a structure that can be dragged, mm in its own coordinates seen from the front, and which ways it goes. */
export interface Grip {
	readonly id: string;
	readonly x: number;
	readonly z: number;
	/** What it is, as she would say it: “top”. */
	readonly says: string;
	readonly ways: 'across' | 'up' | 'both';
}

/** How far a grip is dragged, mm. */
export interface DraggedBy {
	readonly x: number;
	readonly z: number;
}

/** What is done to a kind where it is pressed in the picture. */
export interface TouchFacet<S> {
	/** A part, or all of it where none is pressed, half an inch larger or smaller; refused where it has sizes of its own. */
	resized(draft: Mutable<S>, part: Movable | null, halves: number): Parsed<null>;
	/** The cluster a part is, where its balloons are counted in one. */
	clusterOf(part: Movable): Mutable<Cluster> | undefined;
	/** @param placed where its layers are, where it has any */
	grips(structure: S, placed: PlacedStack | undefined): readonly Grip[];
	/** With a grip so far from where it was. */
	dragged(structure: S, grip: string, by: DraggedBy, pumps: readonly PumpProfile[]): S;
	/** Puts a part on another host. @returns false where parts of this kind sit on nothing */
	seat(part: Movable, host: Host): boolean;
}
