<script lang="ts">
	import { enhance } from '$app/forms';
	import { overNewer } from './over-newer.ts';
	import { STAGES, STAGE_WORDS, type JobDay } from '../../core/job/job.ts';
	import { printHour } from '../../core/job/read-days.ts';
	import { unsaved } from '../shell/unsaved.ts';
	import Button from '../../ui/button/Button.svelte';
	import Field from '../../ui/field/Field.svelte';

	interface Props {
		/** What is said anew; nothing is one more. */
		day?: JobDay | undefined;
		people: readonly { readonly id: string; readonly name: string }[];
		revision: number;
		/** An id for one more, so that pressed twice it is one. */
		fresh: string;
		/** What was typed and could not be read, with why. */
		typed?: Readonly<Record<string, string>>;
		errors?: Readonly<Record<string, string>>;
		ondone: () => void;
	}
	let { day, people, revision, fresh, typed, errors = {}, ondone }: Props = $props();
	const stage = $derived(typed?.stage ?? day?.stage ?? 'build');
	const isOn = (id: string) =>
		typed ? typed[`person-${id}`] !== undefined : (day?.people.includes(id) ?? false);
</script>

{#snippet typedIn(label: string, name: string, type: string, value: string, hint = '')}
	<Field {label} error={errors[name]} {hint}>
		{#snippet children(attributes)}<input
				{...attributes}
				class={type === 'text' ? 'control w-56 max-w-full' : 'control'}
				{type}
				{name}
				maxlength={type === 'text' ? 300 : undefined}
				defaultValue={typed?.[name] ?? value}
				autocomplete="off"
			/>{/snippet}
	</Field>
{/snippet}

<form
	method="post"
	action="?/day"
	class="grid gap-3 border-y border-line bg-tint px-4 py-3"
	aria-label={day ? `${STAGE_WORDS[day.stage]} on ${day.day}` : 'One more day'}
	{@attach unsaved}
	use:enhance={overNewer(ondone)}
>
	<input type="hidden" name="revision" value={revision} />
	<input type="hidden" name="id" value={fresh} />
	<input type="hidden" name="of" value={day?.id ?? ''} />
	<div class="flex flex-wrap gap-x-4 gap-y-3">
		<Field label="What" error={errors.stage}>
			{#snippet children(attributes)}<select {...attributes} class="control" name="stage">
					{#each STAGES as own (own)}<option value={own} selected={own === stage}>{STAGE_WORDS[own]}</option
						>{/each}
				</select>{/snippet}
		</Field>
		{@render typedIn('Day', 'day', 'date', day?.day ?? '')}
		{@render typedIn('From', 'from', 'time', printHour(day?.from ?? null))}
		{@render typedIn('To', 'to', 'time', printHour(day?.to ?? null), 'blank is not settled')}
		{@render typedIn('Note', 'note', 'text', day?.note ?? '')}
	</div>
	<fieldset class="flex flex-wrap gap-x-5 gap-y-1">
		<legend class="pb-1 text-[13px] font-medium text-muted">Who does it</legend>
		{#each people as person (person.id)}
			<label class="flex min-h-[34px] items-center gap-2"
				><input type="checkbox" name="person-{person.id}" defaultChecked={isOn(person.id)} />
				{person.name}</label
			>
		{:else}<p class="text-[13.5px] text-muted">
				Nobody is written down yet: the owner adds people in the settings.
			</p>{/each}
	</fieldset>
	<p class="flex items-center gap-3">
		<Button kind="strong" type="submit">{day ? 'Save' : 'Add it'}</Button>
		<Button kind="word" onclick={ondone}>Leave it</Button>
	</p>
</form>
