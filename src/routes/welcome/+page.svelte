<script lang="ts">
	import { enhance } from '$app/forms';
	import Button from '$lib/ui/button/Button.svelte';
	import Field from '$lib/ui/field/Field.svelte';

	let { data, form } = $props();
	const values = $derived({ ...data.values, ...((form?.typed ?? {}) as Record<string, string>) } as Record<string, string>); // prettier-ignore
	const errors = $derived((form?.errors ?? {}) as Record<string, string>);
</script>

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
		<Field label="Your studio is called" error={errors.name}>
			{#snippet children(attributes)}
				<input
					{...attributes}
					name="name"
					class="control w-full"
					value={values.name}
					autocomplete="organization"
				/>
			{/snippet}
		</Field>
		<div class="grid grid-cols-2 gap-4">
			<Field label="You are paid in" error={errors.currency}>
				{#snippet children(attributes)}
					<select {...attributes} name="currency" class="control w-full">
						{#each data.currencies as currency (currency)}<option selected={currency === values.currency}
								>{currency}</option
							>{/each}
					</select>
				{/snippet}
			</Field>
			<Field label="You measure in" error={errors.lengths} hint="bags are called by inches everywhere">
				{#snippet children(attributes)}
					<select {...attributes} name="lengths" class="control w-full">
						<option value="in" selected={values.lengths === 'in'}>inches and feet</option>
						<option value="cm" selected={values.lengths === 'cm'}>centimetres</option>
					</select>
				{/snippet}
			</Field>
			<Field label="An hour of work costs you" error={errors.labour} hint="what you pay, or pay yourself">
				{#snippet children(attributes)}
					<input
						{...attributes}
						name="labour"
						class="control figures w-full"
						value={values.labour}
						autocomplete="off"
					/>
				{/snippet}
			</Field>
			<Field
				label="Of a price you keep, %"
				error={errors.margin}
				hint="the margin: what is left after materials and work"
			>
				{#snippet children(attributes)}
					<input
						{...attributes}
						name="margin"
						class="control figures w-full"
						value={values.margin}
						autocomplete="off"
					/>
				{/snippet}
			</Field>
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
	</form>
</main>
