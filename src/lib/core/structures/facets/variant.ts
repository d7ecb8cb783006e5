import type { Ground } from '../../document/ground.ts';
import type { Host } from '../../document/host.ts';
import type { Id } from '../../document/id.ts';
import type { Measure } from '../../document/measure.ts';
import type { Micrometres } from '../../units/length.ts';
import type { PumpProfile } from '../../sizing/strokes.ts';
import type { Section } from '../../recipe/recipe.ts';
import type { HostShape } from '../kit/seats.ts';
import type { Branch, RunPath } from '../run/document.ts';

/** An element of a design that may be exchanged in one step, and what it is now. */
export interface Swappable {
	readonly element: Id;
	readonly name: string;
	readonly now: string;
	readonly what: 'material' | 'design';
}

/** What is said of an element where it may be exchanged. */
export interface SwapContext {
	readonly section: Pick<Section, 'id' | 'name' | 'swappable'>;
	/** Finds the name of a material. */
	nameOf(material: Id): string;
}

/** By how much, and where it is said what had to give way. */
export interface Scale {
	/** Above 0; 1 changes nothing. */
	readonly factor: number;
	/** Name of the section. */
	readonly name: string;
	note(words: string): void;
}

/** Where something goes: what goes along it goes the same way. */
export interface Way {
	readonly path: RunPath;
	readonly height: Micrometres | 0;
	readonly branches: readonly Branch[];
}

/** How a kind is changed as a whole: another size, without a colour, with something exchanged. */
export interface VariantFacet<S> {
	/** Every balloon of it larger or smaller. */
	scaled(structure: S, scale: Scale): S;
	/** Longer or shorter along its path, or moved along that of its host; anything else as it is. */
	lengthened(structure: S, scale: Scale): S;
	/** Without what these slots colour; what follows closes up. */
	without(structure: S, out: ReadonlySet<Id>): S;
	/** Without what sat on a host that is gone. */
	unhosted(structure: S, isThere: (host: Host) => boolean): S;
	/** Whether a design is as large as this: its body, how far it reaches; a frame only where nothing else leads. */
	leads(structure: S): 'by rows' | 'along its path' | 'where nothing else does' | null;
	/** How large it is, mm, and whether every size in it is known. */
	size(
		structure: S,
		pumps: readonly PumpProfile[],
		of: Measure
	): { readonly mm: number; readonly known: boolean };
	/** With as many rows as come nearest to a size, mm. */
	toHeight(structure: S, height: number, pumps: readonly PumpProfile[], of: Measure): S;
	swappables(structure: S, context: SwapContext): Swappable[];
	/** With another in the place of an element; itself where it has none of that id. @param section its own id */
	exchange(structure: S, element: Id, to: Id, section: Id): S;
	/** Grounds on which it stands otherwise than usual, and as it stands on one; most kinds stand alike everywhere. */
	grounds?(structure: S): readonly Ground[];
	onGround?(structure: S, ground: Ground): S;
	/** Whether anything of it is as long as what carries it makes it, and with those lengths; most kinds have nothing. */
	fits?(structure: S): boolean;
	fitted?(structure: S, host: HostShape): S;
	/** The way it lends to others, and whose way it goes itself. */
	way(structure: S): Way | null;
	goesAlong(structure: S): Id | null;
	/** Going that way. */
	along(structure: S, way: Way): S;
	/** With what strokes come to. @param stroke litres a stroke of each pump, by its id */
	pumped(structure: S, stroke: ReadonlyMap<string, number>): S;
}
