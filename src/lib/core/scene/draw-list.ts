import type { Catalogue } from '../materials/catalogue.ts';
import {
	OPEN_HEX,
	type Colour,
	type Finish,
	type Material,
	type MaterialKind
} from '../materials/material.ts';
import type { Id } from '../document/id.ts';
import type { Section } from '../recipe/recipe.ts';
import type { Stack, StandsOn } from '../structures/stack/document.ts';
import type { Ball } from '../geometry/ring.ts';
import { CAMERA, projector, type Camera, type View } from './camera.ts';
import type { Assembly, Piece } from '../assembly/assemble.ts';
import { pointAt, type Spot } from '../structures/kit/spot.ts';
import type { Holder } from '../structures/kit/hangers.ts';
import type { Point, Strand } from '../structures/kit/strand.ts';
import { exploded } from './exploded.ts';
import type { PaintPart } from '../document/cluster.ts';
import { leanOf, lookOf, type Outline } from './outlines.ts';
import { PAINT_MARKS } from './paint-marks.ts';
import { Assorting, roomAlong } from './assorting.ts';
import { paintOn } from './shade.ts';
import { endsIn, insideTopper } from './pole-ends.ts';
import { drawFixed } from './fixed.ts';
import { colouredBalls, isClear, OVER, type Pressed } from './coloured-balls.ts';
import { firstNotBehind, inDepth, type SeenPoint } from './in-depth.ts';
import { TUBE_HEX, UPRIGHT_WIDTH, WOOD_HEX, type Tube } from './tubes.ts';

export type { Pressed };

/** A balloon of the picture, mm; x to the right, y up from the floor. */
export interface Disc {
	readonly x: number;
	readonly y: number;
	readonly r: number;
	/** Index into {@link DrawList.paints}. */
	readonly paint: number;
	/** Index into {@link DrawList.about}, -1 for none. */
	readonly row: number;
	/** What is no ball: its outline, how much narrower it is across its lean, and the lean, radians. */
	readonly outline?: Outline | undefined;
	readonly flat?: number | undefined;
	readonly lean?: number | undefined;
	/** Something long in place of a ball: the way it goes, x and y in turn, 2 r thick; x and y are its middle. */
	readonly path?: readonly number[] | undefined;
}

/** What paints a picture anywhere: on screen, on paper, in a frozen quote. Plain data, back to front. */
export interface DrawList {
	readonly view: View;
	readonly paints: readonly { readonly hex: string; readonly finish: Finish }[];
	readonly discs: readonly Disc[];
	/** Poles, sticks and lines, each among the discs where its depth puts it. */
	readonly tubes?: readonly Tube[] | undefined;
	/** Pictures frozen before tubes: an upright in the middle, and others. Read by `tubesOf`. */
	readonly pole: { readonly height: number } | null;
	readonly poles?: readonly { readonly x: number; readonly from: number; readonly height: number }[];
	/** Ids of the rows, pieces and sections that discs are about. */
	readonly about?: readonly Id[] | undefined;
	/** Overall height and half width, mm. */
	readonly height: number;
	readonly halfWidth: number;
}

/** What an open slot is drawn in, and tube and plates that have no colour of their own. */
type Paint = DrawList['paints'][number];
const [OPEN, TUBE] = [OPEN_HEX, TUBE_HEX].map((hex): Paint => ({ hex, finish: 'matte' })) as [Paint, Paint];
/** Largest picture drawn; more would be noise. */
export const MOST_DISCS = 6000;

interface Dressed {
	readonly catalogue: Catalogue;
	readonly view: View;
	/** In place of the view's own: the picture stands on its lowest point, and is as wide at every turn. */
	readonly camera?: Camera | undefined;
	/** Drawn apart by its sections, with so much between them, mm. */
	readonly apart?: { readonly sections: readonly Section[]; readonly gap: number } | undefined;
	/** Filled with what is pressed where a disc is, in the order of the discs: asked when something is pressed. */
	readonly pressed?: Pressed[] | undefined;
}

const NOTHING_PRESSED: Pressed = { place: null, slot: null };

