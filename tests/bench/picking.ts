import { chromium, type Page } from '@playwright/test';
import { PLAIN_MATERIAL } from '../../src/lib/core/materials/material.ts';
import type { Repos } from '../../src/lib/server/repos/index.ts';
import { storageOf } from '../kit/signed-in.ts';
import { quantile, report, withStudio } from './studio.ts';

const MANY = 5000;

/** A Stockroom of so many things: the demo's, and stands of many heights. */
async function fill(repos: Repos) {
	const materials = Array.from({ length: MANY }, (_, i) => ({
		...PLAIN_MATERIAL,
		id: `bench-stand-${i}`,
		kind: 'base' as const,
		name: `stand no. ${i} with ${6 + (i % 7)} ft pole`
	}));
	await repos.stock.importMaterials({ colours: [], materials });
}

/** From a press to the frame in which something is there, ms. @param there is asked in the page at every frame */
const until = (page: Page, press: string, there: string) =>
	page.evaluate<number>(`new Promise((done) => {
		const from = performance.now();
		${press};
		const look = () => (${there} ? done(performance.now() - from) : requestAnimationFrame(look));
		requestAnimationFrame(look);
	})`);

/** Starting a design and picking from long lists, as a hand does it, in Chromium. */
export async function picking(): Promise<boolean[]> {
	return withStudio(4332, fill, async (url, _server, cookie) => {
		const browser = await chromium.launch({
			executablePath: process.env.CHROMIUM_PATH ?? '/usr/bin/chromium',
			args: ['--no-sandbox']
		});
		const page = await browser.newPage({
			viewport: { width: 1280, height: 800 },
			storageState: storageOf(url, cookie)
		});
		const first: number[] = [];
		for (let i = 0; i < 5; i++) {
			await page.goto(`${url}/shelf`);
			await page.locator('html[data-ready]').waitFor({ state: 'attached' });
			// As a pointer that comes near asks for it.
			await page.getByRole('link', { name: 'New design' }).hover();
			await page.waitForTimeout(400);
			first.push(
				await until(
					page,
					`document.querySelector('a[href="/new"]').click()`,
					`Number(document.querySelector('canvas[data-balls]')?.dataset.balls ?? 0) > 0`
				)
			);
		}
		const open: number[] = [];
		for (let i = 0; i < 9; i++) {
			open.push(
				await until(
					page,
					`document.querySelector('button[aria-label^="Stand: "]').click()`,
					`document.querySelectorAll('[role=option]').length > 0`
				)
			);
			await page.keyboard.press('Escape');
			await page.waitForTimeout(150);
		}
		await browser.close();
		return [
			report('“New design”: first picture, median', quantile(first, 0.5), 100, 'ms'),
			report(`a list to pick from, of ${MANY} stands, median`, quantile(open, 0.5), 16.7, 'ms')
		];
	});
}
