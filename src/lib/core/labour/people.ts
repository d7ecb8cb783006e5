import { ONE, rational, ZERO, type Rational, type RationalText } from '../units/rational.ts';

/** Somebody who works here. */
export interface Person {
	readonly id: string;
	readonly name: string;
	/** Wage, minor units an hour; the owner's is what she wants for her own hour. */
	readonly wage: number;
	/** What comes on top of a wage: taxes, insurance, holidays. Per cent. */
	readonly onCosts: RationalText;
	/** Hours this one takes for an hour of the standards: 1 is the owner's own pace, 1.6 a new helper. */
	readonly pace: RationalText;
	readonly isOwner: boolean;
}

/** What an hour of the time standards comes to with the hands that are there. */
export interface Crew {
	readonly people: readonly Person[];
	/** Minor units a standard hour. */
	readonly perHour: Rational;
	/** Of that, what the owner's own work is reckoned at. */
	readonly ownPerHour: Rational;
	/** Hours of the owner's own in a standard hour; 0 where she is not there. */
	readonly ownHours: Rational;
	/** Hours by the clock for a standard hour, all working at once. */
	readonly clock: Rational;
}

/** What somebody costs an hour, with all that comes on top. */
export const loaded = ({ wage, onCosts }: Pick<Person, 'wage' | 'onCosts'>): Rational =>
	rational(wage).mul(rational(onCosts).div(100).add(1));

/**
 * A crew that works side by side until all is done: of so many standard hours each does what their pace allows, so a
 * standard hour takes 1 / Σ(1 / pace) by the clock and costs that times the sum of their rates.
 * @param people who is there; nobody is the studio's own rate, all of it the owner's work
 * @param labourPerHour that rate, minor units
 * @param together what each of several does of what they do alone, per cent: hands wait for each other
 */
export function crewOf(
	people: readonly Person[],
	labourPerHour: number,
	together: RationalText = '100'
): Crew {
	if (people.length === 0)
		return {
			people,
			perHour: rational(labourPerHour),
			ownPerHour: rational(labourPerHour),
			ownHours: ONE,
			clock: ONE
		};
	const kept = people.length > 1 ? rational(together).div(100) : ONE;
	const speed = people.reduce((a, p) => a.add(ONE.div(rational(p.pace))), ZERO).mul(kept);
	const clock = ONE.div(speed);
	const sum = (some: readonly Person[]) => some.reduce((a, p) => a.add(loaded(p)), ZERO).mul(clock);
	const own = people.filter((p) => p.isOwner);
	return { people, perHour: sum(people), ownPerHour: sum(own), ownHours: clock.mul(own.length), clock };
}
