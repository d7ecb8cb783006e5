import type { Inside } from '../../document/inside.ts';
import type { Size } from '../../sizing/size.ts';
import type { Micrometres } from '../../units/length.ts';
import type { ColourRef, SaidBalloon, SaidFill, SaidPattern } from '../../language/said.ts';
import type { Pattern } from '../../document/pattern.ts';
import type { Place } from '../../document/cluster.ts';
import type { Id, NewId } from '../../document/id.ts';

/** A balloon as said: its method follows from its size, its slot from the pattern. */
export const newPlace = (id: string, nominal: Micrometres, size: Size): Place => ({
	id,
	kind: 'latex-round',
	nominal,
	size,
	method: null,
	slot: null,
	material: null,
	side: null
});

export const sameBalloons = (said: SaidBalloon, slot: Id | null, count: number, newId: NewId): Place[] =>
	Array.from({ length: count }, () => ({ ...saidPlace(newId(), said), slot }));

/** What was said to be in a balloon and on it; what was not said stands nowhere. */
export function filled(
	{ inside, painted, neckOff, twin }: SaidFill,
	slotId: (ref: ColourRef) => Id
): Pick<Place, 'inside' | 'painted' | 'neckOff' | 'twin'> {
	const made: Inside | undefined =
		inside &&
		('of' in inside
			? { kind: 'filling', ...inside }
			: {
					kind: 'balloon',
					nominal: inside.balloon.nominal,
					size: inside.balloon.size,
					slot: slotId(inside.colour),
					...(inside.holds && { holds: inside.holds })
				});
	return {
		...(made && { inside: made }),
		...(painted && { painted }),
		...(neckOff && { neckOff }),
		...(twin && { twin })
	};
}

/** A balloon as it was said, in no slot of its own yet. */
export const saidPlace = (id: string, { nominal, size, kind, method, or }: SaidBalloon): Place => ({
	...newPlace(id, nominal, size),
	kind,
	method,
	...(or !== undefined && { or })
});

export function buildPattern(
	{ kind, colours, hand }: SaidPattern,
	slotId: (ref: ColourRef) => string
): Pattern {
	const slots = colours.map((c) => slotId(c.ref));
	switch (kind) {
		case 'same':
			return { kind, slot: slots[0]! };
		case 'spiral':
			return { kind, slots, hand };
		case 'blocks':
			return { kind, blocks: colours.map((c, i) => ({ slot: slots[i]!, rings: c.rings })) };
		default:
			return { kind, slots };
	}
}
