import { WORK_PHASES } from '../../core/labour/pace.ts';
import { PHASE_WORDS, printSpell } from '../../core/job/counted.ts';
import { formatMoney, money } from '../../core/money/money.ts';
import type { Answer } from '../../core/numbers/answer.ts';
import { hourOf, marginOf, notWorthIt, type SoldDesign, type Sums } from '../../core/numbers/earned.ts';
import { CASH_AHEAD, type CashWeek } from '../../core/numbers/cash-ahead.ts';
import { winBands, type AnsweredQuote } from '../../core/numbers/win-rate.ts';
import { dayWords } from '../../core/quote/day-words.ts';
import { CAUSE_WORDS } from '../../core/stock/ledger.ts';
import type { Settings } from '../../core/workspace/settings.ts';
import type { ClientSums, JobSums, LossSums, MonthSums, PhaseSums } from '../repos/job-figures.ts';

/** How amounts and shares are said in an answer. */
export function wordsOf({ rates: { currency }, decimal }: Settings) {
	const style = { decimal };
	const plain = (minor: number) => formatMoney(money(Math.round(Math.abs(minor)), currency), style);
	return {
		money: (minor: number) => `${minor < 0 ? '−' : ''}${plain(minor)}`,
		percent: (value: number | null) =>
			value === null ? 'nothing known' : `${value < 0 ? '−' : ''}${Math.abs(Math.round(value))} %`
	};
}
type Words = ReturnType<typeof wordsOf>;

const total = (all: readonly Sums[]): Sums =>
	all.reduce((a, s) => ({ net: a.net + s.net, reckoned: a.reckoned + s.reckoned, real: a.real + s.real }), {
		net: 0,
		reckoned: 0,
		real: 0
	});
const many = (n: number, one: string, more = `${one}s`): string => `${n} ${n === 1 ? one : more}`;
const NOTHING = 'No job of these days was counted back yet.';
const EARNED = [
	{ label: 'Charged', unit: 'money' },
	{ label: 'Cost, as reckoned', unit: 'money' },
	{ label: 'Cost, as it came to', unit: 'money' },
	{ label: 'Margin, as reckoned', unit: 'percent' },
	{ label: 'Margin, as it came to', unit: 'percent' }
] as const;
const earned = ({ net, reckoned, real }: Sums) => [net, reckoned, real, marginOf(net, reckoned), marginOf(net, real)]; // prettier-ignore
/** The two margins, by their places behind one column. */
const MARGINS = [5, 6];

export function monthsAnswer(months: readonly MonthSums[], words: Words): Answer {
	const all = total(months);
	const [was, is] = [marginOf(all.net, all.reckoned), marginOf(all.net, all.real)];
	return {
		id: 'margin-by-month',
		question: 'How much of what I charge is left, month by month?',
		answer: months.length === 0 ? NOTHING : `Of ${words.money(all.net)} ${words.percent(is)} was left, ${words.money(all.net - all.real)}; ${words.percent(was)} was reckoned.`,
		columns: [{ label: 'Month', unit: 'words' }, ...EARNED, { label: 'Jobs', unit: 'count' }],
		rows: months.map((m) => [m.month, ...earned(m), m.jobs]),
		drawn: [4, 5],
		as: 'columns'
	};
} // prettier-ignore

export function designsAnswer(designs: readonly SoldDesign[], words: Words): Answer {
	const best = [...designs].filter((d) => d.net > 0).sort((a, b) => b.net - b.real - (a.net - a.real))[0];
	return {
		id: 'margin-by-design',
		question: 'Which designs earn, and how much?',
		answer: best ? `${best.name} brought most: ${words.money(best.net - best.real)} was left of ${words.money(best.net)}.` : NOTHING,
		columns: [{ label: 'Design', unit: 'words' }, { label: 'Pieces', unit: 'count' }, ...EARNED, { label: 'Jobs', unit: 'count' }],
		rows: designs.map((d) => [d.name, d.pieces, ...earned(d), d.jobs]),
		links: designs.map((d) => `/bench/${d.design}`),
		drawn: MARGINS,
		as: 'bars'
	};
} // prettier-ignore

