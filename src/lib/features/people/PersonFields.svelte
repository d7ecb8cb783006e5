<script lang="ts">
	import Field from '../../ui/field/Field.svelte';
	import NewPassword from './NewPassword.svelte';

	interface Props {
		typed: Readonly<Record<string, string>>;
		errors: Readonly<Record<string, string>>;
	}
	let { typed, errors }: Props = $props();
</script>

<Field label="Your name" error={errors.name} hint="As the others here see it">
	{#snippet children(attributes)}
		<input
			{...attributes}
			name="name"
			class="control w-full"
			defaultValue={typed.name ?? ''}
			autocomplete="name"
			maxlength="80"
		/>
	{/snippet}
</Field>
<Field label="Your e-mail address" error={errors.email} hint="You sign in with it">
	{#snippet children(attributes)}
		<input
			{...attributes}
			name="email"
			type="email"
			class="control w-full"
			defaultValue={typed.email ?? ''}
			autocomplete="username"
			maxlength="254"
		/>
	{/snippet}
</Field>
<NewPassword error={errors.password} />
