import { formatFeet, mm } from '../../core/units/length.ts';
import { extentOf } from '../../core/geometry/path.ts';
import type { Run } from '../../core/structures/run/document.ts';
import type { Weave } from '../../core/structures/weave/document.ts';
import { estimateUsed } from '../../core/structures/run/organic.ts';
import { layRun } from '../../core/structures/run/count.ts';
import { lengthOfRun, stretchesOf } from '../../core/structures/run/path.ts';
import { sizeOfWeave } from '../../core/structures/weave/count.ts';
import { graphOf } from '../../core/structures/weave/graph.ts';

export const feetWords = (length: number): string => formatFeet(mm(length));

/** `20′ 0″, 8′ 0″ wide, 7′ 0″ high`. */
export function pathWords(run: Run): string {
	const { span, height } = extentOf(stretchesOf(run));
	return `${feetWords(lengthOfRun(run))} long, ${feetWords(span)} wide, ${feetWords(height)} high`;
}

/** What stands in the head of a run: its length, and how much is on it. */
export function runWords(run: Run): string {
	const clusters = layRun(run).length;
	const { total } = estimateUsed(run);
	return [
		feetWords(lengthOfRun(run)),
		...(clusters > 0 ? [`${clusters} clusters`] : []),
		...(run.mix.length > 0 && total !== null ? [`${total} mixed`] : [])
	].join(' · ');
}

/** What stands in the head of a weave: how large it is. */
export function weaveWords(weave: Weave): string {
	const { width, height, across } = sizeOfWeave(weave);
	if (graphOf(weave).woven.length === 0) return 'no rows yet';
	const wide = across === null ? `${feetWords(width)} wide` : `${feetWords(across)} across`;
	return weave.shape === 'base'
		? `${feetWords(width)} by ${feetWords(height)}`
		: `${wide}, ${feetWords(height)} high`;
}
