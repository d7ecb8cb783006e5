import { expect, test } from 'vitest';
import { seeded } from './random.ts';
import { Relaxing, type Moving } from './relax.ts';

const SIDE = 15;

/**
 * Scott & Kilgour, “The density of random close packing of spheres” (1969), as their range is commonly given: equal
 * rigid balls in a box of 15 diameters, measured 3 diameters from its walls, fill 0.58 to 0.65; never over π / √18, the
 * bound for equal balls (Kepler; Hales). From memory.
 */
test('equal balls in a box: what they fill three diameters from its walls', () => {
	const count = Math.round((SIDE ** 3 * 0.57) / (Math.PI / 6));
	const chance = seeded(7);
	const balls: Moving[] = Array.from({ length: count }, () => ({
		x: chance() * SIDE,
		y: chance() * SIDE,
		z: chance() * SIDE,
		r: 0.5
	}));
	const inBox = (v: number) => Math.max(0.5, Math.min(SIDE - 0.5, v));
	const relaxing = new Relaxing(balls, 0, (b) => {
		b.x = inBox(b.x);
		b.y = inBox(b.y);
		b.z = inBox(b.z);
	});
	relaxing.rounds(500);
	const overlap = relaxing.overlap();
	expect(overlap).toBeLessThan(0.02);
	// Shrunk by the worst overlap they are rigid: no two touch more than at a point.
	const r = 0.5 * (1 - overlap);
	const near = balls.filter((b) => [b.x, b.y, b.z].every((v) => v > 2.4 && v < SIDE - 2.4));
	let hit = 0;
	const samples = 20_000;
	for (let i = 0; i < samples; i++) {
		const [x, y, z] = [0, 0, 0].map(() => 3 + (SIDE - 6) * chance()) as [number, number, number];
		if (near.some((b) => (b.x - x) ** 2 + (b.y - y) ** 2 + (b.z - z) ** 2 < r * r)) hit++;
	}
	const filled = hit / samples;
	expect(filled).toBeGreaterThan(0.58);
	expect(filled).toBeLessThan(0.65);
	expect(filled).toBeLessThan(Math.PI / Math.sqrt(18));
}, 60_000);

test('two in one point come apart, and the same begins end alike', () => {
	const pair = (): Moving[] => [0, 1].map(() => ({ x: 1, y: 2, z: 3, r: 1 }));
	const [a, b] = [pair(), pair()];
	for (const balls of [a, b]) new Relaxing(balls, 0, () => undefined).rounds(60);
	expect(Math.hypot(a[0]!.x - a[1]!.x, a[0]!.y - a[1]!.y, a[0]!.z - a[1]!.z)).toBeCloseTo(2, 6);
	expect(a).toEqual(b);
});

test('seeded chance is the same every time, and even: mean ½, variance 1/12', () => {
	const chance = seeded(42);
	const values = Array.from({ length: 20_000 }, chance);
	const mean = values.reduce((a, v) => a + v, 0) / values.length;
	const variance = values.reduce((a, v) => a + (v - mean) ** 2, 0) / values.length;
	expect(mean).toBeCloseTo(0.5, 2);
	expect(variance).toBeCloseTo(1 / 12, 2);
	expect(Array.from({ length: 3 }, seeded(42))).toEqual(values.slice(0, 3));
});
