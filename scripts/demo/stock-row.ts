import {
	PLAIN_MATERIAL,
	type Material,
	type MaterialKind,
	type Reuse
} from '../../src/lib/core/materials/material.ts';
import { readOutline } from '../../src/lib/core/scene/own-outline.ts';
import { inches } from '../../src/lib/core/units/length.ts';
import { colours } from './colours.ts';

export const suppliers = [
	{ id: 'quayside', name: 'Quayside Party Supply', shippingMinor: 850, freeFromMinor: 7500, leadDays: 2 },
	{
		id: 'gannet',
		name: 'Gannet & Daughter Wholesale',
		shippingMinor: 1400,
		freeFromMinor: 15_000,
		leadDays: 4
	},
	{ id: 'ropewalk', name: 'Ropewalk Hardware', shippingMinor: 690, freeFromMinor: null, leadDays: 3 }
] as const;
type SupplierId = (typeof suppliers)[number]['id'];

export const round = (
	size: number,
	colourId: string,
	supplier: SupplierId,
	count: number,
	priceMinor: number | null,
	loss: string | null = null
): StockRow => {
	const { name, finish } = colours.find((c) => c.id === colourId)!;
	const finishWord = finish === 'matte' ? '' : ` ${finish}`;
	return row(
		`round-${size}-${colourId}`,
		'latex-round',
		`${size} in round, ${name}${finishWord}`,
		{ supplier, count, priceMinor },
		{
			nominal: inches(size),
			colour: colourId,
			loss
		}
	);
};

export interface StockRow {
	readonly material: Omit<Material, 'packs'>;
	readonly packs: readonly { supplier: SupplierId; count: number; priceMinor: number | null }[];
}

export function row(
	id: string,
	kind: MaterialKind,
	name: string,
	pack: StockRow['packs'][number],
	more: Partial<Material> = {}
): StockRow {
	const material = {
		id,
		kind,
		name,
		...PLAIN_MATERIAL,
		...more
	};
	return { material, packs: [pack] };
}

export const shared = (uses: number, resaleMinor: number, upkeepMinor: number): { reuse: Reuse } => ({
	reuse: { uses, resaleMinor, upkeepMinor }
});

export function modelling(model: string, colourId: string, count: number, priceMinor: number): StockRow {
	const { name } = colours.find((c) => c.id === colourId)!;
	return row(
		`modelling-${model}-${colourId}`,
		'modelling',
		`${model} modelling balloon, ${name}`,
		{ supplier: 'quayside', count, priceMinor },
		{ colour: colourId, mark: model, loss: '1/25', grams: model === '160' ? 0.9 : 1.4 }
	);
}

export function link(size: number, colourId: string): StockRow {
	const { name } = colours.find((c) => c.id === colourId)!;
	return row(
		`link-${size}-${colourId}`,
		'latex-link',
		`${size} in link, ${name}`,
		{ supplier: 'quayside', count: 50, priceMinor: 1080 },
		{ nominal: inches(size), colour: colourId, loss: '1/25' }
	);
}

export function foil(id: string, name: string, colourId: string, size: number): StockRow {
	const pack = { supplier: 'gannet', count: 5, priceMinor: 935 } as const;
	return row(id, 'foil-round', name, pack, {
		nominal: inches(size),
		colour: colourId,
		loss: '1/50',
		grams: 10
	});
}

/** The edge of a buoy, drawn for the demo: a top mark, a waist, a float. */
const drawn = readOutline(
	'M40 0 L60 0 L64 32 L86 40 L97 70 C97 88 78 96 50 96 C22 96 3 88 3 70 L14 40 L36 32 Z'
);
export const BUOY = drawn.ok ? drawn.value : null;

/** A foil of a shape of its own; what it holds is its maker's figure. */
export function shaped(id: string, name: string, colourId: string, size: number, mark: string): StockRow {
	const { material, ...rest } = foil(id, name, colourId, size);
	return { ...rest, material: { ...material, kind: 'foil-shape', mark, litres: 14.5 } };
}

export function foilLetter(letter: string, colourId: string): StockRow {
	const { name } = colours.find((c) => c.id === colourId)!;
	return row(
		`letter-34-${letter.toLowerCase()}`,
		'foil-letter',
		`foil letter ${letter} 34 in, ${name}`,
		{ supplier: 'gannet', count: 1, priceMinor: 345 },
		{ nominal: inches(34), colour: colourId, mark: letter, loss: '1/50', litres: 36, grams: 31 }
	);
}

export const ELEVENS = [
	'gull-white',
	'foam',
	'limpet-grey',
	'harbour-blue',
	'shallows',
	'midnight',
	'buoy-orange',
	'pennant-red',
	'hive-gold',
	'kelp',
	'eelgrass',
	'crust',
	'mussel',
	'thrift'
];
export const FIVES = [
	'gull-white',
	'foam',
	'limpet-grey',
	'harbour-blue',
	'shallows',
	'buoy-orange',
	'pennant-red',
	'hive-gold',
	'kelp',
	'eelgrass',
	'crust',
	'mussel'
];
export const SIXTEENS = [
	'gull-white',
	'limpet-grey',
	'harbour-blue',
	'hive-gold',
	'pennant-red',
	'kelp',
	'crust',
	'mussel'
];
