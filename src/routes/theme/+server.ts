import { redirect } from '@sveltejs/kit';

/** Sets light, dark or as the machine says, and goes back to where it was asked. Works without JavaScript. */
export const POST = async ({ request, cookies }) => {
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
	const back = String(form.get('back') ?? '/');
	redirect(303, /^\/(?!\/)/.test(back) ? back : '/');
};
