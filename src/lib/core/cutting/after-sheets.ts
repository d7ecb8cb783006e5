import { inches, um } from '../units/length.ts';
import { markedDown } from './after-cut.ts';
import type { Rest, SheetPlan } from './sheets.ts';

/** Narrower or smaller than this a rest is thrown away. House rule. */
const [NARROW, SMALL] = [inches(6), inches(12) * inches(12)];

/** What a cut of sheets takes off the shelf, and which rests it leaves that are of use, as they lie: a grain keeps its way. */
export function afterSheets({ sheets }: Extract<SheetPlan, { readonly status: 'cut' }>): {
	readonly used: readonly Rest[];
	readonly left: readonly Rest[];
} {
	const [used, left] = [new Map<string, Rest>(), new Map<string, Rest>()];
	const add = (to: Map<string, Rest>, a: number, b: number, count: number) => {
		const [wide, deep] = [um(a), um(b)];
		const key = `${wide}/${deep}`;
		to.set(key, { wide, deep, count: (to.get(key)?.count ?? 0) + count });
	};
	for (const sheet of sheets) {
		if (sheet.own) add(used, sheet.wide, sheet.deep, sheet.count);
		for (const { wide, deep } of sheet.left) {
			const [a, b] = [markedDown(wide), markedDown(deep)];
			if (Math.min(a, b) >= NARROW && a * b >= SMALL) add(left, a, b, sheet.count);
		}
	}
	return { used: [...used.values()], left: [...left.values()] };
}
