import { askedFor } from '$lib/server/services/asked.ts';
import { stampOf } from '$lib/server/services/stamp.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params, url }) =>
	locals.work('lists page', askedFor(params, url), await stampOf(locals.repos, params.design));
