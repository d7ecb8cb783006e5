import { beforeEach, expect, test, vi } from 'vitest';
import { type PackJob } from '../../core/structures/run/pack-job.ts';
import { packNow } from '../../core/structures/run/pack-run.ts';
import { stretchOf } from '../../core/geometry/path.ts';

/** A worker that answers when it is told to, and knows whether it was ended. */
class Hand {
	static all: Hand[] = [];
	static get now() {
		return Hand.all.at(-1)!;
	}
	onmessage: ((event: { data: unknown }) => void) | null = null;
	onerror: (() => void) | null = null;
	job: PackJob | null = null;
	ended = false;
	constructor() {
		Hand.all.push(this);
	}
	postMessage(job: PackJob) {
		this.job = structuredClone(job);
	}
	terminate() {
		this.ended = true;
	}
	finish() {
		this.onmessage?.({ data: { done: packNow(this.job!) } });
	}
}
vi.mock('../../workers/packing.worker.ts?worker', () => ({ default: Hand }));
const { Packer } = await import('./packer.svelte.ts');

const job = (key: string, length = 600): PackJob => ({
	key,
	stretches: [stretchOf([{ x: 0, y: 0, z: 900 }, { x: length, y: 0, z: 900 }])], // prettier-ignore
	sizes: [114],
	shares: [100],
	seen: 'all round',
	fullness: 1,
	thicker: 'even',
	seed: 1,
	counts: null
});

beforeEach(() => {
	vi.useFakeTimers();
	Hand.all = [];
});

test('what a picture asks for is packed after a rest, and drawn anew when it is there', () => {
	const packer = new Packer();
	const before = packer.packed;
	expect(before(job('a'))).toBeUndefined();
	packer.go();
	expect(Hand.all).toHaveLength(0);
	vi.runAllTimers();
	expect(packer.now).toEqual({ key: 'a', share: 0 });
	Hand.now.onmessage?.({ data: { share: 0.5 } });
	expect(packer.now).toEqual({ key: 'a', share: 0.5 });
	Hand.now.finish();
	expect(packer.now).toBeNull();
	expect(packer.find('a')?.balls.length).toBeGreaterThan(10);
	expect(packer.packed(job('a'))).toBe(packer.find('a'));
});

test('typing on lets go of what nobody asks for any more; only the last is packed', () => {
	const packer = new Packer();
	for (const key of ['a', 'ab', 'abc']) {
		packer.want('section', job(key));
		vi.advanceTimersByTime(50);
	}
	expect(Hand.all).toHaveLength(0);
	vi.runAllTimers();
	expect(Hand.all.map((h) => h.job?.key)).toEqual(['abc']);
	packer.want('section', job('next'));
	expect(Hand.now.ended).toBe(true);
	vi.runAllTimers();
	expect(Hand.now.job?.key).toBe('next');
	// The same again goes on with what is going on.
	packer.want('section', job('next'));
	expect(Hand.all).toHaveLength(2);
});

test('two runs are packed one after the other; a section that is gone asks for nothing', () => {
	const packer = new Packer();
	packer.want('one', job('a'));
	packer.want('two', job('b'));
	vi.runAllTimers();
	Hand.now.finish();
	vi.runAllTimers();
	expect(Hand.now.job?.key).toBe('b');
	packer.want('two', undefined);
	expect(Hand.now.ended).toBe(true);
	vi.runAllTimers();
	expect(Hand.all).toHaveLength(2);
	expect([packer.find('a') !== undefined, packer.find('b')]).toEqual([true, undefined]);
});

test('a worker that dies, or is stopped, leaves the rough picture until it is asked for again', () => {
	for (const end of ['dies', 'stopped']) {
		const packer = new Packer();
		packer.want('one', job('a'));
		vi.runAllTimers();
		if (end === 'dies') Hand.now.onerror?.();
		else packer.stop();
		expect(Hand.now.ended).toBe(true);
		vi.runAllTimers();
		expect([packer.now, [...packer.stopped]]).toEqual([null, ['a']]);
		packer.go();
		vi.runAllTimers();
		expect(packer.find('a')).toBeUndefined();
		packer.again();
		vi.runAllTimers();
		Hand.now.finish();
		expect(packer.find('a')).toBeDefined();
	}
});
