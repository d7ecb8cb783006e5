import { NEVER_BOUGHT } from '../../core/document/line-role.ts';
import { crewFor } from '../../core/cost/rates.ts';
import { activitiesOf, crewTime } from '../../core/plan/elapsed.ts';
import { quantityText } from '../../core/cost/cost.ts';
import { rational } from '../../core/units/rational.ts';
import { colourName } from '../../core/document/names.ts';
import { isSeen } from '../../core/structures/registry/picture.ts';
import { isBare } from '../../core/assembly/assemble.ts';
import { arrange, editPlan, type PlanEdit, type ShownStep } from '../../core/plan/arrange.ts';
import type { Fields } from '../../core/forms/merge-fields.ts';
import { stepFields } from '../../core/plan/step-fields.ts';
import { hazardsOf, makerCautions } from '../../core/hazards/cautions.ts';
import { madeSteps, planOf, secondsOf, type PlanPart } from '../../core/plan/plan.ts';
import type { RecipeDraft } from '../../core/recipe/draft.ts';
import { recipeSchema } from '../../core/recipe/recipe.schema.ts';
import type { Recipe } from '../../core/recipe/recipe.ts';
import { MOST_STEPS } from '../../core/document/step.ts';
import { drawAssembly, type DrawList } from '../../core/scene/draw-list.ts';
import { DomainError } from '../../core/errors.ts';
import { printSize } from '../../core/sizing/size.ts';
import { tally, type Tally, type TallyContext } from '../../core/tally/tally.ts';
import type { Repos } from '../repos/index.ts';
import type { LoadedDesign } from './design-query.ts';
import { changeWorking } from './change-working.ts';
import { contextOf, loadLibrary, loadStudio } from './studio.ts';

export interface ShownPart extends Omit<PlanPart, 'steps' | 'seconds'> {
	readonly steps: readonly ShownStep[];
	readonly seconds: number;
}
export interface Plan {
	/** Seconds by the clock with the usual people, and who they are; nobody named is one pair of hands. */
	readonly clock: number;
	readonly people: readonly string[];
	readonly parts: readonly ShownPart[];
	readonly worked: Tally;
	readonly cautions: readonly string[];
	/** Why there is no plan: a design inside itself, say. */
	readonly trouble: string;
}

/** The plan of a design in the colours, size and number asked for. */
export function workOutPlan({ design, context, colourway, size, quantity }: LoadedDesign): Plan {
	const choice = { colourway: colourway.id, size: size?.id ?? null, quantity };
	const worked = tally(design.recipe, choice.colourway, quantity, context, choice.size);
	let parts: PlanPart[] = [];
	let trouble = '';
	try {
		parts = planOf(design.recipe, choice, context);
	} catch (error) {
		if (!(error instanceof DomainError)) throw error;
		trouble = worked.findings.find((f) => f.level === 'bad')?.say ?? error.message;
	}
	return {
		...byTheClock(parts, design.recipe, context),
		parts: parts.filter((p, i) => i === 0 || p.steps.length > 0).map((part) => shown(part, context)),
		worked,
		cautions: makerCautions(hazardsOf({ ...worked, overall: worked.assembly.overall.usual })),
		trouble
	};
}

/** How long the usual people take by the clock, waits worked through with what else there is; and who they are. */
function byTheClock(parts: readonly PlanPart[], recipe: Recipe, { rates, library }: TallyContext) {
	const crew = crewFor(rates);
	const pace = crew.clock.valueOf();
	const all = parts.flatMap((part, at) => {
		const own = part.design === undefined ? recipe : library(part.design);
		const seconds = (i: number) => secondsOf(part.steps[i]!.work, rates.standards) * pace;
		return activitiesOf(part.steps, own ?? recipe, seconds).map((a) => ({
			...a,
			id: `${at}/${a.id}`,
			after: a.after.map((id) => `${at}/${id}`)
		}));
	});
	return { clock: crewTime(all), people: crew.people.map((p) => p.name) };
}

