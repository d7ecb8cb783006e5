import { FILLINGS } from '../document/inside.ts';
import { got, refuse, type Parsed } from '../errors.ts';
import type { ColourRef, OwnSaid, SaidFill } from './said.ts';
import { nameColour } from './names/name-colour.ts';
import { balloonOf } from './balloon.ts';
import type { Reader } from './reader.ts';

/** `filled with water`; `filled with 5 at 4 gold`; `painted`. Nothing where neither is said. */
export function fillOf(r: Reader): Parsed<SaidFill> {
	let said: SaidFill = {};
	for (;;) {
		if (r.word('painted')) said = { ...said, painted: true };
		else if (r.word('filled')) {
			if (said.inside)
				return refuse(
					'refused',
					'A balloon is filled with one thing: take one “filled with …” out. What has a balloon in it that is filled too is said as two pieces.'
				);
			r.word('with');
			const of = FILLINGS.find((f) => r.word(f));
			if (of) said = { ...said, inside: { of } };
			else if (r.now?.kind === 'number') {
				const balloon = balloonOf(r);
				if (!balloon.ok) return balloon;
				const colour = nameColour(r.words('in', 'on', 'as'), r.context);
				if (!colour.ok) return colour;
				said = { ...said, inside: { balloon: balloon.value, colour: colour.value } };
			} else
				return refuse(
					'missing',
					`Filled with what? Type ${FILLINGS.join(', ')}, or a balloon like “filled with 5 at 4 gold”.`
				);
		} else return got(said);
	}
}

/** The words of a colour up to one of these, and the slot or colour they mean. */
export function saidColour(
	r: Reader,
	until: readonly string[]
): Parsed<{ readonly words: readonly string[]; readonly colour: ColourRef }> {
	const words = r.words(...until);
	if (words.length === 0)
		return refuse('missing', 'In which colour? Name a colour of the design or of the Stockroom.');
	const colour = nameColour(words, r.context);
	return colour.ok ? got({ words, colour: colour.value }) : colour;
}

/** `11 at 9 white filled with water`: a balloon with a colour of its own, called by that colour. */
export function saidBalloon(r: Reader, until: readonly string[]): Parsed<{ name: string; what: OwnSaid }> {
	const balloon = balloonOf(r);
	if (!balloon.ok) return balloon;
	const colour = saidColour(r, until);
	if (!colour.ok) return colour;
	const fill = fillOf(r);
	if (!fill.ok) return fill;
	const what = {
		kind: 'balloon' as const,
		balloon: balloon.value,
		colour: colour.value.colour,
		...fill.value
	};
	return got({ name: colour.value.words.join(' '), what });
}
