import Papa from 'papaparse';
import { error } from '@sveltejs/kit';
import { cellForSheet } from '$lib/core/numbers/answer.ts';
import { CASH_AHEAD } from '$lib/core/numbers/cash-ahead.ts';
import { dayIn } from '$lib/server/services/day-in.ts';
import { loadStudio } from '$lib/server/services/studio.ts';
import { periodOf } from '../period.ts';
import type { RequestHandler } from './$types';

/** Decimals of every currency a studio may have. */
const PLACES = 2;

/** The table of one answer as CSV: `margin-by-month.csv`. */
export const GET: RequestHandler = async ({ locals, params, url }) => {
	const { settings } = await loadStudio(locals.repos);
	const today = dayIn(settings.zone);
	const period = periodOf(url, today);
	const answers =
		params.answer === `${CASH_AHEAD}.csv`
			? [await locals.work('cash ahead', { today })]
			: await locals.work('numbers page', { period, today, jobs: 100_000 });
	const found = answers.find((a) => `${a.id}.csv` === params.answer);
	if (!found) error(404, { message: 'There is no such table.', hint: 'Find it under Numbers.' });
	const { columns, rows } = found;
	const csv = Papa.unparse(
		{
			fields: columns.map((c) => c.label),
			data: rows.map((row) => row.map((cell, i) => cellForSheet(cell, columns[i]!.unit, PLACES)))
		},
		{ escapeFormulae: true, newline: '\r\n' }
	);
	return new Response(`\ufeff${csv}\r\n`, {
		headers: {
			'content-type': 'text/csv; charset=utf-8',
			'content-disposition': `attachment; filename="${found.id}-${period.from}-${period.to}.csv"`
		}
	});
};
