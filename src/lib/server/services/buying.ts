import { LEFTOVER, USUAL_LEAD, type BuyingProblem, type Offer } from '../../core/buying/buying.ts';
import { leastCost } from '../../core/buying/least-cost.ts';
import { arrives, priceOf } from '../../core/buying/cost-of.ts';
import { wantsOf, type OnDay } from '../../core/buying/wants.ts';
import type { Solve } from '../../core/cutting/patterns.ts';
import { GONE } from '../../core/document/names.ts';
import { NEVER_BOUGHT } from '../../core/document/line-role.ts';
import { farWords, nearTo, TOO_FAR } from '../../core/materials/near.ts';
import type { Material } from '../../core/materials/material.ts';
import { onShelf } from '../../core/stock/ledger.ts';
import { dayNumber, dayOfNumber } from '../../core/units/calendar-day.ts';
import type { Repos } from '../repos/index.ts';
import { saidOf, workOfJob } from './job.ts';
import { saysOf } from './jobs-ahead.ts';
import { contextOf, loadStudio } from './studio.ts';

/** What all jobs of a period take, and what is to be bought for them. */
export async function buyingFor(repos: Repos, { today, until }: { readonly today: string; readonly until: string }, solve?: Solve) {
	const studio = await loadStudio(repos);
	const needs: (OnDay & { readonly job: string })[] = [];
	const jobs: { readonly id: string; readonly says: string; readonly day: string }[] = [];
	const unlisted = new Map<string, number>();
	const near = await repos.jobs.between(today, until);
	const counted = await repos.jobCounts.counted(near.map((r) => r.id));
	for (const row of near) {
		// What was counted back has all it took.
		if (row.day === null || row.day < today || row.day > until || counted.has(row.id)) continue;
		const work = await workOfJob(repos, row.id, studio);
		if (!work) continue;
		const { days } = saidOf(work);
		// It is there on the day that building begins; what should have been built by now is wanted today.
		const begins = days.filter((d) => d.stage === 'build').map((d) => d.day).sort()[0] ?? row.day;
		const says = saysOf(row);
		jobs.push({ id: row.id, says, day: row.day });
		for (const { material, toBuy, role, label } of work.order.bill.lines) {
			if (toBuy <= 0 || material?.reuse || role === 'reused' || NEVER_BOUGHT.has(role)) continue;
			if (!material) unlisted.set(label, (unlisted.get(label) ?? 0) + toBuy);
			else needs.push({ material: material.into ?? material.id, pieces: toBuy, day: begins < today ? today : begins, job: says });
		}
	}
	const [moves, open, suppliers] = await Promise.all([repos.stockMoves.all(), repos.onOrders.open(), repos.stock.suppliers()]);
	const onHand = new Map([...moves].map(([material, own]) => [material, onShelf(own).onHand / 1000]));
	const coming = open.map((o): OnDay => ({ material: o.material, pieces: o.packs * o.count, day: o.due ?? dayOfNumber(dayNumber(o.ordered) + USUAL_LEAD) }));
	const byName = new Map(suppliers.map((s) => [s.name, s.id]));
	const byId = new Map(studio.materials.map((m) => [m.id, m]));
	const problem: BuyingProblem = {
		today,
		wants: wantsOf(needs, onHand, coming),
		offers: studio.materials.flatMap((m) => offersOf(m, byName)),
		sellers: suppliers.map((s) => ({ id: s.id, shipping: s.shippingMinor ?? 0, freeFrom: s.freeFromMinor, lead: s.leadDays ?? USUAL_LEAD })),
		leftover: LEFTOVER
	};
	const wanted = new Set(problem.wants.map((w) => w.material));
	const plan = leastCost({ ...problem, offers: problem.offers.filter((o) => wanted.has(o.material)) }, solve);
	return { studio, jobs, needs, unlisted, plan, problem, suppliers, onHand, coming, byId };
} // prettier-ignore

