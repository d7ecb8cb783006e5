import { describe, expect, test } from 'vitest';
import { colours, design, designOf, floating, rates, studio } from '../../../../tests/kit/studio.ts';
import { catalogue } from '../materials/catalogue.ts';
import { tally } from '../tally/tally.ts';
import { clientCautions, hazardsOf, makerCautions } from './cautions.ts';
import { HAZARDS } from './hazard.ts';

const hazards = (...lines: string[]) => {
	const worked = tally(design('piece', ...lines), null, 1, {
		catalogue: studio,
		rates,
		library: () => undefined
	});
	return hazardsOf({ ...worked, overall: worked.assembly.overall.usual });
};

describe('what can hurt somebody', () => {
	test('choking and latex are said of every piece; of a low plain one nothing else to the client', () => {
		expect(hazards('4 11 at 9 white')).toEqual(['children', 'latex', 'floor', 'inflator', 'driving']);
		expect(clientCautions([], 'indoor')).toHaveLength(2);
		expect(clientCautions(hazards('4 11 at 9 white'), 'indoor')[0]).toContain('CHOKING HAZARD');
		expect(clientCautions(hazards('4 11 at 9 white'), 'indoor')).toHaveLength(2);
	});
	test.each<[string, string[], string, RegExp | null]>([
		[
			'a foil conducts',
			['1 11 at 9 white', 'put 1 foil star as star on row 1 front with tie'],
			'foil',
			/power lines/
		],
		[
			'glue burns those who build',
			['1 11 at 9 white', 'put 1 5 at 4 white as eye on row 1 front with glue'],
			'glue',
			null
		],
		['a large one is loud', ['1 36 at 30 gold'], 'burst', /loud/],
		['a tall one tips', ['4 11 at 10 white x9'], 'tall', /can tip/],
		['a tie cuts', ['1 11 at 9 white', 'put 1 foil star as star on row 1 front with tie'], 'line', null]
	])('%s', (_, lines, hazard, client) => {
		const found = hazards(...lines);
		expect(found).toContain(hazard);
		const words = clientCautions(found, 'indoor').join(' ');
		if (client) expect(words).toMatch(client);
		else expect(clientCautions([hazard as 'glue'], 'indoor')).toHaveLength(2);
	});
	test('it tips over 1.5 m, and is lifted by two over 1.8 m: not at just that', () => {
		const recipe = design('column', '4 11 at 9 white');
		const worked = tally(recipe, null, 1, { catalogue: studio, rates, library: () => undefined });
		const at = (overall: number) =>
			(['tall', 'lifting'] as const).map((h) => hazardsOf({ ...worked, overall }).includes(h));
		expect([1500, 1501, 1800, 1801].map(at)).toEqual([
			[false, false],
			[true, false],
			[true, false],
			[true, true]
		]);
	});
	test('helium is never breathed, scissors cut, foils alone hold no latex of their own', () => {
		const of = (...lines: string[]) => {
			const stock = { catalogue: catalogue(floating, colours), rates, library: () => undefined };
			const worked = tally(designOf(floating, 'piece', lines), null, 1, stock);
			return hazardsOf({ ...worked, overall: worked.assembly.overall.usual });
		};
		const bunch = of('bunch b', '2 moon foil in helium on 5 ft ribbon');
		expect(bunch).toEqual(['children', 'foil', 'tall', 'floor', 'line', 'lifting', 'helium', 'driving']);
		expect(clientCautions(bunch, 'indoor').join(' ')).toMatch(
			/never for breathing.*never let one go outdoors/
		);
		expect(makerCautions(bunch).join(' ')).toMatch(/Cylinders stand upright and tied/);
		expect(of('form f', '2 260 red 12 neck cut')).toEqual([
			'children',
			'latex',
			'floor',
			'inflator',
			'scissors',
			'driving'
		]);
		// Nobody said which paint: the caution stands all the same.
		expect(of('1 11 at 9 white painted')).toContain('paint');
	});
	test('strokes need no inflator; outdoors the weather is said; those who build defer to codes and licensed people', () => {
		expect(hazards('4 5 at 4 strokes white')).not.toContain('inflator');
		expect(clientCautions([], 'outdoor').at(-1)).toContain('Nothing is released outdoors');
		const all = makerCautions(HAZARDS);
		expect(all).toHaveLength(HAZARDS.length + 1);
		expect(all.at(-1)).toContain('local codes and licensed people decide');
	});
});

describe('what hangs, and what people go under', () => {
	const found = (...lines: string[]) => {
		const recipe = designOf(floating, 'long', lines);
		const worked = tally(recipe, null, 1, { catalogue: catalogue(floating, colours), rates, library: () => undefined }); // prettier-ignore
		return hazardsOf({ ...worked, overall: worked.assembly.overall.usual });
	};
	test('a garland on hooks hangs, an arch is gone under, a tunnel too; a level line stands in nobody’s way', () => {
		expect(found('run g', 'line 8 ft', '4 5 at 4 white', 'hung on hooks')).toContain('hung');
		expect(found('run g', 'line 8 ft', '4 5 at 4 white')).not.toContain('under');
		expect(found('run g', 'arch 8 ft by 7 ft', '4 5 at 4 white')).toContain('under');
		expect(found('weave w', 'panel of 10 links at 9', '2 rows 8 white', 'bent over 5 ft')).toContain('under');
		expect(found('weave w', 'panel of 10 links at 9', '2 rows 8 white')).not.toContain('under');
		expect(clientCautions(['under'], 'indoor').join()).toMatch(/one by one/);
		expect(makerCautions(['hung']).join()).toMatch(/sprinklers/);
	});
});
