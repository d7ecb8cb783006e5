import { describe, expect, test } from 'vitest';
import { colours, design, materials } from '../../../../tests/kit/studio.ts';
import { NOW, tempStudio } from '../../../../tests/kit/temp-db.ts';
import { newSection } from '../../core/recipe/build.ts';
import { designUse } from '../../core/structures/design/empty.ts';
import type { Recipe } from '../../core/recipe/recipe.ts';
import type { TallyReport } from '../../core/tally/report.ts';
import { tallyRequestSchema } from '../../core/tally/request.schema.ts';
import { tally } from '../../core/tally/tally.ts';
import { firstIssue } from '../answers.ts';
import { contextOf, loadStudio } from './studio.ts';
import { answerTally } from './tally-request.ts';

const column = design('column', '4 16 at 13 grey', '4 11 at 9 white x4', '1 stand', 'size tall 7 ft');
const asked = (more: object, recipe: Recipe = column) => tallyRequestSchema.parse({ recipe, ...more });
const report = async (more: object = {}, recipe?: Recipe) => {
	const { repos } = await tempStudio();
	return (await answerTally(repos, asked(more, recipe))) as TallyReport;
};

describe('the tally as an interface', () => {
	test('says what the Bench says, to the cent and the fraction', async () => {
		const { repos } = await tempStudio();
		const answer = (await answerTally(repos, asked({ quantity: 3 }))) as TallyReport;
		const bench = tally(column, null, 3, contextOf(await loadStudio(repos)));
		expect(answer.balloons).toBe(bench.bill.balloons);
		expect(answer.cost.totalMinor).toBe(bench.cost.total.known.minor);
		expect(answer.price!.netMinor).toBe(bench.price.status === 'priced' ? bench.price.net.minor : -1);
		expect(answer.toBuy.map((l) => [l.label, l.used])).toEqual(
			bench.bill.lines.map((l) => [l.label, l.used.toFraction(false)])
		);
		const parts = answer.cost.lines.filter((l) => l.group !== 'not charged');
		const sum = parts.reduce((a, l) => a + (l.minor ?? 0), 0);
		expect(sum + answer.cost.labourMinor + answer.cost.overheadMinor).toBe(answer.cost.totalMinor);
		expect(JSON.parse(JSON.stringify(answer))).toEqual(answer);
	});
	test('colourway and size are taken by name or id; what is not there is refused with what is', async () => {
		const tall = await report({ size: 'Tall' });
		expect(tall.size).toBe('tall');
		expect(tall.balloons).toBeGreaterThan((await report()).balloons);
		expect((await report({ size: column.sizes[0]!.id })).balloons).toBe(tall.balloons);
		expect(await report({ size: 'huge' })).toEqual({ refused: 'size: there is no “huge”. There is tall.' });
		expect(await report({ colourway: 'noon' })).toMatchObject({
			refused: expect.stringMatching(/^colourway: /)
		});
	});
	test('materials, colours and designs of its own stand in for the studio’s', async () => {
		const dear = materials.map((m) => ({ ...m, packs: m.packs.map((p) => ({ ...p, priceMinor: 100_000 })) }));
		const own = await report({ materials: dear, colours });
		expect(own.cost.totalMinor).toBeGreaterThan((await report()).cost.totalMinor);
		const gate = { ...column, sections: [newSection('u', 'column', designUse('inline', '2'))] };
		const nested = await report({ designs: { inline: column } }, gate);
		expect(nested.balloons).toBe(2 * (await report()).balloons);
		const lost = await report({}, gate);
		expect(lost.findings[0]).toMatchObject({ code: 'not-found', level: 'bad' });
		expect((await report({ materials: [], colours })).cost.unknown).toContain('16 rounds, limpet grey');
	});
	test('nothing is saved, whatever is asked', async () => {
		const { repos } = await tempStudio();
		await answerTally(repos, asked({ quantity: 9 }));
		expect(await repos.designs.shelf()).toEqual([]);
	});
	test.each<[object, RegExp]>([
		[{ quantity: 0 }, /^quantity: /],
		[{ quantity: 'two' }, /^quantity: /],
		[{ price: 5 }, /price/],
		[{ materials: [{ ...materials[0], loss: '3/2' }] }, /^materials 1 loss: A loss is under 1/],
		[
			{ materials: [{ ...materials[0], packs: [{ id: 'p', supplier: 's', count: 0, priceMinor: 1 }] }] },
			/^materials 1 packs 1 count/
		],
		[{ recipe: { ...column, version: 99 } }, /^recipe version/],
		[{ recipe: 'a cake' }, /^recipe: /],
		[{ designs: { a: { ...column, colourways: [] } } }, /^designs a colourways/]
	])('%j is refused with its place', (more, says) => {
		const parsed = tallyRequestSchema.safeParse({ recipe: column, ...more });
		expect(firstIssue(parsed.error!)).toMatch(says);
	});
});

test('a kept design is found by the recipe that uses it', async () => {
	const { repos } = await tempStudio();
	await repos.designs.create('kept', column, NOW);
	await repos.designs.keep('kept', NOW);
	const gate = { ...column, sections: [newSection('u', 'column', designUse('kept', '3'))] };
	const answer = (await answerTally(repos, asked({}, gate))) as TallyReport;
	expect(answer.balloons).toBe(3 * 20);
});

describe('nested as nobody would', () => {
	const level = (n: number, deepest: number): Recipe => {
		const own = design(`level ${n}`, '1 11 at 9 white');
		const inner = n === deepest ? [] : [newSection('inner', 'inner', designUse(`level-${n + 1}`))];
		return { ...own, sections: [...own.sections, ...inner] };
	};
	test('200 levels deep are counted, each once', async () => {
		const designs = Object.fromEntries(
			Array.from({ length: 199 }, (_, i) => [`level-${i + 1}`, level(i + 1, 199)])
		);
		const answer = await report({ designs, materials, colours }, level(0, 199));
		expect(answer.balloons).toBe(200);
	});
	test('a circle is answered with its way, in words, and costs nothing', async () => {
		const designs = { 'level-1': level(1, 9), 'level-2': { ...level(2, 9), sections: level(0, 9).sections } };
		const answer = await report({ designs }, level(0, 9));
		expect(answer.balloons).toBe(0);
		expect(answer.findings.find((f) => f.level === 'bad')!.say).toContain('level 1 > level 2 > level 1');
	});
});
