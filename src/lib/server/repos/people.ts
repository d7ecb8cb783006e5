import { and, asc, count, desc, eq, gt, isNull, max, ne } from 'drizzle-orm';
import type { Actor, StaffRole } from '../actor.ts';
import type { Database, Writer } from '../db/client.ts';
import { credential, invitation, person, session, staffLetter } from '../db/tables/people.ts';
import { hashOf } from './doors.ts';

export interface Person {
	readonly id: string;
	readonly name: string;
	readonly email: string;
	readonly role: StaffRole;
	readonly secondStep: boolean;
	readonly endedAt: Date | null;
	/** Browsers they are signed in with. */
	readonly signedIn: number;
	readonly lastSeen: Date | null;
}

export interface NewPerson {
	readonly id: string;
	readonly name: string;
	/** In small letters. */
	readonly email: string;
	readonly role: StaffRole;
	readonly passwordHash: string;
}

export interface Invited {
	readonly id: string;
	readonly name: string;
	readonly role: StaffRole;
	readonly expiresAt: Date;
}

export interface StaffLetter {
	readonly id: string;
	readonly to: string;
	readonly subject: string;
	readonly body: string;
	readonly at: Date;
}

/** Why somebody cannot be changed. */
export type Refusal = 'unknown' | 'last owner';
/** Letters kept in sight. */
const LETTERS = 20;

const passwordOf = (userId: string, password: string, now: Date) => ({
	id: `password-${userId}`,
	accountId: userId,
	providerId: 'credential',
	userId,
	password,
	createdAt: now,
	updatedAt: now
});

