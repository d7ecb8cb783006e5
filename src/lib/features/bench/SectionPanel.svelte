<script lang="ts">
	import { hostsFor, moveSection, removeSection } from '../../core/recipe/edit.ts';
	import type { Mutable } from '../../core/document/mutable.ts';
	import { WAYS } from '../../core/document/host.ts';
	import { ON_THE_FLOOR, STANDINGS, type Stand, type Standing } from '../../core/document/stand.ts';
	import type { DesignUse } from '../../core/structures/design/document.ts';
	import { eitherOr, mayStandFor, putIn, settleOpen } from '../../core/recipe/open-sections.ts';
	import { MOST_AHEAD, type Section } from '../../core/recipe/recipe.ts';
	import { asKind } from '../../core/structures/kinds.ts';
	import { accompanies, carriesPieces, hostsOf, nestedIn } from '../../core/structures/registry/refs.ts';
	import { isOnHosts } from '../../core/structures/registry/picture.ts';
	import { formatFeet, parseLength, toMillimetres } from '../../core/units/length.ts';
	import { parseBounded, parseCount } from '../../core/units/number.ts';
	import { rational, rationalText } from '../../core/units/rational.ts';
	import Button from '../../ui/button/Button.svelte';
	import Field from '../../ui/field/Field.svelte';
	import Pick from '../../ui/pick/Pick.svelte';
	import Popover from '../../ui/popover/Popover.svelte';
	import TypedField from '../../ui/typed/TypedField.svelte';
	import { bare, hostChoices } from './kit/host-choices.ts';
	import NameField from './kit/NameField.svelte';
	import type { Bench } from './bench.svelte.ts';

	interface Props {
		bench: Bench;
		section: Section;
	}
	let { bench, section }: Props = $props();
	let open = $state(false);
	/** Pieces sit on rows; other sections stand by whatever stands. */
	const hosts = $derived(
		hostsFor(bench.recipe, section.id).filter((h) => !applied || carriesPieces(h.structure))
	);
	const ties = $derived([
		['', 'nothing'] as const,
		...[...bench.catalogue.materials.values()]
			.filter((m) => m.kind === 'tie' || m.kind === 'modelling' || m.kind === 'adhesive')
			.map((m) => [m.id, m.name] as const)
	]);
	const host = $derived(bench.recipe.sections.find((s) => s.id === section.stand.by));
	const beside = $derived(
		host !== undefined && section.stand.how !== 'on top' && section.stand.at === undefined
	);
	/** What of its neighbour it may sit on. */
	const seats = $derived(
		hostChoices(bench.recipe, section.stand.by, '', section.stand.at ? [bare(section.stand.at)] : [])
	);
	const side = (how: string) => {
		const [seat] = seats;
		stand(how === 'part' && seat ? { at: seat[1] } : { how: how as Standing, at: undefined });
	};
	const rows = $derived((host && hostsOf(host.structure).rows) ?? []);
	const rowOptions = $derived(rows.map((l, i) => [l.id, `row ${i + 1}`] as const));
	/** Its pieces sit on what it stands by, each where it says. */
	const applied = $derived(isOnHosts(section.structure));
	const use = $derived(nestedIn(section.structure));
	const inner = $derived(use && bench.context.library(use.design));

	const change = (work: (s: Mutable<Section>) => void) =>
		bench.change((d) => {
			const own = d.sections.find((s) => s.id === section.id);
			if (own) work(own);
		});
	const stand = (to: Partial<Stand>) => change((s) => (s.stand = { ...s.stand, ...to }));
	const part = (to: Partial<DesignUse>) =>
		change((s) => {
			const own = asKind(s.structure, 'design');
			if (own) Object.assign(own, to);
		});
	const toward = (way: string) => {
		const { at } = section.stand;
		if (at?.on === 'place' || at?.on === 'piece') stand({ at: { ...at, way: WAYS.find((w) => w === way) } });
	};
	const times = (text: string) => {
		const parsed = parseCount(text, { what: 'How many', min: 1, max: 24 });
		if (parsed.ok) change((s) => (s.times = parsed.value));
		return parsed.ok ? '' : parsed.say;
	};
	/** Nothing would be left without it. */
	const only = $derived(bench.recipe.sections.every((s) => s.id === section.id || s.open?.out));
	const there = (how: string) =>
		bench.change((d) => (how === 'always' ? settleOpen(d, section.id) : putIn(d, section.id, how === 'in')));
	const ahead = (text: string) => {
		if (text.trim() === '') {
			change((s) => delete s.ahead);
			return '';
		}
		const parsed = parseCount(text, { what: 'Days ahead', min: 0, max: MOST_AHEAD });
		if (parsed.ok) change((s) => (s.ahead = parsed.value));
		return parsed.ok ? '' : parsed.say;
	};
	const group = $derived(section.open?.group);
	const standsFor = $derived(
		bench.recipe.sections
			.filter((s) => s.id !== section.id && group !== undefined && s.open?.group === group)
			.map((s) => s.name)
			.join(', ')
	);
	const standIns = $derived(
		bench.recipe.sections
			.filter((s) => !accompanies(s.structure) && mayStandFor(bench.recipe, section, s))
			.map((s) => [s.id, s.name] as const)
	);
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

