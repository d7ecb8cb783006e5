<script lang="ts">
	import { standsOut } from '$lib/core/materials/families.ts';
	import { farWords, TOO_FAR } from '$lib/core/materials/near.ts';
	import { colourDistance } from '$lib/core/materials/colour-distance.ts';
	import { lookOf } from '$lib/features/colours/look-of.ts';
	import HowMany from '$lib/features/lists/HowMany.svelte';
	import Button from '$lib/ui/button/Button.svelte';

	let { data } = $props();
	/** What stands behind it: walls as they are often painted, or any other. */
	const WALLS = [
		['#ffffff', 'a white wall'],
		['#d9d3c7', 'a cream wall'],
		['#8c8f94', 'a grey wall'],
		['#8a4b38', 'brick'],
		['#7c5a3a', 'wood'],
		['#4f7a45', 'a lawn or hedge'],
		['#16181d', 'a dark stage']
	] as const;
	let behind = $state('#ffffff');
	const against = $derived(data.colours.map((c) => ({ ...c, out: standsOut(c.hex, behind) })));
	const alike = $derived(
		data.colours.flatMap((a, i) =>
			data.colours.slice(i + 1).flatMap((b) => {
				const distance = colourDistance(a.hex, b.hex);
				return distance < TOO_FAR ? [{ a: a.name, b: b.name, distance }] : [];
			})
		)
	);
</script>

<svelte:head><title>Colours of {data.name} · Bright Tally</title></svelte:head>
<main class="mx-auto max-w-4xl px-6 py-5 max-sm:px-3">
	<header class="no-print flex flex-wrap items-end gap-x-6 gap-y-2">
		<h1 class="text-2xl">Colours of {data.name}</h1>
		<HowMany asked={data} word="Show"><Button onclick={() => print()}>Print</Button></HowMany>
	</header>
	<h2 class="mt-4 hidden text-xl print:block">{data.name}</h2>
	{#if data.colours.length === 0}
		<p class="mt-8 text-muted">
			No colour is chosen in it yet. Fill its colours on the Bench, and they stand here.
		</p>
	{:else}
		<p class="no-print mt-4 flex flex-wrap items-center gap-2">
			<label
				>It stands against <select
					class="control"
					value={WALLS.some(([hex]) => hex === behind) ? behind : ''}
					onchange={(e) => (behind = e.currentTarget.value || behind)}
					>{#each WALLS as [hex, words] (hex)}<option value={hex}>{words}</option>{/each}<option value=""
						>another colour</option
					></select
				></label
			><input
				type="color"
				class="control h-9 w-16 p-1!"
				aria-label="The colour behind it"
				bind:value={behind}
			/>
		</p>
		<ul class="mt-3 grid grid-cols-3 gap-3 max-sm:grid-cols-2">
			{#each against as colour (colour.id)}
				<li class="border border-line bg-paper">
					<span class="flex h-28 items-center justify-center" style:background={behind} aria-hidden="true"
						><span class="block h-20 w-20 rounded-full" style:background={lookOf(colour)}></span></span
					>
					<div class="p-2">
						<p class="font-semibold">{colour.name}</p>
						<p class="text-[13px] text-muted">
							{colour.finish}{colour.pieces > 0
								? `, ${colour.pieces} ${colour.pieces === 1 ? 'piece' : 'pieces'}`
								: ''}: {colour.where.join('; ')}
						</p>
						<p class="no-print text-[13px] {colour.out.isWeak ? 'text-watch' : 'text-muted'}">
							{colour.out.says} ({Math.round(colour.out.distance)})
						</p>
					</div>
				</li>
			{/each}
		</ul>
		{#each alike as pair (pair.a + pair.b)}<p class="no-print mt-2 text-watch">
				{pair.a} and {pair.b} are {farWords(pair.distance)} ({Math.round(pair.distance * 10) / 10}).
			</p>{/each}
		<p class="mt-4 text-[13px] text-muted">
			Screens and paper show colours a little differently; a balloon pales as it is filled. Ask for one to
			hold in your hand where the shade matters.
		</p>
	{/if}
</main>
