<script lang="ts">
	import { onMount, untrack, type Snippet } from 'svelte';
	import { Bench } from './bench.svelte.ts';
	import type { BenchData } from './bench-data.ts';
	import BenchTools from './BenchTools.svelte';
	import BenchPicture from './BenchPicture.svelte';
	import BenchTape from './BenchTape.svelte';
	import ColourPanel from './ColourPanel.svelte';
	import SizesPanel from './SizesPanel.svelte';
	import Conflict from './Conflict.svelte';
	import PlacesDialog from './structures/stack/PlacesDialog.svelte';
	import RecipePanel from './RecipePanel.svelte';
	import KeepDialog, { type Touched } from './KeepDialog.svelte';
	import { commands } from '../commands/commands.svelte.ts';
	import { benchCommands } from './bench-commands.ts';
	import { saveWords } from '../shell/save-words.ts';
	import { recall, recallTyped, remember, rememberTyped } from './session.ts';
	import { atLeast, atMost, percentText, priceText } from './tape-words.ts';

	interface Props {
		data: BenchData & {
			readonly usedIn: readonly { readonly id: string; readonly name: string }[];
			/** Put away: it is not on the Shelf. */
			readonly isAway: boolean;
		};
		/** Called once the design is kept, to start a quote with it in the colours and size in hand. */
		onquote: (line: { design: string; colourway: string; size: string }) => void;
		/** Opens another page of this design. */
		onopen: (path: string) => void;
		/** Shown over the recipe: how it was begun. */
		begun?: Snippet;
	}
	let { data, onquote, onopen, begun }: Props = $props();
	// A page shows one design; another design is another page.
	// svelte-ignore state_referenced_locally
	const bench = new Bench(data);
	let panel = $state<ReturnType<typeof RecipePanel>>();
	let tapeOpen = $state(false);
	let keeping = $state(false);
	let ready = $state(false);
	const isMac = $derived(ready && /Mac|iPhone|iPad/.test(navigator.userAgent));

	const keptWords = $derived(
		bench.keptNumber === 0
			? 'not kept yet'
			: `kept ${bench.keptNumber === 1 ? 'once' : `${bench.keptNumber} times`}`
	);
	const price = $derived(bench.tally.price);
	const unknown = $derived(bench.tally.cost.total.unknown);
	const hasContent = $derived(bench.tally.bill.lines.length > 0 || bench.allRows.length > 0);
	/** Leaving keeps, but for a part that others use: what they become is shown first, when Keep is pressed. */
	const keeps = $derived(hasContent && data.usedIn.length === 0);

	// What the newest picture is rough for is packed beside the typing.
	$effect(() => {
		void bench.tally;
		untrack(() => bench.packer.go());
	});
	onMount(() => {
		ready = true;
		bench.restore(data.recipe, recall(data.id, data.recipe));
		recallTyped(data.id, bench, (id) => JSON.stringify(bench.recipe.sections).includes(`"${id}"`));
		void resume();
		panel?.focusEntry();
		void import('../../core/recipe/why-not-kept.schema.ts').then((rules) => bench.judgeBy(rules.whyNotKept));
		const hide = () => {
			remember(data.id, bench.recipe, bench.history);
			rememberTyped(data.id, bench);
			bench.leave(keeps);
		};
		window.addEventListener('pagehide', hide);
		return () => window.removeEventListener('pagehide', hide);
	});
	/** Takes up what earlier visits left here unsaved, unless she has begun already: then it waits for the next visit. */
	async function resume() {
		let shown = data.recipe;
		for (const left of await bench.saver.leftOver()) {
			if (bench.recipe !== shown) return;
			bench.restore(left.recipe, recall(data.id, left.recipe));
			const mine = await bench.saver.resume(left);
			if (!mine && bench.recipe === left.recipe) bench.restore(data.recipe, recall(data.id, data.recipe));
			if (bench.saver.state !== 'saved') return;
			shown = bench.recipe;
		}
	}
	/** Before another screen opens: hand over what is there and keep it. What cannot be handed over is left for later. */
	export async function leave() {
		remember(data.id, bench.recipe, bench.history);
		rememberTyped(data.id, bench);
		const patience = new Promise<false>((resolve) => setTimeout(resolve, 4000, false));
		const kept = await Promise.race([keeps ? keep('leaving') : bench.saver.flush(), patience]).catch(
			() => false
		);
		if (kept === false) bench.leave(keeps);
	}
	$effect(() => {
		const { recipe, history } = bench;
		// Long histories take a while to write out: in the pauses of typing.
		const idle = window.requestIdleCallback ?? ((work: () => void) => setTimeout(work, 1));
		const timer = setTimeout(() => idle(() => remember(data.id, recipe, history)), 400);
		return () => clearTimeout(timer);
	});

	async function keep(on: 'button' | 'leaving' = 'button'): Promise<boolean> {
		keeping = true;
		try {
			await bench.saver.flush();
			if (bench.saver.state !== 'saved') return false;
			const response = await fetch(`/bench/${bench.id}/keep?on=${on}`, { method: 'POST' });
			if (!response.ok) return false;
			const { number } = (await response.json()) as { number: number };
			bench.markKept(number);
			return true;
		} finally {
			keeping = false;
		}
	}
	/** Designs that keeping would change: shown before it is done. */
	let places = $state<string | null>(null);
	function closePlaces() {
		if (places !== null) panel?.focusAt(places);
		places = null;
	}
	let touched = $state<readonly Touched[] | null>(null);
	let then = $state<'stay' | 'quote'>('stay');
	async function ask(next: 'stay' | 'quote') {
		then = next;
		if (data.usedIn.length === 0) return go();
		await bench.saver.flush();
		const response = await fetch(`/bench/${bench.id}/touches`).catch(() => undefined);
		if (response?.ok) touched = (await response.json()) as Touched[];
		if (!touched || touched.length === 0) await go();
	}
	async function go() {
		touched = null;
		if ((await keep()) && then === 'quote')
			onquote({ design: bench.id, colourway: bench.chosen.id, size: bench.inSize?.id ?? '' });
	}
	onMount(() =>
		commands.add(() =>
			benchCommands(bench, {
				say: (text) => {
					if (text) bench.text = text;
					panel?.focusEntry();
				},
				keep: (next) => void ask(next),
				places: () => (places = bench.selected ?? bench.layers.at(-1)?.id ?? null),
				open: (page) =>
					onopen(new URL(page, `http://here/bench/${bench.id}/`).href.slice('http://here'.length))
			})
		)
	);
	function keydown(event: KeyboardEvent) {
		if (!(event.ctrlKey || event.metaKey) || event.altKey) return;
		const target = event.target as HTMLElement;
		const typing =
			target.matches('input, textarea') &&
			(target as HTMLInputElement).value !== '' &&
			target.matches(':focus');
		const key = event.key.toLowerCase();
		const wanted =
			key === 'z' ? (event.shiftKey ? 'redo' : 'undo') : key === 'y' ? 'redo' : key === 's' ? 'keep' : null;
		if (!wanted || (typing && wanted !== 'keep')) return;
		event.preventDefault();
		if (wanted === 'keep') void ask('stay');
		else bench[wanted]();
	}
