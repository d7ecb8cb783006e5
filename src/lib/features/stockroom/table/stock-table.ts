import {
	createTable,
	getCoreRowModel,
	getGroupedRowModel,
	getSortedRowModel,
	type ColumnDef,
	type SortingFn
} from '@tanstack/table-core';
import {
	KIND_WORDS,
	MATERIAL_KINDS,
	type MaterialKind,
	type Pack
} from '../../../core/materials/material.ts';
import type { SortedBy, StockView } from '../../../core/stock/view.ts';

/** A row of the Stockroom as the table puts it in order and filters it. */
export interface TableRow {
	readonly id: string;
	readonly kind: MaterialKind;
	readonly name: string;
	readonly size: number;
	readonly share: number;
	readonly pieces: number | null;
	readonly coming: number;
	readonly worth: number | null;
	readonly pack: { readonly supplier: string; readonly count: number; readonly priceMinor: number | null } | null;
	readonly eachMinor: number | null;
	readonly suppliers: readonly string[];
	readonly codes: readonly string[];
	readonly isLow: boolean;
	readonly retired: boolean;
} // prettier-ignore

/** A row as it is shown, in words and figures. */
export interface StockTableRow extends TableRow {
	readonly nominal: string;
	/** `#rrggbb` */
	readonly hex: string | null;
	readonly loss: string;
	readonly learned: { readonly text: string; readonly counted: string; readonly hundredths: number; readonly isNews: boolean } | null;
	/** Times it can be used, of what comes back. */
	readonly uses: number | null;
	readonly onHand: string | null;
	readonly onOrder: string;
	readonly packs: number;
	readonly each: string | null;
	readonly pack: Pack | null;
} // prettier-ignore

/** A pack of the table as it was sent, and what is wrong with it or asked about it. */
export interface PackRefusal {
	readonly pack: string;
	readonly count: string;
	readonly price: string;
	readonly deposit: string;
	readonly errors: { readonly count?: string; readonly price?: string; readonly deposit?: string };
	readonly asks?: { readonly say: string; readonly about: string };
}

/** A loss that is asked about before it counts. */
export interface LossAsked {
	readonly material: string;
	readonly asks: { readonly say: string; readonly about: string };
}

/** What stands in the table: a row, or the head of a kind with its sums. */
export type TableItem<R> =
	| { readonly row: R }
	| { readonly kind: MaterialKind; readonly many: number; readonly worth: number; readonly low: number };

/** What is not known is put last, whichever way. */
const known = (value: number | null | undefined): number | undefined => value ?? undefined;

const VALUES: Readonly<Record<SortedBy, (row: TableRow) => string | number | undefined>> = {
	name: (r) => r.name,
	kind: (r) => MATERIAL_KINDS.indexOf(r.kind),
	bag: (r) => (r.size === 0 ? undefined : r.size),
	loss: (r) => r.share,
	onHand: (r) => known(r.pieces),
	onOrder: (r) => (r.coming === 0 ? undefined : r.coming),
	worth: (r) => known(r.worth),
	supplier: (r) => r.pack?.supplier,
	pack: (r) => known(r.pack?.count),
	price: (r) => known(r.pack?.priceMinor),
	each: (r) => known(r.eachMinor)
};

/** 5 in stands before 11 in. */
const { compare } = new Intl.Collator('en', { numeric: true });
const byWords: SortingFn<TableRow> = (a, b, id) => compare(a.getValue(id), b.getValue(id));

const COLUMNS: ColumnDef<TableRow>[] = Object.entries(VALUES).map(([id, accessorFn]) => ({
	id,
	accessorFn,
	sortUndefined: 'last',
	sortingFn: id === 'name' || id === 'supplier' ? byWords : 'basic'
}));

/** What is searched of a row; rows stay the same while she types. */
const texts = new WeakMap<TableRow, string>();
function textOf(row: TableRow): string {
	let text = texts.get(row);
	if (text === undefined) texts.set(row, (text = `${row.name} ${KIND_WORDS[row.kind]} ${row.kind} ${row.codes.join(' ')}`.toLowerCase()));
	return text;
} // prettier-ignore

/** The rows a view asks for: every word of the search in name, kind or codes. */
export function askedRows<R extends TableRow>(rows: readonly R[], { search, kind, supplier, low, retired }: StockView): readonly R[] {
	const words = search.toLowerCase().split(/\s+/).filter(Boolean);
	return rows.filter(
		(r) =>
			(kind === null || r.kind === kind) &&
			(supplier === null || r.suppliers.includes(supplier)) &&
			(!low || r.isLow) &&
			(retired || !r.retired) &&
			words.every((word) => textOf(r).includes(word))
	);
} // prettier-ignore

const sums = (kind: MaterialKind, rows: readonly TableRow[]) => ({
	kind,
	many: rows.length,
	worth: rows.reduce((a, r) => a + (r.worth ?? 0), 0),
	low: rows.filter((r) => r.isLow).length
});

/** The rows of a view in its order, kind by kind under their heads where it asks for that. @param closed kinds that are folded */
export function tableItems<R extends TableRow>(
	rows: readonly R[],
	view: StockView,
	closed: ReadonlySet<MaterialKind> = new Set()
): readonly TableItem<R>[] {
	const asked = askedRows(rows, view);
	if (!view.grouped && !view.sort) return asked.map((row) => ({ row }));
	const table = createTable<TableRow>({
		data: asked as unknown as TableRow[],
		columns: COLUMNS,
		state: {
			sorting: view.sort ? [{ id: view.sort.by, desc: view.sort.down }] : [],
			grouping: view.grouped ? ['kind'] : [],
			columnPinning: {},
			columnOrder: [],
			expanded: true
		},
		enableSortingRemoval: true,
		onStateChange: () => {},
		renderFallbackValue: null,
		getCoreRowModel: getCoreRowModel(),
		getGroupedRowModel: getGroupedRowModel(),
		getSortedRowModel: getSortedRowModel()
	});
	const found = table.getSortedRowModel().rows;
	if (!view.grouped) return found.map(({ original }) => ({ row: original as R }));
	// Kinds stand as the trade lists them, whatever orders the rows within.
	return found
		.map((group) => ({ kind: group.original.kind, rows: group.subRows.map((r) => r.original as R) }))
		.sort((a, b) => MATERIAL_KINDS.indexOf(a.kind) - MATERIAL_KINDS.indexOf(b.kind))
		.flatMap(({ kind, rows: own }): TableItem<R>[] => [sums(kind, own), ...(closed.has(kind) ? [] : own.map((row) => ({ row })))]); // prettier-ignore
}
