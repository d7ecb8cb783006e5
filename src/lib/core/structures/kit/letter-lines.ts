import { um, type Micrometres } from '../../units/length.ts';

/** A straight stretch of a letter. */
export interface LetterLeg {
	readonly way: 'up' | 'down' | 'left' | 'right';
	readonly length: Micrometres;
	readonly pitch: null;
}

/**
 * Letters and figures as one line with square corners and arms: `U2` is up the whole height, `R1` right the whole width;
 * behind a `+` an arm, where it leaves the line (in the same halves and widths) and where it goes. House drawing.
 */
const DRAWN: Readonly<Record<string, string>> = {
	'0': 'U2 R1 D2 L1', '1': 'U2', '2': 'R1 D1 L1 D1 R1', '3': 'R1 D2 L1 + R1D1 L1', '4': 'D1 R1 U1 + D1R1 D1',
	'5': 'L1 D1 R1 D1 L1', '6': 'L1 D2 R1 U1 L1', '7': 'R1 D2', '8': 'U2 R1 D2 L1 + U1 R1', '9': 'L1 U1 R1 D2 L1',
	A: 'U2 R1 D2 + U1 R1', B: 'U2 R1 D2 L1 + U1 R1', C: 'L1 D2 R1', D: 'U2 R1 D2 L1', E: 'L1 D2 R1 + L1D1 R1',
	F: 'L1 D2 + L1D1 R1', G: 'L1 D2 R1 U1', H: 'U1 R1 D1 + U1 U1 + U1R1 U1', I: 'U2', J: 'D2 L1 U1', L: 'D2 R1',
	M: 'U2 R1 D2 + U2R.5 D1', N: 'U2 R1 D2', O: 'U2 R1 D2 L1', P: 'U2 R1 D1 L1', R: 'U2 R1 D1 L1 + U2R1D1L.5 D1',
	S: 'L1 D1 R1 D1 L1', T: 'R1 + R.5 D2', U: 'D2 R1 U2', W: 'D2 R1 U2 + D2R.5 U1', Y: 'D1 R1 U1 + D1R.5 D1',
	Z: 'R1 D1 L1 D1 R1'
}; // prettier-ignore
const WAY: Readonly<Record<string, LetterLeg['way']>> = { U: 'up', D: 'down', L: 'left', R: 'right' };
/** Width of a letter as a share of its height. */
const WIDE = 0.6;

export const canBeFramed = (sign: string): boolean => Object.hasOwn(DRAWN, sign);

/**
 * A letter or figure as one line from its beginning, and the arms that leave it. @param height µm
 * @throws where {@link canBeFramed} says no
 */
export function letterLines(
	sign: string,
	height: number
): {
	readonly legs: LetterLeg[];
	readonly arms: (LetterLeg & { readonly kind: 'tee'; readonly at: Micrometres })[];
} {
	const long = (part: string) => {
		const share = Number(part.slice(1));
		return um(Math.round('UD'.includes(part[0]!) ? (share * height) / 2 : share * height * WIDE));
	};
	const [line, ...arms] = DRAWN[sign]!.split(' + ');
	const leg = (part: string): LetterLeg => ({ way: WAY[part[0]!]!, length: long(part), pitch: null });
	return {
		legs: line!.split(' ').map(leg),
		arms: arms.map((arm) => {
			const [from, to] = arm.split(' ') as [string, string];
			const at = (from.match(/[UDLR][\d.]+/g) ?? []).reduce((a, p) => a + long(p), 0);
			return { kind: 'tee', at: um(at), ...leg(to) };
		})
	};
}

const STEP = { up: [0, 1], down: [0, -1], left: [-1, 0], right: [1, 0] } as const;

/** A letter in front view, µm: the points of its line, and each arm from where it leaves; its lowest point is on the floor. */
export interface LetterPoints {
	readonly line: readonly (readonly [x: number, z: number])[];
	readonly arms: readonly (readonly [from: readonly [number, number], to: readonly [number, number]])[];
}

/** @throws where {@link canBeFramed} says no @param height µm */
export function letterPoints(sign: string, height: number): LetterPoints {
	const { legs, arms } = letterLines(sign, height);
	const step = ([x, z]: readonly [number, number], way: LetterLeg['way'], by: number) =>
		[x + STEP[way][0] * by, z + STEP[way][1] * by] as const;
	const line: (readonly [number, number])[] = [[0, 0]];
	for (const { way, length } of legs) line.push(step(line.at(-1)!, way, length));
	const onLine = (far: number) => {
		let left = far;
		for (const [i, { way, length }] of legs.entries()) {
			if (left <= length + 1) return step(line[i]!, way, left);
			left -= length;
		}
		return line.at(-1)!;
	};
	const branches = arms.map(({ at, way, length }) => [onLine(at), step(onLine(at), way, length)] as const);
	const low = Math.min(...[...line, ...branches.flat()].map(([, z]) => z));
	const up = ([x, z]: readonly [number, number]) => [x, z - low] as const;
	return { line: line.map(up), arms: branches.map(([from, to]) => [up(from), up(to)] as const) };
}

/** How far over the floor the line of a letter begins to be, where its arms reach lower, µm. */
export const lineOverFloor = (sign: string, height: number): number =>
	Math.min(...letterPoints(sign, height).line.map(([, z]) => z));
