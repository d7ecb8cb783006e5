<script lang="ts">
	import { formatHours } from '$lib/core/labour/standards.ts';
	import { formatFeet, markInches, toMillimetres, um, type Millimetres } from '$lib/core/units/length.ts';
	import HowMany from '$lib/features/lists/HowMany.svelte';
	import MiniPicture from '$lib/features/picture/MiniPicture.svelte';
	import Button from '$lib/ui/button/Button.svelte';

	let { data } = $props();
	const HEIGHT = 300;
	const JOINED = {
		dry: 'Pushed together, not glued: it comes apart again.',
		glued:
			'Glued: the glue that is made for that tube, fresh air, held until it sets. It does not come apart.',
		screwed: 'Screwed: a pilot hole first, the point of no screw inside where a hand goes.'
	};
	const COVERED: Record<string, string> = {
		tissue: 'wound in tissue, its end glued down.',
		fabric: 'wound in fabric, its end glued or pinned.',
		paint: 'painted in fresh air, gloves on; dry to the touch before it is joined, as its tin says.',
		balloon: 'a balloon with its end cut off drawn over it, one after the other.'
	};
	const count = (n: number, word: string) => `${n} ${word}${n === 1 ? '' : 's'}`;
</script>

<svelte:head><title>Shop sheet for {data.name} · Bright Tally</title></svelte:head>
<main class="mx-auto max-w-4xl px-6 py-5">
	<header class="no-print flex flex-wrap items-end gap-x-6 gap-y-2">
		<h1 class="text-2xl">Shop sheet: {data.name}</h1>
		<HowMany asked={data} word="Count"><Button onclick={() => print()}>Print</Button></HowMany>
	</header>
	{#if data.frames.length === 0}
		<p class="mt-8 text-muted">
			No frame of its own is in this design. Say one on the Bench, like “frame mast” and then “post 5 ft on
			plate 12 in”, and what is cut and joined stands here.
		</p>
	{/if}
	{#each data.frames as frame (frame.id)}
		{@const bent = frame.marks.length > 0}
		<article class="sheet" aria-label="Sheet of {frame.name}">
			<div class="min-w-0">
				<h2>
					{frame.pieces > 1 ? `${frame.pieces} × ` : ''}{frame.name}: {bent
						? 'mark and bend'
						: 'cut and join'}
				</h2>
				<p class="text-muted">
					{frame.outline} · {frame.tube} · {formatHours(frame.seconds * frame.pieces)} h{frame.uses > 1
						? ` · made once for ${frame.uses} uses`
						: ''}
				</p>
				{#if bent}
					<table>
						<thead><tr><th>Mark from one end</th><th>Bend</th><th>Goes</th><th>Left over it</th></tr></thead>
						<tbody>
							{#each frame.marks as mark, i (i)}<tr
									><td class="figures">{markInches(mark.at)}</td><td class="figures">{mark.angle}°</td><td
										>{mark.goes}</td
									><td class="figures">{markInches(mark.left)}</td></tr
								>{/each}
						</tbody>
					</table>
					<p>
						In a bender no crimp is needed. By hand, crimp the inside of thin tube at the mark first, only
						until the wall gives, no deeper than a fifth of its width: deeper it kinks. Bend at each mark
						until the two sides are square to each other, all turns the same way and flat on the floor; the
						last goes straight up. {markInches(frame.marks.at(-1)!.left)} is left as the upright.
					</p>
				{:else}
					<table>
						<thead><tr><th>Cut</th><th>Length</th><th>done</th></tr></thead>
						<tbody>
							{#each frame.cuts as cut (cut.um)}<tr
									><td class="figures">{cut.count * frame.pieces} ×</td><td class="figures"
										>{markInches(cut.um / 1000)}</td
									><td class="tick"><span></span></td></tr
								>{/each}
						</tbody>
					</table>
					<p>
						From sticks of {formatFeet(toMillimetres(um(frame.stick)))}. Which piece out of which stick stands
						on the lists.
					</p>
				{/if}
				{#if frame.fittings.length > 0}
					<p>
						<b>Join</b> with {frame.fittings.map(([kind, n]) => count(n * frame.pieces, kind)).join(', ')}. {JOINED[
							frame.joined
						]}
					</p>
				{/if}
				{#if frame.cover}<p>
						<b>Cover</b>
						{formatFeet((frame.cover.long * frame.pieces) as Millimetres)} of tube: {COVERED[frame.cover.how]}
					</p>{/if}
				{#if frame.mesh}<p>
						<b>Mesh</b> over the outline, tied at every joint and every foot between; its cut ends turned in.
					</p>{/if}
				{#if frame.guys}<p>
						<b>Guy lines</b>
						{count(frame.guys.count * frame.pieces, 'line')} of {formatFeet(frame.guys.each as Millimetres)} and
						what the knots take, tied {markInches(frame.guys.at)} up, staked {markInches(frame.guys.reach)} out;
						flags on them, and no pipe or cable under a stake.
					</p>{/if}
				{#if frame.base}<p>
						<b>Stands on</b>
						{count(frame.plates * frame.pieces, 'base')}: {frame.base}.
					</p>{/if}
				<p>
					<b>Tools</b> tape, pencil, square, level, {bent
						? 'bender'
						: 'saw or tube cutter, file'}{frame.joined === 'screwed' ? ', driver' : ''}.
				</p>
				<p>
					<b>Wear</b> goggles and gloves{frame.joined === 'glued'
						? '; glue in fresh air, away from flame'
						: ''}. Hold the tube fast before it is cut.
				</p>
				<ul>
					{#each ['square', 'plumb', 'flush', bent ? 'no kink in a bend' : 'every tube pushed home', 'it does not rock'] as check (check)}<li
						>
							<span></span>{check}
						</li>{/each}
				</ul>
			</div>
			<figure>
				<MiniPicture
					list={frame.drawn}
					scale={(HEIGHT - 8) / Math.max(900, frame.height, frame.width * 1.2)}
					height={HEIGHT}
				/>
				<figcaption>
					{formatFeet(frame.width as Millimetres)} wide, {formatFeet(frame.height as Millimetres)} high, to the
					middle of the tube
				</figcaption>
			</figure>
		</article>
	{/each}
	{#if data.frames.length > 0}<p class="mt-4 text-[13px] text-muted">
			A frame that people go under or lean on, or that stands in wind, is for the venue, local codes and a
			structural engineer to judge.
		</p>{/if}
</main>

<style>
	.sheet {
		display: grid;
		grid-template-columns: minmax(0, 1fr) 280px;
		gap: 10px 28px;
		margin-top: 18px;
		padding-top: 12px;
		border-top: 2px solid var(--ink);
		break-inside: avoid;
	}
	.sheet p {
		margin-top: 8px;
	}
	h2 {
		font-size: 18px;
	}
	table {
		width: 100%;
		margin-top: 8px;
		background: var(--paper);
	}
	th,
	td {
		padding: 4px 10px;
		text-align: left;
		border-bottom: 1px solid var(--line);
	}
	th {
		font-weight: 500;
		font-size: 13px;
		color: var(--muted);
	}
	ul {
		display: flex;
		flex-wrap: wrap;
		gap: 4px 18px;
		margin-top: 10px;
	}
	li {
		display: flex;
		align-items: center;
		gap: 7px;
	}
	li span,
	.tick span {
		display: inline-block;
		width: 15px;
		height: 15px;
		border: 1px solid var(--muted);
	}
	figure {
		display: grid;
		min-width: 0;
		justify-items: center;
		align-content: start;
	}
	figcaption {
		width: 100%;
		border-top: 2px solid var(--ink);
		padding: 6px;
		text-align: center;
		font-size: 13px;
		color: var(--muted);
	}
	@media (max-width: 640px) {
		.sheet {
			grid-template-columns: minmax(0, 1fr);
		}
	}
</style>
