import type { VariantFacet } from '../facets/variant.ts';
import { NO_STROKES, NO_WAY, NOT_LEADING, ON_NO_HOST } from '../kit/variant.ts';
import { sizesOfTheirOwn } from '../kit/scale.ts';
import type { Bunch, BunchItem } from './document.ts';
import type { Id } from '../../document/id.ts';
import { hollow } from '../kit/without.ts';

export const variant: VariantFacet<Bunch> = {
	...ON_NO_HOST,
	...NOT_LEADING,
	...NO_WAY,
	...NO_STROKES,
	scaled(s, scale) {
		sizesOfTheirOwn(scale);
		return s;
	},
	lengthened: (s) => s,
	without: bunchWithout,
	swappables: ({ items }) =>
		items.flatMap(({ id, swappable, name, what }) =>
			swappable && what.kind === 'material' && what.material !== null
				? [{ element: id, name, now: what.material, what: 'material' as const }]
				: []
		),
	exchange: (s, element, to) => ({
		...s,
		items: s.items.map((i) =>
			i.id === element && i.what.kind === 'material' ? { ...i, what: { ...i.what, material: to } } : i
		)
	})
};

function bunchWithout(bunch: Bunch, out: ReadonlySet<Id>): Bunch {
	const items = bunch.items.flatMap((item): BunchItem[] => {
		const { what } = item;
		if (what.kind === 'letters') return out.has(what.slot) ? [] : [item];
		if (what.kind !== 'balloon') return [item];
		if (out.has(what.balloon.slot)) return [];
		return [{ ...item, what: { ...what, balloon: hollow(what.balloon, out) } }];
	});
	const { weight } = bunch;
	const gone = weight?.kind === 'balloon' && out.has(weight.balloon.slot);
	const held = weight?.kind === 'balloon' ? { ...weight, balloon: hollow(weight.balloon, out) } : weight;
	return { ...bunch, items, weight: gone ? null : held };
}
