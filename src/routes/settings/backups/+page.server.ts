import { basename } from 'node:path';
import { fail } from '@sveltejs/kit';
import { HOME_WORKSPACE } from '$lib/server/actor.ts';
import { backups } from '$lib/server/app.ts';
import { dayIn } from '$lib/server/services/day-in.ts';
import { loadStudio } from '$lib/server/services/studio.ts';
import { dayWords } from '$lib/core/quote/day-words.ts';
import type { Actions, PageServerLoad } from './$types';

/** A backup holds all studios of a server: it is the business of whoever owns the first. */
const isServers = ({ actor }: Pick<App.Locals, 'actor'>): boolean => actor.workspace === HOME_WORKSPACE;

export const load: PageServerLoad = async ({ locals }) => {
	const { settings } = await loadStudio(locals.repos);
	const clock = new Intl.DateTimeFormat('en-GB', { timeZone: settings.zone, timeStyle: 'short' });
	const own = isServers(locals) ? backups() : undefined;
	return {
		isServers: own !== undefined,
		isLocal: own?.isLocal ?? false,
		hours: own?.plan.hours ?? 0,
		keep: own?.plan.keep ?? 0,
		backups: (own?.list() ?? []).map(({ file, at, bytes }) => ({
			name: basename(file),
			at: `${dayWords(dayIn(settings.zone, at), settings)}, ${clock.format(at)}`,
			size: `${(bytes / 1024 / 1024).toFixed(1)} MB`
		}))
	};
};

export const actions: Actions = {
	make: async ({ locals }) => {
		if (!isServers(locals)) return fail(403, { trouble: 'The owner of this server keeps the backups.' });
		try {
			const made = await backups().makeNow();
			return made ? { made: basename(made.file) } : fail(409, { trouble: 'The data lies at an address: whoever runs that keeps its backups.' }); // prettier-ignore
		} catch (cause) {
			console.error('A backup could not be made:', cause);
			return fail(503, { trouble: 'The backup could not be made, and none of that name was kept. Is there room on the disk? Try again.' }); // prettier-ignore
		}
	}
};
