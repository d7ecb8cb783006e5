import type { Frame, Guys } from './document.ts';
import { um, type Micrometres } from '../../units/length.ts';
import { sectionsOf } from './edges.ts';
import { basesOf, frameworkOf, type JointKind } from './joints.ts';

/** Pieces as they are cut, longest first: so many of each length, µm. */
export function cutsOf(frame: Frame): readonly { readonly um: number; readonly count: number }[] {
	const counts = new Map<number, number>();
	if (frame.shape.of === 'telescope') return [];
	for (const { cut, pieces } of frameworkOf(frame).members) {
		const each = Math.round((cut * 1000) / pieces);
		if (each > 0) counts.set(each, (counts.get(each) ?? 0) + pieces);
	}
	return [...counts].map(([long, count]) => ({ um: long, count })).sort((a, b) => b.um - a.um);
}

/** Poles that are bought as they are, and clamps on them: one over each section, one at each end of a bar. */
export function polesOf({
	shape
}: Frame): { readonly longest: readonly Micrometres[]; readonly clamps: number } | null {
	if (shape.of !== 'telescope') return null;
	const two = shape.bar !== 0;
	return {
		longest: [shape.open, ...(shape.bar === 0 ? [] : [shape.open, shape.bar])],
		clamps: (two ? 2 : 1) * (sectionsOf(shape) - 1) + (two ? 2 : 0)
	};
}

/** Fittings by their kind. */
export function fittingsOf(frame: Frame): ReadonlyMap<JointKind, number> {
	const counts = new Map<JointKind, number>();
	for (const { kind } of frameworkOf(frame).joints)
		if (kind !== 'five or more') counts.set(kind, (counts.get(kind) ?? 0) + 1);
	return counts;
}

/** What it stands on: a plate under each upright that goes into one, one box under all cups; feet stand by themselves. */
export const platesOf = (frame: Frame): number => basesOf(frame).length;

/** Sides of one of its plates, each as large as the others. */
export function plateSides(frame: Frame): { readonly wide: Micrometres; readonly deep: Micrometres } | null {
	const [one] = basesOf(frame);
	return one ? { wide: um(Math.round(one.wide * 1000)), deep: um(Math.round(one.deep * 1000)) } : null;
}

/** Tube in all, from joint to joint, mm. */
export const tubeLength = (frame: Frame): number =>
	frameworkOf(frame).members.reduce((a, m) => a + m.length, 0);

/** One guy line from the frame to its stake, mm. */
export const guyLength = ({ at, reach }: Guys): number => Math.hypot(at, reach) / 1000;

/** How high a frame stands and how wide it is, mm. */
export function sizeOfFrame(frame: Frame): { readonly width: number; readonly height: number } {
	const all = frameworkOf(frame).members.flatMap((m) => m.path);
	const xs = all.map((p) => p.x);
	return { width: Math.max(...xs) - Math.min(...xs), height: Math.max(...all.map((p) => p.z)) };
}
