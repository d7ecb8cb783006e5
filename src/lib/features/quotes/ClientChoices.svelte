<script lang="ts">
	import { formatMoney } from '../../core/money/money.ts';
	import type { ClientChoice } from '../../core/quote/choices.ts';
	import type { FrozenOffer, FrozenQuote } from '../../core/quote/frozen.ts';
	import { lineName } from '../../core/quote/line-name.ts';
	import { groupNames } from '../../core/quote/read-choice.ts';

	interface Props {
		frozen: FrozenQuote;
		choice: ClientChoice;
		/** A level was not chosen yet. */
		open: boolean;
	}
	let { frozen, choice, open }: Props = $props();
	const offers = $derived(frozen.offers ?? []);
	const offer = $derived<FrozenOffer | undefined>(offers.find((o) => o.level === choice.level) ?? offers[0]);
	const groups = $derived(groupNames(frozen));
	const addOns = $derived(offer?.others.filter((o) => o.group === null) ?? []);
	const pickedOf = (group: string, first: number | undefined) => choice.picks[group] ?? first;
	const named = (at: number) => {
		const line = frozen.lines[at]!;
		return `${line.quantity > 1 ? `${line.quantity} × ` : ''}${lineName(line)}`;
	};
	const added = (minor: number) =>
		minor === 0
			? 'no more'
			: `${minor > 0 ? '+' : '−'}${formatMoney({ ...frozen.total, minor: Math.abs(minor) }, frozen.formats)}`;
</script>

{#if offers.length > 1}
	<fieldset class="choice">
		<legend>Which one shall it be?</legend>
		{#each offers as one (one.level)}
			<label>
				<input type="radio" name="level" value={one.level} checked={!open && choice.level === one.level} />
				<span>{one.level}</span>
				<span class="figures">{formatMoney(one.total, frozen.formats)}</span>
			</label>
		{/each}
	</fieldset>
{/if}
{#each groups as group, i (group)}
	{@const first = offer?.firsts.find((f) => f.group === group)?.at}
	{@const others = offer?.others.filter((o) => o.group === group) ?? []}
	{#if first !== undefined && others.length > 0}
		<fieldset class="choice">
			<legend>{group}</legend>
			{#each [{ at: first, minor: 0 }, ...others.map( (o) => ({ at: o.at, minor: o.adds.minor }) )] as one (one.at)}
				<label>
					<input type="radio" name="pick-{i}" value={one.at} checked={pickedOf(group, first) === one.at} />
					<span>{named(one.at)}</span>
					<span class="figures">{one.at === first ? 'included' : added(one.minor)}</span>
				</label>
			{/each}
		</fieldset>
	{/if}
{/each}
{#if addOns.length > 0}
	<fieldset class="choice">
		<legend>Add, if you like</legend>
		{#each addOns as one (one.at)}
			<label>
				<input type="checkbox" name="extra" value={one.at} checked={choice.ticked.includes(one.at)} />
				<span>{named(one.at)}</span>
				<span class="figures">{added(one.adds.minor)}</span>
			</label>
		{/each}
	</fieldset>
{/if}

<style>
	.choice {
		display: grid;
		margin-bottom: 14px;
		border-top: 2px solid var(--ink);
		background: var(--paper);
	}
	legend {
		padding: 0 6px;
		font-weight: 600;
	}
	label {
		display: grid;
		min-height: 44px;
		grid-template-columns: auto 1fr auto;
		align-items: center;
		gap: 12px;
		border-bottom: 1px solid var(--line);
		padding: 6px 12px;
		cursor: pointer;
	}
</style>
