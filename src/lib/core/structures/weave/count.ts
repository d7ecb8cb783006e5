import { ONE_THING } from '../kit/one-thing.ts';
import { bowOver, type Bow } from '../../geometry/arc.ts';
import {
	plainTask,
	clusterTasks,
	sizingTasks,
	methodOfPlace,
	type Task,
	type TaskCount
} from '../../labour/task.ts';
import type { Colourway } from '../../document/slot.ts';
import { inRows, type Connector, type Weave, type WovenKind } from './document.ts';
import { resolveSize } from '../../sizing/resolve.ts';
import type { PumpProfile } from '../../sizing/strokes.ts';
import { rational } from '../../units/rational.ts';
import { insideNeeds, ownNeed, ownTasks } from '../kit/filled.ts';
import { hangersOf, hungNeeds } from '../kit/hung.ts';
import type { Need } from '../kit/need.ts';
import { partNeed } from '../kit/part-need.ts';
import type { CountFacet } from '../facets/count.ts';
import { graphOf, wovenCount } from './graph.ts';

/** From knot to knot over the inflated size. Links: common practice, eight 10-inch links make about 8 ft. Rounds: house rule. */
const PITCH: Readonly<Record<WovenKind, number>> = { 'latex-link': 1.2, 'latex-round': 0.9 };
/** From row to row over the inflated size. House rule: small connectors keep rows of links a little apart. */
const ROW: Readonly<Record<WovenKind, number>> = { 'latex-link': 1, 'latex-round': 0.9 };

/** Balloons in a connector. */
export const IN_CONNECTOR: Readonly<Record<Connector, number>> = { none: 0, single: 1, duplet: 2, quad: 4 };

/** How large a weave is, mm. */
export interface WeaveSize {
	/** From knot to knot, and from row to row. */
	readonly pitch: number;
	readonly row: number;
	/** Of the lowest row over where it would be, so that its balloons stand on the floor. */
	readonly lift: number;
	readonly width: number;
	readonly height: number;
	/** Of a cage: from front to back; null is as thick as its balloons. */
	readonly deep: number | null;
	/** Of a ring: its width across. */
	readonly across: number | null;
	/** Bent over a chord; undefined where the chord is longer than the weave, null where it is flat. */
	readonly bow: Bow | undefined | null;
	readonly handle: (Bow & { readonly wanted: number | null }) | undefined | null;
}

export function sizeOfWeave(weave: Weave, pumps: readonly PumpProfile[] = []): WeaveSize {
	const { woven, shape, chord, handle } = weave;
	const d = resolveSize(woven.size, woven.nominal, pumps).assumed;
	const graph = graphOf(weave);
	const pitch = d * PITCH[woven.kind];
	// What is not woven in rows goes by the balloon both ways.
	const row = inRows(shape) ? d * ROW[woven.kind] : pitch;
	// The corners of a cage are balloons too: half of one stands out at each.
	const corners = shape === 'cage' && graph.width > 0 ? d : 0;
	const width = graph.width * pitch + corners;
	const bow = handle && bowOver(Math.max(1, handle.links) * pitch, handle.chord / 1000);
	return {
		pitch,
		row,
		lift: Math.max(0, (d - row) / 2),
		width,
		height: graph.height * row + corners,
		deep: shape === 'cage' && weave.base ? weave.base.across * pitch + corners : null,
		across: shape === 'ring' ? width / Math.PI : null,
		bow: chord === null || width === 0 ? null : bowOver(width, chord / 1000),
		handle:
			handle === null ? null : bow && { ...bow, wanted: handle.rise === null ? null : handle.rise / 1000 }
	};
}

/** Small balloons of all connectors. */
export const joinersOf = (weave: Weave): number =>
	graphOf(weave).places.reduce((a, p) => a + IN_CONNECTOR[weave.joints[p.joint]], 0);

/** Rounds in its bays. */
export const fillersOf = (weave: Weave): number => (weave.filler ? graphOf(weave).bays.length : 0);

/** Links by slot; null is hidden. */
function bySlot(weave: Weave): Map<string | null, number> {
	const counts = new Map<string | null, number>();
	for (const { slot } of graphOf(weave).woven) counts.set(slot, (counts.get(slot) ?? 0) + 1);
	return counts;
}

/** The joints that something holds. */
export const heldOf = (weave: Weave) => graphOf(weave).places.filter((p) => weave.joints[p.joint] !== 'none');

function needs(weave: Weave, colourway: Colourway | undefined): Need[] {
	const { woven, joiner } = weave;
	const found: Need[] = [];
	for (const [slot, count] of bySlot(weave))
		found.push({
			what: 'balloon',
			kind: woven.kind,
			nominal: woven.nominal,
			slot: slot ?? '',
			colour: slot === null ? null : (colourway?.fills[slot] ?? null),
			material: null,
			size: woven.size,
			method: methodOfPlace(woven),
			...(slot === null ? { any: true as const } : {}),
			quantity: rational(count)
		});
	const joiners = joinersOf(weave);
	if (joiner && joiners > 0) found.push(ownNeed(joiner, colourway, joiners));
	const fillers = fillersOf(weave);
	if (weave.filler && fillers > 0)
		found.push(ownNeed(weave.filler, colourway, fillers), ...insideNeeds(weave.filler, colourway, fillers));
	found.push(...hungNeeds(weave, sizeOfWeave(weave).width));
	const { woven: links } = graphOf(weave);
	// A ring closes on itself, a honeycomb has no four.
	const corners = links.length > 0 && weave.shape !== 'ring' && weave.shape !== 'honeycomb' ? 4 : 0;
	found.push(...partNeed('corner of a weave', corners), ...partNeed('held joint', heldOf(weave).length));
	return found;
}

function tasks(weave: Weave): TaskCount[] {
	const { woven, joiner } = weave;
	const { woven: links } = graphOf(weave);
	const found: TaskCount[] = [];
	const push = (task: Task, count: number) => {
		if (count > 0) found.push(plainTask(task, count));
	};
	if (links.length > 0) found.push(...sizingTasks(woven, links.length));
	// Every balloon is tied to the one before it.
	push('tie', links.length);
	const held = heldOf(weave);
	const joiners = joinersOf(weave);
	if (joiner && joiners > 0) {
		found.push(...ownTasks(joiner, joiners));
		for (const of of [2, 4])
			found.push(...clusterTasks(of, held.filter((p) => IN_CONNECTOR[weave.joints[p.joint]] === of).length));
	}
	const fillers = fillersOf(weave);
	if (weave.filler && fillers > 0) found.push(...ownTasks(weave.filler, fillers));
	push('infill', fillers);
	push('weave', held.length);
	push('hang', hangersOf(weave, sizeOfWeave(weave).width));
	return found;
}

/** Panel, basket, wall, ring. */
export const count: CountFacet<Weave> = {
	sold: 'panel',
	soldBy: (weave, pumps) => (graphOf(weave).woven.length > 0 ? sizeOfWeave(weave, pumps).width : 0),
	balloons: (w) => (graphOf(w).woven.length || wovenCount(w)) + (w.joiner ? joinersOf(w) : 0) + fillersOf(w),
	...ONE_THING,
	needs,
	tasks,
	site: (weave) => {
		if (graphOf(weave).woven.length === 0) return null;
		const { width, height } = sizeOfWeave(weave);
		return weave.hung ? { how: 'along', mm: width } : { how: 'stands', mm: Math.max(width, height) };
	}
};
