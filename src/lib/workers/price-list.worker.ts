import { decodeList, type Encoding } from '../core/price-list/decode.ts';
import { guessColumns, type Columns, type SavedColumns } from '../core/price-list/columns.ts';
import {
	countStates,
	planList,
	type ListChoices,
	type ListStock,
	type RowOutcome,
	type RowState
} from '../core/price-list/plan-list.ts';
import { readTable, type Table } from '../core/price-list/table.ts';

/** What is asked: a list to be read, a plan of it, or more rows of a plan. */
export type ListAsk =
	| {
			readonly read: ArrayBuffer | string;
			readonly encoding?: Encoding | undefined;
			readonly saved: SavedColumns;
	  }
	| { readonly plan: ListChoices; readonly stock: ListStock }
	| { readonly more: RowState; readonly from: number };

export type ListTell =
	| { readonly kind: 'trouble'; readonly say: string }
	| {
			readonly kind: 'table';
			readonly head: readonly string[];
			readonly sample: readonly (readonly string[])[];
			readonly many: number;
			readonly encoding: Encoding | null;
			readonly guess: Columns;
			/** What is sent to bring it in. */
			readonly text: string;
	  }
	| { readonly kind: 'progress'; readonly done: number; readonly of: number }
	| { readonly kind: 'plan'; readonly counts: Readonly<Record<RowState, number>> }
	| {
			readonly kind: 'rows';
			readonly state: RowState;
			readonly from: number;
			readonly rows: readonly RowOutcome[];
	  };

/** Rows that are handed over at once. */
const PAGE = 100;
/** Rows that are shown, and looked at to tell the columns. */
const SAMPLE = 5;
const LOOKED_AT = 60;

const tell = (said: ListTell) => postMessage(said);
let table: Table | undefined;
let outcomes: readonly RowOutcome[] = [];

function read(from: ArrayBuffer | string, encoding: Encoding | undefined, saved: SavedColumns) {
	const decoded =
		typeof from === 'string' ? { ok: true as const, value: { text: from, encoding: null } } : decodeList(new Uint8Array(from), encoding); // prettier-ignore
	if (!decoded.ok) return tell({ kind: 'trouble', say: decoded.say });
	const found = readTable(decoded.value.text);
	if (!found.ok) return tell({ kind: 'trouble', say: found.say });
	table = found.value;
	const cells = table.rows.slice(0, LOOKED_AT).map((r) => r.cells);
	tell({
		kind: 'table',
		head: table.head,
		sample: cells.slice(0, SAMPLE),
		many: table.rows.length,
		guess: guessColumns(table.head, cells, saved),
		...decoded.value
	});
}

addEventListener('message', ({ data: ask }: MessageEvent<ListAsk>) => {
	if ('read' in ask) return read(ask.read, ask.encoding, ask.saved);
	if ('plan' in ask) {
		const of = table?.rows.length ?? 0;
		outcomes = table ? planList(table, ask.plan, ask.stock, (done) => tell({ kind: 'progress', done, of })) : []; // prettier-ignore
		return tell({ kind: 'plan', counts: countStates(outcomes) });
	}
	const { more: state, from } = ask;
	tell({ kind: 'rows', state, from, rows: outcomes.filter((o) => o.state === state).slice(from, from + PAGE) }); // prettier-ignore
});
