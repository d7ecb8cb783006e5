import { homeOf, isSaid } from '../../core/structures/registry/language.ts';
import { offersFor, type Offer } from '../../core/language/suggest/offers.ts';
import { unknownWords } from '../../core/language/suggest/unknown.ts';
import { saidBack } from '../../core/language/suggest/said-back.ts';
import { suggest, type Suggestion } from '../../core/language/suggest/next.ts';
import type { Bench } from './bench.svelte.ts';

/** What helps while a line is typed: what can come next, what was understood, what would work, and where it goes. */
export class EntryHelp {
	/** Whether the list is wanted: not after Escape, not when the line was left. */
	wanted = $state(false);
	/** The suggestion the arrows are on; -1 is the line itself. */
	active = $state(-1);
	/** The line that was asked about: Enter once more puts it there. */
	#asked = $state('');

	constructor(
		private readonly bench: Bench,
		private readonly place: () => string
	) {}

	readonly suggestions: readonly Suggestion[] = $derived.by(() =>
		this.wanted && this.bench.refusal === '' && !this.asking
			? suggest(this.bench.text, this.bench.entryContext)
			: []
	);
	/** Where it goes, in words: `on top of column`. */
	readonly where = $derived.by(() => {
		const { current, editing, editingPart, recipe } = this.bench;
		if (editing ?? editingPart) return `in the place of the row in hand`;
		const named = recipe.sections.length > 1 || current?.name !== 'column';
		return named && current ? `${this.place()}, in ${current.name}` : this.place();
	});
	/** What was understood, as a sentence; nothing where the line says it so already. */
	readonly back = $derived.by(() => {
		const { read, entryContext } = this.bench;
		return read?.parsed.ok ? saidBack(read, entryContext, this.place()) : '';
	});
	/** Lines that would work in place of the one refused. */
	readonly offers: readonly Offer[] = $derived.by(() => {
		const { refusal, text, entryContext } = this.bench;
		return refusal === '' ? [] : offersFor(text, refusal, entryContext);
	});
	/** The refused line cut where words of it are not understood. */
	readonly pieces = $derived.by(() => {
		const { refusal, text, entryContext } = this.bench;
		const missed = refusal === '' ? [] : unknownWords(text, entryContext);
		if (missed.length === 0 || text.length > 160) return [];
		return text
			.split(/(\s+|[,;])/)
			.filter((piece) => piece !== '')
			.map((piece) => ({ piece, missed: missed.includes(piece) }));
	});
	/** The section that takes what is said, where it is another than the one in hand; nothing else was said of it. */
	readonly elsewhere = $derived.by(() => {
		const { parsed, recipe, current, read } = this.bench;
		if (!parsed?.ok || !isSaid(parsed.value) || parsed.value.kind !== 'layer' || !current) return undefined;
		if ((read?.lines.length ?? 0) > 1) return undefined;
		const home = homeOf(recipe.sections, parsed.value, { section: current.id });
		if (!home || !('section' in home) || home.section === current.id) return undefined;
		return recipe.sections.find((s) => s.id === home.section)?.name;
	});
	get asking(): boolean {
		return this.#asked !== '' && this.#asked === this.bench.text && this.elsewhere !== undefined;
	}

	/** Enter. @returns whether the line was taken, or a suggestion */
	enter(): void {
		const chosen = this.suggestions[this.active];
		if (chosen) this.take(chosen);
		else if (this.elsewhere !== undefined && !this.asking) this.#asked = this.bench.text;
		else this.put();
	}
	put() {
		this.#asked = '';
		if (this.bench.enter()) this.close();
		else this.active = -1;
	}
	/** Says it to a part of its own. */
	putApart() {
		const taken = new Set(this.bench.recipe.sections.map((s) => s.name));
		const name = ['part', ...Array.from({ length: 40 }, (_, i) => `part ${i + 2}`)].find(
			(n) => !taken.has(n)
		)!;
		const line = this.bench.text;
		this.#asked = '';
		this.bench.text = `section ${name}`;
		if (!this.bench.enter()) return;
		this.bench.text = line;
		this.put();
	}
	take({ line, whole }: Suggestion) {
		this.bench.text = whole ? line : `${line} `;
		this.active = -1;
	}
	/** One press puts it. */
	takeOffer({ line }: Offer) {
		this.bench.refusal = '';
		this.bench.text = line;
		this.enter();
	}
	/** @returns whether the list took the arrow */
	move(by: 1 | -1): boolean {
		const { length } = this.suggestions;
		if (length === 0) return false;
		this.active = ((this.active + 1 + by + length + 1) % (length + 1)) - 1;
		return true;
	}
	typed() {
		this.bench.refusal = '';
		this.wanted = true;
		this.active = -1;
	}
	/** @returns whether there was a list to close */
	close(): boolean {
		const open = this.suggestions.length > 0;
		this.wanted = false;
		this.active = -1;
		return open;
	}
}
