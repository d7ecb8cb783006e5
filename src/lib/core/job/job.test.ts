import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { dayNumber, dayOfNumber } from '../units/calendar-day.ts';
import { doubleBooked, type DatedJob } from './double-booked.ts';
import { eventDay, inOrder, minutesOf, STAGES, type JobDay, type Stage } from './job.ts';
import { jobSaidSchema } from './job.schema.ts';
import { judgeDays, type DayFacts } from './judge-days.ts';
import { hourField, printHour, readDay, readPlace } from './read-days.ts';
import { nextYear, shifted } from './shift.ts';
import { usualDays, type Reckoned } from './usual-days.ts';
import { POINT } from '../units/number.ts';

const context = { style: POINT, currency: 'USD' } as const;
const day = (stage: Stage, on: string, more: Partial<JobDay> = {}): JobDay => ({ id: `${stage} ${on}`, stage, day: on, from: null, to: null, people: ['pip'], note: '', ...more }); // prettier-ignore
const facts: DayFacts = { today: '2027-05-04', buildHours: 6, pace: () => 1, hasAir: true, words: (d) => d };
const reckoned: Reckoned = { event: '2027-06-12', buildHours: 6, people: ['pip'], clock: 1, floats: false, leftAs: 'set up and struck' }; // prettier-ignore

const anyDay = fc.record({
	id: fc.uuid(),
	stage: fc.constantFrom(...STAGES),
	day: fc.integer({ min: 20_000, max: 20_060 }).map(dayOfNumber),
	from: fc.option(fc.integer({ min: 0, max: 1439 })),
	people: fc.subarray(['pip', 'moss', 'tansy']),
	note: fc.string({ maxLength: 20 })
});
const anyDays = fc.array(
	fc.tuple(anyDay, fc.integer({ min: 1, max: 900 })).map(([d, long]): JobDay => ({ ...d, to: d.from === null ? null : (d.from + long) % 1440 })), // prettier-ignore
	{ maxLength: 12 }
);

describe('the usual days', () => {
	test('built the day before, driven, set up, struck on the day: common practice', () => {
		expect(usualDays(reckoned).map((d) => [d.stage, d.day])).toEqual([
			['build', '2027-06-11'],
			['drive', '2027-06-12'],
			['set up', '2027-06-12'],
			['event', '2027-06-12'],
			['strike', '2027-06-12']
		]);
	});
	test.each([
		[8, 1, 1],
		[8.1, 1, 2],
		[24, 1, 3],
		[24, 0.5, 2],
		[0, 1, 0]
	])('%d standard hours at %d by the clock are %d days of building', (buildHours, clock, days) => {
		const builds = usualDays({ ...reckoned, buildHours, clock }).filter((d) => d.stage === 'build');
		expect(builds).toHaveLength(days);
		expect(builds.at(-1)?.day).toBe(days === 0 ? undefined : '2027-06-11');
	});
	test('what floats is filled on the day; what is left there is not struck; what is delivered is not set up', () => {
		const stages = (more: Partial<Reckoned>) => usualDays({ ...reckoned, ...more }).map((d) => `${d.stage} ${d.day.slice(8)}`);
		expect(stages({ floats: true })).toContain('build 12');
		expect(stages({ leftAs: 'set up and left' })).not.toContain('strike 12');
		expect(stages({ leftAs: 'delivered and left' })).toEqual(['build 11', 'drive 12', 'event 12']);
	}); // prettier-ignore
	test('are judged to be right, whatever is reckoned with, up to three days of building', () => {
		fc.assert(
			fc.property(fc.double({ min: 0, max: 24, noNaN: true }), fc.boolean(), (buildHours, floats) => {
				const days = usualDays({ ...reckoned, buildHours, floats });
				expect(judgeDays(days, { ...facts, buildHours })).toEqual([]);
				expect(jobSaidSchema.shape.days.parse(days)).toEqual(days);
			})
		);
	});
});

