import { lessonAbout, lastWords } from '../../core/job/lesson-words.ts';
import { lastOnes, lessonsOf, paceTaken, type Lesson, type PaceSeen } from '../../core/job/taught.ts';
import { paceOf } from '../../core/labour/pace.ts';
import { printSpell } from '../../core/job/counted.ts';
import { AS_USUAL, templateOf } from '../../core/labour/job.ts';
import { dayWords } from '../../core/quote/day-words.ts';
import { formatInches } from '../../core/units/length.ts';
import { rational } from '../../core/units/rational.ts';
import type { Settings } from '../../core/workspace/settings.ts';
import type { Repos } from '../repos/index.ts';
import { dayIn } from '../services/day-in.ts';
import { itemsOf } from '../services/jobs-ahead.ts';
import { loadStudio } from '../services/studio.ts';
import { taughtCounts } from '../services/taught-counts.ts';

/** Two hours, as an example of what a lesson does. */
const EXAMPLE = 120;
const hundredths = (n: number, { decimal }: Settings): string => n.toFixed(2).replace('.', decimal);
/** What tells less than one whole job tells nothing yet. House rule. */
const TELLS = 1;
const told = (seen: readonly PaceSeen[]) => lessonsOf(seen).filter((l) => l.weight >= TELLS);
const jobNamed = ({ rates }: Settings) => (id: string): string =>
	rates.jobs.templates.find((t) => t.id === id)?.name ?? 'a kind of job that is gone'; // prettier-ignore

/** What counted jobs taught of how long work takes: before and after, what it rests on, what of it is in use. */
export async function taughtPage(repos: Repos, now = new Date()) {
	const [{ settings }, seen] = await Promise.all([loadStudio(repos), repos.jobFigures.paces()]);
	const { paces } = settings.rates.jobs;
	const name = jobNamed(settings);
	const today = dayIn(settings.zone, now);
	const shown = (lesson: Lesson) => {
		const { work, of, jobs, low, high } = lesson;
		const used = paces?.find((p) => p.work === work && p.of === of);
		const before = paceOf(paces, work, of).valueOf();
		const after = rational(paceTaken(lesson, today).times).valueOf();
		return {
			key: `${work}/${of}`,
			about: lessonAbout(lesson, name),
			says: lastWords(lesson, name),
			before: hundredths(before, settings),
			after: hundredths(after, settings),
			example: `${printSpell(EXAMPLE * before)} → ${printSpell(EXAMPLE * after)}`,
			range: `${hundredths(low, settings)} to ${hundredths(high, settings)}`,
			jobs,
			isNews: Math.abs(after - before) >= 0.005,
			used: used ? { jobs: used.jobs, day: dayWords(used.day, settings) } : null,
			seen: lesson.seen.slice(0, 40).map((s) => ({
				job: s.job,
				day: dayWords(s.day, settings),
				reckoned: printSpell(s.reckoned / 60),
				real: printSpell(s.real / 60),
				times: hundredths(s.real / s.base, settings)
			}))
		};
	};
	const lessons = told(seen);
	const known = new Set(lessons.map((l) => `${l.work}/${l.of}`));
	/** Taken over once, and told by no job any more. */
	const rest = (paces ?? []).filter((p) => !known.has(`${p.work}/${p.of}`));
	return {
		lessons: lessons.map(shown),
		others: rest.map((p) => ({ key: `${p.work}/${p.of}`, about: lessonAbout(p, name), times: hundredths(rational(p.times).valueOf(), settings), jobs: p.jobs, day: dayWords(p.day, settings) })), // prettier-ignore
		leftOut: (await repos.jobFigures.leftOut()).map((j) => ({ job: j.id, says: `${j.client}, ${dayWords(j.day, settings)}` })) // prettier-ignore
	};
}

/** What counted jobs taught of how many balloons go on a foot of garlands: before and after for one, and what it rests on. */
export async function taughtCountsPage(repos: Repos) {
	const [{ settings }, all] = await Promise.all([loadStudio(repos), taughtCounts(repos)]);
	return all.map(({ design, name, sizes, jobs }) => ({
		design,
		name,
		isNews: sizes.some((s) => s.after !== s.before),
		sizes: sizes.map((s) => ({
			size: formatInches(s.nominal),
			before: s.before,
			after: s.after,
			jobs: s.jobs,
			times: hundredths(s.times, settings),
			range: `${hundredths(s.low, settings)} to ${hundredths(s.high, settings)}`
		})),
		jobs: jobs.slice(0, 40).map(({ job, day }) => ({ job, day: dayWords(day, settings) }))
	}));
}

/** What the last jobs say about a quote: a sentence for each part of its work that took otherwise than was reckoned. */
export async function lessonsFor(repos: Repos, { id }: { readonly id: string }): Promise<string[]> {
	const [studio, seen] = await Promise.all([loadStudio(repos), repos.jobFigures.paces()]);
	const own = seen.length > 0 ? await itemsOf(repos, id, studio) : undefined;
	if (!own) return [];
	const { settings } = studio;
	const kinds = new Set(own.items.flatMap((i) => i.recipe.sections.map((s) => s.structure.kind as string)));
	const place = templateOf(own.quote.terms.job ?? AS_USUAL, settings.rates.jobs).id;
	return (
		told(seen)
			.filter((l) => (l.work === 'build' ? kinds.has(l.of) : l.of === place))
			.filter((l) => lastOnes(l) !== null)
			// What is furthest off first.
			.toSorted((a, b) => Math.abs(lastOnes(b)!.percent) - Math.abs(lastOnes(a)!.percent))
			.map((l) => lastWords(l, jobNamed(settings)))
			.slice(0, MOST_SAID)
	);
}
const MOST_SAID = 3;
