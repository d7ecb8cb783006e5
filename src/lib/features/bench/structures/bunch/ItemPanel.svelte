<script lang="ts">
	import { MOST_ALIKE } from '../../../../core/document/limits.ts';
	import { changeItem } from '../../../../core/structures/bunch/edit.ts';
	import type { Mutable } from '../../../../core/document/mutable.ts';
	import { FOIL_LOOKS, type FoilLook } from '../../../../core/document/foil-look.ts';
	import type { BunchItem, Ribbon } from '../../../../core/structures/bunch/document.ts';
	import { manyWords } from '../../../../core/document/count-range.ts';
	import { parseCountRange } from '../../../../core/forms/count-range.ts';
	import { inflatedIn } from '../../../../core/structures/bunch/count.ts';
	import { LOOKS } from '../../../../core/document/foil-look.ts';
	import { formatFeet, parseLength, toMillimetres } from '../../../../core/units/length.ts';

	import Pick from '../../../../ui/pick/Pick.svelte';
	import Popover from '../../../../ui/popover/Popover.svelte';
	import TypedField from '../../../../ui/typed/TypedField.svelte';
	import type { Bench } from '../../bench.svelte.ts';

	interface Props {
		bench: Bench;
		item: BunchItem;
	}
	let { bench, item }: Props = $props();
	const change = (work: (i: Mutable<BunchItem>) => void) => bench.change((d) => changeItem(d, item.id, work));
	const materials = $derived([...bench.catalogue.materials.values()]);
	const ribbons = $derived([
		['', 'none'] as const,
		...materials.filter((m) => m.kind === 'ribbon' || m.kind === 'tie').map((m) => [m.id, m.name] as const)
	]);
	const foils = $derived(
		materials.filter((m) => m.kind.startsWith('foil')).map((m) => [m.id, m.name] as const)
	);
	const thing = $derived(item.what);
	const count = (text: string) => {
		const parsed = parseCountRange(text, { what: 'How many', min: 1, max: MOST_ALIKE });
		if (parsed.ok)
			change((i) => {
				delete i.range;
				Object.assign(i, parsed.value);
			});
		return parsed.ok ? '' : parsed.say;
	};
	const ribbon = (to: Partial<Ribbon>) =>
		change((i) => (i.ribbon = { material: null, length: null, ...i.ribbon, ...to }));
	const length = (text: string) => {
		if (text.trim() === '') {
			ribbon({ length: null });
			return '';
		}
		const parsed = parseLength(text, 'ft');
		if (parsed.ok) ribbon({ length: parsed.value.um });
		return parsed.ok ? '' : parsed.say;
	};
	const material = (id: string) => {
		const found = bench.catalogue.materials.get(id);
		if (found)
			change((i) => {
				if (i.what.kind === 'material')
					Object.assign(i.what, { material: id, flat: found.nominal, chambers: found.chambers });
			});
	};
</script>

<Popover label="More of {item.name}" slim>
	{#snippet trigger()}<span class="quiet-link text-[13px]">change</span>{/snippet}
	<div class="grid gap-3">
		<TypedField label="How many" value={manyWords(item)} use={count} />
		{#if thing.kind === 'material' && thing.flat !== null}
			<Pick label="Which" value={thing.material ?? ''} options={foils} onpick={material} />
		{/if}
		{#if inflatedIn(item) > 0}
			<Pick
				label="Filled with"
				value={item.gas}
				options={[
					['air', 'air'],
					['helium', 'helium']
				]}
				onpick={(v) => change((i) => (i.gas = v as BunchItem['gas']))}
			/>
		{/if}
		{#if thing.kind !== 'balloon' && inflatedIn(item) > 0}
			<Pick
				label="How full, by look"
				value={thing.look}
				options={FOIL_LOOKS.map((look) => [look, LOOKS[look]] as const)}
				hint="A foil is told by its look, never by a size"
				onpick={(v) =>
					change((i) => {
						if (i.what.kind !== 'balloon') i.what.look = v as FoilLook;
					})}
			/>
		{/if}
		<div class="grid grid-cols-2 gap-3">
			<Pick
				label="On a ribbon"
				value={item.ribbon?.material ?? ''}
				options={ribbons}
				onpick={(v) => (v === '' ? change((i) => (i.ribbon = null)) : ribbon({ material: v }))}
			/>
			{#if item.ribbon}
				<TypedField
					label="Its length"
					value={item.ribbon.length === null ? '' : formatFeet(toMillimetres(item.ribbon.length))}
					hint="blank: measured on the spot"
					use={length}
				/>
			{/if}
		</div>
		{#if thing.kind === 'material'}
			<label class="flex items-center gap-2">
				<input
					type="checkbox"
					checked={item.swappable}
					onchange={(e) => change((i) => (i.swappable = e.currentTarget.checked))}
				/>
				swappable: another in its place, in one step
			</label>
		{/if}
	</div>
</Popover>
