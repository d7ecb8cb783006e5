<script lang="ts">
	import type { PlanDay } from '../../core/job/plan-blocks.ts';
	import { printHour } from '../../core/job/read-days.ts';

	interface Props {
		days: readonly PlanDay[];
		names: ReadonlyMap<string, string>;
		jobs: ReadonlyMap<string, string>;
		dayWords: (day: string) => string;
	}
	let { days, names, jobs, dayWords }: Props = $props();
	const blocks = $derived(days.flatMap((d) => d.people.flatMap((p) => p.blocks)));
	/** Whole hours that are drawn, the same for all days. */
	const from = $derived(Math.floor(Math.min(24 * 60, ...blocks.map((b) => b.from)) / 60));
	const to = $derived(Math.ceil(Math.max(0, ...blocks.map((b) => b.to)) / 60));
	const hours = $derived(Array.from({ length: Math.max(0, to - from) }, (_, i) => from + i));
	const at = (minute: number) => ((minute - from * 60) / ((to - from) * 60)) * 100;
	const words = (b: (typeof blocks)[number]) =>
		`${printHour(b.from)}–${printHour(b.to === 1440 ? 1439 : b.to)} ${b.piece}, ${jobs.get(b.job) ?? ''}: ${b.steps.length === 1 ? b.steps[0] : `${b.steps.length} steps`}${b.trouble ? (b.trouble === 'past' ? ', that day is over' : ', too early for it to keep') : ''}`;
</script>

<div class="overflow-x-auto">
	<div class="min-w-[640px] border-t-2 border-ink bg-paper">
		{#each days as { day, people } (day)}
			<section aria-label={dayWords(day)} class="border-b border-line pb-1">
				<h3 class="px-3 pt-1.5 text-[14.5px]">{dayWords(day)}</h3>
				{#each people as { person, blocks: own } (person)}
					{#if own.length > 0}
						<div class="grid grid-cols-[110px_1fr] items-center gap-x-3 px-3 py-0.5">
							<span class="truncate text-[13.5px]">{names.get(person)}</span>
							<ol class="lane" style:--hours={hours.length}>
								{#each own as block (block.from)}
									<li
										class={['block', block.trouble && 'trouble']}
										style:left="{at(block.from)}%"
										style:width="{Math.max(0.5, at(block.to) - at(block.from))}%"
										title={words(block)}
									>
										<span aria-hidden="true">{block.piece}</span><span class="sr-only">{words(block)}</span>
									</li>
								{/each}
							</ol>
						</div>
					{/if}
				{/each}
			</section>
		{/each}
		<div class="grid grid-cols-[110px_1fr] gap-x-3 px-3 pb-1 text-[12.6px] text-muted" aria-hidden="true">
			<span></span>
			<div class="flex">
				{#each hours as hour (hour)}<span class="figures flex-1">{hour}</span>{/each}
			</div>
		</div>
	</div>
</div>

<style>
	.lane {
		position: relative;
		height: 26px;
		background: repeating-linear-gradient(
			to right,
			var(--line) 0 1px,
			transparent 1px calc(100% / var(--hours))
		);
	}
	.block {
		position: absolute;
		top: 1px;
		bottom: 1px;
		overflow: hidden;
		padding: 1px 4px;
		border: 1px solid var(--ink);
		border-radius: 4px;
		background: var(--tint);
		font-size: 12.6px;
		white-space: nowrap;
	}
	.trouble {
		border: 2px solid var(--bad);
		color: var(--bad);
	}
</style>