/** Packs of a material that are sold, by who sells them. */
function offersOf({ id, packs }: Material, byName: ReadonlyMap<string, string>): Offer[] {
	return packs.flatMap(({ id: pack, supplier: name, count, priceMinor, breaks = [], ended }): Offer[] => {
		const supplier = byName.get(name);
		if (supplier === undefined || ended) return [];
		// A pack whose own price is not known is not had for nothing until a break is reached.
		const prices = priceMinor === null ? [] : [{ from: 1, minor: priceMinor }, ...breaks.filter((b) => b.from > 1).map((b) => ({ from: b.from, minor: b.priceMinor }))];
		return [{ pack, material: id, supplier, count, prices }];
	});
} // prettier-ignore

/** The purchase for a period, as it is shown. Money in minor units. */
export async function buyingPage(repos: Repos, wanted: { readonly today: string; readonly until: string }, solve?: Solve) {
	const { studio, jobs, needs, unlisted, plan, problem, suppliers, onHand, coming, byId } = await buyingFor(repos, wanted, solve);
	const offers = new Map(problem.offers.map((o) => [o.pack, o]));
	const nameOf = (id: string) => byId.get(id)?.name ?? GONE.material;
	const { colours } = contextOf(studio).catalogue;
	const total = (all: readonly OnDay[], material: string) => all.filter((n) => n.material === material).reduce((a, n) => a + n.pieces, 0);
	/** What could stand in for what is short: of its size and finish, near in colour, on the shelf. */
	const insteadOf = (id: string) => {
		const own = byId.get(id);
		return !own ? [] : nearTo(own, studio.materials, colours)
			.filter((n) => n.distance < 2 * TOO_FAR && (onHand.get(n.material.id) ?? 0) > total(needs, n.material.id))
			.map((n) => `${n.material.name} (${farWords(n.distance)}, ${Math.floor((onHand.get(n.material.id) ?? 0) - total(needs, n.material.id))} free)`)
			.slice(0, 3);
	};
	const lists = suppliers.flatMap((s) => {
		const lines = plan.purchases.flatMap(({ pack, packs }) => {
			const offer = offers.get(pack)!;
			if (offer.supplier !== s.id) return [];
			const material = byId.get(offer.material)!;
			return [{
				pack, packs, material: material.id, name: material.name, count: offer.count, unit: material.unit,
				code: material.packs.find((p) => p.id === pack)?.code ?? '',
				minor: offer.prices.length === 0 ? null : priceOf(offer, packs),
				needed: total(needs, material.id), onHand: Math.max(0, onHand.get(material.id) ?? 0), coming: total(coming, material.id),
				for: [...new Set(needs.filter((n) => n.material === material.id).map((n) => n.job))]
			}];
		});
		if (lines.length === 0) return [];
		const goods = lines.reduce((a, l) => a + (l.minor ?? 0), 0);
		const seller = problem.sellers.find((x) => x.id === s.id)!;
		const isFree = seller.freeFrom !== null && goods >= seller.freeFrom;
		return [{
			supplier: s.id, name: s.name, lines, goods,
			shipping: isFree ? 0 : s.shippingMinor, freeFrom: s.freeFromMinor,
			arrives: arrives(wanted.today, seller), isLeadKnown: s.leadDays !== null,
			unpriced: lines.filter((l) => l.minor === null).map((l) => l.name)
		}];
	});
	return {
		...wanted,
		currency: studio.settings.rates.currency,
		jobs,
		lists,
		cost: plan.cost,
		bound: plan.bound,
		late: plan.late.map((l) => ({ name: nameOf(l.material), pieces: l.pieces, by: l.by, arrives: l.arrives, instead: insteadOf(l.material) })),
		unsold: plan.unsold.map((l) => ({ name: nameOf(l.material), pieces: l.pieces, by: l.by, instead: insteadOf(l.material) })),
		unlisted: [...unlisted].map(([label, pieces]) => ({ label, pieces: Math.ceil(pieces) }))
	};
} // prettier-ignore
export type BuyingPage = Awaited<ReturnType<typeof buyingPage>>;
