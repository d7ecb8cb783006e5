import { describe, expect, test } from 'vitest';
import { catalogue } from '../materials/catalogue.ts';
import { colours as demoColours } from '../../../../scripts/demo/colours.ts';
import { demoDesigns } from '../../../../scripts/demo/designs.ts';
import { demoRecipe } from '../../../../scripts/demo/load.ts';
import { settings } from '../../../../scripts/demo/settings.ts';
import { stockRows } from '../../../../scripts/demo/stock.ts';
import { design, rates, studio } from '../../../../tests/kit/studio.ts';
import { planOf } from '../plan/plan.ts';
import { settingsSchema } from '../workspace/settings.schema.ts';
import { printWork, readWork } from '../workspace/work-form.ts';
import { buildSeconds, tallyOrder } from '../tally/order.ts';
import { tally } from '../tally/tally.ts';
import { AS_USUAL, jobOf, STARTING_JOBS } from './job.ts';
import { jobRatesSchema } from './job.schema.ts';
import type { Pace, Paces } from './pace.ts';

const pace = (work: Pace['work'], of: string, times: string): Pace => ({ work, of, times, jobs: 4, day: '2027-05-04' }); // prettier-ignore
const withPaces = (paces: Paces) => ({ ...rates, jobs: { ...rates.jobs, paces } });
const column = design('column', '4 16 at 12 grey', '4 11 at 9 white x6');
const seconds = (paces: Paces, at?: string) => {
	const own = { ...withPaces(paces), jobs: { ...rates.jobs, paces, ...(at ? { at } : {}) } };
	const { cost } = tallyOrder([{ recipe: column, colourway: null, quantity: 2 }], { catalogue: studio, rates: own, library: () => undefined }); // prettier-ignore
	const of = (group: string) => cost.labour.filter((l) => l.group === group).reduce((a, l) => a + l.seconds.valueOf(), 0); // prettier-ignore
	return { bench: of('inflate and size') + of('build'), there: of('at the place') };
};

describe('how long work takes beside its standards', () => {
	test('building goes by its kind alone, what is done at the place by the kind of job', () => {
		const plain = seconds([]);
		const sized = buildSeconds([{ recipe: column, colourway: null, quantity: 2 }], { catalogue: studio, rates: withPaces([pace('build', 'stack', '5/4')]), library: () => undefined }); // prettier-ignore
		expect(seconds([pace('build', 'run', '2')])).toEqual(plain);
		const slow = seconds([pace('build', 'stack', '5/4')]);
		expect(slow.there).toBe(plain.there);
		expect(slow.bench).toBeGreaterThan(plain.bench * 1.1);
		// Tools are set once, however slow the hands are.
		expect(slow.bench).toBeLessThan(plain.bench * 1.25);
		expect(sized.reduce((a, k) => a + k.paced, 0)).toBeCloseTo(slow.bench, 6);
		expect(sized.reduce((a, k) => a + k.base, 0)).toBeCloseTo(plain.bench, 6);
		const there = [pace('set up', 'none', '2'), pace('strike', 'none', '2')];
		expect(seconds(there)).toEqual({ bench: plain.bench, there: plain.there * 2 });
		expect(seconds(there, 'another')).toEqual(plain);
	});
	test('work around a job goes by its kind, but for what is said of this one', () => {
		const jobs = {
			...STARTING_JOBS,
			paces: [pace('before', 'room', '3/2'), pace('on the road', 'room', '6/5')]
		};
		const work = (plan: Partial<typeof AS_USUAL>) =>
			new Map(jobOf({ ...AS_USUAL, ...plan }, jobs).work.map((w) => [w.task, w.minutes]));
		const room = work({ template: 'room' });
		expect([room.get('shopping'), room.get('load'), room.get('park and carry'), room.get('clear up')]).toEqual([60, 45, 24, 20]); // prettier-ignore
		// 2 × 12 miles at 25 an hour, twice, a fifth longer.
		expect(room.get('drive')).toBeCloseTo(((2 * 12 * 60) / 25) * 2 * 1.2, 9);
		expect(work({ template: 'room', minutes: { shopping: 40 } }).get('shopping')).toBe(40);
		expect(work({ template: 'piece' }).get('shopping')).toBe(20);
	});
	test('the settings hold them, and their form leaves them as they are', () => {
		const paces = [pace('build', 'stack', '113/100')];
		const own = settingsSchema.parse({ ...settings, rates: { ...settings.rates, jobs: { ...settings.rates.jobs, paces } } }); // prettier-ignore
		const { next, errors } = readWork(printWork(own), own);
		expect(errors).toEqual({});
		expect(settingsSchema.parse(next).rates.jobs.paces).toEqual(paces);
		expect(jobRatesSchema.safeParse({ ...STARTING_JOBS, paces: [pace('build', 'stack', '0')] }).success).toBe(false); // prettier-ignore
	});
	const stock = catalogue(
		stockRows.map((r) => ({ ...r.material, packs: [] })),
		demoColours
	);
	const library = new Map(demoDesigns.map((d) => [d.id, demoRecipe(d)]));
	const kinds = ['stack', 'run', 'weave', 'bunch', 'form', 'frame', 'applied', 'extras', 'design'];
	const paces = [...kinds.map((k, i) => pace('build', k, `${11 + i}/10`)), pace('set up', settings.rates.jobs.usual, '7/5'), pace('strike', settings.rates.jobs.usual, '9/10')]; // prettier-ignore
	const demo = { catalogue: stock, rates: { ...settings.rates, jobs: { ...settings.rates.jobs, paces } }, library: (id: string) => library.get(id) }; // prettier-ignore
	test.each(demoDesigns.map((d) => [d.name, d.id] as const))(
		'%s: the minutes of all steps are the minutes of the tally at any pace',
		(_, id) => {
			const recipe = library.get(id)!;
			const parts = planOf(recipe, { colourway: null, size: null, quantity: 2 }, demo);
			const labour = tally(recipe, null, 2, demo).tasks.reduce((a, t) => a + t.seconds.valueOf(), 0);
			expect(parts.reduce((a, p) => a + p.seconds, 0)).toBeCloseTo(labour, 6);
		}
	);
});
