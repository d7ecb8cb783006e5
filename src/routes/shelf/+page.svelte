<script lang="ts">
	import SearchBox from '$lib/ui/search/SearchBox.svelte';
	import Pager from '$lib/ui/pager/Pager.svelte';
	import Notice from '$lib/ui/notice/Notice.svelte';
	import { enhance } from '$app/forms';
	import { page } from '$app/state';
	import Button from '$lib/ui/button/Button.svelte';
	import ShelfView from '$lib/features/shelf/ShelfView.svelte';

	let { data, form } = $props();
	const link = (change: Record<string, string | number>) => {
		const next = new URLSearchParams(page.url.searchParams);
		for (const [name, value] of Object.entries(change)) next.set(name, String(value));
		// What was pressed last is no part of an address.
		for (const name of [...next.keys()]) if (name.startsWith('/')) next.delete(name);
		return `/shelf?${next}`;
	};
</script>

<svelte:head><title>Shelf · Bright Tally</title></svelte:head>
<main class="px-[22px] pb-10 max-sm:px-3">
	<header class="flex flex-wrap items-center gap-x-4 gap-y-2 py-3">
		<h1 class="text-[25px]">{data.query.away ? 'Put away' : 'Shelf'}</h1>
		<p class="text-muted">
			{data.found === data.all ? '' : `${data.found} of `}{data.all === 1
				? '1 design'
				: `${data.all} designs`}
		</p>
		<form class="flex flex-wrap items-center gap-2">
			{#if data.query.away}<input type="hidden" name="away" value="yes" />{/if}
			<SearchBox value={data.query.search} label="Search the Shelf" placeholder="name or tag" width="w-44" />
			<select
				class="control"
				name="sort"
				value={data.query.sort}
				aria-label="Sort by"
				onchange={(e) => e.currentTarget.form?.requestSubmit()}
			>
				<option value="changed">last changed</option><option value="name">name</option><option value="price"
					>price</option
				>
				<option value="margin">what it leaves</option><option value="time">build time</option>
			</select>
			<select
				class="control"
				name="tag"
				value={data.query.tag}
				aria-label="Tag"
				onchange={(e) => e.currentTarget.form?.requestSubmit()}
			>
				<option value="">every tag</option>
				{#each data.tags as tag (tag)}<option>{tag}</option>{/each}
			</select>
			<Button type="submit">Find</Button>
		</form>
		<div class="ml-auto flex flex-wrap items-center gap-3">
			{#if data.query.away}<a class="quiet-link" href="/shelf">Back to the Shelf</a>
			{:else if data.away > 0}<a class="quiet-link" href="/shelf?away=yes">Put away ({data.away})</a>{/if}
			<a class="quiet-link" href="/compare">Side by side</a>
			<a class="quiet-link" href="/shelf/open">Recipe files</a>
			<Button kind="strong" href="/new">New design</Button>
		</div>
	</header>
	{#if data.damaged.length > 0}
		<Notice level="bad"
			>{data.damaged.join(', ')} cannot be read any more and {data.damaged.length === 1 ? 'was' : 'were'} left as
			{data.damaged.length === 1 ? 'it is' : 'they are'}. Everything else is here: put a backup beside it to
			get
			{data.damaged.length === 1 ? 'it' : 'them'} back.</Notice
		>
	{/if}
	{#if form && 'trouble' in form && form.trouble}
		<Notice level="watch" live>{form.trouble.join(' ')}</Notice>
	{:else if form && 'putAway' in form && form.putAway}
		<form method="post" action="?/out" class="flex flex-wrap items-center gap-3 pb-3" use:enhance>
			<input type="hidden" name="of" value={form.putAway.id} />
			<input type="hidden" name="name" value={form.putAway.name} />
			<p role="status">
				<b>{form.putAway.name}</b> is put away: not on the Shelf, not offered for quotes, and still there for whatever
				uses it.
			</p>
			<Button type="submit">Take it out again</Button>
		</form>
	{:else if form && 'takenOut' in form && form.takenOut}
		<p class="pb-3" role="status"><b>{form.takenOut.name}</b> is back on the Shelf.</p>
	{:else if form && 'deleted' in form}
		<p class="pb-3" role="status">Deleted for good.</p>
	{/if}
	{#if data.items.length > 0}
		<ShelfView items={data.items} fresh={data.fresh} isAway={data.query.away} />
	{:else if data.query.away && data.all === 0}
		<p class="py-16 text-center text-muted">
			Nothing is put away. <a class="quiet-link" href="/shelf">Back to the Shelf</a>
		</p>
	{:else if data.all === 0 && data.away > 0}
		<p class="py-16 text-center text-muted">
			Every design is put away. <a class="quiet-link" href="/shelf?away=yes">Look at them</a>
		</p>
	{:else if data.all === 0}
		<div class="py-16 text-center">
			<p class="text-lg">Nothing on the Shelf yet.</p>
			<p class="pb-5 text-muted">
				Say what your first piece is: its picture, its cost and its price stand here from then on.
			</p>
			<Button kind="strong" href="/new">Make the first design</Button>
		</div>
	{:else}
		<p class="py-16 text-center text-muted">
			No design answers to that. <a class="quiet-link" href={data.query.away ? '/shelf?away=yes' : '/shelf'}
				>Show them all</a
			>
		</p>
	{/if}
	<Pager page={data.page} pages={data.pages} label="Pages" href={(page) => link({ page })} />
</main>
