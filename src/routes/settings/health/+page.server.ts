import { error } from '@sveltejs/kit';
import { NEWS } from '$lib/core/news.ts';
import { ENGINE_VERSION } from '$lib/core/quote/frozen.ts';
import { HOME_WORKSPACE } from '$lib/server/actor.ts';
import { serverState } from '$lib/server/app.ts';
import { sizeWords, warningsOf } from '$lib/server/health/health.ts';
import { whenWords } from '$lib/server/pages/when.ts';
import { loadStudio } from '$lib/server/services/studio.ts';
import { version } from '../../../../package.json';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const { settings } = await loadStudio(locals.repos);
	const when = whenWords(settings);
	const about = { version, engine: ENGINE_VERSION, node: process.versions.node, news: NEWS };
	// What the machine is like is its owner's; what is new is everybody's.
	if (locals.actor.workspace !== HOME_WORKSPACE) return { about, server: undefined };
	const state = await serverState();
	if (!state) error(503, { message: 'The database does not answer.' });
	const { looked, troubles, database } = state;
	const [newest] = looked.backups.list();
	const people = await locals.repos.people.list(new Date());
	return {
		about,
		server: {
			warnings: warningsOf(looked),
			since: when(looked.started),
			database,
			free: looked.disk ? sizeWords(looked.disk.free) : '',
			data: looked.disk ? sizeWords(looked.disk.data) : '',
			isLocal: looked.backups.isLocal,
			backup: newest
				? { at: when(newest.at), size: sizeWords(newest.bytes), locked: newest.locked }
				: undefined,
			signedIn: people
				.filter((p) => p.signedIn > 0 && p.lastSeen)
				.map((p) => `${p.name} (${when(p.lastSeen!)})`),
			troubles: troubles.slice(0, 30).map(({ at, say }, i) => ({ id: i, at: when(new Date(at)), say })),
			file: state.troublesFile
		}
	};
};