</script>

<svelte:window onkeydown={keydown} />

<div class="bench">
	<header class="head">
		<h1 class="sr-only">{bench.recipe.name}</h1>
		<div class="title">
			<input
				class="name"
				aria-label="Name of the design"
				value={bench.recipe.name}
				maxlength="80"
				onchange={(e) => bench.change((d) => (d.name = e.currentTarget.value.trim() || d.name))}
				onkeydown={(e) => {
					if (e.key === 'Enter') panel?.focusEntry();
				}}
			/>
		</div>
		<p class="state" aria-live="polite">
			<span
				>{[...bench.recipe.tags.slice(0, 1), ...(data.isAway ? ['put away'] : []), keptWords].join(
					' · '
				)}{#if data.usedIn.length > 0}&nbsp;· used in {#each data.usedIn as user, index (user.id)}{index > 0
							? ', '
							: ''}<a class="quiet-link" href="/bench/{user.id}">{user.name}</a>{/each}{/if}</span
			>
			<span
				data-name="save-state"
				class:text-bad={['offline', 'signed out', 'refused'].includes(bench.saver.state)}
				>{saveWords(bench.saver, 'working copy')}</span
			>
		</p>
		<ColourPanel {bench} />
		<SizesPanel {bench} />
		<BenchTools {bench} {isMac} keepable={!keeping && hasContent} onkeep={(next) => void ask(next)} />
	</header>
	<div class="three">
		<RecipePanel bind:this={panel} {bench} {begun} onplaces={(layer) => (places = layer)} />
		<BenchPicture {bench} checked={hasContent || bench.tally.findings.some((f) => f.level === 'bad')} />
		<div class="tape-side" class:open={tapeOpen}>
			<button type="button" class="bar" aria-expanded={tapeOpen} onclick={() => (tapeOpen = !tapeOpen)}>
				<span>{atLeast('Price', unknown)} <b class="figures">{priceText(price)}</b></span>
				<span
					>{atMost('leaves', unknown)}
					<b class="figures">{price.status === 'priced' ? percentText(price.margin) : '—'}</b></span
				>
				<span class="quiet-link">{tapeOpen ? 'close the figures' : 'open the figures'}</span>
			</button>
			<div class="tape-body"><BenchTape {bench} /></div>
		</div>
	</div>
