import { fail } from '@sveltejs/kit';
import { SHORTEST_PASSPHRASE } from '$lib/server/backup/lock.ts';
import { alone, uploads } from '$lib/server/app.ts';
import { fieldsOf } from '$lib/server/form-fields.ts';
import { sumWords } from '$lib/server/pages/studio-words.ts';
import { whenWords } from '$lib/server/pages/when.ts';
import { loadStudio } from '$lib/server/services/studio.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
	const { wholeStudio } = locals.repos;
	return {
		holds: sumWords(await wholeStudio.counts()),
		isEmpty: await wholeStudio.isEmpty(),
		shortest: SHORTEST_PASSPHRASE,
		short: url.searchParams.has('short')
	};
};

/** What was sent in pieces, and the passphrase it is locked with. */
async function sentOf({ request, locals }: { request: Request; locals: App.Locals }) {
	const { upload = '', passphrase = '' } = await fieldsOf(request);
	const file = uploads().find(locals.actor, upload);
	return file === undefined ? undefined : { file, passphrase: passphrase || undefined };
}
const GONE = 'That file is not here any more. Choose it once more.';

export const actions: Actions = {
	look: async (event) => {
		const sent = await sentOf(event);
		if (!sent) return fail(409, { say: GONE, locked: false });
		const found = await event.locals.work('look into studio file', sent);
		if (!found.ok) return fail(400, { say: found.say, locked: found.locked });
		const { settings } = await loadStudio(event.locals.repos);
		return {
			found: {
				studio: found.studio,
				made: whenWords(settings)(new Date(found.made)),
				holds: sumWords(found.rows)
			}
		};
	},
	bring: async (event) => {
		const sent = await sentOf(event);
		if (!sent) return fail(409, { say: GONE, locked: false });
		const { locals } = event;
		const done = await alone(() => locals.work('bring studio', { ...sent, now: new Date() }));
		if (!done.ok) return fail(409, { say: done.say, locked: false });
		uploads().drop(locals.actor);
		return { brought: sumWords(await locals.repos.wholeStudio.counts()) };
	}
};
