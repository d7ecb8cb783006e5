import { convexHull, insideBy } from '../../geometry/hull.ts';
import type { CheckFacet } from '../facets/check.ts';
import type { Finding } from '../../checks/finding.ts';
import { printLong } from '../kit/print-words.ts';
import { apart, between, type Point } from '../kit/strand.ts';
import type { Frame } from './document.ts';
import { platesOf, sizeOfFrame } from './amounts.ts';
import { dot, footprintOf, frameworkOf, wayOf, type Way } from './joints.ts';

/** Less than this from the middle of its base to the edge, over its height, a bare frame falls at a push. House rule. */
const NARROW = 0.12;

export const check: CheckFacet<Frame> = {
	held: (frame) => platesOf(frame) > 0 || hasFeet(frame),
	check: (frame) => [
		...unheld(frame),
		...tooMany(frame),
		...apartFrom(frame),
		...skewed(frame),
		...farOut(frame),
		...coupled(frame)
	]
};

const hasFeet = ({ shape }: Frame): boolean => shape.of === 'bent' || ('feet' in shape && shape.feet > 0);

/** How far it is from under its middle to the nearest edge of what it stands on, mm; 0 where it stands on a line. */
export function steadyBy(frame: Frame): number {
	const middles = frameworkOf(frame).members.flatMap(({ path, length }) =>
		path.slice(1).map((to, i) => {
			const from = path[i]!;
			return { ...between(from, to, 0.5), weight: length > 0 ? apart(from, to) : 0 };
		})
	);
	const weight = middles.reduce((a, m) => a + m.weight, 0);
	const x = middles.reduce((a, m) => a + m.x * m.weight, 0) / weight;
	const y = middles.reduce((a, m) => a + m.y * m.weight, 0) / weight;
	return Math.max(0, insideBy(convexHull(footprintOf(frame)), [x, y]));
}

function unheld(frame: Frame): Finding[] {
	const { height } = sizeOfFrame(frame);
	const steady = steadyBy(frame);
	if (height < 600 || steady >= NARROW * height) return [];
	return [
		{
			code: 'light-base',
			level: 'watch',
			say:
				steady < 1
					? 'It stands on a line: nothing keeps it from falling to the front. Give it feet, or a plate.'
					: `It stands ${Math.round(steady / 25.4)} in from its middle to the edge, and is ${Math.round(height / 25.4)} in high. Give it a wider base, longer feet, or weight on them.`,
			why: 'A tall frame on a narrow foot tips when somebody leans on it, before a balloon is on it. The venue and local rules go first.'
		}
	];
}

function tooMany(frame: Frame): Finding[] {
	const crowded = frameworkOf(frame).joints.some((j) => j.kind === 'five or more');
	return crowded
		? [
				{
					code: 'frame-joint',
					level: 'watch',
					say: 'Five tubes meet in one joint, and no usual fitting takes five. Move a bar, or leave the feet away.',
					why: 'The bill counts no fitting there.'
				}
			]
		: [];
}

/** Tubes that hang together are one; a box holds its sticks, a letter stands as it is drawn. */
function apartFrom(frame: Frame): Finding[] {
	if (frame.shape.of !== 'parts') return [];
	const { members } = frameworkOf(frame);
	const near = (a: Point, b: Point) => apart(a, b) < 1;
	const meets = (i: number, j: number) => {
		const [a, b] = [members[i]!.path, members[j]!.path];
		return [a[0]!, a.at(-1)!].some((p) => near(p, b[0]!) || near(p, b.at(-1)!));
	};
	const reached = new Set([0]);
	for (const i of reached) members.forEach((_, j) => meets(i, j) && reached.add(j));
	const loose = members.length - reached.size;
	return loose === 0
		? []
		: [
				{
					code: 'frame-apart',
					level: 'watch',
					say: `${loose === 1 ? 'One tube meets' : `${loose} tubes meet`} none of the others. Move an end onto another tube, or leave it out.`,
					why: 'What touches nothing falls; the bill counts a cap on each of its ends.'
				}
			];
}

/** Of how far it comes, so far out a pole bends and slips. House rule, from memory. */
const FAR_OUT = 0.95;

function farOut({ shape }: Frame): Finding[] {
	if (shape.of !== 'telescope' || shape.height <= FAR_OUT * shape.open || shape.open === shape.closed)
		return [];
	return [
		{
			code: 'frame-joint',
			level: 'watch',
			say: `The pole is pulled out to ${printLong(shape.height)} of ${printLong(shape.open)}: at its end it bends and slips. Take a longer pole, or leave it lower.`,
			why: 'The last section is the thinnest, and has the least inside the one below.'
		}
	];
}

/** Usual elbows and tees are square. */
function skewed(frame: Frame): Finding[] {
	if (frame.shape.of !== 'parts') return [];
	const { members, joints } = frameworkOf(frame);
	const odd = joints.filter(({ kind, at }) => {
		if (kind !== 'elbow' && kind !== 'tee' && kind !== 'corner fitting') return false;
		const ways = members.flatMap(({ path }) => {
			const [a, b] = [path[0]!, path.at(-1)!];
			if (apart(a, at) < 1) return [wayOf(a, b)];
			return apart(b, at) < 1 ? [wayOf(b, a)] : [];
		});
		return ways.some((a, i) => ways.slice(i + 1).some((b) => !isSquare(a, b)));
	}).length;
	return odd === 0
		? []
		: [
				{
					code: 'frame-joint',
					level: 'watch',
					say: `${odd === 1 ? 'A joint is' : `${odd} joints are`} not square, and a usual fitting is. Bend the tube there, take a fitting that turns, or move a joint.`,
					why: 'A fitting forced to another angle cracks, or works loose on the way to the venue.'
				}
			];
}
/** In line, or at a right angle, to two degrees. */
const isSquare = (a: Way, b: Way): boolean => {
	const along = Math.abs(dot(a, b));
	return along < 0.035 || along > 0.9994;
};

function coupled(frame: Frame): Finding[] {
	const long = frameworkOf(frame).members.filter((m) => m.pieces > 1);
	if (long.length === 0) return [];
	return [
		{
			code: 'frame-joint',
			level: 'watch',
			say: `${long.length === 1 ? 'A piece' : `${long.length} pieces`} longer than a stick of ${printLong(frame.tube.stick)}: coupled of ${Math.max(...long.map((m) => m.pieces))}.`,
			why: 'A coupling bends before the tube does: stay under it with what is heavy.'
		}
	];
}
