import { and, asc, count, desc, eq, sql } from 'drizzle-orm';
import { eventDay, type JobSaid } from '../../core/job/job.ts';
import { jobSaidSchema } from '../../core/job/job.schema.ts';
import type { Actor } from '../actor.ts';
import type { Database } from '../db/client.ts';
import { job, jobTick, otherEvent } from '../db/tables/job.ts';
import { client, quote } from '../db/tables/quote.ts';

/** A quote with a yes, and what is said of its job. */
export interface JobRow {
	/** Of its quote. */
	readonly id: string;
	readonly number: number;
	readonly client: string;
	readonly occasion: string;
	readonly venue: string;
	/** IANA name of the venue's time zone. */
	readonly zone: string;
	/** The day of its event as the job has it, else as the quote; null is none. */
	readonly day: string | null;
	/** Null where nothing is said of it yet. */
	readonly said: JobSaid | null;
	/** 0 where nothing is said of it yet. */
	readonly revision: number;
	/** Its quote is being written anew. */
	readonly isRevised: boolean;
}

export interface JobPage {
	readonly rows: readonly JobRow[];
	readonly all: number;
	readonly page: number;
	readonly pages: number;
}

/** Something of another calendar, seen beside the jobs. */
export interface OtherEvent {
	readonly uid: string;
	readonly calendar: string;
	readonly title: string;
	readonly firstDay: string;
	readonly lastDay: string;
	readonly fromMinute: number | null;
	readonly toMinute: number | null;
}

/** Jobs a page shows. */
export const JOB_PAGE = 50;
/** Days around its event within which a job of which nothing is said has its days. */
const AROUND = 31;

