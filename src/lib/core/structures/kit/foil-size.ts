import { type Material, USUAL_FLAT } from '../../materials/material.ts';
import type { Finding } from '../../checks/finding.ts';
import { BEAUFORT, G, HALF_DENSITY, PANEL_DRAG } from '../../stability/wind.ts';
import { weightWords, windWords } from '../../stability/standing-words.ts';
import { formatInches, inches, type Micrometres } from '../../units/length.ts';
import { FOIL_RADIUS } from './seats.ts';

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

/** From this flat width on a foil is spoken of as a sail. House rule. */
const GIANT = inches(40);
/** A fresh breeze begins here, m/s. Source: the Beaufort scale. */
const FRESH = BEAUFORT[4];

/** How hard a fresh breeze pulls at a foil that stands across it, N. @param flat its width before it is filled */
export const sailPull = (flat: Micrometres): number => {
	const across = (flat / 1_000_000) * FOIL_RADIUS;
	return HALF_DENSITY * FRESH * FRESH * PANEL_DRAG * (Math.PI / 4) * across * across;
};

/** A giant foil is a sail. */
export function foilSail(name: string, flat: Micrometres): Finding[] {
	if (flat < GIANT) return [];
	const [pull, wind] = [weightWords(sailPull(flat) / G), windWords(FRESH)];
	return [
		{
			code: 'foil-sail',
			level: 'watch',
			say: `${name}: ${formatInches(flat)} in of foil are a sail. Outdoors a breeze of ${wind} pulls at it with ${pull}: tie it at two points to something that holds that several times over, or keep it indoors.`,
			why: 'Gusts pull far harder than the mean wind, and a foil that gets away ends in a power line.'
		}
	];
}
