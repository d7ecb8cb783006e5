<script lang="ts">
	import { formatAmount, formatMoney } from '../../core/money/money.ts';
	import Pick from '../../ui/pick/Pick.svelte';
	import Field from '../../ui/field/Field.svelte';
	import Notice from '../../ui/notice/Notice.svelte';
	import Tape from '../../ui/tape/Tape.svelte';
	import TapeLine from '../../ui/tape/TapeLine.svelte';
	import { priceTape } from '../../core/pricing/price-tape.ts';
	import PriceRows from '../bench/PriceRows.svelte';
	import { atLeast, atMost, missingText, percentText, priceText, sumText } from '../bench/tape-words.ts';
	import ColourChip from '../colours/ColourChip.svelte';
	import ColourName from '../colours/ColourName.svelte';
	import ColourPick from '../colours/ColourPick.svelte';
	import MiniPicture from '../picture/MiniPicture.svelte';
	import { minorText } from '../pricing/study-words.ts';
	import QuickQuote from './QuickQuote.svelte';
	import { Quick, type QuickData } from './quick.svelte.ts';

	interface Props {
		data: QuickData;
		/** Names to choose from. */
		clients: readonly string[];
		/** An id for a draft made of what is priced here. */
		fresh: string;
		/** A draft that was not made, and why. */
		failed?: { readonly client: string; readonly trouble: string; readonly draft?: string } | undefined;
	}
	let { data, clients, fresh, failed }: Props = $props();
	// svelte-ignore state_referenced_locally
	const quick = new Quick(data);
	let margin = $state(false);
	let copied = $state('');
	/** The colour asked for in place of the main one. */
	const other = $derived(quick.colour.startsWith('main:') ? quick.colour.slice(5) : null);
	const colourNamed = (id: string) => data.colours.find((c) => c.id === id)?.name ?? '';
	const price = $derived(quick.price);
	const unknown = $derived(quick.unknown);
	/** A price that is only a least one is not handed out before she has said she means it. */
	let sure = $state(false);

	async function copy() {
		if (unknown.length > 0 && !sure) {
			sure = true;
			copied = `${missingText(unknown)} The text will say “at least”. Press again to copy it.`;
			return;
		}
		sure = false;
		try {
			await navigator.clipboard.writeText(quick.text);
			copied = 'Copied.';
		} catch {
			copied = 'Your browser does not let me copy. Hold the line below to copy it.';
		}
	}
</script>

