import { design, rates, studio } from '../kit/studio.ts';
import { tally } from '../../src/lib/core/tally/tally.ts';
import { quantile, report } from './studio.ts';

const context = { catalogue: studio, rates, library: () => undefined };
const colours = ['white', 'red', 'gold', 'spiral left white / red / gold', 'checker red / white'];

/** Geometry, bill, cost and price of sixty unlike layers, every time on a fresh copy so that nothing kept helps. */
export function recompute(): boolean[] {
	const line = (i: number) => `4 11 at ${(70 + (i % 17)) / 8} ${colours[i % colours.length]}`;
	const sixty = design('sixty', ...Array.from({ length: 60 }, (_, i) => line(i)));
	// One copy at a time: hundreds of them held at once would measure the collector of garbage.
	const times = Array.from({ length: 900 }, () => {
		const copy = structuredClone(sixty);
		const from = performance.now();
		tally(copy, null, 1, context);
		return performance.now() - from;
	});
	const warm = times.slice(400);
	console.log(
		`   60 unlike layers, recomputed ${warm.length} times: p95 ${quantile(warm, 0.95).toFixed(2)} ms`
	);
	return [report('60 layers: geometry, bill, cost and price, median', quantile(warm, 0.5), 2, 'ms')];
}
