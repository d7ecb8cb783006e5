<script lang="ts">
	import Button from '../../ui/button/Button.svelte';

	interface Props {
		href: string;
		/** What it is for. */
		says: string;
	}
	let { href, says }: Props = $props();
	let copied = $state(false);
	let field = $state<HTMLInputElement>();

	async function copy() {
		field?.select();
		copied = await navigator.clipboard.writeText(href).then(
			() => true,
			() => false
		);
	}
</script>

<div class="mt-4 border border-ink bg-paper p-3" role="status">
	<p>{says}</p>
	<p class="flex gap-2 pt-1.5">
		<input bind:this={field} class="control figures min-w-0 flex-1" value={href} readonly aria-label="Link" />
		<Button onclick={() => void copy()}>{copied ? 'Copied' : 'Copy the link'}</Button>
	</p>
</div>
