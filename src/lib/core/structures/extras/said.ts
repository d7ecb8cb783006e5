import type { LineRole } from '../../document/line-role.ts';
import type { RationalText } from '../../units/rational.ts';
import type { ExtraLine } from './document.ts';

export interface SaidLine {
	readonly material: string;
	readonly name: string;
	/** A foil is inflated, not only bought. */
	readonly foil?: boolean;
	readonly quantity: RationalText;
	readonly range: ExtraLine['range'];
	readonly onSpot?: true | undefined;
	readonly serves?: ExtraLine['serves'];
}

export interface ExtrasSaid {
	readonly kind: 'lines';
	/** Several are ways to do one thing. */
	readonly lines: readonly SaidLine[];
	readonly role: LineRole;
	readonly swappable: boolean;
}
