<script lang="ts">
	import { ArrowDown, ArrowUp, GripVertical } from '@lucide/svelte';
	import { dragHandle } from 'svelte-dnd-action';
	import { GONE } from '../../core/document/names.ts';
	import { formatAmount } from '../../core/money/money.ts';
	import { LINE_METHOD_OPTIONS, METHODS, methodLabel } from '../../core/pricing/methods.ts';
	import { groundsIn } from '../../core/recipe/on-ground.ts';
	import { LEFT_OUT } from '../../core/quote/own-slots.ts';
	import { wayText } from '../../core/pricing/price-tape.ts';
	import type { RawLine } from '../../core/quote/read-lines.ts';
	import type { Recipe } from '../../core/recipe/recipe.ts';
	import Button from '../../ui/button/Button.svelte';
	import Field from '../../ui/field/Field.svelte';
	import Pick from '../../ui/pick/Pick.svelte';
	import type { QuoteDraft } from './quote-draft.svelte.ts';

	interface Props {
		draft: QuoteDraft;
		line: RawLine;
		/** Levels the client may choose from. */
		levels: readonly string[];
		first: boolean;
		last: boolean;
		onmove: (by: number) => void;
		ontrouble: (say: string) => void;
	}
	let { draft, line, levels, first, last, onmove, ontrouble }: Props = $props();
	const isTyped = $derived(line.versionId === '');
	const recipe = $derived(isTyped ? undefined : draft.recipe(line.versionId));
	const newer = $derived(isTyped ? null : draft.newer(line.versionId));
	const name = $derived(isTyped ? line.label || 'a line of your own' : (recipe?.name ?? GONE.design));
	const change = (next: Partial<Omit<RawLine, 'id'>>) => draft.changeLine(line.id, next);
	/** What it comes to as the client reads it, and what its own price gives away. */
	const quoted = $derived(draft.priced.lines.find((l) => l.item.id === line.id));
	const shown = $derived(quoted?.shown ?? draft.priced.typed.find((t) => t.line.id === line.id)?.shown);
	const adds = $derived(
		draft.offers.flatMap((o) =>
			o.others.filter((c) => c.id === line.id).map((c) => ({ level: o.level, ...c }))
		)
	);
	const gives = $derived(quoted && line.way === 'typed' ? draft.givenAway(line.id) : null);
	/** Ways a line may be priced: as its design says where that says one, else as the quote. */
	const waysFor = (own: Recipe | undefined): [string, string][] => [
		['own', own?.pricing ? `as its design: ${wayText(own.pricing)}` : 'as this quote'],
		...(own?.pricing ? [['quote', 'as this quote'] as [string, string]] : []),
		...LINE_METHOD_OPTIONS.map(([method, words]): [string, string] => [
			method,
			method === 'typed' ? 'at a price of its own' : `by its own ${words}`
		])
	];
	const unitOf = (way: RawLine['way']) => (way === 'own' || way === 'quote' ? '' : METHODS[way].unit);
	const colourway = $derived(
		recipe?.colourways.find((c) => c.id === line.colourwayId) ?? recipe?.colourways[0]
	);
	const inColourway = (slot: string): string => {
		if (colourway?.without.includes(slot)) return LEFT_OUT;
		const own = draft.colours.find(([id]) => id === colourway?.fills[slot]);
		return own?.[1] ?? 'open';
	};
	/** Colours of its own are in sight: every slot with every colour is much to hold where nobody looks. */
	// svelte-ignore state_referenced_locally
	let isColoured = $state(Object.values(line.slots).some(Boolean));
	/** Opened or closed by hand; else it is open where something is said in it. */
	let opened = $state<boolean>();
	const isSaid = $derived(
		line.stands !== 'always' ||
			line.heading !== '' ||
			line.note !== '' ||
			line.tax !== '' ||
			line.notIn.length > 0
	);
</script>

