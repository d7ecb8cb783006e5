import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { design, studio } from '../../../../tests/kit/studio.ts';
import { assemble } from '../assembly/assemble.ts';
import { CAMERA, projector, turned } from './camera.ts';
import { drawAssembly } from './draw-list.ts';
import { tubesOf } from './svg.ts';

const point = { x: 3, y: 4, z: 12 };
const deg = Math.PI / 180;
const close = (values: readonly number[]) => values.map((v) => expect.closeTo(v, 9) as unknown as number);

describe('projection, by hand: a point 3 right, 4 away, 12 up', () => {
	test.each<[string, Parameters<typeof projector>[0], [number, number, number]]>([
		['from the front', CAMERA.front, [3, 12, -4]],
		['from the side the far is right, the right is near', CAMERA.side, [4, 12, 3]],
		['from above what is away is up', CAMERA.plan, [3, 4, 12]],
		['from behind', { turn: Math.PI, tilt: 0 }, [-3, 12, 4]],
		// 3 cos 30° + 4 sin 30°; the eye goes round, so the point comes nearer by 3 sin 30° and farther by 4 cos 30°.
		['turned by 30°', { turn: 30 * deg, tilt: 0 }, [2.5981 + 2, 12, 1.5 - 3.4641]]
	])('%s', (_, camera, seen) => {
		projector(camera)(point).forEach((v, i) => expect(v).toBeCloseTo(seen[i]!, 4));
	});
	test('tilted by 60° from the front: up = 12 cos 60° + 4 sin 60°, depth = 12 sin 60° − 4 cos 60°', () => {
		expect(projector({ turn: 0, tilt: 60 * deg })(point)).toEqual(
			close([3, 6 + 4 * Math.sqrt(0.75), 12 * Math.sqrt(0.75) - 2])
		);
	});
	test('lengths stay lengths, whatever the camera (property)', () => {
		const n = fc.double({ min: -5000, max: 5000, noNaN: true });
		const angle = fc.double({ min: -7, max: 7, noNaN: true });
		fc.assert(
			fc.property(n, n, n, angle, angle, (x, y, z, turn, tilt) => {
				expect(Math.hypot(...projector({ turn, tilt })({ x, y, z }))).toBeCloseTo(Math.hypot(x, y, z), 6);
			})
		);
	});
});

test('turned on by degrees; the eye stays between the level and 80° from above', () => {
	const from = { turn: 170 * deg, tilt: 30 * deg };
	expect(turned(from, 20, 15)).toEqual({
		turn: expect.closeTo(-170 * deg, 9) as number,
		tilt: expect.closeTo(45 * deg, 9) as number
	});
	expect(turned(from, 0, -40).tilt).toBe(0);
	expect(turned(from, 0, 70).tilt).toBeCloseTo(80 * deg, 9);
});

describe('a turned picture', () => {
	const gate = design(
		'gate',
		'4 11 at 10 white x3',
		'pole 7 ft',
		'section post left of column',
		'1 11 at 9 red x2'
	);
	const assembly = assemble(gate, null, () => undefined);
	const look = (camera: Parameters<typeof projector>[0]) =>
		drawAssembly(assembly, { catalogue: studio, view: 'front', camera });
	test('has every ball, back to front, and stands on the floor at any tilt', () => {
		for (const tilt of [0, 20, 60].map((d) => d * deg)) {
			for (const turn of [0, 45, 90, 200].map((d) => d * deg)) {
				const { discs, height } = look({ turn, tilt });
				expect(discs).toHaveLength(14);
				const low = Math.min(...discs.map((d) => d.y - d.r));
				expect(low).toBeCloseTo(0, 0);
				expect(Math.max(...discs.map((d) => d.y + d.r))).toBeCloseTo(height, 0);
			}
		}
	});
	test('from the front and level it is the front view; its width holds at every turn', () => {
		const front = drawAssembly(assembly, { catalogue: studio, view: 'front' });
		expect(look(CAMERA.front).discs).toEqual(front.discs);
		const widths = [0, 30, 90, 170].map((d) => look({ turn: d * deg, tilt: 0 }).halfWidth);
		expect(new Set(widths.map((w) => Math.round(w))).size).toBe(1);
		expect(widths[0]!).toBeGreaterThanOrEqual(front.halfWidth);
	});
	test('the upright turns with it, and is as long as it looks', () => {
		const tubes = tubesOf(look({ turn: 90 * deg, tilt: 60 * deg }));
		const ends = tubes.flatMap((t) => [t.y1, t.y2]);
		expect(Math.max(...ends) - Math.min(...ends)).toBeCloseTo(2133.6 / 2, 0);
		// From above its pieces have depths of their own.
		expect(tubes.length).toBe(Math.ceil(2133.6 / 150));
	});
});

test('back to the level by whatever it was tilted is level, though degrees are no whole ones (property)', () => {
	fc.assert(
		fc.property(fc.double({ min: 0.01, max: 79, noNaN: true }), (up) => {
			const high = turned({ turn: 0, tilt: 0 }, 0, up);
			expect(turned(high, 0, -(high.tilt * 180) / Math.PI).tilt).toBe(0);
		})
	);
});
