import type { MaterialKind } from '../materials/material.ts';
import { slotsOfCluster } from '../recipe/links.ts';
import type { Colourway } from '../document/slot.ts';
import type { Fixing } from '../structures/applied/document.ts';
import type { Host, Way } from '../document/host.ts';
import type { Joining } from '../document/cluster.ts';
import type { Layer } from '../structures/stack/document.ts';
import type { Recipe } from '../recipe/recipe.ts';
import { findHost, type FoundHost } from '../recipe/find-host.ts';
import { formatFeet, formatInches, toMillimetres } from '../units/length.ts';

export const SIZE_CHECK = {
	hole: 'each one passes the hole without a push and does not fall through',
	strokes: 'the same strokes for each; hold it against the first one',
	eye: 'hold each against the first one: the eye is good to about ½ in'
} as const;
export const SIZE_TOOL = { hole: 'sizer', strokes: 'hand pump', eye: 'inflator' } as const;

/** Common practice: a balloon is softer and rounder when it is sized down. */
export const SIZE_METHOD = 'a little over, pressed round, then let out until it just passes';
export const HELIUM_TOOL = 'helium cylinder, upright and strapped';

export const JOINED: Readonly<Record<Joining, string>> = {
	'twisted on': 'twisted on',
	line: 'tied with line in a figure-eight',
	necks: 'tied with the necks of the layer below',
	'modelling balloon': 'tied with an uninflated modelling balloon',
	'cluster to cluster': 'tied cluster to cluster'
};
export const FIXING_TOOL: Readonly<Partial<Record<Fixing, string>>> = { glue: 'low-temperature glue gun' };
export const FOIL_TOOL = 'hand pump or cool inflator: warm air melts self-sealing valves';
/** Seconds, from memory: glue holds after a minute. */
export const FIXING_WAIT: Readonly<Partial<Record<Fixing, number>>> = { glue: 60 };
/** Seconds, from memory: an hour until paint may be touched; the tin says better. */
export const PAINT_WAIT = 3600;
/** What is put in place where it stands. */
export const ON_SITE: ReadonlySet<MaterialKind> = new Set<MaterialKind>(['weight', 'base', 'packaging']);

/** Where on a ball, for hands. */
const wayWords = (way: Way | undefined): string =>
	way === undefined ? '' : `, ${{ up: 'on top of it', down: 'under it', front: 'in front', back: 'at the back', left: 'on its left', right: 'on its right' }[way as 'up'] ?? `${way.replace('up', 'high').replace('down', 'low')} on its front`}`; // prettier-ignore

/** `on row 3, front`, `between rows 3 and 4, front`, `in the middle of row 3`. */
function rowWords({ row, side, in: where }: Extract<FoundHost, { kind: 'row' }>): string {
	if (where === 'middle') return `in the middle of row ${row}`;
	const on = side === 'all' ? 'evenly round' : side;
	return where === 'between' ? `between rows ${row} and ${row + 1}, ${on}` : `on row ${row}, ${on}`;
}

/** Where a piece is fixed, in words. */
export function hostOf(host: Host, recipe: Recipe): string {
	const found = findHost(host, recipe);
	switch (found.kind) {
		case 'row':
			return rowWords(found);
		case 'place':
			return `on one balloon${wayWords(found.way)}`;
		case 'part':
			return `on the ${found.name}${wayWords(found.way)}${found.along === undefined ? '' : `, ${formatInches(found.along)} in from where that is fixed`}`;
		case 'path':
			return `${formatFeet(toMillimetres(found.at))} along it`;
		case 'spot':
			return `at its ${found.spot}`;
		case 'wall':
			return `on the wall at ${formatFeet(toMillimetres(found.height))}`;
		case 'gone':
			return `on a ${found.what} that is gone`;
	}
}

/** Colours of a row in a colourway, each once. */
export const coloursOf = ({ clusters }: Layer, colourway: Colourway | undefined): string[] => [
	...new Set(clusters.flatMap(slotsOfCluster).flatMap((slot) => colourway?.fills[slot] ?? []))
];
