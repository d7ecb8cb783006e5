import { formatMoney, money, type Money } from '../../core/money/money.ts';
import { paperName, PAPER_WORDS, type FrozenPaper } from '../../core/papers/paper.ts';
import type { FrozenQuote } from '../../core/quote/frozen.ts';
import type { MessageKind } from '../../core/quote/kinds.ts';
import { dayWords, longDayWords } from '../../core/quote/day-words.ts';
import { dayFile } from '../post/calendar.ts';
import { compose, type Attachment } from '../post/mail.ts';
import type { Repos } from '../repos/index.ts';

/** What a message is about: its words are made here, from what is frozen. */
export interface Posting {
	readonly kind: MessageKind;
	readonly frozen: FrozenQuote;
	/** The client's page. */
	readonly link: string;
	/** An answer to a question, in the owner's words. */
	readonly text?: string;
	readonly paper?: FrozenPaper;
	readonly pdf?: Uint8Array;
	readonly minor?: number;
}

const what = ({ occasion, eventDate, formats }: FrozenQuote): string =>
	[occasion || 'your balloons', eventDate ? `on ${longDayWords(eventDate, formats)}` : '']
		.filter(Boolean)
		.join(' ');

/** Subject and paragraphs of each kind of message. */
const WORDS: Readonly<Record<MessageKind, (p: Posting) => { subject: string; lines: readonly string[] }>> = {
	quote: ({ frozen, link }) => ({
		subject: `${frozen.occasion || 'Your balloons'}: quote ${frozen.number}${(frozen.revision ?? 1) > 1 ? `, revision ${frozen.revision}` : ''} from ${frozen.business.name}`,
		lines: [
			`Here is our offer for ${what(frozen)}, with pictures of each piece:`,
			link,
			`It stands until ${dayWords(frozen.validUntil, frozen.formats)}. You can say yes, say no or ask a question on that page.`
		]
	}),
	reminder: ({ frozen, link }) => ({
		subject: `Still thinking about ${frozen.occasion || 'your balloons'}?`,
		lines: [
			`Our offer for ${what(frozen)} waits for you here:`,
			link,
			`It stands until ${dayWords(frozen.validUntil, frozen.formats)}.`
		]
	}),
	answer: ({ frozen, link, text = '' }) => ({
		subject: `Your question about quote ${frozen.number}`,
		lines: [text, 'The offer and our answer are here:', link]
	}),
	confirmation: ({ frozen, link, minor }) => ({
		subject: `Confirmed: ${frozen.occasion || 'your balloons'}`,
		lines: [
			`Thank you! We have your yes for ${what(frozen)}.`,
			...(minor
				? [`To hold the date we ask for ${sum(minor, frozen)}; you can pay it on your page:`]
				: ['All about it is on your page:']),
			link,
			...(frozen.eventDate ? ['The day is attached for your calendar.'] : [])
		]
	}),
	receipt: ({ frozen, link, paper }) => ({
		subject: `Receipt ${paper ? paperName(paper) : ''} from ${frozen.business.name}`,
		lines: [
			`Thank you, we have received ${paper ? formatMoney(paper.payable, paper.formats) : 'your payment'}.`,
			'Your papers are here:',
			link
		]
	}),
	invoice: ({ frozen, link, paper }) => ({
		subject: `${paper ? PAPER_WORDS[paper.kind].title : 'Invoice'} ${paper ? paperName(paper) : ''} from ${frozen.business.name}`,
		lines: [
			paper?.kind === 'credit note'
				? `Attached is a credit note over ${formatMoney(paper.payable, paper.formats)}.`
				: `Attached is our invoice for ${what(frozen)}. To pay: ${paper ? formatMoney(paper.payable, paper.formats) : ''}.`,
			'You can pay on your page:',
			link
		]
	})
};
const sum = (minor: number, { total, formats }: FrozenQuote): string =>
	formatMoney(money(minor, total.currency) satisfies Money, formats);

function attached({ kind, frozen, paper, pdf }: Posting, at: Date): Attachment[] {
	const day =
		kind === 'confirmation' && frozen.eventDate !== null
			? dayFile(frozen, at)
			: undefined; // prettier-ignore
	return [
		...(day ? [{ filename: 'the-day.ics', contentType: 'text/calendar', content: day }] : []),
		...(pdf?.length ? [{ filename: `${paper ? paperName(paper) : `quote-${frozen.number}`}.pdf`, contentType: 'application/pdf', content: pdf }] : [])
	]; // prettier-ignore
}

/** The same words for a messenger, to be copied: short, with the link. */
export const textToCopy = (posting: Posting): string => {
	const { frozen } = posting;
	const { lines } = WORDS[posting.kind](posting);
	return `Hello ${frozen.client.name}! ${lines.join(' ')} ${frozen.business.name}`;
};

/**
 * Writes an e-mail and puts it into the outbox: nothing leaves this machine. Written with the same id again it stays one.
 * @param quoteId the quote it is kept with
 */
export async function post(
	repos: Repos,
	{ id, quoteId, now }: { readonly id: string; readonly quoteId: string; readonly now: Date },
	posting: Posting
): Promise<void> {
	const { frozen, kind } = posting;
	const address = (await repos.clients.ofQuote(quoteId))?.email ?? '';
	const { subject, lines } = WORDS[kind](posting);
	const { name, phone, email } = frozen.business;
	const text = [
		`Hello ${frozen.client.name},`,
		...lines,
		[name, phone, email].filter(Boolean).join('\n')
	].join('\n\n');
	const mime = await compose({
		id,
		from: { name, address: email },
		to: { name: frozen.client.name, address },
		subject,
		text,
		at: now,
		attachments: attached(posting, now)
	});
	await repos.papers.post(quoteId, { id, kind, recipient: address, subject, mime, sentAt: now });
}
