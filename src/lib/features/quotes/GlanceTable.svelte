<script lang="ts">
	import type { Glance } from '../../core/quote/frozen.ts';
	import { percentText } from '../bench/tape-words.ts';

	interface Props {
		glance: readonly Glance[];
	}
	let { glance }: Props = $props();
</script>

<div class="overflow-x-auto">
	<table class="w-full text-[13.5px]">
		<thead
			><tr
				><th scope="col">choice</th><th scope="col" class="n">total</th><th scope="col" class="n">margin</th
				><th scope="col" class="n">hours</th></tr
			></thead
		>
		<tbody>
			{#each glance as one (one.name)}
				<tr
					><th scope="row">{one.name}</th><td class="n figures">{(one.total / 100).toFixed(2)}</td><td
						class="n figures">{percentText(one.margin)}</td
					><td class="n figures">{one.hours.toFixed(1)}</td></tr
				>
			{/each}
		</tbody>
	</table>
</div>

<style>
	th {
		font-weight: 500;
		text-align: left;
	}
	th,
	td {
		border-bottom: 1px solid var(--line);
		padding: 4px 8px;
	}
	.n {
		text-align: right;
	}
</style>
