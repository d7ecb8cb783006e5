import { basename } from 'node:path';
import { fail } from '@sveltejs/kit';
import { HOME_WORKSPACE } from '$lib/server/actor.ts';
import { backups } from '$lib/server/app.ts';
import { sizeWords } from '$lib/server/health/health.ts';
import { whenWords } from '$lib/server/pages/when.ts';
import { loadStudio } from '$lib/server/services/studio.ts';
import type { Actions, PageServerLoad } from './$types';

/** A backup holds all studios of a server: it is made by whoever owns the first. Going back is each studio's own. */
const isServers = ({ actor }: Pick<App.Locals, 'actor'>): boolean => actor.workspace === HOME_WORKSPACE;

export const load: PageServerLoad = async ({ locals, url }) => {
	const { settings } = await loadStudio(locals.repos);
	const own = backups();
	const when = whenWords(settings);
	const list = own.list().map(({ file, at, bytes, locked }) => ({
		name: basename(file),
		at: when(at),
		size: sizeWords(bytes),
		locked
	}));
	return {
		isServers: isServers(locals),
		isLocal: own.isLocal,
		hours: own.plan.hours,
		keep: own.plan.keep,
		locks: own.passphrase !== undefined,
		backups: list,
		wentBack: list.find((b) => b.name === url.searchParams.get('back'))?.at ?? ''
	};
};

export const actions: Actions = {
	make: async ({ locals }) => {
		if (!isServers(locals)) return fail(403, { trouble: 'The owner of this server makes the backups.' });
		try {
			const made = await backups().makeNow();
			return made ? { made: basename(made.file) } : fail(409, { trouble: 'The data lies at an address: whoever runs that keeps its backups.' }); // prettier-ignore
		} catch (cause) {
			console.error('A backup could not be made:', cause);
			return fail(503, { trouble: 'The backup could not be made, and none of that name was kept. Is there room on the disk? Try again.' }); // prettier-ignore
		}
	}
};
