import type { Catalogue } from '../materials/catalogue.ts';
import type { Finish } from '../materials/material.ts';
import type { Colourway, Stack } from '../recipe/recipe.ts';
import type { Ball } from '../geometry/ring.ts';
import { CAMERA, projector, type Camera, type View } from './camera.ts';
import { pointAt, type Assembly, type Piece, type Spot } from '../structures/assemble.ts';
import { slotOfPlace, type PlacedStack } from '../structures/stack.ts';

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
	/** Uprights that stand elsewhere: across from the axis, and their foot over the floor, mm. */
	readonly poles?: readonly { readonly x: number; readonly from: number; readonly height: number }[];
	/** Overall height and half width, mm. */
	readonly height: number;
	readonly halfWidth: number;
}

/** What an open slot is drawn in. */
const OPEN = { hex: '#c9ccd2', finish: 'matte' as Finish };
/** Largest picture drawn; more would be noise. */
export const MOST_DISCS = 6000;

interface Dressed {
	readonly catalogue: Catalogue;
	readonly view: View;
	/** In place of the view's own: the picture stands on its lowest point, and is as wide at every turn. */
	readonly camera?: Camera | undefined;
}

/** One stack by itself, on the floor. */
export function drawStack(
	stack: Stack,
	placed: PlacedStack,
	{ colourway, ...dressed }: Dressed & { colourway: Colourway | undefined }
): DrawList {
	const spots = [{ x: 0, y: 0, z: 0, mirrored: false, turn: 0 }];
	const { overall } = placed;
	const pieces = [{ section: 'only', stack, placed, colourway, spots }];
	return drawAssembly({ pieces, applied: [], lost: [], feet: new Map(), overall }, dressed);
}

/**
 * Projects an assembly to a view: orthographic, depth-sorted back to front. Rows of the design's own sections are
 * numbered through, section after section; those of designs inside it have none.
 */
export function drawAssembly(
	{ pieces, applied, overall }: Assembly,
	{ catalogue, view, camera }: Dressed
): DrawList {
	const see = projector(camera ?? CAMERA[view]);
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
	const discs: Disc[] = [];
	const depths: number[] = [];
	const poles: { x: number; from: number; height: number }[] = [];
	let halfWidth = 0;
	let [lowest, highest] = [Infinity, 0];
	const put = (ball: Ball, spot: Spot, colour: string | null, row: number) => {
		if (discs.length >= MOST_DISCS) return;
		const at = pointAt(spot, ball);
		const [x, y, depth] = see(at);
		halfWidth = Math.max(halfWidth, (camera ? Math.hypot(at.x, at.y) : Math.abs(x)) + ball.d / 2);
		lowest = Math.min(lowest, y - ball.d / 2);
		highest = Math.max(highest, y + ball.d / 2);
		discs.push({ x: tenth(x), y: tenth(y), r: tenth(ball.d / 2), paint: paint(colour), row });
		depths.push(depth);
	};
	let firstRow = 0;
	for (const piece of pieces) {
		const { section, stack, spots } = piece;
		const balls = colouredBalls(piece, catalogue);
		for (const spot of spots) {
			for (const { ball, colour, row } of balls)
				put(ball, spot, colour, section === null ? -1 : firstRow + row);
			const { kind, length } = stack.upright;
			if (kind === 'none' || length === null || view === 'plan') continue;
			const [x, from] = see(spot);
			const upright = (length / 1000) * Math.cos(camera?.tilt ?? 0);
			poles.push({ x: tenth(x), from: tenth(from), height: upright });
		}
		if (section !== null) firstRow += stack.layers.length;
	}
	for (const { balls, colourway, spots } of applied) {
		for (const spot of spots) {
			for (const { ball, slot, material } of balls) {
				const own = material === null ? null : (catalogue.materials.get(material)?.colour ?? null);
				put(ball, spot, slot === null || own !== null ? own : (colourway?.fills[slot] ?? null), -1);
			}
		}
	}
	// Level, the floor is where it is; from above a piece stands on what is lowest of it.
	const lift = camera && camera.tilt > 0 && discs.length > 0 ? lowest : 0;
	const order = depths.map((_, i) => i).sort((a, b) => depths[a]! - depths[b]!);
	if (lift !== 0) for (const pole of poles) pole.from = tenth(pole.from - lift);
	const inTheMiddle = poles.find((p) => p.x === 0 && p.from === 0);
	const others = poles.filter((p) => p !== inTheMiddle);
	return {
		view,
		paints,
		discs: order.map((i) => (lift === 0 ? discs[i]! : { ...discs[i]!, y: tenth(discs[i]!.y - lift) })),
		pole: inTheMiddle ? { height: inTheMiddle.height } : null,
		...(others.length > 0 ? { poles: others } : {}),
		height: lift === 0 ? overall.usual : highest - lift,
		halfWidth
	};
}

interface ColouredBall {
	readonly ball: Ball;
	readonly colour: string | null;
	/** Row of its stack. */
	readonly row: number;
}
interface Coloured {
	readonly colourway: Colourway | undefined;
	readonly catalogue: Catalogue;
	readonly balls: readonly ColouredBall[];
}
/** Placed stacks never change: their balls are coloured once for a colourway and drawn at every copy and keystroke. */
const coloured = new WeakMap<PlacedStack, Coloured>();

function colouredBalls(
	{ placed, colourway }: Pick<Piece, 'placed' | 'colourway'>,
	catalogue: Catalogue
): readonly ColouredBall[] {
	const had = coloured.get(placed);
	if (had && had.colourway === colourway && had.catalogue === catalogue) return had.balls;
	const balls = placed.layers.flatMap((layer, index) => {
		const ring = placed.rings[index]!;
		return layer.rings.flatMap((own, c) => {
			const cluster = ring.layer.clusters[c]!;
			return own.map((ball, place) => {
				const { material } = cluster.places[place]!;
				const colour =
					material === null
						? (colourway?.fills[slotOfPlace(cluster, place, ring)] ?? null)
						: (catalogue.materials.get(material)?.colour ?? null);
				return { ball, colour, row: ring.row };
			});
		});
	});
	coloured.set(placed, { colourway, catalogue, balls });
	return balls;
}

/** A tenth of a millimetre is finer than any screen or paper here. */
const tenth = (value: number): number => Math.round(value * 10) / 10;
