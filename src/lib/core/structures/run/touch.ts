import type { Mutable } from '../../document/mutable.ts';
import { pointOf } from '../../geometry/path.ts';
import { feet, inches, um, type Micrometres } from '../../units/length.ts';
import type { Movable } from '../facets/refs.ts';
import type { DraggedBy, Grip, TouchFacet } from '../facets/touch.ts';
import { UNTOUCHED } from '../kit/touch.ts';
import type { Run, RunPath, RunRow } from './document.ts';
import { dragged, gripsOf } from './edit-path.ts';
import { stretchesOf } from './path.ts';

/** Highest a run hangs over the floor by dragging; typing says what is higher. */
const HIGHEST = feet(40);
const STEP = inches(1);

/** Its ends are dragged; a straight one, and one through points, is hung higher or lower by its middle. */
export const touch: TouchFacet<Run> = {
	...UNTOUCHED,
	clusterOf: (part: Movable) => (part as unknown as Partial<Mutable<RunRow>>).cluster,
	grips,
	dragged: drag
};

function grips(run: Run): Grip[] {
	const [first] = stretchesOf(run);
	if (!first || run.path.kind === 'lent') return [];
	const from = first.points[0]!;
	const own = gripsOf(run.path, from).map(({ index, ...grip }): Grip => ({ ...grip, id: String(index) }));
	if (run.path.kind === 'line' || run.path.kind === 'arch') {
		const says = run.path.kind === 'line' ? 'left end' : 'left foot';
		own.unshift({ id: 'left', x: from.x, z: from.z, says, ways: 'across' });
	}
	if (run.path.kind !== 'line') return own;
	const { point } = pointOf(first, first.length / 2);
	return [...own, { id: 'height', x: point.x, z: point.z, says: 'middle, higher or lower', ways: 'up' }];
}

function drag(run: Run, grip: string, by: DraggedBy): Run {
	const { path } = run;
	if (grip === 'height') {
		const to = Math.round((run.height + by.z * 1000) / STEP) * STEP;
		return { ...run, height: um(Math.max(0, Math.min(HIGHEST, to))) as Micrometres | 0 };
	}
	if (grip === 'left') return { ...run, path: dragged(path, 0, followed(path, { ...by, x: -by.x })) };
	return { ...run, path: dragged(path, Number(grip), followed(path, by)) };
}

/** What stands in the middle grows to both sides: the end follows the hand. */
const followed = ({ kind }: RunPath, by: DraggedBy): DraggedBy =>
	kind === 'curve' ? by : { x: 2 * by.x, z: by.z };
