import { describe, expect, test } from 'vitest';
import {
	catalogueOf,
	colours,
	design,
	designOf,
	floating,
	materials,
	rates
} from '../../../../tests/kit/studio.ts';
import { binomialAtMost, sparesTogether } from '../bom/spares.ts';
import { modellingLength, modellingLitres } from '../gas/volume.ts';
import { planOf } from '../plan/plan.ts';
import { addSection } from '../recipe/edit.ts';
import { type RecipeDraft } from '../recipe/draft.ts';
import { newSection } from '../recipe/build.ts';
import { ON_THE_FLOOR } from '../document/stand.ts';
import type { Recipe, Section } from '../recipe/recipe.ts';
import { sphereLitres } from '../sizing/strokes.ts';
import { tally, type TallyContext } from './tally.ts';

const context = (change: Partial<typeof rates> = {}, stock = floating): TallyContext => ({
	catalogue: catalogueOf(stock, colours),
	rates: { ...rates, ...change },
	library: () => undefined
});
const count = (recipe: Recipe, quantity = 1, ctx = context()) => tally(recipe, null, quantity, ctx);
const used = (recipe: Recipe, label: string, ctx = context()) =>
	count(recipe, 1, ctx)
		.bill.lines.filter((l) => l.label.includes(label))
		.reduce((a, l) => a + l.used.valueOf(), 0);

test('overhead by per cent is of materials and labour, by the hour of labour alone', () => {
	const column = design('column', '4 11 at 9 white x4');
	const { materialsTotal, labourTotal, seconds, overhead } = count(column, 1, context({ overhead: { kind: 'percent', percent: '10' } }, materials)).cost; // prettier-ignore
	expect(labourTotal.minor).toBeGreaterThan(materialsTotal.known.minor / 4);
	expect(overhead.minor).toBe(Math.round((materialsTotal.known.minor + labourTotal.minor) / 10));
	const byHour = count(column, 1, context({ overhead: { kind: 'hour', minor: 600 } }, materials)).cost;
	expect(byHour.overhead.minor).toBe(Math.round((seconds.valueOf() * 600) / 3600));
});

describe('loss and spares are two things', () => {
	const lossy = floating.map((m) => (m.kind === 'modelling' ? { ...m, loss: '1/25' } : m));
	const bands = designOf(lossy, 'bands', ['form arms', '1 260 red', '1 260 white', '1 260 gold']);
	test('cost takes the expected loss, rate × used; spares are on the list to buy and cost nothing', () => {
		const { bill, cost } = count(bands, 100, context({}, lossy));
		const loss = cost.materials.find((l) => l.key === 'loss')!;
		// 300 pieces at 12 cents, of which 1 in 25 is lost: 12 pieces, 1.44.
		expect([loss.count, loss.amount!.minor]).toEqual(['12', 144]);
		for (const line of bill.lines) expect(line.toBuy).toBe(100 + line.spares);
		expect(bill.spares).toBeGreaterThan(12);
	});
	test('small lines of one kind are covered together: each alone would take no spare, all together do', () => {
		const { bill } = count(bands, 1, context({}, lossy));
		expect(0.96 ** 3).toBeLessThan(rates.service);
		const all = bill.lines.reduce((a, l) => a * binomialAtMost(l.spares, l.toBuy, l.loss), 1);
		expect(all).toBeGreaterThanOrEqual(rates.service);
		expect(bill.spares).toBeGreaterThan(0);
		for (const l of bill.lines) expect(l.toBuy).toBe(l.used.valueOf() + l.spares);
	});
	test('six bands at 4 % survive together with 78 in 100; the spares found make it 95, one fewer does not', () => {
		const six = Array.from({ length: 6 }, () => ({ needed: 1, loss: 0.04 }));
		const survive = (spares: readonly number[]) =>
			six.reduce((a, { needed, loss }, i) => a * binomialAtMost(spares[i]!, needed + spares[i]!, loss), 1);
		expect(survive([0, 0, 0, 0, 0, 0])).toBeCloseTo(0.7828, 4);
		const found = sparesTogether(six, 0.95);
		expect(survive(found)).toBeGreaterThanOrEqual(0.95);
		const fewer = found.map((s, i) => (i === found.findLastIndex((x) => x > 0) ? s - 1 : s));
		expect(survive(fewer)).toBeLessThan(0.95);
	});
	test('gas counted by the cylinder keeps its loss', () => {
		const stock = floating.map((m) =>
			m.id === 'helium' ? { ...m, unit: 'piece', packs: [{ ...m.packs[0]!, count: 1 }] } : m
		);
		const rules = [{ of: 'litre of helium' as const, each: '1/1000', material: 'helium' }];
		const recipe = designOf(stock, 'moons', ['bunch b', 'weight sack', '1 buoy foil in helium']);
		const { bill, cost } = count(recipe, 1, context({ rules }, stock));
		const gas = bill.lines.find((l) => l.material?.kind === 'gas')!;
		// A fifth of a cylinder never reaches a balloon: what is used costs 1 / 0.8 of itself.
		expect(gas.used.add(gas.lost).div(gas.used).valueOf()).toBeCloseTo(1.25, 9);
		const charged = cost.materials.find((l) => l.key === gas.key)!.amount!.minor;
		expect(charged).toBe(Math.round(4000 * gas.used.valueOf() * 1.25));
	});
	test('what is reused wears: its share of a use is charged', () => {
		const lent = count(design('lent', '4 11 at 9 white', '1 stand reused'));
		expect(lent.cost.aside).toEqual([]);
		expect(lent.cost.frame.map((l) => [l.label, l.amount!.minor])).toEqual([['stand', 210]]); // (90 − 10) / 40 + 0.10
		expect(lent.bill.lines.find((l) => l.label === 'stand')!.toBuy).toBe(0);
	});
});

