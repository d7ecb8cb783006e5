import { doneIn, lostIn, type TallyMark } from '../../core/job/tally-marks.ts';

/** What all marks of a job come to, as a page that counts is told: by place what is done, what is lost in all, and of how many marks. */
export function sumsOf(marks: readonly TallyMark[]): {
	readonly done: Readonly<Record<string, number>>;
	readonly lost: number;
	readonly many: number;
} {
	const lost = [...lostIn(marks).values()].reduce((a, l) => a + l.pieces, 0);
	return { done: Object.fromEntries(doneIn(marks)), lost, many: marks.length };
}
