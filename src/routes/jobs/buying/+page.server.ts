import { fail } from '@sveltejs/kit';
import { fieldsOf, sentId } from '$lib/server/form-fields.ts';
import { dayIn } from '$lib/server/services/day-in.ts';
import { loadStudio } from '$lib/server/services/studio.ts';
import type { Actions, PageServerLoad } from './$types';
import { untilOf } from '../until.ts';

export const load: PageServerLoad = async ({ locals, url }) => {
	const { settings } = await loadStudio(locals.repos);
	const today = dayIn(settings.zone);
	const until = untilOf(url, today);
	return { buying: await locals.work('buying page', { today, until }), until, today, fresh: crypto.randomUUID().slice(0, 20) };
}; // prettier-ignore

export const actions: Actions = {
	/** Writes down that all of one supplier’s list is ordered. Pressed twice it is one order. */
	order: async ({ request, locals, url }) => {
		const typed = await fieldsOf(request);
		const { settings } = await loadStudio(locals.repos);
		const today = dayIn(settings.zone);
		const { lists } = await locals.work('buying page', { today, until: untilOf(url, today) });
		const id = sentId(typed).slice(0, 36);
		const before = (await locals.repos.onOrders.open()).some((o) => o.id.startsWith(`${id}.`));
		const own = lists.find((l) => l.supplier === typed.supplier);
		if (before) return { ordered: typed.name ?? '' };
		if (!own)
			return fail(409, { trouble: 'Nothing is to be ordered there any more. The list is as it is now.' });
		// What was looked at is what is ordered: a list that changed meanwhile is looked at again.
		if (typed.seen !== own.lines.map((l) => `${l.packs}×${l.pack}`).join(' '))
			return fail(409, {
				trouble: 'This list has changed since it was shown. Look at it once more, and press again.'
			});
		const rest = { ordered: today, due: own.arrives };
		await locals.repos.onOrders.add(
			...own.lines.map(({ material, pack, packs, count, minor: costMinor }, i) => ({ ...rest, id: `${id}.${i}`, material, pack, packs, count, costMinor }))
		); // prettier-ignore
		return { ordered: own.name };
	}
};
