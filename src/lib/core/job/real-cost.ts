import { WORK_PHASES, type WorkPhase } from '../labour/pace.ts';
import type { JobCost } from '../cost/job-cost.ts';
import { crewFor, paidOf, type Rates } from '../cost/rates.ts';
import type { Cost } from '../cost/cost.ts';
import { loaded } from '../labour/people.ts';
import { TASK_DEFINITIONS } from '../labour/task.ts';
import { countingPack } from '../materials/counting-pack.ts';
import { unitCost } from '../materials/unit-cost.ts';
import { allocate, money, rounded, type Money } from '../money/money.ts';
import { CAUSE_WORDS } from '../stock/ledger.ts';
import { mixed, rational, ZERO, type Rational } from '../units/rational.ts';
import { PHASE_WORDS, printSpell, type CountedMaterial, type CountOf, type JobCounted } from './counted.ts'; // prettier-ignore

/** One thing a job costs, as it was reckoned and as it came to. */
export interface RealPart {
	readonly key: string;
	readonly group: 'materials' | 'work' | 'besides';
	readonly label: string;
	/** Minor units; undefined where a price is not known. */
	readonly reckoned: number | undefined;
	readonly real: number | undefined;
	/** Nobody counted it: it stands as it was reckoned. */
	readonly asReckoned: boolean;
	/** How much of it, as reckoned and as counted: `52`, `4:55`. */
	readonly was: string;
	readonly is: string;
	/** Why it is otherwise, as far as that was said. */
	readonly why: string;
}

/** What a job earned, as it was reckoned or as it came to. Minor units, per cent. */
export interface Earned {
	readonly cost: number;
	readonly profit: number;
	readonly margin: number | undefined;
}

export interface RealCost {
	readonly parts: readonly RealPart[];
	readonly reckoned: Earned;
	readonly real: Earned;
	/** Names of what no price is known of: left out on both sides. */
	readonly unknown: readonly string[];
	/** Parts that explain most of the difference, the largest first. */
	readonly reasons: readonly RealPart[];
}

/** What a job was reckoned with. */
export interface Reckoning {
	readonly counts: readonly CountOf[];
	/** Of its pieces; what is in it of materials is not read. */
	readonly made: Cost;
	readonly around: JobCost;
	/** Of lines that are no design. */
	readonly besides: Money;
	readonly rates: Rates;
	/** What is charged, before tax, and what payments take of it. */
	readonly net: Money;
	readonly fees: Money;
}

/** So much of all differences is explained before the rest is left. House rule. */
const MOST_OF_IT = 0.8;

/**
 * What a job came to beside what it was reckoned at, at the same prices and wages, so that only what was used and how long
 * it took are different. Materials count by the piece, whatever the studio counts by: what is left is on the shelf again.
 * What nobody counted stands as it was reckoned.
 */
export function realCost(reckoning: Reckoning, counted: JobCounted): RealCost {
	const { rates, net, fees } = reckoning;
	const materials = reckoning.counts.map((c) => materialPart(c, counted.materials, rates));
	const work = workParts(reckoning, counted);
	const parts = [
		...materials,
		...work.parts,
		...overheadPart(reckoning, { materials, work }),
		...besidesOf(reckoning, counted)
	];
	const sides = (of: 'reckoned' | 'real'): Earned => {
		const cost = parts.reduce((a, p) => a + (p[of] ?? 0), 0);
		const profit = net.minor - cost - fees.minor;
		return { cost, profit, margin: net.minor > 0 ? (profit / net.minor) * 100 : undefined };
	};
	return {
		parts,
		reckoned: sides('reckoned'),
		real: sides('real'),
		unknown: parts.filter((p) => p.reckoned === undefined || p.real === undefined).map((p) => p.label),
		reasons: reasonsOf(parts)
	};
}

/** By how much a part came to more than it was reckoned. Minor units. */
export const moreOf = ({ reckoned, real }: Pick<RealPart, 'reckoned' | 'real'>): number =>
	reckoned === undefined || real === undefined ? 0 : real - reckoned;

