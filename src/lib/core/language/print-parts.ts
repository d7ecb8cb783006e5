import type { Material } from '../materials/material.ts';
import { formatFeet, formatInches, toMillimetres, um, type Micrometres } from '../units/length.ts';
import { printSize } from '../sizing/size.ts';
import type { BunchItem, BunchWeight } from '../structures/bunch/document.ts';
import type { FormPiece } from '../structures/form/document.ts';
import type { Host } from '../document/host.ts';
import type { OwnBalloon } from '../document/cluster.ts';
import type { Recipe } from '../recipe/recipe.ts';
import type { Slot } from '../document/slot.ts';
import { findHost } from '../recipe/find-host.ts';
import { printBalloon, printFill } from './print-entry.ts';

/** Finds a material of the Stockroom by its id. */
export type MaterialOf = (id: string) => Pick<Material, 'name'> | undefined;

export const slotName = (id: string, slots: readonly Slot[]): string =>
	slots.find((s) => s.id === id)?.name ?? 'no slot';

export const printOwn = (balloon: OwnBalloon, slots: readonly Slot[]): string =>
	`${printBalloon(balloon)} ${slotName(balloon.slot, slots)}${printFill(balloon, slots)}`;

/** Feet where they come out whole or in halves, else inches: as they are typed. */
export function printLong(length: Micrometres): string {
	const feet = length / 304_800;
	return Number.isInteger(feet * 2)
		? `${Math.floor(feet) || ''}${feet % 1 ? '½' : ''} ft`
		: `${formatInches(length)} in`;
}

/** An item of a bunch as the entry line would be given it: parsing it back gives the same item. */
export function printItem(item: BunchItem, slots: readonly Slot[], materialOf: MaterialOf): string {
	const { what, count, gas, ribbon, name, swappable } = item;
	const nameOf = (id: string | null, none: string) =>
		id === null ? none : (materialOf(id)?.name ?? 'not in the Stockroom');
	const thing =
		what.kind === 'balloon'
			? `${count} × ${printOwn(what.balloon, slots)}`
			: what.kind === 'letters'
				? `${count > 1 ? `${count} ` : ''}letters ${what.text} at ${formatInches(what.height)} of ${slotName(what.slot, slots)}`
				: `${count} × ${plain(nameOf(what.material, 'not chosen yet'))}`;
	const usual =
		what.kind === 'balloon'
			? slotName(what.balloon.slot, slots)
			: what.kind === 'letters'
				? what.text.toLowerCase()
				: nameOf(what.material, '');
	return [
		thing,
		what.kind !== 'balloon' && what.look === 'firm' ? 'firm' : '',
		gas === 'helium' ? 'in helium' : '',
		ribbon
			? `on ${ribbon.length === null ? '' : `${printLong(ribbon.length)} `}${ribbon.material === null ? (ribbon.length === null ? 'ribbon' : '') : plain(nameOf(ribbon.material, ''))}`.trimEnd()
			: '',
		name.toLowerCase() === usual.toLowerCase() ? '' : `as ${name}`,
		swappable ? 'swappable' : ''
	]
		.filter(Boolean)
		.join(' ');
}

/** A name without the marks that the entry line reads as its own. */
const plain = (name: string): string => name.replace(/,/g, '');

export function printWeight(weight: BunchWeight, slots: readonly Slot[], materialOf: MaterialOf): string {
	if (weight.kind === 'balloon') return `weight ${printOwn(weight.balloon, slots)}`;
	const name =
		weight.material === null
			? 'not chosen yet'
			: (materialOf(weight.material)?.name ?? 'not in the Stockroom');
	return `weight ${weight.count > 1 ? `${weight.count} ` : ''}${plain(name)}`;
}

/** A piece of a form as the entry line would be given it. */
export function printFormPiece(piece: FormPiece, slots: readonly Slot[], recipe: Recipe): string {
	const {
		count,
		model,
		slot,
		bubbles,
		size,
		take,
		shaping,
		angle,
		grows,
		strands,
		softened,
		neckOff,
		name,
		at
	} = piece;
	return [
		`${count} ${model}`,
		size.kind === 'unknown' ? '' : `at ${printSize(size)}`,
		slotName(slot, slots),
		bubbles.map((b) => formatInches(b)).join(' + '),
		bubbles.length === 0 && take.kind !== 'scrap' ? 'tie' : '',
		take.kind === 'part'
			? 'part used'
			: take.kind === 'cut'
				? `cut in ${take.pieces}`
				: take.kind === 'scrap'
					? 'scrap'
					: '',
		shaping === 'plain' ? '' : shaping === 'bent' ? `bent ${angle}` : shaping,
		grows === 0 ? '' : `growing ${formatInches(um(grows))}`,
		strands > 1 ? `${strands} together` : '',
		softened ? 'softened' : '',
		neckOff ? 'neck cut' : '',
		name.toLowerCase() === slotName(slot, slots).toLowerCase() ? '' : `as ${name}`,
		at === null ? '' : `on ${printHost(at, recipe)}`
	]
		.filter(Boolean)
		.join(' ');
}

/** `column row 3 round`, `bell`, `wall at 5′ 0″`: what a piece is on, by names. */
export function printHost(host: Host, recipe: Recipe): string {
	const found = findHost(host, recipe);
	switch (found.kind) {
		case 'row':
			return `${found.section} row ${found.row} ${found.side === 'all' ? 'round' : found.side}`;
		case 'place':
			return `${found.section} row ${found.row} place ${found.place}`;
		case 'part':
			return found.name;
		case 'path':
			return `at ${printLong(found.at)}`;
		case 'wall':
			return `wall at ${formatFeet(toMillimetres(found.height))}`;
		case 'gone':
			return 'what is gone';
	}
}
