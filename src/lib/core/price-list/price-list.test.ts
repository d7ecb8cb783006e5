import { parse } from 'csv-parse/sync';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { colours, materials } from '../../../../tests/kit/studio.ts';
import type { Material } from '../materials/material.ts';
import { inches } from '../units/length.ts';
import { guessColumns, savedColumns } from './columns.ts';
import { decodeList, encodingOf } from './decode.ts';
import { countStates, planList, type RowOutcome } from './plan-list.ts';
import { decimalOf, readListRow } from './read-row.ts';
import { stockTable, STOCK_HEAD } from './stock-rows.ts';
import { readTable, type Table } from './table.ts';

const numbers = { style: { decimal: '.' as const }, currency: 'USD' as const };
const tableOf = (text: string): Table => {
	const read = readTable(text);
	if (!read.ok) throw new Error(read.say);
	return read.value;
};

describe('a file becomes text', () => {
	test('by its mark, by its zeros, as UTF-8 where it is that, else as Western Windows writes', () => {
		const text = 'name;price\nküstengrün;£ 4,50\n';
		const utf16 = (le: boolean) => {
			const bytes = new Uint8Array(text.length * 2);
			for (let i = 0; i < text.length; i++) new DataView(bytes.buffer).setUint16(i * 2, text.charCodeAt(i), le);
			return bytes;
		}; // prettier-ignore
		const all = {
			'utf-8': new TextEncoder().encode(text),
			'utf-16le': utf16(true),
			'utf-16be': utf16(false),
			'windows-1252': Buffer.from(text, 'latin1')
		};
		for (const [encoding, bytes] of Object.entries(all)) {
			expect(encodingOf(bytes)).toBe(encoding);
			expect(decodeList(bytes)).toEqual({ ok: true, value: { text, encoding } });
		}
		const marked = new Uint8Array([0xef, 0xbb, 0xbf, ...all['utf-8']]);
		expect(decodeList(marked)).toMatchObject({ value: { text } });
	});
	test.each([
		[new Uint8Array(), /empty/],
		[new Uint8Array([0x50, 0x4b, 3, 4, 9, 9]), /Save it as CSV/],
		[new TextEncoder().encode('%PDF-1.7 and so on'), /no list of text/],
		[new Uint8Array(300).map((_, i) => (i * 89) % 31), /no list of text/],
		[new Uint8Array(12 * 1024 * 1024 + 1), /13 MB/]
	])('what is no list is refused in words', (bytes, say) => {
		expect(decodeList(bytes)).toMatchObject({ ok: false, say: expect.stringMatching(say) });
	});
});

