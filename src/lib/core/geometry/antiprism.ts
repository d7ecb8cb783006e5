import { DomainError } from '../errors.ts';
import type { Millimetres } from '../units/length.ts';

/**
 * Distance between the centre planes of two equal rings, the upper turned by half a place.
 *
 * h = d · √(1 − ¼ sec²(π / 2n)): the centres are the vertices of a uniform n-antiprism of edge d.
 * Source: Weisstein, "Antiprism", MathWorld.
 * Model: rigid spheres; inflated latex sits lower by the recipe's squash.
 *
 * @param count spheres a ring, an integer of 2 or more (2 gives the tetrahedron, 1/√2)
 * @param diameter sphere diameter, mm
 * @throws {DomainError} `not-integer` if `count` is not an integer of 2 or more
 */
export function layerRise(count: number, diameter: number): Millimetres {
	if (!Number.isInteger(count) || count < 2) throw new DomainError('not-integer', `${count} balls in a ring`);
	return (diameter * Math.sqrt(1 - 0.25 / Math.cos(Math.PI / (2 * count)) ** 2)) as Millimetres;
}

/** Height one layer adds to a stack of its own kind, mm: a single ball adds its diameter. */
export const ownPitch = (count: number, diameter: number, squash: number): Millimetres =>
	(squash * (count < 2 ? diameter : layerRise(count, diameter))) as Millimetres;

/**
 * Layers that make a body of this height, the trade's rule: round(height / pitch), at least one.
 * @param height and pitch in one unit, pitch above 0
 */
export function layersForHeight(height: number, pitch: number): number {
	if (!(pitch > 0)) throw new DomainError('not-positive', 'the pitch must be above 0');
	return Math.max(1, Math.round(height / pitch));
}
