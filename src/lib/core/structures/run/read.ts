import type { ColourRef } from '../../language/said.ts';
import { got, refuse, type Parsed } from '../../errors.ts';
import { inches, um, typedLength, type Micrometres } from '../../units/length.ts';
import { mixed, rational, rationalText, type Rational } from '../../units/rational.ts';
import { fitPitch } from './count.ts';
import { lengthOfRun } from './path.ts';
import { LONGEST, MOST_IN_CLUSTER, MOST_OF_A_LINE, MOST_REPEATS } from '../../document/limits.ts';
import { JOININGS } from '../../document/cluster.ts';
import { THICKER, type Organic } from './document.ts';
import { findMaterial } from '../../language/names/find-material.ts';
import { nameColour } from '../../language/names/name-colour.ts';
import { balloonOf } from '../../language/balloon.ts';
import { saidBalloon } from '../../language/fill.ts';
import { clusterOf, tailOf } from '../../language/cluster.ts';
import { clustersSaid, HOW_MANY, somewhere } from './read-along.ts';
import { branch, path } from './read-path.ts';
import { pathLength, TOO_LONG } from '../../language/path-length.ts';
import type { Reader } from '../../language/reader.ts';
import type { SaidRun, RunSaid } from './said.ts';
import { isMark, isWord } from '../../language/tokens.ts';
import { hungOf } from '../../language/hung.ts';

const said = (run: SaidRun): Parsed<RunSaid> => got({ kind: 'run', said: run });

/**
 * A line of a run in hand: where it goes (`arch 8 ft by 7`, `corners up 7, right 8, down 7`), clusters (`4 5 at 4 gold
 * apart 3 in`), a mix (`60 % 5 at 4½ of 2 blue / 1 white`), what it is tied to and hung by. Undefined where no run is in
 * hand or something else is said.
 */
export function runLine(r: Reader): Parsed<RunSaid> | undefined {
	const own = r.context.sections?.find((s) => s.id === r.context.section);
	if (own?.structure.kind !== 'run') return undefined;
	return (
		path(r) ??
		branch(r) ??
		somewhere(r) ??
		look(r) ??
		infill(r) ??
		spine(r) ??
		hung(r) ??
		corner(r) ??
		small(r) ??
		eachColour(r) ??
		numbered(r)
	);
}

/** How it is seen, filled and counted. */
function look(r: Reader): Parsed<RunSaid> | undefined {
	const own = r.context.sections?.find((s) => s.id === r.context.section)?.structure;
	// Clusters at a pitch are alike all along: only a mix of sizes can be fuller, thicker or counted another way.
	const alike = own?.kind === 'run' && own.rows.length > 0 && own.mix.length === 0;
	const organic = (o: Partial<Organic>): Parsed<RunSaid> =>
		alike && o.seen === undefined
			? refuse(
					'refused',
					'That is for a mix of sizes: clusters at a pitch are alike all along. Say a mix, like “60 % 5 at 4½ white”, or say the clusters again with another pitch, ending with apart 4 in.'
				)
			: said({ set: 'organic', organic: o });
	if (r.phrase('all round')) return organic({ seen: 'all round' });
	if (['against a wall', 'against the wall', 'against wall'].some((p) => r.phrase(p)))
		return organic({ seen: 'wall' });
	if (r.phrase('on a table') || r.phrase('on the table')) return organic({ seen: 'table' });
	if (r.word('scattered')) return organic({ scattered: true });
	if (r.phrase('not scattered')) return organic({ scattered: undefined });
	if (r.phrase('even along')) return organic({ thicker: 'even' });
	if (r.word('thicker', 'thick')) {
		r.word('in', 'at');
		r.word('the');
		const thicker = THICKER.find((t) => t !== 'even' && r.word(t));
		return thicker
			? organic({ thicker })
			: refuse(
					'unknown-word',
					'Thicker where? Type “thicker in the middle”, “at the start” or “at the end”.'
				);
	}
	if (r.word('fullness')) {
		const full = r.number();
		if (!full || full.compare(rational(1, 4)) < 0 || full.compare(3) > 0)
			return refuse('too-big', 'Fullness is between ¼ and 3; 1 is usual. Type it like “fullness 1.2”.');
		return organic({ fullness: rationalText(full) });
	}
	if (r.word('counted')) {
		r.word('by');
		if (r.word('clusters')) return organic({ by: 'clusters' });
		if (r.phrase('the foot')) return organic({ by: 'by the foot' });
		if (r.word('packing')) return organic({ by: 'packed' });
		return refuse('unknown-word', 'Counted how? Type “counted by clusters”, “by the foot” or “by packing”.');
	}
	if (r.word('picture')) {
		const seed = r.number()?.valueOf();
		return seed !== undefined && Number.isInteger(seed) && seed >= 0 && seed <= 1_000_000
			? organic({ seed })
			: refuse('not-whole', 'Which picture? A whole number: another one packs it another way.');
	}
	return undefined;
}

