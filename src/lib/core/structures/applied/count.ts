import type { CountOf } from '../../document/rule.ts';
import { plainTask, type TaskCount } from '../../labour/task.ts';
import type { Applied, AppliedPiece, Fixing } from './document.ts';
import type { Colourway } from '../../document/slot.ts';
import { rational } from '../../units/rational.ts';
import { insideNeeds, ownNeed, ownTasks } from '../kit/filled.ts';
import type { Need } from '../kit/need.ts';
import { partNeed } from '../kit/part-need.ts';
import type { CountFacet } from '../facets/count.ts';

/** What a fixing takes, for follow-on rules to turn into lines; what is tucked in takes nothing. */
export const FIXING_COUNTS: Readonly<Record<Fixing, readonly CountOf[]>> = {
	strip: ['strip'],
	dash: ['dash of adhesive'],
	glue: ['dab of glue'],
	'patch and strip': ['tape patch', 'strip'],
	tie: ['tied piece'],
	tucked: [],
	'trial loop': ['trial loop'],
	'attachment point': ['attachment point'],
	'own tail': [],
	'neck rolled in': []
};

/** How it is fixed, first to last. */
export const fixingsOf = ({ fixing, then }: Pick<AppliedPiece, 'fixing' | 'then'>): readonly Fixing[] =>
	then === undefined ? [fixing] : [fixing, then];

export const countOfPiece = ({ on }: Pick<AppliedPiece, 'on'>): number =>
	on.reduce((a, { count }) => a + count, 0);

/** The fewest and the most there may be of a piece; undefined where that is one count. */
export function rangeOfPiece({
	on
}: Pick<AppliedPiece, 'on'>): { readonly low: number; readonly high: number } | undefined {
	if (!on.some((o) => o.range)) return undefined;
	return {
		low: on.reduce((a, { count, range }) => a + (range?.low ?? count), 0),
		high: on.reduce((a, { count, range }) => a + (range?.high ?? count), 0)
	};
}

/** A need of so many, that may be fewer or more. */
const ranging = (need: Need, range: ReturnType<typeof rangeOfPiece>): Need =>
	range && need.what !== 'count'
		? { ...need, range: { low: rational(range.low), high: rational(range.high) } }
		: need;

function needs({ pieces }: Applied, colourway: Colourway | undefined): Need[] {
	return pieces.flatMap((piece) => {
		const count = countOfPiece(piece);
		const { what } = piece;
		const thing: Need =
			what.kind === 'material'
				? {
						what: 'material',
						material: what.material,
						label: piece.name,
						quantity: rational(count),
						...(what.flat === null ? {} : { foil: { flat: what.flat, look: 'creased', gas: 'air' } })
					}
				: ownNeed(what.balloon, colourway, count);
		const fixings = rational(piece.each).mul(count);
		const fixed = fixings.equals(0) ? [] : fixingsOf(piece).flatMap((f) => FIXING_COUNTS[f]);
		const inside = what.kind === 'balloon' ? insideNeeds(what.balloon, colourway, count) : [];
		const range = rangeOfPiece(piece);
		return [
			ranging(thing, range),
			...inside.map((n) => ranging(n, range)),
			...fixed.map((of): Need => ({ what: 'count', of, quantity: fixings })),
			...partNeed('piece put on', count)
		];
	});
}

function tasks({ pieces }: Applied): TaskCount[] {
	const all: TaskCount[] = [];
	for (const piece of pieces) {
		const found: TaskCount[] = [];
		const count = countOfPiece(piece);
		if (piece.what.kind === 'balloon') found.push(...ownTasks(piece.what.balloon, count));
		else if (piece.what.flat !== null) found.push(plainTask('foil', count));
		found.push(plainTask('fix', count * fixingsOf(piece).length));
		const range = rangeOfPiece(piece);
		const ends = (t: TaskCount) =>
			range && {
				less: (t.count * (count - range.low)) / count,
				more: (t.count * (range.high - count)) / count
			};
		all.push(...found.map((t) => (range ? { ...t, ends: ends(t) } : t)));
	}
	return all;
}

const piecesOf = ({ pieces }: Applied) => rational(pieces.reduce((a, p) => a + countOfPiece(p), 0));

/** Faces, wings, spots: pieces on a host. */
export const count: CountFacet<Applied> = {
	sold: 'other',
	soldBy: () => 0,
	balloons: ({ pieces }) => pieces.reduce((a, p) => a + (p.what.kind === 'balloon' ? countOfPiece(p) : 0), 0),
	pieces: piecesOf,
	placed: (s) => piecesOf(s).add(1),
	needs,
	tasks,
	site: () => null
};
