<script lang="ts">
	import { swappables } from '../../core/recipe/swap.ts';
	import { nestedIn } from '../../core/structures/registry/refs.ts';
	import type { Mutable } from '../../core/document/mutable.ts';
	import type { SizeOption } from '../../core/recipe/recipe.ts';
	import { MEASURES, MEASURE_WORDS, type SaidOf } from '../../core/document/measure.ts';
	import { heightSaid, heightWords } from '../../core/tally/height.ts';
	import { formatFeet, parseLength, toMillimetres } from '../../core/units/length.ts';
	import Button from '../../ui/button/Button.svelte';
	import Pick from '../../ui/pick/Pick.svelte';
	import Popover from '../../ui/popover/Popover.svelte';
	import TypedField from '../../ui/typed/TypedField.svelte';
	import NameField from './kit/NameField.svelte';
	import type { Bench } from './bench.svelte.ts';
	import { swapInSize } from './swap-in-size.ts';

	interface Props {
		bench: Bench;
	}
	let { bench }: Props = $props();
	const sizes = $derived(bench.recipe.sizes);
	const now = $derived(bench.inSize);
	const nameOf = (id: string) =>
		bench.catalogue.materials.get(id)?.name ??
		bench.entryContext.designs?.find((d) => d.id === id)?.name ??
		id;
	const elements = $derived(swappables(bench.recipe, nameOf));
	/** Designs inside that come in sizes themselves. */
	const parts = $derived(
		bench.recipe.sections.flatMap((s) => {
			const inner = bench.context.library(nestedIn(s.structure)?.design ?? '');
			return inner && inner.sizes.length > 0 ? [{ section: s, sizes: inner.sizes }] : [];
		})
	);
	const change = (work: (s: Mutable<SizeOption>) => void) =>
		bench.change((d) => {
			const own = d.sizes.find((s) => s.id === now?.id);
			if (own) work(own);
		});
	function add() {
		const id = crypto.randomUUID();
		const height = now?.height ?? null;
		bench.change(
			(d) =>
				void d.sizes.push({
					id,
					name: `size ${d.sizes.length + 1}`,
					height,
					of: d.tall ?? 'over all',
					by: 'layers',
					swaps: {},
					parts: {}
				})
		);
		bench.size = id;
	}
	function height(text: string): string {
		if (text.trim() === '') {
			change((s) => (s.height = null));
			return '';
		}
		const parsed = parseLength(text, 'ft');
		if (!parsed.ok) return parsed.say;
		if (parsed.value.um < 152_400 || parsed.value.um > 30_480_000)
			return 'A height is between 6 in and 100 ft.';
		change((s) => (s.height = parsed.value.um));
		return '';
	}
	/** What the size in hand comes out at, said of what it says. */
	const said = $derived(heightSaid(bench.tally, bench.context.rates.pumps, now?.of ?? 'rows'));
	/** Sizes are listed from the smallest on: where one is not taller than the one before it, it is said. */
	const shrinks = $derived.by(() => {
		const tall = sizes.filter((s) => s.height !== null);
		const at = tall.findIndex((s, i) => i > 0 && s.height! <= tall[i - 1]!.height!);
		if (at < 1) return '';
		const [before, own] = [tall[at - 1]!, tall[at]!].map((s) => `${s.name} (${formatFeet(toMillimetres(s.height!))})`); // prettier-ignore
		return `Sizes do not grow in order: ${own} comes after ${before}. Give it more, or take one of them out.`;
	});
	const optionsFor = (what: 'material' | 'design', had: string) => {
		const kind = bench.catalogue.materials.get(had)?.kind;
		const some =
			what === 'design'
				? (bench.entryContext.designs ?? [])
				: [...bench.catalogue.materials.values()].filter((m) =>
						kind?.startsWith('foil') ? m.kind.startsWith('foil') : m.kind === kind
					);
		return [['', 'as it stands'] as const, ...some.map((m) => [m.id, m.name] as const)];
	};
</script>

