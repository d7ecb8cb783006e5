import type { Id } from '../../document/id.ts';
import { MOST_ALIKE, MOST_LETTERS } from '../../document/limits.ts';
import type { MaterialKind } from '../../materials/material.ts';
import { feet, inches, type Micrometres } from '../../units/length.ts';
import { handForm, type HandFacet } from '../facets/by-hand.ts';
import { COLOUR, saidBalloon } from '../kit/by-hand.ts';
import type { Bunch } from './document.ts';
import { newThing } from './empty.ts';
import type { BunchSaid, SaidItem } from './said.ts';

const GAS = {
	kind: 'choice',
	label: 'Filled with',
	options: [
		['helium', 'helium'],
		['air', 'air']
	],
	start: 'helium'
} as const;
export const FOILS = [
	'foil-round',
	'foil-star',
	'foil-heart',
	'foil-shape'
] as const satisfies readonly MaterialKind[];
const RIBBON = {
	kind: 'thing',
	label: 'On ribbon',
	kinds: ['ribbon', 'tie'],
	takes: 'ribbon',
	none: 'not chosen yet'
} as const;
export const LONG = {
	kind: 'length',
	label: 'Length of ribbon',
	min: feet(0.5),
	max: feet(30),
	start: feet(5)
} as const;

/** Balloons or foils on ribbon. */
export const item = (
	said: Pick<SaidItem, 'name' | 'count' | 'what'> & {
		gas: string;
		ribbon: Id | null;
		length: Micrometres;
		swappable?: boolean;
	}
): BunchSaid => ({
	kind: 'item',
	item: {
		name: said.name,
		count: said.count,
		what: said.what,
		gas: said.gas as 'air',
		ribbon: { material: said.ribbon, length: said.length },
		swappable: said.swappable ?? false
	}
});

const balloons = handForm({
	id: 'balloons',
	title: 'balloons',
	fields: {
		count: { kind: 'count', label: 'How many', min: 1, max: MOST_ALIKE, start: 3 },
		gas: GAS,
		balloon: { kind: 'balloon', label: 'Balloons', start: { nominal: inches(11), size: inches(11) } },
		colours: COLOUR,
		ribbon: RIBBON,
		length: LONG
	},
	said: ({ balloon, ...rest }, kit) => [
		item({
			...rest,
			name: 'balloons',
			what: { kind: 'balloon', balloon: saidBalloon(balloon), colour: kit.colour(0) }
		})
	]
});

const foil = handForm({
	id: 'foil',
	title: 'a foil',
	missing: 'Which foil? Choose one above; foils are kept in the Stockroom.',
	fields: {
		foil: {
			kind: 'thing',
			label: 'Which',
			kinds: FOILS,
			none: 'choose one'
		},
		count: { kind: 'count', label: 'How many', min: 1, max: MOST_ALIKE, start: 1 },
		gas: GAS,
		ribbon: RIBBON,
		length: LONG
	},
	said({ foil: id, ...rest }, kit) {
		const material = id === null ? undefined : kit.material(id);
		return material ? [item({ ...rest, name: 'foil', what: newThing(material), swappable: true })] : [];
	}
});

const letters = handForm({
	id: 'letters',
	title: 'foil letters',
	missing: 'Which letters or numbers? Type them above, like TIDE.',
	fields: {
		text: { kind: 'text', label: 'Letters or numbers', most: MOST_LETTERS, start: '' },
		height: { kind: 'length', label: 'How tall', min: inches(5), max: inches(80), start: inches(34) },
		colours: COLOUR
	},
	said: ({ text, height }, kit) =>
		text.trim() === ''
			? []
			: [
					{
						kind: 'item',
						item: {
							name: 'letters',
							count: 1,
							what: {
								kind: 'letters',
								text: text.trim().toUpperCase(),
								height,
								look: 'creased',
								colour: kit.colour(0)
							},
							gas: 'air',
							ribbon: null,
							swappable: false
						}
					}
				]
});

const weight = handForm({
	id: 'weight',
	title: 'what holds it down',
	fields: {
		weight: { kind: 'thing', label: 'Weight', kinds: ['weight', 'base'], takes: 'weight', none: 'nothing' },
		count: { kind: 'count', label: 'How many', min: 1, max: 50, start: 1 }
	},
	said: ({ weight: material, count }) => [
		{ kind: 'weight', weight: material === null ? null : { kind: 'material', material, count } }
	]
});

export const byHand: HandFacet<Bunch> = { forms: [balloons, foil, letters, weight] };
