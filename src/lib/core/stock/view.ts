import { MATERIAL_KINDS, type MaterialKind } from '../materials/material.ts';

/** Columns of the Stockroom that can be left out; the name always stands. */
export const STOCK_COLUMNS = ['kind', 'bag', 'loss', 'onHand', 'onOrder', 'worth', 'supplier', 'pack', 'price', 'each'] as const; // prettier-ignore
export type StockColumn = (typeof STOCK_COLUMNS)[number];
/** Columns rows can be put in order by. */
export const SORTED_BY = ['name', ...STOCK_COLUMNS] as const;
export type SortedBy = (typeof SORTED_BY)[number];

/** Shown where nothing is said. */
const USUAL: readonly StockColumn[] = ['kind', 'bag', 'loss', 'onHand', 'supplier', 'pack', 'price', 'each'];

/** A way to look at the Stockroom. */
export interface StockView {
	readonly search: string;
	readonly kind: MaterialKind | null;
	/** A supplier's id; null is all. */
	readonly supplier: string | null;
	/** Only what is to be ordered again. */
	readonly low: boolean;
	/** What is not offered any more stands too. */
	readonly retired: boolean;
	readonly sort: { readonly by: SortedBy; readonly down: boolean } | null;
	/** Kind by kind, with sums. */
	readonly grouped: boolean;
	readonly columns: readonly StockColumn[];
}

export const USUAL_VIEW: StockView = {
	search: '',
	kind: null,
	supplier: null,
	low: false,
	retired: true,
	sort: null,
	grouped: false,
	columns: USUAL
};

/** Longest text that is looked for. */
export const MOST_SEARCHED = 60;

/** A view out of the query of an address; what it does not say or says wrong is as usual. */
export function readView(query: URLSearchParams): StockView {
	const kind = query.get('kind');
	const [, by, way] = /^(\w+?)(?:\.(down))?$/.exec(query.get('sort') ?? '') ?? [];
	const cols = query.get('columns')?.split(' ');
	return {
		search: (query.get('search') ?? '').slice(0, MOST_SEARCHED).trim(),
		kind: MATERIAL_KINDS.find((k) => k === kind) ?? null,
		supplier: query.get('supplier')?.slice(0, 64) || null,
		low: query.get('low') === '1',
		retired: query.get('retired') !== '0',
		sort: SORTED_BY.some((s) => s === by) ? { by: by as SortedBy, down: way === 'down' } : null,
		grouped: query.get('by') === 'kind',
		columns: cols ? STOCK_COLUMNS.filter((c) => cols.includes(c)) : USUAL
	};
}

/** The query of a view: what is as usual is not said. */
export function printView(view: StockView): string {
	const query = new URLSearchParams();
	if (view.search) query.set('search', view.search);
	if (view.kind) query.set('kind', view.kind);
	if (view.supplier) query.set('supplier', view.supplier);
	if (view.low) query.set('low', '1');
	if (!view.retired) query.set('retired', '0');
	if (view.sort) query.set('sort', `${view.sort.by}${view.sort.down ? '.down' : ''}`);
	if (view.grouped) query.set('by', 'kind');
	if (view.columns.join(' ') !== USUAL.join(' ')) query.set('columns', view.columns.join(' '));
	return query.toString();
}
