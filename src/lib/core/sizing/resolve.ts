import type { Micrometres } from '../units/length.ts';
import { FILL_EDGES } from './fill.ts';
import type { Size, SizeWord } from './size.ts';
import { calibrate, diameterAfter, type PumpProfile } from './strokes.ts';

/** What geometry may use of a size, mm. */
export interface Diameter {
	/** For the picture: always a usable diameter. */
	readonly assumed: number;
	readonly low: number;
	readonly high: number;
	/** False where the picture assumes what nobody said: figures that hang on it print as a dash. */
	readonly known: boolean;
}

/** Share of the nominal size a word stands for: assumed, low, high. Bands of common practice. */
const WORD_FILL: Readonly<Record<SizeWord, readonly [number, number, number]>> = {
	loose: [0.55, 0.45, 0.65],
	soft: [0.68, FILL_EDGES.pear, FILL_EDGES.soft],
	full: [0.95, FILL_EDGES.usual, 1],
	random: [0.75, FILL_EDGES.pear, 1],
	'by look': [0.85, FILL_EDGES.soft, 1]
};

/** The picture draws an unknown size as the usual fill for air. Common practice. */
const USUAL = WORD_FILL['by look'];

const share = (
	nominal: number,
	[assumed, low, high]: readonly [number, number, number],
	known: boolean
): Diameter => ({
	assumed: nominal * assumed,
	low: nominal * low,
	high: nominal * high,
	known
});

/**
 * A size as diameters. A word is carried as its band; strokes are a diameter only on a calibrated pump.
 * @param nominal size on the bag
 */
export function resolveSize(size: Size, nominal: Micrometres, pumps: readonly PumpProfile[] = []): Diameter {
	const bag = nominal / 1000;
	switch (size.kind) {
		case 'value': {
			const d = size.um / 1000;
			return { assumed: d, low: d, high: d, known: true };
		}
		case 'range':
			return {
				assumed: (size.low + size.high) / 2000,
				low: size.low / 1000,
				high: size.high / 1000,
				known: true
			};
		case 'word':
			return share(bag, WORD_FILL[size.word], true);
		case 'strokes': {
			const pump = pumps.find((p) => p.id === size.pump && p.pairs.length > 0);
			if (!pump && size.reaches === undefined) return share(bag, USUAL, false);
			const d = pump ? diameterAfter(size.strokes, calibrate(pump.pairs).k) : size.reaches! / 1000;
			return { assumed: d, low: d, high: d, known: true };
		}
		case 'unknown':
			return share(bag, USUAL, false);
	}
}
