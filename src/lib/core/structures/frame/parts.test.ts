import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { design, rates, studio } from '../../../../../tests/kit/studio.ts';
import { standingOn, groundsIn } from '../../recipe/on-ground.ts';
import { tally } from '../../tally/tally.ts';
import { feet, inches } from '../../units/length.ts';
import { cutsOf, fittingsOf, guyLength, platesOf, sizeOfFrame, tubeLength } from './amounts.ts';
import { byHand } from './by-hand.ts';
import { check } from './check.ts';
import { count } from './count.ts';
import type { Frame, FramePart } from './document.ts';
import { basesOf, frameworkOf } from './joints.ts';
import { takenApart } from './parts.ts';
import { picture, placeFrame } from './place.ts';
import { pointsOf, touch } from './touch.ts';
import { variant } from './variant.ts';

const framed = (...lines: string[]) => design('frame', 'frame mast', ...lines);
const said = (...lines: string[]): Frame => framed(...lines).sections[0]!.structure as Frame;
const counted = (frame: Frame) => Object.fromEntries(fittingsOf(frame));
const codes = (frame: Frame) => check.check(frame, undefined as never).map((f) => f.code);
const context = { catalogue: studio, rates, library: () => undefined };
const ft = (mm: number) => Math.round((mm / 304.8) * 1000) / 1000;

describe('letters of tube', () => {
	test('by hand: an E of 4 ft is 2.4 ft wide: two elbows, a tee in its middle, three free ends, 4 ft up and 3 × 2.4 across', () => {
		const frame = said('letter E 4 ft', 'no base');
		expect(counted(frame)).toEqual({ elbow: 2, tee: 1, 'tube cap': 3 });
		expect(ft(tubeLength(frame))).toBe(4 + 3 * 2.4);
		expect([ft(sizeOfFrame(frame).width), ft(sizeOfFrame(frame).height)]).toEqual([2.4, 4]);
	});
	test('with feet it is held, and a run goes along it, arms too', () => {
		const recipe = framed('letter H 4 ft feet 2 ft', 'no base', 'run rope', 'along mast', '4 5 at 4 white');
		const frame = recipe.sections[0]!.structure as Frame;
		expect(check.held(frame)).toBe(true);
		const { assembly, bill } = tally(recipe, null, 1, context);
		expect(bill.balloons).toBeGreaterThan(40);
		expect(assembly.overall.usual / 304.8).toBeGreaterThan(3.9);
	});
	test('where a letter’s line is its top, a run goes along that, not on the floor: a T', () => {
		const way = variant.way(said('letter T 5 ft'))!;
		expect([way.height, way.path]).toMatchObject([feet(5), { legs: [{ way: 'right', length: feet(3) }] }]);
		expect(way.branches).toMatchObject([{ way: 'down', length: feet(5) }]);
	});
	test('every letter and figure that can be framed stands on the floor about its middle', () => {
		for (const sign of '0123456789ABCDEFGHIJLMNOPRSTUWYZ') {
			const { members } = frameworkOf(said(`letter ${sign} 3 ft`));
			const all = members.flatMap((m) => m.path);
			expect([sign, Math.min(...all.map((p) => p.z))]).toEqual([sign, 0]);
			expect(Math.min(...all.map((p) => p.x)) + Math.max(...all.map((p) => p.x))).toBeCloseTo(0, 6);
		}
	});
});

describe('sticks in a box', () => {
	test('three sticks in three cups of one box: its footprint is all of it, one base is bought', () => {
		const frame = said('box 3 sticks 4 ft apart 8 in', 'on plate 10 in');
		expect([counted(frame), platesOf(frame)]).toEqual([{ cup: 3, 'tube cap': 3 }, 1]);
		expect(basesOf(frame)).toEqual([{ at: { x: 0, y: 0, z: 0 }, wide: 26 * 25.4, deep: 254 }]);
		expect(cutsOf(frame)).toEqual([{ um: feet(4), count: 3 }]);
		expect(check.held(frame)).toBe(true);
	});
});

