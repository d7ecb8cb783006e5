<script lang="ts">
	import Dialog from '../../ui/dialog/Dialog.svelte';
	import { commands } from '../commands/commands.svelte.ts';
	import { onMount } from 'svelte';
	import { helpAt } from './screens.ts';

	interface Props {
		path: string;
	}
	let { path }: Props = $props();
	let open = $state(false);
	const help = $derived(helpAt(path));
	function keydown(event: KeyboardEvent) {
		const { target } = event;
		const typing = (target as HTMLElement).matches('input, textarea, select, [contenteditable]');
		// On a line with nothing on it a question mark is asked, not typed.
		const blank = target instanceof HTMLInputElement && target.type === 'text' && target.value === '';
		if (event.key !== '?' || (typing && !blank) || event.ctrlKey || event.metaKey) return;
		event.preventDefault();
		open = true;
	}
	onMount(() =>
		commands.add(() => [
			{
				name: 'What this screen is for',
				also: 'help explain ?',
				key: '?',
				group: 'Screens',
				run: () => (open = true)
			}
		])
	);
</script>

<svelte:window onkeydown={keydown} />
<button
	type="button"
	class="grid h-9 w-9 place-items-center rounded-control font-semibold hover:bg-tint"
	aria-label="What this screen is for"
	title="What this screen is for (?)"
	onclick={() => (open = true)}>?</button
>
<Dialog title={help.title} bind:open>
	<ul class="grid gap-2">
		{#each help.says as say (say)}<li>{say}</li>{/each}
	</ul>
	<p class="mt-4 text-[13px] text-muted">
		<a class="quiet-link" href="/shorthand" onclick={() => (open = false)}
			>Everything that can be typed, and all keys</a
		>
	</p>
</Dialog>
