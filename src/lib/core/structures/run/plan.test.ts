import { describe, expect, test } from 'vitest';
import { colours, designOf, floating, rates } from '../../../../../tests/kit/studio.ts';
import { catalogue } from '../../materials/catalogue.ts';
import { tally } from '../../tally/tally.ts';
import { planOf } from '../../plan/plan.ts';

const context = { catalogue: catalogue(floating, colours), rates, library: () => undefined };
const steps = (quantity: number, ...lines: string[]) =>
	planOf(designOf(floating, 'piece', lines), { colourway: null, size: null, quantity }, context).flatMap(
		(p) => p.steps
	);
const said = (quantity: number, ...lines: string[]) => steps(quantity, ...lines).map((s) => s.text);

const GARLAND = [
	'run garland',
	'line 10 ft lifted 7 ft',
	'70 % 5 at 4½ of 2 white / 1 red',
	'30 % 11 at 9 of gold',
	'infill 1 to 3 a foot 5 at 3 open',
	'spine soft line tails 1 ft 2 loops',
	'hung on brick wall every 5 ft with wall hook',
	'2 fairy lights'
];

describe('the plan of a garland', () => {
	test('spine, balloons, clusters and putting together at the bench; hanging where it hangs; small ones last', () => {
		const texts = said(1, ...GARLAND);
		const at = (part: string) => texts.findIndex((t) => t.includes(part));
		const order = ['Cut soft line', 'Inflate, size and tie', 'Tie the clusters', 'Put garland together', 'Stand garland', 'Hang garland', 'Inflate small ones', 'Walk round it', 'Take down']; // prettier-ignore
		const found = order.map(at);
		expect(found.every((i) => i >= 0)).toBe(true);
		expect(found).toEqual(found.toSorted((a, b) => a - b));
		expect(texts[at('Cut soft line')]).toBe('Cut soft line for garland: 13′ 0″, 1′ 0″ left over at each end, a knotted loop at each end.'); // prettier-ignore
		expect(texts[at('Hang garland')]).toBe(
			'Hang garland on 3 × wall hook on the brick wall, one every 5′ 0″.'
		);
	});
	test('where each is done, how many small ones, and of how many clusters', () => {
		const all = steps(2, ...GARLAND);
		const hang = all.find((s) => s.text.startsWith('Hang'))!;
		const infill = all.find((s) => s.text.startsWith('Inflate small'))!;
		expect([hang.place, infill.place]).toEqual(['site', 'after hanging']);
		expect(hang.text).toContain('6 × wall hook');
		expect(infill.lines).toMatchObject([{ count: 40, text: expect.stringMatching(/^5.*, colour open until the job, 20 to 60 as it needs$/) as string }]); // prettier-ignore
		const clusters = all.find((s) => s.text.startsWith('Tie the clusters'))!;
		const total = tally(designOf(floating, 'piece', GARLAND), null, 1, context).bill.inflate.reduce((a, l) => a + l.quantity.valueOf(), 0); // prettier-ignore
		expect(clusters.lines).toMatchObject([
			{ text: `of 4, the sizes mixed, ${(total - 20) * 2} balloons in all` }
		]);
	});
	test('clusters of rows are named with their pitch; pairs at the corners, spares aside', () => {
		const texts = said(1, 'run frame', 'corners up 5 ft, right 4 ft, down 5 ft', '4 5 at 4 white / red apart 3 in', 'corner 5 at 3 gold', 'spare 2 clusters'); // prettier-ignore
		expect(texts.join('\n')).toMatch(
			/Put frame together along 14′ 0″, a cluster every 3 in, a pair on the inside of each of 2 corners/
		);
		expect(texts.join('\n')).toMatch(/Tie the clusters of frame, 2 kept aside/);
	});
});

describe('the plan of a wall', () => {
	const WALL = ['weave wall', 'panel of 10 links at 10', '2 rows 4 white / 4 hidden', 'row 8 red', 'joined with 5 at 2 gold', 'hung on backdrop']; // prettier-ignore
	test('small balloons by the joint they hold, rows from below, one backdrop', () => {
		const all = steps(1, ...WALL);
		const clusters = all.find((s) => s.text.startsWith('Tie the small'))!;
		expect(clusters.lines).toMatchObject([{ count: 7, text: 'duplet, edge' }, { count: 7, text: 'duplet, inner' }]); // prettier-ignore
		const weave = all.find((s) => s.text.startsWith('Weave wall'))!;
		expect(weave.text).toContain('8′ 0″ wide and 2′ 6″ high');
		expect(weave.lines.map((l) => l.text)).toEqual([
			'row of 8 buoy red',
			'rows of 4 gull white, 4 hidden, any colour'
		]);
		expect(all.find((s) => s.text.startsWith('Hang'))!.text).toBe('Hang wall on 1 × backdrop.');
	});
	test('a ring is as wide as it is across', () => {
		expect(said(1, 'weave ring', 'ring of 10 links at 10', '2 rows 6 white').join('\n')).toMatch(/row on row, 1′ 11″ across and 1′ 8″ high/); // prettier-ignore
	});
});

test.each([
	[
		'a garland beside a column',
		[
			'run garland right of column at 4 ft',
			'line 6 ft',
			'4 5 at 4 white',
			'70 % 5 at 4 of red',
			'30 % 11 at 9 of gold'
		]
	],
	[
		'a wall beside one',
		[
			'weave wall left of column at 2 ft',
			'panel of 10 links at 9',
			'2 rows 6 white',
			'joined with 5 at 2 red'
		]
	],
	[
		'a bunch with a card, on one',
		['bunch cards on column', '1 11 at 9 white on 2 ft thin ribbon', '2 place card']
	]
])('%s: attached once, on the plan as in the tally', (_, lines) => {
	const recipe = designOf(floating, 'piece', ['4 11 at 9 white x6', 'pole 6 ft', ...lines]);
	const parts = planOf(recipe, { colourway: null, size: null, quantity: 1 }, context);
	const { tasks } = tally(recipe, null, 1, context);
	const labour = tasks.reduce((a, t) => a + t.seconds.valueOf(), 0);
	expect(parts.reduce((a, p) => a + p.seconds, 0)).toBeCloseTo(labour, 6);
});
