import jstat from 'jstat';
import { describe, expect, test } from 'vitest';
import {
	catalogueOf,
	colours,
	design,
	designOf,
	floating,
	materials,
	rates
} from '../../../../tests/kit/studio.ts';
import { STARTING_JOBS } from '../labour/job.ts';
import { earningsOf } from '../pricing/earnings.ts';
import { METHODS, PRICE_METHODS } from '../pricing/methods.ts';
import { waysBeside } from '../pricing/ways.ts';
import { plainTerms, priceQuote, type QuoteItem, type QuoteTerms } from '../quote/quote.ts';
import type { Recipe } from '../recipe/recipe.ts';
import { tally, type TallyContext } from '../tally/tally.ts';
import { atLevers, LEVER_IDS, whatItHangsOn } from './levers.ts';
import { riskOf, studyRisk, type Risk, type RiskModel, type Unsure } from './risk.ts';

const context = (change: Partial<typeof rates> = {}, stock = materials): TallyContext => ({
	catalogue: catalogueOf(stock, colours),
	rates: { ...rates, jobs: STARTING_JOBS, ...change },
	library: () => undefined
});
const column = design('column', '4 16 at 13 grey', '4 11 at 9 white x6', '1 11 at 10 gold');
const item = (recipe: Recipe, quantity = 1): QuoteItem => ({
	id: recipe.name,
	recipe,
	colourway: null,
	quantity
});
const ctx = context();
const asked = (more: Partial<QuoteTerms> = {}) => ({ ...plainTerms(ctx.rates), ...more });
const priced = (more: Partial<QuoteTerms> = {}, items = [item(column)]) =>
	priceQuote(items, asked(more), ctx);

describe('a job by itself', () => {
	test('a design as a job and a quote of it agree to the cent, one and several', () => {
		for (const many of [1, 2, 7]) {
			const own = tally(column, null, many, ctx);
			const quote = priceQuote([item(column, many)], plainTerms(ctx.rates), ctx);
			expect(own.order).toEqual(quote.price);
			expect(quote.cost.known.minor).toBe(own.cost.total.known.minor + own.job.total.minor);
		}
	});
	test('the margin wanted is left though every hour around it counts', () => {
		const { price, job } = priced({ margin: '48' });
		if (price.status !== 'priced') throw new Error(price.why);
		expect(job.seconds).toBeGreaterThan(2 * 3600);
		expect(price.margin).toBeCloseTo(48, 1);
	});
	test('what her own hour earns, by hand', () => {
		const quote = priced();
		const { price, effort, earnings, cost } = quote;
		if (price.status !== 'priced' || !earnings) throw new Error();
		const hours = (quote.made.cost.seconds.valueOf() + quote.job.seconds) / 3600;
		expect(effort.hours).toBeCloseTo(hours, 9);
		expect(earnings.ownHour).toBeCloseTo((price.net.minor - price.fees.minor - cost.known.minor + hours * 1800) / hours, 6); // prettier-ignore
		expect(earnings.breakEven.minor).toBe(cost.known.minor);
	});
	test('job costing by the book: 200 a piece of which 120 is paid away, 2000 a fair: 80 each, even after 25', () => {
		// The introductory example of cost–volume–profit in a standard text on cost accounting, from memory.
		const price = {
			status: 'priced',
			net: { minor: 20_000, currency: 'USD' },
			profit: { minor: 0, currency: 'USD' }
		};
		const effort = {
			hours: 4,
			ownHours: 4,
			labour: 6000,
			ownCost: 6000,
			overhead: 2000,
			feet: 0,
			balloons: 0
		};
		const { contribution, contributionPerHour } = earningsOf(price as never, effort, 20_000, rates.price);
		expect(contribution.minor).toBe(8000);
		expect(200_000 / contribution.minor).toBe(25);
		expect(contributionPerHour).toBe(2000);
	});
});

