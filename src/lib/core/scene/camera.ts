export const VIEWS = ['front', 'side', 'plan'] as const;
export type View = (typeof VIEWS)[number];

/** Where a piece is looked at from. Radians. */
export interface Camera {
	/** About the upright, from the front: a quarter turn shows the right side. */
	readonly turn: number;
	/** Up from the level: a quarter looks straight down. */
	readonly tilt: number;
}

/** The three named views are cameras like any other. */
export const CAMERA: Readonly<Record<View, Camera>> = {
	front: { turn: 0, tilt: 0 },
	side: { turn: Math.PI / 2, tilt: 0 },
	plan: { turn: 0, tilt: Math.PI / 2 }
};

/** A point of the picture, mm: across to the right, up, and nearness to the eye. */
export type Seen = readonly [across: number, up: number, depth: number];

/**
 * Projects points to a camera, in parallel: turned about the upright, then tilted about the line across.
 *
 * across = x cos t + y sin t, up = z cos a + y′ sin a, depth = z sin a − y′ cos a with y′ = y cos t − x sin t: the
 * audience stands at negative y. Lengths square to the eye stay what they are.
 */
export function projector({ turn, tilt }: Camera): (p: { x: number; y: number; z: number }) => Seen {
	const [ct, st, ca, sa] = [Math.cos(turn), Math.sin(turn), Math.cos(tilt), Math.sin(tilt)];
	return ({ x, y, z }) => {
		const away = y * ct - x * st;
		return [x * ct + y * st, z * ca + away * sa, z * sa - away * ca];
	};
}

/** A camera turned and tilted on by degrees; it looks from the level up to 80° from above. */
export function turned({ turn, tilt }: Camera, by: number, up: number): Camera {
	const round = turn + (by * Math.PI) / 180;
	const tilted = Math.max(0, Math.min((80 * Math.PI) / 180, tilt + (up * Math.PI) / 180));
	// What rounding leaves over the level is the level.
	return { turn: Math.atan2(Math.sin(round), Math.cos(round)), tilt: tilted < 1e-9 ? 0 : tilted };
}
