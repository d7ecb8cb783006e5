import ICAL from 'ical.js';
import { parseAbsolute, toCalendarDateTime, type CalendarDateTime } from '@internationalized/date';
import { dayNumber, dayOfNumber } from '../../core/units/calendar-day.ts';
import type { OtherEvent } from '../repos/jobs.ts';

/** Most that is taken out of one calendar, and how far back and ahead what repeats is followed, days. */
const MOST_EVENTS = 2000;
const [BACK, AHEAD] = [62, 731];
/** So often one thing repeats at most before the rest is left. */
const MOST_TIMES = 5000;
const MOST_TITLE = 200;

export type ReadCalendar =
	| { readonly ok: true; readonly name: string; readonly events: readonly Omit<OtherEvent, 'calendar'>[]; readonly left: number }
	| { readonly ok: false; readonly say: string }; // prettier-ignore

/**
 * Reads an iCalendar file (RFC 5545): what is in it from two months back to two years ahead, what repeats each time it does.
 * @param zone IANA name: hours of other zones are told as they are here
 * @param today `YYYY-MM-DD`
 */
export function readCalendar({ text, zone, today }: { readonly text: string; readonly zone: string; readonly today: string }): ReadCalendar {
	const no = (say: string): ReadCalendar => ({ ok: false, say });
	let root: ICAL.Component;
	try {
		const jcal = ICAL.parse(text) as unknown[];
		root = new ICAL.Component(jcal as ConstructorParameters<typeof ICAL.Component>[0]);
	} catch {
		return no('This is no calendar file. Save it as iCalendar (.ics) and choose it again.');
	}
	if (root.name !== 'vcalendar') return no('This file holds no calendar. Save it as iCalendar (.ics) and choose it again.');
	const zones = root.getAllSubcomponents('vtimezone').map((own) => new ICAL.Timezone(own));
	for (const own of zones) ICAL.TimezoneService.register(own);
	try {
		const window = { first: dayOfNumber(dayNumber(today) - BACK), last: dayOfNumber(dayNumber(today) + AHEAD), zone };
		const found: Omit<OtherEvent, 'calendar'>[] = [];
		let left = 0;
		for (const component of root.getAllSubcomponents('vevent')) {
			const event = new ICAL.Event(component);
			// A time that was moved is told by itself.
			if (!component.getFirstProperty('dtstart')) continue;
			try {
				for (const one of timesOf(event, window)) {
					if (found.length < MOST_EVENTS) found.push(one);
					else left++;
				}
			} catch {
				left++;
			}
		}
		const name = root.getFirstPropertyValue('x-wr-calname');
		const unique = [...new Map(found.map((e) => [e.uid, e])).values()];
		return { ok: true, name: typeof name === 'string' ? name.trim().slice(0, 60) : '', events: unique, left };
	} finally {
		for (const own of zones) ICAL.TimezoneService.remove(own.tzid);
	}
} // prettier-ignore

interface Window {
	readonly first: string;
	readonly last: string;
	readonly zone: string;
}

/** Each time an event happens within the days that are looked at. */
function* timesOf(event: ICAL.Event, window: Window): Generator<Omit<OtherEvent, 'calendar'>> {
	const title = (event.summary || 'busy').trim().slice(0, MOST_TITLE);
	const uid = (event.uid || title).slice(0, 180);
	const length = event.duration;
	const made = (start: ICAL.Time, end: ICAL.Time, id: string): Omit<OtherEvent, 'calendar'> | undefined => {
		if (start.isDate) {
			const firstDay = dayText(start);
			// The end of a whole day is the day after it (RFC 5545, 3.6.1).
			const lastDay = dayOfNumber(Math.max(dayNumber(firstDay), dayNumber(dayText(end)) - 1));
			return isIn(window, firstDay, lastDay) ? { uid: id, title, firstDay, lastDay, fromMinute: null, toMinute: null } : undefined;
		}
		const [from, to] = [localOf(start, window.zone), localOf(end, window.zone)];
		const [firstDay, lastDay] = [from.toString().slice(0, 10), to.toString().slice(0, 10)];
		if (!isIn(window, firstDay, lastDay)) return undefined;
		// What goes on for days is shown as days; a night out stays hours.
		const isLong = dayNumber(lastDay) - dayNumber(firstDay) > 1;
		const minute = ({ hour, minute: m }: CalendarDateTime) => hour * 60 + m;
		return { uid: id, title, firstDay, lastDay: isLong ? lastDay : firstDay, fromMinute: isLong ? null : minute(from), toMinute: isLong ? null : minute(to) };
	};
	if (!event.isRecurring()) {
		const id = event.recurrenceId ? `${uid}/${event.recurrenceId.toString()}` : uid;
		const one = made(event.startDate, event.endDate, id.slice(0, 240));
		if (one) yield one;
		return;
	}
	const times = event.iterator();
	for (let n = 0; n < MOST_TIMES; n++) {
		const start = times.next() as ICAL.Time | null;
		if (!start || dayText(start) > window.last) return;
		const end = start.clone();
		end.addDuration(length);
		const one = made(start, end, `${uid}/${start.toString()}`.slice(0, 240));
		if (one) yield one;
	}
} // prettier-ignore

const isIn = ({ first, last }: Window, from: string, to: string): boolean => from <= last && to >= first;
const dayText = (time: ICAL.Time): string => time.toString().slice(0, 10);
/** The hour it is here then; an hour of no zone is an hour here. */
const localOf = (time: ICAL.Time, zone: string): CalendarDateTime => {
	if (time.zone === ICAL.Timezone.localTimezone) return toCalendarDateTime(parseAbsolute(`${time.toString()}Z`, 'UTC'));
	return toCalendarDateTime(parseAbsolute(time.toJSDate().toISOString(), zone));
}; // prettier-ignore
