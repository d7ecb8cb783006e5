import { got, refuse, type Parsed } from '../errors.ts';
import { amount, choice, held, orBlank, words, type Field, type FormContext } from '../forms/fields.ts';
import { dayField } from '../forms/day-field.ts';
import type { Fields } from '../forms/merge-fields.ts';
import { readForm } from '../forms/read-form.ts';
import { parseBounded, type NumberStyle } from '../units/number.ts';
import { LOSS_CAUSES, MOVE_KINDS, MOVE_WAY, type LossCause, type Move } from './ledger.ts';

/** Most of a material at once, pieces. */
const MOST = 1_000_000;

/** `34`, `2 bags`, `2 bags and 34`: thousandths. @param pack pieces in a bag, where it is sold in bags */
export function readQuantity(text: string, pack: number | undefined, style: NumberStyle, least: 0 | 0.001 = 0.001): Parsed<number> {
	const said = /^\s*(?:(\S+)\s*(?:bags?|packs?)(?:\s*(?:and|\+|,)\s*(?=\S))?)?\s*(\S.*)?$/i.exec(text);
	const [bagText, restText] = [said?.[1], said?.[2]?.trim()];
	if (!bagText && !restText) return refuse('missing', 'How many? Type a number, or “2 bags”.');
	if (bagText && pack === undefined) return refuse('refused', 'It is in no bags here. Type how many there are.');
	const read = (part: string | undefined, what: string, min: number) =>
		part === undefined ? got(undefined) : parseBounded(part, { what, min, max: MOST }, style);
	const [bags, rest] = [read(bagText, 'Bags', 0), read(restText, 'How many', bagText ? 0 : least)];
	if (!bags.ok) return bags;
	if (!rest.ok) return rest;
	const pieces = (bags.value?.valueOf() ?? 0) * (pack ?? 0) + (rest.value?.valueOf() ?? 0);
	return pieces > MOST ? refuse('too-big', `At most ${MOST.toLocaleString('en')} at once.`) : got(Math.round(pieces * 1000));
} // prettier-ignore

/**
 * Reads a movement. What leaves is typed as a plain number; `moved` says which way.
 * @param pack pieces in a bag @param today `YYYY-MM-DD`, where no day is said @param suppliers who may have sold it
 */
export function readMove(
	typed: Fields,
	{ pack, today, suppliers }: { readonly pack: number | undefined; readonly today: string; readonly suppliers: readonly { readonly id: string }[] }, // prettier-ignore
	context: FormContext
) {
	const quantity: Field<number> = { read: (text, { style }) => readQuantity(text, pack, style) };
	const read = readForm(
		{
			kind: choice(
				MOVE_KINDS.filter((k) => k !== 'counted'),
				{ say: 'What happened to it?' }
			),
			quantity,
			cost: orBlank(amount('What it cost'), null),
			day: dayField('The day'),
			note: words({ what: 'A note', most: 200 }),
			cause: orBlank<LossCause, null>(
				choice(LOSS_CAUSES, { say: 'Pick why it was lost, or leave it open.' }),
				null
			),
			batch: words({ what: 'A lot', most: 40 }),
			supplier: held(words({ what: 'A supplier', most: 64 }), (id) =>
				id === '' || suppliers.some((s) => s.id === id) ? undefined : 'Pick the supplier again.'
			)
		},
		typed,
		context
	);
	if (!read.ok) return read;
	const { kind, quantity: thousandths, cost, day, note, cause, batch, supplier } = read.values;
	if (day !== null && day > today)
		return { ok: false as const, errors: { day: 'That day is still to come. Write it when it is there.' } };
	const way = MOVE_WAY[kind] || (typed.away === 'on' ? -1 : 1);
	const move: Omit<Move, 'id'> = {
		kind,
		thousandths: way * thousandths,
		costMinor: way > 0 ? cost : null,
		day: day ?? today,
		note,
		...(kind === 'lost' && cause !== null && { cause }),
		...(batch && { batch }),
		...(supplier && { supplier })
	};
	return { ok: true as const, values: move };
}

/** What a count sheet says: of each material a number, or bags and a number; a blank is not counted. */
export function readCountSheet(
	typed: Fields,
	materials: readonly { readonly id: string; readonly pack: number | undefined }[],
	style: NumberStyle
) {
	const found: { material: string; thousandths: number }[] = [];
	const errors: Record<string, string> = {};
	for (const { id, pack } of materials) {
		const text = typed[`at.${id}`] ?? '';
		if (text.trim() === '') continue;
		const read = readQuantity(text, pack, style, 0);
		if (read.ok) found.push({ material: id, thousandths: read.value });
		else errors[`at.${id}`] = read.say;
	}
	if (Object.keys(errors).length > 0) return { ok: false as const, errors };
	if (found.length === 0)
		return { ok: false as const, errors: { sheet: 'Nothing is counted yet. Type what is there beside one of them; 0 is none.' } }; // prettier-ignore
	return { ok: true as const, found };
}
