import Papa from 'papaparse';
import { got, refuse, type Parsed } from '../errors.ts';

/** Most rows and columns of a list. */
export const MOST_ROWS = 100_000;
export const MOST_COLUMNS = 200;

/** Rows of text below their headings. */
export interface Table {
	readonly head: readonly string[];
	readonly rows: readonly TableRow[];
}
export interface TableRow {
	/** Its line in the file, from 1, as a spreadsheet counts rows. */
	readonly line: number;
	readonly cells: readonly string[];
	/** What is broken about it, in words. */
	readonly broken?: string | undefined;
}

/**
 * The rows of a list: the separator is found (comma, semicolon, tab, bar), quotes may hold separators, line ends and quotes
 * doubled (RFC 4180). The first row of two filled cells or more is the headings, what stands above it is left out.
 */
export function readTable(text: string): Parsed<Table> {
	const { data, errors } = Papa.parse<string[]>(text, { skipEmptyLines: false, delimitersToGuess: [',', ';', '\t', '|'] }); // prettier-ignore
	const broken = new Map(
		errors.flatMap((e) => (e.type === 'Quotes' && e.row !== undefined ? [[e.row, true]] : []))
	);
	const filled = data.flatMap((cells, at) => {
		const trimmed = cells.map((c) => c.trim().replace(/^'(?=[=+\-@])/, ''));
		return trimmed.some((c) => c !== '') ? [{ at, cells: trimmed }] : [];
	});
	const headAt = filled.findIndex(({ cells }) => cells.filter((c) => c !== '').length >= 2);
	if (headAt < 0)
		return refuse('refused', 'No table is found in it: a list has a row of headings and a row a pack, with commas, semicolons or tabs between.'); // prettier-ignore
	const head = filled[headAt]!.cells;
	if (head.length > MOST_COLUMNS) return refuse('too-big', `It has ${head.length} columns; at most ${MOST_COLUMNS} are read.`); // prettier-ignore
	const rows = filled.slice(headAt + 1);
	if (rows.length === 0) return refuse('missing', 'There are headings, and no rows below them.');
	if (rows.length > MOST_ROWS)
		return refuse('too-big', `It has ${rows.length} rows; at most ${MOST_ROWS} are read at once. Split it.`);
	return got({
		head,
		rows: rows.map(({ at, cells }) => ({
			line: at + 1,
			cells,
			...(broken.has(at) && { broken: 'A quotation mark in this row is not closed, or stands in the middle of a cell.' }) // prettier-ignore
		}))
	});
}
