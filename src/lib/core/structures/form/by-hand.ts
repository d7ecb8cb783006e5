import { MOST_ALIKE } from '../../document/limits.ts';
import { inches } from '../../units/length.ts';
import { UNKNOWN_SIZE } from '../../sizing/size.ts';
import { COLOUR } from '../kit/by-hand.ts';
import { handForm, type HandFacet } from '../facets/by-hand.ts';
import { MODELS, SHAPINGS, type Form, type Model, type Shaping } from './document.ts';

const WORDS: Readonly<Record<Shaping, string>> = {
	plain: 'straight',
	wound: 'a curl, wound',
	trained: 'bent by hand',
	bent: 'bent to a half circle'
};

const piece = handForm({
	id: 'piece',
	title: 'modelling balloons',
	fields: {
		count: { kind: 'count', label: 'How many', min: 1, max: MOST_ALIKE, start: 6 },
		model: { kind: 'choice', label: 'Which', options: MODELS.map((m) => [m, m] as const), start: '260' },
		length: { kind: 'length', label: 'Inflated length', min: inches(1), max: inches(70), start: inches(24) },
		shaping: {
			kind: 'choice',
			label: 'Shape',
			options: SHAPINGS.map((s) => [s, WORDS[s]] as const),
			start: 'plain'
		},
		colours: COLOUR
	},
	said: ({ count, model, length, shaping }, kit) => [
		{
			kind: 'form piece',
			section: null,
			piece: {
				name: 'pieces',
				model: model as Model,
				colour: kit.colour(0),
				count,
				take: { kind: 'whole' },
				bubbles: [length],
				size: UNKNOWN_SIZE,
				shaping: shaping as Shaping,
				angle: shaping === 'bent' ? 180 : 0,
				grows: 0,
				strands: 1,
				softened: false,
				neckOff: false,
				at: null
			}
		}
	]
});

export const byHand: HandFacet<Form> = { forms: [piece] };
