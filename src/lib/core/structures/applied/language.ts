import type { Mutable } from '../../document/mutable.ts';
import type { LanguageFacet } from '../facets/language.ts';
import type { Applied, AppliedPiece } from './document.ts';
import { sectionFor } from './edit.ts';
import { piece } from './read.ts';
import type { AppliedSaid } from './said.ts';

export const language: LanguageFacet<Applied, AppliedSaid> = {
	starts: null,
	examples: ['put 2 5 at 4 white as eyes on row 1 front', 'put 3 5 at 3 gold as dots on wall at 5 ft'],
	phrases: [
		'glue two red 5s at 3 on the front of row 1 as eyes',
		'one gold 5 at 3 either side of row 1',
		'stick a star card on row 1 at the back'
	],
	shown: false,
	read: () => undefined,
	readAnywhere: piece,
	/** The pieces of one host are together. */
	home: (sections, { piece: { section: by } }) => sectionFor(sections, by),
	take: {
		piece({ structure }, { piece: { what, section: _section, ...said } }, _place, kit) {
			const made: AppliedPiece = {
				each: '1',
				...said,
				id: kit.newId(),
				swappable: false,
				what: what.kind === 'material' ? what : kit.own(what)
			};
			structure.pieces.push(made as Mutable<AppliedPiece>);
		}
	}
};
