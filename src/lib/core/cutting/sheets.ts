import type { Micrometres } from '../units/length.ts';

/** So many rectangles of one size. */
export interface SheetPiece {
	readonly wide: Micrometres;
	readonly deep: Micrometres;
	readonly quantity: number;
}

/** So many rectangles that are left of sheets. */
export interface Rest {
	readonly wide: Micrometres;
	readonly deep: Micrometres;
	readonly count: number;
}

export interface SheetProblem {
	readonly wide: Micrometres;
	readonly deep: Micrometres;
	/** Minor units a sheet; null is not known. */
	readonly priceMinor: number | null;
	/** What every cut takes away. */
	readonly kerf: Micrometres | 0;
	readonly pieces: readonly SheetPiece[];
	/** Rests of sheets that lie there: taken first, cost nothing. */
	readonly own?: readonly Rest[];
	/** A piece may lie either way; not where the grain or a print decides. */
	readonly turned: boolean;
}

/** A piece where it lies on its sheet, µm from the lower left corner. */
export interface LaidPiece {
	readonly x: number;
	readonly y: number;
	readonly wide: number;
	readonly deep: number;
}

/** Sheets that are cut alike. */
export interface CutSheet {
	readonly count: number;
	readonly wide: number;
	readonly deep: number;
	/** A rest that lay there, no sheet that is bought. */
	readonly own: boolean;
	readonly laid: readonly LaidPiece[];
	/** Rectangles that no piece takes. */
	readonly left: readonly LaidPiece[];
}

export type SheetPlan =
	| {
			readonly status: 'cut';
			/** Sheets that are cut alike stand once, with how many of them. */
			readonly sheets: readonly CutSheet[];
			/** Sheets that are bought. */
			readonly count: number;
			/** Nobody can do with fewer sheets. */
			readonly bound: number;
			readonly proved: boolean;
	  }
	| { readonly status: 'too-large'; readonly piece: SheetPiece };

interface Free {
	readonly x: number;
	readonly y: number;
	readonly wide: number;
	readonly deep: number;
}
interface Wanted {
	readonly wide: number;
	readonly deep: number;
}

/** Orders in which pieces are taken, and ways a rest is parted: each is tried, the best stays. */
const ORDERS: readonly ((a: Wanted, b: Wanted) => number)[] = [
	(a, b) => b.wide * b.deep - a.wide * a.deep,
	(a, b) => Math.max(b.wide, b.deep) - Math.max(a.wide, a.deep),
	(a, b) => Math.min(b.wide, b.deep) - Math.min(a.wide, a.deep),
	(a, b) => b.wide + b.deep - (a.wide + a.deep),
	(a, b) => b.deep - a.deep || b.wide - a.wide,
	(a, b) => b.wide - a.wide || b.deep - a.deep
];
const PARTED = ['longer', 'shorter', 'across', 'along'] as const;
type Parted = (typeof PARTED)[number];
const FITS = ['area', 'edge'] as const;
type Fit = (typeof FITS)[number];

/**
 * Rectangles out of sheets by cuts from edge to edge (guillotine): each piece goes into the free rectangle it fits best,
 * what is left of that is parted in two by one cut; several orders, and the best of them. With a bound no plan can be under.
 * @returns `too-large` with the first piece that fits no sheet, never a partial plan
 */
