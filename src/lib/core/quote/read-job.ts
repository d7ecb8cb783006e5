import { amount, count, orBlank, words, type FormContext } from '../forms/fields.ts';
import type { Fields } from '../forms/merge-fields.ts';
import { readForm } from '../forms/read-form.ts';
import {
	AS_USUAL,
	JOB_TASKS,
	type JobMinutes,
	type JobPlan,
	type JobTask,
	MOST_GOERS,
	MOST_MILES,
	MOST_MINUTES,
	MOST_TRIPS
} from '../labour/job.ts';
import { parseBounded, type NumberStyle } from '../units/number.ts';
import { printMoney, printNumber } from '../units/print-number.ts';
import { rational } from '../units/rational.ts';

/** Work whose minutes are said; the drive is told by its distance. */
export type MinutedTask = Exclude<JobTask, 'drive'>;
export const MINUTED: readonly MinutedTask[] = JOB_TASKS.filter((t): t is MinutedTask => t !== 'drive');

/** A job as it stands in its fields; a blank is as its template says. */
export interface RawJob {
	readonly template: string;
	readonly miles: string;
	readonly trips: string;
	readonly goers: string;
	/** Ids of who is on it; null is the usual crew. */
	readonly crew: readonly string[] | null;
	readonly minutes: Readonly<Record<string, string>>;
	readonly lines: readonly { readonly label: string; readonly amount: string }[];
}
export const NO_RAW_JOB: RawJob = {
	template: '',
	miles: '',
	trips: '',
	goers: '',
	crew: null,
	minutes: {},
	lines: []
};

export type JobField = 'miles' | 'trips' | 'goers' | 'crew' | `minutes ${string}` | `job line ${number}`;

const blank = (what: string, most: number, style: NumberStyle, text: string) =>
	text.trim() === '' ? undefined : parseBounded(text, { what, min: 0, max: most }, style);

/** Reads a job's fields. @returns a sentence for each that cannot be read; the plan of all that can */
export function readJob(
	raw: RawJob,
	context: FormContext
): { readonly errors: Partial<Record<JobField, string>>; readonly plan: JobPlan } {
	const errors: Partial<Record<JobField, string>> = {};
	const miles = blank('The way there', MOST_MILES, context.style, raw.miles);
	if (miles && !miles.ok)
		errors.miles =
			miles.code === 'too-big'
				? `${miles.say} Nobody drives further for balloons: one way, in miles.`
				: miles.say;
	const whole = readForm(
		{
			trips: orBlank(count({ what: 'Trips there and back', min: 0, max: MOST_TRIPS }), null),
			goers: orBlank(count({ what: 'How many go along', min: 1, max: MOST_GOERS }), null)
		},
		raw as unknown as Fields,
		context
	);
	if (!whole.ok) Object.assign(errors, whole.errors);
	if (raw.crew?.length === 0) errors.crew = 'Somebody has to do it: leave one person on the job.';
	const minutes: Partial<Record<MinutedTask, number>> = {};
	for (const task of MINUTED) {
		const own = blank(`Minutes to ${task}`, MOST_MINUTES, context.style, raw.minutes[task] ?? '');
		if (own && !own.ok) errors[`minutes ${task}`] = own.say;
		else if (own) minutes[task] = own.value.valueOf();
	}
	const lines = raw.lines.flatMap((line, i) => {
		if (line.label.trim() === '' && line.amount.trim() === '') return [];
		const own = readForm(
			{
				label: words({ what: 'What it is', most: 80, missing: 'What is it for? Type a word.' }),
				amount: amount('What it costs')
			},
			line as unknown as Fields,
			context
		);
		if (own.ok) return [{ label: own.values.label, minor: own.values.amount }];
		errors[`job line ${i}`] = Object.values(own.errors)[0]!;
		return [];
	});
	return {
		errors,
		plan: {
			template: raw.template || null,
			miles: miles?.ok ? miles.value.valueOf() : null,
			trips: whole.ok ? whole.values.trips : null,
			goers: whole.ok ? whole.values.goers : null,
			crew: raw.crew,
			minutes: minutes as JobMinutes,
			lines
		}
	};
}

/** Whether nothing is said of a job: it is a usual one. */
export const isUsual = ({ template, miles, trips, goers, crew, minutes, lines }: RawJob): boolean =>
	[template, miles, trips, goers, ...Object.values(minutes)].every((text) => text.trim() === '') &&
	crew === null &&
	lines.length === 0;

/** A job as its fields are filled with it; {@link readJob} reads exactly that job back. */
export function printJob(plan: JobPlan | null | undefined, style: NumberStyle): RawJob {
	const { template, miles, trips, goers, crew, minutes, lines } = plan ?? AS_USUAL;
	const number = (value: number | null) => (value === null ? '' : printNumber(rational(value), style));
	return {
		template: template ?? '',
		miles: number(miles),
		trips: number(trips),
		goers: number(goers),
		crew,
		minutes: Object.fromEntries(Object.entries(minutes).map(([task, value]) => [task, number(value)])),
		lines: lines.map(({ label, minor }) => ({ label, amount: printMoney(minor, style) }))
	};
}

/** What is typed, with what could be read last in the place of what cannot. */
export function jobSoFar(
	raw: RawJob,
	good: RawJob,
	errors: Readonly<Partial<Record<string, string>>>
): RawJob {
	const kept = <F extends 'miles' | 'trips' | 'goers' | 'crew'>(field: F) =>
		field in errors ? good[field] : raw[field];
	return {
		...raw,
		miles: kept('miles'),
		trips: kept('trips'),
		goers: kept('goers'),
		crew: kept('crew'),
		minutes: Object.fromEntries(
			Object.entries(raw.minutes).map(([task, text]) => [
				task,
				`minutes ${task}` in errors ? (good.minutes[task] ?? '') : text
			])
		),
		lines: raw.lines.flatMap((line, i) => (`job line ${i}` in errors ? (good.lines[i] ?? []) : line))
	};
}
