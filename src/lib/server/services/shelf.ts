import { isBare } from '../../core/assembly/assemble.ts';
import type { Amount } from '../../core/cost/amount.ts';
import type { Money } from '../../core/money/money.ts';
import { drawAssembly } from '../../core/scene/draw-list.ts';
import { boxHeight, svgOf } from '../../core/scene/svg.ts';
import { heightSaid, heightWords } from '../../core/tally/height.ts';
import { tally } from '../../core/tally/tally.ts';
import type { ShelfRow } from '../repos/designs.ts';
import type { Repos } from '../repos/index.ts';
import { contextOf, loadLibrary, loadStudio } from './studio.ts';

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
	/** Names of the designs it is a part of. */
	readonly partOf: readonly string[];
	/** How high it is as it is called, in words; blank where nothing is high. */
	readonly tall: string;
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

/** A design as the Shelf works it out: a kept version, or the working copy of one that was never kept. */
export interface ShelfWork {
	readonly design: string;
	readonly versionId: string | null;
	/** What the answer hangs on; it stands in the address of the picture. */
	readonly stamp: string;
}
export interface WorkedOut {
	readonly item: Omit<ShelfItem, 'keptNumber' | 'ahead' | 'cover' | 'partOf'>;
	readonly svg: string | null;
}
/** The port to what takes long, as the Shelf uses it. */
export type ShelfPort = (job: 'shelf items', rows: readonly ShelfWork[]) => Promise<(WorkedOut | null)[]>;

/** So many designs are one task: a long Shelf fills no queue, and short ones are not all message. */
const BATCH = 8;

/** Only what is shown is worked out, but for an order that hangs on figures: then all that is found. */
export async function shelf(
	repos: Repos,
	port: ShelfPort,
	query: { search: string; tag: string; sort: ShelfSort; page: number; away?: boolean }
) {
	const whole = await shelfRows(repos);
	const rows = whole.filter((r) => r.isAway === (query.away ?? false));
	const tags = [...new Set(rows.flatMap((r) => r.tags))].sort();
	const found = rows.filter(
		(r) => matches(r, query.search) && (query.tag === '' || r.tags.includes(query.tag))
	);
	const pages = Math.max(1, Math.ceil(found.length / SHELF_PAGE));
	const page = Math.min(pages, Math.max(1, query.page));
	const ofPage = <T>(all: readonly T[]) => all.slice((page - 1) * SHELF_PAGE, page * SHELF_PAGE);
	const shown = isByFigures(query.sort) ? found : ofPage(query.sort === 'name' ? byName(found) : found);
	const all = await worked(repos, port, shown);
	const made = shown.flatMap(({ keptNumber, ahead, partOf }, i): ShelfItem[] => {
		const found = all[i];
		return found ? [{ ...found.item, keptNumber, ahead, partOf, cover: null }] : [];
	});
	const items = isByFigures(query.sort) ? ofPage(sortItems(made, query.sort)) : made;
	const read = new Set(made.map((i) => i.id));
	return {
		items: await withCovers(repos, items),
		/** Names of those that cannot be read any more. */
		damaged: shown.filter((r) => !read.has(r.id)).map((r) => r.name),
		found: found.length,
		all: rows.length,
		away: whole.filter((r) => r.isAway).length,
		page,
		pages,
		tags
	};
}

async function withCovers(repos: Repos, items: readonly ShelfItem[]): Promise<ShelfItem[]> {
	const covers = await repos.photos.covers(items.map((i) => i.id));
	return items.map((item) => ({ ...item, cover: covers.get(item.id)?.id ?? null }));
}

interface Named {
	readonly name: string;
	readonly tags: readonly string[];
}

const matches = (item: Named, search: string): boolean => {
	const text = `${item.name} ${item.tags.join(' ')}`.toLowerCase();
	return search
		.toLowerCase()
		.split(/\s+/)
		.every((word) => text.includes(word));
};

const byName = <T extends Named>(rows: readonly T[]): T[] =>
	[...rows].sort((a, b) => a.name.localeCompare(b.name));

type ByFigures = Exclude<ShelfSort, 'changed' | 'name'>;
const isByFigures = (sort: ShelfSort): sort is ByFigures => sort !== 'changed' && sort !== 'name';

function sortItems(items: readonly ShelfItem[], by: ByFigures): ShelfItem[] {
	const unknownLast = (value: number | undefined) => value ?? -Infinity;
	switch (by) {
		case 'price':
			return [...items].sort((a, b) => unknownLast(b.price?.minor) - unknownLast(a.price?.minor));
		case 'margin':
			return [...items].sort((a, b) => unknownLast(b.margin) - unknownLast(a.margin));
		case 'time':
			return [...items].sort((a, b) => a.seconds - b.seconds);
	}
}

type Row = Awaited<ReturnType<Repos['designs']['shelf']>>[number] &
	Named & { readonly stamp: string; readonly partOf: readonly string[] };

