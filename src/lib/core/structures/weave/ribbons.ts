import { postsOf, roundOf } from './cage.ts';
import { inRows, type Weave } from './document.ts';
import { heldOf } from './count.ts';
import { graphOf } from './graph.ts';

/** Strings alike that a weave is joined of. */
interface StringsAlike {
	readonly count: number;
	/** Balloons along one. */
	readonly of: number;
	readonly as: 'ring' | 'post' | 'cross piece' | 'row';
}

/**
 * The strings a weave is joined of, and the held joints that are left for the joining where they, or ribbons of them, are
 * made first; the others are tied on before. A honeycomb has no strings: its sides belong to two cells each.
 */
export function stringsIn(weave: Weave): { readonly strings: readonly StringsAlike[]; readonly left: number; readonly height: number } {
	const { height } = graphOf(weave);
	const held = heldOf(weave);
	const by = weave.ribbons ?? 1;
	const isLeft = ({ joint, at: [, row] }: (typeof held)[number]): boolean =>
		inRows(weave.shape) ? joint === 'foot' || (joint === 'inner' && row % by === 0) : joint === 'base' || joint === 'ends';
	return { strings: alike(weave), left: held.filter(isLeft).length, height };
} // prettier-ignore

function alike({ shape, rows, base, cage }: Weave): StringsAlike[] {
	if (inRows(shape))
		return rows.map(({ repeat, blocks }) => ({
			count: repeat,
			of: blocks.reduce((a, b) => a + b.count, 0),
			as: 'row'
		}));
	if (!base) return [];
	const found: StringsAlike[] = [{ count: cage?.rings ?? 1, of: roundOf(base), as: 'ring' }];
	const posts = cage ? postsOf(base, cage.every).length * (cage.rings - 1) : 0;
	if (cage && posts > 0) found.push({ count: posts, of: cage.post, as: 'post' });
	const crosses = base.cross + (cage?.over ?? 0);
	if (crosses > 0) found.push({ count: crosses, of: base.across, as: 'cross piece' });
	return found;
}
