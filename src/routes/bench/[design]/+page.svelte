<script lang="ts">
	import { afterNavigate, beforeNavigate, goto, replaceState } from '$app/navigation';
	import { page } from '$app/state';
	import { catalogue } from '$lib/core/materials/catalogue.ts';
	import Started from '$lib/features/starting/Started.svelte';
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
	/** Built just now from a starting shape: said once, not again after a reload. */
	const started = page.url.searchParams.has('started') ? page.params.design : undefined;
	afterNavigate(() => {
		left = false;
		if (started !== undefined && page.url.searchParams.has('started')) replaceState(page.url.pathname, {});
	});
</script>

{#snippet begun()}
	<Started id={data.id} recipe={data.recipe} catalogue={catalogue(data.materials, data.colours)} />
{/snippet}

<svelte:head><title>{data.recipe.name} · Bright Tally</title></svelte:head>
<main>
	{#key data.id}
		<BenchView
			bind:this={view}
			{data}
			onquote={({ design, ...choice }) => goto(`/quotes?with=${design}&${new URLSearchParams(choice)}`)}
			onopen={(path) => void goto(path)}
			begun={started === data.id ? begun : undefined}
		/>
	{/key}
</main>
