import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { Desk, sayings } from '../../../../../tests/sayings/read.ts';
import type { RecipeDraft } from '../../recipe/draft.ts';
import type { Recipe } from '../../recipe/recipe.ts';
import { parseEntry } from '../read.ts';
import { applyLines, readLine } from './read-line.ts';
import { understand } from './understand.ts';
import { plainly } from './wording.ts';

const { context } = new Desk();
/** So many soups here; `SOUPS` asks for more. */
const SOUPS = Number(process.env.SOUPS ?? 2000);

describe('a phrase', () => {
	/** Attributes of a row, each said so that it cannot be taken for another. */
	const parts = fc.record({
		count: fc.constantFrom('a quad of', 'a six-pack of', 'cluster of 5'),
		bag: fc.constantFrom('11s', 'elevens', '5-inch', 'sixteens'),
		size: fc.constantFrom('at 4', 'sized to 4 inches', 'inflated to 4½'),
		colour: fc.constantFrom('white', 'harbour blue', 'gull white'),
		repeat: fc.constantFrom('', 'twice', '3 times'),
		painted: fc.constantFrom('', 'painted')
	});
	test('says the same in any order of what it says (property)', () => {
		fc.assert(
			fc.property(parts, fc.array(fc.nat(99), { minLength: 6, maxLength: 6 }), (said, order) => {
				const all = Object.values(said).filter(Boolean);
				const mixed = all
					.map((text, i) => ({ text, at: order[i] ?? 0 }))
					.sort((a, b) => a.at - b.at)
					.map(({ text }) => text);
				const [one, other] = [all, mixed].map((p) => understand(p.join(', '), context));
				expect([mixed.join(', '), other]).toEqual([mixed.join(', '), one]);
				expect(one).toHaveLength(1);
			}),
			{ numRuns: 300 }
		);
	});
	test.each([
		['ten and a half', '10.5'],
		['8 1/2', '8.5'],
		['9½', '9.5'],
		['five-inch', '5″'],
		['11"', '11″'],
		['seven feet', '7 ft'],
		['30cm', '30 cm'],
		['8–9', '8 to 9'],
		['elevens', '11§'],
		['WHITE & Blue', 'white and blue']
	])('%s is written %s', (text, plain) => {
		expect(plainly(text)).toBe(plain);
	});
});

describe('what is not understood', () => {
	test.each([
		'4 11 at 9 white wobble',
		'the quick brown fox',
		'4 white 11s at 9 and something else',
		'elevens',
		'4 white 11s at 9, 3 layers, to 5 ft',
		'repeat 5 times: 2 quads of white 11s at 9',
		'cluster of 5 quads of white 11s at 9',
		'🎈🎈 4 white',
		'מזל טוב',
		'x'.repeat(10_000)
	])('%#: it is left to the exact grammar, which says why', (text) => {
		expect(understand(text, context)).toBeUndefined();
		const { lines, parsed } = readLine(text, context);
		expect(lines).toEqual([text]);
		expect(parsed).toMatchObject({ ok: false, say: expect.stringMatching(/\S/) as string });
	});
	test('whatever is read gives lines that are understood, and nothing throws', () => {
		const words = [...new Set(sayings.flatMap((s) => s.says.split(/\s+/)))];
		const soup = fc.array(fc.constantFrom(...words, '§', '″', '', '—', '1e99', '-4', '4/0'), {
			maxLength: 14
		});
		fc.assert(
			fc.property(soup, (some) => {
				const text = some.join(' ');
				const lines = understand(text, context);
				if (lines) expect([text, parseEntry(lines[0]!, context).ok]).toEqual([text, true]);
			}),
			{ numRuns: SOUPS }
		);
	});
	test('a line of exact words is never read in another way', () => {
		for (const line of ['4 11 at 9 white', '2 stake', 'pole 7 ft'])
			expect(readLine(line, context).lines).toEqual([line]);
	});
});

