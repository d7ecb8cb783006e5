import type { Id } from '../document/id.ts';
import type { Entry } from '../language/entry.ts';
import type { ColourRef } from '../language/said.ts';
import type { Material, MaterialKind } from '../materials/material.ts';
import type { Recipe } from '../recipe/recipe.ts';
import type { Micrometres } from '../units/length.ts';
import type { StartFields, StartValues, ValuesOf } from './field.ts';

/** What a field will not do, by its name. */
export type StartErrors = Readonly<Record<string, string>>;

/** What is said, or said once it is known what stands there: a face looks for the row it goes on. */
export type StartEntry = Entry | ((recipe: Recipe) => Entry);

/** What a shape is built with besides its fields. */
export interface StartKit {
	/** The slot of the n-th colour; of more than there are, they begin anew. */
	readonly colour: (index: number) => ColourRef;
	/** What that slot is called. */
	readonly name: (index: number) => string;
	/** How many different colours there are, 1 or more. */
	readonly colours: number;
	/** What the Stockroom knows of a thing. */
	readonly material: (id: Id) => Material | undefined;
}

/** Bags of the Stockroom of a kind, smallest first. */
export type BagsOf = (kind: MaterialKind) => readonly Micrometres[];

/** Something to start a design from: a few fields, and what would be said on the entry line for them. */
export interface StartingShape {
	readonly id: string;
	readonly title: string;
	/** In one line what it is. */
	readonly says: string;
	readonly fields: StartFields;
	/** Values that are each allowed but do not go together. */
	readonly conflicts?: (values: StartValues, bags: BagsOf) => StartErrors;
	readonly entries: (values: StartValues, kit: StartKit) => readonly StartEntry[];
}

/** A shape whose fields are known by their names. */
export function startingShape<const F extends StartFields>(shape: {
	readonly id: string;
	readonly title: string;
	readonly says: string;
	readonly fields: F;
	readonly conflicts?: (values: ValuesOf<F>, bags: BagsOf) => StartErrors;
	readonly entries: (values: ValuesOf<F>, kit: StartKit) => readonly StartEntry[];
}): StartingShape {
	return shape as unknown as StartingShape;
}
