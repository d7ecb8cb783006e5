import { fail } from '@sveltejs/kit';
import { fieldsOf } from '$lib/server/form-fields.ts';
import { dayIn } from '$lib/server/services/day-in.ts';
import { loadStudio } from '$lib/server/services/studio.ts';
import type { Actions, PageServerLoad } from './$types';

const MOST_BYTES = 1024 * 1024;

export const load: PageServerLoad = async ({ locals }) => ({
	calendars: await locals.repos.jobs.calendars()
});

export const actions: Actions = {
	bring: async ({ request, locals }) => {
		const form = await request.formData();
		const file = form.get('file');
		const typed = form.get('name');
		const name = (typeof typed === 'string' ? typed : '').trim().slice(0, 60);
		const no = (status: number, say: string) => fail(status, { say, name });
		if (!(file instanceof File) || file.size === 0) return no(400, 'Choose a calendar file first (.ics).');
		if (file.size > MOST_BYTES) return no(413, 'A calendar file is up to 1 MB. Save fewer months of it.');
		const { settings } = await loadStudio(locals.repos);
		const wanted = { text: await file.text(), zone: settings.zone, today: dayIn(settings.zone) };
		const read = await locals.work('read calendar', wanted);
		if (!read.ok) return no(400, read.say);
		if (read.events.length === 0)
			return no(400, 'Nothing in this calendar is between two months ago and two years from now.');
		const calendar =
			name || read.name || file.name.replace(/\.[^.]*$/, '').slice(0, 60) || 'another calendar';
		await locals.repos.jobs.putCalendar(calendar, read.events);
		return { brought: { calendar, many: read.events.length, left: read.left } };
	},
	remove: async ({ request, locals }) => {
		const { calendar = '' } = await fieldsOf(request);
		await locals.repos.jobs.putCalendar(calendar, []);
		return { removed: calendar.slice(0, 60) };
	}
};
