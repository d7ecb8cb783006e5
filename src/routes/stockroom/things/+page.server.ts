import { fail } from '@sveltejs/kit';
import type { FormContext } from '$lib/core/forms/fields.ts';
import { isPiece } from '$lib/core/owned/owned.ts';
import { isCalendarDay } from '$lib/core/quote/read-form.ts';
import { dayNumber } from '$lib/core/units/calendar-day.ts';
import { numbered, readChanged, readOwned } from '$lib/core/owned/owned-form.ts';
import { fieldsOf, sentId } from '$lib/server/form-fields.ts';
import { dayIn } from '$lib/server/services/day-in.ts';
import { loadStudio } from '$lib/server/services/studio.ts';
import type { Actions, PageServerLoad } from './$types';

/** Days from today that can be looked at. */
const MOST_AWAY = 3660;

export const load: PageServerLoad = async ({ locals, url }) => {
	const { settings } = await loadStudio(locals.repos);
	const today = dayIn(settings.zone, new Date());
	const asked = url.searchParams.get('from') ?? '';
	// Far from today nothing is booked, and a year of five figures is no day here.
	const isNear = isCalendarDay(asked) && Math.abs(dayNumber(asked) - dayNumber(today)) <= MOST_AWAY;
	const from = isNear ? asked : today;
	return {
		...(await locals.work('things page', { from, today })),
		today,
		currency: settings.rates.currency,
		decimal: settings.decimal,
		fresh: crypto.randomUUID()
	};
};

/** The form as it was sent, and how numbers are typed here. */
async function sent({ request, locals }: { request: Request; locals: App.Locals }) {
	const typed = await fieldsOf(request);
	const { settings, materials } = await loadStudio(locals.repos);
	const context: FormContext = {
		style: { decimal: settings.decimal },
		currency: settings.rates.currency
	};
	return { typed, context, materials };
}

export const actions: Actions = {
	add: async (event) => {
		const { typed, context, materials } = await sent(event);
		const read = readOwned(typed, materials.filter(isPiece), context); // prettier-ignore
		if (!read.ok) return fail(400, { add: { typed, errors: read.errors } });
		const { material, count, hire: hireMinor, deposit: depositMinor, ...about } = read.values;
		const { things } = event.locals.repos;
		const name = materials.find((m) => m.id === material)!.name;
		const id = sentId(typed);
		const taken = await things.owned();
		// Sent twice they are there already.
		if (!taken.some((t) => t.id === `${id}-1`))
			await things.add(
				numbered(name, count, taken.map((t) => t.name)).map((own, i) => ({ ...about, id: `${id}-${i + 1}`, material, name: own, hireMinor, depositMinor }))
			); // prettier-ignore
		return { added: `${count} × ${name}` };
	},
	change: async (event) => {
		const { typed, context } = await sent(event);
		const read = readChanged(typed, context);
		const { thing = '' } = typed;
		if (!read.ok) return fail(400, { change: { thing, typed, errors: read.errors } });
		const { hire: hireMinor, deposit: depositMinor, ...about } = read.values;
		return (await event.locals.repos.things.change(thing, { ...about, hireMinor, depositMinor }))
			? { changed: about.name }
			: fail(409, { change: { thing, typed, errors: { name: 'That piece is gone, or another has this name. Say another one, or reload the page.' } } }); // prettier-ignore
	},
	remove: async ({ request, locals }) => {
		const { thing = '' } = await fieldsOf(request);
		await locals.repos.things.remove(thing);
		return { removed: true };
	}
};
