import {
	amount,
	choice,
	count,
	held,
	number,
	orBlank,
	percent,
	words,
	type FormContext
} from '../forms/fields.ts';
import type { Fields } from '../forms/merge-fields.ts';
import { readForm } from '../forms/read-form.ts';
import {
	LEFT_AS,
	type JobLine,
	type JobMinutes,
	type JobTemplate,
	MOST_GOERS,
	MOST_MILES,
	MOST_MINUTES,
	MOST_TRIPS
} from '../labour/job.ts';
import type { Person } from '../labour/people.ts';
import { factorOf, IN_PAIRS, METHOD_FACTOR, type Standard } from '../labour/standards.ts';
import { METHODS, TASK_DEFINITIONS, TASKS, type Method, type Task } from '../labour/task.ts';
import { parseMoney } from '../money/money.ts';
import { CARD_BY, CARD_CLASSES, type CardRate } from '../pricing/basis.ts';
import { PRICE_METHODS } from '../pricing/methods.ts';
import type { PriceTerms } from '../pricing/terms.ts';
import { contradiction, RULE_KINDS, RULES, type PriceRule } from '../pricing/rules.ts';
import { MINUTED } from '../quote/read-job.ts';
import { printMoney, printNumber } from '../units/print-number.ts';
import { rational, rationalText } from '../units/rational.ts';
import type { Settings } from './settings.ts';

/** A standard is at most a day a unit: more is a slip. Seconds. */
const MOST_SECONDS = 86_400;
const MOST_SPEED = 100;
/** Work that is sized one way or another, and the ways that are told against the hole. */
const SIZED: readonly Task[] = TASKS.filter((t) => TASK_DEFINITIONS[t].group === 'inflate and size');
export const TOLD_METHODS = METHODS.filter((m) => m !== 'hole');

/** The form of work filled with settings, fields by name; {@link readWork} reads exactly those settings back. */
export function printWork({ rates, decimal }: Settings): Fields {
	const style = { decimal };
	const plain = (value: number) => printNumber(rational(value), style);
	const { jobs, standards, people, crew, price } = rates;
	const values: Record<string, string> = {
		van: printMoney(jobs.vanPerMile, style),
		mph: plain(jobs.mph),
		usual: jobs.usual,
		travel: jobs.travelUnpaid ? 'unpaid' : 'paid',
		twoAtOnce: IN_PAIRS.every((t) => standards[t].twoAtOnce) ? 'yes' : 'no',
		together: printNumber(rational(rates.together ?? '100'), style)
	};
	for (const method of TOLD_METHODS)
		values[`method-${method}`] = printNumber(factorOf(standards[SIZED[0]!], method), style);
	for (const task of TASKS) {
		values[`seconds-${task}`] = plain(standards[task].seconds);
		values[`batch-${task}`] = plain(standards[task].batch);
	}
	for (const kind of CARD_CLASSES) {
		const rate = price.cardRates.find((r) => r.kind === kind);
		values[`card-${kind}`] = rate ? printMoney(rate.minor, style) : '';
		values[`cardBy-${kind}`] = rate?.by ?? 'piece';
		values[`wayOf-${kind}`] = price.byClass?.[kind] ?? '';
	}
	jobs.templates.forEach((job, i) => {
		values[`job-${i}`] = job.name;
		values[`miles-${i}`] = plain(job.miles);
		values[`trips-${i}`] = plain(job.trips);
		values[`goers-${i}`] = plain(job.goers);
		values[`left-${i}`] = job.leftAs;
		values[`lines-${i}`] = job.lines.map((l) => `${l.label} ${printMoney(l.minor, style)}`).join('; ');
		for (const task of MINUTED) values[`m-${i}-${task}`] = plain(job.minutes[task] ?? 0);
	});
	[...people, null].forEach((person, i) => {
		values[`person-${i}`] = person?.name ?? '';
		values[`wage-${i}`] = person ? printMoney(person.wage, style) : '';
		values[`onCosts-${i}`] = person ? printNumber(rational(person.onCosts), style) : '';
		values[`pace-${i}`] = person ? printNumber(rational(person.pace), style) : '';
		values[`owner-${i}`] = person?.isOwner ? 'yes' : 'no';
		values[`crew-${i}`] = person && crew.includes(person.id) ? 'yes' : 'no';
	});
	[...price.rules, null].forEach((rule, i) => {
		values[`rule-${i}`] = rule?.kind ?? '';
		values[`when-${i}`] = rule?.when ?? '';
		values[`by-${i}`] = rule ? printNumber(rational(rule.percent), style) : '';
	});
	return values;
}

