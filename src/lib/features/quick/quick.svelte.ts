import { isBare } from '../../core/assembly/assemble.ts';
import { catalogue } from '../../core/materials/catalogue.ts';
import type { Colour, Material } from '../../core/materials/material.ts';
import { join } from '../../core/cost/amount.ts';
import { formatMoney } from '../../core/money/money.ts';
import type { Recipe } from '../../core/recipe/recipe.ts';
import { toHeight } from '../../core/recipe/to-height.ts';
import { drawAssembly } from '../../core/scene/draw-list.ts';
import { colourWords, givenName } from '../../core/tally/colour-words.ts';
import { heightSaid, heightWords } from '../../core/tally/height.ts';
import { MEASURE_WORDS } from '../../core/document/measure.ts';
import { leadSize } from '../../core/recipe/scale.ts';
import { tally } from '../../core/tally/tally.ts';
import { parseLength } from '../../core/units/length.ts';
import { AS_USUAL, MOST_MILES } from '../../core/labour/job.ts';
import { plainTerms, priceQuote, quoteItems } from '../../core/quote/quote.ts';
import { parseBounded, parseCount } from '../../core/units/number.ts';
import type { Settings } from '../../core/workspace/settings.ts';
import { RecipeBook, type RecipePage } from '../quotes/recipe-book.svelte.ts';
import { leastText } from '../bench/tape-words.ts';

export interface QuickData extends RecipePage {
	/** By the ids of their kept versions. */
	readonly designs: readonly { readonly id: string; readonly name: string }[];
	readonly settings: Settings;
	readonly materials: readonly Material[];
	readonly colours: readonly Colour[];
}

/** A piece that is to be on a quote. */
export interface QuickPiece {
	readonly id: string;
	readonly versionId: string;
	readonly colourwayId: string | null;
	readonly sizeId: string | null;
	readonly quantity: number;
	readonly name: string;
	/** What was asked of it that no kept version says: told to herself, to be made on the Bench. */
	readonly asked: string;
}

/** “How much for two of those in blue, six feet tall?” Holds the choices; every number comes from the core. */
export class Quick {
	design = $state('');
	/** `way:ID` is a colourway, `main:ID` the first slot in another colour. */
	colour = $state('');
	height = $state('');
	/** A size option of the design; blank is as it stands. */
	size = $state('');
	quantity = $state('1');
	/** Why a design could not be chosen. */
	trouble = $state('');
	/** The design that is being asked for. */
	waiting = $state('');
	readonly #catalogue;
	readonly #context;
	readonly #book: RecipeBook;

