import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { design, rates, studio } from '../../../../tests/kit/studio.ts';
import { printSection } from '../language/print-section.ts';
import { omittingSlots } from '../recipe/omit-slots.ts';
import type { Recipe } from '../recipe/recipe.ts';
import { tally } from '../tally/tally.ts';
import { assemble } from './assemble.ts';

const IN = 25.4;
const none = () => undefined;
const said = (...lines: string[]): Recipe => design('figure', ...lines);
const COLUMN = ['4 11 at 10 white', '4 11 at 10 white'];
/** Where each copy of a section stands, inches. */
const stands = (recipe: Recipe, name: string) => {
	const { id } = recipe.sections.find((s) => s.name === name)!;
	const assembly = assemble(recipe, null, none);
	return [...assembly.pieces, ...assembly.applied]
		.find((p) => p.section === id)!
		.spots.map(({ x, y, z }) => [x / IN, y / IN, z / IN] as const);
};
/** The ball of a piece by its name, inches. */
const ballOf = (recipe: Recipe, name: string) => {
	const piece = recipe.sections
		.flatMap(({ structure }) => (structure.kind === 'applied' ? structure.pieces : []))
		.find((p) => p.name === name)!;
	const all = assemble(recipe, null, none).applied.flatMap((a) => a.balls);
	const { x, y, z, d } = all.find((b) => b.piece === piece.id)!.ball;
	return { x: x / IN, y: y / IN, z: z / IN, d: d / IN };
};

