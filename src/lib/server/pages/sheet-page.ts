import { countDesigns, wholeCopies } from '../../core/bom/explode.ts';
import { GONE } from '../../core/document/names.ts';
import { ON_THE_FLOOR } from '../../core/document/stand.ts';
import { timeAll } from '../../core/labour/standards.ts';
import { assemble } from '../../core/assembly/assemble.ts';
import { drawAssembly } from '../../core/scene/draw-list.ts';
import { sheetOf, tasksOf } from '../../core/structures/registry/count.ts';
import { rational } from '../../core/units/rational.ts';
import type { Repos } from '../repos/index.ts';
import { headOf, loadDesign, type DesignQuery } from '../services/design-query.ts';

/** Tasks whose work is done once for all uses of a frame, however it is joined. */
const EVERY_TIME = new Set(['stake a line']);

/** What the workshop needs of each frame of a design, and of the designs inside it: cut and joined, or marked and bent. */
export async function sheetPage(repos: Repos, wanted: DesignQuery) {
	const found = await loadDesign(repos, wanted);
	const { design, context, colourway, size, quantity } = found;
	const { catalogue, rates, library } = context;
	const nameOf = (id: string | null, open: string) =>
		id === null ? open : (catalogue.materials.get(id)?.name ?? GONE.material);
	const nodes = countDesigns(
		{
			recipe: design.recipe,
			colourway: colourway.id,
			size: size?.id ?? null,
			quantity: rational(quantity),
			pumps: rates.pumps
		},
		library
	);
	return {
		...headOf(found),
		frames: nodes.flatMap((node, nth) =>
			node.recipe.sections.flatMap((section) => {
				const sheet = sheetOf(section.structure);
				if (!sheet) return [];
				const alone = { ...node.recipe, sections: [{ ...section, stand: ON_THE_FLOOR, times: 1, mirror: false }] };
				const drawn = drawAssembly(assemble(alone, node.recipe.colourways[0]!.id, library, rates.pumps), { catalogue, view: 'front' });
				const work = timeAll(tasksOf(section.structure).map((task) => ({ task, difficulty: '1' })), rates.standards);
				return [
					{
						...sheet,
						id: `${nth}/${section.id}`,
						name: node.recipe.name === design.recipe.name ? section.name : `${section.name} of ${node.recipe.name}`,
						pieces: wholeCopies(node, section),
						tube: nameOf(sheet.tube, 'tube, not chosen yet'),
						base: sheet.base && nameOf(sheet.base.material, 'a plate, not chosen yet'),
						/** Of the first use: what is made once is shared by all, what is only pushed together is not. */
						seconds: work.reduce((a, t) => {
							const shared = !EVERY_TIME.has(t.task) && (t.task !== 'join tube' || sheet.joined !== 'dry');
							return a + t.seconds.valueOf() * (shared ? sheet.uses : 1);
						}, 0),
						drawn: { ...drawn, about: undefined }
					}
				];
			})
		)
	};
} // prettier-ignore
