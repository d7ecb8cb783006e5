import type { OwnBalloon } from '../../document/cluster.ts';
import type { Id, NewId } from '../../document/id.ts';
import type { Mutable } from '../../document/mutable.ts';
import type { Stand } from '../../document/stand.ts';
import type { Parsed } from '../../errors.ts';
import type { Reader } from '../../language/reader.ts';
import type { ColourRef, OwnSaid } from '../../language/said.ts';
import type { Section } from '../../recipe/recipe.ts';
import type { PrintedLine } from './print.ts';
import type { BuiltLayer } from '../kit/build-layer.ts';

/** Where what was said goes. */
export interface EntryPlace {
	/** Section in hand; what it cannot take goes to the nearest that can. */
	readonly section?: Id | undefined;
	/** Place among its layers, 0 lowest; without one, on top. */
	readonly index?: number | undefined;
	/** The row or the part it takes the place of. */
	readonly editing?: Id | null | undefined;
	readonly colourway?: Id | undefined;
}

/** What a kind needs of its recipe to take what was said. */
export interface EditKit {
	readonly newId: NewId;
	/** The slot a colour word means; made where there is none. */
	slot(ref: ColourRef): Id;
	/** Slots that were made already. */
	addSlots(built: Pick<BuiltLayer, 'newSlots'>): void;
	/** A balloon with a colour of its own. */
	own(said: OwnSaid): { kind: 'balloon'; balloon: OwnBalloon };
}

/** A section that is there, one to be made, or none that can take it. */
export type Home<S> =
	| { readonly section: Id }
	| { readonly name: string; readonly structure: S; readonly stand?: Stand }
	| undefined;

export type SectionDraft<S> = Omit<Mutable<Section>, 'structure'> & { structure: Mutable<S> };

/** Does one sentence to a structure. */
export type Take<S, E> = (
	section: SectionDraft<S>,
	said: E,
	place: Pick<EntryPlace, 'index' | 'editing'>,
	kit: EditKit
) => void;

/** What of a kind can be said on the entry line. */
export interface LanguageFacet<S, Said extends { readonly kind: string }> {
	/** The word that begins a section of it, and what that is then; null where no word does. */
	readonly starts: { readonly word: string; empty(): S } | null;
	/** Lines that are read where it is in hand: the first is shown where nothing is typed yet. */
	readonly examples: readonly string[];
	/** The same in plain words, as a maker would say it where it is in hand: the document and the page of shorthand print them. */
	readonly phrases: readonly string[];
	/** Whether what is being said stands in the picture before Enter. */
	readonly shown: boolean;
	/** A sentence of it while it is in hand; undefined where something else is said. */
	read(r: Reader): Parsed<Said> | undefined;
	/** A sentence of it wherever the line stands, asked after everything else. */
	readAnywhere(r: Reader): Parsed<Said> | undefined;
	/** The section that takes it. */
	home(sections: readonly Section[], said: Said, place: EntryPlace): Home<S>;
	/** The list of parts a sentence adds one to, as it is printed; nothing where it adds no part. */
	partOf?(said: Said): PrintedLine['about'] | undefined;
	/** What each of its sentences does. */
	readonly take: { readonly [E in Said['kind']]: Take<S, Extract<Said, { readonly kind: E }>> };
}

/** Whether a section is in hand and of a kind. */
export const inHand = (
	sections: readonly Section[],
	{ section }: EntryPlace,
	kind: Section['structure']['kind']
) =>
	section !== undefined && sections.some((s) => s.id === section && s.structure.kind === kind)
		? { section }
		: undefined;
