import type { WorkPhase } from '../labour/pace.ts';
import { allocate, money, type Currency } from '../money/money.ts';
import type { KindSeconds } from '../labour/pace.ts';
import { rational, type Rational } from '../units/rational.ts';
import type { CountOf, JobCounted } from './counted.ts';
import type { RealCost } from './real-cost.ts';

/** What a figure of a counted job is about. */
export const FIGURE_PARTS = ['job', 'piece', 'hers', 'work', 'pace', 'material'] as const;
export type FigurePart = (typeof FIGURE_PARTS)[number];

/**
 * A figure of a job as it was worked out when the job was counted; nothing looks it up later.
 * - `job`: cost with what payments take, and `net` is what was charged before tax; minor units
 * - `piece`: its share of those, `key` is its design, `amount` how many
 * - `hers`: minutes of the owners, `net` what those were reckoned at
 * - `work`: minutes of a part of the work, `key`; `real` is null where nobody wrote them down
 * - `pace`: seconds of everybody for `key` (a part of the work, `/`, what it goes by); `amount` is what its standards alone say
 * - `material`: thousandths used; `amount` thousandths lost of them, and `net` what those cost
 */
export interface JobFigure {
	readonly part: FigurePart;
	readonly key: string;
	readonly name: string;
	readonly reckoned: number;
	readonly real: number | null;
	readonly net: number;
	readonly amount: number;
	readonly cause: string;
}

/** A piece of a job: what is charged for it, what it costs of the whole, what it takes. */
export interface JobPiece {
	readonly design: string;
	readonly name: string;
	readonly quantity: number;
	/** Minor units; what is charged for it of all lines, and what it costs to make of the whole order. */
	readonly shown: number;
	readonly cost: number;
	/** Seconds at the bench. */
	readonly seconds: number;
	/** Used of each material. */
	readonly uses: ReadonlyMap<string, Rational>;
}

export interface FiguresAbout {
	readonly client: string;
	readonly currency: Currency;
	/** What was charged before tax, and what payments take of it. Minor units. */
	readonly net: number;
	readonly fees: number;
	readonly pieces: readonly JobPiece[];
	readonly counts: readonly CountOf[];
	/** Minutes of everybody, as reckoned, and by the standards alone. */
	readonly work: ReadonlyMap<WorkPhase, { readonly minutes: number }>;
	readonly base: ReadonlyMap<WorkPhase, { readonly minutes: number }>;
	readonly builds: readonly KindSeconds[];
	/** Id of the kind of job. */
	readonly place: string;
	/** Ids of the owners, and what a minute of theirs is reckoned at, minor units. */
	readonly owners: ReadonlyMap<string, number>;
	/** What a minute of theirs is reckoned at where nobody is written down. */
	readonly ownMinute: number;
	/** Of all hours of a job, how many are theirs where nobody is written down: 0 to 1. */
	readonly ownShare: number;
}

const figure = (part: FigurePart, key: string, said: Partial<JobFigure>): JobFigure => ({
	part,
	key,
	name: '',
	reckoned: 0,
	real: null,
	net: 0,
	amount: 0,
	cause: '',
	...said
});

/** What a counted job tells, figure by figure. Pieces sum to the job. */
export function figuresOf(about: FiguresAbout, counted: JobCounted, cost: RealCost): JobFigure[] {
	const { net, fees, client } = about;
	const whole = figure('job', '', {
		name: client,
		reckoned: cost.reckoned.cost + fees,
		real: cost.real.cost + fees,
		net
	});
	return [
		whole,
		...pieceFigures(about, whole, cost),
		hersOf(about, counted),
		...workFigures(about, counted),
		...paceFigures(about, counted),
		...materialFigures(about, counted, cost)
	];
}

/**
 * What was charged goes by what each piece is charged at. What it cost more or less goes where it came from: a material by
 * who takes it, the bench by whose work it is; all else goes by what pieces cost.
 */
