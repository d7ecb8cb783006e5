import type { Id } from '../../document/id.ts';
import { cageCount, cageGraph } from './cage.ts';
import type { GridPoint, Place, Woven, WeaveGraph } from './grid.ts';
import type { Joint, Weave, WeaveRow } from './document.ts';

const kept = new WeakMap<Weave, WeaveGraph>();

/** Most balloons a weave is worked out with; what goes over it is refused by its count alone. */
const MOST_WOVEN = 100_000;
const NOTHING: WeaveGraph = { woven: [], places: [], bays: [], width: 0, height: 0 };

/** Balloons of a weave without its connectors, counted without weaving it: of a honeycomb never too few. */
export function wovenCount({ shape, rows, base, cage, handle }: Weave): number {
	if (shape === 'cage') return cageCount({ base, cage });
	if (shape === 'base') return base ? 2 * (base.along + base.across) + base.cross * base.across : 0;
	const cells = rows.reduce((a, r) => a + r.repeat * r.blocks.reduce((b, block) => b + block.count, 0), 0);
	return shape === 'honeycomb' ? 6 * cells : cells + (handle?.links ?? 0);
}

/**
 * The balloons of a weave and the places that are held.
 *
 * Rows are strings of balloons tied end to end. Connectors stand on the boundaries between rows, both edges counted, at
 * so many of so many joints along each, every next boundary moved on. Common practice: 4 strings of 8 have 18 such places,
 * 4 and 4 on the edges, 3, 4, 3 inside. A handle's feet take two places of the top edge.
 */
export function graphOf(weave: Weave): WeaveGraph {
	const graph = kept.get(weave) ?? (wovenCount(weave) > MOST_WOVEN ? NOTHING : make(weave));
	kept.set(weave, graph);
	return graph;
}

/** Rows written out, lowest first: their repeats, and the slot of each balloon along them. */
const stringsOf = (rows: readonly WeaveRow[]): { row: Id; slots: (Id | null)[] }[] =>
	rows.flatMap(({ id, repeat, blocks }) => {
		const slots = blocks.flatMap(({ slot, count }) => Array<Id | null>(count).fill(slot));
		return Array.from({ length: repeat }, () => ({ row: id, slots }));
	});

function make(weave: Weave): WeaveGraph {
	switch (weave.shape) {
		case 'panel':
		case 'ring':
			return panel(weave, weave.shape === 'ring');
		case 'honeycomb':
			return honeycomb(weave);
		case 'base':
			return base(weave);
		case 'cage':
			return cageGraph(weave, stringsOf(weave.rows));
	}
}

function panel({ rows, take, of, stagger, handle }: Weave, closed: boolean): WeaveGraph {
	const strings = stringsOf(rows);
	const woven = strings.flatMap(({ row, slots }, r) =>
		slots.map((slot, i): Woven => ({ row, slot, from: [i, r + 0.5], to: [i + 1, r + 0.5] }))
	);
	const places: Place[] = [];
	const bays: GridPoint[] = [];
	const wide = (r: number) => strings[r]?.slots.length;
	for (let b = 0; b <= strings.length && strings.length > 0; b++) {
		// A boundary is as long as the shorter of the two rows that meet there.
		const length = Math.min(wide(b - 1) ?? Infinity, wide(b) ?? Infinity);
		const joints = closed ? length : length - 1;
		const joint: Joint = b === 0 && closed ? 'base' : b === 0 || b === strings.length ? 'edge' : 'inner';
		// Between two rows, beside every held joint, a bay is open.
		if (joint === 'inner') for (let j = 0; j < length; j++) bays.push([j + 0.5, b]);
		for (let j = 0; j < joints; j++)
			if ((j + b * stagger) % of < take) places.push({ joint, at: [j + 1, b], end: 'both' });
	}
	strings.forEach(({ slots }, r) => {
		if (closed || slots.length === 0) return;
		places.push(
			{ joint: 'ends', at: [0, r + 0.5], end: 'nozzle' },
			{ joint: 'ends', at: [slots.length, r + 0.5], end: 'tail' }
		);
	});
	const width = strings.reduce((a, s) => Math.max(a, s.slots.length), 0);
	if (!handle || strings.length === 0) return { woven, places, bays, width, height: strings.length };
	return withHandle({ woven, places, bays, width, height: strings.length }, handle);
}

