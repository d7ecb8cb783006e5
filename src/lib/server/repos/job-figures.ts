import type { WorkPhase } from '../../core/labour/pace.ts';
import { and, asc, desc, eq, gte, inArray, lte, max, min, sql } from 'drizzle-orm';
import { alias, type SQLiteColumn } from 'drizzle-orm/sqlite-core';
import type { FigurePart } from '../../core/job/figures.ts';

import type { PaceSeen } from '../../core/job/taught.ts';
import type { SoldDesign, Sums } from '../../core/numbers/earned.ts';
import type { QuoteState } from '../../core/quote/states.ts';
import type { LossCause } from '../../core/stock/ledger.ts';
import type { Actor } from '../actor.ts';
import type { Database } from '../db/client.ts';
import { jobFigure } from '../db/tables/job.ts';
import { quote, quoteIssue, quoteLine } from '../db/tables/quote.ts';

/** Days `YYYY-MM-DD`, both within. */
export interface Period {
	readonly from: string;
	readonly to: string;
}

export interface MonthSums extends Sums {
	/** `YYYY-MM` */
	readonly month: string;
	readonly jobs: number;
	/** Minutes of the owners, and what those were reckoned at. */
	readonly hers: number;
	readonly hersMinor: number;
}
export interface ClientSums extends Sums {
	readonly name: string;
	readonly jobs: number;
}
export interface PhaseSums {
	readonly phase: WorkPhase;
	/** Minutes of the jobs on which it was written down. */
	readonly reckoned: number;
	readonly real: number;
	readonly jobs: number;
}
export interface LossSums {
	readonly material: string;
	readonly name: string;
	readonly cause: LossCause | '';
	/** Thousandths. */
	readonly lost: number;
	readonly minor: number;
	readonly used: number;
}
export interface JobSums extends Sums {
	readonly id: string;
	readonly client: string;
	readonly day: string;
	readonly leftOut: boolean;
}
export interface SentFigures {
	readonly state: QuoteState;
	/** `YYYY-MM-DD`: an unanswered one stands until then. */
	readonly validUntil: string;
	readonly net: number;
	readonly feet: number;
}

/** What a job that was one design alone took of a material. */
export interface TakenAlone {
	readonly job: string;
	readonly design: string;
	readonly day: string;
	/** Id of the kept version it was built from. */
	readonly version: string;
	readonly material: string;
	/** Thousandths; what was lost is part of what it took. */
	readonly reckoned: number;
	readonly real: number;
	readonly lost: number;
}

/** Jobs a lesson looks back over, at most. */
const MOST_TAUGHT = 400;

