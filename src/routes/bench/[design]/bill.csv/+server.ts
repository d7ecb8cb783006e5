import { tally } from '$lib/core/tally/tally.ts';
import { fileName } from '$lib/server/file-name.ts';
import { asked } from '$lib/server/services/asked.ts';
import { billCsv } from '$lib/server/services/bill-csv.ts';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ locals, params, url }) => {
	const { design, context, colourway, size, quantity } = await asked(locals.repos, params.design, url);
	const worked = tally(design.recipe, colourway.id, quantity, context, size?.id ?? null);
	return new Response(billCsv(worked, context), {
		headers: {
			'content-type': 'text/csv; charset=utf-8; header=present',
			'content-disposition': `attachment; filename="${fileName(design.recipe.name, 'bill')}.csv"`
		}
	});
};
