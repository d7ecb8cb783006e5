import { got, refuse } from '../errors.ts';
import type { PartColour } from './assorted.ts';
import { readOutline } from '../scene/own-outline.ts';
import { SHAPES } from '../scene/outlines.ts';
import {
	as,
	amount,
	choice,
	count,
	held,
	length,
	number,
	orBlank,
	percent,
	words,
	type Field
} from '../forms/fields.ts';
import { dayField } from '../forms/day-field.ts';
import { GROUNDS, type Ground } from '../document/ground.ts';
import type { Fields } from '../forms/merge-fields.ts';
import { readForm, type Errors, type ValuesOf } from '../forms/read-form.ts';
import type { FormContext } from '../forms/fields.ts';
import { SQUARE_FEET } from '../units/area.ts';
import { formatInches } from '../units/length.ts';
import { printMoney, printNumber } from '../units/print-number.ts';
import { rational, rationalText } from '../units/rational.ts';
import { SOFTNESS, VALVES, type MaterialFacts } from './facts.ts';
import { MATERIAL_KINDS, ROUND_NOMINALS, type Colour, type Material, type PriceBreak } from './material.ts';

const isShapeWord = (mark: string): boolean => (SHAPES as readonly string[]).includes(mark.toLowerCase());

/** What of the Stockroom a form is held to. */
export interface StockNow {
	readonly materials: readonly Pick<Material, 'id' | 'name'>[];
	readonly colours: readonly Pick<Colour, 'id'>[];
	readonly suppliers: readonly { readonly id: string }[];
}

/** How a supplier sells it: pieces in a pack and its price. */
const PACK = {
	count: count({ what: 'Pieces in a pack', min: 1, max: 100_000 }),
	/** A blank is not known; 0 is refused, because nothing bought is free. */
	price: orBlank(
		held(amount('The price'), (minor) =>
			minor === 0
				? 'A price of 0 would make it free. Leave the field blank while the price is not known.'
				: undefined
		),
		null
	),
	/** Comes back with the pack; a blank is none. */
	deposit: orBlank(amount('The deposit'), null)
};

/** Reads what a pack holds and costs. @returns pieces, and minor units; null is a price that is not known */
export const readPack = (typed: Fields, context: FormContext) => readForm(PACK, typed, context);

const figure = (what: string, max: number) =>
	orBlank(
		as(number({ what, min: 0.001, max }), (value) => value.valueOf()),
		null
	);

/** What a pack is counted in: tube and line by the foot, sheets by the square foot, gas and fillings by the litre. */
export const UNITS = ['piece', 'ft', SQUARE_FEET, 'L', 'dab'] as const;

/** The edge of a foil of a shape of its own, from an SVG; blank is drawn by its mark. */
const drawn = (kind: string | undefined): Field<string | null> =>
	orBlank<string, null>(
		{
			read(text) {
				const read = readOutline(text);
				if (!read.ok || kind === 'foil-shape') return read;
				return refuse(
					'refused',
					'Only a foil of a shape of its own has an outline. Choose that kind, or leave this blank.'
				);
			}
		},
		null
	);

const supplierField = (suppliers: StockNow['suppliers']) =>
	held(words({ what: 'A supplier', most: 64 }), (supplier) =>
		suppliers.some((s) => s.id === supplier) ? undefined : 'Choose a supplier.'
	);

/** What the maker says of it that its kind alone has; blank is not known. */
const FACTS = {
	valve: orBlank<(typeof VALVES)[number], null>(choice(VALVES, { say: 'How is it closed? Pick one, or leave it open.' }), null),
	softness: orBlank<(typeof SOFTNESS)[number], null>(choice(SOFTNESS, { say: 'Soft or firm? Pick one, or leave it open.' }), null),
	lift: figure('What it lifts', 100_000),
	wide: orBlank(length('How wide it stands', 'in'), null),
	deep: orBlank(length('How deep it stands', 'in'), null),
	ground: orBlank<Ground, null>(choice(GROUNDS, { say: 'What is it made for? Pick one, or leave it open.' }), null),
	holds: figure('What it holds', 1_000_000),
	set: orBlank(count({ what: 'Minutes until it holds', min: 1, max: 20_000 }), null),
	dry: orBlank(count({ what: 'Minutes until it is dry', min: 1, max: 20_000 }), null),
	cover: figure('What it covers', 100_000)
}; // prettier-ignore
const factsOf = (read: ValuesOf<typeof FACTS>): MaterialFacts => ({
	...(read.valve && { valve: read.valve }),
	...(read.softness && { softness: read.softness }),
	...(read.lift !== null && { liftGrams: read.lift }),
	...(read.wide !== null && { wide: read.wide }),
	...(read.deep !== null && { deep: read.deep }),
	...(read.ground && { ground: read.ground }),
	...(read.holds !== null && { holdsGrams: read.holds }),
	...(read.set !== null && { setMinutes: read.set }),
	...(read.dry !== null && { dryMinutes: read.dry }),
	...(read.cover !== null && { coverSqFt: read.cover })
});

