import { describe, expect, test } from 'vitest';
import { design, studio } from '../../../../tests/kit/studio.ts';
import { PLAIN_MATERIAL } from '../materials/material.ts';
import { stackIn } from '../structures/stack/edit.ts';
import type { LineRole } from '../document/line-role.ts';
import type { Recipe } from '../recipe/recipe.ts';
import { assemble, isBare, type Assembly } from '../assembly/assemble.ts';
import type { View } from './camera.ts';
import { drawAssembly, MOST_DISCS } from './draw-list.ts';
import type { Pressed } from './coloured-balls.ts';
import { boxHeight, svgOf, tubesOf } from './svg.ts';

const draw = (recipe: Recipe, view: View = 'front') =>
	drawAssembly(
		assemble(recipe, null, () => undefined),
		{ catalogue: studio, view }
	);
const column = design('column', '4 11 at 10 white', '4 11 at 10 gold / white', 'pole 7 ft');

describe('the draw list', () => {
	test('is drawn back to front: of three in a ring the one behind the pole comes first', () => {
		// Places of the lowest ring stand at −30°, 90° and 210°: the second is behind, the audience at −90°.
		const three = draw(design('three', '3 11 at 10 white / gold / red'));
		const hexes = three.discs.map((d) => three.paints[d.paint]!.hex);
		expect(hexes[0]).toBe('#e2a32b');
		expect(three.discs[0]!.x).toBeCloseTo(0, 6);
		expect(new Set(hexes.slice(1))).toEqual(new Set(['#f4f2ec', '#c8402f']));
	});
	test('side and front of a ring turned by a quarter are mirror images; plan has no upright', () => {
		const widths = (['front', 'side'] as const).map((view) => draw(column, view).halfWidth);
		expect(widths[0]).toBeCloseTo(widths[1]!, 6);
		expect(draw(column, 'plan').tubes).toBeUndefined();
		expect(tubesOf(draw(column))).toMatchObject([{ x1: 0, y1: 0, x2: 0, y2: 2133.6, width: 26 }]);
	});
	test('the pole stands among the balls: those behind it are drawn before it, those before it after', () => {
		const { discs, tubes } = draw(design('ring', '4 11 at 10 white', 'pole 7 ft'));
		// Of four round the axis two lie behind it; level, all of a pole is as near as its foot.
		expect(discs).toHaveLength(4);
		expect(tubes![0]!.before).toBe(2);
	});
	test('a pole ends in the middle of a topper; without one it goes on to its end', () => {
		const tall = (...top: string[]) => draw(design('pole', '4 11 at 10 white x2', ...top, 'pole 7 ft'));
		const topped = tall('1 16 at 14 red');
		const topper = topped.discs.find((d) => topped.paints[d.paint]!.hex === '#c8402f')!;
		expect(topped.tubes![0]!.y2).toBeCloseTo(topper.y, 1);
		expect(tall().tubes![0]!.y2).toBeCloseTo(2133.6, 1);
		expect(tall('2 11 at 8 red').tubes![0]!.y2).toBeCloseTo(2133.6, 1);
		const short = draw(design('pole', '4 11 at 10 white x2', '1 16 at 14 red', 'pole 1 ft'));
		expect(short.tubes![0]!.y2).toBeCloseTo(304.8, 1);
	});
	test('a pole ends in what another section puts on top of it', () => {
		const gate = design(
			'gate',
			'4 11 at 10 white x2',
			'pole 7 ft',
			'section head on column',
			'1 16 at 14 red'
		);
		const { discs, paints, tubes } = draw(gate);
		const head = discs.find((d) => paints[d.paint]!.hex === '#c8402f')!;
		expect(tubes![0]!.y2).toBeCloseTo(head.y, 1);
	});
	test('what is pressed is the balloon that is seen there: its place, and the slot that gave it its colour', () => {
		const recipe = design('two', '4 11 at 10 spiral white / gold x3', '1 16 at 12 red');
		const pressed: Pressed[] = [];
		const assembly = assemble(recipe, null, () => undefined);
		const list = drawAssembly(assembly, { catalogue: studio, view: 'front', pressed });
		const plain = drawAssembly(assembly, { catalogue: studio, view: 'front' });
		expect(list).toEqual(plain);
		expect(pressed).toHaveLength(list.discs.length);
		const { fills } = recipe.colourways[0]!;
		const placesOf = new Map(
			stackIn(recipe)!.layers.map((l) => [l.id, l.clusters.flatMap((c) => c.places.map((p) => p.id))])
		);
		list.discs.forEach((disc, i) => {
			const { place, slot } = pressed[i]!;
			expect(studio.colours.get(fills[slot!]!)!.hex).toBe(list.paints[disc.paint]!.hex);
			expect(placesOf.get(list.about![disc.row]!)).toContain(place);
		});
	});
	test('a picture frozen before there were tubes still shows its pole, behind everything', () => {
		const old = {
			...draw(column),
			tubes: undefined,
			pole: { height: 2000 },
			poles: [{ x: 50, from: 10, height: 90 }]
		};
		expect(tubesOf(old)).toMatchObject([
			{ y2: 2000, before: 0 },
			{ x1: 50, y1: 10, y2: 100, before: 0 }
		]);
		expect(tubesOf(old, 60)).toMatchObject([{ y2: 60 }, { y2: 60 }]);
	});
	test('every disc names its row, lowest first, through all sections', () => {
		const { discs, about } = draw(column);
		expect(about).toEqual(stackIn(column)!.layers.map((l) => l.id));
		expect(new Set(discs.map((d) => d.row))).toEqual(new Set([0, 1]));
	});
	test('names each paint once; an open slot is a grey nobody sells', () => {
		expect(draw(column).paints.map((p) => p.hex)).toEqual(expect.arrayContaining(['#f4f2ec', '#e2a32b']));
		const open = { ...column, colourways: [{ id: 'c', name: 'open', fills: {}, without: [] }] };
		expect(draw(open).paints).toEqual([{ hex: '#c9ccd2', finish: 'matte' }]);
	});
});

