import type { PlanFacet } from '../facets/plan.ts';
import { type StepKit, inflateSteps, hangStep } from '../kit/step-kit.ts';
import { inRows, type Weave } from './document.ts';
import type { MadeStep, StepLine } from '../../plan/made-step.ts';
import { assortedIn } from './neighbours.ts';
import { stringsIn } from './ribbons.ts';
import type { TaskCount } from '../../labour/task.ts';
import { fillersOf, heldOf, sizeOfWeave } from './count.ts';
import { feet } from '../kit/words.ts';

export const plan: PlanFacet<Weave> = { last: false, steps: weaveSteps };

/** Its balloons, the small ones that hold it, row by row, hanging. */
function weaveSteps(weave: Weave, kit: StepKit): MadeStep[] {
	const held = heldOf(weave);
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
	const first = madeFirst(weave, kit);
	steps.push(
		...first.steps,
		kit.made(
			'weave',
			`Weave ${kit.name}: ${first.join ?? how}, ${wide}${deep === null ? '' : `, ${feet(deep)} deep`} and ${feet(height)} high.${fillers > 0 ? ` A round in each of its ${fillers} bays.` : ''}`,
			{
				lines: first.join ? [] : rowLines(weave, kit),
				check: `rows as long as each other, every held joint tight${isAssorted(weave, kit) ? '; no two neighbours of one colour' : ''}`,
				work: [...shareOf(kit, 'weave', first.left), ...kit.share('infill')]
			}
		)
	);
	return [...steps, ...hangStep(kit, weave.hung, width)];
}

/** Whether an assorted bag is woven. */
const isAssorted = (weave: Weave, { colourway, context }: StepKit): boolean =>
	weave.rows.some((r) => r.blocks.some((b) => assortedIn(b.slot, colourway, context.catalogue)));

/** The rows of it, topmost first. */
const rowLines = (weave: Weave, kit: StepKit): StepLine[] =>
	weave.rows.toReversed().map((row) => ({
		count: row.repeat * kit.all,
		text: `${row.repeat > 1 ? 'rows' : 'row'} of ${row.blocks.map((b) => `${b.count} ${b.slot === null ? 'hidden, any colour' : kit.colour(b.slot).name}`).join(', ')}`,
		colours: row.blocks.flatMap((b) => (b.slot === null ? [] : (kit.colour(b.slot).id ?? [])))
	}));

/** So many of a task's share. */
const shareOf = (kit: StepKit, task: string, count: number | undefined): TaskCount[] =>
	count === undefined ? kit.share(task) : kit.share(task).map((t) => ({ ...t, count: count * kit.all }));

interface MadeFirst {
	readonly steps: readonly MadeStep[];
	/** How what was made is joined. */
	readonly join?: string;
	/** Held joints that are left for the joining, of one copy. */
	readonly left?: number;
}

/** Strings and ribbons that are made up before they are joined. */
function madeFirst(weave: Weave, kit: StepKit): MadeFirst {
	const { ribbons } = weave;
	const { left, strings, height } = stringsIn(weave);
	if (ribbons === undefined || strings.length === 0) return { steps: [] };
	const lines = inRows(weave.shape)
		? rowLines(weave, kit)
		: strings.map(({ count, of, as }): StepLine => ({ count: count * kit.all, text: `${as} of ${of}`, colours: [] }));
	const handle: StepLine[] = weave.handle ? [{ count: kit.all, text: `of ${weave.handle.links} for the handle`, colours: [] }] : [];
	const held = heldOf(weave).length;
	const alone = ribbons === 1 || !inRows(weave.shape);
	const closed = weave.shape === 'ring' ? ', each closed to a ring' : '';
	const string = kit.made('strings', `Make up the strings of ${kit.name}: each tail tied to the next nozzle${closed}.`, {
		lines: [...lines, ...handle],
		check: 'strings that belong together as long as each other',
		...(alone && { work: shareOf(kit, 'weave', held - left) })
	});
	if (alone) return { steps: [string], join: 'string by string, from below', left };
	const many = Math.ceil(height / ribbons);
	const rest = height % ribbons;
	const ribbon = kit.made('woven ribbons', `Join ${ribbons} strings each to a ribbon for ${kit.name}.`, {
		lines: [
			{ count: (rest > 0 ? many - 1 : many) * kit.all, text: `ribbons of ${ribbons} strings`, colours: [] },
			...(rest > 0 ? [{ count: kit.all, text: `ribbon of ${rest}`, colours: [] }] : [])
		],
		check: 'flat, and every held joint tight',
		work: shareOf(kit, 'weave', held - left)
	});
	return { steps: [string, ribbon], join: 'ribbon by ribbon, from below', left };
} // prettier-ignore
