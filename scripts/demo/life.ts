import { readFileSync } from 'node:fs';
import { randomBytes } from 'node:crypto';
import type { CalendarDate } from '@internationalized/date';
import { NOTHING_CHOSEN, type ClientChoice } from '../../src/lib/core/quote/choices.ts';
import type { PaymentState } from '../../src/lib/core/quote/kinds.ts';
import type { QuoteTerms } from '../../src/lib/core/quote/quote.ts';
import { readPhoto } from '../../src/lib/core/photo/read-photo.ts';
import type { Repos } from '../../src/lib/server/repos/index.ts';
import {
	confirmOrder,
	creditInvoice,
	invoiceOrder,
	orderOf,
	payOrder,
	type Desk
} from '../../src/lib/server/services/orders.ts';
import { post } from '../../src/lib/server/services/quote-post.ts';
import { newTerms, sendQuote } from '../../src/lib/server/services/quoting.ts';
import { jobOfKind } from './quotes.ts';
import { settings } from './settings.ts';

/** The made-up hall of the demo's mock-up, pixels. */
export const HALL = {
	size: { width: 960, height: 640 },
	door: { x: 190, top: 196, foot: 476 }
} as const;

/** Something that happens to a quote, so many days before today. */
type Step =
	| { readonly does: 'send' | 'seen' | 'remind' | 'revise' | 'cancel'; readonly ago: number }
	| { readonly does: 'ask' | 'answer' | 'no'; readonly ago: number; readonly text: string }
	| {
			readonly does: 'yes';
			readonly ago: number;
			readonly name: string;
			readonly choice?: Partial<ClientChoice>;
	  };
interface Told {
	readonly id: string;
	readonly client: string;
	readonly days: number;
	readonly occasion: string;
	readonly venue: string;
	readonly job: string;
	readonly lines: readonly (readonly [design: string, quantity: number])[];
	readonly more?: (line: (n: number) => string, id: string) => Partial<QuoteTerms>;
	readonly steps: readonly Step[];
	/** What is paid, in order, and how the service answers. */
	readonly paid?: readonly PaymentState[];
	readonly papers?: 'invoice' | 'taken back';
	/** Quantity of the first line once it is written anew. */
	readonly then?: number;
	readonly hall?: true;
}

const fee = (id: string): NonNullable<QuoteTerms['typed']>[number] => ({ id: `${id}-fee`, label: 'Design fee', quantity: 1, priceMinor: 4500, costMinor: null, material: null }); // prettier-ignore

