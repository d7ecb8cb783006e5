<script lang="ts">
	import Button from '../../ui/button/Button.svelte';

	interface Props {
		/** What a change would move, and what it was asked about; blank or nothing asks nothing. */
		asks: { readonly say: string; readonly about: string; readonly lines?: readonly string[] } | undefined;
		/** What is done. */
		words: string;
	}
	let { asks, words }: Props = $props();
</script>

{#if asks?.say}
	<div class="col-span-full grid gap-2 border-l-4 border-watch bg-tint px-3 py-2" role="alert">
		<p>{asks.say}</p>
		{#if asks.lines && asks.lines.length > 1}<details>
				<summary class="cursor-pointer">One by one</summary>
				<ul class="mt-1 columns-2 gap-8 text-[13px] max-md:columns-1">
					{#each asks.lines as line (line)}<li>{line}</li>{/each}
				</ul>
			</details>{/if}
		<p><Button kind="strong" type="submit" name="meant" value={asks.about}>{words}, that is meant</Button></p>
	</div>
{/if}
