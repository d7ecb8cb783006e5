import type { Colour, Material } from '../materials/material.ts';
import type { Id } from '../document/id.ts';
import type { Recipe } from '../recipe/recipe.ts';
import type { Bundle, FiledMaterial } from './bundle.ts';
import { namesIn, remap, type Renames } from './remap.ts';

/** What a workspace has already. */
export interface Here {
	readonly colours: readonly Colour[];
	readonly materials: readonly Pick<Material, 'id' | 'name' | 'kind'>[];
	/** Designs by their ids, with a mark of what their working copy says. */
	readonly designs: ReadonlyMap<Id, { readonly name: string; readonly mark: string }>;
}

export interface Incoming {
	/** Its id in the file, and the one it gets here. */
	readonly from: Id;
	readonly id: Id;
	readonly name: string;
	/** `same`: it is here already, as it is; `copy`: another with its id is here, which stays. */
	readonly what: 'new' | 'same' | 'copy' | 'refused';
	/** Why it is refused. */
	readonly say: string;
	/** Materials and designs it names that are neither in the file nor here. */
	readonly unknown: number;
	readonly recipe: Recipe;
}

/** What an import would do: nothing is done yet. */
export interface ImportPlan {
	readonly designs: readonly Incoming[];
	readonly colours: { readonly matched: number; readonly created: readonly Colour[] };
	readonly materials: { readonly matched: number; readonly created: readonly FiledMaterial[] };
}

/** An assorted bag names its colours by the ids they have here. */
const ofHere = (colour: Colour, ids: ReadonlyMap<Id, Id>): Colour =>
	colour.of
		? { ...colour, of: colour.of.map((p) => ({ ...p, colour: ids.get(p.colour) ?? p.colour })) }
		: colour;

/** What two recipes are compared by: a short mark of all they say, whatever version of it a part was counted with. */
export const markOf = (recipe: Recipe): string => hash(JSON.stringify(sorted(plain(recipe))));

/** Two 32-bit multiplicative hashes side by side: not against malice, only to tell two recipes apart. */
function hash(text: string): string {
	let [a, b] = [0xdeadbeef, 0x41c6ce57];
	for (let i = 0; i < text.length; i++) {
		const code = text.charCodeAt(i);
		a = Math.imul(a ^ code, 2654435761);
		b = Math.imul(b ^ code, 1597334677);
	}
	const mixed = (h: number, other: number) =>
		Math.imul(h ^ (h >>> 16), 2246822507) ^ Math.imul(other ^ (other >>> 13), 3266489909);
	return [mixed(a, b) >>> 0, mixed(b, a) >>> 0, text.length].map((n) => n.toString(36)).join('-');
}

const plain = (recipe: Recipe): Recipe =>
	remap(recipe, { colours: new Map(), materials: new Map(), designs: new Map() });
function sorted(value: unknown): unknown {
	if (Array.isArray(value)) return value.map(sorted);
	if (typeof value !== 'object' || value === null) return value;
	return Object.fromEntries(
		Object.entries(value)
			.sort(([a], [b]) => (a < b ? -1 : 1))
			.map(([k, v]) => [k, sorted(v)])
	);
}

/**
 * Works out what a file brings: colours and materials are matched by id, then by name; designs that say the same are
 * left alone, others whose id is taken come as copies; one that in the end contains itself is refused with its path.
 *
 * @param newId makes ids for what comes under another
 */
