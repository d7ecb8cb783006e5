import { fail } from '@sveltejs/kit';
import { browserWords } from '$lib/core/people/browser-words.ts';
import { passwordTrouble } from '$lib/core/people/read-person.ts';
import { dayWords } from '$lib/core/quote/day-words.ts';
import { fieldsOf } from '$lib/server/form-fields.ts';
import { dayIn } from '$lib/server/services/day-in.ts';
import { loadStudio } from '$lib/server/services/studio.ts';
import { qrOf } from '$lib/server/qr.ts';
import type { Actions, PageServerLoad } from './$types';

/** One's own sign-in: password, where one is signed in, a second step. */
export const load: PageServerLoad = async (event) => {
	const { door, person } = event.locals;
	const sessions = await door.sessions(event);
	const { settings } = await loadStudio(event.locals.repos);
	return {
		email: person?.email ?? '',
		secondStep: person?.secondStep ?? false,
		sessions: sessions.map(({ id, isThis, since, browser, address }) => ({
			id,
			isThis,
			since: dayWords(dayIn(settings.zone, since), settings),
			browser: browserWords(browser),
			address
		}))
	};
};

type Errors = Record<string, string>;

export const actions: Actions = {
	password: async (event) => {
		const { now = '', password = '' } = await fieldsOf(event.request);
		const { person, door } = event.locals;
		const trouble = passwordTrouble(password, [person?.name ?? '', person?.email ?? '']);
		if (trouble) return fail(400, { errors: { password: trouble } as Errors });
		const done = await door.changePassword(event, now, password);
		return done.ok ? { done: 'password' } : fail(400, { errors: { now: done.say } as Errors });
	},
	end: async (event) => {
		const { id = '' } = await fieldsOf(event.request);
		await event.locals.door.endSession(event, id);
		return { done: 'session' };
	},
	endOthers: async (event) => {
		await event.locals.door.endOtherSessions(event);
		return { done: 'session' };
	},
	stepStart: async (event) => {
		const { stepPassword = '' } = await fieldsOf(event.request);
		const got = await event.locals.door.startSecondStep(event, stepPassword);
		if (!got.ok) return fail(400, { errors: { stepPassword: got.say } as Errors });
		const secret = new URL(got.uri).searchParams.get('secret') ?? '';
		return { step: { picture: qrOf(got.uri), secret, spare: got.spare } };
	},
	stepConfirm: async (event) => {
		const { code = '' } = await fieldsOf(event.request);
		const done = await event.locals.door.confirmSecondStep(event, code);
		return done.ok ? { done: 'step on' } : fail(400, { errors: { code: done.say } as Errors });
	},
	stepStop: async (event) => {
		const { stepPassword = '' } = await fieldsOf(event.request);
		const done = await event.locals.door.stopSecondStep(event, stepPassword);
		return done.ok ? { done: 'step off' } : fail(400, { errors: { stepPassword: done.say } as Errors });
	}
};
