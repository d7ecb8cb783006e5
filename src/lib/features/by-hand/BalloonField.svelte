<script lang="ts">
	import type { Balloon, Asked } from '../../core/by-hand/asked.ts';
	import { bagsToChoose, inBag } from '../../core/by-hand/answers.ts';
	import { formatLength, inches, parseLength, um, type Micrometres } from '../../core/units/length.ts';
	import Stepper from '../../ui/stepper/Stepper.svelte';
	import BagPick from './BagPick.svelte';
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
	const bags = $derived(
		bagsToChoose(data, value ? [value.nominal] : [], field.kind === 'balloon' ? field.of : undefined)
	);
	const unit = $derived(data.settings.lengths);
	const HALF = $derived(unit === 'cm' ? um(10_000) : inches(0.5));
	const sizeText = (size: Micrometres) => formatLength({ um: size, unit });
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
		<BagPick
			{bags}
			value={value?.nominal ?? null}
			none={field.kind === 'balloon or none' ? field.none : undefined}
			onpick={(bag) => onset(bag && inBag(bag, value, HALF))}
		/>
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
		.size {
			grid-template-columns: auto 160px;
		}
	}
</style>
