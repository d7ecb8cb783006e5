import type { VariantFacet } from '../facets/variant.ts';
import type { DesignUse } from './document.ts';
import { NO_STROKES, NO_WAY, NOT_LEADING, ON_NO_HOST } from '../kit/variant.ts';

export const variant: VariantFacet<DesignUse> = {
	...ON_NO_HOST,
	...NOT_LEADING,
	...NO_WAY,
	...NO_STROKES,
	scaled(s, { name, note }) {
		note(`${name} is a design of its own and stays as large as it is.`);
		return s;
	},
	lengthened: (s) => s,
	without: (s) => s,
	swappables: ({ design }, { section }) =>
		section.swappable
			? [{ element: section.id, name: section.name, now: design, what: 'design' as const }]
			: [],
	// Colourway and size are of the one that goes: the new one starts with its first.
	exchange: (s, element, to, section) =>
		section === element && s.design !== to
			? { ...s, design: to, colourway: null, size: null, version: null }
			: s
};
