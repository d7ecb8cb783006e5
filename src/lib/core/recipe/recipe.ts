import type { FollowOnRule } from '../bom/follow-on.ts';
import type { Side } from '../geometry/layers.ts';
import type { Size } from '../sizing/size.ts';
import type { Micrometres } from '../units/length.ts';
import type { RationalText } from '../units/rational.ts';
import type { Id } from './id.ts';
import type { Run } from './run.ts';
import type { Weave } from './weave.ts';
import type { Cluster, Joining, OwnBalloon } from './cluster.ts';
import type { Step } from './step.ts';

export type { Id };
export type { Cluster, Joining, OwnBalloon, Place, PlaceKind } from './cluster.ts';
export { JOININGS, PLACE_KINDS } from './cluster.ts';
export { MOST_IN_CLUSTER, MOST_LETTERS, MOST_REPEATS } from './limits.ts';
export type { Run } from './run.ts';
export type { Weave } from './weave.ts';

export const RECIPE_FORMAT = 'bright-tally/recipe';
export const RECIPE_VERSION = 6;

/** One design: the versioned document everything else reads. Guarded by `recipe.schema.ts`. */
export interface Recipe {
	readonly format: typeof RECIPE_FORMAT;
	readonly version: typeof RECIPE_VERSION;
	readonly name: string;
	readonly tags: readonly string[];
	readonly notes: string;
	readonly slots: readonly Slot[];
	/** At least one; the first is shown on the Shelf. */
	readonly colourways: readonly Colourway[];
	/** Floor first. */
	readonly sections: readonly Section[];
	/** Overrides the workspace's way of pricing. */
	readonly pricing: RecipePricing | null;
	/** Hints of the checker that were answered with a reason. */
	readonly silenced: readonly Silenced[];
	/** Named sets of parameters; none is the design as it stands. */
	readonly sizes: readonly SizeOption[];
	/** Follow-on rules of this design: they stand in for the workspace's of the same count. */
	readonly rules: readonly FollowOnRule[];
	/** Where the idea comes from: “after …, changed in …”. */
	readonly credit: string;
	/** What the owner changed of the plan, in the order of the plan. */
	readonly steps: readonly Step[];
}

/** A design in another size: what is wanted, and what gives way. */
export interface SizeOption {
	readonly id: Id;
	readonly name: string;
	/** Body height wanted; null leaves it as it stands. */
	readonly height: Micrometres | null;
	/** Rows are repeated more or less and sizes stay, or layers stay and every balloon grows. */
	readonly by: 'layers' | 'scale';
	/** Swappable elements exchanged in this size: material or design by the id of the element. */
	readonly swaps: Readonly<Record<Id, string>>;
	/** Size options of the designs inside, by the id of their section. */
	readonly parts: Readonly<Record<Id, Id>>;
}

/** A hint that shall be quiet, and why. */
export interface Silenced {
	/** What it is about: the key of the finding. */
	readonly finding: string;
	readonly reason: string;
}

/** What a colour does for a design: a new colourway can be thought of in these. */
export const SLOT_ROLES = ['main', 'second', 'pop', 'base', 'topper', 'accent'] as const;
export type SlotRole = (typeof SLOT_ROLES)[number];

/** Stands where a colour would. */
export interface Slot {
	readonly id: Id;
	readonly name: string;
	readonly role: SlotRole | null;
}

/** Fills the slots with colours of the workspace; null is still open. */
export interface Colourway {
	readonly id: Id;
	readonly name: string;
	readonly fills: Readonly<Record<Id, string | null>>;
	/** Slots left out: what they colour is not there, and what follows closes up. */
	readonly without: readonly Id[];
}

export interface Section {
	readonly id: Id;
	readonly name: string;
	readonly structure: Structure;
	/** Multiplies the time standards; 1 is plain work. */
	readonly difficulty: RationalText;
	readonly notes: string;
	/** So many alike wherever it stands: two arms. */
	readonly times: number;
	/** Every second of them is the mirror image, on the other side. */
	readonly mirror: boolean;
	readonly stand: Stand;
	/** May be exchanged in one step: another design in its place. */
	readonly swappable: boolean;
}

/** Sides a section may stand on by another, on top of it, and evenly round it: arms, petals. */
export const STANDINGS = ['on top', 'left', 'right', 'front', 'back', 'round'] as const;
export type Standing = (typeof STANDINGS)[number];

/** Where a section stands: on the floor at the middle, or by another section. */
export interface Stand {
	/** The section it stands by; null is the floor. It stands by every copy of that one. */
	readonly by: Id | null;
	readonly how: Standing;
	/** Height of its foot over the floor, beside another; null is the foot of that one. */
	readonly height: Micrometres | null;
	/** A row of that section whose height it is fixed at, beside it; `height` then says nothing. */
	readonly layer: Id | null;
	/** Air between the two, beside another. */
	readonly gap: Micrometres | 0;
	/** What ties it on, a material of the Stockroom; null is nothing. */
	readonly tie: string | null;
}

