import { gzipSync } from 'node:zlib';
import { chromium } from '@playwright/test';
import { sql } from 'drizzle-orm';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { loadDemo } from '../../scripts/demo/load.ts';
import { OWNER } from '../../src/lib/server/actor.ts';
import { connect, migrateTo } from '../../src/lib/server/db/client.ts';
import { createRepos } from '../../src/lib/server/repos/index.ts';
import { quotePdf } from '../../src/lib/server/pdf/quote.ts';
import { sendQuote } from '../../src/lib/server/services/quoting.ts';
import { quantile, report, withStudio } from './studio.ts';

const MANY = 10_000;

/** A studio of ten thousand quotes, each with its issue as large as a real one: the page of them, filtered. */
async function list(): Promise<boolean[]> {
	const folder = mkdtempSync(join(tmpdir(), 'bright-tally-quotes-'));
	const db = connect(`file:${join(folder, 'tally.db')}`);
	try {
		await migrateTo(db, 'drizzle');
		await loadDemo(db, new Date());
		const repos = createRepos(db, OWNER);
		await db.write(async (tx) => {
			await tx.run(sql`WITH RECURSIVE n(value) AS (SELECT 1 UNION ALL SELECT value + 1 FROM n WHERE value < ${MANY}) INSERT OR IGNORE INTO quote (workspace_id, id, number, client_id, event_date, zone, state, terms, revision, save_id, created_at, changed_by) SELECT q.workspace_id, 'many-' || n.value, 1000 + n.value, q.client_id, date('now', (n.value % 700 - 350) || ' days'), q.zone, CASE n.value % 4 WHEN 0 THEN 'accepted' WHEN 1 THEN 'declined' WHEN 2 THEN 'sent' ELSE 'seen' END, q.terms, 1, NULL, q.created_at, q.changed_by FROM n JOIN quote q ON q.id = 'quote-past-' || (1 + n.value % 22)`); // prettier-ignore
			await tx.run(sql`INSERT INTO quote_issue SELECT q.workspace_id, q.id || '.1', q.id, 1, 'token-' || q.id, i.frozen, i.frozen_owner, i.issued_at, i.changed_by FROM quote q JOIN quote_issue i ON i.quote_id = 'quote-past-' || (1 + (q.number - 1000) % 22) WHERE q.id LIKE 'many-%'`); // prettier-ignore
		});
		const today = new Date().toISOString().slice(0, 10);
		const asks = [{}, { state: 'accepted' as const }, { month: today.slice(0, 7) }, { search: 'library' }, { search: 'hive visit', state: 'seen' as const }, { page: 150 }]; // prettier-ignore
		const { all } = await repos.quoteList.page({ today });
		if (all < MANY) throw new Error(`There are only ${all} quotes.`);
		const times: number[] = [];
		for (let i = 0; i < 30; i++) {
			const from = performance.now();
			await repos.quoteList.page({ today, ...asks[i % asks.length] });
			times.push(performance.now() - from);
		}
		const rest: number[] = [];
		for (let i = 0; i < 5; i++) {
			const from = performance.now();
			await Promise.all([repos.quoteList.due(new Date(), today), repos.quoteList.months(today.slice(0, 7)), repos.quoteList.answers()]); // prettier-ignore
			rest.push(performance.now() - from);
		}
		return [
			report(`a page of ${all} quotes, filtered, p95`, quantile(times, 0.95), 100, 'ms'),
			report('what is due, the months and the answers of them', quantile(rest, 0.5), 100, 'ms')
		];
	} finally {
		db.close();
		rmSync(folder, { recursive: true, force: true });
	}
}

/** The client's page with four pieces: its weight, its first paint from a cold start, what a tick takes, its PDF. */
async function page(): Promise<boolean[]> {
	let token = '';
	let made = 0;
	let bytes = 0;
	let balls = 0;
	return withStudio(
		4333,
		async (repos) => {
			const found = (await repos.quotes.find('quote-garden'))!;
			const line = (design: string, quantity: number) => ({ id: `b-${design}`, versionId: `${design}.1`, colourwayId: null, sizeId: null, way: null, quantity }); // prettier-ignore
			const lines = [
				line('hive-column', 1),
				line('kelp-column', 1),
				line('loaf-arch', 1),
				line('bee-figure', 1)
			];
			const terms = { ...found.terms, about: { 'b-bee-figure': { addOn: true as const } } };
			await repos.quotes.create('bench', { clientId: found.clientId, eventDate: null, zone: found.zone, terms, lines }, new Date()); // prettier-ignore
			token = 'x'.repeat(32);
			const sent = await sendQuote(repos, { id: 'bench', token, evenUnknown: true, now: new Date() });
			if (sent !== 'sent') throw new Error(sent);
			const { frozen } = (await repos.quotes.find('bench'))!.issued!;
			balls = frozen.lines.reduce((a, l) => a + (l.picture?.discs.length ?? 0), 0);
			const times: number[] = [];
			for (let i = 0; i < 9; i++) {
				const from = performance.now();
				bytes = (await quotePdf(frozen, { eventDay: '', validDay: '' })).length;
				times.push(performance.now() - from);
			}
			made = quantile(times, 0.5);
		},
		async (url) => {
			const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
			try {
				const tab = await browser.newPage({ viewport: { width: 390, height: 800 } });
				let weight = 0;
				tab.on('response', (r) => {
					void r.body().then((body) => (weight += r.request().resourceType() === 'font' ? body.length : gzipSync(body).length)).catch(() => undefined); // prettier-ignore
				});
				await tab.goto(`${url}/q/${token}`);
				await tab.locator('html[data-ready]').waitFor({ state: 'attached' });
				await tab.waitForTimeout(300);
				const paint = await tab.evaluate(
					() => performance.getEntriesByName('first-contentful-paint')[0]!.startTime
				);
				const ticks: number[] = [];
				for (let i = 0; i < 20; i++) {
					const from = performance.now();
					await (await fetch(`${url}/q/${token}/total?extra=3`)).text();
					ticks.push(performance.now() - from);
				}
				return [
					report('client’s page of four pieces: first paint, cold', paint, 1000, 'ms'),
					report('client’s page of four pieces: all of it, compressed', weight / 1024, 150, 'KB'),
					report('a tick of an option answered, p95', quantile(ticks, 0.95), 200, 'ms'),
					report(`PDF of ${balls} balls: made`, made, 100, 'ms'),
					report(`PDF of ${balls} balls: size`, bytes / 1024, 30, 'KB')
				];
			} finally {
				await browser.close();
			}
		}
	);
}

/** Quotes: many of them, and the client's page of one. */
export const quoteNumbers = async (): Promise<boolean[]> => [...(await list()), ...(await page())];
