<script lang="ts">
	import SearchBox from '$lib/ui/search/SearchBox.svelte';
	import ChangeList from '$lib/features/changes/ChangeList.svelte';
	import Button from '$lib/ui/button/Button.svelte';

	let { data } = $props();
	const ABOUT = [
		['', 'everything'],
		['material', 'the Stockroom'],
		['design', 'designs'],
		['quote', 'quotes'],
		['settings', 'settings'],
		['person', 'people'],
		['supplier', 'suppliers']
	] as const;
	const to = (page: number) =>
		`?${new URLSearchParams({ search: data.search, about: data.about, page: String(page) }).toString()}`;
</script>

<svelte:head><title>What was changed · Settings · Bright Tally</title></svelte:head>
<main class="mx-auto max-w-[960px] px-[22px] pb-12 max-sm:px-3">
	<header class="flex flex-wrap items-end gap-x-5 gap-y-3 py-3">
		<p class="pb-1.5"><a class="quiet-link" href="/settings">Settings</a></p>
		<h1 class="text-[25px]">What was changed</h1>
		<form class="ml-auto flex flex-wrap items-end gap-2" role="search">
			<select class="control" name="about" aria-label="Of what">
				{#each ABOUT as [value, words] (value)}<option {value} selected={value === data.about}>{words}</option
					>{/each}
			</select>
			<SearchBox
				value={data.search}
				label="Search what was changed"
				placeholder="name, person, figure"
				width="w-56"
			/>
			<Button type="submit">Find</Button>
		</form>
	</header>
	<ChangeList changes={data.changes} />
	<p class="flex flex-wrap gap-x-5 pt-2 text-[13.5px]">
		<span class="text-muted"
			>{data.many === 1 ? '1 change' : `${data.many} changes`}; none can be edited or taken out.</span
		>
		{#if data.page > 1}<a class="quiet-link" href={to(data.page - 1)}>newer</a>{/if}
		{#if data.page < data.pages}<a class="quiet-link" href={to(data.page + 1)}>older</a>{/if}
	</p>
</main>
