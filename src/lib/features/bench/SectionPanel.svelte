<script lang="ts">
	import { hostsFor, moveSection, removeSection, type Mutable } from '../../core/recipe/edit.ts';
	import {
		ON_THE_FLOOR,
		STANDINGS,
		type Section,
		type Stand,
		type Standing
	} from '../../core/recipe/recipe.ts';
	import { formatFeet, parseLength, toMillimetres } from '../../core/units/length.ts';
	import { parseBounded, parseCount } from '../../core/units/number.ts';
	import { rational, rationalText } from '../../core/units/rational.ts';
	import Button from '../../ui/button/Button.svelte';
	import Field from '../../ui/field/Field.svelte';
	import Popover from '../../ui/popover/Popover.svelte';
	import type { Bench } from './bench.svelte.ts';

	interface Props {
		bench: Bench;
		section: Section;
	}
	let { bench, section }: Props = $props();
	let open = $state(false);
	/** What is being typed and cannot be read, with its sentence; the recipe keeps the last that could. */
	let typed = $state<Record<string, string>>({});
	let trouble = $state<Record<string, string>>({});
	const hosts = $derived(hostsFor(bench.recipe, section.id));
	const ties = $derived(
		[...bench.catalogue.materials.values()].filter(
			(m) => m.kind === 'tie' || m.kind === 'modelling' || m.kind === 'adhesive'
		)
	);
	const beside = $derived(section.stand.by !== null && section.stand.how !== 'on top');

	const change = (work: (s: Mutable<Section>) => void) =>
		bench.change((d) => {
			const own = d.sections.find((s) => s.id === section.id);
			if (own) work(own);
		});
	const stand = (to: Partial<Stand>) => change((s) => (s.stand = { ...s.stand, ...to }));
	function read(field: string, text: string, use: (text: string) => string) {
		const say = use(text);
		typed = { ...typed, [field]: text };
		trouble = { ...trouble, [field]: say };
		if (!say) delete typed[field];
	}
	const times = (text: string) => {
		const parsed = parseCount(text, { what: 'How many', min: 1, max: 24 });
		if (parsed.ok) change((s) => (s.times = parsed.value));
		return parsed.ok ? '' : parsed.say;
	};
	const difficulty = (text: string) => {
		const parsed = parseBounded(text, { what: 'The difficulty', min: 0.1, max: 10 });
		if (parsed.ok) change((s) => (s.difficulty = rationalText(parsed.value)));
		return parsed.ok ? '' : parsed.say;
	};
	const height = (text: string) => {
		if (text.trim() === '') {
			stand({ height: null });
			return '';
		}
		const parsed = parseLength(text, 'ft');
		if (parsed.ok) stand({ height: parsed.value.um });
		return parsed.ok ? '' : parsed.say;
	};
	const gap = (text: string) => {
		const parsed = parseLength(text.trim() === '' ? '0' : text, 'in');
		if (parsed.ok) stand({ gap: parsed.value.um });
		return parsed.ok ? '' : parsed.say;
	};
	const heightText = $derived(
		section.stand.height === null ? '' : formatFeet(toMillimetres(section.stand.height))
	);
	const gapText = $derived(section.stand.gap === 0 ? '0' : `${Math.round(section.stand.gap / 2540) / 10}`);
</script>

{#snippet line(label: string, field: string, value: string, use: (text: string) => string, hint = '')}
	<Field {label} error={trouble[field] || undefined} {hint}>
		{#snippet children(attributes)}
			<input
				{...attributes}
				class="control figures w-full min-w-0"
				value={typed[field] ?? value}
				onchange={(e) => read(field, e.currentTarget.value, use)}
				autocomplete="off"
			/>
		{/snippet}
	</Field>
{/snippet}

<Popover label="Name and place of {section.name}" bind:open>
	{#snippet trigger()}<span class="quiet-link text-[13px]">place</span>{/snippet}
	<div class="grid gap-3">
		<Field label="Name">
			{#snippet children(attributes)}
				<input
					{...attributes}
					class="control"
					maxlength="80"
					value={section.name}
					onchange={(e) => change((s) => (s.name = e.currentTarget.value.trim() || s.name))}
				/>
			{/snippet}
		</Field>
		<div class="grid grid-cols-2 gap-3">
			{@render line('How many', 'times', String(section.times), times)}
			{@render line(
				'Difficulty',
				'difficulty',
				String(rational(section.difficulty).valueOf()),
				difficulty,
				'1 is plain work'
			)}
		</div>
		<label class="flex items-center gap-2">
			<input
				type="checkbox"
				checked={section.mirror}
				onchange={(e) => change((s) => (s.mirror = e.currentTarget.checked))}
			/>
			every second one mirrored, on the other side
		</label>
		<div class="grid grid-cols-2 gap-3">
			<Field label="Stands">
				{#snippet children(attributes)}
					<select
						{...attributes}
						class="control w-full min-w-0"
						value={section.stand.by ?? ''}
						onchange={(e) =>
							stand(e.currentTarget.value === '' ? ON_THE_FLOOR : { by: e.currentTarget.value })}
					>
						<option value="">on the floor</option>
						{#each hosts as host (host.id)}<option value={host.id}>by {host.name}</option>{/each}
					</select>
				{/snippet}
			</Field>
			{#if section.stand.by !== null}
				<Field label="On which side">
					{#snippet children(attributes)}
						<select
							{...attributes}
							class="control w-full"
							value={section.stand.how}
							onchange={(e) => stand({ how: e.currentTarget.value as Standing })}
						>
							{#each STANDINGS as how (how)}<option>{how}</option>{/each}
						</select>
					{/snippet}
				</Field>
			{/if}
		</div>
		{#if beside}
			<div class="grid grid-cols-2 gap-3">
				{@render line('Foot at height', 'height', heightText, height, 'blank: as its neighbour')}
				{@render line('Air between, in', 'gap', gapText, gap)}
			</div>
		{/if}
		{#if section.stand.by !== null}
			<Field label="Tied on with">
				{#snippet children(attributes)}
					<select
						{...attributes}
						class="control"
						value={section.stand.tie ?? ''}
						onchange={(e) => stand({ tie: e.currentTarget.value || null })}
					>
						<option value="">nothing</option>
						{#each ties as tie (tie.id)}<option value={tie.id}>{tie.name}</option>{/each}
					</select>
				{/snippet}
			</Field>
		{/if}
		<Field label="Notes">
			{#snippet children(attributes)}
				<textarea
					{...attributes}
					class="control"
					rows="2"
					maxlength="5000"
					value={section.notes}
					onchange={(e) => change((s) => (s.notes = e.currentTarget.value))}></textarea>
			{/snippet}
		</Field>
		<div class="flex flex-wrap justify-between gap-2">
			<span class="flex gap-2">
				<Button onclick={() => bench.change((d) => moveSection(d, section.id, 1))}>Up</Button>
				<Button onclick={() => bench.change((d) => moveSection(d, section.id, -1))}>Down</Button>
			</span>
			<Button
				kind="word"
				onclick={() => {
					open = false;
					bench.change((d) => removeSection(d, section.id));
				}}>Take it out</Button
			>
		</div>
	</div>
</Popover>
