import { expect, test } from 'vitest';
import { PLAIN_MATERIAL, type Material } from './material.ts';
import { inches } from '../units/length.ts';
import { carriedBy, tooShort } from './carries.ts';

const stand = (name: string, more: Partial<Material> = {}): Material => ({
	...PLAIN_MATERIAL,
	id: name,
	kind: 'base',
	name,
	packs: [],
	...more
});

test.each([
	['stand with 8 ft pole', 2438.4],
	['stick, 7 ft dowel', 2133.6],
	['pole 6½ ft', 1981.2],
	['rod, 90 cm', 900],
	['plate, 12 in', 304.8],
	['board, painted', undefined],
	['sandbag, 8 lb', undefined]
])('%s is %s mm long by its name', (name, mm) => {
	const long = carriedBy(stand(name));
	if (mm === undefined) expect(long).toBeUndefined();
	else expect(long).toBeCloseTo(mm, 6);
});
test('a size of its own is believed before the name', () => {
	expect(carriedBy(stand('stand with 8 ft pole', { nominal: inches(60) }))).toBe(1524);
});
test('one that does not reach is refused with those that do; an inch is hidden in the topmost', () => {
	const all = [
		stand('stand with 6 ft pole'),
		stand('stand with 8 ft pole'),
		stand('stick, 9 ft', { kind: 'pipe' })
	];
	expect(tooShort(all[0], 1828.8 + 25, all)).toBeUndefined();
	expect(tooShort(all[0], 2000, all)).toBe(
		'stand with 6 ft pole is too short: the rows take 6′ 7″ of it. These reach: stand with 8 ft pole.'
	);
	expect(tooShort(all[1], 4000, all)).toMatch(/None of the Stockroom reaches that far/);
	expect(tooShort(stand('board'), 4000, all)).toBeUndefined();
	expect(tooShort(undefined, 4000, all)).toBeUndefined();
});
