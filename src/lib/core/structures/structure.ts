import type { CountOf } from '../bom/follow-on.ts';
import type { Colourway, Id, LineRole, Structure } from '../recipe/recipe.ts';
import type { MaterialKind } from '../materials/material.ts';
import type { Size } from '../sizing/size.ts';
import type { Method, TaskCount } from '../labour/task.ts';
import type { Micrometres } from '../units/length.ts';
import type { Rational } from '../units/rational.ts';

/** Something a structure needs. Balloons are named by what they are; other things by their material. */
export type Need =
	| {
			readonly what: 'balloon';
			readonly kind: MaterialKind;
			readonly nominal: Micrometres;
			readonly slot: Id;
			/** What the colourway puts into the slot; null is still open. */
			readonly colour: string | null;
			/** A certain material in place of what kind, size and colour find. */
			readonly material: Id | null;
			readonly size: Size;
			readonly method: Method;
			readonly quantity: Rational;
	  }
	| {
			readonly what: 'material';
			readonly material: string | null;
			readonly label: string;
			readonly quantity: Rational;
			/** Lines only: what becomes of it, and an estimate's ends. */
			readonly role?: LineRole;
			readonly range?: { readonly low: Rational; readonly high: Rational };
	  }
	/** Something follow-on rules turn into lines: floor contacts, clusters tied with a modelling balloon. */
	| { readonly what: 'count'; readonly of: CountOf; readonly quantity: Rational };

/** What every structure of the registry can answer. */
export interface StructureDefinition<S extends Structure> {
	readonly id: S['kind'];
	/** In the trade's words. */
	readonly words: string;
	/** Balloons in one of it, before anything is worked out: guards against absurd sizes. */
	balloons(structure: S): number;
	needs(structure: S, colourway: Colourway | undefined): Need[];
	tasks(structure: S): TaskCount[];
}
