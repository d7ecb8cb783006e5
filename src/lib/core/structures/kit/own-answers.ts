import type { Balloon } from '../../by-hand/asked.ts';
import type { Pattern } from '../../document/pattern.ts';
import type { Id } from '../../document/id.ts';
import type { Size } from '../../sizing/size.ts';
import type { Micrometres } from '../../units/length.ts';

/** A balloon as its field holds it; undefined where its size is none in inches or centimetres. */
export const balloonAnswer = ({
	nominal,
	size
}: {
	readonly nominal: Micrometres;
	readonly size: Size;
}): Balloon | undefined => (size.kind === 'value' ? { nominal, size: size.um } : undefined);

/** Slots of a pattern as the colour field holds them, and how they go. */
export const patternAnswer = (
	pattern: Pattern
): { readonly colours: readonly Id[]; readonly pattern: string } | undefined =>
	pattern.kind === 'same'
		? { colours: [pattern.slot], pattern: 'list' }
		: pattern.kind === 'blocks'
			? undefined
			: { colours: pattern.slots, pattern: pattern.kind };
