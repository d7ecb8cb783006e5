import { isBare } from '$lib/core/structures/assemble.ts';
import { error } from '@sveltejs/kit';
import { leadHeight, leadOf } from '$lib/core/recipe/scale.ts';
import { drawAssembly } from '$lib/core/scene/draw-list.ts';
import { tally } from '$lib/core/tally/tally.ts';
import { contextOf, loadLibrary, loadStudio } from '$lib/server/services/studio.ts';
import type { PageServerLoad } from './$types';

/** The working copy in each of its sizes, as it stands first: counted, costed and priced in one table. */
export const load: PageServerLoad = async ({ locals, params, url }) => {
	const design = await locals.repos.designs.find(params.design);
	if (!design) error(404, { message: 'There is no such design.', hint: 'Find it on the Shelf.' });
	const { recipe } = design;
	const context = contextOf(await loadStudio(locals.repos), await loadLibrary(locals.repos, recipe));
	const colourway =
		recipe.colourways.find((c) => c.id === url.searchParams.get('colourway')) ?? recipe.colourways[0]!;
	return {
		id: design.id,
		name: recipe.name,
		colourway: colourway.name,
		sizes: [{ id: null, name: 'as it stands' }, ...recipe.sizes].map(({ id, name }) => {
			const counted = tally(recipe, colourway.id, 1, context, id);
			const { assembly, built, price, cost, stacks, notes, findings, bill } = counted;
			const known = leadOf(built)?.kind === 'run' || stacks[0]?.placed.body.known;
			return {
				id: id ?? '',
				name,
				picture: !isBare(assembly)
					? drawAssembly(assembly, { catalogue: context.catalogue, view: 'front' })
					: null,
				body: known ? leadHeight(built, context.rates.pumps) : null,
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
};
