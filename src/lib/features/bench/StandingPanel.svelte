<script lang="ts">
	import { standingUp, steadiness, LEAN, STAKE_HOLDS } from '../../core/stability/standing-up.ts';
	import { ballastIn, footingOn, GROUNDS, INDICATIVE, inPounds, venueSentence, weightWords, windWords } from '../../core/stability/standing-words.ts'; // prettier-ignore
	import { BALL_DRAG, beaufort, PANEL_DRAG, SHELTERED } from '../../core/stability/wind.ts';
	import { parseBounded } from '../../core/units/number.ts';
	import { parseLength } from '../../core/units/length.ts';
	import { inUnit } from '../../core/units/quantity.ts';
	import Button from '../../ui/button/Button.svelte';
	import Chart from '../../ui/chart/Chart.svelte';
	import Field from '../../ui/field/Field.svelte';
	import Pick from '../../ui/pick/Pick.svelte';
	import Popover from '../../ui/popover/Popover.svelte';
	import { feetWords } from './kit/feet-words.ts';
	import type { Bench } from './bench.svelte.ts';
	import { tallyThere } from './on-ground.ts';

	interface Props {
		bench: Bench;
	}
	let { bench }: Props = $props();
	let gustTyped = $state('15');
	let baseTyped = $state('');
	let ballastTyped = $state('0');
	let slopeTyped = $state('0');
	let ground = $state<(typeof GROUNDS)[number][0]>('paving');
	let meets = $state<'balls' | 'panel'>('balls');
	let open = $state<'open' | 'sheltered'>('open');
	let copied = $state('');
	const style = $derived({ decimal: bench.data.settings.decimal });
	const read = $derived({
		gust: parseBounded(gustTyped, { what: 'A gust', min: 1, max: 90 }, style),
		slope: parseBounded(slopeTyped || '0', { what: 'A slope', min: 0, max: 15 }, style),
		ballast: parseBounded(ballastTyped || '0', { what: 'More weight', min: 0, max: 2000 }, style),
		base: baseTyped.trim() === '' ? null : parseLength(baseTyped, 'in', style)
	});
	/** What was last read of a field: a slip of the finger moves nothing. */
	let last = { gust: 15, slope: 0 };
	const mph = $derived(read.gust.ok ? (last.gust = read.gust.value.valueOf()) : last.gust);
	const slope = $derived(read.slope.ok ? (last.slope = read.slope.value.valueOf()) : last.slope);
	const gust = $derived(mph / inUnit(1, 'speed', 'mph'));
	const footing = $derived(footingOn(ground));
	const where = $derived({
		slope,
		...footing[1],
		drag: meets === 'panel' ? PANEL_DRAG : BALL_DRAG
	});
	const steady = (speed: number) =>
		steadiness(piece, speed * (open === 'open' ? 1 : SHELTERED), footing[0], where);
	/** As it is built for that ground: its base and what is bought for it are others there. */
	const there = $derived(tallyThere(bench, ground));
	const piece = $derived(
		standingUp({
			built: there.built,
			assembly: there.assembly,
			bill: there.bill,
			catalogue: bench.context.catalogue,
			base: read.base?.ok ? read.base.value.um / 1000 : null,
			ballast: read.ballast.ok ? read.ballast.value.valueOf() / inPounds(1) : 0
		})
	);
	const found = $derived(steady(gust));
	const bags = $derived(
		found.wind && found.wind.more > 0 && Number.isFinite(found.wind.more)
			? ballastIn(found.wind.more, bench.context.catalogue.materials.values())
			: undefined
	);
	const more = $derived(
		found.wind
			? `${weightWords(found.wind.more)} (${bags ? `${bags.count} × ${bags.name}, or ` : ''}${Math.ceil(found.wind.more)} litres of water)`
			: ''
	);
	const sentence = $derived(venueSentence(bench.recipe.name, piece, found, { gust, ballast: more }));
	/** Ballast against the gust, up to twice the one asked for. */
	const points = $derived(
		Array.from({ length: 13 }, (_, i) => {
			const at = (mph * 2 * i) / 12;
			const { wind } = steady(at / inUnit(1, 'speed', 'mph'));
			return [at, inPounds(wind?.more ?? 0)] as const;
		})
	);
	async function copy() {
		await navigator.clipboard.writeText(sentence).then(
			() => (copied = 'copied'),
			() => (copied = 'Copying is not allowed here: mark it and copy it yourself.')
		);
	}
</script>

