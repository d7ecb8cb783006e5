import { WORK_PHASES } from '../labour/pace.ts';
import { got, refuse, type Parsed } from '../errors.ts';
import {
	amount,
	choice,
	count,
	number,
	orBlank,
	words,
	type Field,
	type FormContext
} from '../forms/fields.ts';
import type { Fields } from '../forms/merge-fields.ts';
import { readForm, type Errors } from '../forms/read-form.ts';
import { LOSS_CAUSES } from '../stock/ledger.ts';
import { parseNumber } from '../units/number.ts';
import { rational, rationalText } from '../units/rational.ts';
import { MOST_COSTS, type CountOf, type CountedMaterial, type CountedTime, type JobCounted } from './counted.ts'; // prettier-ignore

/** A week of one person: more is a slip of the pen. Minutes. */
const LONGEST = 7 * 24 * 60;

/** How long something took: `2:30`, `2.5 h`, `150 min`; a bare number could be either and is refused. Whole minutes. */
export const spell = (what: string): Field<number> => ({
	read(text, { style }): Parsed<number> {
		const typed = text.trim().toLowerCase();
		const clock = /^(\d{1,3}):(\d{2})$/.exec(typed);
		const said = /^(\S+?)\s*(h|hours?|min|mins|minutes?)$/.exec(typed);
		const value = said ? parseNumber(said[1]!, style) : undefined;
		const minutes = clock && Number(clock[2]) < 60 ? Number(clock[1]) * 60 + Number(clock[2]) : value?.ok ? Math.round(value.value.valueOf() * (said![2]!.startsWith('h') ? 60 : 1)) : NaN; // prettier-ignore
		if (!Number.isFinite(minutes) || minutes < 0)
			return refuse('refused', `${what} is hours and minutes: 2:30, 2.5 h or 150 min.`);
		return minutes > LONGEST
			? refuse('too-big', `${what} is at most a week. Look at it again.`)
			: got(minutes);
	}
});

/** Names of the fields of a count; what is typed comes back under them. */
export const COUNT_FIELD = {
	took: (material: string) => `took.${material}`,
	lost: (material: string) => `lost.${material}`,
	cause: (material: string) => `cause.${material}`,
	time: (phase: string, person: string) => `time.${phase}.${person}`,
	cost: (at: number) => `cost.${at}`,
	paid: (at: number) => `paid.${at}`
};

const said = (typed: Fields, name: string): boolean => (typed[name] ?? '').trim() !== '';

/**
 * Reads the count of a whole job. What is left blank is not counted: missing, never nothing.
 * @param about what it may take, and ids of who works here; blank is who is not written down
 * @returns the count, or a sentence for each field that cannot be read
 */
export function readCounted(
	typed: Fields,
	about: { readonly counts: readonly CountOf[]; readonly people: readonly string[]; readonly day: string },
	context: FormContext
): { readonly ok: true; readonly counted: JobCounted } | { readonly ok: false; readonly errors: Errors } {
	const errors: Record<string, string> = {};
	const read = <V>(name: string, field: Field<V>): V | undefined => {
		const one = readForm({ [name]: field }, typed, context);
		if (one.ok) return one.values[name] as V;
		Object.assign(errors, one.errors);
		return undefined;
	};
	const materials = about.counts.flatMap((c): CountedMaterial[] => materialOf(c, typed, { read, errors }));
	const times = WORK_PHASES.flatMap((phase) =>
		['', ...about.people].flatMap((person): CountedTime[] => {
			const name = COUNT_FIELD.time(phase, person);
			if (!said(typed, name)) return [];
			const minutes = read(name, spell('The time'));
			return minutes === undefined ? [] : [{ phase, person: person || null, minutes }];
		})
	);
	const costs = Array.from({ length: MOST_COSTS }, (_, at) => at).flatMap((at) => {
		const [what, paid] = [COUNT_FIELD.cost(at), COUNT_FIELD.paid(at)];
		if (!said(typed, what) && !said(typed, paid)) return [];
		const label = read(what, words({ what: 'What it was for', most: 80, missing: 'What was it paid for?' }));
		const minor = read(paid, amount('What was paid'));
		return label === undefined || minor === undefined ? [] : [{ label, minor }];
	});
	const miles = read('miles', orBlank(number({ what: 'The way', min: 0, max: 20_000 }), null));
	const note = read('note', words({ what: 'A note', most: 2000 })) ?? '';
	if (Object.keys(errors).length > 0) return { ok: false, errors };
	if (materials.length + times.length + costs.length === 0 && miles === null)
		return { ok: false, errors: { note: 'Nothing was counted. Type what it took, or how long, beside a line.' } };
	return { ok: true, counted: { day: about.day, materials, times, miles: miles?.valueOf() ?? null, costs, leftOut: typed.leftOut !== undefined, note } };
} // prettier-ignore

interface Reading {
	readonly read: <V>(name: string, field: Field<V>) => V | undefined;
	readonly errors: Record<string, string>;
}

/** What was typed of one material; none where both its fields are blank. */
function materialOf({ material, used, isBack, unit }: CountOf, typed: Fields, { read, errors }: Reading): CountedMaterial[] {
	const [tookName, lostName] = [COUNT_FIELD.took(material.id), COUNT_FIELD.lost(material.id)];
	const hasTook = said(typed, tookName);
	if (!hasTook && !said(typed, lostName)) return [];
	// Of what comes home nothing but what did not is asked: it took what went along.
	const took = hasTook ? read(tookName, number({ what: 'The count', min: 0, max: 100_000 })) : isBack ? used : undefined;
	const lost = read(lostName, orBlank(count({ what: 'What was lost', min: 0, max: 100_000 }), 0));
	const cause = read(COUNT_FIELD.cause(material.id), orBlank(choice(LOSS_CAUSES, { say: 'Choose why from the list.' }), null));
	if (!hasTook && !isBack && lost !== undefined) errors[tookName] = 'How many did it take in all, with those that were lost?';
	if (took === undefined || lost === undefined || cause === undefined) return [];
	if (rational(lost).compare(took) > 0) {
		errors[lostName] = `More were lost than it took. Of what it took in all, how many ${unit === 'piece' ? '' : `${unit} `}were lost?`;
		return [];
	}
	return [{ material: material.id, took: rationalText(took), lost, cause: lost > 0 ? cause : null }];
} // prettier-ignore
