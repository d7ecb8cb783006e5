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

/** What repeats come out where a stack is built to the height that just these would have. */
function shares(rows: readonly number[], wanted: readonly number[]): number[] {
	const lines = (repeats: readonly number[]) => repeats.map((n) => `4 11 at 9 white x${n}`);
	const made = (repeats: readonly number[]) => design('c', ...lines(repeats));
	const total = wanted.reduce((a, n) => a + n, 0);
	const { recipe } = toHeight(made(rows), leadSize(made([total])).mm);
	const [{ structure }] = recipe.sections as [(typeof recipe.sections)[number]];
	return structure.kind === 'stack' ? structure.layers.map((l) => l.repeat) : [];
}
test.each([
	// In proportion 2.29, 2.29 and 3.43 of eight: the largest remainder takes what is left.
	[[2, 2, 3], [2, 2, 4]],
	// 3⅓ each of ten: of equal remainders the lowest row's.
	[[2, 2, 2], [4, 3, 3]],
	// Each keeps one; 2.45 and 3.06 are the rest: what is most over gives way first.
	[[2, 2, 20, 25], [1, 1, 2, 2]],
	[[2, 3], [3, 5]]
])('rows of %j to the height of %j', (rows, wanted) => expect(shares(rows, wanted)).toEqual(wanted)); // prettier-ignore
