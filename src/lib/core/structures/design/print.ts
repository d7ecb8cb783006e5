import type { PrintFacet } from '../facets/print.ts';
import type { DesignUse } from './document.ts';

export const print: PrintFacet<DesignUse> = {
	lines: () => [],
	said: ({ quantity, colourway, size }, { text }) => [
		`${text}${quantity === '1' ? '' : `, ${quantity} of it`}${colourway ? ', in colours of its own' : ''}${size ? ', in another size' : ''}`
	],
	part: () => undefined
};
