import ICAL from 'ical.js';
import { describe, expect, test } from 'vitest';
import type { JobDay } from '../../core/job/job.ts';
import { jobsCalendar, type JobEntry } from '../post/jobs-calendar.ts';
import { readCalendar } from './read-calendar.ts';

const about = { zone: 'America/New_York', today: '1997-09-01' };
const file = (...lines: string[]) => ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//x//EN', ...lines, 'END:VCALENDAR', ''].join('\r\n'); // prettier-ignore
const event = (...lines: string[]) => ['BEGIN:VEVENT', 'DTSTAMP:19970901T130000Z', ...lines, 'END:VEVENT'];
const read = (text: string, more = {}) => {
	const found = readCalendar({ text, ...about, ...more });
	if (!found.ok) throw new Error(found.say);
	return found;
};
const days = (text: string, more = {}) => read(text, more).events.map((e) => [e.firstDay, e.lastDay, e.fromMinute, e.toMinute]); // prettier-ignore
/** New York as RFC 5545 3.6.5 has it, from 1987 on. */
const NEW_YORK = ['BEGIN:VTIMEZONE', 'TZID:America/New_York', 'BEGIN:DAYLIGHT', 'DTSTART:19870405T020000', 'RRULE:FREQ=YEARLY;BYDAY=1SU;BYMONTH=4', 'TZOFFSETFROM:-0500', 'TZOFFSETTO:-0400', 'END:DAYLIGHT', 'BEGIN:STANDARD', 'DTSTART:19871025T020000', 'RRULE:FREQ=YEARLY;BYDAY=-1SU;BYMONTH=10', 'TZOFFSETFROM:-0400', 'TZOFFSETTO:-0500', 'END:STANDARD', 'END:VTIMEZONE']; // prettier-ignore

describe('examples of RFC 5545, from memory', () => {
	test('3.8.5.3: every other week on Monday, Wednesday and Friday until December 24, 1997, but for the first', () => {
		const text = file(...NEW_YORK, ...event('UID:w', 'SUMMARY:Weaving', 'DTSTART;TZID=America/New_York:19970901T090000', 'DURATION:PT1H', 'RRULE:FREQ=WEEKLY;INTERVAL=2;UNTIL=19971224T000000Z;WKST=SU;BYDAY=MO,WE,FR')); // prettier-ignore
		expect(days(text).slice(0, 5).map(([d]) => d)).toEqual(['1997-09-01', '1997-09-03', '1997-09-05', '1997-09-15', '1997-09-17']); // prettier-ignore
		expect(days(text).at(-1)).toEqual(['1997-12-22', '1997-12-22', 540, 600]);
	});
	test('3.6.1: a day long, and from June 28 through July 8', () => {
		expect(days(file(...event('UID:a', 'DTSTART;VALUE=DATE:19971102', 'SUMMARY:Our holiday')))).toEqual([['1997-11-02', '1997-11-02', null, null]]); // prettier-ignore
		expect(days(file(...event('UID:b', 'DTSTART;VALUE=DATE:19970928', 'DTEND;VALUE=DATE:19971009', 'SUMMARY:Festival')))).toEqual([['1997-09-28', '1997-10-08', null, null]]); // prettier-ignore
	});
	test('an hour of universal time and one of another zone are told as they are here; one of no zone as it is', () => {
		const at = (start: string) => file(...NEW_YORK, ...event('UID:c', `DTSTART${start}`, 'DURATION:PT90M'));
		expect(days(at(':19970903T163000Z'))).toEqual([['1997-09-03', '1997-09-03', 750, 840]]);
		expect(days(at(';TZID=America/New_York:19970903T163000'))).toEqual([
			['1997-09-03', '1997-09-03', 990, 1080]
		]);
		expect(days(at(':19970903T163000'))).toEqual([['1997-09-03', '1997-09-03', 990, 1080]]);
		expect(days(at(';TZID=America/New_York:19970903T163000'), { zone: 'Europe/Paris' })).toEqual([['1997-09-03', '1997-09-03', 1350, 0]]); // prettier-ignore
	});
	test('a time that falls out, and one that was moved', () => {
		const text = file(...event('UID:d', 'DTSTART:19970902T090000', 'DURATION:PT1H', 'RRULE:FREQ=DAILY;COUNT=4', 'EXDATE:19970903T090000', 'SUMMARY:Class'), ...event('UID:d', 'RECURRENCE-ID:19970904T090000', 'DTSTART:19970904T140000', 'DURATION:PT1H', 'SUMMARY:Class, later')); // prettier-ignore
		const found = days(text).sort().map(([d, , from]) => [d, from]); // prettier-ignore
		expect(found).toContainEqual(['1997-09-04', 840]);
		expect(found.map(([d]) => d)).not.toContain('1997-09-03');
	});
});

