import { createHash } from 'node:crypto';
import { printMoney } from '../../core/units/print-number.ts';
import type { Material } from '../../core/materials/material.ts';
import type { Bill } from '../../core/bom/bill.ts';
import { orderBill, tallyOrder } from '../../core/tally/order.ts';
import { withCounting } from '../../core/materials/counting-pack.ts';
import type { Repos } from '../repos/index.ts';
import { dayIn } from './day-in.ts';
import { itemsOf } from './jobs-ahead.ts';
import { draftSums } from './quoting.ts';
import { contextOf, loadLibrary, loadStudio, type Studio } from './studio.ts';

/** A design whose cost a change moves by so much, minor units; null where not all that it costs is known before or after. */
export interface MovedDesign {
	readonly name: string;
	readonly by: number | null;
}

/** What a change of a material would do to what is not sent yet. Minor units. */
export interface StockEffect {
	/** Designs whose cost it moves, the one it moves most first. */
	readonly designs: readonly MovedDesign[];
	/** Drafts of quotes whose price it moves. */
	readonly drafts: number;
}

/**
 * What it would do to put these in the place of materials: every kept design and every draft is worked out both ways,
 * those they are not in once.
 * @param changed materials as they would be; one that is not there yet is new
 */
export async function stockEffect(
	repos: Repos,
	{ changed }: { changed: readonly Material[] }
): Promise<StockEffect> {
	const before = await loadStudio(repos);
	const today = dayIn(before.settings.zone);
	const own = new Map(withCounting(changed, before.settings.rates.packPrice, today).map((m) => [m.id, m]));
	const after: Studio = { ...before, materials: putIn(before.materials, own) };
	const known = new Map(before.materials.map((m) => [m.id, m]));
	const foundAnew = [...own.values()].some((m) => !isFoundAs(known.get(m.id), m));
	const designs: MovedDesign[] = [];
	const shelf = await repos.designs.shelf();
	const kept = shelf.flatMap((r) => (r.versionId === null ? [] : [r.id]));
	for (let at = 0; at < kept.length; at += 50)
		for (const { recipe } of await repos.designs.lastKeptOf(kept.slice(at, at + 50))) {
			const library = await loadLibrary(repos, recipe);
			// What it costs alone: no picture of it is worked out.
			const worked = (studio: Studio) =>
				tallyOrder([{ recipe, colourway: null, quantity: 1 }], contextOf(studio, library));
			const now = worked(before);
			if (!foundAnew && !isIn(now.bill, own)) continue;
			const then = worked(after);
			if (!isIn(now.bill, own) && !isIn(then.bill, own)) continue;
			const by = then.cost.total.known.minor - now.cost.total.known.minor;
			const unsure = then.cost.total.unknown.length !== now.cost.total.unknown.length;
			if (by !== 0 || unsure) designs.push({ name: recipe.name, by: unsure ? null : by });
		}
	return {
		designs: largestFirst(designs),
		drafts: await draftsMoved(repos, { before, after }, foundAnew ? undefined : own)
	};
}

/** What is not known stands first, then what moves most, whichever way. */
export const largestFirst = (designs: readonly MovedDesign[]): MovedDesign[] =>
	designs.toSorted((a, b) =>
		a.by === null || b.by === null
			? Number(a.by !== null) - Number(b.by !== null)
			: Math.abs(b.by) - Math.abs(a.by)
	);

/** Materials with others in their places, and those that are new behind them. */
function putIn(materials: readonly Material[], own: ReadonlyMap<string, Material>): readonly Material[] {
	const there = new Set(materials.map((m) => m.id));
	return [...materials.map((m) => own.get(m.id) ?? m), ...[...own.values()].filter((m) => !there.has(m.id))];
}

/** Whether designs find it by the same as before: then a design it was not in has no use for it now either. */
const isFoundAs = (was: Material | undefined, is: Material): boolean =>
	was !== undefined && FOUND_BY.every((by) => JSON.stringify(was[by]) === JSON.stringify(is[by]));