/** Its feet stand on the first and the last place of the top edge, which are then theirs. */
function withHandle(graph: WeaveGraph, { links, slot }: NonNullable<Weave['handle']>): WeaveGraph {
	const top = graph.places.filter((p) => p.joint === 'edge' && p.at[1] === graph.height);
	const feet = [top[0], top.at(-1)].filter((p, i, all) => p !== undefined && all.indexOf(p) === i);
	const woven = Array.from({ length: links }, (_, i): Woven => ({
		row: null,
		slot,
		from: [i, graph.height],
		to: [i + 1, graph.height]
	}));
	const joints = Array.from({ length: Math.max(0, links - 1) }, (_, i): Place => ({
		joint: 'handle',
		at: [i + 1, graph.height],
		end: 'both'
	}));
	const own: Place[] = [0, links].map((i) => ({
		joint: 'foot',
		at: [i, graph.height],
		end: i === 0 ? 'nozzle' : 'tail'
	}));
	return {
		...graph,
		woven: [...graph.woven, ...woven],
		places: [...graph.places.filter((p) => !feet.includes(p)), ...joints, ...own]
	};
}

/** A rectangle of balloons, closed, with cross pieces from one long side to the other. */
function base({ base: size, rows }: Weave): WeaveGraph {
	if (!size) return NOTHING;
	const { along, across, cross } = size;
	const slots = stringsOf(rows)[0] ?? { row: null, slots: [null] };
	let next = 0;
	const one = (from: readonly [number, number], to: readonly [number, number]): Woven => ({
		row: slots.row,
		slot: slots.slots[next++ % slots.slots.length] ?? null,
		from,
		to
	});
	const woven: Woven[] = [];
	for (let i = 0; i < along; i++) woven.push(one([i, 0], [i + 1, 0]));
	for (let i = 0; i < across; i++) woven.push(one([along, i], [along, i + 1]));
	for (let i = along; i > 0; i--) woven.push(one([i, across], [i - 1, across]));
	for (let i = across; i > 0; i--) woven.push(one([0, i], [0, i - 1]));
	const places = woven.map((w): Place => ({ joint: 'base', at: w.to, end: 'both' }));
	for (let c = 1; c <= cross; c++) {
		const x = (c * along) / (cross + 1);
		for (let i = 0; i < across; i++) woven.push(one([x, i], [x, i + 1]));
		for (let i = 1; i < across; i++) places.push({ joint: 'inner', at: [x, i], end: 'both' });
		places.push(
			{ joint: 'ends', at: [x, 0], end: 'nozzle' },
			{ joint: 'ends', at: [x, across], end: 'tail' }
		);
	}
	return { woven, places, bays: [], width: along, height: across };
}

/** Cells of six, sharing their sides: points up, every second row moved by half a cell. The unit is one side. */
function honeycomb({ rows }: Weave): WeaveGraph {
	const strings = stringsOf(rows);
	const sides = new Map<string, Woven>();
	const bays: GridPoint[] = [];
	const corners = new Map<string, { at: readonly [number, number]; sides: number }>();
	const wide = Math.sqrt(3);
	const key = ([x, z]: readonly [number, number]) => `${Math.round(x * 1000)}/${Math.round(z * 1000)}`;
	strings.forEach(({ row, slots }, r) =>
		slots.forEach((slot, c) => {
			const middle = [(c + 0.5 + (r % 2) / 2) * wide, 1 + r * 1.5] as const;
			bays.push(middle);
			const ring = Array.from({ length: 6 }, (_, k) => {
				const angle = Math.PI / 2 + (k * Math.PI) / 3;
				return [middle[0] + Math.cos(angle), middle[1] + Math.sin(angle)] as const;
			});
			ring.forEach((from, k) => {
				const to = ring[(k + 1) % 6]!;
				const own = [key(from), key(to)].sort().join(':');
				// A side that two cells share is one balloon; it has the colour of the one below.
				if (sides.has(own)) return;
				sides.set(own, { row, slot, from, to });
				for (const at of [from, to]) {
					const corner = corners.get(key(at)) ?? { at, sides: 0 };
					corner.sides++;
					corners.set(key(at), corner);
				}
			});
		})
	);
	const places = [...corners.values()].map(({ at, sides: n }): Place => ({
		joint: n > 2 ? 'inner' : 'edge',
		at,
		end: 'both'
	}));
	const width = strings.reduce((a, s, r) => Math.max(a, (s.slots.length + (r % 2) / 2) * wide), 0);
	return {
		woven: [...sides.values()],
		places,
		bays,
		width,
		height: strings.length > 0 ? 2 + (strings.length - 1) * 1.5 : 0
	};
}
