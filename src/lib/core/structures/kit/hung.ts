import type { Hung } from '../../document/hung.ts';
import { feet } from '../../units/length.ts';
import { rational } from '../../units/rational.ts';
import type { Need } from './need.ts';

/** One holds the whole piece, however long it is. */
const WHOLE: ReadonlySet<Hung['by']> = new Set(['stand', 'backdrop']);
/** What one fishing line takes up to where it is tied: measured on the spot, so between these. House rule. */
const DROP = { um: feet(6), low: feet(2), high: feet(15) } as const;

/**
 * Hooks, pins or lines a piece hangs by: one at each end and one at every so much between; one stand or backdrop.
 * @param length of the piece, mm
 */
export function hangersOf({ hung }: { readonly hung: Hung | null }, length: number): number {
	if (hung === null || length <= 0) return 0;
	return WHOLE.has(hung.by) ? 1 : Math.ceil((length * 1000) / hung.every - 1e-9) + 1;
}

/** What they are of. @param length of the piece, mm */
export function hungNeeds(piece: { readonly hung: Hung | null }, length: number): Need[] {
	const count = hangersOf(piece, length);
	if (piece.hung === null || count === 0) return [];
	const { by, material } = piece.hung;
	const drop = by === 'fishing line' ? { length: DROP } : {};
	const shared = WHOLE.has(by) ? { shared: true as const } : {};
	return [{ what: 'material', material, label: by, quantity: rational(count), ...drop, ...shared }];
}
