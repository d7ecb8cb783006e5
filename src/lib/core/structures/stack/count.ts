import { placeStack } from './place.ts';
import { type PlaceRun, runsOf } from '../kit/alike.ts';
import { ONE_THING } from '../kit/one-thing.ts';
import {
	methodOfPlace,
	plainTask,
	clusterTasks,
	sizingTasks,
	type Method,
	type Task,
	type TaskCount
} from '../../labour/task.ts';
import { slotAt } from '../../document/pattern.ts';
import { balloonCount, layerCount, type Layer, type Stack } from './document.ts';
import type { Cluster, Place } from '../../document/cluster.ts';
import type { Colourway } from '../../document/slot.ts';
import { sizeKey } from '../../sizing/size.ts';
import { rational } from '../../units/rational.ts';
import { balloonsIn, insideNeeds, insideTasks, isTreated, twinWords } from '../kit/filled.ts';
import type { Need } from '../kit/need.ts';
import { partNeed } from '../kit/part-need.ts';
import { withBothEnds } from '../kit/ends.ts';
import type { CountFacet } from '../facets/count.ts';

/** A stack with as few or as many layers as it may have. */
const atEnd = (stack: Stack, end: 'low' | 'high'): Stack => ({
	...stack,
	layers: stack.layers.map(({ range, ...layer }) => ({ ...layer, repeat: range?.[end] ?? layer.repeat }))
});
function needsOfRows(stack: Stack, colourway: Colourway | undefined): Need[] {
	const found = new Map<string, { place: Place; slot: string; count: number }>();
	const filled: Need[] = [];
	let ringOfStack = 0;
	for (const layer of stack.layers) {
		for (const cluster of layer.clusters) {
			for (const run of runsOf(cluster)) {
				const { place } = run;
				const alike = `${place.kind}/${place.nominal}/${sizeKey(place.size)}/${place.method ?? ''}/${place.material ?? ''}/${place.twin ?? ''}/${place.or ?? ''}/`;
				if (isTreated(place))
					filled.push(...insideNeeds(place, colourway, balloonsIn(place, run.count) * layer.repeat));
				for (const [slot, count] of slotCounts(layer, cluster, run, ringOfStack)) {
					const key = alike + slot;
					const sum = found.get(key);
					if (sum) sum.count += count;
					else found.set(key, { place, slot, count });
				}
			}
		}
		ringOfStack += layer.repeat;
	}
	const balloons = [...found.values()].map(({ place, slot, count }): Need => ({
		what: 'balloon',
		kind: place.kind,
		nominal: place.nominal,
		slot,
		colour: colourway?.fills[slot] ?? null,
		material: place.material,
		size: place.size,
		method: methodOfPlace(place),
		...(place.twin && { look: twinWords(place) }),
		...(place.or !== undefined && { or: place.or }),
		quantity: rational(count, place.twin ? 2 : 1)
	}));
	return [
		...balloons,
		...filled,
		...uprightNeeds(stack),
		...joiningNeeds(stack),
		...partNeed('row', ringOfStack),
		...partNeed(
			'cluster',
			stack.layers.reduce((a, l) => a + l.repeat * l.clusters.filter((c) => c.places.length > 1).length, 0)
		)
	];
}

/** How often a run of places takes each slot over the repeats of its row. */
function slotCounts(
	layer: Layer,
	{ pattern, places }: Cluster,
	run: PlaceRun,
	ringOfStack: number
): Map<string, number> {
	const said = run.place.slot ?? (pattern.kind === 'same' ? pattern.slot : null);
	if (said !== null) return new Map([[said, layer.repeat * run.count]]);
	const counts = new Map<string, number>();
	for (let k = 0; k < layer.repeat; k++) {
		for (let place = run.from; place < run.from + run.count; place++) {
			const slot = slotAt(pattern, {
				place,
				ringOfRow: k,
				ringOfStack: ringOfStack + k,
				rings: layer.repeat,
				places: places.length
			});
			counts.set(slot, (counts.get(slot) ?? 0) + 1);
		}
	}
	return counts;
}

function uprightNeeds({ upright }: Stack): Need[] {
	if (upright.kind === 'none') return [];
	return [{ what: 'material', material: upright.material, label: upright.kind, quantity: rational(1) }];
}

/** Balloons that touch the floor: the lower tier of the first row. Bill, plan and labour count from here. */
export function floorContacts({ layers, onFloor }: Stack): number {
	const first = layers[0];
	if (!first || !onFloor) return 0;
	return first.clusters.reduce((a, c) => a + (c.tier === 0 ? c.places.length : 0), 0);
}

function joiningNeeds(stack: Stack): Need[] {
	const needs: Need[] = [];
	const contacts = floorContacts(stack);
	if (contacts > 0) needs.push({ what: 'count', of: 'floor contact', quantity: rational(contacts) });
	let [tied, lined] = [0, 0];
	stack.layers.forEach((layer, row) => {
		const joined = layer.repeat - (row === 0 ? 1 : 0);
		const joining = layer.joining ?? stack.joining;
		if (joining === 'modelling balloon') tied += joined * layer.clusters.length;
		if (joining === 'line') lined += joined;
	});
	if (tied > 0)
		needs.push({ what: 'count', of: 'cluster tied with a modelling balloon', quantity: rational(tied) });
	if (lined > 0) needs.push({ what: 'count', of: 'layer tied with line', quantity: rational(lined) });
	return needs;
}

function tasksOfRows(stack: Stack): TaskCount[] {
	const counts = new Map<
		string,
		{ task: Task; method: Method | null; count: number; batches: Set<string> }
	>();
	const add = ({ task, method, count: by, batches }: TaskCount) => {
		const key = `${task}/${method}`;
		const sum = counts.get(key);
		if (!sum) counts.set(key, { task, method, count: by, batches: new Set(batches) });
		else {
			sum.count += by;
			for (const batch of batches) sum.batches.add(batch);
		}
	};
	for (const layer of stack.layers) {
		for (const cluster of layer.clusters) {
			for (const { place, count } of runsOf(cluster)) {
				const all = layer.repeat * balloonsIn(place, count);
				sizingTasks(place, all).forEach(add);
				add(plainTask('tie', all));
				if (isTreated(place)) insideTasks(place, all).forEach(add);
			}
			clusterTasks(cluster.places.length, layer.repeat).forEach(add);
		}
	}
	// Every cluster is tied to what stands already.
	const clusters = stack.layers.reduce((a, l) => a + l.repeat * l.clusters.length, 0);
	if (clusters > 1) add(plainTask('attach', clusters - 1));
	if (floorContacts(stack) > 0) add(plainTask('patch', floorContacts(stack)));
	if (stack.upright.kind !== 'none') add(plainTask('upright', 1));
	return [...counts.values()].map((c) => ({ ...c, batches: [...c.batches] }));
}

/** Column, pillar, figure: layers from the floor up, with or without an upright. */
export const count: CountFacet<Stack> = {
	sold: 'column',
	soldBy: (stack, pumps) => (layerCount(stack) > 0 ? placeStack(stack, pumps).overall.usual : 0),
	balloons: balloonCount,
	...ONE_THING,
	...withBothEnds({ needs: needsOfRows, tasks: tasksOfRows }, (stack) =>
		stack.layers.some((l) => l.range) ? { low: atEnd(stack, 'low'), high: atEnd(stack, 'high') } : undefined
	),
	site: (stack) =>
		layerCount(stack) === 0
			? null
			: {
					how:
						!stack.onFloor && stack.on === undefined && stack.upright.kind === 'none'
							? 'on a table'
							: 'stands',
					mm: placeStack(stack).overall.usual
				}
};
