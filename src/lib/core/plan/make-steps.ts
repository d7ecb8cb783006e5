import type { DesignCount } from '../bom/explode.ts';
import type { TaskCount } from '../labour/task.ts';
import { copiesOf } from '../recipe/copies.ts';
import { printLayer } from '../language/print-entry.ts';
import { standsOnFloor } from '../recipe/sections.ts';
import type { AppliedPiece } from '../structures/applied/document.ts';
import type { Colourway, Slot } from '../document/slot.ts';
import type { ExtraLine } from '../structures/extras/document.ts';
import type { Id } from '../document/id.ts';
import type { Layer, Stack } from '../structures/stack/document.ts';
import type { Recipe, Section } from '../recipe/recipe.ts';
import { printSize } from '../sizing/size.ts';
import { countOfPiece } from '../structures/applied/count.ts';
import { countedLines } from '../structures/extras/count.ts';
import { isOnHosts } from '../structures/registry/picture.ts';
import { needsOf, tasksOf } from '../structures/registry/count.ts';
import { isOnSite, isPatching, sectionTasks } from '../recipe/section-work.ts';
import { placeStack } from '../structures/stack/place.ts';
import { formatFeet, formatInches, type Millimetres } from '../units/length.ts';
import { rational } from '../units/rational.ts';
import {
	coloursOf,
	FIXING_TOOL,
	FIXING_WAIT,
	hostOf,
	JOINED,
	ON_SITE,
	PAINT_WAIT,
	SIZE_CHECK,
	SIZE_TOOL
} from './step-words.ts';
import { shared } from './shared.ts';
import { bunchSteps } from '../structures/bunch/plan.ts';
import { formSteps } from '../structures/form/plan.ts';
import { pieceFoils } from '../structures/applied/plan.ts';
import { inflateSteps, type StepKit } from '../structures/kit/step-kit.ts';
import { runSteps } from '../structures/run/plan.ts';
import { weaveSteps } from '../structures/weave/plan.ts';
import {
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
	const sections = node.recipe.sections.map((section) => new SectionSteps(node, section, context));
	const built = sections.flatMap((s) => s.bench());
	const steps = [...built.filter((s) => s.place === 'bench'), ...sections.flatMap((s) => s.joining())];
	const site = sections.flatMap((s) => s.site('set up'));
	const lines = sections.flatMap((s) => s.lines());
	steps.push(
		...lines.filter((s) => s.place === 'bench'),
		...site,
		// What is hung where it stands, and what is set into it then.
		...built.filter((s) => s.place !== 'bench'),
		...lines.filter((s) => s.place !== 'bench')
	);
	if (root && steps.length > 0)
		steps.push(
			made('look over', null, 'Walk round it and look from where the guests stand.', {
				place: 'site',
				check: 'no gap, no tail in sight, nothing holed: replace a holed one before the event'
			})
		);
	const all = [...steps, ...sections.flatMap((s) => s.site('strike'))];
	return shared(all, node.recipe, context.catalogue);
}

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
		this.#tasks = sectionTasks(node.recipe, section);
	}

	bench(): MadeStep[] {
		const { structure } = this.section;
		switch (structure.kind) {
			case 'stack':
				return structure.layers.length === 0
					? this.#upright(structure, this.section.id)
					: this.#stack(structure);
			case 'applied':
				return [
					...inflateSteps(this.#kit),
					...pieceFoils(this.#kit, structure.pieces),
					...structure.pieces.map((p) => this.#piece(p))
				];
			case 'design': {
				const name = this.context.library(structure.design)?.name ?? 'a design that is not kept';
				const each = rational(structure.quantity).valueOf();
				return [this.#made('design', `Build ${this.#all * each} × ${name}: its own plan stands below.`)];
			}
			case 'bunch':
				return bunchSteps(this.#kit, structure);
			case 'form':
				return formSteps(this.#kit, structure);
			case 'run':
				return runSteps(this.#kit, structure);
			case 'weave':
				return weaveSteps(this.#kit, structure);
			case 'extras':
				return [];
		}
	}

	/** What stands on another, or hangs beside it. */
	joining(): MadeStep[] {
		const { stand, name, structure } = this.section;
		const host = this.#recipe.sections.find((s) => s.id === stand.by);
		if (!host || isOnHosts(structure) || structure.kind === 'extras') return [];
		const how = stand.how === 'on top' ? 'on' : stand.how === 'round' ? 'evenly round' : `${stand.how} of`;
		const row =
			host.structure.kind === 'stack' ? host.structure.layers.findIndex((l) => l.id === stand.layer) : -1;
		const at =
			row >= 0
				? ` at row ${row + 1}`
				: stand.height
					? ` at ${formatFeet((stand.height / 1000) as Millimetres)}`
					: '';
		const sides = this.section.mirror ? ', one to each side, mirrored' : '';
		const tie = stand.tie === null ? undefined : this.context.catalogue.materials.get(stand.tie)?.name;
		const count = this.#all === 1 ? '' : `${this.#all} × `;
		return [
			this.#made('join', `Set ${count}${name} ${how} ${host.name}${at}${sides}.`, {
				method: tie === undefined ? '' : `tied with ${tie}`,
				check: 'it does not turn or slip when it is pushed lightly',
				// What does not stand on the floor itself is attached: the last task of its section.
				work: standsOnFloor(this.#recipe, this.section)
					? []
					: this.#share('attach', (t) => t === this.#tasks.at(-1))
			})
		];
	}

	/** Where it stands: patches and setting up first, taking down last. */
	site(when: 'set up' | 'strike'): MadeStep[] {
		const work = this.#tasks.filter((t) => isOnSite(t) && t.task === when);
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
		const patches = this.#tasks
			.filter(isPatching)
			.map((task) => ({ ...task, count: task.count * this.#grounded }))
			.filter((t) => t.count > 0);
		return [
			...patches.map((task) =>
				this.#made(
					'patches',
					`Put a patch under ${task.count === 1 ? 'the balloon' : `each of the ${task.count} balloons`} of ${name} on the floor.`,
					{
						place: 'site',
						check: 'no balloon lies on the bare floor',
						work: [task]
					}
				)
			),
			...(this.#alone === 0 || work.length === 0
				? []
				: [
						this.#made('set up', `Stand ${several}${name} in its place.`, {
							place: 'site',
							check: 'upright from every side, base flat, ways out and signs free',
							work: scaled
						})
					])
		];
	}

	lines(): MadeStep[] {
		const { structure } = this.section;
		if (structure.kind !== 'extras') return [];
		return countedLines(structure.lines).flatMap((line) => this.#line(line));
	}

	#made(kind: StepKind, text: string, draft: Draft = {}, about: Id = this.section.id): MadeStep {
		return made(kind, about, text, draft, this.section.difficulty);
	}
	/** Tasks of a kind for all copies. */
	#share(task: string, also: (t: TaskCount) => boolean = () => true): TaskCount[] {
		return this.#tasks
			.filter((t) => t.task.startsWith(task) && also(t))
			.map((t) => ({ ...t, count: t.count * this.#all }));
	}
	get #kit(): StepKit {
		return {
			name: this.section.name,
			recipe: this.#recipe,
			context: this.context,
			all: this.#all,
			made: (kind, text, draft, about) => this.#made(kind, text, draft, about),
			share: (task) => this.#share(task),
			own: (task) =>
				tasksOf(this.section.structure)
					.filter((t) => t.task === task)
					.map((t) => ({ ...t, count: t.count * this.#all })),
			inflate: () => this.#inflate(),
			colour: (slot) => ({
				name: this.#slots.find((s) => s.id === slot)?.name ?? 'no slot',
				id: this.#colourway?.fills[slot] ?? null
			})
		};
	}
	/** Slots under the names of their colours, as crew read them. */
	get #slots(): Slot[] {
		return this.#recipe.slots.map((s) => ({
			...s,
			name: this.#colourName(this.#colourway?.fills[s.id]) ?? `${s.name} (open)`
		}));
	}
	#colourName(id: string | null | undefined): string | undefined {
		return id == null ? undefined : this.context.catalogue.colourNames.get(id);
	}

	#inflate(): MadeStep[] {
		const { name, structure } = this.section;
		const balloons = needsOf(structure, this.#colourway).flatMap((n) =>
			n.what === 'balloon' && n.mark === undefined ? [n] : []
		);
		if (balloons.length === 0) return [];
		const methods = [...new Set(balloons.map((b) => b.method))];
		const lines = balloons.map((need): StepLine => {
			const own =
				need.material === null ? undefined : this.context.catalogue.materials.get(need.material)?.name;
			const slot = this.#slots.find((s) => s.id === need.slot)?.name ?? 'no slot';
			const size = need.size.kind === 'unknown' ? '' : ` at ${printSize(need.size)}`;
			const heart = need.kind === 'latex-heart' ? ' hearts' : '';
			return {
				count: need.quantity.mul(this.#all).valueOf(),
				text: `${own ?? `${formatInches(need.nominal)}${heart}`}${size}${own ? '' : `, ${slot}`}${need.method === 'eye' ? ', by eye' : ''}${need.gas === 'helium' ? ', helium' : ''}`,
				colours: need.colour === null ? [] : [need.colour]
			};
		});
		return [
			this.#made(
				'inflate',
				`Inflate, size and tie the balloons ${structure.kind === 'applied' ? `that go ${name}` : `of ${name}`}.`,
				{
					lines,
					tool: methods.map((m) => SIZE_TOOL[m]).join(', '),
					check: methods.map((m) => SIZE_CHECK[m]).join('; '),
					work: [...this.#share('inflate'), ...this.#share('tie')]
				}
			)
		];
	}

	#stack(stack: Stack): MadeStep[] {
		const { name, id } = this.section;
		const slots = this.#slots;
		const words = (layer: Layer) => printLayer({ ...layer, repeat: 1, joining: null, turn: 'half' }, slots);
		const tied = stack.layers.filter((l) => l.clusters.some((c) => c.places.length > 1));
		const clusters = this.#share('cluster');
		const steps = inflateSteps(this.#kit);
		if (clusters.length > 0)
			steps.push(
				this.#made('clusters', `Tie the clusters of ${name}.`, {
					lines: tied.map((l) => ({
						count: l.repeat * this.#all,
						text: words(l),
						colours: coloursOf(l, this.#colourway)
					})),
					method: 'two and two tied neck to neck, then twisted together',
					check: 'no balloon turns in its cluster',
					work: clusters
				})
			);
		steps.push(...this.#upright(stack, id));
		const placed = placeStack(stack, this.context.pumps);
		stack.layers.forEach((layer, row) => {
			const last = placed.rings.findLastIndex((r) => r.layer.id === layer.id);
			const top = placed.overall.known ? placed.layers[last]?.top : undefined;
			const alike = layer.repeat > 1 ? `, ${layer.repeat} layers alike` : '';
			const turn = layer.turn === 'none' ? 'straight over' : 'turned half a place over';
			const many = layer.clusters.some((c) => c.places.length > 1);
			const each = layer.repeat > 1 ? 'each ' : '';
			const how = !many || (row === 0 && layer.repeat === 1) ? '' : `; ${each}${turn} the one below`;
			const attached = (layer.repeat - (row === 0 ? 1 : 0)) * this.#all;
			steps.push(
				this.#made(
					'row',
					`${row === 0 ? `${name}, from the floor up. ` : ''}Row ${row + 1}${alike}: ${words(layer)}${how}.`,
					{
						lines: [],
						method: attached > 0 ? JOINED[layer.joining ?? stack.joining] : '',
						check: top === undefined ? '' : `its top stands at about ${formatFeet(top as Millimetres)}`,
						work: attached > 0 ? [{ task: 'attach', method: 'hole', count: attached, batches: [] }] : []
					},
					layer.id
				)
			);
		});
		return steps;
	}

	#upright(stack: Stack, id: Id): MadeStep[] {
		const { kind, length, material } = stack.upright;
		if (kind === 'none') return [];
		const named = material === null ? undefined : this.context.catalogue.materials.get(material)?.name;
		const long = length === null ? '' : ` of ${formatFeet((length / 1000) as Millimetres)}`;
		const several = this.#all > 1 ? ` (${this.#all} times)` : '';
		return [
			this.#made(
				'upright',
				`Make the ${kind}${long} ready${named ? `: ${named}` : ''}${several}.`,
				{ check: 'it stands by itself and does not wobble', work: this.#share('upright') },
				id
			)
		];
	}

	#piece(piece: AppliedPiece): MadeStep {
		const count = countOfPiece(piece) * this.#all;
		const where = piece.on.map(({ host, count: own }) => {
			const share = piece.on.length > 1 ? `${own * this.#all} ` : '';
			return `${share}${hostOf(host, this.#recipe)}`;
		});
		return this.#made(
			'piece',
			`Fix ${count} × ${piece.name}${piece.on.length > 1 ? ':' : ''} ${where.join('; ')}.`,
			{
				method: piece.fixing === 'tucked' ? 'tucked in' : `with ${piece.fixing}`,
				tool: FIXING_TOOL[piece.fixing] ?? '',
				wait: FIXING_WAIT[piece.fixing] ?? 0,
				check: 'it holds when it is pulled lightly',
				work: [{ task: 'fix', method: 'hole', count, batches: [] }]
			},
			piece.id
		);
	}
	#line(line: ExtraLine): MadeStep[] {
		if (line.role === 'by-product') return [];
		const material = this.context.catalogue.materials.get(line.material);
		const name = material?.name ?? 'something that is not in the Stockroom';
		const count = line.range ? `${line.range.low} to ${line.range.high}` : line.quantity;
		if (line.role === 'taken along')
			return [this.#made('line', `Take along ${count} × ${name}.`, { place: 'site' }, line.id)];
		const work = [{ task: 'place extras' as const, method: 'hole' as const, count: this.#all, batches: [] }];
		const paint = material?.kind === 'paint';
		return [
			this.#made(
				'line',
				`${paint ? 'Paint with' : 'Add'} ${count} × ${name}${line.onSpot ? ', measured on the spot' : ''}.`,
				{
					place: material && ON_SITE.has(material.kind) ? 'site' : 'bench',
					wait: paint ? PAINT_WAIT : 0,
					check: paint ? 'dry to a light touch' : '',
					work
				},
				line.id
			)
		];
	}
}
