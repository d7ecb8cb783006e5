import { isBare } from '../../core/assembly/assemble.ts';
import { heightSaid } from '../../core/tally/height.ts';
import { drawAssembly } from '../../core/scene/draw-list.ts';
import { tally } from '../../core/tally/tally.ts';
import type { Repos } from '../repos/index.ts';
import { loadDesign, type DesignQuery } from '../services/design-query.ts';

/** The working copy in each of its sizes, as it stands first: counted, costed and priced in one table. */
export async function sizesPage(repos: Repos, wanted: DesignQuery) {
	const { design, context, colourway } = await loadDesign(repos, wanted);
	const { recipe } = design;
	return {
		id: design.id,
		name: recipe.name,
		colourway: colourway.name,
		sizes: [{ id: null, name: 'as it stands' }, ...recipe.sizes].map(({ id, name }) => {
			const counted = tally(recipe, colourway.id, 1, context, id);
			const { assembly, price, cost, notes, findings, bill } = counted;
			const height = heightSaid(counted, context.rates.pumps);
			return {
				id: id ?? '',
				name,
				picture: !isBare(assembly)
					? drawAssembly(assembly, { catalogue: context.catalogue, view: 'front' })
					: null,
				height: height.known && height.mm > 0 ? height.mm : null,
				of: height.of,
				overall: assembly.overall.known ? assembly.overall.usual : null,
				balloons: bill.balloons,
				seconds: cost.seconds.valueOf(),
				cost: cost.total,
				price: price.status === 'priced' ? price.said : null,
				margin: price.status === 'priced' ? (price.margin ?? null) : null,
				notes: [
					...notes,
					...findings.filter((f) => f.level === 'bad' || f.code === 'unlisted').map((f) => f.say)
				]
			};
		})
	};
}
