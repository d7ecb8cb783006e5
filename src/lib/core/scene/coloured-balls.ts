import type { Catalogue } from '../materials/catalogue.ts';
import type { Colourway } from '../document/slot.ts';
import type { Id } from '../document/id.ts';
import type { PaintPart, PlaceKind } from '../document/cluster.ts';
import type { Ball } from '../geometry/ring.ts';
import type { Piece } from '../assembly/assemble.ts';
import { innerBall, paintedPart } from '../structures/kit/filled.ts';
import { slotOfPlace } from '../structures/stack/place.ts';
import type { PlacedStack } from '../structures/stack/placed.ts';

/** What is pressed where a disc is: the very balloon of a row, and the slot that colours it. */
export interface Pressed {
	readonly place: Id | null;
	readonly slot: Id | null;
}
/** A balloon in a see-through one is seen through it: drawn just after it, mm. */
export const OVER = 0.5;
/** Whether what is inside is seen. */
export const isClear = (colour: string | null, { colours }: Catalogue): boolean =>
	colours.get(colour ?? '')?.finish === 'see-through';

interface ColouredBall {
	readonly ball: Ball;
	readonly colour: string | null;
	/** Row of its stack. */
	readonly row: number;
	readonly kind: PlaceKind;
	readonly over?: number;
	/** A part of it is painted. */
	readonly painted?: PaintPart;
	readonly pressed: Pressed;
}
interface Coloured {
	readonly colourway: Colourway | undefined;
	readonly catalogue: Catalogue;
	readonly balls: readonly ColouredBall[];
}
/** Placed stacks never change: their balls are coloured once for a colourway and drawn at every copy and keystroke. */
const coloured = new WeakMap<PlacedStack, Coloured>();

/** The balls of a stack with their colours, each where it lies. */
export function colouredBalls(
	{ placed, colourway }: Pick<Piece, 'placed' | 'colourway'>,
	catalogue: Catalogue
): readonly ColouredBall[] {
	const cached = coloured.get(placed);
	if (cached && cached.colourway === colourway && cached.catalogue === catalogue) return cached.balls;
	const balls = placed.layers.flatMap((layer, index) => {
		const ring = placed.rings[index]!;
		return layer.rings.flatMap((own, c) => {
			const cluster = ring.layer.clusters[c]!;
			return own.flatMap((ball, place): ColouredBall[] => {
				const at = cluster.places[place]!;
				const { id, material, kind, inside } = at;
				const slot = material === null ? slotOfPlace(cluster, place, ring) : null;
				const colour =
					material === null
						? (colourway?.fills[slot!] ?? null)
						: (catalogue.materials.get(material)?.colour ?? null);
				const pressed = { place: id, slot };
				const painted = paintedPart(at);
				const plain = { ball, colour, row: ring.row, kind, pressed };
				const outer = { ...plain, ...(painted && { painted }) };
				const inner = inside && isClear(colour, catalogue) ? innerBall({ inside }) : undefined;
				if (!inner) return [outer];
				const own = colourway?.fills[inner.slot] ?? null;
				return [
					outer,
					{ ...plain, ball: { ...ball, d: inner.d }, colour: own, kind: 'latex-round', over: OVER }
				];
			});
		});
	});
	coloured.set(placed, { colourway, catalogue, balls });
	return balls;
}
