<script lang="ts">
	import { onMount } from 'svelte';
	import { formatHours } from '../../core/labour/standards.ts';
	import { formatAmount } from '../../core/money/money.ts';
	import type { StartingShape } from '../../core/starting/shape.ts';
	import type { DrawList } from '../../core/scene/draw-list.ts';
	import { formatFeet, type Millimetres } from '../../core/units/length.ts';
	import Button from '../../ui/button/Button.svelte';
	import Tape from '../../ui/tape/Tape.svelte';
	import TapeLine from '../../ui/tape/TapeLine.svelte';
	import { atLeast, atMost, missingText, percentText, priceText, sumText } from '../bench/tape-words.ts';
	import Picture from '../picture/Picture.svelte';
	import AskedFields from '../by-hand/AskedFields.svelte';
	import ShapeTile from './ShapeTile.svelte';
	import { Start, type StartData } from './start.svelte.ts';

	interface Props {
		data: StartData;
		/** Id of the design to be, so that a button pressed twice makes one. */
		fresh: string;
		/** The shape asked for by the address. */
		shape: string;
		onshape: (id: string) => void;
	}
	let { data, fresh, shape, onshape }: Props = $props();
	// svelte-ignore state_referenced_locally
	const start = new Start(data);
	const KEPT = 'bright-tally/starting';
	let tiles = $state.raw<Readonly<Record<string, DrawList>>>({});
	start.shape = start.shapes.find((s) => s.id === shape) ?? start.shapes[0]!;
	/** At once; the address follows, so that a reload is where she was. */
	function take(one: StartingShape) {
		start.shape = one;
		onshape(one.id);
	}
	onMount(() => {
		try {
			start.resume(JSON.parse(sessionStorage.getItem(KEPT) ?? '{}'));
		} catch {
			// What cannot be read is begun anew.
		}
		// The picture in hand first, then the small ones, one a frame.
		let next = 0;
		const draw = () => {
			const one = start.shapes[next++];
			if (!one) return;
			tiles = { ...tiles, [one.id]: start.tile(one) };
			frame = requestAnimationFrame(draw);
		};
		let frame = requestAnimationFrame(draw);
		shapes?.querySelector<HTMLElement>('[aria-pressed=true]')?.focus();
		return () => cancelAnimationFrame(frame);
	});
	$effect(() => {
		const said = JSON.stringify(start.said);
		if (said !== '{}') sessionStorage.setItem(KEPT, said);
	});
	const ready = $derived(Object.keys(start.wrong).length === 0);
	const price = $derived(start.tally.price);
	const unknown = $derived(start.tally.cost.total.unknown);
	const overall = $derived(start.tally.assembly.overall);
	/** The height it came to, where one was asked for: rows come whole. */
	const tall = $derived.by(() => {
		if (!overall.known) return '';
		const high = data.settings.lengths === 'cm' ? `${Math.round(overall.usual / 10)} cm` : formatFeet(overall.usual as Millimetres); // prettier-ignore
		return `${high} over all`;
	});
	let shapes = $state<HTMLElement>();
	let form = $state<HTMLFormElement>();
	/** Arrows go from shape to shape: one press of Tab leaves them. */
	function along(event: KeyboardEvent) {
		const by = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[event.key];
		if (by === undefined) return;
		event.preventDefault();
		const all = [...(shapes?.querySelectorAll('button') ?? [])];
		const next = all[(all.indexOf(event.target as HTMLButtonElement) + by + all.length) % all.length];
		next?.focus();
		if (next?.type === 'button') next.click();
	}
	/** From any field it is built without going to the button. */
	function keys(event: KeyboardEvent) {
		if (event.key !== 'Enter' || !(event.ctrlKey || event.metaKey) || !ready) return;
		event.preventDefault();
		// What stands half typed in a field is read first.
		(document.activeElement as HTMLElement | null)?.blur();
		form?.requestSubmit();
	}
	let building = $state(false);
	let sent = $state<HTMLInputElement>();
	/** Ids of its own are given when it is built. */
	function build() {
		if (sent) sent.value = JSON.stringify(start.make(() => crypto.randomUUID()));
		sessionStorage.removeItem(KEPT);
		building = true;
	}
</script>

<svelte:window onkeydown={keys} />
<div
	class="shapes"
	role="toolbar"
	tabindex="-1"
	aria-label="Starting shapes"
	bind:this={shapes}
	onkeydown={along}