<Popover label="Does it stand" width={460} slim>
	{#snippet trigger()}<span class="quiet-link text-[13px]">does it stand?</span>{/snippet}
	<div class="grid max-h-[70vh] gap-3 overflow-y-auto text-[13.5px]">
		<div class="grid grid-cols-2 gap-3">
			<Field label="Gust, mph" error={read.gust.ok ? undefined : read.gust.say}>
				{#snippet children(attributes)}<input
						{...attributes}
						class="control figures w-full"
						inputmode="decimal"
						bind:value={gustTyped}
					/>{/snippet}
			</Field>
			<Pick
				label="It stands on"
				value={ground}
				options={GROUNDS.map(([id, says]) => [id, says] as const)}
				onpick={(v) => (ground = v as typeof ground)}
			/>
			<Field label="The ground slopes, degrees" error={read.slope.ok ? undefined : read.slope.say}>
				{#snippet children(attributes)}<input
						{...attributes}
						class="control figures w-full"
						inputmode="decimal"
						bind:value={slopeTyped}
					/>{/snippet}
			</Field>
			<Pick
				label="The wind meets"
				value={meets}
				options={[
					['balls', 'balloons'],
					['panel', 'a flat panel']
				]}
				onpick={(v) => (meets = v as typeof meets)}
			/>
			<Pick
				label="It is"
				value={open}
				options={[
					['open', 'in the open'],
					['sheltered', 'sheltered by walls']
				]}
				onpick={(v) => (open = v as typeof open)}
			/>
			<Field label="More weight on its foot, lb" error={read.ballast.ok ? undefined : read.ballast.say}>
				{#snippet children(attributes)}<input
						{...attributes}
						class="control figures w-full"
						inputmode="decimal"
						bind:value={ballastTyped}
					/>{/snippet}
			</Field>
			<Field
				label="Width of a base that is no frame"
				hint="blank: its frame, or its lowest balloons"
				error={read.base && !read.base.ok ? read.base.say : undefined}
			>
				{#snippet children(attributes)}<input
						{...attributes}
						class="control figures w-full"
						placeholder="18 in"
						bind:value={baseTyped}
					/>{/snippet}
			</Field>
		</div>
		<p class="border-t-2 border-ink pt-2 text-[15px]" data-name="stands" aria-live="polite">
			{#if piece.toEdge <= 0}<b class="text-bad">It falls by itself.</b> Its weight is not over what it stands on:
				give it feet, a plate or a wider base.
			{:else if found.wind?.holds}<b class="text-good">It stands a gust of {windWords(gust)}</b> with half as much
				again in hand.
			{:else if found.wind}<b class="text-bad">It does not stand a gust of {windWords(gust)}.</b>
				{more} more on its foot holds it.
			{:else}Nothing is there yet for the wind to push.{/if}
		</p>
		<table class="w-full">
			<tbody>
				{#each piece.weights as { what, kg, estimated } (what)}<tr
						><td>{what}{estimated ? ', worked out' : ''}</td><td class="figures text-right"
							>{kg < 0 ? '−' : ''}{weightWords(Math.abs(kg))}</td
						></tr
					>{/each}
				<tr class="border-t border-line"
					><td>in all</td><td class="figures text-right">{weightWords(piece.kg)}</td></tr
				>
				<tr
					><td>its weight is over the floor by</td><td class="figures text-right"
						>{feetWords(piece.centre.z)}</td
					></tr
				>
				<tr
					><td>from under that to the edge</td><td class="figures text-right"
						>{piece.toEdge > 0 ? feetWords(piece.toEdge) : 'outside'}</td
					></tr
				>
				<tr><td>leaned so far it falls</td><td class="figures text-right">{Math.round(piece.tipsAt)}°</td></tr
				>
				<tr
					><td>the wind sees of it</td><td class="figures text-right"
						>{Math.round(piece.area * 10.7639)} sq ft</td
					></tr
				>
				{#if found.wind}
					<tr><td>begins to tip at</td><td class="figures text-right">{windWords(found.wind.tipsAt)}</td></tr>
					<tr
						><td>begins to slide at</td><td class="figures text-right">{windWords(found.wind.slidesAt)}</td
						></tr
					>
				{/if}
				<tr
					><td>someone leaning on it, {Math.round(LEAN.force / 4.448)} lb</td><td class="text-right"
						>{found.bearsLean
							? 'it bears that'
							: Number.isFinite(found.leanNeeds)
								? `needs ${weightWords(found.leanNeeds)} in all`
								: 'it does not'}</td
					></tr
				>
			</tbody>
		</table>
		{#if found.wind}<Chart
				label="Weight to add against the gust"
				across="gust, mph"
				up="lb to add"
				series={[{ name: 'to add', points }]}
				here={[mph, inPounds(found.wind.more)]}
			/>{/if}
		<p class="text-muted">
			A gust of {windWords(gust)} comes with a mean wind of some {windWords(gust / 1.6)}, Beaufort {beaufort(
				gust / 1.6
			)}. {piece.guys.length > 0
				? where.staked
					? `Each stake is reckoned to hold ${Math.round(STAKE_HOLDS / 4.448)} lb; pull at one before you trust it.`
					: 'Guy lines are reckoned on grass alone: no stake holds in a floor.'
				: ''} A full silhouette; sails and guests are worse. {INDICATIVE}
		</p>
		<p>“{sentence}”</p>
		<p class="flex items-center gap-3">
			<Button onclick={copy}>Copy for the venue</Button><span role="status">{copied}</span>
		</p>
	</div>
</Popover>
