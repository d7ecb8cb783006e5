<script lang="ts">
	import type { Run } from '../../../../core/structures/run/document.ts';
	import KeyList from '../../kit/KeyList.svelte';
	import { rowsOf } from '../../kit/rows.ts';
	import type { ListProps } from '../screen.ts';

	let { bench, section, kit }: ListProps<Run> = $props();
	const rows = $derived(rowsOf(bench, section).map((r) => ({ ...r, strong: r.about === 'path' })));
	const empty = $derived(!rows.some((r) => r.about === 'row' || r.about === 'mix'));
</script>

<KeyList
	{bench}
	{section}
	{rows}
	standing={false}
	empty={empty
		? 'Nothing on it yet. Say “4 5 at 4 white”, or sizes of a mix like “60 % 5 at 4½ of 2 blue / 1 white”.'
		: ''}
	onedit={kit.focusEntry}
/>
