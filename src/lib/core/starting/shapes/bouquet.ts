import type { Id } from '../../document/id.ts';
import { flatOf } from '../../materials/material.ts';
import type { BunchThing } from '../../structures/bunch/document.ts';
import { emptyBunch } from '../../structures/bunch/empty.ts';
import { feet, inches } from '../../units/length.ts';
import { section } from '../say.ts';
import { saidBalloon } from '../../structures/kit/by-hand.ts';
import { startingShape, type StartEntry } from '../shape.ts';
import type { HandKit } from '../../structures/kit/by-hand.ts';

/** A foil of the Stockroom as it comes; none where none is chosen. */
function foilOf(id: Id | null, kit: HandKit): readonly Extract<BunchThing, { kind: 'material' }>[] {
	const material = id === null ? undefined : kit.material(id);
	if (!material) return [];
	return [{ kind: 'material', material: material.id, flat: flatOf(material), look: 'creased', chambers: material.chambers }]; // prettier-ignore
}

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
			kinds: ['foil-round', 'foil-star', 'foil-heart', 'foil-shape'],
			none: 'no foil'
		},
		foils: { kind: 'count', label: 'How many foils', min: 1, max: 30, start: 1 },
		ribbon: { kind: 'thing', label: 'Ribbon', kinds: ['ribbon'], takes: 'ribbon', none: 'not chosen yet' },
		length: { kind: 'length', label: 'Length of ribbon', min: feet(0.5), max: feet(30), start: feet(5) },
		weight: { kind: 'thing', label: 'Weight', kinds: ['weight'], takes: 'weight', none: 'nothing yet' }
	},
	entries: ({ balloon, count, foil, foils, ribbon, length, weight }, kit) => {
		const own = { material: ribbon, length };
		const shares = Array.from({ length: Math.min(kit.colours, count) }, (_, i) => Math.floor(count / kit.colours) + (i < count % kit.colours ? 1 : 0)); // prettier-ignore
		const latex = shares.map((n, i): StartEntry => ({
			kind: 'item',
			item: {
				name: shares.length === 1 ? 'balloons' : `${kit.name(i)} balloons`,
				count: n,
				what: { kind: 'balloon', balloon: saidBalloon(balloon), colour: kit.colour(i) },
				gas: 'helium',
				ribbon: own,
				swappable: false
			}
		}));
		return [
			section('bouquet', emptyBunch()),
			...latex,
			...foilOf(foil, kit).map((what): StartEntry => ({
				kind: 'item',
				item: { name: 'foil', count: foils, what, gas: 'helium', ribbon: own, swappable: true }
			})),
			...(weight === null
				? []
				: [{ kind: 'weight', weight: { kind: 'material', material: weight, count: 1 } } as const])
		];
	}
});
