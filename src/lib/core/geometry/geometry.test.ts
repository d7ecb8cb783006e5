import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { layerRise, layersForHeight, ownPitch } from './antiprism.ts';
import { bodyHeight, fitSquash, overallHeight, SQUASH, uprightNeeded } from './heights.ts';
import { placeLayers, type LayerSpec, type RingSpec } from './layers.ts';
import { fitPlane, tiltDegrees } from './plane.ts';
import { ringRadius, ringWidth, unequalRing, type Ball } from './ring.ts';

const ring = (count: number, d: number, more: Partial<LayerSpec> = {}): LayerSpec => ({
	rings: [{ diameters: Array.from({ length: count }, () => d), side: 'all', tier: 0 }],
	turn: 'half',
	...more
});
const quads = (layers: number, d: number) => Array.from({ length: layers }, () => ring(4, d));

describe('a plane through balls', () => {
	const at = (x: number, y: number, z: number) => ({ x, y, z, d: 10 });
	test('balls of a plane give that plane, wherever they stand', () => {
		const n = fc.double({ min: -50, max: 50, noNaN: true });
		fc.assert(
			fc.property(n, n, n, n, n, (a, b, c, x, y) => {
				const spots = [
					[x, y],
					[x + 30, y + 4],
					[x + 7, y + 40],
					[x - 20, y + 10]
				] as const;
				const plane = fitPlane(spots.map(([px, py]) => at(px, py, c + a * px + b * py)));
				expect(plane.a).toBeCloseTo(a, 6);
				expect(plane.b).toBeCloseTo(b, 6);
				expect(plane.c).toBeCloseTo(c, 5);
			})
		);
	});
	test('balls of one line, far from the axis, tilt only along it', () => {
		const plane = fitPlane([at(10, 20, 5), at(13, 24, 10)]); // 5 up on 5 along (3, 4)
		expect([plane.a, plane.b]).toEqual([expect.closeTo(0.6, 9), expect.closeTo(0.8, 9)]);
		expect(plane.c + plane.a * 10 + plane.b * 20).toBeCloseTo(5, 9);
		expect(fitPlane([at(3, 4, 7)])).toEqual({ a: 0, b: 0, c: 7 });
	});
});

describe('rings', () => {
	test.each([0, -1, 2.5])('%s balls are no ring', (count) =>
		expect(() => ringRadius(count, 10)).toThrow('balls in a ring')
	);
	test('two, four and six balls, worked by hand', () => {
		expect(ringRadius(1, 10)).toBe(0);
		expect(ringRadius(2, 10)).toBeCloseTo(5, 12);
		expect(ringRadius(4, 10)).toBeCloseTo(10 / Math.SQRT2, 12);
		expect(ringRadius(6, 10)).toBeCloseTo(10, 12);
		expect(ringWidth(6, 10)).toBeCloseTo(30, 12);
	});
	test('balls of any sizes touch their neighbours', () => {
		fc.assert(
			fc.property(
				fc.array(fc.double({ min: 80, max: 120, noNaN: true }), { minLength: 3, maxLength: 8 }),
				(ds) => {
					const { radius, angles } = unequalRing(ds);
					ds.forEach((d, i) => {
						const j = (i + 1) % ds.length;
						const turn = angles[j]! - angles[i]!;
						expect(2 * radius * Math.abs(Math.sin(turn / 2))).toBeCloseTo((d + ds[j]!) / 2, 4);
					});
				}
			)
		);
	});
});

