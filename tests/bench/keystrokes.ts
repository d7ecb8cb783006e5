import { readFileSync } from 'node:fs';
import { chromium, type Page } from '@playwright/test';
import { emptyRecipe } from '../../src/lib/core/recipe/build.ts';
import type { Repos } from '../../src/lib/server/repos/index.ts';
import { storageOf } from '../kit/signed-in.ts';
import { nested } from './nested.ts';
import { column, quantile, report, withStudio } from './studio.ts';

/** What one keystroke cost the page. */
interface Stroke {
	/** Processor time of every task of the main thread until the next key: script, style, layout, paint. ms */
	readonly work: number;
	/** Whether the tape already says the new figures in the frame after the key. */
	readonly inFrame: boolean;
}

/** Listens in the page. Read as text: what a bundler adds to a function does not exist there. */
const listen = readFileSync(new URL('./listen.js', import.meta.url), 'utf8');

async function press(page: Page, keys: readonly string[]): Promise<Stroke[]> {
	const cdp = await page.context().newCDPSession(page);
	await cdp.send('Performance.enable', { timeDomain: 'threadTicks' });
	const worked = async () => {
		const { metrics } = await cdp.send('Performance.getMetrics');
		return metrics.find((m) => m.name === 'TaskDuration')!.value * 1000;
	};
	await page.evaluate('tapes.length = 0');
	// What asking costs is taken off.
	const before = await worked();
	const asking = (await worked()) - before;
	const work: number[] = [];
	for (const key of keys) {
		const from = await worked();
		await page.keyboard.press(key);
		await page.waitForTimeout(60);
		work.push((await worked()) - from - asking);
	}
	await page.waitForTimeout(200);
	const tapes = await page.evaluate<boolean[]>('tapes');
	await cdp.detach();
	return work.map((w, i) => ({ work: w, inFrame: tapes[i] ?? false }));
}

/** Types on a 60-layer design in Chromium, on the entry line and on a row. */
export async function keystrokes(): Promise<boolean[]> {
	return withStudio(
		4330,
		async (repos) => {
			const recipe = await column(repos, 'Sixty', 60);
			const made = await nestedOf(repos);
			for (const [id, part] of [...made.inside, ['bench-twelve', made.root] as const]) {
				await repos.designs.create(id, part, new Date());
				await repos.designs.keep(id, new Date());
			}
			await repos.designs.create('bench-sixty', recipe, new Date());
			await repos.designs.keep('bench-sixty', new Date());
		},
		async (url, _server, cookie) => {
			const executablePath = process.env.CHROMIUM_PATH ?? '/usr/bin/chromium';
			const browser = await chromium.launch({ executablePath, args: ['--no-sandbox'] });
			const page = await browser.newPage({
				viewport: { width: 1280, height: 800 },
				storageState: storageOf(url, cookie)
			});
			await page.addInitScript(listen);
			await page.goto(`${url}/bench/bench-sixty`);
			await page.locator('html[data-ready]').waitFor({ state: 'attached' });
			const line = [...'4 11 at 9 pennant x3'].map((c) => (c === ' ' ? 'Space' : c));
			const typing = [...line, ...line.map(() => 'Backspace')];
			await press(page, typing);
			const entry = await press(page, [...typing, ...typing, ...typing]);
			await page.locator('[data-row]').nth(30).focus();
			const row = await press(
				page,
				Array.from({ length: 100 }, (_, i) => (i % 2 ? '-' : '+'))
			);
			await page.goto(`${url}/bench/bench-twelve`);
			await page.locator('html[data-ready]').waitFor({ state: 'attached' });
			await page.locator('[data-row]').nth(5).focus();
			await press(page, ['+', '-', '+', '-', '+', '-']);
			const deep = await press(
				page,
				Array.from({ length: 60 }, (_, i) => (i % 2 ? '-' : '+'))
			);
			await page.getByRole('slider', { name: 'turn' }).focus();
			const turning = await press(
				page,
				Array.from({ length: 60 }, () => 'ArrowRight')
			);
			const counted = await counting(page, url);
			// What a key costs this machine and browser on a page that does nothing with it.
			await page.goto(`${url}/settings`);
			await page.locator('html[data-ready]').waitFor({ state: 'attached' });
			await page.getByLabel('Address').focus();
			const floor = quantile(
				work(
					await press(
						page,
						Array.from({ length: 60 }, () => 'x')
					)
				),
				0.5
			);
			await browser.close();
			console.log(`   a key in a plain field of this browser: median ${floor.toFixed(2)} ms`);
			const nestedWork = quantile(work(deep), 0.5);
			console.log(
				`   p95 of those: ${quantile(work(deep), 0.95).toFixed(2)} ms, ${(nestedWork / floor).toFixed(1)} × a key in a plain field`
			);
			return [
				...judge('typing on the entry line', entry, floor),
				...judge('+ and − on a row', row, floor),
				...counted,
				report('12 sections, 3 levels, 2,000 balloons, + and − on a row, median', nestedWork, 33, 'ms'),
				report('2,000 balloons turned by a key of the slider, median', quantile(work(turning), 0.5), 33, 'ms')
			];
		}
	);
}

