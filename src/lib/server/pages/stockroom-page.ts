import { MATERIAL_KINDS, type Colour, type Material } from '../../core/materials/material.ts';
import { unitCost } from '../../core/materials/unit-cost.ts';
import { formatInches } from '../../core/units/length.ts';
import { rational } from '../../core/units/rational.ts';

/** Rows of the Stockroom that have every word of a search, as the trade lists them: balloons first, then what they are built on and with. */
export function stockRows(materials: readonly Material[], colours: readonly Colour[], search: string) {
	const words = search.toLowerCase().split(/\s+/);
	const hexes = new Map(colours.map((c) => [c.id, c.hex]));
	return [...materials]
		.sort((a, b) => MATERIAL_KINDS.indexOf(a.kind) - MATERIAL_KINDS.indexOf(b.kind))
		.filter((m) => words.every((w) => `${m.name} ${m.kind}`.toLowerCase().includes(w)))
		.map((m) => {
			const each = unitCost(m);
			return {
				id: m.id,
				kind: m.kind,
				name: m.name,
				nominal: m.nominal === null ? '' : formatInches(m.nominal),
				hex: hexes.get(m.colour ?? '') ?? null,
				loss: m.loss === null ? '' : `${Math.round(rational(m.loss).valueOf() * 1000) / 10} %`,
				uses: m.reuse?.uses ?? null,
				unit: m.unit,
				pack: m.packs[0] ?? null,
				/** Exact cents, shown to a tenth. */
				each: each ? (each.valueOf() / 100).toFixed(3) : null
			};
		});
}
