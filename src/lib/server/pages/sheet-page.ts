import { GONE } from '../../core/document/names.ts';
import { ON_THE_FLOOR } from '../../core/document/stand.ts';
import { timeAll } from '../../core/labour/standards.ts';
import { assemble } from '../../core/assembly/assemble.ts';
import { drawAssembly } from '../../core/scene/draw-list.ts';
import { ofKind } from '../../core/structures/kinds.ts';
import { cutsOf, fittingsOf, platesOf, sizeOfFrame } from '../../core/structures/frame/count.ts';
import { bendMarks } from '../../core/structures/frame/marks.ts';
import { printShape } from '../../core/structures/frame/print.ts';
import { tasksOf } from '../../core/structures/registry/count.ts';
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
		frames: ofKind(built.sections, 'frame').map(({ section, structure }) => {
			const alone = { ...built, sections: [{ ...section, stand: ON_THE_FLOOR, times: 1, mirror: false }] };
			const drawn = drawAssembly(assemble(alone, colourway.id, library, rates.pumps), { catalogue, view: 'front' }); // prettier-ignore
			const work = timeAll(tasksOf({ ...structure, uses: 1 }).map((task) => ({ task, difficulty: '1' })), rates.standards); // prettier-ignore
			return {
				id: section.id,
				name: section.name,
				pieces: section.times * quantity,
				outline: printShape(structure.shape),
				...sizeOfFrame(structure),
				tube: nameOf(structure.tube.material, 'tube, not chosen yet'),
				stick: structure.tube.stick,
				joined: structure.joined,
				uses: structure.uses,
				base: structure.base && platesOf(structure) > 0 ? nameOf(structure.base.material, 'a plate, not chosen yet') : null, // prettier-ignore
				plates: platesOf(structure),
				cuts: cutsOf(structure),
				marks: bendMarks(structure),
				fittings: [...fittingsOf(structure)],
				seconds: work.reduce((a, t) => a + t.seconds.valueOf(), 0),
				drawn: { ...drawn, about: undefined }
			};
		})
	};
}
