<script lang="ts">
	import type { Section } from '../../core/recipe/recipe.ts';
	import type { Bench } from './bench.svelte.ts';
	import HandPanel from './HandPanel.svelte';
	import type { ListKit } from './structures/screen.ts';
	import { screenOf } from './structures/screens.ts';

	interface Props {
		bench: Bench;
		section: Section;
		kit: ListKit;
	}
	let { bench, section, kit }: Props = $props();
	const { List } = $derived(screenOf(section.structure));
</script>

{#if List}<List {bench} {section} {kit} />{/if}
{#if bench.current?.id === section.id && !bench.ghost}
	<p class="ml-[54px] border-l border-line py-1 pl-2"><HandPanel {bench} {section} /></p>
{/if}
