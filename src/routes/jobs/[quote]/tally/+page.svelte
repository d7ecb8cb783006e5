<script lang="ts">
	import { onMount } from 'svelte';
	import { CAUSE_WORDS, LOSS_CAUSES, type LossCause } from '$lib/core/stock/ledger.ts';
	import { boxHeight } from '$lib/core/scene/svg.ts';
	import { keepPage } from '$lib/features/jobs/keep-page.ts';
	import Strokes from '$lib/features/jobs/Strokes.svelte';
	import { TallyBoard, type SendMarks, type TallySums } from '$lib/features/jobs/tally-board.svelte.ts';
	import { TaskClock } from '$lib/features/jobs/task-clock.svelte.ts';
	import MiniPicture from '$lib/features/picture/MiniPicture.svelte';
	import Button from '$lib/ui/button/Button.svelte';
	import Notice from '$lib/ui/notice/Notice.svelte';

	let { data } = $props();
	const page = $derived(data.page);
	const send: SendMarks = async (marks) => {
		const answer = await fetch(`/jobs/${page.id}/tally/marks`, {
			...(marks.length > 0 && {
				method: 'POST',
				headers: { 'content-type': 'application/json' },
				body: JSON.stringify({ marks })
			})
		}).catch(() => undefined);
		if (!answer || answer.status >= 500 || answer.status === 401 || answer.redirected) return 'later';
		return answer.ok ? ((await answer.json()) as TallySums) : 'refused';
	};
	let board = $state.raw<TallyBoard>();
	let clock = $state.raw<TaskClock>();
	let person = $state('');
	let pieceAt = $state(0);
	let stepAt = $state(0);
	let counterAt = $state(0);
	let asksWhy = $state(false);
	let said = $state('');

	const piece = $derived(page.pieces[Math.min(pieceAt, page.pieces.length - 1)]);
	const step = $derived(piece?.steps[Math.min(stepAt, piece.steps.length - 1)]);
	const counter = $derived(step?.counters[Math.min(counterAt, step.counters.length - 1)]);
	const doneOf = (line: string, key: string) => board?.done(line, key) ?? page.done[`${line} ${key}`] ?? 0;
	const isDone = (own: NonNullable<typeof piece>, one: NonNullable<typeof step>) =>
		one.counters.every((c) => doneOf(own.id, c.key) >= c.target);
	const left = (own: NonNullable<typeof piece>) => own.steps.filter((s) => !isDone(own, s)).length;
	const count = $derived(piece && counter ? doneOf(piece.id, counter.key) : 0);

	onMount(() => {
		const made = new TallyBoard(page.id, page, send, localStorage);
		board = made;
		clock = new TaskClock(`clock/${page.id}`, localStorage);
		person = localStorage.getItem('tally/person') ?? '';
		const own = piece;
		if (own)
			stepAt = Math.max(
				0,
				own.steps.findIndex((s) => !isDone(own, s))
			);
		toFirstLeft();
		const again = () => void (document.visibilityState === 'visible' && made.flush());
		again();
		// A line that comes back is not always told; and somebody else may be counting too.
		const every = setInterval(again, 8000);
		addEventListener('online', again);
		void keepPage();
		return () => {
			clearInterval(every);
			clock?.leave();
			removeEventListener('online', again);
		};
	});

	function toFirstLeft() {
		const own = piece;
		if (!own || !step) return;
		counterAt = Math.max(
			0,
			step.counters.findIndex((c) => doneOf(own.id, c.key) < c.target)
		);
	}
	function go(by: number) {
		if (!piece) return;
		keepTime();
		asksWhy = false;
		const to = stepAt + by;
		if (to >= 0 && to < piece.steps.length) stepAt = to;
		else if (pieceAt + by >= 0 && pieceAt + by < page.pieces.length) {
			pieceAt += by;
			stepAt = by > 0 ? 0 : page.pieces[pieceAt]!.steps.length - 1;
		}
		toFirstLeft();
	}
	const mark = { material: '', cause: null } as const;
	function tap(amount: 1 | -1) {
		if (!piece || !step || !counter || !data.mayCount || !board) return;
		// With full hands the same press goes on.
		if (amount > 0 && isDone(piece, step)) {
			said = 'next step';
			return go(1);
		}
		board.put({ ...mark, line: piece.id, step: counter.key, kind: 'done', amount, person }, Date.now());
		said = `${doneOf(piece.id, counter.key)} of ${counter.target}`;
		// The next of this step, once this one is all there.
		if (amount > 0 && doneOf(piece.id, counter.key) === counter.target && counterAt < step.counters.length - 1) counterAt++;
	} // prettier-ignore
	function lose(cause: LossCause) {
		asksWhy = false;
		if (!piece || !counter) return;
		board?.put({ line: piece.id, step: counter.key, kind: 'lost', amount: 1, material: counter.material, cause, person }, Date.now());
		said = `lost: ${CAUSE_WORDS[cause]}`;
	} // prettier-ignore
	/** What the clock ran for is written down with the step it ran for. */
	function keepTime() {
		const ran = clock?.stop();
		if (!ran || ran.seconds < 1) return;
		board?.put(
			{ ...mark, line: ran.line, step: ran.step, kind: 'time', amount: ran.seconds, person },
			Date.now()
		);
	}
	function toggleClock() {
		if (!piece || !step) return;
		if (clock?.runs) keepTime();
		else clock?.start(piece.id, step.key);
	}

	let held: ReturnType<typeof setTimeout> | undefined;
	let wasHeld = false;
	function down() {
		wasHeld = false;
		clearTimeout(held);
		held = setTimeout(() => {
			wasHeld = true;
			tap(-1);
		}, 600);
	}
	const up = () => clearTimeout(held);
	function keyed(event: KeyboardEvent) {
		const on = event.target as HTMLElement;
		const isOwn = on.closest('input, select, textarea, a, button:not([data-pad])');
		if (event.ctrlKey || event.metaKey || event.altKey || isOwn) return;
		// A foot switch sends one of these.
		if ([' ', 'Enter', 'PageDown'].includes(event.key)) {
			if (!event.repeat) tap(1);
		} else if (event.key === 'Backspace') tap(-1);
		else if (event.key === 'ArrowRight') go(1);
		else if (event.key === 'ArrowLeft') go(-1);
		else return;
		event.preventDefault();
	}
	const scale = (list: NonNullable<NonNullable<typeof piece>['picture']>) =>
		Math.min(150 / Math.max(1, boxHeight(list)), 200 / Math.max(1, 2 * list.halfWidth));
	let pad = $state<HTMLButtonElement>();
	/** What was pressed by hand leaves the foot switch to the count. */
	function backToPad(event: MouseEvent) {
		const on = event.target as HTMLElement;
		if (event.detail > 0 && on.closest('main button') && !asksWhy) pad?.focus({ preventScroll: true });
	}
	const waitWords = (seconds: number) =>
		seconds >= 3600 ? `${Math.round(seconds / 360) / 10} h` : `${Math.round(seconds / 60)} min`;
