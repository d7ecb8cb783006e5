import type { FollowOnRule } from '../document/rule.ts';
import type { Id } from '../document/id.ts';
import type { Stand } from '../document/stand.ts';
import type { StepPlace } from '../document/step.ts';
import type { RecipePricing, SizeOption } from '../recipe/recipe.ts';
import type { Structure } from '../structures/kinds.ts';
import type { Said } from '../structures/registry/said.ts';

/** What is said of whether a section is there, and how long before the day it is made. */
export type SaidOpen =
	| { readonly how: 'optional'; readonly when: string }
	| { readonly how: 'always' }
	| { readonly how: 'instead'; readonly of: Id }
	| { readonly how: 'ahead'; readonly days: number | null };

/** A section as said; without a structure it is an empty stack. */
export interface SaidSection {
	readonly name: string;
	readonly times: number;
	readonly mirror: boolean;
	readonly stand: Stand;
	readonly swappable?: boolean;
	readonly structure?: Structure;
}

/** What is said of the design as a whole. */
export type DesignSaid =
	| { readonly kind: 'section'; readonly section: SaidSection }
	/** What is said from now on goes to a section that is there. */
	| { readonly kind: 'go on'; readonly section: Id }
	/** Where a section that is there stands, and how many of it. */
	| {
			readonly kind: 'stand';
			readonly section: Id;
			readonly to: Pick<SaidSection, 'times' | 'mirror' | 'stand'>;
	  }
	/** A row or part in the words of another line. */
	| { readonly kind: 'becomes'; readonly part: Id; readonly entry: Said }
	| { readonly kind: 'taken out'; readonly part: Id }
	/** All of a slot in another colour. @param name what the slot is called then, where it was called by its colour */
	| { readonly kind: 'recolour'; readonly slot: Id; readonly to: Id; readonly name: string | null }
	| { readonly kind: 'size'; readonly size: Pick<SizeOption, 'name' | 'height' | 'by'> }
	| { readonly kind: 'leave'; readonly slot: Id; readonly out: boolean }
	| { readonly kind: 'leave section'; readonly section: Id; readonly out: boolean }
	| { readonly kind: 'open section'; readonly section: Id; readonly to: SaidOpen }
	| { readonly kind: 'swap slots'; readonly slots: readonly [Id, Id] }
	| { readonly kind: 'exchange'; readonly element: Id; readonly to: string; readonly design: boolean }
	| { readonly kind: 'split'; readonly part: Id; readonly after: number }
	| { readonly kind: 'rule'; readonly rule: FollowOnRule }
	| { readonly kind: 'pricing'; readonly pricing: RecipePricing }
	| {
			readonly kind: 'step';
			readonly text: string;
			readonly place: StepPlace;
			readonly wait: number;
			readonly takes: number;
			readonly tool?: string | undefined;
			readonly check?: string | undefined;
	  };

/** What one line of typing means. */
export type Entry = Said | DesignSaid;
