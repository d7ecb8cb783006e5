<script lang="ts">
	import { KIND_WORDS } from '../../core/materials/material.ts';
	import type { Balloon, Asked, Answers } from '../../core/by-hand/asked.ts';
	import { feet, formatLength, parseLength, um, type Micrometres } from '../../core/units/length.ts';
	import Field from '../../ui/field/Field.svelte';
	import Pick from '../../ui/pick/Pick.svelte';
	import PickList from '../../ui/pick-list/PickList.svelte';
	import Stepper from '../../ui/stepper/Stepper.svelte';
	import BalloonField from './BalloonField.svelte';
	import ColoursField from './ColoursField.svelte';
	import type { HandData } from './hand-data.ts';

	interface Props {
		field: Asked;
		value: Answers[string];
		data: HandData;
		error: string | undefined;
		/** What it came to, where that is not what was asked for. */
		came?: string;
		onset: (value: Answers[string]) => void;
	}
	let { field, value, data, error, came = '', onset }: Props = $props();
	let trouble = $state('');
	const hint = $derived([field.hint, came].filter(Boolean).join(' · '));
	/** What is never taller than a door is said in inches: the height of a letter, a limb. */
	const SHORT = feet(7);
	const inFeet = $derived(field.kind !== 'length' || field.max > SHORT);
	const unit = $derived(data.settings.lengths === 'cm' ? 'cm' : inFeet ? 'ft' : 'in');
	/** Half a foot, under two feet an inch; ten centimetres, under sixty two. */
	const stepOf = (length: number) =>
		unit === 'cm'
			? length <= 600_000
				? 20_000
				: 100_000
			: unit === 'in' || length <= feet(2)
				? feet(1) / 12
				: feet(0.5);

	function stepLength(by: number) {
		if (field.kind !== 'length') return;
		const now = value as number;
		const step = stepOf(by > 0 ? now + 1 : now);
		const next = Math.round(now / step + by) * step;
		onset(um(Math.max(field.min, Math.min(field.max, Math.round(next)))));
	}
	function readLength(text: string): string {
		const parsed = parseLength(text, unit, { decimal: data.settings.decimal });
		if (!parsed.ok) return parsed.say;
		onset(parsed.value.um);
		return '';
	}
	function stepCount(by: number) {
		if (field.kind !== 'count') return;
		onset(Math.max(field.min, Math.min(field.max, (value as number) + by)));
	}
	function readCount(text: string): string {
		const typed = Number(text.trim());
		if (text.trim() === '' || !Number.isFinite(typed)) return 'How many? Type a number, like 4.';
		onset(typed);
		return '';
	}
	const lengthText = (length: number) => formatLength({ um: length as Micrometres, unit });
</script>

{#if field.kind === 'length' || field.kind === 'count'}
	<Field label={field.label} error={trouble || error} {hint}>
		{#snippet children(attributes)}
			{#if field.kind === 'length'}
				<Stepper
					label={field.label}
					{attributes}
					text={lengthText(value as number)}
					onstep={stepLength}
					onread={readLength}
					ontrouble={(say) => (trouble = say)}
				/>
			{:else}
				<Stepper
					label={field.label}
					{attributes}
					text={String(value)}
					onstep={stepCount}
					onread={readCount}
					ontrouble={(say) => (trouble = say)}
				/>
			{/if}
		{/snippet}
	</Field>
{:else if field.kind === 'balloon' || field.kind === 'balloon or none'}
	<BalloonField {field} value={value as Balloon | null} {data} {error} {onset} />
{:else if field.kind === 'colours'}
	<ColoursField {field} value={value as readonly string[]} {data} {onset} />
{:else if field.kind === 'choice'}
	<Pick label={field.label} value={value as string} options={field.options} {hint} onpick={onset} />
{:else if field.kind === 'thing'}
	<Field label={field.label} {hint}>
		{#snippet children(attributes)}
			<PickList
				label={field.label}
				{attributes}
				value={value as string | null}
				none={field.none}
				options={data.materials
					.filter((m) => field.kinds.includes(m.kind))
					.map((m) => ({ id: m.id, name: m.name, also: KIND_WORDS[m.kind] }))}
				onpick={onset}
			/>
		{/snippet}
	</Field>
{:else}
	<Field label={field.label} {error} {hint}>
		{#snippet children(attributes)}
			<input
				{...attributes}
				class="control w-full pointer-coarse:min-h-[44px]"
				value={value as string}
				maxlength={field.kind === 'text' ? field.most + 1 : undefined}
				autocomplete="off"
				oninput={(e) => onset(e.currentTarget.value)}
			/>
		{/snippet}
	</Field>
{/if}