export function planImport(bundle: Bundle, here: Here, newId: () => string): ImportPlan {
	const colours = match(bundle.colours, here.colours, (c) => `${c.name.toLowerCase()}/${c.finish}`, newId);
	const filed = bundle.materials.map((m) => ({
		...m,
		colour: m.colour === null ? null : (colours.ids.get(m.colour) ?? m.colour)
	}));
	const materials = match(filed, here.materials, (m) => m.name.toLowerCase(), newId);
	const cycles = cyclesIn(bundle);
	const renames = { colours: colours.ids, materials: materials.ids, designs: new Map<Id, Id>() };
	const known = {
		materials: new Set([...here.materials.map((m) => m.id), ...materials.created.map((m) => m.id)]),
		designs: new Set([...here.designs.keys(), ...bundle.designs.map((d) => d.id)])
	};
	const what = new Map<Id, Incoming['what']>();
	for (const { id, recipe } of bundle.designs) {
		const own = here.designs.get(id);
		if (cycles.has(id)) what.set(id, 'refused');
		else if (!own) what.set(id, 'new');
		else if (own.mark === markOf(remap(recipe, renames))) what.set(id, 'same');
		else {
			what.set(id, 'copy');
			renames.designs.set(id, newId());
		}
	}
	copyUsers(bundle, what, renames, newId);
	return {
		designs: bundle.designs.map(({ id, recipe }): Incoming => {
			const named = namesIn(recipe);
			const lost = [...named.materials].filter((m) => !known.materials.has(materials.ids.get(m) ?? m)).length;
			const gone = [...named.designs].filter((d) => !known.designs.has(d)).length;
			const kind = what.get(id)!;
			const copied = remap(recipe, renames);
			return {
				from: id,
				id: renames.designs.get(id) ?? id,
				name: recipe.name,
				what: kind,
				say: cycles.get(id) ?? '',
				unknown: lost + gone,
				recipe: kind === 'copy' ? { ...copied, name: `${recipe.name}, brought`.slice(0, 80) } : copied
			};
		}),
		colours: { matched: colours.matched, created: colours.created.map((c) => ofHere(c, colours.ids)) },
		materials: { matched: materials.matched, created: materials.created }
	};
}

/** A design that is here and the same, but uses one that comes as a copy, comes as a copy too: it would show another. */
function copyUsers(
	bundle: Bundle,
	what: Map<Id, Incoming['what']>,
	renames: Renames & { designs: Map<Id, Id> },
	newId: () => string
) {
	for (let again = true; again;) {
		again = false;
		for (const { id, recipe } of bundle.designs) {
			if (what.get(id) !== 'same') continue;
			if (![...namesIn(recipe).designs].some((d) => what.get(d) === 'copy')) continue;
			what.set(id, 'copy');
			renames.designs.set(id, newId());
			again = true;
		}
	}
}

/** Ids of what is here for ids of the file; what is not here is to be created, under an id that is free. */
function match<T extends { readonly id: Id }, H extends { readonly id: Id }>(
	filed: readonly T[],
	here: readonly H[],
	nameOf: (thing: T | H) => string,
	newId: () => string
): { ids: ReadonlyMap<Id, Id>; created: T[]; matched: number } {
	const byId = new Map(here.map((h) => [h.id, h]));
	const byName = new Map(here.map((h) => [nameOf(h), h]));
	const ids = new Map<Id, Id>();
	const created: T[] = [];
	for (const thing of filed) {
		const own = byId.get(thing.id);
		const named = byName.get(nameOf(thing));
		const found = own && nameOf(own) === nameOf(thing) ? own : named;
		if (found) ids.set(thing.id, found.id);
		else {
			const id = own ? newId() : thing.id;
			ids.set(thing.id, id);
			created.push({ ...thing, id });
		}
	}
	return { ids, created, matched: filed.length - created.length };
}

/** Designs of a file that contain themselves, with the way it goes. */
function cyclesIn({ designs }: Bundle): ReadonlyMap<Id, string> {
	const uses = new Map(designs.map(({ id, recipe }) => [id, [...namesIn(recipe).designs]]));
	const nameOf = new Map(designs.map(({ id, recipe }) => [id, recipe.name]));
	const found = new Map<Id, string>();
	const done = new Set<Id>();
	for (const { id: start } of designs) {
		// Depth first with a stack of its own: a file may nest thousands deep.
		const path: { id: Id; next: number }[] = [{ id: start, next: 0 }];
		const on = new Set([start]);
		while (path.length > 0 && !done.has(start)) {
			const top = path.at(-1)!;
			const used = uses.get(top.id)?.[top.next++];
			if (used === undefined) {
				done.add(top.id);
				on.delete(top.id);
				path.pop();
			} else if (on.has(used)) {
				const way = path.slice(path.findIndex((p) => p.id === used)).map((p) => p.id);
				const words = [...way, used].map((id) => nameOf.get(id) ?? id).join(' > ');
				for (const id of way) found.set(id, `It contains itself: ${words}.`);
			} else if (!done.has(used) && uses.has(used)) {
				on.add(used);
				path.push({ id: used, next: 0 });
			}
		}
	}
	return found;
}
