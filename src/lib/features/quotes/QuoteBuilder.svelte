<script lang="ts">
	import { onMount } from 'svelte';
	import Button from '../../ui/button/Button.svelte';
	import Field from '../../ui/field/Field.svelte';
	import { METHOD_OPTIONS, methodLabel } from '../../core/pricing/methods.ts';
	import { saveWords } from '../shell/save-words.ts';
	import { wayOf } from '../../core/pricing/terms.ts';
	import { wayText } from '../../core/pricing/price-tape.ts';
	import { missingText } from '../bench/tape-words.ts';
	import type { QuoteField, RawQuote } from '../../core/quote/read-form.ts';
	import type { Charged } from '../../core/study/charged.ts';
	import { QuoteDraft, type QuoteData } from './quote-draft.svelte.ts';
	import PriceStudy from '../pricing/PriceStudy.svelte';
	import QuoteDay from './QuoteDay.svelte';
	import OfferGlance from './OfferGlance.svelte';
	import QuoteJob from './QuoteJob.svelte';
	import PlaceEditor from './PlaceEditor.svelte';
	import QuoteLines from './QuoteLines.svelte';
	import QuoteTape from './QuoteTape.svelte';

	interface Props {
		data: QuoteData & {
			readonly clients: readonly string[];
			readonly zones: readonly string[];
			readonly charged: readonly Charged[];
		};
		/** Asks for the quote to be sent once it is saved. */
		/** All that is typed is saved: send it, though costs are unknown where that is meant. */
		onsend: (evenUnknown: boolean) => void;
	}
	let { data, onsend }: Props = $props();
	// svelte-ignore state_referenced_locally
	const draft = new QuoteDraft(data);
	onMount(() => {
		void draft.restore();
		const leave = () => draft.leave();
		window.addEventListener('pagehide', leave);
		return () => {
			window.removeEventListener('pagehide', leave);
			void draft.flush();
		};
	});
	type TextField = Exclude<QuoteField & keyof RawQuote, 'setting' | 'method' | 'discountKind' | 'sun'>;
	const set = (field: TextField, value: string) => {
		draft.raw[field] = value;
		draft.touch();
	};
	let builder = $state<HTMLElement>();
	/** Sends what is typed, all of it: a field that cannot be read is gone to instead. */
	export async function send(evenUnknown = false) {
		if (await draft.flush()) onsend(evenUnknown);
		else builder?.querySelector<HTMLElement>('[aria-invalid=true]')?.focus();
	}
	/** Which costs nobody knows, in a sentence. */
	export const missing = (): string => missingText(draft.priced.cost.unknown);
</script>