/** Every row, with the stamp that what is worked out of it hangs on: its own version and those of all designs inside it. */
async function shelfRows(repos: Repos): Promise<Row[]> {
	const [stock, rows, pairs] = await Promise.all([
		repos.workspaces.stamp(),
		repos.designs.shelf(),
		repos.designs.uses()
	]);
	const words = await repos.designs.words(rows);
	const versions = new Map(rows.map((r) => [r.id, r.versionId]));
	const used = new Map<string, string[]>();
	for (const pair of pairs) used.set(pair.user, [...(used.get(pair.user) ?? []), pair.used]);
	const stampOf = (row: ShelfRow): string => {
		const inside = new Set<string>();
		const wanted = [...(used.get(row.id) ?? [])];
		for (let id = wanted.pop(); id !== undefined; id = wanted.pop()) {
			if (inside.has(id)) continue;
			inside.add(id);
			wanted.push(...(used.get(id) ?? []));
		}
		const own = row.versionId ?? `${row.id}~${row.revision}`;
		return [own, ...[...inside].sort().map((id) => versions.get(id)), stock].join('/');
	};
	const names = new Map(rows.map((row, i) => [row.id, words[i]!.name]));
	const users = new Map<string, string[]>();
	for (const { user, used: part } of pairs)
		users.set(part, [...(users.get(part) ?? []), ...(names.has(user) ? [names.get(user)!] : [])]);
	return rows.map((row, i) => ({
		...row,
		...words[i]!,
		stamp: stampOf(row),
		partOf: [...new Set(users.get(row.id) ?? [])].sort()
	}));
}

const nameOf = ({ id }: { readonly id: string }) => `shelf/${id}`;

/** Designs worked out, in their order: a kept version never changes, so until stock or settings do it is worked out once. */
function worked({ memo }: Repos, port: ShelfPort, rows: readonly Row[]): Promise<(WorkedOut | undefined)[]> {
	const wanted = rows.map((row) => ({ row, name: nameOf(row), stamp: row.stamp }));
	return memo.takeAll(wanted, (missing) =>
		chunks(missing, BATCH).flatMap((batch) => {
			const asked = batch.map(({ row: { id, versionId, stamp } }) => ({ design: id, versionId, stamp }));
			const made = port('shelf items', asked);
			return batch.map(async (_, i) => (await made)[i] ?? undefined);
		})
	);
}

const chunks = <T>(all: readonly T[], size: number): T[][] =>
	Array.from({ length: Math.ceil(all.length / size) }, (_, i) => all.slice(i * size, (i + 1) * size));

/** Works out designs of the Shelf, on a thread; null where one cannot be read any more. */
export const shelfItems = (repos: Repos, rows: readonly ShelfWork[]): Promise<(WorkedOut | null)[]> =>
	Promise.all(rows.map((row) => shelfItem(repos, row)));

async function shelfItem(repos: Repos, row: ShelfWork): Promise<WorkedOut | null> {
	const { designs } = repos;
	const { versionId } = row;
	const source = await (versionId === null ? designs.find(row.design) : designs.version(versionId)).catch(
		// One that cannot be read any more keeps nobody from the others.
		(cause: unknown) => void console.error(cause)
	);
	if (!source) return null;
	const { recipe } = source;
	const context = contextOf(await loadStudio(repos), await loadLibrary(repos, recipe));
	const counted = tally(recipe, null, 1, context);
	const list = !isBare(counted.assembly)
		? drawAssembly(counted.assembly, { catalogue: context.catalogue, view: 'front' })
		: null;
	const priced = counted.price.status === 'priced' ? counted.price : undefined;
	const src = `/shelf/picture/${row.design}?at=${encodeURIComponent(row.stamp)}`;
	return {
		item: {
			id: row.design,
			name: recipe.name,
			tags: recipe.tags,
			tall: heightWords(heightSaid(counted, context.rates.pumps)),
			picture: list && { src, height: boxHeight(list), width: list.halfWidth * 2 },
			cost: counted.cost.total,
			price: priced?.said,
			margin: priced?.margin,
			seconds: counted.cost.seconds.valueOf(),
			balloons: counted.bill.balloons
		},
		svg: list && svgOf(list)
	};
}

/**
 * The picture of one design of the Shelf as an SVG file; undefined where there is nothing to see.
 * @param at the stamp in its address: what was made from just that is there, and nothing is asked
 */
export async function shelfPicture(
	repos: Repos,
	port: ShelfPort,
	{ design, at }: { design: string; at: string }
): Promise<string | undefined> {
	const before = await repos.memo.cached<WorkedOut | undefined>(nameOf({ id: design }), at);
	if (before) return before.svg ?? undefined;
	const row = (await shelfRows(repos)).find((r) => r.id === design);
	if (!row) return undefined;
	const [made] = await worked(repos, port, [row]);
	return made?.svg ?? undefined;
}
