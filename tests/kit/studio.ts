import { STARTING_STANDARDS } from '../../src/lib/core/labour/standards.ts';
import { catalogue } from '../../src/lib/core/materials/catalogue.ts';
import { PLAIN_MATERIAL, type Colour, type Material } from '../../src/lib/core/materials/material.ts';
import { STARTING_FIGURES } from '../../src/lib/core/pricing/terms.ts';
import type { Rates } from '../../src/lib/core/cost/rates.ts';
import { POINT } from '../../src/lib/core/units/number.ts';
import { inches } from '../../src/lib/core/units/length.ts';
import { applyEntry } from '../../src/lib/core/language/apply.ts';
import { emptyRecipe } from '../../src/lib/core/recipe/build.ts';
import type { RecipeDraft } from '../../src/lib/core/recipe/draft.ts';
import type { EntryContext } from '../../src/lib/core/language/context.ts';
import { parseEntry } from '../../src/lib/core/language/read.ts';
import type { Recipe } from '../../src/lib/core/recipe/recipe.ts';

/** A small invented studio for tests: round figures that can be worked out by hand. */
export const colours: Colour[] = [
	{ id: 'white', name: 'gull white', finish: 'matte', hex: '#f4f2ec' },
	{ id: 'red', name: 'buoy red', finish: 'matte', hex: '#c8402f' },
	{ id: 'gold', name: 'hive gold', finish: 'matte', hex: '#e2a32b' },
	{ id: 'gold-mirror', name: 'hive gold', finish: 'mirror', hex: '#d79a20' },
	{ id: 'grey', name: 'limpet grey', finish: 'matte', hex: '#6f7780' }
];

const round = (size: number, colour: string, count: number, priceMinor: number | null): Material => ({
	...PLAIN_MATERIAL,
	id: `${size}-${colour}`,
	kind: 'latex-round',
	name: `${size} in round, ${colour}`,
	nominal: inches(size),
	colour,
	loss: '0',
	packs: [{ id: `p${size}${colour}`, supplier: 'Quayside Supply', count, priceMinor }]
});

const thing = (
	id: string,
	kind: Material['kind'],
	count: number,
	priceMinor: number | null,
	more: Partial<Material> = {}
): Material => ({
	...round(11, 'white', count, priceMinor),
	id,
	kind,
	name: id,
	nominal: null,
	colour: null,
	packs: [{ id: `p-${id}`, supplier: 'Quayside Supply', count, priceMinor }],
	...more
});

export const materials: Material[] = [
	round(11, 'white', 100, 1700),
	round(11, 'red', 100, 1700),
	round(11, 'gold', 50, 1000),
	round(5, 'white', 100, 900),
	round(16, 'grey', 50, 2500),
	{ ...round(16, 'red', 50, null) },
	{ ...round(11, 'red', 50, 1500), id: '11-heart-red', name: '11 in heart, red', kind: 'latex-heart' },
	thing('patch', 'adhesive', 200, 400),
	thing('tie balloon', 'modelling', 100, 800),
	thing('stand', 'base', 1, 9000, { reuse: { uses: 40, resaleMinor: 1000, upkeepMinor: 10 } }),
	thing('fairy lights', 'accent', 1, 650),
	thing('star card', 'accent', 1, 200),
	thing('foil star', 'foil-star', 5, 1000, { nominal: inches(18), colour: 'gold' })
];

export const studio = catalogue(materials, colours);
export const catalogueOf = catalogue;