function shown({ steps, ...part }: PlanPart, { rates, catalogue }: TallyContext): ShownPart {
	return {
		...part,
		steps: steps.map(({ work, lines, ...step }) => ({
			...step,
			minutes: secondsOf(work, rates.standards) / 60,
			lines: lines.map(({ count, text, colours }) => ({
				count,
				text,
				hexes: colours.flatMap((c) => catalogue.colours.get(c)?.hex ?? [])
			}))
		}))
	};
}

/** A little from the side and from above: what stands apart then does not hide what is behind it. Radians. */
const APART = { turn: 0.45, tilt: 0.4 };

/** Pictures of a plan: from the front, from the side, and drawn apart where it has sections to draw apart. */
export function planPictures(
	{ assembly, built }: Tally,
	{ catalogue }: TallyContext
): { name: string; list: DrawList }[] {
	if (isBare(assembly)) return [];
	const sections = built.sections.filter((s) => isSeen(s.structure));
	const views = (['front', 'side'] as const).map((view) => ({ name: view, list: drawAssembly(assembly, { catalogue, view }) })); // prettier-ignore
	if (sections.length < 2) return views;
	const apart = drawAssembly(assembly, {
		catalogue,
		view: 'front',
		camera: APART,
		apart: { sections, gap: 220 }
	});
	return [...views, { name: 'apart', list: apart }];
}

/** Both lists of a bill, a line each, as they are ticked off at the bench. */
export function listsOf(
	{ bill }: Tally,
	{ catalogue }: TallyContext
): { readonly toInflate: readonly string[]; readonly toBuy: readonly string[] } {
	return {
		toInflate: bill.inflate.map((line) => {
			const colour = colourName(catalogue.colourNames, line.colour, line.slot);
			const byLook = line.sizeTo !== printSize(line.size);
			const method = line.method === 'hole' ? 'hole' : line.method === 'eye' ? 'by eye' : 'count strokes';
			return `${line.quantity.toFraction(true)} × ${line.bag}${byLook ? ', ' : ' at '}${line.sizeTo}, ${colour}${byLook ? '' : `, ${method}`}${line.gas === 'helium' ? ', helium' : ''}, for ${line.where}`;
		}),
		toBuy: bill.lines.map((line) => {
			const shelf = line.material?.reuse || line.role === 'reused' ? ', from the shelf' : '';
			const buys = !line.material?.reuse && !NEVER_BOUGHT.has(line.role);
			const role = line.role === 'always' || line.role === 'reused' ? '' : `, ${line.role}`;
			const count = quantityText(buys ? rational(line.toBuy) : line.used, line.unit);
			return `${count} ${line.unit === 'piece' ? '×' : 'of'} ${line.label}${shelf}${role}`;
		})
	};
}

/**
 * Does one edit to the plan of a working copy.
 * @returns false where there is no such step or design, or more steps than can be written down
 */
export async function changePlan(
	repos: Repos,
	design: string,
	{ edit, saveId }: { edit: PlanEdit; saveId: string },
	now: Date
): Promise<boolean> {
	const studio = await loadStudio(repos);
	return changeWorking(repos, design, { saveId, now }, async (recipe) => {
		const context = contextOf(studio, await loadLibrary(repos, recipe));
		const draft = structuredClone(recipe) as RecipeDraft;
		if (!editPlan(draft, madeSteps(recipe, context), edit) || draft.steps.length > MOST_STEPS)
			return undefined;
		return recipeSchema.parse(draft) as Recipe;
	});
}

/** A step of a working copy as its form would be filled with it now; undefined where the plan has none such. */
export async function stepNow(repos: Repos, design: string, id: string): Promise<Fields | undefined> {
	const found = await repos.designs.find(design);
	if (!found) return undefined;
	const context = contextOf(await loadStudio(repos), await loadLibrary(repos, found.recipe));
	const step = arrange(madeSteps(found.recipe, context), found.recipe).find((s) => s.id === id);
	return step && stepFields(step);
}
