import { USUAL_LEAD } from '../../core/buying/buying.ts';
import { countingPack } from '../../core/materials/counting-pack.ts';
import { materialFields, printBreaks } from '../../core/materials/material-form.ts';
import type { Material } from '../../core/materials/material.ts';
import { assortedWith, farWords, nearTo, TOO_FAR } from '../../core/materials/near.ts';
import { unitCost } from '../../core/materials/unit-cost.ts';
import { lostOf } from '../../core/count-back/learned-loss.ts';
import { rational } from '../../core/units/rational.ts';
import { lossReport } from '../../core/stock/losses.ts';
import { isLate, toCome, type OnOrder } from '../../core/stock/on-order.ts';
import {
	CAUSE_WORDS,
	inBags,
	MOVE_WORDS,
	onShelf,
	reorderAt,
	toOrderAgain,
	type Move
} from '../../core/stock/ledger.ts';
import { printMoney } from '../../core/units/print-number.ts';
import type { Repos } from '../repos/index.ts';
import { countedLines } from '../services/counted-lines.ts';
import { contextOf, type Studio } from '../services/studio.ts';
import { countedLoss, eachText, newsOf, percent, saidLoss } from './stock-words.ts';

/** Movements that are shown. */
const SHOWN = 30;

/** What the page of a material shows: its packs and their prices, what is on the shelf, what it is, what could stand in. */
export async function materialPage(repos: Repos, studio: Studio, { material, today }: { readonly material: Material; readonly today: string }) {
	const { stock, stockMoves, onOrders } = repos;
	const { settings, materials, colours } = studio;
	const { catalogue } = contextOf(studio);
	const byId = catalogue.colours;
	const near = nearTo(material, materials, byId);
	const assorted = assortedWith(material, materials, byId);
	const movesOf = (all: readonly { readonly material: Material }[]) => Promise.all(all.map((m) => stockMoves.of(m.material.id)));
	const [suppliers, prices, orders, counts, moves, inBagsOf, others] = await Promise.all([
		stock.suppliers(),
		stock.prices(material.id),
		onOrders.open(),
		countedLines(repos),
		stockMoves.of(material.id),
		movesOf(assorted),
		movesOf(near)
	]);
	const style = { decimal: settings.decimal };
	const each = unitCost(material);
	const counting = countingPack(material);
	const lead = suppliers.find((s) => s.id === counting?.supplierId)?.leadDays ?? USUAL_LEAD;
	const own = orders.filter((o) => o.material === material.id);
	const coming = (toCome(own).get(material.id) ?? 0) * 1000;
	const nameOf = (id: string) => materials.find((m) => m.id === id)?.name ?? id;
	return {
		material,
		typed: materialFields(material, style),
		into: material.into ? { id: material.into, name: nameOf(material.into) } : null,
		/** What may stand for it. */
		others: materials.filter((m) => m.kind === material.kind && m.id !== material.id && !m.retired).map(({ id, name }) => ({ id, name })),
		packs: material.packs.map((p) => ({
			...p,
			counts: p.id === counting?.id,
			price: printMoney(p.priceMinor, style),
			deposit: printMoney(p.depositMinor ?? null, style),
			breaksText: printBreaks(p.breaks, style),
			each: p.priceMinor === null ? null : eachText(p.priceMinor / p.count)
		})),
		/** One piece, in the money of the business. */
		each: each ? eachText(each.valueOf()) : null,
		prices: prices.map((p) => ({ ...p, price: printMoney(p.priceMinor, style) })),
		suppliers,
		colours,
		hex: byId.get(material.colour ?? '')?.hex ?? null,
		orders: own.map((o) => orderRow(o, { materials, today, style })),
		toCome: inBags(coming, counting?.count),
		losses: lossesOf(moves, lostOf(counts, catalogue).get(material.id), { material, usual: rational(settings.rates.defaultLoss).valueOf(), nameOf: (id) => suppliers.find((s) => s.id === id)?.name ?? id }),
		shelf: shelfOf(moves, { pack: counting?.count, coming, lead, today, style }),
		/** Assorted bags it is in, and how many of it are there by its share. */
		assorted: assorted.map(({ material: m, share }, i) => ({ id: m.id, name: m.name, share: percent(share), there: inBags(Math.round(onShelf(inBagsOf[i]!).onHand * share), undefined), known: inBagsOf[i]!.length > 0 })),
		near: near.map(({ material: m, colour, distance }, i) => ({
			id: m.id,
			name: m.name,
			hex: colour.hex,
			far: farWords(distance),
			distance: Math.round(distance * 10) / 10,
			isFar: distance > TOO_FAR,
			onHand: others[i]!.length > 0 ? inBags(onShelf(others[i]!).onHand, countingPack(m)?.count) : null
		}))
	};
} // prettier-ignore

