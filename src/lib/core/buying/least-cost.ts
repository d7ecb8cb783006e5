import type { Solve } from '../cutting/patterns.ts';
import type { BuyingPlan, BuyingProblem, Offer, Purchase } from './buying.ts';
import { byRule } from './by-rule.ts';
import { asksOf, cheapestPiece, costOf, covers, totals } from './cost-of.ts';
import { inTime } from './in-time.ts';

/** Most packs of one kind a plan takes: those that hold all that is wanted, and the highest break. */
function mostOf(offer: Offer, pieces: number): number {
	return Math.max(Math.ceil(pieces / offer.count), ...offer.prices.map((p) => p.from));
}

/**
 * The integer programme of a purchase, in the CPLEX LP format: packs of each offer at each of its breaks, who is ordered
 * from, who sends for nothing. Least is what is paid less what is left over.
 */
export function programmeOf(problem: BuyingProblem): { readonly text: string; readonly constant: number } {
	const { wants, offers, sellers, leftover } = problem;
	const wanted = totals(wants);
	const least = cheapestPiece(offers);
	const objective: string[] = [];
	const rules: string[] = [];
	const whole: string[] = [];
	const yes: string[] = [];
	const bounds: string[] = [];
	const tiers = offers.map((offer) => (offer.prices.length > 0 ? offer.prices : [{ from: 1, minor: 0 }]));
	const term = (factor: number, name: string) => `${factor < 0 ? '-' : '+'} ${Math.abs(factor)} ${name}`;
	offers.forEach((offer, i) => {
		const most = mostOf(offer, wanted.get(offer.material) ?? 0);
		const worth = leftover * (least.get(offer.material) ?? 0) * offer.count;
		const seller = sellers.findIndex((s) => s.id === offer.supplier);
		const own = tiers[i]!;
		own.forEach(({ from, minor }, k) => {
			const x = `x${i}_${k}`;
			objective.push(term(minor - worth, x));
			whole.push(x);
			// So many cost the next price: what reaches a break is not had for more to reach what is sent for nothing.
			const top = Math.min(most, (own[k + 1]?.from ?? Infinity) - 1);
			bounds.push(`0 <= ${x} <= ${top}`);
			if (own.length > 1) {
				yes.push(`b${i}_${k}`);
				rules.push(`${x} - ${top} b${i}_${k} <= 0`, `${x} - ${from} b${i}_${k} >= 0`);
			}
			rules.push(`${x} - ${top} y${seller} <= 0`);
		});
		if (own.length > 1) rules.push(`${own.map((_, k) => `+ b${i}_${k}`).join(' ')} <= 1`);
	});
	sellers.forEach((s, j) => {
		yes.push(`y${j}`);
		objective.push(term(s.shipping, `y${j}`));
		if (s.freeFrom === null || s.shipping === 0) return;
		yes.push(`f${j}`);
		objective.push(term(-s.shipping, `f${j}`));
		const spent = offers.flatMap((o, i) => (o.supplier === s.id ? tiers[i]!.map(({ minor }, k) => `+ ${minor} x${i}_${k}`) : []));
		rules.push(`f${j} - y${j} <= 0`);
		if (spent.length > 0) rules.push(`${spent.join('\n ')} - ${s.freeFrom} f${j} >= 0`);
		else rules.push(`f${j} <= 0`);
	});
	for (const ask of asksOf(problem)) {
		const there = ask.offers.flatMap((i) => tiers[i]!.map((_, k) => `+ ${offers[i]!.count} x${i}_${k}`));
		rules.push(`${there.join('\n ')} >= ${ask.pieces}`);
	}
	const constant = [...wanted].reduce((a, [material, pieces]) => a + leftover * (least.get(material) ?? 0) * pieces, 0);
	const text = [
		'Minimize', ` obj: ${objective.join('\n ')}`,
		'Subject To', ...[...new Set(rules)].map((r, i) => ` c${i}: ${r}`),
		'Bounds', ...bounds.map((b) => ` ${b}`),
		'General', ` ${whole.join('\n ')}`,
		'Binary', ` ${yes.join('\n ')}`,
		'End', ''
	].join('\n');
	return { text, constant };
} // prettier-ignore

/**
 * The purchase that has everything there in time for the least, proved by the solver: what it answers is held against every
 * want and reckoned again, and where it is none, or dearer, the plan by rule stands.
 * @param solve the solver; without one the plan is by rule, and nothing is proved
 */
export function leastCost(asked: BuyingProblem, solve?: Solve): BuyingPlan {
	const { problem, late, unsold } = inTime(asked);
	const ruled = byRule(problem);
	const plan = (purchases: readonly Purchase[], bound: number | null): BuyingPlan => ({ purchases: purchases.filter((p) => p.packs > 0), cost: costOf(problem, purchases), bound, late, unsold });
	if (problem.wants.length === 0) return plan([], 0);
	if (!solve) return plan(ruled, null);
	const { text, constant } = programmeOf(problem);
	const answer = solve(text);
	const found = problem.offers.map(({ pack, prices }, i): Purchase => {
		const tiers = Math.max(1, prices.length);
		let packs = 0;
		for (let k = 0; k < tiers; k++) packs += Math.round(answer.values[`x${i}_${k}`] ?? 0);
		return { pack, packs };
	});
	const [first, second] = [plan(ruled, null), plan(found, null)];
	const isBetter = covers(problem, found) && second.cost.net <= first.cost.net + 1e-6;
	const best = isBetter ? second : first;
	if (answer.status !== 'optimal') return best;
	// The solver stops once it is within its own tolerance of what it proved.
	return { ...best, bound: Math.min(best.cost.net, answer.bound + constant) };
} // prettier-ignore
