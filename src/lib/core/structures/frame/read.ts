import { got, refuse, type Parsed } from '../../errors.ts';
import { findMaterial } from '../../language/names/find-material.ts';
import { pathLength } from '../../language/path-length.ts';
import type { Reader } from '../../language/reader.ts';
import { isWord } from '../../language/tokens.ts';
import { inches, type Micrometres } from '../../units/length.ts';
import { JOININGS_OF_TUBE, type FrameShape } from './document.ts';
import { MOST_BARS, MOST_BENDS, MOST_USES } from './limits.ts';
import type { FrameSaid, SaidFrame } from './said.ts';

/** Words that end the name of a material in a line of a frame; of these the second need a figure or “of” behind them. */
const ENDS = ['on', 'no', 'joined', 'glued', 'dry', 'screwed'];
const ENDS_WITH = ['tube', 'pipe', 'sticks', 'feet', 'bars', 'foot', 'used'];

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
		const next = shapeOf(r) ?? tubeOf(r) ?? baseOf(r, frame.base?.across ?? inches(12)) ?? joinedOf(r) ?? usesOf(r);
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

function shapeOf(r: Reader): Clause {
	if (r.word('post', 'upright', 'mast')) {
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
	return r.word('bent') ? bentOf(r) : undefined;
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
	const across = pathLength(r, 'in', inches(0.25));
	if (!across || across > inches(12)) return asks('How wide is the tube? Type it like “tube 1 in”.');
	return got({ set: 'tube', tube: { across } });
}

function ofMaterial(r: Reader): Clause {
	r.at++;
	const found = findMaterial(nameOf(r), r.context.materials);
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
