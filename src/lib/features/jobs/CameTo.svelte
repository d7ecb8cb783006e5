<script lang="ts">
	interface Side {
		cost: string;
		profit: string;
		margin: string;
	}
	interface Props {
		came: {
			reckoned: Side;
			real: Side;
			isLess: boolean;
			difference: string;
			unknown: readonly string[];
			reasons: readonly { key: string; words: string; by: string; isMore: boolean }[];
			parts: readonly {
				key: string;
				label: string;
				was: string;
				is: string;
				reckoned: string;
				real: string;
				by: string;
				isMore: boolean;
				asReckoned: boolean;
			}[];
		};
		/** The margin it was sent with. */
		quoted: string;
	}
	let { came, quoted }: Props = $props();
</script>

<section aria-label="What it came to">
	<h2 class="pb-1 text-[17px]">What it came to</h2>
	<dl
		class="figures grid grid-cols-[auto_auto_auto_1fr] gap-x-8 gap-y-0.5 border-t-2 border-ink bg-paper px-4 py-3"
	>
		<dt class="text-[13px] text-muted"></dt>
		<dt class="text-[13px] text-muted">reckoned</dt>
		<dt class="text-[13px] text-muted">real</dt>
		<dt></dt>
		<dt>cost</dt>
		<dd class="text-right">{came.reckoned.cost}</dd>
		<dd class="text-right">{came.real.cost}</dd>
		<dd></dd>
		<dt>left</dt>
		<dd class="text-right">{came.reckoned.profit}</dd>
		<dd class="text-right font-semibold" data-name="real-profit">{came.real.profit}</dd>
		<dd class={came.isLess ? 'text-bad' : 'text-good'}>{came.difference}</dd>
		<dt>margin</dt>
		<dd class="text-right">{came.reckoned.margin}</dd>
		<dd class="text-right font-semibold" data-name="real-margin">{came.real.margin}</dd>
		<dd class="text-[13px] text-muted">{quoted && `${quoted} when it was sent`}</dd>
	</dl>
	{#if came.reasons.length > 0}
		<h3 class="pt-4 pb-1 text-[15px]">What made most of the difference</h3>
		<ul class="border-t border-line bg-paper">
			{#each came.reasons as reason (reason.key)}
				<li class="flex flex-wrap items-baseline gap-x-4 border-b border-line px-4 py-1.5">
					<span class="min-w-0 flex-1">{reason.words}</span>
					<span class={['figures', reason.isMore ? 'text-bad' : 'text-good']}>{reason.by}</span>
				</li>
			{/each}
		</ul>
	{/if}
	{#if came.unknown.length > 0}
		<p class="pt-2 text-[13.5px] text-muted">
			Left out on both sides, for no price is known of it: {came.unknown.join('; ')}.
		</p>
	{/if}
	<details class="pt-3">
		<summary class="cursor-pointer text-[14px]">Line by line</summary>
		<div class="overflow-x-auto">
			<table class="mt-1 w-full min-w-[560px] border-t border-line bg-paper text-[13.5px]">
				<thead>
					<tr class="text-left text-muted">
						<th>what</th><th class="n">reckoned</th><th class="n">was</th><th class="n">cost then</th><th
							class="n">cost really</th
						><th class="n">by</th>
					</tr>
				</thead>
				<tbody>
					{#each came.parts as part (part.key)}
						<tr>
							<td
								>{part.label}{#if part.asReckoned}<span class="text-muted"> · not counted</span>{/if}</td
							>
							<td class="n">{part.was}</td>
							<td class="n">{part.asReckoned ? '' : part.is}</td>
							<td class="n">{part.reckoned}</td>
							<td class="n">{part.real}</td>
							<td class={['n', part.isMore ? 'text-bad' : 'text-good']}>{part.by}</td>
						</tr>
					{/each}
				</tbody>
			</table>
		</div>
		<p class="pt-1 text-[13px] text-muted">
			Both at today’s prices and wages and by the piece: what is left over is on the shelf again.
		</p>
	</details>
</section>

<style>
	th,
	td {
		padding: 4px 10px;
		border-bottom: 1px solid var(--line);
	}
	th {
		font-weight: 500;
	}
	.n {
		text-align: right;
		white-space: nowrap;
	}
	td.n {
		font-family: var(--font-mono);
		font-variant-numeric: tabular-nums;
	}
</style>
