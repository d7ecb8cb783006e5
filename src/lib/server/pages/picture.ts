import { error } from '@sveltejs/kit';
import { countDesigns, drawable } from '../../core/bom/explode.ts';
import { DomainError } from '../../core/errors.ts';
import { VIEWS } from '../../core/scene/camera.ts';
import { drawAssembly } from '../../core/scene/draw-list.ts';
import { svgOf } from '../../core/scene/svg.ts';
import { assemble, isBare } from '../../core/assembly/assemble.ts';
import { rational } from '../../core/units/rational.ts';
import type { Repos } from '../repos/index.ts';
import { loadDesign, type DesignQuery } from '../services/design-query.ts';

/** Degrees of a parameter, within limits; undefined where none is said. */
function degrees(said: string | null, most: number): number | undefined {
	const value = said === null || said.trim() === '' ? NaN : Number(said);
	return Number.isFinite(value) ? (Math.max(-most, Math.min(most, value)) * Math.PI) / 180 : undefined;
}

/** The picture of a working copy: `view` front, side or plan, or `turn` and `tilt` in degrees; `apart` by its sections. */
export async function picture(repos: Repos, wanted: DesignQuery): Promise<{ name: string; svg: string }> {
	const { design, context, colourway, size } = await loadDesign(repos, wanted);
	const said = new URLSearchParams(wanted.search);
	const view = VIEWS.find((v) => v === said.get('view')) ?? 'front';
	const [turn, tilt] = [degrees(said.get('turn'), 360), degrees(said.get('tilt'), 80)];
	const { recipe } = design;
	try {
		const wanted = {
			recipe,
			colourway: colourway.id,
			size: size?.id ?? null,
			quantity: rational(1),
			pumps: context.rates.pumps
		};
		drawable(countDesigns(wanted, context.library), wanted);
	} catch (cause) {
		if (!(cause instanceof DomainError)) throw cause;
		error(422, { message: `This design cannot be drawn: ${cause.message}.` });
	}
	const assembly = assemble(
		recipe,
		colourway.id,
		context.library,
		context.rates.pumps,
		size?.id ?? null,
		context.packed
	);
	if (isBare(assembly)) error(404, { message: 'There is nothing to draw yet. Say its layers on the Bench.' });
	const camera = turn === undefined && tilt === undefined ? undefined : { turn: turn ?? 0, tilt: Math.max(0, tilt ?? 0) }; // prettier-ignore
	const list = drawAssembly(assembly, {
		catalogue: context.catalogue,
		view: camera ? 'front' : view,
		camera,
		apart: said.has('apart') ? { sections: recipe.sections, gap: 220 } : undefined
	});
	return { name: recipe.name, svg: svgOf(list, recipe.name) };
}
