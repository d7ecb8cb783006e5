import { got, refuse, type Parsed } from '../errors.ts';
import { SIDES, type Side } from '../document/side.ts';
import { ROUND_NOMINALS } from '../materials/material.ts';
import { JOININGS } from '../document/cluster.ts';
import { MOST_IN_CLUSTER, MOST_REPEATS } from '../document/limits.ts';
import type { SaidCluster, SaidPattern } from './said.ts';
import type { SaidLayer } from '../structures/stack/said.ts';
import { nameColour } from './names/name-colour.ts';
import { balloonOf } from './balloon.ts';
import { fillOf } from './fill.ts';
import { lengthOf, type Reader } from './reader.ts';
import { CLUSTER_WORDS, isWord } from './tokens.ts';

export function tailOf(r: Reader): Partial<SaidLayer> | No | undefined {
	if (r.word('straight')) return { turn: 'none' };
	if (isWord(r.now, 'joined') && !isWord(r.next, 'with')) {
		r.at++;
		const rest = r.rest();
		const joining = JOININGS.find((j) => rest.startsWith(j));
		if (!joining) return refuse('unknown-word', `Layers are joined ${JOININGS.join(', ')}.`);
		r.at += joining.split(' ').length;
		return { joining };
	}
	if (isWord(r.now, 'to') && r.next?.kind === 'number') {
		r.at++;
		const value = r.number()!;
		const height = lengthOf(value, r.unit() ?? r.long(value));
		r.word('tall');
		return height === undefined
			? refuse('too-big', 'A stack is between 6 in and 100 ft tall.')
			: { toHeight: height };
	}
	const begun = r.word('x', 'times');
	if (!begun && !(r.now?.kind === 'number' && isWord(r.next, 'times'))) return undefined;
	const times = r.number();
	if (times === undefined) return refuse('missing', 'How many layers alike? Type ×2, say.');
	r.word('times');
	const repeat = times.valueOf();
	if (!Number.isInteger(repeat) || repeat < 1 || repeat > MOST_REPEATS) {
		return refuse('too-big', `Layers alike are a whole number from 1 to ${MOST_REPEATS}.`);
	}
	return { repeat };
}

export function clusterOf(r: Reader): Parsed<SaidCluster> {
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
	// Of balloons twisted in two each is two places.
	const places = fill.value.twin ? n * 2 : n;
	if (fill.value.twin && pattern.value.colours.length > 1)
		return refuse(
			'refused',
			'Both bubbles of a balloon are of its colour: say each colour by itself, joined with “+”.'
		);
	if (places > MOST_IN_CLUSTER)
		return refuse('too-big', `That makes ${places} bubbles, and a cluster holds up to ${MOST_IN_CLUSTER}.`);
	const others = othersOf(r, places);
	if (!others.ok) return others;
	const side = (r.word('front', 'back', 'left', 'right') ?? 'all') as Side;
	const tier = r.word('tier') ? (r.number()?.valueOf() ?? -1) : 0;
	if (![0, 1, 2].includes(tier) || !SIDES.includes(side)) return refuse('too-big', 'A tier is 0, 1 or 2.');
	return got({
		...balloon.value,
		...fill.value,
		count: places,
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
	const said = r.word('rings', 'spiral', 'checker', 'blocks', 'gradient') as SaidPattern['kind'] | undefined;
	const hand = said === 'spiral' ? ((r.word('left', 'right') ?? 'right') as 'left' | 'right') : 'right';
	const colours: SaidPattern['colours'][number][] = [];
	do {
		const rings = r.now?.kind === 'number' && said === 'blocks' ? r.number()!.valueOf() : 1;
		const words = r.words();
		if (words.length === 0)
			return refuse('missing', 'In which colour? Name a colour of the design or of the Stockroom.');
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

export const START = 'Start with how many and the size on the bag, like “4 11 at 9 white”.';

export type No = ReturnType<typeof refuse>;
