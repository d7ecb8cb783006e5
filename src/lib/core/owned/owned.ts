import { carriedBy } from '../materials/carries.ts';
import type { Material } from '../materials/material.ts';
import type { Id } from '../document/id.ts';

/** How a piece is; what is in repair, lost or given away cannot be taken along. */
export const CONDITIONS = ['good', 'worn', 'in repair', 'lost', 'given away'] as const;
export type Condition = (typeof CONDITIONS)[number];

/** One piece of what comes back: this stand, that hoop. */
export interface OwnedThing {
	readonly id: Id;
	readonly material: Id;
	/** What is written on it: “stand 3”. */
	readonly name: string;
	readonly condition: Condition;
	/** Where it is kept; blank is not said. */
	readonly place: string;
	readonly note: string;
	/** Minor units a hire, and what is left for it; null is not said. */
	readonly hireMinor: number | null;
	readonly depositMinor: number | null;
}

export const canBeTaken = ({ condition }: Pick<OwnedThing, 'condition'>): boolean =>
	condition === 'good' || condition === 'worn';

/** Pieces that can be taken along, by what they are. */
export function haveOf(things: readonly Pick<OwnedThing, 'material' | 'condition'>[]): ReadonlyMap<Id, number> {
	const have = new Map<Id, number>();
	for (const { material, condition } of things)
		have.set(material, (have.get(material) ?? 0) + (canBeTaken({ condition }) ? 1 : 0));
	return have;
} // prettier-ignore

/** A thing that comes back in pieces; what is bought by length is none. */
export const isPiece = ({ reuse, unit }: Pick<Material, 'reuse' | 'unit'>): boolean =>
	reuse !== null && unit === 'piece';

/** Days a thing is out before the day of the event, and until it is home after it. House rule. */
export const OUT = { before: 1, after: 1 } as const;

/**
 * What could do in the place of a thing, best first: of its kind, and as long or as high at least where that is known.
 * @param all things that come back
 */
export function standInsFor(
	thing: Pick<Material, 'id' | 'kind' | 'name' | 'nominal'>,
	all: readonly Pick<Material, 'id' | 'kind' | 'name' | 'nominal'>[]
): Id[] {
	const needs = carriedBy(thing);
	return all
		.filter((m) => m.id !== thing.id && m.kind === thing.kind)
		.map((m) => ({ id: m.id, has: carriedBy(m) }))
		.filter(({ has }) => needs === undefined || (has !== undefined && has >= needs))
		.sort((a, b) => (a.has ?? 0) - (b.has ?? 0))
		.map(({ id }) => id);
}

/** What a thing is hired out for and what is left for it: of unlike pieces the most. */
export type Hires = Readonly<Record<Id, Pick<OwnedThing, 'hireMinor' | 'depositMinor'>>>;
export function hiresOf(things: readonly Pick<OwnedThing, 'material' | 'hireMinor' | 'depositMinor'>[]): Hires {
	const most = (a: number | null, b: number | null) => (a === null ? b : b === null ? a : Math.max(a, b));
	const found: Record<Id, Pick<OwnedThing, 'hireMinor' | 'depositMinor'>> = {};
	for (const { material, hireMinor, depositMinor } of things) {
		const before = found[material] ?? { hireMinor: null, depositMinor: null };
		found[material] = { hireMinor: most(before.hireMinor, hireMinor), depositMinor: most(before.depositMinor, depositMinor) };
	}
	return found;
} // prettier-ignore
