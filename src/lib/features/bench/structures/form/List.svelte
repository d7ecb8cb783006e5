<script lang="ts">
	import type { Form } from '../../../../core/structures/form/document.ts';
	import KeyList from '../../kit/KeyList.svelte';
	import { rowsOf } from '../../kit/rows.ts';
	import type { ListProps } from '../screen.ts';
	import LimbPanel from './LimbPanel.svelte';
	import { pieceWords } from './piece-words.ts';

	let { bench, section, kit }: ListProps<Form> = $props();
	/** With the lengths that their ways make. */
	const built = (id: string) =>
		bench.tally.built.sections
			.flatMap((s) => (s.id === section.id && s.structure.kind === 'form' ? s.structure.pieces : []))
			.find((p) => p.id === id);
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
>
	{#snippet panel({ id })}
		{@const piece = section.structure.pieces.find((p) => p.id === id)}
		{#if piece}<LimbPanel {bench} {piece} carrier={section.stand.by} built={built(piece.id)} />{/if}
	{/snippet}
</KeyList>
