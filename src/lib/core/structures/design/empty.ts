import type { RationalText } from '../../units/rational.ts';
import type { DesignUse } from './document.ts';

/** Another design as it stands, in its first colourway. */
export const designUse = (design: string, quantity: RationalText = '1'): DesignUse => ({
	kind: 'design',
	design,
	quantity,
	colourway: null,
	size: null,
	version: null
});
