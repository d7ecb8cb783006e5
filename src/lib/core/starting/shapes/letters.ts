import { ON_THE_FLOOR } from '../../document/stand.ts';
import { emptyRun } from '../../structures/run/empty.ts';
import { canBeFramed, letterLines, lineOverFloor } from '../../structures/kit/letter-lines.ts';
import { feet, inches, um } from '../../units/length.ts';
import { ofRun, section } from '../say.ts';
import { cluster, PATTERN, patterned } from '../../structures/kit/by-hand.ts';
import { startingShape, type StartEntry, type StartErrors } from '../shape.ts';

const overFloor = (sign: string, height: number) => {
	const low = lineOverFloor(sign, height);
	return low === 0 ? (0 as const) : um(low);
};

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
			const { legs, arms } = letterLines(sign, height);
			const own = {
				...emptyRun(),
				path: { kind: 'corners', legs },
				height: overFloor(sign, height)
			} as const;
			const place = (by: string | null) =>
				by === null ? ON_THE_FLOOR : { ...ON_THE_FLOOR, by, how: 'right' as const, gap: inches(6) };
			return [
				({ sections }) => section(NAMES[i]!, own, { stand: place(sections.at(-1)?.id ?? null) }),
				...arms.map((branch) => ofRun({ set: 'branch', branch })),
				ofRun({ set: 'row', cluster: cluster(each, balloon, patterned(kit, pattern)), row: { repeat: 1, pitch: null, joining: null } }) // prettier-ignore
			];
		})
});
