import { GONE } from '../document/names.ts';
import type { Host, Way } from '../document/host.ts';
import type { Recipe } from '../recipe/recipe.ts';
import { findHost } from '../recipe/find-host.ts';
import { printLong } from '../structures/kit/print-words.ts';
import { formatFeet, formatInches, toMillimetres } from '../units/length.ts';

const toward = (way: Way | undefined): string => (way === undefined ? '' : ` ${way}`);

/** `column row 3 round`, `bell`, `wall at 5′ 0″`: what a piece is on, by names. */
export function printHost(host: Host, recipe: Pick<Recipe, 'sections'>): string {
	const found = findHost(host, recipe);
	switch (found.kind) {
		case 'row':
			return `${found.section} row ${found.row} ${found.side === 'all' ? 'round' : found.side}`;
		case 'place':
			return `${found.section} row ${found.row} place ${found.place}${toward(found.way)}`;
		case 'part':
			return `${found.name}${toward(found.way)}${found.along === undefined ? '' : ` at ${formatInches(found.along)} in`}`;
		case 'path':
			return `at ${printLong(found.at)}`;
		case 'wall':
			return `wall at ${formatFeet(toMillimetres(found.height))}`;
		case 'gone':
			return GONE.part;
	}
}