/** The fewest parts that explain most of the difference: largest first, whichever way. */
export function reasonsOf(parts: readonly RealPart[]): RealPart[] {
	const own = parts
		.filter((p) => moreOf(p) !== 0)
		.toSorted((a, b) => Math.abs(moreOf(b)) - Math.abs(moreOf(a)));
	const all = own.reduce((a, p) => a + Math.abs(moreOf(p)), 0);
	let told = 0;
	return own.filter((p) => {
		if (told >= all * MOST_OF_IT) return false;
		told += Math.abs(moreOf(p));
		return true;
	});
}

/** A part in words: `At the bench: 6:20 where 4:55 was reckoned`. */
export function reasonWords({ label, was, is, why }: RealPart): string {
	if (was === '') return `${label}: nothing was reckoned for it`;
	if (is === was) return `${label}: ${why || 'it cost otherwise'}`;
	return `${label}: ${is} where ${was} was reckoned${why && `, ${why}`}`;
}

function materialPart({ material, label, used, expected, isBack, unit }: CountOf, all: readonly CountedMaterial[], rates: Rates): RealPart {
	const counted = all.find((m) => m.material === material.id);
	const each = unitCost(material)?.mul(paidOf(rates));
	const pack = countingPack(material);
	const minor = (of: Rational): number | undefined => each && rounded(each.mul(of), rates.currency).minor;
	const was = used.add(expected);
	const took = counted ? rational(counted.took) : was;
	// What comes home costs a share a use; what did not costs the whole of it besides.
	const whole = pack ? rational(pack.priceMinor, pack.count).mul(paidOf(rates)) : ZERO;
	const gone = isBack && counted ? rounded(whole.mul(counted.lost), rates.currency).minor : 0;
	const real = minor(took);
	const print = (n: Rational) => `${n.d === 1n ? mixed(n) : String(Math.round(n.valueOf() * 10) / 10)}${unit === 'piece' ? '' : ` ${unit}`}`;
	const lost = counted?.lost ?? 0;
	return {
		key: `material:${material.id}`,
		group: 'materials',
		label,
		reckoned: minor(was),
		real: real === undefined ? undefined : real + gone,
		asReckoned: counted === undefined,
		was: print(was),
		is: print(took),
		why: lost === 0 ? '' : isBack ? `${lost} did not come home` : `${lost} of them lost${counted?.cause ? ` (${CAUSE_WORDS[counted.cause]})` : ''}`
	};
} // prettier-ignore

interface Work {
	readonly parts: readonly RealPart[];
	/** Minutes of everybody, and what is paid for them, as reckoned and as it was. */
	readonly was: { readonly minutes: number; readonly minor: number };
	readonly is: { readonly minutes: number; readonly minor: number };
}

/** Minutes of everybody and pay of each part of the work, as it was reckoned. */
export function reckonedWork({ made, around, rates }: Pick<Reckoning, 'made' | 'around' | 'rates'>): ReadonlyMap<WorkPhase, { readonly minutes: number; readonly minor: number }> {
	const crew = crewFor(rates);
	// A standard hour asks everybody there for so long.
	const hands = crew.clock.mul(Math.max(1, crew.people.length)).valueOf();
	const found = new Map<WorkPhase, { minutes: number; minor: number }>(WORK_PHASES.map((p) => [p, { minutes: 0, minor: 0 }]));
	for (const { amount, tasks } of made.labour) {
		const siteOf = (t: (typeof tasks)[number]) => TASK_DEFINITIONS[t.task].site ?? 'build';
		const phases = [...new Set(tasks.map(siteOf))];
		const seconds = phases.map((phase) => tasks.filter((t) => siteOf(t) === phase).reduce((a, t) => a + t.seconds.valueOf(), 0));
		// A group is rounded once, and its parts add up to it. Weights are whole: thousandths of a second.
		const weights = seconds.map((s) => Math.round(s * 1000));
		const shares = allocate(amount, weights.some((w) => w > 0) ? weights : weights.map(() => 1));
		phases.forEach((phase, i) => {
			const sum = found.get(phase)!;
			sum.minutes += (seconds[i]! / 60) * hands;
			sum.minor += shares[i]!.minor;
		});
	}
	for (const { phase, seconds, labour } of around.parts) {
		const sum = found.get(phase)!;
		sum.minutes += (seconds / 60) * hands;
		sum.minor += labour.minor;
	}
	return found;
} // prettier-ignore

