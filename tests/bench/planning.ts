import { randomLcg, randomUniform } from 'd3-random';
import { buildPlan, type BuildJob, type BuildShop } from '../../src/lib/core/job/build-plan.ts';
import { dayNumber, dayOfNumber } from '../../src/lib/core/units/calendar-day.ts';
import { report } from './studio.ts';

const TODAY = '2027-06-01';

/** Ten jobs of twenty steps each within two weeks, longer or shorter as is asked for. */
function tenJobs(seed: number, minutes: number): BuildJob[] {
	const random = randomUniform.source(randomLcg(seed))(0, 1);
	const whole = (low: number, high: number) => low + Math.floor(random() * (high - low + 1));
	const day = (n: number) => dayOfNumber(dayNumber(TODAY) + n);
	return Array.from({ length: 10 }, (_, j) => {
		const event = whole(3, 14);
		return {
			id: `j${j}`,
			says: `job ${j}`,
			event: day(event),
			leaves: { day: day(event), minute: 540 },
			tasks: Array.from({ length: 20 }, (_, i) => ({
				id: `t${i}`,
				piece: `piece ${i % 4}`,
				text: `step ${i}`,
				minutes: whole(5, minutes),
				wait: random() < 0.1 ? whole(60, 600) : 0,
				after: i >= 4 && random() < 0.8 ? [`t${i - 4}`] : [],
				ahead: i < 4 ? 14 : random() < 0.1 ? 7 : 3,
				needs: random() < 0.1 ? ['cylinder'] : []
			}))
		};
	});
}

/** Ten jobs, 200 steps, four people: a good plan, with a bound, under 2 s. */
export function planning(): boolean[] {
	const people = [1, 1, 1.3, 1.6].map((pace, i) => ({ id: `w${i}`, name: `w${i}`, pace }));
	const shop: BuildShop = { people, from: 540, hours: 8, benches: 3, cylinders: 1, away: [] };
	const run = (seed: number, minutes: number) => {
		const jobs = tenJobs(seed, minutes);
		const from = performance.now();
		const until = from + 1500;
		const plan = buildPlan(jobs, shop, TODAY, { rounds: 3000, goesOn: () => performance.now() < until });
		return { ms: performance.now() - from, misses: plan.misses, bound: plan.bound };
	};
	const all = [0.1, 0.2, 0.3].flatMap((seed) => [run(seed, 60), run(seed, 150)]);
	console.log(`   misses and bound, minutes: ${all.map((r) => `${r.misses}/${r.bound}`).join(', ')}`);
	const over = Math.max(...all.map((r) => r.misses - r.bound));
	return [
		report('a plan of 10 jobs, 200 steps, 4 people, the slowest of six', Math.max(...all.map((r) => r.ms)), 2000, 'ms'),
		report('the worst of it over its bound', over / 60, 24, 'h')
	];
} // prettier-ignore
