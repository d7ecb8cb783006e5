import { parse } from 'csv-parse/sync';
import { OPS } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { describe, expect, test } from 'vitest';
import { readFileSync } from 'node:fs';
import { readPdf } from '../../../../tests/kit/read-pdf.ts';
import { design } from '../../../../tests/kit/studio.ts';
import { NOW, tempDatabase, tempStudio } from '../../../../tests/kit/temp-db.ts';
import { loadDemo } from '../../../../scripts/demo/load.ts';
import { demoDesigns } from '../../../../scripts/demo/designs.ts';
import { owner } from '../../../../tests/kit/temp-db.ts';
import { readPhoto } from '../../core/photo/read-photo.ts';
import { tally } from '../../core/tally/tally.ts';
import { createRepos, type Repos } from '../repos/index.ts';
import { planPdf } from '../pdf/plan.ts';
import { loadDesign } from './design-query.ts';
import { billCsv } from './bill-csv.ts';
import { planPaper } from './plan-paper.ts';
import { changePlan, workOutPlan } from './plan.ts';

const at = (design: string, query = '') => ({ design, search: `?${query}` });
const column = design(
	'Buoy column',
	'4 16 at 13 grey',
	'4 11 at 10½ white / red x2',
	'pole 7 ft',
	'put 2 5 at 4 white as lights on row 2 front with glue',
	'1 fairy lights'
);
async function kept(repos: Repos) {
	await repos.designs.create('buoy-column', column, NOW);
	return repos;
}
const photo = () => {
	const read = readPhoto(readFileSync('scripts/demo/photos/bee-figure.jpg'));
	if (!read.ok) throw new Error(read.say);
	return read.photo;
};

describe('the plan on paper', () => {
	test('read back it has every step in order, both lists, cautions and pictures, and no price', async () => {
		const { repos } = await tempStudio();
		await kept(repos);
		await repos.photos.add('buoy-column', 'photo-1', photo(), 'on the pier', NOW);
		const wanted = await loadDesign(repos, at('buoy-column', 'quantity=2'));
		const { text, ops } = await readPdf(await planPdf(await planPaper(repos, wanted, NOW)));
		const { parts } = workOutPlan(wanted);
		let from = 0;
		for (const step of parts[0]!.steps) {
			const found = text.replace(/ /g, '').indexOf(step.text.slice(0, 24).replace(/ /g, ''), from);
			expect([step.text, found]).toEqual([step.text, expect.any(Number)]);
			expect(found).toBeGreaterThanOrEqual(from);
			from = found;
		}
		for (const words of [
			'2 × Buoy column',
			'To inflate',
			'To buy',
			'CHOKING',
			'low-temperature',
			'then wait 1 min'
		])
			expect(text).toContain(words);
		expect(text).not.toMatch(/price|margin|\$|USD/i);
		const balls = ops.filter((op) => op === OPS.paintFormXObjectBegin).length;
		// Front and side of one: twelve of clusters and two lights.
		expect(balls).toBeGreaterThanOrEqual(2 * 14);
		expect(ops).toContain(OPS.paintImageXObject);
	});
	/** Each paper takes its time: one of nested designs, and one with foils. */
	const PRINTED = new Set(['toadstool-family', 'comet']);
	test('every demo design has its plan, and it prints', async () => {
		const db = await tempDatabase();
		await loadDemo(db, NOW);
		const repos = createRepos(db, owner);
		for (const { id } of demoDesigns) {
			const wanted = await loadDesign(repos, at(id));
			const { parts, trouble } = workOutPlan(wanted);
			expect([id, trouble, parts[0]!.steps.length > 1]).toEqual([id, '', true]);
			expect(parts.flatMap((p) => p.steps).some((s) => s.lost)).toBe(false);
			if (!PRINTED.has(id)) continue;
			expect((await planPdf(await planPaper(repos, wanted, NOW))).subarray(0, 5).toString()).toBe('%PDF-');
		}
		const shown = await repos.photos.covers(demoDesigns.map((d) => d.id));
		expect(shown.size).toBe(3);
	}, 30_000);
});