export const ON_THE_FLOOR: Stand = { by: null, how: 'on top', height: null, layer: null, gap: 0, tie: null };

/** Whether a section's lowest balloons touch the floor: what stands beside something raised is as high as that. */
export function standsOnFloor(recipe: Pick<Recipe, 'sections'>, section: Section): boolean {
	let at: Section | undefined = section;
	for (let steps = 0; at && steps <= recipe.sections.length; steps++) {
		const { by, how, layer, height }: Stand = at.stand;
		if (by === null || (how !== 'on top' && layer === null && height === 0)) return true;
		if (how === 'on top' || layer !== null || height !== null) return false;
		at = recipe.sections.find((s) => s.id === by);
	}
	return true;
}

/** How a section is built. One member a structure of the registry. */
export type Structure = Stack | Applied | Extras | DesignUse | Bunch | Form | Run | Weave;

export interface Stack {
	readonly kind: 'stack';
	/** Floor first. */
	readonly layers: readonly Layer[];
	readonly upright: Upright;
	/** How a layer is joined to the one below, where the layer says nothing. */
	readonly joining: Joining;
	/** Share of the rigid rise kept, 0.5 to 1.2. */
	readonly squash: number;
	/** Whether the lowest balls touch a bare floor: each then takes a patch. */
	readonly onFloor: boolean;
}

export interface Layer {
	readonly id: Id;
	readonly clusters: readonly Cluster[];
	/** So many layers alike, one on the other. */
	readonly repeat: number;
	readonly turn: 'half' | 'none';
	readonly joining: Joining | null;
}

export const UPRIGHTS = ['none', 'pole', 'stick', 'mast balloon', 'line'] as const;
export interface Upright {
	readonly kind: (typeof UPRIGHTS)[number];
	readonly length: Micrometres | null;
	/** The stand, pole or line in the Stockroom; null is not chosen yet. */
	readonly material: string | null;
	/** What the tie takes above the centre of the top ring. */
	readonly tie: Micrometres;
}

/** Pieces on a host: a face, wings, spots. The section it stands by is the host. */
export interface Applied {
	readonly kind: 'applied';
	readonly pieces: readonly AppliedPiece[];
}

/** An `attachment point` is the knotted scrap of a balloon given up for it, tied between the others. */
export const FIXINGS = [
	'strip', 'dash', 'glue', 'patch and strip', 'tie', 'tucked', 'trial loop', 'attachment point'
] as const; // prettier-ignore
export type Fixing = (typeof FIXINGS)[number];

export interface AppliedPiece {
	readonly id: Id;
	/** “eye”, “spot”. */
	readonly name: string;
	readonly what: PieceThing;
	/** How many on which host: tier by tier. */
	readonly on: readonly { readonly host: Host; readonly count: number }[];
	/** How one piece is fixed, and how many fixings it takes. */
	readonly fixing: Fixing;
	readonly each: RationalText;
	/** May be exchanged in one step: the same piece with another foil. */
	readonly swappable: boolean;
}

export type PieceThing =
	| { readonly kind: 'balloon'; readonly balloon: OwnBalloon }
	/** `flat` is the flat diameter of a foil, null for what is not inflated. */
	| { readonly kind: 'material'; readonly material: Id | null; readonly flat: Micrometres | null };

/** What a piece is fixed to. Sides are the audience's. */
export type Host =
	| { readonly on: 'layer'; readonly layer: Id; readonly side: Side }
	| { readonly on: 'place'; readonly place: Id }
	| { readonly on: 'piece'; readonly piece: Id }
	| { readonly on: 'wall'; readonly height: Micrometres; readonly across: number }
	/** So far along the path of the run it stands by. */
	| { readonly on: 'path'; readonly at: Micrometres };

/** How tight a foil is filled: told by its look, never by a size. */
export const FOIL_LOOKS = ['creased', 'firm'] as const;
export type FoilLook = (typeof FOIL_LOOKS)[number];

/** Foils and latex on ribbon over a weight, or side by side in a row: what stands lowest first. */
export interface Bunch {
	readonly kind: 'bunch';
	readonly arrangement: 'bunch' | 'row';
	readonly items: readonly BunchItem[];
	/** What holds it down; null is nothing yet. */
	readonly weight: BunchWeight | null;
}

export interface BunchItem {
	readonly id: Id;
	/** “moon”, “tentacle”. */
	readonly name: string;
	readonly count: number;
	readonly what: BunchThing;
	readonly gas: 'air' | 'helium';
	readonly ribbon: Ribbon | null;
	/** May be exchanged in one step: another foil in its place. */
	readonly swappable: boolean;
}

