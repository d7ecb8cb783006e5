import type { WorkPhase } from '../labour/pace.ts';
import type { JobLine } from '../labour/job.ts';
import type { LossCause } from '../stock/ledger.ts';
import type { BillLine } from '../bom/bill.ts';
import type { Id } from '../document/id.ts';
import type { LineRole } from '../document/line-role.ts';
import type { Material } from '../materials/material.ts';
import { ZERO, type Rational, type RationalText } from '../units/rational.ts';

export const PHASE_WORDS: Readonly<Record<WorkPhase, string>> = {
	before: 'before it: talking, shopping, loading',
	build: 'at the bench',
	'on the road': 'on the road',
	'set up': 'standing it up',
	'at the place': 'at the place besides',
	strike: 'taking it down',
	after: 'after it: the tip, unpacking'
};

/** What a job took of a material. Of what comes back `took` is what went along, and `lost` what did not come home. */
export interface CountedMaterial {
	readonly material: Id;
	readonly took: RationalText;
	/** Whole pieces, of those it took. */
	readonly lost: number;
	readonly cause: LossCause | null;
}

/** Minutes of one person in one part of the work; nobody is who is not written down here. */
export interface CountedTime {
	readonly phase: WorkPhase;
	readonly person: Id | null;
	readonly minutes: number;
}

/** What was counted of a job once it was over. What is not in it was not counted, which is not nothing. */
export interface JobCounted {
	/** `YYYY-MM-DD` */
	readonly day: string;
	readonly materials: readonly CountedMaterial[];
	readonly times: readonly CountedTime[];
	/** Driven in all; null was not written down. */
	readonly miles: number | null;
	/** What turned up and was paid. */
	readonly costs: readonly JobLine[];
	/** A day that is no measure for others: nothing is learned from it. */
	readonly leftOut: boolean;
	readonly note: string;
}

/** Costs that turned up, at most. */
export const MOST_COSTS = 12;

/** A material of a job as it is counted afterwards: all its lines together. */
export interface CountOf {
	readonly material: Material;
	readonly label: string;
	readonly unit: string;
	/** What is used of it, and what is expected to be lost, as it was reckoned. */
	readonly used: Rational;
	readonly expected: Rational;
	/** It comes home: only what did not is counted. */
	readonly isBack: boolean;
}

/** What is counted of a job: what the Stockroom has and the job uses up, takes along, or takes and brings home. */
export function countsOf(lines: readonly BillLine[]): CountOf[] {
	const found = new Map<Id, CountOf>();
	for (const { material, role, label, unit, used, lost } of lines) {
		if (!material || !COUNTED.has(role)) continue;
		const before = found.get(material.id);
		const isBack = role === 'reused' || Boolean(material.reuse);
		// What is only taken along is used where it is counted, not before.
		const own = role === 'taken along' ? ZERO : used;
		const expected = isBack || role === 'taken along' ? ZERO : lost;
		found.set(material.id, {
			material,
			label: before?.label ?? label,
			unit,
			used: own.add(before?.used ?? ZERO),
			expected: expected.add(before?.expected ?? ZERO),
			isBack: isBack && (before?.isBack ?? true)
		});
	}
	return [...found.values()];
}
const COUNTED: ReadonlySet<LineRole> = new Set<LineRole>(['always', 'reused', 'taken along']);

/** So long as it is said: `2:05`. */
export function printSpell(minutes: number): string {
	const whole = Math.round(minutes);
	return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
}
