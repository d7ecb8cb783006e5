import { MOST_ALIKE } from '../../document/limits.ts';
import { inches } from '../../units/length.ts';
import { UNKNOWN_SIZE } from '../../sizing/size.ts';
import { COLOUR } from '../kit/by-hand.ts';
import { handForm, type HandFacet } from '../facets/by-hand.ts';
import { GOES_ROUND, MODELS, SHAPINGS, type Form, type Model, type Shaping } from './document.ts';

/** How a piece gets its shape, in her words. */
export const SHAPE_WORDS: Readonly<Record<Shaping, string>> = {
	plain: 'straight',
	wound: 'a curl, wound',
	trained: 'bent by hand',
	bent: 'bent to a half circle',
	folded: 'folded, out and back',
	belt: 'a belt round its row',
	twined: 'wound round what carries it',
	sleeve: 'drawn over a stick'
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
			options: SHAPINGS.filter((s) => !GOES_ROUND.has(s)).map((s) => [s, SHAPE_WORDS[s]] as const),
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
