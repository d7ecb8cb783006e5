<script lang="ts">
	import { enhance } from '$app/forms';
	import Button from '$lib/ui/button/Button.svelte';
	import Notice from '$lib/ui/notice/Notice.svelte';

	let { data, form } = $props();
	let busy = $state(false);
	const every = $derived(
		data.hours === 24 ? 'Once a day' : `Every ${data.hours === 1 ? 'hour' : `${data.hours} hours`}`
	);
</script>

<svelte:head><title>Backups · Settings · Bright Tally</title></svelte:head>
<main class="mx-auto max-w-[760px] px-[22px] pb-12 max-sm:px-3">
	<header class="flex flex-wrap items-baseline gap-x-4 py-3">
		<p><a class="quiet-link" href="/settings">Settings</a></p>
		<h1 class="text-[25px]">Backups</h1>
	</header>
	{#if data.wentBack}
		<div class="pb-3">
			<Notice level="good" live
				>Your studio is as it was on {data.wentBack}. As it was until now is the newest backup.</Notice
			>
		</div>
	{/if}
	{#if !data.isLocal}
		<p>The data lies at an address: whoever runs that keeps its backups.</p>
	{:else}
		<p class="text-muted">
			{data.hours === 0
				? 'None are made by themselves here (BACKUP_HOURS is 0).'
				: `${every} a copy is made by itself,`}
			opened and looked at before it counts{data.locks ? ', locked with the passphrase of this server' : ''};
			the newest {data.keep} are kept, beside the data, in the folder
			<span class="figures">backups</span>. A stolen machine takes its backups with it: take
			<a class="quiet-link" href="/settings/studio-file">your studio as a file</a> to another place now and then.
		</p>
		{#if !data.isServers}<p class="py-3">Whoever owns this server makes them, for all studios on it.</p>{/if}
		<form
			method="post"
			action="?/make"
			class="flex flex-wrap items-center gap-4 py-4"
			hidden={!data.isServers}
			use:enhance={() => {
				busy = true;
				return async ({ update }) => {
					await update();
					busy = false;
				};
			}}
		>
			<Button kind="strong" type="submit" disabled={busy}>{busy ? 'Making it …' : 'Make one now'}</Button>
			{#if form && 'made' in form}<Notice level="good" live>{form.made} is made and whole.</Notice>
			{:else if form && 'trouble' in form}<Notice level="bad" live>{form.trouble}</Notice>{/if}
		</form>
		<ul class="border-t-2 border-ink bg-paper" aria-label="Backups that are kept">
			{#each data.backups as backup (backup.name)}
				<li class="flex flex-wrap gap-x-5 border-b border-line px-4 py-2">
					<b class="grow">{backup.at}</b>
					<span class="figures break-all text-muted"
						>{backup.name}{#if backup.locked}, locked{/if}</span
					>
					<span class="figures">{backup.size}</span>
					<a
						class="quiet-link"
						href="/settings/backups/{encodeURIComponent(backup.name)}"
						aria-label="Go back to {backup.at}">Go back to this</a
					>
				</li>
			{:else}
				<li class="border-b border-line px-4 py-3 text-muted">None yet.</li>
			{/each}
		</ul>
		<p class="pt-4 text-[13.5px] text-muted">
			Go back to one and you first see what would be different. Where the server does not start any more, at
			the machine <span class="figures whitespace-nowrap">npm run restore</span> does the same for everything.
		</p>
	{/if}
</main>
