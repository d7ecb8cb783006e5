import { plainTask } from '../../labour/task.ts';
import type { ExtraLine, Extras } from './document.ts';
import { ONE, rational, ZERO } from '../../units/rational.ts';
import type { CountFacet } from '../facets/count.ts';

/**
 * The lines that count: of a choice the one taken (the first where none is), of optional ones those taken.
 * Two taken of one choice both count: the checker says that they disagree.
 */
export function countedLines(lines: readonly ExtraLine[]): ExtraLine[] {
	const decided = new Set(lines.flatMap((l) => (l.choice && l.taken ? [l.choice.group] : [])));
	const first = new Map<string, string>();
	for (const { choice, id } of lines) if (choice && !first.has(choice.group)) first.set(choice.group, id);
	return lines.filter(({ choice, role, taken, id }) => {
		if (choice) return decided.has(choice.group) ? taken : first.get(choice.group) === id;
		return role !== 'optional' || taken;
	});
}

/** Florals, fabric, paint, print, hire: lines that nothing works out. */
export const count: CountFacet<Extras> = {
	sold: 'other',
	soldBy: () => 0,
	balloons: () => 0,
	pieces: ({ lines }) => lines.reduce((a, l) => a.add(rational(l.range?.high ?? l.quantity)), ZERO),
	placed: () => ONE,
	needs: ({ lines }) =>
		countedLines(lines).map((line) => ({
			what: 'material' as const,
			material: line.material,
			label: 'extra',
			quantity: rational(line.quantity),
			role: line.role,
			...(line.range ? { range: { low: rational(line.range.low), high: rational(line.range.high) } } : {})
		})),
	tasks: ({ lines }) => {
		const placed = countedLines(lines).filter((l) => l.role !== 'taken along' && l.role !== 'by-product');
		return placed.length === 0 ? [] : [plainTask('place extras', placed.length)];
	},
	site: () => null
};
