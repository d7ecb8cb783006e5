import { PLAIN_LINE } from './quote/read-lines.ts';
import { NO_RAW_JOB } from './quote/read-job.ts';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { design, entryContext, rates, studio } from '../../../tests/kit/studio.ts';
import { parseMoney } from './money/money.ts';
import { rawQuoteSchema } from './quote/raw.schema.ts';
import { readQuote, type RawQuote } from './quote/read-form.ts';
import { parseEntry } from './language/read.ts';
import { parseSizeText } from './language/balloon.ts';
import { parseWait } from './units/duration.ts';
import { inches, parseLength } from './units/length.ts';
import { recipeSchema } from './recipe/recipe.schema.ts';
import type { Recipe } from './recipe/recipe.ts';
import { tally } from './tally/tally.ts';
import { parseNumber, POINT } from './units/number.ts';

const column = design('column', '4 16 at 13 grey', '4 11 at 9 white / gold x3', 'pole 6 ft', '1 fairy');
const context = { ...entryContext(column), sections: column.sections, designs: [{ id: 'd', name: 'Loaf' }] };
/** Words a maker uses, in any order, with marks and figures that do not belong. */
const anyWords = fc
	.array(
		fc.constantFrom(
			'4', '11', '-3', '10½', '1/0', 'at', 'to', 'x', '×', 'white', 'gold', '/', '+', 'spiral', 'left', 'section', 'use', 'on',
			'column', 'pole', 'ft', 'quads', 'of', 'blocks', 'tier', 'joined', 'strokes', 'mirrored', 'gap', '999999999999', '%', 'half'
		),
		{ maxLength: 12 }
	)
	.map((words) => words.join(' ')); // prettier-ignore

test.each([
	'1 16 at 999999999999 white',
	'1 16 at 1 to 999999999999 white',
	'1 999999999999 white',
	'pole 999999999999'
])('“%s” is refused in words', (text) => expect(parseEntry(text, context)).toMatchObject({ ok: false }));

describe('whatever is typed gets a value or a sentence, never an exception', () => {
	const typed = fc.oneof(fc.string({ unit: 'grapheme', maxLength: 60 }), anyWords);
	test.each<[string, (text: string) => { ok: boolean; say?: string }]>([
		['the entry line', (text) => parseEntry(text, context)],
		['a number', (text) => parseNumber(text)],
		['a number with a comma', (text) => parseNumber(text, { decimal: ',' })],
		['a length', (text) => parseLength(text)],
		['an amount', (text) => parseMoney(text, 'USD')]
	])('%s', (_, parse) => {
		fc.assert(
			fc.property(typed, (text) => {
				const parsed = parse(text);
				if (!parsed.ok) expect(parsed.say!.length).toBeGreaterThan(10);
			}),
			{ numRuns: 400 }
		);
	});
	test('a quote’s fields', () => {
		const field = fc.oneof(typed, fc.constantFrom('0', '48', '', '1e9', '٤'));
		fc.assert(
			fc.property(
				fc.record({
					client: field,
					eventDate: field,
					delivery: field,
					margin: field,
					tax: field,
					validDays: field,
					quantity: field
				}),
				(f) => {
					const { quantity, ...fields } = f;
					const raw: RawQuote = {
					here: '', there: '', sun: 'shade', height: '', gust: '', zone: 'UTC', occasion: '', venue: '', setting: 'indoor', deliveryCost: '', method: 'margin', markup: '90', rush: '0',
					discountKind: 'none', discount: '', deposit: '30', note: '', job: { ...NO_RAW_JOB, miles: quantity, minutes: { load: quantity } }, ...fields,
					levels: '', self: '', place: null,
					lines: [
						{ ...PLAIN_LINE, id: 'l', versionId: 'v', quantity, way: 'margin', percent: quantity },
						{ ...PLAIN_LINE, id: 't', versionId: '', label: 'parking', quantity, price: quantity, cost: quantity }
					]
				}; // prettier-ignore
					const { errors, value } = readQuote(raw, { currency: 'USD', style: POINT });
					expect(value === undefined).toBe(Object.keys(errors).length > 0);
					if (value)
						expect(
							Number(value.terms.margin.split('/')[0]) / Number(value.terms.margin.split('/')[1] ?? 1)
						).toBeLessThan(100);
				}
			)
		);
	});
});

