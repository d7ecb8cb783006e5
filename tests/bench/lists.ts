import { guessColumns } from '../../src/lib/core/price-list/columns.ts';
import { planList } from '../../src/lib/core/price-list/plan-list.ts';
import { readTable } from '../../src/lib/core/price-list/table.ts';
import { colours, materials } from '../kit/studio.ts';
import { report } from './studio.ts';

const ROWS = 50_000;

/** A supplier's list of 50,000 rows, read and matched. */
export function lists(): boolean[] {
	const rows = Array.from({ length: ROWS }, (_, i) => `N${i},"11 in round, shade ${i} of gull white",10,${(i % 900) + 1}.50,round`); // prettier-ignore
	const from = performance.now();
	const table = readTable(['code,name,pack,price,kind', ...rows].join('\n'));
	if (!table.ok) throw new Error(table.say);
	const columns = guessColumns(table.value.head, table.value.rows.slice(0, 60).map((r) => r.cells)); // prettier-ignore
	const choices = { columns, kind: null, style: { decimal: '.' as const }, currency: 'USD' as const };
	const found = planList(table.value, choices, { materials, colours, supplier: 'quay' });
	if (found.length !== ROWS) throw new Error('rows are lost');
	return [report('a price list of 50,000 rows, read and matched', performance.now() - from, 10_000, 'ms')];
}
