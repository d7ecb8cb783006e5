<script lang="ts">
	import { previewLines } from '../../core/language/plain/preview.ts';
	import Button from '../../ui/button/Button.svelte';
	import Dialog from '../../ui/dialog/Dialog.svelte';
	import type { Bench } from './bench.svelte.ts';

	interface Props {
		bench: Bench;
		/** The lines that were pasted; null closes. */
		texts: string[] | null;
		onclose: () => void;
	}
	let { bench, texts, onclose }: Props = $props();
	// svelte-ignore state_referenced_locally
	let own = $state<string[]>([...(texts ?? [])]);
	const preview = $derived.by(() => {
		let n = 0;
		const place = { section: bench.current?.id, colourway: bench.chosen.id };
		return previewLines(bench.recipe, own, bench.entryContext, place, () => `pasted-${++n}`);
	});
	const good = $derived(preview.filter((line) => line.ok));

	function put() {
		bench.at = null;
		if (bench.putAll(good.flatMap((line) => line.lines))) bench.clearEntry();
		onclose();
	}
</script>

<Dialog
	title="{own.length} lines were pasted"
	width={640}
	bind:open={() => texts !== null, (open) => !open && onclose()}
>
	<p class="mb-3 text-muted">
		Each is read when those before it are done. Change a line here; one that is not understood is left out.
	</p>
	<ol class="grid gap-2">
		{#each preview as line, i (i)}
			<li class="grid gap-0.5">
				<input
					bind:value={own[i]}
					class="figures w-full rounded-control border border-line bg-paper px-2 py-1"
					aria-label="Line {i + 1}"
					aria-invalid={!line.ok}
					aria-describedby="pasted-{i}"
				/>
				<p id="pasted-{i}" class="text-[13px] {line.ok ? 'text-muted' : 'text-bad'}">{line.say}</p>
			</li>
		{/each}
	</ol>
	{#snippet actions()}
		<Button onclick={onclose}>Leave it</Button>
		<Button kind="strong" disabled={good.length === 0} onclick={put}>
			{good.length === own.length ? `Put all ${own.length}` : `Put ${good.length} of ${own.length}`}
		</Button>
	{/snippet}
</Dialog>
