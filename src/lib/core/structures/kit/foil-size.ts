import { type Material, USUAL_FLAT } from '../../materials/material.ts';
import type { Finding } from '../../checks/finding.ts';
import { formatInches } from '../../units/length.ts';

/** A foil without a size is taken for the commonest. */
export function foilSize({ name, nominal }: Material): Finding[] {
	if (nominal !== null) return [];
	return [
		{
			code: 'foil-size',
			level: 'watch',
			say: `${name}: its size is not in the Stockroom, so it is taken for ${formatInches(USUAL_FLAT)} in. Fill it in there, and say the piece again.`,
			why: 'Its gas, its filling and its picture hang on it.'
		}
	];
}
