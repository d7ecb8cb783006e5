import { randomUUID } from 'node:crypto';
import { eq } from 'drizzle-orm';
import { STAFF_ROLES, type StaffRole } from '../src/lib/server/actor.ts';
import { openAuth } from '../src/lib/server/auth/auth.ts';
import { authSecret } from '../src/lib/server/auth/secret.ts';
import { newToken } from '../src/lib/server/new-token.ts';
import { databaseUrl, DEMO_DATABASE } from '../src/lib/server/config.ts';
import { connect } from '../src/lib/server/db/client.ts';
import { startingSettings } from '../src/lib/server/db/starting-settings.ts';
import { person, secondStep } from '../src/lib/server/db/tables/people.ts';
import { workspace } from '../src/lib/server/db/tables/workspace.ts';
import { createRepos } from '../src/lib/server/repos/index.ts';

/**
 * At the machine itself: who signs in, a link for a new password, a second step taken off, another studio on this server.
 *
 *     npm run people                       who signs in, by studio
 *     npm run people -- link ADDRESS       a link for a new password, for an hour
 *     npm run people -- no-step ADDRESS    the second step is off: they lost the device
 *     npm run people -- studio "NAME"      a studio of its own, with a link for its owner
 */
const INVITED_FOR = 7 * 24 * 60 * 60 * 1000;
const args = process.argv.slice(2).filter((a) => !a.startsWith('--'));
const demo = process.argv.includes('--demo');
const url = databaseUrl({ DATABASE_URL: process.env.DATABASE_URL ?? (demo ? DEMO_DATABASE : undefined) });
const origin = process.env.ORIGIN ?? `http://127.0.0.1:${process.env.PORT ?? 4173}`;
const db = connect(url);

async function list(): Promise<void> {
	const rows = await db.read.select({ own: person, studio: workspace.name }).from(person).innerJoin(workspace, eq(workspace.id, person.workspaceId)); // prettier-ignore
	if (rows.length === 0) console.log('Nobody signs in here yet: open the app, and become its owner.');
	for (const { own, studio } of rows)
		console.log(`${studio}: ${own.name}, ${own.email}, ${own.role}${own.endedAt ? ', let in no more' : ''}${own.twoFactorEnabled ? ', with a second step' : ''}`); // prettier-ignore
}

async function findPerson(email: string) {
	const row = await db.read.select().from(person).where(eq(person.email, email.trim().toLowerCase())).get();
	if (!row) throw new Error(`Nobody signs in here as ${email}. npm run people shows who does.`);
	return row;
}

async function link(email: string): Promise<void> {
	const row = await findPerson(email);
	let token = '';
	const auth = openAuth({
		db,
		secret: authSecret(process.env, url),
		origin,
		letter: (letter) => {
			token = letter.token;
			return Promise.resolve();
		}
	});
	await auth.api.requestPasswordReset({ body: { email: row.email } });
	console.log(`For an hour: ${origin}/reset/${token}`);
}

async function noStep(email: string): Promise<void> {
	const row = await findPerson(email);
	await db.write(async (tx) => {
		await tx.delete(secondStep).where(eq(secondStep.userId, row.id));
		await tx.update(person).set({ twoFactorEnabled: false }).where(eq(person.id, row.id));
	});
	console.log(`${row.name} signs in without a second step now.`);
}

async function studio(name: string): Promise<void> {
	const id = randomUUID();
	const now = new Date();
	const repos = createRepos(db, { workspace: id, person: 'server', role: 'owner' });
	await repos.workspaces.create(
		{ ...startingSettings, business: { ...startingSettings.business, name } },
		now
	);
	const role: StaffRole = STAFF_ROLES[0];
	const token = newToken();
	await repos.people.invite({ id: randomUUID(), name: '', role, expiresAt: new Date(now.getTime() + INVITED_FOR) }, token, now); // prettier-ignore
	console.log(`${name} is there. Its owner joins within a week at ${origin}/join/${token}`);
}

const [what = 'list', of = ''] = args;
const DO: Readonly<Record<string, () => Promise<void>>> = {
	list,
	link: () => link(of),
	'no-step': () => noStep(of),
	studio: () => studio(of)
};
try {
	const work = Object.hasOwn(DO, what) ? DO[what] : undefined;
	if (!work || (what !== 'list' && of === ''))
		throw new Error('Say link ADDRESS, no-step ADDRESS or studio "NAME"; nothing lists who signs in.');
	await work();
} catch (error) {
	console.error(error instanceof Error ? error.message : String(error));
	process.exitCode = 1;
} finally {
	db.close();
}
