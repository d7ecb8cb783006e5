import { describe, expect, test } from 'vitest';
import { startingSettings } from '../../server/db/starting-settings.ts';
import { settingsSchema } from './settings.schema.ts';
import type { Settings } from './settings.ts';
import { printWork, readWork } from './work-form.ts';

const settings: Settings = {
	...startingSettings,
	rates: {
		...startingSettings.rates,
		people: [
			{ id: 'wren', name: 'Wren', wage: 2000, onCosts: '0', pace: '1', isOwner: true },
			{ id: 'pip', name: 'Pip', wage: 1500, onCosts: '25/2', pace: '8/5', isOwner: false }
		],
		crew: ['wren']
	}
};
const read = (change: Record<string, string>) => readWork({ ...printWork(settings), ...change }, settings);
const after = (change: Record<string, string>) => {
	const { next, errors } = read(change);
	expect(errors).toEqual({});
	return settingsSchema.parse(next).rates;
};

describe('the form of work and people', () => {
	test.each(['.', ','] as const)('saved untouched changes nothing, with “%s”', (decimal) => {
		const own = { ...settings, decimal };
		expect(settingsSchema.parse(readWork(printWork(own), own).next)).toEqual(settingsSchema.parse(own));
	});
	test('a standard that is typed says so, and keeps what was timed', () => {
		const { standards } = after({ 'seconds-cluster': '19.5', 'batch-paint': '240' });
		expect(standards.cluster).toMatchObject({ seconds: 19.5, origin: 'typed' });
		expect(standards.paint).toMatchObject({ batch: 240, origin: 'typed' });
		expect(standards.tie.origin).toBe('estimated');
	});
	test('ways of sizing and hands together are said against what is usual, and forgotten where they are the usual', () => {
		const rates = after({ 'method-eye': '0.7', together: '85' });
		expect(rates.standards['inflate small'].methods).toEqual({ eye: '7/10' });
		expect(rates.standards.cluster.methods).toBeUndefined();
		expect(rates.together).toBe('85');
		expect(printWork({ ...settings, rates })).toMatchObject({ 'method-eye': '0.7', 'method-strokes': '0.9', together: '85' }); // prettier-ignore
		expect(read({ 'method-eye': '0', together: '5' }).errors).toMatchObject({
			'method-eye': expect.stringContaining('Type 1'),
			together: expect.stringContaining('at least a tenth')
		});
	});
	test('a kind of job is changed, made, taken away; the usual one is one of those left', () => {
		const { jobs } = after({ 'm-1-load': '25', 'lines-1': 'parking 8.00; the tip 5', 'miles-1': '11' });
		expect(jobs.templates[1]).toMatchObject({ miles: 11, minutes: { load: 25 }, lines: [{ label: 'parking', minor: 800 }, { label: 'the tip', minor: 500 }] }); // prettier-ignore
		const fewer = after({ 'job-1': ' ' }).jobs;
		expect(fewer.templates.map((t) => t.id)).toEqual(['delivery', 'room', 'outdoor']);
		expect(fewer.usual).toBe('delivery');
		const blank = Object.fromEntries(Object.keys(printWork(settings)).filter((k) => /-0$|-0-/.test(k)).map((k) => [k.replace('-0', '-4'), '0'])); // prettier-ignore
		const more = after({ ...blank, 'job-4': 'a wedding', 'goers-4': '2', 'left-4': 'set up and left', 'lines-4': '' }).jobs; // prettier-ignore
		expect(more.templates[4]).toMatchObject({
			id: 'job-5',
			name: 'a wedding',
			goers: 2,
			leftAs: 'set up and left'
		});
	});
	test('people come and go, each with a wage, what comes on top and a pace', () => {
		const { people, crew } = after({
			'person-2': 'Moss',
			'wage-2': '13.50',
			'pace-2': '1.4',
			'crew-2': 'yes'
		});
		expect(people[2]).toEqual({
			id: 'person-3',
			name: 'Moss',
			wage: 1350,
			onCosts: '0',
			pace: '7/5',
			isOwner: false
		});
		expect(crew).toEqual(['wren', 'person-3']);
		expect(after({ 'person-0': '' }).people.map((p) => p.id)).toEqual(['pip']);
	});
	test('two at once is said of what can be done so, and taken back', () => {
		const { standards } = after({ twoAtOnce: 'yes' });
		expect([standards.tie.twoAtOnce, standards['inflate large'].twoAtOnce]).toEqual([true, undefined]);
		const own = { ...settings, rates: { ...settings.rates, standards } };
		const typed = Object.fromEntries(
			Object.entries(printWork(own)).filter(([field]) => field !== 'twoAtOnce')
		);
		expect(settingsSchema.parse(readWork(typed, own).next).rates.standards.tie.twoAtOnce).toBeUndefined();
	});
	test('a rate that is blank is none', () =>
		expect(after({ 'card-panel': '', 'card-bunch': '6', 'cardBy-bunch': 'piece' }).price.cardRates).toEqual(
			expect.not.arrayContaining([expect.objectContaining({ kind: 'panel' })])
		));
	test.each([
		['seconds-tie', '0', /Nothing takes 0 seconds/],
		['seconds-tie', '90000', /at most 86400/],
		['seconds-tie', 'quick', /not a number/],
		['batch-paint', '-1', /negative/],
		['mph', '0', /at least a mile an hour/],
		['van', '', /blank/],
		['m-1-load', '20000', /at most 10080/],
		['miles-1', '10000', /at most 2000/],
		['goers-1', '0', /at least 1/],
		['trips-1', '1.5', /whole number/],
		['lines-1', 'parking', /Type it like “parking 8.00/],
		['wage-1', 'x', /not an amount/],
		['wage-1', '0', /An hour costs something/],
		['pace-1', '0', /Type 1 for your own pace/],
		['onCosts-1', '400', /at most 300 %/],
		['card-column', '-5', /negative/]
	])('%s of “%s” gets its sentence there', (field, typed, sentence) => {
		const { next, errors } = read({ [field]: typed });
		expect(next).toBeUndefined();
		expect(Object.keys(errors)).toEqual([field]);
		expect(errors[field]).toMatch(sentence);
	});
	test('a kind of piece is priced its own way, travel is paid or not', () => {
		const own = after({ 'wayOf-garland': 'card', travel: 'unpaid' });
		expect([own.price.byClass, own.jobs.travelUnpaid]).toEqual([{ garland: 'card' }, true]);
		const plain = after({});
		expect([plain.price.byClass, plain.jobs.travelUnpaid]).toEqual([undefined, undefined]);
	});
	test('rules are added and taken away; two of the same are asked about', () => {
		const rule = (i: number, kind: string, when: string, by: string) => ({ [`rule-${i}`]: kind, [`when-${i}`]: when, [`by-${i}`]: by }); // prettier-ignore
		const { rules } = after({ ...rule(0, 'notice', '3', '25'), ...rule(1, 'weekend', 'whatever', '10'), ...rule(2, '', '', '') }).price; // prettier-ignore
		expect(rules).toEqual([
			{ kind: 'notice', when: '3', percent: '25' },
			{ kind: 'weekend', when: '', percent: '10' }
		]);
		const wrong = (more: Record<string, string>) => read(more).errors;
		expect(wrong({ ...rule(0, 'notice', '3', '25'), ...rule(1, 'notice', '3', '30') })).toEqual({
			'when-1': expect.stringMatching(/Two rules of “short notice” hold for the same/) as string
		});
		expect(wrong(rule(0, 'repeat', '2', '120'))['by-0']).toMatch(/at most 100 %/);
		expect(wrong(rule(0, 'season', 'summer', '10'))['when-0']).toMatch(/06-01 to 08-31/);
	});
	test('one kind of job stays', () =>
		expect(read({ 'job-0': '', 'job-1': '', 'job-2': '', 'job-3': '' }).errors).toEqual({
			'job-0': 'Leave one kind of job: a quote starts from it.'
		}));
	test('settings from before there was any of it are read with the usual', () => {
		const { rates } = startingSettings;
		const standards = { ...rates.standards, 'set up': { seconds: 900, batch: 0 } };
		const old = { ...startingSettings, rates: { ...rates, standards } as Record<string, unknown> };
		for (const later of ['people', 'crew', 'jobs']) delete old.rates[later];
		expect(settingsSchema.parse(old).rates).toEqual({ ...startingSettings.rates });
	});
});
