import type { Assembly } from '../assembly/assemble.ts';
import type { Recipe } from '../recipe/recipe.ts';
import { hostsOf } from '../structures/registry/refs.ts';
import { pointAt } from '../structures/kit/spot.ts';
import { formatInches, um } from '../units/length.ts';
import type { Finding } from './finding.ts';

/** Thinner than this it is a line that lies on the floor; less than this under it is the softness of latex, mm. */
const [LINE, SOFT] = [8, 25];

/** What goes under the floor: a limb that is longer than the way down, a piece too low on its host. Of each section the deepest. */
export function checkFloor({ sections }: Recipe, { applied }: Assembly): Finding[] {
	return applied.flatMap(({ of, balls, strands, spots }): Finding[] => {
		const section = sections.find((s) => s.id === of);
		// What stands by itself stands on the floor: its picture puts it there.
		if (!section || section.stand.by === null) return [];
		let [low, deepest] = [0, ''];
		const seen = (z: number, piece: string) => {
			if (z < low) [low, deepest] = [z, piece];
		};
		for (const spot of spots) {
			for (const { ball, piece } of balls) seen(pointAt(spot, ball).z - ball.d / 2, piece);
			for (const { path, d, piece } of strands)
				if (d > LINE) for (const p of path) seen(pointAt(spot, p).z, piece);
		}
		if (low >= -SOFT) return [];
		const own = hostsOf(section.structure).named.find(
			({ host }) => 'piece' in host && host.piece === deepest
		);
		return [
			{
				code: 'under-floor',
				level: 'watch',
				about: deepest || of,
				say: `${own?.name ?? section.name} goes ${formatInches(um(Math.ceil(-low / 12.7 - 1e-6) * 12_700))} in under the floor. Make it shorter, bend it, or put it higher.`,
				why: 'On the day it stands on what should hang, and the piece is pushed up or leans.'
			}
		];
	});
}
