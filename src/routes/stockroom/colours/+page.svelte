<script lang="ts">
	import { page } from '$app/state';
	import { colourDistance } from '$lib/core/materials/colour-distance.ts';
	import { byFamily } from '$lib/core/materials/families.ts';
	import { farWords, TOO_FAR } from '$lib/core/materials/near.ts';
	import { FINISHES, KIND_WORDS, MATERIAL_KINDS, type MaterialKind } from '$lib/core/materials/material.ts';
	import { formatInches } from '$lib/core/units/length.ts';
	import SideBySide from '$lib/features/colours/SideBySide.svelte';

	let { data } = $props();
	const asked = page.url.searchParams.get('near');
	/** The colour that is looked for; any at all. */
	let picked = $state<string | null>(null);
	const hex = $derived(picked ?? data.colours.find((c) => c.id === asked)?.hex ?? data.colours[0]?.hex ?? '#2c6e91'); // prettier-ignore
	let kind = $state<MaterialKind>('latex-round');
	let nominal = $state<number | null>(null);
	let finish = $state('');
	const MOST = 24;
	const byId = $derived(new Map(data.colours.map((c) => [c.id, c])));
	const kinds = $derived(MATERIAL_KINDS.filter((k) => data.sold.some((m) => m.kind === k)));
	const sizes = $derived(
		[...new Set(data.sold.flatMap((m) => (m.kind === kind && m.nominal !== null ? [m.nominal] : [])))].sort((a, b) => a - b) // prettier-ignore
	);
	const found = $derived(
		data.sold
			.flatMap((m) => {
				const colour = byId.get(m.colour);
				if (!colour || m.kind !== kind || (nominal !== null && m.nominal !== nominal)) return [];
				if (finish !== '' && colour.finish !== finish) return [];
				return [{ ...m, look: colour, distance: colourDistance(hex, colour.hex) }];
			})
			.sort((a, b) => a.distance - b.distance)
			.slice(0, MOST)
	);
	const families = $derived(byFamily(data.colours));
</script>

<svelte:head><title>Colours side by side · Stockroom · Bright Tally</title></svelte:head>
<main class="mx-auto max-w-[1236px] px-[22px] pb-12 max-sm:px-3">
	<header class="flex flex-wrap items-baseline gap-x-4 py-3">
		<p><a class="quiet-link" href="/stockroom">Stockroom</a></p>
		<h1 class="text-[25px]">Colours side by side</h1>
		<p class="w-full text-muted">
			What can be bought near a colour, of everybody who sells it; the number is how far the eye sees them
			apart (CIEDE2000).
		</p>
	</header>
	<div class="flex flex-wrap items-end gap-3 border border-line bg-paper p-4">
		<label class="grid gap-1 text-[13px] font-medium text-muted"
			>Near this colour<span class="flex gap-2"
				><select
					class="control"
					value={data.colours.find((c) => c.hex === hex)?.id ?? ''}
					onchange={(e) => (picked = byId.get(e.currentTarget.value)?.hex ?? hex)}
					><option value="">another</option>{#each data.colours as each (each.id)}<option value={each.id}
							>{each.name}{each.finish === 'matte' ? '' : ` ${each.finish}`}</option
						>{/each}</select
				><input
					type="color"
					class="control h-9 w-16 p-1!"
					aria-label="Any colour"
					value={hex}
					oninput={(e) => (picked = e.currentTarget.value)}
				/></span
			></label
		>
		<label class="grid gap-1 text-[13px] font-medium text-muted"
			>Kind<select class="control" bind:value={kind} onchange={() => (nominal = null)}
				>{#each kinds as each (each)}<option value={each}>{KIND_WORDS[each]}</option>{/each}</select
			></label
		>
		<label class="grid gap-1 text-[13px] font-medium text-muted"
			>Bag<select class="control" bind:value={nominal}
				><option value={null}>every size</option>{#each sizes as each (each)}<option value={each}
						>{formatInches(each)} in</option
					>{/each}</select
			></label
		>
		<label class="grid gap-1 text-[13px] font-medium text-muted"
			>Finish<select class="control" bind:value={finish}
				><option value="">every finish</option>{#each FINISHES as each (each)}<option value={each}
						>{each}</option
					>{/each}</select
			></label
		>
	</div>
	{#if found.length === 0}<p class="py-8 text-center text-muted">
			Nothing of that kind, size and finish is sold here.
		</p>
	{:else}
		<ul class="mt-3 border-t-2 border-ink bg-paper">
			{#each found as each (each.id)}
				<li class="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-line px-3 py-1.5">
					<SideBySide hexes={[hex, each.look.hex]} />
					<a class="min-w-56 hover:underline" href="/stockroom/{each.id}">{each.name}</a>
					<span class="text-[13px] {each.distance > TOO_FAR ? 'text-watch' : 'text-muted'}"
						>{farWords(each.distance)} (<span class="figures">{Math.round(each.distance * 10) / 10}</span
						>)</span
					>
					<span class="text-muted">{each.suppliers.join(', ')}</span>
					<span class="figures ml-auto">{each.each ?? 'price not known'}</span>
					<span class="figures w-28 text-right text-[13px] text-muted">{each.onHand ?? ''}</span>
				</li>
			{/each}
		</ul>
	{/if}
	<section class="mt-6" aria-labelledby="families">
		<h2 id="families" class="text-[17px] font-semibold">All colours, family by family</h2>
		<div class="mt-1 grid grid-cols-2 gap-x-8 max-md:grid-cols-1">
			{#each families as { family, colours } (family)}
				<div class="flex gap-3 border-b border-line py-2">
					<h3 class="w-20 flex-none text-[13px] font-medium text-muted">{family}</h3>
					<ul class="flex flex-wrap gap-x-3 gap-y-1">
						{#each colours as colour (colour.id)}<li>
								<button
									type="button"
									class="flex min-h-7 items-center gap-1.5 text-[13px] hover:underline"
									onclick={() => (picked = colour.hex)}
									><span
										class="block h-4 w-4 flex-none rounded-full border border-line"
										style:background={colour.hex}
									></span>{colour.name}{colour.finish === 'matte' ? '' : ` ${colour.finish}`}</button
								>
							</li>{/each}
					</ul>
				</div>
			{/each}
		</div>
	</section>
</main>
