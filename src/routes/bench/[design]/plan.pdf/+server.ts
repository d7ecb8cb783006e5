import { fileName } from '$lib/server/file-name.ts';
import { planPdf } from '$lib/server/pdf/plan.ts';
import { asked } from '$lib/server/services/asked.ts';
import { planPaper } from '$lib/server/services/plan-paper.ts';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ locals, params, url }) => {
	const wanted = await asked(locals.repos, params.design, url);
	const pdf = await planPdf(await planPaper(locals.repos, wanted, new Date()));
	return new Response(new Uint8Array(pdf), {
		headers: {
			'content-type': 'application/pdf',
			'content-disposition': `inline; filename="${fileName(wanted.design.recipe.name, 'design')}-plan.pdf"`,
			'cache-control': 'private, no-store'
		}
	});
};
