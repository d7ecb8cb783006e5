import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { conflictsOf, mostWanted, type Booking } from './conflicts.ts';
import { haveOf, hiresOf } from './owned.ts';

const booking = (quote: string, from: number, to: number, needs: Record<string, number>, firm = true): Booking => ({
	quote, says: quote, firm, from, to, needs: new Map(Object.entries(needs))
}); // prettier-ignore
const none = () => [];

describe('what is wanted twice', () => {
	test('two stands, three wanted on the second day alone: that day, who is only asked can wait, a longer one stands in', () => {
		const jobs = [booking('gala', 1, 3, { stand: 2 }), booking('fair', 2, 2, { stand: 1 }, false)];
		const have = new Map([['stand', 2], ['tall stand', 1]]); // prettier-ignore
		const [found, ...more] = conflictsOf(have, jobs, (m) => (m === 'stand' ? ['tall stand'] : []));
		expect(more).toEqual([]);
		expect(found).toMatchObject({ material: 'stand', from: 2, to: 2, wanted: 3, have: 2, standIns: [{ material: 'tall stand', free: 1 }] }); // prettier-ignore
		expect(found!.canWait.map((b) => b.quote)).toEqual(['fair']);
	});
	test('days that touch do not overlap: what is home on Friday goes out on Saturday', () =>
		expect(conflictsOf(new Map([['hoop', 1]]), [booking('a', 1, 5, { hoop: 1 }), booking('b', 6, 7, { hoop: 1 })], none)).toEqual([])); // prettier-ignore
	test('where all is agreed, who leaves last can wait; what is out itself does not stand in', () => {
		const jobs = [
			booking('a', 1, 3, { hoop: 1 }),
			booking('b', 3, 4, { hoop: 1 }),
			booking('c', 2, 3, { ring: 1 })
		];
		const have = new Map([['hoop', 1], ['ring', 1]]); // prettier-ignore
		const [found] = conflictsOf(have, jobs, (m) => (m === 'hoop' ? ['ring'] : []));
		expect([found!.canWait.map((b) => b.quote), found!.standIns]).toEqual([['b'], []]);
	});
	test('what is in repair or lost cannot be taken', () => {
		const thing = (condition: 'good' | 'worn' | 'in repair' | 'lost') => ({ material: 'hoop', condition });
		expect(haveOf([thing('good'), thing('worn'), thing('in repair'), thing('lost')]).get('hoop')).toBe(2);
		expect(haveOf([thing('lost')]).get('hoop')).toBe(0);
	});
	test('a hire price and a deposit are those of its dearest piece; what nobody said is not said', () => {
		const thing = (material: string, hireMinor: number | null, depositMinor: number | null) => ({ material, hireMinor, depositMinor }); // prettier-ignore
		expect(hiresOf([thing('hoop', null, 500), thing('hoop', 1800, null), thing('hoop', 1500, 400), thing('ring', null, null)])).toEqual({
			hoop: { hireMinor: 1800, depositMinor: 500 },
			ring: { hireMinor: null, depositMinor: null }
		}); // prettier-ignore
	});
	const jobs = fc.array(
		fc
			.record({ from: fc.nat(12), long: fc.nat(4), n: fc.integer({ min: 0, max: 3 }), firm: fc.boolean() })
			.map(({ from, long, n, firm }) => booking(`${from}`, from, from + long, { hoop: n }, firm)),
		{ maxLength: 8 }
	);
	test('day by day as counted one by one (property)', () => {
		fc.assert(
			fc.property(jobs, fc.nat(4), (bookings, there) => {
				const found = conflictsOf(new Map([['hoop', there]]), bookings, none);
				for (let day = 0; day < 20; day++) {
					const wanted = bookings.reduce((a, b) => a + (b.from <= day && day <= b.to ? b.needs.get('hoop')! : 0), 0);
					const own = found.filter((c) => c.from <= day && day <= c.to);
					expect([day, own.length]).toEqual([day, wanted > there ? 1 : 0]);
					expect(mostWanted('hoop', bookings, day, day)).toBe(wanted);
					if (own[0]) expect(own[0].wanted).toBeGreaterThanOrEqual(wanted);
				}
			})
		);
	}); // prettier-ignore
});
