import type { Id } from '../document/id.ts';
import type { BuyingPlan, BuyingProblem, Want } from './buying.ts';
import { arrives } from './cost-of.ts';

/** A problem that can be solved, and what of it cannot. */
export interface InTime extends Pick<BuyingPlan, 'late' | 'unsold'> {
	readonly problem: BuyingProblem;
}

/**
 * Sets aside what nobody sells, and gives what nobody sends in time the day that the soonest is there. Offers of no known
 * price are kept only where nobody says one: a pack that is free on paper is not the least.
 */
export function inTime(asked: BuyingProblem): InTime {
	const { today, sellers } = asked;
	const at = new Map(sellers.map((s) => [s.id, arrives(today, s)]));
	const priced = new Set(asked.offers.filter((o) => o.prices.length > 0).map((o) => o.material));
	const offers = asked.offers.filter((o) => at.has(o.supplier) && (o.prices.length > 0 || !priced.has(o.material)));
	const soonest = new Map<Id, string>();
	for (const { material, supplier } of offers) {
		const day = at.get(supplier)!;
		const before = soonest.get(material);
		if (before === undefined || day < before) soonest.set(material, day);
	}
	const late: BuyingPlan['late'][number][] = [];
	const unsold: Want[] = [];
	const wants: Want[] = [];
	for (const want of asked.wants) {
		const first = soonest.get(want.material);
		if (first === undefined) unsold.push(want);
		else if (first > want.by) {
			late.push({ ...want, arrives: first });
			wants.push({ ...want, by: first });
		} else wants.push(want);
	}
	return { problem: { ...asked, wants, offers }, late, unsold };
} // prettier-ignore
