import { expect, test } from '@playwright/test';
import { kills } from '../attack/kills.ts';
import { attackStudio } from '../attack/run.ts';
import { scriptViews } from '../attack/views.ts';

/** The short form of `npm run attack`, always the same. */
test('attacked, it answers in words and loses nothing', async () => {
	test.setTimeout(150_000);
	const counts = { tally: 80, requests: 300, pictures: 24, collisions: 24, links: 16 };
	const outcomes = await attackStudio(counts, 13);
	for (const [name, { bad }] of Object.entries(outcomes)) expect([name, bad]).toEqual([name, []]);
});

test('killed while it writes, nothing it acknowledged is gone', async () => {
	test.setTimeout(90_000);
	const { tried, bad } = await kills(2, 13);
	expect(bad).toEqual([]);
	expect(tried).toBeGreaterThan(0);
});

test('words that would run are words on every view', async () => {
	test.setTimeout(120_000);
	expect(await scriptViews(1)).toMatchObject({ bad: [] });
});
