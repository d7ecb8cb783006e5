<script lang="ts">
	import { enhance } from '$app/forms';
	import type { SubmitFunction } from '@sveltejs/kit';
	import { CAUSE_WORDS, LOSS_CAUSES, MOVE_KINDS, MOVE_WORDS } from '../../core/stock/ledger.ts';
	import Button from '../../ui/button/Button.svelte';
	import Field from '../../ui/field/Field.svelte';
	import TextField from '../../ui/field/TextField.svelte';

	interface Props {
		shelf: { onHand: string; pieces: number; value: string; valueKnown: boolean; oldest: string | null; reorder: string | null; isLow: boolean; lead: number; moves: readonly { id: string; day: string; says: string; thousandths: number; pieces: string; cost: string; note: string }[] }; // prettier-ignore
		/** Set aside for accepted jobs; null where it could not be worked out. */
		reserved: Promise<readonly { quote: string; says: string; day: string; quantity: number }[] | null>;
		fresh: string;
		/** What was refused, as it was sent. */
		form: { readonly typed?: Readonly<Record<string, string>>; readonly errors?: Readonly<Record<string, string>> } | undefined; // prettier-ignore
		suppliers: readonly { readonly id: string; readonly name: string }[];
		done: boolean | undefined;
		/** How it is sent. */
		enhanced: SubmitFunction;
	}
	let { shelf, reserved, fresh, form, suppliers, done, enhanced }: Props = $props();
	const typed = $derived(form?.typed ?? {});
	const errors = $derived(form?.errors ?? {});
	let picked = $state<string | null>(null);
	const kind = $derived(picked ?? typed.kind ?? 'bought');
	const text = (n: number) => String(Math.round(n * 10) / 10);
</script>

<section class="mb-5 border border-line bg-paper px-4 py-3" aria-labelledby="shelf">
	<h2 id="shelf" class="text-[17px] font-semibold">On the shelf</h2>
	<dl class="mt-2 flex flex-wrap gap-x-6 gap-y-1">
		<div>
			<dt class="text-[13px] text-muted">on hand</dt>
			<dd class="figures" class:text-bad={shelf.pieces < 0}>
				{shelf.moves.length === 0 ? 'not counted yet' : shelf.onHand}
			</dd>
		</div>
		{#await reserved then jobs}
			{#if jobs && jobs.length > 0}
				{@const all = jobs.reduce((a, j) => a + j.quantity, 0)}
				<div>
					<dt class="text-[13px] text-muted">set aside</dt>
					<dd class="figures">{text(all)}</dd>
				</div>
				{#if shelf.moves.length > 0}<div>
						<dt class="text-[13px] text-muted">free</dt>
						<dd class="figures" class:text-bad={shelf.pieces - all < 0}>{text(shelf.pieces - all)}</dd>
					</div>{/if}
			{/if}
		{/await}
		{#if shelf.moves.length > 0}<div>
				<dt class="text-[13px] text-muted">worth</dt>
				<dd class="figures">{shelf.value}{shelf.valueKnown ? '' : ' and some not known'}</dd>
			</div>{/if}
		{#if shelf.oldest}<div>
				<dt class="text-[13px] text-muted">oldest since</dt>
				<dd class="figures">{shelf.oldest}</dd>
			</div>{/if}
		{#if shelf.reorder}<div>
				<dt class="text-[13px] text-muted">order again at</dt>
				<dd class="figures" class:text-watch={shelf.isLow}>{shelf.reorder}</dd>
			</div>{/if}
	</dl>
	{#if shelf.pieces < 0}<p class="mt-1 text-bad">
			More went than is known to have come. Count it, or write down what was bought.
		</p>{/if}
	{#if shelf.isLow}<p class="mt-1 text-watch">
			It is time to order: that much went in {shelf.lead} days of the last half year, and so long it takes to come.
		</p>{/if}
	{#await reserved then jobs}
		{#if jobs && jobs.length > 0}
			<ul class="mt-1 text-[13px] text-muted">
				{#each jobs as job (job.quote)}<li>
						<a class="quiet-link" href="/quotes/{job.quote}">{job.says}</a>: {text(job.quantity)} on {job.day}
					</li>{/each}
			</ul>
		{/if}
	{/await}
	<form
		method="post"
		action="?/move"
		class="mt-3 grid grid-cols-4 items-start gap-3 max-md:grid-cols-2"
		use:enhance={enhanced}
		onreset={() => (picked = null)}
	>
		<input type="hidden" name="id" value={fresh} />
		<Field label="What happened" error={errors.kind}>
			{#snippet children(attributes)}
				<select
					{...attributes}
					name="kind"
					class="control w-full min-w-0"
					value={kind}
					onchange={(e) => (picked = e.currentTarget.value)}
					>{#each MOVE_KINDS.filter((k) => k !== 'counted') as each (each)}<option value={each}
							>{MOVE_WORDS[each]}</option
						>{/each}</select
				>
			{/snippet}
		</Field>
		{@render line('How many', 'quantity', '2 bags and 34')}
		{#if kind === 'bought'}{@render line('What all of it cost', 'cost', '33.00')}{/if}
		{#if kind === 'lost'}
			<Field label="Why" error={errors.cause}>
				{#snippet children(attributes)}<select {...attributes} name="cause" class="control w-full min-w-0"
						><option value="">not said</option>{#each LOSS_CAUSES as each (each)}<option
								value={each}
								selected={typed.cause === each}>{CAUSE_WORDS[each]}</option
							>{/each}</select
					>{/snippet}
			</Field>
		{/if}
		{#if kind === 'lost' || kind === 'bought' || kind === 'repaired'}
			{@render line('Lot on the bag', 'batch')}
			<Field label="Who sold it" error={errors.supplier}>
				{#snippet children(attributes)}<select {...attributes} name="supplier" class="control w-full min-w-0"
						><option value="">not said</option>{#each suppliers as each (each.id)}<option
								value={each.id}
								selected={typed.supplier === each.id}>{each.name}</option
							>{/each}</select
					>{/snippet}
			</Field>
		{/if}
		{@render line('Day (blank: today)', 'day', '', 'date')}
		{@render line('A note', 'note')}
		{#if kind === 'moved'}<label class="flex min-h-8 items-center gap-2 pt-5"
				><input type="checkbox" name="away" checked={typed.away === 'on'} /> away from here</label
			>{/if}
		<p class="pt-5"><Button type="submit">Write it down</Button></p>
	</form>
	{#if done}<p class="text-[13px] text-good" role="status">Written down.</p>{/if}
	{#if shelf.moves.length > 0}
		<details class="mt-2">
			<summary class="cursor-pointer font-medium">What came and went</summary>
			<ul class="mt-1 text-[13px]">
				{#each shelf.moves as move (move.id)}
					<li class="flex flex-wrap gap-x-4">
						<span class="figures">{move.day}</span><span class="figures"
							>{move.thousandths < 0 ? '−' : '+'}{move.pieces}</span
						><span>{move.says}</span>{#if move.cost}<span class="figures text-muted">{move.cost}</span
							>{/if}{#if move.note}<span class="text-muted">{move.note}</span>{/if}
					</li>
				{/each}
			</ul>
		</details>
	{/if}
</section>

{#snippet line(label: string, name: string, placeholder = '', type: 'text' | 'date' = 'text')}
	<TextField {label} {name} value={typed[name]} error={errors[name]} {placeholder} {type} />
{/snippet}
