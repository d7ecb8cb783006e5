import { countingPack } from '../../core/materials/counting-pack.ts';
import { materialFields, printBreaks } from '../../core/materials/material-form.ts';
import type { Material } from '../../core/materials/material.ts';
import { assortedWith, farWords, nearTo, TOO_FAR } from '../../core/materials/near.ts';
import { unitCost } from '../../core/materials/unit-cost.ts';
import { lostOf } from '../../core/count-back/learned-loss.ts';
import { catalogue } from '../../core/materials/catalogue.ts';
import { rational } from '../../core/units/rational.ts';
import { lossReport } from '../../core/stock/losses.ts';
import { isLate, toCome, type OnOrder } from '../../core/stock/on-order.ts';
import { CAUSE_WORDS, inBags, MOVE_WORDS, onShelf, reorderAt, type Move } from '../../core/stock/ledger.ts';
import { printMoney } from '../../core/units/print-number.ts';
import type { Repos } from '../repos/index.ts';
import type { Studio } from '../services/studio.ts';
import { eachText, percent, saidLoss, USUAL_LEAD } from './stock-words.ts';

/** Movements that are shown. */
const SHOWN = 30;

/** What the page of a material shows: its packs and their prices, what is on the shelf, what it is, what could stand in. */
export async function materialPage({ stock, stockMoves, onOrders, countBacks }: Repos, { settings, materials, colours }: Studio, { material, today }: { readonly material: Material; readonly today: string }) {
	const byId = new Map(colours.map((c) => [c.id, c]));
	const near = nearTo(material, materials, byId);
	const assorted = assortedWith(material, materials, byId);
	const inBagsOf = await Promise.all(assorted.map((a) => stockMoves.of(a.material.id)));
	const [suppliers, prices, orders, counts, moves, ...others] = await Promise.all([
		stock.suppliers(),
		stock.prices(material.id),
		onOrders.open(),
		countBacks.lines(),
		stockMoves.of(material.id),
		...near.map((n) => stockMoves.of(n.material.id))
	]);
	const style = { decimal: settings.decimal };
	const each = unitCost(material);
	const counting = countingPack(material);
	const lead = suppliers.find((s) => s.id === counting?.supplierId)?.leadDays ?? USUAL_LEAD;
	const own = orders.filter((o) => o.material === material.id);
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
		toCome: inBags((toCome(own).get(material.id) ?? 0) * 1000, counting?.count),
		losses: lossesOf(moves, lostOf(counts, catalogue(materials, colours)).get(material.id), { material, usual: rational(settings.rates.defaultLoss).valueOf(), nameOf: (id) => suppliers.find((s) => s.id === id)?.name ?? id }),
		shelf: shelfOf(moves, { pack: counting?.count, lead, today, style }),
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
	const counts = material.loss === null ? saidLoss(material, usual) : rational(material.loss).valueOf();
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
		/** Hundredths of a per cent. */
		hundredths: Math.round(report.share * 10_000),
		isNews: report.told > 0 && Math.abs(report.share - counts) >= 0.0005,
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
	/** Days from the order to the door. */
	readonly lead: number;
	readonly today: string;
	readonly style: { readonly decimal: '.' | ',' };
}

/** What the ledger comes to, in words and figures. */
function shelfOf(moves: readonly Move[], { pack, lead, today, style }: Counted) {
	const { onHand, value, valueKnown, layers } = onShelf(moves);
	const reorder = reorderAt(moves, today, lead);
	return {
		onHand: inBags(onHand, pack),
		pieces: onHand / 1000,
		value: printMoney(Math.round(value.valueOf()), style),
		valueKnown,
		oldest: layers[0]?.day ?? null,
		reorder: reorder === 0 ? null : inBags(reorder, pack),
		isLow: reorder > 0 && onHand <= reorder,
		lead,
		moves: moves.toReversed().slice(0, SHOWN).map((m) => ({ ...m, says: MOVE_WORDS[m.kind], pieces: inBags(Math.abs(m.thousandths), undefined), cost: printMoney(m.costMinor, style) }))
	};
} // prettier-ignore