describe('text becomes a table', () => {
	test('any separator, quotes in quotes and line ends in cells are read as a reference reader does (property)', () => {
		const cell = fc.stringMatching(/^[\p{L}0-9 ,;"\n|.]{0,12}$/u).map((s) => s.trim());
		const rows = fc.array(
			fc.tuple(
				cell,
				cell,
				cell.filter((c) => c !== '')
			),
			{ minLength: 2, maxLength: 12 }
		);
		fc.assert(
			fc.property(rows, fc.constantFrom(',', ';', '\t'), (all, delimiter) => {
				const head = ['code', 'name of it', 'price'];
				const quote = (c: string) => `"${c.replaceAll('"', '""')}"`;
				const text = [head, ...all].map((r) => r.map(quote).join(delimiter)).join('\r\n');
				const read = tableOf(text);
				const theirs = (parse(text, { delimiter }) as string[][]).slice(1).map((r) => r.map((c) => c.trim()));
				expect(read.head).toEqual(head);
				expect(read.rows.map((r) => r.cells)).toEqual(theirs.filter((r) => r.some((c) => c !== '')));
			}),
			{ numRuns: 150 }
		);
	});
	test('what stands above the headings is left out, rows keep the number a spreadsheet gives them', () => {
		const { head, rows } = tableOf('Spring list\n\ncode,name\n\nA1,"gull, white"\nA2,red\n');
		expect([head, rows.map((r) => [r.line, r.cells[1]])]).toEqual([['code', 'name'], [[5, 'gull, white'], [6, 'red']]]); // prettier-ignore
	});
	test('a quote that is not closed is said at its row', () => {
		expect(tableOf('code,name\nA1,"red\n').rows[0]!.broken).toMatch(/quotation mark/);
	});
	test.each([['', /No table/], ['just a line', /No table/], ['code,name\n', /no rows/]])('%j is refused in words', (text, say) => expect(readTable(text)).toMatchObject({ ok: false, say: expect.stringMatching(say) })); // prettier-ignore
});

describe('which column is what', () => {
	test('by headings in the words of lists, by what stands in them, and as it was mapped before', () => {
		const rows = [['Q-1', '11 in round red', '100', '16.50'], ['Q-2', '5 in round red', '50', '8.00']]; // prettier-ignore
		expect(guessColumns(['SKU', 'Description', 'Pack size', 'Net price'], rows)).toEqual({ code: 0, name: 1, count: 2, price: 3 }); // prettier-ignore
		expect(guessColumns(['', 'x', 'y', 'z'], rows)).toEqual({ code: 0, name: 1, count: 2, price: 3 });
		const saved = savedColumns(['Net', 'List', 'Name'], { price: 1, name: 2 });
		expect(saved).toEqual({ price: 'List', name: 'Name' });
		expect(guessColumns(['Name', 'List', 'Net'], [], saved)).toMatchObject({ name: 0, price: 1 });
	});
});

describe('a row is read', () => {
	const of = (cells: string[], style: '.' | ',' = '.') => readListRow({ line: 2, cells }, { code: 0, name: 1, count: 2, price: 3, size: 4 }, { ...numbers, style: { decimal: style } }); // prettier-ignore
	test.each([
		[['A', 'red', '100', '$16.50'], { count: 100, priceMinor: 1650 }],
		[['A', 'red', 'bag of 100', 'USD 1,016.50'], { count: 100, priceMinor: 101_650 }],
		[['A', 'red, 50 ct', '', 'n/a'], { count: 50, priceMinor: null }],
		[['A', '11 in round red', '', '', ''], { nominal: inches(11), count: null }],
		[['A', '12" round', '1.000', '4'], { nominal: inches(12), count: 1000 }],
		[['A', 'x', '', '', '28 cm'], { nominal: 280_000 }]
	] as const)('%j', (cells, row) => expect(of([...cells])).toMatchObject({ row }));
	test('a decimal comma is told by the column, not by where she lives', () => {
		expect(decimalOf(['4,50', '12,00 €', '1.200,00'], { decimal: '.' })).toEqual({ decimal: ',' });
		expect(decimalOf(['7', '12'], { decimal: ',' })).toEqual({ decimal: ',' });
		expect(of(['A', 'red', '1', '1.204,50 €'], ',')).toMatchObject({ row: { priceMinor: 120_450 } });
	});
	test.each([
		[['A', 'red', '100', 'call us'], 'price', /not a price/],
		[['A', 'red', '100', '0.00'], 'price', /free/],
		[['A', 'red', '100', '-4'], 'price', /negative/],
		[['A', 'red', '10 x 10', '4'], 'count', /whole number/],
		[['A', 'red', '1', '4', 'big'], 'size', /not a size/],
		[['', '', '1', '4'], 'name', /neither/],
		[['A', 'r'.repeat(130), '1', '4'], 'name', /120/],
		[['A', 'red', '1', '=1+2'], 'price', /not a price/]
	] as const)('%j is said at its column', (cells, field, say) => expect(of([...cells]).trouble).toMatchObject({ field, say: expect.stringMatching(say) })); // prettier-ignore
});

const mine: Material[] = materials.map((m) => ({ ...m, packs: m.packs.map((p) => ({ ...p, id: `p-${m.id}`, supplierId: 'quay', code: `Q-${m.id}` })) })); // prettier-ignore
const stock = { materials: mine, colours, supplier: 'quay' };
const planned = (text: string, more: Partial<Parameters<typeof planList>[1]> = {}, own: Parameters<typeof planList>[2] = stock): RowOutcome[] => {
	const table = tableOf(text);
	const columns = guessColumns(table.head, table.rows.map((r) => r.cells)); // prettier-ignore
	return planList(table, { ...numbers, kind: null, columns, ...more }, own);
}; // prettier-ignore

describe('what would come of a list', () => {
	test('matched by code, by name, by kind, size and colour; what is new, what is not known, what is to be looked at', () => {
		const found = planned(
			[
				'code,description,pack,price,colour',
				'Q-11-white,Gull white rounds,100,18.20,',
				'Q-11-red,"11 in round, red",100,17.00,',
				',"5 in round, white",100,9.50,',
				'Z-9,latex round 16 in,50,27.00,limpet grey',
				'Z-1,11 in round bright,100,15.00,hive gold',
				'Z-2,12 in round,100,15.00,hive gold',
				'Z-3,12 in round,100,15.00,mermaid',
				'Z-4,something else,1,3.00,',
				'Q-11-white,Gull white rounds,100,19.00,',
				'Q-patch,patches,200,free,'
			].join('\n')
		);
		expect(found.map((o) => [o.state, o.material ?? ''])).toEqual([
			['changes', '11-white'],
			['changes', '11-red'],
			['changes', '5-white'],
			['unknown', ''],
			['unknown', ''],
			['unknown', ''],
			['unknown', ''],
			['unknown', ''],
			['problem', ''],
			['problem', '']
		].map((row, i) => (i === 1 ? ['same', '11-red'] : i === 3 ? ['changes', '16-grey'] : i === 4 ? ['another', '11-gold'] : i === 5 ? ['new', ''] : row))); // prettier-ignore
		expect(found[0]!.then).toEqual({ code: 'Q-11-white', suppliersName: 'Gull white rounds', count: 100, priceMinor: 1820, depositMinor: null }); // prettier-ignore
		expect(found[5]!.fresh).toMatchObject({ kind: 'latex-round', name: '12 in round', nominal: inches(12), colour: 'gold' }); // prettier-ignore
		expect(found[6]!.say).toMatch(/mermaid/);
		expect(found[8]!.say).toMatch(/Row 2 says another/);
		expect(countStates(found)).toEqual({ changes: 3, another: 1, new: 1, same: 1, unknown: 2, problem: 2 });
	});
	test('two packs of one supplier are told by their pieces, and are to be looked at where a row says none', () => {
		const two = [{ ...mine[0]!, packs: [mine[0]!.packs[0]!, { ...mine[0]!.packs[0]!, id: 'p25', count: 25, code: '' }] }]; // prettier-ignore
		const own = { ...stock, materials: two };
		const name = mine[0]!.name;
		expect(planned(`name,pack,price\n"${name}",25,4.00`, {}, own)[0]).toMatchObject({ state: 'changes', pack: { id: 'p25' } }); // prettier-ignore
		expect(planned(`name,pack,price\n"${name}",,4.00`, {}, own)[0]).toMatchObject({ state: 'problem', field: 'count' }); // prettier-ignore
		expect(planned(`name,pack,price\n"${name}",500,4.00`, {}, own)[0]).toMatchObject({ state: 'another', then: { count: 500 } }); // prettier-ignore
	});
	test('another supplier’s code says nothing; a blank price leaves what is known', () => {
		expect(planned('code,name,price\nQ-11-white,nothing known,4', {}, { ...stock, supplier: 'other' })[0]!.state).toBe('unknown'); // prettier-ignore
		expect(planned('code,name,price\nQ-11-white,"11 in round, white",')[0]!.state).toBe('same');
	});
	test('the Stockroom as a table, read back, changes nothing (property)', () => {
		const some = fc.subarray(mine, { minLength: 1 });
		fc.assert(
			fc.property(some, fc.constantFrom('.' as const, ',' as const), fc.constantFrom(',', ';', '\t'), (own, decimal, separator) => {
				const style = { decimal };
				const rows = stockTable(own, colours, { style, onHand: new Map(), supplier: 'quay' });
				const quote = (c: string) => (/[",;\t]/.test(c) ? `"${c.replaceAll('"', '""')}"` : c);
				const text = [STOCK_HEAD, ...rows.map((r) => STOCK_HEAD.map((h) => r[h]))].map((r) => r.map(quote).join(separator)).join('\n'); // prettier-ignore
				const found = planned(text, { style }, { ...stock, materials: own });
				expect(found).toHaveLength(rows.length);
				expect(found.filter((o) => o.state !== 'same')).toEqual([]);
			}),
			{ numRuns: 60 }
		); // prettier-ignore
	});
	test('whatever stands in a file, every row comes to something, and nothing is thrown (property)', () => {
		const cell = fc.oneof(fc.string({ maxLength: 20 }), fc.constantFrom('100', '16.50', '11 in round, red', 'Q-11-red', '=1+1', '"', '€ 4,5')); // prettier-ignore
		fc.assert(
			fc.property(fc.array(fc.array(cell, { maxLength: 6 }), { minLength: 2, maxLength: 12 }), (rows) => {
				const read = readTable(rows.map((r) => r.join(',')).join('\n'));
				if (!read.ok) {
					expect(read.say).toMatch(/\.$/);
					return;
				}
				const columns = guessColumns(read.value.head, read.value.rows.map((r) => r.cells)); // prettier-ignore
				const found = planList(read.value, { ...numbers, kind: 'latex-round', columns }, stock);
				expect(found.map((o) => o.line)).toEqual(read.value.rows.map((r) => r.line));
				for (const o of found) if (o.state === 'problem' || o.state === 'unknown') expect(o.say).toMatch(/[.!?]$/); // prettier-ignore
			}),
			{ numRuns: 150 }
		);
	});
});
