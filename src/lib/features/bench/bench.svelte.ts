import { GONE, holding, nameOf } from '../../core/document/names.ts';
import { isBare } from '../../core/assembly/assemble.ts';
import { got, type Parsed } from '../../core/errors.ts';
import { catalogue, offeredOf, type Catalogue } from '../../core/materials/catalogue.ts';
import { applyEntry, designNeeded, whyNot, type EntryPlace } from '../../core/language/apply.ts';
import type { EntryContext } from '../../core/language/context.ts';
import type { Entry, SaidSection } from '../../core/language/entry.ts';
import { applyLines, readLine } from '../../core/language/plain/read-line.ts';
import { applyRemedy } from '../../core/checks/remedy.ts';
import type { RecipeDraft } from '../../core/recipe/draft.ts';
import type { Recipe } from '../../core/recipe/recipe.ts';
import { servedBy } from '../../core/recipe/serving-lines.ts';
import { withVersions } from '../../core/structures/design/edit.ts';
import type { Layer } from '../../core/structures/stack/document.ts';
import { extrasIn } from '../../core/structures/extras/edit.ts';
import { resizeLayer, stacksIn } from '../../core/structures/stack/edit.ts';
import { asKind } from '../../core/structures/kinds.ts';
import { holdsLines } from '../../core/structures/registry/language.ts';
import { printLayer } from '../../core/structures/stack/print.ts';
import type { Mutable } from '../../core/document/mutable.ts';
import { withPaths } from '../../core/recipe/shared-paths.ts';
import { withPumps } from '../../core/recipe/with-pumps.ts';
import { changeRun } from '../../core/structures/run/edit.ts';
import { packingsToTake } from '../../core/structures/run/take-packing.ts';
import { CAMERA, turned, type Camera, type View } from '../../core/scene/camera.ts';
import { drawAssembly, type DrawList, type Pressed } from '../../core/scene/draw-list.ts';
import { tally, type TallyContext } from '../../core/tally/tally.ts';
import { topsOf } from '../../core/tally/tops.ts';
import { edit, EMPTY_HISTORY, stepBack, stepForth, type History } from './history.ts';
import { ghosted, ghostedLines, isSeen, type Seen } from './ghost.ts';
import { Hands } from './hands.svelte.ts';
import { Packer } from './packer.svelte.ts';
import { Autosave } from '../shell/autosave.svelte.ts';
import type { BenchData } from './bench-data.ts';
import { Rules, type Judge } from './rules.ts';

const newId = () => crypto.randomUUID();
/** Air between sections drawn apart, mm. */
const APART = 260;
const DRAW = { view: 'front' as View, paints: [], discs: [], pole: null, height: 0, halfWidth: 0 };