describe('a section on a part of another', () => {
	const HEAD = [...COLUMN, 'put 1 11 at 8 red as head on row 2 front'];
	test('on top of a ball its foot is at the top of it; under it its top is at the bottom', () => {
		const up = said(...HEAD, 'section hat on head up', '1 5 at 3 red');
		const head = ballOf(up, 'head');
		expect(stands(up, 'hat')).toEqual([[expect.closeTo(head.x, 6), expect.closeTo(head.y, 6), expect.closeTo(head.z + head.d / 2, 6)]]); // prettier-ignore
		const down = said(...HEAD, 'section bell on head down', '1 5 at 3 red');
		expect(stands(down, 'bell')[0]![2]).toBeCloseTo(head.z - head.d / 2 - 3, 6);
	});
	test('before a ball its lowest balloon touches that: half of both apart', () => {
		const recipe = said(...HEAD, 'section snout on head front', '1 5 at 3 red');
		const head = ballOf(recipe, 'head');
		const [[x, y, z]] = stands(recipe, 'snout') as [[number, number, number]];
		expect([x, y]).toEqual([expect.closeTo(head.x, 6), expect.closeTo(head.y - (head.d + 3) / 2, 6)]);
		expect(z + 1.5).toBeCloseTo(head.z, 6);
	});
	test('at the end of a limb, and so far along it', () => {
		const lines = [...COLUMN, 'form arms on column', '1 260 red 20 as arm on row 2 left'];
		const [end] = stands(said(...lines, 'section hand on arm', '1 5 at 3 red'), 'hand');
		const [half] = stands(said(...lines, 'section ring on arm at 10 in', '1 5 at 3 red'), 'ring');
		expect(end![0]).toBeLessThan(half![0] - 5);
	});
	test('two copies on two hosts: one on each', () => {
		const recipe = said(
			...COLUMN,
			'put 1 5 at 4 red as bell on row 2 left, 1 on row 2 right',
			'section tuft x2 on bell up',
			'1 5 at 2 red'
		);
		const at = stands(recipe, 'tuft').map(([x]) => Math.sign(x));
		expect([...at].sort()).toEqual([-1, 1]);
	});
	test('a bunch, a weave and limbs sit as a stack does', () => {
		const lines = [...HEAD, 'bunch tops on head', '1 11 white in helium on 3 ft ribbon'];
		const recipe = said(...lines);
		expect(assemble(recipe, null, none).lost).toEqual([]);
		expect(stands(recipe, 'tops')[0]![1]).toBeLessThan(ballOf(recipe, 'head').y);
	});
	test('it says so when it is printed, and what it prints is read again', () => {
		for (const host of ['head up', 'head', 'column row 1 front', 'column row 2 place 3 down']) {
			const recipe = said(...HEAD, `section hat x 2 on ${host}`, '1 5 at 3 red');
			const hat = recipe.sections.at(-1)!;
			const printed = `section ${printSection(hat, recipe, (id) => id)}`;
			const again = said(...HEAD, printed, '1 5 at 3 red').sections.at(-1)!;
			expect([printed, again.stand.at?.on, again.times]).toEqual([printed, hat.stand.at!.on, 2]);
			expect(printed).toContain(`on ${host}`);
		}
	});
	test('when that is left out it stands by what carried it; when it is deleted that is said', () => {
		const recipe = said(...HEAD, 'section hat on head up', '1 5 at 3 white');
		const red = recipe.slots.find((s) => s.name === 'red')!;
		const without = omittingSlots(recipe, new Set([red.id]));
		expect(without.sections.at(-1)!.stand).toMatchObject({ by: recipe.sections[0]!.id, at: undefined });
		const gone = { ...recipe, sections: recipe.sections.map((s) => 'pieces' in s.structure ? { ...s, structure: { ...s.structure, pieces: [] } as typeof s.structure } : s) }; // prettier-ignore
		const { findings } = tally(gone, null, 1, { catalogue: studio, rates, library: none });
		expect(findings.filter((f) => f.code === 'host-lost').map((f) => f.about)).toEqual([recipe.sections.at(-1)!.id]); // prettier-ignore
	});
	test('law: it stays on its host whatever stands below and above and however large that is', () => {
		const rows = fc.record({
			below: fc.integer({ min: 0, max: 4 }),
			above: fc.integer({ min: 0, max: 3 }),
			size: fc.integer({ min: 6, max: 10 }),
			way: fc.constantFrom('up', 'down', 'front', 'back', 'left', 'right', 'up left', 'down right')
		});
		fc.assert(
			fc.property(rows, ({ below, above, size, way }) => {
				const recipe = said(
					...Array.from({ length: below }, () => '4 11 at 9 white'),
					'4 11 at 9 red',
					...Array.from({ length: above }, () => '4 11 at 9 white'),
					`put 1 11 at ${size} red as head on row ${below + 1} front`,
					`section hat on head ${way}`,
					'1 5 at 3 red'
				);
				const head = ballOf(recipe, 'head');
				const [[x, y, z]] = stands(recipe, 'hat') as [[number, number, number]];
				const far = Math.hypot(x - head.x, y - head.y, z + 1.5 - head.z);
				expect(z).toBeGreaterThanOrEqual(0);
				// Where the floor is in the way it lies on that.
				if (z > 0) expect(far).toBeCloseTo((head.d + 3) / 2, 5);
			}),
			{ numRuns: 40 }
		);
	});
	test('what sits on something touches no floor and takes no patch', () => {
		const recipe = said(...HEAD, 'section hat on column row 1 front', '4 5 at 3 red');
		const patches = (r: Recipe) => tally(r, null, 1, { catalogue: studio, rates, library: none }).bill.lines.filter((l) => /patch/.test(l.label)).map((l) => l.used.valueOf()); // prettier-ignore
		expect(patches(recipe)).toEqual(patches(said(...HEAD)));
	});
});

