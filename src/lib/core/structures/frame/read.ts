import { GROUNDS } from '../../document/ground.ts';
import { got, refuse, type Parsed } from '../../errors.ts';
import { findMaterial } from '../../language/names/find-material.ts';
import { pathLength } from '../../language/path-length.ts';
import type { Reader } from '../../language/reader.ts';
import { isWord } from '../../language/tokens.ts';
import { inches, type Micrometres } from '../../units/length.ts';
import { printLong } from '../kit/print-words.ts';
import { canBeFramed } from '../kit/letter-lines.ts';
import { COVERS, JOININGS_OF_TUBE, type Frame, type FramePoint, type FrameShape } from './document.ts';
import { isNothing, isSamePoint, toGrid } from './grid.ts';
import { FARTHEST, MOST_BARS, MOST_BENDS, MOST_GUYS, MOST_PARTS, MOST_STICKS, MOST_USES } from './limits.ts';
import { takenApart } from './parts.ts';
import type { FrameSaid, SaidFrame } from './said.ts';

/** Words that end the name of a material in a line of a frame; of these the second need a figure or “of” behind them. */
const ENDS = ['on', 'no', 'joined', 'glued', 'dry', 'screwed', 'guyed', 'covered', 'for'];
const ENDS_WITH = ['mesh', 'tube', 'pipe', 'sticks', 'feet', 'bars', 'foot', 'used'];

function nameOf(r: Reader): string[] {
	const words: string[] = [];
	for (;;) {
		const found = r.words(...ENDS, ...ENDS_WITH);
		words.push(...found);
		const ends = r.next?.kind === 'number' || isWord(r.next, 'of');
		if (ends || !isWord(r.now, ...ENDS_WITH)) return words;
		words.push(r.all[r.at++]!.text);
	}
}

/**
 * A line of a frame in hand: its outline with its measures (`post 5 ft`, `door 8 ft by 7 ft feet 3 ft`), what it is of, what
 * it stands on, how it is joined and how often it is used, in any order. Undefined where no frame is in hand.
 */
export function frameLine(r: Reader): Parsed<FrameSaid> | undefined {
	const own = r.context.sections?.find((s) => s.id === r.context.section);
	if (own?.structure.kind !== 'frame') return undefined;
	const frame = own.structure;
	const said: SaidFrame[] = [];
	for (;;) {
		r.mark(',');
		if (said.length > 0) r.word('and', 'with');
		const next = apartOf(r, frame) ?? plateOf(r, frame) ?? shapeOf(r, said.length > 0) ?? tubeOf(r) ?? baseOf(r, frame.base?.across ?? inches(12)) ?? groundOf(r, frame.base?.across ?? inches(12)) ?? guysOf(r) ?? meshOf(r) ?? coverOf(r) ?? joinedOf(r) ?? usesOf(r);
		if (next === undefined) break;
		if (!next.ok) return next;
		said.push(next.value);
	} // prettier-ignore
	if (said.length === 0) return undefined;
	return r.now === undefined ? got({ kind: 'frame', said }) : undefined;
}

type Clause = Parsed<SaidFrame> | undefined;
const shape = (own: FrameShape): Clause => got({ set: 'shape', shape: own });
const asks = (say: string): Clause => refuse('not-a-length', say);

