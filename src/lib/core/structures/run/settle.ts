import { printBalloon } from '../kit/print-balloon.ts';
import type { OpenPart, SettledParts } from '../facets/settle.ts';
import type { Run } from './document.ts';

/** Infills whose count, a foot, or whose colour waits for the job. */
export const openInRun = ({ infill }: Run): OpenPart[] =>
	infill
		.filter((i) => i.low !== i.high || i.slot === null)
		.map((i) => ({ id: i.id, what: 'infill', label: printBalloon(i), low: i.low, high: i.high, isColourOpen: i.slot === null })); // prettier-ignore

/** The same with what was settled of them. */
export const settledRun = (run: Run, parts: SettledParts): Run => ({
	...run,
	infill: run.infill.map((i) => {
		const { count, slot } = parts[i.id] ?? {};
		return {
			...i,
			...(count !== undefined && { low: count, high: count }),
			...(slot !== undefined && { slot })
		};
	})
});
