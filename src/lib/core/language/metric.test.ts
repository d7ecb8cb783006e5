import { describe, expect, test } from 'vitest';
import { Desk } from '../../../../tests/sayings/read.ts';
import { inches } from '../units/length.ts';
import { readLine } from './plain/read-line.ts';

const desk = new Desk();
desk.say('4 11 at 9 white');
const inch = desk.context;
const metric = { ...inch, lengths: 'cm' as const };
const sizeOf = (text: string, context: typeof inch) => {
	const { parsed } = readLine(text, context);
	if (!parsed.ok) return parsed.say;
	if (parsed.value.kind !== 'layer') return parsed.value.kind;
	const [{ nominal, size }] = parsed.value.layer.clusters as [(typeof parsed.value.layer.clusters)[number]];
	return [nominal / inches(1), size.kind === 'value' ? size.um / 10_000 : size.kind];
};

describe('centimetres', () => {
	// Common practice: a bag of 12 in is sold as 30 cm, 5 in as 12 or 13, 11 in as 28, 16 in as 40, 24 in as 60, 36 in as 90.
	test.each([
		[30, 12], [28, 11], [13, 5], [12.5, 5], [40, 16], [45, 18], [60, 24], [90, 36], [23, 9], [25, 10]
	])('a bag of %s cm is one of %s in, wherever it is said with its unit', (cm, bag) => {
		for (const context of [inch, metric])
			expect(sizeOf(`4 ${cm} cm white`, context)).toEqual([bag, 'unknown']);
	}); // prettier-ignore
	test('the unit of the studio is assumed, the other is understood', () => {
		expect(sizeOf('4 30 at 25 white', metric)).toEqual([12, 25]);
		expect(sizeOf('4 30 at 25 cm white', inch)).toEqual([12, 25]);
		expect(sizeOf('4 30 at 10 in white', metric)).toEqual([12, 25.4]);
		expect(sizeOf('4 11 at 9 white', metric)).toEqual([11, 22.86]);
		expect(sizeOf('four whites, 30 cm, at 25 cm', metric)).toEqual([12, 25]);
		expect(sizeOf('4 30s at 25 cm white', inch)).toEqual([12, 25]);
	});
	test('in inches a number that is on no bag is refused, not taken for centimetres', () => {
		expect(sizeOf('4 13 at 9 white', inch)).toMatch(/There is no 13 in round/);
		expect(sizeOf('4 30 at 9 white', inch)).toMatch(/There is no 30 in round/);
	});
	test('long lengths are metres, or centimetres where they are large', () => {
		const run = new Desk();
		for (const line of ['run garland', 'line 8 ft']) run.say(line);
		const path = (text: string, context: typeof inch) => {
			const { parsed } = readLine(text, context);
			return parsed.ok && parsed.value.kind === 'run' && parsed.value.said.set === 'path' && parsed.value.said.path.kind === 'line' ? parsed.value.said.path.length / 1000 : parsed; // prettier-ignore
		};
		const cm = { ...run.context, lengths: 'cm' as const };
		expect([path('line 4', cm), path('line 350', cm), path('line 12 ft', cm)]).toEqual([4000, 3500, 3657.6]);
		expect(path('line 4', run.context)).toBe(1219.2);
	});
});
