import { error } from '@sveltejs/kit';
import { tally } from '$lib/core/tally/tally.ts';
import { parseCount } from '$lib/core/units/number.ts';
import { printSize } from '$lib/core/sizing/size.ts';
import { formatInches } from '$lib/core/units/length.ts';
import { contextOf, loadLibrary, loadStudio } from '$lib/server/services/studio.ts';
import type { PageServerLoad } from './$types';

/** To buy and to inflate: two lists from one bill. */
export const load: PageServerLoad = async ({ locals, params, url }) => {
	const design = await locals.repos.designs.find(params.design);
	if (!design) error(404, { message: 'There is no such design.', hint: 'Find it on the Shelf.' });
	const typed = url.searchParams.get('quantity') ?? '1';
	const parsed = parseCount(typed, { what: 'How many', min: 1, max: 999 });
	const quantity = parsed.ok ? parsed.value : 1;
	const studio = await loadStudio(locals.repos);
	const context = contextOf(studio, await loadLibrary(locals.repos, design.recipe));
	const colourway =
		design.recipe.colourways.find((c) => c.id === url.searchParams.get('colourway')) ??
		design.recipe.colourways[0]!;
	const size = design.recipe.sizes.find((s) => s.id === url.searchParams.get('size'));
	const { bill, findings } = tally(design.recipe, colourway.id, quantity, context, size?.id ?? null);
	return {
		id: design.id,
		name: design.recipe.name,
		colourway: colourway.name,
		colourwayId: colourway.id,
		size: size?.name ?? null,
		sizeId: size?.id ?? '',
		typed,
		trouble: parsed.ok ? '' : parsed.say,
		quantity,
		balloons: bill.balloons,
		spares: bill.spares,
		toBuy: bill.lines.map((line) => ({
			label: line.label,
			used: line.used.toFraction(true),
			spares: line.spares,
			toBuy: line.toBuy,
			packs: packsOf(line.material?.packs[0], line.toBuy),
			status: line.status,
			role: line.role,
			estimate:
				line.estimate && `${line.estimate.low.toFraction(true)} to ${line.estimate.high.toFraction(true)}`,
			returns: Boolean(line.material?.reuse)
		})),
		toInflate: bill.inflate.map((line) => ({
			count: line.quantity.toFraction(true),
			nominal: formatInches(line.nominal),
			size: printSize(line.size),
			method: line.method,
			colour: context.catalogue.colours.get(line.colour ?? '')?.name ?? `${line.slot} (open)`,
			hex: context.catalogue.colours.get(line.colour ?? '')?.hex ?? null,
			where: line.where
		})),
		findings: findings.filter((f) => f.level === 'bad').map((f) => f.say)
	};
};

const packsOf = (pack: { count: number; supplier: string } | undefined, pieces: number): string =>
	!pack || pieces === 0 ? '' : `${Math.ceil(pieces / pack.count)} × ${pack.count}, ${pack.supplier}`;