export type BunchThing =
	| { readonly kind: 'balloon'; readonly balloon: OwnBalloon }
	/** `flat` is the flat width of a foil, null for what is not inflated and only hangs on it. */
	| {
			readonly kind: 'material';
			readonly material: Id | null;
			readonly flat: Micrometres | null;
			readonly look: FoilLook;
			/** Chambers that are filled one by one. */
			readonly chambers: number;
	  }
	/** A wording: each letter or figure a foil of its own, by its mark in the Stockroom. */
	| {
			readonly kind: 'letters';
			readonly text: string;
			readonly height: Micrometres;
			readonly slot: Id;
			readonly look: FoilLook;
	  };

export interface Ribbon {
	readonly material: Id | null;
	/** Null is measured on the spot. */
	readonly length: Micrometres | null;
}

export type BunchWeight =
	| { readonly kind: 'material'; readonly material: Id | null; readonly count: number }
	| { readonly kind: 'balloon'; readonly balloon: OwnBalloon };

/** Modelling balloons as the bag says them: the width, then the length, both when full. */
export const MODELS = ['160', '260', '350', '360'] as const;
export type Model = (typeof MODELS)[number];

/** Limbs, bands, curls, bows: pieces of modelling balloons, by themselves or on a host. */
export interface Form {
	readonly kind: 'form';
	readonly pieces: readonly FormPiece[];
}

/** How a piece gets its shape. `wound` curls are filled twice; `trained` ones are bent by hand. */
export const SHAPINGS = ['plain', 'wound', 'trained', 'bent'] as const;
export type Shaping = (typeof SHAPINGS)[number];

/** What one piece takes of a balloon: all, a part with the rest left over, a share of one cut up, or a left-over. */
export type Take =
	{ readonly kind: 'whole' | 'part' | 'scrap' } | { readonly kind: 'cut'; readonly pieces: number };

export interface FormPiece {
	readonly id: Id;
	readonly name: string;
	readonly model: Model;
	readonly slot: Id;
	readonly count: number;
	readonly take: Take;
	/** Inflated lengths from the knot on, twist to twist; none is left uninflated, to tie with. */
	readonly bubbles: readonly Micrometres[];
	/** How wide it is inflated; unknown is as wide as the bag says. */
	readonly size: Size;
	readonly shaping: Shaping;
	/** What it is bent over, degrees; of other shapings 0. */
	readonly angle: number;
	/** Each of the count is longer than the one before by this. */
	readonly grows: Micrometres | 0;
	/** So many balloons spiralled together make one piece. */
	readonly strands: number;
	readonly softened: boolean;
	readonly neckOff: boolean;
	/** What it is fixed to; null stands by itself. */
	readonly at: Host | null;
}

/** Lines that no structure works out: florals, fabric, hire. */
export interface Extras {
	readonly kind: 'extras';
	readonly lines: readonly ExtraLine[];
}

export const LINE_ROLES = ['always', 'optional', 'taken along', 'reused', 'by-product'] as const;
/**
 * `optional` counts where it is taken; `taken along` is packed and charged only if used; `reused` comes off the
 * shelf; a `by-product` is left over by the work and never bought.
 */
export type LineRole = (typeof LINE_ROLES)[number];

export interface ExtraLine {
	readonly id: Id;
	readonly material: string;
	/** What is counted; of an estimate the likely figure. */
	readonly quantity: RationalText;
	/** An estimate lies between these; null is a plain count. */
	readonly range: { readonly low: RationalText; readonly high: RationalText } | null;
	readonly role: LineRole;
	/** Of an optional line or an alternative: whether it is counted. */
	readonly taken: boolean;
	/** One of several ways to do one thing: sandbags indoors, stakes on grass. */
	readonly choice: { readonly group: string; readonly when: string } | null;
	/** Sections, rows, pieces and items it serves: counted once, shown at each. */
	readonly serves: readonly Id[];
	/** Measured where it stands: the count is what is taken along for it. Most are not, and say nothing of it. */
	readonly onSpot?: true | undefined;
	readonly swappable: boolean;
}

/** Another design as a part of this one, read at its last kept version. */
export interface DesignUse {
	readonly kind: 'design';
	readonly design: string;
	readonly quantity: RationalText;
	/** The colourway of the other design; null takes its first. */
	readonly colourway: Id | null;
	/** A size option of it; null is as it stands. */
	readonly size: Id | null;
	/** Number of its version this design was last kept with; null before the first keep. */
	readonly version: number | null;
}

export interface RecipePricing {
	readonly method: 'margin' | 'markup';
	/** Per cent, as a rational. */
	readonly percent: RationalText;
}

/** The layers a stack really has, each row's repeats written out, floor first. */
export const layerCount = (stack: Stack): number => stack.layers.reduce((a, layer) => a + layer.repeat, 0);

export const balloonCount = (stack: Stack): number =>
	stack.layers.reduce((a, l) => a + l.repeat * l.clusters.reduce((b, c) => b + c.places.length, 0), 0);
