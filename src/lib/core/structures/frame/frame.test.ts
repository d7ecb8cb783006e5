import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { design, rates, studio } from '../../../../../tests/kit/studio.ts';
import { sayRecipe } from '../../compare/say-recipe.ts';
import { planOf } from '../../plan/plan.ts';
import { drawAssembly } from '../../scene/draw-list.ts';
import { tally } from '../../tally/tally.ts';
import { feet, inches, um } from '../../units/length.ts';
import { check, steadyBy } from './check.ts';
import { cutsOf, fittingsOf, sizeOfFrame } from './amounts.ts';
import type { Frame, FrameShape } from './document.ts';
import { emptyFrame } from './empty.ts';
import { frameworkOf, jointOf } from './joints.ts';
import { bendMarks } from './marks.ts';
import { picture } from './place.ts';
import { stretched, variant } from './variant.ts';

const framed = (shape: FrameShape, more: Partial<Frame> = {}): Frame => ({ ...emptyFrame(), shape, ...more });
const said = (...lines: string[]): Frame =>
	design('frame', 'frame mast', ...lines).sections[0]!.structure as Frame;
const inch = (frame: Frame) => cutsOf(frame).map(({ um: long, count }) => [count, long / 25_400]);
const counted = (frame: Frame) => Object.fromEntries(fittingsOf(frame));