describe('ways of pricing beside each other', () => {
	const quote = priced();
	const ways = waysBeside(quote.order, quote.terms, quote.effort, quote.price);
	const way = (method: string) => ways.find((w) => w.method === method)!;
	test('each is there, the one in hand is no way from itself', () => {
		expect(ways.map((w) => w.method)).toEqual(PRICE_METHODS);
		expect(way('margin').away).toBe(0);
	});
	test('by hand: materials × 3 and hours at 45.00; a foot of column at 25.00; 30.00 for her own hour', () => {
		const of = quote.effort;
		const bought =
			quote.made.cost.materialsTotal.known.minor +
			quote.made.cost.frameTotal.known.minor +
			quote.job.van.minor;
		expect(way('factor').price!.base.minor + way('factor').price!.delivery.minor).toBeCloseTo(3 * bought + of.hours * 4500, -1); // prettier-ignore
		expect(way('card').price!.said.minor).toBe(Math.round(2500 * of.feet));
		expect(way('wage').earnings!.ownHour).toBeCloseTo(3000, -1);
	});
	test('each is solved back: the margin a price leaves makes that price again', () => {
		for (const { price } of ways) {
			if (!price?.margin) continue;
			const again = priced({ method: 'margin', margin: (Math.round(price.margin * 1e6) / 1e6).toFixed(6).replace('.', '').replace(/^(-?)0*(\d+)$/, '$1$2/1000000') }); // prettier-ignore
			if (again.price.status !== 'priced') throw new Error();
			expect(Math.abs(again.price.said.minor - price.said.minor)).toBeLessThanOrEqual(2);
		}
	});
	test('a typed price is what the client reads, whatever the order adds; all typed, the job is in them', () => {
		const typed = { ...item(column), way: { method: 'typed', percent: '25000' } as const };
		const both = priceQuote([typed, item(design('small', '4 11 at 9 white'))], asked({ rush: '20' }), ctx);
		expect(both.lines[0]!.shown.minor).toBe(25_000);
		expect(both.lines[1]!.shown.minor).toBeGreaterThan(0);
		if (both.price.status !== 'priced') throw new Error();
		expect(both.lines.reduce((a, l) => a + l.shown.minor, 0) + both.delivery.minor).toBe(
			both.price.said.minor
		);
		const alone = priceQuote([typed], asked({ deliveryMinor: 0 }), ctx);
		expect(alone.price).toMatchObject({ said: { minor: 25_000 }, job: { minor: 0 } });
		expect(METHODS.typed.called).toBe('typed price');
	});
});

describe('what it hangs on', () => {
	test('each figure by hand: a fifth more wage is a fifth of what is paid for hours', () => {
		const quote = priced();
		const found = whatItHangsOn({ items: [item(column)], terms: asked(), context: ctx }, quote);
		const wage = found.find((f) => f.id === 'wage')!;
		expect(wage.more).toBeCloseTo(0.2 * quote.effort.labour, -1);
		expect(wage.less).toBeCloseTo(-0.2 * quote.effort.labour, -1);
		const distance = found.find((f) => f.id === 'distance')!;
		const drive = quote.job.parts.flatMap((p) => p.work).find((w) => w.task === 'drive')!;
		expect(distance.more).toBeCloseTo(0.5 * (quote.job.van.minor + (drive.seconds / 3600) * 2700), -1);
		expect(found.map((f) => f.more - f.less)).toEqual(
			[...found].map((f) => f.more - f.less).sort((a, b) => b - a)
		);
	});
	test('helium moves what floats and nothing else; figures at one change nothing', () => {
		const bunch = designOf(floating, 'bunch', [
			'bunch marks',
			'6 11 white in helium on 5 ft thin ribbon',
			'weight 1 sack'
		]);
		const studied = {
			items: [item(bunch)],
			terms: asked(),
			context: context({ rules: [{ of: 'litre of helium', each: '1', material: 'helium' }] }, floating)
		};
		const quote = priceQuote(studied.items, studied.terms, studied.context);
		expect(whatItHangsOn(studied, quote).map((f) => f.id)).toContain('helium');
		expect(atLevers(studied, Object.fromEntries(LEVER_IDS.map((id) => [id, 1])))).toBe(studied);
	});
});