export function cutSheets(problem: SheetProblem): SheetPlan {
	const { kerf } = problem;
	// A cut behind each piece, and one more of room: the last piece ends the sheet.
	const [width, depth] = [problem.wide + kerf, problem.deep + kerf];
	const own = (problem.own ?? []).flatMap((rest) =>
		Array.from({ length: rest.count }, (): Blank => ({ wide: rest.wide + kerf, deep: rest.deep + kerf, own: true }))
	);
	const fits = (p: Wanted) => (p.wide <= width && p.deep <= depth) || (problem.turned && p.deep <= width && p.wide <= depth);
	const all = problem.pieces.flatMap((p) =>
		Array.from({ length: p.quantity }, () => ({ wide: p.wide + kerf, deep: p.deep + kerf }))
	);
	const large = problem.pieces.find((p) => !fits({ wide: p.wide + kerf, deep: p.deep + kerf }));
	if (large) return { status: 'too-large', piece: large };
	let best: Opened[] | undefined;
	const bought = (sheets: readonly Opened[]) => sheets.filter((s) => !s.own).length;
	const bound = sheetBound(problem);
	search: for (const order of ORDERS)
		for (const parted of PARTED)
			for (const fit of FITS) {
				const sheets = laidBy([...all].sort(order), own, { width, depth, turned: problem.turned, parted, fit });
				if (!best || bought(sheets) < bought(best)) best = sheets;
				if (bought(best) <= bound) break search;
			}
	const bare = (p: LaidPiece): LaidPiece => ({ ...p, wide: p.wide - kerf, deep: p.deep - kerf });
	const alike = new Map<string, CutSheet>();
	for (const { wide, deep, own: rest, laid, free } of best ?? []) {
		const left = free.map(bare).filter((f) => f.wide > 0 && f.deep > 0);
		const sheet = { wide: wide - kerf, deep: deep - kerf, own: rest, laid: laid.map(bare), left };
		const key = JSON.stringify(sheet);
		alike.set(key, { ...sheet, count: (alike.get(key)?.count ?? 0) + 1 });
	}
	const count = bought(best ?? []);
	return { status: 'cut', sheets: [...alike.values()], count, bound, proved: count <= bound };
} // prettier-ignore

/** What a sheet or a rest of one is, a cut's width larger. */
interface Blank extends Wanted {
	readonly own: boolean;
}
interface Opened extends Blank {
	readonly free: Free[];
	readonly laid: LaidPiece[];
}
const opened = (blank: Blank): Opened => ({ ...blank, laid: [], free: [{ x: 0, y: 0, wide: blank.wide, deep: blank.deep }] }); // prettier-ignore

interface Way {
	readonly width: number;
	readonly depth: number;
	readonly turned: boolean;
	readonly parted: Parted;
	readonly fit: Fit;
}

/** Rests that lie there are opened already; those that nothing came of are not cut. */
function laidBy(pieces: readonly Wanted[], own: readonly Blank[], way: Way): Opened[] {
	const sheets = own.map(opened);
	for (const piece of pieces) {
		const ways = way.turned && piece.wide !== piece.deep ? [piece, { wide: piece.deep, deep: piece.wide }] : [piece];
		let best: { sheet: number; free: number; put: Wanted; left: number } | undefined;
		const look = (from: number) => {
			for (let s = from; s < sheets.length; s++)
				for (const [f, free] of sheets[s]!.free.entries())
					for (const put of ways) {
						if (put.wide > free.wide || put.deep > free.deep) continue;
						const left = way.fit === 'area' ? free.wide * free.deep - put.wide * put.deep : Math.min(free.wide - put.wide, free.deep - put.deep);
						if (!best || left < best.left) best = { sheet: s, free: f, put, left };
					}
		};
		look(0);
		if (!best) {
			sheets.push(opened({ wide: way.width, deep: way.depth, own: false }));
			look(sheets.length - 1);
		}
		const { sheet, free: at, put } = best!;
		const on = sheets[sheet]!;
		const [free] = on.free.splice(at, 1);
		on.laid.push({ x: free!.x, y: free!.y, wide: put.wide, deep: put.deep });
		on.free.push(...restsOf(free!, put, way.parted));
	}
	return sheets.filter((s) => s.laid.length > 0);
} // prettier-ignore

/** What is left of a rectangle around a piece in its corner, by one cut from edge to edge and another. */
function restsOf(free: Free, put: Wanted, parted: Parted): Free[] {
	const [right, above] = [free.wide - put.wide, free.deep - put.deep];
	const across =
		parted === 'across' || (parted === 'longer' && right <= above) || (parted === 'shorter' && right > above);
	const rests = across
		? [
				{ x: free.x + put.wide, y: free.y, wide: right, deep: put.deep },
				{ x: free.x, y: free.y + put.deep, wide: free.wide, deep: above }
			]
		: [
				{ x: free.x + put.wide, y: free.y, wide: right, deep: free.deep },
				{ x: free.x, y: free.y + put.deep, wide: put.wide, deep: above }
			];
	return rests.filter((r) => r.wide > 0 && r.deep > 0);
}

