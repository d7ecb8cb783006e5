import type { Form, FormPiece, Take } from './document.ts';
import { lengthsText, slotsOf, turnsOf } from './count.ts';
import type { PrintContext, PrintFacet } from '../facets/print.ts';
import { countedPart } from '../kit/print-lines.ts';
import { printSize } from '../../sizing/size.ts';
import { slotName } from '../../document/names.ts';
import { formatInches, um } from '../../units/length.ts';

const takeWords = (take: Take): string =>
	({ whole: '', part: 'part used', trimmed: 'trimmed', scrap: 'scrap', cut: take.kind === 'cut' ? `cut in ${take.pieces}` : '' })[take.kind]; // prettier-ignore

/** A piece of a form as the entry line would be given it. */
function printFormPiece(piece: FormPiece, { slots, hostName }: PrintContext): string {
	const {
		count,
		model,
		bubbles,
		size,
		take,
		shaping,
		angle,
		grows,
		strands,
		softened,
		neckOff,
		name,
		at,
		to,
		fits
	} = piece;
	return [
		`${count} ${model}`,
		size.kind === 'unknown' ? '' : `at ${printSize(size)}`,
		slotsOf(piece)
			.map((id) => slotName(id, slots))
			.join(' / '),
		lengthsText(piece),
		bubbles.length === 0 && !fits && take.kind !== 'scrap' ? 'tie' : '',
		takeWords(take),
		shaping === 'plain'
			? ''
			: shaping === 'bent'
				? `bent ${angle}`
				: shaping === 'twined'
					? `twined ${turnsOf(piece)}`
					: shaping,
		grows === 0 ? '' : `growing ${formatInches(um(grows))}`,
		strands > 1 ? `${strands} together` : '',
		softened ? 'softened' : '',
		neckOff ? 'neck cut' : '',
		name.toLowerCase() === slotName(piece.slot, slots).toLowerCase() ? '' : `as ${name}`,
		at === null ? '' : `on ${hostName(at)}`,
		to ? `to ${hostName(to)}` : ''
	]
		.filter(Boolean)
		.join(' ');
}

export const print: PrintFacet<Form> = {
	lines: ({ pieces }, context) =>
		pieces.map((p) => ({ id: p.id, about: 'row', text: printFormPiece(p, context), slot: p.slot })),
	said: ({ pieces }, { text }, context) => [text, ...pieces.map((p) => printFormPiece(p, context))],
	part: ({ pieces }, id, section) => countedPart(pieces, id, section)
};
