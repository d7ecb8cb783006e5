import { colourDistance } from './colour-distance.ts';
import type { Colour, Material } from './material.ts';

/** How far two colours are apart, as people see it. CIEDE2000; where the words change is common practice. */
export function farWords(distance: number): string {
	if (distance < 1) return 'the same to the eye';
	if (distance < 2.5) return 'told apart side by side only';
	if (distance < 6) return 'near';
	return distance < 12 ? 'seen to be another' : 'another colour';
}
/** A stand-in further away than this is seen at a glance. Common practice. */
export const TOO_FAR = 6;

export interface NearMaterial {
	readonly material: Material;
	readonly colour: Colour;
	readonly distance: number;
}

/** An assorted bag that has a colour in it, and the share of it that is that. */
export interface AssortedWith {
	readonly material: Material;
	/** 0 to 1. */
	readonly share: number;
}

/** Assorted bags of its kind, size and finish that a balloon is in by its share, the largest share first. */
export function assortedWith(material: Material, materials: readonly Material[], colours: ReadonlyMap<string, Colour>): AssortedWith[] {
	const own = colours.get(material.colour ?? '');
	if (!own || own.of) return [];
	return materials
		.flatMap((other): AssortedWith[] => {
			const of = colours.get(other.colour ?? '')?.of;
			const fits = other.kind === material.kind && other.nominal === material.nominal && other.mark === material.mark && !other.retired;
			const parts = of?.find((p) => p.colour === own.id)?.parts;
			return fits && of && parts ? [{ material: other, share: parts / of.reduce((a, p) => a + p.parts, 0) }] : [];
		})
		.sort((a, b) => b.share - a.share);
} // prettier-ignore

/**
 * What could stand in for a balloon: of its kind and size and in its finish, the nearest colours first.
 * @returns at most so many; nothing where it has no colour of one kind
 */
export function nearTo(material: Material, materials: readonly Material[], colours: ReadonlyMap<string, Colour>, most = 6): NearMaterial[] {
	const own = colours.get(material.colour ?? '');
	if (!own || own.of) return [];
	return materials
		.flatMap((other): NearMaterial[] => {
			const colour = colours.get(other.colour ?? '');
			const fits = other.id !== material.id && other.kind === material.kind && other.nominal === material.nominal && other.mark === material.mark && !other.retired;
			if (!fits || !colour || colour.of || colour.finish !== own.finish) return [];
			return [{ material: other, colour, distance: colourDistance(own.hex, colour.hex) }];
		})
		.sort((a, b) => a.distance - b.distance)
		.slice(0, most);
} // prettier-ignore
