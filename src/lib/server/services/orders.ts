import { parseDate } from '@internationalized/date';
import { duesOf, type Dues } from '../../core/papers/dues.ts';
import { isOpenInvoice, makePaper, paperName, type FrozenPaper } from '../../core/papers/paper.ts';
import type { ClientChoice } from '../../core/quote/choices.ts';
import { atSomeLevel, chosenOf, type ChosenQuote } from '../../core/quote/chosen.ts';
import type { FrozenQuote } from '../../core/quote/frozen.ts';
import type { PaperKind, PaymentKind, PaymentState } from '../../core/quote/kinds.ts';
import { dayWords, longDayWords } from '../../core/quote/day-words.ts';
import type { PaperDays } from '../pdf/paper-sheet.ts';
import type { Repos } from '../repos/index.ts';
import type { ClientAnswer, NotAnswered } from '../repos/quote-life.ts';
import type { NotPaid, Payment } from '../repos/payments.ts';
import type { Paper } from '../repos/papers.ts';
import { dayIn } from './day-in.ts';
import { post, type Posting } from './quote-post.ts';

/** A quote that has a yes: what was chosen, and where its money stands. */
export interface Order {
	readonly quoteId: string;
	readonly issueId: string;
	readonly frozen: FrozenQuote;
	readonly choice: ClientChoice;
	readonly chosen: ChosenQuote;
	readonly payments: readonly Payment[];
	readonly dues: Dues;
}

/** Days a bill is to be paid within. House rule. */
const DAYS_TO_PAY = 14;
/** Days of a paper in words. */
export const paperDays = ({ day, due, eventDate, formats }: FrozenPaper): PaperDays => ({
	day: dayWords(day, formats),
	due: due ? dayWords(due, formats) : '',
	event: eventDate ? longDayWords(eventDate, formats) : ''
});

/** What makes a PDF, on a thread of its own. */
export type MakePdf = (paper: FrozenPaper) => Promise<Uint8Array>;
/** What all that happens here is told by. */
export interface Desk {
	readonly now: Date;
	/** The client's page. */
	readonly link: string;
	readonly pdf: MakePdf;
}

/** The order a quote has become; undefined without a yes. */
export async function orderOf(repos: Repos, quoteId: string): Promise<Order | undefined> {
	const yes = await repos.quoteLife.yes(quoteId);
	if (!yes) return undefined;
	const issue = await repos.quoteLife.issue(yes.issueId);
	if (!issue) return undefined;
	const { frozen } = issue;
	// A yes that was told to the owner, not on the page, is to what is offered first.
	const choice = yes.choice ?? atSomeLevel(frozen);
	const chosen = chosenOf(frozen, choice);
	if ('refused' in chosen) return undefined;
	const payments = await repos.payments.of(quoteId);
	return { quoteId, issueId: issue.id, frozen, choice, chosen, payments, dues: duesOf(chosen, payments) };
}

interface Making {
	readonly id: string;
	readonly kind: PaperKind;
	readonly about?: string;
	readonly payableMinor?: number;
	/** Paid before it, minor units; what was paid till now where it says nothing. */
	readonly paidMinor?: number;
}

/** Makes a paper of an order, once for its id. */
async function paperOf(
	repos: Repos,
	order: Order,
	{ id, kind, about, payableMinor, paidMinor }: Making,
	now: Date
): Promise<Paper> {
	const { frozen, chosen, quoteId, issueId, dues } = order;
	const client = await repos.clients.ofQuote(quoteId);
	const day = dayIn(frozen.zone, now);
	return repos.papers.make(
		{ id, quoteId, issueId, kind },
		(number) =>
			makePaper({
				kind,
				number,
				day,
				...(kind === 'invoice' ? { due: parseDate(day).add({ days: DAYS_TO_PAY }).toString() } : {}),
				frozen,
				chosen,
				client: { name: frozen.client.name, address: client?.details.address ?? '' },
				...(frozen.exempt ? { exempt: frozen.exempt } : {}),
				paidMinor: paidMinor ?? dues.paid,
				about,
				payableMinor
			}),
		now
	);
}

async function send(
	repos: Repos,
	order: Order,
	id: string,
	desk: Desk,
	more: Pick<Posting, 'kind' | 'paper' | 'minor'>
) {
	const { quoteId, frozen } = order;
	const pdf = more.paper ? await desk.pdf(more.paper) : undefined;
	await post(
		repos,
		{ id, quoteId, now: desk.now },
		{ frozen, link: desk.link, ...more, ...(pdf ? { pdf } : {}) }
	);
}

