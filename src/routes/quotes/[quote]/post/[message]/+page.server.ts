import { error } from '@sveltejs/kit';
import { readMail } from '$lib/server/post/read-mail.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params }) => {
	const found = (await locals.repos.papers.messages(params.quote)).find((m) => m.id === params.message);
	if (!found) error(404, { message: 'There is no such message.', hint: 'Find it under its quote.' });
	const { mime, ...message } = found;
	return { quote: params.quote, message: { ...message, ...(await readMail(mime)) } };
};
