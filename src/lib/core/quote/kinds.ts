/** What a payment is for. */
export const PAYMENT_KINDS = ['deposit', 'balance'] as const;
export type PaymentKind = (typeof PAYMENT_KINDS)[number];

/** Where an attempt to pay has come: on its way and late, done, or turned down. */
export const PAYMENT_STATES = ['late', 'paid', 'failed'] as const;
export type PaymentState = (typeof PAYMENT_STATES)[number];

/** Papers that are made for a client and never change. */
export const PAPER_KINDS = ['confirmation', 'receipt', 'invoice', 'credit note'] as const;
export type PaperKind = (typeof PAPER_KINDS)[number];

/** E-mails that are written here. */
export const MESSAGE_KINDS = ['quote', 'reminder', 'answer', 'confirmation', 'receipt', 'invoice'] as const;
export type MessageKind = (typeof MESSAGE_KINDS)[number];
