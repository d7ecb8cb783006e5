import { randomUUID } from 'node:crypto';
import { createServer, type Server } from 'node:http';
import { json } from 'node:stream/consumers';
import Database from 'libsql';
import { z } from 'zod';

/**
 * A stand-in for a libSQL server: it speaks Hrana 2 over HTTP (JSON, `/v2/pipeline`; from memory of the published protocol),
 * and keeps each database in a file of this machine. It is none: no log shipping, no replicas, no tokens; it is here so that
 * the data layer can be tried against something at an address.
 */

type Value =
	| { type: 'null' }
	| { type: 'integer'; value: string }
	| { type: 'float'; value: number }
	| { type: 'text'; value: string }
	| { type: 'blob'; base64: string };
interface Stmt {
	sql?: string;
	sql_id?: number;
	args?: Value[];
	named_args?: { name: string; value: Value }[];
	want_rows?: boolean;
}
type Condition =
	| { type: 'ok'; step: number }
	| { type: 'error'; step: number }
	| { type: 'not'; cond: Condition }
	| { type: 'and'; conds: Condition[] }
	| { type: 'or'; conds: Condition[] }
	| { type: 'is_autocommit' };
interface Asked {
	type: string;
	stmt?: Stmt;
	batch?: { steps: { condition?: Condition | null; stmt: Stmt }[] };
	sql?: string;
	sql_id?: number;
}
const bodySchema = z.object({
	baton: z.string().nullish(),
	requests: z.array(z.custom<Asked>((r) => typeof (r as Asked).type === 'string'))
});

/** A connection of its own for whoever has its baton. */
interface Stream {
	readonly db: Database.Database;
	readonly texts: Map<number, string>;
	idle?: NodeJS.Timeout;
}
/** A stream nobody asks for so long goes, with what it had not finished, ms. */
const IDLE = 10_000;
/** So long a statement waits for another's write, ms. */
const PATIENCE = 4000;

const fromValue = (v: Value): unknown =>
	v.type === 'null' ? null : v.type === 'integer' ? BigInt(v.value) : v.type === 'blob' ? Buffer.from(v.base64, 'base64') : v.value; // prettier-ignore
function toValue(v: unknown): Value {
	if (v === null || v === undefined) return { type: 'null' };
	if (typeof v === 'bigint') return { type: 'integer', value: String(v) };
	if (typeof v === 'number')
		return Number.isInteger(v) ? { type: 'integer', value: String(v) } : { type: 'float', value: v };
	if (typeof v === 'string') return { type: 'text', value: v };
	return { type: 'blob', base64: Buffer.from(v as Uint8Array).toString('base64') };
}

function once({ db, texts }: Stream, stmt: Stmt) {
	const text = stmt.sql ?? texts.get(stmt.sql_id!) ?? '';
	const prepared = db.prepare(text);
	prepared.safeIntegers(true);
	const named = Object.fromEntries((stmt.named_args ?? []).map((a) => [a.name.replace(/^[:@$]/, ''), fromValue(a.value)])); // prettier-ignore
	const args = stmt.named_args?.length ? [named] : (stmt.args ?? []).map(fromValue);
	let cols: { name: string; decltype: string | null }[] = [];
	let rows: unknown[][] = [];
	let changes = 0;
	let last: string | null = null;
	if (prepared.reader) {
		prepared.raw(true);
		cols = prepared.columns().map((c) => ({ name: c.name, decltype: c.type }));
		rows = prepared.all(...args) as unknown[][];
		if (!/^\s*(select|pragma|explain|with\b(?!.*\b(insert|update|delete)\b))/is.test(text))
			changes = rows.length;
	} else {
		const done = prepared.run(...args);
		changes = done.changes;
		last = String(done.lastInsertRowid);
	}
	return {
		cols,
		rows: rows.map((row) => row.map(toValue)),
		affected_row_count: changes,
		last_insert_rowid: last
	};
}

/** Waits its turn without holding up the others: one of them has to finish first. */
async function execute<T>(work: () => T): Promise<T> {
	for (const until = Date.now() + PATIENCE; ;) {
		try {
			return work();
		} catch (cause) {
			const busy = /busy|locked/i.test(`${(cause as { code?: string }).code} ${(cause as Error).message}`);
			if (!busy || Date.now() > until) throw cause;
			await new Promise((resolve) => setTimeout(resolve, 3));
		}
	}
}
const errorOf = (cause: unknown) => ({
	message: (cause as Error).message,
	code: (cause as { code?: string }).code ?? 'SQLITE_ERROR'
});