/** `infill 2 to 4 a foot 5 at 3 gold`; without a colour it stays open until the job. */
function infill(r: Reader): Parsed<RunSaid> | undefined {
	if (!r.word('infill')) return undefined;
	const low = r.number();
	const high = low && r.word('to') ? r.number() : low;
	if (!low || !high || high.compare(low) < 0 || high.compare(100) > 0)
		return refuse('missing', 'How many a foot? Type it like “infill 2 to 4 a foot 5 at 3 gold”.');
	const aFoot = r.phrase('a foot') || r.phrase('per foot') || r.phrase('a ft') || r.phrase('per ft');
	const feet = aFoot ? 1 : r.phrase('in all') || r.phrase('in total') ? feetInHand(r) : undefined;
	if (feet === undefined) {
		const many = low === high ? mixed(low) : `${mixed(low)} to ${mixed(high)}`;
		return refuse(
			'ambiguous',
			`${many} a foot, or ${many} in all? Type “infill ${many} a foot 5 at 3 gold” or “infill ${many} in all 5 at 3 gold”.`
		);
	}
	if (feet === 0) return refuse('missing', 'Say first how long it is, like “line 20 ft”: then so many in all are so many a foot.'); // prettier-ignore
	r.word('of');
	let each: number | undefined;
	if (r.phrase('clusters of')) {
		each = r.number()?.valueOf();
		r.word('of');
		if (each === undefined || !Number.isInteger(each) || each < 2 || each > MOST_IN_CLUSTER)
			return refuse(
				'not-whole',
				`How many in a cluster? 2 to ${MOST_IN_CLUSTER}, like “infill 2 a foot clusters of 3 5 at 2 gold”.`
			);
	}
	const balloon = balloonOf(r);
	if (!balloon.ok) return balloon;
	const words = r.words();
	const open = words.length === 0 || (words.length === 1 && words[0] === 'open');
	const colour = open ? got(null) : nameColour(words, r.context);
	if (!colour.ok) return colour;
	const a = { low: rationalText(low.div(feet)), high: rationalText(high.div(feet)), ...(each && { each }) };
	return said({ set: 'infill', balloon: balloon.value, colour: colour.value, a });
}

/** Length of the run in hand, to the hundredth of a foot; 0 where it has none yet. */
function feetInHand({ context: { sections, section } }: Reader): number {
	const own = sections?.find((s) => s.id === section)?.structure;
	return own?.kind === 'run' ? Math.round(lengthOfRun(own) / 3.048) / 100 : 0;
}

/** `spine decorating strip, tails 2 ft, 2 loops, 4 ties a metre`; `no spine`. */
function spine(r: Reader): Parsed<RunSaid> | undefined {
	if (isWord(r.now, 'no') && isWord(r.next, 'spine')) {
		r.at += 2;
		return said({ set: 'spine', spine: null });
	}
	if (!r.word('spine')) return undefined;
	const words = r.words('tails', 'tail', 'round');
	const found = words.length === 0 ? got(null) : findMaterial(words, r.context.materials);
	if (!found.ok) return found;
	let [tails, loops, ties]: [Micrometres | 0, 0 | 1 | 2, string] = [0, 0, '0'];
	let round: Micrometres | undefined;
	for (;;) {
		r.mark(',');
		if (r.phrase('round each balloon')) {
			round = pathLength(r, 'in', inches(0.5));
			if (!round) return refuse('not-a-length', 'How much of it goes round each balloon? Type it like “round each balloon 2 in”.'); // prettier-ignore
			continue;
		}
		if (r.word('tails', 'tail')) {
			const long = pathLength(r, 'ft', inches(1));
			if (!long) return refuse('not-a-length', 'How long is each tail? Type it like “tails 2 ft”.');
			tails = long;
			continue;
		}
		if (r.now?.kind !== 'number') break;
		const n = r.number()!;
		if (r.word('loops', 'loop')) {
			if (n.d !== 1n || n.compare(2) > 0) return refuse('too-big', 'A spine has two ends: 0, 1 or 2 loops.');
			loops = n.valueOf() as 0 | 1 | 2;
		} else if (r.word('ties', 'tie')) {
			r.word('a', 'per');
			const perFoot = r.word('foot', 'ft');
			if (!perFoot) r.word('metre', 'meter', 'm');
			if (n.compare(MOST_OF_A_LINE) > 0)
				return refuse('too-big', `At most ${MOST_OF_A_LINE} ties for each of them, like “4 ties a metre”.`);
			ties = rationalText(perFoot ? n.mul(rational(10_000, 3048)) : n);
		} else
			return refuse(
				'unknown-word',
				'Say the spine like “spine decorating strip tails 2 ft 2 loops 4 ties a metre”.'
			);
	}
	return said({
		set: 'spine',
		spine: { material: found.value?.id ?? null, tails, loops, ties, ...(round && { round }) }
	});
}

