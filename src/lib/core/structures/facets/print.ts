import type { Host } from '../../document/host.ts';
import type { Id } from '../../document/id.ts';
import type { Slot } from '../../document/slot.ts';
import type { Material } from '../../materials/material.ts';
import type { Section } from '../../recipe/recipe.ts';

/** Finds a material of the Stockroom by its id. */
export type MaterialOf = (id: string) => Pick<Material, 'name'> | undefined;

/** A line as it would be typed. What has an id is a part and can be taken out; the others are said anew. */
export interface PrintedLine {
	readonly id: Id | null;
	readonly about: 'path' | 'row' | 'mix' | 'infill' | 'branch' | 'more';
	readonly text: string;
	/** Slot whose colour stands before it. */
	readonly slot: Id | null;
}

export interface PrintContext {
	readonly slots: readonly Slot[];
	/** Of the whole recipe: a path may be that of another. */
	readonly sections: readonly Section[];
	readonly materialOf: MaterialOf;
	/** What a piece is on, by names. */
	hostName(host: Host): string;
	/** A section, row, piece or item by its name. */
	partName(id: Id): string | undefined;
}

/** How a section is headed in a list of all that is said of a design. */
export interface Heading {
	readonly text: string;
	/** The only section, of which no more is said than its name. */
	readonly lone: boolean;
}

/** How a kind is said. */
export interface PrintFacet<S> {
	/** As it is typed: reading the lines back gives the same. Nothing where it is not said in lines of its own. */
	lines(structure: S, context: PrintContext): PrintedLine[];
	/** All that tells two versions apart, a line each. */
	said(structure: S, heading: Heading, context: PrintContext): string[];
	/** A part in a few words, as it is pointed at; undefined where it has none of that id. @param section its name */
	part(structure: S, id: Id, section: string, context: PrintContext): string | undefined;
}