/** The nested design in the colours of the Stockroom: all its columns are made before it is put together. */
async function nestedOf(repos: Repos) {
	const wanted: [string, number, number][] = [];
	nested((name, layers, shift) => {
		wanted.push([name, layers, shift]);
		return emptyRecipe(name, () => crypto.randomUUID());
	});
	const made = await Promise.all(wanted.map(([name, layers, shift]) => column(repos, name, layers, shift)));
	return nested((name) => made[wanted.findIndex(([n]) => n === name)]!);
}

/** Counts one and takes it back at the bench, on a step of a job with many to count: done, it would go on to the next. */
async function counting(page: Page, url: string): Promise<boolean[]> {
	await page.goto(`${url}/jobs/quote-oven/tally`);
	await page.locator('html[data-ready]').waitFor({ state: 'attached' });
	const pad = page.getByRole('button', { name: /^Count one/ });
	const target = async () => Number((await pad.textContent())!.match(/of (\d+)/)![1]);
	const shown = async () => Number(await page.locator('[data-name=tally]').textContent());
	for (let i = 0; i < 30 && (await target()) < 8; i++) await page.keyboard.press('ArrowRight');
	const before = await shown();
	await press(page, ['Space', 'Space', 'Space']);
	const keys = Array.from({ length: 80 }, (_, i) => (i % 2 ? 'Backspace' : 'Space'));
	const strokes = await press(page, keys);
	if ((await shown()) !== before + 3) throw new Error('A count at the bench was lost.');
	return [
		report('a count at the bench: main thread, p95', quantile(work(strokes), 0.95), 16, 'ms'),
		report('  on the screen in the frame after it', inFrameOf(strokes), 99, '%', true)
	];
}

const inFrameOf = (strokes: readonly Stroke[]): number =>
	(100 * strokes.filter((s) => s.inFrame).length) / strokes.length;
const work = (strokes: readonly Stroke[]): number[] => strokes.map((s) => s.work);

function judge(what: string, strokes: readonly Stroke[], floor: number): boolean[] {
	const inFrame = inFrameOf(strokes);
	const [median, p95] = [quantile(work(strokes), 0.5), quantile(work(strokes), 0.95)];
	console.log(
		`   ${what}: ${strokes.length} keystrokes, main thread by processor time; ${(median / floor).toFixed(1)} × a key in a plain field`
	);
	return [
		report(`60 layers, ${what}: main thread, median`, median, 8, 'ms'),
		report(`60 layers, ${what}: main thread, p95`, p95, 16, 'ms'),
		report(`60 layers, ${what}: tape in the next frame`, inFrame, 95, '%', true)
	];
}