describe('what a frame is cut and joined of', () => {
	test('common practice: a 10 ft stick bent at 13, 13, 13 and 9 in leaves 72 in upright, on one stick without a joint', () => {
		const frame = said('bent 10 ft at 13 in, 13 in, 13 in, 9 in');
		const marks = bendMarks(frame);
		expect(marks.map((m) => [Math.round(m.at / 2.54) / 10, m.goes])).toEqual([
			[13, 'to the left'],
			[26, 'to the left'],
			[39, 'to the left'],
			[48, 'up']
		]);
		expect(marks.at(-1)!.left / 25.4).toBe(72);
		expect(sizeOfFrame(frame).height / 25.4).toBeCloseTo(72, 9);
		expect([inch(frame), counted(frame)]).toEqual([[[1, 120]], {}]);
	});
	test('the build plan says the marks of a bend as a tape has them, and what is left as the upright', () => {
		const recipe = design('frame', 'frame mast', 'bent 10 ft at 13 in, 13 in, 13 in, 9 in');
		const context = { catalogue: studio, rates, library: () => undefined };
		const said = JSON.stringify(
			planOf(recipe, { colourway: null, size: null, quantity: 1 }, context)[0]!.steps
		);
		expect(said).toContain('bend it: 13 in to the left, 26 in to the left, 39 in to the left, 48 in up.');
		expect(said).toContain('72 in stands up plumb');
	});
	test('by hand: a door 8 by 7 ft of inch tube with 3 ft feet; each fitting takes ¾ in of an end', () => {
		const frame = said('door 8 ft by 7 ft feet 3 ft');
		expect(inch(frame)).toEqual([
			[1, 96 - 1.5],
			[2, 84 - 1.5],
			[4, 18 - 0.75]
		]);
		expect(counted(frame)).toEqual({ 'tube cap': 4, tee: 2, elbow: 2 });
	});
	test('by hand: a mast on a plate with its tree in a cross; a hoop’s ends in a tee; an arch longer than a stick is coupled', () => {
		expect(counted(said('cross 7 ft tree 4 ft at 5 ft'))).toEqual({ flange: 1, 'cross fitting': 1, 'tube cap': 3 });
		expect(counted(said('cross 7 ft tree 4 ft at 7 ft'))).toMatchObject({ tee: 1, 'tube cap': 2 });
		expect(counted(said('hoop 3 ft foot 2 ft'))).toEqual({ flange: 1, tee: 1 });
		const arc = said('arc 8 ft by 7 ft');
		expect(counted(arc)).toEqual({ flange: 2, coupling: 1 });
		expect(cutsOf(arc)[0]!.count).toBe(2);
	}); // prettier-ignore
	test('joints by how tubes meet', () => {
		const [x, left, y, z] = [[1, 0, 0], [-1, 0, 0], [0, 1, 0], [0, 0, 1]] as const;
		expect(jointOf([x, left], false)).toBe('coupling');
		expect(jointOf([x, y], false)).toBe('elbow');
		expect(jointOf([x, y, z], false)).toBe('corner fitting');
		expect(jointOf([x, left, z], false)).toBe('tee');
		expect(jointOf([x, left, y, z], false)).toBe('four-way fitting');
		expect(jointOf([x, left, y, z, [0, -1, 0]], false)).toBe('five or more');
		expect([jointOf([z], true), jointOf([z], false), jointOf([x], true)]).toEqual(['flange', 'tube cap', 'tube cap']);
	}); // prettier-ignore
	const long = fc.integer({ min: 12, max: 240 }).map((n) => inches(n));
	const shapes: fc.Arbitrary<FrameShape> = fc.oneof(
		fc.record({ of: fc.constant('post' as const), height: long }),
		fc.record({ of: fc.constant('door' as const), width: long, height: long, feet: fc.oneof(fc.constant(0 as const), long) }),
		fc.record({ of: fc.constant('back' as const), width: long, height: long, feet: long, bars: fc.nat(4) }),
		fc.record({ of: fc.constant('hoop' as const), across: long, foot: fc.oneof(fc.constant(0 as const), long) }),
		fc.record({ of: fc.constant('arc' as const), span: long, rise: long }),
		fc.record({ of: fc.constant('letter' as const), sign: fc.constantFrom(...'0123456789ABCDEFGHIJLMNOPRSTUWYZ'), height: long, feet: fc.oneof(fc.constant(0 as const), long) }),
		fc.record({ of: fc.constant('box' as const), sticks: fc.integer({ min: 1, max: 12 }), height: long, apart: long })
	); // prettier-ignore
	test('what is cut and what fittings take is all there is, no piece is longer than a stick, and it stands on the floor (property)', () => {
		fc.assert(
			fc.property(shapes, fc.integer({ min: 4, max: 12 }), (shape, stick) => {
				const frame = framed(shape, { tube: { ...emptyFrame().tube, stick: feet(stick) } });
				const { members, joints } = frameworkOf(frame);
				for (const m of members) expect(m.length - m.cut).toBeLessThanOrEqual(1.5 * 25.4 + 1e-6);
				for (const { um: cut } of cutsOf(frame)) expect(cut).toBeLessThanOrEqual(feet(stick) + 1);
				const couplings = members.reduce((a, m) => a + m.pieces - 1, 0);
				expect(joints.filter((j) => j.kind === 'coupling').length).toBeGreaterThanOrEqual(couplings);
				const low = Math.min(...members.flatMap((m) => m.path.map((p) => p.z)));
				expect(low).toBeGreaterThanOrEqual(-1e-6);
				expect(stretched(stretched(shape, 2), 0.5)).toEqual(shape);
			})
		);
	});
});

describe('whether it stands', () => {
	test('a door without feet or plates stands on a line and is told so; with 3 ft feet it does not', () => {
		const bare = framed({ of: 'door', width: feet(8), height: feet(7), feet: 0 }, { base: null });
		expect(steadyBy(bare)).toBe(0);
		expect(check.check(bare, undefined as never).map((f) => f.code)).toEqual(['light-base']);
		expect(check.held(bare)).toBe(false);
		const footed = said('door 8 ft by 7 ft feet 3 ft');
		expect(check.check(footed, undefined as never)).toEqual([]);
		expect(check.held(footed)).toBe(true);
		expect(steadyBy(footed) / 25.4).toBeCloseTo(18, 6);
	});
	test('by hand: a post of 6 ft on a 12 in plate is 6 in from its edge: too little for its 72', () =>
		expect(check.check(framed({ of: 'post', height: feet(6) }), undefined as never)[0]!.say).toContain(
			'6 in'
		));
	test('four bars and feet in one joint, five tubes: no fitting takes five', () => {
		// A back frame whose lowest bar, upright and two feet meet: four. A second bar there would be the fifth.
		expect(counted(said('back 6 ft by 7 ft feet 3 ft bars 2'))).toMatchObject({ 'four-way fitting': 2, tee: 4, elbow: 2 }); // prettier-ignore
	});
});

