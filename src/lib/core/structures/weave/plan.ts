import type { PlanFacet } from '../facets/plan.ts';
import { type StepKit, inflateSteps, hangStep } from '../kit/step-kit.ts';
import type { Weave } from './document.ts';
import type { MadeStep, StepLine } from '../../plan/made-step.ts';
import { graphOf } from './graph.ts';
import { fillersOf, sizeOfWeave } from './count.ts';
import { feet } from '../kit/words.ts';

export const plan: PlanFacet<Weave> = { last: false, steps: weaveSteps };

/** Its balloons, the small ones that hold it, row by row, hanging. */
function weaveSteps(weave: Weave, kit: StepKit): MadeStep[] {
	const { places } = graphOf(weave);
	const held = places.filter((p) => weave.joints[p.joint] !== 'none');
	const { width, height, deep, across } = sizeOfWeave(weave, kit.context.pumps);
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
	const how =
		weave.shape === 'cage' && weave.cage
			? `ring by ring from below, a post of ${weave.cage.post} at ${weave.cage.every > 0 ? `every corner and every ${weave.cage.every} balloons` : 'every corner'}, the next ring on them`
			: 'each tail tied to the next nozzle, row on row';
	const fillers = fillersOf(weave) * kit.all;
	steps.push(
		kit.made(
			'weave',
			`Weave ${kit.name}: ${how}, ${wide}${deep === null ? '' : `, ${feet(deep)} deep`} and ${feet(height)} high.${fillers > 0 ? ` A round in each of its ${fillers} bays.` : ''}`,
			{
				lines: weave.rows.toReversed().map((row): StepLine => ({
					count: row.repeat * kit.all,
					text: `${row.repeat > 1 ? 'rows' : 'row'} of ${row.blocks.map((b) => `${b.count} ${b.slot === null ? 'hidden, any colour' : kit.colour(b.slot).name}`).join(', ')}`,
					colours: row.blocks.flatMap((b) => (b.slot === null ? [] : (kit.colour(b.slot).id ?? [])))
				})),
				check: 'rows as long as each other, every held joint tight',
				work: [...kit.share('weave'), ...kit.share('infill')]
			}
		)
	);
	return [...steps, ...hangStep(kit, weave.hung, width)];
}
