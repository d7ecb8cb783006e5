import { got, refuse, type Parsed } from '../../errors.ts';
import { ROUND_NOMINALS } from '../../materials/material.ts';
import { MICROMETRES, typedLength, type Micrometres } from '../../units/length.ts';
import {
	CONNECTORS,
	JOINTS,
	MOST_IN_RIBBON,
	MOST_RINGS,
	WEAVES,
	type Cage,
	type Weave,
	type WeaveShape,
	type WovenKind
} from './document.ts';
import type { ColourRef } from '../../language/said.ts';
import { nameColour } from '../../language/names/name-colour.ts';
import { sizeOf } from '../../language/balloon.ts';
import { saidBalloon } from '../../language/fill.ts';
import { pathLength } from '../../language/path-length.ts';
import { hungOf } from '../../language/hung.ts';
import type { Reader } from '../../language/reader.ts';
import type { SaidWeave, WeaveSaid } from './said.ts';
import { isWord } from '../../language/tokens.ts';

const said = (weave: SaidWeave): Parsed<WeaveSaid> => got({ kind: 'weave', said: weave });

/** A whole number of something, up to so many. */
function whole(r: Reader, most: number, least = 1): number | undefined {
	const n = r.number()?.valueOf();
	return n !== undefined && Number.isInteger(n) && n >= least && n <= most ? n : undefined;
}

/**
 * A line of a weave in hand: what it is of (`panel of 10 links at 9`, `base of 10 links 8 by 4 with 2 cross pieces`), its
 * rows from below (`3 rows 4 blue / 4 white`), what holds it (`joined with 5 at 2 gold`, `edge duplet`, `held 1 of 2`), a
 * handle, how it is hung. Undefined where no weave is in hand.
 */
export function weaveLine(r: Reader): Parsed<WeaveSaid> | undefined {
	const own = r.context.sections?.find((s) => s.id === r.context.section);
	if (own?.structure.kind !== 'weave') return undefined;
	return ribbons(r) ?? shape(r) ?? joints(r) ?? bent(r) ?? handle(r) ?? bays(r) ?? hung(r) ?? row(r);
}

function shape(r: Reader): Parsed<WeaveSaid> | undefined {
	// “base duplet” says what holds the joints of a base.
	if (isWord(r.now, 'base') && (isWord(r.next, ...CONNECTORS, 'with') || r.next?.kind === 'number'))
		return undefined;
	const kind = WEAVES.find((w) => r.word(w)) ?? alsoCalled(r);
	if (!kind) return undefined;
	r.word('of');
	const bag = r.number();
	const woven = r.word('links', 'link', 'rounds', 'round');
	if (!bag || !woven)
		return refuse(
			'missing',
			`Of which balloons? Type it like “${kind} of 10 links at 9” or “${kind} of 11 rounds at 9”.`
		);
	const of: WovenKind = woven.startsWith('link') ? 'latex-link' : 'latex-round';
	const nominal = typedLength(bag, 'in');
	const sold =
		(of === 'latex-round' && (ROUND_NOMINALS as readonly number[]).includes(bag.valueOf())) ||
		r.context.materials.some((m) => m.kind === of && m.nominal === nominal);
	if (!sold) {
		const bags = [
			...new Set(
				r.context.materials.flatMap((m) => (m.kind === of && m.nominal ? [m.nominal / MICROMETRES.in] : []))
			)
		];
		return refuse(
			'unknown-word',
			`There is no ${bag.valueOf()} in ${of === 'latex-link' ? 'link' : 'round'}.${bags.length > 0 ? ` The Stockroom has ${bags.join(', ')}.` : ''}`
		);
	}
	const size = sizeOf(r, nominal);
	if (!size.ok) return size;
	const method = r.phrase('by eye') ? ('eye' as const) : null;
	let base: Weave['base'] = null;
	let cage: Cage | undefined;
	if (kind === 'base' || kind === 'cage') {
		r.mark(',');
		const along = whole(r, 200);
		r.word('by', 'x');
		const across = whole(r, 200);
		if (!along || !across)
			return refuse(
				'missing',
				`How many balloons long and across? Type it like “${kind} of 10 links at 9, 8 by 4${kind === 'cage' ? ', 3 rings' : ''}”.`
			);
		const cross = r.word('with') ? whole(r, 60, 0) : 0;
		if (r.word('cross', 'crosses')) r.word('pieces', 'piece');
		if (cross === undefined)
			return refuse('not-whole', 'How many cross pieces? Type it like “with 2 cross pieces”.');
		base = { along, across, cross };
	}
	if (kind === 'cage') {
		const read = cageOf(r);
		if (!read.ok) return read;
		cage = read.value;
	}
	return said({
		set: 'shape',
		shape: kind,
		woven: { kind: of, nominal, size: size.value, method },
		base,
		cage
	});
}

