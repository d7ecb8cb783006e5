import type { Form, FormPiece } from './document.ts';
import type { PrintContext, PrintFacet } from '../facets/print.ts';
import { countedPart } from '../kit/print-lines.ts';
import { printSize } from '../../sizing/size.ts';
import { slotName } from '../../document/names.ts';
import { formatInches, um } from '../../units/length.ts';

/** A piece of a form as the entry line would be given it. */
function printFormPiece(piece: FormPiece, { slots, hostName }: PrintContext): string {
	const {
		count,
		model,
		slot,
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
		at
	} = piece;
	return [
		`${count} ${model}`,
		size.kind === 'unknown' ? '' : `at ${printSize(size)}`,
		slotName(slot, slots),
		bubbles.map((b) => formatInches(b)).join(' + '),
		bubbles.length === 0 && take.kind !== 'scrap' ? 'tie' : '',
		take.kind === 'part'
			? 'part used'
			: take.kind === 'cut'
				? `cut in ${take.pieces}`
				: take.kind === 'scrap'
					? 'scrap'
					: '',
		shaping === 'plain' ? '' : shaping === 'bent' ? `bent ${angle}` : shaping,
		grows === 0 ? '' : `growing ${formatInches(um(grows))}`,
		strands > 1 ? `${strands} together` : '',
		softened ? 'softened' : '',
		neckOff ? 'neck cut' : '',
		name.toLowerCase() === slotName(slot, slots).toLowerCase() ? '' : `as ${name}`,
		at === null ? '' : `on ${hostName(at)}`
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
