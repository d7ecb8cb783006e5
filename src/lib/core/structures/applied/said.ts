import type { Micrometres } from '../../units/length.ts';
import type { AppliedPiece, Fixing } from './document.ts';
import type { RationalText } from '../../units/rational.ts';
import type { Id } from '../../document/id.ts';
import type { OwnSaid } from '../../language/said.ts';

export interface SaidPiece {
	readonly name: string;
	readonly what:
		OwnSaid | { readonly kind: 'material'; readonly material: string; readonly flat: Micrometres | null };
	readonly on: AppliedPiece['on'];
	/** Section that carries it; null is a wall. */
	readonly section: Id | null;
	readonly fixing: Fixing;
	/** How many fixings, or how much of one, a piece takes; one where nothing is said. */
	readonly each?: RationalText | undefined;
	readonly then?: Fixing | undefined;
}

export interface AppliedSaid {
	readonly kind: 'piece';
	readonly piece: SaidPiece;
}
