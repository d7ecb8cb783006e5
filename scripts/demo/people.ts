import { eq } from 'drizzle-orm';
import { hashPassword, verifyPassword } from 'better-auth/crypto';
import { OWNER } from '../../src/lib/server/actor.ts';
import type { Database } from '../../src/lib/server/db/client.ts';
import { credential } from '../../src/lib/server/db/tables/people.ts';
import { DEMO_PEOPLE, demoPassword } from '../../src/lib/server/demo-sign-ins.ts';
import { people } from '../../src/lib/server/repos/people.ts';

/** Who signs in to the invented studio; where the password said now is another one, it is that from now on. */
export async function loadPeople(db: Database, now: Date): Promise<void> {
	const password = demoPassword(process.env);
	const own = people(db, OWNER);
	const known = new Map((await own.list(now)).map((p) => [p.id, p]));
	for (const { id, name, email, role } of DEMO_PEOPLE) {
		if (!known.has(id)) {
			await own.add({ id, name, email, role, passwordHash: await hashPassword(password) }, now);
			continue;
		}
		const row = await db.read.select({ hash: credential.password }).from(credential).where(eq(credential.userId, id)).get(); // prettier-ignore
		if (row?.hash && (await verifyPassword({ hash: row.hash, password }))) continue;
		const hash = await hashPassword(password);
		await db.write((tx) => tx.update(credential).set({ password: hash }).where(eq(credential.userId, id)));
	}
}
