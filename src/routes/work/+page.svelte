<script lang="ts">
	import SearchBox from '$lib/ui/search/SearchBox.svelte';
	import Button from '$lib/ui/button/Button.svelte';

	let { data } = $props();
	const GOES = [
		['plan', 'Steps'],
		['lists', 'Lists'],
		['sheet', 'Sheet'],
		['photos', 'Photos']
	] as const;
</script>

<svelte:head><title>To build · Bright Tally</title></svelte:head>
<main class="mx-auto max-w-[1236px] px-[22px] pb-12 max-sm:px-3">
	<header class="flex flex-wrap items-end gap-x-6 gap-y-3 py-4">
		<h1 class="text-[25px]">To build</h1>
		<form class="flex items-end gap-2" role="search">
			<SearchBox value={data.search} label="Find a design" placeholder="Find a design" />
			<Button type="submit">Find</Button>
		</form>
	</header>
	<ul class="grid grid-cols-[repeat(auto-fill,minmax(230px,1fr))] gap-5">
		{#each data.designs as design (design.id)}
			<li class="border border-line bg-paper">
				<a href="/bench/{design.id}/plan" class="block">
					<img
						src="/shelf/picture/{design.id}?at={design.versionId}"
						alt=""
						loading="lazy"
						class="aspect-[4/3] w-full object-contain"
					/>
					<b class="block px-3 pt-1">{design.name}</b>
				</a>
				<p class="flex gap-x-4 px-3 pb-2">
					{#each GOES as [path, word] (path)}
						<a
							class="quiet-link inline-flex min-h-[34px] items-center pointer-coarse:min-h-[44px]"
							href="/bench/{design.id}/{path}"
							aria-label="{word} of {design.name}">{word}</a
						>
					{/each}
				</p>
			</li>
		{:else}
			<li class="text-muted">
				{data.search ? 'Nothing by that name. Try another word.' : 'Nothing was kept yet.'}
			</li>
		{/each}
	</ul>
</main>
