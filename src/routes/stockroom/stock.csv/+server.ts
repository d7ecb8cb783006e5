import Papa from 'papaparse';
import { stockTable, STOCK_HEAD } from '$lib/core/price-list/stock-rows.ts';
import { onShelf } from '$lib/core/stock/ledger.ts';
import { FORMULA } from '$lib/server/services/bill-csv.ts';
import { loadStudio } from '$lib/server/services/studio.ts';
import type { RequestHandler } from './$types';

/** The Stockroom as a table for a spreadsheet, or what one supplier sells of it. */
export const GET: RequestHandler = async ({ locals, url }) => {
	const [studio, moves] = await Promise.all([loadStudio(locals.repos), locals.repos.stockMoves.all()]);
	const onHand = new Map([...moves].map(([id, own]) => [id, onShelf(own).onHand / 1000]));
	const supplier = url.searchParams.get('supplier')?.slice(0, 64) || undefined;
	const style = { decimal: studio.settings.decimal };
	const rows = stockTable(studio.materials, studio.colours, { style, onHand, supplier });
	const csv = Papa.unparse(rows, { columns: [...STOCK_HEAD], newline: '\r\n', escapeFormulae: FORMULA });
	return new Response(`${csv}\r\n`, {
		headers: {
			'content-type': 'text/csv; charset=utf-8; header=present',
			'content-disposition': 'attachment; filename="stockroom.csv"'
		}
	});
};
