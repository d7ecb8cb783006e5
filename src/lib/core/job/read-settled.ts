import { GROUNDS, type Ground } from '../document/ground.ts';
import type { Id } from '../document/id.ts';
import { number, orBlank, type FormContext } from '../forms/fields.ts';
import type { Fields } from '../forms/merge-fields.ts';
import { readForm } from '../forms/read-form.ts';
import { LEFT_OUT } from '../quote/own-slots.ts';
import type { OpenPart } from '../structures/facets/settle.ts';
import { rationalText, type Rational } from '../units/rational.ts';
import type { Settled, SettledLine } from './settled.ts';

/** A line as its fields are read: how it stands on the quote, and what may be settled of it. */
export interface SettleAbout {
	readonly id: Id;
	readonly wasOn: boolean;
	readonly ground: Ground | undefined;
	/** The colour of each slot on the quote: an id, `left out`, or blank where it is open. */
	readonly slots: readonly { readonly id: Id; readonly was: string }[];
	readonly parts: readonly OpenPart[];
}

/** Names of the fields of a line. */
export const SETTLE_FIELD = {
	on: (line: Id) => `on ${line}`,
	ground: (line: Id) => `ground ${line}`,
	slot: (line: Id, slot: Id) => `slot ${line} ${slot}`,
	count: (line: Id, part: Id) => `count ${line} ${part}`,
	part: (line: Id, part: Id) => `part ${line} ${part}`
};

/** Most of an estimate that is settled: an infill a foot, a line in all. A slip beyond. */
const MOST = { infill: 200, line: 100_000 } as const;

type Read = { readonly ok: true; readonly settled: Settled } | { readonly ok: false; readonly errors: Readonly<Record<string, string>> }; // prettier-ignore

/**
 * What was settled, out of its form; what stands as on the quote is not settled.
 * @param colours ids of colours there are
 * @returns a sentence for each field that cannot be read
 */
export function readSettled(typed: Fields, lines: readonly SettleAbout[], colours: ReadonlySet<string>, context: FormContext): Read {
	const errors: Record<string, string> = {};
	const found: Record<Id, SettledLine> = {};
	for (const line of lines) {
		const own = lineOf(typed, line, colours, context, errors);
		if (Object.keys(own).length > 0) found[line.id] = own;
	}
	return Object.keys(errors).length > 0 ? { ok: false, errors } : { ok: true, settled: found };
} // prettier-ignore

function lineOf(typed: Fields, { id, wasOn, ground: usual, slots, parts }: SettleAbout, colours: ReadonlySet<string>, context: FormContext, errors: Record<string, string>): SettledLine {
	const isOn = typed[SETTLE_FIELD.on(id)];
	const ground = GROUNDS.find((g) => g === typed[SETTLE_FIELD.ground(id)]);
	const colour: Record<Id, string> = {};
	for (const { id: slot, was } of slots) {
		const field = SETTLE_FIELD.slot(id, slot);
		const to = typed[field] ?? was;
		// What was open and stays open is not settled; a colour cannot be unchosen any more.
		if (to === was || to === '') continue;
		if (to !== LEFT_OUT && !colours.has(to)) errors[field] = 'That colour is not in the Stockroom any more. Pick another.';
		else colour[slot] = to;
	}
	const settled: Record<Id, { count?: string; slot?: Id }> = {};
	for (const { id: part, what } of parts) {
		const field = SETTLE_FIELD.count(id, part);
		const asked = orBlank(number({ what: what === 'infill' ? 'How many a foot' : 'How many', min: 0, max: MOST[what] }), null);
		const read = readForm({ [field]: asked }, { [field]: typed[field] ?? '' }, context);
		if (!read.ok) Object.assign(errors, read.errors);
		const count = read.ok ? (read.values[field] as Rational | null) : null;
		const slot = typed[SETTLE_FIELD.part(id, part)] ?? '';
		if (slot !== '' && !slots.some((s) => s.id === slot)) errors[SETTLE_FIELD.part(id, part)] = 'That colour is not one of this design. Pick another.';
		if (count === null && slot === '') continue;
		settled[part] = { ...(count !== null && { count: rationalText(count) }), ...(slot !== '' && { slot }) };
	}
	return {
		...(isOn !== undefined && (isOn === 'yes') !== wasOn && { isOn: isOn === 'yes' }),
		...(ground !== undefined && ground !== usual && { ground }),
		...(Object.keys(colour).length > 0 && { slots: colour }),
		...(Object.keys(settled).length > 0 && { parts: settled })
	};
} // prettier-ignore
