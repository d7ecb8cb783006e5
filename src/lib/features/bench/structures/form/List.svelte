<script lang="ts">
	import type { Form } from '../../../../core/structures/form/document.ts';
	import KeyList from '../../kit/KeyList.svelte';
	import { rowsOf } from '../../kit/rows.ts';
	import type { ListProps } from '../screen.ts';
	import { pieceWords } from './piece-words.ts';

	let { bench, section, kit }: ListProps<Form> = $props();
	const rows = $derived.by(() => {
		const { pieces } = section.structure;
		const { pumps } = bench.context.rates;
		return rowsOf(bench, section)
			.map((row, i) => {
				const words = pieceWords(pieces[i]!, pumps);
				return { ...row, name: pieces[i]!.name, asides: [...(words ? [words] : []), ...row.asides] };
			})
			.reverse();
	});
</script>

<KeyList
	{bench}
	{section}
	{rows}
	standing
	empty={rows.length === 0 ? 'Nothing in it yet. Say “6 260 black 24 wound as leg”.' : ''}
	onedit={kit.focusEntry}
/>
