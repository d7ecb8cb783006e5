import type { Kind, Of, StructureOf } from '../structures/kinds.ts';
import type { Hazard } from './hazard.ts';

const none = (): Hazard[] => [];

/** What of each kind can hurt somebody, besides what is in its bill. */
const HAZARDS_OF: { readonly [K in Kind]: (structure: StructureOf[K]) => Hazard[] } = {
	stack: none,
	extras: none,
	bunch: none,
	design: none,
	applied: ({ pieces }) => [
		...(pieces.some((p) => p.fixing === 'glue') ? (['glue'] as const) : []),
		...(pieces.some((p) => p.fixing === 'tie') ? (['line'] as const) : [])
	],
	/** Doors and arches of tube are gone through; cut tube has edges. */
	frame: ({ shape }) => (shape.of === 'door' || shape.of === 'arc' ? ['under'] : []),
	form: ({ pieces }) => (pieces.some((p) => p.neckOff || p.take.kind === 'cut') ? ['scissors'] : []),
	/** Arches, frames of a doorway: what has an inside people go through. */
	run: ({ hung, path }) => [
		...(hung === null ? [] : (['hung'] as const)),
		...(path.kind === 'arch' || (path.kind === 'corners' && path.legs.length > 2) ? (['under'] as const) : [])
	],
	/** Bent over a way, or with a handle: a tunnel, a basket. */
	weave: ({ hung, chord, handle }) => [
		...(hung === null ? [] : (['hung'] as const)),
		...(chord !== null || handle !== null ? (['under'] as const) : [])
	]
};

export const hazardsOfStructure = <K extends Kind>(s: Of<K>): Hazard[] => HAZARDS_OF[s.kind](s);
