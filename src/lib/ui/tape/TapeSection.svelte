<script lang="ts">
	import type { Snippet } from 'svelte';
	interface Props {
		name: string;
		children: Snippet;
	}
	let { name, children }: Props = $props();
</script>

<h3 class="mt-2.5 font-text! text-[13px] font-semibold tracking-normal! text-muted first:mt-0">{name}</h3>
{@render children()}
