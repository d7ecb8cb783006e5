<script lang="ts">
	import { FIELD_WORDS, LIST_FIELDS, type ListField } from '../../../core/price-list/columns.ts';
	import type { PriceListRead } from './price-list.svelte.ts';

	interface Props {
		list: PriceListRead;
	}
	let { list }: Props = $props();
	const fieldOf = (column: number) => LIST_FIELDS.find((f) => list.columns[f] === column) ?? '';
	function map(column: number, field: ListField | '') {
		const kept = Object.entries(list.columns).filter(([f, c]) => f !== field && c !== column);
		list.columns = Object.fromEntries(field === '' ? kept : [...kept, [field, column]]);
		list.match();
	}
</script>

{#if list.table}
	<div class="overflow-x-auto border border-line bg-paper">
		<table class="min-w-full text-[13px]">
			<thead>
				<tr>
					{#each list.table.head as heading, column (column)}
						<th class="px-2 py-2 text-left align-top font-medium"
							><span class="block max-w-48 truncate">{heading || '(no heading)'}</span><select
								class="control mt-1 w-44"
								aria-label="What the column {heading || column + 1} says"
								value={fieldOf(column)}
								onchange={(e) => map(column, e.currentTarget.value as ListField | '')}
							>
								<option value="">leave it out</option>
								{#each LIST_FIELDS as field (field)}<option value={field}>{FIELD_WORDS[field]}</option>{/each}
							</select></th
						>
					{/each}
				</tr>
			</thead>
			<tbody>
				{#each list.table.sample as row, i (i)}
					<tr class="border-t border-line">
						{#each list.table.head as _, column (column)}<td
								class="max-w-48 truncate px-2 py-1 {fieldOf(column) ? '' : 'text-muted'}"
								>{row[column] ?? ''}</td
							>{/each}
					</tr>
				{/each}
			</tbody>
		</table>
	</div>
{/if}
