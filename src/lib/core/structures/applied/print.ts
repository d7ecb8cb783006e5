import { manyWords } from '../../document/count-range.ts';
import type { PrintContext, PrintFacet } from '../facets/print.ts';
import { nameIn, printFoil, printOwn, printPlaces } from '../kit/print-words.ts';
import { countOfPiece, fixingsOf, rangeOfPiece } from './count.ts';
import type { Applied, AppliedPiece } from './document.ts';

/** How many of a piece there are on all its hosts. */
export const allWords = (piece: Pick<AppliedPiece, 'on'>): string =>
	manyWords({ count: countOfPiece(piece), range: rangeOfPiece(piece) });

/** `glue`, `½ strip`, `trial loop then glue`: how a piece is fixed, and how much one takes. */
export const fixedWords = ({ each, ...piece }: Pick<AppliedPiece, 'each' | 'fixing' | 'then'>): string =>
	`${each === '1' ? '' : `${each} `}${fixingsOf(piece).join(' then ')}`;

/** `put 5 at 4 white as eyes, 2 on body row 3 front with strip`: a piece with all that is said of it. */
function printPiece(piece: AppliedPiece, { slots, materialOf, hostName }: PrintContext): string {
	const { name, what, on, swappable } = piece;
	const nameOf = nameIn(materialOf);
	const thing =
		what.kind === 'balloon'
			? `${printOwn(what.balloon, slots)}${printPlaces([what.balloon], nameOf)}`
			: what.material === null
				? 'not chosen yet'
				: `${nameOf(what.material)}${printFoil(what)}`;
	const hosts = on.map((o) => `${manyWords(o)} on ${hostName(o.host)}`).join(', ');
	return `put ${thing} as ${name}, ${hosts} with ${fixedWords(piece)}${swappable ? ', swappable' : ''}`;
}

/** `put 2 5 at 4 white as eyes on row 3 front, 1 on row 2 front with glue`: a piece as it is typed. */
function typedPiece(piece: AppliedPiece, { slots, materialOf, hostName }: PrintContext): string {
	const { name, what, on } = piece;
	const thing =
		what.kind === 'balloon'
			? printOwn(what.balloon, slots)
			: what.material === null
				? ''
				: nameIn(materialOf)(what.material);
	const [first, ...others] = on.map((o) => ({ count: manyWords(o), host: hostName(o.host) }));
	const also = others.map((o) => `, ${o.count} on ${o.host}`).join('');
	return `put ${first!.count} ${thing} as ${name} on ${first!.host}${also} with ${fixedWords(piece)}`;
}

export const print: PrintFacet<Applied> = {
	lines: ({ pieces }, context) =>
		pieces.map((p) => ({ id: p.id, about: 'row', text: typedPiece(p, context), slot: null })),
	said: ({ pieces }, _heading, context) => pieces.map((p) => printPiece(p, context)),
	part({ pieces }, id) {
		const piece = pieces.find((p) => p.id === id);
		return piece && `${allWords(piece)} × ${piece.name}, ${fixedWords(piece)}`;
	}
};
