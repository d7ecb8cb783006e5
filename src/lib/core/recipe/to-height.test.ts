import { expect, test } from 'vitest';
import { design } from '../../../../tests/kit/studio.ts';
import { leadSize } from './scale.ts';
import { toHeight } from './to-height.ts';

test('of the bodies that can be built the nearest is taken, above or below what was asked for', () => {
	const column = design('column', '4 16 at 12 grey', '4 11 at 9 white x4');
	const bodies = [3, 4, 5, 6, 7].map(
		(n) => leadSize(design('c', '4 16 at 12 grey', `4 11 at 9 white x${n}`)).mm
	);
	for (const [i, body] of bodies.slice(0, -1).entries()) {
		const step = bodies[i + 1]! - body;
		expect(step).toBeGreaterThan(50);
		expect(toHeight(column, body + 0.4 * step).body).toBeCloseTo(body, 6);
		expect(toHeight(column, body + 0.6 * step).body).toBeCloseTo(bodies[i + 1]!, 6);
	}
});
