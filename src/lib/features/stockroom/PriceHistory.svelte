<script lang="ts">
	import Chart from '../../ui/chart/Chart.svelte';

	interface Props {
		prices: readonly { readonly pack: string; readonly day: string; readonly count: number; readonly priceMinor: number | null; readonly price: string }[]; // prettier-ignore
		packs: readonly { readonly id: string; readonly supplier: string }[];
	}
	let { prices, packs }: Props = $props();
	const DAY = 86_400_000;
	const known = $derived(prices.filter((p) => p.priceMinor !== null));
	const first = $derived(known[0] ? Date.parse(known[0].day) : 0);
	/** Of a pack only what changed is a history. */
	const changed = $derived(packs.filter((p) => known.filter((k) => k.pack === p.id).length > 1));
	const each = (p: { priceMinor: number | null; count: number }) => (p.priceMinor ?? 0) / p.count;
	const series = $derived(
		changed.map((pack) => ({
			name: pack.supplier,
			points: known.filter((k) => k.pack === pack.id).map((k) => [Math.round((Date.parse(k.day) - first) / DAY), Math.round(each(k) * 10) / 10] as const)
		})) // prettier-ignore
	);
</script>

{#if changed.length > 0}
	<details class="mt-3">
		<summary class="cursor-pointer font-medium">How its price went</summary>
		<Chart
			label="Price of a piece over time"
			across="days since {known[0]!.day}"
			up="hundredths a piece"
			{series}
		/>
		<table class="mt-2 text-[13px]">
			<thead
				><tr
					><th class="pr-4 text-left">since</th><th class="pr-4 text-left">supplier</th><th class="text-right"
						>pack</th
					></tr
				></thead
			>
			<tbody>
				{#each prices as price, index (index)}
					<tr
						><td class="figures pr-4">{price.day}</td><td class="pr-4"
							>{packs.find((p) => p.id === price.pack)?.supplier ?? ''}</td
						><td class="figures text-right">{price.count} for {price.price || 'not known'}</td></tr
					>
				{/each}
			</tbody>
		</table>
	</details>
{/if}
