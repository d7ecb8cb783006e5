<script lang="ts">
	import { enhance } from '$app/forms';
	import { afterNavigate } from '$app/navigation';
	import type { SubmitFunction } from '@sveltejs/kit';
	import { KIND_WORDS } from '$lib/core/materials/material.ts';
	import WhereUsed from '$lib/features/stockroom/WhereUsed.svelte';
	import SideBySide from '$lib/features/colours/SideBySide.svelte';
	import MaterialFields from '$lib/features/stockroom/MaterialFields.svelte';
	import Meant from '$lib/features/stockroom/Meant.svelte';
	import Losses from '$lib/features/stockroom/Losses.svelte';
	import OnOrder from '$lib/features/stockroom/OnOrder.svelte';
	import OnShelf from '$lib/features/stockroom/OnShelf.svelte';
	import PackFields from '$lib/features/stockroom/PackFields.svelte';
	import PriceHistory from '$lib/features/stockroom/PriceHistory.svelte';
	import ChangeList from '$lib/features/changes/ChangeList.svelte';
	import Button from '$lib/ui/button/Button.svelte';
	import Notice from '$lib/ui/notice/Notice.svelte';

	let { data, form } = $props();
	const material = $derived(data.material);
	type Name = 'save' | 'pack' | 'add' | 'move' | 'order' | 'loss' | 'merge' | 'retire';
	/** A form as it was sent, what is wrong with it, and what is asked before it is done. */
	interface Refusal {
		readonly id?: string;
		readonly typed?: Readonly<Record<string, string>>;
		readonly errors?: Readonly<Record<string, string>>;
		readonly asks?: { readonly say: string; readonly about: string };
		readonly into?: string;
		readonly trouble?: string;
	}
	type Refusals = Partial<Record<Name, Refusal>>;
	/** Refusals form by form: a word from another form does not take one away. */
	let answers = $state.raw<Refusals>({});
	const refused = $derived({ ...form, ...answers } as Refusals);
	const typed = $derived({ ...data.typed, ...refused.save?.typed });
	const errors = $derived(refused.save?.errors ?? {});
	/** The pack whose fields are open; nothing said yet is the one that was refused. */
	let opened = $state<string | null>();
	const open = $derived(opened === undefined ? (form?.pack?.id ?? null) : opened);
	let adding = $state<boolean>();
	/** Another material on the same page begins with nothing refused. */
	afterNavigate(({ from, to }) => {
		if (from?.params?.material === to?.params?.material) return;
		answers = {};
		opened = undefined;
		adding = undefined;
	});
	/** A form that stays as it is typed. @param name what its refusal is called @param after done where it was taken */
	const stay =
		(name: Name, after?: () => void): SubmitFunction =>
		() =>
		async ({ update, result, formElement }) => {
			await update({ reset: false });
			const refusal = result.type === 'failure' ? (result.data as Refusals | undefined)?.[name] : undefined;
			answers = { ...answers, [name]: refusal };
			if (result.type !== 'success') return;
			after?.();
			if (name === 'move' || name === 'add' || name === 'order') formElement.reset();
		};
</script>

