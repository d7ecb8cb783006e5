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

export const print: PrintFacet<Extras> = {
	lines: () => [],
	said: ({ lines }, _heading, { materialOf }) => lines.map((l) => printLine(l, nameIn(materialOf))),
	part: () => undefined
};