/** How wide the plate of a stand is drawn, mm. Common practice: 12 to 16 in. */
const PLATE = 360;
/** So far before its balloon paint is drawn, mm: on it, and behind what touches that. */
const PAINTED = 0.2;
/** How far what a piece stands on reaches past it, and how thick it is drawn, mm. House rules. */
const UNDER: Readonly<Record<StandsOn | 'table', { over: number; thick: number }>> = {
	table: { over: 160, thick: 28 },
	board: { over: 30, thick: 18 },
	box: { over: 12, thick: 180 }
};
/** Length of one piece of a pole looked at from above, mm: each has a depth of its own. */
const TUBE_PIECE = 150;

/**
 * Projects an assembly to a view: orthographic, depth-sorted back to front; balls, foils and poles in one list. Every
 * disc names what it is about: the row of a stack of the design itself, the piece, or the section of a design inside.
 */
export function drawAssembly(assembly: Assembly, dressed: Dressed): DrawList {
	const { catalogue, view, camera } = dressed;
	const brush = new Brush(assembly, dressed);
	for (const piece of assembly.pieces) {
		const { section, of, stack, spots, placed } = piece;
		const rows = stack.layers.map((l) => brush.number(section === null ? of : l.id));
		const balls = colouredBalls(piece, catalogue);
		for (const spot of spots) {
			const at = brush.moved(of, spot);
			for (const { ball, colour, row, kind, over, painted, pressed } of balls) {
				const out = kind === 'latex-heart' ? outwards(ball) : undefined;
				const own = section === null ? undefined : pressed;
				const as = { colour, row: rows[row]!, kind, looks: out, over, pressed: own };
				brush.ball(ball, at, as);
				if (painted) brush.marks(ball, at, painted, as);
			}
			if (view !== 'plan') {
				brush.base(piece, at);
				brush.upright(stack, at, Math.min(insideTopper(placed), endsIn(assembly, piece, spot)));
			}
		}
	}
	for (const { section, of, balls, strands, holders, colourway, spots } of assembly.applied) {
		for (const spot of spots) {
			if (view !== 'plan') brush.holders(holders, brush.moved(of, spot));
			for (const { ball, slot, material, piece, kind, looks, inside, painted } of balls) {
				const thing = material === null ? undefined : catalogue.materials.get(material);
				const own = thing?.colour ?? null;
				const colour = slot === null || own !== null ? own : (colourway?.fills[slot] ?? null);
				const row = brush.number(section === null ? of : piece || of);
				const at = brush.moved(of, spot, section === null ? undefined : ball);
				const pressed = { place: null, slot: section === null || own !== null ? null : slot };
				const what = { kind: thing?.kind ?? kind, mark: thing?.mark ?? null, drawn: thing?.outline ?? null };
				brush.ball(ball, at, { colour, row, ...what, looks, pressed });
				if (painted) brush.marks(ball, at, painted, { colour, row, kind, pressed });
				if (inside && isClear(colour, catalogue)) {
					const inner = colourway?.fills[inside.slot] ?? null;
					brush.ball({ ...ball, d: inside.d }, at, { colour: inner, row, kind: null, over: OVER, pressed });
				}
			}
			for (const strand of strands) {
				const { material, slot, piece, bare } = strand;
				const own = material === null ? null : (catalogue.materials.get(material)?.colour ?? null);
				const colour = slot === null ? own : (colourway?.fills[slot] ?? null);
				const row = brush.number(section === null ? of : piece || of);
				const pressed = { place: null, slot: section === null ? null : slot };
				brush.strand(strand, brush.moved(of, spot), { colour, row, pressed, bare: bare && colour === null });
			}
		}
	}
	if (view !== 'plan') drawFixed(assembly, brush, catalogue);
	return brush.list(view, camera, assembly.overall.usual);
}

const outwards = ({ x, y }: Ball): readonly [number, number] => {
	const out = Math.hypot(x, y);
	return out < 1e-6 ? [0, -1] : [x / out, y / out];
};

