import type { Mutable } from '../../document/mutable.ts';
import { inHand, type LanguageFacet } from '../facets/language.ts';
import type { Frame } from './document.ts';
import { emptyFrame } from './empty.ts';
import { takenApart } from './parts.ts';
import { frameLine } from './read.ts';
import type { FrameSaid, SaidFrame } from './said.ts';

function set(frame: Mutable<Frame>, said: SaidFrame) {
	switch (said.set) {
		case 'shape':
			frame.shape = said.shape as Mutable<Frame['shape']>;
			break;
		case 'apart':
			frame.shape = { of: 'parts', parts: takenApart(frame) } as Mutable<Frame['shape']>;
			break;
		case 'part':
			frame.shape = { of: 'parts', parts: [...takenApart(frame), said.part] } as Mutable<Frame['shape']>;
			break;
		case 'part out': {
			const left = takenApart(frame).filter((_, i) => i !== said.nth - 1);
			if (left.length > 0) frame.shape = { of: 'parts', parts: left } as Mutable<Frame['shape']>;
			break;
		}
		case 'tube':
			Object.assign(frame.tube, said.tube);
			break;
		case 'base':
			frame.base = said.base && { ...said.base };
			break;
		case 'ground':
			frame.grounds = [
				...frame.grounds.filter((g) => g.ground !== said.ground),
				...(said.base === undefined ? [] : [{ ground: said.ground, base: said.base && { ...said.base } }])
			];
			break;
		case 'guys':
			frame.guys = said.guys && { ...said.guys };
			break;
		case 'mesh':
			frame.mesh = said.mesh && { ...said.mesh };
			break;
		case 'cover':
			frame.cover = said.cover;
			break;
		case 'joined':
			frame.joined = said.joined;
			break;
		case 'uses':
			frame.uses = said.uses;
	}
}

export const language: LanguageFacet<Frame, FrameSaid> = {
	starts: { word: 'frame', empty: emptyFrame },
	examples: [
		'post 5 ft on plate 12 in',
		'door 8 ft by 7 ft feet 3 ft',
		'back 6 ft by 7 ft feet 3 ft bars 2',
		'cross 7 ft tree 4 ft at 5 ft',
		'bent 10 ft at 13 in, 13 in, 13 in, 9 in',
		'letter A 4 ft feet 2 ft',
		'box 3 sticks 4 ft apart 8 in',
		'parts 0 by 0 to 0 by 6 to 3 by 6 ft',
		'telescopic 4 ft to 8 ft at 7 ft bar 6 ft',
		'for grass on plate 24 in',
		'guyed 3 at 5 ft out 4 ft',
		'covered in tissue'
	],
	phrases: [
		'five foot post',
		'a door frame 8 ft wide and 7 ft high with 3 foot feet',
		'a mast 7 ft high with a 4 ft tree at 5 ft',
		'five foot hoop on a two foot stand',
		'bend a ten foot stick at 13, 13, 13 and 9 inches',
		'a telescopic pole 4 to 8 ft at 7 ft',
		'glue it',
		'on a 14 inch plate'
	],
	shown: true,
	read: frameLine,
	readAnywhere: () => undefined,
	home: (sections, _said, place) => inHand(sections, place, 'frame'),
	take: {
		frame: ({ structure }, { said }) => said.forEach((one) => set(structure, one))
	}
};
