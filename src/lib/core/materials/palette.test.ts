import { expect, test } from 'vitest';
import { colours, materials } from '../../../../tests/kit/studio.ts';
import { palette } from './palette.ts';

test('colours there are balloons of come first, each part from the nearest on; none is lost', () => {
	const unknown = { id: 'kelp', name: 'kelp', finish: 'matte' as const, hex: '#3f6b3a' };
	const all = [unknown, ...colours];
	const plain = palette(all, materials);
	expect([...plain.stocked, ...plain.others].map((c) => c.id).sort()).toEqual(all.map((c) => c.id).sort());
	expect(plain.others.map((c) => c.id)).toEqual(['kelp', 'gold-mirror']);
	// From red: red itself, then gold, the greys and white after it.
	const near = palette(all, materials, colours.find((c) => c.id === 'red')!.hex);
	expect(near.stocked[0]!.id).toBe('red');
	expect(near.stocked.map((c) => c.id).sort()).toEqual(plain.stocked.map((c) => c.id).sort());
	expect(near.others.map((c) => c.id)).toEqual(['gold-mirror', 'kelp']);
});
