import { catalogue } from '../../core/materials/catalogue.ts';
import type { Colour, Material } from '../../core/materials/material.ts';
import { dayNotes, outdoorNotes } from '../../core/quote/day.ts';
import { priceQuote, type LineWay, type QuoteTerms } from '../../core/quote/quote.ts';
import { printQuote, readQuote, type RawLine, type RawQuote } from '../../core/quote/read-form.ts';
import type { Recipe } from '../../core/recipe/recipe.ts';
import type { TallyContext } from '../../core/tally/tally.ts';
import type { Settings } from '../../core/workspace/settings.ts';

export interface QuoteData {
	readonly quote: {
		readonly id: string;
		readonly clientName: string;
		readonly eventDate: string | null;
		readonly zone: string;
		readonly terms: QuoteTerms;
		readonly revision: number;
		readonly lines: readonly {
			id: string;
			versionId: string;
			colourwayId: string | null;
			sizeId: string | null;
			quantity: number;
			way: LineWay | null;
		}[];
	};
	readonly offered: readonly { versionId: string; design: string; name: string }[];
	readonly recipes: readonly (readonly [string, Recipe])[];
	readonly library: readonly (readonly [string, Recipe])[];
	readonly settings: Settings;
	readonly materials: readonly Material[];
	readonly colours: readonly Colour[];
}

function rawOf({ quote, settings }: QuoteData): RawQuote {
	const { clientName: client, eventDate, zone, terms, lines } = quote;
	return printQuote({ client, eventDate, zone, terms, lines }, { decimal: settings.decimal });
}

/** A quote being written. Holds what is typed; every number comes from the core. */
export class QuoteDraft {
	raw = $state<RawQuote>() as { -readonly [K in keyof RawQuote]: RawQuote[K] };
	state = $state<'saved' | 'waiting' | 'saving' | 'fields' | 'offline' | 'refused'>('saved');
	refusal = $state('');
	revision: number;
	readonly context: TallyContext;
	readonly #recipes: ReadonlyMap<string, Recipe>;
	#timer: ReturnType<typeof setTimeout> | undefined;
	#flying: Promise<void> | null = null;
	#changed = false;
	/** The last terms that could be read: the tape goes on showing them. */
	#lastGood = $state.raw<QuoteTerms>() as QuoteTerms;

	constructor(private readonly data: QuoteData) {
		const library = new Map(data.library);
		this.context = {
			catalogue: catalogue(data.materials, data.colours),
			rates: data.settings.rates,
			library: (id) => library.get(id)
		};
		this.#recipes = new Map(data.recipes);
		this.revision = data.quote.revision;
		this.raw = rawOf(data);
		this.#lastGood = data.quote.terms;
	}

	readonly read = $derived.by(() =>
		readQuote(this.raw, {
			currency: this.data.settings.rates.currency,
			style: { decimal: this.data.settings.decimal }
		})
	);
	readonly errors = $derived(this.read.errors);
	readonly terms = $derived(this.read.value?.terms ?? this.#lastGood);
	readonly priced = $derived.by(() => {
		const ways = new Map(this.read.value?.lines.map((l) => [l.id, l.way]));
		const items = this.raw.lines.flatMap((line) => {
			const recipe = this.#recipes.get(line.versionId);
			const quantity = Number(line.quantity);
			return recipe && Number.isInteger(quantity) && quantity > 0 && quantity < 1000
				? [
						{
							id: line.id,
							recipe,
							colourway: line.colourwayId || null,
							size: line.sizeId || null,
							quantity,
							way: ways.get(line.id) ?? null
						}
					]
				: [];
		});
		return priceQuote(items, this.terms, this.context);
	});
	/** What the day does to what is on the quote. */
	readonly day = $derived.by(() => {
		const outdoors = this.terms.setting === 'outdoor' ? outdoorNotes(this.priced.lines) : [];
		const { climate } = this.terms;
		return [...outdoors, ...(climate ? dayNotes(this.priced.lines, climate, this.context) : [])];
	});
	recipe(versionId: string): Recipe | undefined {
		return this.#recipes.get(versionId);
	}
	get #key() {
		return `bright-tally:quote:${this.data.quote.id}`;
	}
	/** Takes up what was typed here and could not be saved. */
	restore() {
		try {
			const stored = JSON.parse(sessionStorage.getItem(this.#key) ?? 'null') as {
				revision: number;
				raw: RawQuote;
			} | null;
			if (!stored || stored.revision !== this.revision) return;
			// Typed before a field was there: that one stays as it is.
			this.raw = { ...this.raw, ...stored.raw };
			this.touch();
		} catch {
			sessionStorage.removeItem(this.#key);
		}
	}
	/** Something was typed: it is saved soon, as far as it can be read. */
	touch() {
		this.#changed = true;
		if (this.read.value) this.#lastGood = this.read.value.terms;
		sessionStorage.setItem(this.#key, JSON.stringify({ revision: this.revision, raw: this.raw }));
		this.state = this.read.value ? 'waiting' : 'fields';
		clearTimeout(this.#timer);
		this.#timer = setTimeout(() => void this.flush(), 500);
	}
	async flush(): Promise<boolean> {
		clearTimeout(this.#timer);
		while (
			this.#flying ||
			(this.#changed && this.read.value && this.state !== 'offline' && this.state !== 'refused')
		) {
			this.#flying ??= this.#save().finally(() => (this.#flying = null));
			await this.#flying;
		}
		return this.state === 'saved';
	}
	async #save(): Promise<void> {
		this.#changed = false;
		this.state = 'saving';
		const send = { baseRevision: this.revision, raw: $state.snapshot(this.raw) };
		try {
			const response = await fetch(`/quotes/${this.data.quote.id}/save`, {
				method: 'POST',
				headers: { 'content-type': 'application/json' },
				body: JSON.stringify(send)
			});
			const answer = (await response.json()) as { revision?: number; message?: string };
			if (response.ok && answer.revision) {
				this.revision = answer.revision;
				sessionStorage.removeItem(this.#key);
				this.state = this.#changed ? 'waiting' : 'saved';
			} else {
				this.refusal = answer.message ?? 'The server refused it.';
				this.state = 'refused';
			}
		} catch {
			this.#changed = true;
			this.state = 'offline';
			this.#timer = setTimeout(() => {
				this.state = 'waiting';
				void this.flush();
			}, 3000);
		}
	}
	/** Puts the forecast for the day and place into the fields. @returns what came of it, in words */
	async askForecast(): Promise<string> {
		const { eventDate, venue } = this.raw;
		if (eventDate === '') return 'Which day is it? Give the event date first.';
		const query = new URLSearchParams({ day: eventDate, place: venue });
		const response = await fetch(`/quotes/${this.data.quote.id}/forecast?${query}`).catch(() => undefined);
		const answer = (await response?.json().catch(() => undefined)) as
			{ there?: string; words?: string; message?: string } | undefined;
		if (!response?.ok || !answer?.there)
			return answer?.message ?? 'The forecast does not answer. Type what your own says.';
		this.raw.there = answer.there;
		this.touch();
		return answer.words ?? '';
	}
	addLine(versionId: string) {
		this.raw.lines = [
			...this.raw.lines,
			{
				id: crypto.randomUUID(),
				versionId,
				colourwayId: '',
				sizeId: '',
				quantity: '1',
				way: 'own',
				percent: ''
			}
		];
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
