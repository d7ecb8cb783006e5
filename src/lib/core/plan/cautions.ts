import { ALWAYS } from '../quote/cautions.ts';
import type { PlanStep } from './arrange.ts';

/** What the plan of a piece has to warn of, by what its steps use. Usual cautions, from memory. */
const BY_TOOL: readonly (readonly [RegExp, string])[] = [
	[
		/glue/,
		'Glue: even a low-temperature gun burns skin and bursts balloons. Try it on a spare first; keep water at hand.'
	],
	[
		/inflator|hand pump/,
		'Inflators: lay cords where nobody walks; bursts are loud, so protect ears and eyes of those near.'
	],
	[/paint/i, 'Paint: outdoors or with the windows open, away from flames, with a mask.'],
	[/line|ribbon/, 'Line and ribbon cut soft latex and skin; nothing that conducts near power lines.']
];
const HIGH =
	'Above reach: use a ladder on level ground with somebody at its foot; do not lift a tall piece alone.';
const SITE =
	'Where it stands: exits, signs and fire rules of the venue come first; local codes and licensed people decide.';

/** @param overall height of the piece, mm */
export function planCautions(steps: readonly PlanStep[], overall: number): string[] {
	const words = steps.filter((s) => !s.out).map((s) => `${s.tool} ${s.method} ${s.text}`).join(' '); // prettier-ignore
	const found = BY_TOOL.flatMap(([pattern, caution]) => (pattern.test(words) ? [caution] : []));
	return [...ALWAYS, ...found, ...(overall > 1800 ? [HIGH] : []), SITE];
}
