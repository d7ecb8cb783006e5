import type { LineRole } from '../../document/line-role.ts';
import type { Extras, ExtraLine } from './document.ts';
import { GONE } from '../../document/names.ts';
import type { PrintContext, PrintFacet } from '../facets/print.ts';
import { nameIn } from '../kit/print-words.ts';

/** `2 to 4 × stake optional`: a line with all that is said of it. */
function printLine(line: ExtraLine, nameOf: (id: string) => string, served: string): string {
	const { range, quantity, role, taken, choice, onSpot, swappable, material } = line;
	return [
		`${range ? `${range.low} to ${range.high}` : quantity} × ${nameOf(material)}`,
		role === 'always' ? '' : ` ${role}`,
		taken ? '' : ', not taken',
		choice ? `, a way of ${choice.group}${choice.when && ` ${choice.when}`}` : '',
		served,
		onSpot ? ', measured on the spot' : '',
		swappable ? ', swappable' : ''
	].join('');
}

const MEANT: Readonly<Record<LineRole, string>> = {
	always: '',
	optional: ' optional',
	'taken along': ' taken along',
	reused: ' reused',
	'by-product': ' left over',
	'from leftovers': ' from leftovers'
};
/** `2 to 4 stake optional`: a line as it is typed. */
function typedLine(
	{ range, quantity, role, onSpot, swappable, material }: ExtraLine,
	nameOf: (id: string) => string,
	served: string
) {
	const count = range ? `${range.low} to ${range.high}` : quantity;
	return `${count} ${nameOf(material)}${MEANT[role]}${onSpot ? ' measured on the spot' : ''}${swappable ? ' swappable' : ''}${served}`;
}

/** ` serving column row 1, star`: what it holds or stands under, by names. */
const servedWords = ({ serves }: ExtraLine, partName: PrintContext['partName']): string =>
	serves.length === 0 ? '' : ` serving ${serves.map((id) => partName(id) ?? GONE.part).join(', ')}`;

export const print: PrintFacet<Extras> = {
	lines: ({ lines }, { materialOf, partName }) =>
		lines.map((l) => ({
			id: l.id,
			about: 'row',
			text: typedLine(l, nameIn(materialOf), servedWords(l, partName)),
			slot: null
		})),
	said: ({ lines }, _heading, { materialOf, partName }) =>
		lines.map((l) => printLine(l, nameIn(materialOf), servedWords(l, partName))),
	part: () => undefined
};