function hung(r: Reader): Parsed<RunSaid> | undefined {
	const found = hungOf(r);
	if (!found) return undefined;
	return found.ok ? said({ set: 'hung', hung: found.value }) : found;
}

/** `corner 5 at 3 gold`: a pair on the inside of each elbow. */
function corner(r: Reader): Parsed<RunSaid> | undefined {
	if (isWord(r.now, 'no') && isWord(r.next, 'corner')) {
		r.at += 2;
		return said({ set: 'corner', balloon: null });
	}
	if (!r.word('corner', 'corners')) return undefined;
	const balloon = saidBalloon(r, []);
	return balloon.ok ? said({ set: 'corner', balloon: balloon.value.what }) : balloon;
}

function small(r: Reader): Parsed<RunSaid> | undefined {
	if (r.word('spare')) {
		const spare = r.number()?.valueOf();
		r.word('clusters', 'cluster');
		return spare !== undefined && Number.isInteger(spare) && spare >= 0 && spare <= 200
			? said({ set: 'spare', spare })
			: refuse(
					'not-whole',
					'How many clusters are kept aside? A whole number up to 200, like “spare 2 clusters”.'
				);
	}
	if (isWord(r.now, 'joined')) {
		r.at++;
		const rest = r.rest();
		const joining = JOININGS.find((j) => rest.startsWith(j));
		if (!joining) return refuse('unknown-word', `Clusters are joined ${JOININGS.join(', ')}.`);
		r.at += joining.split(' ').length;
		return said({ set: 'joining', joining });
	}
	return undefined;
}

/** What begins with a number: a share of a mix, clusters, what a finished piece took. */
function numbered(r: Reader): Parsed<RunSaid> | undefined {
	if (r.now?.kind !== 'number') return undefined;
	if (isMark(r.next, '%')) return mix(r);
	const from = r.at;
	const value = r.number()!;
	if (r.phrase('clusters in all') || r.phrase('clusters on it')) {
		r.at = from;
		const clusters = clustersSaid(r);
		r.at += 2;
		return clusters === undefined ? refuse('not-whole', HOW_MANY) : said({ set: 'clusters', clusters });
	}
	if (r.phrase('clusters a foot') || r.phrase('clusters per foot')) {
		if (value.compare(0) <= 0 || value.compare(24) > 0)
			return refuse('too-big', 'Clusters a foot are above 0 and at most 24.');
		return said({ set: 'organic', organic: { clusters: rationalText(value) } });
	}
	const unit = r.unit();
	if (unit && r.word('line')) {
		r.at = from;
		const length = pathLength(r);
		r.word('line');
		return length
			? said({ set: 'path', path: { kind: 'line', length }, height: null })
			: refuse('not-a-length', TOO_LONG);
	}
	if (unit && r.word('took')) {
		const length = typedLength(value, unit);
		if (length < inches(3)) return refuse('too-small', 'A piece to learn from is 3 in or longer.');
		if (length > LONGEST) return refuse('too-big', TOO_LONG);
		return took(r, length);
	}
	r.at = from;
	return cluster(r);
}