/** Quotes that are under way in the invented studio, in every state. */
const UNDER_WAY: readonly Told[] = [
	{
		id: 'quote-lamps', client: 'Quayside Supper Rooms', days: 24, occasion: 'Midsummer supper', venue: 'Quayside, upper room', job: 'room',
		lines: [['hive-column', 2], ['loaf-arch', 1], ['bee-figure', 1]], hall: true,
		more: (line, id) => ({
			levels: ['Good', 'Better'],
			about: {
				[line(0)]: { heading: 'entrance' }, [line(1)]: { heading: 'head table', levels: ['Better'] },
				[line(2)]: { heading: 'head table', addOn: true, note: 'Stands on the cake table.' }
			},
			typed: [fee(id)], order: [line(0), line(1), line(2), `${id}-fee`]
		}),
		steps: [{ does: 'send', ago: 6 }, { does: 'seen', ago: 5 }, { does: 'ask', ago: 1, text: 'Could the arch stand outside by the door?' }]
	},
	{
		id: 'quote-oven', client: 'Crumb & Kettle Bakery', days: 12, occasion: 'Second oven', venue: 'Mill Lane', job: 'piece', lines: [['loaf-arch', 1]],
		steps: [{ does: 'send', ago: 20 }, { does: 'seen', ago: 19 }, { does: 'yes', ago: 18, name: 'Odette Crumb' }], paid: ['paid'], papers: 'invoice'
	},
	{
		id: 'quote-choir', client: 'Harbour Street School', days: 40, occasion: 'Choir evening', venue: 'School hall', job: 'room', lines: [['observatory-column', 2], ['shop-window-swag', 1]],
		steps: [{ does: 'send', ago: 8 }, { does: 'seen', ago: 7 }, { does: 'revise', ago: 4 }, { does: 'send', ago: 4 }, { does: 'seen', ago: 3 }, { does: 'yes', ago: 2, name: 'Ines Marlow' }], then: 4, paid: ['late']
	},
	{
		id: 'quote-regrown', client: 'Fernbank Garden Centre', days: 55, occasion: 'Orchard day', venue: 'Orchard, Fernbank', job: 'outdoor', lines: [['watering-can-column', 2]],
		more: () => ({ setting: 'outdoor' }), steps: [{ does: 'send', ago: 7 }, { does: 'seen', ago: 6 }, { does: 'revise', ago: 1 }], then: 3
	},
	{
		id: 'quote-quiet', client: 'Tidewick Observatory', days: 61, occasion: 'Eclipse breakfast', venue: 'The dome', job: 'room', lines: [['orbit-plinth', 1]],
		steps: [{ does: 'send', ago: 5 }]
	},
	{
		id: 'quote-slow', client: 'Tidewick Sailing Club', days: 70, occasion: 'Commodore’s lunch', venue: 'Club house', job: 'room', lines: [['lighthouse-column', 2]],
		steps: [{ does: 'send', ago: 13 }, { does: 'seen', ago: 12 }, { does: 'remind', ago: 6 }]
	},
	{
		id: 'quote-old', client: 'Tidewick Library', days: 34, occasion: 'Map evening', venue: 'Reading room', job: 'piece', lines: [['kelp-column', 1]],
		steps: [{ does: 'send', ago: 30 }, { does: 'seen', ago: 29 }]
	},
	{
		id: 'quote-called-off', client: 'Quayside Supper Rooms', days: 9, occasion: 'Oyster night', venue: 'Quayside', job: 'room', lines: [['kelp-column', 2]],
		steps: [{ does: 'send', ago: 40 }, { does: 'seen', ago: 39 }, { does: 'yes', ago: 38, name: 'Basil Orme' }, { does: 'cancel', ago: 3 }], paid: ['failed', 'paid'], papers: 'taken back'
	},
	{
		id: 'quote-dear', client: 'Tidewick Beekeepers', days: 28, occasion: 'Honey market', venue: 'Market square', job: 'outdoor', lines: [['hive-column', 4]],
		more: () => ({ setting: 'outdoor' }), steps: [{ does: 'send', ago: 15 }, { does: 'seen', ago: 14 }, { does: 'no', ago: 10, text: 'too dear' }]
	},
	{
		id: 'quote-paid', client: 'Harbour Street School', days: -3, occasion: 'Prize giving', venue: 'School hall', job: 'piece', lines: [['lighthouse-column', 1]],
		steps: [{ does: 'send', ago: 33 }, { does: 'seen', ago: 33 }, { does: 'yes', ago: 30, name: 'Ines Marlow' }], paid: ['paid', 'paid'], papers: 'invoice'
	},
	{
		id: 'quote-asked', client: 'Fernbank Garden Centre', days: 47, occasion: 'Fern fair', venue: 'Glasshouse', job: 'room', lines: [['toadstool-figure', 2]],
		steps: [{ does: 'send', ago: 4 }, { does: 'seen', ago: 3 }, { does: 'ask', ago: 3, text: 'Do they fade in the sun?' }, { does: 'answer', ago: 2, text: 'Matte ones dull within the day outdoors; under glass they keep till evening.' }]
	},
	{
		id: 'quote-other', client: 'Crumb & Kettle Bakery', days: 66, occasion: 'Bread week', venue: 'Mill Lane', job: 'piece', lines: [['bakery-frame', 1]],
		steps: [{ does: 'send', ago: 11 }, { does: 'seen', ago: 10 }, { does: 'no', ago: 9, text: 'another date' }]
	},
	{ id: 'quote-draft-1', client: 'Tidewick Library', days: 75, occasion: 'Story hour', venue: 'Reading room', job: 'delivery', lines: [['octopus-figure', 1]], steps: [] },
	{
		id: 'quote-draft-2', client: 'Tidewick Observatory', days: 90, occasion: 'Members’ night', venue: 'The dome', job: 'room', lines: [['ringed-planet', 1]],
		more: (_, id) => ({ typed: [fee(id)], order: [`${id}-0`, `${id}-fee`] }), steps: []
	},
	{
		id: 'quote-won', client: 'Tidewick Beekeepers', days: 82, occasion: 'Swarm supper', venue: 'Parish hall', job: 'room', lines: [['bee-figure', 2], ['hive-column', 1]],
		more: (line) => ({ about: { [line(1)]: { addOn: true } } }),
		steps: [{ does: 'send', ago: 9 }, { does: 'seen', ago: 8 }, { does: 'yes', ago: 7, name: 'Linnet Shaw', choice: { ticked: [1] } }]
	},
	{
		id: 'quote-lanterns', client: 'Tidewick Library', days: 6, occasion: 'Evening of lanterns', venue: 'Reading room', job: 'room', lines: [['lighthouse-column', 2], ['kelp-column', 1]],
		steps: [{ does: 'send', ago: 25 }, { does: 'seen', ago: 24 }, { does: 'yes', ago: 22, name: 'Wren Ashby' }], paid: ['paid']
	},
	{
		id: 'quote-fair', client: 'Harbour Street School', days: 7, occasion: 'Winter fair', venue: 'School gym', job: 'room', lines: [['lighthouse-column', 1], ['kelp-column', 1]],
		steps: [{ does: 'send', ago: 16 }, { does: 'seen', ago: 15 }, { does: 'yes', ago: 12, name: 'Ines Marlow' }], paid: ['paid']
	}
]; // prettier-ignore

