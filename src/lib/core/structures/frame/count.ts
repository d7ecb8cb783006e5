import { plainTask, type TaskCount } from '../../labour/task.ts';
import { um } from '../../units/length.ts';
import { rational } from '../../units/rational.ts';
import type { CountFacet } from '../facets/count.ts';
import type { Need } from '../kit/need.ts';
import { ONE_THING } from '../kit/one-thing.ts';
import type { Frame } from './document.ts';
import { frameworkOf, type JointKind } from './joints.ts';

/** Pieces as they are cut, longest first: so many of each length, µm. */
export function cutsOf(frame: Frame): readonly { readonly um: number; readonly count: number }[] {
	const counts = new Map<number, number>();
	for (const { cut, pieces } of frameworkOf(frame).members) {
		const each = Math.round((cut * 1000) / pieces);
		if (each > 0) counts.set(each, (counts.get(each) ?? 0) + pieces);
	}
	return [...counts].map(([long, count]) => ({ um: long, count })).sort((a, b) => b.um - a.um);
}

/** Fittings by their kind. */
export function fittingsOf(frame: Frame): ReadonlyMap<JointKind, number> {
	const counts = new Map<JointKind, number>();
	for (const { kind } of frameworkOf(frame).joints)
		if (kind !== 'five or more') counts.set(kind, (counts.get(kind) ?? 0) + 1);
	return counts;
}

/** Plates it stands on: one under each upright that goes into one; feet stand by themselves. */
export const platesOf = (frame: Frame): number =>
	frame.base === null ? 0 : (fittingsOf(frame).get('flange') ?? 0);

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

/** How high a frame stands and how wide it is, mm. */
export function sizeOfFrame(frame: Frame): { readonly width: number; readonly height: number } {
	const all = frameworkOf(frame).members.flatMap((m) => m.path);
	const xs = all.map((p) => p.x);
	return { width: Math.max(...xs) - Math.min(...xs), height: Math.max(...all.map((p) => p.z)) };
}

/** Tube, what joins it, what it stands on. */
export const count: CountFacet<Frame> = {
	sold: 'other',
	soldBy: () => 0,
	balloons: () => 0,
	...ONE_THING,
	needs,
	tasks,
	cuts: (frame) => ({
		material: frame.tube.material,
		stick: frame.tube.stick,
		pieces: cutsOf(frame)
	}),
	site: (frame) => ({ how: 'stands', mm: sizeOfFrame(frame).height })
};