/** Jobs: quotes that have a yes. */
export function jobs(db: Database, actor: Actor) {
	const { workspace: workspaceId, person: changedBy } = actor;
	const here = (id: string) => and(eq(job.workspaceId, workspaceId), eq(job.quoteId, id));
	const day = sql<string | null>`coalesce(${job.day}, ${quote.eventDate})`;
	const columns = {
		id: quote.id,
		number: quote.number,
		client: client.name,
		occasion: sql<string>`json_extract(${quote.terms}, '$.occasion')`,
		venue: sql<string>`json_extract(${quote.terms}, '$.venue')`,
		zone: quote.zone,
		day,
		said: job.said,
		revision: sql<number>`coalesce(${job.revision}, 0)`,
		state: quote.state
	};
	/** A yes stands; while its quote is written anew the job is there still. */
	const isJob = sql`(${quote.state} = 'accepted' OR (${quote.state} = 'draft' AND EXISTS (SELECT 1 FROM quote_event e WHERE e.workspace_id = ${quote.workspaceId} AND e.quote_id = ${quote.id} AND e.event = 'accepted')))`;
	const mine = and(eq(quote.workspaceId, workspaceId), isJob);
	const select = () =>
		db.read
			.select(columns)
			.from(quote)
			.innerJoin(client, and(eq(client.workspaceId, quote.workspaceId), eq(client.id, quote.clientId)))
			.leftJoin(job, and(eq(job.workspaceId, quote.workspaceId), eq(job.quoteId, quote.id)));
	return {
		async find(id: string): Promise<JobRow | undefined> {
			const row = await select()
				.where(and(mine, eq(quote.id, id)))
				.get();
			return row && fromRow(row);
		},
		/** Jobs that have any of their days between two, both included, by the day of their event. */
		async between(from: string, to: string): Promise<JobRow[]> {
			const around = (days: number) => sql`date(${quote.eventDate}, ${`${days} days`})`;
			const first = sql`coalesce(${job.firstDay}, ${around(-AROUND)})`;
			const last = sql`coalesce(${job.lastDay}, ${around(AROUND)})`;
			const rows = await select()
				.where(and(mine, sql`${first} <= ${to}`, sql`${last} >= ${from}`))
				.orderBy(day, asc(quote.number));
			return rows.map(fromRow);
		},
		/**
		 * A page of jobs: those ahead, the soonest first, or those that are over, the latest first; without a day last.
		 * @param today a calendar day, `YYYY-MM-DD`
		 */
		async page({ search = '', page = 1, past = false, today }: { readonly search?: string; readonly page?: number; readonly past?: boolean; readonly today: string }): Promise<JobPage> {
			const words = search.toLowerCase().split(/\s+/).filter(Boolean).slice(0, 8);
			const text = sql`lower(${client.name} || ' ' || json_extract(${quote.terms}, '$.occasion') || ' ' || json_extract(${quote.terms}, '$.venue') || ' ' || ${quote.number})`;
			const when = past ? sql`${day} < ${today}` : sql`(${day} >= ${today} OR ${day} IS NULL)`;
			const found = and(mine, when, ...words.map((w) => sql`instr(${text}, ${w}) > 0`));
			const counted = await db.read
				.select({ n: count() })
				.from(quote)
				.innerJoin(client, and(eq(client.workspaceId, quote.workspaceId), eq(client.id, quote.clientId)))
				.leftJoin(job, and(eq(job.workspaceId, quote.workspaceId), eq(job.quoteId, quote.id)))
				.where(found)
				.get();
			const all = counted?.n ?? 0;
			const pages = Math.max(1, Math.ceil(all / JOB_PAGE));
			const at = Math.min(pages, Math.max(1, page));
			const rows = await select()
				.where(found)
				.orderBy(sql`${day} IS NULL`, past ? desc(day) : asc(day), asc(quote.number))
				.limit(JOB_PAGE)
				.offset((at - 1) * JOB_PAGE);
			return { rows: rows.map(fromRow), all, page: at, pages };
		},
		/**
		 * Says a job anew over the revision it was read at.
		 * @returns the new revision; `stale` where somebody said something meanwhile
		 */
		async say(id: string, baseRevision: number, said: JobSaid, now: Date): Promise<number | 'stale' | 'missing'> {
			return db.write(async (tx) => {
				const own = await tx.select({ id: quote.id }).from(quote).where(and(mine, eq(quote.id, id))).get();
				if (!own) return 'missing';
				const before = await tx.select({ revision: job.revision }).from(job).where(here(id)).get();
				if ((before?.revision ?? 0) !== baseRevision) return 'stale';
				const days = said.days.map((d) => d.day).sort();
				const row = { day: eventDay(said.days) ?? null, firstDay: days[0] ?? null, lastDay: days.at(-1) ?? null, said, revision: baseRevision + 1, changedAt: now, changedBy };
				if (before) await tx.update(job).set(row).where(here(id));
				else await tx.insert(job).values({ workspaceId, quoteId: id, ...row });
				return baseRevision + 1;
			});
		},
		/** What is ticked off a list of a job, by its key. */
		async ticked(id: string): Promise<ReadonlyMap<string, ReadonlySet<string>>> {
			const rows = await db.read.select({ list: jobTick.list, key: jobTick.key }).from(jobTick).where(and(eq(jobTick.workspaceId, workspaceId), eq(jobTick.quoteId, id)));
			const found = new Map<string, Set<string>>();
			for (const { list, key } of rows) found.set(list, (found.get(list) ?? new Set()).add(key));
			return found;
		},
		/** Ticks something off, or takes its tick away; done twice it is done once. @returns false where there is no such job */
		async tick(id: string, { list, key, on }: { readonly list: string; readonly key: string; readonly on: boolean }, now: Date): Promise<boolean> {
			return db.write(async (tx) => {
				const own = await tx.select({ id: quote.id }).from(quote).where(and(mine, eq(quote.id, id))).get();
				if (!own) return false;
				if (on) await tx.insert(jobTick).values({ workspaceId, quoteId: id, list, key, at: now, changedBy }).onConflictDoNothing();
				else await tx.delete(jobTick).where(and(eq(jobTick.workspaceId, workspaceId), eq(jobTick.quoteId, id), eq(jobTick.list, list), eq(jobTick.key, key)));
				return true;
			});
		},
		/** What of other calendars is between two days, both included. */
		async otherEvents(from: string, to: string): Promise<OtherEvent[]> {
			const rows = await db.read
				.select()
				.from(otherEvent)
				.where(and(eq(otherEvent.workspaceId, workspaceId), sql`${otherEvent.firstDay} <= ${to}`, sql`${otherEvent.lastDay} >= ${from}`))
				.orderBy(otherEvent.firstDay, otherEvent.fromMinute);
			return rows.map(({ uid, calendar, title, firstDay, lastDay, fromMinute, toMinute }) => ({ uid, calendar, title, firstDay, lastDay, fromMinute, toMinute }));
		},
		/** Other calendars that were brought in, with how much is in each. */
		async calendars(): Promise<{ readonly name: string; readonly many: number }[]> {
			return db.read.select({ name: otherEvent.calendar, many: count() }).from(otherEvent).where(eq(otherEvent.workspaceId, workspaceId)).groupBy(otherEvent.calendar).orderBy(otherEvent.calendar);
		},
		/** Puts a calendar in the place of what it was before. Nothing of it is to take it away. */
		async putCalendar(calendar: string, events: readonly Omit<OtherEvent, 'calendar'>[]): Promise<void> {
			await db.write(async (tx) => {
				await tx.delete(otherEvent).where(and(eq(otherEvent.workspaceId, workspaceId), eq(otherEvent.calendar, calendar)));
				for (let at = 0; at < events.length; at += 200)
					await tx.insert(otherEvent).values(events.slice(at, at + 200).map((e) => ({ ...e, workspaceId, calendar, changedBy })));
			});
		}
	};
} // prettier-ignore

interface Row extends Omit<JobRow, 'said' | 'isRevised'> {
	readonly said: unknown;
	readonly state: string;
}
const fromRow = ({ said, state, ...row }: Row): JobRow => ({
	...row,
	said: said === null ? null : jobSaidSchema.parse(said),
	isRevised: state === 'draft'
});
