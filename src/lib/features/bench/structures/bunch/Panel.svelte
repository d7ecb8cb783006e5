<script lang="ts">
	import { leastText, priceText } from '../../tape-words.ts';
	import type { Bunch } from '../../../../core/structures/bunch/document.ts';
	import type { Section } from '../../../../core/recipe/recipe.ts';
	import { VENUE_AIR, VENUE_HEIGHT } from '../../../../core/gas/venue.ts';
	import { formatMoney } from '../../../../core/money/money.ts';
	import { floats, liftOf } from '../../../../core/structures/bunch/lift.ts';
	import { inGas, keepingOf } from '../../../../core/structures/bunch/gas.ts';
	import { USUAL_PLACE } from '../../../../core/structures/bunch/lift.ts';
	import { tally, type Tally } from '../../../../core/tally/tally.ts';
	import { inUnit, parseQuantity } from '../../../../core/units/quantity.ts';
	import Popover from '../../../../ui/popover/Popover.svelte';
	import TypedField from '../../../../ui/typed/TypedField.svelte';
	import type { Bench } from '../../bench.svelte.ts';

	interface Props {
		bench: Bench;
		section: Section & { readonly structure: Bunch };
	}
	let { bench, section }: Props = $props();
	let open = $state(false);
	/** The air at the venue: a mild day by the sea until it is said. */
	let where = $state.raw<{ temperature: number; height: number }>(USUAL_PLACE);
	const lift = $derived(
		liftOf(bench.shown, section.structure, {
			catalogue: bench.catalogue,
			colourway: bench.chosen,
			where
		})
	);
	const afloat = $derived(floats(section.structure));
	const grams = (value: number) => `${Math.round(value * 10) / 10} g`;
	const words = $derived(
		!afloat ? 'in air' : { floats: 'floats', hovers: 'may sink', sinks: 'sinks' }[lift.verdict]
	);
	const style = $derived(bench.entryContext.style);
	const temperature = (text: string) => {
		const parsed = parseQuantity(text, { ...VENUE_AIR, what: 'The air there' }, style);
		if (parsed.ok) where = { ...where, temperature: parsed.value };
		return parsed.ok ? '' : parsed.say;
	};
	const height = (text: string) => {
		const parsed = parseQuantity(text, { ...VENUE_HEIGHT, what: 'The height above the sea' }, style);
		if (parsed.ok) where = { ...where, height: parsed.value };
		return parsed.ok ? '' : parsed.say;
	};
	/** The same design in both gases; only worked out while somebody looks. */
	const sides = $derived.by(() => {
		if (!open) return [];
		return (['air', 'helium'] as const).map((gas) => {
			const recipe = inGas(bench.shown, gas);
			const worked = tally(recipe, bench.chosen.id, 1, bench.context, bench.inSize?.id ?? null);
			return { gas, worked, keeping: keepingOf(recipe) };
		});
	});
	const marginOf = ({ price, cost }: Tally): string =>
		price.status === 'priced' && price.margin !== undefined && cost.total.unknown.length === 0
			? `${price.margin.toFixed(1)} %`
			: '—';
	const enough = $derived(lift.held === null ? null : lift.held >= lift.weight);
</script>

<Popover label="Gas of {section.name}" width={430} bind:open slim>
	{#snippet trigger()}<span class="quiet-link text-[13px]" class:bad={afloat && lift.verdict !== 'floats'}
			>{words}</span
		>{/snippet}
	<div class="grid gap-3 text-[13.5px]">
		<div class="grid grid-cols-2 gap-3">
			<TypedField
				label="Air at the venue, °F"
				value={String(Math.round(inUnit(where.temperature, 'temperature', 'f')))}
				use={temperature}
			/>
			<TypedField
				label="Height above the sea, ft"
				value={String(Math.round(inUnit(where.height, 'height', 'ft')))}
				use={height}
			/>
		</div>
		{#if afloat}
			<table>
				<tbody>
					{#each lift.parts as part, i (i)}
						<tr>
							<td>{part.name}{part.estimated ? ' (about)' : ''}</td>
							<td class="n">{part.litres > 0 ? `lifts ${grams(part.litres * lift.perLitre)}` : ''}</td>
							<td class="n">weighs {grams(part.grams)}</td>
						</tr>
					{/each}
					<tr class="sum">
						<td>{lift.net >= 0 ? 'Left to lift' : 'Too heavy by'}</td>
						<td class="n">{grams(lift.gross)} − {grams(lift.carried)}</td>
						<td class="n"><b>{grams(Math.abs(lift.net))}</b></td>
					</tr>
				</tbody>
			</table>
			<p>
				{#if lift.verdict === 'floats'}
					It floats. A weight of {Math.ceil(lift.weight)} g holds it, half as much again as it pulls{enough ===
					null
						? '; nobody has said what yours weighs'
						: enough
							? `; yours has ${grams(lift.held!)}`
							: `; yours has only ${grams(lift.held!)}`}.
				{:else if lift.verdict === 'hovers'}
					Too close to say whether it floats: take something off, or add a balloon.
				{:else}
					It sinks there{lift.sunkBy ? `: without ${lift.sunkBy} it would float` : ''}.
				{/if}
				{#if lift.unweighed.length > 0}Not weighed yet, and left out: {lift.unweighed.join(', ')}.{/if}
			</p>
			<p class="text-muted">
				{Math.round(lift.litres)} L of helium. Outdoors wind pulls harder than the gas and heat swells it: it is
				tied to a weight, never let go, and foils stay away from power lines.
			</p>
		{/if}
		{#if sides.length > 0}
			<table aria-label="Air against helium">
				<thead><tr><th></th><th>in air</th><th>in helium</th></tr></thead>
				<tbody>
					<tr>
						<th>price</th>
						{#each sides as { gas, worked } (gas)}<td class="n"
								>{leastText(priceText(worked.price, formatMoney), worked.cost.total.unknown)}</td
							>{/each}
					</tr>
					<tr>
						<th>margin</th>
						{#each sides as { gas, worked } (gas)}<td class="n">{marginOf(worked)}</td>{/each}
					</tr>
					<tr>
						<th>build it</th>
						{#each sides as { gas, keeping } (gas)}<td>{keeping.build}</td>{/each}
					</tr>
					<tr>
						<th>keeps</th>
						{#each sides as { gas, keeping } (gas)}<td>{keeping.life}</td>{/each}
					</tr>
				</tbody>
			</table>
			<p class="text-muted">
				Common practice, from memory. In air a bunch hangs, or stands on a stick: ribbons hold nothing up.
			</p>
		{/if}
	</div>
</Popover>

<style>
	table {
		width: 100%;
	}
	td,
	th {
		border-bottom: 1px solid var(--line);
		padding: 3px 6px 3px 0;
		text-align: left;
		vertical-align: top;
		font-weight: 400;
	}
	.n {
		text-align: right;
		font-family: var(--font-mono);
		font-size: 12.6px;
		white-space: nowrap;
	}
	.sum td {
		border-top: 1px solid var(--ink);
	}
	.bad {
		color: var(--bad);
		font-weight: 600;
	}
</style>
