import { as, choice, length, number, orBlank, quantity, type Field } from '../forms/fields.ts';
import type { Fields } from '../forms/merge-fields.ts';
import { readForm, type Errors } from '../forms/read-form.ts';
import type { NumberStyle } from '../units/number.ts';
import type { Dimension, UnitOf } from '../units/quantity.ts';

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

/** What reads an input: its kind as a field. */
function fieldOf(input: Input): Field<number | string> {
	switch (input.kind) {
		case 'length':
			return as(length(input.label, 'in'), (um) => um / 1000);
		case 'number': {
			const { label, min, max, unit, blank } = input;
			const own = as(number({ what: label, min, max, unit: unit ? ` ${unit}` : '' }), (value) =>
				value.valueOf()
			);
			return blank === 'nothing' ? orBlank(own, 0) : own;
		}
		case 'quantity':
			return quantity({ ...input, what: input.label });
		case 'choice':
			return choice(
				input.options.map(([value]) => value),
				{ as: input.start }
			);
	}
}

/** Reads what was typed. @returns every value, or a sentence for each field that cannot be read */
export function readInputs(
	{ inputs }: Calculator,
	typed: Fields,
	style: NumberStyle
): { readonly ok: true; readonly values: Values } | { readonly ok: false; readonly errors: Errors } {
	const form = Object.fromEntries(inputs.map((input) => [input.name, fieldOf(input)]));
	const started = Object.fromEntries(inputs.map(({ name, start }) => [name, typed[name] ?? start]));
	const read = readForm(form, started, { style, currency: 'USD' });
	if (!read.ok) return read;
	const all = Object.entries(read.values);
	const n = Object.fromEntries(all.filter(([, v]) => typeof v === 'number')) as Record<string, number>;
	const s = Object.fromEntries(all.filter(([, v]) => typeof v === 'string')) as Record<string, string>;
	return { ok: true, values: { n, s } };
}
