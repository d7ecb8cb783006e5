import { colours as studioColours, design, designOf, floating, rates, studio } from '../kit/studio.ts';
import { catalogue } from '../../src/lib/core/materials/catalogue.ts';
import { CAMERA, turned } from '../../src/lib/core/scene/camera.ts';
import { drawAssembly } from '../../src/lib/core/scene/draw-list.ts';
import { standingUp } from '../../src/lib/core/stability/standing-up.ts';
import { tally } from '../../src/lib/core/tally/tally.ts';
import { nested } from './nested.ts';
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
	return [
		report('60 layers: geometry, bill, cost and price, median', quantile(warm, 0.5), 2, 'ms'),
		...recomputeNested(),
		...standing(),
		...figure()
	];
}

/** A figure of 150 balloons with 40 pieces and 20 limbs, a third of which are as long as their way: recomputed, and turned. */
function figure(): boolean[] {
	const rows = Array.from({ length: 22 }, (_, i) => `5 11 at ${(70 + (i % 9)) / 8} ${colours[i % 3]}`);
	const pieces = Array.from({ length: 20 }, (_, i) => `put 2 5 at 3 red as dot ${'abcdefghijklmnopqrst'[i]} on row ${(i % 17) + 5} ${i % 2 ? 'front' : 'left'}`);
	const limbs = Array.from({ length: 20 }, (_, i) => {
		const how = ['belt', '24 wound', '24', '30 trained', '20 folded', ''][i % 6];
		return `1 260 red ${how} as limb ${'abcdefghijklmnopqrst'[i]} on row ${(i % 15) + 3} ${i % 6 === 5 ? `left to row ${(i % 15) + 6} right` : i % 2 ? 'right' : 'round'}`;
	});
	const made = designOf(floating, 'figure', [...rows, ...pieces, 'form limbs on column', ...limbs]);
	const own = { ...context, catalogue: catalogue(floating, studioColours) };
	const { bill, assembly } = tally(made, null, 1, own);
	const long = assembly.applied.flatMap((a) => a.strands).length;
	const times = Array.from({ length: 500 }, () => {
		const copy = structuredClone(made);
		const from = performance.now();
		tally(copy, null, 1, own);
		return performance.now() - from;
	}).slice(200);
	const turns = Array.from({ length: 300 }, (_, i) => {
		const from = performance.now();
		drawAssembly(assembly, { catalogue: own.catalogue, view: 'front', camera: turned(CAMERA.front, i * 3, 20) });
		return performance.now() - from;
	}).slice(100);
	console.log(`   a figure of ${bill.balloons} balloons, ${long} limbs: p95 ${quantile(times, 0.95).toFixed(2)} ms`);
	return [
		report('a figure with 40 pieces and 20 limbs, recomputed, median', quantile(times, 0.5), 8, 'ms'),
		report('its picture turned, median', quantile(turns, 0.5), 33, 'ms')
	];
} // prettier-ignore

/** How an arch of five hundred balloons on its frame stands: every time on a fresh copy. */
function standing(): boolean[] {
	const arch = design('arch', 'frame gate', 'door 36 ft by 9 ft feet 4 ft', 'run rope', 'along gate', '4 11 at 7½ white / red');
	const { built, assembly, bill } = tally(arch, null, 1, context);
	const times = Array.from({ length: 200 }, () => {
		const from = performance.now();
		standingUp({ built: { ...built }, assembly: { ...assembly }, bill, catalogue: studio });
		return performance.now() - from;
	}).slice(50);
	return [report(`how ${bill.balloons} balloons on a frame stand, median`, quantile(times, 0.5), 5, 'ms')];
} // prettier-ignore

/** Twelve sections, three levels deep, 2,000 balloons: the root is fresh every time, the kept parts are as they are. */
function recomputeNested(): boolean[] {
	let n = 0;
	const column = (name: string, layers: number, shift: number) => {
		const made = design(name, ...Array.from({ length: layers }, (_, i) => `4 11 at ${(70 + ((i + shift) % 17)) / 8} ${colours[(i + shift) % colours.length]}`)); // prettier-ignore
		// Ids of the kit begin anew with every design; here several come together.
		n++;
		return JSON.parse(JSON.stringify(made).replace(/"id(\d+)"/g, `"n${n}-$1"`)) as typeof made;
	};
	const { root, inside } = nested(column);
	const parts = new Map(inside);
	const deep = { ...context, library: (id: string) => parts.get(id) };
	const { bill, findings } = tally(root, null, 1, deep);
	const bad = findings.filter((f) => f.level === 'bad');
	if (bill.balloons !== 2000 || bad.length > 0)
		throw new Error(`${bill.balloons} balloons, ${bad[0]?.say ?? ''}`);
	const times = Array.from({ length: 500 }, () => {
		const copy = structuredClone(root);
		const from = performance.now();
		tally(copy, null, 1, deep);
		return performance.now() - from;
	}).slice(200);
	console.log(`   12 sections, 3 levels, 2,000 balloons: p95 ${quantile(times, 0.95).toFixed(2)} ms`);
	return [report('12 sections, 3 levels, 2,000 balloons, median', quantile(times, 0.5), 8, 'ms')];
}
