import { drizzleAdapter } from 'better-auth/adapters/drizzle';
import type { BetterAuthOptions } from 'better-auth';
import type { Database } from '../db/client.ts';
import { credential, person, secondStep, session, verification } from '../db/tables/people.ts';

const SCHEMA = {
	user: person,
	session,
	account: credential,
	verification,
	twoFactor: secondStep
};

type Adapter = ReturnType<ReturnType<typeof drizzleAdapter>>;
const WRITES = [
	'create',
	'update',
	'updateMany',
	'delete',
	'deleteMany',
	'consumeOne',
	'incrementOne'
] as const satisfies readonly (keyof Adapter)[];

/**
 * The database as the auth library uses it. It reads straight; whatever it writes goes through the one door like
 * everything else, because a write beside an open one would freeze the event loop.
 */
export const queuedAdapter =
	(db: Database) =>
	(options: BetterAuthOptions): Adapter => {
		const on = (at: object) => drizzleAdapter(at as never, { provider: 'sqlite', schema: SCHEMA })(options);
		const queued = Object.fromEntries(
			WRITES.map((name) => [
				name,
				(asked: never) => db.write((tx) => (on(tx)[name] as (asked: never) => Promise<unknown>)(asked))
			])
		);
		return {
			...on(db.read),
			...queued,
			transaction: (work: Parameters<Adapter['transaction']>[0]) => db.write((tx) => work(on(tx)))
		} as Adapter;
	};