describe('several at once', () => {
	const desk = () => {
		const { recipe, context: own } = new Desk();
		let n = 0;
		const draft = structuredClone(recipe) as RecipeDraft;
		return { draft, own, newId: () => `made-${n++}` };
	};
	test('make their rows in their order, where the line stands', () => {
		const { draft, own, newId } = desk();
		const { lines } = readLine(
			'4 16 at 13 grey, 6 11 at 9 white twice, one 36 on top white, on an 8 ft pole',
			own
		);
		expect(lines).toEqual(['4 16 at 13 grey', '6 11 at 9 white x2', '1 36 white', 'pole 8 ft']);
		const place = { section: draft.sections[0]!.id, index: 0 };
		expect(applyLines(draft, lines, own, place, newId).ok).toBe(true);
		const [stack] = (draft as Recipe).sections;
		expect(stack!.structure).toMatchObject({
			layers: [{ repeat: 1 }, { repeat: 2 }, { repeat: 1 }],
			upright: { kind: 'pole' }
		});
	});
	test('the first that is refused is said', () => {
		const { draft, own, newId } = desk();
		const outcome = applyLines(draft, ['4 11 at 9 white', '4 11 at 20 white'], own, {}, newId);
		expect(outcome).toMatchObject({ ok: false, say: expect.stringContaining('cannot be sized') as string });
	});
});

describe('limbs and open parts', () => {
	const column = () => {
		const desk = new Desk();
		for (const line of ['4 11 at 9 white', '4 11 at 9 white']) desk.say(line);
		return desk;
	};
	test.each([
		['wrap a red 260 twice around the column', '1 260 red twined 2 on column row 1 round'],
		['a red 260 belt around row 2', '1 260 red belt as belt on column row 2 round'],
		['a white belt of red 260', undefined]
	])('“%s” while rows are in hand goes into limbs, and rows are in hand again', (says, line) => {
		const desk = column();
		const name = desk.recipe.sections[0]!.name;
		const lines = understand(says, desk.context);
		if (line === undefined) return expect(lines).toBeUndefined();
		expect(lines).toEqual([`form limbs on ${name}`, line.replace('column', name), `section ${name}`]);
		for (const own of lines!) expect([own, desk.say(own)]).toEqual([own, true]);
		expect(desk.context.section).toBe(desk.recipe.sections[0]!.id);
	});
	test('two of them, one to a side, are named by their sides', () => {
		const desk = column();
		desk.say('form limbs on column');
		expect(understand('two red 260 arms either side of row 2', desk.context)).toEqual([
			'1 260 red as left arm on row 2 left',
			'1 260 red as right arm on row 2 right'
		]);
		expect(understand('two red 260 fins front and back of row 2', desk.context)).toEqual([
			'1 260 red as front fin on row 2 front',
			'1 260 red as back fin on row 2 back'
		]);
		expect(understand('three red 260 arms either side of row 2', desk.context)).toBeUndefined();
	});
	test('only parts of the design are left out', () => {
		const desk = column();
		desk.say('section wing left of column');
		expect(understand('leave the wing off', desk.context)).toEqual(['leave out wing']);
		expect(understand('leave the door off', desk.context)).toBeUndefined();
		expect(understand('the wing only when it is indoors', desk.context)).toEqual([
			'wing optional when indoors'
		]);
	});
});

describe('how a piece is fixed', () => {
	test.each([
		['one red 5 at 3 on the front of row 1 with two strips', 'put 1 5 at 3 red on row 1 front with 2 strip'],
		['one red 5 at 3 on the front of row 1 with half a strip', 'put 1 5 at 3 red on row 1 front with ½ strip'],
		['one red 5 at 3 on the front of row 1, on trial first, then glue', 'put 1 5 at 3 red on row 1 front with trial loop then glue'],
		['glue two red 5s at 3 on the front of row 1 as eyes', 'put 2 5 at 3 red as eyes on row 1 front with glue']
	])('%s', (says, line) => {
		const desk = new Desk();
		desk.say('4 11 at 9 white');
		expect(understand(says, desk.context)).toEqual([line]);
		expect(desk.say(line)).toBe(true);
	}); // prettier-ignore
});

describe('a row as large as another', () => {
	test.each([
		['four white 11s, half an inch bigger than the row below', '4 11 white as below + ½'],
		['4 white 11s an inch smaller than row 1', '4 11 white as row 1 - 1'],
		['4 white 11s as big as the row below', '4 11 white as below'],
		['a quad of white 11s a quarter inch more than below', '4 11 white as below + ¼']
	])('%s', (says, line) => {
		const desk = new Desk();
		desk.say('4 11 at 9 white');
		expect(understand(says, desk.context)).toEqual([line]);
		expect(desk.say(line)).toBe(true);
	});
});
