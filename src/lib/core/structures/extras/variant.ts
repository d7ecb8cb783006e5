import type { VariantFacet } from '../facets/variant.ts';
import type { Extras } from './document.ts';
import { KEEPS_SIZE, NO_STROKES, NO_WAY, NOT_LEADING, ON_NO_HOST } from '../kit/variant.ts';

export const variant: VariantFacet<Extras> = {
	...KEEPS_SIZE,
	...ON_NO_HOST,
	...NOT_LEADING,
	...NO_WAY,
	...NO_STROKES,
	without: (s) => s,
	swappables: ({ lines }, { nameOf }) =>
		lines.flatMap(({ id, swappable, material }) =>
			swappable ? [{ element: id, name: nameOf(material), now: material, what: 'material' as const }] : []
		),
	exchange: (s, element, to) => ({
		...s,
		lines: s.lines.map((l) => (l.id === element ? { ...l, material: to } : l))
	})
};
