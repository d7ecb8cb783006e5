import { WORK_PHASES } from '../../core/labour/pace.ts';
import { PHASE_WORDS, printSpell, type CountOf, type JobCounted } from '../../core/job/counted.ts';
import { COUNT_FIELD } from '../../core/job/read-counted.ts';
import { moreOf, realCost, reasonWords, reckonedWork, type RealCost } from '../../core/job/real-cost.ts';
import { lostIn, minutesIn, type LostAtBench } from '../../core/job/tally-marks.ts';
import { dayWords } from '../../core/quote/day-words.ts';
import type { NumberStyle } from '../../core/units/number.ts';
import { printMoney, printNumber } from '../../core/units/print-number.ts';
import { rational } from '../../core/units/rational.ts';
import type { Repos } from '../repos/index.ts';
import { saidOf, workOfJob } from '../services/job.ts';
import { countsOfJob } from '../services/job-count.ts';
import { designsOn, reckoningOf } from '../services/job-figures.ts';
import { countedAlone } from '../services/counted-twice.ts';
import { dayIn } from '../services/day-in.ts';
import { loadStudio, type Studio } from '../services/studio.ts';
import { figureWords, type FigureWords } from './figure-words.ts';

/**
 * The count of a job: what it was reckoned to take, what was counted of it, and for who sees the books what it came to.
 * @param books whether money is shown @returns null where there is no such job
 */
export async function jobCountPage(repos: Repos, { id, books }: { readonly id: string; readonly books: boolean }) {
	const studio = await loadStudio(repos);
	const work = await workOfJob(repos, id, studio);
	if (!work) return null;
	const { row } = work;
	const [before, marks, reckoned] = await Promise.all([
		repos.jobCounts.find(id),
		repos.tallyMarks.of(id),
		reckoningOf(repos, work)
	]);
	const designs = reckoned ? designsOn(reckoned.quote) : new Map<string, string>();
	const pieces = work.items.map(({ id: line, recipe: { name } }) => ({ id: designs.get(line) ?? line, name }));
	const alone = await countedAlone(repos, { pieces, day: row.day });
	const { settings } = studio;
	const words = figureWords(settings);
	const { style } = words;
	const counts = countsOfJob(work);
	const reckoning = reckoned?.reckoning;
	const wanted = reckoning && reckonedWork(reckoning);
	const lost = lostIn(marks);
	const typed = before
		? typedOf(before.counted, style)
		: {
				...Object.fromEntries(counts.flatMap((c) => lostFields(c, lost.get(c.material.id), style))),
				...Object.fromEntries(minutesIn(marks).map(({ person, minutes }) => [COUNT_FIELD.time('build', person), printSpell(minutes)]))
			};
	const on = new Set([...work.people, ...saidOf(work).days.flatMap((d) => d.people), ...marks.map((m) => m.person), ...(before?.counted.times ?? []).map((t) => t.person)]); // prettier-ignore
	return {
		id,
		number: row.number,
		client: row.client,
		occasion: row.occasion,
		day: row.day === null ? '' : dayWords(row.day, settings),
		revision: before?.revision ?? 0,
		counted: before ? dayWords(before.counted.day, settings) : '',
		alone: alone.map(({ name, at }) => ({ name, day: dayWords(dayIn(settings.zone, at), settings) })),
		isTallied: !before && marks.length > 0,
		lines: counts.map((c) => lineOf(c, words)),
		phases: WORK_PHASES.map((phase) => ({ phase, label: PHASE_WORDS[phase], reckoned: wanted ? printSpell(wanted.get(phase)!.minutes) : '' })),
		people: settings.rates.people.filter((p) => on.has(p.id)).map(({ id: own, name }) => ({ id: own, name })),
		others: settings.rates.people.filter((p) => !on.has(p.id)).map(({ id: own, name }) => ({ id: own, name })),
		typed,
		costs: before?.counted.costs.length ?? 0,
		came: books && before && reckoning ? shown(realCost(reckoning, before.counted), studio) : null,
		quoted: books ? await quotedOf(repos, id, studio) : ''
	};
} // prettier-ignore

/** The margin it was sent with, as the owner saw it; blank where there was none. */
async function quotedOf(repos: Repos, id: string, { settings }: Studio): Promise<string> {
	const yes = await repos.quoteLife.yes(id);
	const issue = yes && (await repos.quoteLife.issue(yes.issueId));
	return figureWords(settings).percent(issue?.owner.margin ?? undefined);
}

const lineOf = ({ material, label, unit, used, expected, isBack }: CountOf, { count, tenths }: FigureWords) => ({
	id: material.id,
	label,
	unit: unit === 'piece' ? '' : unit,
	isBack,
	reckoned: count(used),
	expected: expected.valueOf() < 0.05 ? '' : tenths(expected.valueOf())
}); // prettier-ignore

/** What was lost at the bench, as it is typed: it took that besides what was reckoned to be used. */
const lostFields = ({ material, used, isBack }: CountOf, lost: LostAtBench | undefined, style: NumberStyle): readonly (readonly [string, string])[] =>
	lost === undefined
		? []
		: [
				...(isBack ? [] : [[COUNT_FIELD.took(material.id), printNumber(used.add(lost.pieces), style)] as const]),
				[COUNT_FIELD.lost(material.id), String(lost.pieces)],
				[COUNT_FIELD.cause(material.id), lost.cause ?? '']
			]; // prettier-ignore

/** A count as it is typed. */
function typedOf({ materials, times, costs, miles, note, leftOut }: JobCounted, style: NumberStyle): Record<string, string> {
	return Object.fromEntries([
		...materials.flatMap(({ material, took, lost, cause }) => [[COUNT_FIELD.took(material), printNumber(rational(took), style)], [COUNT_FIELD.lost(material), lost > 0 ? String(lost) : ''], [COUNT_FIELD.cause(material), cause ?? '']]),
		...times.map((t) => [COUNT_FIELD.time(t.phase, t.person ?? ''), printSpell(t.minutes)]),
		...costs.flatMap((c, i) => [[COUNT_FIELD.cost(i), c.label], [COUNT_FIELD.paid(i), printMoney(c.minor, style)]]),
		['miles', miles === null ? '' : printNumber(rational(String(miles)), style)],
		['note', note],
		...(leftOut ? [['leftOut', 'yes']] : [])
	]) as Record<string, string>;
} // prettier-ignore

/** What it came to, in words and figures. */
function shown({ parts, reckoned, real, unknown, reasons }: RealCost, { settings }: Studio) {
	const { amount, signed, percent } = figureWords(settings);
	const side = (of: RealCost['real']) => ({ cost: amount(of.cost), profit: of.profit < 0 ? signed(of.profit) : amount(of.profit), margin: percent(of.margin) });
	return {
		reckoned: side(reckoned),
		real: side(real),
		isLess: real.profit < reckoned.profit,
		difference: signed(real.profit - reckoned.profit),
		unknown,
		reasons: reasons.map((p) => ({ key: p.key, words: reasonWords(p), by: signed(moreOf(p)), isMore: moreOf(p) > 0 })),
		parts: parts.map((p) => ({ key: p.key, group: p.group, label: p.label, was: p.was === 'so much' ? '' : p.was, is: p.is === 'so much' ? '' : p.is, reckoned: amount(p.reckoned), real: amount(p.real), by: moreOf(p) === 0 ? '' : signed(moreOf(p)), isMore: moreOf(p) > 0, asReckoned: p.asReckoned }))
	};
} // prettier-ignore
export type CameTo = ReturnType<typeof shown>;
