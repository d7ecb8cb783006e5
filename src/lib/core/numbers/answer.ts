/** What a column of figures is in, so that a chart and a sheet write it alike. Money is in minor units, shares 0 to 1. */
export type Unit = 'words' | 'count' | 'money' | 'percent' | 'hours' | 'share';

export interface Column {
	readonly label: string;
	readonly unit: Unit;
}
/** Null is not known. */
export type Cell = string | number | null;

/** A question in words with its answer: a sentence, a chart, and the table the chart is drawn from. */
export interface Answer {
	/** As its address and file are called. */
	readonly id: string;
	readonly question: string;
	readonly answer: string;
	readonly columns: readonly Column[];
	readonly rows: readonly (readonly Cell[])[];
	/** Where the first cell of each row leads; nothing leads nowhere. */
	readonly links?: readonly (string | null)[] | undefined;
	/** Columns that are drawn, by their place, over the first; empty draws nothing. */
	readonly drawn: readonly number[];
	readonly as: 'columns' | 'bars' | 'lines';
}

/** Rows of an answer that are drawn at most: more cannot be told from each other. The table has all. */
export const MOST_DRAWN = 14;

/** A cell as a sheet has it: plain numbers with a point, money in its major unit. @param places decimals of the currency */
export function cellForSheet(cell: Cell, unit: Unit, places: number): string | number {
	if (cell === null) return '';
	if (typeof cell === 'string') return cell;
	const to = (n: number, by: number) => Number(n.toFixed(by));
	if (unit === 'money') return to(cell / 10 ** places, places);
	if (unit === 'hours') return to(cell / 60, 2);
	return unit === 'share' ? to(cell * 100, 1) : to(cell, unit === 'percent' ? 1 : 3);
}
