<script lang="ts">
	import { askBeforeLeaving, unsaved } from '$lib/features/shell/unsaved.ts';
	import { enhance } from '$app/forms';
	import HowMany from '$lib/features/lists/HowMany.svelte';
	import Button from '$lib/ui/button/Button.svelte';
	import Field from '$lib/ui/field/Field.svelte';
	import Notice from '$lib/ui/notice/Notice.svelte';

	let { data, form } = $props();
	askBeforeLeaving();
	interface Said {
		trouble?: Record<string, string>;
		typed?: Record<string, string>;
		refused?: string;
		kept?: boolean;
		left?: readonly string[];
		version?: number | null;
	}
	const said = $derived((form ?? {}) as Said);
	const trouble = $derived(said.trouble ?? {});
	const troubles = $derived(Object.entries(trouble).filter(([name]) => name !== 'note'));
	const labelOf = (name: string) => data.lines.find((l) => name.endsWith(l.key))?.label ?? '';
</script>

<svelte:head><title>Count back {data.name} · Bright Tally</title></svelte:head>
<main class="mx-auto max-w-3xl px-6 pb-12 max-sm:px-3">
	<header class="flex flex-wrap items-end gap-x-6 gap-y-2 py-4">
		<div>
			<h1 class="text-2xl">What {data.quantity > 1 ? `${data.quantity} × ` : ''}{data.name} really took</h1>
			<p class="text-muted">{data.colourway}{data.size ? `, ${data.size}` : ''} · counted after the build</p>
		</div>
		<HowMany asked={data} word="Show" />
	</header>
	<div class="grid gap-2" aria-live="polite">
		{#if data.refused}<Notice level="bad">{data.refused}</Notice>{/if}
		{#each data.withJobs as job (job.job)}<Notice level="watch"
				>It was counted back with the job of <a class="quiet-link" href="/jobs/{job.job}/count"
					>{job.client}, {job.day}</a
				>, and what it took went off the shelf then. A count here takes it off once more.</Notice
			>{/each}
		{#if said.refused}<Notice level="watch" live>{said.refused}</Notice>{/if}
		{#if said.kept}
			<Notice level="good" live
				>{said.version
					? `Version ${said.version} is the recipe as it was counted.`
					: 'The count is kept.'}</Notice
			>
		{/if}
		{#each said.left ?? [] as sentence (sentence)}<Notice level="watch">{sentence}</Notice>{/each}
		{#each troubles as [name, sentence] (name)}<Notice level="bad" live>{labelOf(name)}: {sentence}</Notice
			>{/each}
	</div>
	{#if data.lines.length === 0}
		<p class="py-10 text-muted">Nothing in this design yet. Say its layers on the Bench first.</p>
	{:else}
		<form
			method="post"
			{@attach unsaved}
			use:enhance={() =>
				({ update }) =>
					update({ reset: false })}
		>
			<input type="hidden" name="id" value={data.fresh} />
			<table class="mt-2 w-full border-t-2 border-ink bg-paper">
				<thead>
					<tr class="text-left text-[13px] text-muted">
						<th>what</th><th class="n">recipe</th><th class="n">took</th><th class="n">lost</th>
					</tr>
				</thead>
				<tbody>
					{#each data.lines as line (line.key)}
						{@const took = `took.${line.key}`}
						{@const lost = `lost.${line.key}`}
						<tr>
							<td
								>{line.label}{#if line.inside}<span class="text-muted">
										· {line.inside} of it in designs inside</span
									>{/if}</td
							>
							<td class="n">{line.recipe}</td>
							<td class="n"
								><input
									class="control figures w-20 text-right"
									name={took}
									aria-label="Took, {line.label}"
									aria-invalid={Boolean(trouble[took])}
									inputmode="decimal"
									autocomplete="off"
									value={said.typed?.[took] ?? line.prefilled}
								/></td
							>
							<td class="n"
								><input
									class="control figures w-16 text-right"
									name={lost}
									aria-label="Lost, {line.label}"
									aria-invalid={Boolean(trouble[lost])}
									inputmode="numeric"
									autocomplete="off"
									value={said.typed?.[lost] ?? ''}
									placeholder="0"
								/></td
							>
						</tr>
					{/each}
				</tbody>
			</table>
			<div class="mt-3 max-w-lg">
				<Field label="Note" error={trouble.note} hint="What went differently, for the next time">
					{#snippet children(attributes)}<textarea
							{...attributes}
							name="note"
							rows="2"
							class="control w-full"
							value={said.typed?.note ?? ''}></textarea>{/snippet}
				</Field>
			</div>
			<p class="mt-3 flex flex-wrap items-center gap-3">
				<Button kind="strong" type="submit" name="then" value="make">Make it a new version</Button>
				<Button type="submit" name="then" value="keep">Only keep the count</Button>
				<span class="text-[13.5px] text-muted"
					>What is in the piece goes under “took”; what popped on the way under “lost”. A blank is not
					counted.</span
				>
			</p>
		</form>
	{/if}
	{#if data.counts.length > 0}
		<section class="mt-8" aria-label="Counts so far">
			<h2 class="mb-1 text-base">Counts so far</h2>
			<ol class="border-t-2 border-ink bg-paper text-[13.5px]">
				{#each data.counts as count (count.id)}
					<li class="border-b border-line px-3 py-2">
						<b>{count.when}</b>
						<span class="text-muted"
							>{count.quantity > 1 ? `${count.quantity} of them · ` : ''}{count.madeVersion
								? `made version ${count.madeVersion}`
								: 'kept beside the recipe'}</span
						>
						{#each count.lines as line (line.key)}
							<p class="figures">
								{line.label}: {line.recipe} → {line.took}{line.lost > 0 ? `, ${line.lost} lost` : ''}
							</p>
						{:else}<p class="text-muted">as the recipe says</p>{/each}
						{#if count.note}<p>{count.note}</p>{/if}
					</li>
				{/each}
			</ol>
		</section>
	{/if}
</main>

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
		font-family: var(--font-mono);
		font-variant-numeric: tabular-nums;
	}
</style>
