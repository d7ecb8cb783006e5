import { got, refuse, type Parsed } from '../errors.ts';
import { parseNumber, type NumberStyle, MOST_TYPED } from './number.ts';

interface Unit {
	readonly factor: number;
	/** Added before the factor: degrees that do not start at absolute zero. */
	readonly offset?: number;
}

/**
 * Units people type, into K, g, m, L and m/s.
 * Source: NIST SP 811 (2008), appendix B.8: the pound is 453.59237 g, the foot 0.3048 m, the U.S. gallon 3.785411784 L.
 */
const UNITS = {
	temperature: {
		c: { factor: 1, offset: 273.15 },
		f: { factor: 5 / 9, offset: 459.67 },
		k: { factor: 1 }
	},
	mass: {
		g: { factor: 1 },
		kg: { factor: 1000 },
		oz: { factor: 28.349523125 },
		lb: { factor: 453.59237 },
		lbs: { factor: 453.59237 }
	},
	height: { m: { factor: 1 }, ft: { factor: 0.3048 }, km: { factor: 1000 } },
	volume: {
		l: { factor: 1 },
		ml: { factor: 0.001 },
		'cu ft': { factor: 28.316846592 },
		cf: { factor: 28.316846592 },
		m3: { factor: 1000 },
		'm³': { factor: 1000 },
		gal: { factor: 3.785411784 }
	},
	speed: {
		'm/s': { factor: 1 },
		mph: { factor: 0.44704 },
		'km/h': { factor: 1 / 3.6 },
		kn: { factor: 1852 / 3600 }
	}
} as const satisfies Record<string, Record<string, Unit>>;

export type Dimension = keyof typeof UNITS;
/** Units of a dimension; of several, those of any of them. */
export type UnitOf<D extends Dimension> = D extends Dimension ? keyof (typeof UNITS)[D] & string : never;

export interface Wanted {
	readonly dimension: Dimension;
	/** What a plain number is in: a unit of the dimension. */
	readonly unit: UnitOf<Dimension>;
	/** In the sentence: “The temperature”. */
	readonly what: string;
	/** Bounds, both included, in K, g, m, L or m/s, and how they are said. */
	readonly min: number;
	readonly max: number;
	readonly between: string;
}

/**
 * A quantity as typed: `68`, `68 F`, `20 °C`, `3 oz`, `1,200 ft`.
 * @returns it in K, g, m, L or m/s, or a sentence that says what to type
 */
export function parseQuantity(text: string, wanted: Wanted, style: NumberStyle): Parsed<number> {
	const { dimension, unit, what, min, max, between } = wanted;
	const units: Readonly<Record<string, Unit>> = UNITS[dimension];
	if (text.length > MOST_TYPED)
		return refuse('too-big', `${what} is too long. Type it like “${exampleOf(dimension)}”.`);
	const found = /^([-−]?[\d\s.,/½¼¾⅛⅜⅝⅞]*)°?(.*)$/u.exec(text.trim());
	const number = parseNumber(found?.[1] ?? '', style);
	if (!number.ok)
		return text.trim() === ''
			? refuse('missing', `${what} is blank. Type it like “${exampleOf(dimension)}”.`)
			: refuse('not-a-number', `${what} is not a number. Type it like “${exampleOf(dimension)}”.`);
	const said = found?.[2]?.trim().toLowerCase() || unit;
	const own = Object.hasOwn(units, said) ? units[said] : undefined;
	if (!own)
		return refuse(
			'unknown-word',
			`${what} is in ${Object.keys(units).join(', ')}. Type it like “${exampleOf(dimension)}”.`
		);
	const value = (number.value.valueOf() + (own.offset ?? 0)) * own.factor;
	return value < min || value > max
		? refuse(value < min ? 'too-small' : 'too-big', `${what} lies between ${between}.`)
		: got(value);
}

const exampleOf = (dimension: Dimension): string =>
	({ temperature: '68 F', mass: '3 oz', height: '500 ft', volume: '14.6 L', speed: '10 mph' })[dimension];

/** A quantity in another unit of its dimension. */
export function inUnit<D extends Dimension>(value: number, dimension: D, unit: UnitOf<D>): number {
	const own = (UNITS[dimension] as Readonly<Record<string, Unit>>)[unit]!;
	return value / own.factor - (own.offset ?? 0);
}
