import { designAnswer } from '$lib/server/design-work.ts';
import { fileName } from '$lib/server/file-name.ts';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = (event) =>
	designAnswer(event, 'bill', ({ name, csv }) => ({
		body: csv,
		headers: {
			'content-type': 'text/csv; charset=utf-8; header=present',
			'content-disposition': `attachment; filename="${fileName(name, 'bill')}.csv"`
		}
	}));
