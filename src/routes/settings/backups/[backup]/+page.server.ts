import { basename } from 'node:path';
import { error, fail, redirect } from '@sveltejs/kit';
import { alone, backups } from '$lib/server/app.ts';
import type { KeptBackup } from '$lib/server/backup/kept-backups.ts';
import { plainCause } from '$lib/server/health/plain-cause.ts';
import { partWords } from '$lib/server/pages/studio-words.ts';
import { whenWords } from '$lib/server/pages/when.ts';
import { loadStudio } from '$lib/server/services/studio.ts';
import type { Actions, PageServerLoad } from './$types';

/** By its name, out of those that are kept: nothing else of the disk. */
const kept = (name: string): KeptBackup =>
	backups()
		.list()
		.find((b) => basename(b.file) === name) ?? error(404, { message: 'There is no such backup.' });

async function goingTo(locals: App.Locals, backup: KeptBackup) {
	const { settings } = await loadStudio(locals.repos);
	const at = whenWords(settings)(backup.at);
	const { passphrase } = backups();
	return {
		at,
		going: {
			actor: locals.actor,
			file: backup.file,
			passphrase,
			from: `the backup of ${at}`,
			now: new Date()
		}
	};
}

export const load: PageServerLoad = async ({ locals, params }) => {
	const { at, going } = await goingTo(locals, kept(params.backup));
	const found = await locals.work('rehearse going back', going).catch((cause: unknown) => {
		console.error('A backup could not be looked into:', plainCause(cause));
		return undefined;
	});
	return {
		at,
		readable: found !== undefined,
		settings: found?.settings ?? false,
		differences: (found?.differences ?? []).map(({ table, goes, comes, differs, names }) => ({
			table,
			goes: goes && `${goes} ${partWords(table, goes)}`,
			comes: comes && `${comes} ${partWords(table, comes)}`,
			differs: differs && `${differs} ${partWords(table, differs)}`,
			names
		}))
	};
};

export const actions: Actions = {
	default: async ({ locals, params }) => {
		const backup = kept(params.backup);
		const { going } = await goingTo(locals, backup);
		try {
			// As it is now lies in a backup of its own: going back can be gone back from.
			await backups().makeNow(backup.file);
			await alone(() => locals.work('go back', going));
		} catch (cause) {
			console.error('Going back to a backup did not work:', plainCause(cause));
			return fail(503, { trouble: 'That did not work, and nothing was changed. Is there room on the disk? Try again, or take another backup.' }); // prettier-ignore
		}
		redirect(303, `/settings/backups?back=${encodeURIComponent(params.backup)}`);
	}
};
