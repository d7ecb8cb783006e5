import { got, refuse, type Parsed } from '../../errors.ts';
import type { Side } from '../../geometry/layers.ts';
import { SIDES } from '../../geometry/layers.ts';
import { ROUND_NOMINALS } from '../../materials/material.ts';
import { REFUSED_OVER, safeVerdict } from '../../sizing/fill.ts';
import { printSize, SIZE_WORDS, UNKNOWN_SIZE, type Size } from '../../sizing/size.ts';
import {
	formatInches,
	inches,
	MICROMETRES,
	um,
	type LengthUnit,
	type Micrometres
} from '../../units/length.ts';
import { shorten } from '../../units/number.ts';
import { rationalText, type Rational } from '../../units/rational.ts';
import { JOININGS, UPRIGHTS, type Joining } from '../recipe.ts';
import {
	KEYWORDS,
	type Entry,
	type EntryContext,
	type SaidCluster,
	type SaidLayer,
	type SaidPattern
} from './entry.ts';
import { nameColour, wordsMatch } from './name-colour.ts';
import { section } from './parse-section.ts';
import { lengthOf, Reader } from './reader.ts';
import { CLUSTER_WORDS, isMark, isWord, tokens } from './tokens.ts';

/** Most balloons in one cluster, and most layers alike in one row. */
export const MOST_IN_CLUSTER = 12;
export const MOST_REPEATS = 200;

const START = 'Start with how many and the size on the bag, like “4 11 at 9 white”.';
type No = ReturnType<typeof refuse>;

/**
 * Reads one line of the entry line. The grammar is documented in `docs/ENTRY-LINE.md`.
 * @returns what it means, or a sentence that says what to type instead
 */
export function parseEntry(text: string, context: EntryContext): Parsed<Entry> {
	if (text.trim() === '') return refuse('missing', START);
	if (text.length > 300)
		return refuse('too-big', 'That is too long for one layer. Put each layer on a line of its own.');
	const reader = new Reader(tokens(text, context.style), context);
	if (isMark(reader.now, '-') || isMark(reader.now, '−'))
		return refuse('negative', 'A count cannot be negative. Type 1 or more.');
	const entry = section(reader) ?? upright(reader) ?? extra(reader) ?? layer(reader);
	if (!entry.ok) return entry;
	if (reader.now)
		return refuse(
			'unknown-word',
			`I read all but “${shorten(reader.rest())}”. Take it out, or see the shorthand page.`
		);
	return entry;
}

function upright(r: Reader): Parsed<Entry> | undefined {
	if (r.word('no')) {
		if (r.word('pole', 'stick', 'mast', 'line', 'upright'))
			return got({ kind: 'upright', upright: { kind: 'none', length: null } });
		r.at--;
	}
	const kind = UPRIGHTS.find((u) => u !== 'none' && isWord(r.now, u.split(' ')[0]!));
	if (!kind) return undefined;
	r.at++;
	r.word('balloon');
	const value = r.number();
	if (!value) return refuse('missing', `Say how long the ${kind} is, like “${kind} 7 ft”.`);
	const length = lengthOf(value, r.unit() ?? 'ft');
	if (length === undefined) return refuse('too-big', `A ${kind} is between 6 in and 100 ft long.`);
	return got({ kind: 'upright', upright: { kind, length } });
}

function extra(r: Reader): Parsed<Entry> | undefined {
	const from = r.at;
	const quantity = r.number();
	const words: string[] = [];
	while (r.now?.kind === 'word' && !KEYWORDS.has(r.now.text)) words.push(r.all[r.at++]!.text);
	if (!quantity || words.length === 0 || r.now) {
		r.at = from;
		return undefined;
	}
	const others = r.context.materials.filter((m) => m.kind !== 'latex-round');
	const found = others.filter((m) => m.name.toLowerCase() === words.join(' '));
	const matches = found.length > 0 ? found : others.filter((m) => wordsMatch(words, m.name));
	if (matches.length === 1 && quantity.compare(0) > 0 && quantity.compare(10_000) <= 0) {
		const [only] = matches;
		return got({ kind: 'extra', material: only!.id, name: only!.name, quantity: rationalText(quantity) });
	}
	if (matches.length === 1) return refuse('too-big', 'An extra comes between 1 and 10,000 times.');
	if (matches.length > 1) {
		return refuse(
			'ambiguous',
			`“${shorten(words.join(' '))}” could be ${matches
				.slice(0, 3)
				.map((m) => m.name)
				.join(', ')}. Type more of it.`
		);
	}
	return refuse(
		'unknown-word',
		`After the count comes the size on the bag, like “4 11 at 9 white”. Nothing in the Stockroom is called “${shorten(words.join(' '))}”.`
	);
}

