import { writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import PDFDocument from 'pdfkit';
import { chromium } from '@playwright/test';
import { bundleOf } from '../../src/lib/core/files/bundle.ts';
import { catalogue } from '../../src/lib/core/materials/catalogue.ts';
import type { Material } from '../../src/lib/core/materials/material.ts';
import { emptyRecipe, newSection } from '../../src/lib/core/recipe/build.ts';
import { newLine } from '../../src/lib/core/structures/extras/empty.ts';
import { designUse } from '../../src/lib/core/structures/design/empty.ts';
import { ON_THE_FLOOR } from '../../src/lib/core/document/stand.ts';
import type { Recipe } from '../../src/lib/core/recipe/recipe.ts';
import { drawAssembly, type DrawList } from '../../src/lib/core/scene/draw-list.ts';
import { assemble } from '../../src/lib/core/assembly/assemble.ts';
import { BallPainter } from '../../src/lib/server/pdf/balls.ts';
import type { Repos } from '../../src/lib/server/repos/index.ts';
import { storageOf } from '../kit/signed-in.ts';
import { column, quantile, report, withStudio } from './studio.ts';

/** Five columns of 75 unlike layers: 1,500 balloons. @param shift which of several unlike ones */
async function fifteenHundred(repos: Repos, shift: number): Promise<Recipe> {
	const columns = await Promise.all([0, 1, 2, 3, 4].map((i) => column(repos, `post ${i}`, 75, i + shift)));
	const [first] = columns;
	const fills = Object.assign({}, ...columns.map((c) => c.colourways[0]!.fills)) as Record<string, string>;
	return {
		...first!,
		name: 'Fifteen hundred',
		slots: columns.flatMap((c) => c.slots),
		colourways: [{ ...first!.colourways[0]!, fills }],
		sections: columns.map((c, i) => ({
			...c.sections[0]!,
			id: `post-${i}`,
			name: `post ${i}`,
			stand: i === 0 ? ON_THE_FLOOR : { ...ON_THE_FLOOR, by: 'post-0', how: i % 2 ? 'left' : 'right' }
		}))
	};
}

/** Unlike designs that are drawn for the first time. */
const STILLS = 5;

/** Pictures, files and the interface: what leaves the app and comes back. */
export async function carry(): Promise<boolean[]> {
	const reached: boolean[] = [];
	let list: DrawList | undefined;
	const file = join(tmpdir(), 'bright-tally-bench.recipes.json');
	await withStudio(
		4332,
		async (repos) => {
			const recipes: Recipe[] = [];
			for (let i = 0; i < STILLS; i++) recipes.push(await fifteenHundred(repos, i));
			for (const [i, recipe] of recipes.entries())
				await repos.designs.create(`bench-fifteen-${i}`, recipe, new Date());
			const [materials, colours] = await Promise.all([repos.stock.materials(), repos.stock.colours()]);
			const stock = catalogue(materials, colours);
			list = drawAssembly(
				assemble(recipes[0]!, null, () => undefined),
				{ catalogue: stock, view: 'front' }
			);
			const designs: { id: string; recipe: Recipe }[] = [];
			for (let i = 0; i < 500; i++)
				designs.push({ id: `brought-${i}`, recipe: await column(repos, `Brought ${i}`, 8 + (i % 8), i) });
			writeFileSync(file, JSON.stringify(bundleOf(designs, { materials, colours })));
		},
		async (url, _server, cookie) => {
			const body = JSON.stringify(fiveHundredLines());
			const answers: number[] = [];
			for (let i = 0; i < 90; i++) {
				const start = performance.now();
				const answer = await fetch(`${url}/api/tally`, {
					method: 'POST',
					headers: { 'content-type': 'application/json' },
					body
				});
				const { toBuy } = (await answer.json()) as { toBuy: unknown[] };
				if (toBuy.length !== 500) throw new Error(`${toBuy.length} lines`);
				// The first thirty warm the server up.
				if (i >= 30) answers.push(performance.now() - start);
			}
			reached.push(
				report('500 lines, 5 levels deep, by the interface, median', quantile(answers, 0.5), 20, 'ms')
			);
			console.log(
				`   p95 of those: ${quantile(answers, 0.95).toFixed(1)} ms; ${Math.round(body.length / 1024)} KB asked`
			);
			const executablePath = process.env.CHROMIUM_PATH ?? '/usr/bin/chromium';
			const browser = await chromium.launch({ executablePath, args: ['--no-sandbox'] });
			const page = await browser.newPage({
				viewport: { width: 1280, height: 800 },
				storageState: storageOf(url, cookie)
			});
			const ready = () => page.locator('html[data-ready]').waitFor({ state: 'attached' });

			// The still: asked for, answered, read and painted. The server has drawn others, never this design.
			for (let i = 0; i < 40; i++) await (await fetch(`${url}/bench/hive-column/picture.svg`)).text();
			// A page that may show pictures: what is no page may not.
			await page.goto(`${url}/settings`);
			await ready();
			const stills: number[] = [];
			for (let i = 0; i < STILLS; i++)
				stills.push(
					await page.evaluate<number>(`(async () => {
						const from = performance.now();
						const image = new Image();
						image.src = '/bench/bench-fifteen-${i}/picture.svg';
						document.body.replaceChildren(image);
						await image.decode();
						await new Promise((r) => requestAnimationFrame(r));
						return performance.now() - from;
					})()`)
				);
			console.log(
				`   the same as SVG files of ${STILLS} designs, asked for, answered and painted: ${stills.map((t) => t.toFixed(0)).join(', ')} ms`
			);

			await page.goto(`${url}/bench/bench-fifteen-0`);
			await ready();
			await page.locator('[role=application]').focus();
			// A new size: no stamp of it is made yet, and every ball is drawn anew.
			const first = await page.evaluate<number[]>(`(async () => {
				const picture = document.querySelector('[role=application]');
				const frame = () => new Promise((r) => requestAnimationFrame(r));
				const times = [];
				for (let i = 0; i < 5; i++) {
					await frame();
					const from = performance.now();
					picture.dispatchEvent(new KeyboardEvent('keydown', { key: '+', bubbles: true }));
					await frame();
					await frame();
					times.push(performance.now() - from);
				}
				picture.dispatchEvent(new KeyboardEvent('keydown', { key: '0', bubbles: true }));
				return times;
			})()`);
			reached.push(
				report('1,500 balloons, first still at a size, worst of five', Math.max(...first), 150, 'ms')
			);
			const frames = await page.evaluate<number[]>(`(async () => {
				const picture = document.querySelector('[role=application]');
				const frame = () => new Promise((r) => requestAnimationFrame(r));
				const times = [];
				let last = await frame();
				for (let i = 0; i < 150; i++) {
					picture.dispatchEvent(new KeyboardEvent('keydown', { key: i % 50 < 25 ? 'ArrowLeft' : 'ArrowUp', bubbles: true }));
					const now = await frame();
					times.push(now - last);
					last = now;
				}
				return times.slice(10);
			})()`);
			reached.push(
				report('1,500 balloons turned at every frame, a frame, median', quantile(frames, 0.5), 33, 'ms')
			);
			console.log(`   p95 of those: ${quantile(frames, 0.95).toFixed(1)} ms`);

			await page.goto(`${url}/shelf/open`);
			await ready();
			await page.getByLabel('File').setInputFiles(file);
			let seen = 0;
			const from = performance.now();
			await page.getByRole('button', { name: 'See what it brings' }).click();
			await page.getByRole('button', { name: 'Bring all 500' }).waitFor();
			const read = performance.now() - from;
			await page.getByRole('button', { name: 'Bring all 500' }).click();
			const done = page.getByText('500 designs are on the Shelf.');
			while (!(await done.isVisible())) {
				const value = await page.evaluate<number | null>("document.querySelector('progress')?.value ?? null");
				if (value) seen++;
				await page.waitForTimeout(20);
			}
			const whole = performance.now() - from;
			console.log(
				`   of it ${read.toFixed(0)} ms to read, compare and show; progress was seen ${seen} times`
			);
			reached.push(report('500 recipes in, from pressing to the Shelf', whole, 5000, 'ms'));
			await browser.close();
		}
	);
	const sizes: number[] = [];
	const times: number[] = [];
	for (let i = 0; i < 12; i++) {
		const start = performance.now();
		sizes.push((await onPaper(list!)).length);
		times.push(performance.now() - start);
	}
	reached.push(
		report('1,500 balloons as a PDF, median', quantile(times, 0.5), 100, 'ms'),
		report('1,500 balloons as a PDF, size', sizes[0]! / 1024, 30, 'KB')
	);
	return reached;
}

function onPaper(list: DrawList): Promise<Buffer> {
	const doc = new PDFDocument({ size: 'LETTER' });
	const chunks: Buffer[] = [];
	doc.on('data', (chunk: Buffer) => chunks.push(chunk));
	new BallPainter(doc).draw(list, { x: 306, y: 700 }, 600 / Math.max(list.height, 2 * list.halfWidth));
	doc.end();
	return new Promise((resolve) => doc.on('end', () => resolve(Buffer.concat(chunks))));
}

/** A recipe of 500 lines: a hundred of its own at each of five levels, its materials with it. */
function fiveHundredLines() {
	/** What nobody knows of a material is left out: the interface fills it in. */
	const material = (i: number): Omit<Material, 'mark' | 'litres' | 'grams' | 'chambers'> => ({
		id: `m${i}`, kind: 'accent', name: `thing ${i}`, nominal: null, colour: null, safe: null, loss: null, reuse: null,
		unit: 'piece', packs: [{ id: `p${i}`, supplier: 'Quayside Supply', count: 10, priceMinor: 100 + i }]
	}); // prettier-ignore
	const level = (n: number): Recipe => {
		const own = emptyRecipe(`level ${n}`, () => `${n}-${Math.random()}`);
		const lines = Array.from({ length: 100 }, (_, i) => newLine(`l${i}`, `m${100 * n + i}`, '2'));
		const inner = n < 4 ? [newSection('inner', 'inner', designUse(`level-${n + 1}`, '3'))] : [];
		return { ...own, sections: [newSection('lines', 'lines', { kind: 'extras', lines }), ...inner] };
	};
	const designs = Object.fromEntries([1, 2, 3, 4].map((n) => [`level-${n}`, level(n)]));
	return { recipe: level(0), designs, materials: Array.from({ length: 500 }, (_, i) => material(i)) };
}
