import { formatMoney, money } from '../../core/money/money.ts';
import { printMoney } from '../../core/units/print-number.ts';
import type { Hires } from '../../core/owned/owned.ts';
import { catalogue } from '../../core/materials/catalogue.ts';
import type { Colour, Material } from '../../core/materials/material.ts';
import { subtract, type Money } from '../../core/money/money.ts';
import { dayNotes, outdoorNotes } from '../../core/quote/day.ts';
import { isChoosing, offersOf } from '../../core/quote/offers.ts';
import { priceQuote, quoteItems, taxedFor, type QuoteTerms } from '../../core/quote/quote.ts';
import { printQuote, readQuote, type RawQuote } from '../../core/quote/read-form.ts';
import { USUAL_DOOR } from '../../core/quote/place.ts';
import type { NumberStyle } from '../../core/units/number.ts';
import { LINE_FIELDS, PLAIN_LINE, type RawLine, type ReadLine } from '../../core/quote/read-lines.ts';
import { jobSoFar } from '../../core/quote/read-job.ts';
import { factsOf, type OrderBook } from '../../core/pricing/rules.ts';
import type { Recipe } from '../../core/recipe/recipe.ts';
import type { TallyContext } from '../../core/tally/tally.ts';
import type { Settings } from '../../core/workspace/settings.ts';
import { Autosave } from '../shell/autosave.svelte.ts';
import { seenPieces } from './front-pictures.ts';
import { RecipeBook, type RecipePage } from './recipe-book.svelte.ts';

export interface QuoteData extends RecipePage {
	readonly quote: {
		readonly id: string;
		readonly clientName: string;
		readonly eventDate: string | null;
		readonly zone: string;
		readonly terms: QuoteTerms;
		readonly revision: number;
		readonly lines: readonly ReadLine[];
	};
	readonly offered: readonly { versionId: string; design: string; name: string }[];
	readonly settings: Settings;
	/** Why clients pay no tax, by their names. */
	readonly exempt?: Readonly<Record<string, string>>;
	/** What pieces that come back are hired out for. */
	readonly hires?: Hires;
	/** What rules of an order are told by. */
	readonly book: OrderBook;
	readonly materials: readonly Material[];
	readonly colours: readonly Colour[];
}

function rawOf({ quote, settings }: QuoteData): RawQuote {
	const { clientName: client, eventDate, zone, terms, lines } = quote;
	return printQuote({ client, eventDate, zone, terms, lines }, { decimal: settings.decimal });
}

/** What is saved of a quote, and what is typed where that cannot be read. */
interface QuoteSave {
	readonly raw: RawQuote;
	readonly typed: RawQuote;
}

/** A quote being written. Holds what is typed; every number comes from the core. */
export class QuoteDraft {
	raw = $state<RawQuote>() as { -readonly [K in keyof RawQuote]: RawQuote[K] };
	readonly saver: Autosave<QuoteSave>;
	readonly context: TallyContext;
	readonly #book: RecipeBook;
	/** Each field as it could be read last: what is saved while it cannot. */
	#good = $state.raw<RawQuote>() as RawQuote;

