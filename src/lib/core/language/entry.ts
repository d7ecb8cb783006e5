import type { Colour, Material } from '../materials/material.ts';
import type { Micrometres } from '../units/length.ts';
import type { NumberStyle } from '../units/number.ts';
import type { RationalText } from '../units/rational.ts';
import type { FollowOnRule } from '../document/rule.ts';
import type { PumpProfile } from '../sizing/strokes.ts';
import type { AppliedPiece, Fixing } from '../structures/applied/document.ts';
import type { Bunch, BunchItem, BunchThing, BunchWeight } from '../structures/bunch/document.ts';
import type { Colourway, Slot } from '../document/slot.ts';
import type { DesignUse } from '../structures/design/document.ts';
import type { ExtraLine } from '../structures/extras/document.ts';
import type { LineRole } from '../document/line-role.ts';
import type { Form, FormPiece } from '../structures/form/document.ts';
import type { Id } from '../document/id.ts';
import type { Joining } from '../document/cluster.ts';
import type { Recipe, RecipePricing, Section, SizeOption } from '../recipe/recipe.ts';
import type { Run } from '../structures/run/document.ts';
import type { Stand } from '../document/stand.ts';
import type { Upright } from '../structures/stack/document.ts';
import type { Weave } from '../structures/weave/document.ts';
import type { ColourRef, OwnSaid, SaidCluster } from './said.ts';
import type { SaidRun, SaidWeave } from './said-run.ts';
import type { StepPlace } from '../document/step.ts';

export type { ColourRef, OwnSaid, SaidBalloon, SaidCluster, SaidFill, SaidPattern } from './said.ts';

export interface SaidLayer {
	readonly clusters: readonly SaidCluster[];
	/** So many, or as many as reach a body height. */
	readonly repeat: number;
	readonly toHeight: Micrometres | null;
	readonly turn: 'half' | 'none';
	readonly joining: Joining | null;
}

/** A section as said; without a structure it is an empty stack. */
export interface SaidSection {
	readonly name: string;
	readonly times: number;
	readonly mirror: boolean;
	readonly stand: Stand;
	readonly swappable?: boolean;
	readonly structure?: DesignUse | Bunch | Form | Run | Weave;
}

/** A kept design that may be used inside this one. */
export interface UsableDesign {
	readonly id: string;
	readonly name: string;
}

/** Words that say how a thing is meant: no name goes on with them. */
export const MEANT = ['optional', 'reused', 'taken'] as const;

/** What one line of typing means. */
export type Entry =
	| { readonly kind: 'layer'; readonly layer: SaidLayer }
	| { readonly kind: 'upright'; readonly upright: Pick<Upright, 'kind' | 'length'> }
	| { readonly kind: 'section'; readonly section: SaidSection }
	/** Whether its lowest balloons touch the floor. */
	| { readonly kind: 'stands'; readonly onFloor: boolean }
	/** What is said from now on goes to a section that is there. */
	| { readonly kind: 'go on'; readonly section: Id }
	| { readonly kind: 'piece'; readonly piece: SaidPiece }
	| {
			readonly kind: 'lines';
			/** Several are ways to do one thing. */
			readonly lines: readonly SaidLine[];
			readonly role: LineRole;
			readonly swappable: boolean;
	  }
	| { readonly kind: 'size'; readonly size: Pick<SizeOption, 'name' | 'height' | 'by'> }
	| { readonly kind: 'leave'; readonly slot: Id; readonly out: boolean }
	| { readonly kind: 'swap slots'; readonly slots: readonly [Id, Id] }
	| { readonly kind: 'exchange'; readonly element: Id; readonly to: string; readonly design: boolean }
	| { readonly kind: 'rule'; readonly rule: FollowOnRule }
	| { readonly kind: 'pricing'; readonly pricing: RecipePricing }
	| { readonly kind: 'item'; readonly item: SaidItem }
	/** What holds a bunch down; null is nothing. */
	| { readonly kind: 'weight'; readonly weight: SaidWeight | null }
	| { readonly kind: 'form piece'; readonly piece: SaidFormPiece; readonly section: Id | null }
	/** What is said of the run or the weave in hand. */
	| { readonly kind: 'run'; readonly said: SaidRun }
	| { readonly kind: 'weave'; readonly said: SaidWeave }
	| { readonly kind: 'step'; readonly text: string; readonly place: StepPlace; readonly wait: number };

/** An item of a bunch as said. */
export interface SaidItem extends Pick<BunchItem, 'name' | 'count' | 'gas' | 'ribbon' | 'swappable'> {
	readonly what:
		| OwnSaid
		| Extract<BunchThing, { kind: 'material' }>
		| (Omit<Extract<BunchThing, { kind: 'letters' }>, 'slot'> & { readonly colour: ColourRef });
}

export type SaidWeight = OwnSaid | Extract<BunchWeight, { kind: 'material' }>;

/** A piece of a form as said, its slot not made yet. */
export interface SaidFormPiece extends Omit<FormPiece, 'id' | 'slot'> {
	readonly colour: ColourRef;
}

export interface SaidPiece {
	readonly name: string;
	readonly what:
		OwnSaid | { readonly kind: 'material'; readonly material: string; readonly flat: Micrometres | null };
	readonly on: AppliedPiece['on'];
	/** Section that carries it; null is a wall. */
	readonly section: Id | null;
	readonly fixing: Fixing;
}

export interface SaidLine {
	readonly material: string;
	readonly name: string;
	/** A foil is inflated, not only bought. */
	readonly foil?: boolean;
	readonly quantity: RationalText;
	readonly range: ExtraLine['range'];
	readonly onSpot?: true | undefined;
}

/** What names may mean while a line is read. */
export interface EntryContext {
	readonly slots: readonly Slot[];
	readonly colourway: Colourway | undefined;
	readonly colours: readonly Colour[];
	readonly materials: readonly Material[];
	/** Sections a new one may stand by, and designs it may be. */
	readonly sections?: readonly Section[];
	readonly designs?: readonly UsableDesign[];
	/** The section in hand, the recipe itself and the pumps, where pieces, swaps and strokes may be said. */
	readonly section?: Id;
	readonly recipe?: Recipe;
	readonly pumps?: readonly PumpProfile[];
	readonly style: NumberStyle;
}

/** Words of the grammar: a slot cannot be called one of these. */
export const KEYWORDS: ReadonlySet<string> = new Set([
	'at', 'to', 'x', 'of', 'times', 'rings', 'spiral', 'checker', 'blocks', 'gradient', 'left', 'right', 'front', 'back', 'tier',
	'straight', 'joined', 'section', 'use', 'mirrored', 'gap', 'strokes', 'stroke', 'and', 'tall', 'with', 'put', 'as', 'on',
	'row', 'or', 'by', 'swap', 'size', 'each', 'takes', 'step',
	'swappable', 'filled', 'painted', 'apart'
]); // prettier-ignore