/** An order as it is shown. */
export function orderRow(
	order: OnOrder,
	{
		materials,
		today,
		style
	}: {
		readonly materials: readonly Material[];
		readonly today: string;
		readonly style: { readonly decimal: '.' | ',' };
	}
) {
	const material = materials.find((m) => m.id === order.material);
	const pack = material?.packs.find((p) => p.id === order.pack);
	return {
		...order,
		name: material?.name ?? order.material,
		supplier: pack?.supplier ?? '',
		pieces: inBags(order.packs * order.count * 1000, undefined),
		cost: printMoney(order.costMinor, style),
		late: isLate(order, today)
	};
}

function lossesOf(
	moves: readonly Move[],
	counted: Parameters<typeof lossReport>[1],
	{
		material,
		usual,
		nameOf
	}: { readonly material: Material; readonly usual: number; readonly nameOf: (id: string) => string }
) {
	const report = lossReport(moves, counted, saidLoss(material, usual));
	const counts = countedLoss(material, usual);
	const { hundredths, isNews } = newsOf(report.share, counts);
	const part = ({ of, bought, lost, share, low, high }: (typeof report.suppliers)[number]) => ({
		of,
		bought: inBags(bought * 1000, undefined),
		lost: inBags(lost * 1000, undefined),
		share: percent(share),
		range: `${percent(low)} to ${percent(high)}`,
		isKnown: bought >= lost
	});
	return {
		used: inBags(report.used * 1000, undefined),
		lost: inBags(report.lost * 1000, undefined),
		repaired: report.repaired === 0 ? '' : inBags(report.repaired * 1000, undefined),
		told: report.told,
		share: percent(report.share),
		range: `${percent(report.low)} to ${percent(report.high)}`,
		counts: percent(counts),
		hundredths,
		isNews: report.told > 0 && isNews,
		causes: report.causes.map(({ cause, pieces }) => ({
			says: cause === null ? 'not said' : CAUSE_WORDS[cause],
			pieces: inBags(pieces * 1000, undefined)
		})),
		suppliers: report.suppliers.map((s) => ({ ...part(s), of: nameOf(s.of) })),
		batches: report.batches.map(part)
	};
}

interface Counted {
	/** Pieces in a bag. */
	readonly pack: number | undefined;
	/** On order, thousandths. */
	readonly coming: number;
	/** Days from the order to the door. */
	readonly lead: number;
	readonly today: string;
	readonly style: { readonly decimal: '.' | ',' };
}

/** What the ledger comes to, in words and figures. */
function shelfOf(moves: readonly Move[], { pack, coming, lead, today, style }: Counted) {
	const { onHand, value, valueKnown, layers } = onShelf(moves);
	const reorder = reorderAt(moves, today, lead);
	return {
		onHand: inBags(onHand, pack),
		pieces: onHand / 1000,
		value: printMoney(Math.round(value.valueOf()), style),
		valueKnown,
		oldest: layers[0]?.day ?? null,
		reorder: reorder === 0 ? null : inBags(reorder, pack),
		isLow: toOrderAgain({ onHand, coming, reorder }) && onHand >= 0,
		lead,
		moves: moves.toReversed().slice(0, SHOWN).map((m) => ({ ...m, says: MOVE_WORDS[m.kind], pieces: inBags(Math.abs(m.thousandths), undefined), cost: printMoney(m.costMinor, style) }))
	};
} // prettier-ignore
