import { describe, expect, test } from 'vitest';
import { Desk } from '../../../../tests/sayings/read.ts';
import { printLines } from './print.ts';
import { readLine } from './plain/read-line.ts';
import { parseEntry } from './read.ts';
import { suggest } from './suggest/next.ts';
import { offersFor } from './suggest/offers.ts';

const desk = new Desk();
desk.say('4 11 at 9 white');
const { context } = desk;

describe('odd input is answered in words, at once, and changes nothing', () => {
	test.each([
		['ten thousand letters', 'x'.repeat(10_000)],
		['ten thousand characters of a line', '4 11 at 9 white '.repeat(700)],
		['a picture', '🎈🎈🎈'],
		['a picture within', '4 11 at 9 🎈'],
		['from right to left', 'ארבעה בלונים לבנים'],
		['from right to left within', '4 11 at 9 \u202Ewhite\u202C מזל'],
		['signs', '§″—‰ ☃ \u0000\u0007'],
		['a quote mark', "4 11 at 9 '; drop table design; --"],
		['markup', '<b>4 11</b> at 9 <script>'],
		['numbers without end', '9'.repeat(300)],
		['a fraction of nothing', '4 11 at 9/0 white']
	])('%s', (_, text) => {
		const { parsed } = readLine(text, context);
		expect(parsed).toMatchObject({ ok: false, say: expect.stringMatching(/^\S.*[.?]$/s) as string });
		expect(() => suggest(text, context)).not.toThrow();
		const say = parsed.ok ? '' : parsed.say;
		for (const { line } of offersFor(text, say, context))
			expect(readLine(line, context).parsed.ok).toBe(true);
	});
});

describe('colours called like words of the language', () => {
	const names = ['front', 'quad', '4 leaf', 'of mist', 'pole', 'spiral', 'top row', 'in bloom'];
	const colours = [...context.colours, ...names.map((name) => ({ id: name, name, finish: 'matte' as const, hex: '#123456' }))]; // prettier-ignore
	const own = { ...context, colours };
	test.each(names)('“%s” is that colour where a colour is said', (name) => {
		const read = parseEntry(`4 11 at 9 ${name}`, own);
		expect(read).toMatchObject({ ok: true, value: { layer: { clusters: [{ count: 4, pattern: { colours: [{ ref: { colour: name } }] } }] } } }); // prettier-ignore
	});
	test('a word of the language stays one where it is read as such', () => {
		expect(parseEntry('4 11 at 9 white front', own)).toMatchObject({ value: { layer: { clusters: [{ side: 'front' }] } } });
		expect(parseEntry('a quad of 11 at 9 white', own)).toMatchObject({ value: { layer: { clusters: [{ count: 4 }] } } });
		expect(parseEntry('pole 7 ft', own)).toMatchObject({ value: { kind: 'upright' } });
	}); // prettier-ignore
	test.each(names)('a row in “%s” is printed so that it is read back', (name) => {
		const made = new (class extends Desk {
			override get context() {
				return { ...super.context, colours };
			}
		})();
		expect(made.say(`4 11 at 9 ${name}`)).toBe(true);
		const [section] = made.recipe.sections;
		const [line] = printLines(section!, made.recipe, () => undefined);
		const again = parseEntry(line!.text, made.context);
		expect([line!.text, again.ok]).toEqual([line!.text, true]);
		expect(again).toMatchObject({ value: { layer: { clusters: [{ pattern: { colours: [{ ref: { slot: made.recipe.slots[0]!.id } }] } }] } } }); // prettier-ignore
	});
});
