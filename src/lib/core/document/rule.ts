import type { RationalText } from '../units/rational.ts';

/** What holds tubes where they meet, by how they meet. */
export const FITTINGS = ['elbow', 'tee', 'cross fitting', 'corner fitting', 'four-way fitting', 'coupling', 'flange', 'cup', 'tube cap'] as const; // prettier-ignore

/** What goes on a frame besides: guy lines and what holds them, what hides the tube. */
export const ON_FRAMES = ['foot of guy line', 'stake', 'foot in tissue', 'foot in fabric', 'foot painted', 'foot under balloons'] as const; // prettier-ignore

/** Parts of a piece by themselves: a tag for each letter, a hook for each end. */
export const PARTS = ['row', 'cluster', 'piece put on', 'limb', 'letter', 'foil', 'ribbon', 'corner of a run', 'end of a run', 'leg of a run', 'corner of a weave', 'held joint'] as const; // prettier-ignore

/** What structures count that follow-on rules turn into lines. */
export const COUNTS = [
	'floor contact',
	'cluster tied with a modelling balloon',
	'layer tied with line',
	'strip',
	'dash of adhesive',
	'dab of glue',
	'tape patch',
	'tied piece',
	'trial loop',
	'attachment point',
	'litre of helium',
	'painted balloon',
	'litre of sand',
	'litre of water',
	'litre of marbles',
	'tie to the spine',
	'infill balloon',
	...FITTINGS,
	...ON_FRAMES,
	...PARTS
] as const;

export type CountOf = (typeof COUNTS)[number];

// prettier-ignore

/** A line that follows from a count: a patch a floor contact, one modelling balloon for four clusters. Data, editable. */
export interface FollowOnRule {
	readonly of: CountOf;
	/** Pieces a count. */
	readonly each: RationalText;
	readonly material: string | null;
}

/** A design's own rules stand in for the workspace's of the same count. */
export function rulesFor(
	own: readonly FollowOnRule[],
	workspace: readonly FollowOnRule[]
): readonly FollowOnRule[] {
	if (own.length === 0) return workspace;
	const said = new Set(own.map((r) => r.of));
	return [...workspace.filter((r) => !said.has(r.of)), ...own];
}