	constructor(private readonly data: QuoteData) {
		this.#book = new RecipeBook(data);
		this.context = {
			catalogue: catalogue(data.materials, data.colours),
			rates: data.settings.rates,
			library: this.#book.inside
		};
		const { id, revision } = data.quote;
		this.saver = new Autosave<QuoteSave>({
			about: `quote ${id}`,
			url: `/quotes/${id}/save`,
			revision,
			body: ({ saveId, baseRevision, raw }) => ({ saveId, baseRevision, raw }),
			left: () => (Object.keys(this.errors).length > 0 ? this.#document() : null)
		});
		this.raw = rawOf(data);
		this.#good = rawOf(data);
	}

	/** All is saved but for what cannot be read. */
	get unread(): boolean {
		return this.saver.state === 'saved' && Object.keys(this.errors).length > 0;
	}
	get revision(): number {
		return this.saver.revision;
	}
	#document = (): QuoteSave => ({ raw: this.#good, typed: $state.snapshot(this.raw) as RawQuote });

	readonly read = $derived(this.#read(this.raw));
	readonly errors = $derived(this.read.errors);
	/** The quote as far as it can be read: the tape goes on showing it. */
	readonly #readSoFar = $derived(this.#read(this.#good).value);
	/** Why the client pays no tax; nothing is they do. */
	readonly exempt = $derived.by(() => this.data.exempt?.[this.#good.client.trim()]);
	readonly terms = $derived.by(() => taxedFor(this.#readSoFar?.terms ?? this.data.quote.terms, this.exempt));
	readonly studied = $derived.by(() => ({
		items: quoteItems(this.#readSoFar?.lines ?? [], (id) => this.#book.version(id), this.terms),
		terms: this.terms,
		context: this.context,
		facts: factsOf(
			{ client: this.#good.client.trim(), day: this.#readSoFar?.eventDate ?? null, pieces: 0 },
			this.data.book
		)
	}));
	readonly priced = $derived.by(() =>
		priceQuote(this.studied.items, this.terms, this.context, this.studied.facts)
	);
	#read(raw: RawQuote) {
		const { settings } = this.data;
		return readQuote(raw, { currency: settings.rates.currency, style: { decimal: settings.decimal } });
	}
	/** Each level and each choice, priced; of a quote without a choice nothing. */
	readonly offers = $derived.by(() => {
		const { items, terms, context, facts } = this.studied;
		return isChoosing(items, terms) ? offersOf(items, terms, context, facts) : [];
	});
	/** What a typed price of a line gives away against the quote's own way, as the client reads both; less than 0 where it is above. */
	givenAway(id: string): Money | null {
		const { items, terms, context, facts } = this.studied;
		const asQuote = items.map((item) => (item.id === id ? { ...item, way: 'quote' as const } : item));
		const { shown } = priceQuote(asQuote, terms, context, facts).lines.find((l) => l.item.id === id) ?? {};
		const own = this.priced.lines.find((l) => l.item.id === id)?.shown;
		return shown && own ? subtract(shown, own) : null;
	}
	/** Every design that is on it or may be chosen, once, as it is seen. */
	readonly seen = $derived.by(() => {
		const all = [this.priced, ...this.offers.flatMap((o) => [o.priced, ...o.others.map((c) => c.priced)])];
		const found = new Map(all.flatMap((p) => p.lines.map((l) => [l.item.id, l] as const)));
		const lines = this.raw.lines.flatMap((l) => found.get(l.id) ?? []);
		return seenPieces(lines, this.context.catalogue);
	});
	/** Colours of the Stockroom a slot may have, with their names. */
	get colours(): readonly (readonly [string, string])[] {
		return [...this.context.catalogue.colourNames];
	}
	/** How numbers are typed here. */
	get entryStyle(): NumberStyle {
		return { decimal: this.data.settings.decimal };
	}
	/** What the day does to what is on the quote. */
	readonly day = $derived.by(() => {
		const { climate } = this.terms;
		const outdoors = this.terms.setting === 'outdoor' ? outdoorNotes(this.priced.lines, climate?.gust) : [];
		return [...outdoors, ...(climate ? dayNotes(this.priced.lines, climate, this.context) : [])];
	});
	recipe(versionId: string): Recipe | undefined {
		return this.#book.version(versionId);
	}
	#begun = false;
	/** Takes up what was typed here and could not be saved, though the tab was closed; the newest wins, unless she has begun already. */
	async restore() {
		const all = await this.saver.leftOver();
		const mine = all.findLast(({ baseRevision, after }) => {
			// What went on from a save that was still on its way starts where that one led to.
			const base = baseRevision + (after === undefined ? 0 : 1);
			return baseRevision === this.revision || base === this.revision;
		});
		if (this.#begun) return;
		if (mine) {
			// Typed before a field was there: that one stays as it is.
			const lines = mine.typed.lines.map((l) => ({ ...PLAIN_LINE, ...l }));
			this.raw = { ...this.raw, ...mine.typed, lines };
			for (const { versionId } of this.raw.lines) void this.#book.need(versionId);
			this.touch();
		}
		for (const left of all) void this.saver.forget(left);
	}
	/** Something was typed: it is saved soon, each field on its own. */
	touch() {
		this.#begun = true;
		this.#good = this.#readable();
		this.saver.want(this.#document());
	}
	/** What is typed, with what could be read last in the place of what cannot. */
	#readable(): RawQuote {
		const { errors } = this.read;
		const bad = (field: string) => field in errors;
		const before = new Map(this.#good.lines.map((l) => [l.id, l]));
		const raw = $state.snapshot(this.raw) as RawQuote;
		const fields = Object.fromEntries(
			Object.entries(raw).map(([field, value]) => [
				field,
				bad(field) ? this.#good[field as keyof RawQuote] : (value as unknown)
			])
		);
		const lines = raw.lines.flatMap((line) => {
			const wrong = LINE_FIELDS.filter((field) => bad(`${field} ${line.id}`));
			if (wrong.length === 0) return [line];
			const good = before.get(line.id);
			// A line that is no design and never could be read is not there yet.
			if (!good && line.versionId === '') return [];
			const held = good ?? PLAIN_LINE;
			const kept = Object.fromEntries(wrong.map((field) => [field, held[field]]));
			return [{ ...line, ...kept, ...(wrong.includes('percent') ? { way: held.way } : {}) }];
		});
		// A measure that cannot be read is what it was; the photo and what stands in it are as they are.
		const place =
			raw.place && bad('known') ? { ...raw.place, known: this.#good.place?.known ?? USUAL_DOOR } : raw.place;
		return {
			...(fields as unknown as RawQuote),
			place,
			job: jobSoFar(raw.job, this.#good.job, errors),
			lines
		};
	}
	/** @returns whether all of it is saved */
	async flush(): Promise<boolean> {
		await this.saver.flush();
		return this.saver.state === 'saved' && !this.unread;
	}
	/** The page is left: what is not saved yet is sent on the way out. */
	leave() {
		this.saver.leave();
	}
	/** Puts the forecast for the day and place into the fields. @returns what came of it, in words */
	async askForecast(): Promise<string> {
		const { eventDate, venue } = this.raw;
		if (eventDate === '') return 'Which day is it? Give the event date first.';
		const query = new URLSearchParams({ day: eventDate, place: venue });
		const response = await fetch(`/quotes/${this.data.quote.id}/forecast?${query}`).catch(() => undefined);
		const answer = (await response?.json().catch(() => undefined)) as
			{ there?: string; gust?: string; words?: string; message?: string } | undefined;
		if (!response?.ok || !answer?.there)
			return answer?.message ?? 'The forecast does not answer. Type what your own says.';
		this.raw.there = answer.there;
		if (answer.gust) this.raw.gust = answer.gust;
		this.touch();
		return answer.words ?? '';
	}
	/** Puts a design on the quote. @returns nothing, or why it could not be put there */
	async addLine(versionId: string): Promise<string> {
		const trouble = await this.#book.need(versionId);
		if (trouble) return trouble;
		this.raw.lines = [...this.raw.lines, { ...PLAIN_LINE, id: crypto.randomUUID(), versionId }];
		this.touch();
		return '';
	}
	/** Takes the newer kept version of a line's design. @returns nothing, or why it could not be taken */
	async takeNewer(id: string, versionId: string): Promise<string> {
		const trouble = await this.#book.need(versionId);
		if (!trouble) this.changeLine(id, { versionId });
		return trouble;
	}
	/** Puts a line that is no design on the quote: a fee, or something of the Stockroom that is hired out. */
	addTyped(material: Pick<Material, 'id' | 'name'> | null) {
		const own = { ...PLAIN_LINE, id: crypto.randomUUID(), versionId: '' };
		const line = material
			? { ...own, label: material.name, material: material.id, ...this.#hire(material.id) }
			: own;
		this.raw.lines = [...this.raw.lines, line];
		this.touch();
		return line.id;
	}
	/** What it is hired out for, and the deposit for the client to read, where they are written down. */
	#hire(material: string) {
		const { hireMinor = null, depositMinor = null } = this.data.hires?.[material] ?? {};
		const { currency } = this.data.settings.rates;
		return {
			price: hireMinor === null ? '' : printMoney(hireMinor, this.entryStyle),
			note: depositMinor ? `Deposit ${formatMoney(money(depositMinor, currency))}, given back with it.` : ''
		};
	}
	/** Moves a line to the place of another. */
	moveLine(id: string, to: number) {
		const from = this.raw.lines.findIndex((l) => l.id === id);
		if (from < 0 || to < 0 || to >= this.raw.lines.length || from === to) return;
		const lines = [...this.raw.lines];
		lines.splice(to, 0, ...lines.splice(from, 1));
		this.raw.lines = lines;
		this.touch();
	}
	changeLine(id: string, change: Partial<Omit<RawLine, 'id'>>) {
		this.raw.lines = this.raw.lines.map((l) => (l.id === id ? { ...l, ...change } : l));
		this.touch();
	}
	removeLine(id: string) {
		this.raw.lines = this.raw.lines.filter((l) => l.id !== id);
		this.touch();
	}
	/** A newer kept version of the same design, where there is one. */
	newer(versionId: string): string | null {
		const design = versionId.slice(0, versionId.lastIndexOf('.'));
		const latest = this.data.offered.find((o) => o.design === design)?.versionId ?? versionId;
		return latest === versionId ? null : latest;
	}
}
