import { unitCost } from '../materials/unit-cost.ts';
import type { BillLine } from '../bom/bill.ts';
import { ZERO, type Rational } from '../units/rational.ts';

/** A line of a bill that is otherwise than it was. */
export interface ChangedLine {
	readonly key: string;
	readonly label: string;
	readonly unit: string;
	readonly was: Rational;
	readonly is: Rational;
	/** What that costs more, minor units, before anything of the studio's own is on it; undefined where its price is not known. */
	readonly by: number | undefined;
	/** Not in the Stockroom, or without a colour yet. */
	readonly trouble: 'unlisted' | 'open' | null;
}

/** What two bills have otherwise, what costs most more or less first; what is only taken along counts for nothing. */
export function changedLines(before: readonly BillLine[], after: readonly BillLine[]): ChangedLine[] {
	const counted = (lines: readonly BillLine[]) =>
		new Map(lines.filter((l) => l.role === 'always' || l.role === 'reused').map((l) => [l.key, l]));
	const [old, now] = [counted(before), counted(after)];
	return [...new Set([...now.keys(), ...old.keys()])]
		.flatMap((key): ChangedLine[] => {
			const line = (now.get(key) ?? old.get(key))!;
			const [was, is] = [old.get(key)?.used ?? ZERO, now.get(key)?.used ?? ZERO];
			if (was.equals(is)) return [];
			const each = line.material && unitCost(line.material);
			const { label, unit, status } = line;
			return [{ key, label, unit, was, is, by: each && Math.round(each.mul(is.sub(was)).valueOf()), trouble: status === 'listed' || is.equals(0) ? null : status }]; // prettier-ignore
		})
		.toSorted((a, b) => Math.abs(b.by ?? Infinity) - Math.abs(a.by ?? Infinity) || 0);
}