<Popover label="Name and place of {section.name}" bind:open>
	{#snippet trigger()}<span class="quiet-link text-[13px]">place</span>{/snippet}
	<div class="grid gap-3">
		<NameField
			value={section.name}
			missing="Give it a name."
			onname={(name) => change((s) => (s.name = name))}
		/>
		{#if !applied}
			<div class="grid grid-cols-2 gap-3">
				<TypedField label="How many" value={String(section.times)} use={times} />
				<TypedField
					label="Difficulty"
					value={String(rational(section.difficulty).valueOf())}
					hint="1 is plain work"
					use={difficulty}
				/>
			</div>
			<label class="flex items-center gap-2">
				<input
					type="checkbox"
					checked={section.mirror}
					onchange={(e) => change((s) => (s.mirror = e.currentTarget.checked))}
				/>
				every second one mirrored, on the other side
			</label>
		{/if}
		{#if use && inner}
			<div class="grid grid-cols-2 gap-3">
				<Pick
					label="In the colours"
					value={use.colourway ?? inner.colourways[0]!.id}
					options={inner.colourways.map((c) => [c.id, c.name] as const)}
					onpick={(v) => part({ colourway: v })}
				/>
				<Pick
					label="In the size"
					value={use.size ?? ''}
					options={[['', 'as it stands'], ...inner.sizes.map((s) => [s.id, s.name] as const)]}
					onpick={(v) => part({ size: v || null })}
				/>
			</div>
			<label class="flex items-center gap-2">
				<input
					type="checkbox"
					checked={section.swappable}
					onchange={(e) => change((s) => (s.swappable = e.currentTarget.checked))}
				/>
				swappable: another in its place, in one step
			</label>
			{#if section.swappable}
				<Pick
					label="Swap it for"
					value={use.design}
					options={(bench.entryContext.designs ?? []).map((d) => [d.id, d.name] as const)}
					onpick={(v) => void bench.exchange(section.id, v, true)}
				/>
			{/if}
		{/if}
		<div class="grid grid-cols-2 gap-3">
			<Pick
				label={applied ? 'Its pieces sit' : 'Stands'}
				value={section.stand.by ?? ''}
				options={[
					['', applied ? 'on a wall' : 'on the floor'],
					...hosts.map((h) => [h.id, `${applied ? 'on' : 'by'} ${h.name}`] as const)
				]}
				onpick={(v) => stand(v === '' ? ON_THE_FLOOR : { by: v, layer: null, at: undefined })}
			/>
			{#if host && !applied}
				<Pick
					label="On which side"
					value={section.stand.at ? 'part' : section.stand.how}
					options={[
						...STANDINGS.map((how) => [how, how] as const),
						...(seats.length > 0 ? [['part', 'on a part of it'] as const] : [])
					]}
					onpick={side}
				/>
			{/if}
		</div>
		{#if section.stand.at && !applied}
			<div class="grid grid-cols-2 gap-3">
				<Pick
					label="Sits on"
					value={JSON.stringify(bare(section.stand.at))}
					options={seats.map(([key, , words]) => [key, words] as const)}
					onpick={(key) => stand({ at: seats.find(([k]) => k === key)?.[1] })}
				/>
				{#if section.stand.at.on === 'place' || section.stand.at.on === 'piece'}
					<Pick
						label="Where on it"
						value={section.stand.at.way ?? ''}
						options={[['', 'away from the middle'] as const, ...WAYS.map((w) => [w, w] as const)]}
						onpick={toward}
					/>
				{/if}
			</div>
		{/if}
		{#if beside && !applied}
			<div class="grid grid-cols-2 gap-3">
				{#if rows.length > 0}
					<Pick
						label="Fixed at"
						value={section.stand.layer ?? ''}
						options={[['', 'a height'], ...rowOptions]}
						onpick={(v) => stand({ layer: v || null })}
					/>
				{/if}
				{#if section.stand.layer === null}
					<TypedField label="Foot at height" value={heightText} hint="blank: as its neighbour" use={height} />
				{/if}
				<TypedField label="Air between, in" value={gapText} use={gap} />
			</div>
		{/if}
		{#if host && !applied}
			<Pick
				label="Tied on with"
				value={section.stand.tie ?? ''}
				options={ties}
				onpick={(v) => stand({ tie: v || null, ...(v ? {} : { down: undefined }) })}
			/>
			{#if section.stand.tie !== null && rows.length > 1}
				<Pick
					label="The tie goes down to"
					value={section.stand.down ?? ''}
					options={[['', 'where it sits'], ...rowOptions]}
					onpick={(v) => stand({ down: v || undefined })}
				/>
			{/if}
		{/if}
		<div class="grid grid-cols-2 gap-3">
			<Pick
				label="Is it there?"
				value={!section.open ? 'always' : section.open.out ? 'out' : 'in'}
				options={[
					['always', 'always'] as const,
					...(only
						? []
						: [['in', 'optional, now with it'] as const, ['out', 'optional, now without'] as const])
				]}
				onpick={there}
			/>
			<TypedField
				label="Made ahead, days"
				value={section.ahead === undefined ? '' : String(section.ahead)}
				hint="blank: as usual; 0: on the day"
				use={ahead}
			/>
		</div>
		{#if section.open}
			<div class="grid grid-cols-2 gap-3">
				<TypedField
					label="When is it there?"
					value={section.open.when}
					placeholder="outdoors"
					use={(text) => {
						change((s) => s.open && (s.open.when = text.trim().slice(0, 80)));
						return '';
					}}
				/>
				{#if standIns.length > 0}
					<Pick
						label="Stands for"
						value=""
						options={[['', standsFor || 'nothing else'] as const, ...standIns]}
						onpick={(v) => v && bench.change((d) => eitherOr(d, v, section.id))}
					/>
				{/if}
			</div>
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
