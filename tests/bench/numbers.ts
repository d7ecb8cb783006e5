import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { sql } from 'drizzle-orm';
import { loadDemo } from '../../scripts/demo/load.ts';
import { OWNER } from '../../src/lib/server/actor.ts';
import { connect, migrateTo } from '../../src/lib/server/db/client.ts';
import { numbersPage } from '../../src/lib/server/pages/numbers-page.ts';
import { taughtPage } from '../../src/lib/server/pages/taught-page.ts';
import { createRepos } from '../../src/lib/server/repos/index.ts';
import { quantile, report } from './studio.ts';

const MANY = 5000;
/** Days they lie in, about ten years. */
const DAYS = 3650;

/** Five thousand jobs that were counted back, each with as many figures as one of the demo: a page of them, every question, every lesson. */
export async function numbers(): Promise<boolean[]> {
	const folder = mkdtempSync(join(tmpdir(), 'bright-tally-numbers-'));
	const db = connect(`file:${join(folder, 'tally.db')}`);
	try {
		await migrateTo(db, 'drizzle');
		await loadDemo(db, new Date());
		const repos = createRepos(db, OWNER);
		await db.write(async (tx) => {
			await tx.run(sql`CREATE TEMP TABLE twin AS WITH RECURSIVE n(value) AS (SELECT 1 UNION ALL SELECT value + 1 FROM n WHERE value < ${MANY}), own AS (SELECT quote_id, row_number() OVER (ORDER BY quote_id) - 1 AS place, count(*) OVER () AS many FROM job_count) SELECT 'many-' || value AS id, value AS n, own.quote_id AS like_id, date('now', '-' || (value * ${sql.raw(String(DAYS))} / ${sql.raw(String(MANY))}) || ' days') AS day FROM n JOIN own ON own.place = n.value % own.many`); // prettier-ignore
			await tx.run(sql`INSERT INTO quote (workspace_id, id, number, client_id, event_date, zone, state, terms, revision, save_id, created_at, changed_by) SELECT q.workspace_id, t.id, 1000 + t.n, q.client_id, t.day, q.zone, 'accepted', q.terms, 1, NULL, q.created_at, q.changed_by FROM twin t JOIN quote q ON q.id = t.like_id`); // prettier-ignore
			await tx.run(sql`INSERT INTO quote_issue SELECT i.workspace_id, t.id || '.1', t.id, 1, 'token-' || t.id, i.frozen, i.frozen_owner, i.issued_at, i.changed_by FROM twin t JOIN quote_issue i ON i.quote_id = t.like_id`); // prettier-ignore
			await tx.run(sql`INSERT INTO job_count SELECT c.workspace_id, t.id, t.day, c.counted, 1, c.changed_at, c.changed_by FROM twin t JOIN job_count c ON c.quote_id = t.like_id`); // prettier-ignore
			await tx.run(sql`INSERT INTO job_figure SELECT f.workspace_id, t.id, f.part, f."key", f.name, t.day, f.reckoned, f."real", f.net, f.amount, f.cause, f.left_out, f.changed_by FROM twin t JOIN job_figure f ON f.quote_id = t.like_id`); // prettier-ignore
			await tx.run(sql`DROP TABLE twin`);
		});
		const today = new Date().toISOString().slice(0, 10);
		const timed = async (times: number, work: () => Promise<unknown>): Promise<number[]> => {
			const found: number[] = [];
			for (let i = 0; i < times; i++) {
				const from = performance.now();
				await work();
				found.push(performance.now() - from);
			}
			return found;
		};
		const all = { from: '2000-01-01', to: today };
		const { all: many } = await repos.jobs.page({ past: true, today });
		if (many < MANY) throw new Error(`There are only ${many} jobs.`);
		const lists = await timed(20, () => repos.jobs.page({ past: true, today, search: '' }));
		const asked = await timed(9, () => numbersPage(repos, { period: all, today }));
		const year = await timed(9, () => numbersPage(repos, { period: { from: `${Number(today.slice(0, 4)) - 1}${today.slice(4)}`, to: today }, today })); // prettier-ignore
		const taught = await timed(9, () => taughtPage(repos));
		return [
			report(`a page of ${many} jobs, p95`, quantile(lists, 0.95), 300, 'ms'),
			report('every question over all of them', quantile(asked, 0.5), 300, 'ms'),
			report('every question over the last year', quantile(year, 0.5), 300, 'ms'),
			report('what they taught', quantile(taught, 0.5), 300, 'ms')
		];
	} finally {
		db.close();
		rmSync(folder, { recursive: true, force: true });
	}
}
