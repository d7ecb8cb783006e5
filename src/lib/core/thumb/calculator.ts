import { got, refuse, type Parsed } from '../errors.ts';
import { parseBounded, type NumberStyle } from '../units/number.ts';
import { parseLength } from '../units/length.ts';
import { parseQuantity, type Dimension, type UnitOf } from '../units/quantity.ts';

/** What is typed into a calculator. */
export type Input =
	| { readonly kind: 'length'; readonly name: string; readonly label: string; readonly start: string }
	| {
			readonly kind: 'number';
			readonly name: string;
			readonly label: string;
			readonly start: string;
			readonly min: number;
			readonly max: number;
			readonly unit?: string;
			/** A blank is 0: nothing of it. */
			readonly blank?: 'nothing';
	  }
	| {
			readonly kind: 'quantity';
			readonly name: string;
			readonly label: string;
			readonly start: string;
			readonly dimension: Dimension;
			readonly unit: UnitOf<Dimension>;
			readonly min: number;
			readonly max: number;
			readonly between: string;
	  }
	| {
			readonly kind: 'choice';
			readonly name: string;
			readonly label: string;
			readonly start: string;
			readonly options: readonly (readonly [value: string, words: string])[];
	  };

/** Values read: lengths in mm, quantities in K, g, m, L; choices as their words. */
export interface Values {
	readonly n: Readonly<Record<string, number>>;
	readonly s: Readonly<Record<string, string>>;
}

export interface ResultLine {
	readonly label: string;
	readonly text: string;
	/** The answer, before what leads to it. */
	readonly main?: boolean;
	readonly level?: 'good' | 'watch' | 'bad';
}

/** What is looked at rather than read. */
export interface ResultChart {
	readonly across: string;
	readonly up: string;
	readonly series: readonly {
		readonly name: string;
		readonly points: readonly (readonly [number, number])[];
	}[];
	/** Where the answer stands. */
	readonly here?: readonly [number, number];
}

export interface Result {
	readonly lines: readonly ResultLine[];
	readonly chart?: ResultChart;
	/** What the entry line of the Bench takes for it. */
	readonly say?: string;
}

/** A stand-alone rule of thumb: one definition value each, listed in `calculators.ts`. */
export interface Calculator {
	readonly id: string;
	readonly name: string;
	/** The question it answers, as a maker asks it. */
	readonly asks: string;
	readonly inputs: readonly Input[];
	readonly work: (values: Values) => Result;
	readonly formula: string;
	readonly source: string;
	readonly limits: string;
}

/** Reads what was typed. @returns every value, or a sentence for each field that cannot be read */
export function readInputs(
	{ inputs }: Calculator,
	typed: Readonly<Record<string, string>>,
	style: NumberStyle
):
	| { readonly ok: true; readonly values: Values }
	| { readonly ok: false; readonly errors: Readonly<Record<string, string>> } {
	const n: Record<string, number> = {};
	const s: Record<string, string> = {};
	const errors: Record<string, string> = {};
	for (const input of inputs) {
		const text = typed[input.name] ?? input.start;
		if (input.kind === 'choice') {
			s[input.name] = input.options.find(([value]) => value === text)?.[0] ?? input.start;
			continue;
		}
		const read = readOne(input, text, style);
		if (read.ok) n[input.name] = read.value;
		else errors[input.name] = read.say;
	}
	return Object.keys(errors).length > 0 ? { ok: false, errors } : { ok: true, values: { n, s } };
}

function readOne(
	input: Exclude<Input, { kind: 'choice' }>,
	text: string,
	style: NumberStyle
): Parsed<number> {
	switch (input.kind) {
		case 'length': {
			const read = parseLength(text, 'in', style);
			if (!read.ok) return read;
			return read.value.um === 0
				? refuse('too-small', `${input.label} must be above 0.`)
				: got(read.value.um / 1000);
		}
		case 'number': {
			if (input.blank === 'nothing' && text.trim() === '') return got(0);
			const read = parseBounded(text, { what: input.label, min: input.min, max: input.max, unit: input.unit ? ` ${input.unit}` : '' }, style); // prettier-ignore
			return read.ok ? got(read.value.valueOf()) : read;
		}
		case 'quantity':
			return parseQuantity(text, { ...input, what: input.label }, style);
	}
}
