import { holding, slotName } from '../document/names.ts';
import { matchKey } from '../materials/catalogue.ts';
import { isLast, stepsOf } from '../structures/registry/plan.ts';
import { hostPartOf } from '../structures/registry/refs.ts';
import { isSeen } from '../structures/registry/picture.ts';
import type { DesignCount } from '../bom/explode.ts';
import type { TaskCount } from '../labour/task.ts';
import { copiesOf } from '../recipe/copies.ts';
import { standsOnFloor } from '../recipe/sections.ts';
import type { Colourway, Slot } from '../document/slot.ts';
import type { Id } from '../document/id.ts';
import type { Recipe, Section } from '../recipe/recipe.ts';
import { fixedAt } from '../recipe/serving-lines.ts';
import type { Structure } from '../structures/kinds.ts';
import { printSize } from '../sizing/size.ts';
import { isOnHosts } from '../structures/registry/picture.ts';
import { needsOf, tasksOf } from '../structures/registry/count.ts';
import { placeOf } from '../labour/job.ts';
import { pacedDifficulty } from '../labour/paces.ts';
import { siteOf } from '../labour/site.ts';
import { isPatching, sectionTasks } from '../recipe/section-work.ts';
import { formatFeet, formatInches, type Millimetres } from '../units/length.ts';
import { HELIUM_TOOL, hostOf, SIZE_CHECK, SIZE_METHOD, SIZE_TOOL } from './step-words.ts';
import { shared } from './shared.ts';
import type { StepKit } from '../structures/kit/step-kit.ts';
import {
	kindOfStep,
	made,
	type Draft,
	type MadeStep,
	type StepContext,
	type StepKind,
	type StepLine
} from './made-step.ts';

/**
 * The ordered steps a design's structures make: each section from the floor up (inflate, tie, upright, row by row),
 * what is put on and joined, lines, then what is done where it stands. The work of all steps is the labour of the
 * design, no task left out and none twice.
 *
 * @param node the design as it is built, with how many of it there are
 * @param root whether it is the design asked for: only that one is looked over at the end
 */
export function makeSteps(node: DesignCount, root: boolean, context: StepContext): MadeStep[] {
	const sections = inTime(node.recipe.sections).map((section) => new SectionSteps(node, section, context));
	const built = sections.flatMap((s) => s.built(false));
	const bench = built.filter((s) => s.place === 'bench');
	// What carries the balloons is ready, glued and dry, before the first of them is blown up.
	const steps = [
		...bench.filter((s) => CARRIES.has(kindOfStep(s))),
		...bench.filter((s) => !CARRIES.has(kindOfStep(s))),
		...sections.flatMap((s) => s.joining())
	];
	const site = sections.flatMap((s) => s.site('set up'));
	const lines = sections.flatMap((s) => s.built(true));
	const there = built.filter((s) => s.place !== 'bench');
	steps.push(
		...lines.filter((s) => s.place === 'bench'),
		// What it stands on lies there before it is stood up.
		...there.filter((s) => kindOfStep(s) === 'frame base'),
		...site,
		// What is hung where it stands, and what is set into it then.
		...there.filter((s) => kindOfStep(s) !== 'frame base'),
		...lines.filter((s) => s.place !== 'bench')
	);
	if (root && steps.length > 0)
		steps.push(
			made('look over', null, 'Walk round it and look from where the guests stand.', {
				place: 'site',
				check: 'no gap, no tail in sight, nothing holed: replace a holed one before the event'
			})
		);
	const faced = steps.findLastIndex((s) => kindOfStep(s) === 'piece');
	if (root && faced >= 0) steps.splice(faced + 1, 0, LOOK_BEHIND);
	const all = [...linesInPlace(steps, node.recipe), ...sections.flatMap((s) => s.site('strike'))];
	return shared(all, node.recipe, context.catalogue);
}

/**
 * What goes onto a row or a piece goes there as soon as that stands: a weight into the lowest cluster before the next,
 * an anchor before what hides it. What serves several goes on with the first of them.
 */
