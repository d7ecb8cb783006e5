import { AS_USUAL } from '../labour/job.ts';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { design, rates, studio } from '../../../../tests/kit/studio.ts';
import { POINT } from '../units/number.ts';
import { tally } from '../tally/tally.ts';
import { priceQuote, type QuoteItem, type QuoteTerms } from './quote.ts';
import { NO_RAW_JOB, printJob, readJob } from './read-job.ts';
import { isCalendarDay, printQuote, readQuote, type RawQuote } from './read-form.ts';
import { PLAIN_LINE } from './read-lines.ts';

const plain: QuoteTerms = {
	occasion: 'Regatta',
	venue: 'Slipway',
	setting: 'indoor',
	deliveryMinor: 0,
	deliveryCostMinor: 0,
	method: 'margin',
	margin: '50',
	markup: '100',
	rush: '0',
	discount: null,
	tax: '0',
	deposit: '0',
	validDays: 14,
	note: ''
};
const column = design('column', '4 16 at 12 grey', '4 11 at 9 white x6');
const small = design('small', '4 5 at 4 white x3');
const item = (id: string, quantity: number, recipe = column): QuoteItem => ({
	id,
	recipe,
	colourway: null,
	quantity
});
const context = (price: Partial<typeof rates.price> = {}) => ({
	catalogue: studio,
	rates: { ...rates, price: { ...rates.price, ...price } },
	library: () => undefined
});
const priced = (terms: Partial<QuoteTerms>, items = [item('a', 2), item('b', 1, small)], ctx = context()) =>
	priceQuote(items, { ...plain, ...terms }, ctx);

