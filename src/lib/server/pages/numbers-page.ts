import { cashAhead, type CashMove } from '../../core/numbers/cash-ahead.ts';
import type { Answer } from '../../core/numbers/answer.ts';
import type { AnsweredQuote } from '../../core/numbers/win-rate.ts';
import { dayWords } from '../../core/quote/day-words.ts';
import { stateOn } from '../../core/quote/states.ts';
import { tallyOrder } from '../../core/tally/order.ts';
import { dayNumber, dayOfNumber } from '../../core/units/calendar-day.ts';
import { rational } from '../../core/units/rational.ts';
import type { Period } from '../repos/job-figures.ts';
import type { Repos } from '../repos/index.ts';
import { itemsOf, saysOf } from '../services/jobs-ahead.ts';
import { orderOf } from '../services/orders.ts';
import { loadStudio, type Studio } from '../services/studio.ts';
import {
	cashAnswer,
	clientsAnswer,
	designsAnswer,
	hourAnswer,
	hoursAnswer,
	jobsAnswer,
	lossesAnswer,
	monthsAnswer,
	stopAnswer,
	winsAnswer,
	wordsOf
} from './numbers-answers.ts';

/** Weeks that are looked ahead, and days back that what was not paid is looked for. */
const [WEEKS, BACK] = [8, 120];
/** Jobs that are told one by one on the page: a file has all of them. */
const LAST_JOBS = 300;
/** Days before its event the materials of a job are paid. House rule. */
const BOUGHT_BEFORE = 7;

/** Every question about what was, with its answer, for the days asked for: sums of figures that are kept. @param today `YYYY-MM-DD` @param jobs so many at most are told one by one, the newest */
export async function numbersPage(repos: Repos, { period, today, jobs: most = LAST_JOBS }: { readonly period: Period; readonly today: string; readonly jobs?: number }): Promise<Answer[]> {
	const studio = await loadStudio(repos);
	const { settings } = studio;
	const words = wordsOf(settings);
	const figures = repos.jobFigures;
	const [months, designs, clients, phases, losses, jobs, sent] = await Promise.all([
		figures.months(period),
		figures.designs(period),
		figures.clients(period),
		figures.phases(period),
		figures.losses(period),
		figures.jobs(period, most),
		figures.sent(period)
	]);
	const answered = sent.flatMap(({ state, validUntil, ...q }): AnsweredQuote[] => {
		const now = stateOn(state, today, validUntil);
		return now === 'accepted' || now === 'declined' || now === 'lapsed' ? [{ ...q, yes: now === 'accepted' }] : [];
	});
	const wanted = rational(settings.rates.price.margin).valueOf();
	return [
		monthsAnswer(months, words),
		designsAnswer(designs, words),
		stopAnswer(designs, wanted, words),
		clientsAnswer(clients, words),
		hourAnswer(months, words),
		jobsAnswer(jobs, words, settings),
		hoursAnswer(phases),
		lossesAnswer(losses, words),
		winsAnswer(answered, words)
	];
} // prettier-ignore

/** What comes and goes in the weeks ahead: of every job that is near its money is worked out, so it is asked by itself. */
export async function cashPage(repos: Repos, { today }: { readonly today: string }): Promise<Answer> {
	const studio = await loadStudio(repos);
	const moves = await cashMoves(repos, studio, today);
	return cashAnswer(cashAhead(moves, today, WEEKS), wordsOf(studio.settings), studio.settings);
}

/** What jobs are still to pay, what is on order, and what materials of jobs ahead are reckoned at. */
async function cashMoves(repos: Repos, studio: Studio, today: string): Promise<CashMove[]> {
	const day = dayNumber(today);
	const found: CashMove[] = [];
	const near = await repos.jobs.between(dayOfNumber(day - BACK), dayOfNumber(day + WEEKS * 7));
	const counted = await repos.jobCounts.counted(near.map((r) => r.id));
	for (const row of near) {
		if (row.day === null) continue;
		const says = row.day < today ? `${saysOf(row)}, owed since ${dayWords(row.day, studio.settings)},` : saysOf(row);
		const order = await orderOf(repos, row.id);
		if (order) {
			const { left, late, next } = order.dues;
			// What is on its way comes in any day now, as a deposit that is due does.
			const now = late + (next?.kind === 'deposit' ? next.minor : 0);
			if (now > 0) found.push({ day: today, kind: 'deposits', minor: now, says });
			const rest = left - now;
			if (rest > 0) found.push({ day: row.day, kind: 'balances', minor: rest, says });
		}
		if (row.day < today || counted.has(row.id)) continue;
		const own = await itemsOf(repos, row.id, studio);
		const minor = own ? tallyOrder(own.items, own.context).cost.materialsTotal.known.minor : 0;
		if (minor > 0) found.push({ day: dayOfNumber(dayNumber(row.day) - BOUGHT_BEFORE), kind: 'to be bought', minor: -minor, says: `materials for ${saysOf(row)}` });
	}
	for (const order of await repos.onOrders.open())
		if (order.costMinor) found.push({ day: order.due ?? today, kind: 'on order', minor: -order.costMinor, says: 'an order on its way' });
	return found;
} // prettier-ignore