function shapeOf(r: Reader, goesOn: boolean): Clause {
	// “plate 12 in with pole 5 ft”; by itself a pole is that of a column.
	if (r.word('post', 'upright', 'mast') || (goesOn && r.word('pole'))) {
		const height = pathLength(r);
		if (!height) return asks('How high is the post? Type it like “post 5 ft”.');
		r.word('high', 'tall');
		return shape({ of: 'post', height });
	}
	if (isWord(r.now, 'door', 'goal')) return doorOf(r);
	if (isWord(r.now, 'back')) return backOf(r);
	if (r.word('cross')) {
		const height = pathLength(r);
		const arm = r.word('tree', 'arm') ? pathLength(r) : undefined;
		const at = r.word('at') ? pathLength(r) : undefined;
		if (!height || !arm || !at)
			return asks('How high, how wide is its tree and how high is that? Type it like “cross 7 ft tree 4 ft at 5 ft”.'); // prettier-ignore
		return at > height
			? refuse('too-big', 'The tree is no higher than its mast. Type it like “cross 7 ft tree 4 ft at 5 ft”.')
			: shape({ of: 'cross', height, arm, at });
	}
	if (r.word('hoop', 'ring')) {
		const across = pathLength(r);
		if (!across) return asks('How wide is the hoop? Type it like “hoop 5 ft foot 3 ft”.');
		r.word('across', 'wide');
		const foot = r.word('foot') ? pathLength(r) : 0;
		return foot === undefined
			? asks('How high does it stand? Type it like “hoop 5 ft foot 3 ft”.')
			: shape({ of: 'hoop', across, foot });
	}
	if (r.word('arc')) {
		const two = twoOf(r);
		return two
			? shape({ of: 'arc', span: two[0], rise: two[1] })
			: asks('How wide and how high? Type it like “arc 8 ft by 7 ft”.');
	}
	return telescopeOf(r) ?? letterOf(r) ?? boxOf(r) ?? partsOf(r) ?? (r.word('bent') ? bentOf(r) : undefined);
}

/** `8 ft by 7 ft`. */
function twoOf(r: Reader): readonly [Micrometres, Micrometres] | undefined {
	const wide = pathLength(r);
	if (!wide || !r.word('by', 'x')) return undefined;
	const high = pathLength(r);
	return high ? [wide, high] : undefined;
}
const feetSaid = (r: Reader): Micrometres | 0 | undefined => (r.word('feet') ? pathLength(r) : 0);

function doorOf(r: Reader): Clause {
	r.at++;
	r.word('frame');
	const two = twoOf(r);
	const feet = two && feetSaid(r);
	return two && feet !== undefined
		? shape({ of: 'door', width: two[0], height: two[1], feet })
		: asks('How wide and how high, and how long are its feet? Type it like “door 8 ft by 7 ft feet 3 ft”.');
}

function backOf(r: Reader): Clause {
	r.at++;
	r.word('frame');
	const two = twoOf(r);
	const feet = two && feetSaid(r);
	if (!two || feet === undefined)
		return asks(
			'How wide and how high, and how long are its feet? Type it like “back 6 ft by 7 ft feet 3 ft”.'
		);
	const bars = r.word('bars') ? r.number()?.valueOf() : 0;
	if (bars === undefined || !Number.isInteger(bars) || bars < 0 || bars > MOST_BARS)
		return refuse('not-whole', `How many bars between? At most ${MOST_BARS}, like “bars 2”.`);
	return shape({ of: 'back', width: two[0], height: two[1], feet, bars });
}

/** `letter A 4 ft feet 2 ft`, `number 5 4 ft`. */
function letterOf(r: Reader): Clause {
	if (!r.word('letter', 'number')) return undefined;
	const sign = r.now?.text.trim().toUpperCase() ?? '';
	if (!canBeFramed(sign))
		return refuse(
			'unknown-word',
			`“${sign}” has no square frame here. Numbers do, and all letters but K, Q, V and X: type it like “letter A 4 ft”.`
		);
	r.at++;
	const height = pathLength(r);
	const feet = height && feetSaid(r);
	return height && feet !== undefined
		? shape({ of: 'letter', sign, height, feet })
		: asks('How tall is the letter, and how long are its feet? Type it like “letter A 4 ft feet 2 ft”.');
}

/** `telescopic 4 ft to 8 ft at 7 ft bar 6 ft`. */
function telescopeOf(r: Reader): Clause {
	if (!r.word('telescopic')) return undefined;
	r.word('pole', 'poles');
	const help = 'Type it like “telescopic 4 ft to 8 ft at 7 ft”.';
	const from = r.at;
	let closed = pathLength(r);
	const open = closed && r.word('to') ? pathLength(r) : undefined;
	// “4 to 8 ft”: a unit behind the second is of both.
	const to = r.at;
	const unit = r.all[to - 1]!.text;
	if (open && !isWord(r.all[from + 1], 'ft', 'in', 'm', 'cm') && isWord(r.all[to - 1], 'in', 'm', 'cm')) {
		r.at = from;
		closed = pathLength(r, unit as 'in');
		r.at = to;
	}
	const height = open && r.word('at') ? pathLength(r) : open;
	const bar = height && r.word('bar') ? pathLength(r) : 0;
	if (!closed || !open || !height || bar === undefined)
		return asks(`How long is the pole pushed in and pulled out, and how high does it stand? ${help}`);
	if (closed > open) return refuse('too-big', `Pushed in it is no longer than pulled out. ${help}`);
	return height > open || height < closed
		? refuse('too-big', `It stands between ${printLong(closed)} and ${printLong(open)}: the pole comes no further. ${help}`)
		: shape({ of: 'telescope', closed, open, height, bar });
} // prettier-ignore