const EVENTS = { send: 'issued', seen: 'seen', remind: 'reminded', revise: 'revised', cancel: 'cancelled', ask: 'asked', answer: 'answered', no: 'declined', yes: 'accepted' } as const; // prettier-ignore

/** What is the client's own doing, by their link. */
const THEIRS = new Set<Step['does']>(['seen', 'ask', 'yes', 'no']);

/**
 * Quotes under way, each as far as it has come. A load that ended halfway is gone on with.
 * @param client the same studio as somebody with a link writes in it @returns how many there are
 */
export async function loadLife(repos: Repos, client: Repos, today: CalendarDate): Promise<number> {
	for (const told of UNDER_WAY) await tell(repos, client, told, today);
	return UNDER_WAY.length;
}

async function tell(repos: Repos, client: Repos, told: Told, today: CalendarDate) {
	const { id } = told;
	const at = (ago: number, hour = 9) =>
		new Date(`${today.subtract({ days: ago }).toString()}T${String(hour).padStart(2, '0')}:00:00Z`);
	const first = told.steps[0]?.ago ?? 1;
	const line = (n: number) => `${id}-${n}`;
	const lines = told.lines.map(([design, quantity], n) => ({ id: line(n), versionId: `${design}.1`, colourwayId: null, sizeId: null, way: null, quantity })); // prettier-ignore
	const clientId = await repos.clients.named(told.client, `client-${id}`);
	const terms: QuoteTerms = {
		...newTerms(settings),
		occasion: told.occasion,
		venue: told.venue,
		job: jobOfKind(told.job),
		...told.more?.(line, id),
		...(told.hall ? { place: await inHall(repos, id, line, at(first)) } : {})
	};
	const draft = {
		clientId,
		eventDate: today.add({ days: told.days }).toString(),
		zone: settings.zone,
		terms,
		lines
	};
	if (!told.hall) await repos.quotes.create(id, draft, at(first));
	else if (!(await repos.quotes.find(id))) throw new Error('A quote stands before its photo.');
	else await repos.quotes.save(id, { ...draft, client: told.client }, { baseRevision: 1, saveId: `${id}-hall`, newId: id }); // prettier-ignore
	const done = (await repos.quoteLife.events(id)).length;
	for (const [i, step] of told.steps.entries()) {
		await happen(repos, told, step, { at, isDone: i < done, by: THEIRS.has(step.does) ? client : repos });
		if (step.does === 'yes') await settle(repos, client, told, at);
	}
	if (told.then && (await repos.quotes.find(id))!.state === 'draft') await anew(repos, told);
}

/** A message of the demo carries no papers: they lie beside it. */
const deskOf = async (repos: Repos, id: string, now: Date): Promise<Desk> => ({
	now,
	link: `http://127.0.0.1:4173/q/${(await repos.quotes.find(id))?.issued?.token ?? ''}`,
	pdf: async () => new Uint8Array()
});

