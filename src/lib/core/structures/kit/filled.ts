import { plainTask, sizingTasks, methodOf, methodOfPlace, type TaskCount } from '../../labour/task.ts';
import type { Colourway } from '../../document/slot.ts';
import type { Id } from '../../document/id.ts';
import type { OwnBalloon, PaintPart, Place } from '../../document/cluster.ts';
import { resolveSize } from '../../sizing/resolve.ts';
import { sphereLitres, type PumpProfile } from '../../sizing/strokes.ts';
import { rational, type Rational } from '../../units/rational.ts';
import { fillLitres, type Weighing } from '../../document/inside.ts';
import { printSize } from '../../sizing/size.ts';
import type { Need } from './need.ts';

type Treated = Pick<Place, 'inside' | 'painted' | 'neckOff' | 'twin'>;
type Filled = Treated & Pick<Place, 'nominal' | 'size'>;

/** Whether anything is done to it besides sizing and tying. */
export const isTreated = ({ inside, painted, neckOff, twin }: Treated): boolean =>
	(inside ?? painted ?? neckOff ?? twin) !== undefined;

/** Balloons in so many places: two bubbles are one. */
export const balloonsIn = ({ twin }: Pick<Place, 'twin'>, places: number): number =>
	twin ? Math.ceil(places / 2) : places;

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
	const weighs = (held: Weighing, full: number) =>
		needs.push({
			what: 'count',
			of: `litre of ${held.of}`,
			// What was said goes by the millilitre, a balloon that is filled by what a hand fills.
			quantity: (held.amount
				? rational(Math.round(fillLitres(held, full) * 1000), 1000)
				: hundredths(full)
			).mul(count)
		});
	if (inside?.kind === 'balloon' && inside.holds) weighs(inside.holds, litresIn(inside));
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
	else if (inside) weighs(inside, litresIn({ size, nominal }));
	if (painted) needs.push({ what: 'count', of: 'painted balloon', quantity: rational(count) });
	return needs;
}

export function insideTasks({ inside, painted, neckOff, twin }: Filled, count: number): TaskCount[] {
	const tasks: TaskCount[] = [];
	const push = (task: TaskCount['task'], ...batches: string[]) =>
		tasks.push(plainTask(task, count, ...batches));
	if (inside?.kind === 'balloon') {
		tasks.push(...sizingTasks({ ...inside, method: null }, count));
		if (inside.holds) push('fill weight', inside.holds.of);
		push('tie');
		push('put inside');
	} else if (inside) push('fill weight', inside.of);
	if (painted) push('paint', 'paint');
	if (neckOff) push('cut');
	if (twin) push('twist');
	return tasks;
}

/** Two balloons of a cluster are alike inside too. */
export const sameInside = (a: Treated, b: Treated): boolean =>
	a.painted === b.painted &&
	a.neckOff === b.neckOff &&
	a.twin === b.twin &&
	(a.inside === b.inside || JSON.stringify(a.inside) === JSON.stringify(b.inside));

/** A balloon in a balloon: its slot and width, mm. */
export interface InnerBall {
	readonly slot: Id;
	readonly d: number;
}

/** The part of a balloon that is painted; of one painted all over nothing shows. */
export const paintedPart = ({ painted }: Pick<Place, 'painted'>): PaintPart | undefined =>
	painted === true ? undefined : painted;

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
		...(balloon.twin && { look: twinWords(balloon) }),
		...(balloon.or !== undefined && { or: balloon.or }),
		quantity: rational(balloonsIn(balloon, count))
	}) as const;

/** `two bubbles of 5`: how a balloon twisted in two is told on the list. */
export const twinWords = ({ size }: Pick<Place, 'size'>): string => `two bubbles of ${printSize(size)}`;

/** The work of them, with what goes in and on. */
export const ownTasks = (balloon: OwnBalloon, count: number): TaskCount[] => [
	...sizingTasks(balloon, balloonsIn(balloon, count)),
	plainTask('tie', balloonsIn(balloon, count)),
	...insideTasks(balloon, balloonsIn(balloon, count))
];
