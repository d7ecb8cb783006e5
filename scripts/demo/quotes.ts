import type { QuoteTerms } from '../../src/lib/core/quote/quote.ts';
import { AS_USUAL, type JobPlan } from '../../src/lib/core/labour/job.ts';

/** A quote of the invented studio's last year. */
export interface PastQuote {
	readonly client: string;
	readonly occasion: string;
	readonly venue: string;
	/** Days from today to its event; it was sent three weeks before. */
	readonly days: number;
	readonly lines: readonly (readonly [design: string, quantity: number])[];
	readonly job: string;
	readonly margin: string;
	readonly outcome: 'accepted' | 'declined' | null;
	readonly more?: Partial<QuoteTerms>;
	readonly plan?: Partial<JobPlan>;
}

const quote = (
	days: number,
	client: string,
	occasion: string,
	lines: PastQuote['lines'],
	job: string,
	margin: string,
	outcome: PastQuote['outcome'],
	more: Pick<PastQuote, 'more' | 'plan'> = {}
): PastQuote => ({ days, client, occasion, venue: 'Tidewick', lines, job, margin, outcome, ...more });

/** A year of quotes, oldest first. */
export const PAST_QUOTES: readonly PastQuote[] = [
	quote(-352, 'Tidewick Library', 'Winter reading night', [['kelp-column', 2]], 'piece', '40', 'accepted'),
	quote(
		-331,
		'Crumb & Kettle Bakery',
		'New oven day',
		[['whisk-and-bun-runner', 2]],
		'piece',
		'42',
		'accepted'
	),
	quote(-318, 'Fernbank Garden Centre', 'Seed week', [['toadstool-figure', 4]], 'room', '55', 'declined'),
	quote(-297, 'Tidewick Observatory', 'Meteor watch', [['observatory-column', 2], ['orbit-plinth', 1]], 'room', '48', 'accepted'), // prettier-ignore
	quote(
		-280,
		'Tidewick Sailing Club',
		'Laying-up supper',
		[['lighthouse-column', 2]],
		'piece',
		'44',
		'accepted'
	),
	quote(-266, 'Tidewick Beekeepers', 'Spring meeting', [['bee-figure', 2]], 'delivery', '50', 'accepted'),
	quote(-249, 'Tidewick Library', 'Poetry week', [['kelp-column', 4]], 'room', '58', 'declined'),
	quote(-231, 'Harbour Street School', 'Science morning', [['ringed-planet', 1], ['observatory-column', 1]], 'piece', '45', 'accepted'), // prettier-ignore
	quote(-214, 'Crumb & Kettle Bakery', 'Bun week', [['loaf-arch', 1]], 'room', '60', 'declined'),
	quote(-203, 'Tidewick Sailing Club', 'Season opening', [['tide-gauge-pole', 2], ['lighthouse-column', 2]], 'outdoor', '48', 'accepted', { more: { setting: 'outdoor' } }), // prettier-ignore
	quote(-188, 'Fernbank Garden Centre', 'Rose week', [['watering-can-column', 3]], 'room', '46', 'accepted'),
	quote(-171, 'Tidewick Observatory', 'Open dome', [['observatory-column', 4]], 'room', '52', 'declined'),
	quote(-160, 'Harbour Street School', 'Leavers’ day', [['lighthouse-column', 3]], 'piece', '42', 'accepted'),
	quote(-142, 'Tidewick Beekeepers', 'Hive visit', [['hive-column', 3]], 'outdoor', '48', 'accepted', { more: { setting: 'outdoor' } }), // prettier-ignore
	quote(-127, 'Tidewick Library', 'Summer challenge', [['octopus-figure', 1]], 'piece', '48', 'accepted'),
	quote(-110, 'Quayside Supper Rooms', 'Harvest supper', [['kelp-column', 2], ['hive-column', 2]], 'room', '57', 'declined'), // prettier-ignore
	quote(-93, 'Crumb & Kettle Bakery', 'Plum week', [['bakery-frame', 1]], 'piece', '45', 'accepted'),
	quote(-76, 'Tidewick Sailing Club', 'Dinghy day', [['tide-gauge-pole', 3]], 'outdoor', '50', null, { more: { setting: 'outdoor' } }), // prettier-ignore
	quote(-61, 'Quayside Supper Rooms', 'Lantern night', [['observatory-column', 2]], 'room', '48', 'accepted'),
	quote(-44, 'Harbour Street School', 'Book day', [['kelp-column', 2]], 'delivery', '44', 'accepted'),
	quote(-29, 'Fernbank Garden Centre', 'Bulb Sunday', [['toadstool-figure', 3]], 'room', '48', 'accepted', { plan: { goers: 1, crew: ['tansy', 'pip'] } }), // prettier-ignore
	quote(-12, 'Tidewick Library', 'Deep-sea reading day', [['kelp-column', 4], ['octopus-figure', 1]], 'room', '48', 'accepted') // prettier-ignore
];

/** What is said of a job by its template alone. */
export const jobOfKind = (template: string, plan: Partial<JobPlan> = {}): JobPlan => ({
	...AS_USUAL,
	template,
	...plan
});
