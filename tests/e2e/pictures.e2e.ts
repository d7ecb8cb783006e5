import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { contextOf, markOf, open, shots, TAKEN } from '../../scripts/shots.ts';
import { storageOf } from '../kit/signed-in.ts';
import { withStudio } from '../bench/studio.ts';

/** Read by `npm test`, which says it at its end: a picture that is old is no fault of the code. */
const STALE = 'test-results/stale-pictures.json';

test('every picture of record is there, and it is said which are older than what is on the screen', async ({
	browser
}) => {
	test.setTimeout(180_000);
	const taken = JSON.parse(readFileSync(TAKEN, 'utf8')) as Record<string, string>;
	expect(Object.keys(taken)).toEqual(shots.map((s) => s.name));
	for (const { name } of shots)
		expect([name, existsSync(`docs/screenshots/${name}.png`)]).toEqual([name, true]);
	const stale: string[] = [];
	await withStudio(
		4341,
		async () => {},
		async (url, _server, cookie) => {
			for (const shot of shots) {
				const context = await browser.newContext({
					...contextOf(shot),
					storageState: storageOf(url, cookie)
				});
				const page = await context.newPage();
				await open(page, url, shot);
				if ((await markOf(page)) !== taken[shot.name]) stale.push(shot.name);
				await context.close();
			}
		}
	);
	mkdirSync('test-results', { recursive: true });
	writeFileSync(STALE, JSON.stringify(stale));
	test.info().annotations.push({ type: 'stale pictures', description: stale.join(', ') || 'none' });
});
