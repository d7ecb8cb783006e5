import { parseLength, type LengthUnit } from '../units/length.ts';
import type { NumberStyle } from '../units/number.ts';
import type { FrozenPlace } from './frozen.ts';

/** A piece as it stands in a photo: where its foot is, in shares of width and height. */
export interface PlacedLine {
	/** Id of the line. */
	readonly line: string;
	readonly x: number;
	readonly y: number;
	/** Turned the other way. */
	readonly turned: boolean;
}

/** A photo of the client's place, with one measure known on it. */
export interface Place {
	readonly photo: string;
	/** Pixels. */
	readonly width: number;
	readonly height: number;
	/** Both ends of what is known, in shares of width and height, and how long that is, mm. */
	readonly from: readonly [x: number, y: number];
	readonly to: readonly [x: number, y: number];
	readonly mm: number;
	readonly pieces: readonly PlacedLine[];
}

/** A place as it stands in its fields: its measure is text, as typed. */
export type RawPlace = Omit<Place, 'mm'> & { readonly known: string };

/** Where the measure of a new photo stands: as tall as a door is in most of them. */
export const NEW_MEASURE = { from: [0.5, 0.45], to: [0.5, 0.8] } as const satisfies Pick<
	Place,
	'from' | 'to'
>;

/** A door inside, common practice, as it is typed. */
export const USUAL_DOOR = '6 ft 8 in';

/**
 * How wide a millimetre is in the photo, as a share of its width: the known measure tells it, for all that stands as
 * far away as that. Undefined where its ends are one point.
 */
export function shareOfMm({
	width,
	height,
	from,
	to,
	mm
}: Omit<Place, 'pieces' | 'photo'>): number | undefined {
	const long = Math.hypot((to[0] - from[0]) * width, (to[1] - from[1]) * height);
	return long < 1 || mm <= 0 ? undefined : long / mm / width;
}

const [LEAST, MOST] = [50, 30_000];
/** Reads the known measure. @returns mm, or a sentence */
export function readKnown(text: string, unit: LengthUnit, style: NumberStyle): number | string {
	const read = parseLength(text, unit, style);
	if (!read.ok) return `How long is what you marked? ${read.say}`;
	const mm = read.value.um / 1000;
	return mm >= LEAST && mm <= MOST
		? mm
		: 'What you mark is between 2 inches and 98 feet long: a door, a table, a wall.';
}

/** A place as a client's page shows it. @param at the place of each line among those of the quote; of what is not there none */
export function freezePlace(place: Place, at: (line: string) => number): FrozenPlace | undefined {
	const mm = shareOfMm(place);
	if (mm === undefined) return undefined;
	const { photo, width, height, pieces } = place;
	return {
		photo,
		width,
		height,
		pieces: pieces.flatMap(({ line, x, y, turned }) =>
			at(line) < 0 ? [] : [{ line: at(line), x, y, mm, turned }]
		)
	};
}

/** Shares stay within the photo, and a little beside it. */
export const within = (share: number): number => Math.min(1.2, Math.max(-0.2, Math.round(share * 1e5) / 1e5));