/** `3 rings posts 2 every 2 over 1`: what stands on the lowest ring of a cage. */
function cageOf(r: Reader): Parsed<Cage> {
	const SAY =
		'How many rings over each other? Type it like “cage of 10 links at 9, 4 by 3, 3 rings posts 1”.';
	r.mark(',');
	const rings = whole(r, MOST_RINGS);
	if (!rings || !r.word('rings', 'ring')) return refuse('missing', SAY);
	let cage: Cage = { rings, post: 1, every: 0, over: 0 };
	for (;;) {
		r.mark(',');
		const [key, least, most] = r.word('posts', 'post')
			? (['post', 1, MOST_RINGS] as const)
			: r.word('every')
				? (['every', 0, 200] as const)
				: r.word('over')
					? (['over', 0, 60] as const)
					: [undefined, 0, 0];
		if (key === undefined) return got(cage);
		const n = whole(r, most, least);
		if (n === undefined) return refuse('not-whole', SAY);
		cage = { ...cage, [key]: n };
	}
}

/** `bays of 5 at 3 gold`, `no bays`: a round in every space between links. */
function bays(r: Reader): Parsed<WeaveSaid> | undefined {
	if (isWord(r.now, 'no') && isWord(r.next, 'bays')) {
		r.at += 2;
		return said({ set: 'filler', balloon: null });
	}
	if (!r.word('bays')) return undefined;
	r.word('of', 'with');
	const balloon = saidBalloon(r, []);
	return balloon.ok ? said({ set: 'filler', balloon: balloon.value.what }) : balloon;
}

/** What makers call a panel or a ring by what becomes of it. */
function alsoCalled(r: Reader): WeaveShape | undefined {
	if (r.word('ribbon', 'wall')) return 'panel';
	if (r.word('crate')) return 'cage';
	return r.word('basket') ? 'ring' : undefined;
}

/** `joined with 5 at 2 gold`; `edge duplet`; `held 1 of 2 staggered 1`. */
function joints(r: Reader): Parsed<WeaveSaid> | undefined {
	if (r.phrase('joined with')) {
		if (r.word('nothing')) return said({ set: 'joiner', balloon: null });
		const balloon = saidBalloon(r, []);
		return balloon.ok ? said({ set: 'joiner', balloon: balloon.value.what }) : balloon;
	}
	if (r.word('held')) {
		const take = whole(r, 24);
		r.word('of');
		const of = take && whole(r, 24);
		const stagger = r.word('staggered', 'moved') ? whole(r, 24, 0) : 1;
		if (!take || !of || take > of || stagger === undefined)
			return refuse(
				'not-whole',
				'How many of how many joints are held? Type it like “held 1 of 2” or “held 2 of 3 staggered 1”.'
			);
		return said({ set: 'held', take, of, stagger });
	}
	const joint = JOINTS.find((j) => isWord(r.now, j, `${j}s`) && isWord(r.next, ...CONNECTORS, 'with'));
	const spoken = JOINTS.find((j) => isWord(r.now, j, `${j}s`) && r.next?.kind === 'number');
	if (!joint && !spoken) return undefined;
	r.at++;
	// “duplet” and “quad” are read as their counts.
	const connector = CONNECTORS.find((c) => r.word(c)) ?? byCount(r);
	return connector
		? said({ set: 'joint', joint: (joint ?? spoken)!, connector })
		: refuse('unknown-word', `A joint is held by ${CONNECTORS.join(', ')}.`);
}

