import type { Rates } from '../cost/rates.ts';
import { catalogue } from '../materials/catalogue.ts';
import type { Material } from '../materials/material.ts';
import { costOfQuote, type PricedQuote, type QuoteItem, type QuoteTerms } from '../quote/quote.ts';
import { AS_USUAL, jobOf, type JobMinutes } from '../labour/job.ts';
import type { OrderFacts } from '../pricing/rules.ts';
import type { TallyContext } from '../tally/tally.ts';
import { rational, rationalText } from '../units/rational.ts';

/** What is priced, and with which figures. */
export interface Studied {
	readonly items: readonly QuoteItem[];
	readonly terms: QuoteTerms;
	readonly context: TallyContext;
	/** What its rules are told by. */
	readonly facts?: Omit<OrderFacts, 'pieces'> | undefined;
}

interface Lever {
	/** As an owner says it: `what an hour costs`. */
	readonly called: string;
	/** How far it usually swings either way, a share of itself. House rule. */
	readonly swing: number;
	/** All else equal, with so many times as much of it. */
	moved(studied: Studied, times: number): Studied;
}

const times = (value: number, by: number) => Math.round(value * by);
const withRates = (s: Studied, change: (rates: Rates) => Partial<Rates>): Studied => ({
	...s,
	context: { ...s.context, rates: { ...s.context.rates, ...change(s.context.rates) } }
});
const withMaterials = (s: Studied, change: (m: Material) => Material): Studied => {
	const { materials, colours } = s.context.catalogue;
	return {
		...s,
		context: {
			...s.context,
			catalogue: catalogue([...materials.values()].map(change), [...colours.values()])
		}
	};
};
const dearer = (m: Material, by: number): Material => ({
	...m,
	packs: m.packs.map((p) => ({ ...p, priceMinor: p.priceMinor === null ? null : times(p.priceMinor, by) }))
});
/** A job whose own figures are all said, so that they can be moved. */
function withJob(
	s: Studied,
	change: (job: ReturnType<typeof jobOf>) => { miles?: number; minutes?: JobMinutes }
): Studied {
	const plan = s.terms.job ?? AS_USUAL;
	return { ...s, terms: { ...s.terms, job: { ...plan, ...change(jobOf(plan, s.context.rates.jobs)) } } };
}

/** Figures a price hangs on: each one entry. */
export const LEVERS = {
	wage: {
		called: 'what an hour costs',
		swing: 0.2,
		moved: (s, by) =>
			withRates(s, ({ labourPerHour, people }) => ({
				labourPerHour: times(labourPerHour, by),
				people: people.map((p) => ({ ...p, wage: times(p.wage, by) }))
			}))
	},
	minutes: {
		called: 'minutes on the pieces',
		swing: 0.2,
		moved: (s, by) =>
			withRates(s, ({ standards }) => ({
				standards: Object.fromEntries(
					Object.entries(standards).map(([task, own]) => [
						task,
						{
							...own,
							seconds: own.seconds * by,
							batch: own.batch * by,
							...(own.timings && { timings: own.timings.map((t) => ({ ...t, seconds: t.seconds * by })) })
						}
					])
				) as Rates['standards']
			}))
	},
	around: {
		called: 'minutes around the job',
		swing: 0.2,
		moved: (s, by) =>
			withJob(s, ({ work, trips }) => ({
				minutes: Object.fromEntries(
					work
						.filter((w) => w.task !== 'drive')
						.map((w) => [w.task, (w.minutes * by) / (w.task === 'park and carry' ? Math.max(1, trips) : 1)])
				)
			}))
	},
	distance: {
		called: 'the distance',
		swing: 0.5,
		moved: (s, by) => withJob(s, ({ miles }) => ({ miles: miles * by }))
	},
	loss: {
		called: 'balloons lost',
		swing: 1,
		moved: (s, by) => {
			const more = (loss: string) => rationalText(rational(Math.min(0.9, rational(loss).valueOf() * by)));
			const all = withMaterials(s, (m) =>
				m.loss === null || m.kind === 'gas' ? m : { ...m, loss: more(m.loss) }
			);
			return withRates(all, ({ defaultLoss }) => ({ defaultLoss: more(defaultLoss) }));
		}
	},
	materials: {
		called: 'prices of materials',
		swing: 0.1,
		moved: (s, by) => withMaterials(s, (m) => (m.kind === 'gas' ? m : dearer(m, by)))
	},
	helium: {
		called: 'price of helium',
		swing: 0.3,
		moved: (s, by) => withMaterials(s, (m) => (m.kind === 'gas' ? dearer(m, by) : m))
	}
} as const satisfies Readonly<Record<string, Lever>>;
export type LeverId = keyof typeof LEVERS;
export const LEVER_IDS = Object.keys(LEVERS) as LeverId[];

/** How far a figure moves what is left, the price as it stands. */
export interface Moved {
	readonly id: LeverId | 'counts';
	readonly called: string;
	/** `± 20 %`; of counts both ends of the schools. */
	readonly swing: string;
	/** Change of the cost with less and with more of it, minor units. */
	readonly less: number;
	readonly more: number;
	/** Margin then, per cent; undefined at a price of 0. */
	readonly marginLess: number | undefined;
	readonly marginMore: number | undefined;
}

/** What moves the margin, most of it first; what moves nothing is left out. The price stays as it is. */
export function whatItHangsOn(studied: Studied, priced: PricedQuote): Moved[] {
	const { price, cost, made } = priced;
	if (price.status === 'refused') return [];
	const marginAt = (change: number) =>
		price.net.minor === 0 ? undefined : (100 * (price.profit.minor - change)) / price.net.minor;
	const own = cost.known.minor;
	const moved = (id: Moved['id'], called: string, swing: string, less: number, more: number): Moved => ({
		id,
		called,
		swing,
		less,
		more,
		marginLess: marginAt(less),
		marginMore: marginAt(more)
	});
	const at = ({ items, terms, context }: Studied) => costOfQuote(items, terms, context) - own;
	const all = LEVER_IDS.map((id) => {
		const lever: Lever = LEVERS[id];
		const [less, more] = [lever.moved(studied, 1 - lever.swing), lever.moved(studied, 1 + lever.swing)].map(
			at
		);
		return moved(id, lever.called, `± ${Math.round(lever.swing * 100)} %`, less!, more!);
	});
	const { spread } = made.cost;
	if (spread)
		all.push(
			moved('counts', 'balloons of a garland', 'least to most', -spread.less.minor, spread.more.minor)
		);
	return all
		.filter((m) => m.less !== 0 || m.more !== 0)
		.sort((a, b) => Math.abs(b.more - b.less) - Math.abs(a.more - a.less));
}

/** Figures moved at once, and what is left then at the price as it stands. @param by so many times as much of each */
export function atLevers(studied: Studied, by: Readonly<Partial<Record<LeverId, number>>>): Studied {
	return LEVER_IDS.reduce((s, id) => {
		const own = by[id] ?? 1;
		return own === 1 ? s : LEVERS[id].moved(s, own);
	}, studied);
}