describe('the picture as a file', () => {
	test('stands on its lower edge in a box that holds the piece and the pole above it', () => {
		const list = draw(column);
		const svg = svgOf(list);
		const [x, y, width, height] = /viewBox="([^"]+)"/.exec(svg)![1]!.split(' ').map(Number);
		expect(Math.abs(x! + width! / 2)).toBeLessThan(1); // rounded to the millimetre
		expect(y! + height!).toBe(0);
		expect(height).toBe(Math.round(boxHeight(list)));
		expect(boxHeight(list)).toBeCloseTo(2133.6, 6);
		for (const [, cx, r] of svg.matchAll(/cx="(-?\d+)" cy="-?\d+" r="(\d+)"/g))
			expect(Math.abs(Number(cx)) + Number(r)).toBeLessThanOrEqual(width! / 2 + 1);
	});
	test('has one disc a balloon and one gradient a paint, and nothing that could run', () => {
		const svg = svgOf(draw(column));
		expect(svg.match(/<circle/g)).toHaveLength(8);
		expect(svg.match(/<radialGradient/g)).toHaveLength(2);
		expect(svg).not.toMatch(/script|href|on\w+=/);
	});
});

describe('what has no balls of its own', () => {
	const nothing: Assembly = {
		pieces: [],
		applied: [],
		lost: [],
		feet: new Map(),
		overall: { usual: 0, known: false }
	};
	const point = { x: 0, y: 0, z: 100 };
	const strands = (count: number, path = [point, { ...point, x: 50 }]) => ({
		...nothing,
		applied: [
			{
				section: 's',
				of: 's',
				balls: [],
				strands: Array.from({ length: count }, () => ({ piece: '', path, d: 10, slot: null, material: null })),
				colourway: undefined,
				spots: [{ x: 0, y: 0, z: 0, mirrored: false, turn: 0 }]
			}
		]
	}) as unknown as Assembly; // prettier-ignore
	const discs = (assembly: Assembly) => drawAssembly(assembly, { catalogue: studio, view: 'front' }).discs;
	test('a design is bare without stacks and without anything loose', () => {
		expect(isBare(nothing)).toBe(true);
		expect(isBare(strands(1))).toBe(false);
		const one = assemble(design('c', '1 11 at 9 white'), null, () => undefined);
		expect(isBare(one)).toBe(false);
		expect(isBare({ pieces: one.pieces, applied: strands(1).applied })).toBe(false);
	});
	test('a strand of no points is not drawn; of more than can be drawn the first are', () => {
		expect(discs(strands(2, []))).toEqual([]);
		expect(discs(strands(MOST_DISCS + 20))).toHaveLength(MOST_DISCS);
	});
});

