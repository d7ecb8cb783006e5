import { expect, test } from 'vitest';
import { design, designOf, floating } from '../../../../tests/kit/studio.ts';
import { newSection } from '../../core/recipe/build.ts';
import { newLine } from '../../core/structures/extras/empty.ts';
import { emptyStack } from '../../core/structures/stack/empty.ts';
import { ON_THE_FLOOR } from '../../core/document/stand.ts';
import type { Run } from '../../core/structures/run/document.ts';
import type { Section } from '../../core/recipe/recipe.ts';
import type { Weave } from '../../core/structures/weave/document.ts';
import { piecesIn } from '../../core/structures/applied/edit.ts';
import { stackIn } from '../../core/structures/stack/edit.ts';
import { feet } from '../../core/units/length.ts';
import type { ExtraLine } from '../../core/structures/extras/document.ts';
import type { Host } from '../../core/document/host.ts';
import { aboutWords, hostWords, lineWords, standingWords } from './section-words.ts';

const base = design('figure', '4 11 at 9 white');
const [column] = base.sections;
const words = (change: Partial<Section>) => {
	const arm = { ...newSection('arm', 'arm', emptyStack()), ...change };
	return standingWords(arm, { ...base, sections: [column!, arm] });
};
const by = (more: object) => ({ stand: { ...ON_THE_FLOOR, by: column!.id, ...more } });

test.each<[Partial<Section>, string]>([
	[{}, 'on the floor'],
	[by({}), 'on top of column'],
	[{ ...by({ how: 'left' }), times: 2, mirror: true }, '×2 mirrored, left of column'],
	[{ ...by({ how: 'right', height: feet(4) }), times: 3 }, '×3, right of column at 4′ 0″'],
	[by({ how: 'front' }), 'before column'],
	[by({ how: 'back', height: feet(2) }), 'behind column at 2′ 0″'],
	[by({ height: feet(2) }), 'on top of column'],
	[{ stand: { ...ON_THE_FLOOR, by: 'nobody', how: 'left' } }, 'on the floor']
])('%j reads “%s”', (change, text) => expect(words(change)).toBe(text));

test('a letter of tube stands on the floor though its line is its top; a run along it is where it is', () => {
	const sign = design('sign', 'frame sign', 'letter T 5 ft', 'run rope', 'along sign', '4 5 at 4 white');
	expect(sign.sections.map((s) => standingWords(s, sign))).toEqual(['on the floor', 'along sign']);
});

test('a section at a row names it; a row that is gone is said to be', () => {
	const [layer] = stackIn(base)!.layers;
	expect(words(by({ how: 'left', layer: layer!.id, height: feet(3) }))).toBe('left of column at row 1');
	expect(words(by({ how: 'round', layer: 'gone' }))).toBe('round column at a row that is gone');
});

test('what a piece sits on', () => {
	const face = design(
		'face',
		'4 11 at 9 white',
		'1 11 at 9 white',
		'put 2 5 at 4 white as eyes on row 2 front'
	);
	const [{ piece }] = piecesIn(face) as [ReturnType<typeof piecesIn>[number]];
	const { layers } = stackIn(face)!;
	const hosts: [Host, string][] = [
		[{ on: 'layer', layer: layers[1]!.id, side: 'front' }, 'row 2 front'],
		[{ on: 'layer', layer: layers[0]!.id, side: 'all' }, 'row 1 round'],
		[{ on: 'place', place: layers[0]!.clusters[0]!.places[2]!.id }, 'row 1 place 3'],
		[{ on: 'place', place: 'gone' }, 'a place that is gone'],
		[{ on: 'piece', piece: piece.id }, 'on eyes'],
		[{ on: 'piece', piece: 'gone' }, 'on a piece that is gone'],
		[{ on: 'wall', height: feet(5), across: 0 }, 'wall at 5′ 0″']
	];
	for (const [host, text] of hosts) expect(hostWords(host, face)).toBe(text);
});

test.each<[Partial<ExtraLine>, string]>([
	[{}, '2 × moss mat'],
	[{ quantity: '1/2' }, '0.5 × moss mat'],
	[{ range: { low: '2', high: '4' }, quantity: '3' }, '2 to 4 × moss mat · estimated'],
	[{ role: 'by-product' }, '2 × moss mat · left over'],
	[{ role: 'taken along', swappable: true }, '2 × moss mat · taken along · swappable'],
	[{ choice: { group: 'holding it down', when: 'on grass' } }, '2 × moss mat · on grass'],
	[{ choice: { group: 'holding it down', when: '' } }, '2 × moss mat · either, or'],
	[{ serves: [base.sections[0]!.id, 'gone'] }, '2 × moss mat · for column']
])('a line of %j reads “%s”', (change, text) =>
	expect(lineWords({ ...newLine('l', 'moss', '2'), ...change }, 'moss mat', base)).toBe(text)
);

test('a balloon of a garland or a wall says the line it belongs to; what is of the whole says its section', () => {
	const garland = designOf(floating, 'garland', [
		'run tail',
		'line 8 ft',
		'4 5 at 4 white',
		'60 % 5 at 4 of 2 white / 1 red',
		'tee at 4 ft up 2 ft'
	]);
	const run = garland.sections[0]!.structure as Run;
	const about = (id: string) => aboutWords(id, garland);
	expect(about(run.rows[0]!.id)).toBe('tail: 4 × 5 at 4 white');
	expect(about(run.mix[0]!.id)).toBe('tail: 60 % 5 at 4 of 2 white / 1 red');
	expect(about(garland.sections[0]!.id)).toBe('tail');
	expect(words({ structure: run })).toBe('7′ 0″ up');
	const wall = designOf(floating, 'wall', ['weave wall', 'panel of 10 links at 9', '2 rows 4 white']);
	const [row] = (wall.sections[0]!.structure as Weave).rows;
	expect(aboutWords(row!.id, wall)).toBe('wall: 2 rows 4 white');
});
