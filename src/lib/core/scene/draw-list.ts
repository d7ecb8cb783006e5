import type { Catalogue } from '../materials/catalogue.ts';
import type { Finish } from '../materials/material.ts';
import type { Colourway, Stack } from '../recipe/recipe.ts';
import { slotOfPlace, type PlacedStack } from '../structures/stack.ts';

export const VIEWS = ['front', 'side', 'plan'] as const;
export type View = (typeof VIEWS)[number];

/** A circle of the picture, mm; x to the right, y up from the floor. */
export interface Disc {
	readonly x: number;
	readonly y: number;
	readonly r: number;
	/** Index into {@link DrawList.paints}. */
	readonly paint: number;
	/** Row of the recipe it belongs to, -1 for none. */
	readonly row: number;
}

/** What paints a picture anywhere: on screen, on paper, in a frozen quote. Plain data, back to front. */
export interface DrawList {
	readonly view: View;
	readonly paints: readonly { readonly hex: string; readonly finish: Finish }[];
	readonly discs: readonly Disc[];
	/** The upright, mm from the floor up, at the axis; null without one or where nothing of it would show. */
	readonly pole: { readonly height: number } | null;
	/** Overall height and half width, mm. */
	readonly height: number;
	readonly halfWidth: number;
}

/** What an open slot is drawn in. */
const OPEN = { hex: '#c9ccd2', finish: 'matte' as Finish };
/** Largest picture drawn; more would be noise. */
export const MOST_DISCS = 6000;

/** Projects a placed stack to a view: orthographic, depth-sorted back to front. */
export function drawStack(
	stack: Stack,
	placed: PlacedStack,
	{ colourway, catalogue, view }: { colourway: Colourway | undefined; catalogue: Catalogue; view: View }
): DrawList {
	const paints: { hex: string; finish: Finish }[] = [];
	const paintOf = new Map<string, number>();
	const paint = (colourId: string | null): number => {
		const key = colourId ?? '';
		const had = paintOf.get(key);
		if (had !== undefined) return had;
		const colour = colourId === null ? undefined : catalogue.colours.get(colourId);
		paints.push(colour ? { hex: colour.hex, finish: colour.finish } : OPEN);
		paintOf.set(key, paints.length - 1);
		return paints.length - 1;
	};
	const discs: (Disc & { depth: number })[] = [];
	let halfWidth = 0;
	placed.layers.forEach((layer, index) => {
		const ring = placed.rings[index]!;
		layer.rings.forEach((balls, c) => {
			const cluster = ring.layer.clusters[c]!;
			balls.forEach((ball, place) => {
				if (discs.length >= MOST_DISCS) return;
				const slot = slotOfPlace(cluster, place, ring);
				const [x, y, depth] =
					view === 'front'
						? [ball.x, ball.z, -ball.y]
						: view === 'side'
							? [ball.y, ball.z, ball.x]
							: [ball.x, ball.y, ball.z];
				halfWidth = Math.max(halfWidth, Math.abs(x) + ball.d / 2);
				discs.push({
					x,
					y,
					r: ball.d / 2,
					paint: paint(colourway?.fills[slot] ?? null),
					row: ring.row,
					depth
				});
			});
		});
	});
	discs.sort((a, b) => a.depth - b.depth);
	const upright =
		stack.upright.kind === 'none' || stack.upright.length === null ? null : stack.upright.length / 1000;
	return {
		view,
		paints,
		discs: discs.map(({ x, y, r, paint: p, row }) => ({
			x: tenth(x),
			y: tenth(y),
			r: tenth(r),
			paint: p,
			row
		})),
		pole: upright !== null && view !== 'plan' ? { height: upright } : null,
		height: placed.overall.usual,
		halfWidth
	};
}

/** A tenth of a millimetre is finer than any screen or paper here. */
const tenth = (value: number): number => Math.round(value * 10) / 10;
