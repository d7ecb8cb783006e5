import type { Id } from '../document/id.ts';
import type { MaterialKind } from '../materials/material.ts';
import type { Micrometres } from '../units/length.ts';

/** A balloon as it is asked for: the size on the bag and what it is brought to. */
export interface Balloon {
	readonly nominal: Micrometres;
	readonly size: Micrometres;
}

interface Labelled {
	readonly label: string;
	/** What it means, where the label leaves that open. */
	readonly hint?: string;
}

/** A field of a starting shape, with what it starts with. */
export type Asked = Labelled &
	(
		| {
				readonly kind: 'length';
				readonly min: Micrometres;
				readonly max: Micrometres;
				readonly start: Micrometres;
				/** What stands comes to another height than this one: that is said beside it. */
				readonly comes?: 'over all';
		  }
		/** Of which kinds of latex, rounds where it does not say. */
		| { readonly kind: 'balloon'; readonly of?: readonly MaterialKind[]; readonly start: Balloon }
		/** A balloon that may be left away; `none` is what is said then. */
		| { readonly kind: 'balloon or none'; readonly start: Balloon | null; readonly none: string }
		| { readonly kind: 'count'; readonly min: number; readonly max: number; readonly start: number }
		/** Colours of the Stockroom in their order; of an empty one none. */
		| { readonly kind: 'colours'; readonly most: number; readonly start: number }
		| {
				readonly kind: 'choice';
				readonly options: readonly (readonly [value: string, label: string])[];
				readonly start: string;
		  }
		/** Something of the Stockroom, or not chosen yet: it starts with the only one there is of the kinds it `takes`. */
		| {
				readonly kind: 'thing';
				readonly kinds: readonly MaterialKind[];
				readonly takes?: MaterialKind;
				readonly none: string;
		  }
		| { readonly kind: 'text'; readonly most: number; readonly start: string }
	);

/** What each kind of field holds. */
interface Held {
	readonly length: Micrometres;
	readonly balloon: Balloon;
	readonly 'balloon or none': Balloon | null;
	readonly count: number;
	readonly colours: readonly Id[];
	readonly choice: string;
	readonly thing: Id | null;
	readonly text: string;
}

export type AskedFields = Readonly<Record<string, Asked>>;
/** The name of the field that asks for colours; undefined where none does. */
export const coloursField = (fields: AskedFields): string | undefined =>
	Object.entries(fields).find(([, f]) => f.kind === 'colours')?.[0];
export type ValueOf<F extends Asked> = Held[F['kind']];
/** What is asked of a shape, field by field. */
export type ValuesOf<F extends AskedFields> = { readonly [K in keyof F]: ValueOf<F[K]> };
export type Answers = Readonly<Record<string, Held[keyof Held]>>;