function pieceFigures({ pieces, currency, net }: FiguresAbout, whole: JobFigure, { parts }: RealCost): JobFigure[] {
	if (pieces.length === 0) return [];
	const split = (minor: number, weights: readonly number[]) =>
		allocate(money(minor, currency), weights.some((w) => w > 0) ? weights : weights.map(() => 1)).map((m) => m.minor);
	const byCost = pieces.map((p) => Math.max(0, p.cost));
	const charged = split(net, pieces.map((p) => Math.max(0, p.shown)));
	const reckoned = split(whole.reckoned, byCost);
	const more = pieces.map(() => 0);
	let placed = 0;
	for (const part of parts) {
		const by = (part.real ?? 0) - (part.reckoned ?? 0);
		const own = weightsOf(part.key, pieces);
		if (by === 0 || !own) continue;
		placed += by;
		split(by, own).forEach((minor, i) => (more[i]! += minor));
	}
	const rest = split(whole.real! - whole.reckoned - placed, byCost);
	const found = new Map<string, JobFigure>();
	pieces.forEach(({ design, name, quantity }, i) => {
		const before = found.get(design);
		found.set(
			design,
			figure('piece', design, {
				name,
				net: charged[i]! + (before?.net ?? 0),
				reckoned: reckoned[i]! + (before?.reckoned ?? 0),
				real: reckoned[i]! + more[i]! + rest[i]! + (before?.real ?? 0),
				amount: quantity + (before?.amount ?? 0)
			})
		);
	});
	return [...found.values()];
} // prettier-ignore

/** Whole numbers a difference is split by; undefined where it is of the job as a whole. */
function weightsOf(key: string, pieces: readonly JobPiece[]): readonly number[] | undefined {
	const material = key.startsWith('material:') ? key.slice('material:'.length) : null;
	const weights =
		material !== null
			? pieces.map((p) => Math.round((p.uses.get(material)?.valueOf() ?? 0) * 1000))
			: key === 'work:build'
				? pieces.map((p) => Math.round(p.seconds))
				: [];
	return weights.some((w) => w > 0) ? weights : undefined;
}

function hersOf({ owners, work, ownShare, ownMinute }: FiguresAbout, { times }: JobCounted): JobFigure {
	const reckoned = [...work.values()].reduce((a, w) => a + w.minutes, 0) * ownShare;
	let [real, net] = [0, 0];
	for (const [phase, { minutes }] of work) {
		const own = times.filter((t) => t.phase === phase);
		// Nobody is written down: hers are as many of them as were reckoned.
		if (own.length === 0) {
			real += minutes * ownShare;
			net += minutes * ownShare * ownMinute;
		}
		for (const t of own) {
			const rate = t.person === null ? undefined : owners.get(t.person);
			if (rate === undefined) continue;
			real += t.minutes;
			net += t.minutes * rate;
		}
	}
	return figure('hers', '', { reckoned: Math.round(reckoned), real: Math.round(real), net: Math.round(net) });
}

const minutesOf = ({ times }: JobCounted, phase: WorkPhase): number | null => {
	const own = times.filter((t) => t.phase === phase);
	return own.length === 0 ? null : own.reduce((a, t) => a + t.minutes, 0);
};

const workFigures = ({ work }: FiguresAbout, counted: JobCounted): JobFigure[] =>
	[...work].flatMap(([phase, { minutes }]) => {
		const real = minutesOf(counted, phase);
		if (real === null && minutes === 0) return [];
		return [figure('work', phase, { reckoned: Math.round(minutes), real })];
	});

/** Only what was written down tells how long something takes. */
function paceFigures(
	{ work, base: standards, builds, place }: FiguresAbout,
	counted: JobCounted
): JobFigure[] {
	const bench = builds.reduce((a, b) => a + b.paced, 0);
	return [...work].flatMap(([phase, { minutes }]): JobFigure[] => {
		const real = minutesOf(counted, phase);
		if (real === null || real === 0 || minutes === 0) return [];
		const seconds = (of: number, key: string, base: number) =>
			figure('pace', key, {
				reckoned: Math.round(of * minutes * 60),
				real: Math.round(of * real * 60),
				amount: Math.round(base)
			});
		if (phase !== 'build')
			return [seconds(1, `${phase}/${place}`, (standards.get(phase)?.minutes ?? 0) * 60)];
		if (bench === 0) return [];
		return builds
			.filter((b) => b.kind !== '' && b.paced > 0)
			.map((b) => seconds(b.paced / bench, `build/${b.kind}`, (b.base / bench) * minutes * 60));
	});
}

const materialFigures = ({ counts }: FiguresAbout, { materials }: JobCounted, { parts }: RealCost): JobFigure[] =>
	materials.flatMap(({ material, took, lost, cause }) => {
		const count = counts.find((c) => c.material.id === material);
		const part = parts.find((p) => p.key === `material:${material}`);
		if (!count) return [];
		const real = Math.round(rational(took).valueOf() * 1000);
		// What was lost cost as much as each of what was taken.
		const each = part?.real !== undefined && real > 0 ? (part.real / real) * 1000 : 0;
		return [
			figure('material', material, {
				name: count.label,
				reckoned: Math.round(count.used.valueOf() * 1000),
				real,
				net: Math.round(each * lost),
				amount: lost * 1000,
				cause: lost > 0 ? (cause ?? '') : ''
			})
		];
	}); // prettier-ignore
