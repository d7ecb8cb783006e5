import type { Host } from '../../document/host.ts';
import type { Id } from '../../document/id.ts';
import type { Mutable } from '../../document/mutable.ts';
import type { RefMap } from '../../document/refs.ts';
import type { DesignUse } from '../design/document.ts';

/** A row, piece, item, size, arm or line of a section: what a step, a line or a pointer may be about. */
export interface Part {
	readonly id: Id;
	/** By its own name; null is counted: row 1, row 2. */
	readonly name: string | null;
	/** The plan meets it, so a line can serve it. */
	readonly served: boolean;
}

/** What of a section a piece sits on, rows and places counted from 1. */
export type HostPart =
	| { readonly kind: 'row'; readonly row: number }
	| { readonly kind: 'place'; readonly row: number; readonly place: number }
	| { readonly kind: 'part'; readonly name: string };

export interface HostRow {
	readonly id: Id;
	places(): readonly Id[];
}

/** What of a section pieces may sit on. */
export interface Hosts {
	/** Rows, lowest first, with the places in each; null where it is not built of rows. */
	readonly rows: readonly HostRow[] | null;
	/** What is called by a name of its own. */
	readonly named: readonly { readonly name: string; readonly host: Host }[];
	/** Any point along it. */
	readonly along: boolean;
	/** Parts called by where they are; none where it has rows or pieces for that. */
	readonly spots?: readonly { readonly name: string }[];
}

/** Something of a draft that can be moved, counted and taken out by itself. */
export interface Movable {
	readonly id: Id;
	count?: number;
	/** Layers, clusters, strings alike. */
	repeat?: number;
	/** Between how many, until it is built. */
	range?: unknown;
}

/** What a kind says as a document. */
export interface RefsFacet<S> {
	/** One of its parts, at the beginning of a sentence. */
	readonly part: string;
	/** Comes only with what carries it: pieces, lines. Nothing stands by it. */
	readonly accompanies: boolean;
	/** The one walk over what it names; what it never asks the map for, it does not name. */
	mapRefs(structure: S, map: RefMap): S;
	/** The structure cut into its parts, each as if it were alone: what each of them names. */
	alone(structure: S): readonly S[];
	/** Everything of it with an id of its own. @param section name of the section */
	parts(structure: S, section: string): readonly Part[];
	/** Lists whose parts have an order, can be counted and taken out. */
	lists(draft: Mutable<S>): Movable[][];
	/** What pieces may sit on. */
	hosts(structure: S): Hosts;
	/** What its own pieces sit on; most kinds have none that do. */
	sitsOn?(structure: S): readonly Host[];
	/** What its limbs go over to, which may be of another section than the one it stands by. */
	reaches?(structure: S): readonly Host[];
	/** The design it is, where it is one; null where nothing is inside. */
	nested(structure: S): DesignUse | null;
}
