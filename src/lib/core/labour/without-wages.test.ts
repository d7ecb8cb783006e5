import fc from 'fast-check';
import { expect, test } from 'vitest';
import { crewOf, type Person } from './people.ts';
import { withoutWages } from './without-wages.ts';

const anyone = fc.record({
	wage: fc.integer({ min: 0, max: 9000 }),
	onCosts: fc.integer({ min: 0, max: 40 }).map(String),
	pace: fc.integer({ min: 5, max: 30 }).map((n) => `${n}/10`),
	isOwner: fc.boolean()
});

test('every figure of the crew stays what it is, and no helper’s wage is told (property)', () => {
	fc.assert(
		fc.property(fc.array(fc.tuple(anyone, fc.boolean()), { minLength: 1, maxLength: 6 }), (drawn) => {
			const people: Person[] = drawn.map(([p], i) => ({ ...p, id: String(i), name: `p${i}` }));
			const crew = people.filter((_, i) => drawn[i]![1]).map((p) => p.id);
			const told = withoutWages(people, crew);
			const of = (all: readonly Person[]) => all.filter((p) => crew.includes(p.id));
			const [real, shown] = [crewOf(of(people), 1800, '90'), crewOf(of(told), 1800, '90')];
			for (const figure of ['perHour', 'ownPerHour', 'ownHours', 'clock'] as const)
				expect(shown[figure].equals(real[figure])).toBe(true);
			const helpers = told.filter((p) => !p.isOwner);
			const inCrew = helpers.filter((p) => crew.includes(p.id));
			expect(new Set(inCrew.map((p) => `${p.wage} ${p.onCosts}`)).size).toBeLessThanOrEqual(1);
			expect(helpers.filter((p) => !crew.includes(p.id)).every((p) => p.wage === 0)).toBe(true);
		})
	);
});