describe('whatever is posted is a recipe or is refused', () => {
	test('any JSON at all', () => {
		fc.assert(
			fc.property(fc.jsonValue(), (value) => {
				expect(recipeSchema.safeParse(value).success).toBe(false);
				expect(rawQuoteSchema.safeParse(value).success).toBe(false);
			})
		);
	});
	test('a recipe with one value changed for another: refused, or counted without an exception', () => {
		const paths: (string | number)[][] = [];
		const walk = (value: unknown, path: (string | number)[]) => {
			if (value === null || typeof value !== 'object') paths.push(path);
			else
				for (const [key, inner] of Object.entries(value))
					walk(inner, [...path, Array.isArray(value) ? Number(key) : key]);
		};
		walk(column, []);
		const odd = fc.constantFrom<unknown>(
			null,
			0,
			-1,
			0.5,
			1e15,
			'',
			'x',
			'1/0',
			'0',
			true,
			[],
			{},
			'none',
			'white'
		);
		let read = 0;
		fc.assert(
			fc.property(fc.constantFrom(...paths), odd, (path, value) => {
				const changed = structuredClone(column) as unknown as Record<string, unknown>;
				let at: Record<string | number, unknown> = changed;
				for (const key of path.slice(0, -1)) at = at[key] as Record<string | number, unknown>;
				at[path.at(-1)!] = value;
				const parsed = recipeSchema.safeParse(changed);
				if (!parsed.success) return;
				read++;
				const { cost, bill } = tally(parsed.data as Recipe, null, 1, {
					catalogue: studio,
					rates,
					library: () => undefined
				});
				expect(Number.isSafeInteger(cost.total.known.minor)).toBe(true);
				expect(Number.isFinite(bill.balloons)).toBe(true);
			}),
			{ numRuns: 800 }
		);
		expect(read).toBeGreaterThan(5);
	});
});

describe('long soup is read at once, or refused for its length', () => {
	const fields: [string, (text: string) => { ok: boolean }][] = [
		['the entry line', (text) => parseEntry(text, context)],
		['a number', (text) => parseNumber(text)],
		['a length', (text) => parseLength(text)],
		['an amount', (text) => parseMoney(text, 'USD')],
		['a wait', (text) => parseWait(text, POINT)],
		['a size', (text) => parseSizeText(text, inches(11), context)]
	];
	test.each(fields)('%s', (_, read) => {
		for (const piece of [' ', '.', '1', '½', '1 ', '/', '1/', '-', 'x', '4 11 at 9 white + ', '☃'])
			expect(read(`1${piece.repeat(100_000)}z`)).toMatchObject({ ok: false, code: 'too-big' });
	});
	test('a wait of a word that objects have by themselves is refused', () =>
		expect(parseWait('6 constructor', POINT).ok).toBe(false));
	test('twenty thousand lines of soup of every length', () => {
		const words = ['4', '11', 'at', '9', 'white', 'x', '3', '/', '+', 'put', 'on', 'row', 'with', 'section', 'to', 'ft', '½', '%', ' ', '.', 'of', 'step', 'wait', 'size', 'constructor', '__proto__', '”']; // prettier-ignore
		let seed = 7;
		const next = (n: number) => (seed = (seed * 1_103_515_245 + 12_345) % 2_147_483_648) % n;
		for (let i = 0; i < 20_000; i++) {
			const count = i % 200 === 0 ? 400 : next(12);
			const line = Array.from({ length: count }, () => words[next(words.length)]).join(next(3) ? ' ' : '');
			expect(typeof parseEntry(line, context).ok).toBe('boolean');
		}
	});
});
