import { demoDesigns } from '../../scripts/demo/designs.ts';
import { demoRecipe } from '../../scripts/demo/load.ts';
import { settings } from '../../scripts/demo/settings.ts';
import { colours, stockRows } from '../../scripts/demo/stock.ts';
import { catalogue } from '../../src/lib/core/materials/catalogue.ts';
import { waysBeside } from '../../src/lib/core/pricing/ways.ts';
import { plainTerms, priceQuote, type QuoteItem } from '../../src/lib/core/quote/quote.ts';
import { riskOf, studyRisk } from '../../src/lib/core/study/risk.ts';
import { whatItHangsOn } from '../../src/lib/core/study/levers.ts';
import { report } from './studio.ts';
import { packAtOnce } from '../../src/lib/server/services/packings.ts';

const LINES = 40;
const median = (times: number[]) => times.sort((a, b) => a - b)[times.length >> 1]!;
function timed(times: number, work: () => void): number {
	work();
	return median(
		Array.from({ length: times }, () => {
			const before = performance.now();
			work();
			return performance.now() - before;
		})
	);
}

/** Prices of a quote of 40 lines, its ways beside each other, what it hangs on, how sure it is. */
export function pricing(): boolean[] {
	const materials = stockRows.map(({ material, packs }) => ({
		...material,
		packs: packs.map((p, i) => ({ id: `${material.id}-${i}`, ...p }))
	}));
	const recipes = new Map(demoDesigns.map((d) => [d.id, demoRecipe(d)]));
	const context = {
		catalogue: catalogue(materials, colours),
		rates: settings.rates,
		library: (id: string) => recipes.get(id),
		packed: packAtOnce
	};
	const all = [...recipes];
	const items = Array.from({ length: LINES }, (_, i): QuoteItem => {
		const [id, recipe] = all[i % all.length]!;
		return { id: `${id}-${i}`, recipe, colourway: null, quantity: 1 + (i % 3) };
	});
	const terms = plainTerms(settings.rates);
	const priced = priceQuote(items, terms, context);
	const studied = { items, terms, context };
	const model = riskOf(priced, settings.rates, 48)!;
	// A keystroke changes terms, never the pieces: those are counted already.
	let turn = 0;
	const repriced = timed(15, () => {
		turn++;
		priceQuote(items, { ...terms, margin: String(40 + (turn % 10)) }, context);
	});
	return [
		report(`a quote of ${LINES} lines priced anew`, repriced, 10, 'ms'),
		report('all ways of pricing it beside each other', timed(15, () => waysBeside(priced.order, priced.terms, priced.effort, priced.price)), 30, 'ms'), // prettier-ignore
		report(
			'what it hangs on, each figure moved both ways',
			timed(5, () => whatItHangsOn(studied, priced)),
			400,
			'ms'
		),
		report(`${model.trials} jobs drawn, ${model.unsure.length} unsure figures`, timed(3, () => { for (const going = studyRisk(model); !going.next().done;); }), 1000, 'ms') // prettier-ignore
	];
}