describe('a telescopic pole', () => {
	test('it is bought as it is: nothing cut, no fitting, a clamp over each section but the last', () => {
		const recipe = framed('telescopic 4 ft to 8 ft at 7 ft', 'on plate 20 in');
		const { bill } = tally(recipe, null, 1, context);
		expect(bill.lines.map((l) => [l.label, l.used.valueOf()])).toContainEqual(['telescopic pole, not chosen yet', 1]); // prettier-ignore
		const frame = recipe.sections[0]!.structure as Frame;
		expect([cutsOf(frame), counted(frame), platesOf(frame)]).toEqual([[], {}, 1]);
		expect(count.tasks(frame).map((t) => [t.task, t.count.valueOf()])).toEqual([['join tube', 1]]);
		expect(ft(sizeOfFrame(frame).height)).toBe(7);
		expect(check.held(frame)).toBe(true);
	});
	test('two with a bar: each on a foot of its own, as wide as the bar, and a run goes over it like over a door', () => {
		const frame = said('telescopic pole 4 to 8 ft at 7 ft bar 6 ft', 'on plate 20 in');
		expect(platesOf(frame)).toBe(2);
		expect(basesOf(frame).map((b) => Math.round(b.at.x))).toEqual([-914, 914]);
		expect(variant.way(frame)?.path).toMatchObject({
			legs: [{ way: 'up' }, { way: 'right' }, { way: 'down' }]
		});
	});
	test('it is drawn thinner where it comes out of the section below', () => {
		const strands = placeFrame(said('telescopic 4 ft to 12 ft at 12 ft', 'no base'));
		const widths = [...new Set(strands.map((s) => Math.round(s.d * 10) / 10))];
		expect(widths.length).toBe(3);
		expect(Math.max(...strands.flatMap((s) => s.path.map((p) => p.z)))).toBeCloseTo(12 * 304.8, 3);
	});
	test('it comes no further than it reaches, however tall the piece is made or it is pulled; and says so near its end', () => {
		const frame = said('telescopic 4 ft to 8 ft at 7 ft', 'on plate 40 in');
		const heightOf = (f: Frame) => (f.shape.of === 'telescope' ? f.shape.height : 0);
		expect(
			heightOf(variant.toHeight(frame, 12 * 304.8, undefined as never, undefined as never) as Frame)
		).toBe(feet(8));
		expect(heightOf(touch.dragged(frame, 'top', { x: 0, z: -3000 }, undefined as never) as Frame)).toBe(
			feet(4)
		);
		expect(codes(frame)).toEqual([]);
		expect(codes(said('telescopic 4 ft to 8 ft at 8 ft', 'on plate 40 in'))).toEqual(['frame-joint']);
	});
	test('by hand a bar is none or three inches and more: what is shorter is refused at its field, not left out', () => {
		const form = byHand.forms.find((f) => f.id === 'telescope')!;
		const fields = (bar: number) => ({ closed: feet(4), open: feet(8), height: feet(7), bar: inches(bar) }) as never;
		expect(form.conflicts?.(fields(2))).toMatchObject({ bar: expect.stringContaining('3 in or more') });
		expect([form.conflicts?.(fields(0)), form.conflicts?.(fields(3))]).toEqual([{}, {}]);
	}); // prettier-ignore
	test('what no pole does is refused, with what would do', () => {
		for (const line of [
			'telescopic 4 ft to 8 ft at 9 ft',
			'telescopic 8 ft to 4 ft',
			'telescopic 4 ft to 8 ft at 3 ft'
		])
			expect(() => said(line)).toThrow(/between 4 ft and 8 ft|no longer than pulled out/);
	});
});

