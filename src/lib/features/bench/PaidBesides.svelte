<script lang="ts">
	import { formatAmount, money, parseMoney } from '../../core/money/money.ts';
	import { MOST_PAID } from '../../core/recipe/recipe.ts';
	import type { Bench } from './bench.svelte.ts';

	interface Props {
		bench: Bench;
	}
	let { bench }: Props = $props();
	const id = $props.id();
	const paid = $derived(bench.recipe.paid ?? []);
	const currency = $derived(bench.context.rates.currency);
	let open = $state(false);
	let label = $state('');
	let amount = $state('');
	let trouble = $state('');

	function add(event: SubmitEvent) {
		event.preventDefault();
		const said = label.trim();
		const read = parseMoney(amount, currency, bench.entryContext.style);
		trouble =
			said === ''
				? 'Say what it is paid for.'
				: said.length > 120
					? 'Say it in up to 120 letters.'
					: !read.ok
						? 'Type what one costs, like 12.50.'
						: paid.length >= MOST_PAID
							? `${MOST_PAID} such lines are the most of a design.`
							: '';
		if (trouble || !read.ok) return;
		const { minor } = read.value;
		bench.change((d) => (d.paid = [...(d.paid ?? []), { id: crypto.randomUUID(), label: said, minor }]));
		[label, amount] = ['', ''];
	}
	function remove(gone: string) {
		bench.change((d) => {
			const left = (d.paid ?? []).filter((p) => p.id !== gone);
			d.paid = left.length > 0 ? left : undefined;
		});
	}
</script>

<section class="mt-1 text-[12.6px]" aria-label="Paid besides">
	{#each paid as line (line.id)}
		<p class="flex items-center gap-2">
			<span class="min-w-0 flex-1 truncate text-muted">{line.label}</span>
			<span class="figures">{formatAmount(money(line.minor, currency))}</span>
			<button
				type="button"
				class="quiet-link"
				aria-label="Take {line.label} out"
				onclick={() => remove(line.id)}>out</button
			>
		</p>
	{/each}
	{#if open}
		<form class="flex items-center gap-1.5" onsubmit={add}>
			<input
				class="control min-h-6! min-w-0 flex-1 px-1.5! py-0!"
				aria-label="Paid for"
				aria-describedby="{id}-trouble"
				placeholder="a painted sign"
				bind:value={label}
				autocomplete="off"
			/>
			<input
				class="control figures min-h-6! w-16 px-1.5! py-0! text-right"
				aria-label="What one costs"
				aria-describedby="{id}-trouble"
				inputmode="decimal"
				placeholder="12.50"
				bind:value={amount}
				autocomplete="off"
			/>
			<button type="submit" class="quiet-link">add</button>
		</form>
		<p id="{id}-trouble" class="text-bad" role="alert" hidden={trouble === ''}>{trouble}</p>
	{:else}
		<button type="button" class="quiet-link" onclick={() => (open = true)}>Paid besides…</button>
	{/if}
</section>
