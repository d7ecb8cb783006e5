import type { Id } from '../document/id.ts';
import type { PlanStep } from '../plan/arrange.ts';
import { rational, mixed } from '../units/rational.ts';

/** One thing that is counted while a step is done: so many of a balloon to a size, so many clusters, or the step itself. */
export interface Counter {
	/** Its step, and its place among what the step takes where each is counted by itself. */
	readonly key: string;
	readonly text: string;
	/** How many there are to do, at least 1. */
	readonly target: number;
	/** Colours of the Stockroom. */
	readonly colours: readonly Id[];
	/** What is lost where one is lost; blank where that is several things. */
	readonly material: Id | '';
}

/** Steps whose every line is counted by itself; of the others the step is done or not. */
const BY_LINE: ReadonlySet<string> = new Set(['inflate', 'foils', 'clusters']);

/** What is counted while a step is done. */
export function countersOf({ id, text, lines }: Pick<PlanStep, 'id' | 'text' | 'lines'>): Counter[] {
	const kind = id.slice(0, Math.max(0, id.indexOf(':')));
	if (!BY_LINE.has(kind) || lines.length === 0)
		return [{ key: id, text, target: 1, colours: lines.flatMap((l) => l.colours), material: '' }];
	return lines.map((line, i) => ({
		key: `${id}#${i}`,
		text: line.text,
		target: Math.max(1, Math.ceil(line.count)),
		colours: line.colours,
		material: line.material ?? ''
	}));
}

/** What a step takes, a line each: `24 × 11 at 9, gull white`. */
export const lineWords = ({ lines }: Pick<PlanStep, 'lines'>): string[] =>
	lines.map((l) => `${mixed(rational(Math.round(l.count * 100), 100))} × ${l.text}`);
