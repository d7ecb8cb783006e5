import { polygonArea, polygonContains } from 'd3-polygon';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { readOutline } from '../scene/own-outline.ts';
import { edgeOfPhoto, type Pixels } from './photo-edge.ts';

type Rgba = readonly [number, number, number, number];
const WALL: Rgba = [225, 220, 210, 255];
const RED: Rgba = [190, 45, 40, 255];
type Polygon = [number, number][];
/** A photo painted pixel by pixel. */
function photo(width: number, height: number, at: (x: number, y: number) => Rgba): Pixels {
	const data = new Uint8ClampedArray(width * height * 4);
	for (let y = 0; y < height; y++) for (let x = 0; x < width; x++) data.set(at(x + 0.5, y + 0.5), (y * width + x) * 4); // prettier-ignore
	return { width, height, data };
}
const cornersOf = (path: string): Polygon =>
	path.slice(1, -1).split('L').map((p) => p.split(' ').map(Number) as [number, number]); // prettier-ignore
const edge = (of: Pixels): Polygon => {
	const read = edgeOfPhoto(of);
	if (!read.ok) throw new Error(read.say);
	return cornersOf(read.value);
};

describe('the edge of what a photo shows', () => {
	test('of a disc has the area π r², to two per cent, wherever it is and whatever is behind (property)', () => {
		fc.assert(
			fc.property(
				fc.integer({ min: 18, max: 45 }),
				fc.integer({ min: 50, max: 70 }),
				fc.integer({ min: 50, max: 70 }),
				fc.constantFrom<Rgba>([225, 220, 210, 255], [20, 30, 60, 255], [90, 160, 80, 255]),
				(r, cx, cy, ground) => {
					const shot = photo(120, 120, (x, y) => (Math.hypot(x - cx, y - cy) < r ? RED : ground));
					expect(Math.abs(polygonArea(edge(shot))) / (Math.PI * r * r)).toBeCloseTo(1, 1);
					expect(Math.abs(Math.abs(polygonArea(edge(shot))) / (Math.PI * r * r) - 1)).toBeLessThan(0.02);
				}
			),
			{ numRuns: 30 }
		);
	});
	test('keeps corners: a rectangle has four, where it is', () => {
		const shot = photo(100, 80, (x, y) => (x > 20 && x < 70 && y > 10 && y < 60 ? RED : WALL));
		const corners = edge(shot);
		expect(Math.abs(polygonArea(corners)) / 2500).toBeCloseTo(1, 1);
		for (const [x, y] of [[22, 12], [68, 12], [22, 58], [68, 58]] as const) expect(polygonContains(corners, [x, y])).toBe(true); // prettier-ignore
		for (const [x, y] of [[17, 30], [73, 30], [45, 7], [45, 63]] as const) expect(polygonContains(corners, [x, y])).toBe(false); // prettier-ignore
	});
	test('holes in it and marks on it are filled; small things beside it are no part of it', () => {
		const shot = photo(120, 120, (x, y) => {
			if (Math.hypot(x - 60, y - 60) < 8) return WALL;
			if (Math.hypot(x - 60, y - 60) < 40) return RED;
			return Math.hypot(x - 10, y - 10) < 4 ? RED : WALL;
		});
		expect(Math.abs(polygonArea(edge(shot))) / (Math.PI * 1600)).toBeCloseTo(1, 1);
	});
	test('a picture that is cut out already is taken by its opacity, whatever its colours', () => {
		const shot = photo(100, 100, (x, y) => [x * 2, y * 2, 90, Math.hypot(x - 50, y - 50) < 30 ? 255 : 0]);
		expect(Math.abs(polygonArea(edge(shot))) / (Math.PI * 900)).toBeCloseTo(1, 1);
	});
	test('a ground that is not quite even is a ground: light falls off to one side', () => {
		const shot = photo(120, 120, (x, y) => Math.hypot(x - 60, y - 60) < 35 ? RED : [225 - x / 3, 220 - x / 3, 210 - x / 3, 255]); // prettier-ignore
		expect(Math.abs(polygonArea(edge(shot))) / (Math.PI * 1225)).toBeCloseTo(1, 1);
	});
	test('an outline can be made of it; of nothing, of next to nothing and of a speck none', () => {
		const shot = photo(120, 120, (x, y) => (Math.hypot(x - 60, (y - 60) * 2) < 45 ? RED : WALL));
		const path = edgeOfPhoto(shot);
		expect(path.ok && readOutline(path.value).ok).toBe(true);
		for (const odd of [photo(60, 60, () => WALL), photo(60, 60, (x) => [225 + (x % 2) * 3, 220, 210, 255]), photo(100, 100, (x, y) => (x < 4 && y < 4 ? RED : WALL)), photo(4, 4, () => RED)]) expect(edgeOfPhoto(odd).ok).toBe(false); // prettier-ignore
	});
	test('whatever it shows, it is an edge that can be kept or a sentence (property)', () => {
		fc.assert(
			fc.property(fc.integer({ min: 1, max: 24 }), fc.integer({ min: 1, max: 24 }), fc.infiniteStream(fc.nat(255)), (w, h, noise) => {
				const read = edgeOfPhoto(photo(w, h, () => [0, 0, 0, 0].map(() => noise.next().value!) as unknown as Rgba));
				if (!read.ok) expect(read.say).toMatch(/\.$/);
				else expect(read.value).toMatch(/^M[\d. L-]+Z$/);
			}),
			{ numRuns: 60 }
		); // prettier-ignore
	});
});
