import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { POINT } from '../units/number.ts';
import { readInputs } from './calculator.ts';
import { design, entryContext, floating } from '../../../../tests/kit/studio.ts';
import { parseEntry } from '../language/read.ts';
import { CALCULATORS, sizingSheet } from './calculators.ts';

const find = (id: string) => CALCULATORS.find((c) => c.id === id)!;
const errors = (id: string, typed: Record<string, string>) => {
	const read = readInputs(find(id), typed, POINT);
	return read.ok ? {} : read.errors;
};
function work(id: string, typed: Record<string, string> = {}) {
	const read = readInputs(find(id), typed, POINT);
	if (!read.ok) throw new Error(JSON.stringify(read.errors));
	const result = find(id).work(read.values);
	return { ...result, text: Object.fromEntries(result.lines.map((l) => [l.label, l.text])) };
}

describe('the rules of thumb', () => {
	test('each has a formula, a source and limits, answers as it starts, and draws where it stands', () => {
		for (const calculator of CALCULATORS) {
			const { lines, chart } = work(calculator.id);
			expect([calculator.id, lines.filter((l) => l.main).length]).toEqual([calculator.id, 1]);
			for (const words of [calculator.formula, calculator.source, calculator.limits])
				expect(words.length).toBeGreaterThan(20);
			expect(chart!.series[0]!.points.length).toBeGreaterThan(4);
			for (const { points } of chart!.series)
				for (const [x, y] of points) expect(Number.isFinite(x + y)).toBe(true);
		}
	});
	test('each says something that a design takes: a line of the entry line, or the end of one', () => {
		const recipe = design('d', '4 11 at 9 white', 'form f');
		const context = { ...entryContext(recipe), section: recipe.sections[1]!.id, materials: floating };
		const begin: Record<string, string> = { strokes: '4 11 ', heat: '4 11 ', bands: '4 260 white 10 ' };
		for (const { id } of CALCULATORS) {
			const { say } = work(id);
			const line =
				id === 'bands' ? `${begin.bands}${say}` : `${begin[id] ?? ''}${say}${begin[id] ? ' white' : ''}`;
			const own = begin[id] && id !== 'bands' ? { ...context, section: recipe.sections[0]!.id } : context;
			expect([id, line, parseEntry(line, own).ok]).toEqual([id, line, true]);
		}
		const priced = parseEntry('priced by margin 100 %', context);
		expect(priced.ok ? '' : priced.say).toMatch(/less than 100/);
		expect(parseEntry('priced by feeling', context).ok).toBe(false);
	});
	test('strokes, common practice: four to 4½ in make two to about 3½', () => {
		const { text, say } = work('strokes', { wanted: '3½' });
		expect(text.Strokes).toBe('1.9 for 3½ in');
		expect(say).toBe('at 2 strokes');
	});
	test('two measurements that contradict each other are said to', () => {
		expect(
			work('strokes', { strokes2: '8', reached2: '5⅝' }).text['They contradict each other']
		).toBeUndefined();
		const odd = work('strokes', { strokes2: '8', reached2: '4½' });
		expect(odd.text['They contradict each other']).toMatch(/Measure once more/);
	});
	test('helium, by hand: one 18-inch foil of 14.56 L at 15 °C lifts 15.4 g; with 9 g of skin and ribbon 6.4 are left', () => {
		const { text, lines } = work('helium', {
			what: 'foil',
			count: '1',
			size: '18',
			skin: '9 g',
			temperature: '59 F'
		});
		expect(text['It floats']).toBe('6.4 g left to lift');
		expect(text['Weight that holds it']).toMatch(/^10 g/);
		expect(lines[0]!.level).toBe('good');
		expect(work('helium', { count: '1', extra: '1 lb' }).lines[0]).toMatchObject({
			label: 'It sinks',
			level: 'bad'
		});
	});
	test('heat: 68 to 95 °F is + 5.1 % of air; what bursts in the sun says what to size it to', () => {
		expect(work('heat').text['Its air']).toBe('+5.1 %');
		const hot = work('heat', { size: '11', sun: 'dark' });
		expect(hot.text['It may burst']).toMatch(/^Size it to 10/);
		expect(work('heat', { there: '32 F' }).text['It looks soft']).toMatch(/comes back/);
	});
	test('wind: what does not hold says how much more, and more of it holds', () => {
		const light = work('wind', { weight: '1 lb' });
		expect(light.lines[0]).toMatchObject({ label: 'It does not hold', level: 'bad' });
		const more = Number(/^([\d.]+) lb/.exec(light.lines[0]!.text)![1]);
		expect(work('wind', { weight: `${(more + 1.1).toFixed(1)} lb` }).lines[0]!.label).toBe('It holds');
		expect(light.text.Always).toContain('local codes, the venue and qualified people decide');
	});
	test('bands: half a circle, 3 in thick, each 9⅜ in (9.42) longer; six are too few and fan out', () => {
		const { text, lines } = work('bands');
		expect(text['Each is longer than the one inside by']).toBe('9⅜ in');
		expect(lines[0]).toMatchObject({ label: 'They fan out', text: 'the next is 3⅜ in short' });
		expect(work('bands', { outer: '39½' }).lines[0]!.label).toBe('They lie flat');
	});
	test('margin and markup: the textbook pair', () => {
		const { text } = work('margin', { by: 'price', value: '100' });
		expect([text['Margin, of the price'], text['Markup, on the cost']]).toEqual(['40.0 %', '66.7 %']);
		expect(work('margin', { value: '100' }).lines[0]!.label).toBe('No price');
	});
	test.each<[string, Record<string, string>, string, RegExp]>([
		['strokes', { strokes: '0' }, 'strokes', /at least 0.25/],
		['strokes', { reached: 'big' }, 'reached', /not a length/],
		['heat', { there: '-459.67 F' }, 'there', /between −40 and 140 °F/],
		['heat', { height: '9000 m' }, 'height', /between −1,400 and 19,600 ft/],
		['helium', { skin: '-3' }, 'skin', /between 0 and 100 kg/],
		['spares', { count: '' }, 'count', /blank/],
		['margin', { cost: '0' }, 'cost', /at least 0.01/],
		['wind', { wind: 'a breeze' }, 'wind', /is not a number/],
		['bands', { width: '0' }, 'width', /above 0/]
	])('%s: %o is refused at its field', (id, typed, field, words) => {
		expect(errors(id, typed)[field]).toMatch(words);
	});
	test('whatever is typed, an answer or a sentence comes, never a fault (property)', () => {
		const text = fc.oneof(fc.string({ maxLength: 12 }), fc.integer({ min: -50, max: 500 }).map(String));
		fc.assert(
			fc.property(
				fc.constantFrom(...CALCULATORS),
				fc.array(text, { minLength: 10, maxLength: 10 }),
				(calculator, texts) => {
					const typed = Object.fromEntries(calculator.inputs.map((input, i) => [input.name, texts[i]!]));
					const read = readInputs(calculator, typed, POINT);
					if (read.ok) expect(calculator.work(read.values).lines.length).toBeGreaterThan(0);
				}
			)
		);
	});
	test('a sizing sheet without a calibrated pump has dashes, never noughts', () => {
		expect(sizingSheet(null, [8.5])).toEqual([{ size: '8½', strokes: '—' }]);
		expect(sizingSheet(0.1955, [4.5])).toEqual([{ size: '4½', strokes: '4.0' }]);
	});
});
