import { expect, test } from 'vitest';
import { pinch } from './fingers.ts';

const at = (x: number, y: number) => ({ x, y });
test('fingers that go apart along their line are closer, by how much, about their middle', () => {
	expect(pinch([at(0, 0), at(10, 0)], [at(-5, 0), at(15, 0)])).toMatchObject({ apart: 2, turn: 0, dx: 0, dy: 0, middle: at(5, 0) }); // prettier-ignore
});
test('fingers that go round each other turn it, clockwise on a screen that counts downwards', () => {
	const { turn, apart } = pinch([at(0, 0), at(10, 0)], [at(5, -5), at(5, 5)]);
	expect(turn).toBeCloseTo(90, 9);
	expect(apart).toBeCloseTo(1, 9);
});
test('past half a turn it goes the short way; fingers on one spot say nothing', () => {
	expect(Math.abs(pinch([at(0, 0), at(-10, 1)], [at(0, 0), at(-10, -1)]).turn)).toBeLessThan(20);
	expect(pinch([at(3, 3), at(3, 3)], [at(0, 0), at(9, 9)])).toMatchObject({ apart: 1, turn: 0 });
});
test('both together move it', () => {
	expect(pinch([at(0, 0), at(4, 0)], [at(7, 2), at(11, 2)])).toMatchObject({ dx: 7, dy: 2, apart: 1 });
});