</div>
<PlacesDialog {bench} layer={places} onclose={closePlaces} />
<Conflict {bench} />
<KeepDialog {touched} onkeep={go} onclose={() => (touched = null)} />

<style>
	.bench {
		display: flex;
		height: calc(100dvh - 52px);
		min-height: 560px;
		flex-direction: column;
		padding: 0 22px 16px;
	}
	.head {
		display: flex;
		min-height: 66px;
		align-items: center;
		gap: 14px;
	}
	.title {
		font-family: var(--font-head);
		font-weight: 700;
		letter-spacing: -0.01em;
	}
	.name {
		field-sizing: content;
		min-width: 8ch;
		max-width: 22ch;
		font-size: 25px;
		line-height: 1.2;
		background: transparent;
		border-bottom: 1px solid transparent;
	}
	.name:hover {
		border-color: var(--line);
	}
	/* One line: what it is called and kept by gives way, whether it is saved does not. */
	.state {
		display: flex;
		min-width: 120px;
		flex: 0 1 auto;
		gap: 0 8px;
		font-size: 12.6px;
		line-height: 17px;
		white-space: nowrap;
		color: var(--muted);
	}
	.state span:first-child {
		min-width: 0;
		overflow: hidden;
		text-overflow: ellipsis;
	}
	.three {
		display: grid;
		min-height: 0;
		flex: 1;
		grid-template-columns: 430px minmax(0, 1fr) 286px;
	}
	.tape-side {
		display: flex;
		min-height: 0;
		flex-direction: column;
	}
	.tape-body {
		min-height: 0;
		max-height: 100%;
		display: flex;
		flex-direction: column;
	}
	.bar {
		display: none;
	}
	@media (max-width: 1100px) {
		.bench {
			height: calc(100dvh - 52px);
			min-height: 720px;
			padding: 0 14px 62px;
		}
		.head {
			flex-wrap: wrap;
			padding: 8px 0;
			gap: 6px 12px;
		}
		.three {
			grid-template-columns: minmax(0, 1.15fr) minmax(0, 1fr);
		}
		.tape-side {
			position: fixed;
			inset: auto 0 0 0;
			z-index: 20;
			max-height: 80dvh;
			border-top: 2px solid var(--ink);
			background: var(--paper);
		}
		.bar {
			display: flex;
			min-height: 52px;
			align-items: center;
			justify-content: space-between;
			gap: 12px;
			padding: 0 18px;
			font-size: 15px;
		}
		.tape-body {
			display: none;
			overflow: auto;
			max-width: 420px;
			margin-left: auto;
		}
		.open .tape-body {
			display: flex;
		}
	}
	@media (max-width: 640px) {
		.bench {
			height: auto;
		}
		.three {
			grid-template-columns: minmax(0, 1fr);
			height: auto;
		}
	}
</style>
