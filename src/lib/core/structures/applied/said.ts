import type { Micrometres } from '../../units/length.ts';
import type { AppliedPiece, Fixing } from './document.ts';
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
}

export interface AppliedSaid {
	readonly kind: 'piece';
	readonly piece: SaidPiece;
}
