<script lang="ts">
	import { applyAction, deserialize } from '$app/forms';
	import { invalidateAll } from '$app/navigation';
	import { sendInPieces } from '$lib/features/studio-file/send-in-pieces.ts';
	import Button from '$lib/ui/button/Button.svelte';
	import Field from '$lib/ui/field/Field.svelte';
	import Notice from '$lib/ui/notice/Notice.svelte';

	let { data, form } = $props();
	const said = $derived((form ?? {}) as { say?: string; locked?: boolean; brought?: string; found?: { studio: string; made: string; holds: string } }); // prettier-ignore
	let upload = $state('');
	let passphrase = $state('');
	let busy = $state('');
	let trouble = $state('');

	async function ask(action: 'look' | 'bring'): Promise<void> {
		const body = new FormData();
		body.set('upload', upload);
		body.set('passphrase', passphrase);
		busy = action === 'look' ? 'Looking through it …' : 'Bringing it in …';
		try {
			const answer = await fetch(`?/${action}`, { method: 'POST', body });
			const result = deserialize(await answer.text());
			await applyAction(result);
			if (result.type === 'success' && action === 'bring') await invalidateAll();
		} catch {
			trouble = 'The server does not answer. Try again.';
		} finally {
			busy = '';
		}
	}
	async function take(file: File | undefined): Promise<void> {
		if (!file) return;
		trouble = '';
		passphrase = '';
		const id = crypto.randomUUID();
		busy = 'Sending it …';
		try {
			await sendInPieces(file, '/settings/studio-file/piece', id, (bytes) => {
				busy = `Sending it: ${Math.floor((100 * bytes) / Math.max(1, file.size))} %`;
			});
			upload = id;
		} catch (cause) {
			trouble = cause instanceof Error ? cause.message : String(cause);
			busy = '';
			return;
		}
		await ask('look');
	}
</script>

<svelte:head><title>Studio file · Settings · Bright Tally</title></svelte:head>
<main class="mx-auto max-w-[760px] px-[22px] pb-12 max-sm:px-3">
	<header class="flex flex-wrap items-baseline gap-x-4 py-3">
		<p><a class="quiet-link" href="/settings">Settings</a></p>
		<h1 class="text-[25px]">Your studio as a file</h1>
	</header>
	<section aria-labelledby="out-title">
		<h2 id="out-title" class="text-[18px]">Take everything out</h2>
		<p class="text-muted">
			This studio holds {data.holds}. All of it goes into one zip that opens anywhere: data as JSON,
			spreadsheets as CSV, photos as photos, with wages and prices, and without anybody’s password. Keep it
			where nobody else reads it.
		</p>
		<form method="post" action="/settings/studio-file/studio.zip" class="grid max-w-[420px] gap-3 py-4">
			<Field
				label="Passphrase, if it should be locked"
				error={data.short
					? `Give ${data.shortest} characters or more, or none. Several words are easier.`
					: undefined}
			>
				{#snippet children(attributes)}
					<input
						{...attributes}
						name="passphrase"
						class="control w-full"
						autocomplete="off"
						minlength={data.shortest}
						maxlength="500"
					/>
				{/snippet}
			</Field>
			<p class="text-[13.5px] text-muted">
				Whoever loses it cannot open the file, and nobody can help. Tools that read the age format open it.
			</p>
			<div><Button kind="strong" type="submit">Take the file</Button></div>
		</form>
	</section>
	<section class="border-t border-line pt-5" aria-labelledby="in-title">
		<h2 id="in-title" class="text-[18px]">Bring a studio in</h2>
		{#if said.brought}
			<Notice level="good" live
				>It is all here: {said.brought}. Clients’ links lead here if no other studio of this server has them.</Notice
			>
		{:else if !data.isEmpty}
			<p class="text-muted">
				A studio file goes into an empty studio, and this one has something in it. To go back to how this
				studio was, take <a class="quiet-link" href="/settings/backups">a backup</a>.
			</p>
		{:else}
			<p class="pb-3 text-muted">
				A file that was taken out here or on another server. You see what is in it first.
			</p>
			<label class="grid max-w-[420px] gap-1">
				<span class="text-[13px] font-medium text-muted">Studio file</span>
				<input
					type="file"
					class="control w-full py-1.5"
					accept=".zip,.age,application/zip"
					disabled={busy !== ''}
					onchange={(e) => void take(e.currentTarget.files?.[0])}
				/>
			</label>
			{#if said.locked && upload}
				<form
					class="grid max-w-[420px] gap-3 pt-3"
					onsubmit={(e) => {
						e.preventDefault();
						void ask('look');
					}}
				>
					<Field label="Its passphrase" error={passphrase ? said.say : undefined}>
						{#snippet children(attributes)}
							<input {...attributes} class="control w-full" autocomplete="off" bind:value={passphrase} />
						{/snippet}
					</Field>
					<div><Button type="submit" disabled={busy !== ''}>Open it</Button></div>
				</form>
			{/if}
			<div class="grid gap-3 pt-3" aria-live="polite">
				{#if busy}<p>{busy}</p>
				{:else if trouble}<Notice level="bad" live>{trouble}</Notice>
				{:else if said.say && !(said.locked && passphrase)}<Notice level={said.locked ? 'watch' : 'bad'} live
						>{said.say}</Notice
					>
				{:else if said.found}
					<p>
						<b>{said.found.studio}</b>, taken out on {said.found.made}: {said.found.holds}. It is whole.
					</p>
					<div><Button kind="strong" onclick={() => void ask('bring')}>Bring it all in</Button></div>
				{/if}
			</div>
		{/if}
	</section>
</main>
