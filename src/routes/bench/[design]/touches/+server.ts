import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** The designs that keeping this working copy would change, with what they cost before and after. */
export const GET: RequestHandler = async ({ locals, params }) => {
	const touched = await locals.work('touched', { design: params.design });
	return touched ? json(touched) : json({ message: 'There is no such design.' }, { status: 404 });
};