/** `box 3 sticks 4 ft apart 8 in`. */
function boxOf(r: Reader): Clause {
	if (!r.word('box')) return undefined;
	r.word('of', 'with');
	const sticks = r.number()?.valueOf();
	r.word('stick', 'sticks');
	const height = pathLength(r);
	const gap = r.word('apart') ? pathLength(r, 'in', inches(0.5)) : inches(8);
	if (sticks === undefined || !Number.isInteger(sticks) || sticks < 1 || sticks > MOST_STICKS)
		return refuse('not-whole', `How many sticks? 1 to ${MOST_STICKS}, like “box 3 sticks 4 ft apart 8 in”.`);
	return height && gap
		? shape({ of: 'box', sticks, height, apart: gap })
		: asks('How high are they, and how far apart? Type it like “box 3 sticks 4 ft apart 8 in”.');
}

/** `parts 0 by 0 to 0 by 6 to 3 by 6, 3 by 6 to 3 by 0 ft`: to the right, up and, where it is said, to the back. */
function partsOf(r: Reader): Clause {
	if (!r.word('parts')) return undefined;
	const help =
		'Type points to the right and up, in feet, like “parts 0 by 0 to 0 by 6 to 3 by 6, 3 by 6 to 3 by 0 ft”.';
	const raw: (readonly [number, number, number])[][] = [];
	do {
		const chain: (readonly [number, number, number])[] = [];
		do {
			const point = pointSaid(r);
			if (!point) return refuse('not-a-length', `Where does that tube go? ${help}`);
			chain.push(point);
		} while (r.word('to'));
		if (chain.length < 2) return refuse('missing', `A tube goes from one point to another. ${help}`);
		raw.push(chain);
	} while (r.mark(','));
	const point = pointsIn(r);
	const ends = raw.map((chain) => chain.map(point));
	const parts = ends.flatMap((chain) => chain.slice(1).map((to, i) => ({ from: chain[i]!, to })));
	const all = parts.flatMap(({ from, to }) => [from, to]);
	if (parts.some(isNothing))
		return refuse('not-a-length', `A tube goes from one point to another, not to the same. ${help}`);
	if (all.some(([, z]) => z < 0)) return refuse('too-small', 'Nothing goes below the floor: heights begin at 0.');
	if (all.flat().some((v) => Math.abs(v) > FARTHEST)) return refuse('too-big', 'No point is more than 49 ft from the middle.');
	return parts.length > MOST_PARTS
		? refuse('too-big', `At most ${MOST_PARTS} tubes go into one frame. Make two of it.`)
		: shape({ of: 'parts', parts });
} // prettier-ignore

/** So far to the right, up and, where it is said, to the back, in the unit that is said behind all of them. */
function pointSaid(r: Reader): readonly [number, number, number] | undefined {
	const coordinate = () => {
		const minus = r.mark('-') || r.mark('−');
		const value = r.number()?.valueOf();
		return value === undefined ? undefined : minus ? -value : value;
	};
	const x = coordinate();
	const z = x !== undefined && r.word('by') ? coordinate() : undefined;
	const y = z !== undefined && r.word('by') ? coordinate() : 0;
	return x === undefined || z === undefined || y === undefined ? undefined : [x, z, y];
}
/** Points are kept to the eighth of an inch, as they are marked. */
const pointsIn = (r: Reader): ((said: readonly [number, number, number]) => FramePoint) => {
	const unit = r.word('in', 'inches') ? 25_400 : (r.word('ft', 'feet'), 304_800);
	return (said) => said.map((v) => toGrid(v * unit)) as unknown as FramePoint;
};