describe('balloons are what is inflated', () => {
	test('foils count; a limb left uninflated to tie with does not', () => {
		const piece = designOf(floating, 'piece', ['4 11 at 9 white', 'put 3 moon foil on row 1 front']);
		expect(count(piece).bill.balloons).toBe(7);
		const ties = designOf(floating, 'ties', ['form arms', '2 260 red', '4 260 white tie']);
		expect(count(ties).bill.balloons).toBe(2);
		expect(used(ties, '260')).toBe(6);
	});
	test('two colours of one name are two lines with words of their own', () => {
		const golds = design('golds', '4 11 at 9 hive gold', '8 11 at 9 hive gold mirror');
		const labels = count(golds).bill.lines.map((l) => l.label);
		expect(labels).toEqual(expect.arrayContaining(['11 rounds, hive gold matte', '11 rounds, hive gold mirror'])); // prettier-ignore
		expect(new Set(count(golds).bill.inflate.map((l) => l.key)).size).toBe(2);
		expect(new Set(count(golds).bill.inflate.map((l) => l.label)).size).toBe(2);
	});
});

describe('strokes of a modelling balloon say how long it gets', () => {
	const hand = { id: 'hand', name: 'hand pump', pairs: [{ strokes: 4, diameter: 114.3 }] };
	const limb = (pumps: typeof rates.pumps, line = '1 350 at 8 strokes of hand pump red') =>
		count(designOf(floating, 'arm', ['form arms', line], [hand]), 1, context({ pumps }));
	test('length and air are each other’s inverse', () => {
		for (const long of [80, 300, 1245]) expect(modellingLength(modellingLitres(long, 76.2), 76.2)).toBeCloseTo(long, 9); // prettier-ignore
	});
	test('through the measured pump: eight strokes of 0.1955 L fill a 350 to 14½ in, and the list says what was said', () => {
		const long = modellingLength((8 / 4) * sphereLitres(114.3), 76.2) / 25.4;
		const [line] = limb([hand]).bill.inflate;
		expect(long).toBeCloseTo(14.5, 2);
		expect(line!.sizeTo).toBe('8 strokes, about 14½ in');
	});
	test('with a pump nobody measured it is not known, and what to do is said', () => {
		const unmeasured = limb([{ ...hand, pairs: [] }]);
		expect(unmeasured.bill.inflate[0]!.sizeTo).toBe('8 strokes, length not known: measure the pump');
		expect(unmeasured.findings.map((f) => f.code)).toContain('not-measured');
	});
});

describe('one backdrop holds all that hangs on it', () => {
	const hung = (...lines: string[]) => used(designOf(floating, 'wall', lines), 'backdrop');
	const run = (name: string, on = 'hung on backdrop') => [`run ${name}`, 'line 8 ft', '4 11 at 9 white', on];
	test('two runs on it take one; hooks are taken by each', () => {
		expect(hung(...run('upper'), ...run('lower'))).toBe(1);
		const hooks = designOf(floating, 'wall', [
			...run('upper', 'hung on hooks every 2 ft with wall hook'),
			...run('lower', 'hung on hooks every 2 ft with wall hook')
		]);
		expect(used(hooks, 'wall hook')).toBe(10);
	});
	test('three of the piece take three', () =>
		expect(
			count(designOf(floating, 'wall', [...run('upper'), ...run('lower')]), 3)
				.bill.lines.find((l) => l.label.includes('backdrop'))!
				.used.valueOf()
		).toBe(3));
});