describe('resting', () => {
	test.each([
		[2, Math.SQRT1_2], // the regular tetrahedron
		[3, Math.sqrt(2 / 3)], // the regular octahedron
		[4, 2 ** -0.25],
		[5, Math.sqrt((5 + Math.sqrt(5)) / 10)], // the middle band of the regular icosahedron
		[6, Math.sqrt(Math.sqrt(3) - 1)]
	])('ring of %i, unit spheres: MathWorld "Antiprism"', (count, height) => {
		expect(layerRise(count, 1)).toBeCloseTo(height, 12);
		const [low, high] = placeLayers([ring(count, 1), ring(count, 1)], 1);
		expect(high!.z - low!.z).toBeCloseTo(height, 9);
		expect(high!.status).toBe('resting');
		expect(high!.tilt).toBeCloseTo(0, 9);
	});
	test('a single ball on a ring, by hand: 10 on four of 10 stands √(10² − 7.07²) above their centres', () => {
		const [four, one] = placeLayers([ring(4, 10), ring(1, 10)], 1);
		expect(four!.z).toBe(5);
		expect(one!.z).toBeCloseTo(5 + Math.sqrt(100 - 50), 9);
		expect(one!.top).toBeCloseTo(10 + Math.sqrt(50), 9);
	});
	test('unlike layers, by hand: a pair of 8 across a pair of 10, not turned, rests at √(9² − 1²)', () => {
		const [, upper] = placeLayers([ring(2, 10), ring(2, 8, { turn: 'none' })], 1);
		expect(upper!.z).toBeCloseTo(5 + Math.sqrt(81 - 1), 9); // centres at 5 and 4 from the axis
	});
	test('two on four, by hand: a pair of 8 over a quad of 10, not turned, each 3.07 in plan from a ball below', () => {
		const [quad, pair] = placeLayers([ring(4, 10), ring(2, 8, { turn: 'none' })], 1);
		// The quad's centres lie at 7.0711 from the axis on the diagonals, the pair's at 4 on one of them.
		expect(Math.hypot(quad!.rings[0]![0]!.x, quad!.rings[0]![0]!.y)).toBeCloseTo(7.0711, 4);
		expect(pair!.z).toBeCloseTo(5 + Math.sqrt(81 - (7.0711 - 4) ** 2), 3);
	});
	test('the squash lowers every contact', () => {
		const [low, high] = placeLayers([ring(4, 10), ring(4, 10)], 0.8);
		expect(high!.z - low!.z).toBeCloseTo(0.8 * layerRise(4, 10), 9);
	});
	test('a collar too small to touch sinks, by hand: its own d / 2 × squash', () => {
		const [wide, collar] = placeLayers([ring(8, 10), ring(3, 2)], 0.8);
		expect(collar!.status).toBe('sunk'); // eight of 10 leave a hole of 16.1, the collar is 4.3 wide
		expect(collar!.z - wide!.z).toBeCloseTo(0.8, 12);
	});
	test('a sunk collar of unlike balls stays on one level: the largest lies on, d / 2 × squash', () => {
		const unlike: LayerSpec = { turn: 'none', rings: [{ diameters: [2, 1, 2], side: 'all', tier: 0 }] };
		const [wide, collar] = placeLayers([ring(8, 10), unlike], 0.8);
		expect(collar!.status).toBe('sunk');
		for (const ball of collar!.rings[0]!) expect(ball.z - wide!.z).toBeCloseTo(0.8, 12);
	});
	test('a ball of unlike size leans the plane, by hand: pair of 10 and 6 on the floor, slope 2 in 8', () => {
		const [pair] = placeLayers([{ rings: [{ diameters: [10, 6], side: 'all', tier: 0 }], turn: 'half' }], 1);
		expect(pair!.tilt).toBeCloseTo((Math.atan(2 / 8) * 180) / Math.PI, 6);
		expect(tiltDegrees(fitPlane([{ x: 0, y: 0, z: 3, d: 1 }]))).toBe(0);
	});
	test('a levelling cluster of a higher tier rests on its own layer', () => {
		const side: LayerSpec = {
			turn: 'half',
			rings: [...ring(4, 10).rings, { diameters: [4, 4], side: 'front', tier: 1 }]
		};
		const [layer] = placeLayers([side], 1);
		expect(Math.min(...layer!.rings[1]!.map((b) => b.z))).toBeGreaterThan(5);
		expect(layer!.z).toBe(5); // height and tilt are those of the ring about the axis
	});
	test('never NaN, never through the floor, for n of 1 to 8 and any sizes', () => {
		const anyRing = fc.record({
			diameters: fc.array(fc.double({ min: 0.5, max: 1000, noNaN: true }), { minLength: 1, maxLength: 8 }),
			side: fc.constantFrom('all' as const, 'front' as const, 'left' as const),
			tier: fc.constantFrom(0, 1)
		});
		const anyLayer = fc.record({
			rings: fc.array(anyRing, { minLength: 1, maxLength: 3 }),
			turn: fc.constantFrom('half' as const, 'none' as const)
		});
		fc.assert(
			fc.property(
				fc.array(anyLayer, { minLength: 1, maxLength: 6 }),
				fc.double({ min: 0.5, max: 1.2, noNaN: true }),
				(layers, squash) => {
					for (const layer of placeLayers(layers, squash)) {
						expect(
							Number.isFinite(layer.z) && Number.isFinite(layer.tilt) && Number.isFinite(layer.pitch)
						).toBe(true);
						for (const ball of layer.rings.flat())
							expect(Object.values(ball).every(Number.isFinite)).toBe(true);
					}
				}
			)
		);
	});
});

