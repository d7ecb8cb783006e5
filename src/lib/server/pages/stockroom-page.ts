import { MATERIAL_KINDS, type Colour, type Material } from '../../core/materials/material.ts';
import { countingPack } from '../../core/materials/counting-pack.ts';
import { inBags, onShelf, reorderAt, type Move } from '../../core/stock/ledger.ts';
import { unitCost } from '../../core/materials/unit-cost.ts';
import { formatInches } from '../../core/units/length.ts';
import { learnedLoss, type Lost } from '../../core/count-back/learned-loss.ts';
import { rational } from '../../core/units/rational.ts';

/** Days to the door where no supplier says: a house rule. */
export const USUAL_LEAD = 7;

/** Rows of the Stockroom that have every word of a search, as the trade lists them: balloons first, then what they are built on and with. */
export function stockRows(
	materials: readonly Material[],
	colours: readonly Colour[],
	search: string,
	{
		lost,
		usual,
		moves,
		today,
		leads
	}: {
		readonly lost: ReadonlyMap<string, Lost>;
		readonly usual: number;
		readonly moves: ReadonlyMap<string, readonly Move[]>;
		readonly today: string;
		/** Days to the door by supplier. */
		readonly leads: ReadonlyMap<string, number | null>;
	}
) {
	const words = search.toLowerCase().split(/\s+/);
	const hexes = new Map(colours.map((c) => [c.id, c.hex]));
	return [...materials]
		.sort((a, b) => MATERIAL_KINDS.indexOf(a.kind) - MATERIAL_KINDS.indexOf(b.kind))
		.filter((m) => words.every((w) => `${m.name} ${m.kind}`.toLowerCase().includes(w)))
		.map((m) => {
			const each = unitCost(m);
			// What is learned starts from what the studio says of all, not from what was learned before: counts count once.
			const before = /^(latex|foil|modelling)/.test(m.kind) ? usual : 0;
			const said = m.loss === null ? before : rational(m.loss).valueOf();
			const counted = lost.get(m.id);
			const pack = countingPack(m);
			const own = moves.get(m.id);
			const onHand = own ? onShelf(own).onHand : null;
			const reorder = own ? reorderAt(own, today, leads.get(pack?.supplierId ?? '') ?? USUAL_LEAD) : 0;
			const learned = counted && counted.used > 0 ? learnedLoss(before, counted) : null;
			return {
				id: m.id,
				kind: m.kind,
				name: m.name,
				nominal: m.nominal === null ? '' : formatInches(m.nominal),
				hex: hexes.get(m.colour ?? '') ?? null,
				loss: m.loss === null ? '' : `${Math.round(rational(m.loss).valueOf() * 1000) / 10} %`,
				/** What counts after builds make of it, where there are any. */
				learned: learned && {
					text: `${percent(learned.share)} ± ${percent(learned.sd)}`,
					counted: `${counted!.lost} of ${Math.round(counted!.used)} lost`,
					/** Hundredths of a per cent. */
					share: Math.round(learned.share * 10_000),
					isNews: Math.abs(learned.share - said) >= 0.0005
				},
				uses: m.reuse?.uses ?? null,
				unit: m.unit,
				retired: m.retired === true,
				/** The pack whose price counts. */
				/** Bags and pieces; null where nothing is known of it. */
				onHand: onHand === null ? null : inBags(onHand, pack?.count),
				isLow: onHand !== null && (onHand < 0 || (reorder > 0 && onHand <= reorder)),
				pack: pack ?? m.packs.find((p) => !p.ended) ?? null,
				packs: m.packs.filter((p) => !p.ended).length,
				/** Exact cents, shown to a tenth. */
				each: each ? eachText(each.valueOf()) : null
			};
		});
}

/** What a piece costs, in hundredths of the money: to a tenth of one. */
export const eachText = (hundredths: number): string => (hundredths / 100).toFixed(3);

const percent = (share: number): string => `${Math.round(share * 1000) / 10} %`;