/** More sums of sides than this are not looked at: the bound is then that of the plain area. */
const MOST_SUMS = 420;

/** Sums of sides up to a length, ascending: a cut anywhere else can be moved to one of these. */
function sumsOf(sides: readonly number[], most: number): number[] | undefined {
	const sums = new Set<number>([0]);
	for (const sum of sums)
		for (const side of sides) {
			if (sum + side > most) continue;
			sums.add(sum + side);
			if (sums.size > MOST_SUMS) return undefined;
		}
	return [...sums].sort((a, b) => a - b);
}

/**
 * The most area that can be cut out of one sheet by cuts from edge to edge, any number of each piece.
 * Source: Gilmore & Gomory, Oper. Res. 14 (1966), over the sums of sides of Herz (1972) (from memory).
 * @returns undefined where there are too many sums
 */
export function mostOfOneSheet({ wide, deep, kerf, pieces, turned }: Pick<SheetProblem, 'wide' | 'deep' | 'kerf' | 'pieces' | 'turned'>): number | undefined {
	const rects = pieces.flatMap((p) => {
		const own = { wide: p.wide + kerf, deep: p.deep + kerf, worth: p.wide * p.deep };
		return turned ? [own, { ...own, wide: own.deep, deep: own.wide }] : [own];
	});
	const xs = sumsOf(rects.map((r) => r.wide), wide + kerf);
	const ys = sumsOf(rects.map((r) => r.deep), deep + kerf);
	if (!xs || !ys) return undefined;
	/** The greatest sum that is no more than a length. */
	const under = (sums: readonly number[], most: number) => {
		let [low, high] = [0, sums.length - 1];
		while (low < high) {
			const middle = (low + high + 1) >> 1;
			if (sums[middle]! <= most) low = middle;
			else high = middle - 1;
		}
		return low;
	};
	const worth = new Float64Array(xs.length * ys.length);
	const at = (i: number, j: number) => worth[i * ys.length + j]!;
	for (let i = 0; i < xs.length; i++)
		for (let j = 0; j < ys.length; j++) {
			let best = 0;
			for (const r of rects) if (r.wide <= xs[i]! && r.deep <= ys[j]!) best = Math.max(best, r.worth);
			for (let a = 1; a < i && xs[a]! * 2 <= xs[i]!; a++) best = Math.max(best, at(a, j) + at(under(xs, xs[i]! - xs[a]!), j));
			for (let b = 1; b < j && ys[b]! * 2 <= ys[j]!; b++) best = Math.max(best, at(i, b) + at(i, under(ys, ys[j]! - ys[b]!)));
			worth[i * ys.length + j] = best;
		}
	return at(xs.length - 1, ys.length - 1);
} // prettier-ignore

/** Sheets nobody can do with fewer of: all area over the most that one sheet gives, and pieces that never share one. */
export function sheetBound(problem: SheetProblem): number {
	const { wide, deep, kerf, pieces, own = [] } = problem;
	if (pieces.length === 0) return 0;
	// What lies there may take as much as it is large, and one of what never shares a sheet.
	const rests = own.reduce((a, r) => a + r.count, 0);
	const ownArea = own.reduce((a, r) => a + r.wide * r.deep * r.count, 0);
	const ownCut = own.reduce((a, r) => a + (r.wide + kerf) * (r.deep + kerf) * r.count, 0);
	const area = pieces.reduce((a, p) => a + p.wide * p.deep * p.quantity, 0) - ownArea;
	const cut = pieces.reduce((a, p) => a + (p.wide + kerf) * (p.deep + kerf) * p.quantity, 0) - ownCut;
	const most = mostOfOneSheet(problem);
	const [w, d] = [wide + kerf, deep + kerf];
	// More than half a sheet both ways, whichever way it lies: no two of these share one.
	const alone =
		pieces
			.filter((p) => Math.min(p.wide, p.deep) + kerf > Math.max(w, d) / 2)
			.reduce((a, p) => a + p.quantity, 0) - rests;
	return Math.max(
		Math.ceil(cut / (w * d) - 1e-9),
		most ? Math.ceil(area / most - 1e-9) : 0,
		alone,
		rests > 0 ? 0 : 1
	);
}