function layer(r: Reader): Parsed<Entry> {
	const clusters: SaidCluster[] = [];
	do {
		const cluster = clusterOf(r);
		if (!cluster.ok) return cluster;
		clusters.push(cluster.value);
	} while (r.mark('+'));
	const tail: {
		repeat: number;
		toHeight: Micrometres | null;
		turn: 'half' | 'none';
		joining: Joining | null;
	} = {
		repeat: r.layersSaid,
		toHeight: null,
		turn: 'half',
		joining: null
	};
	for (let more = true; more;) {
		r.mark(',');
		const said = tailOf(r);
		if (said === undefined) more = false;
		else if ('ok' in said) return said;
		else Object.assign(tail, said);
	}
	return got({ kind: 'layer', layer: { clusters, ...tail } });
}

function tailOf(r: Reader): Partial<SaidLayer> | No | undefined {
	if (r.word('straight')) return { turn: 'none' };
	if (r.word('joined')) {
		const rest = r.rest();
		const joining = JOININGS.find((j) => rest.startsWith(j));
		if (!joining) return refuse('unknown-word', `Layers are joined ${JOININGS.join(', ')}.`);
		r.at += joining.split(' ').length;
		return { joining };
	}
	if (isWord(r.now, 'to') && r.next?.kind === 'number') {
		r.at++;
		const height = lengthOf(r.number()!, r.unit() ?? 'ft');
		r.word('tall');
		return height === undefined
			? refuse('too-big', 'A stack is between 6 in and 100 ft tall.')
			: { toHeight: height };
	}
	const times = r.word('x', 'times')
		? r.number()
		: r.now?.kind === 'number' && isWord(r.next, 'times')
			? r.number()
			: undefined;
	if (times === undefined) {
		return isWord(r.all[r.at - 1], 'x', 'times')
			? refuse('missing', 'How many layers alike? Type ×2, say.')
			: undefined;
	}
	r.word('times');
	const repeat = times.valueOf();
	if (!Number.isInteger(repeat) || repeat < 1 || repeat > MOST_REPEATS) {
		return refuse('too-big', `Layers alike are a whole number from 1 to ${MOST_REPEATS}.`);
	}
	return { repeat };
}

function clusterOf(r: Reader): Parsed<SaidCluster> {
	r.word('a', 'an');
	let count = r.number();
	if (!count) return refuse('unknown-word', START);
	if (r.now?.kind === 'number' && CLUSTER_WORDS.has(r.now.text)) {
		const layers = count.valueOf();
		if (!Number.isInteger(layers) || layers < 1 || layers > MOST_REPEATS)
			return refuse('too-big', `Layers alike are a whole number from 1 to ${MOST_REPEATS}.`);
		r.layersSaid = layers;
		count = r.number()!;
	}
	if (count.d !== 1n) return refuse('not-whole', 'Balloons in a cluster are a whole number.');
	const n = count.valueOf();
	if (n < 1 || n > MOST_IN_CLUSTER) {
		return refuse(
			'too-big',
			`A cluster holds 1 to ${MOST_IN_CLUSTER} balloons. For more layers alike end with ×3, say.`
		);
	}
	r.word('x', 'of');
	const bag = r.number();
	if (!bag) return refuse('missing', `${n} of which size on the bag? Type ${ROUND_NOMINALS.join(', ')}.`);
	const nominal = nominalOf(bag, r.context);
	if (nominal === undefined) {
		return refuse(
			'unknown-word',
			`There is no ${bag.valueOf()} in round. The bags say ${ROUND_NOMINALS.join(', ')}.`
		);
	}
	r.unit();
	const size = sizeOf(r, nominal);
	if (!size.ok) return size;
	const pattern = patternOf(r);
	if (!pattern.ok) return pattern;
	const side = (r.word('front', 'back', 'left', 'right') ?? 'all') as Side;
	const tier = r.word('tier') ? (r.number()?.valueOf() ?? -1) : 0;
	if (![0, 1, 2].includes(tier) || !SIDES.includes(side)) return refuse('too-big', 'A tier is 0, 1 or 2.');
	return got({ count: n, nominal, size: size.value, pattern: pattern.value, side, tier });
}

/** The bag sizes sold, and any the Stockroom lists. */
function nominalOf(bag: Rational, { materials }: EntryContext): Micrometres | undefined {
	const nominal = Math.round(bag.mul(MICROMETRES.in).valueOf());
	const sold = (ROUND_NOMINALS as readonly number[]).includes(bag.valueOf());
	const listed = materials.some((m) => m.kind === 'latex-round' && m.nominal === nominal);
	return sold || listed ? um(nominal) : undefined;
}