/** `tube from 0 by 3 to 3 by 3 ft`. */
function partOf(r: Reader): Clause {
	const [a, b] = [pointSaid(r), r.word('to') ? pointSaid(r) : undefined];
	const point = pointsIn(r);
	const [from, to] = [a && point(a), b && point(b)];
	if (!from || !to || from[1] < 0 || to[1] < 0 || isSamePoint(from, to))
		return asks('From where to where, to the right and up, in feet? Type it like “tube from 0 by 3 to 3 by 3 ft”.');
	return [...from, ...to].some((v) => Math.abs(v) > FARTHEST)
		? refuse('too-big', 'No point is more than 49 ft from the middle.')
		: got({ set: 'part', part: { from, to } });
} // prettier-ignore

/** `taken apart`, `without tube 2`. */
function apartOf(r: Reader, frame: Frame): Clause {
	if (r.phrase('taken apart')) return got({ set: 'apart' });
	if (!r.phrase('without tube')) return undefined;
	const tubes = takenApart(frame).length;
	const nth = r.number()?.valueOf();
	return nth !== undefined && Number.isInteger(nth) && nth >= 1 && nth <= tubes && tubes > 1
		? got({ set: 'part out', nth })
		: refuse('not-whole', tubes > 1 ? `Which tube? 1 to ${tubes}, like “without tube 2”.` : 'It is one tube: nothing would be left.'); // prettier-ignore
}

/** `for grass on plate 24 in`, `for stage no base`, `for grass as usual`. */
function groundOf(r: Reader, usual: Micrometres): Clause {
	if (!r.word('for')) return undefined;
	const ground = GROUNDS.find((g) => r.word(g));
	if (!ground) return refuse('unknown-word', `On which ground? ${GROUNDS.join(', ')}: type it like “for grass on plate 24 in”.`); // prettier-ignore
	if (r.phrase('as usual')) return got({ set: 'ground', ground, base: undefined });
	const base = baseOf(r, usual);
	if (!base) return refuse('missing', `On what does it stand there? Type it like “for ${ground} on plate 24 in”.`); // prettier-ignore
	if (!base.ok) return base;
	return base.value.set === 'base' ? got({ set: 'ground', ground, base: base.value.base }) : undefined;
}

/** `guyed 3 at 5 ft out 4 ft`; `no guys`. */
function guysOf(r: Reader): Clause {
	if (r.phrase('no guys')) return got({ set: 'guys', guys: null });
	if (!r.word('guyed')) return undefined;
	const count = r.number()?.valueOf();
	const at = r.word('at') ? pathLength(r) : undefined;
	const reach = r.word('out') ? pathLength(r) : undefined;
	if (count === undefined || !Number.isInteger(count) || count < 2 || count > MOST_GUYS)
		return refuse('not-whole', `How many lines? 2 to ${MOST_GUYS}, like “guyed 3 at 5 ft out 4 ft”.`);
	return at && reach
		? got({ set: 'guys', guys: { count, at, reach } })
		: asks(
				'How high are they tied, and how far out are the stakes? Type it like “guyed 3 at 5 ft out 4 ft”.'
			);
}

/** `mesh of chicken wire`; `no mesh`. */
function meshOf(r: Reader): Clause {
	if (r.phrase('no mesh')) return got({ set: 'mesh', mesh: null });
	if (!r.word('mesh')) return undefined;
	if (!r.word('of')) return got({ set: 'mesh', mesh: { material: null } });
	const found = findMaterial(nameOf(r), r.context.materials);
	return found.ok ? got({ set: 'mesh', mesh: { material: found.value.id } }) : found;
}

/** `covered in tissue`; `no cover`. */
function coverOf(r: Reader): Clause {
	if (r.phrase('no cover')) return got({ set: 'cover', cover: null });
	if (!r.word('covered')) return undefined;
	r.word('in', 'with', 'by');
	const cover = COVERS.find((c) => r.word(c, `${c}s`));
	return cover
		? got({ set: 'cover', cover })
		: refuse('unknown-word', `Covered in what? ${COVERS.join(', ')}: type it like “covered in fabric”.`);
}

