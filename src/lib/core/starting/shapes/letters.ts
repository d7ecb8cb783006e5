import { ON_THE_FLOOR } from '../../document/stand.ts';
import type { Branch, PathLeg, Way } from '../../structures/run/document.ts';
import { emptyRun } from '../../structures/run/empty.ts';
import { feet, inches, um } from '../../units/length.ts';
import { ofRun, section } from '../say.ts';
import { cluster, PATTERN, patterned } from '../../structures/kit/by-hand.ts';
import { startingShape, type StartEntry, type StartErrors } from '../shape.ts';

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
const WAY: Readonly<Record<string, Way>> = { U: 'up', D: 'down', L: 'left', R: 'right' };
/** Width of a letter as a share of its height. */
const WIDE = 0.6;

export const canBeFramed = (sign: string): boolean => Object.hasOwn(DRAWN, sign);

function drawn(
	sign: string,
	height: number
): { readonly legs: PathLeg[]; readonly arms: Omit<Branch, 'id'>[] } {
	const long = (part: string) => {
		const share = Number(part.slice(1));
		return um(Math.round('UD'.includes(part[0]!) ? (share * height) / 2 : share * height * WIDE));
	};
	const [line, ...arms] = DRAWN[sign]!.split(' + ');
	const leg = (part: string): PathLeg => ({ way: WAY[part[0]!]!, length: long(part), pitch: null });
	return {
		legs: line!.split(' ').map(leg),
		arms: arms.map((arm) => {
			const [from, to] = arm.split(' ') as [string, string];
			const at = (from.match(/[UDLR][\d.]+/g) ?? []).reduce((a, p) => a + long(p), 0);
			return { kind: 'tee', at: um(at), ...leg(to) };
		})
	};
}

/** As many as may be asked for. */
const NAMES = ['frame', 'second frame', 'third frame', 'fourth frame'];

const signsOf = (text: string): string[] => [...text.toUpperCase()].filter((c) => c.trim() !== '');

/** Clusters along the lines of square letters and figures. */
export const letters = startingShape({
	id: 'letters',
	title: 'Letter or number frame',
	says: 'clusters along a frame that is bent to a letter or a number',
	fields: {
		colours: { kind: 'colours', label: 'Colours', most: 6, start: 2 },
		pattern: { ...PATTERN, start: 'list' },
		text: { kind: 'text', label: 'Letters or numbers', most: 4, start: '5' },
		height: {
			kind: 'length',
			label: 'How tall',
			hint: 'the frame',
			min: feet(1),
			max: feet(12),
			start: feet(4)
		},
		balloon: { kind: 'balloon', label: 'Balloons', start: { nominal: inches(5), size: inches(4) } },
		each: { kind: 'count', label: 'Balloons in a cluster', min: 2, max: 8, start: 4 }
	},
	conflicts({ text }): StartErrors {
		const signs = signsOf(text);
		if (signs.length === 0) return { text: 'Which letter or number? Type it like 5 or AB.' };
		const odd = signs.find((s) => !canBeFramed(s));
		return odd === undefined
			? {}
			: { text: `“${odd}” has no square frame here. Numbers do, and all letters but K, Q, V and X.` };
	},
	entries: ({ text, height, balloon, each, pattern }, kit) =>
		signsOf(text).flatMap((sign, i): StartEntry[] => {
			const { legs, arms } = drawn(sign, height);
			const own = { ...emptyRun(), path: { kind: 'corners', legs }, height: 0 } as const;
			const place = (by: string | null) =>
				by === null ? ON_THE_FLOOR : { ...ON_THE_FLOOR, by, how: 'right' as const, gap: inches(6) };
			return [
				({ sections }) => section(NAMES[i]!, own, { stand: place(sections.at(-1)?.id ?? null) }),
				...arms.map((branch) => ofRun({ set: 'branch', branch })),
				ofRun({ set: 'row', cluster: cluster(each, balloon, patterned(kit, pattern)), row: { repeat: 1, pitch: null, joining: null } }) // prettier-ignore
			];
		})
});
