import type { CountOf } from '../../document/rule.ts';
import type { Gas } from '../../gas/atmosphere.ts';
import type { GasRoom } from '../../gas/volume.ts';
import type { FoilLook } from '../../document/foil-look.ts';
import type { Id } from '../../document/id.ts';
import type { LineRole } from '../../document/line-role.ts';
import type { MaterialKind } from '../../materials/material.ts';
import type { Size } from '../../sizing/size.ts';
import type { Method } from '../../labour/task.ts';
import type { Micrometres } from '../../units/length.ts';
import type { Rational } from '../../units/rational.ts';

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
			/** A letter of a foil, the model of a modelling balloon. */
			readonly mark?: string;
			readonly size: Size;
			readonly method: Method;
			/** Air where it says nothing. */
			readonly gas?: Gas;
			/** A foil is told by its look; a modelling balloon by the lengths of its bubbles. */
			readonly look?: string;
			/** Left uninflated, to tie with. */
			readonly tie?: true;
			/** Hidden: any colour of its kind and size will do, the cheapest that is listed. */
			readonly any?: true;
			/** The other bag it may be of, until that is known. */
			readonly or?: Micrometres;
			/** An estimate's ends. */
			readonly range?: { readonly low: Rational; readonly high: Rational };
			readonly quantity: Rational;
	  }
	| {
			readonly what: 'material';
			readonly material: string | null;
			readonly label: string;
			readonly quantity: Rational;
			/** One holds all that hangs on it, in whatever sections of a design. */
			readonly shared?: true;
			/** Lines only: what becomes of it, and an estimate's ends. */
			readonly role?: LineRole;
			/** A foil as it is filled. */
			readonly foil?: { readonly flat: Micrometres; readonly look: FoilLook; readonly gas: Gas };
			/** The length of each: as many of the material's unit as that takes; a guess lies between two more. */
			readonly length?: { readonly um: Micrometres; readonly low?: Micrometres; readonly high?: Micrometres };
			/** The sides of each, for what is sold by the square foot. */
			readonly sides?: { readonly wide: Micrometres; readonly deep: Micrometres };
			readonly range?: { readonly low: Rational; readonly high: Rational };
	  }
	/** Something follow-on rules turn into lines: floor contacts, clusters tied with a modelling balloon. */
	| {
			readonly what: 'count';
			readonly of: CountOf;
			readonly quantity: Rational;
			/** Litres of gas: by the maker's figure of what holds it, where the Stockroom has one. */
			readonly holds?: { readonly key: string; readonly pieces: Rational; readonly room: GasRoom };
	  };
