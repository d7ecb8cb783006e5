import type {
	AppliedPiece,
	BunchThing,
	Id,
	PieceThing,
	Place,
	Recipe,
	Run,
	Section,
	Structure
} from '../recipe/recipe.ts';

/** New ids in place of old ones; what is not named keeps its own. */
export interface Renames {
	readonly colours: ReadonlyMap<Id, Id>;
	readonly materials: ReadonlyMap<Id, Id>;
	readonly designs: ReadonlyMap<Id, Id>;
}

/** A recipe that names other colours, materials and designs in the same places. */
export function remap(recipe: Recipe, renames: Renames): Recipe {
	const by = (map: ReadonlyMap<Id, Id>) => (id: Id) => map.get(id) ?? id;
	const [colour, material, design] = [by(renames.colours), by(renames.materials), by(renames.designs)];
	const maybe = <T extends Id | null>(id: T): T => (id === null ? id : (material(id) as T));
	const parts = new Set(recipe.sections.flatMap((s) => (s.structure.kind === 'design' ? [s.id] : [])));
	const place = <P extends Place>(p: P): P => ({ ...p, material: maybe(p.material) });
	const thing = <T extends BunchThing | PieceThing>(what: T): T => {
		if (what.kind === 'balloon') return { ...what, balloon: place(what.balloon) };
		return what.kind === 'material' ? { ...what, material: maybe(what.material) } : what;
	};
	const hung = (h: Run['hung']): Run['hung'] => h && { ...h, material: maybe(h.material) };
	const piece = (p: AppliedPiece): AppliedPiece => ({ ...p, what: thing(p.what) });
	const structure = (s: Structure): Structure => {
		switch (s.kind) {
			case 'stack':
				return {
					...s,
					upright: { ...s.upright, material: maybe(s.upright.material) },
					layers: s.layers.map((l) => ({
						...l,
						clusters: l.clusters.map((c) => ({ ...c, places: c.places.map(place) }))
					}))
				};
			case 'applied':
				return { ...s, pieces: s.pieces.map(piece) };
			case 'bunch':
				return {
					...s,
					items: s.items.map((i) => ({
						...i,
						what: thing(i.what),
						ribbon: i.ribbon && { ...i.ribbon, material: maybe(i.ribbon.material) }
					})),
					weight:
						s.weight === null
							? null
							: s.weight.kind === 'balloon'
								? { ...s.weight, balloon: place(s.weight.balloon) }
								: { ...s.weight, material: maybe(s.weight.material) }
				};
			case 'form':
				return s;
			case 'run':
				return {
					...s,
					rows: s.rows.map((r) => ({ ...r, cluster: { ...r.cluster, places: r.cluster.places.map(place) } })),
					corner: s.corner && place(s.corner),
					spine: s.spine && { ...s.spine, material: maybe(s.spine.material) },
					hung: hung(s.hung)
				};
			case 'weave':
				return { ...s, joiner: s.joiner && place(s.joiner), hung: hung(s.hung) };
			case 'extras':
				return { ...s, lines: s.lines.map((l) => ({ ...l, material: material(l.material) })) };
			case 'design':
				// It was counted with a version of another workspace: that number says nothing here.
				return { ...s, design: design(s.design), version: null };
		}
	};
	const section = (s: Section): Section => ({
		...s,
		structure: structure(s.structure),
		stand: { ...s.stand, tie: maybe(s.stand.tie) }
	});
	return {
		...recipe,
		sections: recipe.sections.map(section),
		colourways: recipe.colourways.map((w) => ({
			...w,
			fills: Object.fromEntries(
				Object.entries(w.fills).map(([slot, c]) => [slot, c === null ? null : colour(c)])
			)
		})),
		rules: recipe.rules.map((r) => ({ ...r, material: maybe(r.material) })),
		sizes: recipe.sizes.map((size) => ({
			...size,
			// An element is exchanged for a design where it is one, else for a material.
			swaps: Object.fromEntries(
				Object.entries(size.swaps).map(([element, to]) => [
					element,
					parts.has(element) ? design(to) : material(to)
				])
			)
		}))
	};
}

/** Every colour, material and design a recipe names by id. */
export function namesIn(recipe: Recipe): {
	readonly colours: ReadonlySet<Id>;
	readonly materials: ReadonlySet<Id>;
	readonly designs: ReadonlySet<Id>;
} {
	const [colours, materials, designs] = [new Set<Id>(), new Set<Id>(), new Set<Id>()];
	// What remap would ask for is what is named.
	const listen = (into: Set<Id>) =>
		({
			get(id: Id) {
				into.add(id);
				return undefined;
			}
		}) as unknown as ReadonlyMap<Id, Id>;
	remap(recipe, { colours: listen(colours), materials: listen(materials), designs: listen(designs) });
	return { colours, materials, designs };
}