async function happen(
	repos: Repos,
	told: Told,
	step: Step,
	{
		at,
		isDone,
		by
	}: { readonly at: (ago: number, hour?: number) => Date; readonly isDone: boolean; readonly by: Repos }
) {
	const { id } = told;
	const now = at(step.ago, 10 + Object.keys(EVENTS).indexOf(step.does));
	if (step.does === 'send') {
		if (!isDone) {
			if (told.then && (await repos.quoteLife.events(id)).length > 0) await anew(repos, told);
			const token = randomBytes(24).toString('base64url');
			const outcome = await sendQuote(repos, { id, token, evenUnknown: true, now });
			if (outcome !== 'sent') throw new Error(`The demo's quote ${id} was not sent: ${outcome}`);
		}
	} else if (step.does === 'seen') {
		const token = (await repos.quotes.find(id))?.issued?.token;
		if (!isDone && token) await by.sentQuotes.seen(token, now);
	} else if (!isDone && !(await by.quoteLife.happen(id, EVENTS[step.does], now, saidIn(step))))
		throw new Error(`The demo's quote ${id} cannot ${step.does}.`);
	const desk = await deskOf(repos, id, now);
	if (step.does === 'yes') await confirmOrder(repos, id, desk);
	const kind = step.does === 'send' ? 'quote' : step.does === 'remind' ? 'reminder' : step.does === 'answer' ? 'answer' : null; // prettier-ignore
	const issued = kind && (await repos.quotes.find(id))?.issued;
	if (!kind || !issued) return;
	const text = step.does === 'answer' ? { text: step.text } : {};
	await post(repos, { id: `${id}.${issued.number}.${kind}`, quoteId: id, now }, { kind, frozen: issued.frozen, link: desk.link, ...text }); // prettier-ignore
}

const saidIn = (step: Step) =>
	step.does === 'yes'
		? { name: step.name, ...(step.choice ? { choice: { ...NOTHING_CHOSEN, ...step.choice } } : {}) }
		: 'text' in step
			? { text: step.text }
			: null;

/** The first line of a quote that is written anew gets another quantity, once. */
async function anew(repos: Repos, { id, client, then }: Told) {
	const quote = (await repos.quotes.find(id))!;
	if (quote.lines[0]?.quantity === then) return;
	const { eventDate, zone, terms, revision } = quote;
	const lines = quote.lines.map((l, i) => (i === 0 ? { ...l, quantity: then! } : l));
	await repos.quotes.save(id, { client, eventDate, zone, terms, lines }, { baseRevision: revision, saveId: `${id}-anew`, newId: id }); // prettier-ignore
}

/** What was paid and written of an order. */
async function settle(
	repos: Repos,
	client: Repos,
	{ id, paid = [], papers }: Told,
	at: (ago: number, hour?: number) => Date
) {
	for (const [i, answer] of paid.entries()) {
		const key = `${id}-pay-${i}`;
		if ((await repos.payments.of(id)).some((p) => p.id === key && p.state !== 'paid')) continue;
		const next = (await orderOf(repos, id))?.dues.next;
		const before = (await repos.payments.of(id)).find((p) => p.id === key);
		const wanted = before ?? next;
		if (wanted) await payOrder(client, id, { key, kind: wanted.kind, minor: wanted.minor, answer }, await deskOf(repos, id, at(2, 12 + i))); // prettier-ignore
	}
	if (!papers) return;
	const invoice = (await invoiceOrder(repos, id, await deskOf(repos, id, at(1, 12)))) ?? (await repos.papers.of(id)).find((p) => p.frozen.kind === 'invoice'); // prettier-ignore
	if (invoice && papers === 'taken back')
		await creditInvoice(repos, invoice.id, await deskOf(repos, id, at(1, 14)));
}

/** The made-up hall with two columns beside its door and the arch before the window. */
async function inHall(
	repos: Repos,
	id: string,
	line: (n: number) => string,
	now: Date
): Promise<QuoteTerms['place']> {
	const read = readPhoto(readFileSync(new URL('./photos/hall.jpg', import.meta.url)));
	if (!read.ok) throw new Error(`The demo's hall was refused: ${read.say}`);
	const { width, height } = read.photo;
	const photo = `place-${id}`;
	// A photo belongs to a quote: that is there first.
	await repos.quotes.create(id, { clientId: await repos.clients.named('Quayside Supper Rooms', `client-${id}`), eventDate: null, zone: settings.zone, terms: newTerms(settings), lines: [] }, now); // prettier-ignore
	await repos.placePhotos.add(id, { ...read.photo, id: photo }, now);
	const { door, size } = HALL;
	const at = (y: number) => [door.x / size.width, y / size.height] as const;
	const piece = (n: number, x: number, turned = false) => ({
		line: line(n),
		x,
		y: (door.foot + 34) / size.height,
		turned
	});
	return {
		photo,
		width,
		height,
		from: at(door.top),
		to: at(door.foot),
		mm: 2032,
		pieces: [piece(0, 0.36), piece(1, 0.68)]
	};
}
