import type { CountRange } from '../../document/count-range.ts';
import type { Id, NewId } from '../../document/id.ts';
import type { Mutable } from '../../document/mutable.ts';
import { MOST_IN_CLUSTER, MOST_REPEATS } from '../../document/limits.ts';
import type { Cluster, Place } from '../../document/cluster.ts';
import { slotsOf, type Pattern } from '../../document/pattern.ts';
import type { Size } from '../../sizing/size.ts';
import { inches, type Micrometres } from '../../units/length.ts';
import type { PatternKind } from '../kit/by-hand.ts';
import { anew } from '../kit/anew.ts';
import { newPlace } from '../kit/build-cluster.ts';
import type { Layer, Stack } from './document.ts';

/** A pattern of other colours, or of another kind: one colour is the same everywhere. @param slots one or more */
export function patternOf(kind: PatternKind, slots: readonly Id[], before?: Pattern): Pattern {
	if (slots.length < 2) return { kind: 'same', slot: slots[0]! };
	if (kind === 'spiral')
		return { kind, slots: [...slots], hand: before?.kind === 'spiral' ? before.hand : 'right' };
	if (kind !== 'blocks') return { kind, slots: [...slots] };
	const rings = before?.kind === 'blocks' ? before.blocks : [];
	return { kind, blocks: slots.map((slot, i) => ({ slot, rings: rings[i]?.rings ?? 1 })) };
}

/** The colours of a pattern in their order, each as often as it is said. */
export const coloursOf = (pattern: Pattern): readonly Id[] =>
	pattern.kind === 'same' ? [pattern.slot] : pattern.kind === 'blocks' ? slotsOf(pattern) : pattern.slots;

/** What all balloons of a cluster have in common; null where they are unlike each other in it. */
export interface ClusterFields {
	readonly count: number;
	readonly nominal: Micrometres | null;
	readonly size: Size | null;
}

export function fieldsOf({ places }: Cluster): ClusterFields {
	const [first] = places as readonly [Place, ...Place[]];
	const alike = <K extends 'nominal' | 'size'>(key: K) =>
		places.every((p) => JSON.stringify(p[key]) === JSON.stringify(first[key])) ? first[key] : null;
	return { count: places.length, nominal: alike('nominal'), size: alike('size') };
}

/** More balloons in a cluster are like its last one; fewer are taken from its end. @returns false past the limits */
export function setCount(cluster: Mutable<Cluster>, count: number, newId: NewId): boolean {
	if (!Number.isInteger(count) || count < 1 || count > MOST_IN_CLUSTER) return false;
	const last = cluster.places.at(-1)!;
	// Two bubbles are one balloon: one more is both of another, one less takes both.
	if (last.twin && count % 2 === 1)
		return setCount(cluster, count + (count > cluster.places.length ? 1 : -1), newId);
	while (cluster.places.length < count) cluster.places.push({ ...last, id: newId(), side: null });
	cluster.places.length = count;
	return true;
}

/** Another bag or another inflated size for all balloons of a cluster. What a certain material was chosen for is gone. */
export function setBalloon(
	cluster: Mutable<Cluster>,
	{ nominal, size }: { readonly nominal: Micrometres; readonly size: Size }
): void {
	for (const place of cluster.places) {
		if (place.nominal !== nominal) place.material = null;
		Object.assign(place, { nominal, size, method: null });
	}
}

/** Other colours for a cluster; places with a colour of their own take part again. */
export function setPattern(cluster: Mutable<Cluster>, pattern: Pattern): void {
	cluster.pattern = pattern as Mutable<Pattern>;
	for (const place of cluster.places) place.slot = null;
}

export function setRepeat(layer: Mutable<Layer>, repeat: number, range?: CountRange): boolean {
	if (!Number.isInteger(repeat) || repeat < 1 || repeat > MOST_REPEATS) return false;
	layer.repeat = repeat;
	delete layer.range;
	if (range) layer.range = range;
	return true;
}

/** A row for the top of a stack: like the one below; the first one four elevens at 9. @param slot for the first one */
export function newRow({ layers }: Pick<Stack, 'layers'>, slot: Id, newId: NewId): Layer {
	const below = layers.at(-1);
	if (below) return { ...anew(below, newId), repeat: 1 };
	const size: Size = { kind: 'value', um: inches(9), unit: 'in', origin: 'typed' };
	const places = Array.from({ length: 4 }, () => newPlace(newId(), inches(11), size));
	const pattern: Pattern = { kind: 'same', slot };
	return {
		id: newId(),
		clusters: [{ id: newId(), places, side: 'all', tier: 0, pattern }],
		repeat: 1,
		turn: 'half',
		joining: null
	};
}
