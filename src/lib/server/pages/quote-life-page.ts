import { formatMoney, money } from '../../core/money/money.ts';
import { isOpenInvoice, PAPER_WORDS, paperName } from '../../core/papers/paper.ts';
import { compareRevisions } from '../../core/quote/compare-revisions.ts';
import { asShown, type ChosenQuote } from '../../core/quote/chosen.ts';
import { daysSince, dueOf } from '../../core/quote/due.ts';
import type { QuoteLifeView } from '../../core/quote/life-view.ts';
import { linkHoldsUntil } from '../../core/quote/link.ts';
import { EVENT_WORDS } from '../../core/quote/states.ts';
import type { Repos } from '../repos/index.ts';
import type { Quote } from '../repos/quotes.ts';
import { dayIn } from '../services/day-in.ts';
import { orderOf } from '../services/orders.ts';
import { textToCopy } from '../services/quote-post.ts';

/** What became of a quote since it was issued, in words: for the owner. Null of a draft that never was. */
export async function quoteLifePage(
	repos: Repos,
	quote: Quote,
	{ origin, now }: { readonly origin: string; readonly now: Date }
): Promise<(QuoteLifeView & { readonly chosen: ChosenQuote }) | null> {
	if (!quote.issued) return null;
	const { id } = quote;
	const [events, issues, messages, papers, client, order] = await Promise.all([
		repos.quoteLife.events(id),
		repos.quoteLife.issues(id),
		repos.papers.messages(id),
		repos.papers.of(id),
		repos.clients.ofQuote(id),
		orderOf(repos, id)
	]);
	const { frozen, token } = quote.issued;
	const link = `${origin}/q/${token}`;
	const { currency } = frozen.total;
	const sum = (minor: number) => formatMoney(money(minor, currency));
	const last = events.at(-1)!;
	const issued = events.findLast((e) => e.event === 'issued')!;
	const talk = events.findLast((e) => e.event === 'asked' || e.event === 'answered');
	const made = papers.map((p) => p.frozen);
	const [endedAt, looks] = await Promise.all([repos.links.endedAt(token), repos.links.looks(token)]);
	return {
		link,
		linkUntil: linkHoldsUntil(frozen),
		linkEnded: endedAt && dayIn(frozen.zone, endedAt),
		looks: { many: looks.many, newest: looks.newest.map((l) => ({ ...l, at: dayIn(frozen.zone, l.at) })) },
		revision: quote.issued.number,
		isRevising: quote.state === 'draft',
		due: dueOf({
			state: quote.state,
			eventDate: quote.eventDate,
			validUntil: frozen.validUntil,
			sinceIssued: daysSince(issued.at, now),
			sinceSaid: daysSince(last.at, now),
			isAsked: talk?.event === 'asked',
			today: dayIn(frozen.zone, now)
		})?.say,
		isAsked: talk?.event === 'asked' ? (talk.said.text ?? '') : null,
		events: events
			.map(({ event, at, said, issue }) => ({
				what: event === 'issued' && issue > 1 ? `revision ${issue} sent` : EVENT_WORDS[event],
				at: at.toISOString(),
				text: [said.name, said.text, said.total === undefined ? '' : sum(said.total)]
					.filter(Boolean)
					.join(' · ')
			}))
			.reverse(),
		/** Each writing against the one before. */
		revisions: issues
			.map(({ number, issuedAt, frozen: own, owner }, i) => ({
				number,
				at: issuedAt.toISOString(),
				total: formatMoney(own.total),
				margin: owner.margin,
				changes: i === 0 ? [] : compareRevisions(issues[i - 1]!.frozen, own)
			}))
			.reverse(),
		messages: messages.map(({ id: own, kind, recipient, subject, sentAt }) => ({
			id: own,
			kind,
			recipient,
			subject,
			at: sentAt.toISOString()
		})),
		copy: textToCopy({ kind: 'quote', frozen, link }),
		client: { id: quote.clientId, email: client?.email ?? '', latex: client?.details.allergies ?? '' },
		order: order && {
			chosen: order.chosen.lines.map(
				({ line, amount }) => `${line.quantity} × ${line.name}, ${formatMoney(amount)}`
			),
			level: order.choice.level,
			total: formatMoney(order.chosen.total),
			paid: sum(order.dues.paid),
			left: sum(order.dues.left),
			next: order.dues.next && { kind: order.dues.next.kind, amount: sum(order.dues.next.minor) },
			payments: order.payments.map((p) => ({
				id: p.id,
				kind: p.kind,
				amount: sum(p.minor),
				state: p.state,
				at: p.madeAt.toISOString()
			}))
		},
		papers: papers.map(({ id: own, frozen: paper, madeAt }) => ({
			id: own,
			kind: paper.kind,
			title: `${PAPER_WORDS[paper.kind].title} ${paperName(paper)}`,
			amount: formatMoney(paper.kind === 'receipt' ? paper.payable : paper.total),
			at: madeAt.toISOString(),
			canCredit: isOpenInvoice(paper, made)
		})),
		glance: quote.issued.owner.glance ?? [],
		/** What the client sees of it: as it was chosen, else as it is offered first. */
		chosen: order ? order.chosen : asShown(frozen)
	};
}
