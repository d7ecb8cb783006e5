import type { Colourway } from '../../document/slot.ts';
import type { Id } from '../../document/id.ts';
import type { Stretch } from '../../geometry/path.ts';
import type { Material } from '../../materials/material.ts';
import type { PumpProfile } from '../../sizing/strokes.ts';
import type { DesignUse } from '../design/document.ts';
import type { Holder } from '../kit/hangers.ts';
import type { HostSpot } from '../kit/host-spots.ts';
import type { AppliedBall, HostShape } from '../kit/seats.ts';
import type { Spot } from '../kit/spot.ts';
import type { Strand } from '../kit/strand.ts';
import type { Packed } from '../run/pack-job.ts';
import type { Stack } from '../stack/document.ts';
import type { PlacedStack } from '../stack/placed.ts';

/** Layers one on the other, with the places of all copies. */
export interface StackPart {
	readonly stack: Stack;
	readonly placed: PlacedStack;
	readonly colourway: Colourway | undefined;
	readonly spots: readonly Spot[];
}

/** Whatever is no ring of a stack: balls and what is long, with the places of all copies. */
export interface LoosePart {
	readonly balls: readonly AppliedBall[];
	/** Bubbles of modelling balloons, ribbons, strokes of letters. */
	readonly strands: readonly Strand[];
	/** Hooks, lines, the frame it hangs on. */
	readonly holders?: readonly Holder[] | undefined;
	readonly colourway: Colourway | undefined;
	readonly spots: readonly Spot[];
}

/** What one copy of a section is made of, mm in its own coordinates. */
export interface Placed {
	readonly stacks: readonly StackPart[];
	readonly loose: readonly LoosePart[];
	/** Pieces with a host that is not there. */
	readonly lost?: readonly Id[];
	/** Where it goes, for what sits along it. */
	readonly path?: readonly Stretch[] | undefined;
	/** Parts of it that others sit on. */
	readonly spots?: readonly HostSpot[] | undefined;
}

export interface PlaceContext {
	readonly section: Id;
	/** What it stands by; pieces sit on it. */
	readonly host: HostShape;
	readonly colourway: Colourway | undefined;
	readonly pumps: readonly PumpProfile[];
	/** Packed pictures of organic runs, where somebody made them; else they are drawn roughly. */
	readonly packed: Packed | undefined;
	/** What a design inside is made of; nothing where it is not kept, or too deep to be drawn. */
	nested(use: DesignUse): Placed;
}

/** Some of a material on what it serves: a bow on a row, a sandbag at a foot. */
export interface Fixed {
	readonly material: Id;
	readonly count: number;
	/** Sections, rows and pieces; none is the piece as a whole. */
	readonly on: readonly Id[];
}

/** A weight where it is, mm in its own coordinates. */
export interface Mass {
	readonly x: number;
	readonly y: number;
	readonly z: number;
	readonly kg: number;
	/** Worked out, where the Stockroom has no figure. */
	readonly estimated: boolean;
}

/** What a kind looks like. */
export interface PictureFacet<S> {
	/** Lines stand nowhere; pieces that sit on their host are no thing of their own. */
	stands(structure: S): 'by itself' | 'on its host' | 'nowhere';
	/** Nothing of the picture hangs on what carries it: it is kept for as long as the structure stays what it is. */
	readonly alone: boolean;
	place(structure: S, context: PlaceContext): Placed;
	/** Points of it that touch the ground it stands on, mm in its own coordinates; balls of others do it by themselves. */
	/** Lines from so high to stakes so far out, m. */
	guys?(structure: S): readonly { readonly count: number; readonly at: number; readonly reach: number }[];
	footprint?(structure: S): readonly (readonly [x: number, y: number])[];
	/** What weighs in it besides balloons, and the materials of the Stockroom that are in that. */
	masses?(structure: S, materials: ReadonlyMap<Id, Material>): readonly Mass[];
	weighed?(structure: S): readonly Id[];
	/** What it fixes to others, where it is drawn on those. */
	fixes?(structure: S): readonly Fixed[];
}
