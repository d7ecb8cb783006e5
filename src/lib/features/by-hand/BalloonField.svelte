<script lang="ts">
	import { ROUND_NOMINALS } from '../../core/materials/material.ts';
	import type { Balloon, Asked } from '../../core/by-hand/asked.ts';
	import { bagsIn } from '../../core/by-hand/answers.ts';
	import {
		formatInches,
		formatLength,
		inches,
		parseLength,
		um,
		type Micrometres
	} from '../../core/units/length.ts';
	import Stepper from '../../ui/stepper/Stepper.svelte';
	import type { HandData } from './hand-data.ts';

	interface Props {
		field: Extract<Asked, { kind: 'balloon' | 'balloon or none' }>;
		value: Balloon | null;
		data: HandData;
		error: string | undefined;
		onset: (value: Balloon | null) => void;
	}
	let { field, value, data, error, onset }: Props = $props();
	const id = $props.id();
	let trouble = $state('');
	/** Bags that are in stock; where there are none, those that are sold. */
	const bags = $derived.by(() => {
		const own = bagsIn(data, field.kind === 'balloon' ? field.of : undefined);
		const all = own.length > 0 ? own : ROUND_NOMINALS.map(inches);
		return value && !all.includes(value.nominal) ? [...all, value.nominal].sort((a, b) => a - b) : all;
	});
	const unit = $derived(data.settings.lengths);
	const HALF = $derived(unit === 'cm' ? um(10_000) : inches(0.5));
	const sizeText = (size: Micrometres) => formatLength({ um: size, unit });
	/** Another bag is filled as much as the one before. */
	function take(nominal: Micrometres) {
		const share = value ? value.size / value.nominal : 0.85;
		onset({ nominal, size: um(Math.max(HALF, Math.round((nominal * share) / HALF) * HALF)) });
	}
	function step(by: number) {
		if (!value) return;
		const next = (by > 0 ? Math.floor(value.size / HALF) : Math.ceil(value.size / HALF)) + by;
		onset({ ...value, size: um(Math.max(HALF, Math.min(value.nominal, next * HALF))) });
	}
	function read(text: string): string {
		const parsed = parseLength(text, unit, { decimal: data.settings.decimal });
		if (!parsed.ok) return parsed.say;
		if (value) onset({ ...value, size: parsed.value.um });
		return '';
	}
</script>

<div class="grid content-start gap-1" role="group" aria-labelledby="{id}-label">
	<span id="{id}-label" class="text-[13px] font-medium text-muted">{field.label}</span>
	<div class="both">
		<div class="bags" role="group" aria-label="Size on the bag">
			{#if field.kind === 'balloon or none'}
				<button type="button" aria-pressed={value === null} onclick={() => onset(null)}>none</button>
			{/if}
			{#each bags as bag (bag)}
				<button type="button" aria-pressed={value?.nominal === bag} onclick={() => take(bag)}
					>{formatInches(bag)}</button
				>
			{/each}
		</div>
		{#if value}
			<div class="size">
				<span class="text-muted" id="{id}-to">at</span>
				<Stepper
					label="{field.label}, inflated size"
					attributes={{ 'aria-invalid': Boolean(trouble || error), 'aria-describedby': `${id}-say` }}
					text={sizeText(value.size)}
					onstep={step}
					onread={read}
					ontrouble={(say) => (trouble = say)}
				/>
			</div>
		{/if}
	</div>
	<p
		id="{id}-say"
		class="text-[13px]"
		class:text-bad={trouble || error}
		class:text-muted={!trouble && !error}
	>
		{trouble || error || (field.hint ?? '')}
	</p>
</div>

<style>
	.both {
		display: flex;
		flex-wrap: wrap;
		gap: 6px 10px;
		align-items: center;
	}
	.bags {
		display: flex;
		flex-wrap: wrap;
		border: 1px solid color-mix(in srgb, var(--muted) 55%, var(--line));
		border-radius: 6px;
		overflow: hidden;
	}
	.bags button {
		min-width: 32px;
		min-height: 36px;
		padding: 0 6px;
		background: var(--paper);
		font: 400 13.5px var(--font-mono);
	}
	.bags button:hover {
		background: var(--tint);
	}
	.bags button[aria-pressed='true'] {
		background: var(--ink);
		color: var(--on-ink);
	}
	.size {
		display: grid;
		grid-template-columns: auto 112px;
		gap: 8px;
		align-items: center;
	}
	p:empty {
		display: none;
	}
	@media (pointer: coarse) {
		.bags button {
			min-width: 44px;
			min-height: 44px;
		}
		.size {
			grid-template-columns: auto 160px;
		}
	}
</style>