export function clientsAnswer(clients: readonly ClientSums[], words: Words): Answer {
	const [first] = clients;
	return {
		id: 'margin-by-client',
		question: 'Which clients is it worth working for?',
		answer: first ? `${first.name} was charged most, ${words.money(first.net)} on ${many(first.jobs, 'job')}, and ${words.percent(marginOf(first.net, first.real))} of it was left.` : NOTHING,
		columns: [{ label: 'Client', unit: 'words' }, { label: 'Jobs', unit: 'count' }, ...EARNED],
		rows: clients.map((c) => [c.name, c.jobs, ...earned(c)]),
		links: clients.map((c) => `/quotes?search=${encodeURIComponent(c.name)}`),
		drawn: MARGINS,
		as: 'bars'
	};
} // prettier-ignore

export function hourAnswer(months: readonly MonthSums[], words: Words): Answer {
	const all = total(months);
	const hers = { minutes: months.reduce((a, m) => a + m.hers, 0), minor: months.reduce((a, m) => a + m.hersMinor, 0) }; // prettier-ignore
	const hour = hourOf(all, hers);
	return {
		id: 'earned-an-hour',
		question: 'What does an hour of mine earn?',
		answer: hour === null ? NOTHING : `${words.money(hour)} an hour, over ${printSpell(hers.minutes)} hours of yours. What is left of the jobs and what your hours were reckoned at, together.`,
		columns: [{ label: 'Month', unit: 'words' }, { label: 'Earned an hour', unit: 'money' }, { label: 'Your hours', unit: 'hours' }],
		rows: months.map((m) => [m.month, hourOf(m, { minutes: m.hers, minor: m.hersMinor }), m.hers]),
		drawn: [1],
		as: 'lines'
	};
} // prettier-ignore

export function jobsAnswer(jobs: readonly JobSums[], words: Words, settings: Settings): Answer {
	const worse = jobs.filter((j) => j.real > j.reckoned).length;
	const [worst] = [...jobs].sort((a, b) => b.real - b.reckoned - (a.real - a.reckoned));
	return {
		id: 'quoted-against-real',
		question: 'Did jobs cost what I reckoned?',
		answer: !worst
			? NOTHING
			: worse === 0
				? `All of the last ${many(jobs.length, 'job')} cost what was reckoned or less.`
				: `${worse} of the last ${many(jobs.length, 'job')} cost more than was reckoned, the most by ${words.money(worst.real - worst.reckoned)}: ${worst.client}, ${dayWords(worst.day, settings)}.`,
		columns: [{ label: 'Job', unit: 'words' }, ...EARNED, { label: 'More than reckoned', unit: 'money' }],
		rows: jobs.map((j) => [`${j.client}, ${j.day}`, ...earned(j), j.real - j.reckoned]),
		links: jobs.map((j) => `/jobs/${j.id}/count`),
		drawn: [6],
		as: 'bars'
	};
} // prettier-ignore

export function hoursAnswer(phases: readonly PhaseSums[]): Answer {
	const own = WORK_PHASES.flatMap((phase) => phases.filter((p) => p.phase === phase));
	const [worst] = [...own].sort((a, b) => b.real - b.reckoned - (a.real - a.reckoned));
	const over = worst ? worst.real - worst.reckoned : 0;
	return {
		id: 'hours-against-standard',
		question: 'Where does the time go over?',
		answer: !worst
			? 'No hours of these days were written down.'
			: over <= 0
				? 'Nowhere: no part of the work took longer than was reckoned.'
				: `Most of it ${PHASE_WORDS[worst.phase]}: ${printSpell(worst.real)} where ${printSpell(worst.reckoned)} was reckoned, on ${many(worst.jobs, 'job')}.`,
		columns: [{ label: 'Part of the work', unit: 'words' }, { label: 'Reckoned', unit: 'hours' }, { label: 'Took', unit: 'hours' }, { label: 'Jobs', unit: 'count' }],
		rows: own.map((p) => [PHASE_WORDS[p.phase], p.reckoned, p.real, p.jobs]),
		drawn: [1, 2],
		as: 'bars'
	};
} // prettier-ignore

