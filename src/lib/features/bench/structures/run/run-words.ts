import { extentOf } from '../../../../core/geometry/path.ts';
import type { Run } from '../../../../core/structures/run/document.ts';
import { estimateUsed } from '../../../../core/structures/run/organic.ts';
import { layRun } from '../../../../core/structures/run/lay.ts';
import { lengthOfRun, stretchesOf } from '../../../../core/structures/run/path.ts';
import { feetWords } from '../../kit/feet-words.ts';

/** `20′ 0″, 8′ 0″ wide, 7′ 0″ high`. */
export function pathWords(run: Run): string {
	const { span, height } = extentOf(stretchesOf(run));
	return `${feetWords(lengthOfRun(run))} long, ${feetWords(span)} wide, ${feetWords(height)} high`;
}

/** `9′`, `9′ 6″`: whole feet without their inches. */
const short = (length: number): string => feetWords(length / 1000).replace(/ 0″$/, '');

/** What stands in the head of a run: its length, and how much is on it. */
export function runWords(run: Run): string {
	const clusters = layRun(run).length;
	const { total } = estimateUsed(run);
	const { open } = run;
	return [
		open ? `${short(open.low)} to ${short(open.high)}` : feetWords(lengthOfRun(run)),
		...(clusters > 0 ? [`${clusters} clusters`] : []),
		...(run.mix.length > 0 && total !== null ? [`${total} mixed`] : [])
	].join(' · ');
}
