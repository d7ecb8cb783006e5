import type { CountOf } from '../document/rule.ts';

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
