import { countDesigns, type DesignCount } from '../bom/explode.ts';
import { timeOf, type Standards } from '../labour/standards.ts';
import type { TaskCount } from '../labour/task.ts';
import type { Id } from '../document/id.ts';
import type { Recipe } from '../recipe/recipe.ts';
import type { TallyContext } from '../tally/tally.ts';
import { rational } from '../units/rational.ts';
import { arrange, type PlanStep } from './arrange.ts';
import type { StepContext, MadeStep } from './made-step.ts';
import { makeSteps } from './make-steps.ts';

/** The steps of one design, and how many of it they build. */
export interface PlanPart {
	/** Undefined for the design asked for. */
	readonly design: Id | undefined;
	readonly name: string;
	readonly quantity: number;
	readonly steps: readonly PlanStep[];
	/** Labour of all its steps, those left out too: they are paid for. */
	readonly seconds: number;
}

export interface PlanChoice {
	readonly colourway: Id | null;
	readonly size: Id | null;
	readonly quantity: number;
}

/**
 * The plan of a design and of all designs inside it, the design asked for first: each part once, for as many as there
 * are to build. The labour of all steps is the labour of the tally.
 *
 * @throws {DomainError} as {@link countDesigns}
 */
export function planOf(recipe: Recipe, choice: PlanChoice, context: TallyContext): PlanPart[] {
	const { library, rates } = context;
	const nodes = counted(recipe, choice, context);
	const making: StepContext = {
		catalogue: context.catalogue,
		library,
		pumps: rates.pumps,
		rules: rates.rules,
		jobs: rates.jobs
	};
	const set = new Set<string>();
	return nodes.map((node, i) => {
		const made = setOnce(makeSteps(node, i === 0, making), set);
		const design = i === 0 ? undefined : node.key.split('/')[0]!;
		// What is lost is lost from the recipe itself, not from one of its sizes or colourways.
		const plain = design === undefined ? recipe : (library(design) ?? node.recipe);
		const quantity = node.quantity.valueOf();
		const steps = arrange(made, plain, quantity);
		return {
			design,
			name: node.recipe.name,
			quantity,
			steps,
			seconds: [...made, ...steps.filter((s) => s.own)].reduce(
				(a, m) => a + secondsOf(m.work, rates.standards),
				0
			)
		};
	});
}

/** Tools are set for a batch at the first step that needs it; the steps after it find them so. */
function setOnce(made: readonly MadeStep[], set: Set<string>): MadeStep[] {
	const first = (task: TaskCount): TaskCount => {
		const batches = task.batches.filter((b) => !set.has(`${task.task}/${task.method}/${b}`));
		for (const b of batches) set.add(`${task.task}/${task.method}/${b}`);
		return { ...task, batches };
	};
	return made.map((m) => ({ ...m, work: m.work.map((w) => ({ ...w, task: first(w.task) })) }));
}

/** Steps of the design itself as they are made, for an edit to be done on. */
export function madeSteps(recipe: Recipe, context: TallyContext): MadeStep[] {
	const [root] = counted(recipe, { colourway: null, size: null, quantity: 1 }, context);
	const { catalogue, library, rates } = context;
	return root
		? makeSteps(root, true, { catalogue, library, pumps: rates.pumps, rules: rates.rules, jobs: rates.jobs })
		: [];
}

function counted(
	recipe: Recipe,
	{ colourway, size, quantity }: PlanChoice,
	context: TallyContext
): DesignCount[] {
	const { library, rates } = context;
	return countDesigns({ recipe, colourway, size, quantity: rational(quantity), pumps: rates.pumps }, library);
}

/** Labour of a step. */
export const secondsOf = (work: MadeStep['work'], standards: Standards): number =>
	work.reduce((a, { task, difficulty }) => a + timeOf(task, standards, difficulty).seconds.valueOf(), 0);
