import Papa from 'papaparse';
import { STANDARD_COLUMNS, standardRows } from '$lib/core/workspace/standards-file.ts';
import { loadStudio } from '$lib/server/services/studio.ts';
import type { RequestHandler } from './$types';

/** The standards as a file: to look over in a spreadsheet, and to bring back. */
export const GET: RequestHandler = async ({ locals }) => {
	const { settings } = await loadStudio(locals.repos);
	const csv = Papa.unparse(standardRows(settings.rates.standards), {
		columns: [...STANDARD_COLUMNS],
		newline: '\r\n'
	});
	return new Response(`${csv}\r\n`, {
		headers: {
			'content-type': 'text/csv; charset=utf-8; header=present',
			'content-disposition': 'attachment; filename="time-standards.csv"'
		}
	});
};
