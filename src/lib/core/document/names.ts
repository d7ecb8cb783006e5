import type { Id } from './id.ts';
import { isUnseen, type Slot } from './slot.ts';

/** What is said in the place of a name that leads nowhere. */
export const GONE = {
	slot: 'no slot',
	material: 'not in the Stockroom',
	part: 'what is gone',
	line: 'a line',
	design: 'a design that is gone',
	size: 'a size that is gone',
	row: 'a row that is gone'
} as const;

/** The name of a slot. */
export const slotName = (id: Id | null | undefined, slots: readonly Slot[]): string =>
	slots.find((s) => s.id === id)?.name ?? GONE.slot;

/** Finds what has a name by its id: a map of the catalogue, a list that was indexed. */
export interface Named {
	get(id: Id): { readonly name: string } | undefined;
}

/** The name of a thing. @param otherwise what is said where there is none; of materials, where nothing is said */
export const nameOf = (things: Named, id: Id | null | undefined, otherwise: string = GONE.material): string =>
	things.get(id ?? '')?.name ?? otherwise;

/** `main (open)`: a slot for which nobody has chosen a colour. */
export const openName = (slot: string): string => `${slot} (open)`;

/** Slots under the names of the colours they hold, as people read them; an open one says that it is. */
export const holding = (
	slots: readonly Slot[],
	fills: Readonly<Record<Id, Id | null>>,
	names: ReadonlyMap<Id, string>
): Slot[] =>
	slots.map((s) => (isUnseen(s, fills) ? s : { ...s, name: colourName(names, fills[s.id], s.name) }));

/** `hive gold`; `main (open)` where nobody has chosen a colour for the slot. */
export const colourName = (
	names: ReadonlyMap<Id, string>,
	colour: Id | null | undefined,
	slot: string
): string => names.get(colour ?? '') ?? openName(slot);