describe('a frame in a design', () => {
	const context = { catalogue: studio, rates, library: () => undefined };
	const recipe = design('gate', 'frame gate', 'door 8 ft by 7 ft feet 3 ft', 'run rope', 'along gate', '4 11 at 9 white');
	test('a run goes its way, over the door and down again', () => {
		const { assembly } = tally(recipe, null, 1, context);
		const top = Math.max(...assembly.applied.flatMap((a) => a.balls.map((b) => b.ball.z)));
		expect(top).toBeGreaterThan(2000);
		expect(drawAssembly(assembly, { catalogue: studio, view: 'front' }).height).toBeGreaterThan(2100);
	});
	test('a column is threaded over its post: both stand on one spot', () => {
		const column = design('on post', 'frame foot', 'post 6 ft on plate 24 in', 'section column over foot', '4 11 at 9 white x6');
		const { assembly } = tally(column, null, 1, context);
		const spots = assembly.pieces.flatMap((p) => p.spots.map((s) => [s.x, s.y, s.z]));
		expect(column.sections.map((s) => [s.name, s.stand.how])).toEqual([['foot', 'on top'], ['column', 'over']]);
		expect(spots).toEqual([[0, 0, 0]]);
		expect(sayRecipe(column, (id) => id).join('\n')).toContain('over foot');
	});
	test('made once for twenty uses, cutting and glueing take a twentieth each time', () => {
		const minutes = (line: string) =>
			tally(design('f', 'frame mast', line), null, 1, context).cost.labourTotal.minor;
		const [once, often] = [minutes('post 5 ft glued'), minutes('post 5 ft glued used 20 times')];
		expect(often).toBeLessThan(once);
	});
	test('tube nobody has chosen yet is counted in feet, and says so', () => {
		const { cost } = tally(design('gate', 'frame gate', 'door 7 ft by 7 ft feet 3 ft'), null, 1, context);
		const counts = cost.frame.filter((l) => l.label.startsWith('tube')).map((l) => l.count); // prettier-ignore
		expect(counts).toEqual(['26.4 ft']);
	});
	test('a stand in three heights: a size is the height of the frame where nothing else stands in the design', () => {
		const stand = design('stand', 'frame stand', 'post 5 ft on plate 14 in', 'size low 3 ft', 'size high 7 ft');
		const high = (size: string | null) => tally(stand, null, 1, context, size).assembly.overall.usual;
		const [low, tall] = stand.sizes.map((s) => s.id) as [string, string];
		expect([high(low), high(null), high(tall)].map((mm) => Math.round(mm / 304.8))).toEqual([3, 5, 7]);
		for (const shape of ['door 8 ft by 7 ft feet 3 ft', 'back 6 ft by 7 ft feet 3 ft bars 2', 'cross 7 ft tree 4 ft at 5 ft', 'hoop 5 ft foot 2 ft', 'arc 8 ft by 7 ft', 'bent 10 ft at 13 in, 13 in, 13 in, 9 in'])
			expect([shape, Math.round(variant.size(variant.toHeight(said(shape), 1800, [], 'rows'), [], 'rows').mm)]).toEqual([shape, 1800]);
		// A column on it leads.
		const column = design('on post', 'frame foot', 'post 6 ft on plate 24 in', 'section column over foot', '4 11 at 9 white x6', 'size tall 8 ft');
		expect(tally(column, null, 1, context, column.sizes[0]!.id).bill.balloons).toBeGreaterThan(24);
	});
	test('a column in another height takes its post along: as much is cut off as the column is lower', () => {
		const column = design('on post', 'frame foot', 'post 9 ft on plate 24 in', 'section column over foot', '4 11 at 9 white x12', 'size low 5 ft'); // prettier-ignore
		const of = (size: string | null) => tally(column, null, 1, context, size);
		const post = (size: string | null) => sizeOfFrame(of(size).built.sections[0]!.structure as Frame).height;
		const [whole, low] = [of(null), of(column.sizes[0]!.id)];
		expect(low.assembly.overall.usual).toBeLessThan(whole.assembly.overall.usual);
		const rows = (t: typeof whole) => Math.max(...t.assembly.pieces[0]!.placed.layers.map((l) => l.z));
		expect(post(null) - post(column.sizes[0]!.id)).toBeCloseTo(rows(whole) - rows(low), 0);
		// By larger balloons too, and nothing is said of it.
		const large = design('large', 'frame foot', 'post 9 ft on plate 24 in', 'section column over foot', '4 11 at 8 white x12', 'size large 7 ft scaled'); // prettier-ignore
		const grown = tally(large, null, 1, context, large.sizes[0]!.id);
		expect(sizeOfFrame(grown.built.sections[0]!.structure as Frame).height).toBeGreaterThan(feet(9) / 1000);
		expect(grown.notes.join(' ')).not.toContain('foot stays');
	});
	test('it is drawn from all sides, its plate at its foot', () => {
		const strands = picture.place(said('post 5 ft on plate 12 in'), { colourway: undefined } as never).loose[0]!.strands;
		const zs = strands.flatMap((s) => s.path.map((p) => p.z));
		expect([Math.min(...zs), Math.max(...zs)]).toEqual([0, feet(5) / 1000]);
		expect(variant.way(framed({ of: 'bent', stick: feet(10), bends: [um(330_200)] }))).toBeNull();
	});
}); // prettier-ignore

