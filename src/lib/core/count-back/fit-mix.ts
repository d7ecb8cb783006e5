import { lengthOfRun } from '../structures/run/path.ts';
import { um } from '../units/length.ts';
import type { Id } from '../document/id.ts';
import type { Run, Organic } from '../structures/run/document.ts';

/**
 * What a garland really took teaches it: counted by the foot of this very piece, its colours in the parts they were
 * counted in. The run it then is takes exactly what was counted.
 *
 * @param counted balloons of one run of a part in a slot, or undefined where nobody counted them
 * @returns undefined where nothing of it was counted
 */
export function fitMix(
	run: Run,
	counted: (part: Run['mix'][number], slot: Id) => number | undefined
): Pick<Run, 'mix' | 'organic'> | undefined {
	const each = run.mix.map((part) => part.colours.map(({ slot }) => counted(part, slot)));
	if (each.flat().some((n) => n === undefined || !Number.isInteger(n) || n < 0)) return undefined;
	const totals = each.map((colours) => colours.reduce<number>((a, n) => a + n!, 0));
	if (totals.every((n) => n === 0)) return undefined;
	const counts = new Map<Run['mix'][number]['nominal'], number>();
	run.mix.forEach(({ nominal }, i) => counts.set(nominal, (counts.get(nominal) ?? 0) + totals[i]!));
	// Two parts of one size would share its count by their shares: those cannot be told apart.
	if (counts.size < run.mix.length) return undefined;
	const mix = run.mix.flatMap((part, i) => {
		const colours = part.colours.flatMap((c, k) => (each[i]![k]! > 0 ? [{ ...c, parts: each[i]![k]! }] : []));
		return colours.length > 0 ? [{ ...part, colours }] : [];
	});
	const taught: Organic['taught'] = {
		length: um(Math.round(lengthOfRun(run) * 1000)),
		counts: [...counts].map(([nominal, count]) => ({ nominal, count }))
	};
	return { mix, organic: { ...run.organic, by: 'by the foot', taught } };
}