describe('patches under what touches the floor: bill, work and plan count from one place', () => {
	const base = design('base', '4 11 at 10 white');
	const ball = design('ball', '4 11 at 9 white').sections[0]!.structure;
	const withParts = (...parts: Partial<Section>[]): Recipe => {
		const draft = structuredClone(base) as RecipeDraft;
		parts.forEach((p, i) => addSection(draft, { ...newSection(`s${i}`, `s${i}`, ball), ...p }));
		return draft as Recipe;
	};
	const main = base.sections[0]!.id;
	const by = (host: string, more: Partial<Section['stand']>) => ({ ...ON_THE_FLOOR, by: host, ...more });
	const patches = (recipe: Recipe, quantity = 1) => {
		const worked = count(recipe, quantity);
		const plan = planOf(recipe, { colourway: null, size: null, quantity }, context());
		const planned = plan.flatMap((p) => p.steps).flatMap((s) => s.work).filter((w) => w.task.task === 'patch'); // prettier-ignore
		return [
			worked.bill.lines.find((l) => l.label === 'patch')?.used.valueOf() ?? 0,
			worked.tasks.find((t) => t.task === 'patch')?.count ?? 0,
			planned.reduce((a, w) => a + w.task.count, 0)
		];
	};
	test('what stands beside something raised is raised with it', () => {
		const raised = withParts(
			{ stand: by(main, { how: 'left', height: 600_000 as never }) },
			{ stand: by('s0', { how: 'left' }) },
			{ stand: by('s1', { how: 'left' }) }
		);
		expect(patches(raised)).toEqual([4, 4, 4]);
		const onFloor = withParts({ stand: by(main, { how: 'left' }) }, { stand: by('s0', { how: 'left' }) });
		expect(patches(onFloor)).toEqual([12, 12, 12]);
	});
	test('a tier of the first row stands on the lower one', () =>
		expect(patches(design('tiers', '4 11 at 10 white + 2 5 at 4 white back tier 1'), 3)).toEqual([12, 12, 12])); // prettier-ignore
	test('what stands on a table, a board or a box needs none', () => {
		const table = design('table piece', '4 11 at 10 white', 'stands on a table');
		expect(patches(table)).toEqual([0, 0, 0]);
		expect(patches(design('again', '4 11 at 10 white', 'stands on a box', 'stands on the floor'))).toEqual([4, 4, 4]); // prettier-ignore
	});
});

test('a row of one layer is attached to nothing; every cluster of a joined layer takes its tie', () => {
	const work = (recipe: Recipe) => count(recipe).tasks.find((t) => t.task === 'attach')?.count;
	expect([work(design('one', '4 11 at 9 white')), work(design('three', '4 11 at 9 white x3'))]).toEqual([
		undefined,
		2
	]);
	const tied = (...lines: string[]) => used(design('c', ...lines), 'tie balloon');
	// A quarter of a balloon a tie, by the rule of these rates: two clusters on two layers above the first.
	expect(tied('4 11 at 9 white + 2 5 at 4 red x3 joined modelling balloon')).toBe(2 * 2 * 0.25);
	expect(tied('4 11 at 9 white x3 joined modelling balloon')).toBe(2 * 0.25);
});

test('each stack is judged by where its own balloons are', () => {
	const pair = design('pair', '4 11 at 9 white x2', 'section odd left of column', '3 11 at 10 white with 1 11 at 5 white', '4 11 at 9 red'); // prettier-ignore
	const tilted = (recipe: Recipe) => count(recipe).findings.filter((f) => f.code === 'tilted' || f.code === 'pear-shaped').map((f) => f.about); // prettier-ignore
	const [first, second] = pair.sections.map((s) => (s.structure.kind === 'stack' ? s.structure.layers.map((l) => l.id) : [])); // prettier-ignore
	expect(tilted(pair).length).toBeGreaterThan(0);
	for (const about of tilted(pair)) {
		expect(second).toContain(about);
		expect(first).not.toContain(about);
	}
});
