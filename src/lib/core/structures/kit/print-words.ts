import { GONE, slotName } from '../../document/names.ts';
import type { Place, OwnBalloon } from '../../document/cluster.ts';
import type { PieceThing } from '../applied/document.ts';
import type { BunchThing } from '../bunch/document.ts';
import { formatInches, type Micrometres } from '../../units/length.ts';
import type { MaterialOf } from '../facets/print.ts';
import type { Slot } from '../../document/slot.ts';
import { printBalloon, printFill } from './print-balloon.ts';

/** The name of a material; of one that is gone too. */
export const nameIn =
	(materialOf: MaterialOf) =>
	(id: string): string =>
		materialOf(id)?.name ?? GONE.material;

export const printOwn = (balloon: OwnBalloon, slots: readonly Slot[]): string =>
	`${printBalloon(balloon)} ${slotName(balloon.slot, slots)}${printFill(balloon, slots)}`;

/** Feet where they come out whole or in halves, else inches: as they are typed. */
export function printLong(length: Micrometres): string {
	const feet = length / 304_800;
	return Number.isInteger(feet * 2)
		? `${Math.floor(feet) || ''}${feet % 1 ? '½' : ''} ft`
		: `${formatInches(length)} in`;
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
