<script lang="ts">
	interface Props {
		/** Ways of sizing that are told against the hole. */
		told: readonly string[];
		values: Readonly<Record<string, string>>;
		errors: Readonly<Record<string, string>>;
	}
	let { told, values, errors }: Props = $props();
</script>

<div class="flex flex-wrap items-center gap-x-3 gap-y-1 text-[13.5px]">
	<span>Against the hole, which is 1:</span>
	{#each told as method (method)}
		<label class="flex items-center gap-2"
			>{method === 'eye' ? 'by eye' : 'by strokes'}<input
				class="control figures min-h-8! w-16 py-0! text-right"
				name="method-{method}"
				inputmode="decimal"
				aria-label="Sizing by {method}, against the hole"
				aria-invalid={errors[`method-${method}`] !== undefined}
				value={values[`method-${method}`] ?? ''}
				autocomplete="off"
			/></label
		>
	{/each}
</div>
{#each told as method (method)}
	{#if errors[`method-${method}`]}<p class="text-[13px] text-bad" role="alert">
			{errors[`method-${method}`]}
		</p>{/if}
{/each}