test('what hangs is drawn at its height while the floor is level, and on its lowest point from above', () => {
	const hung = assemble(
		design('g', 'run garland', 'line 4 ft lifted 7 ft', '4 5 at 4 white'),
		null,
		() => undefined
	);
	const lowest = (tilt: number) =>
		Math.min(...drawAssembly(hung, { catalogue: studio, view: 'front', camera: { turn: 0.4, tilt } }).discs.map((d) => d.y - d.r)); // prettier-ignore
	expect(lowest(0)).toBeGreaterThan(1900);
	expect(lowest(0.3)).toBeCloseTo(0, 0);
});

test('a heart by itself faces the audience, hearts of a ring look outwards', () => {
	const lone = draw(design('h', '1 11 hearts at 9 white')).discs[0]!;
	expect([lone.flat, lone.lean]).toEqual([1, 0]);
	const back = draw(design('h', '1 11 hearts at 9 white back', '1 11 hearts at 9 red front'), 'side');
	for (const { flat } of back.discs) expect(flat).toBeLessThan(1);
});

describe('what carries and holds a piece is seen', () => {
	const bows = {
		...studio,
		materials: new Map([
			...studio.materials,
			[
				'bow',
				{ ...PLAIN_MATERIAL, id: 'bow', kind: 'ribbon' as const, name: 'satin bow', packs: [], colour: 'red' }
			],
			['bag', { ...PLAIN_MATERIAL, id: 'bag', kind: 'weight' as const, name: 'sandbag', packs: [] }]
		])
	};
	const drawWith = (recipe: Recipe) =>
		drawAssembly(
			assemble(recipe, null, () => undefined),
			{ catalogue: bows, view: 'front' }
		);
	const line = (material: string, quantity: string, serves: string[]) => ({
		id: `l-${material}`, material, quantity, range: null, role: 'always' as LineRole, taken: true, choice: null, serves, swappable: false
	}); // prettier-ignore
	const withLines = (recipe: Recipe, ...lines: ReturnType<typeof line>[]): Recipe => ({
		...recipe,
		sections: [
			...recipe.sections,
			{ ...recipe.sections[0]!, id: 'x', name: 'extras', structure: { kind: 'extras', lines } }
		]
	});

	test('a board, a box and a table lie under the lowest balloons and take no part in the height', () => {
		const bare = draw(column);
		for (const [on, thick] of [
			['table', 28],
			['board', 18],
			['box', 180]
		] as const) {
			const { tubes, height } = draw(design('c', '4 11 at 10 white', `stands on a ${on}`));
			expect(tubes).toMatchObject([{ y1: -thick / 2, y2: -thick / 2, width: thick }]);
			expect(tubes![0]!.x2).toBeGreaterThan(200);
			expect(height).toBeCloseTo(draw(design('c', '4 11 at 10 white')).height, 6);
		}
		expect(bare.tubes).toHaveLength(1);
	});
	test('hooks: one at each end and one every so much, over the balloons that hide the line; a stand at its ends', () => {
		const garland = (...last: string[]) =>
			draw(design('g', 'run garland', 'line 8 ft lifted 5 ft', '4 5 at 4 white', ...last));
		const hooked = garland('hung on hooks every 2 ft');
		expect(hooked.tubes).toHaveLength(5);
		const top = Math.max(...hooked.discs.map((d) => d.y + d.r));
		for (const { y2 } of hooked.tubes!) expect(y2).toBeGreaterThan(top - 60);
		expect(hooked.height).toBeCloseTo(garland().height, 6);
		expect(garland('hung on stand').tubes).toMatchObject([{ y1: 0 }, { y1: 0 }]);
		expect(garland('hung on backdrop').tubes).toHaveLength(3);
	});
	test('a bow sits in front of the row that it serves, a sandbag on the floor beside; what is taken along does not', () => {
		const recipe = design('c', '4 11 at 10 white', '4 11 at 10 gold');
		const row = stackIn(recipe)!.layers[1]!.id;
		const { discs, paints, tubes } = drawWith(
			withLines(recipe, line('bow', '1', [row]), line('bag', '2', []))
		);
		const bow = discs.filter((d) => d.path);
		expect(bow.map((d) => paints[d.paint]!.hex)).toEqual(Array(4).fill('#c8402f'));
		const golds = discs.filter((d) => paints[d.paint]!.hex === '#e2a32b');
		expect(bow.map((d) => d.path?.[1])[1]).toBeCloseTo(golds.at(-1)!.y, 1);
		expect(tubes).toHaveLength(2);
		expect(Math.min(...tubes!.map((t) => t.y1 - t.width / 2))).toBeCloseTo(0, 1);
		const along = { ...line('bag', '2', []), role: 'taken along' as LineRole };
		expect(drawWith(withLines(recipe, along)).tubes).toBeUndefined();
	});
});