describe('the whole on its foot', () => {
	const context = { catalogue: studio, rates, library: () => undefined };
	const falls = (...lines: string[]) =>
		tally(design('gallows', 'frame mast', ...lines), null, 1, context).findings.filter((f) => f.code === 'falls-over');
	// Tube of 6 ft up and 5 ft to the right: its middle is 5 × 2.5 / 11 ft = 13.6 in from the upright. The plate weighs too.
	const ARM = 'parts 0 by 0 to 0 by 6 to 5 by 6 ft';
	test('by hand: an arm to one side falls off a small plate by itself, to that side; a wide one carries it', () => {
		expect(falls(ARM, 'on plate 12 in')).toMatchObject([{ level: 'bad', say: expect.stringMatching(/by itself.*to the right/) }]);
		expect(falls(ARM, 'on plate 48 in')).toEqual([]);
	});
	test('the side is told from the middle of its foot: a stick bent to a foot stands at a corner of it', () => {
		const bent = falls('bent 10 ft at 13 in, 13 in, 13 in, 9 in', 'no base');
		for (const { say } of bent) expect(say).not.toMatch(/to the (left|right|front|back) /);
		expect(falls('parts 0 by 0 to 0 by 6 to −5 by 6 ft', 'on plate 12 in')[0]!.say).toContain('to the left');
	});
	test('a straight post is fine, and what has no frame is not looked at', () => {
		expect(falls('post 5 ft', 'on plate 24 in')).toEqual([]);
		const column = tally(design('column', '4 11 at 9 white x12'), null, 1, context).findings;
		expect(column.map((f) => f.code)).not.toContain('falls-over');
	});
	test('a tall piece on a narrow foot is told how little it takes', () =>
		expect(falls('post 9 ft', 'on plate 6 in')).toMatchObject([{ level: 'watch', say: expect.stringMatching(/falls once it leans \d°/) }]));
}); // prettier-ignore
