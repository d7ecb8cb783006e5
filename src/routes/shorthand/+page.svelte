<script lang="ts">
	import { KEYS } from '$lib/features/bench/keys.ts';
	import { phrases } from '$lib/core/structures/registry/language.ts';
	import { SAYINGS } from '$lib/features/bench/sayings.ts';

	const SAY = [
		['4 11 at 9 white', 'Four elevens sized to 9 in, white. Count, size on the bag, size to, colour.'],
		['six elevens at ten and a half gold', 'The same in words. 10½, 10.5 and 10 1/2 are one size.'],
		[
			'4 11 at 8 to 9 white',
			'A range. Also: at 4 strokes, at soft, at full, at loose, at random, at by look.'
		],
		['4 11 white', 'No size said: it stands as a dash until somebody says it.'],
		['4 11 at 9 white x6', 'Six layers alike. Also: 6 times.'],
		['4 9 at 9 white to 5 ft', 'As many layers as make a body of 5 ft.'],
		['4 11 at 9 red / white', 'Round the ring, the same places in every layer.'],
		['4 11 at 9 spiral left red / white x12', 'A spiral, to the left or right hand.'],
		['4 11 at 9 rings red / white x6', 'One colour a layer, in turn.'],
		['4 11 at 9 checker red / white x6', 'Neighbours differ, and so do layers.'],
		['4 11 at 9 blocks 2 red / 1 white x6', 'Two layers red, one white, over again.'],
		[
			'4 11 at 9 white + 2 5 at 4 red front tier 1',
			'Two clusters in one layer; the second tucked in at the front, a tier up.'
		],
		['4 11 at 9 white straight', 'Not turned over the layer below.'],
		[
			'4 11 at 9 white joined modelling balloon',
			'Joined its own way: twisted on, line, necks, modelling balloon, cluster to cluster.'
		],
		['two quads of elevens at 9 white', 'Two layers of four. Also: pairs, duplets, singles.'],
		[
			'section arm x2 mirrored left of column at 4 ft',
			'A section of its own: how many, on which side of which, at which height; or: on column.'
		],
		['use lighthouse x2 gap 5 ft', 'A design you keep, as a part of this one, with air between.'],
		['pole 7 ft', 'The upright: pole, stick, mast, line; or no pole.'],
		['2 moss mat', 'An extra, by its name in the Stockroom.'],
		[
			'3 11 at 9 white with 1 11 at 7 red',
			'Unlike places in one cluster. Also hearts, “by eye”, and “4 strokes of hand pump”.'
		],
		...SAYINGS.map(({ say, means }) => [say, `${means}.`])
	];
</script>

<svelte:head><title>Shorthand · Bright Tally</title></svelte:head>
<main class="mx-auto max-w-6xl px-6 py-6">
	<h1 class="text-[25px]">Shorthand and shortcuts</h1>
	<div class="mt-3 grid gap-x-12 gap-y-6 lg:grid-cols-[minmax(0,1fr)_360px]">
		<section>
			<h2 class="text-lg">Said plainly</h2>
			<p class="mb-3 text-muted">
				Say it as you would tell a colleague, several rows at once if you like; below the line stands what was
				understood, before Enter.
			</p>
			<ul class="mb-6 grid gap-x-6 gap-y-1 sm:grid-cols-2">
				{#each phrases() as { kind, says } (kind)}
					{#each says as say (say)}<li class="text-[13.5px]">“{say}”</li>{/each}
				{/each}
			</ul>
			<h2 class="text-lg">In exact words</h2>
			<p class="mb-3 text-muted">Colours are those of the design or of the Stockroom; a few letters do.</p>
			<dl class="grid gap-x-6 gap-y-2 sm:grid-cols-[minmax(0,22rem)_minmax(0,1fr)]">
				{#each SAY as [say, means] (say)}<dt class="figures text-[13.5px] font-semibold">{say}</dt>
					<dd class="text-muted">{means}</dd>{/each}
			</dl>
		</section>
		<section id="keys">
			<h2 class="mb-2 text-lg">Shortcuts</h2>
			<dl class="grid grid-cols-[7.5rem_1fr] gap-x-4 gap-y-2">
				{#each Object.values(KEYS) as [key, means] (key)}<dt class="figures text-[13.5px] font-semibold">
						{key}
					</dt>
					<dd class="text-muted">{means}</dd>{/each}
			</dl>
		</section>
	</div>
</main>
