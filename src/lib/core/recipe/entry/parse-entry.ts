import { got, refuse, type Parsed } from '../../errors.ts';
import { SIDES, type Side } from '../../geometry/layers.ts';
import { ROUND_NOMINALS } from '../../materials/material.ts';
import type { Micrometres } from '../../units/length.ts';
import { shorten } from '../../units/number.ts';
import { JOININGS, MOST_IN_CLUSTER, MOST_REPEATS, UPRIGHTS, type Joining } from '../recipe.ts';
import {
	KEYWORDS,
	type Entry,
	type EntryContext,
	type SaidCluster,
	type SaidLayer,
	type SaidPattern
} from './entry.ts';
import { nameColour } from './name-colour.ts';
import { balloonOf } from './parse-balloon.ts';
import { item } from './parse-bunch.ts';
import { leave, pricing, rule, size, swap } from './parse-choices.ts';
import { fillOf } from './parse-fill.ts';
import { formPiece } from './parse-form.ts';
import { lines } from './parse-lines.ts';
import { piece } from './parse-piece.ts';
import { section } from './parse-section.ts';
import { lengthOf, Reader } from './reader.ts';
import { CLUSTER_WORDS, isMark, isWord, tokens } from './tokens.ts';

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
	const step = stepOf(text);
	if (step) return step;
	const reader = new Reader(tokens(text, context.style), context);
	if (isMark(reader.now, '-') || isMark(reader.now, '−'))
		return refuse('negative', 'A count cannot be negative. Type 1 or more.');
	const entry =
		section(reader) ??
		item(reader) ??
		formPiece(reader) ??
		upright(reader) ??
		size(reader) ??
		pricing(reader) ??
		leave(reader) ??
		swap(reader) ??
		rule(reader) ??
		piece(reader) ??
		lines(reader) ??
		layer(reader);
	if (!entry.ok) return entry;
	if (reader.now)
		return refuse(
			'unknown-word',
			`I read all but “${shorten(reader.rest())}”. Take it out, or see the shorthand page.`
		);
	return entry;
}

/** `step cover it with a sheet`, `step at site fill the base`: a step of the plan in her own words, as she writes them. */
function stepOf(text: string): Parsed<Entry> | undefined {
	const said = /^\s*step\b\s*(at (?:the )?(?:site|bench)|on site|after hanging)?\s*[:,]?\s*(.*)$/iu.exec(
		text
	);
	if (!said) return undefined;
	const words = said[2]!.trim();
	if (words === '')
		return refuse('missing', 'Say what is done, like “step at site fill the base with water”.');
	const where = said[1]?.toLowerCase() ?? '';
	const place = where.endsWith('site') ? 'site' : where.endsWith('hanging') ? 'after hanging' : 'bench';
	return got({ kind: 'step', text: words, place });
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
	if (r.now?.kind !== 'number')
		return refuse('missing', `${n} of which size on the bag? Type ${ROUND_NOMINALS.join(', ')}.`);
	const balloon = balloonOf(r);
	if (!balloon.ok) return balloon;
	const pattern = patternOf(r);
	if (!pattern.ok) return pattern;
	const fill = fillOf(r);
	if (!fill.ok) return fill;
	const others = othersOf(r, n);
	if (!others.ok) return others;
	const side = (r.word('front', 'back', 'left', 'right') ?? 'all') as Side;
	const tier = r.word('tier') ? (r.number()?.valueOf() ?? -1) : 0;
	if (![0, 1, 2].includes(tier) || !SIDES.includes(side)) return refuse('too-big', 'A tier is 0, 1 or 2.');
	return got({
		...balloon.value,
		...fill.value,
		count: n,
		pattern: pattern.value,
		others: others.value,
		side,
		tier
	});
}

/** `with 1 11 at 7 gold`: places of the same cluster that are unlike the first ones; without a colour the pattern goes on. */
function othersOf(r: Reader, first: number): Parsed<SaidCluster['others']> {
	const others: SaidCluster['others'][number][] = [];
	let all = first;
	while (r.word('with')) {
		const count = r.number()?.valueOf();
		all += count ?? 0;
		if (count === undefined || !Number.isInteger(count) || count < 1 || all > MOST_IN_CLUSTER)
			return refuse(
				'too-big',
				`A cluster holds 1 to ${MOST_IN_CLUSTER} balloons. Type it like “with 1 11 at 7 gold”.`
			);
		r.word('x', 'of');
		const balloon = balloonOf(r);
		if (!balloon.ok) return balloon;
		const words = r.words();
		const colour = words.length === 0 ? got(null) : nameColour(words, r.context);
		if (!colour.ok) return colour;
		others.push({ ...balloon.value, count, colour: colour.value });
	}
	return got(others);
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
