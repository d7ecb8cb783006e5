<script lang="ts">
	import type { Frame } from '../../../../core/structures/frame/document.ts';
	import KeyList from '../../kit/KeyList.svelte';
	import { rowsOf } from '../../kit/rows.ts';
	import type { ListProps } from '../screen.ts';

	let { bench, section, kit }: ListProps<Frame> = $props();
	/** Its outline first, below it what it is of and stands on. */
	const rows = $derived(rowsOf(bench, section).map((r) => ({ ...r, strong: r.about === 'path' })));
</script>

<KeyList {bench} {section} {rows} standing empty="" onedit={kit.focusEntry} />