function workParts(reckoning: Reckoning, { times }: JobCounted): Work {
	const { rates } = reckoning;
	const unpaid = rates.jobs.travelUnpaid === true;
	const crew = crewFor(rates);
	/** What an hour of somebody costs who is not written down. */
	const anybody = crew.perHour.div(crew.clock.mul(Math.max(1, crew.people.length)));
	const rateOf = (person: string | null): Rational => {
		const own = rates.people.find((p) => p.id === person);
		return own ? loaded(own) : anybody;
	};
	const [was, is] = [{ minutes: 0, minor: 0 }, { minutes: 0, minor: 0 }];
	const parts = [...reckonedWork(reckoning)].flatMap(([phase, wanted]): RealPart[] => {
		const own = times.filter((t) => t.phase === phase);
		const minutes = own.reduce((a, t) => a + t.minutes, 0);
		const isPaid = !(phase === 'on the road' && unpaid);
		const paid = own.reduce((a, t) => a.add(rateOf(t.person).mul(t.minutes).div(60)), ZERO);
		const real = own.length === 0 ? wanted : { minutes, minor: isPaid ? rounded(paid, rates.currency).minor : 0 };
		was.minutes += wanted.minutes;
		was.minor += wanted.minor;
		is.minutes += real.minutes;
		is.minor += real.minor;
		if (wanted.minutes === 0 && real.minutes === 0) return [];
		const label = PHASE_WORDS[phase];
		return [{ key: `work:${phase}`, group: 'work', label: label[0]!.toUpperCase() + label.slice(1), reckoned: wanted.minor, real: real.minor, asReckoned: own.length === 0, was: printSpell(wanted.minutes), is: printSpell(real.minutes), why: '' }];
	});
	return { parts, was, is };
} // prettier-ignore

/** What every hour carries of the studio itself, by the studio's way. */
function overheadPart({ made, around, rates }: Reckoning, { materials, work }: { readonly materials: readonly RealPart[]; readonly work: Work }): RealPart[] {
	const { overhead, currency } = rates;
	const reckoned = made.overhead.minor + around.overhead.minor;
	const sum = (of: 'reckoned' | 'real') => materials.reduce((a, p) => a + (p[of] ?? 0), 0);
	// By what there is more of than was reckoned: hours, or what is paid for materials and work.
	const more =
		overhead.kind === 'hour'
			? rational(Math.round(work.is.minutes - work.was.minutes)).mul(overhead.minor).div(60)
			: rational(overhead.percent).div(100).mul(sum('real') - sum('reckoned') + work.is.minor - work.was.minor);
	const real = reckoned + rounded(more, currency).minor;
	return reckoned === 0 && real === 0 ? [] : [{ key: 'overhead', group: 'besides', label: 'Rent and the like', reckoned, real, asReckoned: false, was: 'so much', is: 'so much', why: overhead.kind === 'hour' ? 'it goes by the hours' : 'it goes by what is paid for materials and work' }];
} // prettier-ignore

/** The van, and what is paid besides. */
function besidesOf({ around, besides, rates }: Reckoning, { miles, costs }: JobCounted): RealPart[] {
	const { job, van, lines } = around;
	const way = 2 * job.miles * job.trips;
	const plain = (key: string, label: string, { minor }: Money): RealPart => ({ key, group: 'besides', label, reckoned: minor, real: minor, asReckoned: true, was: 'so much', is: 'so much', why: '' });
	const said = (n: number) => `${Math.round(n * 10) / 10} miles`;
	const road: RealPart = {
		...plain('van', 'The van', van),
		...(miles !== null && { real: rounded(rational(String(miles)).mul(rates.jobs.vanPerMile), rates.currency).minor, asReckoned: false }),
		was: said(way),
		is: said(miles ?? way)
	};
	return [
		...(van.minor > 0 || miles !== null ? [road] : []),
		...lines.map((l, i) => plain(`line:${i}`, l.label, l.amount)),
		...(besides.minor > 0 ? [plain('typed', 'Lines that are no design', besides)] : []),
		...costs.map((c, i): RealPart => ({ key: `cost:${i}`, group: 'besides', label: c.label, reckoned: 0, real: money(c.minor, rates.currency).minor, asReckoned: false, was: '', is: '', why: '' }))
	];
} // prettier-ignore