{#snippet small(
	field: 'label' | 'price' | 'cost' | 'group' | 'heading' | 'note' | 'tax',
	label: string,
	narrow = false
)}
	<Field {label} error={draft.errors[`${field} ${line.id}`]}>
		{#snippet children(attributes)}
			<input
				{...attributes}
				name={field}
				class="control min-w-0 {narrow ? 'figures w-24 text-right' : 'w-full'}"
				inputmode={narrow ? 'decimal' : undefined}
				value={line[field]}
				autocomplete="off"
				oninput={(e) => change({ [field]: e.currentTarget.value })}
			/>
		{/snippet}
	</Field>
{/snippet}

<div class="row" role="group" aria-label={name}>
	<Field label="How many" error={draft.errors[`quantity ${line.id}`]}>
		{#snippet children(attributes)}
			<input
				{...attributes}
				class="control figures w-full text-right"
				inputmode="numeric"
				value={line.quantity}
				oninput={(e) => change({ quantity: e.currentTarget.value })}
			/>
		{/snippet}
	</Field>
	<div class="grid min-w-0 content-start gap-2">
		{#if isTyped}
			{@render small('label', line.material ? 'Hired out' : 'What the client reads')}
			<div class="flex flex-wrap gap-3">
				{@render small('price', 'Price of one', true)}
				{@render small('cost', line.material ? 'Costs you (blank: a use of it)' : 'Costs you', true)}
			</div>
		{:else}
			<p class="pt-5 max-sm:pt-0">
				<b>{name}</b>
				<span class="text-[13px] text-muted"
					>kept version {line.versionId.slice(line.versionId.lastIndexOf('.') + 1)}</span
				>
				{#if newer}<Button kind="word" onclick={async () => ontrouble(await draft.takeNewer(line.id, newer))}
						>take the newer one</Button
					>{/if}
			</p>
		{/if}
		{#if line.heading}<p class="text-[13px] text-muted">under “{line.heading}”</p>{/if}
		{#each adds as one (`${one.level}`)}
			<p class="figures text-[13px]">
				{one.level ? `${one.level}: ` : ''}{one.adds.minor < 0 ? '−' : '+'}{formatAmount({
					...one.adds,
					minor: Math.abs(one.adds.minor)
				})} where chosen
			</p>
		{/each}
		{#if gives}<p class="text-[13px] {gives.minor > 0 ? 'text-watch' : 'text-muted'}" data-name="gives-away">
				{gives.minor > 0
					? `gives away ${formatAmount(gives)}`
					: `${formatAmount({ ...gives, minor: -gives.minor })} above the quote’s way`}
			</p>{/if}
	</div>
	<div class="grid content-start gap-2 max-sm:col-span-2">
		{#if !isTyped}
			<Field label="Colourway">
				{#snippet children(attributes)}
					<select
						{...attributes}
						class="control w-full min-w-0"
						value={line.colourwayId || recipe?.colourways[0]?.id}
						onchange={(e) => change({ colourwayId: e.currentTarget.value })}
					>
						{#each recipe?.colourways ?? [] as colourway (colourway.id)}<option value={colourway.id}
								>{colourway.name}</option
							>{/each}
					</select>
				{/snippet}
			</Field>
			{#if recipe && recipe.slots.length > 0}
				<details bind:open={isColoured}>
					<summary class="cursor-pointer text-[13px] text-muted">colours of its own</summary>
					{#if isColoured}<div class="mt-1 grid gap-2" role="group" aria-label="Colours of its own">
							{#each recipe.slots as slot (slot.id)}
								<Pick
									label={slot.name}
									value={line.slots[slot.id] ?? ''}
									options={[
										['', `${inColourway(slot.id)}, as it is`],
										[LEFT_OUT, LEFT_OUT],
										...draft.colours
									]}
									onpick={(colour) => change({ slots: { ...line.slots, [slot.id]: colour } })}
								/>
							{/each}
						</div>{/if}
				</details>
			{/if}
			{#if recipe && groundsIn(recipe).length > 0}
				<Pick
					label="It stands on"
					value={line.ground}
					options={[['', 'as usual'], ...groundsIn(recipe).map((g) => [g, g] as const)]}
					onpick={(ground) => change({ ground: ground as typeof line.ground })}
				/>
			{/if}
			{#if recipe && recipe.sizes.length > 0}
				<Pick
					label="Size"
					value={line.sizeId}
					options={[['', 'as it stands'], ...recipe.sizes.map((size) => [size.id, size.name] as const)]}
					onpick={(sizeId) => change({ sizeId })}
				/>
			{/if}
			<Pick
				label="Priced"
				value={line.way}
				options={waysFor(recipe)}
				onpick={(way) => change({ way: way as RawLine['way'] })}
			/>
			{#if line.way !== 'own' && line.way !== 'quote'}
				<Field label={methodLabel(line.way)} error={draft.errors[`percent ${line.id}`]}>
					{#snippet children(attributes)}
						<span class="flex items-center gap-1.5"
							><input
								{...attributes}
								class="control figures w-20 text-right"
								inputmode="decimal"
								value={line.percent}
								oninput={(e) => change({ percent: e.currentTarget.value })}
							/><span class="text-muted">{unitOf(line.way)}</span></span
						>
					{/snippet}
				</Field>
			{/if}
		{/if}
	</div>
	<div class="tools max-sm:col-span-2">
		<span class="figures" data-name="line-amount">{shown ? formatAmount(shown) : 'not chosen'}</span>
		<span class="flex gap-1">
			<button type="button" class="tool" disabled={first} onclick={() => onmove(-1)} aria-label="Up: {name}"
				><ArrowUp size={14} aria-hidden="true" /></button
			>
			<button type="button" class="tool" disabled={last} onclick={() => onmove(1)} aria-label="Down: {name}"
				><ArrowDown size={14} aria-hidden="true" /></button
			>
			<span class="tool" use:dragHandle aria-label="Drag {name}"
				><GripVertical size={15} aria-hidden="true" /></span
			>
		</span>
		<Button kind="word" onclick={() => draft.removeLine(line.id)}>take out</Button>
	</div>
	<details class="more" bind:open={() => opened ?? isSaid, (open) => (opened = open)}>
		<summary class="cursor-pointer text-[13px] text-muted">heading, note, choice, tax</summary>
		<div class="mt-2 grid grid-cols-2 gap-3 max-sm:grid-cols-1">
			{@render small('heading', 'Under the heading')}
			{@render small('note', 'Note to the client')}
			<Pick
				label="It is"
				value={line.stands}
				options={[
					['always', 'always on it'],
					['add-on', 'an extra the client may tick'],
					['one of', 'one of several, the client picks']
				]}
				onpick={(stands) => change({ stands: stands as RawLine['stands'] })}
			/>
			{#if line.stands === 'one of'}{@render small('group', 'A choice of')}{/if}
			{@render small('tax', 'Tax, % (blank: the quote’s)', true)}
			{#if levels.length > 0}
				<fieldset>
					<legend class="text-[13px] text-muted">Part of</legend>
					<div class="flex flex-wrap gap-x-4">
						{#each levels as level (level)}
							<label class="flex min-h-8 items-center gap-1.5"
								><input
									type="checkbox"
									checked={!line.notIn.includes(level)}
									onchange={(e) =>
										change({
											notIn: e.currentTarget.checked
												? line.notIn.filter((l) => l !== level)
												: [...line.notIn, level]
										})}
								/>{level}</label
							>
						{/each}
					</div>
				</fieldset>
			{/if}
		</div>
	</details>
</div>

<style>
	.row {
		display: grid;
		grid-template-columns: 86px minmax(0, 1fr) 180px auto;
		gap: 4px 12px;
		padding: 8px 12px;
		background: var(--paper);
	}
	.tools {
		display: grid;
		justify-items: end;
		align-content: start;
		gap: 4px;
		padding-top: 18px;
	}
	.tool {
		display: inline-grid;
		width: 28px;
		height: 28px;
		place-items: center;
	}
	.tool:disabled {
		opacity: 0.3;
	}
	.more {
		grid-column: 1 / -1;
	}
	@media (max-width: 640px) {
		.row {
			grid-template-columns: 76px minmax(0, 1fr);
		}
		.tools {
			display: flex;
			align-items: center;
			padding-top: 0;
		}
		.tools > :first-child {
			margin-right: auto;
		}
	}
	@media (pointer: coarse) {
		.tool {
			width: 44px;
			height: 44px;
		}
	}
</style>
