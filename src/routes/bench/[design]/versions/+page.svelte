<script lang="ts">
	import { enhance } from '$app/forms';
	import ChangeTape from '$lib/features/lists/ChangeTape.svelte';
	import Button from '$lib/ui/button/Button.svelte';
	import Field from '$lib/ui/field/Field.svelte';
	import Notice from '$lib/ui/notice/Notice.svelte';

	let { data, form } = $props();
	const nameOf = (id: string) => {
		const version = data.versions.find((v) => v.id === id);
		return version
			? `version ${version.number}${version.name ? `, “${version.name}”` : ''}`
			: 'the working copy';
	};
	const MARK = { both: '', first: '−', second: '+' };
	const comparison = $derived(data.comparison);
	/** A kept version chosen as the second may become the working copy. */
	const restorable = $derived(data.versions.some((v) => v.id === data.first));
</script>

{#snippet choice(label: string, name: 'first' | 'second')}
	<Field {label}>
		{#snippet children(attributes)}
			<select
				{...attributes}
				{name}
				class="control"
				value={data[name]}
				onchange={(e) => e.currentTarget.form?.requestSubmit()}
			>
				<option value="working">the working copy</option>
				{#each data.versions as version (version.id)}<option value={version.id}
						>version {version.number}{version.name ? `, “${version.name}”` : ''}, {version.kept}</option
					>{/each}
			</select>
		{/snippet}
	</Field>
{/snippet}

<svelte:head><title>Versions of {data.name} · Bright Tally</title></svelte:head>
<main class="mx-auto max-w-5xl px-6 pb-12 max-sm:px-3">
	<header class="flex flex-wrap items-baseline gap-x-5 gap-y-1 py-4">
		<h1 class="text-[25px]">{data.name}</h1>
		<p class="text-muted">
			{data.versions.length === 0
				? 'not kept yet'
				: `kept ${data.versions.length === 1 ? 'once' : `${data.versions.length} times`}`}{data.ahead
				? ', the working copy is newer'
				: ''}
		</p>
		{#if data.credit}<p class="text-muted">{data.credit}</p>{/if}
		<a class="quiet-link ml-auto" href="/compare?first={data.id}&second={data.id}"
			>side by side, as pictures</a
		>
		<a class="quiet-link" href="/bench/{data.id}">back to the Bench</a>
	</header>
	{#if form?.trouble}<div class="mb-3"><Notice level="watch" live>{form.trouble}</Notice></div>{/if}
	{#if data.versions.length === 0}
		<p class="py-12 text-center text-muted">
			Press Keep on the Bench: every kept version stands here from then on.
		</p>
	{:else}
		<div class="mb-4 flex flex-wrap items-end gap-4">
			<form class="flex flex-wrap items-end gap-4">
				{@render choice('From', 'first')}
				{@render choice('to', 'second')}
				<Button type="submit">Compare</Button>
			</form>
			{#if restorable}
				<form method="post" action="?/restore">
					<input type="hidden" name="id" value={data.fresh} />
					<input type="hidden" name="revision" value={data.revision} />
					<input type="hidden" name="version" value={data.first} />
					<Button type="submit">Go back to {nameOf(data.first)}</Button>
				</form>
			{/if}
		</div>
		{#if comparison}
			<div class="grid items-start gap-8 md:grid-cols-[minmax(0,1fr)_320px]">
				<section aria-label="Rows">
					<h2 class="mb-1 text-base">Rows, lowest first</h2>
					<ol class="figures border-t-2 border-ink bg-paper text-[13.5px]">
						{#each comparison.lines as line, index (index)}
							<li
								class="flex gap-3 border-b border-line px-3 py-1.5"
								class:text-muted={line.where === 'both'}
							>
								<span class="w-3" aria-hidden="true">{MARK[line.where]}</span>
								<span class:line-through={line.where === 'first'}>{line.text}</span>
								<span class="sr-only"
									>{line.where === 'both' ? '' : `only in ${nameOf(data[line.where])}`}</span
								>
							</li>
						{/each}
					</ol>
				</section>
				<ChangeTape
					{comparison}
					label="What changed"
					head="from {nameOf(data.first)} to {nameOf(data.second)}"
				/>
			</div>
		{/if}
		<section class="mt-8" aria-label="Kept versions">
			<h2 class="mb-1 text-base">Kept versions</h2>
			<ol class="border-t-2 border-ink bg-paper text-[13.5px]">
				{#each data.versions as version (version.id)}
					<li class="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-line px-3 py-1.5">
						<b class="w-20">version {version.number}</b>
						<span class="w-48 text-muted">{version.kept}</span>
						<form method="post" action="?/name" class="flex items-center gap-2" use:enhance>
							<input type="hidden" name="version" value={version.id} />
							<input
								class="control w-56"
								name="name"
								maxlength="80"
								aria-label="Name of version {version.number}"
								placeholder="no name"
								value={version.name}
							/>
							<Button type="submit">Name it</Button>
							{#if form?.named === version.id}<span role="status" class="text-good">named</span>{/if}
						</form>
						<span class="text-muted">{version.how}</span>
					</li>
				{/each}
			</ol>
		</section>
	{/if}
</main>