/** An id nothing has yet. */
function freshId(word: string, taken: readonly { readonly id: string }[]): string {
	for (let n = taken.length + 1; ; n++)
		if (!taken.some((t) => t.id === `${word}-${n}`)) return `${word}-${n}`;
}

/** Collects a sentence a field. */
class Errors {
	readonly all: Record<string, string> = {};
	take<V extends object>(
		read: { ok: true; values: V } | { ok: false; errors: Readonly<Record<string, string>> }
	): V | undefined {
		if (read.ok) return read.values;
		Object.assign(this.all, read.errors);
		return undefined;
	}
}

/** What ways of sizing take against the hole, where the studio says otherwise than the house; undefined where it does not. */
function readMethods(typed: Fields, context: FormContext, errors: Errors): Standard['methods'] {
	const found: [Method, string][] = [];
	for (const method of TOLD_METHODS) {
		const field = `method-${method}`;
		const positive = held(number({ what: 'What it takes against the hole', min: 0, max: 10 }), (v) =>
			v.compare(0) > 0
				? undefined
				: 'Type 1 where it takes as long as with the hole, 0.8 where it is quicker.'
		);
		const house = METHOD_FACTOR[method];
		const factor = errors.take(readForm({ [field]: orBlank(positive, house) }, typed, context))?.[field];
		if (factor && !factor.equals(house)) found.push([method, rationalText(factor)]);
	}
	return found.length > 0 ? Object.fromEntries(found) : undefined;
}

function readStandards(typed: Fields, settings: Settings, context: FormContext, errors: Errors) {
	const next: Record<string, Standard> = {};
	const methods = readMethods(typed, context, errors);
	for (const task of TASKS) {
		const [seconds, batch] = [`seconds-${task}`, `batch-${task}`];
		const known = settings.rates.standards[task];
		const bounds = (what: string) => ({ what, min: 0, max: MOST_SECONDS });
		const above = held(number(bounds(`A standard of ${task}`)), (v) =>
			v.compare(0) > 0
				? undefined
				: 'Nothing takes 0 seconds. Type what one takes, or leave the figure that was there.'
		);
		const read = errors.take(
			readForm({ [seconds]: above, [batch]: number(bounds('Setting up a batch')) }, typed, context)
		);
		if (!read) continue;
		const [own, each] = [read[seconds]!.valueOf(), read[batch]!.valueOf()];
		const isTyped = own !== known.seconds || each !== known.batch;
		const rest: { -readonly [K in keyof Standard]: Standard[K] } = { ...known };
		delete rest.twoAtOnce;
		delete rest.methods;
		const told = methods && SIZED.includes(task) ? { methods } : {};
		const pairs = typed.twoAtOnce === 'yes' && IN_PAIRS.includes(task) ? { twoAtOnce: true } : {};
		next[task] = {
			...rest,
			...pairs,
			...told,
			seconds: own,
			batch: each,
			origin: isTyped ? 'typed' : known.origin
		};
	}
	return next as Record<Task, Standard>;
}

/** `parking 8.00; the tip 5.00`: a word and an amount each. */
function readLines(text: string, { style, currency }: FormContext): JobLine[] | string {
	const lines: JobLine[] = [];
	for (const part of text.split(';').map((p) => p.trim())) {
		if (part === '') continue;
		const found = /^(.*\S)\s+(\S+)$/.exec(part);
		const money = found && parseMoney(found[2]!, currency, style);
		if (!found || !money?.ok)
			return `Type it like “parking 8.00; the tip 5.00”: “${part}” has no amount at its end.`;
		lines.push({ label: found[1]!, minor: money.value.minor });
	}
	return lines;
}

