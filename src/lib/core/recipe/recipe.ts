import type { FollowOnRule } from '../bom/follow-on.ts';
import type { Side } from '../geometry/layers.ts';
import type { Size } from '../sizing/size.ts';
import type { Micrometres } from '../units/length.ts';
import type { RationalText } from '../units/rational.ts';
import type { Pattern } from './pattern.ts';

/** Stable id of a part, made at the client (UUID). */
export type Id = string;

export const RECIPE_FORMAT = 'bright-tally/recipe';
export const RECIPE_VERSION = 4;

/** Most balloons in one cluster, and most layers alike in one row. */
export const MOST_IN_CLUSTER = 12;
export const MOST_REPEATS = 200;

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

/** Most steps of one plan that are written down. */
export const MOST_STEPS = 6000;

/** Where a step of the plan is done. */
export const STEP_PLACES = ['bench', 'site', 'after hanging'] as const;
export type StepPlace = (typeof STEP_PLACES)[number];

/**
 * A step of the plan that the owner changed, moved or added. What nobody touched is made from the structures whenever
 * the plan is read, and stands nowhere.
 */
export interface Step {
	/** Of a made step its key, which names what it is about; of one of her own any id. */
	readonly id: string;
	readonly own: boolean;
	/** What is said in place of what is made; of an own step all there is. */
	readonly says: StepWords;
	/** Rows, pieces, lines and sections an own step is about. */
	readonly uses: readonly Id[];
	/** Left out of the plan. */
	readonly out: boolean;
}

export interface StepWords {
	readonly text?: string | undefined;
	readonly place?: StepPlace | undefined;
	readonly tool?: string | undefined;
	readonly method?: string | undefined;
	/** Seconds to wait before the next step: elapsed, not labour. */
	readonly wait?: number | undefined;
	/** What has to be so before it goes on. */
	readonly check?: string | undefined;
	/** A photo of the design. */
	readonly photo?: Id | undefined;
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

/** Whether a section's lowest balloons touch the floor. */
export const standsOnFloor = ({ stand }: Section): boolean =>
	stand.by === null ||
	(stand.how !== 'on top' && stand.layer === null && (stand.height === null || stand.height === 0));

/** How a section is built. One member a structure of the registry. */
export type Structure = Stack | Applied | Extras | DesignUse;

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

export interface Cluster {
	readonly id: Id;
	readonly places: readonly Place[];
	readonly side: Side;
	readonly tier: number;
	/** Which slot each place takes, ring by ring; a place may say otherwise. */
	readonly pattern: Pattern;
}

/** Kinds of balloon a place may hold: what is tied into clusters. */
export const PLACE_KINDS = ['latex-round', 'latex-heart'] as const;
export type PlaceKind = (typeof PLACE_KINDS)[number];

/** One balloon of a cluster. */
export interface Place {
	readonly id: Id;
	readonly kind: PlaceKind;
	readonly nominal: Micrometres;
	readonly size: Size;
	/** How it is brought to size; null follows from the size: a sizer hole, strokes, the eye. */
	readonly method: 'hole' | 'eye' | null;
	/** Overrides the cluster's pattern. */
	readonly slot: Id | null;
	/** A certain material of the Stockroom, whatever the colourway: a printed eye. */
	readonly material: Id | null;
	/** The side this one shall look to: the first that has one turns its ring. */
	readonly side: Exclude<Side, 'all'> | null;
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

export const JOININGS = ['twisted on', 'line', 'necks', 'modelling balloon', 'cluster to cluster'] as const;
export type Joining = (typeof JOININGS)[number];

/** Pieces on a host: a face, wings, spots. The section it stands by is the host. */
export interface Applied {
	readonly kind: 'applied';
	readonly pieces: readonly AppliedPiece[];
}

export const FIXINGS = ['strip', 'dash', 'glue', 'patch and strip', 'tie', 'tucked', 'trial loop'] as const;
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
	| { readonly kind: 'balloon'; readonly balloon: Place & { readonly slot: Id } }
	/** `flat` is the flat diameter of a foil, null for what is not inflated. */
	| { readonly kind: 'material'; readonly material: Id | null; readonly flat: Micrometres | null };

/** What a piece is fixed to. Sides are the audience's. */
export type Host =
	| { readonly on: 'layer'; readonly layer: Id; readonly side: Side }
	| { readonly on: 'place'; readonly place: Id }
	| { readonly on: 'piece'; readonly piece: Id }
	| { readonly on: 'wall'; readonly height: Micrometres; readonly across: number };

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
	/** Sections it serves: counted once, shown at each. */
	readonly serves: readonly Id[];
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
