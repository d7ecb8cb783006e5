import { STARTING_JOBS } from '../../core/labour/job.ts';
import { STARTING_STANDARDS } from '../../core/labour/standards.ts';
import { STARTING_FIGURES } from '../../core/pricing/terms.ts';
import type { Settings } from '../../core/workspace/settings.ts';

/**
 * What a new studio begins with, every figure to be changed in the settings: wages and losses are usual ones, from
 * memory; a card takes 2.9 % and 0.30 a payment (common practice).
 */
export const startingSettings: Settings = {
	business: { name: 'My studio', address: '', email: '', phone: '', terms: '' },
	zone: 'America/New_York',
	decimal: '.',
	dates: 'month first',
	lengths: 'in',
	welcomed: false,
	rates: {
		currency: 'USD',
		labourPerHour: 2000,
		people: [],
		crew: [],
		overhead: { kind: 'hour', minor: 800 },
		counting: 'piece',
		defaultLoss: '1/25',
		service: 0.95,
		standards: STARTING_STANDARDS,
		jobs: STARTING_JOBS,
		rules: [],
		pumps: [],
		price: {
			method: 'margin',
			margin: '50',
			markup: '100',
			...STARTING_FIGURES,
			fee: { percent: '29/10', onTax: true, fixedMinor: 30, payments: 1 },
			feeOnTop: true,
			rush: '0',
			weekend: '0',
			volume: '0',
			discount: null,
			pricePoint: null,
			minimumMinor: 0,
			tax: { percent: '0', inclusive: false },
			deposit: '0'
		}
	}
};
