import { dayField } from '../forms/day-field.ts';
import { amount, count, held, orBlank, words, type FormContext } from '../forms/fields.ts';
import type { Fields } from '../forms/merge-fields.ts';
import { readForm } from '../forms/read-form.ts';
import type { Pack } from '../materials/material.ts';

/** What is on order. */
export interface OnOrder {
	readonly id: string;
	readonly material: string;
	readonly pack: string;
	readonly packs: number;
	/** Pieces in a pack as it was ordered. */
	readonly count: number;
	/** All of it, minor units; null is not known. */
	readonly costMinor: number | null;
	/** `YYYY-MM-DD` */
	readonly ordered: string;
	/** When it should be here; null is not known. */
	readonly due: string | null;
}

/** Pieces that are still to come, by material. */
export function toCome(orders: readonly OnOrder[]): ReadonlyMap<string, number> {
	const found = new Map<string, number>();
	for (const { material, packs, count: pieces } of orders) found.set(material, (found.get(material) ?? 0) + packs * pieces); // prettier-ignore
	return found;
}

/** It should have been here by now. */
export const isLate = ({ due }: Pick<OnOrder, 'due'>, today: string): boolean => due !== null && due < today;

/** A price for so many packs: that of the highest break they reach; null is not known. */
export const priceOfPacks = ({ priceMinor, breaks }: Pack, packs: number): number | null => {
	const own = breaks?.findLast((b) => packs >= b.from)?.priceMinor ?? priceMinor;
	return own === null ? null : own * packs;
};

/**
 * Reads what is ordered. @param packs of the material @param due when it should be here where nothing is said
 * @returns what is on order, without its id
 */
export function readOrder(
	typed: Fields,
	{ material, packs, today, due }: { readonly material: string; readonly packs: readonly Pack[]; readonly today: string; readonly due: string }, // prettier-ignore
	context: FormContext
) {
	const read = readForm(
		{
			pack: held(words({ what: 'A pack', most: 80 }), (id) => (packs.some((p) => p.id === id && !p.ended) ? undefined : 'Pick which pack.')), // prettier-ignore
			packs: count({ what: 'Packs', min: 1, max: 10_000 }),
			cost: orBlank(amount('What all of it costs'), null),
			due: held(dayField('When it should be here'), (day) => (day !== null && day < today ? 'That day is over. Type when it should be here, or leave it blank.' : undefined)) // prettier-ignore
		},
		typed,
		context
	);
	if (!read.ok) return read;
	const pack = packs.find((p) => p.id === read.values.pack)!;
	const order: Omit<OnOrder, 'id'> = {
		material,
		pack: pack.id,
		packs: read.values.packs,
		count: pack.count,
		costMinor: read.values.cost ?? priceOfPacks(pack, read.values.packs),
		ordered: today,
		due: read.values.due ?? due
	};
	return { ok: true as const, order };
}
