import type { LineRole } from '../../document/line-role.ts';
import type { Id } from '../../document/id.ts';
import type { RationalText } from '../../units/rational.ts';

/** Lines that no structure works out: florals, fabric, hire. */
export interface Extras {
	readonly kind: 'extras';
	readonly lines: readonly ExtraLine[];
}

export interface ExtraLine {
	readonly id: Id;
	readonly material: string;
	/** What is counted; of an estimate the likely figure. */
	readonly quantity: RationalText;
	/** An estimate lies between these; null is a plain count. */
	readonly range: { readonly low: RationalText; readonly high: RationalText } | null;
	readonly role: LineRole;
	/** Of an optional line or an alternative: whether it is counted. */
	readonly taken: boolean;
	/** One of several ways to do one thing: sandbags indoors, stakes on grass. */
	readonly choice: { readonly group: string; readonly when: string } | null;
	/** Sections, rows, pieces and items it serves: counted once, shown at each. */
	readonly serves: readonly Id[];
	/** Measured where it stands: the count is what is taken along for it. Most are not, and say nothing of it. */
	readonly onSpot?: true | undefined;
	readonly swappable: boolean;
}
