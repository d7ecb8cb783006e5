<script lang="ts">
	import type { Bunch, BunchItem } from '../../../../core/structures/bunch/document.ts';
	import KeyList from '../../kit/KeyList.svelte';
	import { hexOf, rowsOf } from '../../kit/rows.ts';
	import type { ListProps } from '../screen.ts';
	import ItemPanel from './ItemPanel.svelte';

	let { bench, section, kit }: ListProps<Bunch> = $props();
	const items = $derived(new Map(section.structure.items.map((i) => [i.id, i])));
	/** A foil has the colour it is sold in. */
	const ownHex = ({ what }: BunchItem): string | undefined =>
		what.kind === 'material'
			? hexOf(bench, bench.catalogue.materials.get(what.material ?? '')?.colour)
			: undefined;
	/** What holds it down stands below what floats. */
	const rows = $derived.by(() => {
		const all = rowsOf(bench, section).map((row) => {
			const item = items.get(row.id ?? '');
			return item ? { ...row, name: item.name, hex: ownHex(item) ?? row.hex } : row;
		});
		return [...all.filter((r) => r.id !== null).reverse(), ...all.filter((r) => r.id === null)];
	});
</script>

<KeyList
	{bench}
	{section}
	{rows}
	standing
	empty={items.size === 0 ? 'Nothing in it yet. Say “3 11 at full white in helium on 5 ft ribbon”.' : ''}
	onedit={kit.focusEntry}
>
	{#snippet panel({ id })}
		{@const item = items.get(id ?? '')}
		{#if item}<ItemPanel {bench} {item} />{/if}
	{/snippet}
</KeyList>
