import type { Mutable } from '../../document/mutable.ts';
import { inHand, type LanguageFacet } from '../facets/language.ts';
import { put } from '../kit/put.ts';
import type { Form, FormPiece } from './document.ts';
import { emptyForm } from './empty.ts';
import { formPiece } from './read.ts';
import type { FormSaid } from './said.ts';

export const language: LanguageFacet<Form, FormSaid> = {
	starts: { word: 'form', empty: emptyForm },
	examples: ['6 260 black 24 wound', '6 260 black 7 + 6 as leg', '4 260 clear tie', '3 260 red 8, 10, 12'],
	phrases: [
		'six red 260s wound 24 inches as legs round row 1',
		'four gold 260s 10 inches bent 180 degrees',
		'tie it with an uninflated red 260',
		'wrap a red 260 twice around the column',
		'two red 260 arms either side of row 1',
		'three red 260s of 8, 10 and 12 inches',
		'a red 260 as a belt round row 1'
	],
	shown: true,
	read: formPiece,
	readAnywhere: () => undefined,
	home: (sections, _said, place) => inHand(sections, place, 'form'),
	partOf: ({ kind }) => (kind === 'form piece' ? 'row' : undefined),
	take: {
		'form piece': (section, { piece: { colour, more, ...said }, section: host }, { editing }, kit) => {
			const made: FormPiece = {
				...said,
				id: kit.newId(),
				slot: kit.slot(colour),
				...(more && { more: more.map((c) => kit.slot(c)) })
			};
			put(section.structure.pieces, made as Mutable<FormPiece>, editing);
			if (host !== null && section.stand.by === null) section.stand = { ...section.stand, by: host };
		}
	}
};
