<script lang="ts">
	import { swapSlots } from '../../core/recipe/edit.ts';
	import type { RecipeDraft } from '../../core/recipe/draft.ts';
	import { ANY_COLOUR, SLOT_ROLES, type Slot } from '../../core/document/slot.ts';
	import Popover from '../../ui/popover/Popover.svelte';
	import Button from '../../ui/button/Button.svelte';
	import ColourPick from '../colours/ColourPick.svelte';
	import Swatch from '../colours/Swatch.svelte';
	import FromPicture from './FromPicture.svelte';
	import { hexOfSlot } from './kit/rows.ts';
	import type { Bench } from './bench.svelte.ts';

	interface Props {
		bench: Bench;
	}
	let { bench }: Props = $props();
	/** Colours shown in the head, on one line: the others are in the panel. */
	const MOST_DOTS = 5;
	const recipe = $derived(bench.recipe);
	const chosen = $derived(bench.chosen);
	type Changed = { name: string; fills: Record<string, string | null>; without: string[] };
	const own = (change: (colourway: Changed, recipe: RecipeDraft) => void) =>
		bench.change((d) => {
			const colourway = d.colourways.find((c) => c.id === chosen.id);
			if (colourway) change(colourway, d);
		});
	const LEFT_OUT = 'left out';
	const otherwise = (slot: Slot) =>
		chosen.without.includes(slot.id)
			? LEFT_OUT
			: slot.any
				? 'any colour: nobody sees it'
				: 'open until the job';
	const fill = (slot: string, said: string) =>
		own((c, d) => {
			c.without = c.without.filter((s) => s !== slot);
			if (said === LEFT_OUT) c.without.push(slot);
			else c.fills[slot] = said === ANY_COLOUR ? null : said || null;
			const seen = d.slots.find((s) => s.id === slot);
			if (!seen || said === LEFT_OUT) return;
			if (said === ANY_COLOUR) seen.any = true;
			else delete seen.any;
		});
	const setRole = (slot: string, said: string) =>
		bench.change((d) => {
			const own = d.slots.find((s) => s.id === slot);
			if (own) own.role = SLOT_ROLES.find((r) => r === said) ?? null;
		});
	function add() {
		const id = crypto.randomUUID();
		bench.change(
			(d) =>
				void d.colourways.push({
					id,
					name: `${chosen.name}, again`,
					fills: { ...chosen.fills },
					without: [...chosen.without]
				})
		);
		bench.colourway = id;
	}
	let [one, other] = $state(['', '']);
	const pair = $derived([one || recipe.slots[0]?.id, other || recipe.slots[1]?.id] as const);
	function swap() {
		const [a, b] = pair;
		if (a && b && a !== b) bench.change((d) => swapSlots(d, chosen.id, [a, b]));
	}
	const naming = (text: string, had: string) => text.trim().slice(0, 80) || had;
</script>