function byCount(r: Reader): (typeof CONNECTORS)[number] | undefined {
	const n = r.number()?.valueOf();
	return n === 1 ? 'single' : n === 2 ? 'duplet' : n === 4 ? 'quad' : undefined;
}

/** `strings first`, `ribbons of 2 first`: what is made up before it is joined; `row on row` is without. */
function ribbons(r: Reader): Parsed<WeaveSaid> | undefined {
	if (r.phrase('row on row')) return said({ set: 'ribbons', ribbons: null });
	if (r.phrase('strings first')) return said({ set: 'ribbons', ribbons: 1 });
	if (!r.phrase('ribbons of')) return undefined;
	const rows = whole(r, MOST_IN_RIBBON);
	r.word('row', 'rows');
	return rows && r.word('first')
		? said({ set: 'ribbons', ribbons: rows })
		: refuse('not-whole', `How many rows are a ribbon? Type it like “ribbons of 2 first”, up to ${MOST_IN_RIBBON}.`);
} // prettier-ignore

function bent(r: Reader): Parsed<WeaveSaid> | undefined {
	if (r.word('flat')) return said({ set: 'chord', chord: null });
	if (!r.word('bent', 'bend')) return undefined;
	r.word('over');
	const chord = pathLength(r);
	return chord
		? said({ set: 'chord', chord })
		: refuse('not-a-length', 'Over how wide a chord is it bent? Type it like “bent over 6 ft”.');
}

/** `handle of 8 blue over 6 ft to 4 ft`; `no handle`. */
function handle(r: Reader): Parsed<WeaveSaid> | undefined {
	if (isWord(r.now, 'no') && isWord(r.next, 'handle')) {
		r.at += 2;
		return said({ set: 'handle', handle: null });
	}
	// “handle quad” was a joint.
	if (!r.word('handle')) return undefined;
	r.word('of');
	const links = whole(r, 200);
	const words = r.words('over');
	const SAY = 'Say how many, in which colour and how wide, like “handle of 8 blue over 6 ft”.';
	if (!links || words.length === 0) return refuse('missing', SAY);
	const colour = nameColour(words, r.context);
	if (!colour.ok) return colour;
	const chord = r.word('over') ? pathLength(r) : undefined;
	if (!chord) return refuse('missing', SAY);
	let rise: Micrometres | null = null;
	if (r.word('to')) {
		rise = pathLength(r) ?? null;
		if (rise === null)
			return refuse('not-a-length', 'How high shall it reach over its feet? Type it like “to 4 ft”.');
	}
	return said({ set: 'handle', handle: { links, colour: colour.value, chord, rise } });
}

function hung(r: Reader): Parsed<WeaveSaid> | undefined {
	const found = hungOf(r);
	if (!found) return undefined;
	return found.ok ? said({ set: 'hung', hung: found.value }) : found;
}

/** `3 rows 4 blue / 4 white / 2 hidden`; `row 8 blue`. */
function row(r: Reader): Parsed<WeaveSaid> | undefined {
	let repeat = 1;
	if (r.now?.kind === 'number' && isWord(r.next, 'rows', 'row')) {
		const n = whole(r, 200);
		if (n === undefined) return refuse('too-big', 'Rows alike are a whole number from 1 to 200.');
		repeat = n;
	}
	if (!r.word('row', 'rows')) return undefined;
	r.word('of');
	const blocks: { ref: ColourRef | null; count: number }[] = [];
	do {
		const count = whole(r, 500);
		if (count === undefined)
			return refuse('not-whole', 'How many balloons along the row? Type it like “3 rows 4 blue / 4 white”.');
		const words = r.words();
		if (words.length === 0)
			return refuse('missing', 'In which colour? “hidden” is any colour, where nobody sees it.');
		const hidden = words.length === 1 && words[0] === 'hidden';
		const ref = hidden ? got(null) : nameColour(words, r.context);
		if (!ref.ok) return ref;
		blocks.push({ ref: ref.value, count });
		if (blocks.length > 60) return refuse('too-big', 'A row has at most 60 blocks of colour.');
	} while (r.mark('/') || r.word('and') || r.now?.kind === 'number');
	return said({ set: 'row', repeat, blocks });
}
