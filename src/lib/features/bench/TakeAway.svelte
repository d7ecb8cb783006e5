<script lang="ts">
	import Button from '../../ui/button/Button.svelte';
	import Popover from '../../ui/popover/Popover.svelte';
	import { svgOf } from '../../core/scene/svg.ts';
	import { pictureAsPng, saveAs } from '../picture/as-file.ts';
	import type { Bench } from './bench.svelte.ts';

	interface Props {
		bench: Bench;
	}
	let { bench }: Props = $props();
	let open = $state(false);
	let trouble = $state('');
	const name = $derived(bench.recipe.name.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, '-') || 'design');

	function svg() {
		saveAs(new Blob([svgOf(bench.picture, bench.recipe.name)], { type: 'image/svg+xml' }), `${name}.svg`);
		open = false;
	}
	async function png() {
		trouble = '';
		const made = await pictureAsPng(bench.picture);
		if (!made) {
			trouble = 'This browser could not paint it. Take the SVG.';
			return;
		}
		saveAs(made, `${name}.png`);
		open = false;
	}
</script>

<Popover label="Take it away: picture and files" width={250} slim bind:open>
	{#snippet trigger()}<span class="quiet-link">take away</span>{/snippet}
	<p class="mb-2 font-semibold">The picture as it is turned</p>
	<div class="mb-3 flex gap-2"><Button onclick={svg}>SVG</Button><Button onclick={png}>PNG</Button></div>
	{#if trouble}<p class="mb-2 text-[13px] text-bad" role="alert">{trouble}</p>{/if}
	<p class="mb-2 font-semibold">The design</p>
	<p class="grid justify-items-start gap-1">
		<a class="quiet-link" href="/bench/{bench.id}/recipe.json" download>recipe file</a>
		<a
			class="quiet-link"
			href="/bench/{bench.id}/bill.csv?colourway={bench.chosen.id}{bench.inSize
				? `&size=${bench.inSize.id}`
				: ''}"
			download>bill of materials, CSV</a
		>
		<a class="quiet-link" href="/bench/{bench.id}/plan.pdf" download>plan, PDF</a>
	</p>
</Popover>
