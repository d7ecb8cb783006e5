import { formatFeet, formatInches, toMillimetres } from '../units/length.ts';
import { rational } from '../units/rational.ts';
import type { BunchThing } from '../structures/bunch/document.ts';
import type { ExtraLine } from '../structures/extras/document.ts';
import type { PieceThing } from '../structures/applied/document.ts';
import type { Place } from '../document/cluster.ts';
import type { Recipe, Section } from '../recipe/recipe.ts';
import type { Stack } from '../structures/stack/document.ts';
import type { Standing } from '../document/stand.ts';
import { printLong } from './print-parts.ts';

const PLACED: Readonly<Record<Standing, string>> = {
	'on top': 'on',
	left: 'left of',
	right: 'right of',
	front: 'front of',
	back: 'back of',
	round: 'round'
};

/** `arm x2 mirrored left of body at 4 ft`: the name of a section, how many there are and where they stand. */
export function printSection(section: Section, { sections }: Recipe, nameOf: (id: string) => string): string {
	const { name, times, mirror, stand, swappable, difficulty, notes } = section;
	const host = sections.find((s) => s.id === stand.by);
	const row =
		host?.structure.kind === 'stack' ? host.structure.layers.findIndex((l) => l.id === stand.layer) : -1;
	return [
		`${name}${times > 1 ? ` ×${times}` : ''}`,
		mirror ? 'mirrored' : '',
		host ? `${PLACED[stand.how]} ${host.name}` : '',
		stand.layer === null ? '' : row < 0 ? 'at a row that is gone' : `at row ${row + 1}`,
		stand.height === null ? '' : `at ${formatFeet(toMillimetres(stand.height))}`,
		stand.gap === 0 ? '' : `gap ${printLong(stand.gap)}`,
		stand.tie === null ? '' : `tied with ${nameOf(stand.tie)}`,
		swappable ? 'swappable' : '',
		rational(difficulty).equals(1) ? '' : `difficulty ${difficulty}`,
		notes === '' ? '' : `notes: ${notes}`
	]
		.filter(Boolean)
		.join(' ');
}

/** What a stack stands on and is held up by, a line each; what is as it usually is says nothing. */
export function printStack(stack: Stack, nameOf: (id: string) => string): string[] {
	const { upright, onFloor, joining, squash } = stack;
	const held = upright.material === null ? '' : `, ${nameOf(upright.material)}`;
	const length = upright.length === null ? '' : ` ${formatFeet(toMillimetres(upright.length))}`;
	return [
		upright.kind === 'none'
			? ''
			: `${upright.kind}${length}${held}, tied ${formatInches(upright.tie)} in over the top`,
		onFloor ? '' : 'stands on a table, board or box',
		joining === 'twisted on' ? '' : `joined ${joining}`,
		squash === 0.8 ? '' : `rises by ${squash}`
	].filter(Boolean);
}

/** ` (place 2 looks front, place 3 is printed eye)`: what a row says of places by themselves; nothing where it says nothing. */
export function printPlaces(places: readonly Place[], nameOf: (id: string) => string): string {
	const said = places.flatMap(({ side, material }, i) => [
		...(side ? [`place ${i + 1} looks ${side}`] : []),
		...(material ? [`place ${i + 1} is ${nameOf(material)}`] : [])
	]);
	return said.length > 0 ? ` (${said.join(', ')})` : '';
}

/** ` (18 in flat, 2 chambers)`: what a foil is besides its name. */
export function printFoil(what: PieceThing | BunchThing): string {
	if (what.kind !== 'material') return '';
	const said = [
		what.flat === null ? '' : `${formatInches(what.flat)} in flat`,
		'chambers' in what && what.chambers > 1 ? `${what.chambers} chambers` : ''
	].filter(Boolean);
	return said.length > 0 ? ` (${said.join(', ')})` : '';
}

/** `2 to 4 × stake optional`: a line with all that is said of it. */
export function printLine(line: ExtraLine, nameOf: (id: string) => string): string {
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
