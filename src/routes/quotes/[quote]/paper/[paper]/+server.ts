import { error } from '@sveltejs/kit';
import { paperName } from '$lib/core/papers/paper.ts';
import { paperCsv, paperJson } from '$lib/server/papers/files.ts';
import { ublOf } from '$lib/server/papers/ubl.ts';
import { paperDays } from '$lib/server/services/orders.ts';
import type { RequestHandler } from './$types';

/** A paper of a quote: as a PDF, or as what programs read with `?as=csv`, `?as=json`, `?as=xml`. */
export const GET: RequestHandler = async ({ locals, params, url }) => {
	const paper = await locals.repos.papers.find(params.paper);
	if (!paper || paper.quoteId !== params.quote) error(404, { message: 'There is no such paper.' });
	const { frozen } = paper;
	const file = (body: BodyInit, type: string, as: string, how = 'attachment') =>
		new Response(body, {
			headers: {
				'content-type': type,
				'content-disposition': `${how}; filename="${paperName(frozen)}.${as}"`
			}
		});
	switch (url.searchParams.get('as')) {
		case 'csv':
			return file(paperCsv(frozen), 'text/csv; charset=utf-8', 'csv');
		case 'json':
			return file(paperJson(frozen), 'application/json', 'json');
		case 'xml':
			if (frozen.kind !== 'invoice' && frozen.kind !== 'credit note')
				error(404, { message: 'Only an invoice or a credit note is written so.' });
			return file(ublOf(frozen), 'application/xml; charset=utf-8', 'xml');
		default: {
			const pdf = await locals.work('client paper', { paper: frozen, days: paperDays(frozen) }, paper.id);
			return file(new Uint8Array(pdf), 'application/pdf', 'pdf', 'inline');
		}
	}
};
