import { tally } from '../../core/tally/tally.ts';
import type { Repos } from '../repos/index.ts';
import { headOf, loadDesign, type DesignQuery } from '../services/design-query.ts';

/** The colours in use of a design, with what is in them: for the client, and for whoever picks them from the shelf. */
export async function swatchesPage(repos: Repos, wanted: DesignQuery) {
	const found = await loadDesign(repos, wanted);
	const { design, context, colourway, size, quantity } = found;
	const { bill } = tally(design.recipe, colourway.id, quantity, context, size?.id ?? null);
	const { colours, colourNames } = context.catalogue;
	const used = new Map<string, { pieces: number; where: Set<string> }>();
	for (const { material, used: many, unit, role } of bill.lines) {
		if (!material?.colour || role === 'by-product') continue;
		const own = used.get(material.colour) ?? { pieces: 0, where: new Set<string>() };
		if (unit === 'piece') own.pieces += many.valueOf();
		own.where.add(material.name.split(',')[0]!);
		used.set(material.colour, own);
	}
	return {
		...headOf(found),
		colours: [...used]
			.flatMap(([id, { pieces, where }]) => {
				const colour = colours.get(id);
				return colour ? [{ ...colour, name: colourNames.get(id) ?? colour.name, pieces: Math.ceil(pieces), where: [...where] }] : [];
			})
			.sort((a, b) => b.pieces - a.pieces)
	};
} // prettier-ignore
