import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { Desk, sayings } from '../../../../../tests/sayings/read.ts';
import { readLine } from '../plain/read-line.ts';
import { parseEntry } from '../read.ts';
import { suggest } from './next.ts';
import { lettersApart, offersFor } from './offers.ts';
import { unknownWords } from './unknown.ts';
import { saidBack } from './said-back.ts';

const desk = new Desk();
for (const line of ['4 16 at 13 grey', '4 11 at 9 white']) desk.say(line);
const { context } = desk;
const shown = (text: string) => suggest(text, context).map((s) => s.shows);
const refusal = (text: string) => {
	const { parsed } = readLine(text, context);
	return parsed.ok ? '' : parsed.say;
};
const offered = (text: string) => offersFor(text, refusal(text), context).map((o) => o.line);

describe('what can come next', () => {
	test.each([
		['4 ', '11'],
		['4 11 ', 'at 10'],
		['4 11 at ', '10'],
		['4 11 at 9 ', 'gull white'],
		['4 11 at 9 hi', 'hive gold'],
		['4 11 at 9 white ', 'x2'],
		['2 st', 'stake'],
		['put 2 mo', 'moon foil'],
		['po', 'pole 7 ft'],
		['swap grey for b', 'harbour blue']
	])('behind “%s” there is %s', (text, one) => expect(shown(text)).toContain(one));
	test('colours of this design come before those of the Stockroom, each with its swatch', () => {
		const [first] = suggest('4 11 at 9 g', context);
		expect(first).toMatchObject({
			shows: 'limpet grey',
			what: 'in this design',
			swatch: '#888888',
			whole: true
		});
	});
	test('a line that is whole with it says so, and is understood (property over all sayings and their beginnings)', () => {
		fc.assert(
			fc.property(fc.constantFrom(...sayings), fc.nat({ max: 60 }), ({ says }, at) => {
				for (const { line, whole } of suggest(says.slice(0, at), context))
					expect([line, parseEntry(line, context).ok]).toEqual([line, whole]);
			}),
			{ numRuns: 150 }
		);
	});
	test('nothing hides the rows once a line is whole', () =>
		expect(shown('4 11 at 9 gull white')).toEqual([]));
	test('nothing behind nothing, nor behind what is too long', () => {
		expect(suggest('  ', context)).toEqual([]);
		expect(suggest('4 '.repeat(500), context)).toEqual([]);
	});
});

describe('what would work in place of what was refused', () => {
	test.each([
		['4 white 11s at 9 wobbly', '4 white 11s at 9'],
		['4 11 at 9 wihte', '4 11 at 9 white'],
		['4 11 at 9 whtie and rde', '4 11 at 9 white and red'],
		['4 11 at 9', '4 11 at 9 gull white'],
		['4 white at 9', '4 11 white at 9'],
		['11s at 9 white', '4 11s at 9 white'],
		['4 11 at 20 white', '4 24 at 20 white']
	])('“%s” may be “%s”', (text, one) => expect(offered(text)).toContain(one));
	test('each is understood, at most three, none is what was refused (property over broken sayings)', () => {
		const broken = fc.record({
			saying: fc.constantFrom(...sayings),
			word: fc.constantFrom('wobbly', 'frobnicate', 'gren', '9000', 'at', '§', 'мир', '🎈'),
			at: fc.nat({ max: 12 })
		});
		fc.assert(
			fc.property(broken, ({ saying, word, at }) => {
				const words = saying.says.split(' ');
				const text = [...words.slice(0, at), word, ...words.slice(at)].join(' ');
				const { parsed } = readLine(text, context);
				if (parsed.ok) return;
				const offers = offersFor(text, parsed.say, context);
				expect(offers.length).toBeLessThanOrEqual(3);
				for (const { line } of offers) {
					expect(line).not.toBe(text);
					expect([line, readLine(line, context).parsed.ok]).toEqual([line, true]);
				}
			}),
			{ numRuns: 120 }
		);
	});
	test('words that nothing here knows are named as they were typed', () => {
		expect(unknownWords('4 Wobbly 11s at 9 gull whites, frob', context)).toEqual(['Wobbly', 'frob']);
		expect(unknownWords('4 11 at 9 white', context)).toEqual([]);
	});
	test('a name somebody gives is no unknown word; what is put on something is never offered as a row', () => {
		expect(unknownWords('put 1 5 at 4 red as mouth on row 1 front', context)).toEqual([]);
		expect(unknownWords('a part called gizmo on the left', context)).toEqual([]);
		const offers = offered('put 1 5 at 4 buoy plaid as mouth on row 1 front');
		expect(offers).toContain('put 1 5 at 4 buoy red as mouth on row 1 front');
		for (const line of offers) expect(line).toMatch(/ on /);
	});
	// Source: Damerau, “A technique for computer detection and correction of spelling errors” (1964): one letter
	// too many, missing, wrong, or two neighbours exchanged are one error each.
	test.each([
		['white', 'whte', 1],
		['white', 'whiite', 1],
		['white', 'whyte', 1],
		['white', 'wihte', 1],
		['white', 'white', 0],
		['gold', 'red', 3]
	])('%s and %s are %d letters apart', (a, b, n) => expect(lettersApart(a, b)).toBe(n));
});

describe('what was understood, in a sentence', () => {
	test.each([
		['6 11 at 10.5 white x2', '6 × 11-inch gull white at 10½, twice, on top'],
		['four red fives at 4', '4 × 5-inch buoy red at 4, on top'],
		['half an inch smaller', 'row 2 becomes 4 × 11-inch gull white at 8½'],
		['4 11 at 9 white with 1 5 at 4 red', '4 × 11-inch gull white at 9 with 1 × 5-inch buoy red at 4, on top'],
		['4 11s at 9 white and blue spiral to 5 ft', '4 × 11-inch a spiral of gull white and harbour blue at 9, as many layers as reach 5′ 0″, on top'],
		['4 grey 16s at 13, six foot pole', '4 × 16-inch limpet grey at 13; then pole 6 ft'],
		['grey becomes black', 'all grey in mussel black']
	])('%s', (text, sentence) => expect(saidBack(readLine(text, context), context, 'on top')).toBe(sentence)); // prettier-ignore
	test('nothing of what was not', () =>
		expect(saidBack(readLine('nonsense', context), context, '')).toBe(''));
});

describe('why a line is refused', () => {
	const say = (text: string) => {
		const { parsed } = readLine(text, new Desk().context);
		return parsed.ok ? 'read' : parsed.say;
	};
	test.each([
		['4 white 11s at 9 wobbly', 'I do not know “wobbly”. Without it I read “4 white 11s at 9”.'],
		['four white 11s at nine with a bow on each', 'I do not know “bow”. Without it I read “four white 11s at nine”.'],
		['4 purple 11s at 9', 'I do not know “purple”. In which colour? Name one of the design or of the Stockroom.'],
		['4 white 13s at 9', /^There is no 13 inch round here\. Bags are 5, /],
		['glitter on top', /^I do not know “glitter”\. Start with how many/]
	])('%s', (text, words) =>
		expect(say(text)).toEqual(typeof words === 'string' ? words : expect.stringMatching(words))
	);
	test('of a bag that does not come the nearest are offered', () =>
		expect(offersFor('4 white 13s at 9', say('4 white 13s at 9'), new Desk().context).map((o) => o.line)).toEqual(['4 white 12s at 9', '4 white 11s at 9']));
}); // prettier-ignore
