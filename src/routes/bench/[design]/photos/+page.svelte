<script lang="ts">
	import { enhance } from '$app/forms';
	import { smaller } from '$lib/features/photos/smaller.ts';
	import Button from '$lib/ui/button/Button.svelte';
	import Field from '$lib/ui/field/Field.svelte';

	let { data, form } = $props();
	let chosen = $state<File | null>(null);
	let sending = $state(false);
	const words = $derived(form as { trouble?: string; typed?: string; said?: string; added?: string } | null);
</script>

<svelte:head><title>Photos of {data.name} · Bright Tally</title></svelte:head>
<main class="mx-auto max-w-5xl px-6 pb-12 max-sm:px-3">
	<header class="flex flex-wrap items-baseline gap-x-5 gap-y-1 py-4">
		<h1 class="text-[25px]">{data.name}</h1>
		<p class="text-muted">
			{data.photos.length === 0
				? 'no photos yet'
				: `${data.photos.length} ${data.photos.length === 1 ? 'photo' : 'photos'}`}
		</p>
		<span class="ml-auto flex gap-5">
			<a class="quiet-link" href="/bench/{data.id}/plan">its plan</a>
			<a class="quiet-link" data-asks="design" href="/bench/{data.id}">back to the Bench</a>
		</span>
	</header>
	<form
		method="post"
		action="?/add"
		enctype="multipart/form-data"
		class="mb-6 flex flex-wrap items-end gap-4"
		use:enhance={async ({ formData }) => {
			sending = true;
			if (chosen) formData.set('file', await smaller(chosen));
			return async ({ update, result }) => {
				await update({ reset: result.type === 'success' });
				if (result.type === 'success') chosen = null;
				sending = false;
			};
		}}
	>
		<input type="hidden" name="id" value={data.fresh} />
		<Field label="A photo, JPEG or PNG" error={words?.trouble}>
			{#snippet children(attributes)}<input
					{...attributes}
					type="file"
					name="file"
					accept="image/jpeg,image/png"
					class="control"
					onchange={(e) => (chosen = e.currentTarget.files?.[0] ?? null)}
				/>{/snippet}
		</Field>
		<Field label="Caption">
			{#snippet children(attributes)}<input
					{...attributes}
					name="caption"
					maxlength="120"
					class="control w-64"
					value={words?.typed ?? ''}
				/>{/snippet}
		</Field>
		<Button kind="strong" type="submit" disabled={sending}>{sending ? 'Sending…' : 'Add the photo'}</Button>
		<p class="w-full text-[13.5px] text-muted">
			Where and with what it was taken is left out of it. The cover stands on the Shelf, on the plan and on
			the client’s page.
		</p>
	</form>
	{#if data.photos.length === 0}
		<p class="py-10 text-center text-muted">
			Photograph the piece once it is built: the next one is sold and built from it.
		</p>
	{/if}
	<ul class="grid grid-cols-[repeat(auto-fill,minmax(240px,1fr))] gap-x-6 gap-y-8">
		{#each data.photos as photo, index (photo.id)}
			<li>
				<img
					src="/photo/{photo.id}"
					alt={photo.caption || `Photo ${index + 1} of ${data.name}`}
					width={photo.width}
					height={photo.height}
					class="h-60 w-full bg-tint object-contain"
					loading="lazy"
				/>
				<form method="post" action="?/caption" class="mt-2 flex items-center gap-2" use:enhance>
					<input type="hidden" name="photo" value={photo.id} />
					<input
						name="caption"
						class="control min-w-0 flex-1"
						maxlength="120"
						value={photo.caption}
						placeholder="no caption"
						aria-label="Caption of photo {index + 1}"
					/>
					<Button type="submit">Say it</Button>
				</form>
				<div class="mt-1 flex items-center gap-5 text-[13.5px]">
					{#if photo.cover}
						<b>the cover</b>
						<form method="post" action="?/cover" use:enhance>
							<input type="hidden" name="photo" value="" /><button class="quiet-link">no cover</button>
						</form>
					{:else}
						<form method="post" action="?/cover" use:enhance>
							<input type="hidden" name="photo" value={photo.id} /><button class="quiet-link"
								>make it the cover</button
							>
						</form>
					{/if}
					<form method="post" action="?/remove" use:enhance class="ml-auto">
						<input type="hidden" name="photo" value={photo.id} /><button
							class="quiet-link"
							aria-label="Take out photo {index + 1}">take out</button
						>
					</form>
				</div>
			</li>
		{/each}
	</ul>
</main>
