import { GONE } from '../document/names.ts';
import type { Host, Way } from '../document/host.ts';
import type { Recipe } from '../recipe/recipe.ts';
import { findHost, type FoundHost } from '../recipe/find-host.ts';
import { printLong } from '../structures/kit/print-words.ts';
import { formatFeet, formatInches, toMillimetres } from '../units/length.ts';

const toward = (way: Way | undefined): string => (way === undefined ? '' : ` ${way}`);

/** `row 3 round`, `between row 3 and row 4 front`, `row 3 middle`. */
function rowWords({ row, side, in: where }: Extract<FoundHost, { kind: 'row' }>): string {
	if (where === 'middle') return `row ${row} middle`;
	const on = side === 'all' ? 'round' : side;
	return where === 'between' ? `between row ${row} and row ${row + 1} ${on}` : `row ${row} ${on}`;
}

/** `column row 3 round`, `bell`, `wall at 5′ 0″`: what a piece is on, by names. */
export function printHost(host: Host, recipe: Pick<Recipe, 'sections'>): string {
	const found = findHost(host, recipe);
	switch (found.kind) {
		case 'row':
			return `${found.section} ${rowWords(found)}`;
		case 'place':
			return `${found.section} row ${found.row} place ${found.place}${toward(found.way)}`;
		case 'part':
			return `${found.name}${toward(found.way)}${found.along === undefined ? '' : ` at ${formatInches(found.along)} in`}`;
		case 'path':
			return `at ${printLong(found.at)}`;
		case 'spot':
			return found.spot;
		case 'wall':
			return `wall at ${formatFeet(toMillimetres(found.height))}`;
		case 'gone':
			return GONE.part;
	}
}
