<script lang="ts">
	import Button from '../../ui/button/Button.svelte';

	interface Props {
		/** What is said on the entry line. */
		say: string;
		/** What it is called, in place of itself. */
		words?: string;
	}
	let { say, words }: Props = $props();
	let copied = $state('');
	const name = $derived(words ?? `“${say}”`);

	async function copy() {
		copied = await navigator.clipboard.writeText(say).then(
			() => `${words ? 'It' : `“${say}”`} is copied: say it on the entry line of the Bench.`,
			() => `Say “${say}” on the entry line of the Bench.`
		);
	}
</script>

<p class="mt-2 flex flex-wrap items-center gap-3 text-[13.5px]">
	<Button onclick={() => void copy()}>Use {name} in a design</Button>
	<span role="status" class="text-muted">{copied}</span>
</p>