describe('heights and the common practice of the trade (default squash, never fitted)', () => {
	const IN = 25.4;
	const count = (height: number, d: number, squash: number) => (height * IN) / ownPitch(4, d * IN, squash);
	test('9-inch quads: 10 layers on 5 ft, 40 balloons', () => {
		const layers = layersForHeight(60 * IN, ownPitch(4, 9 * IN, SQUASH.usual));
		expect(layers * 4).toBe(40);
	});
	test('5-inch at 4.09 in: 10.9 quads on 30 in (practice 10) and 19.6 on 54 in (practice 16); the range holds both', () => {
		expect(count(30, 4.09, SQUASH.usual)).toBeCloseTo(10.9, 1);
		expect(count(54, 4.09, SQUASH.usual)).toBeCloseTo(19.6, 1);
		for (const [height, practice] of [
			[30, 10],
			[54, 16]
		] as const) {
			expect(count(height, 4.09, SQUASH.high)).toBeLessThan(practice);
			expect(count(height, 4.09, SQUASH.low)).toBeGreaterThan(practice);
		}
	});
	test('fit one piece (10 on 30 in), predict the other: 17.9 where practice has 16, an error of 12 %', () => {
		const squash = fitSquash((s) => 10 * ownPitch(4, 4.09 * IN, s), 30 * IN)!;
		expect(squash).toBeCloseTo(0.872, 3);
		const predicted = count(54, 4.09, squash);
		expect(predicted).toBeCloseTo(18, 1);
		expect(predicted / 16 - 1).toBeCloseTo(0.125, 3);
	});
	test('three heights of ten quads of 9, by hand', () => {
		const placed = placeLayers(quads(10, 9 * IN), SQUASH.usual);
		const pitch = ownPitch(4, 9 * IN, SQUASH.usual);
		expect(bodyHeight(placed)).toBeCloseTo(10 * pitch, 6);
		expect(uprightNeeded(placed, 2 * IN)).toBeCloseTo(4.5 * IN + 9 * pitch + 2 * IN, 6);
		expect(overallHeight(placed)).toBeCloseTo(9 * IN + 9 * pitch, 6);
		expect([bodyHeight([]), uprightNeeded([], 2), overallHeight([])]).toEqual([0, 0, 0]);
	});
	test('a measured height no squash explains is said to be so', () => {
		expect(fitSquash((s) => 100 * s, 500)).toBeUndefined();
	});
});

test('the ring that goes all round says how a layer is turned, not what is tucked in before it', () => {
	const [layer] = placeLayers(
		[{ rings: [{ diameters: [100], side: 'front', tier: 0 }, { diameters: [230, 230, 230, 230], side: 'all', tier: 0 }], turn: 'half' }],
		1
	); // prettier-ignore
	// Four begin half a place from the front: two look forward, one to each hand.
	const [first, second] = layer!.rings[1]!;
	expect(Math.abs(first!.x)).toBeCloseTo(Math.abs(first!.y), 6);
	expect(second!.y).toBeCloseTo(first!.y * -1, 6);
});

describe('a ring that looks to a side', () => {
	const looking = (diameters: number[], facing?: RingSpec['facing']): LayerSpec => ({
		turn: 'half',
		rings: [{ diameters, side: 'all', tier: 0, facing }]
	});
	const quad = [228.6, 228.6, 228.6, 228.6];
	const placed = (...specs: LayerSpec[]) => placeLayers(specs, 0.8);
	const degrees = ({ x, y }: Ball) => Math.round((Math.atan2(y, x) * 180) / Math.PI);
	test('on the floor it is turned, and what stands on it nests in it as on any other', () => {
		const [first, second] = placed(looking(quad, { place: 0, side: 'front' }), looking(quad));
		const [, plain] = placed(looking(quad), looking(quad));
		expect(degrees(first!.rings[0]![0]!)).toBe(-90);
		expect(second!.z).toBeCloseTo(plain!.z, 6);
		expect([second!.tilt, second!.status]).toEqual([0, 'resting']);
	});
	test('of unlike balls it stays in the dents below, in the one nearest to that side: no higher and no more aslant', () => {
		const mixed = [228.6, 228.6, 178, 178];
		for (const side of ['front', 'back', 'left', 'right'] as const)
			for (const place of [0, 1, 2, 3]) {
				const [, faced] = placed(looking(quad), looking(mixed, { place, side }));
				const [, plain] = placed(looking(quad), looking(mixed));
				expect(faced!.z).toBeCloseTo(plain!.z, 6);
				expect(faced!.tilt).toBeCloseTo(plain!.tilt, 6);
				const to = { front: -90, back: 90, left: 180, right: 0 }[side];
				const off = Math.abs(((degrees(faced!.rings[0]![place]!) - to + 540) % 360) - 180);
				expect(off).toBeLessThanOrEqual(60);
			}
	});
});
