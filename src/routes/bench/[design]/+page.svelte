<script lang="ts">
	import { afterNavigate, beforeNavigate, goto } from '$app/navigation';
	import BenchView from '$lib/features/bench/BenchView.svelte';

	let { data } = $props();
	let view = $state<ReturnType<typeof BenchView>>();
	let left = false;
	// The next screen reads what is kept: it opens once this one is handed over.
	beforeNavigate((navigation) => {
		const { to, type } = navigation;
		if (left || navigation.willUnload || !to || !view) return;
		navigation.cancel();
		void view.leave().then(() => {
			left = true;
			if (type === 'popstate') history.go(navigation.delta);
			// What was loaded on hovering is older than what was just kept.
			else void goto(to.url, { invalidateAll: true });
		});
	});
	afterNavigate(() => (left = false));
</script>

<svelte:head><title>{data.recipe.name} · Bright Tally</title></svelte:head>
<main>
	{#key data.id}
		<BenchView
			bind:this={view}
			{data}
			onquote={({ design, ...choice }) => goto(`/quotes?with=${design}&${new URLSearchParams(choice)}`)}
			onopen={(path) => void goto(path)}
		/>
	{/key}
</main>
