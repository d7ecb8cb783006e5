import type { CheckContext, CheckFacet } from '../facets/check.ts';
import { feet } from '../kit/words.ts';
import type { Run } from './document.ts';
import type { Finding } from '../../checks/finding.ts';
import { stretchesOf } from './path.ts';
import { watch } from '../kit/watch.ts';
import { crossingOf } from '../../geometry/path.ts';
import { rational, ZERO, mixed } from '../../units/rational.ts';
import { formatInches } from '../../units/length.ts';
import { estimatesOf } from './organic.ts';
import { resolveSize } from '../../sizing/resolve.ts';
import type { Id } from '../../document/id.ts';
import { matchKey } from '../../materials/catalogue.ts';
import { isSoft, LINE_ON_SOFT } from '../kit/line-on-soft.ts';
import { overSafe } from '../kit/over-safe.ts';

export const check: CheckFacet<Run> = {
	// What hangs, or goes along a wall, does not stand.
	held: ({ hung, height }) => hung !== null || height > 0,
	check: (run, context) => [
		...checkPath(run, context.section.name),
		...checkMix(run, context.section.name),
		...checkSizes(run, context),
		...checkLine(run, context)
	]
};

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
	for (const { at, length } of run.free ?? [])
		if ((at + length) / 1000 > legs + 1)
			found.push(
				watch(
					'no-path',
					`${name}: a stretch that stays free ends at ${feet((at + length) / 1000)}, past its end. Let it end at ${feet(legs)} or less.`
				)
			);
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

/** Clusters of a run joined with line: soft ones are cut into. */
function checkLine({ rows, joining }: Run, { section, rates }: CheckContext): Finding[] {
	const soft = rows.some((row) => (row.joining ?? joining) === 'line' && isSoft([row.cluster], rates.pumps));
	return soft ? [{ ...LINE_ON_SOFT, say: `${section.name}: ${LINE_ON_SOFT.say[0]!.toLowerCase()}${LINE_ON_SOFT.say.slice(1)}` }] : [];
} // prettier-ignore

function checkMix(run: Run, name: string): Finding[] {
	const { mix, organic } = run;
	if (mix.length === 0) return [];
	const found: Finding[] = [];
	const shared = mix.filter((p) => p.each === undefined);
	const shares = shared.reduce((a, p) => a.add(rational(p.share)), ZERO);
	if (shared.length > 0 && !shares.equals(100))
		found.push(
			watch(
				'shares',
				`${name}: its sizes make ${mixed(shares)} %, not 100 %. They are counted as they stand to each other; change a share, like “${mixed(rational(shared[0]!.share))} % ${formatInches(shared[0]!.nominal)}”.`
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
function checkSizes(run: Run, { catalogue, colourway, rates }: CheckContext): Finding[] {
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
