import type { Id } from '../document/id.ts';
import { rational, rationalText, type RationalText } from '../units/rational.ts';
import { paceOf, type Paces } from './pace.ts';
import { siteOf } from './site.ts';
import type { TaskCount } from './task.ts';

/** What the pace of a piece of work hangs on. */
export interface PaceAbout {
	readonly paces?: Paces | undefined;
	/** Kind of the structure it is on; null is none. */
	readonly kind: string | null;
	/** Id of the kind of job it is for. */
	readonly place: Id;
}

/** How hard a piece of work is, with its pace. */
export function pacedDifficulty(
	difficulty: RationalText,
	task: Pick<TaskCount, 'task'>,
	{ paces, kind, place }: PaceAbout
): RationalText {
	if (!paces || paces.length === 0) return difficulty;
	const site = siteOf(task);
	const pace = site ? paceOf(paces, site, place) : paceOf(paces, 'build', kind ?? '');
	return pace.equals(1) ? difficulty : rationalText(rational(difficulty).mul(pace));
}
