import { tally, type TallyContext } from '../../core/tally/tally.ts';
import { drawAssembly, type DrawList } from '../../core/scene/draw-list.ts';
import { catalogue } from '../../core/materials/catalogue.ts';
import { stacksIn } from '../../core/structures/stack/edit.ts';
import { tooShort } from '../../core/materials/carries.ts';
import type { Recipe } from '../../core/recipe/recipe.ts';
import type { Answers } from '../../core/by-hand/asked.ts';
import type { StartingShape } from '../../core/starting/shape.ts';
import { ownShape } from '../../core/starting/own.ts';
import { SHAPES } from '../../core/starting/shapes.ts';
import { linesOf } from './lines.ts';
import { startErrors, startRecipe, startValues } from '../../core/starting/start.ts';
import type { HandData } from '../by-hand/hand-data.ts';

export interface StartData extends HandData {
	/** Designs of the studio that new ones start from, as they were last kept, with the designs inside them. */
	readonly own: readonly { readonly id: string; readonly recipe: Recipe }[];
	readonly library: readonly (readonly [string, Recipe])[];
}

const ids = () => {
	let n = 0;
	return () => `start-${n++}`;
};

/** A design being started: which shape, what its fields say, and what comes of it. */
export class Start {
	readonly data: StartData;
	readonly context: TallyContext;
	/** Those that ship with it, then the studio's own. */
	readonly shapes: readonly StartingShape[];
	shape = $state.raw<StartingShape>(SHAPES[0]!);
	/** What was said of each shape: going to another and back loses nothing. */
	#said = $state.raw<Readonly<Record<string, Answers>>>({});
	readonly values = $derived.by(() => this.#said[this.shape.id] ?? startValues(this.shape, this.data));
	readonly errors = $derived.by(() => startErrors(this.shape, this.values, this.data));
	readonly ok = $derived(Object.keys(this.errors).length === 0);
	/** The last recipe that could be made: what is wrong in a field leaves the picture as it was. */
	#last: Recipe | undefined;
	readonly recipe: Recipe = $derived.by(() => {
		if (this.ok || !this.#last) this.#last = this.make(ids());
		return this.#last;
	});
	readonly tally = $derived.by(() => tally(this.recipe, null, 1, this.context));
	readonly picture = $derived(this.drawn(this.tally.assembly));
	/** What is wrong, at its field: a stand that does not reach, too. */
	readonly wrong = $derived.by(() => {
		const { fields } = this.shape;
		const all = this.data.materials.filter((m) => m.kind === 'base' || m.kind === 'pipe');
		const stacks = stacksIn(this.recipe);
		const short = this.tally.stacks.flatMap(({ section, placed }) => {
			const own = stacks.find((s) => s.section.id === section)?.stack.upright.material;
			const chosen = all.find((m) => m.id === own);
			return (placed.upright.known && tooShort(chosen, placed.upright.usual, all)) || [];
		});
		return short.length > 0 && 'stand' in fields ? { stand: short[0]!, ...this.errors } : this.errors;
	});
	/** What it would have taken on the entry line, colours by their names. */
	readonly lines = $derived.by(() => linesOf(this.recipe, this.context.catalogue));

	constructor(data: StartData) {
		this.data = data;
		const library = new Map(data.library);
		this.context = {
			catalogue: catalogue(data.materials, data.colours),
			rates: data.settings.rates,
			library: (id) => library.get(id)
		};
		const { pumps } = data.settings.rates;
		this.shapes = [...SHAPES, ...data.own.map(({ id, recipe }) => ownShape(id, recipe, pumps))];
	}
	make(newId: () => string): Recipe {
		const values = this.ok ? this.values : startValues(this.shape, this.data);
		return startRecipe(this.shape, values, this.data, newId);
	}
	set(name: string, value: Answers[string]) {
		this.#said = { ...this.#said, [this.shape.id]: { ...this.values, [name]: value } };
	}
	get said() {
		return this.#said;
	}
	/** Takes up what was said before a reload; what no longer fits a shape is left. */
	resume(said: unknown) {
		if (typeof said !== 'object' || said === null) return;
		const fitting = Object.entries(said as Record<string, Answers>).flatMap(([id, values]) => {
			const shape = this.shapes.find((s) => s.id === id);
			if (!shape) return [];
			const whole = { ...startValues(shape, this.data), ...values };
			try {
				startErrors(shape, whole, this.data);
			} catch {
				return [];
			}
			return [[id, whole] as const];
		});
		this.#said = Object.fromEntries(fitting);
	}
	drawn(assembly: Parameters<typeof drawAssembly>[0]): DrawList {
		return drawAssembly(assembly, { catalogue: this.context.catalogue, view: 'front' });
	}
	/** A small picture of a shape as it starts here. */
	tile(shape: StartingShape): DrawList {
		const recipe = startRecipe(shape, startValues(shape, this.data), this.data, ids());
		return this.drawn(tally(recipe, null, 1, this.context).assembly);
	}
}
