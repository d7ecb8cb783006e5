<script lang="ts">
	/** What makes a line up. */
	interface Part {
		readonly label: string;
		readonly count: string;
		readonly amount: string;
	}
	interface Props {
		label: string;
		/** Count, time or per cent: the middle column. */
		count?: string;
		amount: string;
		/** `sub`: single rule above the amount. `total`: double rule above the line. `big`: the highlighted one. `aside`: beside the sum, not in it. */
		rule?: 'none' | 'sub' | 'total' | 'big' | 'aside';
		parts?: readonly Part[];
		/** For tests and scripts. */
		name?: string;
	}
	let { label, count = '', amount, rule = 'none', parts = [], name }: Props = $props();
	let open = $state(false);
	const id = $props.id();
</script>

{#snippet cells()}
	<span class="label" class:long={label.length > 8}>{label}</span>
	<span class="count">{count}</span>
	<span class="amount" data-name={name}>{amount}</span>
{/snippet}

{#if parts.length > 0}
	<button
		type="button"
		class="line {rule}"
		aria-expanded={open}
		aria-controls={id}
		onclick={() => (open = !open)}
	>
		{@render cells()}
	</button>
	{#if open}
		<ul {id} class="parts">
			{#each parts as part, index (index)}
				<li class="line part">
					<span class="label">{part.label}</span><span class="count">{part.count}</span><span class="amount"
						>{part.amount}</span
					>
				</li>
			{/each}
		</ul>
	{/if}
{:else}
	<p class="line {rule}">{@render cells()}</p>
{/if}

<style>
	.line {
		display: grid;
		grid-template-columns: minmax(0, 1fr) auto minmax(50px, auto);
		align-items: baseline;
		column-gap: 6px;
		width: 100%;
		text-align: left;
		font: 400 12.6px/19px var(--font-mono);
		font-variant-numeric: tabular-nums;
	}
	/* Never cut in half: what tells two materials apart may stand at the end. */
	.label {
		overflow-wrap: anywhere;
	}
	button.line:hover .label {
		text-decoration: underline;
		text-underline-offset: 3px;
	}
	.count,
	.amount {
		text-align: right;
		white-space: nowrap;
	}
	.sub .amount {
		border-top: 1px solid var(--ink);
	}
	.total {
		margin-top: 8px;
		border-top: 3px double var(--ink);
		padding-top: 3px;
		font-weight: 600;
	}
	.big {
		margin: 4px -6px 2px;
		width: calc(100% + 12px);
		padding: 0 6px;
		grid-template-columns: minmax(0, 1fr) auto auto;
		font: 600 25px/30px var(--font-mono);
		color: var(--on-marker);
		--ground: light-dark(transparent, var(--marker));
		background: linear-gradient(var(--ground) 34%, var(--marker) 34% 92%, var(--ground) 92%);
	}
	/* “Price, at least” stays on its line beside the price. */
	.big .long {
		font-size: 15px;
	}
	.aside {
		color: var(--muted);
		font-style: italic;
	}
	.parts {
		margin: 0 0 4px;
		border-left: 1px solid var(--line);
		padding-left: 8px;
	}
	.part {
		font-size: 11.5px;
		line-height: 17px;
		color: var(--muted);
	}
	.part .label {
		white-space: normal;
	}
</style>
