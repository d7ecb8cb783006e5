import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { settingsChanges } from './settings-changes.ts';
import { changeWords, saidWith } from './words.ts';

describe('a change in words', () => {
	test.each([
		['pack.price_minor', '1250', '1300', { what: 'price of a pack', was: '$12.50', is: '$13.00' }],
		['pack.price_minor', null, '0', { what: 'price of a pack', was: null, is: '$0.00' }],
		['stock.lost', null, '-2500', { what: 'lost or broken', was: null, is: '-2.5' }],
		['person.role', 'crew', 'office', { what: 'role', was: 'crew', is: 'office' }],
		['quote.accepted', null, null, { what: 'a yes', was: null, is: null }],
		['payment.deposit', null, '5000', { what: 'payment, deposit', was: null, is: '$50.00' }],
		[
			'settings.rates, labour per hour',
			'1800',
			'2000',
			{ what: 'rates, labour per hour', was: '1800', is: '2000' }
		],
		['nobody.named', 'a', 'b', { what: 'nobody.named', was: 'a', is: 'b' }]
	])('%s from %s to %s', (what, was, is, words) =>
		expect(changeWords({ what, was, is }, 'USD')).toEqual(words)
	);
	test('what is said with some words is found by them', () => {
		expect(saidWith(' Price of ')).toEqual(['pack.price_minor']);
		expect(saidWith('a yes')).toEqual(['quote.accepted']);
		expect(saidWith('mended')).toEqual(['stock.repaired']);
		expect(saidWith('nothing of that kind')).toEqual([]);
	});
	test('what is long is cut', () => {
		const { is } = changeWords({ what: 'material.facts', was: null, is: 'x'.repeat(300) }, 'USD');
		expect(is).toHaveLength(80);
	});
});

describe('what is different between two settings', () => {
	test('figure by figure, things by their names, what came and what went', () => {
		const before = {
			decimal: '.',
			rates: {
				labourPerHour: 1800,
				people: [
					{ name: 'Pip', wage: 1500 },
					{ name: 'Moss', wage: 1350 }
				]
			}
		};
		const after = { decimal: '.', rates: { labourPerHour: 2000, people: [{ name: 'Pip', wage: 1600 }] } };
		expect(settingsChanges(before, after)).toEqual([
			{ what: 'settings.rates, labour per hour', was: '1800', is: '2000' },
			{ what: 'settings.rates, people, Pip, wage', was: '1500', is: '1600' },
			{ what: 'settings.rates, people, Moss, name', was: 'Moss', is: null },
			{ what: 'settings.rates, people, Moss, wage', was: '1350', is: null }
		]);
	});
	test('the same is no change; another figure at any place is exactly one (property)', () => {
		const data = fc.dictionary(
			fc.string({ minLength: 1, maxLength: 5 }).filter((s) => s !== '__proto__'),
			fc.integer(),
			{ minKeys: 1 }
		);
		fc.assert(
			fc.property(data, fc.nat(), (own, at) => {
				expect(settingsChanges(own, structuredClone(own))).toEqual([]);
				const names = [
					...new Set(Object.keys(own).map((n) => n.replace(/([a-z])([A-Z])/g, '$1 $2').toLowerCase()))
				];
				fc.pre(names.length === Object.keys(own).length);
				const key = Object.keys(own)[at % Object.keys(own).length]!;
				const changed = { ...own, [key]: own[key]! + 1 };
				expect(settingsChanges(own, changed)).toHaveLength(1);
			})
		);
	});
});
