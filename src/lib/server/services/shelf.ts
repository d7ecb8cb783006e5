import { isBare } from '../../core/structures/assemble.ts';
import type { Amount } from '../../core/cost/amount.ts';
import type { Money } from '../../core/money/money.ts';
import { drawAssembly } from '../../core/scene/draw-list.ts';
import { boxHeight, svgOf } from '../../core/scene/svg.ts';
import { tally } from '../../core/tally/tally.ts';
import type { Repos } from '../repos/index.ts';
import { contextOf, loadLibrary, loadStudio, type Studio } from './studio.ts';

/** One design on the Shelf, as its last kept version (its working copy where it was never kept). */
export interface ShelfItem {
	readonly id: string;
	readonly name: string;
	readonly tags: readonly string[];
	readonly keptNumber: number;
	readonly ahead: boolean;
	/** Where its picture is: an address that changes with what it shows. */
	readonly picture: Picture | null;
	/** Photo that stands for it. */
	readonly cover: string | null;
	readonly cost: Amount;
	/** Undefined where no price can be worked out. */
	readonly price: Money | undefined;
	readonly margin: number | undefined;
	readonly seconds: number;
	readonly balloons: number;
}

/** How large a picture is, mm, so that all can stand at one scale before they are there. */
export interface Picture {
	readonly src: string;
	readonly height: number;
	readonly width: number;
}

export const SHELF_SORTS = ['changed', 'name', 'price', 'margin', 'time'] as const;
export type ShelfSort = (typeof SHELF_SORTS)[number];
export const SHELF_PAGE = 24;

type Row = Awaited<ReturnType<Repos['designs']['shelf']>>[number];

export async function shelf(
	repos: Repos,
	query: { search: string; tag: string; sort: ShelfSort; page: number }
) {
	const { studio, rows, stampOf } = await shelfRows(repos);
	const items: ShelfItem[] = [];
	for (const row of rows) {
		const found = await worked(repos, studio, { row, stamp: stampOf(row) });
		if (found) items.push({ ...found.item, ahead: row.ahead });
	}
	const tags = [...new Set(items.flatMap((i) => i.tags))].sort();
	const found = items.filter(
		(i) => matches(i, query.search) && (query.tag === '' || i.tags.includes(query.tag))
	);
	const sorted = sort(found, query.sort);
	const pages = Math.max(1, Math.ceil(sorted.length / SHELF_PAGE));
	const page = Math.min(pages, Math.max(1, query.page));
	return {
		items: await withCovers(repos, sorted.slice((page - 1) * SHELF_PAGE, page * SHELF_PAGE)),
		found: sorted.length,
		all: items.length,
		page,
		pages,
		tags
	};
}

async function withCovers(repos: Repos, items: readonly ShelfItem[]): Promise<ShelfItem[]> {
	const covers = await repos.photos.covers(items.map((i) => i.id));
	return items.map((item) => ({ ...item, cover: covers.get(item.id)?.id ?? null }));
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

/** Every row, with the stamp that what is worked out of it hangs on: its own version and those of all designs inside it. */
async function shelfRows(repos: Repos) {
	const [studio, rows, pairs] = await Promise.all([
		loadStudio(repos),
		repos.designs.shelf(),
		repos.designs.uses()
	]);
	const versions = new Map(rows.map((r) => [r.id, r.versionId]));
	const used = new Map<string, string[]>();
	for (const pair of pairs) used.set(pair.user, [...(used.get(pair.user) ?? []), pair.used]);
	const stampOf = (row: Row): string => {
		const inside = new Set<string>();
		const wanted = [...(used.get(row.id) ?? [])];
		for (let id = wanted.pop(); id !== undefined; id = wanted.pop()) {
			if (inside.has(id)) continue;
			inside.add(id);
			wanted.push(...(used.get(id) ?? []));
		}
		const own = row.versionId ?? `${row.id}~${row.revision}`;
		return [own, ...[...inside].sort().map((id) => versions.get(id)), studio.stamp].join('/');
	};
	return { studio, rows, stampOf };
}

/** One design worked out: a kept version never changes, so until stock or settings do it is worked out once. */
function worked(repos: Repos, studio: Studio, { row, stamp }: { row: Row; stamp: string }) {
	return repos.memo.take(`shelf/${row.id}`, stamp, async () => {
		const { designs } = repos;
		const source = row.versionId === null ? await designs.find(row.id) : await designs.version(row.versionId);
		if (!source) return undefined;
		const { recipe } = source;
		const context = contextOf(studio, await loadLibrary(repos, recipe));
		const counted = tally(recipe, null, 1, context);
		const list = !isBare(counted.assembly)
			? drawAssembly(counted.assembly, { catalogue: context.catalogue, view: 'front' })
			: null;
		const priced = counted.price.status === 'priced' ? counted.price : undefined;
		const src = `/shelf/picture/${row.id}?at=${encodeURIComponent(stamp)}`;
		const item: ShelfItem = {
			id: row.id,
			name: recipe.name,
			tags: recipe.tags,
			keptNumber: row.keptNumber,
			ahead: row.ahead,
			picture: list && { src, height: boxHeight(list), width: list.halfWidth * 2 },
			cover: null,
			cost: counted.cost.total,
			price: priced?.said,
			margin: priced?.margin,
			seconds: counted.cost.seconds.valueOf(),
			balloons: counted.bill.balloons
		};
		return { item, svg: list && svgOf(list) };
	});
}

/** The picture of one design of the Shelf as an SVG file; undefined where there is nothing to see. */
export async function shelfPicture(repos: Repos, design: string): Promise<string | undefined> {
	const { studio, rows, stampOf } = await shelfRows(repos);
	const row = rows.find((r) => r.id === design);
	const found = row && (await worked(repos, studio, { row, stamp: stampOf(row) }));
	return found?.svg ?? undefined;
}