type DabbedStrand = Omit<Dabbed, 'kind'> & { readonly bare?: boolean | undefined };
/** So far behind its middle a tube is drawn, mm: what is threaded on it hides it. */
const INSIDE = 30;
interface Dabbed extends Partial<Pick<Material, 'mark'>> {
	readonly drawn?: string | null | undefined;
	readonly colour: string | null;
	readonly row: number;
	readonly kind: MaterialKind | null;
	readonly looks?: readonly [number, number] | undefined;
	/** Drawn before what lies as deep, mm. */
	readonly over?: number | undefined;
	readonly pressed?: Pressed | undefined;
}

/** Collects a picture: sees points, mixes paints, keeps depths. */
class Brush {
	readonly #see: ReturnType<typeof projector>;
	readonly #shift: ReturnType<typeof exploded> | undefined;
	readonly #paints: Paint[] = [];
	readonly #paintOf = new Map<string, number>();
	readonly #assorted = new Map<string, Assorting>();
	readonly #about: Id[] = [];
	readonly #numbers = new Map<Id, number>();
	readonly #discs: Disc[] = [];
	readonly #depths: number[] = [];
	readonly #pressed: Pressed[] = [];
	readonly #tubes: (Omit<Tube, 'before'> & { depth: number })[] = [];
	#halfWidth = 0;
	#lowest = Infinity;
	#highest = 0;