describe('parts that are called by where they are', () => {
	const on = (recipe: Recipe, name: string) => {
		const section = recipe.sections.find(({ structure }) => structure.kind === 'applied' && structure.pieces.some((p) => p.name === name))!; // prettier-ignore
		const { applied, lost } = assemble(recipe, null, none);
		const own = applied.find((a) => a.section === section.id)!;
		return { lost, balls: own.balls.map(({ ball }) => [ball.x / IN, ball.y / IN, ball.z / IN] as const) };
	};
	const DOOR = ['frame door', 'door 6 ft by 7 ft feet 2 ft'];
	test('corners and the middle of a frame are on its tube, half a balloon before it', () => {
		const { balls, lost } = on(
			said(...COLUMN, ...DOOR, 'put 1 5 at 4 white as knob on door top left, 1 on door right'),
			'knob'
		);
		expect(lost).toEqual([]);
		// A tube of 1 in: half of it and of the balloon before it.
		expect(balls[0]).toEqual([expect.closeTo(-36, 1), expect.closeTo(-2.5, 1), expect.closeTo(84, 1)]);
		expect(balls[1]).toEqual([expect.closeTo(36, 1), expect.closeTo(-2.5, 1), expect.closeTo(42, 1)]);
	});
	test('a section stands on a part of a frame, however large that becomes', () => {
		const at = (door: string) => stands(said(...COLUMN, 'frame door', door, 'section tuft on door top right', '1 5 at 3 red'), 'tuft')[0]!; // prettier-ignore
		expect(at('door 6 ft by 7 ft feet 2 ft')[0]).toBeCloseTo(36, 1);
		expect(at('door 8 ft by 7 ft feet 2 ft')[0]).toBeCloseTo(48, 1);
	});
	const PANEL = ['weave net', 'panel of 11 rounds at 9', '3 rows 4 white'];
	test('a joint of a weave is where its balloons meet, a bay between four of them', () => {
		const { balls, lost } = on(said(...COLUMN, ...PANEL, 'put 1 5 at 2 red as dot on net joint 3 row 2, 1 on net bay 2 row 1'), 'dot'); // prettier-ignore
		expect(lost).toEqual([]);
		const [joint, bay] = balls as [readonly [number, number, number], readonly [number, number, number]];
		// Two of four balloons to the left of joint 3: in the middle, before it. The bay lies half a balloon to its left.
		expect(joint[0]).toBeCloseTo(0, 6);
		expect(joint[1]).toBeLessThan(0);
		expect(bay[0]).toBeLessThan(-2);
		expect(bay[1]).toBeCloseTo(0, 6);
		expect(bay[2]).toBeLessThan(joint[2]);
	});
	test('what is not there is lost, and said', () => {
		const recipe = said(...COLUMN, ...PANEL, 'put 1 5 at 2 red as dot on net bay 4 row 2', '3 rows 4 white');
		const less = structuredClone(recipe);
		const weave = less.sections.find((s) => s.name === 'net')!.structure;
		if (weave.kind === 'weave')
			Object.assign(weave, { rows: weave.rows.slice(0, 1).map((r) => ({ ...r, repeat: 1 })) });
		expect(on(recipe, 'dot').lost).toEqual([]);
		expect(on(less, 'dot').lost).toHaveLength(1);
	});
	test('between two rows it lies in the dents: between their heights, against both', () => {
		const recipe = said(...COLUMN, 'put 4 5 at 3 red as dots on between row 1 and row 2 round');
		const { pieces } = assemble(recipe, null, none);
		const rings = pieces[0]!.placed.layers.flatMap(({ rings }) => rings.flat());
		const [low, high] = [rings[0]!.z / IN, rings.at(-1)!.z / IN];
		for (const [x, y, z] of on(recipe, 'dots').balls) {
			expect(z).toBeGreaterThan(low);
			expect(z).toBeLessThan(high);
			const near = Math.min(...rings.map((b) => Math.hypot(b.x / IN - x, b.y / IN - y, b.z / IN - z) - (b.d / IN + 3) / 2)); // prettier-ignore
			expect(near).toBeCloseTo(0, 6);
		}
	});
	test('in the middle of a cluster it is on the axis; several stand round it', () => {
		expect(on(said(...COLUMN, 'put 1 5 at 2 red as core on row 2 middle'), 'core').balls[0]!.slice(0, 2)).toEqual([expect.closeTo(0, 6), expect.closeTo(0, 6)]); // prettier-ignore
		const three = on(said(...COLUMN, 'put 3 5 at 2 red as core on row 2 middle'), 'core').balls;
		expect(three.reduce((a, b) => a + b[0], 0)).toBeCloseTo(0, 6);
		expect(Math.hypot(three[0]![0] - three[1]![0], three[0]![1] - three[1]![1])).toBeCloseTo(2, 6);
	});
});
