import type { Weave } from '../../../../core/structures/weave/document.ts';
import { sizeOfWeave } from '../../../../core/structures/weave/count.ts';
import { graphOf } from '../../../../core/structures/weave/graph.ts';
import { feetWords } from '../../kit/feet-words.ts';

/** What stands in the head of a weave: how large it is. */
export function weaveWords(weave: Weave): string {
	const { width, height, deep, across } = sizeOfWeave(weave);
	if (graphOf(weave).woven.length === 0) return 'no rows yet';
	const wide = across === null ? `${feetWords(width)} wide` : `${feetWords(across)} across`;
	if (deep !== null) return `${feetWords(width)} by ${feetWords(deep)}, ${feetWords(height)} high`;
	return weave.shape === 'base'
		? `${feetWords(width)} by ${feetWords(height)}`
		: `${wide}, ${feetWords(height)} high`;
}
