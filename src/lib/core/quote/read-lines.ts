import type { Ground } from '../document/ground.ts';
import { got } from '../errors.ts';
import {
	amount,
	count,
	held,
	orBlank,
	percent,
	words,
	type Field,
	type FormContext
} from '../forms/fields.ts';
import type { Fields } from '../forms/merge-fields.ts';
import { readForm } from '../forms/read-form.ts';
import { figureKept, figureText, METHODS, type LineMethod } from '../pricing/methods.ts';
import { methodField } from '../pricing/method-field.ts';
import type { NumberStyle } from '../units/number.ts';
import { printMoney, printNumber } from '../units/print-number.ts';
import { rational, rationalText, type Rational } from '../units/rational.ts';
import { inOrder, MOST_LEVELS, type LineAbout, type Offered, type TypedLine } from './choices.ts';
import type { LineWay } from './quote.ts';

/** A line of a quote as it stands in its fields: of a design, or without a version one that is none. */
export interface RawLine {
	readonly id: string;
	/** Blank is no design: a fee, something hired out. */
	readonly versionId: string;
	readonly colourwayId: string;
	readonly sizeId: string;
	readonly quantity: string;
	/** As its design says (or the quote, where that says nothing), as the quote, or its own with its figure. */
	readonly way: 'own' | 'quote' | LineMethod;
	readonly percent: string;
	/** What it is, what one is charged at and costs, and what of the Stockroom it is: of what is no design. */
	readonly label: string;
	readonly price: string;
	readonly cost: string;
	readonly material: string;
	readonly stands: 'always' | 'add-on' | 'one of';
	readonly group: string;
	/** Levels it is left out of. */
	readonly notIn: readonly string[];
	readonly heading: string;
	readonly note: string;
	/** Its own rate of tax; blank is the quote's. */
	readonly tax: string;
	/** What it stands on there; blank is as usual. */
	readonly ground: '' | Ground;
	/** Colours of its own by slot; blank is as in its colourway. */
	readonly slots: Readonly<Record<string, string>>;
}

/** What is said of a line where nobody has said anything. */
export const PLAIN_LINE = {
	colourwayId: '',
	sizeId: '',
	quantity: '1',
	way: 'own',
	percent: '',
	label: '',
	price: '',
	cost: '',
	material: '',
	stands: 'always',
	group: '',
	notIn: [],
	heading: '',
	note: '',
	tax: '',
	ground: '',
	slots: {}
} as const satisfies Omit<RawLine, 'id' | 'versionId'>;

/** Fields of a line that can be read wrongly. */
export const LINE_FIELDS = [
	'quantity',
	'percent',
	'label',
	'price',
	'cost',
	'group',
	'heading',
	'note',
	'tax'
] as const;
export type LineField = `${(typeof LINE_FIELDS)[number]} ${string}`;

/** A design on a quote, as it is stored. */
export interface ReadLine {
	readonly id: string;
	readonly versionId: string;
	readonly colourwayId: string | null;
	readonly sizeId: string | null;
	readonly quantity: number;
	readonly way: LineWay | null;
}

/** `Good, Better, Best`: levels in their order. @returns a sentence where they are none */
export function readLevels(text: string): readonly string[] | string {
	const levels = text.split(/[,;]/).flatMap((l) => l.trim() || []);
	if (levels.length === 1)
		return 'One level is no choice. Type at least two, like “Good, Better, Best”, or none.';
	if (levels.length > MOST_LEVELS) return `At most ${MOST_LEVELS} levels can be told apart.`;
	if (new Set(levels.map((l) => l.toLowerCase())).size < levels.length)
		return 'Two levels have one name. Give each its own.';
	return levels.some((l) => l.length > 40) ? 'A level is called by up to 40 letters.' : levels;
}

const skip = { read: () => got(null) } satisfies Field<null>;
/** Said only where a line is one of several: a name that keeps them together. */
const groupField = ({ stands }: RawLine) =>
	stands === 'one of'
		? words({
				what: 'What it is a choice of',
				most: 60,
				missing: 'What is it a choice of? Type a word, like “topper”.'
			})
		: words({ what: 'A choice', most: 60 });

const lineForm = (line: RawLine) => ({
	quantity: count({ what: 'How many', min: 1, max: 999 }),
	percent:
		line.way === 'own' || line.way === 'quote'
			? skip
			: methodField(line.way, `${METHODS[line.way].what} of this line`),
	group: groupField(line),
	heading: words({ what: 'A heading', most: 80 }),
	note: words({ what: 'A note', most: 500 }),
	tax: orBlank(percent('The tax on this line', 100), null)
});

const typedForm = (line: RawLine) => ({
	quantity: count({ what: 'How many', min: 1, max: 999 }),
	label: words({ what: 'The line', most: 120, missing: 'What is it? Type what the client reads.' }),
	price: held(orBlank(amount('The price'), null), (minor) =>
		minor === null && line.cost.trim() === '' && line.material === ''
			? 'Type what one is charged at; 0 where it is free.'
			: undefined
	),
	cost: orBlank(amount('What it costs you'), null),
	group: groupField(line),
	heading: words({ what: 'A heading', most: 80 }),
	note: words({ what: 'A note', most: 500 }),
	tax: orBlank(percent('The tax on this line', 100), null)
});

