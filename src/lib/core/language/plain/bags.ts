import { MICROMETRES } from '../../units/length.ts';
import type { EntryContext } from '../context.ts';

const known = new WeakMap<EntryContext['materials'], readonly number[]>();

/** The bags of the rounds in the Stockroom, inches, small to large; looked up once for as long as it stays the same. */
export function bagsOf({ materials }: Pick<EntryContext, 'materials'>): readonly number[] {
	const before = known.get(materials);
	if (before) return before;
	const rounds = materials.filter((m) => m.kind === 'latex-round');
	const all = rounds.flatMap(({ nominal }) => (nominal === null ? [] : [nominal / MICROMETRES.in]));
	const own = [...new Set(all)].sort((a, b) => a - b);
	known.set(materials, own);
	return own;
}
