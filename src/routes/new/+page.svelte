<script lang="ts">
	import { browser } from '$app/environment';
	import { replaceState } from '$app/navigation';
	import Notice from '$lib/ui/notice/Notice.svelte';
	import Starting from '$lib/features/starting/Starting.svelte';

	let { data, form } = $props();
	/** Where the address was followed by hand it says more than what was loaded: after going back, too. */
	const shape = $derived(browser ? (new URL(location.href).searchParams.get('shape') ?? '') : data.shape);
</script>

<svelte:head><title>New design · Bright Tally</title></svelte:head>
<main class="px-[22px] pb-10 max-sm:px-3">
	<h1 class="py-3 text-[25px]">What are you making?</h1>
	{#if form?.say}<Notice level="bad">{form.say}</Notice>{/if}
	<Starting
		{data}
		fresh={data.fresh}
		{shape}
		onshape={(id) => replaceState(`/new?shape=${encodeURIComponent(id)}`, {})}
	/>
</main>
