<script lang="ts">
	import { enhance } from '$app/forms';
	import { formatMoney } from '../../core/money/money.ts';
	import Field from '../../ui/field/Field.svelte';
	import { atLeast } from '../bench/tape-words.ts';
	import type { Quick } from './quick.svelte.ts';

	interface Props {
		quick: Quick;
		clients: readonly string[];
		/** An id for the draft: pressed twice it is one. */
		fresh: string;
		failed?: { readonly client: string; readonly trouble: string; readonly draft?: string } | undefined;
	}
	let { quick, clients, fresh, failed }: Props = $props();
	const lines = $derived(
		JSON.stringify(
			quick.pieces.map(({ versionId, colourwayId, sizeId, quantity, asked }) => ({
				versionId,
				colourwayId,
				sizeId,
				quantity,
				asked
			}))
		)
	);
	const together = $derived(quick.together);
</script>

<section class="mt-3 grid gap-3 border-t border-line pt-3" aria-label="As a quote">
	<button
		type="button"
		class="control min-h-[44px]! font-semibold"
		disabled={!quick.ok}
		onclick={() => quick.keep()}
		>{quick.pieces.length === 0 ? 'Put it on a quote' : 'Put this one with them'}</button
	>
	{#if quick.pieces.length > 0}
		<ul>
			{#each quick.pieces as piece (piece.id)}
				<li class="flex min-h-[44px] items-center gap-3 border-b border-line">
					<span class="min-w-0 flex-1"
						>{piece.quantity} × {piece.name}{#if piece.asked}<br /><span class="text-[13px] text-muted"
								>asked: {piece.asked}; the draft has it as it is kept</span
							>{/if}</span
					>
					<button
						type="button"
						class="min-h-[44px] px-2 underline decoration-line underline-offset-4"
						aria-label="Take {piece.name} out"
						onclick={() => quick.drop(piece.id)}>out</button
					>
				</li>
			{/each}
		</ul>
		<form method="post" action="?/draft" class="grid gap-3" use:enhance>
			<input type="hidden" name="id" value={fresh} />
			<input type="hidden" name="lines" value={lines} />
			<Field label="Client" error={failed?.trouble}>
				{#snippet children(attributes)}<input
						{...attributes}
						class="control min-h-[44px]! w-full"
						name="client"
						list="quick-clients"
						value={failed?.client ?? ''}
						autocomplete="off"
					/>{/snippet}
			</Field>
			<datalist id="quick-clients"
				>{#each clients as client (client)}<option value={client}></option>{/each}</datalist
			>
			<div class="grid grid-cols-2 gap-3">
				<Field label="Day">
					{#snippet children(attributes)}<input
							{...attributes}
							class="control min-h-[44px]! w-full min-w-0"
							type="date"
							name="eventDate"
						/>{/snippet}
				</Field>
				<Field label="Miles, one way" error={quick.milesTrouble || undefined}>
					{#snippet children(attributes)}<input
							{...attributes}
							class="control figures min-h-[44px]! w-full min-w-0"
							name="miles"
							inputmode="decimal"
							bind:value={quick.miles}
							placeholder="as usual"
							autocomplete="off"
						/>{/snippet}
				</Field>
			</div>
			{#if together}<p>
					{atLeast('Together', together.unknown)}:
					<b class="figures text-lg" data-name="together">{formatMoney(together.price.total)}</b>
				</p>{/if}
			{#if failed?.draft}<a
					class="grid min-h-[44px] place-items-center rounded-control bg-ink font-semibold text-[var(--on-ink)]"
					href="/quotes/{failed.draft}">Look at the draft</a
				>{:else}
				<button
					type="submit"
					class="min-h-[44px] rounded-control bg-ink font-semibold text-[var(--on-ink)] disabled:opacity-50"
					disabled={quick.milesTrouble !== ''}>Make the draft</button
				>
				<button
					class="control min-h-[44px]! font-semibold"
					formaction="?/send"
					disabled={quick.milesTrouble !== ''}>Send it, and get the link</button
				>
			{/if}
		</form>
	{/if}
</section>
