/** One stroke of a letter: points in a square from 0 to 1, y upwards. */
export type LetterStroke = readonly (readonly [number, number])[];

/** Letters as they are drawn: pairs of figures, across 0 to 4 and up 0 to 6; a space lifts the pen. */
const DRAWN: Readonly<Record<string, string>> = {
	A: '002640 1232', B: '00063645443303 3342413000', C: '4536160501103041', D: '00062644422000', E: '46060040 0333',
	F: '460600 0333', G: '45361605011030414323', H: '0006 0343 4640', I: '2026', J: '4641301001', K: '0006 4603 0340',
	L: '060040', M: '0006234640', N: '00064046', O: '163645413010010516', P: '00063645443303',
	Q: '163645413010010516 2240', R: '00063645443303 2340', S: '4536160504134241301001', T: '0646 2620',
	U: '060110304146', V: '062046', W: '0610233046', X: '0046 0640', Y: '062346 2320', Z: '06460040',
	'0': '163645413010010516', '1': '152620', '2': '05163645440040', '3': '0646234241301001', '4': '30360242',
	'5': '460603334241301001', '6': '4516050110304142331302', '7': '064610', '8': '13334241301001021304051636454433',
	'9': '011030414536160504133344', '&': '4005162635140201103042', '!': '2622 2020', '?': '05163645442322 2020',
	'-': '0343', '.': '2020', "'": '2624', '#': '1016 3036 0242 0444', '+': '0343 2125'
}; // prettier-ignore

const strokeOf = (text: string): LetterStroke =>
	Array.from(
		{ length: text.length / 2 },
		(_, i) => [Number(text[2 * i]) / 4, Number(text[2 * i + 1]) / 6] as const
	);

/** Letters, figures and signs that come as foils, as strokes. */
export const STROKES: Readonly<Record<string, readonly LetterStroke[]>> = Object.fromEntries(
	Object.entries(DRAWN).map(([letter, strokes]) => [letter, strokes.split(' ').map(strokeOf)])
);

/** Whether there is such a letter. */
export const isLetter = (letter: string): boolean => Object.hasOwn(STROKES, letter);
