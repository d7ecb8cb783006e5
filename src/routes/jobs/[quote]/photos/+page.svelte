<script lang="ts">
	import { enhance } from '$app/forms';
	import Button from '$lib/ui/button/Button.svelte';
	import Field from '$lib/ui/field/Field.svelte';
	import Notice from '$lib/ui/notice/Notice.svelte';

	let { data, form } = $props();
	interface Said {
		trouble?: string;
		typed?: string;
		added?: string;
		said?: string;
	}
	const said = $derived((form ?? {}) as Said);
	const shown = $derived(data.photos.filter((p) => p.isShown).length);
	let copied = $state(false);
	let sending = $state(false);

	async function copy() {
		await navigator.clipboard.writeText(data.link);
		copied = true;
	}
</script>

<svelte:head><title>Photos of {data.client} · Jobs · Bright Tally</title></svelte:head>
<main class="mx-auto grid max-w-5xl grid-cols-[minmax(0,1fr)] gap-6 px-6 pb-12 max-sm:px-3">
	<header class="flex flex-wrap items-baseline gap-x-4 gap-y-1 pt-4">
		<h1 class="text-[25px] break-words">Photos of {data.client}</h1>
		<p class="text-muted">how it stood · no. {data.number}</p>
		<p class="ml-auto"><a class="quiet-link" href="/jobs/{data.id}">The job</a></p>
	</header>
	<div class="grid gap-2 empty:hidden" aria-live="polite">
		{#if said.trouble}<Notice level="bad">{said.trouble}</Notice>
		{:else if said.added}<Notice level="good"
				>The photo is here. Its client does not see it until you say so.</Notice
			>
		{:else if said.said}<Notice level="good">Kept.</Notice>{/if}
	</div>
	{#if data.mayAdd}
		<form
			method="post"
			action="?/add"
			enctype="multipart/form-data"
			class="flex flex-wrap items-end gap-x-4 gap-y-3"
			aria-label="Another photo"
			use:enhance={() => {
				sending = true;
				return async ({ update, result }) => {
					await update({ reset: result.type === 'success' });
					sending = false;
				};
			}}
		>
			<input type="hidden" name="id" value={data.fresh} />
			<Field label="A photo">
				{#snippet children(attributes)}<input
						{...attributes}
						class="control"
						type="file"
						name="file"
						accept="image/jpeg,image/png"
					/>{/snippet}
			</Field>
			<Field label="What stands under it">
				{#snippet children(attributes)}<input
						{...attributes}
						class="control w-72 max-w-full"
						name="caption"
						maxlength="1000"
						autocomplete="off"
						defaultValue={said.typed ?? ''}
					/>{/snippet}
			</Field>
			<Button kind="strong" type="submit" disabled={sending}>{sending ? 'Sending …' : 'Add it'}</Button>
		</form>
	{/if}
	{#if data.link}
		<p class="flex flex-wrap items-baseline gap-x-4 text-[14px]">
			<span
				>Once the day is over, the client’s page says thank you{shown === 0
					? ''
					: ` with ${shown} ${shown === 1 ? 'picture' : 'pictures'}`}.</span
			>
			<a class="quiet-link" href="{data.link}?look" target="_blank" rel="noopener">Look at it</a>
			<button type="button" class="quiet-link" onclick={copy}
				>{copied ? 'Link copied' : 'Copy the link'}</button
			>
		</p>
	{/if}
	<ul class="grid grid-cols-[repeat(auto-fill,minmax(260px,1fr))] gap-5">
		{#each data.photos as photo (photo.id)}
			<li class="grid content-start gap-2 bg-paper p-3">
				<img
					class="aspect-[4/3] w-full object-contain"
					src="/jobs/{data.id}/photos/{photo.id}"
					alt={photo.caption || 'The job as it stood'}
					loading="lazy"
				/>
				{#if data.mayShow}
					<form
						method="post"
						action="?/say"
						class="grid gap-2"
						use:enhance={() =>
							({ update }) =>
								update({ reset: false })}
					>
						<input type="hidden" name="photo" value={photo.id} />
						<input
							class="control w-full"
							name="caption"
							aria-label="What stands under it"
							defaultValue={photo.caption}
							maxlength="120"
							autocomplete="off"
						/>
						<div class="flex flex-wrap items-center gap-x-4">
							<label class="flex min-h-[34px] items-center gap-1.5"
								><input type="checkbox" name="shown" value="yes" defaultChecked={photo.isShown} />its client
								sees it</label
							>
							<Button type="submit">Keep</Button>
						</div>
					</form>
					<form method="post" action="?/remove" use:enhance>
						<input type="hidden" name="photo" value={photo.id} />
						<button class="quiet-link" aria-label="Take out {photo.caption || 'this photo'}"
							>Take it out</button
						>
					</form>
				{:else}<p>{photo.caption}</p>{/if}
			</li>
		{:else}
			<li class="text-muted">No photo yet.</li>
		{/each}
	</ul>
</main>
