<script lang="ts">
	import { onMount } from 'svelte';
	import Button from '../../ui/button/Button.svelte';
	import Field from '../../ui/field/Field.svelte';
	import Notice from '../../ui/notice/Notice.svelte';
	import { Importer } from './importer.svelte.ts';

	const importer = new Importer();
	let chosen = $state<File | null>(null);
	let pasted = $state('');
	onMount(() => () => importer.close());
	const WORDS = {
		new: 'new',
		same: 'here already, the same: left as it is',
		copy: 'another of that id is here: comes as a copy',
		refused: 'refused'
	} as const;
	const busy = $derived(importer.step === 'reading' || importer.step === 'bringing');
	const { plan } = $derived(importer);
	function read(event: SubmitEvent) {
		event.preventDefault();
		if (chosen) void importer.read(chosen);
		else if (pasted.trim() !== '') void importer.read(pasted);
		else importer.trouble = 'Choose a recipe file, or paste what is in one.';
	}
	const created = (names: readonly string[]) =>
		names.length === 0
			? ''
			: `${names.slice(0, 6).join(', ')}${names.length > 6 ? ` and ${names.length - 6} more` : ''}`;
</script>

<form class="grid gap-4" onsubmit={read}>
	<Field label="File" error={importer.trouble || undefined}>
		{#snippet children(attributes)}<input
				{...attributes}
				type="file"
				name="file"
				accept=".json,application/json"
				class="control"
				onchange={(e) => (chosen = e.currentTarget.files?.[0] ?? null)}
			/>{/snippet}
	</Field>
	<Field label="Or paste it">
		{#snippet children(attributes)}<textarea
				{...attributes}
				name="text"
				rows="5"
				class="control figures text-[12.6px]"
				bind:value={pasted}></textarea>{/snippet}
	</Field>
	<p><Button kind="strong" type="submit" disabled={busy}>See what it brings</Button></p>
</form>

<div aria-live="polite">
	{#if busy}
		<p class="mt-4 flex flex-wrap items-center gap-3">
			<progress value={importer.done} max={Math.max(1, importer.all)} class="w-64" aria-label="Progress"
			></progress>
			<span class="figures text-[13.5px]"
				>{importer.step === 'reading' ? 'reading' : 'bringing'}
				{importer.done} of {importer.all}</span
			>
			<Button kind="word" onclick={() => importer.cancel()}>Stop</Button>
		</p>
	{/if}
	{#if importer.step === 'done'}
		<div class="mt-4">
			<Notice level="good" live
				>{importer.all === 1 ? 'One design is' : `${importer.all} designs are`} on the Shelf.
				<a class="quiet-link" href="/shelf">See the Shelf</a></Notice
			>
		</div>
	{/if}
</div>

{#if plan && importer.step === 'preview'}
	<section class="mt-5" aria-label="What it brings">
		<h2 class="text-lg">What it brings</h2>
		<p class="text-[14px] text-muted">
			{plan.materials.matched} materials and {plan.colours.matched} colours are in your Stockroom already{plan
				.materials.created.length +
				plan.colours.created.length ===
			0
				? '.'
				: ';'}
			{#if plan.materials.created.length > 0}<b>{plan.materials.created.length} materials</b> are made without
				a price:
				{created(plan.materials.created)}.{/if}
			{#if plan.colours.created.length > 0}<b>{plan.colours.created.length} colours</b> are made:
				{created(plan.colours.created)}.{/if}
		</p>
		<ol class="mt-2 max-h-96 overflow-y-auto border-t-2 border-ink bg-paper text-[14px]" tabindex="-1">
			{#each plan.designs as design (design.from)}
				<li class="flex flex-wrap justify-between gap-x-4 border-b border-line px-3 py-1.5">
					<b>{design.name}</b>
					<span class={design.what === 'refused' ? 'text-bad' : 'text-muted'}
						>{design.say || WORDS[design.what]}{design.unknown > 0
							? ` · ${design.unknown} things it names are nowhere: they stay without a cost`
							: ''}</span
					>
				</li>
			{/each}
			{#each importer.misread as { name, say } (name)}
				<li class="flex flex-wrap justify-between gap-x-4 border-b border-line px-3 py-1.5">
					<b>{name}</b><span class="text-bad">left out, it has a mistake at {say}</span>
				</li>
			{/each}
		</ol>
		<p class="mt-3 flex items-center gap-3">
			<Button kind="strong" disabled={importer.coming === 0} onclick={() => void importer.bring()}
				>{importer.coming === 0
					? 'Nothing to bring'
					: importer.coming === 1
						? 'Bring it'
						: `Bring all ${importer.coming}`}</Button
			>
			<Button kind="word" onclick={() => importer.cancel()}>Leave it</Button>
		</p>
	</section>
{/if}