/** What counted jobs told, added up where the rows are. */
export function jobFigures(db: Database, { workspace: workspaceId }: Actor) {
	const own = (part: FigurePart, { from, to }: Period) =>
		and(eq(jobFigure.workspaceId, workspaceId), eq(jobFigure.part, part), gte(jobFigure.day, from), lte(jobFigure.day, to)); // prettier-ignore
	const sum = (column: SQLiteColumn) => sql<number>`coalesce(sum(${column}), 0)`;
	const sums = { net: sum(jobFigure.net), reckoned: sum(jobFigure.reckoned), real: sum(jobFigure.real) }; // prettier-ignore
	const many = sql<number>`count(*)`;
	const month = sql<string>`substr(${jobFigure.day}, 1, 7)`;
	return {
		/** Jobs of a period with this design among their pieces, the newest first. */
		async withPiece(design: string, period: Period) {
			const whole = alias(jobFigure, 'whole');
			return db.read
				.select({ job: jobFigure.quoteId, client: whole.name, day: jobFigure.day })
				.from(jobFigure)
				.innerJoin(
					whole,
					and(
						eq(whole.workspaceId, jobFigure.workspaceId),
						eq(whole.quoteId, jobFigure.quoteId),
						eq(whole.part, 'job')
					)
				) // prettier-ignore
				.where(and(own('piece', period), eq(jobFigure.key, design)))
				.orderBy(desc(jobFigure.day));
		},
		/** Month by month, the earliest first; months without a job are not there. */
		async months(period: Period): Promise<MonthSums[]> {
			const [jobs, hers] = await Promise.all([
				db.read.select({ month, jobs: many, ...sums }).from(jobFigure).where(own('job', period)).groupBy(month).orderBy(month), // prettier-ignore
				db.read.select({ month, hers: sum(jobFigure.real), hersMinor: sum(jobFigure.net) }).from(jobFigure).where(own('hers', period)).groupBy(month) // prettier-ignore
			]);
			const byMonth = new Map(hers.map((h) => [h.month, h]));
			return jobs.map((j) => ({ ...j, hers: byMonth.get(j.month)?.hers ?? 0, hersMinor: byMonth.get(j.month)?.hersMinor ?? 0 })); // prettier-ignore
		},
		/** Designs as they sold, what was charged for them most first. */
		async designs(period: Period): Promise<SoldDesign[]> {
			return db.read
				.select({ design: jobFigure.key, name: sql<string>`max(${jobFigure.name})`, jobs: many, pieces: sql<number>`sum(${jobFigure.amount})`, ...sums })
				.from(jobFigure).where(own('piece', period)).groupBy(jobFigure.key).orderBy(desc(sums.net), asc(jobFigure.key)); // prettier-ignore
		},
		async clients(period: Period): Promise<ClientSums[]> {
			return db.read
				.select({ name: jobFigure.name, jobs: many, ...sums })
				.from(jobFigure).where(own('job', period)).groupBy(jobFigure.name).orderBy(desc(sums.net), asc(jobFigure.name)); // prettier-ignore
		},
		/** Minutes by part of the work, of jobs on which they were written down. */
		async phases(period: Period): Promise<PhaseSums[]> {
			const rows = await db.read
				.select({ phase: jobFigure.key, reckoned: sums.reckoned, real: sums.real, jobs: many })
				.from(jobFigure).where(and(own('work', period), sql`${jobFigure.real} IS NOT NULL`)).groupBy(jobFigure.key); // prettier-ignore
			return rows as (Omit<(typeof rows)[number], 'phase'> & { phase: WorkPhase })[];
		},
		/** What was lost of each material by cause; and what was used of it, whatever became of it. */
		async losses(period: Period): Promise<LossSums[]> {
			const rows = await db.read
				.select({ material: jobFigure.key, name: sql<string>`max(${jobFigure.name})`, cause: jobFigure.cause, lost: sql<number>`sum(${jobFigure.amount})`, minor: sums.net, used: sums.real })
				.from(jobFigure).where(own('material', period)).groupBy(jobFigure.key, jobFigure.cause).orderBy(desc(sums.net), asc(jobFigure.key)); // prettier-ignore
			const used = new Map<string, number>();
			for (const r of rows) used.set(r.material, (used.get(r.material) ?? 0) + r.used);
			return rows.filter((r) => r.lost > 0).map((r) => ({ ...r, cause: r.cause as LossSums['cause'], used: used.get(r.material)! })); // prettier-ignore
		},
		/** Counted jobs, the newest first. */
		async jobs(period: Period, most: number): Promise<JobSums[]> {
			const rows = await db.read
				.select({ id: jobFigure.quoteId, client: jobFigure.name, day: jobFigure.day, net: jobFigure.net, reckoned: jobFigure.reckoned, real: jobFigure.real, leftOut: jobFigure.leftOut })
				.from(jobFigure).where(own('job', period)).orderBy(desc(jobFigure.day), desc(jobFigure.quoteId)).limit(most); // prettier-ignore
			return rows.map((r) => ({ ...r, real: r.real ?? r.reckoned }));
		},
		/** Jobs of days that are no measure for others, the newest first. */
		async leftOut(): Promise<Pick<JobSums, 'id' | 'client' | 'day'>[]> {
			return db.read
				.select({ id: jobFigure.quoteId, client: jobFigure.name, day: jobFigure.day })
				.from(jobFigure)
				.where(and(eq(jobFigure.workspaceId, workspaceId), eq(jobFigure.part, 'job'), eq(jobFigure.leftOut, true)))
				.orderBy(desc(jobFigure.day), desc(jobFigure.quoteId)).limit(200); // prettier-ignore
		},
		/** How long parts of the work took on the last jobs, but for days that are no measure. */
		async paces(): Promise<PaceSeen[]> {
			const last = await db.read
				.select({ id: jobFigure.quoteId })
				.from(jobFigure)
				.where(and(eq(jobFigure.workspaceId, workspaceId), eq(jobFigure.part, 'job'), eq(jobFigure.leftOut, false)))
				.orderBy(desc(jobFigure.day), desc(jobFigure.quoteId))
				.limit(MOST_TAUGHT); // prettier-ignore
			if (last.length === 0) return [];
			const rows = await db.read
				.select({ job: jobFigure.quoteId, day: jobFigure.day, key: jobFigure.key, reckoned: jobFigure.reckoned, real: jobFigure.real, base: jobFigure.amount })
				.from(jobFigure)
				.where(and(eq(jobFigure.workspaceId, workspaceId), eq(jobFigure.part, 'pace'), inArray(jobFigure.quoteId, last.map((l) => l.id)))); // prettier-ignore
			const workOf = (key: string) => key.slice(0, key.indexOf('/'));
			const whole = new Map<string, number>();
			for (const r of rows) {
				const of = `${r.job} ${workOf(r.key)}`;
				whole.set(of, (whole.get(of) ?? 0) + r.base);
			}
			return rows.map((r) => {
				const all = whole.get(`${r.job} ${workOf(r.key)}`) ?? 0;
				return { ...r, real: r.real ?? 0, share: all > 0 ? r.base / all : 0 };
			});
		},
		/**
		 * Materials of the last jobs that were one design alone, with the version they were built from, the newest first; days
		 * that are no measure are not among them. Thousandths; lost is part of what it took.
		 */
		async alone(): Promise<TakenAlone[]> {
			const one = db.read
				.select({ job: jobFigure.quoteId, design: sql<string>`max(${jobFigure.key})`.as('of_design'), day: sql<string>`max(${jobFigure.day})`.as('of_day') })
				.from(jobFigure)
				.where(and(eq(jobFigure.workspaceId, workspaceId), eq(jobFigure.part, 'piece'), eq(jobFigure.leftOut, false)))
				.groupBy(jobFigure.quoteId).having(sql`count(*) = 1`).orderBy(desc(sql`max(${jobFigure.day})`)).limit(MOST_TAUGHT).as('one'); // prettier-ignore
			const rows = await db.read
				.select({ job: one.job, design: one.design, day: one.day, from: min(quoteLine.versionId), until: max(quoteLine.versionId), material: jobFigure.key, reckoned: jobFigure.reckoned, real: jobFigure.real, lost: jobFigure.amount })
				.from(one)
				.innerJoin(jobFigure, and(eq(jobFigure.workspaceId, workspaceId), eq(jobFigure.quoteId, one.job), eq(jobFigure.part, 'material')))
				.innerJoin(quoteLine, and(eq(quoteLine.workspaceId, workspaceId), eq(quoteLine.quoteId, one.job)))
				.groupBy(one.job, jobFigure.key).orderBy(desc(one.day), one.job, jobFigure.key); // prettier-ignore
			// Of two versions on one quote it is not known which took what.
			return rows.flatMap(({ from, until, real, ...r }) => (from !== null && from === until && real !== null ? [{ ...r, version: from, real }] : [])); // prettier-ignore
		},
		/** What sent quotes of a period asked, as their owner saw it then, each as it was written last. */
		async sent({ from, to }: Period): Promise<SentFigures[]> {
			const rows = await db.read
				.select({
					state: quote.state,
					// Of what was answered it is not asked: what was frozen is long.
					validUntil: sql<string>`CASE WHEN ${quote.state} IN ('sent', 'seen') THEN json_extract(${quoteIssue.frozen}, '$.validUntil') ELSE '' END`,
					net: sql<number | null>`json_extract(${quoteIssue.frozenOwner}, '$.worked.net')`,
					feet: sql<number | null>`json_extract(${quoteIssue.frozenOwner}, '$.worked.feet')`
				})
				.from(quoteIssue)
				.innerJoin(quote, and(eq(quote.workspaceId, quoteIssue.workspaceId), eq(quote.id, quoteIssue.quoteId)))
				.where(
					and(
						eq(quoteIssue.workspaceId, workspaceId),
						sql`${quoteIssue.number} = (SELECT max(number) FROM quote_issue AS later WHERE later.workspace_id = ${quoteIssue.workspaceId} AND later.quote_id = ${quoteIssue.quoteId})`,
						sql`date(${quoteIssue.issuedAt} / 1000, 'unixepoch') BETWEEN ${from} AND ${to}`
					)
				); // prettier-ignore
			return rows.map((r) => ({ ...r, net: r.net ?? 0, feet: r.feet ?? 0 }));
		}
	};
}
