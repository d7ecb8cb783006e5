<script lang="ts">
	import Button from '../../ui/button/Button.svelte';
	import Notice from '../../ui/notice/Notice.svelte';
	import type { QuoteDraft } from './quote-draft.svelte.ts';

	interface Props {
		draft: QuoteDraft;
	}
	let { draft }: Props = $props();
	let word = $state('');
	let asking = $state(false);

	async function forecast() {
		asking = true;
		word = await draft.askForecast();
		asking = false;
	}
</script>

<p class="flex flex-wrap items-center gap-3 text-[13px] text-muted">
	<Button onclick={forecast} disabled={asking}>Ask the forecast</Button>
	<span role="status">{word || 'A simulated forecast for the place and day: put in what your own says.'}</span
	>
</p>
{#each draft.day as note (note.say)}
	<Notice level={note.level}>{note.say}</Notice>
{/each}