function readTemplates(
	typed: Fields,
	settings: Settings,
	context: FormContext,
	errors: Errors
): JobTemplate[] {
	const { templates } = settings.rates.jobs;
	const found: JobTemplate[] = [];
	for (let i = 0; typed[`job-${i}`] !== undefined && i < 20; i++) {
		// A name taken away takes the kind of job away.
		if (typed[`job-${i}`]!.trim() === '') continue;
		const minutes = Object.fromEntries(
			MINUTED.map((task) => [
				`m-${i}-${task}`,
				number({ what: `Minutes to ${task}`, min: 0, max: MOST_MINUTES })
			])
		);
		const read = errors.take(
			readForm(
				{
					[`job-${i}`]: words({ what: 'A name', most: 60 }),
					[`miles-${i}`]: number({ what: 'The way there', min: 0, max: MOST_MILES }),
					[`trips-${i}`]: count({ what: 'Trips there and back', min: 0, max: MOST_TRIPS }),
					[`goers-${i}`]: count({ what: 'How many go along', min: 1, max: MOST_GOERS }),
					[`left-${i}`]: choice(LEFT_AS, { as: 'set up and struck' }),
					...minutes
				},
				typed,
				context
			)
		) as Record<string, { valueOf(): number | string }> | undefined;
		const lines = readLines(typed[`lines-${i}`] ?? '', context);
		if (typeof lines === 'string') errors.all[`lines-${i}`] = lines;
		if (!read || typeof lines === 'string') continue;
		const of = (field: string) => Number(read[`${field}-${i}`]!.valueOf());
		found.push({
			id: templates[i]?.id ?? freshId('job', templates),
			name: String(read[`job-${i}`]),
			miles: of('miles'),
			trips: of('trips'),
			goers: of('goers'),
			leftAs: read[`left-${i}`]!.valueOf() as JobTemplate['leftAs'],
			minutes: Object.fromEntries(
				MINUTED.flatMap((task) => {
					const value = Number(read[`m-${i}-${task}`]!.valueOf());
					return value > 0 ? [[task, value]] : [];
				})
			) as JobMinutes,
			lines
		});
	}
	if (found.length === 0 && Object.keys(errors.all).length === 0)
		errors.all['job-0'] = 'Leave one kind of job: a quote starts from it.';
	return found;
}

function readPeople(typed: Fields, settings: Settings, context: FormContext, errors: Errors) {
	const { people } = settings.rates;
	const found: Person[] = [];
	const crew: string[] = [];
	for (let i = 0; typed[`person-${i}`] !== undefined && i < 30; i++) {
		if (typed[`person-${i}`]!.trim() === '') continue;
		const positive = held(number({ what: 'The pace', min: 0, max: 10 }), (v) =>
			v.compare(0) > 0 ? undefined : 'Type 1 for your own pace, 1.6 for somebody who takes longer.'
		);
		const read = errors.take(
			readForm(
				{
					[`person-${i}`]: words({ what: 'A name', most: 60 }),
					[`wage-${i}`]: held(amount('The wage'), (minor) =>
						minor > 0 ? undefined : 'An hour costs something. Type a wage; 0.01 for help that is free.'
					),
					[`onCosts-${i}`]: orBlank(percent('What comes on top', 300), rational(0)),
					[`pace-${i}`]: orBlank(positive, rational(1))
				},
				typed,
				context
			)
		) as Record<string, ReturnType<typeof rational> | number | string> | undefined;
		if (!read) continue;
		const id = people[i]?.id ?? freshId('person', people);
		found.push({
			id,
			name: String(read[`person-${i}`]),
			wage: Number(read[`wage-${i}`]),
			onCosts: rationalText(read[`onCosts-${i}`] as ReturnType<typeof rational>),
			pace: rationalText(read[`pace-${i}`] as ReturnType<typeof rational>),
			isOwner: typed[`owner-${i}`] === 'yes'
		});
		if (typed[`crew-${i}`] === 'yes') crew.push(id);
	}
	return { people: found, crew };
}

/** Ways of classes of pieces; a blank is the usual one. */
function readWays(typed: Fields): PriceTerms['byClass'] {
	const found = CARD_CLASSES.flatMap((kind) => {
		const method = PRICE_METHODS.find((m) => m === typed[`wayOf-${kind}`]);
		return method ? [[kind, method] as const] : [];
	});
	return found.length > 0 ? Object.fromEntries(found) : undefined;
}

