import { isBare } from '../../core/assembly/assemble.ts';
import { drawAssembly } from '../../core/scene/draw-list.ts';
import { tally } from '../../core/tally/tally.ts';
import type { Repos } from '../repos/index.ts';
import { loadDesign, type DesignQuery } from '../services/design-query.ts';

/** Every colourway of the working copy, drawn, costed and priced beside the others. */
export async function coloursPage(repos: Repos, wanted: DesignQuery) {
	const { design, context } = await loadDesign(repos, wanted);
	const { recipe } = design;
	return {
		id: design.id,
		name: recipe.name,
		colourways: recipe.colourways.map((colourway) => {
			const counted = tally(recipe, colourway.id, 1, context);
			const { assembly, price, cost } = counted;
			return {
				id: colourway.id,
				name: colourway.name,
				picture: !isBare(assembly)
					? drawAssembly(assembly, { catalogue: context.catalogue, view: 'front' })
					: null,
				colours: recipe.slots.map((slot) => {
					const colour = context.catalogue.colours.get(colourway.fills[slot.id] ?? '');
					const out = colourway.without.includes(slot.id);
					return {
						slot: `${slot.name}${slot.role && slot.role !== slot.name ? ` (${slot.role})` : ''}`,
						colour: out
							? 'left out'
							: (colour?.name ?? (slot.any ? 'any colour: nobody sees it' : 'open until the job')),
						hex: out ? null : (colour?.hex ?? null)
					};
				}),
				cost: cost.total,
				price: price.status === 'priced' ? price.said : null,
				margin: price.status === 'priced' ? (price.margin ?? null) : null,
				/** What keeps it from being bought as it is. */
				missing: counted.findings
					.filter((f) => f.code === 'unlisted' || f.code === 'open-slot')
					.map((f) => f.say)
			};
		})
	};
}
