import { plainTask, sizingTasks, methodOf, methodOfPlace, type TaskCount } from '../../labour/task.ts';
import type { Colourway } from '../../document/slot.ts';
import type { Id } from '../../document/id.ts';
import type { OwnBalloon, Place } from '../../document/cluster.ts';
import { resolveSize } from '../../sizing/resolve.ts';
import { sphereLitres, type PumpProfile } from '../../sizing/strokes.ts';
import { rational, type Rational } from '../../units/rational.ts';
import type { Need } from './need.ts';

type Filled = Pick<Place, 'inside' | 'painted' | 'nominal' | 'size'>;

/** Litres that fill a round balloon, to a hundredth: what its sizes say, a usual fill where they say nothing. */
export const litresIn = ({ size, nominal }: Pick<Place, 'size' | 'nominal'>): number =>
	sphereLitres(resolveSize(size, nominal).assumed);

export const hundredths = (value: number): Rational => rational(Math.round(value * 100), 100);

/** What goes into a balloon, and onto it: the balloon inside, what makes it a weight, paint. */
export function insideNeeds(
	{ inside, painted, nominal, size }: Filled,
	colourway: Colourway | undefined,
	count: number
): Need[] {
	const needs: Need[] = [];
	if (inside?.kind === 'balloon')
		needs.push({
			what: 'balloon',
			kind: 'latex-round',
			nominal: inside.nominal,
			slot: inside.slot,
			colour: colourway?.fills[inside.slot] ?? null,
			material: null,
			size: inside.size,
			method: methodOf(inside.size),
			quantity: rational(count)
		});
	else if (inside)
		needs.push({
			what: 'count',
			of: `litre of ${inside.of}`,
			quantity: hundredths(litresIn({ size, nominal })).mul(count)
		});
	if (painted) needs.push({ what: 'count', of: 'painted balloon', quantity: rational(count) });
	return needs;
}

export function insideTasks({ inside, painted }: Filled, count: number): TaskCount[] {
	const tasks: TaskCount[] = [];
	const push = (task: TaskCount['task'], ...batches: string[]) =>
		tasks.push(plainTask(task, count, ...batches));
	if (inside?.kind === 'balloon') {
		tasks.push(...sizingTasks({ ...inside, method: null }, count));
		push('tie');
		push('put inside');
	} else if (inside) push('fill weight', inside.of);
	if (painted) push('paint', 'paint');
	return tasks;
}

/** Two balloons of a cluster are alike inside too. */
export const sameInside = (
	a: Pick<Filled, 'inside' | 'painted'>,
	b: Pick<Filled, 'inside' | 'painted'>
): boolean =>
	a.painted === b.painted && (a.inside === b.inside || JSON.stringify(a.inside) === JSON.stringify(b.inside));

/** A balloon in a balloon: its slot and width, mm. */
export interface InnerBall {
	readonly slot: Id;
	readonly d: number;
}

/** The balloon in a place; undefined where there is none. */
export function innerBall(
	{ inside }: Pick<Place, 'inside'>,
	pumps: readonly PumpProfile[] = []
): InnerBall | undefined {
	if (inside?.kind !== 'balloon') return undefined;
	return { slot: inside.slot, d: resolveSize(inside.size, inside.nominal, pumps).assumed };
}

/** Balloons that have a colour of their own, by themselves: what is in them is said beside. */
export const ownNeed = (balloon: OwnBalloon, colourway: Colourway | undefined, count: number) =>
	({
		what: 'balloon',
		kind: balloon.kind,
		nominal: balloon.nominal,
		slot: balloon.slot,
		colour: colourway?.fills[balloon.slot] ?? null,
		material: balloon.material,
		size: balloon.size,
		method: methodOfPlace(balloon),
		quantity: rational(count)
	}) as const;

/** The work of them, with what goes in and on. */
export const ownTasks = (balloon: OwnBalloon, count: number): TaskCount[] => [
	...sizingTasks(balloon, count),
	plainTask('tie', count),
	...insideTasks(balloon, count)
];
