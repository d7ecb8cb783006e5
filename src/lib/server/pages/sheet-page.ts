import { GONE } from '../../core/document/names.ts';
import { ON_THE_FLOOR } from '../../core/document/stand.ts';
import { timeAll } from '../../core/labour/standards.ts';
import { assemble } from '../../core/assembly/assemble.ts';
import { copiesOf } from '../../core/recipe/copies.ts';
import { drawAssembly } from '../../core/scene/draw-list.ts';
import { sheetOf, tasksOf } from '../../core/structures/registry/count.ts';
import { tally } from '../../core/tally/tally.ts';
import type { Repos } from '../repos/index.ts';
import { headOf, loadDesign, type DesignQuery } from '../services/design-query.ts';

/** What the workshop needs of each frame of a design: cut and joined, or marked and bent. */
export async function sheetPage(repos: Repos, wanted: DesignQuery) {
	const found = await loadDesign(repos, wanted);
	const { design, context, colourway, size, quantity } = found;
	const { catalogue, rates, library } = context;
	const { built } = tally(design.recipe, colourway.id, quantity, context, size?.id ?? null);
	const nameOf = (id: string | null, open: string) =>
		id === null ? open : (catalogue.materials.get(id)?.name ?? GONE.material);
	return {
		...headOf(found),
		frames: built.sections.flatMap((section) => {
			const sheet = sheetOf(section.structure);
			if (!sheet) return [];
			const alone = { ...built, sections: [{ ...section, stand: ON_THE_FLOOR, times: 1, mirror: false }] };
			const drawn = drawAssembly(assemble(alone, colourway.id, library, rates.pumps), { catalogue, view: 'front' }); // prettier-ignore
			const work = timeAll(tasksOf(section.structure).map((task) => ({ task, difficulty: '1' })), rates.standards); // prettier-ignore
			return [
				{
					...sheet,
					id: section.id,
					name: section.name,
					pieces: copiesOf(built, section) * quantity,
					tube: nameOf(sheet.tube, 'tube, not chosen yet'),
					base: sheet.base && nameOf(sheet.base.material, 'a plate, not chosen yet'),
					/** Of the first use: what is made once is shared by all, what is only pushed together is not. */
					seconds: work.reduce((a, t) => {
						const shared = t.task !== 'join tube' || sheet.joined !== 'dry';
						return a + t.seconds.valueOf() * (shared ? sheet.uses : 1);
					}, 0),
					drawn: { ...drawn, about: undefined }
				}
			];
		})
	};
}
