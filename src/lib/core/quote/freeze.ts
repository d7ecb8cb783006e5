import { isBare, type Assembly } from '../assembly/assemble.ts';
import { colourWords, givenName } from '../tally/colour-words.ts';
import { heightSaid, heightWords } from '../tally/height.ts';
import type { Catalogue } from '../materials/catalogue.ts';
import type { Rates } from '../cost/rates.ts';
import type { Settings } from '../workspace/settings.ts';
import { zero } from '../money/money.ts';
import { drawAssembly, type DrawList } from '../scene/draw-list.ts';
import { clientCautions, hazardsOf } from '../hazards/cautions.ts';
import { ENGINE_VERSION, FROZEN_VERSION, type FrozenLine, type FrozenQuote } from './frozen.ts';
import type { PricedQuote, QuotedLine, QuoteTerms } from './quote.ts';

export interface FreezeInput {
	readonly number: number;
	readonly clientName: string;
	readonly eventDate: string | null;
	readonly zone: string;
	readonly terms: QuoteTerms;
	readonly priced: PricedQuote;
	readonly settings: Settings;
	readonly catalogue: Catalogue;
	/** Photo that stands for the design of each line, by the line's id. */
	readonly covers?: ReadonlyMap<string, string>;
	/** ISO instant, and the last day the offer stands: the edge knows the clock and the calendar. */
	readonly sentAt: string;
	readonly validUntil: string;
}

/** Everything the client will ever see of a quote, worked out now. A refused price cannot be frozen: undefined. */
export function freeze(input: FreezeInput): FrozenQuote | undefined {
	const { priced, settings, terms, catalogue } = input;
	const { price } = priced;
	if (price.status === 'refused') return undefined;
	const hazards = priced.lines.flatMap((line) =>
		hazardsOf({ ...line.tally, overall: line.tally.assembly.overall.usual })
	);
	return {
		version: FROZEN_VERSION,
		engine: ENGINE_VERSION,
		number: input.number,
		sentAt: input.sentAt,
		validUntil: input.validUntil,
		business: settings.business,
		client: { name: input.clientName },
		occasion: terms.occasion,
		eventDate: input.eventDate,
		zone: input.zone,
		venue: terms.venue,
		setting: terms.setting,
		lines: priced.lines.map((line) => ({
			...freezeLine(line, catalogue, settings),
			photo: input.covers?.get(line.item.id) ?? null
		})),
		delivery: priced.delivery,
		discount: priced.discount,
		subtotal: priced.subtotal,
		net: price.net,
		tax: price.tax ?? zero(settings.rates.currency),
		taxPercent: terms.tax,
		taxInclusive: settings.rates.price.tax.inclusive,
		total: price.total,
		deposit: price.deposit,
		rounding: 'Lines are rounded to the cent and sum to the total.',
		note: terms.note,
		cautions: clientCautions(hazards, terms.setting)
	};
}

/** Its height as the studio says it, and over all; nothing where a size is not known. */
function heightOf({ tally }: QuotedLine, { pumps }: Rates): string {
	const said = heightSaid(tally, pumps);
	return said.known ? heightWords(said, tally) : '';
}

function freezeLine(line: QuotedLine, catalogue: Catalogue, { rates }: Settings): FrozenLine {
	const { item, tally } = line;
	const { recipe } = item;
	const colourway = recipe.colourways.find((c) => c.id === item.colourway) ?? recipe.colourways[0];
	const size = recipe.sizes.find((s) => s.id === item.size)?.name;
	const named = colourway ? givenName(colourway) : '';
	const colours = colourway ? colourWords(recipe, colourway, catalogue) : '';
	const each = Math.round(tally.bill.balloons / item.quantity);
	return {
		name: size === undefined ? recipe.name : `${recipe.name}, ${size}`,
		colourway: named || colours,
		quantity: item.quantity,
		amount: line.shown,
		about: [named ? colours : '', heightOf(line, rates), each > 0 ? `${each} balloons` : '']
			.filter(Boolean)
			.join(' · '),
		picture: !isBare(tally.assembly) ? clientPicture(tally.assembly, catalogue) : null
	};
}

/** What the client sees, without the ids of the recipe. */
function clientPicture(assembly: Assembly, catalogue: Catalogue): DrawList {
	return { ...drawAssembly(assembly, { catalogue, view: 'front' }), about: undefined };
}
