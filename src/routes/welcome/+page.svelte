<script lang="ts">
	import { enhance } from '$app/forms';
	import Button from '$lib/ui/button/Button.svelte';
	import Field from '$lib/ui/field/Field.svelte';

	let { data, form } = $props();
	const values = $derived({ ...data.values, ...((form?.typed ?? {}) as Record<string, string>) } as Record<string, string>); // prettier-ignore
	const errors = $derived((form?.errors ?? {}) as Record<string, string>);
</script>

{#snippet text(label: string, name: string, hint = '')}
	<Field {label} error={errors[name]} {hint}>
		{#snippet children(attributes)}
			<input
				{...attributes}
				{name}
				class="control w-full {name === 'name' ? '' : 'figures'}"
				value={values[name]}
				autocomplete="off"
			/>
		{/snippet}
	</Field>
{/snippet}
{#snippet choice(label: string, name: string, options: readonly (readonly [string, string])[], hint = '')}
	<Field {label} error={errors[name]} {hint}>
		{#snippet children(attributes)}
			<select {...attributes} {name} class="control w-full">
				{#each options as [value, words] (value)}<option {value} selected={value === values[name]}
						>{words}</option
					>{/each}
			</select>
		{/snippet}
	</Field>
{/snippet}

<svelte:head><title>Welcome · Bright Tally</title></svelte:head>
<main class="mx-auto max-w-xl px-6 pb-12 max-sm:px-4">
	<h1 class="pt-8 text-[28px]">Welcome. Five answers, then your first design.</h1>
	<p class="pt-1 pb-5 text-muted">Each can be changed in the settings at any time.</p>
	<form
		method="post"
		action="?/begin"
		class="grid gap-4"
		use:enhance={() =>
			({ update }) =>
				update({ reset: false })}
	>
		{@render text('Your studio is called', 'name')}
		<div class="grid grid-cols-2 gap-4">
			{@render choice(
				'You are paid in',
				'currency',
				data.currencies.map((c) => [c, c])
			)}
			{@render choice(
				'You measure in',
				'lengths',
				[
					['in', 'inches and feet'],
					['cm', 'centimetres']
				],
				'bags are called by inches everywhere'
			)}
			{@render text('An hour of work costs you', 'labour', 'what you pay, or pay yourself')}
			{@render text('Of a price you keep, %', 'margin', 'the margin: what is left after materials and work')}
		</div>
		{#if !data.stocked}
			<label class="flex items-start gap-2.5">
				<input type="checkbox" name="stock" value="yes" checked class="mt-1" />
				<span
					>Begin the Stockroom with usual balloons: 5, 11 and 16 in, in twelve everyday colours. What they
					cost you is filled in later, and until then a price says that it is not all in it.</span
				>
			</label>
		{/if}
		<p class="flex items-center gap-4 pt-2">
			<Button kind="strong" type="submit">On to your first design</Button>
			<button class="quiet-link min-h-[34px]" formaction="?/skip" formnovalidate>Skip this</button>
		</p>
		{#if !data.stocked}
			<p class="text-muted">
				You have a studio already, on another server?
				<a class="quiet-link" href="/settings/studio-file">Bring its file in</a>.
			</p>
		{/if}
	</form>
</main>
