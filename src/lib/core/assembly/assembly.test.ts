import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { design, entryContext, rates, studio } from '../../../../tests/kit/studio.ts';
import { newSection } from '../recipe/build.ts';
import { designUse } from '../structures/design/empty.ts';
import { addSection, hostsFor, moveSection, removeSection } from '../recipe/edit.ts';
import { stackIn, stackOf } from '../structures/stack/edit.ts';
import { type RecipeDraft } from '../recipe/draft.ts';
import { parseEntry } from '../language/read.ts';
import { recipeSchema } from '../recipe/recipe.schema.ts';
import { ON_THE_FLOOR, type Stand } from '../document/stand.ts';
import type { Recipe, Section } from '../recipe/recipe.ts';
import type { Stack } from '../structures/stack/document.ts';
import { drawAssembly } from '../scene/draw-list.ts';
import { tally } from '../tally/tally.ts';
import { feet, inches } from '../units/length.ts';
import { copiesOf } from '../recipe/copies.ts';
import { assemble } from './assemble.ts';

const IN = 25.4;
const none = () => undefined;
const base = design('figure', '4 11 at 10 white');
const [main] = base.sections;
const ball: Stack = stackIn(design('ball', '1 11 at 10 white'))!;
const beads: Stack = stackIn(design('beads', '2 5 at 4 white x3'))!;
const by = (host: string, stand: Partial<Stand>): Stand => ({ ...ON_THE_FLOOR, by: host, ...stand });
const part = (id: string, structure: Section['structure'], more: Partial<Section> = {}): Section => ({
	...newSection(id, id, structure),
	...more
});
/** The figure with more sections; slots of the parts are those of the figure. */
const figure = (...parts: Section[]): Recipe => ({ ...base, sections: [main!, ...parts] });
const spots = (recipe: Recipe, id: string) =>
	assemble(recipe, null, none)
		.pieces.find((p) => p.section === id)!
		.spots.map(({ x, y, z, mirrored }) => ({
			x: x / IN,
			y: y / IN,
			z: z / IN,
			mirrored
		}));
const count = (recipe: Recipe, quantity = 1, library: (id: string) => Recipe | undefined = none) =>
	tally(recipe, null, quantity, { catalogue: studio, rates, library });

describe('where sections stand, by hand (inches)', () => {
	test('a ball on top of four of its size comes to rest √(10² − 7.07²) over their centres', () => {
		const [top] = spots(figure(part('head', ball, { stand: by(main!.id, {}) })), 'head');
		expect(top!.z).toBeCloseTo(5 + Math.sqrt(50) - 5, 6); // centre at 5 + √50, its own foot 5 lower
		expect([top!.x, top!.y]).toEqual([0, 0]);
	});
	test('two on the floor stand side by side, a mirrored pair to both sides of the middle', () => {
		const row = spots(figure(part('ball', ball, { times: 3 })), 'ball');
		expect(row.map((s) => s.x)).toEqual([0, expect.closeTo(10, 9), expect.closeTo(20, 9)]);
		const pair = spots(figure(part('ball', ball, { times: 2, mirror: true })), 'ball');
		expect(pair.map((s) => [s.x, s.mirrored])).toEqual([
			[expect.closeTo(5, 9), false],
			[expect.closeTo(-5, 9), true]
		]);
	});
	test('arms beside: reach of the body, air, reach of the arm; at the height said, both sides when mirrored', () => {
		const arm = part('arm', ball, {
			times: 2,
			mirror: true,
			stand: by(main!.id, { how: 'left', height: feet(4), gap: inches(2) })
		});
		const body = 10 / Math.SQRT2 / Math.SQRT2 + 5; // four of 10 turned by half a place: 5 from the axis, and a radius
		expect(spots(figure(arm), 'arm')).toEqual([
			{ x: expect.closeTo(-(body + 2 + 5), 6), y: 0, z: expect.closeTo(48, 9), mirrored: false },
			{ x: expect.closeTo(body + 2 + 5, 6), y: 0, z: expect.closeTo(48, 9), mirrored: true }
		]);
	});
	test('what stands by two stands by both', () => {
		const arm = part('arm', ball, { times: 2, mirror: true, stand: by(main!.id, { how: 'right' }) });
		const hand = part('hand', beads, { stand: by('arm', {}) });
		const recipe = figure(arm, hand);
		expect(spots(recipe, 'hand').map((s) => Math.sign(s.x))).toEqual([1, -1]);
		expect(copiesOf(recipe, recipe.sections[2]!)).toBe(2);
	});
	test('a section without layers has no place of its own, and what stands on it stands where it would', () => {
		const empty = part('empty', { ...ball, layers: [] }, { stand: by(main!.id, {}) });
		expect(
			spots(figure(empty, part('head', ball, { stand: by('empty', {}) })), 'head')[0]!.z
		).toBeGreaterThan(9);
	});
	test('never NaN, never under the floor, for any way of standing', () => {
		const anyStand = fc.record({
			how: fc.constantFrom(
				'on top' as const,
				'left' as const,
				'right' as const,
				'front' as const,
				'back' as const
			),
			height: fc.constantFrom(null, inches(3), feet(9)),
			gap: fc.constantFrom(0 as const, inches(5))
		});
		const anyPart = fc.tuple(
			anyStand,
			fc.integer({ min: 1, max: 5 }),
			fc.boolean(),
			fc.constantFrom(ball, beads)
		);
		fc.assert(
			fc.property(fc.array(anyPart, { minLength: 1, maxLength: 4 }), (parts) => {
				const sections = parts.map(([stand, times, mirror, structure], i) =>
					part(`p${i}`, structure, { times, mirror, stand: by(i === 0 ? main!.id : `p${i - 1}`, stand) })
				);
				const recipe = figure(...sections);
				const { pieces, overall } = assemble(recipe, null, none);
				for (const { x, y, z } of pieces.flatMap((p) => p.spots)) {
					for (const v of [x, y, z]) expect(Number.isFinite(v)).toBe(true);
					expect(z).toBeGreaterThanOrEqual(-1e-6);
				}
				expect(overall.usual).toBeGreaterThan(0);
				expect(pieces.map((p) => p.spots.length)).toEqual([1, ...sections.map((s) => copiesOf(recipe, s))]);
			}),
			{ numRuns: 60 }
		);
	});
});

