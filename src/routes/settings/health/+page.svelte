<script lang="ts">
	import Notice from '$lib/ui/notice/Notice.svelte';

	let { data } = $props();
	const { about, server } = $derived(data);
</script>

{#snippet fact(what: string, value: string)}
	<div class="grid grid-cols-[170px_1fr] gap-x-4 border-b border-line px-4 py-2 max-sm:grid-cols-1">
		<dt class="text-muted">{what}</dt>
		<dd>{value}</dd>
	</div>
{/snippet}

<svelte:head><title>How the server is · Settings · Bright Tally</title></svelte:head>
<main class="mx-auto max-w-[760px] px-[22px] pb-12 max-sm:px-3">
	<header class="flex flex-wrap items-baseline gap-x-4 py-3">
		<p><a class="quiet-link" href="/settings">Settings</a></p>
		<h1 class="text-[25px]">How the server is</h1>
	</header>
	{#if server}
		<div class="grid gap-2 pb-4">
			{#each server.warnings as warning (warning)}<Notice level="bad">{warning}</Notice>
			{:else}<Notice level="good"
					>The data answers, and there is room on the disk{server.backup
						? '; the newest backup is whole'
						: ''}.</Notice
				>{/each}
		</div>
		<dl class="border-t-2 border-ink bg-paper">
			{@render fact('Running since', server.since)}
			{#if server.free}{@render fact(
					'Room on the disk',
					`${server.free} free; the data take ${server.data}`
				)}{/if}
			{@render fact(
				'Last backup',
				!server.isLocal
					? 'the data lies at an address: whoever runs that keeps its backups'
					: server.backup
						? `${server.backup.at}, ${server.backup.size}, opened and found whole${server.backup.locked ? ', locked' : ''}`
						: 'none yet'
			)}
			{@render fact('Signed in', server.signedIn.join(', ') || 'nobody')}
			{@render fact(
				'Versions',
				`Bright Tally ${about.version}, figures ${about.engine}, data ${server.database}, Node ${about.node}`
			)}
		</dl>
		<p class="flex flex-wrap gap-x-5 py-3">
			<a class="quiet-link" href="/settings/backups">Backups</a>
			<a class="quiet-link" href="/settings/studio-file">Your studio as a file</a>
			<a class="quiet-link" href="/settings/people">People who sign in</a>
			<a class="quiet-link" href="/settings/changes">What was changed</a>
		</p>
		<h2 class="pt-3 text-[18px]">What went wrong</h2>
		<p class="pb-2 text-[13.5px] text-muted">
			Saves that were refused and pages that failed, the newest first, without names or what was typed.
			{#if server.file}It stands in <span class="figures break-all">{server.file}</span>, beside the data.{/if}
		</p>
		<ul class="border-t border-line bg-paper" aria-label="What went wrong">
			{#each server.troubles as trouble (trouble.id)}
				<li class="flex flex-wrap gap-x-5 border-b border-line px-4 py-1.5">
					<span class="text-muted">{trouble.at}</span><span>{trouble.say}</span>
				</li>
			{:else}<li class="border-b border-line px-4 py-2 text-muted">Nothing.</li>
			{/each}
		</ul>
	{:else}
		<p>Your studio is one of several on this server; whoever owns the server sees how the machine is.</p>
		<p class="pt-2 text-muted">Bright Tally {about.version}, figures {about.engine}.</p>
	{/if}
	<h2 class="pt-6 text-[18px]">What is new</h2>
	{#each about.news as { version, news } (version)}
		<h3 class="pt-2 text-[15px]">Version {version}</h3>
		<ul class="grid list-disc gap-1 pl-5">
			{#each news as one (one)}<li>{one}</li>{/each}
		</ul>
	{/each}
</main>
