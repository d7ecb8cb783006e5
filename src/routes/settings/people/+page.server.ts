import { fail } from '@sveltejs/kit';
import { NO_NAME, readName } from '$lib/core/people/read-person.ts';
import { dayWords } from '$lib/core/quote/day-words.ts';
import { STAFF_ROLES, type StaffRole } from '$lib/server/actor.ts';
import { newToken } from '$lib/server/new-token.ts';
import { fieldsOf, sentId } from '$lib/server/form-fields.ts';
import { newId } from '$lib/server/form-id.ts';
import type { Refusal } from '$lib/server/repos/people.ts';
import { dayIn } from '$lib/server/services/day-in.ts';
import { loadStudio } from '$lib/server/services/studio.ts';
import type { Actions, PageServerLoad } from './$types';

/** How long a link to join holds, ms. */
const INVITED_FOR = 7 * 24 * 60 * 60 * 1000;
const SAYS: Readonly<Record<Refusal, string>> = {
	unknown: 'They do not sign in here any more. Reload the page.',
	'last owner': 'The studio needs an owner: make somebody else one first.'
};
const roleOf = (said: string): StaffRole | undefined => STAFF_ROLES.find((r) => r === said);

export const load: PageServerLoad = async ({ locals }) => {
	const { people } = locals.repos;
	const { settings } = await loadStudio(locals.repos);
	const now = new Date();
	const day = (at: Date) => dayWords(dayIn(settings.zone, at), settings);
	const all = await people.list(now);
	return {
		self: locals.actor.person,
		fresh: newId(),
		people: all
			.filter((p) => p.endedAt === null)
			.map(({ lastSeen, endedAt: _, ...p }) => ({ ...p, lastSeen: lastSeen ? day(lastSeen) : '' })),
		gone: all.flatMap(({ id, name, endedAt }) => (endedAt ? [{ id, name, since: day(endedAt) }] : [])),
		invited: (await people.invited(now)).map(({ expiresAt, ...i }) => ({ ...i, until: day(expiresAt) })),
		letters: (await people.letters()).map(({ at, ...l }) => ({ ...l, at: day(at) }))
	};
};

/** What is done to one person: says why not, or that it is so. */
const outcome = (id: string, refused: Refusal | null) =>
	refused ? fail(409, { person: id, say: SAYS[refused] }) : { done: id };

export const actions: Actions = {
	invite: async ({ request, locals, url }) => {
		const fields = await fieldsOf(request);
		const name = readName(fields['name'] ?? '');
		const role = roleOf(fields['role'] ?? '');
		const typed = { name: fields['name'] ?? '', role: fields['role'] ?? '' };
		if (name === undefined) return fail(400, { typed, errors: { name: NO_NAME } as Record<string, string> });
		if (!role)
			return fail(400, { typed, errors: { role: 'Choose what they do.' } as Record<string, string> });
		const now = new Date();
		const token = newToken();
		const invitation = { id: sentId(fields), name, role, expiresAt: new Date(now.getTime() + INVITED_FOR) };
		const made = await locals.repos.people.invite(invitation, token, now);
		// Sent twice it is one, and its link was shown already.
		if (!made) return { invitedBefore: name };
		return { link: `${url.origin}/join/${token}`, for: name };
	},
	takeBack: async ({ request, locals }) => {
		const { id = '' } = await fieldsOf(request);
		await locals.repos.people.endInvitation(id, new Date());
		return { done: id };
	},
	role: async ({ request, locals }) => {
		const { id = '', role: said = '' } = await fieldsOf(request);
		const role = roleOf(said);
		if (!role) return fail(400, { person: id, say: 'Choose what they do.' });
		return outcome(id, await locals.repos.people.setRole(id, role, new Date()));
	},
	end: async ({ request, locals }) => {
		const { id = '' } = await fieldsOf(request);
		return outcome(id, await locals.repos.people.end(id, new Date()));
	},
	signOut: async ({ request, locals }) => {
		const { id = '' } = await fieldsOf(request);
		await locals.repos.people.signOut(id);
		return { done: id };
	}
};