const FOUND_BY = ['kind', 'nominal', 'colour', 'mark', 'outline', 'facts', 'retired', 'into', 'unit', 'safe', 'reuse'] as const; // prettier-ignore

const isIn = ({ lines }: Bill, own: ReadonlyMap<string, Material>): boolean =>
	lines.some((l) => l.material && own.has(l.material.id));

/** Drafts whose price is another with this Stockroom. @param own looked at are those these are in; nothing is all */
async function draftsMoved(repos: Repos, { before, after }: { readonly before: Studio; readonly after: Studio }, own: ReadonlyMap<string, Material> | undefined): Promise<number> {
	const today = dayIn(after.settings.zone);
	const ids: string[] = [];
	for (let page = 1, pages = 1; page <= pages; page++) {
		const found = await repos.quoteList.page({ page, today, state: 'draft' });
		ids.push(...found.rows.filter((r) => r.lineCount > 0).map((r) => r.id));
		pages = found.pages;
	}
	const near: string[] = [];
	for (const id of ids) {
		const quote = own && (await itemsOf(repos, id, before));
		const takes = !quote || isIn(orderBill(quote.items, quote.context), own) || quote.typed.some((t) => t.material !== null && own.has(t.material));
		if (takes) near.push(id);
	}
	if (near.length === 0) return 0;
	const [now, then] = [await draftSums(repos, near), await draftSums(repos, near, after)];
	return near.filter((id) => now[id] !== then[id]).length;
} // prettier-ignore

/** What it would do, in a sentence; blank where it moves nothing. @param money an amount as it is printed here */
export function effectWords({ designs, drafts }: StockEffect, money: (minor: number) => string): string {
	if (designs.length === 0 && drafts === 0) return '';
	const [most] = designs;
	const what = [
		designs.length > 0 ? `${designs.length} ${designs.length === 1 ? 'design' : 'designs'}` : '',
		drafts > 0 ? `${drafts} ${drafts === 1 ? 'draft' : 'drafts'}` : ''
	].filter(Boolean);
	const largest =
		most === undefined
			? ''
			: most.by === null
				? `; of ${most.name} not all that it costs is known then`
				: `; the largest by ${most.by > 0 ? '+' : '−'}${money(Math.abs(most.by))}, ${most.name}`;
	return `This moves ${what.join(' and ')}${largest}.`;
}

/** Designs that are named one by one. */
const MOST_NAMED = 40;

/** What it moves, design by design. @param money an amount as it is printed here */
export const effectLines = ({ designs }: StockEffect, money: (minor: number) => string): string[] =>
	designs.slice(0, MOST_NAMED).map(({ name, by }) => `${name}: ${by === null ? 'not all that it costs is known then' : `${by > 0 ? '+' : '−'}${money(Math.abs(by))}`}`); // prettier-ignore

/** What is asked before a change is saved; nothing is asked where it is blank. */
export interface Asked {
	readonly say: string;
	/** What was asked about: meant only where the same is sent again. */
	readonly about: string;
	/** What it moves, one by one. */
	readonly lines?: readonly string[];
}
export const NOTHING_ASKED: Asked = { say: '', about: '' };

type EffectPort = (job: 'stock effect', input: { changed: readonly Material[] }) => Promise<StockEffect>;

/**
 * Says what a change would move before it is saved. It is not asked again where it was and the very same is sent as meant.
 * @param typed the form as it was sent; `meant` holds what was asked about
 */
export async function askFirst(work: EffectPort, studio: Studio, changed: Material, { meant, ...typed }: Readonly<Record<string, string>>): Promise<Asked> {
	const about = createHash('sha256').update(JSON.stringify(Object.entries(typed).sort())).digest('hex').slice(0, 24);
	if (meant === about) return NOTHING_ASKED;
	const style = { decimal: studio.settings.decimal };
	const money = (minor: number) => printMoney(minor, style);
	const effect = await work('stock effect', { changed: [changed] });
	return { say: effectWords(effect, money), about, lines: effectLines(effect, money) };
} // prettier-ignore