describe('days are judged', () => {
	const say = (days: readonly JobDay[], more: Partial<DayFacts> = {}) => judgeDays(days, { ...facts, ...more }).map((f) => f.say).join(' '); // prettier-ignore
	const event = day('event', '2027-06-12');
	test.each<[string, JobDay[], string, Partial<DayFacts>?]>([
		['no event', [day('build', '2027-06-11')], 'No day is said for the event'],
		['built after it', [event, day('build', '2027-06-13')], 'Build stands after the event'],
		['struck before it', [event, day('build', '2027-06-11'), day('strike', '2027-06-11')], 'before the event is over'],
		['latex too early', [event, day('build', '2027-06-08')], 'Built 4 days before'],
		['nobody on it', [event, day('build', '2027-06-11', { people: [] })], 'Nobody is on build'],
		['no day to build on', [event], 'no day is said for it'],
		['too few hours', [event, day('build', '2027-06-11', { from: 540, to: 600 })], 'there is 1 hour for it'],
		['eighteen hours on end', [event, day('build', '2027-06-11', { from: 360, to: 0 })], '18 hours on end'],
		['set up before it is there', [event, day('build', '2027-06-11'), day('drive', '2027-06-12', { from: 600, to: 660 }), day('set up', '2027-06-12', { from: 540, to: 700 })], 'Drive begins after set up does'],
		['a day that is over', [event, day('build', '2027-06-11')], 'is over. If it was not built then', { today: '2027-06-12' }]
	])('%s', (_, days, words, more) => expect(say(days, more)).toContain(words)); // prettier-ignore
	test('who is half as quick as all of them gets half of it done', () => {
		const days = [event, day('build', '2027-06-11', { from: 540, to: 900 })];
		expect(say(days)).toBe('');
		expect(say(days, { pace: () => 0.5 })).toContain('Building takes 6 hours with these people, and there are 3 hours for it.');
	}); // prettier-ignore
	test('frames and foils alone may be made a week before', () =>
		expect(say([event, day('build', '2027-06-05')], { hasAir: false })).toBe(''));
	test('a job that is over asks for nobody any more', () =>
		expect(say([event, day('build', '2027-06-11', { people: [] })], { today: '2027-06-13' })).toBe(''));
	test('whatever days there are, each sentence ends, and what is bad stands first', () => {
		fc.assert(
			fc.property(anyDays, (days) => {
				const found = judgeDays(days, facts);
				for (const { say: words } of found) expect(words).toMatch(/[.?]$/);
				const levels = found.map((f) => f.level);
				expect(levels).toEqual([...levels].sort());
			})
		);
	});
});

describe('people at two jobs', () => {
	const job = (id: string, ...days: JobDay[]): DatedJob => ({ id, says: id, days });
	const at = (from: number, to: number, on = '2027-06-12') =>
		day('set up', on, { from: from * 60, to: to * 60 });
	test('at the same hour for sure, one after the other not, without an hour perhaps', () => {
		expect(doubleBooked([job('a', at(9, 11)), job('b', at(10, 12))])).toMatchObject([{ person: 'pip', sure: true, day: '2027-06-12' }]); // prettier-ignore
		expect(doubleBooked([job('a', at(9, 11)), job('b', at(11, 12))])).toEqual([]);
		expect(doubleBooked([job('a', at(9, 11)), job('b', day('build', '2027-06-12'))])).toMatchObject([
			{ sure: false }
		]);
		expect(doubleBooked([job('a', at(9, 11), at(10, 12))])).toEqual([]);
		expect(doubleBooked([job('a', at(9, 11)), job('b', { ...at(9, 11), people: ['moss'] })])).toEqual([]);
		expect(doubleBooked([job('a', at(9, 11)), job('b', { ...at(9, 11), stage: 'event' })])).toEqual([]);
	});
	test('over midnight reaches into the next day', () => {
		const night = day('strike', '2027-06-12', { from: 22 * 60, to: 2 * 60 });
		expect(doubleBooked([job('a', night), job('b', at(1, 3, '2027-06-13'))])).toMatchObject([{ sure: true }]);
		expect(doubleBooked([job('a', night), job('b', at(2, 3, '2027-06-13'))])).toEqual([]);
	});
	test('who is sure to be twice at once is found by looking at every minute, too', () => {
		fc.assert(
			fc.property(anyDays, anyDays, (one, other) => {
				const minutes = (days: readonly JobDay[], person: string) =>
					new Set(
						days.flatMap((d) => {
							const long = minutesOf(d);
							if (d.stage === 'event' || d.from === null || long === null || !d.people.includes(person)) return [];
							return Array.from({ length: long }, (_, i) => dayNumber(d.day) * 1440 + d.from! + i);
						})
					);
				const sure = new Set(doubleBooked([job('a', ...one), job('b', ...other)]).flatMap((d) => (d.sure ? [d.person] : [])));
				for (const person of ['pip', 'moss', 'tansy']) {
					const theirs = minutes(other, person);
					expect([person, sure.has(person)]).toEqual([person, [...minutes(one, person)].some((m) => theirs.has(m))]);
				}
			})
		);
	}); // prettier-ignore
});

