import { crossingOf } from '../geometry/path.ts';
import { matchKey } from '../materials/catalogue.ts';
import type { Id } from '../document/id.ts';
import type { Recipe } from '../recipe/recipe.ts';
import type { Run } from '../structures/run/document.ts';
import type { Weave } from '../structures/weave/document.ts';
import { resolveSize } from '../sizing/resolve.ts';
import { estimatesOf } from '../structures/run/organic.ts';
import { stretchesOf } from '../structures/run/path.ts';
import { graphOf } from '../structures/weave/graph.ts';
import { IN_CONNECTOR, joinersOf, sizeOfWeave } from '../structures/weave/count.ts';
import { formatFeet, formatInches, mm } from '../units/length.ts';
import { mixed, rational, ZERO } from '../units/rational.ts';
import type { PartContext } from './parts.ts';
import type { Finding } from './finding.ts';
import { overSafe } from '../structures/kit/over-safe.ts';

const feet = (length: number): string => formatFeet(mm(length));
const watch = (code: Finding['code'], say: string, why?: string): Finding => ({ code, level: 'watch', say, ...(why ? { why } : {}) }); // prettier-ignore

/** What a maker would say of runs and weaves. @param recipe as it is built: paths that are lent are there */
export function checkRuns(recipe: Recipe, context: PartContext): Finding[] {
	return recipe.sections.flatMap(({ structure, name }): Finding[] => {
		if (structure.kind === 'run')
			return [...checkPath(structure, name), ...checkMix(structure, name), ...checkSizes(structure, context)];
		return structure.kind === 'weave' ? checkWeave(structure, name, context) : [];
	});
}

function checkPath(run: Run, name: string): Finding[] {
	const found: Finding[] = [];
	const stretches = stretchesOf(run);
	if (stretches.length === 0)
		return [
			watch(
				'no-path',
				`${name}: the run whose path it goes along is not there. Give it a path of its own, like “line 10 ft”.`
			)
		];
	const crossing = run.path.kind === 'helix' ? null : crossingOf(stretches);
	if (crossing !== null)
		found.push(
			watch(
				'crosses',
				`${name}: its path crosses itself ${feet(crossing)} from its beginning. Move a point, or lift one part over the other.`,
				'Two clusters cannot stand in one place: there it bulges, and both rub.'
			)
		);
	const legs = stretches.filter((s) => !s.arm).reduce((a, s) => a + s.length, 0);
	for (const { kind, at } of run.branches)
		if (at / 1000 > legs + 1)
			found.push(
				watch(
					'no-path',
					`${name}: a ${kind} leaves it at ${feet(at / 1000)}, past its end. Set it at ${feet(legs)} or less.`
				)
			);
	return found;
}

function checkMix(run: Run, name: string): Finding[] {
	const { mix, organic } = run;
	if (mix.length === 0) return [];
	const found: Finding[] = [];
	const shares = mix.reduce((a, p) => a.add(rational(p.share)), ZERO);
	if (!shares.equals(100))
		found.push(
			watch(
				'shares',
				`${name}: its sizes make ${mixed(shares)} %, not 100 %. They are counted as they stand to each other; change a share, like “${mixed(rational(mix[0]!.share))} % ${formatInches(mix[0]!.nominal)}”.`
			)
		);
	const [, taught, packed] = estimatesOf(run);
	if (organic.by === 'packed' && packed!.counts === null)
		found.push(
			watch(
				'not-packed',
				`${name}: it is not packed yet and counted by clusters. Open it on the Bench, or say “counted by clusters”.`
			)
		);
	else if (organic.by === 'packed' && packed!.stale)
		found.push(
			watch(
				'not-packed',
				`${name}: it was packed as another shape and is counted by its length. Open it on the Bench, and it is packed again.`
			)
		);
	if (organic.by === 'by the foot' && taught!.counts === null)
		found.push(
			watch(
				'not-taught',
				`${name}: no finished piece has taught it yet, so it is counted by clusters. Say “7 ft took 96 5 + 30 11”.`
			)
		);
	const known = new Set(organic.taught?.counts.map((c) => c.nominal));
	const untaught =
		organic.by === 'by the foot' && organic.taught ? mix.filter((p) => !known.has(p.nominal)) : [];
	for (const { nominal } of untaught)
		found.push(
			watch(
				'not-taught',
				`${name}: the finished piece had no ${formatInches(nominal)}, so none are counted. Say how many it would have taken.`
			)
		);
	return found;
}

/** Balloons of a run over their safe size. */
function checkSizes(run: Run, { catalogue, colourway, rates }: PartContext): Finding[] {
	const places = run.rows.flatMap(({ cluster }) =>
		cluster.places.map((p) => ({ ...p, slots: p.slot === null ? [] : [p.slot] }))
	);
	const parts = run.mix.map((p) => ({ ...p, slots: p.colours.map((c) => c.slot) }));
	const seen = new Set<string>();
	return [...places, ...parts].flatMap(({ kind, nominal, size, slots }): Finding[] => {
		const d = resolveSize(size, nominal, rates.pumps);
		const safe = slots.map(
			(slot: Id) => catalogue.byMatch.get(matchKey(kind, nominal, colourway?.fills[slot] ?? null))?.safe
		);
		const over = d.known ? overSafe(nominal, safe.find((s) => s != null) ?? nominal, d.high) : undefined;
		if (!over || seen.has(over.say)) return [];
		seen.add(over.say);
		return [over];
	});
}

function checkWeave(weave: Weave, name: string, { rates }: PartContext): Finding[] {
	const found: Finding[] = [];
	const { joiner, chord, handle } = weave;
	if (joiner === null && joinersOf(weave) > 0)
		found.push(
			watch(
				'no-joiner',
				`${name}: ${joinersOf(weave)} small balloons hold it and none is chosen. Say “joined with 5 at 2 gold”.`
			)
		);
	const size = sizeOfWeave(weave, rates.pumps);
	if (chord !== null && size.bow === undefined && size.width > 0)
		found.push(
			watch(
				'too-short',
				`${name}: it is ${feet(size.width)} long and cannot be bent over ${feet(chord / 1000)}. Take more balloons along a row, or a shorter chord.`
			)
		);
	if (!handle) return found;
	if (size.handle === undefined)
		found.push(
			watch(
				'too-short',
				`${name}: its handle of ${handle.links} does not reach from foot to foot over ${feet(handle.chord / 1000)}. Take more balloons.`
			)
		);
	else if (size.handle?.wanted && size.handle.rise < size.handle.wanted)
		found.push(
			watch(
				'too-short',
				`${name}: a handle of ${handle.links} over ${feet(handle.chord / 1000)} rises ${feet(size.handle.rise)}, not ${feet(size.handle.wanted)}. Take more balloons, or set its feet closer.`,
				'It is a bow of a certain length: what it gains in width it loses in height.'
			)
		);
	const top = graphOf(weave).places.filter((p) => p.joint === 'foot').length;
	if (top > 0 && IN_CONNECTOR[weave.joints.foot] === 0)
		found.push(watch('no-joiner', `${name}: nothing holds the feet of its handle. Say “foot quad”.`));
	return found;
}
