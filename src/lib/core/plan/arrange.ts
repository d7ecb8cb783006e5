import { stepTasks } from '../recipe/section-work.ts';
import type { Id } from '../document/id.ts';
import type { Recipe } from '../recipe/recipe.ts';
import type { Step, StepWords } from '../document/step.ts';
import type { RecipeDraft } from '../recipe/draft.ts';
import { aboutOf, type MadeStep, type StepLine } from './made-step.ts';
import { idsIn, isLost } from './lost-step.ts';

/** A step as the plan shows it: what is made, with what the owner said over it. */
export interface PlanStep extends Omit<MadeStep, 'key' | 'about'> {
	readonly id: string;
	readonly own: boolean;
	readonly photo: Id | null;
	/** What the owner said of it. */
	readonly says: StepWords;
	/** Left out of the plan by the owner. */
	readonly out: boolean;
	/** What it is about is not in the recipe any more. */
	readonly lost: boolean;
	/** Rows, pieces, lines and sections it is about that are there. */
	readonly uses: readonly Id[];
	/** Seconds of work that were said of a step of her own, for one. */
	readonly takes: number;
}

/** A step as screen and paper show it: its labour as minutes, its colours as they look. */
export interface ShownStep extends Omit<PlanStep, 'work' | 'lines'> {
	/** Minutes of labour, for all there are to build. */
	readonly minutes: number;
	readonly lines: readonly (Omit<StepLine, 'colours'> & { readonly hexes: readonly string[] })[];
}

interface Slot {
	readonly id: string;
	readonly made?: MadeStep | undefined;
	readonly stored?: Step | undefined;
}

/**
 * The plan: stored steps in their order, and each made step that is not among them after the one it is made after.
 * A stored step whose subject is gone is dropped where nothing was said of it, and else stays and says that it is lost.
 */
export function arrange(made: readonly MadeStep[], recipe: Recipe, quantity = 1): PlanStep[] {
	const ids = idsIn(recipe);
	return slots(made, recipe, ids).flatMap(({ id, made: own, stored }): PlanStep[] => {
		const says = stored?.says ?? {};
		const about = aboutOf(id);
		const known = stored?.own
			? stored.uses.filter((u) => ids.has(u))
			: about && ids.has(about)
				? [about]
				: [];
		const lost = !own && stored !== undefined && isLost(stored, ids);
		// Of another colourway or size: its row is there, only not in this one.
		if (!own && !stored?.own && !lost) return [];
		return [
			{
				id,
				own: stored?.own ?? false,
				text: says.text ?? own?.text ?? 'A step with nothing said.',
				lines: own?.lines ?? [],
				place: says.place ?? own?.place ?? 'bench',
				tool: says.tool ?? own?.tool ?? '',
				method: says.method ?? own?.method ?? '',
				wait: says.wait ?? own?.wait ?? 0,
				check: says.check ?? own?.check ?? '',
				photo: says.photo ?? null,
				work: own?.work ?? (stored ? ownWork(stored, quantity) : []),
				takes: says.takes ?? 0,
				says,
				out: stored?.out ?? false,
				lost,
				uses: known
			}
		];
	});
}

/** The work of a step in her own words, for all there are to build. */
const ownWork = (step: Step, quantity: number): PlanStep['work'] =>
	stepTasks(step).map((task) => ({ task: { ...task, count: task.count * quantity }, difficulty: '1' }));

const isLast = ({ key }: MadeStep) => key.startsWith('look over') || key.startsWith('strike');
const isSaid = ({ says }: Step): boolean => Object.values(says).some((v) => v !== undefined);

function slots(made: readonly MadeStep[], recipe: Recipe, ids: ReadonlySet<Id>): Slot[] {
	const byKey = new Map(made.map((m) => [m.key, m]));
	const kept = recipe.steps.filter((s) => s.own || byKey.has(s.id) || isSaid(s) || !isLost(s, ids));
	// Nothing was arranged yet: each of her own stands at the end of its place.
	if (!kept.some((s) => byKey.has(s.id))) {
		const place = (step: Step) => step.says.place ?? 'bench';
		const now: Slot[] = made.map((own) => ({ id: own.key, made: own }));
		for (const stored of kept) {
			const first = now.findIndex(({ made: own }) =>
				place(stored) === 'bench' ? own && own.place !== 'bench' : own && isLast(own)
			);
			now.splice(first < 0 ? now.length : first, 0, { id: stored.id, stored });
		}
		return now;
	}
	const result: Slot[] = kept.map((stored) => ({ id: stored.id, stored, made: byKey.get(stored.id) }));
	const at = (id: string) => result.findIndex((s) => s.id === id);
	made.forEach((own, i) => {
		if (at(own.key) >= 0) return;
		const before = made.slice(0, i).findLast((m) => at(m.key) >= 0);
		const after = made.slice(i + 1).find((m) => at(m.key) >= 0);
		const place = before ? at(before.key) + 1 : after ? at(after.key) : 0;
		result.splice(place, 0, { id: own.key, made: own });
	});
	return result;
}

