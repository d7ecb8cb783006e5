import type { AnswerErrors as StartErrors } from '../by-hand/answers.ts';
import type { NewId } from '../document/id.ts';
import type { Entry } from '../language/entry.ts';
import type { MaterialKind } from '../materials/material.ts';
import type { Recipe } from '../recipe/recipe.ts';
import type { HandKit } from '../structures/kit/by-hand.ts';
import type { Micrometres } from '../units/length.ts';
import type { AskedFields, Answers, ValuesOf } from '../by-hand/asked.ts';

export type { AnswerErrors as StartErrors } from '../by-hand/answers.ts';

/** What is said, or said once it is known what stands there: a face looks for the row it goes on. */
export type StartEntry = Entry | ((recipe: Recipe) => Entry);

/** Bags of the Stockroom of a kind, smallest first. */
export type BagsOf = (kind: MaterialKind) => readonly Micrometres[];

/** Something to start a design from: a few fields, and what would be said on the entry line for them. */
export interface StartingShape {
	readonly id: string;
	readonly title: string;
	/** In one line what it is. */
	readonly says: string;
	readonly fields: AskedFields;
	/** Values that are each allowed but do not go together. */
	readonly conflicts?: (values: Answers, bags: BagsOf) => StartErrors;
	readonly entries: (values: Answers, kit: HandKit) => readonly StartEntry[];
	/** What its fields start with, where that is not what the Stockroom says. */
	readonly starts?: Answers;
	/** Made whole in place of said entry by entry: a design of the studio. */
	readonly make?: (values: Answers, newId: NewId) => Recipe;
}

/** A shape whose fields are known by their names. */
export function startingShape<const F extends AskedFields>(shape: {
	readonly id: string;
	readonly title: string;
	readonly says: string;
	readonly fields: F;
	readonly conflicts?: (values: ValuesOf<F>, bags: BagsOf) => StartErrors;
	readonly entries: (values: ValuesOf<F>, kit: HandKit) => readonly StartEntry[];
}): StartingShape {
	return shape as unknown as StartingShape;
}
