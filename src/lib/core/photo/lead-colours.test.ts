import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { colours as demoColours, stockRows } from '../../../../scripts/demo/stock.ts';
import { design } from '../../../../tests/kit/studio.ts';
import { colourDistance } from '../materials/colour-distance.ts';
import type { Material } from '../materials/material.ts';
import { paletteIntoSlots } from '../recipe/palette-into-slots.ts';
import { leadColours } from './lead-colours.ts';
import type { Pixels } from './photo-edge.ts';

const rgb = (hex: string) => [1, 3, 5].map((i) => parseInt(hex.slice(i, i + 2), 16));
/** Stripes of colours, each so many columns wide, with a little noise. */
function stripes(of: readonly (readonly [hex: string, wide: number])[], noise = 0): Pixels {
	const columns = of.flatMap(([hex, wide]) => Array<string>(wide).fill(hex));
	const data = new Uint8ClampedArray(columns.length * 20 * 4);
	for (let y = 0; y < 20; y++)
		columns.forEach((hex, x) => {
			const wobble = noise === 0 ? 0 : ((x * 7 + y * 13) % (2 * noise + 1)) - noise;
			data.set([...rgb(hex).map((v) => v + wobble), 255], (y * columns.length + x) * 4);
		});
	return { width: columns.length, height: 20, data };
}
const SPREAD = ['#c63d2f', '#2c6e91', '#e5a92f', '#3f6b3a', '#f2f0ea', '#22242a'];

describe('colours that lead in a picture', () => {
	test('stripes come out as they are, in the order of their widths and with their shares (property)', () => {
		fc.assert(
			fc.property(fc.shuffledSubarray(SPREAD, { minLength: 1 }), fc.integer({ min: 0, max: 5 }), (hexes, noise) => {
				const said = hexes.map((hex, i) => [hex, 12 + 9 * (hexes.length - i)] as const);
				const all = said.reduce((a, [, w]) => a + w, 0);
				const found = leadColours(stripes(said, noise));
				expect(found).toHaveLength(hexes.length);
				found.forEach(({ hex, share }, i) => {
					expect(colourDistance(hex, hexes[i]!)).toBeLessThan(3);
					expect(share).toBeCloseTo(said[i]![1] / all, 1);
				});
			}),
			{ numRuns: 60 }
		); // prettier-ignore
	});
	test('shades of one colour are one; specks lead nothing; what is see-through counts for nothing', () => {
		expect(leadColours(stripes([['#c63d2f', 30], ['#c9433a', 30], ['#c23a2c', 30]]))).toHaveLength(1); // prettier-ignore
		expect(leadColours(stripes([['#c63d2f', 199], ['#2c6e91', 1]]))).toHaveLength(1); // prettier-ignore
		const clear = stripes([['#c63d2f', 30]]);
		expect(leadColours({ ...clear, data: (clear.data as Uint8ClampedArray).map((v, i) => (i % 4 === 3 ? 0 : v)) })).toEqual([]); // prettier-ignore
	});
	test('the same picture gives the same colours, and shares never come to more than all of it', () => {
		fc.assert(
			fc.property(fc.uint8Array({ minLength: 64, maxLength: 1600 }), (noise) => {
				const data = noise.slice(0, noise.length - (noise.length % 4));
				const shot = { width: data.length / 4, height: 1, data };
				const found = leadColours(shot);
				expect(leadColours(shot)).toEqual(found);
				expect(found.reduce((a, c) => a + c.share, 0)).toBeLessThanOrEqual(1 + 1e-9);
				for (const { hex } of found) expect(hex).toMatch(/^#[0-9a-f]{6}$/);
			}),
			{ numRuns: 40 }
		);
	});
});

describe('a picture into the slots of a design', () => {
	const materials = stockRows.map((r): Material => ({ ...r.material, packs: [] }));
	const stock = { materials, colours: demoColours };
	const leads = [['#c43a2c', 0.5], ['#2a6c90', 0.3], ['#e6aa30', 0.2]].map(([hex, share]) => ({ hex, share }) as { hex: string; share: number }); // prettier-ignore
	test('what leads most goes into what colours most, as it can be bought in every size that is needed', () => {
		const recipe = design('two', '4 11 at 9 white x5', '4 11 at 9 red', '1 16 at 12 red');
		const found = paletteIntoSlots(recipe, leads, stock);
		expect(found.map((m) => [recipe.slots.find((s) => s.id === m.slot)!.name, m.lead.hex])).toEqual([['white', '#c43a2c'], ['red', '#2a6c90']]); // prettier-ignore
		for (const { slot, colour } of found) {
			const bags = recipe.slots.find((s) => s.id === slot)!.name === 'red' ? [279_400, 406_400] : [279_400];
			for (const nominal of bags) expect(materials.some((m) => m.kind === 'latex-round' && m.nominal === nominal && m.colour === colour.id)).toBe(true); // prettier-ignore
		}
		expect(found[0]!.colour.name).toBe('pennant red');
	});
	test('no colour is taken twice while there is another; of fewer leading colours the other slots stay', () => {
		const recipe = design('three', '4 11 at 9 white x5', '4 11 at 9 red x3', '1 11 at 9 gold');
		const two = [leads[0]!, { hex: '#c53b2d', share: 0.3 }];
		const found = paletteIntoSlots(recipe, two, stock);
		expect(found).toHaveLength(2);
		expect(new Set(found.map((m) => m.colour.id)).size).toBe(2);
		expect(paletteIntoSlots(recipe, [], stock)).toEqual([]);
	});
});
