import { MOVE_WORDS, type MoveKind } from '../stock/ledger.ts';
import { formatMoney, money, type Currency } from '../money/money.ts';
import { EVENT_WORDS, type QuoteEvent } from '../quote/states.ts';

/** A change as it was written down: which figure or word, from what to what. */
export interface RawChange {
	readonly what: string;
	readonly was: string | null;
	readonly is: string | null;
}
/** The same in words. */
export interface ChangeWords {
	readonly what: string;
	/** Null where it only happened. */
	readonly was: string | null;
	readonly is: string | null;
}

type Print = (raw: string, currency: Currency) => string;
const asIs: Print = (raw) => raw;
const amount: Print = (raw, currency) =>
	/^-?\d+$/.test(raw) ? formatMoney(money(Number(raw), currency)) : raw;
const thousandths: Print = (raw) => String(Number(raw) / 1000);
const yes: Print = (raw) => (raw === '1' ? 'yes' : 'no');
const day: Print = (raw) => (/^\d{11,}$/.test(raw) ? new Date(Number(raw)).toISOString().slice(0, 10) : raw);

/** Every figure and word that is written down when it changes. */
const KNOWN: Readonly<Record<string, readonly [words: string, print: Print]>> = {
	'pack.price_minor': ['price of a pack', amount],
	'pack.count': ['pieces in a pack', asIs],
	'pack.deposit_minor': ['deposit on a pack', amount],
	'pack.breaks': ['price by number of packs', asIs],
	'pack.since': ['price since', asIs],
	'pack.until': ['price until', asIs],
	'pack.ended': ['pack not sold any more', yes],
	'material.name': ['name', asIs],
	'material.loss': ['share that is lost', asIs],
	'material.retired': ['retired', yes],
	'material.into_id': ['made one with', asIs],
	'material.reuse': ['how it comes back', asIs],
	'material.safe': ['largest safe size', asIs],
	'material.facts': ['what its maker says', asIs],
	'design.put_away': ['put away', asIs],
	'design.taken_out': ['taken out again', asIs],
	'design.deleted': ['deleted for good', asIs],
	'quote.put_away': ['put away', asIs],
	'quote.taken_out': ['taken out again', asIs],
	'quote.deleted': ['deleted for good', asIs],
	'supplier.name': ['name', asIs],
	'supplier.shipping_minor': ['sending costs', amount],
	'supplier.free_from_minor': ['sent for nothing from', amount],
	'supplier.lead_days': ['days to the door', asIs],
	'person.role': ['role', asIs],
	'person.ended_at': ['let in no more', (raw) => `since ${day(raw, 'USD')}`],
	'person.name': ['name', asIs],
	'person.second_step': ['second step', yes],
	'person.joined': ['joined as', asIs],
	'person.invited': ['invited as', asIs],
	'invitation.ended_at': ['invitation taken back', () => ''],
	'job.day': ['day of the event', asIs],
	'job.counted': ['the job counted back', asIs],
	'link.ended': ['the client’s link was taken back', asIs],
	'payment.state': ['payment', asIs],
	'studio.restored': ['the whole studio was put back to', asIs],
	'studio.brought': ['the whole studio was brought in from', asIs]
};
/** The rest of a name behind what it begins with. */
const FAMILIES: readonly (readonly [prefix: string, words: (rest: string) => string, print: Print])[] = [
	['quote.', (rest) => EVENT_WORDS[rest as QuoteEvent] ?? rest, asIs],
	['payment.', (rest) => `payment, ${rest}`, amount],
	['paper.', (rest) => `${rest} written`, (raw) => `number ${raw}`],
	['stock.', (rest) => MOVE_WORDS[rest as MoveKind] ?? rest, thousandths],
	['settings.', (rest) => rest, asIs]
];
/** What is longer says no more. */
const LONGEST = 80;
const short = (text: string) => (text.length > LONGEST ? `${text.slice(0, LONGEST - 1)}…` : text);

/** What of all that is written down is said with these words: by its name as it is kept. @param words as they are searched for */
export function saidWith(words: string): string[] {
	const asked = words.trim().toLowerCase();
	const named = [
		...Object.entries(KNOWN).map(([what, [says]]) => [what, says] as const),
		...Object.entries(EVENT_WORDS).map(([event, says]) => [`quote.${event}`, says] as const),
		...Object.entries(MOVE_WORDS).map(([kind, says]) => [`stock.${kind}`, says] as const)
	];
	return named.filter(([, says]) => says.toLowerCase().includes(asked)).map(([what]) => what);
}

/** A change in the words of the studio. What nobody named is shown as it was written, so nothing is ever left out. */
export function changeWords({ what, was, is }: RawChange, currency: Currency): ChangeWords {
	const family = FAMILIES.find(([prefix]) => what.startsWith(prefix));
	const [words, print] =
		KNOWN[what] ?? (family ? [family[1](what.slice(family[0].length)), family[2]] : [what, asIs]);
	const said = (raw: string | null) => (raw === null ? null : short(print(raw, currency)));
	return { what: words, was: said(was), is: said(is) };
}
