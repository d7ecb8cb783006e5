import type { LineRole } from '../../document/line-role.ts';
import type { Extras, ExtraLine } from './document.ts';
import type { PrintFacet } from '../facets/print.ts';
import { nameIn } from '../kit/print-words.ts';

/** `2 to 4 × stake optional`: a line with all that is said of it. */
function printLine(line: ExtraLine, nameOf: (id: string) => string): string {
	const { range, quantity, role, taken, choice, serves, onSpot, swappable, material } = line;
	return [
		`${range ? `${range.low} to ${range.high}` : quantity} × ${nameOf(material)}`,
		role === 'always' ? '' : ` ${role}`,
		taken ? '' : ', not taken',
		choice ? `, a way of ${choice.group}${choice.when && ` ${choice.when}`}` : '',
		serves.length > 0 ? `, serves ${serves.length}` : '',
		onSpot ? ', measured on the spot' : '',
		swappable ? ', swappable' : ''
	].join('');
}

const MEANT: Readonly<Record<LineRole, string>> = {
	always: '',
	optional: ' optional',
	'taken along': ' taken along',
	reused: ' reused',
	'by-product': ' left over'
};
/** `2 to 4 stake optional`: a line as it is typed. */
function typedLine(
	{ range, quantity, role, onSpot, swappable, material }: ExtraLine,
	nameOf: (id: string) => string
) {
	const count = range ? `${range.low} to ${range.high}` : quantity;
	return `${count} ${nameOf(material)}${MEANT[role]}${onSpot ? ' measured on the spot' : ''}${swappable ? ' swappable' : ''}`;
}

export const print: PrintFacet<Extras> = {
	lines: ({ lines }, { materialOf }) =>
		lines.map((l) => ({ id: l.id, about: 'row', text: typedLine(l, nameIn(materialOf)), slot: null })),
	said: ({ lines }, _heading, { materialOf }) => lines.map((l) => printLine(l, nameIn(materialOf))),
	part: () => undefined
};
