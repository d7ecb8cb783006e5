<script lang="ts">
	import { GROUNDS } from '../../core/document/ground.ts';
	import { SOFTNESS, VALVES } from '../../core/materials/facts.ts';
	import { kindFields, type KindField } from '../../core/materials/kind-fields.ts';
	import {
		KIND_WORDS,
		MATERIAL_KINDS,
		type Colour,
		type MaterialKind
	} from '../../core/materials/material.ts';
	import Field from '../../ui/field/Field.svelte';
	import TextField from '../../ui/field/TextField.svelte';
	import ColourChip from '../colours/ColourChip.svelte';
	import ColourName from '../colours/ColourName.svelte';
	import ColourPick from '../colours/ColourPick.svelte';
	import OutlineField from './OutlineField.svelte';

	interface Props {
		/** As it is, or as it was sent before. */
		typed: Readonly<Record<string, string>>;
		errors: Readonly<Record<string, string>>;
		colours: readonly Colour[];
	}
	let { typed, errors, colours }: Props = $props();
	/** What was picked since; nothing yet is what was sent before. */
	let pickedKind = $state<MaterialKind | null>(null);
	let picked = $state<string | null>(null);
	const kind = $derived(pickedKind ?? (typed.kind as MaterialKind | undefined) ?? MATERIAL_KINDS[0]);
	const colour = $derived(picked ?? typed.colour ?? '');
	const fields = $derived(kindFields(kind));
	/** A field stands where it matters to the kind, or says something, or is wrong. */
	const has = (field: KindField, ...names: string[]) =>
		fields.has(field) || (names.length > 0 ? names : [field]).some((n) => errors[n] || (typed[n] && !(n === 'chambers' && typed[n] === '1'))); // prettier-ignore
	const UNIT_WORDS = [
		['piece', 'pieces'],
		['ft', 'feet'],
		['sq ft', 'square feet: a sheet of 8 by 4 ft is 32'],
		['L', 'litres'],
		['dab', 'dabs']
	] as const;
</script>

{#snippet line(label: string, name: string, placeholder = '')}
	<TextField {label} {name} value={typed[name]} error={errors[name]} {placeholder} />
{/snippet}

{#snippet pick(label: string, name: string, options: readonly string[])}
	<Field {label} error={errors[name]}>
		{#snippet children(attributes)}
			<select {...attributes} {name} class="control w-full min-w-0">
				<option value="">not known</option>
				{#each options as each (each)}<option value={each} selected={typed[name] === each}>{each}</option
					>{/each}
			</select>
		{/snippet}
	</Field>
{/snippet}

{@render line('Name', 'name', '11 in round, thrift pink')}
<Field label="Kind" error={errors.kind}>
	{#snippet children(attributes)}
		<select
			{...attributes}
			name="kind"
			class="control w-full min-w-0"
			value={kind}
			onchange={(e) => (pickedKind = e.currentTarget.value as MaterialKind)}
			>{#each MATERIAL_KINDS as each (each)}<option value={each}>{KIND_WORDS[each]}</option>{/each}</select
		>
	{/snippet}
</Field>
{#if has('nominal')}{@render line('Size on the bag, in', 'nominal', '11')}{/if}
{#if has('safe')}{@render line('Safe up to, in (blank: the bag)', 'safe', '11')}{/if}
{#if has('colour')}
	<Field label="Colour" error={errors.colour}>
		{#snippet children(attributes)}
			<input type="hidden" name="colour" value={colour} />
			<span {...attributes} class="flex"
				><ColourChip out={colour ? 'No colour' : ''} onout={() => (picked = '')}>
					<ColourPick
						label="Colour of the material"
						{colours}
						materials={[]}
						value={colour || null}
						onpick={(id) => (picked = id)}
					>
						{#snippet trigger()}<ColourName
								colour={colour ? colours.find((c) => c.id === colour) : null}
								name={colours.find((c) => c.id === colour)?.name ?? 'none'}
							/>{/snippet}
					</ColourPick>
				</ColourChip></span
			>
		{/snippet}
	</Field>
{/if}
<Field label="Counted in" error={errors.unit}>
	{#snippet children(attributes)}
		<select {...attributes} name="unit" class="control w-full min-w-0"
			>{#each UNIT_WORDS as [unit, words] (unit)}<option value={unit} selected={typed.unit === unit}
					>{words}</option
				>{/each}</select
		>
	{/snippet}
</Field>
{#if has('loss')}{@render line(
		kind === 'gas' ? 'Lost of a cylinder, %' : 'Loss, % (blank: as in Settings)',
		'loss',
		'4'
	)}{/if}
{#if has('mark')}{@render line(
		kind === 'modelling' ? 'Model' : 'Letter, points or shape',
		'mark',
		kind === 'modelling' ? '260' : 'T, 5, crescent'
	)}{/if}
{#if has('litres')}{@render line('One holds, L, by its maker', 'litres', '14.6')}{/if}
{#if has('grams')}{@render line('One weighs, g, empty', 'grams', '10')}{/if}
{#if has('lift')}{@render line('It lifts at most, g, by its maker', 'lift', '9')}{/if}
{#if has('valve')}{@render pick('How it is closed', 'valve', VALVES)}{/if}
{#if has('softness')}{@render pick('Soft or firm', 'softness', SOFTNESS)}{/if}
{#if has('wide')}{@render line('It stands so wide, in', 'wide', '24')}{/if}
{#if has('deep')}{@render line('… and so deep, in', 'deep', '24')}{/if}
{#if has('ground')}{@render pick('Made for', 'ground', GROUNDS)}{/if}
{#if has('holds')}{@render line('One holds, g', 'holds', '500')}{/if}
{#if has('set')}{@render line('Minutes until it holds', 'set', '10')}{/if}
{#if has('dry')}{@render line('Minutes until it is dry', 'dry', '30')}{/if}
{#if has('cover')}{@render line('One covers, square feet', 'cover', '12')}{/if}
{#if has('chambers')}{@render line('Chambers of a foil', 'chambers', '1')}{/if}
{#if has('outline')}<OutlineField typed={typed.outline ?? ''} error={errors.outline} />{/if}
{#if has('reuse', 'uses', 'resale', 'upkeep', 'gone')}
	{@render line('Comes back: uses it is good for', 'uses', '40')}
	{@render line('… sold again for, at its end', 'resale', '15.00')}
	{@render line('… upkeep a use', 'upkeep', '0.50')}
	{@render line('… times it is lost or broken, %', 'gone', '2')}
{/if}