/** What a material is, without its packs. @param typed `id` is its own, where it is there already */
const whatItIs = (typed: Fields, { materials, colours }: Pick<StockNow, 'materials' | 'colours'>) => {
	const isRound = typed.kind === 'latex-round';
	return {
		name: held(words({ what: 'A name', most: 120, missing: 'Give the material a name.' }), (name) =>
			materials.some((m) => m.name === name && m.id !== typed.id)
				? 'There is a material of that name already.'
				: undefined
		),
		kind: choice(MATERIAL_KINDS, { say: 'Choose a kind.' }),
		unit: choice(UNITS, { as: 'piece' }),
		nominal: held(orBlank(length('The size on the bag', 'in'), null), (nominal) =>
			nominal === null && isRound
				? `Which size is printed on the bag? ${ROUND_NOMINALS.join(', ')}.`
				: undefined
		),
		colour: held(words({ what: 'A colour', most: 64 }), (colour) =>
			colour !== '' && !colours.some((c) => c.id === colour)
				? 'That colour is not in the Stockroom.'
				: colour === '' && isRound
					? 'Choose its colour.'
					: undefined
		),
		safe: orBlank(length('The largest it is safe at', 'in'), null),
		loss: orBlank(
			as(percent('The loss', 90), (loss) => rationalText(loss.div(100))),
			null
		),
		// What a foil or modelling balloon is known by, and what its maker says of it; blank is not known.
		litres: figure('Litres one holds', 10_000),
		grams: figure('Grams one weighs', 100_000),
		chambers: orBlank(count({ what: 'Chambers', min: 1, max: 8 }), 1),
		outline: drawn(typed.kind),
		...FACTS,
		// A thing that comes back says how often it can be used; blank is used up.
		uses: orBlank(count({ what: 'Uses', min: 1, max: 10_000 }), null),
		resale: orBlank(amount('What it is sold for again'), 0),
		upkeep: orBlank(amount('Upkeep a use'), 0),
		gone: orBlank(percent('What never comes back', 90), rational(0)),
		mark: as(
			held(words({ what: 'A mark', most: 40 }), (mark) =>
				mark.length > 3 && !isShapeWord(mark)
					? `One letter or figure of a foil, points of a star, a model like 260, or a shape: ${SHAPES.join(', ')}.`
					: undefined
			),
			(mark) => (isShapeWord(mark) ? mark.toLowerCase() : mark.toUpperCase()) || null
		)
	};
};

/** A material as it was typed, with its first pack. */
export type TypedMaterial = Pick<
	Material,
	| 'kind'
	| 'name'
	| 'unit'
	| 'nominal'
	| 'colour'
	| 'loss'
	| 'reuse'
	| 'litres'
	| 'grams'
	| 'chambers'
	| 'mark'
	| 'outline'
	| 'safe'
	| 'facts'
> & {
	readonly supplier: string;
	readonly count: number;
	readonly price: number | null;
	readonly deposit: number | null;
};

/**
 * Reads a new material.
 * @param typed fields as typed; `id` is that of the form, so that it can be sent twice
 * @returns what it comes to, price in minor units; or a sentence for each field that cannot be read
 */
export const readMaterial = (typed: Fields, stock: StockNow, context: FormContext) =>
	read({ ...PACK, supplier: supplierField(stock.suppliers), ...whatItIs(typed, stock) }, typed, context) as
		{ readonly ok: true; readonly values: TypedMaterial } | NotRead;

type NotRead = { readonly ok: false; readonly errors: Errors };

