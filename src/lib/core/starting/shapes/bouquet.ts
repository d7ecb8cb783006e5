import { FOILS, item, LONG } from '../../structures/bunch/by-hand.ts';
import { emptyBunch, newThing } from '../../structures/bunch/empty.ts';
import { inches } from '../../units/length.ts';
import { section } from '../say.ts';
import { saidBalloon } from '../../structures/kit/by-hand.ts';
import { startingShape } from '../shape.ts';

/** Helium balloons and foils on ribbon over a weight. */
export const bouquet = startingShape({
	id: 'bouquet',
	title: 'Bouquet',
	says: 'helium balloons and foils on ribbon, over a weight',
	fields: {
		colours: { kind: 'colours', label: 'Colours', most: 6, start: 2 },
		balloon: { kind: 'balloon', label: 'Balloons', start: { nominal: inches(11), size: inches(11) } },
		count: { kind: 'count', label: 'How many balloons', min: 1, max: 60, start: 6 },
		foil: {
			kind: 'thing',
			label: 'Foil',
			kinds: FOILS,
			none: 'no foil'
		},
		foils: { kind: 'count', label: 'How many foils', min: 1, max: 30, start: 1 },
		ribbon: { kind: 'thing', label: 'Ribbon', kinds: ['ribbon'], takes: 'ribbon', none: 'not chosen yet' },
		length: LONG,
		weight: { kind: 'thing', label: 'Weight', kinds: ['weight'], takes: 'weight', none: 'nothing yet' }
	},
	entries: ({ balloon, count, foil, foils, ribbon, length, weight }, kit) => {
		const tied = { gas: 'helium', ribbon, length } as const;
		const shares = Array.from({ length: Math.min(kit.colours, count) }, (_, i) => Math.floor(count / kit.colours) + (i < count % kit.colours ? 1 : 0)); // prettier-ignore
		const latex = shares.map((n, i) =>
			item({
				...tied,
				name: shares.length === 1 ? 'balloons' : `${kit.name(i)} balloons`,
				count: n,
				what: { kind: 'balloon', balloon: saidBalloon(balloon), colour: kit.colour(i) }
			})
		);
		const material = foil === null ? undefined : kit.material(foil);
		return [
			section('bouquet', emptyBunch()),
			...latex,
			...(material
				? [item({ ...tied, name: 'foil', count: foils, what: newThing(material), swappable: true })]
				: []),
			...(weight === null
				? []
				: [{ kind: 'weight', weight: { kind: 'material', material: weight, count: 1 } } as const])
		];
	}
});
