import { MOST_ALIKE } from '../../document/limits.ts';
import { SIDES, type Side } from '../../document/side.ts';
import { flatOf, MATERIAL_KINDS } from '../../materials/material.ts';
import { inches } from '../../units/length.ts';
import { handForm, type HandFacet } from '../facets/by-hand.ts';
import { COLOUR, saidBalloon, type HandKit } from '../kit/by-hand.ts';
import { FIXINGS, type Applied, type Fixing } from './document.ts';
import type { AppliedSaid, SaidPiece } from './said.ts';

const COUNT = { kind: 'count', label: 'How many', min: 1, max: MOST_ALIKE, start: 1 } as const;
const SIDE_WORDS: Readonly<Record<Side, string>> = {
	all: 'all round',
	front: 'at the front',
	back: 'at the back',
	left: 'left',
	right: 'right'
};
const SIDE = {
	kind: 'choice',
	label: 'On a row: where',
	options: SIDES.map((s) => [s, SIDE_WORDS[s]] as const),
	start: 'front'
} as const;
const FIXED = {
	kind: 'choice',
	label: 'Fixed with',
	options: FIXINGS.map((f) => [f, f] as const),
	start: 'glue'
} as const;
const NAME = { kind: 'text', label: 'It is called', most: 40, start: '' } as const;

/** What is put where somebody pressed; nothing where nothing was. */
function piece(
	kit: HandKit,
	what: SaidPiece['what'],
	said: { name: string; count: number; side: string; fixing: string }
): AppliedSaid[] {
	if (!kit.on) return [];
	const { host, section } = kit.on;
	const at = host.on === 'layer' ? { ...host, side: said.side as Side } : host;
	return [
		{
			kind: 'piece',
			piece: {
				name: said.name,
				what,
				on: [{ host: at, count: said.count }],
				section,
				fixing: said.fixing as Fixing
			}
		}
	];
}

const balloon = handForm({
	id: 'balloon',
	title: 'a balloon on it',
	fields: {
		balloon: { kind: 'balloon', label: 'Balloons', start: { nominal: inches(5), size: inches(4) } },
		colours: COLOUR,
		count: COUNT,
		side: SIDE,
		fixing: FIXED,
		name: NAME
	},
	said: ({ balloon: own, name, ...rest }, kit) =>
		piece(
			kit,
			{ kind: 'balloon', balloon: saidBalloon(own), colour: kit.colour(0) },
			{ ...rest, name: name.trim() || kit.name(0) }
		)
});

const thing = handForm({
	id: 'thing',
	title: 'a foil or a thing on it',
	missing: 'What is put on it? Choose it above; things are kept in the Stockroom.',
	fields: {
		thing: {
			kind: 'thing',
			label: 'Which',
			kinds: MATERIAL_KINDS.filter((k) => k.startsWith('foil') || k === 'accent'),
			none: 'choose one'
		},
		count: COUNT,
		side: SIDE,
		fixing: FIXED,
		name: NAME
	},
	said({ thing: id, name, ...rest }, kit) {
		const material = id === null ? undefined : kit.material(id);
		if (!material) return [];
		const what = { kind: 'material', material: material.id, flat: flatOf(material) } as const;
		return piece(kit, what, { ...rest, name: name.trim() || material.name });
	}
});

export const byHand: HandFacet<Applied> = { forms: [balloon, thing] };
