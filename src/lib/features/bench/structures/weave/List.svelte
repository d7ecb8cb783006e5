<script lang="ts">
	import type { Weave } from '../../../../core/structures/weave/document.ts';
	import KeyList from '../../kit/KeyList.svelte';
	import { rowsOf } from '../../kit/rows.ts';
	import type { ListProps } from '../screen.ts';

	let { bench, section, kit }: ListProps<Weave> = $props();
	/** Rows stand as they do: what it is of first, the lowest row last, below them how it is held. */
	const rows = $derived.by(() => {
		const all = rowsOf(bench, section).map((r) => ({ ...r, strong: r.about === 'path' }));
		const about = (what: string) => all.filter((r) => r.about === what);
		return [...about('path'), ...about('row').reverse(), ...about('more')];
	});
	const empty = $derived(!rows.some((r) => r.about === 'row'));
</script>

<KeyList
	{bench}
	{section}
	{rows}
	standing
	empty={empty ? 'Nothing in it yet. Say rows from below, like “3 rows 4 blue / 4 white”.' : ''}
	onedit={kit.focusEntry}
/>
