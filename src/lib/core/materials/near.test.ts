import { differenceCiede2000 } from 'culori/fn';
import fc from 'fast-check';
import { expect, test } from 'vitest';
import { colours, stockRows } from '../../../../scripts/demo/stock.ts';
import { inches } from '../units/length.ts';
import { PLAIN_MATERIAL, type Colour, type Material } from './material.ts';
import { assortedWith, farWords, nearTo, TOO_FAR } from './near.ts';

const materials = stockRows.map((r): Material => ({ ...r.material, packs: [] }));
const byId = new Map(colours.map((c) => [c.id, c]));
const of = (id: string) => materials.find((m) => m.id === id)!;

test('what could stand in is of the same kind, size and finish, nearest first, never itself (property over the Stockroom)', () => {
	fc.assert(
		fc.property(fc.constantFrom(...materials), fc.integer({ min: 1, max: 9 }), (own, most) => {
			const near = nearTo(own, materials, byId, most);
			expect(near.length).toBeLessThanOrEqual(most);
			near.forEach(({ material, colour, distance }, i) => {
				expect([material.kind, material.nominal, material.mark, colour.finish]).toEqual([own.kind, own.nominal, own.mark, byId.get(own.colour!)!.finish]); // prettier-ignore
				expect(material.id).not.toBe(own.id);
				if (i > 0) expect(distance).toBeGreaterThanOrEqual(near[i - 1]!.distance);
			});
		})
	);
});
test('gull white is nearest to foam cream of what is there, and that is seen', () => {
	const [first] = nearTo(of('round-11-gull-white'), materials, byId);
	expect(first!.colour.name).toBe('foam cream');
	expect(first!.distance).toBeGreaterThan(TOO_FAR);
	expect(farWords(first!.distance)).toMatch(/another/);
});
test('words go with the distance of CIEDE2000 of a general library', () => {
	const distance = differenceCiede2000();
	const words = (a: string, b: string) => farWords(distance(a, b));
	expect(words('#ffffff', '#ffffff')).toBe('the same to the eye');
	expect(words('#c63d2f', '#c73e30')).toBe('the same to the eye');
	expect(words('#c63d2f', '#2c6e91')).toBe('another colour');
});
test('an assorted bag has no colour that others are near to', () => {
	expect(nearTo(of('round-11-regatta'), materials, byId)).toEqual([]);
});

test('an assorted bag counts towards its colours by their shares: one of four and three of four', () => {
	const mixed: Colour = { id: 'mixed', name: 'mixed', finish: 'matte', hex: '#000000', of: [{ colour: 'gull-white', parts: 3, hex: '#ffffff' }, { colour: 'other', parts: 1, hex: '#111111' }] }; // prettier-ignore
	const white: Material = { ...PLAIN_MATERIAL, id: 'w', kind: 'latex-round', name: 'w', nominal: inches(11), colour: 'gull-white', packs: [] }; // prettier-ignore
	const bag: Material = { ...white, id: 'bag', colour: 'mixed' };
	const all = [
		white,
		bag,
		{ ...bag, id: 'small', nominal: inches(5) },
		{ ...bag, id: 'old', retired: true as const }
	];
	const known = new Map<string, Colour>([mixed, { id: 'gull-white', name: 'gull white', finish: 'matte' as const, hex: '#ffffff' }].map((c) => [c.id, c])); // prettier-ignore
	expect(assortedWith(white, all, known)).toEqual([{ material: bag, share: 0.75 }]);
	expect(assortedWith(bag, all, known)).toEqual([]);
	expect(assortedWith({ ...white, colour: null }, all, known)).toEqual([]);
});