/** Who signs in to the actor's workspace. */
export function people(db: Database, actor: Actor) {
	const { workspace: workspaceId, person: changedBy } = actor;
	const own = (id: string) => and(eq(person.workspaceId, workspaceId), eq(person.id, id));

	/** Whether somebody else owns the studio. */
	async function hasOtherOwner(tx: Writer, id: string): Promise<boolean> {
		const row = await tx
			.select({ n: count() })
			.from(person)
			.where(
				and(
					eq(person.workspaceId, workspaceId),
					eq(person.role, 'owner'),
					isNull(person.endedAt),
					ne(person.id, id)
				)
			)
			.get();
		return (row?.n ?? 0) > 0;
	}

	async function change(
		id: string,
		next: { readonly role?: StaffRole; readonly endedAt?: Date },
		now: Date
	): Promise<Refusal | null> {
		return db.write(async (tx) => {
			const found = await tx.select().from(person).where(own(id)).get();
			if (!found || found.endedAt) return 'unknown';
			const stays = (next.role ?? found.role) === 'owner' && !next.endedAt;
			if (found.role === 'owner' && !stays && !(await hasOtherOwner(tx, id))) return 'last owner';
			await tx
				.update(person)
				.set({ ...next, updatedAt: now, changedBy })
				.where(own(id));
			// What they see hangs on their role: they sign in again.
			await tx.delete(session).where(eq(session.userId, id));
			return null;
		});
	}

	return {
		async list(now: Date): Promise<Person[]> {
			const rows = await db.read
				.select({ own: person, signedIn: count(session.id), lastSeen: max(session.updatedAt) })
				.from(person)
				.leftJoin(session, and(eq(session.userId, person.id), gt(session.expiresAt, now)))
				.where(eq(person.workspaceId, workspaceId))
				.groupBy(person.id)
				.orderBy(asc(person.createdAt), desc(person.role), asc(person.name));
			return rows.map(
				({ own: { id, name, email, role, twoFactorEnabled, endedAt }, signedIn, lastSeen }) => ({
					id,
					name,
					email,
					role,
					secondStep: twoFactorEnabled,
					endedAt,
					signedIn,
					lastSeen
				})
			);
		},
		/** Somebody joins. One who was here before and left is let in again. @returns whether the address was free */
		async add(next: NewPerson, now: Date, taken?: string): Promise<boolean> {
			const { passwordHash, ...about } = next;
			return db.write(async (tx) => {
				const known = await tx.select().from(person).where(eq(person.email, next.email)).get();
				if (known && (known.workspaceId !== workspaceId || !known.endedAt)) return false;
				if (taken !== undefined) {
					const took = await tx
						.update(invitation)
						.set({ takenAt: now, changedBy: known?.id ?? next.id })
						.where(
							and(
								eq(invitation.workspaceId, workspaceId),
								eq(invitation.id, taken),
								isNull(invitation.takenAt),
								isNull(invitation.endedAt)
							)
						)
						.returning({ id: invitation.id });
					if (took.length === 0) return false;
				}
				const userId = known?.id ?? next.id;
				const times = { createdAt: now, updatedAt: now };
				if (known)
					await tx
						.update(person)
						.set({ name: next.name, role: next.role, endedAt: null, updatedAt: now, changedBy: userId })
						.where(own(userId));
				else await tx.insert(person).values({ ...about, workspaceId, ...times, changedBy: userId });
				await tx.delete(credential).where(eq(credential.userId, userId));
				await tx.insert(credential).values(passwordOf(userId, passwordHash, now));
				return true;
			});
		},
		/** Whoever is the first of a workspace. @returns whether there was nobody yet */
		async addFirst({ passwordHash, ...about }: NewPerson, now: Date): Promise<boolean> {
			return db.write(async (tx) => {
				const [known] = await tx.select({ id: person.id }).from(person).where(eq(person.workspaceId, workspaceId)).limit(1); // prettier-ignore
				if (known) return false;
				const times = { createdAt: now, updatedAt: now };
				await tx.insert(person).values({ ...about, workspaceId, ...times, changedBy });
				await tx.insert(credential).values(passwordOf(about.id, passwordHash, now));
				return true;
			});
		},
		/** @returns why not; null where it is so */
		setRole: (id: string, role: StaffRole, now: Date) => change(id, { role }, now),
		/** Lets somebody in no more, and ends where they are signed in. What they wrote stays theirs. */
		end: (id: string, now: Date) => change(id, { endedAt: now }, now),
		/** Signs somebody out wherever they are. */
		async signOut(id: string): Promise<void> {
			await db.write(async (tx) => {
				const found = await tx.select({ id: person.id }).from(person).where(own(id)).get();
				if (found) await tx.delete(session).where(eq(session.userId, found.id));
			});
		},
		/** @returns whether it was not there yet */
		async invite(next: Invited, token: string, now: Date): Promise<boolean> {
			return db.write(async (tx) => {
				const made = await tx
					.insert(invitation)
					.values({ ...next, workspaceId, tokenHash: hashOf(token), createdAt: now, changedBy })
					.onConflictDoNothing()
					.returning({ id: invitation.id });
				return made.length > 0;
			});
		},
		/** Links that can still be taken. */
		async invited(now: Date): Promise<Invited[]> {
			return db.read
				.select({
					id: invitation.id,
					name: invitation.name,
					role: invitation.role,
					expiresAt: invitation.expiresAt
				})
				.from(invitation)
				.where(
					and(
						eq(invitation.workspaceId, workspaceId),
						isNull(invitation.takenAt),
						isNull(invitation.endedAt),
						gt(invitation.expiresAt, now)
					)
				)
				.orderBy(asc(invitation.createdAt));
		},
		async endInvitation(id: string, now: Date): Promise<void> {
			await db.write((tx) =>
				tx
					.update(invitation)
					.set({ endedAt: now, changedBy })
					.where(and(eq(invitation.workspaceId, workspaceId), eq(invitation.id, id)))
			);
		},
		async putLetter(letter: StaffLetter): Promise<void> {
			await db.write((tx) => tx.insert(staffLetter).values({ ...letter, workspaceId }));
		},
		/** The newest first. */
		async letters(): Promise<StaffLetter[]> {
			return db.read
				.select({
					id: staffLetter.id,
					to: staffLetter.to,
					subject: staffLetter.subject,
					body: staffLetter.body,
					at: staffLetter.at
				})
				.from(staffLetter)
				.where(eq(staffLetter.workspaceId, workspaceId))
				.orderBy(desc(staffLetter.at))
				.limit(LETTERS);
		}
	};
}
