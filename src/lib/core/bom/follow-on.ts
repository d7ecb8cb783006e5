import type { CountOf, FollowOnRule } from '../document/rule.ts';

/** Counts whose lines are missed where no rule says what they are: a piece that is stuck on takes a strip. */
export const NEEDS_SOMETHING: ReadonlySet<CountOf> = new Set<CountOf>([
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
	'litre of marbles',
	'elbow',
	'tee',
	'cross fitting',
	'corner fitting',
	'four-way fitting',
	'coupling'
]);

/** A design's own rules stand in for the workspace's of the same count. */
export function rulesFor(
	own: readonly FollowOnRule[],
	workspace: readonly FollowOnRule[]
): readonly FollowOnRule[] {
	if (own.length === 0) return workspace;
	const said = new Set(own.map((r) => r.of));
	return [...workspace.filter((r) => !said.has(r.of)), ...own];
}
