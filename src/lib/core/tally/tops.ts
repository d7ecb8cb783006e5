import type { Id } from '../document/id.ts';
import type { Tally } from './tally.ts';

/** Height of the top of each row over the floor, mm, by the row's id: of copies the highest. */
export function topsOf({
	stacks,
	assembly: { feet }
}: Pick<Tally, 'stacks' | 'assembly'>): ReadonlyMap<Id, number> {
	const tops = new Map<Id, number>();
	for (const { section, placed } of stacks) {
		const foot = feet.get(section)?.z ?? 0;
		placed.layers.forEach(({ top }, i) => {
			const { id } = placed.rings[i]!.layer;
			tops.set(id, Math.max(tops.get(id) ?? 0, foot + top));
		});
	}
	return tops;
}
