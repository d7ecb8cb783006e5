import type { Bill } from '../bom/bill.ts';
import { secondsByGroup, type TimedTask } from '../labour/standards.ts';
import { add, allocate, money, zero, type Money } from '../money/money.ts';
import type { Amount } from './amount.ts';
import { LOSS, lossCost, type Cost, type CostLine } from './cost.ts';

/** Weights are whole numbers: a share of a line is told to this part of it. */
const FINE = 1_000_000_000;

/**
 * What each line of an order costs of what the whole order costs: every figure of the tape is shared by what the lines
 * take of it (pieces used, seconds), by largest remainder, so that the lines sum to the order's cost exactly.
 *
 * @param work the timed tasks of each line by itself, in the order of the lines
 * @returns one amount a line; what is unknown is so for the lines that take it
 */
export function splitCost(cost: Cost, bill: Bill, work: readonly (readonly TimedTask[])[]): Amount[] {
	const { currency } = cost.total.known;
	const lines = work.map(() => ({ known: zero(currency), made: zero(currency), unknown: new Set<string>() }));
	const share = (amount: Money, weights: readonly number[], made: boolean) => {
		const most = Math.max(0, ...weights);
		const equal = weights.map(() => 1);
		const whole = most === 0 ? equal : weights.map((w) => Math.round((w / most) * FINE));
		allocate(amount, whole).forEach((part, i) => {
			lines[i]!.known = add(lines[i]!.known, part);
			if (made) lines[i]!.made = add(lines[i]!.made, part);
		});
	};
	if (lines.length === 0) return [];

	const byKey = new Map([...bill.lines, ...bill.paid].map((l) => [l.key, l]));
	const usedBy = (line: CostLine): number[] => {
		const used = byKey.get(line.key)?.byLine;
		return work.map((_, i) => used?.get(i)?.valueOf() ?? 0);
	};
	const lossBy = work.map((_, i) =>
		bill.lines.reduce((a, line) => {
			const minor = line.byLine.has(i) ? lossCost(line) : undefined;
			return minor ? a + minor.mul(line.byLine.get(i)!).div(line.used).valueOf() : a;
		}, 0)
	);
	for (const line of [...cost.materials, ...cost.frame]) {
		const weights = line.key === LOSS ? lossBy : usedBy(line);
		if (line.amount) share(line.amount, weights, !cost.frame.includes(line));
		else weights.forEach((w, i) => w > 0 && lines[i]!.unknown.add(line.label));
	}
	const groups = work.map((tasks) => secondsByGroup(tasks));
	const seconds = groups.map((own) => own.reduce((a, g) => a + g.seconds.valueOf(), 0));
	for (const { group, amount } of cost.labour) {
		const own = groups.map((g) => g.find((x) => x.group === group)?.seconds.valueOf() ?? 0);
		share(amount, own, true);
	}
	const { byHour } = cost;
	share(cost.overhead, byHour ? seconds : lines.map((l) => l.made.minor), false);
	return lines.map(({ known, unknown }) => ({ known: money(known.minor, currency), unknown: [...unknown] }));
}
