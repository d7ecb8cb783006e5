import { column, quantile, report, withStudio } from './studio.ts';

/** The Shelf with 200 designs: what the server takes to answer the page, without the browser. */
export async function shelf(): Promise<boolean[]> {
	return withStudio(
		4331,
		async (repos) => {
			const there = (await repos.designs.shelf()).length;
			for (let i = 0; i < 200 - there; i++) {
				const recipe = await column(repos, `Design ${i}`, 8 + (i % 8), i);
				await repos.designs.create(`bench-${i}`, recipe, new Date());
				await repos.designs.keep(`bench-${i}`, new Date());
			}
		},
		async (url) => {
			const ask = async (path: string) => {
				const from = performance.now();
				const text = await (await fetch(`${url}${path}`)).text();
				if (!text.includes('200 designs') && !text.includes('of 200 designs'))
					throw new Error(text.slice(0, 300));
				return performance.now() - from;
			};
			const first = await ask('/shelf');
			const times: number[] = [];
			for (let i = 0; i < 60; i++)
				times.push(await ask(['/shelf', '/shelf?sort=price', '/shelf?search=design+1'][i % 3]!));
			console.log(`   the first answer after a start, all 200 worked out: ${first.toFixed(0)} ms`);
			return [
				report('Shelf of 200 designs: whole answer, median', quantile(times, 0.5), 50, 'ms'),
				report('Shelf of 200 designs: whole answer, p95', quantile(times, 0.95), 50, 'ms')
			];
		}
	);
}