<svelte:head><title>{material.name} · Stockroom · Bright Tally</title></svelte:head>
<main class="mx-auto max-w-[1236px] px-[22px] pb-12 max-sm:px-3">
	<header class="flex flex-wrap items-baseline gap-x-4 gap-y-1 py-3">
		<p><a class="quiet-link" href="/stockroom">Stockroom</a></p>
		<h1 class="text-[25px]">{material.name}</h1>
		<p class="text-muted">
			{KIND_WORDS[material.kind]}{data.each
				? `, ${data.each} a ${material.unit === 'piece' ? 'piece' : material.unit}`
				: ', cost not known'}{material.reuse ? ' and use' : ''}
		</p>
	</header>
	{#if data.into}<Notice level="watch"
			>It is retired: <a class="underline" href="/stockroom/{data.into.id}">{data.into.name}</a> stands for it.</Notice
		>{:else if material.retired}<Notice level="watch"
			>It is retired: offered nowhere, counted where it is used.</Notice
		>{/if}
	{#if form?.saved}<div class="mb-2"><Notice level="good" live>Saved.</Notice></div>{/if}
	{#if form?.addedPack}<Notice level="good" live>A pack of {form.addedPack} is there.</Notice>{/if}

	<section class="mb-5 border border-line bg-paper px-4 py-3" aria-labelledby="packs">
		<h2 id="packs" class="text-[17px] font-semibold">Packs and who sells them</h2>
		<ul class="mt-2">
			{#each data.packs as pack (pack.id)}
				<li class="border-b border-line py-2 last:border-0" class:text-muted={pack.ended}>
					<p class="flex flex-wrap items-baseline gap-x-4 gap-y-1">
						<span class="font-medium">{pack.supplier}</span>
						<span class="figures">{pack.count} for {pack.price || 'not known'}</span>
						{#if pack.each}<span class="figures text-muted">{pack.each} each</span>{/if}
						{#if pack.breaksText}<span class="text-muted">{pack.breaksText}</span>{/if}
						{#if pack.suppliersName || pack.code}<span class="text-muted"
								>{[pack.suppliersName, pack.code].filter(Boolean).join(', ')}</span
							>{/if}
						{#if pack.since}<span class="text-muted">since {pack.since}</span>{/if}
						{#if pack.until && !pack.ended}<span class="text-watch">sale until {pack.until}</span>{/if}
						{#if pack.ended}<span>not sold any more</span>{:else if pack.counts}<span class="text-good"
								>this price counts</span
							>{/if}
						<button
							type="button"
							class="quiet-link ml-auto min-h-8"
							aria-expanded={open === pack.id}
							onclick={() => (opened = open === pack.id ? null : pack.id)}
							aria-label="Change the pack of {pack.supplier}">change</button
						>
					</p>
					{#if open === pack.id}
						<form
							method="post"
							action="?/pack"
							class="mt-2 grid grid-cols-4 gap-3 max-md:grid-cols-2"
							use:enhance={stay('pack', () => (opened = null))}
						>
							<input type="hidden" name="pack" value={pack.id} />
							<PackFields
								{pack}
								typed={refused.pack?.id === pack.id ? refused.pack.typed : undefined}
								errors={(refused.pack?.id === pack.id && refused.pack.errors) || {}}
								suppliers={data.suppliers}
							/>
							<p class="self-end"><Button type="submit">Save the pack</Button></p>
							<Meant asks={refused.pack?.id === pack.id ? refused.pack.asks : undefined} words="Save" />
						</form>
					{/if}
				</li>
			{/each}
		</ul>
		<details class="mt-2" bind:open={() => adding ?? Boolean(refused.add), (is) => (adding = is)}>
			<summary class="cursor-pointer font-medium">Another pack or supplier</summary>
			<form
				method="post"
				action="?/addPack"
				class="mt-2 grid grid-cols-4 gap-3 max-md:grid-cols-2"
				use:enhance={stay('add', () => (adding = false))}
			>
				<input type="hidden" name="id" value={data.fresh} />
				{#key data.packs.length}<PackFields
						typed={refused.add?.typed}
						errors={refused.add?.errors ?? {}}
						suppliers={data.suppliers}
						another
					/>{/key}
				<p class="self-end"><Button type="submit">Add the pack</Button></p>
				<Meant asks={refused.add?.asks} words="Add it" />
			</form>
		</details>
		<PriceHistory prices={data.prices} packs={data.packs} />
	</section>

	<OnShelf
		shelf={data.shelf}
		reserved={data.reserved}
		fresh={data.fresh}
		form={refused.move}
		suppliers={data.suppliers}
		enhanced={stay('move')}
		done={form?.moved}
	/>
	<OnOrder
		orders={data.orders}
		toCome={data.toCome}
		packs={data.packs}
		fresh={data.fresh}
		form={refused.order}
		refused={form?.came}
		enhanced={stay('order')}
		done={form?.ordered}
	/>
	<WhereUsed used={data.used} unit={material.unit} />
	<Losses losses={data.losses} asks={refused.loss?.asks} enhanced={stay('loss')} />

	<section class="mb-5 border border-line bg-paper px-4 py-3" aria-labelledby="what">
		<h2 id="what" class="text-[17px] font-semibold">What it is</h2>
		<form
			method="post"
			action="?/save"
			class="mt-2 grid grid-cols-4 gap-3 max-md:grid-cols-2"
			use:enhance={stay('save')}
		>
			{#key material.id}<MaterialFields {typed} {errors} colours={data.colours} />{/key}
			<p class="col-span-full"><Button kind="strong" type="submit">Save</Button></p>
			<Meant asks={refused.save?.asks} words="Save" />
		</form>
	</section>

	{#if data.near.length > 0}
		<section class="mb-5 border border-line bg-paper px-4 py-3" aria-labelledby="near">
			<h2 id="near" class="text-[17px] font-semibold">What could stand in</h2>
			<p class="text-[13px] text-muted">
				Of its size and finish, the nearest first; the number is how far the eye sees them apart (CIEDE2000).
			</p>
			<ul class="mt-2">
				{#each data.near as other (other.id)}
					<li class="flex flex-wrap items-center gap-x-3 border-b border-line py-1.5 last:border-0">
						<SideBySide hexes={[data.hex, other.hex]} />
						<a class="hover:underline" href="/stockroom/{other.id}">{other.name}</a>
						<span class={other.isFar ? 'text-watch' : 'text-muted'}>{other.far} ({other.distance})</span>
						{#if other.onHand}<span class="figures text-muted">{other.onHand} on hand</span>{/if}
					</li>
				{/each}
			</ul>
		</section>
	{/if}

	{#if data.assorted.length > 0}
		<section class="mb-5 border border-line bg-paper px-4 py-3" aria-labelledby="assorted">
			<h2 id="assorted" class="text-[17px] font-semibold">In assorted bags</h2>
			<ul class="mt-1">
				{#each data.assorted as bag (bag.id)}
					<li class="flex flex-wrap gap-x-3 border-b border-line py-1.5 last:border-0">
						<a class="hover:underline" href="/stockroom/{bag.id}">{bag.name}</a><span
							>{bag.share} of it{bag.known ? `: about ${bag.there} are there` : ''}</span
						>
					</li>
				{/each}
			</ul>
		</section>
	{/if}

	<section class="grid gap-3 border border-line bg-paper px-4 py-3" aria-labelledby="away">
		<h2 id="away" class="text-[17px] font-semibold">
			{material.retired ? 'Bring it back' : 'Use it no more'}
		</h2>
		<form
			method="post"
			action="?/retire"
			use:enhance={stay('retire')}
			class="flex flex-wrap items-center gap-3"
		>
			<Button type="submit">{material.retired ? 'Offer it again' : 'Retire it'}</Button>
			<span class="text-muted"
				>{material.retired
					? 'It is found again in lines and lists.'
					: 'It is offered no more; designs and quotes that use it keep it.'}</span
			>
			<div class="w-full">
				<Meant asks={refused.retire?.asks} words={material.retired ? 'Offer it again' : 'Retire it'} />
			</div>
		</form>
		{#if !material.retired && data.others.length > 0}
			<form
				method="post"
				action="?/merge"
				use:enhance={stay('merge')}
				class="flex flex-wrap items-center gap-3"
			>
				<label class="flex flex-wrap items-center gap-2"
					>It is the same as <select name="into" class="control" value={refused.merge?.into ?? ''}>
						<option value="">pick one</option>
						{#each data.others as other (other.id)}<option value={other.id}>{other.name}</option>{/each}
					</select></label
				>
				<Button type="submit">Make them one</Button>
				{#if refused.merge?.trouble}<p class="w-full text-[13px] text-bad" role="alert">
						{refused.merge.trouble}
					</p>{/if}
				<div class="w-full"><Meant asks={refused.merge?.asks} words="Make them one" /></div>
			</form>
		{/if}
	</section>
	{#if data.changes.length > 0}
		<section class="pt-8" aria-labelledby="changed-title">
			<h2 id="changed-title" class="pb-2 text-[18px]">What was changed</h2>
			<ChangeList changes={data.changes} named={false} />
		</section>
	{/if}
</main>
