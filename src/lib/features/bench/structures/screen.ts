import type { Component, Snippet } from 'svelte';
import type { Section } from '../../../core/recipe/recipe.ts';
import type { Structure } from '../../../core/structures/kinds.ts';
import type { Bench } from '../bench.svelte.ts';

/** What the recipe's panel lends to the list of a section. */
export interface ListKit {
	/** Its text is on the entry line: the focus goes there. */
	focusEntry(): void;
	/** Opens the plan of a row's places. */
	places(layer: string): void;
	/** The entry line, where it stands between rows; @param place in words */
	readonly entryLine: Snippet<[place: string]>;
	/** The focus goes to a row; to the entry line where there is none. */
	focusRow(layer: string | undefined): void;
	/** Whether a pointer is over the panel: rows are dragged with one alone. */
	readonly armed: boolean;
}

export interface ListProps<S> {
	bench: Bench;
	section: Omit<Section, 'structure'> & { readonly structure: S & Structure };
	kit: ListKit;
}

export interface PanelProps<S> {
	bench: Bench;
	section: Omit<Section, 'structure'> & { readonly structure: S & Structure };
}

/** Something that would change the price, said beside it, and what does it in one press. */
export interface Advice {
	readonly say: string;
	readonly does: string;
	readonly act: () => void;
}

/** How a kind is shown on the Bench. */
export interface Screen<S> {
	/** The word that begins one, and what it is in the list of what can be added; null where nothing adds it. */
	readonly starts: readonly [word: string, called: string] | null;
	/** What it is made of, below its name. */
	readonly List: Component<ListProps<S>> | null;
	/** What is worked out for it and chosen, beside its name. */
	readonly Panel: Component<PanelProps<S>> | null;
	/** Said beside its name, after where it stands; blank where nothing is. */
	aside(structure: S, bench: Bench, section: string): string;
	/** What is to be said of it beside the price. */
	advice?(structure: S, bench: Bench, section: { readonly id: string; readonly name: string }): Advice | null;
}
