<script lang="ts">
	import type { AnswerErrors } from '../../core/by-hand/answers.ts';
	import type { Answers, Asked, AskedFields } from '../../core/by-hand/asked.ts';
	import AskedField from './AskedField.svelte';
	import type { HandData } from './hand-data.ts';

	interface Props {
		fields: AskedFields;
		values: Answers;
		errors: AnswerErrors;
		data: HandData;
		/** What came of a field, where that is not what was asked for. */
		came?: (field: Asked) => string;
		onset: (name: string, value: Answers[string]) => void;
	}
	let { fields, values, errors, data, came = () => '', onset }: Props = $props();
	/** Fields that take the whole width. */
	const WIDE: ReadonlySet<Asked['kind']> = new Set(['colours', 'balloon', 'balloon or none'] as const);
</script>

<div class="grid grid-cols-2 gap-x-3 gap-y-2.5">
	{#each Object.entries(fields) as [name, field] (name)}
		<div class:col-span-2={WIDE.has(field.kind)}>
			<AskedField
				{field}
				value={values[name]!}
				{data}
				error={errors[name]}
				came={came(field)}
				onset={(value) => onset(name, value)}
			/>
		</div>
	{/each}
</div>
