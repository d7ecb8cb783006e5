import { got, refuse, type Parsed } from '../../errors.ts';
import { JOININGS } from '../../document/cluster.ts';
import { LONGEST, MOST_ON_PATH } from '../../document/limits.ts';
import { findMaterial } from '../../language/names/find-material.ts';
import { pathLength } from '../../language/path-length.ts';
import type { Reader } from '../../language/reader.ts';
import { isWord } from '../../language/tokens.ts';
import { inches, typedLength } from '../../units/length.ts';
import { TAPERED, type Run } from './document.ts';
import { usualOf } from './open.ts';
import type { RunSaid, SaidRun } from './said.ts';

const said = (run: SaidRun): Parsed<RunSaid> => got({ kind: 'run', said: run });

/** What is otherwise somewhere along a run, and what of it is not known: `free 2 ft at 6 ft`, `open 8 to 12 ft`. */
export const somewhere = (r: Reader): Parsed<RunSaid> | undefined =>
	open(r) ?? free(r) ?? taper(r) ?? from(r) ?? asTheyFit(r);

/** `open 8 ft to 12 ft`: how long it becomes is seen when it is built. */
function open(r: Reader): Parsed<RunSaid> | undefined {
	if (isWord(r.now, 'not') && isWord(r.next, 'open')) {
		r.at += 2;
		return said({ set: 'open', open: null });
	}
	if (!r.word('open')) return undefined;
	const ends = between(r);
	return ends
		? said({ set: 'open', open: ends })
		: refuse('not-a-length', 'Between which lengths? Type the shorter first, like “open 8 ft to 12 ft”.');
}

/** `8 to 12 ft`, the shorter first: a unit after the second is that of both. */
function between(r: Reader): NonNullable<Run['open']> | undefined {
	const first = r.number();
	const own = first && r.unit();
	const second = first && r.word('to') ? r.number() : undefined;
	if (!first || !second) return undefined;
	const unit = r.unit() ?? r.long(second);
	const [low, high] = [typedLength(first, own ?? unit), typedLength(second, unit)];
	return low >= inches(3) && low < high && high <= LONGEST ? { low, high } : undefined;
}

/** `free 2 ft at 6 ft`: nothing stands there. */
function free(r: Reader): Parsed<RunSaid> | undefined {
	if (!r.word('free')) return undefined;
	const length = pathLength(r, 'ft', inches(1));
	const at = r.word('at') ? (r.phrase('the start') || r.phrase('start') ? (0 as const) : pathLength(r, 'ft', inches(1))) : undefined; // prettier-ignore
	return length && at !== undefined
		? said({ set: 'free', free: { at, length } })
		: refuse('missing', 'How long stays free, and from where? Type it like “free 2 ft at 6 ft”, or “free 1 ft at start”.');
} // prettier-ignore

/** `ends thinner to 3½ in over 3 clusters`; `ends as thick`. */
function taper(r: Reader): Parsed<RunSaid> | undefined {
	const which = isWord(r.next, 'thinner', 'as') ? r.word('ends', 'start', 'end') : undefined;
	if (!which) return undefined;
	if (r.phrase('as thick')) return said({ set: 'taper', taper: null });
	r.at++;
	const size = r.word('to') ? pathLength(r, 'in', inches(1)) : undefined;
	const clusters = r.word('over') ? r.number()?.valueOf() : undefined;
	r.word('clusters', 'cluster');
	if (!size || clusters === undefined || !Number.isInteger(clusters) || clusters < 1 || clusters > 100)
		return refuse(
			'missing',
			`How large are the outermost, and over how many clusters? Type it like “${which} thinner to 3½ in over 3 clusters”.`
		);
	const at = TAPERED.find((t) => t === which) ?? 'both';
	return said({ set: 'taper', taper: { at, size, clusters } });
}

/** `from 8 ft joined line`, `from 8 ft spine fishing line`. */
function from(r: Reader): Parsed<RunSaid> | undefined {
	if (!r.word('from')) return undefined;
	const at = pathLength(r, 'ft', inches(1));
	r.word('on');
	const rest = r.rest();
	const joining = rest.startsWith('joined ') ? JOININGS.find((j) => rest.slice(7).startsWith(j)) : undefined;
	if (at && joining) {
		r.at += 1 + joining.split(' ').length;
		return said({ set: 'change', change: { id: '', to: 'joining', at, joining } });
	}
	if (!at || !r.word('spine'))
		return refuse(
			'missing',
			`What is otherwise from there on? Type it like “from 8 ft joined ${JOININGS[1]}”, or “from 8 ft spine” and what it is tied to.`
		);
	const found = findMaterial(r.words(), r.context.materials);
	return found.ok
		? said({ set: 'change', change: { id: '', to: 'spine', at, material: found.value.id } })
		: found;
}

/** `clusters as they fit`: no longer so many. */
function asTheyFit(r: Reader): Parsed<RunSaid> | undefined {
	return r.phrase('clusters as they fit') ? said({ set: 'clusters', clusters: null }) : undefined;
}

/** So many clusters, whole: of a path, a leg or an arm. */
export function clustersSaid(r: Reader): number | undefined {
	const many = r.number()?.valueOf();
	if (!r.word('clusters', 'cluster')) return undefined;
	return many !== undefined && Number.isInteger(many) && many >= 1 && many <= MOST_ON_PATH ? many : undefined;
}

export const HOW_MANY = `How many clusters? A whole number up to ${MOST_ON_PATH}, like “of 12 clusters”.`;

/** A length that is not known, as a path: half-way between its ends. Undefined where it is known. */
export function openLine(r: Reader): Extract<SaidRun, { set: 'path' }> | undefined {
	const start = r.at;
	const open = between(r);
	if (!open) {
		r.at = start;
		return undefined;
	}
	r.word('open');
	return { set: 'path', path: { kind: 'line', length: usualOf(open) }, height: null, open };
}
