<script lang="ts">
	import { PAINT_PARTS, type PaintPart, type Place } from '../../../core/document/cluster.ts';
	import { amountWords, FILLINGS, type Filling } from '../../../core/document/inside.ts';
	import type { Mutable } from '../../../core/document/mutable.ts';
	import { parseAmountText } from '../../../core/language/fill.ts';
	import Choice from '../../../ui/pick/Pick.svelte';
	import TypedField from '../../../ui/typed/TypedField.svelte';
	import { formatInches, um } from '../../../core/units/length.ts';
	import type { Bench } from '../bench.svelte.ts';

	interface Props {
		bench: Bench;
		place: Pick<Place, 'inside' | 'painted' | 'neckOff' | 'twin' | 'or' | 'nominal' | 'kind'>;
		onchange: (work: (place: Mutable<Place>) => void) => void;
		/** Whether it can be said to be one of two bubbles: there is an even number of them. */
		twins?: boolean;
	}
	let { bench, place, onchange, twins = false }: Props = $props();

	const filling = $derived(place.inside?.kind === 'filling' ? place.inside : null);
	const inner = $derived(place.inside?.kind === 'balloon');
	const fill = (of: string) =>
		onchange((p) => {
			if (of === '') delete p.inside;
			else if (of !== 'balloon') p.inside = { kind: 'filling', of: of as Filling };
		});
	const amount = (text: string) => {
		if (!filling) return '';
		const parsed = parseAmountText(text, filling.of, bench.entryContext);
		if (parsed.ok) onchange((p) => (p.inside = { kind: 'filling', ...structuredClone(parsed.value) }));
		return parsed.ok ? '' : parsed.say;
	};
	const paint = (part: string) =>
		onchange((p) => {
			if (part === '') delete p.painted;
			else p.painted = part === 'all' ? true : (part as PaintPart);
		});
	/** Bags of its kind that are here, and the one that was said. */
	const bags = $derived(
		[
			...new Set([
				...bench.data.materials.flatMap((m) =>
					m.kind === place.kind && m.nominal !== null ? [m.nominal] : []
				),
				...(place.or === undefined ? [] : [place.or])
			])
		]
			.filter((b) => b !== place.nominal)
			.sort((a, b) => a - b)
	);
	const otherBag = (bag: string) =>
		onchange((p) => {
			if (bag === '') delete p.or;
			else p.or = um(Number(bag));
		});
	const flag = (key: 'neckOff' | 'twin', on: boolean) =>
		onchange((p) => {
			if (on) p[key] = true;
			else delete p[key];
		});
</script>

<div class="grid grid-cols-2 gap-2">
	<Choice
		label="In it"
		value={filling?.of ?? (inner ? 'balloon' : '')}
		options={[
			['', 'air alone'] as const,
			...FILLINGS.map((f) => [f, f] as const),
			...(inner ? [['balloon', 'a balloon'] as const] : [])
		]}
		onpick={fill}
	/>
	{#if filling}
		<TypedField
			label="How much {filling.of}"
			value={amountWords(filling)}
			placeholder="full"
			hint="200 g, ½, or full."
			use={amount}
		/>
	{/if}
	<Choice
		label="Paint on it"
		value={place.painted === true ? 'all' : (place.painted ?? '')}
		options={[
			['', 'none'] as const,
			['all', 'all over'] as const,
			...PAINT_PARTS.map((p) => [p, p] as const)
		]}
		onpick={paint}
	/>
	<Choice
		label="Or of another bag"
		value={place.or === undefined ? '' : String(place.or)}
		options={[['', 'no, of this one'] as const, ...bags.map((b) => [String(b), formatInches(b)] as const)]}
		onpick={otherBag}
	/>
</div>
<label class="flex min-h-8 items-center gap-2 text-[13px]">
	<input
		type="checkbox"
		checked={place.neckOff === true}
		onchange={(e) => flag('neckOff', e.currentTarget.checked)}
	/>
	neck cut off
</label>
{#if twins || place.twin}
	<label class="flex min-h-8 items-center gap-2 text-[13px]">
		<input
			type="checkbox"
			checked={place.twin === true}
			onchange={(e) => flag('twin', e.currentTarget.checked)}
		/>
		two bubbles of each balloon
	</label>
{/if}
