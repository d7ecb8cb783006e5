import { isBare, type Assembly } from '../assembly/assemble.ts';
import { colourWords, givenName } from '../tally/colour-words.ts';
import { heightSaid, heightWords } from '../tally/height.ts';
import type { Catalogue } from '../materials/catalogue.ts';
import type { Rates } from '../cost/rates.ts';
import { USUAL_FORMATS } from '../workspace/formats.ts';
import type { Settings } from '../workspace/settings.ts';
import { zero } from '../money/money.ts';
import { drawAssembly, type DrawList } from '../scene/draw-list.ts';
import { clientCautions, hazardsOf } from '../hazards/cautions.ts';
import { groupsOf, inOrder } from './choices.ts';
import {
	ENGINE_VERSION,
	FROZEN_VERSION,
	type FrozenLine,
	type FrozenOffer,
	type FrozenQuote
} from './frozen.ts';
import { freezePlace } from './place.ts';
import type { Offer } from './offers.ts';
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
	/** What may be chosen of it, where there is anything. */
	readonly offers?: readonly Offer[] | undefined;
	/** Why the client pays no tax. */
	readonly exempt?: string | undefined;
	/** Which time it is written; 1 is the first. */
	readonly revision?: number;
	/** ISO instant, and the last day the offer stands: the edge knows the clock and the calendar. */
	readonly sentAt: string;
	readonly validUntil: string;
}

/** Everything the client will ever see of a quote, worked out now. A refused price cannot be frozen: undefined. */
export function freeze(input: FreezeInput): FrozenQuote | undefined {
	const { priced, settings, terms, offers } = input;
	const { price } = priced;
	if (price.status === 'refused') return undefined;
	const all = linesOf(input);
	const ids = all.map(({ id }) => id);
	const place = terms.place && freezePlace(terms.place, (id) => ids.indexOf(id));
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
		lines: all.map(({ line }) => line),
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
		cautions: clientCautions(hazards, terms.setting),
		...(offers
			? { offers: offers.map((o) => freezeOffer(o, ids, terms)), depositPercent: terms.deposit }
			: {}),
		...formatsSaid(settings),
		...(place ? { place } : {}),
		...(input.exempt ? { exempt: input.exempt } : {}),
		...(input.revision && input.revision > 1 ? { revision: input.revision } : {})
	};
}

/** How figures and days are written, where that is not the usual way. */
const formatsSaid = ({ decimal, dates }: Settings) =>
	decimal === USUAL_FORMATS.decimal && dates === USUAL_FORMATS.dates ? {} : { formats: { decimal, dates } };

/** Every line that is on it or may be chosen, as the client reads them; amounts are those of where it is on. */
function linesOf({ priced, offers = [], terms, catalogue, settings, covers }: FreezeInput) {
	const all = [priced, ...offers.flatMap((o) => [o.priced, ...o.others.map((c) => c.priced)])];
	const found = new Map<string, FrozenLine>();
	const said = (id: string) => {
		const { heading, note, tax } = terms.about?.[id] ?? {};
		return { ...(heading ? { heading } : {}), ...(note ? { note } : {}), ...(tax ? { tax } : {}) };
	};
	for (const one of all) {
		for (const line of one.lines) {
			const { id } = line.item;
			if (found.has(id)) continue;
			const tall = Math.round(line.tally.assembly.overall.usual);
			const own = freezeLine(line, catalogue, settings);
			found.set(id, { ...own, photo: covers?.get(id) ?? null, ...said(id), ...(tall > 0 ? { tall } : {}) });
		}
		for (const { line, shown } of one.typed) {
			if (found.has(line.id)) continue;
			const { label: name, quantity } = line;
			found.set(line.id, { name, colourway: '', quantity, amount: shown, about: '', picture: null, ...said(line.id) }); // prettier-ignore
		}
	}
	const ids = inOrder([...found.keys()], terms.order);
	return ids.map((id) => ({ id, line: found.get(id)! }));
}

/** A level and its choices, lines by their places. */
function freezeOffer(
	{ level, priced, others }: Offer,
	ids: readonly string[],
	terms: QuoteTerms
): FrozenOffer {
	const at = (id: string) => ids.indexOf(id);
	const on = [
		...priced.lines.map((l) => [at(l.item.id), l.shown] as const),
		...priced.typed.map((t) => [at(t.line.id), t.shown] as const)
	];
	const firsts = [...groupsOf(terms, ids, level)].map(([group, [first]]) => ({ group, at: at(first!) }));
	return {
		level,
		amounts: on.sort(([a], [b]) => a - b),
		firsts,
		others: others.map(({ id, group, adds }) => ({ at: at(id), group, adds })),
		delivery: priced.delivery,
		discount: priced.discount,
		total: priced.price.status === 'priced' ? priced.price.total : zero(priced.delivery.currency)
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