	constructor(private readonly data: QuickData) {
		this.#catalogue = catalogue(data.materials, data.colours);
		this.#book = new RecipeBook(data);
		this.#context = {
			catalogue: this.#catalogue,
			rates: data.settings.rates,
			library: this.#book.inside
		};
		this.#take(data.designs[0]!.id);
	}
	/** Takes another design, asked for where it is not here: meanwhile nothing else can be chosen. */
	async choose(id: string): Promise<void> {
		this.waiting = id;
		const trouble = await this.#book.need(id);
		// Another was chosen in the meantime.
		if (this.waiting !== id) return;
		this.waiting = '';
		this.trouble = trouble;
		if (!trouble) this.#take(id);
	}
	#take(id: string) {
		this.design = id;
		this.colour = `way:${this.recipe.colourways[0]!.id}`;
		this.height = '';
		this.size = '';
	}
	get recipe(): Recipe {
		return this.#book.version(this.design)!;
	}
	/** The slot most balloons take: the one “in blue” means. */
	readonly mainSlot = $derived.by(() => {
		const said = this.recipe.slots.find((s) => s.role === 'main');
		if (said) return said;
		const { bill } = tally(this.recipe, null, 1, this.#context);
		const most = [...bill.inflate].sort((a, b) => b.quantity.compare(a.quantity))[0]?.slot;
		return this.recipe.slots.find((s) => s.name === most) ?? this.recipe.slots[0];
	});
	/** Whether it can be made taller: a bunch cannot. */
	readonly hasHeight = $derived.by(() => leadSize(this.recipe, this.#context.rates.pumps).mm > 0);
	readonly #of = $derived(this.recipe.tall ?? 'over all');
	/** What a height that is typed is said of. */
	readonly heightOf = $derived(MEASURE_WORDS[this.#of]);
	readonly #wanted = $derived.by(() => {
		const errors: { height?: string; quantity?: string } = {};
		const quantity = parseCount(this.quantity, { what: 'How many', min: 1, max: 999 });
		if (!quantity.ok) errors.quantity = quantity.say;
		const height = this.height.trim() === '' || !this.hasHeight ? undefined : parseLength(this.height, 'ft');
		if (height && !height.ok) errors.height = height.say;
		if (height?.ok && (height.value.um < 304_800 || height.value.um > 9_144_000))
			errors.height = 'A height is between 1 and 30 ft.';
		const tall =
			height?.ok && !errors.height
				? toHeight(this.recipe, height.value.um / 1000, this.#context.rates.pumps, this.#of)
				: undefined;
		return { errors, quantity: quantity.ok ? quantity.value : undefined, tall };
	});
	readonly errors = $derived(this.#wanted.errors);
	/** The recipe as asked for: made to height, and recoloured. */
	readonly #asked = $derived.by(() => {
		const recipe = this.#wanted.tall?.recipe ?? this.recipe;
		const [kind, id = ''] = this.colour.split(':');
		if (kind === 'way')
			return {
				recipe,
				colourway: recipe.colourways.find((c) => c.id === id) ?? recipe.colourways[0]!,
				words: ''
			};
		const [first] = recipe.colourways;
		const colourway = {
			...first!,
			id: 'asked',
			fills: { ...first!.fills, ...(this.mainSlot ? { [this.mainSlot.id]: id } : {}) }
		};
		return {
			recipe: { ...recipe, colourways: [colourway] },
			colourway,
			words: this.#catalogue.colourNames.get(id) ?? ''
		};
	});
	/** All its colours, behind the name of the colourway where it has one. */
	readonly colourWords = $derived.by(() => {
		const { recipe, colourway, words } = this.#asked;
		const colours = colourWords(recipe, colourway, this.#catalogue);
		const named = words ? '' : givenName(colourway);
		return named && colours ? `${named} (${colours})` : named || colours;
	});
	readonly tally = $derived.by(() =>
		tally(
			this.#asked.recipe,
			this.#asked.colourway.id,
			this.#wanted.quantity ?? 1,
			this.#context,
			this.size || null
		)
	);
	/** Of an order of just these, with what belongs to an order. */
	readonly price = $derived(this.tally.order);
	/** The pieces and the job around them. */
	readonly cost = $derived.by(() => {
		const { cost, job } = this.tally;
		return join(cost.total, { known: job.total, unknown: [] });
	});
	/** Costs that nobody knows, by their names: the price is at least what it says. */
	readonly unknown = $derived(this.waiting ? [] : this.tally.cost.total.unknown);
	/** Whether the figures are of what is chosen: not while another design is on its way. */
	readonly ok = $derived(
		this.waiting === '' && Object.keys(this.errors).length === 0 && this.price.status === 'priced'
	);
	/** How high it is as it is asked for, in words. */
	readonly tall = $derived.by(() =>
		heightWords(heightSaid(this.tally, this.#context.rates.pumps), this.tally)
	);
	readonly picture = $derived.by(() => {
		if (this.waiting) return null;
		const { assembly } = this.tally;
		return !isBare(assembly) ? drawAssembly(assembly, { catalogue: this.#catalogue, view: 'front' }) : null;
	});
	/** Pieces that are to be on a quote, as they were chosen one after the other. */
	pieces = $state.raw<readonly QuickPiece[]>([]);
	/** Puts what is chosen with them. */
	keep() {
		const quantity = this.#wanted.quantity;
		if (!this.ok || quantity === undefined) return;
		const [kind, id = ''] = this.colour.split(':');
		const asked = [
			kind === 'main' ? `${this.mainSlot?.name ?? 'main'} in ${this.#asked.words}` : '',
			this.height.trim() ? `${this.height.trim()} tall` : ''
		]
			.filter(Boolean)
			.join(', ');
		const piece: QuickPiece = {
			id: crypto.randomUUID(),
			versionId: this.design,
			colourwayId: kind === 'way' ? id : null,
			sizeId: this.size || null,
			quantity,
			name: this.recipe.name,
			asked
		};
		this.pieces = [...this.pieces, piece];
	}
	drop(id: string) {
		this.pieces = this.pieces.filter((p) => p.id !== id);
	}
	/** Miles one way; blank is as a usual job. */
	miles = $state('');
	readonly milesTrouble = $derived.by(() => {
		if (this.miles.trim() === '') return '';
		const read = parseBounded(this.miles, { what: 'The way there', min: 0, max: MOST_MILES });
		return read.ok ? '' : read.say;
	});
	/** All of them as one job; undefined where there are none, or it has no price. */
	readonly together = $derived.by(() => {
		if (this.pieces.length === 0 || this.milesTrouble) return undefined;
		const { rates } = this.data.settings;
		const miles = this.miles.trim() === '' ? null : Number(this.miles.replace(',', '.'));
		const terms = { ...plainTerms(rates), job: miles === null ? null : { ...AS_USUAL, miles } };
		const items = quoteItems(
			this.pieces.map((p) => ({ ...p, way: null })),
			(id) => this.#book.version(id)
		);
		const { price, cost } = priceQuote(items, terms, this.#context);
		return price.status === 'priced' ? { price, unknown: cost.unknown } : undefined;
	});
	get bad() {
		if (this.waiting) return [];
		return this.tally.findings.filter((f) => f.level === 'bad' || f.code === 'unlisted');
	}
	/** What she sends from the venue. */
	/** What the price has in it besides the piece. */
	get #left(): string {
		const { leftAs } = this.tally.job.job.template;
		if (leftAs === 'delivered and left') return 'delivered';
		return leftAs === 'set up and left' ? 'delivered and set up' : 'delivered, set up and taken away';
	}
	get text(): string {
		const { price } = this;
		const size = this.recipe.sizes.find((s) => s.id === this.size);
		const named = size ? `${this.recipe.name} ${size.name}` : this.recipe.name;
		if (price.status !== 'priced') return '';
		const onTop = price.said.minor !== price.total.minor;
		const taxed = onTop
			? ` (${formatMoney(price.total)} with tax)`
			: price.tax.minor > 0
				? ', tax included'
				: '';
		return `${this.quantity} × ${named}, ${[this.colourWords, this.tall].filter(Boolean).join(', ')}: ${leastText(formatMoney(price.said), this.unknown)}${taxed}, ${this.#left}. ${this.data.settings.business.name}`;
	}
}