export function lossesAnswer(losses: readonly LossSums[], words: Words): Answer {
	const all = losses.reduce((a, l) => a + l.minor, 0);
	const byCause = new Map<LossSums['cause'], number>();
	for (const l of losses) byCause.set(l.cause, (byCause.get(l.cause) ?? 0) + l.minor);
	const [most] = [...byCause].sort((a, b) => b[1] - a[1]);
	const called = (cause: LossSums['cause']) => (cause === '' ? 'nobody said why' : CAUSE_WORDS[cause]);
	return {
		id: 'losses',
		question: 'What is lost, and why?',
		answer: most ? `${words.money(all)} in all, most of it ${most[0] === '' ? 'without a reason said' : `because of “${called(most[0])}”`}: ${words.money(most[1])}.` : 'Nothing was lost on jobs of these days, as far as it was counted.',
		columns: [{ label: 'Material', unit: 'words' }, { label: 'Why', unit: 'words' }, { label: 'Lost', unit: 'count' }, { label: 'Of what was used', unit: 'share' }, { label: 'Cost', unit: 'money' }],
		rows: losses.map((l) => [l.name, called(l.cause), l.lost / 1000, l.used > 0 ? l.lost / l.used : null, l.minor]),
		links: losses.map((l) => `/stockroom/${l.material}`),
		drawn: [4],
		as: 'bars'
	};
} // prettier-ignore

export function winsAnswer(quotes: readonly AnsweredQuote[], words: Words): Answer {
	const bands = winBands(quotes);
	const won = quotes.filter((q) => q.yes).length;
	const named = bands.map((b) => (Math.round(b.from) === Math.round(b.to) ? words.money(b.from) : `${words.money(b.from)} to ${words.money(b.to)}`)); // prettier-ignore
	const best = bands.map((b, i) => ({ ...b, i })).sort((a, b) => b.share - a.share)[0];
	return {
		id: 'win-rate',
		question: 'At which price a foot do clients say yes?',
		answer: !best ? 'No quote of these days was answered yet.' : `${won} of ${many(quotes.length, 'answered quote')} were a yes. Most often at ${named[best.i]} a foot: ${best.won} of ${best.quotes}.`,
		columns: [{ label: 'Asked a foot', unit: 'words' }, { label: 'Answered', unit: 'count' }, { label: 'A yes', unit: 'count' }, { label: 'Share', unit: 'share' }, { label: 'At least', unit: 'share' }, { label: 'At most', unit: 'share' }],
		rows: bands.map((b, i) => [named[i]!, b.quotes, b.won, b.share, b.low, b.high]),
		drawn: [3],
		as: 'columns'
	};
} // prettier-ignore

export function stopAnswer(designs: readonly SoldDesign[], wanted: number, words: Words): Answer {
	const found = notWorthIt(designs, wanted);
	const [worst] = found;
	return {
		id: 'not-worth-it',
		question: 'What should I stop selling, or ask more for?',
		answer: worst
			? `${worst.name}: ${worst.why === 'loses' ? 'it cost more than it brought' : `it kept ${words.percent(worst.margin)}, less than half of the ${words.percent(wanted)} you want`}. Ask ${words.money(worst.price)} where ${words.money(worst.charged)} was charged, or leave it.`
			: designs.length === 0 ? NOTHING : 'Nothing: every design that was on two jobs or more kept at least half of the margin you want.',
		columns: [{ label: 'Design', unit: 'words' }, { label: 'Margin, as it came to', unit: 'percent' }, { label: 'Charged for one', unit: 'money' }, { label: 'Would have to be', unit: 'money' }],
		rows: found.map((d) => [d.name, d.margin, d.charged, d.price]),
		links: found.map((d) => `/bench/${d.design}/price`),
		drawn: [],
		as: 'bars'
	};
} // prettier-ignore

export function cashAnswer(weeks: readonly CashWeek[], words: Words, settings: Settings): Answer {
	const last = weeks.at(-1);
	const lowest = [...weeks].sort((a, b) => a.sum - b.sum)[0];
	return {
		id: CASH_AHEAD,
		question: 'What money comes and goes in the weeks ahead?',
		answer: !last || !lowest ? 'Nothing is known of it.' : `${words.money(last.sum)} more than today by the end of them${lowest.sum < 0 ? `; least in the week of ${dayWords(lowest.from, settings)}, ${words.money(lowest.sum)}` : ''}. Deposits and balances of jobs, what is on order, and what their materials are reckoned at; no wages, no rent.`,
		columns: [{ label: 'Week of', unit: 'words' }, { label: 'Comes', unit: 'money' }, { label: 'Goes', unit: 'money' }, { label: 'From today', unit: 'money' }, { label: 'What it is', unit: 'words' }],
		rows: weeks.map((w) => [dayWords(w.from, settings), w.comes, w.goes, w.sum, w.moves.map((m) => `${m.says} ${words.money(m.minor)}`).join('; ')]),
		drawn: [1, 2],
		as: 'columns'
	};
} // prettier-ignore