/** What floats and bends, with round figures: helium at 5 cents a litre used, foils and ribbon that were weighed. */
export const floating: Material[] = [
	...materials,
	round(24, 'white', 10, 1500),
	thing('helium', 'gas', 1000, 4000, { unit: 'L', loss: '1/5' }),
	thing('moon foil', 'foil-round', 5, 1000, { nominal: inches(18), colour: 'gold', grams: 9 }),
	thing('buoy foil', 'foil-shape', 1, 600, {
		nominal: inches(30),
		colour: 'red',
		litres: 42,
		grams: 38,
		chambers: 2
	}),
	thing('thin ribbon', 'ribbon', 100, 500, { unit: 'ft', grams: 0.3, colour: 'red' }),
	thing('place card', 'accent', 10, 200, { grams: 6 }),
	thing('heavy card', 'accent', 10, 200),
	thing('sack', 'weight', 1, 300, { grams: 500 }),
	thing('paint can', 'paint', 1, 1000),
	thing('dry sand', 'weight', 10, 500, { unit: 'L' }),
	thing('gate links', 'latex-link', 50, 900, { nominal: inches(12), colour: 'white' }),
	...['white', 'red', 'gold'].map((colour, i) =>
		thing(`10 link ${colour}`, 'latex-link', 50, 1000 - 100 * i, { nominal: inches(10), colour })
	),
	thing('soft line', 'tie', 300, 600, { unit: 'ft' }),
	thing('wall hook', 'fitting', 10, 500),
	...['white', 'red', 'gold'].map((colour) =>
		thing(`260 ${colour}`, 'modelling', 100, 1200, { colour, mark: '260', grams: 1.4 })
	),
	...['T', 'I', 'D'].map((mark) =>
		thing(`letter ${mark}`, 'foil-letter', 1, 350, { nominal: inches(34), colour: 'gold', mark })
	)
];

export const NO_JOB: Rates['jobs'] = {
	usual: 'none',
	vanPerMile: 0,
	mph: 30,
	templates: [
		{
			id: 'none',
			name: 'nothing around it',
			minutes: {},
			miles: 0,
			trips: 0,
			goers: 1,
			leftAs: 'set up and struck',
			lines: []
		}
	]
};

export const rates: Rates = {
	currency: 'USD',
	labourPerHour: 1800,
	people: [],
	crew: [],
	overhead: { kind: 'hour', minor: 900 },
	counting: 'piece',
	defaultLoss: '1/25',
	service: 0.95,
	standards: STARTING_STANDARDS,
	// A job that takes nothing around its pieces: what a piece comes to is seen by itself.
	jobs: NO_JOB,
	rules: [
		{ of: 'floor contact', each: '1', material: 'patch' },
		{ of: 'cluster tied with a modelling balloon', each: '1/4', material: 'tie balloon' }
	],
	pumps: [],
	price: {
		method: 'margin',
		margin: '50',
		markup: '100',
		...STARTING_FIGURES,
		feeOnTop: true,
		fee: { percent: '0', onTax: true, fixedMinor: 0, payments: 1 },
		rush: '0',
		weekend: '0',
		volume: '0',
		discount: null,
		pricePoint: null,
		minimumMinor: 0,
		tax: { percent: '0', inclusive: false },
		deposit: '0'
	}
};

/** Ids in order, so that recipes of tests are the same every time. */
export function counter(prefix = 'id'): () => string {
	let n = 0;
	return () => `${prefix}${++n}`;
}

export const entryContext = (recipe: Recipe): EntryContext => ({
	slots: recipe.slots,
	colourway: recipe.colourways[0],
	colours,
	materials,
	sections: recipe.sections,
	recipe,
	style: POINT
});

/** A design keyed as an owner would, floor first. */
export const design = (name: string, ...lines: string[]): Recipe => designOf(materials, name, lines);

/** The same with another Stockroom. */
export function designOf(
	stock: readonly Material[],
	name: string,
	lines: readonly string[],
	pumps: Rates['pumps'] = []
): Recipe {
	const newId = counter();
	const recipe = emptyRecipe(name, newId) as RecipeDraft;
	let section: string | undefined;
	for (const line of lines) {
		const context = { ...entryContext(recipe as Recipe), materials: stock, pumps };
		const entry = parseEntry(line, section === undefined ? context : { ...context, section });
		if (!entry.ok) throw new Error(`${line}: ${entry.say}`);
		section = applyEntry(recipe, entry.value, { section }, newId) ?? section;
	}
	return recipe as Recipe;
}
