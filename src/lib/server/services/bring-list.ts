import { createHash } from 'node:crypto';
import type { Material, Pack } from '../../core/materials/material.ts';
import {
	countStates,
	planList,
	type ListChoices,
	type RowOutcome,
	type RowState
} from '../../core/price-list/plan-list.ts';
import { readTable } from '../../core/price-list/table.ts';
import { savedColumns, type SavedColumns } from '../../core/price-list/columns.ts';
import type { Repos } from '../repos/index.ts';
import { stockEffect, type StockEffect } from './stock-effect.ts';
import { loadStudio } from './studio.ts';

/** A list as it is brought in: its text, which column is what, and what is to be taken of it. */
export interface SentList {
	readonly text: string;
	readonly choices: ListChoices;
	/** The supplier's id; null is a new one. */
	readonly supplier: string | null;
	/** What a new supplier is called. */
	readonly named?: string;
	/** New materials are taken too. */
	readonly takeNew: boolean;
	/** What was asked about, where it is meant. */
	readonly meant?: string;
}
/** What would come of a list. */
export type PlannedList =
	| { readonly trouble: string }
	| {
			/** How many rows do something. */
			readonly many: number;
			/** Those rows, where the very list that was asked about is meant; before that they stay where they were worked out. */
			readonly rows: readonly RowOutcome[] | null;
			/** What is asked about: this list against the Stockroom as it is. */
			readonly about: string;
			readonly counts: Readonly<Record<RowState, number>>;
			readonly columns: SavedColumns;
			readonly effect: StockEffect;
	  };

/** Reads a list against the Stockroom as it is now, and says what it would do. Nothing is written. */
export async function planBroughtList(
	repos: Repos,
	{ text, choices, supplier, takeNew, named = '', meant }: SentList
): Promise<PlannedList> {
	const table = readTable(text);
	if (!table.ok) return { trouble: table.say };
	const studio = await loadStudio(repos);
	const outcomes = planList(table.value, choices, { ...studio, supplier });
	const rows = outcomes.filter(
		(o) => o.state === 'changes' || o.state === 'another' || (takeNew && o.state === 'new')
	);
	const about = createHash('sha256')
		.update(JSON.stringify([rows, supplier ?? named]))
		.digest('hex')
		.slice(0, 24);
	return {
		many: rows.length,
		about,
		rows: meant === about ? rows : null,
		counts: countStates(outcomes),
		columns: savedColumns(table.value.head, choices.columns),
		effect:
			meant === about
				? { designs: [], drafts: 0 }
				: await stockEffect(repos, { changed: materialsAfter(studio.materials, rows, supplier ?? 'new') })
	};
}

/** Materials as the rows of a list would leave them: those that are known with their packs, and those that are new. */
export function materialsAfter(materials: readonly Material[], rows: readonly RowOutcome[], supplier: string): Material[] {
	const packs = new Map<string, RowOutcome[]>();
	const fresh: Material[] = [];
	const packOf = ({ line, then }: RowOutcome): Pack => ({ ...then!, id: `list.${line}-pack`, supplier: '', supplierId: supplier });
	for (const row of rows)
		if (row.fresh) fresh.push({ ...row.fresh, id: `list.${row.line}`, packs: [packOf(row)] });
		else if (row.material) packs.set(row.material, [...(packs.get(row.material) ?? []), row]);
	const changed = materials.flatMap((m) => {
		const own = packs.get(m.id);
		if (!own) return [];
		const then = new Map(own.flatMap((o) => (o.pack && o.then ? [[o.pack.id, o.then] as const] : [])));
		return [{ ...m, packs: [...m.packs.map((p) => ({ ...p, ...then.get(p.id) })), ...own.filter((o) => !o.pack).map(packOf)] }];
	});
	return [...changed, ...fresh];
} // prettier-ignore
