<script lang="ts">
	import { parseNumber, type NumberStyle } from '../../core/units/number.ts';
	import Button from '../../ui/button/Button.svelte';

	interface Props {
		style: NumberStyle;
		/** Takes what an hour comes to, as it is typed. */
		ontake: (text: string) => void;
	}
	let { style, ontake }: Props = $props();
	const COSTS = [
		'rent',
		'insurance',
		'phone',
		'van, without its miles',
		'website',
		'software',
		'other'
	] as const;
	let typed = $state<Record<string, string>>({});
	let hours = $state('');
	const valueOf = (text: string) => {
		const read = parseNumber(text.trim() || '0', style);
		return read.ok && read.value.compare(0) >= 0 ? read.value.valueOf() : undefined;
	};
	const sum = $derived(
		COSTS.reduce<number | undefined>((a, c) => {
			const own = valueOf(typed[c] ?? '');
			return a === undefined || own === undefined ? undefined : a + own;
		}, 0)
	);
	/** A year has no more. */
	const HOURS_A_YEAR = 8760;
	const sold = $derived(valueOf(hours));
	const isTooMany = $derived(sold !== undefined && sold > HOURS_A_YEAR);
	const each = $derived(
		sum !== undefined && sold !== undefined && sold > 0 && !isTooMany ? sum / sold : undefined
	);
</script>

<details>
	<summary class="cursor-pointer py-1 text-[13.5px] font-semibold">Work overhead out from a year</summary>
	<div class="mt-1 grid grid-cols-4 gap-x-4 gap-y-2 max-sm:grid-cols-2">
		{#each COSTS as cost (cost)}
			<label class="grid text-[13px]"
				><span class="text-muted">{cost}</span>
				<input class="control figures text-right" inputmode="decimal" bind:value={typed[cost]} /></label
			>
		{/each}
		<label class="grid text-[13px]"
			><span class="text-muted">hours you really sell</span>
			<input class="control figures text-right" inputmode="decimal" bind:value={hours} /></label
		>
	</div>
	<p class="mt-1 text-[13.5px]" aria-live="polite">
		{#if each !== undefined}
			<b class="figures">{each.toFixed(2)}</b> an hour.
			<Button kind="word" onclick={() => ontake(each.toFixed(2).replace('.', style.decimal))}>Take it</Button>
		{:else if isTooMany}
			<span class="text-bad"
				>A year has 8,760 hours; days of more than 24 are none. How many do you sell?</span
			>
		{:else if sum === undefined || (hours.trim() !== '' && sold === undefined)}
			<span class="text-bad">One of these is not an amount: type figures alone.</span>
		{:else}<span class="text-muted">What a year costs over the hours a year sells.</span>{/if}
	</p>
</details>