{#snippet text(
	label: string,
	field: TextField,
	more: { type?: string; list?: string; hint?: string; narrow?: boolean; unit?: string } = {}
)}
	<Field {label} error={draft.errors[field]} hint={more.hint}>
		{#snippet children(attributes)}
			<span class="flex items-center gap-1.5">
				<input
					{...attributes}
					class="control min-w-0 {more.narrow ? 'figures w-28 text-right' : 'w-full'}"
					type={more.type ?? 'text'}
					list={more.list}
					value={draft.raw[field]}
					oninput={(e) => set(field, e.currentTarget.value)}
					autocomplete="off"
				/>
				{#if more.unit}<span class="text-muted">{more.unit}</span>{/if}
			</span>
		{/snippet}
	</Field>
{/snippet}

<div class="builder" bind:this={builder}>
	<div class="grid grid-cols-[minmax(0,1fr)] content-start gap-6">
		<p class="text-[13px] text-muted" aria-live="polite" data-name="quote-state">
			{draft.unread ? 'saved, but for the field below that cannot be read' : saveWords(draft.saver)}
		</p>
		<section class="grid grid-cols-2 gap-x-5 gap-y-3 max-sm:grid-cols-1" aria-label="For whom and when">
			{@render text('Client', 'client', { list: 'clients' })}
			<datalist id="clients"
				>{#each data.clients as client (client)}<option value={client}></option>{/each}</datalist
			>
			{@render text('Occasion', 'occasion')}
			{@render text('Event date', 'eventDate', { type: 'date' })}
			<Field label="Time zone of the venue" error={draft.errors.zone}>
				{#snippet children(attributes)}
					<select
						{...attributes}
						class="control"
						value={draft.raw.zone}
						onchange={(e) => set('zone', e.currentTarget.value)}
					>
						{#each data.zones as zone (zone)}<option>{zone}</option>{/each}
					</select>
				{/snippet}
			</Field>
			{@render text('Venue', 'venue')}
			<Field label="Indoors or outdoors">
				{#snippet children(attributes)}
					<select
						{...attributes}
						class="control"
						bind:value={draft.raw.setting}
						onchange={() => draft.touch()}><option>indoor</option><option>outdoor</option></select
					>
				{/snippet}
			</Field>
		</section>
		<section class="grid gap-3" aria-label="The day there">
			<div class="grid grid-cols-4 gap-x-5 gap-y-3 max-sm:grid-cols-2">
				{@render text('Air at your studio', 'here', { hint: 'blank is 68 °F' })}
				{@render text('Air there', 'there', { hint: 'blank is not asked' })}
				<Field label="It stands">
					{#snippet children(attributes)}
						<select
							{...attributes}
							class="control w-full min-w-0"
							bind:value={draft.raw.sun}
							onchange={() => draft.touch()}
							><option value="shade">in the shade</option><option value="light"
								>in the sun, light colours</option
							><option value="dark">in the sun, dark colours</option></select
						>
					{/snippet}
				</Field>
				{@render text('Height above the sea', 'height', { hint: 'blank is the shore' })}
				{@render text('Gusts there', 'gust', { hint: 'blank outdoors is 20 mph' })}
			</div>
			<QuoteDay {draft} />
		</section>
		<QuoteLines {draft} offered={data.offered} materials={data.materials} />
		<PlaceEditor {draft} quote={data.quote.id} />
		<QuoteJob {draft} />
		<section class="grid grid-cols-3 gap-x-5 gap-y-3 max-sm:grid-cols-2" aria-label="Price">
			{@render text('Delivery charge', 'delivery', {
				narrow: true,
				hint: 'blank is worked out from the drive'
			})}
			{@render text('Delivery costs you', 'deliveryCost', {
				narrow: true,
				hint: 'blank is the drive and the van'
			})}
			<Field label="Priced by">
				{#snippet children(attributes)}
					<select {...attributes} class="control" bind:value={draft.raw.method} onchange={() => draft.touch()}
						>{#each METHOD_OPTIONS as [value, words] (value)}<option {value}>{words}</option>{/each}</select
					>
				{/snippet}
			</Field>
			{#if draft.raw.method === 'margin' || draft.raw.method === 'markup'}{@render text(
					methodLabel(draft.raw.method),
					draft.raw.method,
					{ narrow: true, unit: '%' }
				)}{:else}<p class="pt-6 text-[13px] text-muted">
					{wayText(wayOf(draft.priced.terms))}, as your
					<a class="quiet-link" href="/settings/work">settings</a> say
				</p>{/if}
			{@render text('Rush charge', 'rush', { narrow: true, unit: '%' })}
			<Field label="Discount">
				{#snippet children(attributes)}
					<select
						{...attributes}
						class="control"
						bind:value={draft.raw.discountKind}
						onchange={() => draft.touch()}
						><option value="none">none</option><option value="percent">per cent</option><option value="amount"
							>amount</option
						></select
					>
				{/snippet}
			</Field>
			{#if draft.raw.discountKind !== 'none'}{@render text('Discount of', 'discount', {
					narrow: true,
					unit: draft.raw.discountKind === 'percent' ? '%' : ''
				})}{/if}
			{@render text('Tax rate', 'tax', {
				narrow: true,
				unit: '%',
				hint: draft.exempt ? `not charged: ${draft.exempt}` : ''
			})}
			{@render text('Deposit', 'deposit', { narrow: true, unit: '%' })}
			{@render text('Valid for', 'validDays', { narrow: true, unit: 'days' })}
		</section>
		<Field label="A word to the client">
			{#snippet children(attributes)}<textarea
					{...attributes}
					class="control"
					rows="3"
					maxlength="2000"
					value={draft.raw.note}
					oninput={(e) => set('note', e.currentTarget.value)}></textarea>{/snippet}
		</Field>
		<Field label="A word to yourself" hint="nobody else reads it">
			{#snippet children(attributes)}<textarea
					{...attributes}
					class="control"
					rows="2"
					maxlength="2000"
					value={draft.raw.self}
					oninput={(e) => set('self', e.currentTarget.value)}></textarea>{/snippet}
		</Field>
		<OfferGlance offers={draft.offers} terms={draft.terms} />
		<p>
			<Button kind="strong" onclick={() => send()}>Send</Button>
			<span class="ml-2 text-[13px] text-muted">Sending freezes it and makes the client’s link.</span>
		</p>
		<PriceStudy
			charged={data.charged}
			studied={draft.studied}
			priced={draft.priced}
			method={draft.priced.lines.every((l) => l.way.method === draft.terms.method)
				? draft.terms.method
				: null}
			onpick={(method) => {
				draft.raw.method = method;
				draft.raw.lines = draft.raw.lines.map((line) => ({ ...line, way: 'quote', percent: '' }));
				draft.touch();
			}}
		/>
	</div>
	<div class="side">
		<QuoteTape priced={draft.priced} quoted={draft.terms} base={draft.context.rates.price} />
	</div>
</div>

<style>
	.builder {
		display: grid;
		grid-template-columns: minmax(0, 1fr) 320px;
		gap: 36px;
		align-items: start;
	}
	.side {
		position: sticky;
		top: 14px;
		max-height: calc(100dvh - 40px);
		display: flex;
		flex-direction: column;
	}
	@media (max-width: 1000px) {
		.builder {
			grid-template-columns: minmax(0, 1fr);
		}
		.side {
			position: static;
			max-width: 420px;
			max-height: none;
		}
	}
</style>