>
	{#each start.shapes as one (one.id)}
		<ShapeTile
			title={one.title}
			list={tiles[one.id] ?? null}
			chosen={one === start.shape}
			onpick={() => take(one)}
		/>
	{/each}
	<form method="post" action="?/empty" class="contents">
		<input type="hidden" name="id" value={fresh} />
		<ShapeTile title="Empty" list={null} empty chosen={false} />
	</form>
</div>
<div class="three">
	<section class="fields" aria-label="{start.shape.title}: what it is made of">
		<h2 class="text-[19px]">{start.shape.title}</h2>
		<p class="-mt-2 text-muted">{start.shape.says}</p>
		{#key start.shape.id}
			<AskedFields
				fields={start.shape.fields}
				values={start.values}
				errors={start.wrong}
				{data}
				came={(field) => (field.kind === 'length' && field.comes && start.ok ? tall : '')}
				onset={(name, value) => start.set(name, value)}
			/>
		{/key}
	</section>
	<section class="picture" aria-label="Picture">
		<Picture
			list={start.picture}
			known={overall.known}
			label="{start.shape.title}: {start.tally.bill.balloons} balloons"
		/>
	</section>
	<aside class="side">
		<Tape label="What it comes to">
			<TapeLine label="balloons" amount={String(start.tally.bill.balloons)} name="balloons" />
			<TapeLine label="materials" amount={sumText(start.tally.cost.materialsTotal)} />
			<TapeLine
				label="labour"
				count={formatHours(start.tally.cost.seconds.valueOf())}
				amount={formatAmount(start.tally.cost.labourTotal)}
			/>
			<TapeLine label="cost" amount={sumText(start.tally.cost.total)} rule="sub" name="cost" />
			<TapeLine label={atLeast('Price', unknown)} amount={priceText(price)} rule="big" name="price" />
			<TapeLine
				label={atMost('leaves for the job', unknown)}
				amount={price.status === 'priced' ? percentText(price.margin) : '—'}
				name="margin"
			/>
			{#if unknown.length > 0}<p class="text-[12.6px] leading-snug text-watch">{missingText(unknown)}</p>{/if}
		</Tape>
		<form method="post" action="?/build" onsubmit={build} bind:this={form} class="build">
			<input type="hidden" name="id" value={fresh} />
			<input type="hidden" name="recipe" bind:this={sent} />
			<p class="short">
				{atLeast('Price', unknown)} <b class="figures">{priceText(price)}</b>
			</p>
			<Button kind="strong" type="submit" disabled={!ready || building} title="Ctrl Enter">Build it</Button>
		</form>
		<section class="said" aria-label="The same in lines">
			<h3 class="text-[14px]">The same, typed on the Bench</h3>
			<ol class="figures">
				{#each start.lines as line, index (index)}<li>{line}</li>{/each}
			</ol>
		</section>
	</aside>
</div>

<style>
	.shapes {
		display: grid;
		grid-template-columns: repeat(12, minmax(0, 1fr));
		gap: 6px;
	}
	.three {
		display: grid;
		grid-template-columns: 420px minmax(0, 1fr) 286px;
		gap: 18px;
		margin-top: 12px;
	}
	.fields {
		display: grid;
		align-content: start;
		gap: 10px;
	}
	.picture {
		height: calc(100dvh - 300px);
		min-height: 380px;
	}
	.side {
		display: grid;
		align-content: start;
		gap: 12px;
	}
	.short {
		display: none;
	}
	.said ol {
		margin-top: 6px;
		font-size: 12.6px;
		line-height: 1.5;
	}
	@media (max-width: 1100px) {
		.shapes {
			grid-template-columns: repeat(6, minmax(0, 1fr));
		}
		.three {
			grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
		}
		.side {
			grid-column: 1 / -1;
		}
		.picture {
			height: 460px;
		}
	}
	@media (max-width: 640px) {
		.shapes {
			grid-template-columns: repeat(4, minmax(0, 1fr));
		}
		.three {
			grid-template-columns: minmax(0, 1fr);
			padding-bottom: 60px;
		}
		.picture {
			order: -1;
			height: 300px;
			min-height: 0;
		}
		/* The price stays in view while the fields are gone through. */
		.build {
			position: fixed;
			inset: auto 0 0;
			z-index: 20;
			display: flex;
			align-items: center;
			justify-content: space-between;
			border-top: 2px solid var(--ink);
			background: var(--paper);
			padding: 8px 14px;
		}
		.short {
			display: block;
			font-size: 16px;
		}
	}
</style>