<div class="grid gap-3">
	<Field label="Design">
		{#snippet children(attributes)}
			<select
				{...attributes}
				class="control min-h-[44px]! w-full min-w-0"
				value={quick.design}
				onchange={async (e) => {
					copied = '';
					const select = e.currentTarget;
					await quick.choose(select.value);
					// What could not be read is not what stands below.
					select.value = quick.waiting || quick.design;
				}}
			>
				{#each data.designs as design (design.id)}<option value={design.id}>{design.name}</option>{/each}
			</select>
		{/snippet}
	</Field>
	{#if quick.trouble}<Notice level="bad">{quick.trouble}</Notice>{/if}
	<fieldset class="contents" disabled={quick.waiting !== ''}>
		<div class="grid grid-cols-[minmax(0,1fr)_auto] items-end gap-3">
			<Field label="Colour">
				{#snippet children(attributes)}
					<select {...attributes} class="control min-h-[44px]! w-full min-w-0" bind:value={quick.colour}>
						{#each quick.recipe.colourways as colourway (colourway.id)}<option value="way:{colourway.id}"
								>{colourway.name}</option
							>{/each}
						{#if other && quick.mainSlot}<option value={quick.colour}
								>{quick.mainSlot.name} in {colourNamed(other)}</option
							>{/if}
					</select>
				{/snippet}
			</Field>
			{#if quick.mainSlot}
				<ColourChip>
					<ColourPick
						label="{quick.mainSlot.name} in another colour"
						colours={data.colours}
						materials={data.materials}
						value={other}
						onpick={(colour) => (quick.colour = `main:${colour}`)}
					>
						{#snippet trigger()}<ColourName
								colour={other ? data.colours.find((c) => c.id === other) : null}
								name={other ? '' : 'in another'}
							/>{/snippet}
					</ColourPick>
				</ColourChip>
			{/if}
		</div>
		{#if quick.recipe.sizes.length > 0}
			<Pick
				label="Size"
				value={quick.size}
				options={[
					['', 'as it stands, or by height'],
					...quick.recipe.sizes.map((s) => [s.id, s.name] as const)
				]}
				onpick={(size) => {
					quick.size = size;
					quick.height = '';
				}}
			/>
		{/if}
		<div class="grid grid-cols-2 gap-3">
			{#if quick.hasHeight}
				<Field
					label="Height, {quick.heightOf}"
					error={quick.errors.height}
					hint={quick.height.trim() ? `comes out ${quick.tall}` : `stands ${quick.tall}`}
				>
					{#snippet children(attributes)}<input
							{...attributes}
							class="control figures min-h-[44px]! w-full min-w-0"
							bind:value={quick.height}
							oninput={() => (quick.size = '')}
							placeholder="6 ft"
							autocomplete="off"
						/>{/snippet}
				</Field>
			{/if}
			<Field label="How many" error={quick.errors.quantity}>
				{#snippet children(attributes)}<input
						{...attributes}
						class="control figures min-h-[44px]! w-full min-w-0"
						bind:value={quick.quantity}
						inputmode="numeric"
						autocomplete="off"
					/>{/snippet}
			</Field>
		</div>
	</fieldset>
	{#each quick.bad as finding, index (index)}<Notice level={finding.level}>{finding.say}</Notice>{/each}
	<div class="mt-1 grid grid-cols-[110px_1fr] items-end gap-4">
		<MiniPicture
			list={quick.picture}
			scale={Math.min(
				170 / Math.max(1500, quick.picture?.height ?? 0),
				104 / (2 * Math.max(1, quick.picture?.halfWidth ?? 1))
			)}
			height={176}
		/>
		<Tape label="Price">
			{#if margin && quick.ok && price.status === 'priced'}
				<TapeLine label="cost" amount={sumText(quick.cost)} name="cost" />
				<TapeLine label="of it around the job" amount={formatAmount(quick.tally.job.total)} rule="aside" />
				<TapeLine label="an hour of yours" amount={minorText(quick.tally.earnings?.ownHour)} />
				<TapeLine
					label={atMost('margin', unknown)}
					count={percentText(price.margin)}
					amount={formatAmount(price.profit)}
					name="margin"
				/>
			{/if}
			{#if quick.ok && price.status === 'priced' && price.steps.some((s) => s.id === 'minimum order')}
				<PriceRows
					rows={priceTape(price, quick.tally.terms).filter((r) => r.as === 'line' && r.id !== 'tax')}
				/>
			{/if}
			<TapeLine
				label={atLeast('Price', unknown)}
				amount={quick.ok ? priceText(price, formatMoney) : '—'}
				rule="big"
				name="price"
			/>
			{#if quick.ok && price.status === 'priced' && price.said.minor !== price.total.minor}<TapeLine
					label="with tax"
					amount={formatAmount(price.total)}
				/>{:else if quick.ok && price.status === 'priced' && price.tax.minor > 0}<TapeLine
					label="tax in it"
					amount={formatAmount(price.tax)}
					rule="aside"
				/>{/if}
			{#if unknown.length > 0}<p class="text-[12.6px] leading-snug text-watch">{missingText(unknown)}</p>{/if}
		</Tape>
	</div>
	<div class="flex gap-2">
		<button
			type="button"
			class="control min-h-[44px]! flex-1 font-semibold"
			aria-pressed={margin}
			onclick={() => (margin = !margin)}>{margin ? 'Hide margin' : 'Margin'}</button
		>
		<button
			type="button"
			class="min-h-[44px] flex-1 rounded-control bg-ink font-semibold text-[var(--on-ink)] disabled:opacity-50"
			disabled={!quick.ok}
			onclick={copy}>Copy as text</button
		>
	</div>
	<p class="text-[13px] text-muted" aria-live="polite">
		{quick.waiting ? 'reading that design …' : copied}
	</p>
	{#if copied && quick.ok}<p class="text-[13px] select-all" data-name="copied">{quick.text}</p>{/if}
	<QuickQuote {quick} {clients} {fresh} {failed} />
</div>