describe('a quote', () => {
	test('is priced as a whole: the cost of its lines and the delivery, by the quote’s own method', () => {
		const quote = priced({ deliveryMinor: 4000, deliveryCostMinor: 1500 });
		const goods = quote.lines.reduce((a, l) => a + l.cost.known.minor, 0);
		expect(quote.cost.known.minor).toBe(goods + 1500);
		if (quote.price.status !== 'priced') throw new Error();
		expect(quote.price.base.minor).toBe(goods * 2);
		expect(quote.delivery.minor).toBe(4000);
		expect(quote.price.profit.minor).toBe(goods * 2 + 4000 - goods - 1500);
		expect(priced({ method: 'markup', markup: '60' }).price).toMatchObject({
			base: { minor: Math.round(goods * 1.6) }
		});
	});
	test('two on one line cost less than twice one: batches and spares are shared', () => {
		const [one] = priced({}, [item('a', 1)]).lines;
		const [two] = priced({}, [item('a', 2)]).lines;
		expect(two!.cost.known.minor).toBeLessThan(2 * one!.cost.known.minor);
		expect(two!.tally.bill.balloons).toBe(2 * one!.tally.bill.balloons);
	});
	test('what a delivery costs is the drive and the van, unless it is said', () => {
		const job = { ...AS_USUAL, miles: 10, trips: 2, goers: 2 };
		const quote = priced({ deliveryCostMinor: null, job });
		// 40 miles at 30 an hour are 80 minutes, of two people, at 18.00 and 9.00 overhead; the van costs nothing here.
		expect(quote.job.road.minor).toBe(2 * (2400 + 1200));
		expect(quote.cost.known.minor - priced({ deliveryCostMinor: 0 }).cost.known.minor).toBe(7200);
		expect(priced({ deliveryCostMinor: 1500, job }).cost.known.minor).toBe(priced({ deliveryCostMinor: 0 }).cost.known.minor + 1500); // prettier-ignore
	});
	test('a margin no price reaches gives no amounts at all', () => {
		const quote = priced({ margin: '100' });
		expect(quote.price.status).toBe('refused');
		expect(quote.lines.map((l) => l.shown.minor)).toEqual([0, 0]);
	});
	test('a kind of piece has a way of its own, under that of its design and over that of the quote', () => {
		const ctx = context({ byClass: { column: 'markup' }, markup: '150' });
		const from = (recipe: typeof column, way: QuoteItem['way'] = null) =>
			priced({}, [{ ...item('a', 1, recipe), way }], ctx).lines[0]!;
		expect(from(column)).toMatchObject({ from: 'kind', way: { method: 'markup', percent: '100' } });
		expect(from(column, 'quote').from).toBe('quote');
		expect(from({ ...column, pricing: { method: 'margin', percent: '30' } }).from).toBe('design');
		expect(tally(column, null, 1, ctx).terms.method).toBe('markup');
	});
	test('a line is priced by its design’s own way unless the quote says otherwise for it, and says which', () => {
		const own = { ...column, pricing: { method: 'markup' as const, percent: '200' } };
		const line = (way: QuoteItem['way']) => {
			const quote = priced({}, [{ ...item('a', 1, own), way: way ?? null }, item('b', 1, small)]);
			const [first, second] = quote.lines;
			expect(second!.from).toBe('quote');
			return { from: first!.from, times: first!.base.minor / first!.cost.known.minor };
		};
		expect(line(null)).toEqual({ from: 'design', times: 3 });
		expect(line('quote')).toEqual({ from: 'quote', times: 2 });
		expect(line({ method: 'markup', percent: '50' })).toMatchObject({ from: 'line' });
		expect(line({ method: 'markup', percent: '50' }).times).toBeCloseTo(1.5, 3);
	});
	test('the quick price of a design and a quote of one of it say the same', () => {
		const own = { ...column, pricing: { method: 'markup' as const, percent: '200' } };
		const ctx = context({ minimumMinor: 9000, pricePoint: { step: 500, mode: 'up' } });
		for (const recipe of [own, column, small]) {
			const quick = tally(recipe, null, 1, ctx).order;
			const quote = priced({}, [item('a', 1, recipe)], ctx).price;
			if (quick.status === 'refused' || quote.status === 'refused') throw new Error();
			expect(quick.said).toEqual(quote.said);
			expect(quick.steps).toEqual(quote.steps);
		}
	});
	test('a part of little cost shows its own price; an order of it has the minimum as a step of its own', () => {
		const { price, order } = tally(small, null, 1, context({ minimumMinor: 7500 }));
		if (price.status === 'refused' || order.status === 'refused') throw new Error();
		expect(price.steps).toEqual([]);
		expect(price.said.minor).toBeLessThan(7500);
		expect(order.steps.map((s) => s.id)).toEqual(['minimum order']);
		expect(order.said.minor).toBe(7500);
	});
	test('an empty quote costs its delivery only', () => {
		expect(priced({ deliveryMinor: 2500 }, []).price).toMatchObject({
			net: { minor: 2500 },
			total: { minor: 2500 }
		});
	});
	test('what the client reads always sums: lines + delivery − discount = net, net + tax = total', () => {
		const anyTerms = fc.record({
			deliveryMinor: fc.integer({ min: 0, max: 20_000 }),
			margin: fc.integer({ min: 0, max: 90 }).map(String),
			rush: fc.integer({ min: 0, max: 40 }).map(String),
			tax: fc.constantFrom('0', '7', '77/10', '20'),
			discount: fc.oneof(
				fc.constant(null),
				fc.integer({ min: 0, max: 100 }).map((n) => ({ kind: 'percent' as const, percent: String(n) })),
				fc.integer({ min: 0, max: 50_000 }).map((minor) => ({ kind: 'amount' as const, minor }))
			)
		});
		const anyWay = fc.record({
			pricePoint: fc.constantFrom(
				null,
				{ step: 500, mode: 'up' as const },
				{ step: 100, mode: 'nearest' as const }
			),
			minimumMinor: fc.constantFrom(0, 30_000),
			inclusive: fc.boolean()
		});
		fc.assert(
			fc.property(anyTerms, anyWay, (terms, { inclusive, ...way }) => {
				const quote = priced(terms, undefined, context({ ...way, tax: { percent: '0', inclusive } }));
				if (quote.price.status !== 'priced') throw new Error();
				const lines = quote.lines.reduce((a, l) => a + l.shown.minor, 0);
				const { net, tax, total } = quote.price;
				expect(lines + quote.delivery.minor).toBe(quote.subtotal.minor);
				const shown = quote.subtotal.minor - quote.discount.minor;
				expect(shown).toBe(inclusive && terms.tax !== '0' ? total.minor : net.minor);
				expect(net.minor + tax.minor).toBe(total.minor);
				for (const line of quote.lines) expect(line.shown.minor).toBeGreaterThanOrEqual(0);
			}),
			{ numRuns: 60 }
		);
	});
});

