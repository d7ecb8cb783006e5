<script lang="ts">
	import { enhance } from '$app/forms';
	import type { SubmitFunction } from '@sveltejs/kit';
	import Button from '../../ui/button/Button.svelte';
	import Meant from './Meant.svelte';

	interface Part {
		readonly of: string;
		readonly bought: string;
		readonly lost: string;
		readonly share: string;
		readonly range: string;
		/** Not more was lost than is known to have been bought. */
		readonly isKnown: boolean;
	}
	interface Props {
		losses: { readonly used: string; readonly lost: string; readonly repaired: string; readonly told: number; readonly share: string; readonly range: string; readonly counts: string; readonly hundredths: number; readonly isNews: boolean; readonly causes: readonly { readonly says: string; readonly pieces: string }[]; readonly suppliers: readonly Part[]; readonly batches: readonly Part[] }; // prettier-ignore
		asks: { readonly say: string; readonly about: string } | undefined;
		enhanced: SubmitFunction;
	}
	let { losses, asks, enhanced }: Props = $props();
	const tables = $derived(
		[
			{ title: 'By who sold it', rows: losses.suppliers },
			{ title: 'By lot', rows: losses.batches }
		].filter((t) => t.rows.length > 0)
	);
</script>

<section class="mb-4 border border-line bg-paper p-4" aria-labelledby="losses">
	<h2 id="losses" class="text-[17px] font-semibold">What is lost of it</h2>
	<p>
		<span class="figures">{losses.counts}</span> counts now, in costs and spares.
		{#if losses.told > 0}By what was counted it is <strong class="figures">{losses.share}</strong>, with nine
			chances in ten between <span class="figures">{losses.range}</span>: {losses.lost} of {losses.used} lost, told
			by {losses.told}
			{losses.told === 1 ? 'build or day' : 'builds and days'}{losses.repaired
				? `; ${losses.repaired} were mended`
				: ''}.{:else}<span class="text-muted"
				>Nothing was counted yet: count a build back, or write down what is lost.</span
			>{/if}
	</p>
	{#if losses.isNews}
		<form method="post" action="?/loss" class="mt-2 grid gap-2" use:enhance={enhanced}>
			<input type="hidden" name="share" value={losses.hundredths} />
			<p><Button type="submit">Count with {losses.share}</Button></p>
			<Meant {asks} words="Count with it" />
		</form>
	{/if}
	{#if losses.causes.length > 0}
		<p class="mt-2">Why: {losses.causes.map((c) => `${c.says} ${c.pieces}`).join(', ')}.</p>
	{/if}
	{#each tables as table (table.title)}
		<h3 class="mt-3 text-[13px] font-medium text-muted">{table.title}</h3>
		<ul>
			{#each table.rows as row (row.of)}
				<li class="flex flex-wrap gap-x-4 border-b border-line py-1 last:border-0">
					<span class="min-w-40">{row.of}</span>{#if row.isKnown}<span class="figures">{row.share}</span><span
							class="text-muted">{row.range}, {row.lost} of {row.bought} bought</span
						>{:else}<span class="text-muted">{row.lost} lost; how many were bought is not said</span>{/if}
				</li>
			{/each}
		</ul>
	{/each}
</section>
