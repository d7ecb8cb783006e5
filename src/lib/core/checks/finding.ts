import type { Side } from '../document/side.ts';
import type { Fixing } from '../structures/applied/document.ts';
import type { Id } from '../document/id.ts';
import type { Joining } from '../document/cluster.ts';
import type { Micrometres } from '../units/length.ts';

/** A change that answers a finding, as data: done by `applyRemedy`, one step of undo. */
export type Remedy =
	| { readonly kind: 'upright'; readonly section: Id; readonly length: Micrometres }
	| { readonly kind: 'size'; readonly layer: Id; readonly nominal: Micrometres; readonly size: Micrometres }
	| { readonly kind: 'slot'; readonly from: Id; readonly to: Id }
	/** A small cluster tucked into the low side, searched for when it is asked for. */
	/** A piece fixed another way; the line of a choice that is taken. */
	| { readonly kind: 'fixing'; readonly piece: Id; readonly fixing: Fixing }
	| { readonly kind: 'choose'; readonly line: Id }
	| { readonly kind: 'join'; readonly layer: Id; readonly joining: Joining }
	| { readonly kind: 'level'; readonly section: Id; readonly layer: Id };

/** A levelling cluster found by trial: what it is, and the tilt before and after, degrees. */
export interface Levelling {
	readonly count: number;
	readonly size: Micrometres;
	readonly side: Exclude<Side, 'all'>;
	readonly before: number;
	readonly after: number;
}

/** Something an experienced maker would say about a recipe: what, where, why, what to do instead. */
export interface Finding {
	readonly code:
		| 'empty'
		| 'upright-short'
		| 'frame-joint'
		| 'frame-apart'
		| 'over-safe'
		| 'size-refused'
		| 'sunk'
		| 'tilted'
		| 'size-step'
		| 'slots-alike'
		| 'no-spare'
		| 'open-slot'
		| 'unlisted'
		| 'unknown-cost'
		| 'too-many'
		| 'cycle'
		| 'not-found'
		| 'host-lost'
		| 'printed-foil'
		| 'conflict'
		| 'bare-floor'
		| 'heart-weak'
		| 'strokes-off'
		| 'light-base'
		| 'falls-over'
		| 'under-floor'
		| 'off-its-way'
		| 'wobbles'
		| 'peels'
		| 'line-on-soft'
		| 'pear-shaped'
		| 'step-lost'
		| 'no-wait'
		| 'sinks'
		| 'not-held'
		| 'not-weighed'
		| 'foil-firm'
		| 'foil-size'
		| 'foil-litres'
		| 'foil-line'
		| 'foil-sail'
		| 'not-measured'
		| 'too-long'
		| 'no-left-overs'
		| 'warm-inflator'
		| 'no-path'
		| 'crosses'
		| 'shares'
		| 'not-packed'
		| 'not-taught'
		| 'no-joiner'
		| 'no-strings'
		| 'alike-neighbours'
		| 'too-short';
	/** `bad` stops a sale, `watch` deserves a look. */
	readonly level: 'bad' | 'watch';
	/** What it is and what to do. */
	readonly say: string;
	/** Why a maker would care. */
	readonly why?: string;
	/** The row it concerns, where there is one. */
	readonly layer?: Id;
	/** What it is about: a section, row, piece, slot, step, or a line of the bill by its key; the whole design where nothing is said. */
	readonly about?: string;
	/** Which of several of its code about the same thing. */
	readonly tell?: string;
	readonly remedy?: { readonly label: string; readonly act: Remedy };
}

/** What a silenced finding is known by: its code, what it is about, and which of several it is. Never its words. */
export const findingKey = ({ code, about, tell }: Finding): string =>
	[code, about ?? '', ...(tell === undefined ? [] : [tell])].join('/').slice(0, 120);

/** How it was known before: by the words it began with. What was silenced then is read once more by it. */
export const wordKey = ({ code, layer, say }: Finding): string =>
	`${code}/${layer ?? say.split(':')[0]!}`.slice(0, 120);