/** A yes is confirmed: its paper, and a message with the day. */
export async function confirmOrder(repos: Repos, quoteId: string, desk: Desk): Promise<void> {
	const order = await orderOf(repos, quoteId);
	if (!order) return;
	const id = `${order.issueId}.confirmation`;
	const { frozen: paper } = await paperOf(repos, order, { id, kind: 'confirmation' }, desk.now);
	const minor = order.dues.next?.kind === 'deposit' ? { minor: order.dues.next.minor } : {};
	await send(repos, order, id, desk, { kind: 'confirmation', paper, ...minor });
}

/** The client's answer; a yes is confirmed at once. */
export async function answerQuote(
	repos: Repos,
	token: string,
	answer: ClientAnswer,
	desk: Desk
): Promise<'done' | 'already' | NotAnswered | { readonly refused: string }> {
	const found = await repos.sentQuotes.byToken(token);
	if (!found) return 'missing';
	const outcome = await repos.sentQuotes.answer(token, answer, {
		now: desk.now,
		day: dayIn(found.frozen.zone, desk.now)
	});
	if (outcome === 'done' && answer.event === 'accepted') await confirmOrder(repos, found.quoteId, desk);
	return outcome;
}

/** Charges what is due next, and makes a receipt of what was paid. @param key of the form: pressed twice it is one payment */
export async function payOrder(
	repos: Repos,
	quoteId: string,
	{
		key,
		kind,
		minor,
		answer
	}: {
		readonly key: string;
		readonly kind: PaymentKind;
		readonly minor: number;
		readonly answer: PaymentState;
	},
	desk: Desk
): Promise<Payment | NotPaid> {
	const order = await orderOf(repos, quoteId);
	if (!order) return 'no order';
	const asked = { id: key, quoteId, issueId: order.issueId, kind, minor, order: order.chosen };
	const done = await repos.payments.pay(asked, () => answer, desk.now);
	if (typeof done === 'string') return done;
	if (done.payment.state === 'paid') await receiptFor(repos, quoteId, done.payment, desk);
	return done.payment;
}

/** The bank has answered what was late. @returns nothing where that is known already */
export async function settlePayment(
	repos: Repos,
	quoteId: string,
	id: string,
	state: 'paid' | 'failed',
	desk: Desk
): Promise<Payment | undefined> {
	const settled = await repos.payments.settle(id, state, desk.now);
	if (settled?.state === 'paid') await receiptFor(repos, quoteId, settled, desk);
	return settled;
}

async function receiptFor(repos: Repos, quoteId: string, { id: key, kind, minor }: Payment, desk: Desk) {
	const order = await orderOf(repos, quoteId);
	if (!order) return;
	const id = `${key}.receipt`;
	const making = {
		id,
		kind: 'receipt' as const,
		about: kind,
		payableMinor: minor,
		paidMinor: order.dues.paid - minor
	};
	const { frozen: paper } = await paperOf(repos, order, making, desk.now);
	await send(repos, order, id, desk, { kind: 'receipt', paper });
}

/** The invoice of an order that holds, or makes it. @returns nothing where there is no order */
export async function invoiceOrder(repos: Repos, quoteId: string, desk: Desk): Promise<Paper | undefined> {
	const order = await orderOf(repos, quoteId);
	if (!order) return undefined;
	const own = await repos.papers.of(quoteId);
	const papers = own.map((p) => p.frozen);
	const holds = own.find((p) => isOpenInvoice(p.frozen, papers));
	if (holds) return holds;
	const nth = own.filter((p) => p.frozen.kind === 'invoice').length + 1;
	const id = `${quoteId}.invoice.${nth}`;
	const made = await paperOf(repos, order, { id, kind: 'invoice' }, desk.now);
	await send(repos, order, id, desk, { kind: 'invoice', paper: made.frozen });
	return made;
}

/** Takes an invoice back. @returns nothing where it is none, or was taken back */
export async function creditInvoice(repos: Repos, invoiceId: string, desk: Desk): Promise<Paper | undefined> {
	const invoice = await repos.papers.find(invoiceId);
	if (invoice?.frozen.kind !== 'invoice') return undefined;
	const { quoteId, issueId, frozen } = invoice;
	const made = await repos.papers.make(
		{ id: `${invoiceId}.credit`, quoteId, issueId, kind: 'credit note' },
		(number) => {
			const rest = { ...frozen, due: undefined };
			return { ...rest, kind: 'credit note', number, day: dayIn('UTC', desk.now), about: paperName(frozen) };
		},
		desk.now
	);
	const issue = await repos.quoteLife.issue(issueId);
	if (issue)
		await post(repos, { id: made.id, quoteId, now: desk.now }, {
			kind: 'invoice', frozen: issue.frozen, link: desk.link, paper: made.frozen, pdf: await desk.pdf(made.frozen)
		}); // prettier-ignore
	return made;
}
