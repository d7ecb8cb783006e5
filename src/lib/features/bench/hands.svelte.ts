import { produce } from 'immer';
import type { Parsed } from '../../core/errors.ts';
import { pressedAt } from '../../core/scene/pressed-at.ts';
import type { Colourway } from '../../core/document/slot.ts';
import type { Catalogue } from '../../core/materials/catalogue.ts';
import type { DrawList } from '../../core/scene/draw-list.ts';
import type { Pressed } from '../../core/scene/coloured-balls.ts';
import type { TallyContext } from '../../core/tally/tally.ts';
import type { Mutable } from '../../core/document/mutable.ts';
import type { RecipeDraft } from '../../core/recipe/draft.ts';
import {
	countHeld,
	dropHeld,
	isThere,
	recolour,
	removeHeld,
	resizeHeld,
	resizePlace,
	turnToFront,
	type Held,
	type Onto,
	type Reach
} from '../../core/recipe/held.ts';
import { copyPart, movePart, repeatPart } from '../../core/recipe/edit-parts.ts';
import type { Recipe } from '../../core/recipe/recipe.ts';
import type { DraggedBy } from '../../core/structures/facets/touch.ts';
import type { Structure } from '../../core/structures/kinds.ts';
import { draggedBy } from '../../core/structures/registry/touch.ts';

const newId = () => crypto.randomUUID();

/** A point of the picture: on the screen (px of its frame), and mm from the middle of the floor. */
export interface At {
	readonly x: number;
	readonly y: number;
	readonly across: number;
	readonly over: number;
}

/** What is worked on: a design with its picture. */
interface Worked {
	readonly recipe: Recipe;
	readonly context: Pick<TallyContext, 'rates'>;
	readonly catalogue: Pick<Catalogue, 'colourNames'>;
	readonly chosen: Pick<Colourway, 'id'>;
	draw(pressed?: Pressed[]): DrawList;
	change(work: (draft: RecipeDraft) => void): boolean;
}

/** What is held in the picture, what is done to it there, and what is dragged: each a step of undo when it is let go. */
export class Hands {
	readonly #bench: Worked;
	#held = $state.raw<(Held & At) | null>(null);
	/** A colour that was let go on what is held, before it is said how far it goes. */
	dropped = $state.raw<string | null>(null);
	/** How far what is done goes. */
	reach = $state<Reach>('part');
	/** What was refused. */
	say = $state('');
	/** The recipe as it would be where something is let go now. */
	trying = $state.raw<Recipe | null>(null);

	constructor(bench: Worked) {
		this.#bench = bench;
	}
	/** What was pressed, for as long as it is there. */
	readonly held = $derived.by(() =>
		this.#held && isThere(this.#bench.recipe, this.#held) ? this.#held : null
	);

	/** What is pressed at a point of the picture. @param about what is seen there */
	pressed(about: string, { across, over }: Pick<At, 'across' | 'over'>): Held {
		const pressed: Pressed[] = [];
		const list = this.#bench.draw(pressed);
		return { about, ...pressedAt(list, pressed, about, { across, over }) };
	}
	/** Takes in hand what was pressed; nothing puts down what was. */
	take(about: string | null, at: At) {
		this.say = '';
		this.dropped = null;
		if (about === null) return void (this.#held = null);
		this.#held = { ...this.pressed(about, at), ...at };
		if (this.#held.place === null && this.reach === 'balloon') this.reach = 'part';
	}
	putDown() {
		this.#held = null;
		this.dropped = null;
	}
	/** A colour let go on something: how far it goes is asked there. */
	drop(colour: string, about: string, at: At) {
		this.take(about, at);
		this.dropped = colour;
	}

	#do(work: (draft: RecipeDraft, held: Held) => Parsed<unknown> | boolean | string | undefined | void) {
		const { held } = this;
		if (!held) return;
		this.say = '';
		this.#bench.change((d) => {
			const outcome = work(d, held);
			if (typeof outcome === 'object' && !outcome.ok) this.say = outcome.say;
		});
	}
	resize = (halves: number) =>
		this.#do((d, held) =>
			this.reach === 'balloon' && held.place !== null
				? resizePlace(d, held, halves)
				: resizeHeld(d, held, halves)
		);
	count = (by: number) =>
		this.#do((d, held) => {
			if (!countHeld(d, held, by, newId))
				this.say = 'That is as far as it goes: 1 to 12 in a cluster, 24 alike.';
		});
	repeat = (by: number) => this.#do((d, { about }) => repeatPart(d, about, by));
	front = () => this.#do(turnToFront);
	move = (by: number) => this.#do((d, { about }) => movePart(d, about, by));
	copy = () =>
		this.#do((d, { about }) => {
			const copy = copyPart(d, about, newId);
			if (copy !== undefined) this.#held = { ...this.#held!, about: copy, place: null };
		});
	remove() {
		this.#do(removeHeld);
		this.putDown();
	}
	/** Another colour, as far as it is said to go. */
	colour(colour: string, reach: Reach = this.reach) {
		const { catalogue, chosen } = this.#bench;
		const to = { colour, name: catalogue.colourNames.get(colour) ?? 'colour', colourway: chosen.id };
		this.#do((d, held) => recolour(d, held, reach, to, newId));
		this.dropped = null;
		// What it is of now is another slot.
		if (this.#held) this.#held = { ...this.#held, ...this.pressed(this.#held.about, this.#held) };
	}
	/** Lets what is held go on something else. */
	letGo = (onto: Onto) => this.#do((d, held) => dropHeld(d, held, onto, newId));

	#grip: { readonly section: string; readonly grip: string; readonly by: DraggedBy } | null = null;
	readonly #pull = (d: RecipeDraft) => {
		const own = d.sections.find((s) => s.id === this.#grip?.section);
		if (!own || !this.#grip) return;
		const { pumps } = this.#bench.context.rates;
		const { structure } = this.#bench.recipe.sections.find((s) => s.id === own.id)!;
		own.structure = draggedBy(structure, this.#grip.grip, this.#grip.by, pumps) as Mutable<Structure>;
	};
	/** A grip so far from where it was: shown, not yet done. */
	drag(section: string, grip: string, by: DraggedBy) {
		this.#grip = { section, grip, by };
		this.trying = produce(this.#bench.recipe, (d) => this.#pull(d as unknown as RecipeDraft));
	}
	/** Does what is shown, as one step; left alone it is as it was. */
	dragged(done: boolean) {
		this.trying = null;
		if (done && this.#grip) this.#bench.change(this.#pull);
		this.#grip = null;
	}
}
