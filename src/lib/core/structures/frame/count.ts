import { plainTask, type TaskCount } from '../../labour/task.ts';
import { um } from '../../units/length.ts';
import type { CountOf } from '../../document/rule.ts';
import { rational, type Rational } from '../../units/rational.ts';
import type { CountFacet } from '../facets/count.ts';
import type { Need } from '../kit/need.ts';
import { ONE_THING } from '../kit/one-thing.ts';
import type { Cover, Frame } from './document.ts';
import {
	cutsOf,
	fittingsOf,
	guyLength,
	plateSides,
	platesOf,
	polesOf,
	sizeOfFrame,
	tubeLength
} from './amounts.ts';
import { comesWhole, frameworkOf } from './joints.ts';
import { sheetOf } from './sheet.ts';

function needs(frame: Frame): Need[] {
	const { tube, base } = frame;
	const found: Need[] = cutsOf(frame).map(({ um: long, count }) => ({
		what: 'material',
		material: tube.material,
		label: 'tube',
		quantity: rational(count),
		length: { um: um(long) }
	}));
	for (const long of polesOf(frame)?.longest ?? [])
		found.push({ what: 'material', material: tube.material, label: 'telescopic pole', quantity: rational(1), ...(tube.material === null ? {} : { length: { um: long } }) }); // prettier-ignore
	const sides = plateSides(frame);
	if (base && sides)
		found.push({
			what: 'material',
			material: base.material,
			label: 'base',
			quantity: rational(platesOf(frame)),
			sides
		});
	if (frame.mesh) found.push({ what: 'material', material: frame.mesh.material, label: 'mesh', quantity: rational(1) }); // prettier-ignore
	for (const [of, long] of besides(frame)) found.push({ what: 'count', of, quantity: long });
	for (const [of, count] of fittingsOf(frame)) found.push({ what: 'count', of, quantity: rational(count) });
	return found;
}

const FEET_OF: Readonly<Record<Cover, CountOf>> = { tissue: 'foot in tissue', fabric: 'foot in fabric', paint: 'foot painted', balloon: 'foot under balloons' }; // prettier-ignore
/** A length in feet, to a hundredth up. @param mm 0 or more */
const feetUp = (mm: number) => rational(Math.ceil((mm / 304.8) * 100 - 1e-9), 100);

/** Guy lines and their stakes, and what hides the tube: by the foot, for the studio's rules. */
function besides(frame: Frame): [CountOf, Rational][] {
	const { guys, cover } = frame;
	return [
		...(guys ? ([['foot of guy line', feetUp(guys.count * guyLength(guys))], ['stake', rational(guys.count)]] as [CountOf, Rational][]) : []),
		...(cover ? ([[FEET_OF[cover], feetUp(tubeLength(frame))]] as [CountOf, Rational][]) : [])
	];
} // prettier-ignore

/** Cutting and joining are done once for all its uses. */
function tasks(frame: Frame): TaskCount[] {
	const once = (count: number) => count / frame.uses;
	const cuts = frameworkOf(frame).members.reduce((a, m) => a + m.pieces, 0);
	const { shape } = frame;
	const bends = shape.of === 'bent' ? shape.bends.length : shape.of === 'hoop' || shape.of === 'arc' ? 1 : 0;
	const clamps = polesOf(frame)?.clamps ?? 0;
	const joints = frameworkOf(frame).joints.filter((j) => j.kind !== 'tube cap').length;
	return [
		...(clamps > 0 ? [plainTask('join tube', clamps)] : []),
		...(comesWhole(shape) ? [] : [plainTask('cut tube', once(cuts))]),
		...(bends > 0 ? [plainTask('bend tube', once(bends))] : []),
		...(frame.cover ? [plainTask('cover tube', once(Math.ceil(tubeLength(frame) / 304.8)))] : []),
		...(frame.guys ? [plainTask('stake a line', frame.guys.count)] : []),
		...(joints > 0 ? [plainTask('join tube', frame.joined === 'dry' ? joints : once(joints))] : [])
	];
}

/** Tube, what joins it, what it stands on. */
export const count: CountFacet<Frame> = {
	sold: 'other',
	soldBy: () => 0,
	balloons: () => 0,
	...ONE_THING,
	needs,
	tasks,
	sheet: sheetOf,
	cuts: (frame) => ({
		material: frame.tube.material,
		stick: frame.tube.stick,
		pieces: cutsOf(frame)
	}),
	plates(frame) {
		const sides = plateSides(frame);
		return frame.base && sides && { material: frame.base.material, ...sides, count: platesOf(frame) };
	},
	site: (frame) => ({ how: 'stands', mm: sizeOfFrame(frame).height })
};
