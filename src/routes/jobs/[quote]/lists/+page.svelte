<script lang="ts">
	import { onMount } from 'svelte';
	import { keepPage } from '$lib/features/jobs/keep-page.ts';
	import { Ticks, type SendTicks } from '$lib/features/jobs/ticks.svelte.ts';
	import Button from '$lib/ui/button/Button.svelte';
	import Notice from '$lib/ui/notice/Notice.svelte';

	let { data } = $props();
	const send: SendTicks = async (ticks) => {
		const answer = await fetch(`/jobs/${data.id}/tick`, {
			method: 'POST',
			headers: { 'content-type': 'application/json' },
			body: JSON.stringify({ ticks })
		}).catch(() => undefined);
		if (!answer || answer.status >= 500 || answer.status === 401 || answer.redirected) return 'later';
		return answer.ok ? 'done' : 'refused';
	};
	let ticks = $state.raw<Ticks>();
	onMount(() => {
		const ticked = data.lists.flatMap((l) => l.ticked.map((key) => ({ list: l.list, key })));
		const made = new Ticks(data.id, ticked, send, localStorage);
		ticks = made;
		const again = () => void made.flush();
		again();
		// A line that comes back is not always told.
		const every = setInterval(again, 20_000);
		addEventListener('online', again);
		void keepPage();
		return () => {
			clearInterval(every);
			removeEventListener('online', again);
		};
	});
	const isOn = (list: (typeof data.lists)[number], key: string) =>
		ticks ? ticks.isOn(list.list, key) : list.ticked.includes(key);
	const left = (list: (typeof data.lists)[number]) =>
		list.groups.flatMap((g) => g.lines).filter((l) => !isOn(list, l.key)).length;
	const cubic = (litres: number) =>
		`${(litres / 1000).toFixed(1)} m³ (${Math.round(litres / 28.3168)} cu ft)`;
</script>

<svelte:head><title>Lists for {data.client} · Jobs · Bright Tally</title></svelte:head>
<main class="mx-auto grid max-w-3xl grid-cols-[minmax(0,1fr)] gap-6 px-6 pb-12 max-sm:px-3">
	<header class="flex flex-wrap items-baseline gap-x-4 gap-y-1 pt-4">
		<h1 class="text-[25px] break-words">Lists for {data.client}</h1>
		<p class="text-muted">{data.occasion} · no. {data.number}</p>
		<p class="no-print ml-auto flex items-center gap-x-4">
			<a class="quiet-link" href="/jobs/{data.id}">The job</a>
			<Button onclick={() => print()}>Print</Button>
		</p>
	</header>
	<div class="grid gap-1">
		<p class="text-[13.5px] text-muted">
			{data.balloons} balloons and {data.spares} spares. In the van about {cubic(data.van.litres)} of what is filled
			before it is driven, poured into bags{data.van.isRough
				? ', reckoned by the bag where no size is said'
				: ''}.
		</p>
		<nav class="no-print flex flex-wrap gap-x-4" aria-label="Lists">
			{#each data.lists as list (list.list)}{#if list.groups.length > 0}<a
						class="quiet-link min-h-[34px] content-center"
						href="#{list.list}"
						>{list.name} <span class="figures text-[13px] text-muted">{left(list)}</span></a
					>{/if}{/each}
		</nav>
		{#if ticks && ticks.waits > 0}<p class="text-[13.5px] text-watch" role="status">
				{ticks.waits === 1 ? '1 tick waits' : `${ticks.waits} ticks wait`} to be sent: there is no line just now.
				They are kept on this phone.
			</p>{/if}
		{#if ticks?.refused}<Notice level="bad" live
				>Ticks were not taken: this job is not there any more, or you may not tick it. Reload the page.</Notice
			>{/if}
	</div>
	{#each data.lists as list (list.list)}
		{#if list.groups.length > 0}
			<section id={list.list} class="list" aria-label={list.name}>
				<h2 class="text-[19px]">{list.name}</h2>
				<p class="pb-1 text-[13.5px] text-muted">{list.about}</p>
				{#each list.groups as group (group.name)}
					{#if group.name}<h3 class="bg-tint px-3 py-1 text-[14.5px]">{group.name}</h3>{/if}
					<ul class="border-t border-line bg-paper">
						{#each group.lines as line (line.key)}
							<li class="border-b border-line">
								<label
									class="flex min-h-[44px] items-center gap-3 px-3 py-1"
									class:done={isOn(list, line.key)}
								>
									<input
										type="checkbox"
										class="h-5 w-5 shrink-0"
										checked={isOn(list, line.key)}
										disabled={!ticks}
										onchange={(e) =>
											ticks?.put({ list: list.list, key: line.key, on: e.currentTarget.checked })}
									/>
									{#if line.count}<b class="figures w-16 shrink-0 text-right">{line.count}</b>{/if}
									<span class="min-w-0 break-words"
										>{line.label}{#if line.note}<span class="text-[13.5px] text-muted"
												>&nbsp;· {line.note}</span
											>{/if}</span
									>
								</label>
							</li>
						{/each}
					</ul>
				{/each}
			</section>
		{/if}
	{/each}
</main>

<style>
	.list {
		scroll-margin-top: 12px;
	}
	.done {
		color: var(--muted);
		text-decoration: line-through;
		text-decoration-thickness: 1px;
	}
	@media print {
		.list {
			break-inside: avoid-page;
		}
	}
</style>