/** `bent 10 ft at 13 in, 13 in, 13 in, 9 in`. */
function bentOf(r: Reader): Clause {
	const stick = pathLength(r);
	const bends: Micrometres[] = [];
	if (r.word('at'))
		do {
			const long = pathLength(r, 'in', inches(0.5));
			if (!long)
				return asks('How far to the next bend? Type it like “bent 10 ft at 13 in, 13 in, 13 in, 9 in”.');
			bends.push(long);
		} while (r.mark(',') || r.now?.kind === 'number');
	if (!stick || bends.length === 0 || bends.length > MOST_BENDS)
		return asks('How long is the stick, and how far from bend to bend? Type it like “bent 10 ft at 13 in, 13 in, 13 in, 9 in”.'); // prettier-ignore
	return bends.reduce((a, b) => a + b, 0) >= stick
		? refuse('too-big', 'The bends take the whole stick: nothing is left to stand up. Take a longer stick, or shorter bends.') // prettier-ignore
		: shape({ of: 'bent', stick, bends });
}

/** `plate 12 in with pole 5 ft`. */
function plateOf(r: Reader, { base }: Frame): Clause {
	if (!r.word('plate')) return undefined;
	const across = pathLength(r, 'in', inches(2));
	return across
		? got({ set: 'base', base: { material: base?.material ?? null, across } })
		: asks('How wide is the plate? Type it like “plate 12 in with pole 5 ft”.');
}

/** `of 1 in pipe`; `tube 1 in in sticks of 10 ft of conduit`. */
function tubeOf(r: Reader): Clause {
	if (isWord(r.now, 'of')) return ofMaterial(r);
	const sticks = (): Micrometres | undefined => {
		r.word('of');
		return pathLength(r);
	};
	if (r.word('sticks')) {
		const stick = sticks();
		return stick
			? got({ set: 'tube', tube: { stick } })
			: asks('How long do the sticks come? Type it like “sticks of 10 ft”.');
	}
	if (!r.word('tube', 'pipe')) return undefined;
	if (r.word('from')) return partOf(r);
	const across = pathLength(r, 'in', inches(0.25));
	if (!across || across > inches(12)) return asks('How wide is the tube? Type it like “tube 1 in”.');
	return got({ set: 'tube', tube: { across } });
}

function ofMaterial(r: Reader): Clause {
	r.at++;
	const from = r.at;
	const found = findMaterial(nameOf(r), r.context.materials);
	// “of 1 in pipe” says how wide it is, where nothing of the Stockroom is called that.
	if (!found.ok) {
		const to = r.at;
		r.at = from;
		const across = r.now?.kind === 'number' ? pathLength(r, 'in', inches(0.25)) : undefined;
		if (across && across <= inches(12) && r.word('pipe', 'tube'))
			return got({ set: 'tube', tube: { across } });
		r.at = to;
	}
	return found.ok ? got({ set: 'tube', tube: { material: found.value.id } }) : found;
}

/** `on plywood plate 14 in`; `on plates 12 in`; `no base`. */
function baseOf(r: Reader, usual: Micrometres): Clause {
	if (r.phrase('no base')) return got({ set: 'base', base: null });
	if (!r.word('on')) return undefined;
	r.word('a', 'an', 'the');
	const words = nameOf(r);
	const open = words.length === 1 && /^plates?$/.test(words[0]!);
	const found = open ? undefined : findMaterial(words, r.context.materials);
	if (found && !found.ok) return found;
	const across = r.now?.kind === 'number' ? pathLength(r, 'in', inches(2)) : usual;
	return across
		? got({ set: 'base', base: { material: found?.value.id ?? null, across } })
		: asks('How wide is the base? Type it like “on plate 12 in”.');
}

function joinedOf(r: Reader): Clause {
	r.word('joined');
	const joined = JOININGS_OF_TUBE.find((j) => r.word(j));
	return joined && got({ set: 'joined', joined });
}

/** `used 20 times`. */
function usesOf(r: Reader): Clause {
	if (!r.word('used')) return undefined;
	const uses = r.number()?.valueOf();
	r.word('times', 'time');
	return uses !== undefined && Number.isInteger(uses) && uses >= 1 && uses <= MOST_USES
		? got({ set: 'uses', uses })
		: refuse(
				'not-whole',
				`How often is it used? 1 to ${MOST_USES.toLocaleString('en')}, like “used 20 times”.`
			);
}
