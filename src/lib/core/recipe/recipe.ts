import type { Side } from '../geometry/layers.ts';
import type { Size } from '../sizing/size.ts';
import type { Micrometres } from '../units/length.ts';
import type { RationalText } from '../units/rational.ts';
import type { Pattern } from './pattern.ts';

/** Stable id of a part, made at the client (UUID). */
export type Id = string;

export const RECIPE_FORMAT = 'bright-tally/recipe';
export const RECIPE_VERSION = 2;

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
}

/** A hint that shall be quiet, and why. */
export interface Silenced {
	/** What it is about: the key of the finding. */
	readonly finding: string;
	readonly reason: string;
}

/** Stands where a colour would. */
export interface Slot {
	readonly id: Id;
	readonly name: string;
}

/** Fills the slots with colours of the workspace; null is still open. */
export interface Colourway {
	readonly id: Id;
	readonly name: string;
	readonly fills: Readonly<Record<Id, string | null>>;
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
}

/** Sides a section may stand on by another, and on top of it. */
export const STANDINGS = ['on top', 'left', 'right', 'front', 'back'] as const;
export type Standing = (typeof STANDINGS)[number];

/** Where a section stands: on the floor at the middle, or by another section. */
export interface Stand {
	/** The section it stands by; null is the floor. It stands by every copy of that one. */
	readonly by: Id | null;
	readonly how: Standing;
	/** Height of its foot over the floor, beside another; null is the foot of that one. */
	readonly height: Micrometres | null;
	/** Air between the two, beside another. */
	readonly gap: Micrometres | 0;
	/** What ties it on, a material of the Stockroom; null is nothing. */
	readonly tie: string | null;
}

export const ON_THE_FLOOR: Stand = { by: null, how: 'on top', height: null, gap: 0, tie: null };

/** Whether a section's lowest balloons touch the floor. */
export const standsOnFloor = ({ stand }: Section): boolean =>
	stand.by === null || (stand.how !== 'on top' && (stand.height === null || stand.height === 0));

/** How a section is built. One member a structure of the registry. */
export type Structure = Stack | Extras | DesignUse;

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

/** One balloon of a cluster. */
export interface Place {
	readonly id: Id;
	readonly kind: 'latex-round';
	readonly nominal: Micrometres;
	readonly size: Size;
	/** Overrides the cluster's pattern. */
	readonly slot: Id | null;
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

/** Lines that no structure works out: florals, fabric, hire. */
export interface Extras {
	readonly kind: 'extras';
	readonly lines: readonly ExtraLine[];
}

export interface ExtraLine {
	readonly id: Id;
	readonly material: string;
	readonly quantity: RationalText;
}

/** Another design as a part of this one, read at its last kept version. */
export interface DesignUse {
	readonly kind: 'design';
	readonly design: string;
	readonly quantity: RationalText;
	/** The colourway of the other design; null takes its first. */
	readonly colourway: Id | null;
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