function linesInPlace(steps: readonly MadeStep[], recipe: Recipe): MadeStep[] {
	const fixed = fixedAt(recipe);
	if (fixed.size === 0) return [...steps];
	const after = new Map<MadeStep, MadeStep[]>();
	const moved = new Set<MadeStep>();
	for (const step of steps) {
		const serves = kindOfStep(step) === 'line' && step.about !== null ? fixed.get(step.about) : undefined;
		const at = serves && steps.find((s) => s !== step && s.about !== null && serves.includes(s.about) && AT.has(kindOfStep(s))); // prettier-ignore
		if (!at) continue;
		moved.add(step);
		after.set(at, [...(after.get(at) ?? []), { ...step, place: at.place, text: step.text.replace(/\.$/, ' there, before what comes next.') }]); // prettier-ignore
	}
	return steps.flatMap((s) => (moved.has(s) ? [] : [s, ...(after.get(s) ?? [])]));
}
const AT: ReadonlySet<string> = new Set<StepKind>(['row', 'piece']);

/** What may be made days before comes first, what floats late, what is made on the day last; what sits on others comes when they do. */
const inTime = (sections: readonly Section[]): readonly Section[] => {
	const days = ({ ahead, structure, stand }: Section): number => {
		const host = isOnHosts(structure) ? sections.find((s) => s.id === stand.by) : undefined;
		if (host) return Math.min(0.5, days(host));
		return ahead ?? (floats(structure) ? 0.25 : 0.5);
	};
	const late = new Map(sections.map((s) => [s.id, days(s)]));
	return [...sections].sort((a, b) => late.get(b.id)! - late.get(a.id)!);
};
/** What is filled with helium floats for some hours only. */
const floats = (structure: Structure): boolean =>
	needsOf(structure, undefined).some((n) => n.what === 'balloon' && n.gas === 'helium');

/** How long before it may be made, with its first step. */
function timed(steps: readonly MadeStep[], { ahead }: Section): MadeStep[] {
	if (ahead === undefined) return [...steps];
	const when =
		ahead === 0 ? 'made on the day' : `may be made up to ${ahead} ${ahead === 1 ? 'day' : 'days'} before`;
	return steps.map((s, i) => (i === 0 ? { ...s, method: [s.method, when].filter(Boolean).join('; ') } : s));
}

/** What was put on is seen from all sides before it goes on. */
const LOOK_BEHIND = made('look behind', null, 'Turn it round and look at its back and its sides.', {
	check:
		'no tape, tail or end in sight, both sides alike where they are meant to be; limbs posed as they are to stay'
});

/** What is made ready before any balloon. */
const CARRIES: ReadonlySet<string> = new Set<StepKind>([
	'frame cut',
	'frame bent',
	'frame covered',
	'frame joined',
	'upright'
]);

/** Tasks of a balloon until it is tied. */
const BLOWN = ['inflate', 'tie', 'twist'] as const;

/** The steps of one section, for all its copies. */
class SectionSteps {
	readonly #recipe: Recipe;
	readonly #colourway: Colourway | undefined;
	/** Copies to build; those of them that stand by nothing; those on the floor. */
	readonly #all: number;
	readonly #alone: number;
	readonly #grounded: number;
	readonly #tasks: readonly TaskCount[];

	constructor(
		node: DesignCount,
		private readonly section: Section,
		private readonly context: StepContext
	) {
		this.#recipe = node.recipe;
		this.#colourway = node.colourway;
		const copies = copiesOf(node.recipe, section);
		this.#all = node.quantity.mul(copies).valueOf();
		this.#alone = section.stand.by === null ? node.alone.mul(copies).valueOf() : 0;
		this.#grounded = standsOnFloor(node.recipe, section) ? node.grounded.mul(copies).valueOf() : 0;
		this.#tasks = sectionTasks(node.recipe, section, this.context.catalogue.materials);
	}

