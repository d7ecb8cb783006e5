<script lang="ts">
	import { enhance } from '$app/forms';
	import { stepFields } from '../../core/plan/step-fields.ts';
	import Button from '../../ui/button/Button.svelte';
	import Field from '../../ui/field/Field.svelte';
	import type { ShownStep } from '../../core/plan/arrange.ts';
	import type { StepChoices } from './step.ts';

	interface Props {
		/** The step it changes; without one, a new step. */
		step?: ShownStep | undefined;
		/** The step a new one comes after. */
		after?: string;
		choices: StepChoices;
		/** What was wrong with what was typed, by field. */
		trouble?: Readonly<Record<string, string>> | undefined;
		/** What was typed, where it was refused. */
		typed?: Readonly<Record<string, string>> | undefined;
		/** The step as it stood when what was typed was refused. */
		started?: Readonly<Record<string, string>> | undefined;
		onclose: () => void;
	}
	let { step, after = '', choices, trouble = {}, typed, started, onclose }: Props = $props();
	/** Made once for the form, so that a button pressed twice does it once. */
	const saveId = crypto.randomUUID();
	const fresh = crypto.randomUUID();
	const now = $derived(stepFields(step));
	const start = $derived<Readonly<Record<string, string>>>(typed ?? now);
	const focus = (node: HTMLElement) => node.focus();
</script>

<!-- svelte-ignore a11y_no_noninteractive_element_interactions -->
<form
	method="post"
	action={step ? '?/say' : '?/add'}
	class="grid gap-3 border-l-2 border-ink bg-paper p-3"
	use:enhance={() =>
		async ({ result, update }) => {
			await update({ reset: false });
			if (result.type === 'success') onclose();
		}}
	onkeydown={(e) => {
		if (e.key === 'Escape') onclose();
	}}
>
	<input type="hidden" name="id" value={step?.id ?? fresh} />
	<input type="hidden" name="saveId" value={saveId} />
	<input type="hidden" name="after" value={after} />
	<input type="hidden" name="started" value={JSON.stringify(started ?? now)} />
	<Field label="What is done" error={trouble.text}>
		{#snippet children(attributes)}
			<textarea {...attributes} {@attach focus} name="text" rows="2" class="control w-full" value={start.text}
			></textarea>
		{/snippet}
	</Field>
	<div class="grid gap-3 sm:grid-cols-3">
		<Field label="Where" error={trouble.place}>
			{#snippet children(attributes)}
				<select {...attributes} name="place" class="control" value={start.place}>
					<option value="bench">at the bench</option>
					<option value="site">where it stands</option>
					<option value="after hanging">after hanging</option>
				</select>
			{/snippet}
		</Field>
		{@render line('Tool', 'tool')}
		{@render line('Method', 'method')}
		{#if !step || step.own}{@render line('Work it takes', 'takes', '10 min')}{/if}
		{@render line('Wait after it', 'wait', '10 min')}
		<Field label="Photo" error={trouble.photo}>
			{#snippet children(attributes)}
				<select {...attributes} name="photo" class="control" value={start.photo}>
					<option value="">none</option>
					{#each choices.photos as photo, index (photo.id)}
						<option value={photo.id}>{photo.caption || `photo ${index + 1}`}</option>
					{/each}
				</select>
			{/snippet}
		</Field>
		{#if !step || step.own || step.lost}
			<Field label="About" error={trouble.about}>
				{#snippet children(attributes)}
					<select {...attributes} name="about" class="control" value={start.about}>
						<option value="">the whole design</option>
						{#each choices.subjects as subject (subject.id)}<option value={subject.id}>{subject.name}</option
							>{/each}
					</select>
				{/snippet}
			</Field>
		{/if}
	</div>
	{@render line('Check before going on', 'check')}
	<p class="flex gap-3">
		<Button kind="strong" type="submit">{step ? 'Change the step' : 'Add the step'}</Button>
		<Button kind="word" onclick={onclose}>Leave it</Button>
	</p>
</form>

{#snippet line(label: string, name: string, placeholder = '')}
	<Field {label} error={trouble[name]}>
		{#snippet children(attributes)}
			<input
				{...attributes}
				{name}
				{placeholder}
				class="control w-full"
				value={start[name]}
				autocomplete="off"
			/>
		{/snippet}
	</Field>
{/snippet}
