<script lang="ts">
	import { enhance } from '$app/forms';
	import Button from '../../ui/button/Button.svelte';

	interface Props {
		orders: readonly { readonly id: string; readonly material: string; readonly name: string; readonly supplier: string; readonly packs: number; readonly pieces: string; readonly cost: string; readonly due: string | null; readonly late: boolean }[]; // prettier-ignore
		/** Says what it is as well. */
		named?: boolean;
		/** What came, as it was sent and refused. */
		refused: { readonly order: string; readonly packs: string; readonly say: string } | undefined;
	}
	let { orders, named = false, refused }: Props = $props();
</script>

<ul>
	{#each orders as order (order.id)}
		<li class="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-line py-2 last:border-0">
			{#if named}<a class="min-w-48 hover:underline" href="/stockroom/{order.material}">{order.name}</a>{/if}
			<span class="figures">{order.packs} {order.packs === 1 ? 'pack' : 'packs'}, {order.pieces}</span>
			<span class="text-muted">{order.supplier}</span>
			{#if order.cost}<span class="figures text-muted">{order.cost}</span>{/if}
			<span class={order.late ? 'text-watch' : 'text-muted'}
				>{order.due === null
					? 'nobody knows when'
					: order.late
						? `late: due ${order.due}`
						: `due ${order.due}`}</span
			>
			<form method="post" action="?/came" class="ml-auto flex items-center gap-2" use:enhance>
				<input type="hidden" name="order" value={order.id} />
				{#if order.packs > 1}<label class="flex items-center gap-1 text-[13px] text-muted"
						>packs <input
							name="packs"
							class="control figures w-16 text-right"
							value={refused?.order === order.id ? refused.packs : order.packs}
							autocomplete="off"
						/></label
					>{/if}
				<Button type="submit" aria-label="It came: {order.name}, {order.packs} packs">It came</Button>
			</form>
			<form method="post" action="?/off" use:enhance>
				<input type="hidden" name="order" value={order.id} />
				<Button kind="word" type="submit" aria-label="It will not come: {order.name}">it will not come</Button
				>
			</form>
			{#if refused?.order === order.id}<p class="w-full text-[13px] text-bad" role="alert">
					{refused.say}
				</p>{/if}
		</li>
	{/each}
</ul>
