import { plainTask, type TaskCount } from '../../labour/task.ts';
import { um } from '../../units/length.ts';
import { rational } from '../../units/rational.ts';
import type { CountFacet } from '../facets/count.ts';
import type { Need } from '../kit/need.ts';
import { ONE_THING } from '../kit/one-thing.ts';
import type { Frame } from './document.ts';
import { cutsOf, fittingsOf, platesOf, sizeOfFrame } from './amounts.ts';
import { frameworkOf } from './joints.ts';
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
	if (base && platesOf(frame) > 0) found.push({ what: 'material', material: base.material, label: 'base', quantity: rational(platesOf(frame)) }); // prettier-ignore
	for (const [of, count] of fittingsOf(frame)) found.push({ what: 'count', of, quantity: rational(count) });
	return found;
}

/** Cutting and joining are done once for all its uses. */
function tasks(frame: Frame): TaskCount[] {
	const once = (count: number) => count / frame.uses;
	const cuts = frameworkOf(frame).members.reduce((a, m) => a + m.pieces, 0);
	const { shape } = frame;
	const bends = shape.of === 'bent' ? shape.bends.length : shape.of === 'hoop' || shape.of === 'arc' ? 1 : 0;
	const joints = frameworkOf(frame).joints.filter((j) => j.kind !== 'tube cap').length;
	return [
		...(shape.of === 'bent' ? [] : [plainTask('cut tube', once(cuts))]),
		...(bends > 0 ? [plainTask('bend tube', once(bends))] : []),
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
	site: (frame) => ({ how: 'stands', mm: sizeOfFrame(frame).height })
};
