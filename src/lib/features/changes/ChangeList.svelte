<script lang="ts">
	interface Shown {
		readonly id: number;
		readonly at: string;
		readonly name: string;
		readonly by: string;
		readonly href: string | null;
		readonly what: string;
		readonly was: string | null;
		readonly is: string | null;
	}
	interface Props {
		changes: readonly Shown[];
		/** Of one thing alone its name is not said again. */
		named?: boolean;
	}
	let { changes, named = true }: Props = $props();
</script>

<ul class="border-t-2 border-ink bg-paper">
	{#each changes as change (change.id)}
		<li
			class="grid grid-cols-[140px_110px_1fr] gap-x-4 border-b border-line px-4 py-1.5 max-sm:grid-cols-[1fr_auto] max-sm:px-3"
		>
			<span class="figures text-muted">{change.at}</span>
			<span class="max-sm:text-right">{change.by}</span>
			<span class="min-w-0 break-words max-sm:col-span-2">
				{#if named}{#if change.href}<a class="quiet-link" href={change.href}>{change.name}</a>{:else}<b
							>{change.name}</b
						>{/if}:{/if}
				{change.what}{#if change.was !== null || change.is !== null},
					{#if change.was !== null}<span class="figures">{change.was || 'nothing'}</span>&nbsp;→&nbsp;{/if}<b
						class="figures font-semibold">{change.is === null || change.is === '' ? 'nothing' : change.is}</b
					>{/if}
			</span>
		</li>
	{:else}
		<li class="border-b border-line px-4 py-3 text-muted">Nothing of that kind was changed.</li>
	{/each}
</ul>