<Popover label="Size {now?.name ?? 'as it stands'}: sizes of this design">
	{#snippet trigger()}<span class="text-sm whitespace-nowrap"
			><span class="text-muted">size</span> {now?.name ?? 'as it stands'}</span
		>{/snippet}
	<div class="grid gap-3 text-sm">
		<div class="flex flex-wrap gap-1.5" role="group" aria-label="Sizes">
			{#each [{ id: null, name: 'as it stands' }, ...sizes] as size (size.id)}
				<button
					type="button"
					aria-pressed={size.id === (now?.id ?? null)}
					class="rounded-control border border-line px-2 py-1 aria-pressed:bg-ink aria-pressed:text-[var(--on-ink)]"
					onclick={() => (bench.size = size.id)}>{size.name}</button
				>
			{/each}
		</div>
		{#if now}
			<!-- Fields of one size: what is typed in them is not another's. -->
			{#key now.id}
				<NameField
					value={now.name}
					missing="Give it a name, like “small” or “6 ft”."
					onname={(name) => change((s) => (s.name = name))}
				/>
				<div class="grid grid-cols-2 gap-3">
					<TypedField
						label="Height"
						value={now.height === null ? '' : formatFeet(toMillimetres(now.height))}
						hint={now.height === null ? 'blank: as it stands' : `comes out ${heightWords(said)}`}
						placeholder="6 ft"
						use={height}
					/>
					<Pick
						label="Said"
						value={now.of ?? 'rows'}
						options={[...MEASURES, ...(now.of ? [] : (['rows'] as const))].map(
							(of) => [of, MEASURE_WORDS[of]] as const
						)}
						onpick={(v) => change((s) => (s.of = v === 'rows' ? undefined : (v as SaidOf)))}
					/>
				</div>
			{/key}
			{#each bench.recipe.sections.filter((s) => s.open) as part (part.id)}
				<Pick
					label="{part.name} in this size"
					value={now.open?.[part.id] === undefined ? '' : now.open[part.id] ? 'in' : 'out'}
					options={[
						['', part.open?.out ? 'as it stands: left out' : 'as it stands: there'],
						['in', 'there'],
						['out', 'left out']
					]}
					onpick={(v) =>
						change((s) => {
							const own = { ...s.open };
							if (v === '') delete own[part.id];
							else own[part.id] = v === 'in';
							s.open = own;
						})}
				/>
			{/each}
			<Pick
				label="How it gets there"
				value={now.by}
				options={[
					['layers', 'rows repeat more or less, sizes stay'],
					['scale', 'layers stay, every balloon grows or shrinks']
				]}
				onpick={(v) => change((s) => (s.by = v as SizeOption['by']))}
			/>
			{#each parts as { section, sizes: inner } (section.id)}
				<Pick
					label={section.name}
					value={now.parts[section.id] ?? ''}
					options={[['', 'as it stands'], ...inner.map((s) => [s.id, s.name] as const)]}
					onpick={(v) =>
						change((s) => {
							if (v) s.parts[section.id] = v;
							else delete s.parts[section.id];
						})}
				/>
			{/each}
			{#each elements as { element, name, now: had, what } (element)}
				<Pick
					label="In place of {name}"
					value={now.swaps[element] ?? ''}
					options={optionsFor(what, had)}
					onpick={(v) => void swapInSize(bench, now.id, { element, to: v, design: what === 'design' })}
				/>
			{/each}
			{#if shrinks}<p class="text-[13px] text-watch">{shrinks}</p>{/if}
			{#each bench.tally.notes as note (note)}<p class="text-[13px] text-muted">{note}</p>{/each}
		{:else if sizes.length === 0}
			<p class="text-muted">
				A size is the same design taller or smaller, with its own count, cost and price. The entry line takes
				“size small 4 ft” too.
			</p>
		{/if}
		<Pick
			label="The design is called by its height"
			value={bench.recipe.tall ?? 'over all'}
			options={MEASURES.map((of) => [of, MEASURE_WORDS[of]] as const)}
			onpick={(v) => bench.change((d) => (d.tall = v as SaidOf))}
		/>
		<div class="flex flex-wrap items-center justify-between gap-2">
			<Button onclick={add}>Add a size</Button>
			{#if sizes.length > 0}<a class="quiet-link" href="/bench/{bench.id}/sizes">side by side</a>{/if}
			{#if now}
				<Button
					kind="word"
					onclick={() => {
						bench.change((d) => (d.sizes = d.sizes.filter((s) => s.id !== now.id)));
						bench.size = null;
					}}>Take it out</Button
				>
			{/if}
		</div>
	</div>
</Popover>