/** Reads what a material is from now on. @param typed `id` is its own */
export const readMaterialChange = (
	typed: Fields,
	stock: Pick<StockNow, 'materials' | 'colours'>,
	context: FormContext
) =>
	read(whatItIs(typed, stock), typed, context) as
		| { readonly ok: true; readonly values: Omit<TypedMaterial, 'supplier' | 'count' | 'price' | 'deposit'> }
		| NotRead;

function read<F extends ReturnType<typeof whatItIs>>(form: F, typed: Fields, context: FormContext) {
	const found = readForm(form, typed, context);
	if (!found.ok) return found;
	const { uses, resale, upkeep, gone, valve, softness, lift, wide, deep, ground, holds, set, dry, cover, ...values } = found.values as ValuesOf<ReturnType<typeof whatItIs>>; // prettier-ignore
	if (uses === null && (resale > 0 || upkeep > 0 || !gone.equals(0)))
		return {
			ok: false,
			errors: {
				uses: 'How often can it be used? Leave the other fields of what comes back blank where it is used up.'
			}
		};
	const lost = gone.equals(0) ? {} : { loss: rationalText(gone.div(100)) };
	const reuse = uses === null ? null : { uses, resaleMinor: resale, upkeepMinor: upkeep, ...lost };
	const facts = factsOf({ valve, softness, lift, wide, deep, ground, holds, set, dry, cover });
	return { ok: true, values: { ...values, facts, reuse, colour: values.colour || null } };
}

/** A material as the fields of its form: read again it comes to the same. */
export function materialFields(
	m: Material,
	{ decimal }: { readonly decimal: '.' | ',' }
): Record<string, string> {
	const style = { decimal };
	const share = (text: string | null | undefined) =>
		text == null ? '' : printNumber(rational(text).mul(100), style);
	const plain = (value: number | null) =>
		value === null ? '' : printNumber(rational(Math.round(value * 1000), 1000), style);
	return {
		id: m.id,
		name: m.name,
		kind: m.kind,
		unit: m.unit,
		nominal: m.nominal === null ? '' : formatInches(m.nominal),
		safe: m.safe === null ? '' : formatInches(m.safe),
		colour: m.colour ?? '',
		loss: share(m.loss),
		mark: m.mark ?? '',
		litres: plain(m.litres),
		grams: plain(m.grams),
		chambers: String(m.chambers),
		outline: m.outline ?? '',
		valve: m.facts?.valve ?? '',
		softness: m.facts?.softness ?? '',
		lift: plain(m.facts?.liftGrams ?? null),
		wide: m.facts?.wide === undefined ? '' : formatInches(m.facts.wide),
		deep: m.facts?.deep === undefined ? '' : formatInches(m.facts.deep),
		ground: m.facts?.ground ?? '',
		holds: plain(m.facts?.holdsGrams ?? null),
		set: String(m.facts?.setMinutes ?? ''),
		dry: String(m.facts?.dryMinutes ?? ''),
		cover: plain(m.facts?.coverSqFt ?? null),
		uses: m.reuse ? String(m.reuse.uses) : '',
		resale: m.reuse && m.reuse.resaleMinor > 0 ? printMoney(m.reuse.resaleMinor, style) : '',
		upkeep: m.reuse && m.reuse.upkeepMinor > 0 ? printMoney(m.reuse.upkeepMinor, style) : '',
		gone: share(m.reuse?.loss)
	};
}

/** `5 at 15.20; 10 at 14.00`: from so many packs on, a pack for so much. */
const breaks: Field<readonly PriceBreak[] | null> = {
	read(text, context) {
		const found: PriceBreak[] = [];
		for (const part of text.split(/[;\n]/).filter((p) => p.trim() !== '')) {
			const said = /^\s*(\d+)\s*(?:at|:|@|x)\s*(\S.*)$/i.exec(part);
			const price = said && amount('A price').read(said[2]!, context);
			const from = Number(said?.[1]);
			if (!price?.ok || from < 2 || from > 100_000 || price.value === 0)
				return refuse(
					'refused',
					`“${part.trim().slice(0, 40)}” is no price break. Type from how many packs on and the price of one, like “5 at 15.20; 10 at 14.00”.`
				);
			found.push({ from, priceMinor: price.value });
		}
		found.sort((a, b) => a.from - b.from);
		if (found.some((b, i) => b.from === found[i - 1]?.from))
			return refuse('refused', 'Two breaks begin at as many packs. Keep one of them.');
		return found.length > 12
			? refuse('too-big', 'At most 12 price breaks.')
			: got(found.length === 0 ? null : found);
	}
};
export const printBreaks = (
	of: readonly PriceBreak[] | undefined,
	style: { readonly decimal: '.' | ',' }
): string => (of ?? []).map((b) => `${b.from} at ${printMoney(b.priceMinor, style)}`).join('; ');