/** One design being edited. Holds choices and history; every number comes from the core. */
export class Bench {
	readonly data: BenchData;
	readonly catalogue: Catalogue;
	readonly packer = new Packer(() => this.#takePackings());
	/** What is held and dragged in the picture. */
	readonly hands = new Hands(this);
	#library = $state.raw<ReadonlyMap<string, Recipe>>(new Map());
	readonly context: TallyContext = $derived.by(() => {
		const library = this.#library;
		return {
			catalogue: this.catalogue,
			rates: this.data.settings.rates,
			library: (id: string) => library.get(id),
			packed: this.packer.packed
		};
	});
	readonly saver: Autosave<{ readonly recipe: Recipe }>;
	readonly id: string;
	#history = $state.raw<History>(EMPTY_HISTORY);
	recipe = $state.raw<Recipe>() as Recipe;
	kept = $state.raw<Recipe | null>(null);
	keptNumber = $state(0);
	/** What stands on the entry line. */
	text = $state('');
	/** Sentence about what was typed, after Enter. */
	refusal = $state('');
	/** Where the next layer goes, counted from the floor; null is on top. */
	at = $state<number | null>(null);
	/** Row whose text is being edited on the entry line. */
	editing = $state<string | null>(null);
	/** Item of a bunch or piece of a form whose text is being edited there. */
	editingPart = $state<string | null>(null);
	selected = $state<string | null>(null);
	/** Section the entry line stands in. */
	section = $state('');
	/** Sections folded away on the screen. */
	folded = $state.raw<ReadonlySet<string>>(new Set());
	colourway = $state<string | null>(null);
	/** Size option looked at; null is the design as it stands. */
	size = $state<string | null>(null);
	/** Row, piece or section that is pointed at, and from where: the other side shows it. */
	pointed = $state.raw<{ readonly about: string; readonly from: 'picture' | 'keys' | 'recipe' } | null>(null);
	view = $state<View>('front');
	/** Where it was turned to by hand; null is the view as it is named. */
	camera = $state.raw<Camera | null>(null);
	/** Whether the picture is drawn apart by its sections. */
	apart = $state(false);

	constructor(data: BenchData) {
		this.data = { ...data, materials: offeredOf(data.materials) };
		this.id = data.id;
		this.catalogue = catalogue(data.materials, data.colours);
		this.#library = new Map(data.library);
		const { id, revision } = data;
		this.saver = new Autosave({ about: id, url: `/bench/${id}/save`, revision, before: () => void this.#weigh() }); // prettier-ignore
		this.recipe = data.recipe;
		this.kept = data.kept;
		this.keptNumber = data.keptNumber;
		this.colourway = data.recipe.colourways[0]!.id;
	}

	readonly current = $derived(
		this.recipe.sections.find((s) => s.id === this.section) ??
			stacksIn(this.recipe)[0]?.section ??
			this.recipe.sections.find((s) => holdsLines(s.structure))
	);
	readonly stack = $derived(this.current && asKind(this.current.structure, 'stack'));
	/** Rows of the section in hand, lowest first. */
	readonly layers = $derived(this.stack?.layers ?? []);
	/** Every row of the design, section after section: what the picture numbers. */
	readonly allRows = $derived(stacksIn(this.recipe).flatMap(({ stack }) => stack.layers));
	readonly extras = $derived(extrasIn(this.recipe)?.lines ?? []);
	readonly chosen = $derived(
		this.recipe.colourways.find((c) => c.id === this.colourway) ?? this.recipe.colourways[0]!
	);
	readonly inSize = $derived(this.recipe.sizes.find((s) => s.id === this.size));
	readonly entryContext: EntryContext = $derived.by(() => ({
		slots: this.recipe.slots,
		colourway: this.chosen,
		colours: this.data.colours,
		materials: this.data.materials,
		sections: this.recipe.sections,
		recipe: this.recipe,
		pumps: this.data.settings.rates.pumps,
		...(this.current && { section: this.current.id }),
		lengths: this.data.settings.lengths,
		designs: this.data.designs,
		style: { decimal: this.data.settings.decimal }
	}));
	readonly read = $derived(this.text.trim() === '' ? null : readLine(this.text, this.entryContext));
	readonly parsed: Parsed<Entry> | null = $derived(this.read?.parsed ?? null);
	/** What was understood of plain words, as exact lines; nothing where it is said so already. */
	readonly reads = $derived(this.read && this.read.lines[0] !== this.text ? this.read.lines : []);
	readonly entryIndex = $derived(Math.min(this.at ?? this.layers.length, this.layers.length));

	/** What was said, as text: what is typed on without changing it changes nothing further down. */
	readonly #said = $derived(
		this.parsed?.ok && isSeen(this.parsed.value) ? JSON.stringify(this.parsed.value) : ''
	);
	/** Where what is said goes. */
	readonly #place = $derived.by((): EntryPlace => ({
		section: this.current?.id,
		index: this.entryIndex,
		editing: this.editing ?? this.editingPart,
		colourway: this.chosen.id
	}));
	/** The recipe with what is being typed in its place, not yet put there. */
	readonly #ghosted = $derived.by(() => {
		if (this.reads.length > 1) return ghostedLines(this.recipe, this.reads, this.entryContext, this.#place);
		if (this.#said === '') return { recipe: this.recipe, ghost: null };
		return ghosted(this.recipe, JSON.parse(this.#said) as Seen, this.#place);
	});
	readonly shown = $derived(this.hands.trying ?? this.#ghosted.recipe);
	readonly ghost = $derived(this.#ghosted.ghost);
	/** With every slot under the name of the colour it holds. */
	readonly shownByColour = $derived.by(() => {
		// Of what is being typed, too.
		const { fills } = this.shown.colourways.find((c) => c.id === this.chosen.id) ?? this.chosen;
		const slots = holding(this.shown.slots, fills, this.catalogue.colourNames);
		return { ...this.shown, slots };
	});
	readonly tally = $derived.by(() =>
		tally(this.shown, this.chosen.id, 1, this.context, this.inSize?.id ?? null)
	);
	readonly placed = $derived(this.tally.stacks.find((s) => s.section === this.current?.id)?.placed);
	readonly known = $derived(this.tally.assembly.overall.known);
	/** Lines that hold several things, by what they hold. */
	readonly served = $derived.by(() =>
		servedBy(this.recipe, (id) => nameOf(this.catalogue.materials, id, GONE.line))
	);
	/** What stands out in the picture. */
	readonly lit = $derived(
		this.pointed !== null && this.pointed.from !== 'picture'
			? this.pointed.about
			: (this.hands.held?.about ?? this.selected)
	);
	readonly picture = $derived.by(() => this.draw());
	/** @param pressed filled with what each disc is, where something is pressed */
	draw(pressed?: Pressed[]): DrawList {
		const { assembly } = this.tally;
		if (isBare(assembly)) return { ...DRAW, view: this.view };
		const { view, camera, catalogue } = this;
		const apart = this.apart ? { sections: this.tally.built.sections, gap: APART } : undefined;
		return drawAssembly(assembly, { catalogue, view: camera ? 'front' : view, camera: camera ?? undefined, apart, pressed }); // prettier-ignore
	}
	/** Height of the top of each row over the floor, mm, by the row's id. */
	readonly tops = $derived(topsOf(this.tally));
	/** The last kept version worked out the same way, for what changed since. */
	readonly before = $derived.by(() =>
		this.kept ? tally(this.kept, this.chosen.id, 1, this.context, this.inSize?.id ?? null) : null
	);
	readonly canUndo = $derived(this.#history.past.length > 0);
	readonly canRedo = $derived(this.#history.future.length > 0);
	get history() {
		return this.#history;
	}

	/** What the server has just kept: every part stands in it with the version it was computed with. */
	markKept(number: number) {
		this.keptNumber = number;
		this.kept = withVersions(this.recipe, (design) => this.data.partVersions[design] ?? null);
	}
	readonly #rules = new Rules();
	/** From now on nothing is taken that could not be kept. */
	judgeBy(judge: Judge) {
		this.#rules.use(judge);
		this.#weigh();
	}
	/** Every change of the recipe goes through here: history, saving, and nothing else. */
	change(work: (draft: RecipeDraft) => void): boolean {
		const done = edit(this.recipe, this.#history, work);
		if (!done) return false;
		this.#follow(done);
		// Weighed when the screen has followed, and before it is sent.
		this.#rules.soon(() => this.#weigh());
		return true;
	}
	/** Sets aside what could not be kept, and says so: the rest goes on. @returns whether all of it can be kept */
	#weigh(): boolean {
		const why = this.#rules.broken(this.recipe);
		if (!why) return true;
		while (this.canUndo && this.#rules.broken(this.recipe)) this.undo();
		// Set aside is not undone: it cannot be done again.
		this.#history = { ...this.#history, future: [] };
		this.refusal = `That cannot be kept, so it was set aside: ${why}`;
		return false;
	}
	/** Counted by packing, the recipe holds what packing came to: worked out, so no step of undo. */
	#takePackings() {
		const { sections } = withPumps(withPaths(this.recipe), this.context.rates.pumps);
		const found = packingsToTake(sections, (key) => this.packer.find(key));
		if (found.length === 0) return;
		const done = edit(this.recipe, this.#history, (d) => {
			for (const { section, packed } of found)
				changeRun(d, section, (r) => (r.organic.packed = packed as Mutable<typeof packed>));
		});
		if (done) this.#take({ recipe: done.recipe, history: this.#history });
	}
	undo() {
		const done = stepBack(this.recipe, this.#history);
		if (done) this.#follow(done);
	}
	redo() {
		const done = stepForth(this.recipe, this.#history);
		if (done) this.#follow(done);
	}
	/** A step of hers, done or undone: what is worked out follows it. */
	#follow(done: { recipe: Recipe; history: History }) {
		this.#take(done);
		this.#takePackings();
	}
	#take({ recipe, history }: { recipe: Recipe; history: History }) {
		this.recipe = recipe;
		this.#history = history;
		if (this.selected && !this.allRows.some((l) => l.id === this.selected)) this.selected = null;
		if (!recipe.colourways.some((c) => c.id === this.colourway)) this.colourway = recipe.colourways[0]!.id;
		this.saver.want({ recipe });
	}
	look = (view: View) => Object.assign(this, { view, camera: null });
	/** Turns and tilts the picture from where it is, degrees. */
	turnBy(turn: number, tilt: number) {
		this.camera = turned(this.camera ?? CAMERA[this.view], turn, tilt);
	}
	/** The page goes away. @param keep whether it is kept as a version too */
	leave(keep: boolean) {
		if (!this.saver.leave({ keep }) && keep) navigator.sendBeacon(`/bench/${this.id}/keep?on=leaving`);
	}
	/** Takes up where this tab left off. */
	restore(recipe: Recipe, history: History) {
		this.recipe = recipe;
		this.#history = history;
	}
	/** Takes another recipe as one step, so that undo brings mine back. */
	replaceAll = (recipe: Recipe) => this.change((draft) => Object.assign(draft, structuredClone(recipe)));

	/** Enter on the entry line. @returns whether it was understood */
	enter(): boolean {
		const { lines, parsed } = this.read ?? readLine(this.text, this.entryContext);
		if (!parsed.ok) {
			this.refusal = parsed.say;
			return false;
		}
		if (lines.length > 1 ? !this.putAll(lines) : !this.#put(parsed.value)) return false;
		this.clearEntry();
		return true;
	}
	/** Does several lines as one step, or none of them. */
	putAll(lines: readonly string[]): boolean {
		const work = (d: RecipeDraft) => applyLines(d, lines, this.entryContext, this.#place, newId);
		// Tried apart first: a line in the middle may be refused.
		const tried = work(structuredClone(this.recipe) as RecipeDraft);
		if (!tried.ok) this.refusal = tried.say;
		else this.change((d) => void work(d));
		if (!tried.ok || !this.#weigh()) return false;
		if (tried.value !== this.current?.id) this.take(this.recipe.sections.at(-1)!.id);
		return true;
	}
	/** Does what was said, as one step. @returns false where it was refused, or what it names must be fetched first and is awaited */
	#put(entry: Entry): boolean {
		const why = whyNot(this.recipe, entry, this.#place);
		if (why) {
			this.refusal = why;
			return false;
		}
		const design = designNeeded(entry);
		if (design !== undefined && !this.#library.has(design)) {
			this.#fetching = this.#fetchFor(entry, design);
			return true;
		}
		const [place, before] = [this.#place, this.recipe];
		let made: string | undefined;
		if (entry.kind === 'go on') made = entry.section;
		else this.change((d) => void (made = applyEntry(d, entry, place, newId)));
		// What was typed stays where it could not be kept.
		if (!this.#weigh()) return false;
		if (made !== undefined) this.take(made);
		if (this.at !== null && this.recipe !== before && entry.kind === 'layer' && !place.editing) this.at += 1;
		if (entry.kind === 'layer' && !place.editing) this.selected = null;
		return true;
	}
	/** Does it once the design it names is here. */
	#fetching: Promise<void> | undefined;
	async #fetchFor(entry: Entry, design: string) {
		if (await this.fetchDesign(design)) this.#put(entry);
		else this.refusal = 'That design cannot be reached just now. Try again in a moment.';
	}
	/** Fetches a kept design with all it uses, so that it can be counted here. */
	async fetchDesign(design: string): Promise<boolean> {
		if (this.#library.has(design)) return true;
		const response = await fetch(`/bench/${this.id}/library?of=${encodeURIComponent(design)}`).catch(
			() => undefined
		);
		if (!response?.ok) return false;
		this.#library = new Map([...this.#library, ...((await response.json()) as [string, Recipe][])]);
		return true;
	}
	/** Does what a panel says as the entry line would; what stands on the line stays. */
	async say(entry: Entry): Promise<void> {
		this.#put(entry);
		await this.#fetching;
	}
	/** Exchanges what is swappable, in one step of undo. */
	exchange = (element: string, to: string, design: boolean) =>
		this.say({ kind: 'exchange', element, to, design });
	/** A new section, in hand from then on. */
	addSection = (section: SaidSection) => this.say({ kind: 'section', section });
	/** Takes a section in hand: the entry line stands on top of it. */
	take(section: string) {
		this.section = section;
		this.at = null;
		if (this.folded.has(section)) this.fold(section);
	}
	fold(section: string) {
		const next = new Set(this.folded);
		if (!next.delete(section)) next.add(section);
		this.folded = next;
	}
	clearEntry() {
		this.text = '';
		this.refusal = '';
		this.editing = null;
		this.editingPart = null;
	}
	/** ↑ and ↓ on an empty entry line move it between the layers. */
	moveEntry(by: number) {
		const next = this.entryIndex + by;
		if (next < 0) return;
		this.at = next >= this.layers.length ? null : next;
	}
	/** Loads a row's own text onto the entry line. */
	startEditing(layer: Layer) {
		this.editing = layer.id;
		this.text = printLayer(layer, this.recipe.slots, this.layers);
		this.refusal = '';
	}
	/** Loads an item's or a piece's own text onto the entry line. */
	startEditingPart(section: string, part: string | null, text: string) {
		this.take(section);
		this.editing = null;
		this.editingPart = part;
		this.text = text;
		this.refusal = '';
	}
	/** Tucks the cluster that levels a row best under its low side. @returns a sentence where none does */
	level(layer: string): string | undefined {
		const section = this.tally.stacks.find((s) => s.placed.rings.some((r) => r.layer.id === layer))?.section;
		if (section === undefined) return undefined;
		let say: string | undefined;
		const { pumps } = this.context.rates;
		this.change((d) => void (say = applyRemedy(d, { kind: 'level', section, layer }, { newId, pumps })));
		return say;
	}
	resize(id: string, halves: number): Parsed<null> {
		let outcome: Parsed<null> = got(null);
		this.change((draft) => void (outcome = resizeLayer(draft, id, halves)));
		return outcome;
	}
}