/** `30 in took 10 clusters`; `7 ft took 96 5 + 30 11`. */
function took(r: Reader, length: Micrometres): Parsed<RunSaid> {
	const counts: { nominal: Micrometres; count: number }[] = [];
	do {
		const count = r.number()?.valueOf();
		if (count === undefined || !Number.isInteger(count) || count < 1 || count > 100_000)
			return refuse('not-whole', 'How many did it take? Type it like “7 ft took 96 5 + 30 11”.');
		if (counts.length === 0 && r.word('clusters', 'cluster'))
			return said({
				set: 'fitted',
				pitch: um(Math.max(1, Math.round(fitPitch({ length, clusters: count }))))
			});
		r.word('x', 'of');
		const balloon = balloonOf(r);
		if (!balloon.ok) return balloon;
		counts.push({ nominal: balloon.value.nominal, count });
	} while (r.mark('+') || r.word('and'));
	return said({ set: 'organic', organic: { taught: { length, counts } } });
}

/** `about 10 of each 5 at 4½ of blue / white`: said by count. */
function eachColour(r: Reader): Parsed<RunSaid> | undefined {
	if (!isWord(r.now, 'about') || r.next?.kind !== 'number') return undefined;
	r.at++;
	const each = r.number()!.valueOf();
	if (!r.phrase('of each') || !Number.isInteger(each) || each < 1 || each > MOST_OF_A_LINE)
		return refuse(
			'not-whole',
			'About how many of each colour? Type it like “about 10 of each 5 at 4½ of blue / white”.'
		);
	return colouredMix(r, rational(1), each);
}

/** `60 % 5 at 4½ of 2 blue / 1 white`. */
function mix(r: Reader): Parsed<RunSaid> {
	const share = r.number()!;
	r.mark('%');
	if (share.compare(0) <= 0 || share.compare(100) > 0)
		return refuse('too-big', 'A share is above 0 and at most 100 %. The sizes of a mix add up to 100 %.');
	r.word('of');
	return colouredMix(r, share);
}

function colouredMix(r: Reader, share: Rational, each?: number): Parsed<RunSaid> {
	const balloon = balloonOf(r);
	if (!balloon.ok) return balloon;
	r.word('of');
	const colours: { ref: ColourRef; parts: number }[] = [];
	do {
		const parts = r.number()?.valueOf() ?? 1;
		if (!Number.isInteger(parts) || parts < 1 || parts > 10_000)
			return refuse('not-whole', 'Parts of a colour are whole numbers, like “of 2 blue / 1 white”.');
		const words = r.words();
		if (words.length === 0)
			return refuse('missing', 'In which colours? Type it like “60 % 5 at 4½ of 2 blue / 1 white”.');
		const ref = nameColour(words, r.context);
		if (!ref.ok) return ref;
		colours.push({ ref: ref.value, parts });
	} while (r.mark('/') || r.word('and') || r.now?.kind === 'number');
	return said({
		set: 'mix',
		balloon: balloon.value,
		share: rationalText(share),
		colours,
		...(each && { each })
	});
}

function cluster(r: Reader): Parsed<RunSaid> | undefined {
	// “2 moss mat” is a line of extras.
	if (r.next?.kind === 'word' && !isWord(r.next, 'x', 'of')) return undefined;
	const found = clusterOf(r);
	if (!found.ok) return found;
	let row = { repeat: r.layersSaid, pitch: null as Micrometres | null, joining: null as SaidRow['joining'] };
	for (;;) {
		r.mark(',');
		if (r.word('apart')) {
			const pitch = pathLength(r, 'in', inches(0.5));
			if (!pitch)
				return refuse('not-a-length', 'How far from cluster to cluster? Type it like “apart 3 in”.');
			row = { ...row, pitch };
			continue;
		}
		const tail = tailOf(r);
		if (tail === undefined) break;
		if ('ok' in tail) return tail;
		if (tail.toHeight !== undefined && tail.toHeight !== null)
			return refuse(
				'refused',
				'What goes along a path is as long as the path: change that, like “line 20 ft”.'
			);
		row = {
			...row,
			...(tail.repeat ? { repeat: Math.min(MOST_REPEATS, tail.repeat) } : {}),
			...(tail.joining ? { joining: tail.joining } : {})
		};
	}
	return said({ set: 'row', cluster: found.value, row });
}
type SaidRow = Extract<SaidRun, { set: 'row' }>['row'];
