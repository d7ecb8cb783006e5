import { USUAL_LEAD } from '../../core/buying/buying.ts';
import type { Lost } from '../../core/count-back/learned-loss.ts';
import { countingPack } from '../../core/materials/counting-pack.ts';
import { MATERIAL_KINDS, type Colour, type Material } from '../../core/materials/material.ts';
import { unitCost } from '../../core/materials/unit-cost.ts';
import { inBags, onShelf, reorderAt, toOrderAgain, type Move } from '../../core/stock/ledger.ts';
import { lossNow } from '../../core/stock/losses.ts';
import { toCome, type OnOrder } from '../../core/stock/on-order.ts';
import { formatInches } from '../../core/units/length.ts';
import { countedLoss, eachText, newsOf, percent, saidLoss } from './stock-words.ts';

/** What rows of the Stockroom are made of, beside materials and colours. */
interface Beside {
	readonly lost: ReadonlyMap<string, Lost>;
	readonly usual: number;
	readonly moves: ReadonlyMap<string, readonly Move[]>;
	readonly orders: readonly OnOrder[];
	readonly today: string;
	/** Days to the door by supplier. */
	readonly leads: ReadonlyMap<string, number | null>;
}

/** Rows of the Stockroom as the trade lists them: balloons first, then what they are built on and with. */
export function stockRows(materials: readonly Material[], colours: readonly Colour[], beside: Beside) {
	const hexes = new Map(colours.map((c) => [c.id, c.hex]));
	const coming = toCome(beside.orders);
	return [...materials]
		.sort((a, b) => MATERIAL_KINDS.indexOf(a.kind) - MATERIAL_KINDS.indexOf(b.kind))
		.map((m) => stockRow(m, { ...beside, hex: hexes.get(m.colour ?? '') ?? null, coming: coming.get(m.id) ?? 0 })); // prettier-ignore
}

function stockRow(m: Material, { lost, usual, moves, today, leads, hex, coming }: Beside & { hex: string | null; coming: number }) {
	const each = unitCost(m);
	// What is learned starts from what the studio says of all, not from what was learned before: counts count once.
	const said = countedLoss(m, usual);
	const counting = countingPack(m);
	const pack = counting ?? m.packs.find((p) => !p.ended) ?? null;
	const own = moves.get(m.id);
	const learned = own || lost.has(m.id) ? lossNow(own ?? [], lost.get(m.id), saidLoss(m, usual)) : undefined;
	const shelf = own ? onShelf(own) : null;
	const reorder = own ? reorderAt(own, today, leads.get(counting?.supplierId ?? '') ?? USUAL_LEAD) : 0;
	return {
		id: m.id,
		kind: m.kind,
		name: m.name,
		nominal: m.nominal === null ? '' : formatInches(m.nominal),
		/** Micrometres, to be put in order by. */
		size: m.nominal ?? 0,
		hex,
		loss: m.loss === null ? '' : percent(said),
		share: said,
		/** What counts after builds make of it, where there are any. */
		learned: learned ? {
			text: `${percent(learned.share)} (${percent(learned.low)} to ${percent(learned.high)})`,
			counted: `${Math.round(learned.lost)} of ${Math.round(learned.used)} lost`,
			...newsOf(learned.share, said)
		} : null,
		uses: m.reuse?.uses ?? null,
		unit: m.unit,
		retired: m.retired === true,
		/** Bags and pieces, and pieces; null where nothing is known of it. */
		onHand: shelf && inBags(shelf.onHand, counting?.count),
		pieces: shelf && shelf.onHand / 1000,
		isLow: shelf !== null && toOrderAgain({ onHand: shelf.onHand, coming: coming * 1000, reorder }),
		/** Still to come. */
		onOrder: coming === 0 ? '' : inBags(coming * 1000, counting?.count),
		coming,
		/** What is there is worth, minor units, as far as that is known. */
		worth: shelf ? Math.round(shelf.value.valueOf()) : null,
		/** The pack whose price counts. */
		pack,
		packs: m.packs.filter((p) => !p.ended).length,
		suppliers: [...new Set(m.packs.flatMap((p) => (p.ended || !p.supplierId ? [] : [p.supplierId])))],
		codes: m.packs.flatMap((p) => (p.code ? [p.code] : [])),
		/** Exact cents, shown to a tenth. */
		each: each ? eachText(each.valueOf()) : null,
		eachMinor: each ? each.valueOf() : null
	};
} // prettier-ignore
