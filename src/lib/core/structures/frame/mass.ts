import type { Material } from '../../materials/material.ts';
import { SQUARE_FEET } from '../../units/area.ts';
import { MICROMETRES } from '../../units/length.ts';
import type { Mass } from '../facets/picture.ts';
import { apart, between } from '../kit/strand.ts';
import type { Frame } from './document.ts';
import { basesOf, frameworkOf } from './joints.ts';

/** Plastic tube of an inch weighs some 0.48 kg a metre, others as their width; plywood 18 mm thick 11 kg a square metre. From memory. */
const [TUBE_KG, PLATE_KG] = [0.48, 11];

/** What a frame weighs, stretch by stretch; figures of the Stockroom go first. */
export function massesOf(frame: Frame, materials: ReadonlyMap<string, Material>): readonly Mass[] {
	const { tube, base } = frame;
	const own = tube.material === null ? undefined : materials.get(tube.material);
	const perMetre =
		own?.grams && own.unit !== 'piece'
			? (own.grams / MICROMETRES[own.unit as 'ft']) * 1000
			: (TUBE_KG * tube.across) / MICROMETRES.in;
	const { members } = frameworkOf(frame);
	const tubes = members.flatMap(({ path, length }) => {
		const drawn = path.slice(1).map((to, i) => ({ from: path[i]!, to, long: apart(path[i]!, to) }));
		const all = drawn.reduce((a, d) => a + d.long, 0);
		return drawn.map(({ from, to, long }) => ({
			...between(from, to, 0.5),
			kg: (perMetre * ((length * long) / all)) / 1000,
			estimated: !own?.grams
		}));
	});
	const plate = base && base.material !== null ? materials.get(base.material) : undefined;
	// What is sold by the square foot weighs by it.
	const each = (wide: number, deep: number) => (plate?.unit === SQUARE_FEET ? (wide * deep) / 304.8 ** 2 : 1);
	const plates = basesOf(frame).map(({ at, wide, deep }) => ({
		x: at.x,
		y: at.y,
		z: 9,
		kg: plate?.grams ? (plate.grams / 1000) * each(wide, deep) : (PLATE_KG * wide * deep) / 1e6,
		estimated: !plate?.grams
	}));
	return [...tubes, ...plates];
}
