<script lang="ts">
	import ImportFile from '$lib/features/files/ImportFile.svelte';
	import Button from '$lib/ui/button/Button.svelte';

	let { data } = $props();
	let wanted = $state<string[]>([]);
	let filter = $state('');
	const shown = $derived(
		data.designs.filter((d) => d.name.toLowerCase().includes(filter.trim().toLowerCase()))
	);
</script>

<svelte:head><title>Recipe files · Bright Tally</title></svelte:head>
<main class="mx-auto grid max-w-5xl gap-x-14 gap-y-10 px-6 py-6 md:grid-cols-2 max-sm:px-3">
	<section>
		<h1 class="mb-1 text-[25px]">Open a recipe file</h1>
		<p class="mb-4 text-muted">
			Its designs come to your Shelf. What it would bring is shown first; nothing of yours is overwritten.
		</p>
		<ImportFile />
	</section>
	<section>
		<h2 class="mb-1 text-[21px]">Take designs away</h2>
		<p class="mb-3 text-muted">
			One file with the designs, what they use and the materials they name; no prices. The file is JSON of <a
				class="quiet-link"
				href={data.schema}>this shape</a
			> and opens here or in another studio.
		</p>
		<form action="/shelf/recipes.json" class="grid gap-3">
			<input
				class="control w-60"
				placeholder="name"
				aria-label="Find a design to take away"
				bind:value={filter}
				onkeydown={(e) => {
					if (e.key === 'Enter') e.preventDefault();
				}}
			/>
			<div class="grid max-h-96 gap-1 overflow-y-auto border-y border-line py-2">
				{#each shown as design (design.id)}
					<label class="flex items-center gap-2">
						<input type="checkbox" name="design" value={design.id} bind:group={wanted} />
						{design.name}
					</label>
				{/each}
			</div>
			<p>
				<Button type="submit"
					>{wanted.length === 0 ? `Take all ${data.designs.length}` : `Take ${wanted.length}`}</Button
				>
			</p>
		</form>
	</section>
</main>