const run = (unsure: readonly Unsure[], more: Partial<RiskModel> = {}): Risk => {
	const going = studyRisk({ profit: 0, net: 100_000, target: 0, unsure, seed: 7, trials: 20_000, ...more });
	for (;;) {
		const step = going.next();
		if (step.done) return step.value;
	}
};

describe('how sure it is', () => {
	test('the same seed gives the same answer, another a near one', () => {
		const unsure: Unsure[] = [{ kind: 'time', of: 'x', cost: 10_000, spread: 0.25 }];
		expect(run(unsure)).toEqual(run(unsure));
		expect(run(unsure, { seed: 8 }).p10).not.toBe(run(unsure).p10);
		expect(run(unsure, { seed: 8 }).p50).toBeCloseTo(run(unsure).p50, -3);
	});
	test('a log-normal of minutes has the quantiles of the library', () => {
		const variance = Math.log(1 + 0.3 ** 2);
		const { p10, p50, p90, mean } = run([{ kind: 'time', of: 'x', cost: 10_000, spread: 0.3 }]);
		const at = (q: number) => -10_000 * (jstat.lognormal.inv(q, -variance / 2, Math.sqrt(variance)) - 1);
		// Within some four standard errors of a quantile of 20,000 draws.
		for (const [got, q] of [[p10, 0.9], [p50, 0.5], [p90, 0.1]] as const) expect(Math.abs(got - at(q))).toBeLessThan(140); // prettier-ignore
		expect(Math.abs(mean)).toBeLessThan(90);
	});
	test('many minutes together come near a normal sum: σ √n', () => {
		const many = Array.from({ length: 100 }, (): Unsure => ({
			kind: 'time',
			of: 'x',
			cost: 1000,
			spread: 0.2
		}));
		const { p10, p90 } = run(many);
		const sigma = Math.sqrt(100) * 200;
		expect(Math.abs(p10 - jstat.normal.inv(0.1, 0, sigma))).toBeLessThan(120);
		expect(Math.abs(p90 - jstat.normal.inv(0.9, 0, sigma))).toBeLessThan(120);
	});
	test('losses are beta-binomial: their mean, and a variance of n p (1 − p) (1 + (n − 1) ρ)', () => {
		const [n, p, rho] = [200, 0.05, 0.02];
		const { p10, p90, mean } = run([{ kind: 'loss', of: 'x', used: n, loss: p, each: 100 }]);
		expect(Math.abs(mean)).toBeLessThan(30);
		const sd = 100 * Math.sqrt(n * p * (1 - p) * (1 + (n - 1) * rho));
		// Skewed, so not a normal’s 2.563 σ; near it all the same.
		expect((p90 - p10) / sd).toBeGreaterThan(2.2);
		expect((p90 - p10) / sd).toBeLessThan(2.8);
	});
	test('a count between two ends is a triangle: its quantiles in closed form', () => {
		const { p50, because } = run([{ kind: 'count', of: 'garland', less: 20, more: 40, each: 10 }]);
		// The median of (−20, 0, 40): 40 − √(½ · 60 · 40) = 5.36.
		expect(Math.abs(p50 + 53.6)).toBeLessThan(6);
		expect(because).toEqual([{ of: 'garland', share: 1 }]);
	});
	test('of a quote: what may come out otherwise is named, its shares are one, and the chance is between none and all', () => {
		const quote = priced({ margin: '48' });
		const model = riskOf(quote, ctx.rates, 48, 3, 2000)!;
		const risk = run(model.unsure, { ...model });
		expect(risk.because.reduce((a, b) => a + b.share, 0)).toBeCloseTo(1, 9);
		expect(risk.because.length).toBeGreaterThan(2);
		expect(risk.under).toBeGreaterThan(0.2);
		expect(risk.under).toBeLessThan(0.8);
		expect([risk.p10 < risk.p50, risk.p50 < risk.p90]).toEqual([true, true]);
	});
});
