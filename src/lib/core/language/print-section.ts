import { GONE } from '../document/names.ts';
import { printHost } from './print-host.ts';
import { formatFeet, toMillimetres } from '../units/length.ts';
import { rational } from '../units/rational.ts';
import type { Recipe, Section } from '../recipe/recipe.ts';
import { rowOf } from '../recipe/find-host.ts';
import type { Stand, Standing } from '../document/stand.ts';
import { printLong } from '../structures/kit/print-words.ts';

const PLACED: Readonly<Record<Standing, string>> = {
	'on top': 'on',
	left: 'left of',
	right: 'right of',
	front: 'front of',
	back: 'back of',
	round: 'round',
	over: 'over'
};

/** Where it stands by another: on a part of it, on top of it, beside it. */
function placed({ at, how }: Stand, host: string, sections: Recipe['sections']): string {
	if (at === undefined) return `${PLACED[how]} ${host}`;
	return `on ${at.on === 'path' || at.on === 'spot' ? `${host} ` : ''}${printHost(at, { sections })}`;
}

/** ` down to row 2`: how far down a tie goes. */
function tiedDown({ down }: Stand, host: Section | undefined): string {
	if (down === undefined) return '';
	const row = host && rowOf(host.structure, down);
	return ` down to ${row === undefined ? GONE.row : `row ${row}`}`;
}

/** `arm x2 mirrored left of body at 4 ft`: the name of a section, how many there are and where they stand. */
export function printSection(section: Section, { sections }: Recipe, nameOf: (id: string) => string): string {
	const { name, times, mirror, stand, swappable, difficulty, notes } = section;
	const host = sections.find((s) => s.id === stand.by);
	const row = host && stand.layer !== null ? rowOf(host.structure, stand.layer) : undefined;
	return [
		`${name}${times > 1 ? ` ×${times}` : ''}`,
		mirror ? 'mirrored' : '',
		host ? placed(stand, host.name, sections) : '',
		stand.layer === null ? '' : row === undefined ? `at ${GONE.row}` : `at row ${row}`,
		stand.height === null ? '' : `at ${formatFeet(toMillimetres(stand.height))}`,
		stand.gap === 0 ? '' : `gap ${printLong(stand.gap)}`,
		stand.tie === null ? '' : `tied with ${nameOf(stand.tie)}${tiedDown(stand, host)}`,
		swappable ? 'swappable' : '',
		rational(difficulty).equals(1) ? '' : `difficulty ${difficulty}`,
		notes === '' ? '' : `notes: ${notes}`
	]
		.filter(Boolean)
		.join(' ');
}
