<script lang="ts">
	import type { Money } from '../../core/money/money.ts';
	import type { Amount } from '../../core/cost/amount.ts';
	import type { SubmitFunction } from '@sveltejs/kit';
	import { enhance } from '$app/forms';
	import CostCard from './CostCard.svelte';

	interface Item {
		readonly id: string;
		readonly name: string;
		readonly tags: readonly string[];
		readonly keptNumber: number;
		readonly ahead: boolean;
		readonly picture: { readonly src: string; readonly height: number; readonly width: number } | null;
		readonly cover: string | null;
		readonly cost: Amount;
		readonly price: Money | undefined;
		readonly margin: number | undefined;
		readonly seconds: number;
		readonly balloons: number;
		readonly partOf: readonly string[];
		readonly tall: string;
	}
	interface Props {
		items: readonly Item[];
		/** An id for the next design made, so that a button pressed twice makes one. */
		fresh: string;
		/** What is put away: it is taken out from here, or deleted. */
		isAway?: boolean;
	}
	let { items, fresh, isAway = false }: Props = $props();
	/** The design that is to be deleted, once it is meant. */
	let asked = $state('');
	/** Whatever was answered, it is asked anew the next time. */
	const ask: SubmitFunction =
		() =>
		async ({ update }) => {
			asked = '';
			await update();
		};
	const HEIGHT = 250;
	/** One scale for all of them: they stand on one floor. */
	/** A wide piece takes the room of two or three: all stand at one scale. */
	const columnsOf = (item: Item): string | undefined => {
		if (item.cover) return undefined;
		const wide = Math.ceil(((item.picture?.width ?? 0) * scale) / 200);
		return wide > 1 ? `span ${Math.min(wide, 2)}` : undefined;
	};
	const scale = $derived((HEIGHT - 6) / Math.max(1700, ...items.map((i) => i.picture?.height ?? 0)));
</script>

{#snippet press(item: Item, action: 'away' | 'out' | 'remove', words: string)}
	<form method="post" action="?/{action}{isAway ? '&away=yes' : ''}" use:enhance={ask}>
		<input type="hidden" name="of" value={item.id} />
		<input type="hidden" name="name" value={item.name} />
		{#if action === 'remove'}<input type="hidden" name="sure" value="yes" />{/if}
		<button
			class={action === 'remove' ? 'quiet-link font-semibold text-bad' : 'quiet-link'}
			aria-label="{words} {item.name}">{words}</button
		>
	</form>
{/snippet}

<ul class="shelf">
	{#each items as item (item.id)}
		<li style:grid-column={columnsOf(item)}>
			<a href="/bench/{item.id}" class="picture" aria-label="Open {item.name}"
				>{#if item.cover}<img
						class="cover"
						src="/photo/{item.cover}"
						alt=""
						loading="lazy"
					/>{:else if item.picture}<img
						src={item.picture.src}
						alt=""
						width={Math.ceil(item.picture.width * scale)}
						height={Math.ceil(item.picture.height * scale)}
						loading="lazy"
					/>{/if}</a
			>
			<h2 class="tape"><a href="/bench/{item.id}">{item.name}</a></h2>
			<p class="tape tags">
				{[item.tags.join(', '), item.tall].filter(Boolean).join(' · ')}
				{#if item.partOf.length > 0}<br /><span class="part" title="Part of {item.partOf.join(', ')}"
						>part</span
					>
					of {item.partOf.length === 1 ? item.partOf[0] : `${item.partOf.length} designs`}{/if}
				{#if item.keptNumber === 0 || item.ahead}<br />{item.keptNumber === 0
						? 'not kept yet'
						: 'working copy newer'}{/if}
			</p>
			<div class="tape">
				<CostCard cost={item.cost} margin={item.margin} price={item.price} seconds={item.seconds} />
				<div class="mt-1 flex flex-wrap gap-x-3 text-[13px] text-muted">
					{#if !isAway}
						<form method="post" action="?/duplicate">
							<input type="hidden" name="of" value={item.id} />
							<input type="hidden" name="id" value="{fresh.slice(0, 30)}-{item.id.slice(0, 30)}" />
							<button class="quiet-link" aria-label="Duplicate {item.name}">duplicate</button>
						</form>
						{@render press(item, 'away', 'put away')}
					{:else if asked === item.id}
						{@render press(item, 'remove', 'Delete for good')}
						<button type="button" class="quiet-link" onclick={() => (asked = '')}>Keep it</button>
					{:else}
						{@render press(item, 'out', 'take out')}
						<button
							type="button"
							class="quiet-link"
							aria-label="Delete {item.name}"
							onclick={() => (asked = item.id)}>delete</button
						>
					{/if}
				</div>
			</div>
		</li>
	{/each}
</ul>

<style>
	.shelf {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(180px, 1fr));
		column-gap: 0;
		row-gap: 0;
	}
	/* Names, tags and figures of neighbours stand on the same lines, however long they are. */
	li {
		display: grid;
		grid-row: span 4;
		grid-template-rows: subgrid;
		padding-bottom: 26px;
	}
	.picture {
		display: grid;
		justify-items: center;
		align-items: end;
		height: 258px;
		border-bottom: 2px solid var(--ink);
	}
	.picture img {
		max-width: 100%;
		object-fit: contain;
		object-position: bottom;
	}
	.picture .cover {
		width: calc(100% - 14px);
		height: 250px;
		margin-bottom: 4px;
		object-fit: cover;
		object-position: center;
	}
	.tape {
		max-width: 206px;
		width: 100%;
		padding: 0 18px 0 4px;
	}
	h2 {
		padding-top: 8px;
		font-size: 16px;
		line-height: 1.25;
	}
	h2 a:hover {
		text-decoration: underline;
	}
	.tags {
		padding-bottom: 6px;
		font-size: 12.6px;
		line-height: 17px;
		color: var(--muted);
	}
	.part {
		border: 1px solid var(--muted);
		border-radius: 3px;
		padding: 0 4px;
	}
	@media (max-width: 640px) {
		.shelf {
			grid-template-columns: repeat(2, minmax(0, 1fr));
		}
	}
</style>
