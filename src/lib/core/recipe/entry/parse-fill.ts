import { FILLINGS } from '../inside.ts';
import { got, refuse, type Parsed } from '../../errors.ts';
import type { SaidFill } from './entry.ts';
import { nameColour } from './name-colour.ts';
import { balloonOf } from './parse-balloon.ts';
import type { Reader } from './reader.ts';

/** `filled with water`; `filled with 5 at 4 gold`; `painted`. Nothing where neither is said. */
export function fillOf(r: Reader): Parsed<SaidFill> {
	let said: SaidFill = {};
	for (;;) {
		if (r.word('painted')) said = { ...said, painted: true };
		else if (r.word('filled')) {
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
