import { writeFileSync } from 'node:fs';
import { chromium } from '@playwright/test';
import { withStudio } from '../tests/bench/studio.ts';
import { storageOf } from '../tests/kit/signed-in.ts';
import { contextOf, markOf, open, shots, TAKEN } from './shots.ts';

/**
 * `npm run screenshots`: one picture of each main view, from the demo data, into docs/screenshots; and what stood on
 * each, so that the tests can say which of them are older than what is there.
 */
await withStudio(
	4340,
	async () => {},
	async (url, _server, cookie) => {
		const executablePath = process.env.CHROMIUM_PATH ?? '/usr/bin/chromium';
		const args = process.getuid?.() === 0 ? ['--no-sandbox'] : [];
		const browser = await chromium.launch({ executablePath, args });
		const taken: Record<string, string> = {};
		for (const shot of shots) {
			const context = await browser.newContext({ ...contextOf(shot), storageState: storageOf(url, cookie) });
			const page = await context.newPage();
			await open(page, url, shot);
			taken[shot.name] = await markOf(page);
			await page.screenshot({ path: `docs/screenshots/${shot.name}.png` });
			await context.close();
			console.log(`docs/screenshots/${shot.name}.png`);
		}
		await browser.close();
		writeFileSync(TAKEN, `${JSON.stringify(taken, null, '\t')}\n`);
	}
);
