<script lang="ts">
	import { PASSWORD_LENGTH } from '../../core/people/read-person.ts';
	import Field from '../../ui/field/Field.svelte';

	interface Props {
		label?: string;
		name?: string;
		error?: string | undefined;
	}
	let { label = 'A password', name = 'password', error }: Props = $props();
	let shown = $state(false);
</script>

<Field {label} {error} hint="{PASSWORD_LENGTH.min} characters or more: three or four words are easy to keep">
	{#snippet children(attributes)}
		<span class="flex gap-2">
			<input
				{...attributes}
				{name}
				type={shown ? 'text' : 'password'}
				class="control min-w-0 flex-1"
				autocomplete="new-password"
				maxlength="200"
			/>
			<button
				type="button"
				class="quiet-link min-w-[44px]"
				aria-pressed={shown}
				onclick={() => (shown = !shown)}>{shown ? 'Hide' : 'Show'}</button
			>
		</span>
	{/snippet}
</Field>
