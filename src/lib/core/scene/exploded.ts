import { accompanies } from '../structures/registry/refs.ts';
import type { Id } from '../document/id.ts';
import type { Section } from '../recipe/recipe.ts';
import type { Assembly } from '../assembly/assemble.ts';
import type { Spot } from '../structures/kit/spot.ts';

/** How far a thing is moved from where it stands, mm. */
export type Shift = readonly [x: number, y: number, z: number];

/**
 * Draws a design apart by its sections: what stands on another is lifted off it, what stands beside it goes outwards,
 * pieces come off their host towards where they sit. One gap for each step away from the floor.
 * @param gap mm
 */
export function exploded(
	{ feet }: Assembly,
	sections: readonly Section[],
	gap: number
): (section: Id, at: Spot | { readonly x: number; readonly y: number }) => Shift {
	const byId = new Map(sections.map((s) => [s.id, s]));
	const steps = new Map<Id, { lift: number; host: Id | null; sideways: boolean }>();
	const stepOf = (id: Id, depth = 0): { lift: number; host: Id | null; sideways: boolean } => {
		const cached = steps.get(id);
		if (cached) return cached;
		const section = byId.get(id);
		const by = section?.stand.by ?? null;
		if (!section || by === null || depth > sections.length) return { lift: 0, host: null, sideways: false };
		const below = stepOf(by, depth + 1);
		const onTop = section.stand.how === 'on top' && !accompanies(section.structure);
		const step = { lift: below.lift + (onTop ? 1 : 0), host: by, sideways: !onTop };
		steps.set(id, step);
		return step;
	};
	return (id, at) => {
		const { lift, host, sideways } = stepOf(id);
		if (!sideways || host === null) return [0, 0, lift * gap];
		const foot = feet.get(host) ?? { x: 0, y: 0 };
		const [dx, dy] = [at.x - foot.x, at.y - foot.y];
		const away = Math.hypot(dx, dy);
		return away < 1e-6 ? [0, -gap, lift * gap] : [(dx / away) * gap, (dy / away) * gap, lift * gap];
	};
}
