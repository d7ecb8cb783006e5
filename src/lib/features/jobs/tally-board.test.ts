import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { doneIn, markPlace, type TallyMark } from '../../core/job/tally-marks.ts';
import { TallyBoard, type SendMarks, type TallySums } from './tally-board.svelte.ts';

/** A server in memory that counts a mark once, with a line that can be cut before or after what was sent got there. */
function bench() {
	const marks = new Map<string, TallyMark>();
	const line: { is: 'there' | 'gone' | 'answer lost' } = { is: 'there' };
	const sums = (): TallySums => ({ done: Object.fromEntries(doneIn([...marks.values()])), lost: 0, many: marks.size });
	const send: SendMarks = async (some) => {
		await Promise.resolve();
		if (line.is === 'gone') return 'later';
		for (const mark of some) marks.set(mark.id, mark);
		return line.is === 'answer lost' ? 'later' : sums();
	};
	return { marks, line, sums, send };
} // prettier-ignore
const memory = () => {
	const kept = new Map<string, string>();
	return { getItem: (k: string) => kept.get(k) ?? null, setItem: (k: string, v: string) => void kept.set(k, v) }; // prettier-ignore
};
const tap = { line: 'l', step: 's', kind: 'done', amount: 1, material: '', cause: null, person: '' } as const;
const settled = async () => {
	for (let i = 0; i < 20; i++) await Promise.resolve();
};
let at = 0;
const ids = (who: string) => () => `${who}-${++at}-mark`;

describe('counting at the bench', () => {
	test('a tap is seen before it is sent, and waits where there is no line', async () => {
		const { line, send, marks } = bench();
		line.is = 'gone';
		const board = new TallyBoard('q', { done: {}, lost: 0, many: 0 }, send, memory(), ids('a'));
		board.put(tap, 1);
		expect([board.done('l', 's'), board.waits]).toEqual([1, 1]);
		await settled();
		await board.flush();
		expect([board.waits, marks.size]).toEqual([1, 0]);
		line.is = 'there';
		await board.flush();
		expect([board.done('l', 's'), board.waits, marks.size]).toEqual([1, 0, 1]);
	});
	test('a reload without a line finds what was counted, sent or not', async () => {
		const { line, send, sums } = bench();
		const [early, kept] = [sums(), memory()];
		const board = new TallyBoard('q', early, send, kept, ids('b'));
		board.put(tap, 1);
		await settled();
		line.is = 'gone';
		board.put(tap, 2);
		await settled();
		const again = new TallyBoard('q', early, send, kept, ids('c'));
		expect([again.done('l', 's'), again.waits]).toEqual([2, 1]);
	});
	test('of nothing nothing is taken back', () => {
		const board = new TallyBoard('q', { done: {}, lost: 0, many: 0 }, bench().send, memory(), ids('d'));
		board.put({ ...tap, amount: -1 }, 1);
		board.put({ ...tap, kind: 'lost', amount: -1 }, 1);
		expect([board.done('l', 's'), board.lost, board.waits]).toEqual([0, 0, 0]);
	});
	test('two devices, lines that come and go, answers that are lost: every tap counts once (property)', async () => {
		const act = fc.record({ who: fc.constantFrom(0, 1), line: fc.constantFrom('there', 'gone', 'answer lost'), sends: fc.boolean() } as const); // prettier-ignore
		await fc.assert(
			fc.asyncProperty(fc.array(act, { maxLength: 40 }), async (acts) => {
				const { line, send, sums, marks } = bench();
				const boards = [0, 1].map((w) => new TallyBoard('q', sums(), send, memory(), ids(String(w))));
				for (const { who, line: is, sends } of acts) {
					line.is = is;
					boards[who]!.put(tap, 1);
					if (sends) await boards[who]!.flush();
				}
				line.is = 'there';
				// What is under way ends first, then the rest goes, and each hears of the other.
				for (let i = 0; i < 3; i++) for (const board of boards) await board.flush();
				await settled();
				for (const board of boards) await board.flush();
				expect(marks.size).toBe(acts.length);
				for (const board of boards) expect(board.done('l', 's')).toBe(acts.length);
				expect(sums().done[markPlace('l', 's')] ?? 0).toBe(acts.length);
			}),
			{ numRuns: 80 }
		);
	});
});
