/** States of a quote. A sent one whose last day has passed reads as lapsed; it is stored as it was. */
export const QUOTE_STATES = ['draft', 'sent', 'seen', 'accepted', 'declined', 'lapsed', 'cancelled'] as const;
export type QuoteState = (typeof QUOTE_STATES)[number];

/** What can happen to a quote. */
export const QUOTE_EVENTS = [
	'issued',
	'seen',
	'asked',
	'answered',
	'reminded',
	'accepted',
	'declined',
	'answer taken back',
	'cancelled',
	'revised',
	'revision dropped'
] as const;
export type QuoteEvent = (typeof QUOTE_EVENTS)[number];
/** What happened, in words of the owner. */
export const EVENT_WORDS: Readonly<Record<QuoteEvent, string>> = {
	issued: 'sent',
	seen: 'opened by the client',
	asked: 'the client asked',
	answered: 'answered',
	reminded: 'reminded',
	accepted: 'a yes',
	declined: 'a no',
	'answer taken back': 'the answer was taken back',
	cancelled: 'cancelled',
	revised: 'began to be written anew',
	'revision dropped': 'left as it was sent'
};

/** What leaves a quote where it is, and can happen as long as the client has it. */
const SAID = ['asked', 'answered', 'reminded'] as const satisfies readonly QuoteEvent[];
const saidIn = (state: QuoteState) => Object.fromEntries(SAID.map((event) => [event, state]));

const OPEN = {
	accepted: 'accepted',
	declined: 'declined',
	cancelled: 'cancelled',
	revised: 'draft'
} as const;
const ANSWERED = { ...OPEN, 'answer taken back': 'sent' } as const;

/** Where each event leads from each state; what is not there cannot happen. */
const MACHINE: Readonly<Record<QuoteState, Partial<Readonly<Record<QuoteEvent, QuoteState>>>>> = {
	draft: { issued: 'sent', 'revision dropped': 'sent' },
	sent: { ...OPEN, ...saidIn('sent'), seen: 'seen' },
	seen: { ...OPEN, ...saidIn('seen') },
	lapsed: OPEN,
	accepted: { ...ANSWERED, ...saidIn('accepted') },
	declined: { ...ANSWERED, ...saidIn('declined') },
	cancelled: { revised: 'draft', 'answer taken back': 'sent' }
};

/** The state after an event; undefined where it cannot happen. */
export const stateAfter = (state: QuoteState, event: QuoteEvent): QuoteState | undefined =>
	MACHINE[state][event];

/** Whether an event is only said: it leads nowhere, and may happen again and again. */
export const isSaying = (event: QuoteEvent): boolean => (SAID as readonly QuoteEvent[]).includes(event);

/** Whether the client has it and has not answered. */
export const isOpen = (state: QuoteState): boolean => state === 'sent' || state === 'seen';

/** The state as it is shown on a day. @param day and @param validUntil calendar days, `YYYY-MM-DD` */
export const stateOn = (state: QuoteState, day: string, validUntil: string): QuoteState =>
	isOpen(state) && day > validUntil ? 'lapsed' : state;