describe('what is no calendar, or too much of one', () => {
	test.each(['', 'hello', '{"a":1}', 'BEGIN:VCARD\r\nEND:VCARD', 'BEGIN:VCALENDAR\r\nBEGIN:VEVENT'])('%j is refused in words', (text) => {
		expect(readCalendar({ text, ...about })).toMatchObject({ ok: false, say: expect.stringContaining('(.ics)') });
	}); // prettier-ignore
	test('what repeats for ever is followed for two years; what is long over is left', () => {
		const text = file(...event('UID:e', 'DTSTART;VALUE=DATE:19970101', 'RRULE:FREQ=DAILY'), ...event('UID:f', 'DTSTART;VALUE=DATE:19800101')); // prettier-ignore
		const { events } = read(text);
		expect([events[0]!.firstDay, events.at(-1)!.firstDay, events.length]).toEqual(['1997-07-01', '1999-09-02', 794]); // prettier-ignore
	});
	test('a thousand a second is not gone through to the end', () => {
		const text = file(...event('UID:g', 'DTSTART:19970901T000000', 'RRULE:FREQ=SECONDLY'));
		expect(read(text).events.length).toBeLessThanOrEqual(2000);
	});
	test('one event that cannot be read leaves the others', () => {
		const text = file(...event('UID:h', 'DTSTART:soon'), ...event('UID:i', 'DTSTART;VALUE=DATE:19970903', `SUMMARY:${'x'.repeat(500)}`)); // prettier-ignore
		const { events } = read(text);
		expect(events.map((e) => e.uid)).toContain('i');
		for (const e of events) expect(e.title.length).toBeLessThanOrEqual(200);
	});
});

describe('jobs as a calendar, read by an independent parser', () => {
	const day = (more: Partial<JobDay>): JobDay => ({ id: 'build-1', stage: 'build', day: '2027-06-11', from: null, to: null, people: ['pip'], note: '', ...more }); // prettier-ignore
	const entry = (more: Partial<JobDay>): JobEntry => ({ job: 'q', day: day(more), client: 'Tidewick; Library, north', who: ['Pip'], where: '4 Chart Street', about: 'Map evening\nhttp://x/jobs/q', zone: 'America/New_York' }); // prettier-ignore
	const parsed = (...entries: JobEntry[]) =>
		new ICAL.Component(ICAL.parse(jobsCalendar(entries, new Date(0))) as never).getAllSubcomponents('vevent').map((c) => new ICAL.Event(c)); // prettier-ignore
	test('a whole day, hours in universal time, and over midnight', () => {
		const [whole, hours, night] = parsed(entry({}), entry({ id: 'set-up', stage: 'set up', from: 540, to: 630 }), entry({ id: 'strike', stage: 'strike', from: 22 * 60, to: 60 })); // prettier-ignore
		expect([whole!.startDate.isDate, whole!.startDate.toString(), whole!.endDate.toString()]).toEqual([true, '2027-06-11', '2027-06-12']); // prettier-ignore
		expect([whole!.summary, whole!.location, whole!.uid]).toEqual(['Build: Tidewick; Library, north · Pip', '4 Chart Street', 'q.build-1@bright-tally.invalid']); // prettier-ignore
		// Noon and half past two in universal time is nine to half past ten there in summer.
		expect([hours!.startDate.toString(), hours!.endDate.toString()]).toEqual(['2027-06-11T13:00:00Z', '2027-06-11T14:30:00Z']); // prettier-ignore
		expect([night!.startDate.toString(), night!.endDate.toString()]).toEqual(['2027-06-12T02:00:00Z', '2027-06-12T05:00:00Z']); // prettier-ignore
	});
	test('taken out and brought in it is at the same hours', () => {
		const text = jobsCalendar([entry({ from: 540, to: 630 })], new Date(0));
		expect(days(text, { today: '2027-06-01' })).toEqual([['2027-06-11', '2027-06-11', 540, 630]]);
	});
	test('no job is a calendar too', () => expect(parsed()).toEqual([]));
});
