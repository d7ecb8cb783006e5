import { nameOf } from '../../document/names.ts';
import type { PlanFacet } from '../facets/plan.ts';
import { feet, inch } from '../kit/words.ts';
import { hangStep, inflateSteps, type StepKit } from '../kit/step-kit.ts';
import { printCluster } from '../kit/print-balloon.ts';
import type { Run } from './document.ts';
import { estimateUsed, IN_CLUSTER } from './organic.ts';
import { cornerPairs, infillCount, mixClusters, spineLength, spinePieces } from './count.ts';
import { alikeClusters, layRun, pitchOf, sparesOf } from './lay.ts';
import { lengthOfRun } from './path.ts';
import { formatInches, toMillimetres } from '../../units/length.ts';
import { printSize } from '../../sizing/size.ts';
import type { MadeStep, StepLine } from '../../plan/made-step.ts';
import { JOINED } from '../../plan/step-words.ts';

export const plan: PlanFacet<Run> = { last: false, steps: runSteps };

/** What it is tied to, its clusters, one after the other along the path, hanging, and small ones last. */
function runSteps(run: Run, kit: StepKit): MadeStep[] {
	return [
		...spineStep(run, kit),
		// What goes on after hanging is inflated then: how many is not known before.
		...inflateSteps(kit, { ...run, infill: [] }),
		...clustersStep(run, kit),
		garlandStep(run, kit),
		...hangStep(kit, run.hung, lengthOfRun(run)),
		...infillStep(run, kit)
	];
}

function spineStep(run: Run, kit: StepKit): MadeStep[] {
	const { spine } = run;
	if (!spine) return [];
	const named = spinePieces(run)
		.map(({ material, um }, i, all) => {
			const name = nameOf(kit.context.catalogue.materials, material, 'the spine, not chosen yet');
			return all.length === 1 ? name : `${i > 0 ? 'then ' : ''}${feet(toMillimetres(um))} of ${name}`;
		})
		.join(', ');
	const wound = spine.round ? `, ${formatInches(spine.round)} in of it round each balloon` : '';
	const open = run.open ? `, and ${feet((run.open.high - lengthOfRun(run) * 1000) / 1000)} more at hand` : '';
	const loops = spine.loops > 0 ? `, a knotted loop at ${spine.loops === 1 ? 'one end' : 'each end'}` : '';
	const tails = spine.tails > 0 ? `, ${feet(spine.tails / 1000)} left over at each end` : '';
	const long = feet(toMillimetres(spineLength(run)));
	return [
		kit.made('spine', `Cut ${named} for ${kit.name}: ${long}${tails}${loops}${wound}${open}.`, {
			check: 'gentle to the touch: thin hard line cuts soft latex',
			work: kit.share('thread')
		})
	];
}

function clustersStep(run: Run, kit: StepKit): MadeStep[] {
	const work = kit.share('cluster');
	if (work.length === 0) return [];
	const aside = run.spare > 0 ? `, ${run.spare} kept aside` : '';
	return [
		kit.made('clusters', `Tie the clusters of ${kit.name}${aside}.`, {
			lines: clusterLines(kit, run),
			method: 'two and two tied neck to neck, then twisted together',
			check:
				run.mix.length > 0
					? 'large and small in every cluster, no two clusters alike'
					: 'no balloon turns in its cluster',
			work
		})
	];
}

function garlandStep(run: Run, kit: StepKit): MadeStep {
	const apart = [...new Set(run.rows.map((row) => inch(pitchOf(row, run.squash))))];
	const counted =
		run.clusters !== undefined || (run.path.kind === 'corners' && run.path.legs.some((l) => l.clusters));
	const every = counted
		? `, ${layRun(run).length} clusters spread evenly`
		: apart.length > 0
			? `, a cluster every ${apart.join(' and ')}`
			: '';
	const corners = cornerPairs(run);
	const tees = run.branches.filter((b) => b.turned).map((b) => feet(b.at / 1000));
	const more = [
		...(run.free ?? []).map((f) => `${feet(f.length / 1000)} stay free ${f.at === 0 ? 'at the start' : `from ${feet(f.at / 1000)} on`}`),
		...(tees.length > 0 ? [`the cluster at ${tees.join(' and ')} turned half a place, so that the arm sits between two balloons`] : []),
		...(run.taper ? [`the ${run.taper.clusters} smaller ones ${TAPER_WORDS[run.taper.at]}, the smallest outermost`] : []),
		...(run.changes ?? []).map((c) => `from ${feet(c.at / 1000)} on ${c.to === 'spine' ? `along ${nameOf(kit.context.catalogue.materials, c.material, 'another spine')}` : JOINED[c.joining]}`)
	]; // prettier-ignore
	const ends = run.open && `${feet(run.open.low / 1000)} to ${feet(run.open.high / 1000)}, as it needs`;
	const inside = corners > 0 ? `, a pair on the inside of each of ${corners} corners` : '';
	return kit.made(
		'garland',
		`Put ${kit.name} together along ${ends ?? feet(lengthOfRun(run))}${every}${inside}${more.map((m) => `; ${m}`).join('')}.`,
		{
			method: JOINED[run.joining],
			check: `each turned half a place to the one before; no spine to be seen${run.open ? '; its length written down' : ''}`,
			work: [...kit.own('attach'), ...kit.own('close gaps')]
		}
	);
}

const TAPER_WORDS = { both: 'at each end', start: 'at the start', end: 'at the end' } as const;

function infillStep(run: Run, kit: StepKit): MadeStep[] {
	const lines = [...run.infill]
		.sort((a, b) => b.nominal - a.nominal)
		.flatMap((one): StepLine[] => {
			const { usual, low, high } = infillCount(run, one);
			if (high === 0) return [];
			const colour =
				one.slot === null ? { name: 'colour open until the job', id: null } : kit.colour(one.slot);
			const of = one.each ?? 1;
			const tied = of > 1 ? `, in clusters of ${of}` : '';
			const range = low === high ? '' : `, ${low * of * kit.all} to ${high * of * kit.all} as it needs`;
			const size = one.size.kind === 'unknown' ? '' : ` at ${printSize(one.size)}`;
			const text = `${formatInches(one.nominal)}${size}, ${colour.name}${tied}${range}`;
			return [{ count: usual * of * kit.all, text, colours: colour.id === null ? [] : [colour.id] }];
		});
	if (lines.length === 0) return [];
	return [
		kit.made(
			'infill',
			`Inflate small ones and set them into the gaps of ${kit.name}, seen from where the guests stand.`,
			{
				lines,
				place: 'after hanging',
				check: 'no gap, no neck in sight',
				method: lines.length > 1 ? 'the largest first' : '',
				work: [...kit.blown({ ...run, rows: [], mix: [], corner: null }), ...kit.share('infill')]
			}
		)
	];
}

function clusterLines(kit: StepKit, run: Run): StepLine[] {
	const slots = kit.recipe.slots.map((s) => ({ ...s, name: kit.colour(s.id).name }));
	const rows = alikeClusters(run)
		.map(({ row, cluster, count }): StepLine => ({
			count: (count + (cluster === row.cluster ? sparesOf(run, row) : 0)) * kit.all,
			text: printCluster(cluster, slots),
			colours: []
		}))
		.filter((line) => line.count > 0);
	const mixed = mixClusters(run);
	if (mixed === 0) return rows;
	const { total } = estimateUsed(run);
	return [
		...rows,
		{
			count: mixed * kit.all,
			text: `of ${IN_CLUSTER[run.organic.seen]}, the sizes mixed, ${total! * kit.all} balloons in all`,
			colours: []
		}
	];
}