describe('counting sections', () => {
	test('their times multiply balloons, and those of what they stand by', () => {
		const arm = part('arm', ball, { times: 2, stand: by(main!.id, { how: 'left' }) });
		const hand = part('hand', beads, { times: 3, stand: by('arm', {}) });
		expect(count(figure(arm, hand)).bill.balloons).toBe(4 + 2 * 1 + 2 * 3 * 6);
		expect(count(figure(arm, hand), 5).bill.balloons).toBe(5 * (4 + 2 + 36));
	});
	test('what touches the floor takes patches; what stands by another is set up with it, on top it is attached with its tie', () => {
		const used = (recipe: Recipe, label: string) =>
			count(recipe)
				.bill.lines.find((l) => l.label === label)
				?.used.valueOf() ?? 0;
		const task = (recipe: Recipe, name: string) =>
			count(recipe).tasks.find((t) => t.task === name)?.count ?? 0;
		const head = part('head', ball, { times: 1, stand: by(main!.id, { tie: 'tie balloon' }) });
		const beside = part('pot', ball, { times: 2, stand: by(main!.id, { how: 'right' }) });
		expect([used(base, 'patch'), used(figure(head), 'patch'), used(figure(beside), 'patch')]).toEqual([
			4, 4, 6
		]);
		expect([used(figure(head), 'tie balloon'), used(figure(beside), 'tie balloon')]).toEqual([1, 0]);
		expect(
			['level and look over', 'strike, small'].map((t) =>
				[base, figure(head), figure(beside)].map((r) => task(r, t))
			)
		).toEqual([
			[1, 1, 1],
			[1, 1, 1]
		]);
		expect(task(figure(part('twin', ball, { times: 2 })), 'level and look over')).toBe(3);
		expect([task(figure(head), 'attach'), task(figure(beside), 'attach')]).toEqual([1, 0]);
	});
	test('difficulty weighs on the work of its own section only', () => {
		const seconds = (difficulty: string) =>
			count(figure(part('pot', ball, { difficulty }))).cost.seconds.valueOf();
		const plain = seconds('1');
		const own = count(figure()).cost.seconds.valueOf();
		// The tools are set once for its size, with those of the same size below it.
		expect(seconds('2') - own).toBeCloseTo(2 * (plain - own), 6);
	});
	test('a design inside counts its balloons and its labour, as often as it stands there', () => {
		const inner = design('inner', '4 5 at 4 white x2');
		const use = part('use', designUse('inner'), { times: 3, stand: by(main!.id, {}) });
		const library = (id: string) => (id === 'inner' ? inner : undefined);
		const nested = count(figure(use), 1, library);
		expect(nested.bill.balloons).toBe(4 + 3 * 8);
		const small = nested.tasks.find((t) => t.task === 'inflate small');
		expect(small?.count).toBe(24);
		expect(nested.cost.labourTotal.minor).toBeGreaterThan(count(figure()).cost.labourTotal.minor);
		expect(nested.assembly.pieces.map((p) => [p.section, p.spots.length])).toEqual([
			[main!.id, 1],
			[null, 3]
		]);
		const works = (name: string) => nested.tasks.find((t) => t.task === name)?.count;
		expect([works('level and look over'), works('patch'), works('attach')]).toEqual([1, 4, 3 + 3]); // three ties to the figure, one joint in each
		const { discs, about } = drawAssembly(nested.assembly, { catalogue: studio, view: 'front' });
		expect(discs).toHaveLength(28);
		// What is inside another design is about the section that it is.
		expect(discs.filter((d) => about![d.row] === 'use')).toHaveLength(24);
	});
});