<Popover label="Colourway {chosen.name}: change colours" width={400}>
	{#snippet trigger()}
		<span class="flex flex-none gap-1.5">
			{#each recipe.slots.slice(0, MOST_DOTS) as slot (slot.id)}
				<span class="h-4 w-4 rounded-full border border-line" style:background={hexOfSlot(bench, slot.id)}
				></span>
			{/each}
		</span>
		{#if recipe.slots.length > MOST_DOTS}<span class="figures text-[12.6px] text-muted"
				>+{recipe.slots.length - MOST_DOTS}</span
			>{/if}
		<span class="ml-0.5 max-w-[18ch] overflow-hidden text-sm text-ellipsis whitespace-nowrap"
			>{chosen.name}</span
		>
	{/snippet}
	<div class="grid gap-2.5 text-sm">
		{#if recipe.colourways.length > 1}
			<div class="flex flex-wrap gap-1.5" role="group" aria-label="Colourways">
				{#each recipe.colourways as colourway (colourway.id)}
					<button
						type="button"
						aria-pressed={colourway.id === chosen.id}
						class="rounded-control border border-line px-2 py-1 aria-pressed:bg-ink aria-pressed:text-[var(--on-ink)]"
						onclick={() => (bench.colourway = colourway.id)}>{colourway.name}</button
					>
				{/each}
			</div>
		{/if}
		<label class="grid gap-1 text-[13px] text-muted">
			Name of this colourway
			<input
				class="control text-ink"
				value={chosen.name}
				maxlength="80"
				onchange={(e) => own((c) => (c.name = naming(e.currentTarget.value, c.name)))}
			/>
		</label>
		{#each recipe.slots as slot (slot.id)}
			<div class="grid grid-cols-[74px_84px_1fr] items-center gap-2">
				<select
					class="control min-w-0 px-1!"
					aria-label="Role of {slot.name}"
					value={slot.role ?? ''}
					onchange={(e) => setRole(slot.id, e.currentTarget.value)}
				>
					<option value="">no role</option>
					{#each SLOT_ROLES as role (role)}<option>{role}</option>{/each}
				</select>
				<input
					class="control px-1.5!"
					aria-label="What {slot.name} is called"
					value={slot.name}
					maxlength="40"
					onchange={(e) =>
						bench.change((d) => {
							const s = d.slots.find((x) => x.id === slot.id);
							if (s) s.name = naming(e.currentTarget.value, s.name);
						})}
				/>
				<ColourPick
					label="Colour of {slot.name}"
					colours={bench.data.colours}
					materials={bench.data.materials}
					value={chosen.without.includes(slot.id) ? null : (chosen.fills[slot.id] ?? null)}
					otherwise={[
						['', 'open until the job'],
						[ANY_COLOUR, 'any colour: nobody sees it'],
						[LEFT_OUT, 'left out: what it colours is not there']
					]}
					onpick={(said) => fill(slot.id, said)}
				>
					{#snippet trigger()}
						<span class="control flex items-center gap-2 text-left"
							><Swatch colour={bench.catalogue.colours.get(chosen.fills[slot.id] ?? '')} size={16} />
							{(chosen.without.includes(slot.id)
								? undefined
								: bench.catalogue.colourNames.get(chosen.fills[slot.id] ?? '')) ?? otherwise(slot)}</span
						>
					{/snippet}
				</ColourPick>
			</div>
		{:else}
			<p class="text-muted">Colours appear here as soon as something has one.</p>
		{/each}
		{#if recipe.slots.length > 0}<FromPicture {bench} />{/if}
		{#if recipe.slots.length > 1}
			<div class="flex items-center gap-1.5" role="group" aria-label="Swap two colours">
				<select
					class="control min-w-0 flex-1"
					aria-label="Swap colour"
					value={pair[0]}
					onchange={(e) => (one = e.currentTarget.value)}
				>
					{#each recipe.slots as slot (slot.id)}<option value={slot.id}>{slot.name}</option>{/each}
				</select>
				<select
					class="control min-w-0 flex-1"
					aria-label="with colour"
					value={pair[1]}
					onchange={(e) => (other = e.currentTarget.value)}
				>
					{#each recipe.slots as slot (slot.id)}<option value={slot.id}>{slot.name}</option>{/each}
				</select>
				<Button onclick={swap} disabled={pair[0] === pair[1]}>Swap</Button>
			</div>
		{/if}
		{#if recipe.slots.length > 0}
			<p><a class="quiet-link" href="/bench/{bench.id}/colours">all colourways side by side</a></p>
			<p>
				<a class="quiet-link" href="/bench/{bench.id}/swatches?colourway={bench.chosen.id}"
					>its colours on a sheet, and what they stand against</a
				>
			</p>
			<div class="flex justify-between gap-2 pt-1">
				<Button onclick={add}>Add a colourway</Button>
				{#if recipe.colourways.length > 1}
					<Button
						kind="word"
						onclick={() =>
							bench.change((d) => void (d.colourways = d.colourways.filter((c) => c.id !== chosen.id)))}
						>Take this one out</Button
					>
				{/if}
			</div>
		{/if}
	</div>
</Popover>
