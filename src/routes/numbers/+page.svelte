<script lang="ts">
	import AnswerPart from '$lib/features/numbers/AnswerPart.svelte';
	import Button from '$lib/ui/button/Button.svelte';
	import Field from '$lib/ui/field/Field.svelte';

	let { data } = $props();
	const { period } = $derived(data);
	const asked = $derived(`from=${period.from}&to=${period.to}`);
</script>

<svelte:head><title>Numbers · Bright Tally</title></svelte:head>
<main class="mx-auto grid max-w-5xl grid-cols-[minmax(0,1fr)] gap-5 px-6 pb-12 max-sm:px-3">
	<header class="flex flex-wrap items-baseline gap-x-4 gap-y-1 pt-4">
		<h1 class="text-[25px]">Numbers</h1>
		<p class="text-muted">out of jobs that were counted back, as they were worked out then</p>
		<p class="ml-auto"><a class="quiet-link" href="/numbers/taught">What jobs taught</a></p>
	</header>
	<form class="flex flex-wrap items-end gap-x-4 gap-y-3" aria-label="Days that are looked at">
		{#each [['from', 'From'], ['to', 'Until']] as const as [name, label] (name)}
			<Field {label}>
				{#snippet children(attributes)}<input
						{...attributes}
						class="control"
						type="date"
						{name}
						defaultValue={period[name]}
					/>{/snippet}
			</Field>
		{/each}
		<Button type="submit">Show these days</Button>
		<p class="flex flex-wrap gap-x-4 pb-1.5">
			{#each data.usual as { says, from, to } (says)}
				<a
					class="quiet-link"
					aria-current={from === period.from && to === period.to ? 'true' : undefined}
					href="/numbers?from={from}&to={to}">{says}</a
				>
			{/each}
		</p>
	</form>
	<nav aria-label="Questions" class="flex flex-wrap gap-x-5 gap-y-1 text-[13.5px]">
		{#each data.answers as { id, question } (id)}<a class="quiet-link" href="#{id}">{question}</a>{/each}
		<a class="quiet-link" href="#cash-ahead">What money comes and goes in the weeks ahead?</a>
	</nav>
	{#each data.answers as answer (answer.id)}
		<AnswerPart {answer} currency={data.currency} style={data.formats} {asked} />
	{/each}
	{#await data.cash}<p class="text-muted" role="status">
			Money ahead is being worked out …
		</p>{:then cash}{#if cash}<AnswerPart
				answer={cash}
				currency={data.currency}
				style={data.formats}
				{asked}
			/>{/if}{/await}
</main>
