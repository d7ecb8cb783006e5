import { expect, test } from 'vitest';
import { NOW, tempStudio } from '../../../../tests/kit/temp-db.ts';
import { design } from '../../../../tests/kit/studio.ts';
import type { FigurePart, JobFigure } from '../../core/job/figures.ts';
import { inches } from '../../core/units/length.ts';
import { makeTaught } from './count-back.ts';
import { loadDesign } from './design-query.ts';
import { newTerms } from './quoting.ts';
import { loadStudio } from './studio.ts';
import { taughtCounts } from './taught-counts.ts';

const figure = (part: FigurePart, key: string, more: Partial<JobFigure> = {}): JobFigure => ({
	...{ part, key, name: key, reckoned: 0, real: 0, net: 0, amount: 0, cause: '' },
	...more
});
const COUNTED = { day: '2027-05-02', materials: [], times: [], costs: [], miles: null, note: '', leftOut: false }; // prettier-ignore

test('jobs of the last version alone teach a garland; made a new version, they have told', async () => {
	const { repos } = await tempStudio();
	const recipe = design('garland', 'run garland', 'line 10 ft', '60 % 11 at 9 white', '40 % 5 at 4 white');
	await repos.designs.create('g', recipe, NOW);
	await repos.designs.create('other', design('other', '4 11 at 9 white x6'), NOW);
	for (const id of ['g', 'other']) await repos.designs.keep(id, NOW);
	const { settings } = await loadStudio(repos);
	const clientId = await repos.clients.named('Tidewick Library', 'client');
	/** A job that took so many thousandths of elevens where 100 were reckoned. */
	const job = async (id: string, real: number, more: { with?: string; leftOut?: boolean } = {}) => {
		const designs = ['g', ...(more.with ? [more.with] : [])];
		const lines = designs.map((d) => ({ id: `${id}-${d}`, versionId: `${d}.1`, colourwayId: null, sizeId: null, quantity: 1, way: null })); // prettier-ignore
		await repos.quotes.create(id, { clientId, eventDate: '2027-05-01', zone: settings.zone, terms: { ...newTerms(settings), deliveryCostMinor: 0 }, lines }, NOW); // prettier-ignore
		const figures = [
			...designs.map((d) => figure('piece', d, { amount: 1 })),
			figure('material', '11-white', { reckoned: 100_000, real, amount: 2000 }),
			figure('material', 'patch', { reckoned: 4000, real: 9000 })
		];
		await repos.jobCounts.keep(id, 0, { ...COUNTED, leftOut: more.leftOut ?? false }, new Map(), NOW, { day: '2027-05-01', figures }); // prettier-ignore
	};
	await job('one', 132_000);
	await job('two', 112_000);
	await job('mixed', 300_000, { with: 'other' });
	await job('squall', 300_000, { leftOut: true });

	const [taught, ...others] = await taughtCounts(repos);
	expect(others).toEqual([]);
	expect(taught!.jobs.map((j) => j.job).sort()).toEqual(['one', 'two']);
	// Two of each were lost: (6 · 1 + 1.3 + 1.1) / 8.
	expect(taught!.sizes).toMatchObject([{ nominal: inches(11), jobs: 2 }]);
	expect(taught!.sizes[0]!.times).toBeCloseTo(1.05, 12);
	expect(await taughtCounts(repos, { only: 'other' })).toEqual([]);

	const loaded = await loadDesign(repos, { design: 'g', search: '' });
	const press = () => makeTaught(repos, loaded, { id: 'press', sizes: taught!.sizes }, NOW);
	expect(await press()).toEqual({ version: 2 });
	expect(await press()).toEqual({ version: 2 });
	expect(await taughtCounts(repos)).toEqual([]);
});