describe('tube from point to point', () => {
	const gate = 'parts 0 by 0 to 0 by 6 to 4 by 6 to 4 by 0 ft';
	test('a tube that ends on another meets it in a tee; both are cut there', () => {
		const frame = said(gate, 'tube from 0 by 3 to 4 by 3 ft', 'no base');
		expect(counted(frame)).toEqual({ elbow: 2, tee: 2, 'tube cap': 2 });
		expect(frameworkOf(frame).members).toHaveLength(6);
		expect(codes(frame)).not.toContain('frame-apart');
	});
	test('tubes that do not meet, joints that are not square, five in one: each is said', () => {
		expect(codes(said(gate, 'tube from 10 by 0 to 10 by 3 ft'))).toContain('frame-apart');
		expect(codes(said('parts 0 by 0 to 0 by 6 to 4 by 8 ft'))).toContain('frame-joint');
		const five = said('parts 0 by 3 to 0 by 0, 0 by 3 to 0 by 6, 0 by 3 to 3 by 3, 0 by 3 to −3 by 3, 0 by 3 to 0 by 3 by 2 ft');
		expect(check.check(five, undefined as never).map((f) => f.say).join(' ')).toContain('no usual fitting takes five');
	}); // prettier-ignore
	test('a door taken apart is cut and joined as before; a joint that is moved takes all its tubes along', () => {
		const whole = said('door 8 ft by 7 ft feet 3 ft');
		const apart = said('door 8 ft by 7 ft feet 3 ft', 'taken apart');
		expect([cutsOf(apart), counted(apart)]).toEqual([cutsOf(whole), counted(whole)]);
		const { parts } = apart.shape as { readonly parts: readonly FramePart[] };
		const top = pointsOf(parts).findIndex(([x, z]) => x > 0 && z === feet(7));
		const moved = touch.dragged(apart, `point ${top}`, { x: 304.8, z: 0 }, []);
		expect(sizeOfFrame(moved).width - sizeOfFrame(apart).width).toBeCloseTo(304.8, 6);
		expect(frameworkOf(moved).members).toHaveLength(frameworkOf(apart).members.length);
		expect(codes(moved)).toContain('frame-joint');
	});
	test('a joint dragged under the floor stops on it; one dragged onto its other end stays', () => {
		const frame = said(gate);
		const down = touch.dragged(frame, 'point 1', { x: 0, z: -9000 }, []);
		expect(down).toEqual(frame);
		const low = touch.dragged(frame, 'point 2', { x: 0, z: -9000 }, []);
		expect(low).toEqual(frame);
		const aside = touch.dragged(frame, 'point 1', { x: -600, z: -9000 }, []).shape;
		expect(aside).toMatchObject({ parts: [{ to: [-596_900, 0, 0] }, {}, {}] });
	});
	test('one tube is left out by its number; of one tube nothing is', () => {
		expect(takenApart(said(gate, 'without tube 2'))).toHaveLength(2);
		expect(() => said('post 5 ft', 'without tube 1')).toThrow(/nothing would be left/);
	});
	test.each<[string, RegExp]>([
		['parts 0 by 0 ft', /from one point to another/],
		['parts 0 by 0 to 0 by 0 ft', /not to the same/],
		['parts 0 by 0 to 0 by −2 ft', /below the floor/],
		['parts 0 by 0 to 0 by 90 ft', /49 ft/],
		['letter K 4 ft', /no square frame/],
		['box 40 sticks 4 ft', /1 to 12/],
		['for moon on plate 12 in', /On which ground/],
		['guyed 1 at 5 ft out 4 ft', /2 to 8/],
		['covered in jam', /Covered in what/]
	])('%s is refused in words that say what will do', (line, say) => expect(() => said(line)).toThrow(say));
	const at = fc.tuple(fc.integer({ min: -40, max: 40 }), fc.integer({ min: 0, max: 60 }), fc.integer({ min: -20, max: 20 })).map(([x, z, y]) => [x * 53_975, z * 53_975, y * 53_975] as const); // prettier-ignore
	test('whatever is said from point to point is said again, and every length is cut (property)', () => {
		fc.assert(
			fc.property(fc.array(fc.tuple(at, at), { minLength: 1, maxLength: 8 }), (pairs) => {
				const parts = pairs.filter(([a, b]) => a.some((v, i) => v !== b[i])).map(([from, to]) => ({ from, to }));
				fc.pre(parts.length > 0);
				const text = ([x, z, y]: readonly [number, number, number]) => `${x / 25_400} by ${z / 25_400} by ${y / 25_400}`;
				const frame = said(`parts ${parts.map((p) => `${text(p.from)} to ${text(p.to)}`).join(', ')} in`);
				expect(frame.shape).toEqual({ of: 'parts', parts });
				const all = parts.reduce((a, { from, to }) => a + Math.hypot(...from.map((v, i) => v - to[i]!)) / 1000, 0);
				expect(tubeLength(frame)).toBeCloseTo(all, 3);
				for (const { cut, length } of frameworkOf(frame).members) expect(cut).toBeLessThanOrEqual(length);
			}),
			{ numRuns: 60 }
		);
	}); // prettier-ignore
	test('a run follows the tubes that go on from each other', () => {
		expect(variant.way(said(gate))).toMatchObject({ path: { kind: 'corners', legs: [{ way: 'up' }, { way: 'right' }, { way: 'down' }] } }); // prettier-ignore
		expect(variant.way(said('parts 0 by 0 to 2 by 5 to 4 by 0 ft'))).toMatchObject({
			path: { kind: 'curve' }
		});
	});
});

