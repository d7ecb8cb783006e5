import { randomUUID } from 'node:crypto';
import { guestOf } from '../actor.ts';
import type { Database } from '../db/client.ts';
import { workspaceOfPerson } from '../repos/doors.ts';
import { people } from '../repos/people.ts';
import type { ResetLetter } from './auth.ts';

/**
 * Puts the letter with a link for a new password into the outbox of the studio: nothing is sent from here by itself.
 * @param origin as the browser that asked calls this server
 */
export async function resetLetter(db: Database, origin: string, letter: ResetLetter): Promise<void> {
	const own = await workspaceOfPerson(db, letter.person.id);
	if (!own) return;
	await people(db, guestOf(own)).putLetter({
		id: randomUUID(),
		to: letter.person.email,
		subject: 'A new password for Bright Tally',
		body: `Hello ${letter.person.name},\n\nsomebody, most likely you, asked for a new password. Choose it here within the hour:\n${origin}/reset/${letter.token}\n\nIf it was not you, leave this letter alone: nothing changes.`,
		at: new Date()
	});
}
