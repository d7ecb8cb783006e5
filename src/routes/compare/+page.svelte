<script lang="ts">
	import ChangeTape from '$lib/features/lists/ChangeTape.svelte';
	import MiniPicture from '$lib/features/picture/MiniPicture.svelte';
	import CostCard from '$lib/features/shelf/CostCard.svelte';
	import { boxHeight } from '$lib/core/scene/svg.ts';
	import Button from '$lib/ui/button/Button.svelte';
	import Field from '$lib/ui/field/Field.svelte';

	let { data } = $props();
	const HEIGHT = 340;
	const both = $derived(data.both);
	const scale = $derived(
		Math.min(
			(HEIGHT - 6) /
				Math.max(1500, ...[both?.first, both?.second].map((s) => (s?.picture ? boxHeight(s.picture) : 0))),
			300 / Math.max(1, ...[both?.first, both?.second].map((s) => 2 * (s?.picture?.halfWidth ?? 0)))
		)
	);
	const submit = (e: Event & { currentTarget: HTMLSelectElement }) => e.currentTarget.form?.requestSubmit();
</script>

{#snippet pick(side: 'first' | 'second', label: string)}
	{@const shown = both?.[side]}
	<fieldset class="flex flex-wrap items-end gap-2">
		<legend class="sr-only">{label}</legend>
		<Field {label}>
			{#snippet children(attributes)}
				<select
					{...attributes}
					name={side}
					class="control max-w-52"
					value={shown?.choice.design}
					onchange={submit}
				>
					{#each data.designs as design (design.id)}<option value={design.id}>{design.name}</option>{/each}
				</select>
			{/snippet}
		</Field>
		<Field label="as it was">
			{#snippet children(attributes)}
				<select
					{...attributes}
					name="{side}Version"
					class="control max-w-44"
					value={shown?.choice.version}
					onchange={submit}
				>
					<option value="">now</option>
					{#each shown?.versions ?? [] as version (version.id)}<option value={version.id}
							>{version.name}</option
						>{/each}
				</select>
			{/snippet}
		</Field>
		<Field label="built">
			{#snippet children(attributes)}
				<select
					{...attributes}
					name="{side}As"
					class="control"
					value={shown?.choice.clusters === null ? '' : String(shown?.choice.clusters)}
					onchange={submit}
				>
					<option value="">as it is</option>
					{#each data.clusters as { count, name } (count)}<option value={count}>in {name}</option>{/each}
				</select>
			{/snippet}
		</Field>
	</fieldset>
{/snippet}

{#snippet card(side: 'first' | 'second')}
	{@const shown = both![side]}
	<section aria-label={side === 'first' ? 'First' : 'Second'}>
		<div class="picture"><MiniPicture list={shown.picture} {scale} height={HEIGHT} /></div>
		<h2 class="mt-2 text-[17px]">
			<a class="hover:underline" href="/bench/{shown.choice.design}">{shown.name}</a>
		</h2>
		<p class="text-[13.5px] text-muted">
			{shown.balloons} balloons · {shown.height} tall{shown.left > 0
				? ` · ${shown.left} rows as they are: single balloons and mixed clusters`
				: ''}
		</p>
		<div class="max-w-[230px]">
			<CostCard cost={shown.cost} margin={shown.margin} price={shown.price} seconds={shown.seconds} />
		</div>
		{#if shown.choice.clusters !== null || shown.choice.version !== ''}
			<form method="post" class="mt-2">
				<input type="hidden" name="id" value="{data.fresh.slice(0, 30)}-{side}" />
				<input type="hidden" name="design" value={shown.choice.design} />
				<input type="hidden" name="version" value={shown.choice.version} />
				<input type="hidden" name="as" value={shown.choice.clusters ?? ''} />
				<button class="quiet-link text-[13.5px]">make it a design of its own</button>
			</form>
		{/if}
	</section>
{/snippet}

<svelte:head><title>Side by side · Bright Tally</title></svelte:head>
<main class="px-[22px] pb-12 max-sm:px-3">
	<header class="flex flex-wrap items-end gap-x-8 gap-y-3 py-4">
		<h1 class="text-[25px]">Side by side</h1>
		<form class="flex flex-wrap items-end gap-x-8 gap-y-3">
			{@render pick('first', 'This')}
			{@render pick('second', 'beside')}
			<Button type="submit">Compare</Button>
		</form>
	</header>
	{#if !both}
		<p class="py-12 text-center text-muted">
			Two designs of the Shelf stand here side by side, once there are any.
		</p>
	{:else}
		<div class="grid items-start gap-8 md:grid-cols-[minmax(0,1fr)_minmax(0,1fr)_320px]">
			{@render card('first')}
			{@render card('second')}
			<ChangeTape comparison={both.comparison} label="From the first to the second" />
		</div>
	{/if}
</main>

<style>
	.picture {
		display: grid;
		justify-items: center;
		align-items: end;
		height: 348px;
		border-bottom: 2px solid var(--ink);
	}
</style>