describe('changing the plan of a working copy', () => {
	test('is a save like any other: the same press twice is one, and somebody else’s save in between is kept', async () => {
		const { repos } = await tempStudio();
		await kept(repos);
		const add = { kind: 'add', id: 'own', after: null, says: { text: 'Wipe it.' } } as const;
		const press = { edit: add, saveId: 'press-0001' };
		expect(await changePlan(repos, 'buoy-column', press, NOW)).toBe(true);
		const other = (await repos.designs.find('buoy-column'))!;
		await repos.designs.save(
			'buoy-column',
			{ saveId: 'theirs-01', baseRevision: other.revision, recipe: { ...other.recipe, notes: 'theirs' } },
			NOW
		);
		expect(await changePlan(repos, 'buoy-column', press, NOW)).toBe(true);
		const now = (await repos.designs.find('buoy-column'))!;
		expect(now.recipe.notes).toBe('theirs');
		expect(now.recipe.steps.filter((s) => s.own)).toHaveLength(1);
		expect(await changePlan(repos, 'nothing', { edit: add, saveId: 'press-0002' }, NOW)).toBe(false);
		expect(await changePlan(repos, 'buoy-column', { edit: { kind: 'remove', id: 'no' }, saveId: 'press-0003' }, NOW)).toBe(false); // prettier-ignore
	});
});

describe('the bill as CSV', () => {
	test('an independent parser reads the lines and counts of both lists', async () => {
		const { repos } = await tempStudio();
		await kept(repos);
		const { design: found, context, colourway } = await loadDesign(repos, at('buoy-column'));
		const worked = tally(found.recipe, colourway.id, 3, context);
		const csv = billCsv(worked, context);
		expect(csv.split('\r\n').length).toBe(worked.bill.lines.length + worked.bill.inflate.length + 2);
		const rows = parse(csv, { columns: true, record_delimiter: '\r\n' }) as Record<string, string>[];
		const bought = rows.filter((r) => r.list === 'buy');
		expect(bought.map((r) => [r.material, Number(r.used), Number(r['to buy'])])).toEqual(
			worked.bill.lines.map((l) => [l.label, l.used.valueOf(), l.toBuy])
		);
		const inflated = rows.filter((r) => r.list === 'inflate');
		expect(inflated.map((r) => Number(r.used))).toEqual(worked.bill.inflate.map((l) => l.quantity.valueOf()));
		expect(inflated[0]).toMatchObject({
			'bag in': '16',
			'size to in': '13',
			colour: 'limpet grey',
			where: 'column'
		});
	});
	test('quotes, commas, line ends and what would be a formula arrive as text', async () => {
		const { repos } = await tempStudio();
		const nasty = design('nasty', '4 11 at 9 white');
		const named = { ...nasty, sections: [{ ...nasty.sections[0]!, name: '=SUM(A1), "tall"\nand wide' }] };
		await repos.designs.create('nasty', named, NOW);
		const { context, design: found } = await loadDesign(repos, at('nasty'));
		const csv = billCsv(tally(found.recipe, null, 1, context), context);
		const rows = parse(csv, { columns: true }) as Record<string, string>[];
		expect(rows.find((r) => r.list === 'inflate')!.where).toBe('\'=SUM(A1), "tall"\nand wide');
		// Behind blanks and signs nobody sees, in the wide form, or as a call to another program.
		for (const name of ['\u00a0=1+1', '\ufeff@cmd', '＝1+1', '|calc', '\u200b+1', ' -1+1']) {
			const hidden = { ...named, sections: [{ ...named.sections[0]!, name }] };
			const all = parse(billCsv(tally(hidden, null, 1, context), context), { columns: true }) as Record<string, string>[]; // prettier-ignore
			expect(all.find((r) => r.list === 'inflate')!.where).toBe(`'${name}`);
		}
	});
});

describe('photos of a design', () => {
	test('the first is the cover, one at a time; taken out it is gone from the design and still there for a sent quote', async () => {
		const { repos } = await tempStudio();
		await kept(repos);
		for (const id of ['p-one', 'p-two', 'p-two']) await repos.photos.add('buoy-column', id, photo(), id, NOW);
		const covers = async () => (await repos.photos.list('buoy-column')).map((p) => [p.id, p.cover]);
		expect(await covers()).toEqual([['p-one', true], ['p-two', false]]); // prettier-ignore
		expect(await repos.photos.setCover('buoy-column', 'p-two')).toBe(true);
		expect(await covers()).toEqual([['p-two', true], ['p-one', false]]); // prettier-ignore
		expect(await repos.photos.setCover('buoy-column', 'nobody')).toBe(false);
		await repos.photos.remove('buoy-column', 'p-two', NOW);
		expect(await covers()).toEqual([['p-one', false]]);
		expect(await repos.photos.bytes('p-two')).toBeUndefined();
		const { type, bytes } = (await repos.photos.bytes('p-two', 'shown in a sent quote'))!;
		expect(type).toBe('image/jpeg');
		expect(Buffer.from(bytes).equals(Buffer.from(photo().bytes))).toBe(true);
	});
});