/** Reads a pack whole: what it holds and costs, who sells it under which name and code, since when and until when. */
export function readWholePack(
	typed: Fields,
	{ suppliers }: Pick<StockNow, 'suppliers'>,
	context: FormContext
) {
	const form = {
		...PACK,
		supplier: supplierField(suppliers),
		suppliersName: words({ what: 'The supplier’s name for it', most: 120 }),
		code: words({ what: 'The order code', most: 60 }),
		since: dayField('Since when'),
		until: dayField('The end of the sale'),
		breaks
	};
	const found = readForm(form, typed, context);
	if (!found.ok) return found;
	const { supplier: supplierId, price: priceMinor, deposit: depositMinor, ...rest } = found.values;
	return {
		ok: true as const,
		values: {
			...rest,
			supplierId,
			priceMinor,
			depositMinor,
			usual: typed.usual === 'on',
			ended: typed.ended === 'on'
		}
	};
}

/** Reads a supplier: its name, what sending costs and from how much on nothing, days to the door; blanks are not known. */
export const readSupplier = (
	typed: Fields,
	context: FormContext,
	others: readonly { readonly id: string; readonly name: string }[]
) =>
	readForm(
		{
			name: held(words({ what: 'A name', most: 80, missing: 'What is the supplier called?' }), (name) =>
				others.some((s) => s.name.toLowerCase() === name.toLowerCase() && s.id !== typed.supplier)
					? 'There is a supplier of that name already.'
					: undefined
			),
			shipping: orBlank(amount('What sending costs'), null),
			freeFrom: orBlank(amount('From how much it is sent for nothing'), null),
			lead: orBlank(count({ what: 'Days to the door', min: 0, max: 365 }), null)
		},
		typed,
		context
	);

const COLOUR = {
	name: held(words({ what: 'A name', most: 60 }), (name) =>
		name === '' || /[^\p{L}\s'-]/u.test(name)
			? 'A colour’s name is made of letters, like “harbour blue”.'
			: undefined
	),
	hex: held(
		as(words({ what: 'A colour', most: 7 }), (hex) => hex.toLowerCase()),
		(hex) => (/^#[0-9a-f]{6}$/.test(hex) ? undefined : 'Choose how it looks.')
	)
};

/** Most colours an assorted bag is made of. */
export const MOST_ASSORTED = 24;

/** The colours of an assorted bag, by their ids one after the other; one said twice has twice the share. Blank is one colour. */
const assorted = (colours: readonly Colour[]): Field<readonly PartColour[] | null> => ({
	read(text) {
		const ids = text.split(',').filter(Boolean);
		if (ids.length === 0) return got(null);
		const parts = new Map<string, number>();
		for (const id of ids) parts.set(id, (parts.get(id) ?? 0) + 1);
		const of = [...parts].flatMap(([id, share]) => {
			const own = colours.find((c) => c.id === id && !c.of);
			return own ? [{ colour: id, parts: share, hex: own.hex }] : [];
		});
		if (of.length < parts.size)
			return refuse('unknown-word', 'One of those colours is not in the Stockroom, or is an assorted bag itself. Pick it again.');
		if (of.length < 2) return refuse('too-small', 'An assorted bag has two colours or more. Pick another, or none for a colour by itself.');
		if (of.length > MOST_ASSORTED) return refuse('too-big', `An assorted bag has at most ${MOST_ASSORTED} colours.`);
		return got(of);
	}
}); // prettier-ignore

/** Reads a new colour: its name, how it looks as `#rrggbb`, and what an assorted one is made of. @param colours of the Stockroom */
export function readColour(typed: Fields, context: FormContext, colours: readonly Colour[] = []) {
	const read = readForm({ ...COLOUR, of: assorted(colours) }, typed, context);
	if (!read.ok) return read;
	const { of, ...own } = read.values;
	// It looks like what most of it is.
	const most = of?.reduce((a, p) => (p.parts > a.parts ? p : a));
	return { ok: true as const, values: of && most ? { ...own, hex: most.hex, of } : own };
}
