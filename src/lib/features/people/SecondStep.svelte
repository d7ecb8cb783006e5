<script lang="ts">
	import { enhance } from '$app/forms';
	import Button from '../../ui/button/Button.svelte';
	import Field from '../../ui/field/Field.svelte';

	interface Step {
		readonly picture: string;
		readonly secret: string;
		readonly spare: readonly string[];
	}
	interface Props {
		on: boolean;
		/** What was just begun: shown this once, until a first code was right. */
		step?: Step | undefined;
		done: string;
		errors: Readonly<Record<string, string>>;
	}
	let { on, step, done, errors }: Props = $props();
	let begun = $state<Step>();
	$effect(() => {
		if (step) begun = step;
		else if (done) begun = undefined;
	});
	const grouped = $derived(begun?.secret.replace(/(.{4})(?=.)/g, '$1 ') ?? '');
</script>

<section class="pt-[30px]" aria-labelledby="step-title">
	<h2 id="step-title" class="pb-2 text-[18px]">A second step</h2>
	{#if begun && !on}
		<div class="grid gap-x-6 gap-y-4 sm:grid-cols-[auto_1fr]">
			<img
				src={begun.picture}
				alt="The key as a square of dots, for a camera"
				class="h-[180px] w-[180px] bg-white p-2"
			/>
			<div class="grid content-start gap-3">
				<p>Read the square with the program on your phone that shows codes, or type the key there:</p>
				<p class="figures break-all">{grouped}</p>
				<form method="post" action="?/stepConfirm" class="flex items-end gap-3" use:enhance>
					<Field label="The six figures it shows" error={errors.code}>
						{#snippet children(attributes)}
							<input
								{...attributes}
								name="code"
								class="control figures w-[120px]"
								inputmode="numeric"
								autocomplete="one-time-code"
								maxlength="8"
							/>
						{/snippet}
					</Field>
					<Button kind="strong" type="submit">Turn it on</Button>
				</form>
			</div>
			<div class="sm:col-span-2">
				<p class="text-muted">
					Spare codes, each good once, for the day the phone is gone. Write them down: they are not shown
					again.
				</p>
				<ul class="figures grid grid-cols-[repeat(auto-fill,minmax(130px,1fr))] gap-1 pt-2">
					{#each begun.spare as code (code)}<li>{code}</li>{/each}
				</ul>
			</div>
		</div>
	{:else}
		<p class="pb-3 text-muted">
			{on
				? 'After your password a code is asked that changes twice a minute.'
				: 'Whoever learns your password still gets in nowhere: after it a code is asked that your phone shows.'}
		</p>
		<form
			method="post"
			action={on ? '?/stepStop' : '?/stepStart'}
			class="flex flex-wrap items-end gap-3"
			use:enhance
		>
			<Field label="Your password" error={errors.stepPassword}>
				{#snippet children(attributes)}
					<input
						{...attributes}
						name="stepPassword"
						type="password"
						class="control w-[220px]"
						autocomplete="current-password"
					/>
				{/snippet}
			</Field>
			<Button type="submit">{on ? 'Turn it off' : 'Begin'}</Button>
		</form>
	{/if}
</section>
