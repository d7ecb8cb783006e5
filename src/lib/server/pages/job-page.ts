import { doubleBooked } from '../../core/job/double-booked.ts';
import { inOrder, peopleOn, STAGE_WORDS, type JobDay, type Stage } from '../../core/job/job.ts';
import { openOn } from '../../core/job/settled.ts';
import { judgeDays, type DayFinding } from '../../core/job/judge-days.ts';
import { dayNumber, dayOfNumber } from '../../core/units/calendar-day.ts';
import { dayWords } from '../../core/quote/day-words.ts';
import { heightSaid, heightWords } from '../../core/tally/height.ts';
import type { JobRow } from '../repos/jobs.ts';
import type { Repos } from '../repos/index.ts';
import { hoursWith, saidOf, talliesOf, workOfJob, type JobWork } from '../services/job.ts';
import { saysOf, wantedTwice } from '../services/jobs-ahead.ts';
import { loadStudio, type Studio } from '../services/studio.ts';

/** Days around a job in which others are held against it. */
const BESIDE = 10;

/** A job for whoever works on it: no price is read here. @param today where the business is; null where there is none such */
export async function jobPage(repos: Repos, { id, today }: { readonly id: string; readonly today: string }) {
	const studio = await loadStudio(repos);
	const work = await workOfJob(repos, id, studio);
	if (!work) return null;
	const { row, client } = work;
	const said = saidOf(work);
	const days = inOrder(said.days);
	const hours = (stage: Stage) => hoursWith(work, peopleOn(days, stage));
	const building = hours('build');
	const { settings } = studio;
	const facts = {
		today,
		buildHours: building.build,
		pace: (who: readonly string[]) => building.clock / hoursWith(work, who).clock,
		hasAir: work.hasAir,
		words: (day: string) => dayWords(day, settings)
	};
	const [twice, busy, counted] = await Promise.all([
		row.isRevised ? [] : wantedTwice(repos, { id }),
		doubleBookedOf(repos, studio, { id, days, row }),
		repos.jobCounts.counted([id])
	]);
	return {
		id,
		number: row.number,
		client: row.client,
		occasion: row.occasion,
		isRevised: row.isRevised,
		revision: row.revision,
		isUsual: row.said === null,
		isCounted: counted.has(id),
		isOver: row.day !== null && row.day <= today,
		days,
		place: said.place,
		note: said.note,
		allergies: client.details.allergies ?? '',
		people: settings.rates.people.map(({ id: own, name }) => ({ id: own, name })),
		findings: [...judgeDays(days, facts), ...busy, ...twice.map((say): DayFinding => ({ level: 'watch', say }))],
		/** By the clock, with whoever is on each. */
		hours: { build: building.build, setUp: hours('set up').setUp, strike: hours('strike').strike },
		pieces: await piecesOf(repos, work),
		typed: work.typed.map(({ label, quantity }) => ({ label, quantity })),
		/** Colours and counts that wait to be settled. */
		open: openOn(work.items),
		balloons: work.order.bill.balloons,
		spares: work.order.bill.spares
	};
} // prettier-ignore

/** Pieces as they are told apart on the page, each with its design. */
async function piecesOf(repos: Repos, work: JobWork) {
	const tallies = talliesOf(work);
	const quote = await repos.quotes.find(work.row.id);
	const versions = new Map(quote?.lines.map((l) => [l.id, l.versionId]));
	return Promise.all(
		work.items.map(async ({ id, recipe, colourway, size, quantity }, i) => ({
			id,
			name: recipe.name,
			quantity,
			design: (await repos.designs.version(versions.get(id) ?? ''))?.design ?? null,
			colourway: (recipe.colourways.find((c) => c.id === colourway) ?? recipe.colourways[0])?.name ?? '',
			colour: colourway,
			size: recipe.sizes.find((s) => s.id === size)?.name ?? '',
			sizeId: size ?? null,
			tall: heightWords(heightSaid(tallies[i]!, work.context.rates.pumps)),
			balloons: tallies[i]!.bill.balloons
		}))
	);
}

/** Whoever of a job is wanted elsewhere at the same hour: a sentence each. */
async function doubleBookedOf(repos: Repos, studio: Studio, { id, days, row }: { readonly id: string; readonly days: readonly JobDay[]; readonly row: JobRow }): Promise<DayFinding[]> {
	const known = days.map((d) => d.day).sort();
	if (known.length === 0) return [];
	const [first, last] = [known[0]!, known.at(-1)!];
	const others = await repos.jobs.between(dayOfNumber(dayNumber(first) - BESIDE), dayOfNumber(dayNumber(last) + BESIDE));
	const dated = others.flatMap((o) => (o.id !== id && o.said ? [{ id: o.id, says: saysOf(o), days: o.said.days }] : []));
	const nameOf = new Map(studio.settings.rates.people.map((p) => [p.id, p.name]));
	return doubleBooked([{ id, says: saysOf(row), days }, ...dated])
		.filter((d) => d.one.job === id || d.other.job === id)
		.map(({ person, day, sure, one, other }): DayFinding => {
			const [here, there] = one.job === id ? [one, other] : [other, one];
			const name = nameOf.get(person) ?? 'Somebody who is gone';
			const what = `${STAGE_WORDS[here.stage].toLowerCase()} here, ${STAGE_WORDS[there.stage].toLowerCase()} for ${there.says}`;
			return sure
				? { level: 'bad', say: `${name} is wanted twice at once on ${dayWords(day, studio.settings)}: ${what}. Move one, or ask somebody else.` }
				: { level: 'watch', say: `${name} is on two jobs on ${dayWords(day, studio.settings)}: ${what}. Say the hours, and it is seen whether that goes.` };
		});
} // prettier-ignore
