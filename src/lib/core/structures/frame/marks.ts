import type { Frame } from './document.ts';

/** A mark on a stick: so far from its end, which way it is bent there, and how much is left beyond it, mm. */
export interface BendMark {
	readonly at: number;
	readonly goes: string;
	/** Degrees. */
	readonly angle: number;
	readonly left: number;
}

/** Marks of a stick bent into a foot, measured from one end; the last bend goes up. */
export function bendMarks({ shape }: Frame): readonly BendMark[] {
	if (shape.of !== 'bent') return [];
	const { stick, bends } = shape;
	let at = 0;
	return bends.map((long, i) => {
		at += long;
		const goes = i === bends.length - 1 ? 'up' : 'to the left';
		return { at: at / 1000, goes, angle: 90, left: (stick - at) / 1000 };
	});
}
