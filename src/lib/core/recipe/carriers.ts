import type { Measure } from '../document/measure.ts';
import type { Id } from '../document/id.ts';
import type { PumpProfile } from '../sizing/strokes.ts';
import { leads, rowsToHeight, sizeOf } from '../structures/registry/variant.ts';
import type { Recipe, Section } from './recipe.ts';

/** Whether something is threaded over a section that is as long as that needs it: a post, no other column. */
export const carries = ({ sections }: Pick<Recipe, 'sections'>, { id, structure }: Section): boolean =>
	leads(structure) === 'where nothing else does' &&
	sections.some((s) => s.stand.how === 'over' && s.stand.by === id);

/**
 * With what columns are threaded over cut as much longer or shorter as they have become: the pole goes with what stands on it.
 * @param before the same sections as they were
 */
export function withCarriers(before: Recipe, after: Recipe, pumps: readonly PumpProfile[], of: Measure): Recipe {
	const grown = new Map<Id, number>();
	for (const [i, { stand, structure }] of after.sections.entries()) {
		if (stand.how !== 'over' || stand.by === null || leads(structure) === null) continue;
		const by = sizeOf(structure, pumps, of).mm - sizeOf(before.sections[i]!.structure, pumps, of).mm;
		grown.set(stand.by, Math.max(by, grown.get(stand.by) ?? -Infinity));
	}
	const sections = after.sections.map((s) => {
		const by = grown.get(s.id) ?? 0;
		if (by === 0 || !carries(after, s)) return s;
		const high = sizeOf(s.structure, pumps, of).mm + by;
		return high > 0 ? { ...s, structure: rowsToHeight(s.structure, high, pumps, of) } : s;
	});
	return { ...after, sections };
} // prettier-ignore
