<script lang="ts">
	import { replaceState } from '$app/navigation';
	import Notice from '$lib/ui/notice/Notice.svelte';
	import Starting from '$lib/features/starting/Starting.svelte';

	let { data, form } = $props();
</script>

<svelte:head><title>New design · Bright Tally</title></svelte:head>
<main class="px-[22px] pb-10 max-sm:px-3">
	<h1 class="py-3 text-[25px]">What are you making?</h1>
	{#if form?.say}<Notice level="bad">{form.say}</Notice>{/if}
	<Starting
		{data}
		fresh={data.fresh}
		shape={data.shape}
		onshape={(id) => replaceState(`/new?shape=${encodeURIComponent(id)}`, {})}
	/>
</main>