/** What can be done to a plan. */
export type PlanEdit =
	| { readonly kind: 'say'; readonly id: string; readonly says: StepWords; readonly uses?: readonly Id[] }
	/** To the place of another step, which makes room on the side it comes from. */
	| { readonly kind: 'move'; readonly id: string; readonly to: string }
	| {
			readonly kind: 'add';
			readonly id: Id;
			readonly after: string | null;
			readonly says: StepWords;
			readonly uses?: readonly Id[];
	  }
	/** An own or a lost step goes; a made one is left out. */
	| { readonly kind: 'remove'; readonly id: string }
	/** As it is made again, and back in the plan. */
	| { readonly kind: 'as made'; readonly id: string };

/**
 * Does one edit to the plan of a recipe. The whole order is written down with it, so that it holds.
 * @param made the steps made from the recipe as it stands
 * @returns false where there is no such step
 */
export function editPlan(draft: RecipeDraft, made: readonly MadeStep[], edit: PlanEdit): boolean {
	const recipe = draft as Recipe;
	const all = slots(made, recipe, idsIn(recipe));
	const steps: Step[] = all.map(({ id, stored }) =>
		stored ? { ...stored } : { id, own: false, says: {}, uses: [], out: false }
	);
	const at = steps.findIndex((s) => s.id === edit.id);
	if (edit.kind === 'add') {
		if (at >= 0) return true; // The same button twice.
		const after = steps.findIndex((s) => s.id === edit.after);
		const own = { id: edit.id, own: true, says: clean(edit.says), uses: [...(edit.uses ?? [])], out: false };
		steps.splice(edit.after === null || after < 0 ? steps.length : after + 1, 0, own);
	} else if (at < 0) return false;
	else if (edit.kind === 'say') {
		const step = steps[at]!;
		const fresh = all[at]!.made;
		// What is said as it is made follows what is made; of her own what was never said stays unsaid.
		const says = clean(step.own ? said(edit.says, step.says) : unlike(edit.says, fresh));
		const uses = step.own ? usesOf(step.uses, edit.uses) : step.uses;
		// Nothing was changed: the order is not written down for that.
		if (alike(says, step.says) && alike(uses, step.uses)) return true;
		steps[at] = { ...step, says, uses: [...uses] };
	} else if (edit.kind === 'as made') steps[at] = { ...steps[at]!, says: {}, out: false };
	else if (edit.kind === 'remove') {
		const step = steps[at]!;
		if (step.own || !all[at]!.made) steps.splice(at, 1);
		else steps[at] = { ...step, out: true };
	} else {
		const to = steps.findIndex((s) => s.id === edit.to);
		if (to < 0) return false;
		const [step] = steps.splice(at, 1);
		steps.splice(to, 0, step!);
	}
	draft.steps = steps as RecipeDraft['steps'];
	return true;
}

const alike = (a: unknown, b: unknown): boolean =>
	JSON.stringify(Object.entries(a as object).sort()) === JSON.stringify(Object.entries(b as object).sort());

/** What she says of a step of her own: blanks only where something stood. */
const said = (says: StepWords, before: StepWords): StepWords =>
	Object.fromEntries(
		Object.entries(says).filter(([key, value]) => key in before || (value !== '' && value !== 0))
	) as StepWords;

/** A form shows the first of what a step is about: left as it is, the others stay too. */
function usesOf(before: readonly Id[], asked: readonly Id[] | undefined): readonly Id[] {
	if (asked === undefined || (asked.length <= 1 && asked[0] === before[0])) return before;
	return asked;
}

const clean = (says: StepWords): StepWords =>
	Object.fromEntries(Object.entries(says).filter(([, value]) => value !== undefined)) as StepWords;

/** What differs from how the step is made. */
function unlike(says: StepWords, made: MadeStep | undefined): StepWords {
	if (!made) return says;
	const plain: Record<string, unknown> = { ...made, photo: undefined };
	return Object.fromEntries(Object.entries(says).filter(([key, value]) => value !== plain[key])) as StepWords;
}
