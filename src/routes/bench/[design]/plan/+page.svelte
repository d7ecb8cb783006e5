<script lang="ts">
	import { formatHours } from '$lib/core/labour/standards.ts';
	import { boxHeight } from '$lib/core/scene/svg.ts';
	import HowMany from '$lib/features/lists/HowMany.svelte';
	import MiniPicture from '$lib/features/picture/MiniPicture.svelte';
	import PlanSteps from '$lib/features/plan/PlanSteps.svelte';
	import StepRow from '$lib/features/plan/StepRow.svelte';
	import Button from '$lib/ui/button/Button.svelte';
	import Notice from '$lib/ui/notice/Notice.svelte';

	let { data, form } = $props();
	/** All pictures stand in one row at one scale, the photo beside them. */
	const HIGHEST = 220;
	const lists = $derived([
		{ title: 'To inflate', lines: data.toInflate },
		{ title: 'To buy, and from the shelf', lines: data.toBuy }
	]);
	const cover = $derived(data.photos.find((p) => p.cover));
	const scale = $derived(
		Math.min(
			(HIGHEST - 8) / Math.max(1, ...data.pictures.map((p) => boxHeight(p.list))),
			(680 - (cover ? 190 : 0) - 34 * data.pictures.length) /
				Math.max(1, ...[data.pictures.reduce((a, p) => a + 2 * p.list.halfWidth, 0)])
		)
	);
	const height = $derived(Math.ceil(scale * Math.max(1, ...data.pictures.map((p) => boxHeight(p.list)))) + 8);
	const asked = $derived(`colourway=${data.colourwayId}&size=${data.sizeId}&quantity=${data.quantity}`);
	type Texts = Record<string, string>;
	type Refused = { id: string; trouble: Texts; typed: Texts; started?: Texts };
	const refused = $derived(form && 'trouble' in form ? (form as unknown as Refused) : undefined);
</script>

<svelte:head><title>Plan of {data.name} · Bright Tally</title></svelte:head>
<main class="mx-auto max-w-3xl px-6 py-5 max-sm:px-3">
	<header class="flex flex-wrap items-end gap-x-6 gap-y-2">
		<div>
			<h1 class="text-2xl">{data.quantity > 1 ? `${data.quantity} × ` : ''}{data.name}</h1>
			<p class="text-muted">
				{data.colourway}{data.size ? `, ${data.size}` : ''} · {data.balloons}
				{data.balloons === 1 ? 'balloon' : 'balloons'} · {formatHours(data.seconds)} h of work{Math.round(
					data.clock / 60
				) === Math.round(data.seconds / 60)
					? ''
					: `, ${formatHours(data.clock)} by the clock${data.people.length > 0 ? ` with ${data.people.join(' and ')}` : ''}`}
			</p>
		</div>
		<HowMany asked={data} word="Plan">
			<Button href="/bench/{data.id}/plan.pdf?{asked}">PDF</Button>
		</HowMany>
	</header>
	{#if data.refused}<div class="mt-3"><Notice level="bad">{data.refused}</Notice></div>{/if}
	{#if data.pictures.length > 0}
		<div class="pictures" aria-label="What it looks like">
			{#each data.pictures as { name, list } (name)}
				<figure>
					<MiniPicture {list} {scale} {height} />
					<figcaption>{name}</figcaption>
				</figure>
			{/each}
			{#if cover}
				<figure>
					<img
						src="/photo/{cover.id}"
						alt=""
						style:max-height="{Math.max(140, height)}px"
						style:max-width="180px"
					/>
					<figcaption>{cover.caption || 'photo'}</figcaption>
				</figure>
			{/if}
		</div>
	{/if}
	<p class="no-print mt-3 flex flex-wrap gap-x-5 text-[14px]">
		<a class="quiet-link" href="/bench/{data.id}/lists?{asked}">lists to buy and to inflate</a>
		<a class="quiet-link" href="/bench/{data.id}/photos">photos</a>
		<a class="quiet-link" data-asks="design" href="/bench/{data.id}/count?{asked}">count back</a>
		<a class="quiet-link" data-asks="money" href="/bench/{data.id}/bill.csv?{asked}" download
			>bill of materials, CSV</a
		>
	</p>
	{#each data.parts as part, index (part.design ?? '')}
		<section class="mt-6" aria-label={index === 0 ? 'Steps' : `Steps of ${part.name}`}>
			<h2 class="mb-1 flex flex-wrap items-baseline gap-x-4 text-lg">
				{index === 0 ? 'Steps' : `${part.quantity} × ${part.name}`}
				<span class="font-text text-[13.5px] font-normal text-muted"
					>{formatHours(part.seconds)} h of work</span
				>
				{#if index > 0}<a
						class="quiet-link no-print font-text text-[13.5px] font-normal"
						href="/bench/{part.design}/plan">its own plan</a
					>{/if}
			</h2>
			{#if part.steps.length === 0}
				<p class="py-6 text-muted">
					Nothing to build yet. Say its layers on the Bench, and the steps stand here.
				</p>
			{:else if index === 0 && data.may.includes('design')}
				<PlanSteps steps={part.steps} choices={{ photos: data.photos, subjects: data.subjects }} {refused} />
			{:else}
				<ol class="border-t-2 border-ink">
					{#each part.steps.filter((s) => !s.out) as step, at (step.id)}<li>
							<StepRow {step} number={at + 1} editable={false} />
						</li>{/each}
				</ol>
			{/if}
		</section>
	{/each}
	{#each lists as { title, lines } (title)}
		{#if lines.length > 0}
			<section class="list mt-6" aria-label={title}>
				<h2 class="mb-1 text-lg">{title}</h2>
				<ul class="border-t-2 border-ink bg-paper text-[14px]">
					{#each lines as line, index (index)}
						<li class="flex gap-3 border-b border-line px-3 py-1">
							<span class="box" aria-hidden="true"></span>{line}
						</li>
					{/each}
				</ul>
			</section>
		{/if}
	{/each}
	<section class="mt-6" aria-label="Cautions">
		<h2 class="mb-1 text-lg">Take care</h2>
		<ul class="grid gap-1 text-[13.5px] text-muted">
			{#each data.cautions as caution (caution)}<li>{caution}</li>{/each}
		</ul>
	</section>
</main>

<style>
	.pictures {
		display: flex;
		flex-wrap: wrap;
		align-items: flex-end;
		gap: 8px 22px;
		margin-top: 14px;
		border-bottom: 2px solid var(--ink);
	}
	.box {
		flex: none;
		width: 14px;
		height: 14px;
		margin-top: 4px;
		border: 1px solid var(--muted);
	}
	figcaption {
		padding: 2px 0 4px;
		text-align: center;
		font-size: 13px;
		color: var(--muted);
	}
</style>
