import type { Colourway } from '../../document/slot.ts';
import type { PumpProfile } from '../../sizing/strokes.ts';
import type { CardClass } from '../../pricing/basis.ts';
import type { SitePiece } from '../../labour/site.ts';
import type { TaskCount } from '../../labour/task.ts';
import type { Rational } from '../../units/rational.ts';
import { count as applied } from '../applied/count.ts';
import { count as bunch } from '../bunch/count.ts';
import { count as design } from '../design/count.ts';
import { count as extras } from '../extras/count.ts';
import type { CountFacet, Cuts, Plates, ShopSheet } from '../facets/count.ts';
import { count as form } from '../form/count.ts';
import { count as frame } from '../frame/count.ts';
import type { Kind, Of, Structure, StructureOf } from '../kinds.ts';
import type { Need } from '../kit/need.ts';
import { count as run } from '../run/count.ts';
import { count as stack } from '../stack/count.ts';
import { count as weave } from '../weave/count.ts';

const COUNTS: { readonly [K in Kind]: CountFacet<StructureOf[K]> } = {
	stack,
	applied,
	extras,
	bunch,
	form,
	run,
	weave,
	frame,
	design
};

/** Balloons of one, before anything is worked out. */
export const balloonsOf = <K extends Kind>(s: Of<K>): number => COUNTS[s.kind].balloons(s);

/** What is counted in one besides balloons: pieces, lines. */
export const piecesOf = <K extends Kind>(s: Of<K>): Rational => COUNTS[s.kind].pieces(s);

/** Things of one that the picture places one by one, at least one. */
export const placedIn = <K extends Kind>(s: Of<K>): Rational => COUNTS[s.kind].placed(s);

/** Tube one is cut of; undefined where it is of none. */
export const cutsOf = <K extends Kind>(s: Of<K>): Cuts | undefined => COUNTS[s.kind].cuts?.(s);

/** Plates one stands on; null where it has none. */
export const platesIn = <K extends Kind>(s: Of<K>): Plates | null => COUNTS[s.kind].plates?.(s) ?? null;

/** What the workshop makes of one; undefined where that is nothing. */
export const sheetOf = <K extends Kind>(s: Of<K>): ShopSheet | undefined => COUNTS[s.kind].sheet?.(s);

const workOutNeeds = <K extends Kind>(s: Of<K>, colourway: Colourway | undefined): Need[] =>
	COUNTS[s.kind].needs(s, colourway);
const workOutTasks = <K extends Kind>(s: Of<K>): TaskCount[] => COUNTS[s.kind].tasks(s);

/** The class of one on a rate card. */
export const soldAs = <K extends Kind>(s: Of<K>): CardClass => COUNTS[s.kind].sold;

const workOutSite = <K extends Kind>(s: Of<K>): SitePiece | null => COUNTS[s.kind].site(s);
const workOutSold = <K extends Kind>(s: Of<K>, pumps: readonly PumpProfile[]): number =>
	COUNTS[s.kind].soldBy(s, pumps);

const sitesKept = new WeakMap<Structure, { readonly site: SitePiece | null }>();
const soldKept = new WeakMap<Structure, { readonly pumps: readonly PumpProfile[]; readonly mm: number }>();

/** How one comes to its place, kept as its needs are. */
export function siteOfStructure(s: Structure): SitePiece | null {
	const kept = sitesKept.get(s) ?? { site: workOutSite(s) };
	sitesKept.set(s, kept);
	return kept.site;
}

/** What one is sold by the foot of, mm, kept while the pumps are the same. */
export function soldBy(s: Structure, pumps: readonly PumpProfile[]): number {
	const before = soldKept.get(s);
	if (before?.pumps === pumps) return before.mm;
	const mm = workOutSold(s, pumps);
	soldKept.set(s, { pumps, mm });
	return mm;
}

const needsKept = new WeakMap<
	Structure,
	{ readonly colourway: Colourway | undefined; readonly needs: readonly Need[] }
>();
const tasksKept = new WeakMap<Structure, readonly TaskCount[]>();

/** What one takes. Structures never change: kept until it is asked for in other colours. */
export function needsOf(s: Structure, colourway: Colourway | undefined): readonly Need[] {
	const cached = needsKept.get(s);
	if (cached && cached.colourway === colourway) return cached.needs;
	const needs = workOutNeeds(s, colourway);
	needsKept.set(s, { colourway, needs });
	return needs;
}

/** The work of one, kept as its needs are. */
export function tasksOf(s: Structure): readonly TaskCount[] {
	const tasks = tasksKept.get(s) ?? workOutTasks(s);
	tasksKept.set(s, tasks);
	return tasks;
}