describe('the fields of a quote', () => {
	const raw: RawQuote = {
		client: 'Tidewick Library',
		eventDate: '2027-06-12',
		zone: 'America/New_York',
		occasion: ' Reading day ',
		job: NO_RAW_JOB,
		venue: '',
		setting: 'indoor',
		delivery: '40',
		deliveryCost: '',
		method: 'margin',
		margin: '48',
		markup: '90',
		rush: '0',
		discountKind: 'none',
		discount: 'not looked at',
		tax: '7.7',
		deposit: '30',
		validDays: '14',
		note: '',
		here: '',
		there: '',
		sun: 'shade',
		height: '',
		gust: '',
		levels: '',
		self: '',
		place: null,
		lines: [{ ...PLAIN_LINE, id: 'l', versionId: 'd.1', quantity: '2' }]
	};
	const read = (change: Partial<RawQuote>) =>
		readQuote({ ...raw, ...change }, { currency: 'USD', style: POINT });
	test('are read exactly: percentages as fractions, a blank cost as unknown, no date as no date', () => {
		expect(read({ eventDate: '' }).value).toMatchObject({
			eventDate: null,
			terms: {
				tax: '77/10',
				deliveryMinor: 4000,
				deliveryCostMinor: null,
				discount: null,
				occasion: 'Reading day'
			},
			lines: [{ colourwayId: null, sizeId: null, quantity: 2, way: null }]
		});
		expect(read({ discountKind: 'percent', discount: '12 1/2' }).value!.terms.discount).toEqual({
			kind: 'percent',
			percent: '25/2'
		});
		expect(read({}).value!.terms.climate).toBeNull();
		expect(read({}).value!.terms.job).toBeNull();
		expect(read({ there: '35 C', sun: 'light', height: '1000 m' }).value!.terms.climate).toEqual({
			here: 293.15,
			there: 308.15,
			sun: 'light',
			height: 1000
		});
		expect(read({ discountKind: 'amount', discount: '12.50' }).value!.terms.discount).toEqual({
			kind: 'amount',
			minor: 1250
		});
	});
	test('the job around it is read as typed and comes back as it was said', () => {
		const job = {
			template: 'room',
			miles: '12.5',
			trips: '2',
			goers: '3',
			crew: ['wren'],
			minutes: { load: '40', 'clear up': '7.5' },
			lines: [
				{ label: 'hire of a lift', amount: '85' },
				{ label: '', amount: '' }
			]
		};
		const plan = read({ job }).value!.terms.job!;
		expect(plan).toEqual({
			template: 'room',
			miles: 12.5,
			trips: 2,
			goers: 3,
			crew: ['wren'],
			minutes: { load: 40, 'clear up': 7.5 },
			lines: [{ label: 'hire of a lift', minor: 8500 }]
		});
		expect(readJob(printJob(plan, { decimal: ',' }), { style: { decimal: ',' }, currency: 'USD' })).toEqual({ errors: {}, plan }); // prettier-ignore
	});
	test.each<[Partial<RawQuote['job']>, string, RegExp]>([
		[{ miles: '10000' }, 'miles', /at most 2000.*Nobody drives further/],
		[{ miles: 'x' }, 'miles', /^“x” is not a number\. Write it like 8, 8\.5 or 8½\.$/],
		[{ trips: '1.5' }, 'trips', /whole number/],
		[{ goers: '0' }, 'goers', /at least 1/],
		[{ crew: [] }, 'crew', /Somebody has to do it/],
		[{ minutes: { load: '20000' } }, 'minutes load', /at most 10080/],
		[{ minutes: { load: '-1' } }, 'minutes load', /negative/],
		[{ lines: [{ label: '', amount: '5' }] }, 'job line 0', /What is it for/],
		[{ lines: [{ label: 'lift', amount: 'x' }] }, 'job line 0', /not an amount/]
	])('of the job %j gets its sentence at %s', (change, field, sentence) => {
		const { errors, value } = read({ job: { ...NO_RAW_JOB, ...change } });
		expect(value).toBeUndefined();
		expect(errors[field as keyof typeof errors]).toMatch(sentence);
	});
	test.each<[Partial<RawQuote>, string, RegExp]>([
		[{ client: '  ' }, 'client', /Who is it for/],
		[{ eventDate: '2027-02-30' }, 'eventDate', /no such day/],
		[{ delivery: '-4' }, 'delivery', /cannot be negative/],
		[{ deliveryCost: 'ten' }, 'deliveryCost', /not an amount/],
		[{ margin: '100' }, 'margin', /No price leaves a margin of 100 %/],
		[{ margin: '' }, 'margin', /The margin is blank/],
		[{ markup: '20000' }, 'markup', /at most 10000 %/],
		[{ tax: '101' }, 'tax', /at most 100 %/],
		[{ deposit: 'half' }, 'deposit', /not a number/],
		[{ discountKind: 'percent', discount: '120' }, 'discount', /at most 100 %/],
		[{ discountKind: 'amount', discount: '' }, 'discount', /The discount is blank/],
		[{ validDays: '1.5' }, 'validDays', /whole number/],
		[{ there: 'warm' }, 'there', /The air there is not a number/],
		[{ there: '-460 F' }, 'there', /between −40 and 140 °F/],
		[{ there: '80 F', here: '300 C' }, 'here', /between −40 and 140 °F/],
		[{ there: '80 F', height: '9000 m' }, 'height', /between −1,400 and 19,600 ft/],
		[{ lines: [{ ...raw.lines[0]!, quantity: '0' }] }, 'quantity l', /at least 1/]
	])('%j gets its sentence at %s', (change, field, sentence) => {
		const { errors, value } = read(change);
		expect(value).toBeUndefined();
		expect(errors[field as keyof typeof errors]).toMatch(sentence);
		expect(Object.keys(errors)).toEqual([field]);
	});
	test('a blank charge is worked out from what the delivery costs; a blank cost is unknown', () => {
		expect(read({ delivery: '', deliveryCost: '' }).value!.terms).toMatchObject({
			deliveryMinor: null,
			deliveryCostMinor: null
		});
	});
	test('a line says how it is priced, its per cent held to what can be', () => {
		const line = (way: RawQuote['lines'][0]['way'], percent = '') =>
			read({ lines: [{ ...raw.lines[0]!, way, percent }] });
		expect(line('own').value!.lines[0]!.way).toBeNull();
		expect(line('quote').value!.lines[0]!.way).toBe('quote');
		expect(line('markup', '62.5').value!.lines[0]!.way).toEqual({ method: 'markup', percent: '125/2' });
		expect(line('margin', '100').errors['percent l']).toMatch(/No price leaves a margin of 100/);
		expect(line('margin', '').errors['percent l']).toMatch(/The margin of this line is blank/);
	});
	test('a quote saved untouched says what it said, with a comma as with a point', () => {
		const full = read({
			lines: [{ ...raw.lines[0]!, way: 'markup', percent: '33 1/3' }],
			tax: '8.875',
			discountKind: 'percent',
			discount: '12.5',
			deliveryCost: '12.34',
			here: '21.5 C',
			there: '95 F',
			height: '1234.5 m'
		}).value!;
		for (const decimal of ['.', ','] as const) {
			const style = { decimal };
			const again = readQuote(printQuote(full, style), { currency: 'USD', style });
			expect(again.errors).toEqual({});
			expect(again.value).toEqual(full);
		}
	});
	test('a margin over 100 is no mistake while the price is made by markup', () =>
		expect(read({ method: 'markup', margin: '100' }).value).toBeDefined());
	test.each([
		['2028-02-29', true],
		['2027-02-29', false],
		['2027-13-01', false],
		['27-01-01', false],
		['2027-1-1', false]
	])('%s is a calendar day: %s (Gregorian leap years)', (day, is) => expect(isCalendarDay(day)).toBe(is));
});