	/** What builds it by itself. @param last what is added once everything stands together, or what is not */
	built(last: boolean): MadeStep[] {
		const { structure } = this.section;
		if (isLast(structure) !== last) return [];
		const steps = timed(stepsOf(structure, this.#kit), this.section);
		const patches = this.#patches();
		// As soon as its cluster is made, and before it is built on.
		const made = steps.findLastIndex((s) => ['clusters', 'inflate'].includes(kindOfStep(s)));
		const after = made < 0 ? steps.length : made + 1;
		return patches.length === 0 ? steps : [...steps.slice(0, after), ...patches, ...steps.slice(after)];
	}

	/** A patch under each balloon that will lie on the floor. */
	#patches(): MadeStep[] {
		const { name } = this.section;
		return this.#tasks
			.filter(isPatching)
			.map((task) => ({ ...task, count: task.count * this.#grounded }))
			.filter((t) => t.count > 0)
			.map((task) =>
				this.#made(
					'patches',
					`Put a patch under ${task.count === 1 ? 'the balloon' : `each of the ${task.count} balloons`} of ${name} that will stand on the floor.`,
					{ check: 'a patch on every balloon that touches the floor', work: [task] }
				)
			);
	}

	/** What stands on another, or hangs beside it. */
	joining(): MadeStep[] {
		const { stand, name, structure } = this.section;
		const host = this.#recipe.sections.find((s) => s.id === stand.by);
		if (!host || isOnHosts(structure) || !isSeen(structure)) return [];
		const how =
			stand.how === 'on top'
				? 'on'
				: stand.how === 'round'
					? 'evenly round'
					: stand.how === 'over'
						? 'over'
						: `${stand.how} of`;
		const row =
			stand.layer === null
				? undefined
				: hostPartOf(host.structure, { on: 'layer', layer: stand.layer, side: 'all' });
		const at =
			row?.kind === 'row'
				? ` at row ${row.row}`
				: stand.height
					? ` at ${formatFeet((stand.height / 1000) as Millimetres)}`
					: '';
		const where = stand.at ? hostOf(stand.at, this.#recipe) : `${how} ${host.name}${at}`;
		const sides = this.section.mirror ? ', one to each side, mirrored' : '';
		const tie = stand.tie === null ? undefined : this.context.catalogue.materials.get(stand.tie)?.name;
		const count = this.#all === 1 ? '' : `${this.#all} × `;
		return [
			this.#made('join', `Set ${count}${name} ${where}${sides}.`, {
				method: tie === undefined ? '' : `tied with ${tie}${this.#tiedDown(host)}`,
				check: 'it does not turn or slip when it is pushed lightly',
				// What does not stand on the floor itself is attached: the last task of its section.
				work: standsOnFloor(this.#recipe, this.section)
					? []
					: this.#share('attach', (t) => t === this.#tasks.at(-1))
			})
		];
	}

	/** How far down a tie goes: the more it holds on to, the less the top is pulled off. */
	#tiedDown(host: Section): string {
		const { down } = this.section.stand;
		const row = down && hostPartOf(host.structure, { on: 'layer', layer: down, side: 'all' });
		return row && row.kind === 'row' ? `, led down through the middle and fixed to row ${row.row}: the top alone would be pulled off` : ''; // prettier-ignore
	}

	/** Where it stands: setting up first, taking down last. */
	site(when: 'set up' | 'strike'): MadeStep[] {
		const work = this.#tasks.filter((t) => siteOf(t) === when);
		const scaled = work.map((task) => ({ ...task, count: task.count * this.#alone }));
		const { name } = this.section;
		const several = this.#alone > 1 ? `${this.#alone} × ` : '';
		if (when === 'strike')
			return this.#alone === 0 || work.length === 0
				? []
				: [
						this.#made('strike', `Take down ${several}${name}; pick up every scrap and tail.`, {
							place: 'site',
							check: 'the floor is bare: scraps choke small children and animals',
							work: scaled
						})
					];
		return this.#alone === 0 || work.length === 0
			? []
			: [
					this.#made('set up', `Stand ${several}${name} in its place.`, {
						place: 'site',
						method: 'the floor swept first',
						check: 'upright from every side, base flat, ways out and signs free',
						work: scaled
					})
				];
	}

	#made(kind: StepKind, text: string, draft: Draft = {}, about: Id = this.section.id): MadeStep {
		const { difficulty, structure } = this.section;
		const { jobs } = this.context;
		const pace = { paces: jobs.paces, kind: structure.kind, place: placeOf(jobs) };
		return made(kind, about, text, draft, (task) => pacedDifficulty(difficulty, task, pace));
	}
	/** Tasks of a kind for all copies. */
	#share(task: string, also: (t: TaskCount) => boolean = () => true): TaskCount[] {
		return this.#forAll(this.#tasks.filter((t) => t.task.startsWith(task) && also(t)));
	}
	#forAll(tasks: readonly TaskCount[]): TaskCount[] {
		return tasks.map((t) => ({ ...t, count: t.count * this.#all }));
	}
	get #kit(): StepKit {
		return {
			name: this.section.name,
			id: this.section.id,
			slots: this.#slots,
			colourway: this.#colourway,
			recipe: this.#recipe,
			context: this.context,
			all: this.#all,
			made: (kind, text, draft, about) => this.#made(kind, text, draft, about),
			share: (task) => this.#share(task),
			own: (task) => this.#forAll(tasksOf(this.section.structure).filter((t) => t.task === task)),
			inflate: (some = this.section.structure) => this.#inflate(some),
			blown: (some) => this.#blown(some),
			colour: (slot) => ({
				name: slotName(slot, this.#slots),
				id: this.#colourway?.fills[slot] ?? null
			})
		};
	}
	/** Slots under the names of their colours, as crew read them. */
	get #slots(): Slot[] {
		return holding(this.#recipe.slots, this.#colourway?.fills ?? {}, this.context.catalogue.colourNames);
	}

	/** What it takes to blow up the balloons of some of it. */
	#blown(some: Structure): TaskCount[] {
		const all = some === this.section.structure ? this.#tasks : tasksOf(some);
		return this.#forAll(all.filter(({ task }) => BLOWN.some((t) => task.startsWith(t))));
	}

	#inflate(structure: Structure): MadeStep[] {
		const { name } = this.section;
		const balloons = needsOf(structure, this.#colourway).flatMap((n) =>
			n.what === 'balloon' && n.mark === undefined ? [n] : []
		);
		if (balloons.length === 0) return [];
		const methods = [...new Set(balloons.map((b) => b.method))];
		const helium = balloons.some((b) => b.gas === 'helium');
		const lines = balloons.map((need): StepLine => {
			const of = this.context.catalogue.materials.get(need.material ?? '');
			const own = of?.name;
			const colour = of?.colour ?? need.colour;
			const slot = slotName(need.slot, this.#slots);
			const size =
				need.look !== undefined
					? `, ${need.look}`
					: need.size.kind === 'unknown'
						? ''
						: ` at ${printSize(need.size)}`;
			const heart = need.kind === 'latex-heart' ? ' hearts' : '';
			return {
				count: need.quantity.mul(this.#all).valueOf(),
				text: `${own ?? `${formatInches(need.nominal)}${heart}`}${size}${own ? '' : `, ${slot}`}${need.method === 'eye' ? ', by eye' : ''}${need.gas === 'helium' ? ', helium' : ''}`,
				colours: colour === null ? [] : [colour],
				material: (
					of ??
					this.context.catalogue.byMatch.get(
						matchKey(need.kind, need.nominal, need.colour, need.mark ?? null)
					)
				)?.id
			};
		});
		return [
			this.#made(
				'inflate',
				`Inflate, size and tie the balloons ${isOnHosts(structure) ? `that go ${name}` : `of ${name}`}.`,
				{
					lines,
					tool: [...methods.map((m) => SIZE_TOOL[m]), ...(helium ? [HELIUM_TOOL] : [])].join(', '),
					method: methods.includes('hole') ? SIZE_METHOD : '',
					check: methods.map((m) => SIZE_CHECK[m]).join('; '),
					work: this.#blown(structure)
				}
			)
		];
	}
}
