import { printCluster } from '../language/print-entry.ts';
import type { Run } from '../structures/run/document.ts';
import type { Weave } from '../structures/weave/document.ts';
import type { Hung } from '../document/hung.ts';
import { estimateUsed, IN_CLUSTER } from '../structures/run/organic.ts';
import {
	clustersByRow,
	cornerPairs,
	infillCount,
	mixClusters,
	pitchOf,
	spineLength,
	sparesOf
} from '../structures/run/count.ts';
import { hangersOf } from '../structures/kit/hung.ts';
import { lengthOfRun } from '../structures/run/path.ts';
import { graphOf } from '../structures/weave/graph.ts';
import { sizeOfWeave } from '../structures/weave/count.ts';
import { formatFeet, formatInches, formatQuarters, mm, toMillimetres } from '../units/length.ts';
import { inflateSteps, type StepKit } from './bunch-steps.ts';
import type { MadeStep, StepLine } from './made-step.ts';
import { JOINED } from './step-words.ts';

const feet = (length: number): string => formatFeet(mm(length));
const inch = (length: number): string => `${formatQuarters(length)} in`;

/** A run: what it is tied to, its clusters, one after the other along the path, hanging, and small ones last. */
export function runSteps(kit: StepKit, run: Run): MadeStep[] {
	const steps: MadeStep[] = [];
	const { spine } = run;
	if (spine) {
		const named =
			kit.context.catalogue.materials.get(spine.material ?? '')?.name ?? 'the spine, not chosen yet';
		const loops = spine.loops > 0 ? `, a knotted loop at ${spine.loops === 1 ? 'one end' : 'each end'}` : '';
		const tails = spine.tails > 0 ? `, ${feet(spine.tails / 1000)} left over at each end` : '';
		steps.push(
			kit.made(
				'spine',
				`Cut ${named} for ${kit.name}: ${feet(toMillimetres(spineLength(run)))}${tails}${loops}.`,
				{
					check: 'gentle to the touch: thin hard line cuts soft latex',
					work: kit.share('thread')
				}
			)
		);
	}
	// What goes on after hanging is inflated with the others: its count is an estimate until then.
	steps.push(...inflateSteps(kit));
	const lines = clusterLines(kit, run);
	if (kit.share('cluster').length > 0)
		steps.push(
			kit.made(
				'clusters',
				`Tie the clusters of ${kit.name}${run.spare > 0 ? `, ${run.spare} kept aside` : ''}.`,
				{
					lines,
					method: 'two and two tied neck to neck, then twisted together',
					check:
						run.mix.length > 0
							? 'large and small in every cluster, no two clusters alike'
							: 'no balloon turns in its cluster',
					work: kit.share('cluster')
				}
			)
		);
	const long = feet(lengthOfRun(run));
	const apart = run.rows.map((row) => inch(pitchOf(row, run.squash)));
	const corners = cornerPairs(run);
	steps.push(
		kit.made(
			'garland',
			`Put ${kit.name} together along ${long}${apart.length > 0 ? `, a cluster every ${[...new Set(apart)].join(' and ')}` : ''}${corners > 0 ? `, a pair on the inside of each of ${corners} corners` : ''}.`,
			{
				method: JOINED[run.joining],
				check: 'each turned half a place to the one before; no spine to be seen',
				work: kit.own('attach')
			}
		)
	);
	steps.push(...hangStep(kit, run.hung, lengthOfRun(run)));
	const infill = run.infill.flatMap((one): StepLine[] => {
		const { usual, low, high } = infillCount(run, one);
		if (high === 0) return [];
		const colour = one.slot === null ? { name: 'colour open until the job', id: null } : kit.colour(one.slot);
		const range = low === high ? '' : `, ${low * kit.all} to ${high * kit.all} as it needs`;
		return [
			{
				count: usual * kit.all,
				text: `${formatInches(one.nominal)}, ${colour.name}${range}`,
				colours: colour.id === null ? [] : [colour.id]
			}
		];
	});
	if (infill.length > 0)
		steps.push(
			kit.made('infill', `Set small ones into the gaps of ${kit.name}, seen from where the guests stand.`, {
				lines: infill,
				place: 'after hanging',
				check: 'no gap, no neck in sight',
				work: kit.share('infill')
			})
		);
	return steps;
}

function clusterLines(kit: StepKit, run: Run): StepLine[] {
	const byRow = clustersByRow(run);
	const slots = kit.recipe.slots.map((s) => ({ ...s, name: kit.colour(s.id).name }));
	const rows = run.rows.map((row): StepLine => ({
		count: ((byRow.get(row.id) ?? 0) + sparesOf(run, row)) * kit.all,
		text: printCluster(row.cluster, slots),
		colours: []
	}));
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

function hangStep(kit: StepKit, hung: Hung | null, length: number): MadeStep[] {
	if (!hung) return [];
	const named = kit.context.catalogue.materials.get(hung.material ?? '')?.name;
	const many = hangersOf({ hung }, length) * kit.all;
	return [
		kit.made(
			'hang',
			`Hang ${kit.name} on ${many} × ${named ?? hung.by}${hung.wall ? ` on the ${hung.wall} wall` : ''}${many > kit.all ? `, one every ${feet(hung.every / 1000)}` : ''}.`,
			{
				place: 'site',
				tool: 'ladder, somebody to hold it',
				check: 'each holds when it is pulled lightly; ways out, signs and sprinklers stay free',
				work: kit.share('hang')
			}
		)
	];
}

/** A weave: its balloons, the small ones that hold it, row by row, hanging. */
export function weaveSteps(kit: StepKit, weave: Weave): MadeStep[] {
	const { places } = graphOf(weave);
	const held = places.filter((p) => weave.joints[p.joint] !== 'none');
	const { width, height, across } = sizeOfWeave(weave, kit.context.pumps);
	const wide = across === null ? `${feet(width)} wide` : `${feet(across)} across`;
	const joints = new Map<string, number>();
	for (const { joint } of held) {
		const words = `${weave.joints[joint]}, ${joint}`;
		joints.set(words, (joints.get(words) ?? 0) + 1);
	}
	const steps = inflateSteps(kit);
	if (kit.share('cluster').length > 0)
		steps.push(
			kit.made('clusters', `Tie the small balloons that hold ${kit.name}.`, {
				lines: [...joints].map(([text, count]) => ({ count: count * kit.all, text, colours: [] })),
				work: kit.share('cluster')
			})
		);
	steps.push(
		kit.made(
			'weave',
			`Weave ${kit.name}: each tail tied to the next nozzle, row on row, ${wide} and ${feet(height)} high.`,
			{
				lines: weave.rows.toReversed().map((row): StepLine => ({
					count: row.repeat * kit.all,
					text: `${row.repeat > 1 ? 'rows' : 'row'} of ${row.blocks.map((b) => `${b.count} ${b.slot === null ? 'hidden, any colour' : kit.colour(b.slot).name}`).join(', ')}`,
					colours: row.blocks.flatMap((b) => (b.slot === null ? [] : (kit.colour(b.slot).id ?? [])))
				})),
				check: 'rows as long as each other, every held joint tight',
				work: kit.share('weave')
			}
		)
	);
	return [...steps, ...hangStep(kit, weave.hung, width)];
}
