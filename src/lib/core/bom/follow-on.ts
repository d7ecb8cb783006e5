import type { RationalText } from '../units/rational.ts';

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
	'infill balloon'
] as const;
export type CountOf = (typeof COUNTS)[number];

/** Counts whose lines are missed where no rule says what they are: a piece that is stuck on takes a strip. */
export const NEVER_NOTHING: ReadonlySet<CountOf> = new Set<CountOf>([
	'strip', 'dash of adhesive', 'dab of glue', 'tape patch', 'tied piece', 'trial loop',
	'attachment point', 'litre of helium', 'painted balloon', 'litre of sand', 'litre of marbles'
]); // prettier-ignore

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