describe('a job that moves', () => {
	test('takes all its days along, as far as its event', () => {
		fc.assert(
			fc.property(anyDays, fc.integer({ min: 20_100, max: 20_200 }).map(dayOfNumber), (days, to) => {
				const moved = shifted(days, to);
				const event = eventDay(days);
				if (event === undefined) {
					expect(moved).toEqual(days);
					return;
				}
				expect(eventDay(moved)).toBe(to);
				const by = dayNumber(to) - dayNumber(event);
				moved.forEach((d, i) => expect(dayNumber(d.day) - dayNumber(days[i]!.day)).toBe(by));
				expect(shifted(moved, event)).toEqual(days);
			})
		);
	});
	test('days stand in the order they come', () => {
		const order = inOrder([day('strike', '2027-06-12'), day('event', '2027-06-12'), day('build', '2027-06-12'), day('build', '2027-06-10')]);
		expect(order.map((d) => d.stage)).toEqual(['build', 'build', 'event', 'strike']);
	}); // prettier-ignore
});

describe('what is typed', () => {
	test.each([['9', 540], ['9:30', 570], ['09.30', 570], ['14h05', 845], ['12 am', 0], ['12 pm', 720], ['1:15pm', 795], ['13:00:00', 780], ['', null]])('“%s” is %s minutes', (typed, minutes) => {
		expect(hourField('It').read(typed, context)).toEqual({ ok: true, value: minutes });
	}); // prettier-ignore
	test.each(['25', '9:61', 'noon', '13 pm', '0am', '-1', '9:3'])('“%s” is no hour', (typed) => {
		expect(hourField('It').read(typed, context)).toMatchObject({ ok: false, say: expect.stringContaining('such as 9:30') }); // prettier-ignore
	});
	test('an hour printed is read as it was', () => {
		fc.assert(fc.property(fc.integer({ min: 0, max: 1439 }), (m) => void expect(hourField('It').read(printHour(m), context)).toEqual({ ok: true, value: m }))); // prettier-ignore
	});
	const typed = { stage: 'build', day: '2027-06-11', from: '9', to: '17', note: '', 'person-pip': 'on', 'person-ghost': 'on' }; // prettier-ignore
	const about = { people: ['pip', 'moss'], today: '2027-05-04' };
	test('a day of a job, with those who are known', () => {
		const read = readDay(typed, about, context);
		expect(read).toEqual({ ok: true, day: { stage: 'build', day: '2027-06-11', from: 540, to: 1020, note: '', people: ['pip'] } }); // prettier-ignore
	});
	test.each<[Record<string, string>, string, string]>([
		[{ stage: 'dance' }, 'stage', 'Choose what'],
		[{ day: '' }, 'day', 'On which day?'],
		[{ day: '2027-02-31x' }, 'day', 'is a day'],
		[{ day: '2207-06-11' }, 'day', 'years away'],
		[{ from: '' }, 'from', 'From when?'],
		[{ to: '9:00' }, 'to', 'ends when it begins'],
		[{ to: 'late' }, 'to', 'such as 9:30']
	])('%o is refused at %s', (more, field, words) => {
		expect(readDay({ ...typed, ...more }, about, context)).toMatchObject({ ok: false, errors: { [field]: expect.stringContaining(words) } }); // prettier-ignore
	});
	test('a place is words', () => {
		const place = { address: '1 Quay Lane', access: '', parking: '', floors: '', contact: 'Sorrel', phone: '555 0100' }; // prettier-ignore
		expect(readPlace({ ...place, note: 'ring twice' }, context)).toEqual({
			ok: true,
			place,
			note: 'ring twice'
		});
		expect(readPlace({ ...place, phone: '5'.repeat(61) }, context)).toMatchObject({ ok: false, errors: { phone: expect.any(String) } }); // prettier-ignore
	});
});

describe('the same for next year', () => {
	test('is on the same day of the week, and ahead', () => {
		expect(nextYear('2027-06-12', '2027-06-20')).toBe('2028-06-10');
		expect(nextYear('2024-02-29', '2027-06-20')).toBe('2028-02-24');
		fc.assert(
			fc.property(fc.integer({ min: 15_000, max: 25_000 }), fc.integer({ min: -800, max: 3000 }), (n, later) => {
				const then = dayNumber(nextYear(dayOfNumber(n), dayOfNumber(n + later)));
				expect((then - n) % 7).toBe(0);
				expect(then).toBeGreaterThan(n + Math.max(0, later));
			})
		);
	}); // prettier-ignore
});
