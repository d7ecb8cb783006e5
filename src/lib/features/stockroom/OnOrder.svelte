<script lang="ts">
	import { enhance } from '$app/forms';
	import type { SubmitFunction } from '@sveltejs/kit';
	import type { ComponentProps } from 'svelte';
	import Button from '../../ui/button/Button.svelte';
	import Field from '../../ui/field/Field.svelte';
	import TextField from '../../ui/field/TextField.svelte';
	import Orders from './Orders.svelte';

	interface Props {
		orders: ComponentProps<typeof Orders>['orders'];
		toCome: string;
		packs: readonly { readonly id: string; readonly supplier: string; readonly count: number; readonly ended?: true | undefined; readonly counts: boolean }[]; // prettier-ignore
		fresh: string;
		/** What was refused, as it was sent. */
		form: { readonly typed?: Readonly<Record<string, string>>; readonly errors?: Readonly<Record<string, string>> } | undefined; // prettier-ignore
		refused: ComponentProps<typeof Orders>['refused'];
		done: boolean | undefined;
		/** How it is sent. */
		enhanced: SubmitFunction;
	}
	let { orders, toCome, packs, fresh, form, refused, done, enhanced }: Props = $props();
	const typed = $derived(form?.typed ?? {});
	const errors = $derived(form?.errors ?? {});
	const sold = $derived(packs.filter((p) => !p.ended));
</script>

<section class="my-4 border border-line bg-paper p-4" aria-labelledby="on-order">
	<h2 id="on-order" class="text-[17px] font-semibold">
		On order{#if orders.length > 0}<span class="figures font-normal">, {toCome}</span>{/if}
	</h2>
	<Orders {orders} {refused} />
	{#if sold.length > 0}
		<form
			method="post"
			action="?/order"
			class="mt-2 grid grid-cols-[2fr_1fr_1fr_1fr_auto] items-start gap-3 max-md:grid-cols-2"
			use:enhance={enhanced}
		>
			<input type="hidden" name="id" value={fresh} />
			<Field label="Which pack" error={errors.pack}>
				{#snippet children(attributes)}<select {...attributes} name="pack" class="control w-full min-w-0"
						>{#each sold as pack (pack.id)}<option
								value={pack.id}
								selected={typed.pack ? typed.pack === pack.id : pack.counts}
								>{pack.supplier}, {pack.count}</option
							>{/each}</select
					>{/snippet}
			</Field>
			<TextField label="Packs" name="packs" value={typed.packs} error={errors.packs} placeholder="2" />
			<TextField label="All of it costs" name="cost" value={typed.cost} error={errors.cost} />
			<TextField label="Here by" name="due" type="date" value={typed.due} error={errors.due} />
			<p class="pt-5"><Button type="submit">Write the order down</Button></p>
		</form>
	{/if}
	{#if done}<p class="text-[13px] text-good" role="status">Written down.</p>{/if}
</section>
