<script lang="ts">
	import { enhance } from '$app/forms';
	import Button from '$lib/ui/button/Button.svelte';
	import Field from '$lib/ui/field/Field.svelte';
	import Notice from '$lib/ui/notice/Notice.svelte';

	let { data, form } = $props();
	const FIELDS = [
		['name', 'Name', 'Lantern Lane Trade Counter'],
		['shipping', 'Sending costs', '7.50'],
		['freeFrom', 'Sent for nothing from', '80.00'],
		['lead', 'Days to the door', '3']
	] as const;
	/** As it is, or as it was sent before. */
	const valueOf = (supplier: string, name: string, now: string) =>
		form?.typed && form.supplier === supplier ? (form.typed[name] ?? '') : now;
	const errorOf = (supplier: string, name: string) =>
		form?.errors && form.supplier === supplier ? (form.errors as Record<string, string>)[name] : undefined;
	const rows = $derived([
		...data.suppliers,
		{ id: '', name: '', shipping: '', freeFrom: '', lead: '', sold: 0 }
	]);
</script>

<svelte:head><title>Suppliers · Stockroom · Bright Tally</title></svelte:head>
<main class="mx-auto max-w-[1236px] px-[22px] pb-12 max-sm:px-3">
	<header class="flex flex-wrap items-baseline gap-x-4 py-3">
		<p><a class="quiet-link" href="/stockroom">Stockroom</a></p>
		<h1 class="text-[25px]">Suppliers</h1>
		<p class="text-muted">
			What sending costs, from how much on nothing, and how long it takes; a blank is not known.
		</p>
	</header>
	{#if form?.saved}<Notice level="good" live>{form.saved} is saved.</Notice>{/if}
	<ul class="border-t-2 border-ink bg-paper">
		{#each rows as supplier (supplier.id)}
			<li class="border-b border-line px-4 py-3">
				<form
					method="post"
					action="?/save"
					aria-label={supplier.id === '' ? 'A new supplier' : supplier.name}
					class="grid grid-cols-[2fr_1fr_1fr_1fr_auto] items-start gap-3 max-md:grid-cols-2"
					use:enhance={() =>
						({ update, result }) =>
							update({ reset: supplier.id === '' && result.type === 'success' })}
				>
					<input type="hidden" name="supplier" value={supplier.id} />
					<input type="hidden" name="id" value={data.fresh} />
					{#each FIELDS as [name, label, placeholder] (name)}
						<Field
							label={name === 'name' && supplier.id === '' ? 'A new one' : label}
							error={errorOf(supplier.id, name)}
						>
							{#snippet children(attributes)}<input
									{...attributes}
									{name}
									class="control w-full"
									value={valueOf(supplier.id, name, supplier[name])}
									{placeholder}
									autocomplete="off"
								/>{/snippet}
						</Field>
					{/each}
					<p class="flex flex-wrap items-center gap-3 pt-5">
						<Button type="submit">{supplier.id === '' ? 'Add' : 'Save'}</Button>
						{#if supplier.id !== ''}<span class="text-[13px] text-muted">{supplier.sold} materials</span>{/if}
					</p>
				</form>
			</li>
		{/each}
	</ul>
</main>
