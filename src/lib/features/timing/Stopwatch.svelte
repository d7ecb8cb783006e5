<script lang="ts">
	import { onDestroy } from 'svelte';
	import { enhance } from '$app/forms';
	import Button from '../../ui/button/Button.svelte';
	import Field from '../../ui/field/Field.svelte';

	interface Props {
		tasks: readonly string[];
		trouble: string;
		/** What was timed last. */
		timed: string;
	}
	let { tasks, trouble, timed }: Props = $props();
	let task = $state('cluster');
	let count = $state('1');
	/** Seconds gone before it was last started, and when that was. */
	let before = $state(0);
	let since = $state<number | null>(null);
	let now = $state(0);
	const seconds = $derived(before + (since === null ? 0 : (now - since) / 1000));
	const shown = $derived(`${Math.floor(seconds / 60)}:${String(Math.floor(seconds % 60)).padStart(2, '0')}`);
	let ticking: ReturnType<typeof setInterval> | undefined;
	function press() {
		if (since === null) {
			now = since = Date.now();
			ticking = setInterval(() => (now = Date.now()), 250);
			return;
		}
		now = Date.now();
		before = seconds;
		since = null;
		clearInterval(ticking);
	}
	function clear() {
		clearInterval(ticking);
		[before, since] = [0, null];
	}
	onDestroy(() => clearInterval(ticking));
</script>

<section class="grid gap-3" aria-label="Time a build">
	<h2 class="text-base">Time a build</h2>
	<form
		method="post"
		action="?/timed"
		class="grid grid-cols-[minmax(0,1.6fr)_110px_130px_auto_auto] items-end gap-3 max-sm:grid-cols-2"
		use:enhance={() =>
			async ({ result, update }) => {
				await update({ reset: false });
				if (result.type === 'success') clear();
			}}
	>
		<Field label="What">
			{#snippet children(attributes)}
				<select {...attributes} name="task" class="control min-h-11! w-full" bind:value={task}>
					{#each tasks as one (one)}<option>{one}</option>{/each}
				</select>
			{/snippet}
		</Field>
		<Field label="How many">
			{#snippet children(attributes)}
				<input
					{...attributes}
					name="count"
					class="control figures min-h-11! w-full text-right"
					inputmode="numeric"
					bind:value={count}
					autocomplete="off"
				/>
			{/snippet}
		</Field>
		<p class="figures self-center text-center text-[28px]" role="timer" aria-label="Time gone">{shown}</p>
		<input type="hidden" name="seconds" value={seconds.toFixed(1)} />
		<button type="button" class="control min-h-11! px-5 font-semibold" onclick={press}
			>{since === null ? (before > 0 ? 'Go on' : 'Start') : 'Stop'}</button
		>
		<Button kind="strong" type="submit" disabled={since !== null || seconds < 0.1}>Keep it</Button>
	</form>
	<p class="min-h-[1.5em] text-[13.5px]" aria-live="polite">
		{#if trouble}<span class="text-bad">{trouble}</span>
		{:else if timed}Kept with “{timed}”: its standard has moved.{:else}<span class="text-muted"
				>A figure nobody timed weighs as much as six timed builds; every build of yours moves it.</span
			>{/if}
	</p>
</section>
