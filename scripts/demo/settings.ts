import { STARTING_JOBS } from '../../src/lib/core/labour/job.ts';
import { STARTING_STANDARDS, type Standards } from '../../src/lib/core/labour/standards.ts';
import { startingSettings } from '../../src/lib/server/db/starting-settings.ts';
import type { Settings } from '../../src/lib/core/workspace/settings.ts';

/** What the invented studio timed: clusters go quicker than the house says, large ones slower; one day was a bad one. */
const timed = (day: string, count: number, seconds: number, out = false) => ({ day, count, seconds, out });
const timedStandards: Standards = {
	...STARTING_STANDARDS,
	cluster: {
		...STARTING_STANDARDS.cluster,
		origin: 'measured',
		timings: [
			timed('2026-03-14', 24, 420), timed('2026-03-28', 30, 516), timed('2026-04-18', 18, 300), timed('2026-05-09', 26, 450), timed('2026-06-20', 40, 664),
			timed('2026-07-04', 22, 610, true), timed('2026-08-15', 28, 468), timed('2026-09-12', 32, 552), timed('2026-10-24', 25, 431)
		] // prettier-ignore
	},
	'inflate medium': {
		...STARTING_STANDARDS['inflate medium'],
		origin: 'measured',
		timings: [timed('2026-05-09', 104, 1498), timed('2026-08-15', 112, 1590), timed('2026-10-24', 100, 1382)]
	},
	'stand up': { ...STARTING_STANDARDS['stand up'], seconds: 150, origin: 'typed' }
};

/** How the invented studio works and prices. */
export const settings: Settings = {
	business: {
		name: 'Puddlelark Balloons',
		address: '3 Oyster Steps, Tidewick',
		email: 'hello@puddlelark.example',
		phone: '555 0142',
		terms:
			'A deposit holds your date; the balance is due on the day. Colours are matched as closely as the season allows. Frames, stands and weights stay ours and are collected after the event.',
		mark: 'PB',
		colour: '#2c6e91'
	},
	zone: 'America/New_York',
	decimal: '.',
	dates: 'month first',
	lengths: 'in',
	welcomed: true,
	rates: {
		currency: 'USD',
		labourPerHour: 1800,
		people: [
			{ id: 'tansy', name: 'Tansy', wage: 1800, onCosts: '0', pace: '1', isOwner: true },
			{ id: 'pip', name: 'Pip', wage: 1500, onCosts: '12', pace: '13/10', isOwner: false },
			{ id: 'moss', name: 'Moss', wage: 1350, onCosts: '12', pace: '8/5', isOwner: false }
		],
		crew: ['tansy'],
		overhead: { kind: 'hour', minor: 900 },
		counting: 'piece',
		defaultLoss: '1/25',
		service: 0.95,
		standards: timedStandards,
		jobs: STARTING_JOBS,
		rules: [
			{ of: 'floor contact', each: '1', material: 'patch' },
			{ of: 'cluster tied with a modelling balloon', each: '1/4', material: 'tie-260' },
			{ of: 'layer tied with line', each: '2', material: 'line' },
			{ of: 'strip', each: '1', material: 'strip' },
			{ of: 'dash of adhesive', each: '1', material: 'dash' },
			{ of: 'dab of glue', each: '1', material: 'glue' },
			{ of: 'tape patch', each: '1', material: 'tape' },
			{ of: 'tied piece', each: '1', material: 'line' },
			{ of: 'trial loop', each: '1', material: 'line' },
			{ of: 'attachment point', each: '1', material: 'round-5-gull-white' },
			{ of: 'litre of helium', each: '1', material: 'helium' },
			{ of: 'painted balloon', each: '1/25', material: 'paint-sea' },
			{ of: 'litre of sand', each: '1', material: 'sand' },
			{ of: 'litre of marbles', each: '1', material: 'marbles' },
			{ of: 'elbow', each: '1', material: 'tube-elbow' },
			{ of: 'tee', each: '1', material: 'tube-tee' },
			{ of: 'cross fitting', each: '1', material: 'tube-cross' },
			{ of: 'corner fitting', each: '1', material: 'tube-corner' },
			{ of: 'four-way fitting', each: '1', material: 'tube-four-way' },
			{ of: 'coupling', each: '1', material: 'tube-coupling' },
			{ of: 'flange', each: '4', material: 'screw' },
			{ of: 'cup', each: '1', material: 'stick-cup' },
			{ of: 'tube cap', each: '1', material: 'tube-cap' },
			{ of: 'foot of guy line', each: '1', material: 'line' },
			{ of: 'stake', each: '1', material: 'stake' },
			{ of: 'foot in tissue', each: '1/10', material: 'tissue' },
			{ of: 'foot in fabric', each: '1', material: 'ribbon-blue' },
			{ of: 'foot painted', each: '1/40', material: 'paint-sea' },
			{ of: 'foot under balloons', each: '1/3', material: 'tie-260' }
		],
		pumps: [{ id: 'hand', name: 'hand pump', pairs: [{ strokes: 4, diameter: 114.3 }] }],
		price: {
			...startingSettings.rates.price,
			margin: '48',
			markup: '90',
			pricePoint: { step: 500, mode: 'up' },
			minimumMinor: 7500,
			rules: [
				{ kind: 'notice', when: '3', percent: '25' },
				{ kind: 'volume', when: '12', percent: '5' }
			],
			tax: { percent: '7', inclusive: false },
			deposit: '30'
		}
	}
};