/** What is said of a line besides what it is; undefined where that is nothing. */
function aboutOf(line: RawLine, levels: readonly string[], tax: Rational | null): LineAbout | undefined {
	const inLevels = levels.filter((l) => !line.notIn.includes(l));
	const group = line.group.trim();
	const slots = Object.fromEntries(Object.entries(line.slots).filter(([, colour]) => colour !== ''));
	const about: LineAbout = {
		...(line.stands === 'add-on' ? { addOn: true } : {}),
		...(line.stands === 'one of' && group ? { group } : {}),
		...(inLevels.length < levels.length && inLevels.length > 0 ? { levels: inLevels } : {}),
		...(line.heading.trim() ? { heading: line.heading.trim() } : {}),
		...(line.note.trim() ? { note: line.note.trim() } : {}),
		...(tax === null ? {} : { tax: rationalText(tax) }),
		...(line.ground !== '' && line.versionId !== '' ? { ground: line.ground } : {}),
		...(Object.keys(slots).length > 0 && line.versionId !== '' ? { slots } : {})
	};
	return Object.keys(about).length > 0 ? about : undefined;
}

/** Reads the lines of a quote. @returns a sentence for each field that cannot be read */
export function readLines(
	raw: readonly RawLine[],
	levels: readonly string[],
	context: FormContext
): {
	readonly errors: Partial<Record<LineField, string>>;
	readonly lines: ReadLine[];
	readonly offered: Offered;
} {
	const errors: Partial<Record<LineField, string>> = {};
	const lines: ReadLine[] = [];
	const typed: TypedLine[] = [];
	const about: Record<string, LineAbout> = {};
	for (const line of raw) {
		const fields = line as unknown as Fields;
		const isTyped = line.versionId === '';
		const read = isTyped
			? readForm(typedForm(line), fields, context)
			: readForm(lineForm(line), fields, context);
		if (!read.ok) {
			for (const [field, say] of Object.entries(read.errors))
				errors[`${field} ${line.id}` as LineField] = say;
			continue;
		}
		const v = read.values;
		if ('label' in v)
			typed.push({ id: line.id, label: v.label, quantity: v.quantity, priceMinor: v.price, costMinor: v.cost, material: line.material || null }); // prettier-ignore
		else lines.push(designLine(line, v));
		const own = aboutOf(line, levels, v.tax);
		if (own) about[line.id] = own;
	}
	const offered: Offered = {
		...(levels.length > 0 ? { levels } : {}),
		...(Object.keys(about).length > 0 ? { about } : {}),
		...(typed.length > 0 ? { typed, order: raw.map((l) => l.id) } : {})
	};
	return { errors, lines, offered };
}

function designLine(
	{ id, versionId, colourwayId, sizeId, way }: RawLine,
	{ quantity, percent }: { readonly quantity: number; readonly percent: ReturnType<typeof rational> | null }
): ReadLine {
	return {
		id,
		versionId,
		colourwayId: colourwayId || null,
		sizeId: sizeId || null,
		quantity,
		way:
			way === 'own' || way === 'quote' || percent === null
				? way === 'quote'
					? way
					: null
				: { method: way, percent: figureKept(way, percent) }
	};
}

/** Lines as their fields are filled with them, in the order they are read. */
export function printLines(lines: readonly ReadLine[], offered: Offered, style: NumberStyle): RawLine[] {
	const number = (text: string) => printNumber(rational(text), style);
	const { about = {}, typed = [], levels = [] } = offered;
	const said = (id: string) => {
		const { addOn, group, levels: own, heading = '', note = '', tax, ground, slots = {} } = about[id] ?? {};
		return {
			stands: addOn ? ('add-on' as const) : group === undefined ? ('always' as const) : ('one of' as const),
			group: group ?? '',
			notIn: own ? levels.filter((l) => !own.includes(l)) : [],
			heading,
			note,
			tax: tax === undefined ? '' : number(tax),
			ground: ground ?? ('' as const),
			slots
		};
	};
	const designs = lines.map(({ id, versionId, colourwayId, sizeId, quantity, way }): RawLine => ({
		...PLAIN_LINE,
		...said(id),
		id,
		versionId,
		colourwayId: colourwayId ?? '',
		sizeId: sizeId ?? '',
		quantity: String(quantity),
		way: way === null ? 'own' : way === 'quote' ? 'quote' : way.method,
		percent: way === null || way === 'quote' ? '' : number(figureText(way.method, way.percent))
	}));
	const others = typed.map(({ id, label, quantity, priceMinor, costMinor, material }): RawLine => ({
		...PLAIN_LINE,
		...said(id),
		id,
		versionId: '',
		quantity: String(quantity),
		label,
		price: printMoney(priceMinor, style),
		cost: printMoney(costMinor, style),
		material: material ?? ''
	}));
	const all = [...designs, ...others];
	const byId = new Map(all.map((l) => [l.id, l]));
	return inOrder(
		all.map((l) => l.id),
		offered.order
	).map((id) => byId.get(id)!);
}
