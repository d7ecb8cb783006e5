import { mostWanted } from '../../core/owned/conflicts.ts';
import { GONE } from '../../core/document/names.ts';
import { haveOf, isPiece } from '../../core/owned/owned.ts';
import { dayNumber, dayOfNumber } from '../../core/units/calendar-day.ts';
import type { Repos } from '../repos/index.ts';
import { bookingsBetween, conflictsIn } from '../services/jobs-ahead.ts';
import { loadStudio } from '../services/studio.ts';

/** Days that are shown side by side, and those that are looked at for what is wanted twice. */
const [SHOWN, AHEAD] = [14, 120];

/** What comes back: its pieces, who has them day by day, and what is wanted twice. @param from `2027-05-01` */
export async function thingsPage(repos: Repos, { from, today }: { from: string; today: string }) {
	const [studio, owned] = await Promise.all([loadStudio(repos), repos.things.owned()]);
	const first = dayNumber(from);
	const [start, end] = [Math.min(first, dayNumber(today)), Math.max(first + SHOWN, dayNumber(today) + AHEAD)];
	const bookings = await bookingsBetween(repos, dayOfNumber(start), dayOfNumber(end));
	const have = haveOf(owned);
	const back = studio.materials.filter(isPiece);
	const byId = new Map(studio.materials.map((m) => [m.id, m]));
	const nameOf = (id: string) => byId.get(id)?.name ?? GONE.material;
	const shown = back.filter((m) => have.has(m.id) || bookings.some((b) => b.needs.has(m.id)));
	const days = Array.from({ length: SHOWN }, (_, i) => first + i);
	return {
		from,
		earlier: dayOfNumber(first - SHOWN),
		later: dayOfNumber(first + SHOWN),
		days: days.map(dayOfNumber),
		rows: shown.map(({ id, name }) => ({
			id,
			name,
			have: have.get(id) ?? null,
			wanted: days.map((day) => ({
				count: mostWanted(id, bookings, day, day),
				by: bookings
					.filter((b) => b.from <= day && day <= b.to && (b.needs.get(id) ?? 0) > 0)
					.map((b) => `${b.needs.get(id)} × ${b.says}${b.firm ? '' : ', offered'}`)
			}))
		})),
		conflicts: conflictsIn(studio, owned, bookings)
			.filter((c) => c.to >= dayNumber(today))
			.map((c) => ({
				thing: c.thing,
				from: dayOfNumber(c.from),
				to: dayOfNumber(c.to),
				wanted: c.wanted,
				have: c.have,
				by: c.by.map(({ quote, says, firm, needs }) => ({ quote, says, firm, count: needs.get(c.material) ?? 0 })),
				canWait: c.canWait.map(({ says, firm }) => ({ says, firm })),
				standIns: c.standIns
			})),
		owned: owned.map((o) => ({ ...o, thing: nameOf(o.material) })),
		back: back.map(({ id, name }) => [id, name] as const),
		uncounted: shown.filter((m) => !have.has(m.id)).map((m) => m.name)
	};
} // prettier-ignore
