import { redirect } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = async (event) => {
	if (event.locals.person) await event.locals.door.leave(event);
	redirect(303, '/sign-in');
};
