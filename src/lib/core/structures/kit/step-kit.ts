import type { Colourway, Slot } from '../../document/slot.ts';
import type { Hung } from '../../document/hung.ts';
import type { MadeStep, StepContext, StepKind } from '../../plan/made-step.ts';
import { hangersOf } from './hung.ts';
import { feet } from './words.ts';
import type { Recipe } from '../../recipe/recipe.ts';
import type { TaskCount } from '../../labour/task.ts';
import type { Id } from '../../document/id.ts';
import type { Structure } from '../kinds.ts';
import { saidWait } from './said-wait.ts';
import { PAINT_WAIT } from '../../plan/step-words.ts';

/** What the steps of a section are made with. */
export interface StepKit {
	readonly name: string;
	readonly recipe: Recipe;
	readonly context: StepContext;
	/** Copies to build. */
	readonly all: number;
	made(
		kind: StepKind,
		text: string,
		draft?: Partial<Omit<MadeStep, 'key' | 'about' | 'text' | 'work'>> & { work?: readonly TaskCount[] },
		about?: Id
	): MadeStep;
	/** Tasks of a kind, for all copies. */
	share(task: string): TaskCount[];
	/** Tasks of a kind that its structure has itself, without its being attached to another section. */
	own(task: string): TaskCount[];
	/** The balloons to inflate, sized and tied. @param some of its structure; all of it where nothing is said */
	inflate(some?: Structure): MadeStep[];
	/** What it takes to inflate, size and tie the balloons of some of its structure. */
	blown(some: Structure): TaskCount[];
	/** Slots under the names of their colours, as crew read them, and what fills them. */
	readonly slots: readonly Slot[];
	readonly colourway: Colourway | undefined;
	readonly id: Id;
	/** Name of a slot's colour, and the colour. */
	colour(slot: Id): { readonly name: string; readonly id: string | null };
}

/** The balloons of a section: what goes into them first, then inflated, sized and tied, then painted. */
export function inflateSteps(kit: StepKit, some?: Structure): MadeStep[] {
	const nested = kit.share('put inside');
	const filled = kit.share('fill weight');
	const paint = kit.share('paint');
	const necks = kit.share('cut');
	const when = (some: readonly TaskCount[], text: string): string[] => (some.length > 0 ? [text] : []);
	const inside = [...nested, ...filled];
	return [
		...(inside.length === 0
			? []
			: [
					kit.made('inside', `Put what goes inside into the balloons of ${kit.name} while they are empty.`, {
						tool: [...when(nested, 'a rod to push the balloon in'), ...when(filled, 'funnel')].join(', '),
						check: [
							...when(nested, 'the inner one hangs free'),
							...when(filled, 'no grain at the neck')
						].join('; '),
						work: inside
					})
				]),
		...kit.inflate(some),
		...(paint.length === 0
			? []
			: [
					kit.made('paint', `Paint the balloons of ${kit.name} that are painted.`, {
						wait: saidWait(kit, { of: ['painted balloon'], fact: 'dryMinutes', usual: PAINT_WAIT }),
						check: 'dry to a light touch',
						work: paint
					})
				]),
		...(necks.length === 0
			? []
			: [
					kit.made('necks', `Cut the necks off the balloons of ${kit.name} that show none.`, {
						tool: 'scissors',
						check: 'cut above the knot, and the knot holds',
						work: necks
					})
				])
	];
}

export function hangStep(kit: StepKit, hung: Hung | null, length: number): MadeStep[] {
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