	constructor(
		assembly: Assembly,
		private readonly dressed: Dressed
	) {
		this.#see = projector(dressed.camera ?? CAMERA[dressed.view]);
		if (dressed.apart) this.#shift = exploded(assembly, dressed.apart.sections, dressed.apart.gap);
	}
	/** The number discs of this row, piece or section carry. */
	number(id: Id): number {
		const cached = this.#numbers.get(id);
		if (cached !== undefined) return cached;
		this.#numbers.set(id, this.#about.length);
		return this.#about.push(id) - 1;
	}
	/** Where a spot is when the design is drawn apart; pieces come off towards where each sits. */
	moved(section: Id, spot: Spot, ball?: Ball): Spot {
		if (!this.#shift) return spot;
		const [x, y, z] = this.#shift(section, ball ? pointAt(spot, ball) : spot);
		return { ...spot, x: spot.x + x, y: spot.y + y, z: spot.z + z };
	}
	/** The paint of a balloon: of an assorted bag one of its colours, by where it lies. */
	#paintAt(colourId: string | null, at: () => Ball): number {
		const colour = colourId === null ? undefined : this.dressed.catalogue.colours.get(colourId);
		if (!colour?.of) return this.#paint(colourId);
		const own = this.#assorted.get(colour.id) ?? new Assorting(colour.of);
		this.#assorted.set(colour.id, own);
		const is = own.at(at());
		return this.#mixed(`/one of ${colour.id} ${is}`, null, () => ({ hex: colour.of![is]!.hex, finish: colour.finish }));
	} // prettier-ignore
	#paint(colourId: string | null, bare = false): number {
		return this.#mixed(bare ? '/tube' : (colourId ?? ''), colourId, (colour) =>
			colour ? { hex: colour.hex, finish: colour.finish } : bare ? TUBE : OPEN
		);
	}
	/** Paint on a balloon of a colour. */
	#painted(colourId: string | null): number {
		return this.#mixed(`/paint ${colourId ?? ''}`, colourId, (colour) => ({
			hex: paintOn(colour?.hex ?? OPEN.hex),
			finish: 'matte'
		}));
	}
	/** The number of a paint, mixed once for its key. */
	#mixed(key: string, colourId: string | null, mix: (colour: Colour | undefined) => Paint): number {
		const cached = this.#paintOf.get(key);
		if (cached !== undefined) return cached;
		this.#paints.push(mix(colourId === null ? undefined : this.dressed.catalogue.colours.get(colourId)));
		this.#paintOf.set(key, this.#paints.length - 1);
		return this.#paints.length - 1;
	}
	ball(ball: Ball, spot: Spot, { colour, row, kind, mark, drawn, looks, over = 0, pressed }: Dabbed) {
		if (this.#discs.length >= MOST_DISCS) return;
		const at = pointAt(spot, ball);
		const [x, y, depth] = this.#see(at);
		const r = ball.d / 2;
		const wide = this.dressed.camera ? Math.hypot(at.x, at.y) : Math.abs(x);
		this.#halfWidth = Math.max(this.#halfWidth, wide + r);
		this.#lowest = Math.min(this.#lowest, y - r);
		this.#highest = Math.max(this.#highest, y + r);
		const disc = {
			x: tenth(x),
			y: tenth(y),
			r: tenth(r),
			paint: this.#paintAt(colour, () => ({ ...at, d: ball.d })),
			row
		};
		const look = looks && lookOf(kind, mark, drawn);
		this.#discs.push(look ? { ...disc, ...this.#lean(look, looks, spot) } : disc);
		this.#depths.push(depth + over);
		if (this.dressed.pressed) this.#pressed.push(pressed ?? NOTHING_PRESSED);
	}
	/** Paint on a part of a balloon, over it as it is seen. */
	marks(ball: Ball, spot: Spot, part: PaintPart, { colour, row, over = 0, pressed }: Dabbed) {
		const [x, y, depth] = this.#see(pointAt(spot, ball));
		const r = ball.d / 2;
		const paint = this.#painted(colour);
		for (const mark of PAINT_MARKS[part]) {
			if (this.#discs.length >= MOST_DISCS) return;
			const disc = { x: tenth(x + mark.x * r), y: tenth(y + mark.y * r), r: tenth(mark.r * r), paint, row };
			this.#discs.push(mark.outline ? { ...disc, outline: mark.outline, flat: 1, lean: 0 } : disc);
			this.#depths.push(depth + over + PAINTED);
			if (this.dressed.pressed) this.#pressed.push(pressed ?? NOTHING_PRESSED);
		}
	}
	strand({ path, d }: Strand, spot: Spot, { colour, row, pressed, bare = false }: DabbedStrand) {
		const seen = path.map((p) => {
			const at = pointAt(spot, p);
			const [x, y, depth] = this.#see(at);
			return { x, y, depth, wide: this.dressed.camera ? Math.hypot(at.x, at.y) : Math.abs(x) };
		});
		const paint = bare ? this.#paint(colour, bare) : this.#paintAt(colour, () => roomAlong(path, spot));
		for (const stretch of bare ? [seen] : inDepth(seen, d))
			this.#stretch(stretch, { d, paint, row, pressed, bare });
	}
	/** A stretch of something long that lies as deep all along as its middle. */
	#stretch(points: readonly SeenPoint[], { d, paint, row, pressed, bare }: Pick<DabbedStrand, 'row' | 'pressed' | 'bare'> & { d: number; paint: number }) {
		if (this.#discs.length >= MOST_DISCS || points.length === 0) return;
		const r = d / 2;
		let deep = 0;
		for (const { y, depth, wide } of points) {
			deep += depth / points.length;
			this.#halfWidth = Math.max(this.#halfWidth, wide + r);
			this.#lowest = Math.min(this.#lowest, y - r);
			this.#highest = Math.max(this.#highest, y + r);
		}
		const flat = points.flatMap(({ x, y }) => [tenth(x), tenth(y)]);
		const middle = 2 * Math.floor(points.length / 2);
		const [x, y] = [flat[middle]!, flat[middle + 1]!];
		this.#discs.push({ x, y, r: tenth(r), paint, row, path: flat });
		// A tube on the axis of a balloon is in it.
		this.#depths.push(bare ? deep - INSIDE : deep);
		if (this.dressed.pressed) this.#pressed.push(pressed ?? NOTHING_PRESSED);
	} // prettier-ignore
	#lean(
		look: NonNullable<ReturnType<typeof lookOf>>,
		[x, y]: readonly [number, number],
		spot: Spot
	): Pick<Disc, 'outline' | 'flat' | 'lean'> {
		const face = pointAt({ ...spot, x: 0, y: 0, z: 0 }, { x, y, z: 0 });
		const { flat, lean } = leanOf(this.#see(face), look.depth);
		return {
			outline: look.outline,
			flat: Math.round(flat * 1000) / 1000,
			lean: Math.round(lean * 1000) / 1000
		};
	}
	upright({ upright: { kind, length, material } }: Stack, spot: Spot, end: number) {
		if (kind === 'none' || length === null) return;
		if (this.dressed.catalogue.materials.get(material ?? '')?.kind === 'base') this.#foot(spot);
		const long = Math.min(length / 1000, end);
		const pieces = (this.dressed.camera?.tilt ?? 0) > 0 ? Math.ceil(long / TUBE_PIECE) : 1;
		for (let i = 0; i < pieces; i++) {
			const [x1, y1, d1] = this.#see({ ...spot, z: spot.z + (long * i) / pieces });
			const [x2, y2, d2] = this.#see({ ...spot, z: spot.z + (long * (i + 1)) / pieces });
			const ends = { x1: tenth(x1), y1: tenth(y1), x2: tenth(x2), y2: tenth(y2) };
			this.#tubes.push({ ...ends, width: UPRIGHT_WIDTH[kind], depth: (d1 + d2) / 2 });
		}
	}
	/** The plate of a stand, on its edge as it is seen from the side. */
	#foot(spot: Spot) {
		const half = PLATE / 2;
		const [x1, y1, d1] = this.#see({ ...spot, x: spot.x - half });
		const [x2, y2, d2] = this.#see({ ...spot, x: spot.x + half });
		const ends = { x1: tenth(x1), y1: tenth(y1 + 9), x2: tenth(x2), y2: tenth(y2 + 9) };
		this.#tubes.push({ ...ends, width: 18, depth: (d1 + d2) / 2 });
	}
	/** Board, box or table top under what stands on it: its upper edge is where the floor of the piece is. */
	base({ stack, placed, section }: Piece, spot: Spot) {
		if (stack.onFloor || section === null) return;
		const { over, thick } = UNDER[stack.on ?? 'table'];
		const reach = (placed.layers[0]?.rings.flat() ?? []).reduce(
			(most, { x, y, d }) => Math.max(most, Math.hypot(x, y) + d / 2),
			0
		);
		this.tube({ x: -reach - over, y: 0, z: -thick / 2 }, { x: reach + over, y: 0, z: -thick / 2 }, spot, {
			width: thick,
			hex: WOOD_HEX
		});
	}
	/** A straight thing between two points of a copy. */
	tube(from: Point, to: Point, spot: Spot, look: Pick<Tube, 'width' | 'hex'>) {
		const [x1, y1, d1] = this.#see(pointAt(spot, from));
		const [x2, y2, d2] = this.#see(pointAt(spot, to));
		const ends = { x1: tenth(x1), y1: tenth(y1), x2: tenth(x2), y2: tenth(y2) };
		this.#tubes.push({ ...ends, ...look, depth: (d1 + d2) / 2 });
	}
	holders(holders: readonly Holder[] | undefined, spot: Spot) {
		for (const { from, to, d } of holders ?? []) this.tube(from, to, spot, { width: d });
	}
	list(view: View, camera: Camera | undefined, overall: number): DrawList {
		const discs = this.#discs;
		// Level, the floor is where it is; from above a piece stands on what is lowest of it.
		const lift = camera && camera.tilt > 0 && discs.length > 0 ? this.#lowest : 0;
		const depths = this.#depths;
		const order = depths.map((_, i) => i).sort((a, b) => depths[a]! - depths[b]!);
		this.dressed.pressed?.push(...order.map((i) => this.#pressed[i]!));
		const tubes = this.#tubes
			.map(({ depth, y1, y2, ...tube }): Tube => {
				const before = firstNotBehind(order, depths, depth);
				return { ...tube, y1: tenth(y1 - lift), y2: tenth(y2 - lift), before };
			})
			.sort((a, b) => a.before - b.before);
		return {
			view,
			paints: this.#paints,
			discs: order.map((i) => (lift === 0 ? discs[i]! : lifted(discs[i]!, lift))),
			...(tubes.length > 0 ? { tubes } : {}),
			pole: null,
			about: this.#about,
			height: lift === 0 && !this.#shift ? overall : this.#highest - lift,
			halfWidth: this.#halfWidth
		};
	}
}

const lifted = (disc: Disc, lift: number): Disc => ({
	...disc,
	y: tenth(disc.y - lift),
	...(disc.path ? { path: disc.path.map((v, i) => (i % 2 ? tenth(v - lift) : v)) } : {})
});

/** A tenth of a millimetre is finer than any screen or paper here. */
const tenth = (value: number): number => Math.round(value * 10) / 10;
