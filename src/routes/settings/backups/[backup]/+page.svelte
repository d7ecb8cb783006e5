<script lang="ts">
	import { enhance } from '$app/forms';
	import Button from '$lib/ui/button/Button.svelte';
	import Notice from '$lib/ui/notice/Notice.svelte';

	let { data, form } = $props();
	let busy = $state(false);
</script>

<svelte:head><title>Go back · Backups · Bright Tally</title></svelte:head>
<main class="mx-auto max-w-[760px] px-[22px] pb-12 max-sm:px-3">
	<header class="flex flex-wrap items-baseline gap-x-4 py-3">
		<p><a class="quiet-link" href="/settings/backups">Backups</a></p>
		<h1 class="text-[25px]">Back to {data.at}?</h1>
	</header>
	{#if !data.readable}
		<Notice level="bad"
			>This backup cannot be opened: it is damaged, or locked with another passphrase. Take another.</Notice
		>
	{:else if data.differences.length === 0 && !data.settings}
		<Notice level="good">Your studio is as it was then: there is nothing to go back to.</Notice>
	{:else}
		<p class="pb-3 text-muted">Nothing is changed yet. This is what would be different:</p>
		<ul class="border-t-2 border-ink bg-paper" aria-label="What would be different">
			{#each data.differences as d (d.table)}
				<li class="grid gap-0.5 border-b border-line px-4 py-2">
					{#if d.goes}<span><b>{d.goes}</b> of since then would go.</span>{/if}
					{#if d.comes}<span><b>{d.comes}</b> would come back.</span>{/if}
					{#if d.differs}<span><b>{d.differs}</b> would be as they were.</span>{/if}
					{#if d.names.length > 0}
						<span class="text-[13.5px] text-muted">
							{#each d.names as { name, goes }, i (i)}{i > 0 ? '; ' : ''}{name}
								({goes ? 'goes' : 'comes back'}){/each}
						</span>
					{/if}
				</li>
			{/each}
			{#if data.settings}<li class="border-b border-line px-4 py-2">
					<b>Your settings</b> would be as they were.
				</li>{/if}
		</ul>
		<p class="py-3 text-[13.5px] text-muted">
			Before that a backup of now is made, so you can come back from it. Who signs in, and the list of what
			was changed, stay as they are. Links that clients have of quotes sent since then open no more.
		</p>
		<form
			method="post"
			class="flex flex-wrap items-center gap-4"
			use:enhance={() => {
				busy = true;
				return async ({ update }) => {
					await update();
					busy = false;
				};
			}}
		>
			<Button kind="strong" type="submit" disabled={busy}
				>{busy ? 'Going back …' : 'Put my studio back to this'}</Button
			>
			<a class="quiet-link" href="/settings/backups">Leave it as it is</a>
			{#if form?.trouble}<Notice level="bad" live>{form.trouble}</Notice>{/if}
		</form>
	{/if}
</main>