describe('sections of a recipe', () => {
	const context = (recipe: Recipe) => ({
		...entryContext(recipe),
		sections: recipe.sections,
		designs: [
			{ id: 'whisk', name: 'Whisk topper' },
			{ id: 'loaf', name: 'Loaf' }
		]
	});
	const say = (text: string) => {
		const parsed = parseEntry(text, context(base));
		return parsed.ok ? parsed.value : parsed.say;
	};
	test.each([
		['section arm', { name: 'arm', times: 1, mirror: false, stand: { by: null } }],
		['section left wing x2 left of column', { name: 'left wing', times: 2, stand: { how: 'left' } }],
		[
			'section arm x2 mirrored left of column at 4 ft',
			{ name: 'arm', times: 2, mirror: true, stand: { by: main!.id, how: 'left', height: feet(4) } }
		],
		['use loaf x2 mirrored gap 5 ft', { times: 2, mirror: true, stand: { by: null, gap: feet(5) } }],
		['section head on column', { name: 'head', stand: { by: main!.id, how: 'on top' } }],
		[
			'use whisk on column',
			{ name: 'Whisk topper', structure: { kind: 'design', design: 'whisk' }, stand: { how: 'on top' } }
		]
	])('“%s”', (text, section) => {
		expect(say(text)).toMatchObject({ kind: 'section', section });
	});
	test.each([
		['section', /Name the section/],
		['use', /Use which design/],
		['use kite', /No kept design that may stand here is called “kite”/],
		['section arm on roof', /There is no section “roof” to stand by. There is column./],
		['section arm x99', /1 to 24 times/],
		['section arm gap wide', /How much air/],
		['section arm at 4 ft', /A height is for a section beside another/],
		['section arm left of column at high', /At which height/],
		['section arm plaid 4', /I read all but “4”/]
	])('“%s” is told what to type', (text, sentence) => expect(say(text)).toMatch(sentence));
	test('version 1 is read as version 2: everything on the floor, once', () => {
		const { silenced, ...first } = base;
		expect(silenced).toEqual([]);
		const one = {
			...first,
			version: 1,
			sections: base.sections.map(({ id, name, structure, difficulty }) => ({
				id,
				name,
				structure,
				difficulty
			}))
		};
		expect(recipeSchema.parse(one)).toEqual(base);
	});
	test('a section that stands by a stranger, or in the end by itself, is refused', () => {
		const a = part('a', ball, { stand: by('b', {}) });
		const b = part('b', ball, { stand: by('a', {}) });
		for (const recipe of [figure(a, b), figure(a)]) {
			const issue = recipeSchema.safeParse(recipe).error!.issues[0]!;
			expect(issue.message).toMatch(/not there, or in the end by itself/);
			expect(Number.isFinite(assemble(recipe, null, none).overall.usual)).toBe(true);
		}
	});
	test('adding, moving and taking out leave a recipe that is one; what stood by the lost one takes its place', () => {
		const d = structuredClone(base) as RecipeDraft;
		addSection(d, part('arm', { ...ball, layers: [] }, { stand: by(main!.id, { how: 'left' }) }));
		addSection(d, part('hand', ball, { stand: by('arm', { tie: 'patch' }) }));
		stackOf(d, 'arm')!.layers.push({ ...structuredClone(ball.layers[0]!), id: 'fresh' } as never);
		expect(stackOf(d, 'arm')!.layers).toHaveLength(1);
		expect(hostsFor(d as Recipe, 'arm').map((s) => s.id)).toEqual([main!.id]);
		moveSection(d, 'hand', -5);
		expect(d.sections.map((s) => s.id)).toEqual(['hand', main!.id, 'arm']);
		removeSection(d, 'arm');
		expect(d.sections.find((s) => s.id === 'hand')!.stand).toMatchObject({
			by: main!.id,
			how: 'left',
			tie: 'patch'
		});
		removeSection(d, 'hand');
		removeSection(d, main!.id);
		expect(d.sections).toHaveLength(1);
		expect(recipeSchema.safeParse(d).success).toBe(true);
	});
});
