import type { Money } from '../../core/money/money.ts';
import type { Recipe } from '../../core/recipe/recipe.ts';
import { tallyOrder } from '../../core/tally/order.ts';
import type { Repos } from '../repos/index.ts';
import { contextOf, loadLibrary, loadStudio } from './studio.ts';

export interface DesignName {
	readonly id: string;
	readonly name: string;
}

/** Which kept design uses which, as their last kept versions say. */
async function uses(repos: Repos): Promise<ReadonlyMap<string, string[]>> {
	const users = new Map<string, string[]>();
	for (const { user, used } of await repos.designs.uses()) {
		const list = users.get(used) ?? [];
		list.push(user);
		users.set(used, list);
	}
	return users;
}

/** Every design that holds this one, at any depth; nearest first. */
export async function usersOf(repos: Repos, id: string): Promise<string[]> {
	const users = await uses(repos);
	const found: string[] = [];
	const wanted = [...(users.get(id) ?? [])];
	for (let user = wanted.shift(); user !== undefined; user = wanted.shift()) {
		if (found.includes(user) || user === id) continue;
		found.push(user);
		wanted.push(...(users.get(user) ?? []));
	}
	return found;
}

/** Kept designs that may stand inside this one: all but itself and those that hold it. */
export async function usableIn(repos: Repos, id: string): Promise<DesignName[]> {
	const [offered, users] = await Promise.all([repos.quotes.offered(), usersOf(repos, id)]);
	return offered
		.filter(({ design }) => design !== id && !users.includes(design))
		.map(({ design, name }) => ({ id: design, name }));
}

/** A design that a change reaches, with what it cost and what it will. */
export interface Touched extends DesignName {
	readonly before: Money;
	readonly after: Money;
	readonly unknown: boolean;
}

/** What keeping this working copy changes in the designs that hold it. */
export async function touchedBy(repos: Repos, id: string, recipe: Recipe): Promise<Touched[]> {
	const studio = await loadStudio(repos);
	const touched: Touched[] = [];
	for (const user of await usersOf(repos, id)) {
		const kept = await repos.designs.lastKept(user);
		if (!kept) continue;
		const library = await loadLibrary(repos, kept.recipe);
		for (const [key, inner] of await loadLibrary(repos, recipe)) library.set(key, inner);
		const costWith = (inner: Map<string, Recipe>) =>
			tallyOrder([{ recipe: kept.recipe, colourway: null, quantity: 1 }], contextOf(studio, inner)).cost
				.total;
		const before = costWith(library);
		const after = costWith(new Map([...library, [id, recipe]]));
		const unknown = before.unknown.length + after.unknown.length > 0;
		touched.push({ id: user, name: kept.recipe.name, before: before.known, after: after.known, unknown });
	}
	return touched;
}
