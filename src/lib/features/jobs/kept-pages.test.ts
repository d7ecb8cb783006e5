import { expect, test } from 'vitest';
import { isKeptPage, isPart, readKeep } from './kept-pages.ts';

const HERE = 'https://studio.example';

test('of a job only its counting and its lists are kept, and pages of a day: none with a price', () => {
	for (const path of ['/jobs/q-1/tally', '/jobs/q-1/lists', '/jobs/day/2027-06-11'])
		expect(isKeptPage(path)).toBe(true);
	for (const path of ['/jobs/q-1', '/jobs/q-1/count', '/jobs/buying', '/jobs/q/tally/marks', '/quotes/q', '/settings', '/jobs/../quotes/tally'])
		expect(isKeptPage(path)).toBe(false);
	expect([isPart('/_app/immutable/chunks/a.js'), isPart('/photo/p1'), isPart('/api/tally'), isPart('/photo/a/b')]).toEqual([true, true, false, false]);
}); // prettier-ignore

test('what is asked to be kept is of this server, and of those pages', () => {
	const parts = [`${HERE}/_app/immutable/a.js`, 'https://other.example/_app/immutable/b.js', `${HERE}/quotes`, 7];
	expect(readKeep({ keep: `${HERE}/jobs/q/tally?x=1`, parts }, HERE)).toEqual({ page: '/jobs/q/tally', parts: ['/_app/immutable/a.js'] });
	for (const keep of [`${HERE}/quotes/q`, 'https://other.example/jobs/q/tally', 'no address', undefined])
		expect(readKeep({ keep, parts }, HERE)).toBeUndefined();
	expect(readKeep(null, HERE)).toBeUndefined();
	expect(readKeep({ keep: `${HERE}/jobs/q/lists`, parts: 'all' }, HERE)).toBeUndefined();
}); // prettier-ignore
