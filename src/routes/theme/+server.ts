import { redirect } from '@sveltejs/kit';
import { ownPath } from '$lib/server/guard.ts';
import type { RequestHandler } from './$types';

/** Sets light, dark or as the machine says, and goes back to where it was asked. Works without JavaScript. */
export const POST: RequestHandler = async ({ request, cookies, url }) => {
	const form = await request.formData();
	const said = String(form.get('theme'));
	const theme = ['light', 'dark'].includes(said) ? said : 'auto';
	cookies.set('theme', theme, {
		path: '/',
		maxAge: 60 * 60 * 24 * 365,
		sameSite: 'lax',
		httpOnly: true,
		secure: false
	});
	redirect(303, ownPath(String(form.get('back') ?? '/'), url.origin));
};
