<script lang="ts">
	import Button from '../../ui/button/Button.svelte';

	interface Offer {
		readonly versionId: string;
		readonly design: string;
		readonly name: string;
	}
	interface Props {
		offered: readonly Offer[];
		onadd: (versionId: string) => void;
	}
	let { offered, onadd }: Props = $props();
	let open = $state(false);
	let search = $state('');
	let field = $state<HTMLInputElement>();
	/** A list is looked through, not scrolled. */
	const MOST = 12;
	const words = $derived(search.toLowerCase().split(/\s+/).filter(Boolean));
	const found = $derived(offered.filter((o) => words.every((w) => o.name.toLowerCase().includes(w))));
	function add(offer: Offer) {
		onadd(offer.versionId);
		open = false;
		search = '';
	}
	$effect(() => {
		if (open) field?.focus();
	});
</script>

<svelte:window
	onkeydown={(e) => {
		if (open && e.key === 'Escape') open = false;
	}}
/>

{#if !open}
	<Button onclick={() => (open = true)}>Add a design</Button>
{:else}
	<div class="w-full border border-line bg-paper p-3" role="group" aria-label="Designs to add">
		<p class="flex gap-2">
			<input
				bind:this={field}
				bind:value={search}
				class="control w-full max-w-xs"
				aria-label="Look for a design to add"
				placeholder="column, arch, garland …"
				autocomplete="off"
				onkeydown={(e) => {
					if (e.key !== 'Enter') return;
					e.preventDefault();
					if (found[0] && (words.length > 0 || found.length === 1)) add(found[0]);
				}}
			/>
			<Button kind="word" onclick={() => (open = false)}>Close</Button>
		</p>
		<ul class="mt-2 grid grid-cols-[repeat(auto-fill,minmax(116px,1fr))] gap-2">
			{#each found.slice(0, MOST) as offer (offer.versionId)}
				<li>
					<button
						type="button"
						class="grid w-full justify-items-center gap-1 border border-line p-2 text-center text-[13px] hover:border-ink"
						onclick={() => add(offer)}
					>
						<img
							src="/shelf/picture/{offer.design}?at={offer.versionId}"
							alt=""
							loading="lazy"
							class="h-[88px] object-contain"
						/>
						{offer.name}
					</button>
				</li>
			{:else}<li class="col-span-full text-muted">No kept design answers to that.</li>{/each}
		</ul>
		{#if found.length > MOST}<p class="mt-1 text-[13px] text-muted">
				{found.length - MOST} more: type a few letters of its name.
			</p>{/if}
	</div>
{/if}
