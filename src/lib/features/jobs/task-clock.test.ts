import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { LONGEST_TIMED } from '../../core/job/tally-marks.schema.ts';
import { TaskClock } from './task-clock.svelte.ts';

const memory = () => {
	const kept = new Map<string, string>();
	return { getItem: (k: string) => kept.get(k) ?? null, setItem: (k: string, v: string) => void kept.set(k, v), removeItem: (k: string) => void kept.delete(k) }; // prettier-ignore
};
beforeEach(() => void vi.useFakeTimers({ now: 1_800_000_000_000 }));
afterEach(() => void vi.useRealTimers());

test('the clock of a step runs on through a reload, and is read once', () => {
	const kept = memory();
	const clock = new TaskClock('c', kept);
	expect(clock.stop()).toBeUndefined();
	clock.start('l', 's');
	vi.advanceTimersByTime(65_000);
	expect(clock.shown).toBe('1:05');
	clock.leave();
	const again = new TaskClock('c', kept);
	expect(again.runs).toBe(true);
	vi.advanceTimersByTime(10_000);
	expect(again.stop()).toEqual({ line: 'l', step: 's', seconds: 75 });
	expect([again.stop(), again.runs, kept.getItem('c')]).toEqual([undefined, false, null]);
});

test('one that was forgotten is no work of days; what cannot be read did not run', () => {
	const kept = memory();
	const clock = new TaskClock('c', kept);
	clock.start('l', 's');
	vi.advanceTimersByTime(3 * 24 * 3600 * 1000);
	expect(clock.stop()!.seconds).toBe(LONGEST_TIMED);
	kept.setItem('c', '{"line":');
	expect(new TaskClock('c', kept).runs).toBe(false);
});
