import { expect, test } from 'vitest';
import { STARTING_STANDARDS } from '../labour/standards.ts';
import { TASKS } from '../labour/task.ts';
import { standardRows, withRows } from './standards-file.ts';

test('what is taken away and brought back changes nothing', () => {
	const rows = standardRows(STARTING_STANDARDS);
	expect(rows).toHaveLength(TASKS.length);
	expect(withRows(rows, STARTING_STANDARDS)).toEqual({ ok: true, standards: STARTING_STANDARDS, changed: 0 });
});
test('a file changes what it names, as typed, and keeps what was timed', () => {
	const timings = [{ day: '2026-05-01', count: 4, seconds: 60, out: false }];
	const own = { ...STARTING_STANDARDS, tie: { ...STARTING_STANDARDS.tie, timings } };
	const read = withRows(
		[
			{ task: 'tie', seconds: '4.5', batch: '0' },
			{ task: ' cluster ', seconds: '20' }
		],
		own
	);
	if (!read.ok) throw new Error(read.say);
	expect(read.changed).toBe(2);
	expect(read.standards.tie).toEqual({ seconds: 4.5, batch: 0, origin: 'typed', timings });
	expect(read.standards.cluster).toMatchObject({ seconds: 20, origin: 'typed' });
	expect(read.standards.attach).toBe(own.attach);
});
test.each([
	[{ task: 'juggle', seconds: '4' }, /Line 2 names no task: “juggle”/],
	[{ seconds: '4' }, /names no task/],
	[{ task: 'tie', seconds: '0' }, /Line 2, tie: seconds are above 0/],
	[{ task: 'tie', seconds: '=1+1' }, /above 0/],
	[{ task: 'tie', seconds: '99999' }, /at most a day/],
	[{ task: 'tie', seconds: '4', batch: '-1' }, /a batch 0 or more/]
])('%j is refused in words', (row, sentence) => {
	const read = withRows([row], STARTING_STANDARDS);
	expect(read.ok ? '' : read.say).toMatch(sentence);
});
