<script lang="ts">
	import SearchBox from '$lib/ui/search/SearchBox.svelte';
	import { formatMoney, money } from '$lib/core/money/money.ts';
	import Button from '$lib/ui/button/Button.svelte';

	let { data } = $props();
</script>

<svelte:head><title>Clients · Bright Tally</title></svelte:head>
<main class="mx-auto max-w-4xl px-6 pb-10 max-sm:px-3">
	<header class="flex flex-wrap items-end gap-x-6 gap-y-3 py-4">
		<h1 class="text-[25px]">Clients</h1>
		<form class="flex items-end gap-2" role="search">
			<SearchBox value={data.search} label="Search the clients" placeholder="name, e-mail, telephone" />
			<Button type="submit">Find</Button>
		</form>
		<a class="quiet-link ml-auto" href="/quotes">Quotes</a>
	</header>
	<ul class="border-t-2 border-ink bg-paper">
		{#each data.rows as row (row.id)}
			<li class="border-b border-line">
				<a
					href="/clients/{row.id}"
					class="grid grid-cols-[1fr_130px_110px] items-baseline gap-4 px-4 py-2.5 hover:bg-tint max-sm:grid-cols-[1fr_auto] max-sm:gap-y-0"
				>
					<span class="min-w-0"
						><b class="break-words">{row.name}</b>
						<span class="text-muted">{[row.email, row.phone].filter(Boolean).join(' · ')}</span></span
					>
					<span>{row.quotes === 1 ? '1 quote' : `${row.quotes} quotes`}, {row.won} won</span>
					<span class="figures text-right"
						>{row.paid > 0 ? formatMoney(money(row.paid, data.currency)) : '—'}</span
					>
				</a>
			</li>
		{:else}
			<li class="px-4 py-10 text-center text-muted">
				{data.search ? 'No client answers to that.' : 'No clients yet: the first quote makes one.'}
			</li>
		{/each}
	</ul>
</main>
