import type { VariantFacet } from '../facets/variant.ts';
import { NO_STROKES, NO_WAY, NOT_LEADING, NOTHING_SWAPPED, ON_NO_HOST } from '../kit/variant.ts';
import type { Weave } from './document.ts';
import type { Id } from '../../document/id.ts';
import { hollow } from '../kit/without.ts';

export const variant: VariantFacet<Weave> = {
	...ON_NO_HOST,
	...NOT_LEADING,
	...NOTHING_SWAPPED,
	...NO_WAY,
	...NO_STROKES,
	scaled(s, { name, note }) {
		note(`${name} stays as large as it is: say more rows or balloons, or another size.`);
		return s;
	},
	lengthened: (s) => s,
	without: weaveWithout
};

/** Blocks of colours left out go and the row closes up; a handle and connectors go with their colour. */
function weaveWithout(weave: Weave, out: ReadonlySet<Id>): Weave {
	return {
		...weave,
		rows: weave.rows.flatMap((row) => {
			const blocks = row.blocks.filter((b) => b.slot === null || !out.has(b.slot));
			return blocks.length > 0 ? [{ ...row, blocks }] : [];
		}),
		joiner: weave.joiner && (out.has(weave.joiner.slot) ? null : hollow(weave.joiner, out)),
		filler: weave.filler && !out.has(weave.filler.slot) ? hollow(weave.filler, out) : undefined,
		handle: weave.handle && out.has(weave.handle.slot) ? null : weave.handle
	};
}