function sizeOf(r: Reader, nominal: Micrometres): Parsed<Size> {
	const at = r.word('at') !== undefined;
	const word = at ? SIZE_WORDS.find((w) => r.rest().startsWith(w)) : undefined;
	if (word) {
		r.at += word.split(' ').length;
		return got({ kind: 'word', word, origin: 'typed' });
	}
	if (at && (r.mark('?') || r.mark('—'))) return got(UNKNOWN_SIZE);
	if (isMark(r.now, '-') || isMark(r.now, '−')) return refuse('negative', 'A size cannot be negative.');
	if (!at && isWord(r.next, 'times')) return got(UNKNOWN_SIZE);
	const value = r.number();
	if (!value)
		return at
			? refuse('missing', 'Sized to what? Type it like “at 9½”, “at 8 to 9”, “at 4 strokes” or “at soft”.')
			: got(UNKNOWN_SIZE);
	if (r.word('strokes', 'stroke')) {
		const strokes = value.valueOf();
		if (strokes <= 0 || strokes > 500) return refuse('too-big', 'Strokes are between ½ and 500.');
		return got({ kind: 'strokes', strokes, pump: null, origin: 'typed' });
	}
	const from = r.at;
	const second = r.word('to') || r.mark('-') || r.mark('–') ? r.number() : undefined;
	const unit = r.unit() ?? 'in';
	if (second && unit === 'ft') r.at = from;
	else if (second) return rangeOf(value, second, unit, nominal);
	else r.at = from;
	const own = isWord(r.now, 'to') ? 'in' : (r.unit() ?? 'in');
	const size: Size = {
		kind: 'value',
		um: um(Math.round(value.mul(MICROMETRES[own]).valueOf())),
		unit: own,
		origin: 'typed'
	};
	return checked(size, size.um, nominal);
}

function rangeOf(a: Rational, b: Rational, unit: LengthUnit, nominal: Micrometres): Parsed<Size> {
	const [low, high] = [a, b].map((v) => um(Math.round(v.mul(MICROMETRES[unit]).valueOf())));
	if (low! >= high!)
		return refuse('too-small', 'A range goes from the smaller size to the larger, like “at 8 to 9”.');
	return checked({ kind: 'range', low: low!, high: high!, unit, origin: 'typed' }, high!, nominal);
}

/** Refuses what no balloon of that size can be; the material's own safe diameter is judged by the checker. */
export function checked(size: Size, diameter: Micrometres, nominal: Micrometres): Parsed<Size> {
	const bag = formatInches(nominal);
	if (diameter < nominal * 0.2) {
		return refuse(
			'too-small',
			`${printSize(size)} is next to nothing for a ${bag}. Check the size, or take a smaller balloon.`
		);
	}
	if (safeVerdict(diameter, nominal) !== 'refused') return got(size);
	const larger = ROUND_NOMINALS.find((n) => inches(n) * REFUSED_OVER >= diameter && inches(n) >= diameter);
	const instead = larger ? ` Take a ${larger}.` : ' No round comes that large.';
	return refuse(
		'refused',
		`A ${bag} cannot be sized to ${printSize(size)} in: it is safe up to ${bag} in.${instead}`
	);
}

function patternOf(r: Reader): Parsed<SaidPattern> {
	const said = r.word('rings', 'spiral', 'checker', 'blocks') as SaidPattern['kind'] | undefined;
	const hand = said === 'spiral' ? ((r.word('left', 'right') ?? 'right') as 'left' | 'right') : 'right';
	const colours: SaidPattern['colours'][number][] = [];
	do {
		const rings = r.now?.kind === 'number' && said === 'blocks' ? r.number()!.valueOf() : 1;
		const words: string[] = [];
		while (r.now?.kind === 'word' && !KEYWORDS.has(r.now.text)) words.push(r.all[r.at++]!.text);
		if (words.length === 0)
			return refuse('missing', 'In which colour? Name a slot or a colour of the Stockroom.');
		const ref = nameColour(words, r.context);
		if (!ref.ok) return ref;
		if (!Number.isInteger(rings) || rings < 1 || rings > MOST_REPEATS)
			return refuse('not-whole', 'Blocks are whole layers, like “blocks 2 red / 1 white”.');
		colours.push({ ref: ref.value, rings });
	} while (r.mark('/'));
	if (said && said !== 'blocks' && colours.length < 2)
		return refuse('missing', `A ${said} pattern takes two colours or more, like “${said} red / white”.`);
	return got({ kind: said ?? (colours.length > 1 ? 'list' : 'same'), colours, hand });
}
