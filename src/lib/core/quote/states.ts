/** States of a quote. A sent one whose last day has passed reads as lapsed; it is stored as sent. */
export const QUOTE_STATES = ['draft', 'sent', 'accepted', 'declined', 'lapsed'] as const;
export type QuoteState = (typeof QUOTE_STATES)[number];

/** What can happen to a quote. */
export const QUOTE_EVENTS = ['issued', 'accepted', 'declined', 'answer taken back'] as const;
export type QuoteEvent = (typeof QUOTE_EVENTS)[number];

const ANSWERED = { accepted: 'accepted', declined: 'declined', 'answer taken back': 'sent' } as const;

/** Where each event leads from each state; what is not there cannot happen. */
const MACHINE: Readonly<Record<QuoteState, Partial<Readonly<Record<QuoteEvent, QuoteState>>>>> = {
	draft: { issued: 'sent' },
	sent: { accepted: 'accepted', declined: 'declined' },
	lapsed: { accepted: 'accepted', declined: 'declined' },
	accepted: ANSWERED,
	declined: ANSWERED
};

/** The state after an event; undefined where it cannot happen. */
export const stateAfter = (state: QuoteState, event: QuoteEvent): QuoteState | undefined =>
	MACHINE[state][event];

/** The state as it is shown on a day. @param day and @param validUntil calendar days, `YYYY-MM-DD` */
export const stateOn = (state: QuoteState, day: string, validUntil: string): QuoteState =>
	state === 'sent' && day > validUntil ? 'lapsed' : state;
