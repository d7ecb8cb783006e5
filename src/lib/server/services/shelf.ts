import type { Amount } from '../../core/cost/amount.ts';
import type { Money } from '../../core/money/money.ts';
import { stackIn } from '../../core/recipe/edit.ts';
import type { Recipe } from '../../core/recipe/recipe.ts';
import { drawStack, type DrawList } from '../../core/scene/draw-list.ts';
import { tally } from '../../core/tally/tally.ts';
import type { Repos } from '../repos/index.ts';
import { contextOf, loadLibrary, loadStudio } from './studio.ts';

/** One design on the Shelf, as its last kept version (its working copy where it was never kept). */
export interface ShelfItem {
	readonly id: string;
	readonly name: string;
	readonly tags: readonly string[];
	readonly keptNumber: number;
	readonly ahead: boolean;
	readonly picture: DrawList | null;
	readonly cost: Amount;
	/** Undefined where no price can be worked out. */
	readonly price: Money | undefined;
	readonly margin: number | undefined;
	readonly seconds: number;
	readonly balloons: number;
}

export const SHELF_SORTS = ['changed', 'name', 'price', 'margin', 'time'] as const;
export type ShelfSort = (typeof SHELF_SORTS)[number];
export const SHELF_PAGE = 24;

/** What was worked out, by version and stock: a kept version never changes, so neither does this. Bounded. */
const worked = new Map<string, ShelfItem>();
const MOST_WORKED = 4000;

export async function shelf(
	repos: Repos,
	query: { search: string; tag: string; sort: ShelfSort; page: number }
) {
	const [studio, rows] = await Promise.all([loadStudio(repos), repos.designs.shelf()]);
	const context = contextOf(studio);
	const items: ShelfItem[] = [];
	for (const row of rows) {
		const key = `${row.id}/${row.versionId}/${studio.stamp}`;
		let item = row.versionId === null ? undefined : worked.get(key);
		if (!item) {
			const recipe =
				row.versionId === null
					? (await repos.designs.find(row.id))?.recipe
					: (await repos.designs.version(row.versionId))?.recipe;
			if (!recipe) continue;
			const library = await loadLibrary(repos, recipe);
			item = workOut(row, recipe, { ...context, library: (id) => library.get(id) });
			if (worked.size >= MOST_WORKED) worked.clear();
			if (row.versionId !== null) worked.set(key, item);
		}
		items.push({ ...item, ahead: row.ahead });
	}
	const tags = [...new Set(items.flatMap((i) => i.tags))].sort();
	const found = items.filter(
		(i) => matches(i, query.search) && (query.tag === '' || i.tags.includes(query.tag))
	);
	const sorted = sort(found, query.sort);
	const pages = Math.max(1, Math.ceil(sorted.length / SHELF_PAGE));
	const page = Math.min(pages, Math.max(1, query.page));
	return {
		items: sorted.slice((page - 1) * SHELF_PAGE, page * SHELF_PAGE),
		found: sorted.length,
		all: items.length,
		page,
		pages,
		tags
	};
}

const matches = (item: ShelfItem, search: string): boolean => {
	const text = `${item.name} ${item.tags.join(' ')}`.toLowerCase();
	return search
		.toLowerCase()
		.split(/\s+/)
		.every((word) => text.includes(word));
};

function sort(items: ShelfItem[], by: ShelfSort): ShelfItem[] {
	const unknownLast = (value: number | undefined) => value ?? -Infinity;
	switch (by) {
		case 'changed':
			return items;
		case 'name':
			return [...items].sort((a, b) => a.name.localeCompare(b.name));
		case 'price':
			return [...items].sort((a, b) => unknownLast(b.price?.minor) - unknownLast(a.price?.minor));
		case 'margin':
			return [...items].sort((a, b) => unknownLast(b.margin) - unknownLast(a.margin));
		case 'time':
			return [...items].sort((a, b) => a.seconds - b.seconds);
	}
}

function workOut(
	row: { id: string; keptNumber: number; ahead: boolean },
	recipe: Recipe,
	context: Parameters<typeof tally>[3]
): ShelfItem {
	const counted = tally(recipe, null, 1, context);
	const stack = stackIn(recipe);
	const placed = counted.stacks[0]?.placed;
	const priced = counted.price.status === 'priced' ? counted.price : undefined;
	return {
		id: row.id,
		name: recipe.name,
		tags: recipe.tags,
		keptNumber: row.keptNumber,
		ahead: row.ahead,
		picture:
			stack && placed
				? drawStack(stack, placed, {
						colourway: recipe.colourways[0],
						catalogue: context.catalogue,
						view: 'front'
					})
				: null,
		cost: counted.cost.total,
		price: priced?.net,
		margin: priced?.margin,
		seconds: counted.cost.seconds.valueOf(),
		balloons: counted.bill.balloons
	};
}
