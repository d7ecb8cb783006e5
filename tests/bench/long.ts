import { colours, designOf, floating, rates } from '../kit/studio.ts';
import { catalogue } from '../../src/lib/core/materials/catalogue.ts';
import type { Run } from '../../src/lib/core/structures/run/document.ts';
import { drawAssembly } from '../../src/lib/core/scene/draw-list.ts';
import { packJob } from '../../src/lib/core/structures/run/organic.ts';
import { packNow, packRoughly } from '../../src/lib/core/structures/run/pack-run.ts';
import { tally } from '../../src/lib/core/tally/tally.ts';
import { quantile, report } from './studio.ts';

const stock = catalogue(floating, colours);
const context = { catalogue: stock, rates, library: () => undefined };

/** A garland packed and a wall recomputed, every time on a fresh copy so that nothing kept helps. */
export function long(): boolean[] {
	const wall = designOf(floating, 'wall', ['weave wall', 'panel of 10 links at 9', '20 rows 25 white / 25 red / 25 white / 25 red', 'joined with 5 at 2 gold']); // prettier-ignore
	const links = tally(wall, null, 1, context).bill.lines.filter((l) => l.label.includes('link'));
	const count = links.reduce((a, l) => a + l.used.valueOf(), 0);
	if (count !== 2000) throw new Error(`${count} links`);
	const recomputed = Array.from({ length: 160 }, () => {
		const copy = structuredClone(wall);
		const from = performance.now();
		tally(copy, null, 1, context);
		return performance.now() - from;
	}).slice(60);
	const drawn = Array.from({ length: 40 }, () => {
		const { assembly } = tally(structuredClone(wall), null, 1, context);
		const from = performance.now();
		drawAssembly(assembly, { catalogue: stock, view: 'front' });
		return performance.now() - from;
	}).slice(10);
	console.log(`   a wall of 2,000 links and its connectors, drawn: ${quantile(drawn, 0.5).toFixed(1)} ms`);

	const garland = designOf(floating, 'garland', ['run garland', 'line 20 ft lifted 7 ft', '60 % 5 at 4½ of 2 white / 1 red', '30 % 11 at 9 of gold', '10 % 16 at 12 of red', 'fullness 1.3']); // prettier-ignore
	const job = packJob(garland.sections[0]!.structure as Run, null)!;
	const times = (work: () => { balls: readonly unknown[] }, rounds: number) => {
		let balls = 0;
		const each = Array.from({ length: rounds }, () => {
			const from = performance.now();
			balls = work().balls.length;
			return performance.now() - from;
		}).slice(2);
		return { balls, median: quantile(each, 0.5) };
	};
	const rough = times(() => packRoughly(structuredClone(job)), 12);
	const packed = times(() => packNow(structuredClone(job)), 12);
	console.log(`   a 20 ft garland: ${rough.balls} balloons roughly, ${packed.balls} packed`);
	return [
		report('a wall of 2,000 links recomputed, median', quantile(recomputed, 0.5), 10, 'ms'),
		report('a 20 ft garland of about 500 balloons: first rough picture', rough.median, 150, 'ms'),
		report('the same packed', packed.median, 1000, 'ms')
	];
}