async function batch(stream: Stream, steps: NonNullable<Asked['batch']>['steps']) {
	const results: unknown[] = [];
	const errors: unknown[] = [];
	const holds = (c: Condition): boolean => {
		if (c.type === 'ok') return results[c.step] !== null && results[c.step] !== undefined;
		if (c.type === 'error') return errors[c.step] !== null && errors[c.step] !== undefined;
		if (c.type === 'not') return !holds(c.cond);
		if (c.type === 'is_autocommit') return !stream.db.inTransaction;
		return c.type === 'and' ? c.conds.every(holds) : c.conds.some(holds);
	};
	for (const { condition, stmt } of steps) {
		let [result, error]: unknown[] = [null, null];
		if (!condition || holds(condition))
			try {
				result = await execute(() => once(stream, stmt));
			} catch (cause) {
				error = errorOf(cause);
			}
		results.push(result);
		errors.push(error);
	}
	return { step_results: results, step_errors: errors };
}

async function answer(stream: Stream, asked: Asked): Promise<object> {
	const { db, texts } = stream;
	switch (asked.type) {
		case 'execute':
			return { type: 'execute', result: await execute(() => once(stream, asked.stmt!)) };
		case 'batch':
			return { type: 'batch', result: await batch(stream, asked.batch!.steps) };
		case 'sequence': {
			const text = asked.sql ?? texts.get(asked.sql_id!) ?? '';
			await execute(() => db.exec(text));
			return { type: 'sequence' };
		}
		case 'store_sql':
			texts.set(asked.sql_id!, asked.sql!);
			return { type: 'store_sql' };
		case 'close_sql':
			texts.delete(asked.sql_id!);
			return { type: 'close_sql' };
		case 'get_autocommit':
			return { type: 'get_autocommit', is_autocommit: !db.inTransaction };
		case 'close':
			return { type: 'close' };
		default:
			throw new Error(`The stand-in knows no ${asked.type}.`);
	}
}

export interface StandIn {
	readonly url: string;
	/** Address of the database that lies in a file. */
	urlOf(file: string): string;
	close(): Promise<void>;
}

/** The address a stand-in gives a file. */
export const addressOf = (standIn: string, file: string): string =>
	`${standIn}${Buffer.from(file).toString('base64url')}/`;

/** Starts it. @param port 0 takes one that is free */
export async function startStandIn(port = 0): Promise<StandIn> {
	const streams = new Map<string, Stream>();
	const end = (baton: string, stream: Stream) => {
		clearTimeout(stream.idle);
		streams.delete(baton);
		if (stream.db.inTransaction) stream.db.exec('ROLLBACK');
		stream.db.close();
	};
	const server: Server = createServer((request, response) => {
		void (async () => {
			const named = /^\/([\w-]+)\/v2\/pipeline$/.exec(request.url ?? '')?.[1];
			const file = named && Buffer.from(named, 'base64url').toString();
			if (!file || request.method !== 'POST') {
				response.writeHead(404).end();
				return;
			}
			const { baton, requests } = bodySchema.parse(await json(request));
			let stream = baton ? streams.get(baton) : undefined;
			if (baton && !stream) {
				response.writeHead(400, { 'content-type': 'application/json' });
				response.end(JSON.stringify({ message: 'The stream is gone.', code: 'STREAM_EXPIRED' }));
				return;
			}
			if (baton) streams.delete(baton);
			if (!stream) {
				stream = { db: new Database(file), texts: new Map() };
				stream.db.exec('PRAGMA journal_mode = WAL; PRAGMA foreign_keys = ON');
			}
			clearTimeout(stream.idle);
			const results: object[] = [];
			let closed = false;
			for (const asked of requests)
				try {
					results.push({ type: 'ok', response: await answer(stream, asked) });
					closed ||= asked.type === 'close';
				} catch (cause) {
					results.push({ type: 'error', error: errorOf(cause) });
				}
			const next = randomUUID();
			if (closed) end(next, stream);
			else {
				const own = stream;
				streams.set(next, own);
				own.idle = setTimeout(() => end(next, own), IDLE).unref();
			}
			response.writeHead(200, { 'content-type': 'application/json' });
			response.end(JSON.stringify({ baton: closed ? null : next, base_url: null, results }));
		})().catch((cause: unknown) => {
			response.writeHead(500).end(String(cause));
		});
	});
	server.keepAliveTimeout = 60_000;
	await new Promise<void>((resolve) => server.listen(port, '127.0.0.1', resolve));
	const { port: own } = server.address() as { port: number };
	return {
		url: `http://127.0.0.1:${own}/`,
		urlOf: (file) => addressOf(`http://127.0.0.1:${own}/`, file),
		close: () =>
			new Promise((resolve) => {
				for (const [baton, stream] of streams) end(baton, stream);
				server.closeAllConnections();
				server.close(() => resolve());
			})
	};
}
