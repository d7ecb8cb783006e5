import { expect, test } from 'vitest';
import { placeLayers } from './layers.ts';
test('a pair off the axis stands side by side on its side, whatever is below', () => {
	const side = { front: [0, -1], back: [0, 1], left: [-1, 0], right: [1, 0] } as const;
	for (const [name, [dx, dy]] of Object.entries(side))
		for (const below of [3, 4, 5]) {
			const [, pair] = placeLayers(
				[
					{ rings: [{ diameters: Array<number>(below).fill(200), side: 'all', tier: 0 }], turn: 'half' },
					{ rings: [{ diameters: [100, 100], side: name as 'front', tier: 0 }], turn: 'half' }
				],
				0.8
			);
			const [a, b] = [pair!.rings[0]![0]!, pair!.rings[0]![1]!];
			// Equally far out, and apart across the side.
			expect(a.x * dx + a.y * dy).toBeCloseTo(b.x * dx + b.y * dy, 9);
			expect(Math.hypot(a.x - b.x, a.y - b.y)).toBeCloseTo(100, 9);
			expect(a.x * dx + a.y * dy).toBeGreaterThan(0);
		}
});
