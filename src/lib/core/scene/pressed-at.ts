import type { Id } from '../document/id.ts';
import { awayFrom } from './rope.ts';
import type { DrawList } from './draw-list.ts';
import type { Pressed } from './coloured-balls.ts';

/** A point of a picture, mm from the middle of its floor. */
export interface PicturePoint {
	readonly across: number;
	readonly over: number;
}

/** What a picture is about at a point: the foremost there. */
export function aboutAt(
	{ discs, about }: Pick<DrawList, 'discs' | 'about'>,
	{ across, over }: PicturePoint
): Id | null {
	const disc = discs.findLast((d) => awayFrom(d, across, over) < d.r);
	return (disc && about?.[disc.row]) ?? null;
}

/**
 * The very balloon pressed at a point, of what is about something; without one there, the foremost of it.
 * @param pressed what each disc is, in their order
 */
export function pressedAt(
	{ discs, about }: Pick<DrawList, 'discs' | 'about'>,
	pressed: readonly Pressed[],
	of: Id,
	{ across, over }: PicturePoint
): Pressed {
	const own = (i: number) => about?.[discs[i]!.row] === of;
	let first = -1;
	for (let i = discs.length - 1; i >= 0; i--) {
		if (!own(i)) continue;
		if (awayFrom(discs[i]!, across, over) < discs[i]!.r) return pressed[i]!;
		if (first < 0) first = i;
	}
	return pressed[first] ?? { place: null, slot: null };
}