</script>

<svelte:head><title>Count {page.client} · Jobs · Bright Tally</title></svelte:head>
<svelte:window onkeydown={keyed} onclick={backToPad} />
<main class="mx-auto grid max-w-5xl grid-cols-[minmax(0,1fr)] gap-3 px-6 pb-8 max-sm:px-3">
	<header class="flex flex-wrap items-center gap-x-4 gap-y-2 pt-3">
		<h1 class="text-[21px] break-words">{page.client}</h1>
		<label class="flex items-center gap-2 text-[14px] text-muted"
			>who counts
			<select
				class="control min-h-11! text-ink"
				bind:value={person}
				onchange={() => localStorage.setItem('tally/person', person)}
				><option value="">nobody in particular</option>{#each page.people as one (one.id)}<option
						value={one.id}>{one.name}</option
					>{/each}</select
			></label
		>
		<p class="ml-auto flex items-center gap-x-4">
			<a class="quiet-link min-h-11 content-center" href="/jobs/{page.id}">The job</a>
		</p>
	</header>
	{#if page.pieces.length > 1}
		<nav class="flex flex-wrap gap-2" aria-label="Pieces">
			{#each page.pieces as own, i (own.id)}
				<button
					type="button"
					class={['control min-h-11! text-[14px]', i === pieceAt && 'font-semibold']}
					aria-current={i === pieceAt ? 'true' : undefined}
					onclick={() => {
						keepTime();
						[pieceAt, stepAt] = [
							i,
							Math.max(
								0,
								own.steps.findIndex((s) => !isDone(own, s))
							)
						];
						toFirstLeft();
					}}>{own.quantity} × {own.name} <span class="figures text-muted">{left(own) || 'done'}</span></button
				>
			{/each}
		</nav>
	{/if}
	<div class="grid gap-1 empty:hidden">
		{#if board && board.waits > 1}<p class="text-[13.5px] text-watch" role="status">
				{board.waits} counts wait to be sent: there is no line just now. They are kept on this device.
			</p>{/if}
		{#if board?.refused}<Notice level="bad" live
				>What was counted was not taken: this job is not there any more, or you may not count it. Reload the
				page.</Notice
			>{/if}
	</div>
	{#if !piece || !step || !counter}
		<p class="py-10 text-center text-muted">There is nothing to build on this job.</p>
	{:else}
		<section class="grid grid-cols-[1fr_auto] gap-x-6 gap-y-1 max-sm:grid-cols-1" aria-label="Step">
			<div>
				<p class="text-[13.5px] text-muted">
					step <span class="figures">{stepAt + 1}</span> of
					<span class="figures">{piece.steps.length}</span>{step.of && ` · ${step.of}`} · {step.place}
				</p>
				<h2 class="text-[22px] leading-tight">{step.text}</h2>
				{#if step.tool || step.method}<p class="pt-1 text-[15px]">
						{[step.tool, step.method].filter(Boolean).join(' · ')}
					</p>{/if}
				{#if step.check}<p class="pt-1 text-[15px]"><b>Check:</b> {step.check}</p>{/if}
				{#if step.wait > 0}<p class="pt-1 text-[15px]">Then wait {waitWords(step.wait)}.</p>{/if}
			</div>
			{#if step.photo}<img src="/photo/{step.photo}" alt="" class="max-h-40 max-w-52 object-contain" />
			{:else if piece.picture}<div class="max-sm:hidden">
					<MiniPicture list={piece.picture} scale={scale(piece.picture)} height={156} />
				</div>{/if}
		</section>
		{#if step.counters.length > 1}
			<ul class="border-t-2 border-ink bg-paper" aria-label="What it takes">
				{#each step.counters as one, i (one.key)}
					{@const n = doneOf(piece.id, one.key)}
					<li class="border-b border-line">
						<button
							type="button"
							class={[
								'flex min-h-11 w-full items-center gap-3 px-3 text-left',
								i === counterAt && 'bg-tint font-semibold'
							]}
							aria-current={i === counterAt ? 'true' : undefined}
							onclick={() => (counterAt = i)}
						>
							<span class="flex gap-1"
								>{#each one.hexes as hex, at (at)}<span class="dot" style:background={hex}
									></span>{/each}</span
							>
							<span class="min-w-0 flex-1">{one.text}</span>
							<span class={['figures', n >= one.target && 'text-good']}>{n} of {one.target}</span>
						</button>
					</li>
				{/each}
			</ul>
		{/if}
		<button
			type="button"
			data-pad
			bind:this={pad}
			class="pad"
			disabled={!data.mayCount}
			aria-label="Count one: {counter.text}"
			onpointerdown={down}
			onpointerup={up}
			onpointerleave={up}
			onpointercancel={up}
			oncontextmenu={(e) => e.preventDefault()}
			onclick={(e) => {
				// Space and Enter come as keys, and are counted there.
				if (e.detail > 0 && !wasHeld) tap(1);
			}}
		>
			<span class="figures text-[56px] leading-none" data-name="tally">{count}</span>
			<span class="text-[16px]"
				>of <span class="figures">{counter.target}</span>{count > counter.target
					? `, ${count - counter.target} more than wanted`
					: count === counter.target
						? ' · done'
						: ''}</span
			>
			<Strokes {count} />
			<span class="text-[13.5px] text-muted"
				>{isDone(piece, step)
					? 'all done: a tap goes on to the next step'
					: 'tap, space or foot switch counts one · press long to take one back'}</span
			>
		</button>
		<div class="flex flex-wrap items-start gap-2">
			<Button onclick={() => go(-1)} aria-label="The step before">←</Button>
			<Button kind={isDone(piece, step) ? 'strong' : 'plain'} onclick={() => go(1)}>Next step →</Button>
			<Button onclick={toggleClock} aria-pressed={clock?.runs ?? false}
				>{clock?.runs ? `Stop the clock ${clock.shown}` : 'Start the clock'}</Button
			>
			{#if data.mayCount}<Button onclick={() => (asksWhy = !asksWhy)} aria-expanded={asksWhy}
					>One is lost{#if board && board.lost > 0}<span class="figures text-muted">&nbsp;{board.lost}</span
						>{/if}</Button
				>{/if}
			<Button onclick={() => tap(-1)}>Take one back</Button>
		</div>
		{#if asksWhy}
			<div
				class="flex flex-wrap gap-2 border-l-4 border-watch bg-tint p-2"
				role="group"
				aria-label="Why was it lost?"
			>
				{#each LOSS_CAUSES as cause (cause)}<Button onclick={() => lose(cause)}>{CAUSE_WORDS[cause]}</Button
					>{/each}
			</div>
		{/if}
		<p class="sr-only" aria-live="polite">{said}</p>
	{/if}
</main>

<style>
	.pad {
		display: grid;
		gap: 10px;
		justify-items: center;
		align-content: center;
		min-height: 260px;
		padding: 18px;
		border: 2px solid var(--ink);
		border-radius: 10px;
		background: var(--paper);
		touch-action: manipulation;
		user-select: none;
		-webkit-touch-callout: none;
	}
	.pad:active {
		background: var(--tint);
	}
	.dot {
		width: 16px;
		height: 16px;
		border: 1px solid var(--muted);
		border-radius: 50%;
	}
	main :global(.control),
	main :global(button) {
		min-height: 44px;
	}
</style>
