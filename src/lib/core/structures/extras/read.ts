import { got, refuse, type Parsed } from '../../errors.ts';
import { rationalText, type Rational } from '../../units/rational.ts';
import type { LineRole } from '../../document/line-role.ts';
import type { ExtrasSaid } from './said.ts';
import { KEYWORDS } from '../../language/context.ts';
import { type SaidLine } from './said.ts';
import { findMaterial } from '../../language/names/find-material.ts';
import type { Id } from '../../document/id.ts';
import type { Reader } from '../../language/reader.ts';
import { servingOf } from '../../language/serving.ts';

/** Words that end the name of a material in a line. */
const AFTER = [
	'or',
	'optional',
	'taken',
	'reused',
	'left',
	'swappable',
	'for',
	'measured',
	'serving',
	'from'
];

/**
 * `2 moss mat`; `2 to 4 reeds`; `1 sandbag or 4 stakes`; and how it is meant at its end: optional, taken along,
 * reused, left over, swappable. Undefined where it does not begin like a line.
 */
export function lines(r: Reader): Parsed<ExtrasSaid> | undefined {
	const from = r.at;
	const first = oneLine(r);
	if (first === undefined) {
		r.at = from;
		return undefined;
	}
	if (!first.ok) return first;
	const said: SaidLine[] = [first.value];
	while (r.word('or')) {
		const next = oneLine(r);
		if (next === undefined) return refuse('missing', 'Or what? Type it like “1 sandbag or 4 stakes”.');
		if (!next.ok) return next;
		said.push(next.value);
	}
	let role: LineRole = 'always';
	let swappable = false;
	let onSpot: true | undefined;
	let serves: readonly Id[] | undefined;
	for (;;) {
		const served = servingOf(r);
		if (served && !served.ok) return served;
		if (served) {
			serves = served.value;
			continue;
		}
		if (r.word('optional')) role = 'optional';
		else if (r.word('reused')) role = 'reused';
		else if (r.phrase('taken along')) role = 'taken along';
		else if (r.phrase('left over')) role = 'by-product';
		else if (r.phrase('from leftovers')) role = 'from leftovers';
		else if (r.phrase('measured on the spot')) onSpot = true;
		else if (r.word('swappable')) swappable = true;
		else break;
	}
	const foil = said.find((l) => l.foil);
	if (foil && role !== 'taken along' && role !== 'by-product')
		return refuse(
			'refused',
			`${foil.name} is inflated and fixed, a line is only bought: type “put ${foil.quantity} ${foil.name} on row 1 front”, or say it in a bunch.`
		);
	return got({
		kind: 'lines',
		lines: said.map((l) => ({ ...l, onSpot, ...(serves && { serves }) })),
		role,
		swappable
	});
}

function oneLine(r: Reader): Parsed<SaidLine> | undefined {
	const first = r.number();
	if (!first) return undefined;
	const second = r.word('to') ? r.number() : undefined;
	const words: string[] = [];
	while (
		r.now?.kind === 'word' &&
		(!KEYWORDS.has(r.now.text) || words.length === 0) &&
		!AFTER.includes(r.now.text)
	) {
		if (KEYWORDS.has(r.now.text)) return undefined;
		words.push(r.all[r.at++]!.text);
	}
	if (words.length === 0 || (r.now !== undefined && !isAfter(r))) return undefined;
	const found = findMaterial(
		words,
		r.context.materials,
		'After the count comes the size on the bag, like “4 11 at 9 white”. '
	);
	if (!found.ok) return found;
	const most = second ?? first;
	if (first.compare(0) <= 0 || most.compare(10_000) > 0 || most.compare(first) < 0)
		return refuse('too-big', 'An extra comes between 1 and 10,000 times, the smaller number first.');
	const middle = second ? first.add(second).div(2) : first;
	return got({
		material: found.value.id,
		name: found.value.name,
		foil: found.value.kind.startsWith('foil'),
		quantity: rationalText(middle),
		range: second ? range(first, second) : null
	});
}

const isAfter = ({ now }: Reader) => now?.kind === 'word' && AFTER.includes(now.text);
const range = (low: Rational, high: Rational) => ({ low: rationalText(low), high: rationalText(high) });
