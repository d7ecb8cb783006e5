import type { Scale } from '../facets/variant.ts';
import { type Micrometres, um, inches, formatInches } from '../../units/length.ts';
import type { Host } from '../../document/host.ts';
import type { Size } from '../../sizing/size.ts';
import { ROUND_NOMINALS } from '../../materials/material.ts';
import { FILL_EDGES } from '../../sizing/fill.ts';

/** Sizer holes and tapes are read to an eighth of an inch: scaled sizes fall on those. House rule. */
const EIGHTH = 3175;

export const toEighth = (value: number): Micrometres =>
	um(Math.max(EIGHTH, Math.round(value / EIGHTH) * EIGHTH));

/** A place on a wall or along a path moves with its size; a row, a place or a piece is where it is. */
export function scaleHost(host: Host, factor: number): Host {
	if (host.on === 'wall')
		return { ...host, height: toEighth(host.height * factor), across: Math.round(host.across * factor) };
	return host.on === 'path' ? { ...host, at: toEighth(host.at * factor) } : host;
}

/** Only what lies along a path is moved: the path is longer or shorter. */
export const alongHost = (host: Host, factor: number): Host =>
	host.on === 'path' ? scaleHost(host, factor) : host;

/** Said of what is as large as its bag. */
export const sizesOfTheirOwn = ({ name, note }: Scale): void =>
	note(`${name} stays as large as it is: foils and modelling balloons come in sizes of their own.`);

interface Balloon {
	readonly nominal: Micrometres;
	readonly size: Size;
}

export function scaleBalloon(
	{ nominal, size }: Balloon,
	{ factor, note }: Pick<Scale, 'factor' | 'note'>
): Balloon {
	switch (size.kind) {
		case 'value': {
			const wanted = size.um * factor;
			const bag = bagFor(wanted, nominal, size.um / nominal);
			const um = toEighth(Math.min(wanted, bag));
			say(note, nominal, bag, wanted > bag);
			return { nominal: bag, size: { ...size, um, origin: 'derived' } };
		}
		case 'range': {
			const bag = bagFor(size.high * factor, nominal, size.high / nominal);
			say(note, nominal, bag, size.high * factor > bag);
			const [low, high] = [size.low, size.high].map((v) => toEighth(Math.min(v * factor, bag)));
			return { nominal: bag, size: { ...size, low: low!, high: high!, origin: 'derived' } };
		}
		default: {
			// Words and unknown sizes go with the bag; strokes go with the air, the cube of the diameter.
			const bag = bagFor(nominal * factor, nominal, 1);
			const moved = bag / nominal;
			say(note, nominal, bag, nominal * factor > inches(ROUND_NOMINALS.at(-1)!));
			if (size.kind !== 'strokes') return { nominal: bag, size };
			const strokes = Math.max(0.5, Math.round(size.strokes * moved ** 3 * 2) / 2);
			return { nominal: bag, size: { ...size, strokes, origin: 'derived' } };
		}
	}
}

function say(note: Scale['note'], from: Micrometres, to: Micrometres, beyond: boolean) {
	const [had, now] = [from, to].map(formatInches);
	if (beyond) note(`No round comes larger than ${now} in: the ${had} in balloons stop there.`);
	else if (from !== to) note(`The ${had} in balloons move to ${now} in bags.`);
}

/**
 * The bag for a size: the one it had while it fits, else the one whose fill comes nearest to the fill it had, the
 * larger of two alike.
 */
export function bagFor(size: number, had: Micrometres, fill: number): Micrometres {
	const fits = (bag: number) => size <= bag && size >= bag * FILL_EDGES.pear;
	if (fits(had)) return had;
	const bags = ROUND_NOMINALS.map((n) => inches(n));
	const fitting = bags.filter(fits);
	if (fitting.length === 0) return size > had ? bags.at(-1)! : bags[0]!;
	return fitting.reduce((best, bag) =>
		Math.abs(size / bag - fill) <= Math.abs(size / best - fill) ? bag : best
	);
}