describe('a plate with a pole', () => {
	test('as it is said: 12 in with 5 ft of 1 in pipe', () => {
		const frame = said('plate 12 in with pole 5 ft of 1½ in pipe');
		expect([frame.base?.across, frame.shape, frame.tube.across]).toEqual([inches(12), { of: 'post', height: feet(5) }, inches(1.5)]); // prettier-ignore
	});
	test('a pole through a table is told', () => {
		const recipe = (on: string) => design('c', 'frame foot', 'post 6 ft on plate 24 in', 'section column over foot', '4 11 at 9 white x6', on); // prettier-ignore
		const says = (on: string) => tally(recipe(on), null, 1, context).findings.map((f) => f.say).join(' '); // prettier-ignore
		expect(says('stands on a table')).toContain('through the table');
		expect(says('stands on the floor')).not.toContain('through the table');
	});
});

describe('what goes on a frame', () => {
	test('by hand: three lines tied at 3 ft with stakes 4 ft out are 5 ft each; three stakes', () => {
		const frame = said('post 6 ft', 'guyed 3 at 3 ft out 4 ft');
		expect(guyLength(frame.guys!) / 304.8).toBeCloseTo(5, 9);
		const counts = count.needs(frame, undefined).flatMap((n) => (n.what === 'count' ? [[n.of, n.quantity.valueOf()]] : []));
		expect(Object.fromEntries(counts)).toMatchObject({ 'foot of guy line': 15, stake: 3 });
		expect(said('post 6 ft', 'guyed 3 at 3 ft out 4 ft', 'no guys').guys).toBeNull();
	}); // prettier-ignore
	test('a cover is counted by the foot of tube, and paint dries before it is joined', () => {
		const of = (line: string) =>
			count.needs(said('door 4 ft by 6 ft feet 2 ft', line), undefined).flatMap((n) => (n.what === 'count' && n.of.startsWith('foot') ? [[n.of, n.quantity.valueOf()]] : [])); // prettier-ignore
		expect(of('covered in tissue')).toEqual([['foot in tissue', 20]]);
		expect(of('covered in balloons')).toEqual([['foot under balloons', 20]]);
	});
	test('mesh is drawn over its outline and bought once', () => {
		const frame = said('back 4 ft by 6 ft feet 2 ft', 'mesh');
		expect(count.needs(frame, undefined).filter((n) => n.what === 'material' && n.label === 'mesh')).toHaveLength(1);
		const plain = said('back 4 ft by 6 ft feet 2 ft');
		const strands = (f: Frame) => picture.place(f, { colourway: undefined } as never).loose[0]!.strands.length;
		expect(strands(frame)).toBeGreaterThan(strands(plain) + 15);
	}); // prettier-ignore
	test('another base on grass: a quote that stands there is counted on it, elsewhere on the usual one', () => {
		const recipe = framed('post 6 ft on plate 12 in', 'for grass on plate 30 in', 'for stage no base');
		expect(groundsIn(recipe)).toEqual(['grass', 'stage']);
		const across = (ground: 'grass' | 'stage' | 'paving' | undefined) =>
			(standingOn(recipe, ground).sections[0]!.structure as Frame).base?.across ?? null;
		expect([across(undefined), across('paving'), across('grass'), across('stage')]).toEqual([inches(12), inches(12), inches(30), null]); // prettier-ignore
		expect(standingOn(recipe, 'grass')).toBe(standingOn(recipe, 'grass'));
		expect(said('post 6 ft', 'for grass on plate 30 in', 'for grass as usual').grounds).toEqual([]);
	});
});