function readRules(typed: Fields, context: FormContext, errors: Errors): PriceRule[] {
	const found: { readonly rule: PriceRule; readonly at: number }[] = [];
	for (let i = 0; typed[`rule-${i}`] !== undefined && i < 31; i++) {
		const kind = RULE_KINDS.find((k) => k === typed[`rule-${i}`]);
		// A rule of no kind is taken away.
		if (!kind) continue;
		const when = (typed[`when-${i}`] ?? '').trim();
		const wrong = RULES[kind].wrong(when);
		if (wrong) errors.all[`when-${i}`] = wrong;
		const most = RULES[kind].way === 'less' ? 100 : 1000;
		const read = errors.take(readForm({ [`by-${i}`]: percent('The rule', most) }, typed, context));
		if (!read || wrong) continue;
		const of = kind === 'weekend' ? '' : when;
		found.push({ at: i, rule: { kind, when: of, percent: rationalText(read[`by-${i}`]!) } });
	}
	const rules = found.map((f) => f.rule);
	const twice = contradiction(rules);
	if (twice)
		errors.all[`when-${found[twice[1]]!.at}`] =
			`Two rules of “${RULES[rules[twice[0]]!.kind].called}” hold for the same. Keep one of them, or let them hold for different ones.`;
	return rules;
}

/**
 * Reads the form of work over the settings as they are: standards, kinds of job, people, the rate card.
 * @returns the settings it comes to, to be held to their schema, or a sentence for each field that cannot be read
 */
export function readWork(
	typed: Fields,
	settings: Settings
): { readonly next: unknown; readonly errors: Readonly<Record<string, string>> } {
	const { rates } = settings;
	const context: FormContext = { style: { decimal: settings.decimal }, currency: rates.currency };
	const errors = new Errors();
	const whole = errors.take(
		readForm(
			{
				van: amount('The van a mile'),
				mph: held(number({ what: 'Miles an hour', min: 0, max: MOST_SPEED }), (v) =>
					v.compare(1) >= 0 ? undefined : 'The van goes at least a mile an hour.'
				),
				together: held(orBlank(percent('What hands do together', 100), rational(100)), (v) =>
					v.compare(10) >= 0
						? undefined
						: 'Several people do at least a tenth of what each does alone. Type 100 where nobody waits for another.'
				)
			},
			typed,
			context
		)
	);
	const standards = readStandards(typed, settings, context, errors);
	const templates = readTemplates(typed, settings, context, errors);
	const { people, crew } = readPeople(typed, settings, context, errors);
	const cardRates = CARD_CLASSES.flatMap((kind): CardRate[] => {
		const field = `card-${kind}`;
		const read = errors.take(readForm({ [field]: orBlank(amount('The rate'), null) }, typed, context));
		const minor = read?.[field];
		const by = CARD_BY.find((b) => b === typed[`cardBy-${kind}`]) ?? 'piece';
		return minor === null || minor === undefined ? [] : [{ kind, by, minor }];
	});
	const rules = readRules(typed, context, errors);
	if (!whole || Object.keys(errors.all).length > 0) return { next: undefined, errors: errors.all };
	const usual = templates.some((t) => t.id === typed.usual) ? typed.usual : templates[0]!.id;
	return {
		next: {
			...settings,
			rates: {
				...rates,
				standards,
				people,
				crew,
				together: whole.together.equals(100) ? undefined : rationalText(whole.together),
				jobs: {
					templates,
					usual,
					vanPerMile: whole.van,
					mph: whole.mph.valueOf(),
					...(typed.travel === 'unpaid' ? { travelUnpaid: true } : {}),
					// What jobs taught is taken over and back elsewhere.
					...(rates.jobs.paces ? { paces: rates.jobs.paces } : {})
				},
				price: { ...rates.price, cardRates, rules, byClass: readWays(typed) }
			}
		},
		errors: {}
	};
}

/** What a task is counted by, behind its seconds: `s`, `s a litre`, `s a foot`. */
export const unitWords = (task: Task): string =>
	({ each: 's', litre: 's a litre', foot: 's a foot', minute: 's a minute' })[TASK_DEFINITIONS[task].unit];
