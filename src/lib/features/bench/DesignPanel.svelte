<script lang="ts">
	import { MOST_OF_A_LINE } from '../../core/document/limits.ts';
	import { COUNTS } from '../../core/document/rule.ts';
	import { hazardsOf, makerCautions } from '../../core/hazards/cautions.ts';
	import { parseBounded } from '../../core/units/number.ts';
	import { rational, rationalText } from '../../core/units/rational.ts';
	import Button from '../../ui/button/Button.svelte';
	import Field from '../../ui/field/Field.svelte';
	import Pick from '../../ui/pick/Pick.svelte';
	import { STARTS_NEW } from '../../core/starting/own.ts';
	import Popover from '../../ui/popover/Popover.svelte';
	import TypedField from '../../ui/typed/TypedField.svelte';
	import type { Bench } from './bench.svelte.ts';

	interface Props {
		bench: Bench;
	}
	let { bench }: Props = $props();
	const recipe = $derived(bench.recipe);
	/** What of this design can hurt somebody: the plan and the client's paper say the same. */
	const cautions = $derived(
		makerCautions(hazardsOf({ ...bench.tally, overall: bench.tally.assembly.overall.usual }))
	);
	const followers = $derived([
		['', 'not chosen yet (cost unknown)'] as const,
		...[...bench.catalogue.materials.values()]
			.filter((m) => ['adhesive', 'tie', 'modelling', 'ribbon'].includes(m.kind))
			.map((m) => [m.id, m.name] as const)
	]);
	const workspace = $derived(
		bench.context.rates.rules.filter((r) => !recipe.rules.some((own) => own.of === r.of))
	);
	const nameOf = (id: string | null) => bench.catalogue.materials.get(id ?? '')?.name ?? 'not chosen yet';
	const free = $derived(COUNTS.filter((of) => !recipe.rules.some((r) => r.of === of)));
	let adding = $state('');
	function add() {
		const of = free.find((f) => f === adding) ?? free[0];
		if (!of) return;
		const general = workspace.find((r) => r.of === of);
		bench.change(
			(d) => void d.rules.push({ of, each: general?.each ?? '1', material: general?.material ?? null })
		);
		adding = '';
	}
	function each(of: string, text: string): string {
		const parsed = parseBounded(text, { what: 'Pieces for each', min: 0, max: MOST_OF_A_LINE });
		if (parsed.ok)
			bench.change((d) => {
				const own = d.rules.find((r) => r.of === of);
				if (own) own.each = rationalText(parsed.value);
			});
		return parsed.ok ? '' : parsed.say;
	}
	/** Kept as a tag: it is found on the Shelf by it too. */
	const startNew = (on: boolean) =>
		bench.change((d) => {
			d.tags = d.tags.filter((t) => t !== STARTS_NEW);
			if (on) d.tags.push(STARTS_NEW);
		});
</script>

<Popover label="About {recipe.name}: credit and rules">
	{#snippet trigger()}<span class="quiet-link text-[13.5px]">about</span>{/snippet}
	<div class="grid gap-3 text-sm">
		<label class="flex items-start gap-2">
			<input
				type="checkbox"
				class="mt-1"
				checked={recipe.tags.includes(STARTS_NEW)}
				onchange={(e) => startNew(e.currentTarget.checked)}
			/>
			<span>New designs may start from it: “New design” shows it, and asks for its colours and height</span>
		</label>
		<TypedField
			label="Tags"
			value={recipe.tags.join(', ')}
			placeholder="garden, figure"
			use={(text) => {
				const tags = [
					...new Set(
						text
							.split(',')
							.map((t) => t.trim().slice(0, 40))
							.filter(Boolean)
					)
				];
				if (tags.length > 20) return 'A design has at most 20 tags.';
				bench.change((d) => (d.tags = tags));
				return '';
			}}
		/>
		<TypedField
			label="Credit and source"
			value={recipe.credit}
			placeholder="after …, changed in …"
			use={(text) => {
				if (text.length > 300) return 'Keep it under 300 letters.';
				bench.change((d) => (d.credit = text.trim()));
				return '';
			}}
		/>
		<Field label="Notes">
			{#snippet children(attributes)}
				<textarea
					{...attributes}
					class="control"
					rows="2"
					maxlength="5000"
					value={recipe.notes}
					onchange={(e) => bench.change((d) => (d.notes = e.currentTarget.value))}></textarea>
			{/snippet}
		</Field>
		<section class="grid gap-1" aria-label="Take care">
			<h2 class="text-[15px]">Take care</h2>
			<ul class="grid gap-1 text-[13px] text-muted">
				{#each cautions as caution (caution)}<li>{caution}</li>{/each}
			</ul>
		</section>
		<section class="grid gap-2" aria-label="Follow-on rules">
			<h2 class="text-[15px]">What follows from counts</h2>
			{#each recipe.rules as rule (rule.of)}
				<div class="grid grid-cols-[70px_minmax(0,1fr)] items-end gap-2">
					<TypedField
						label="Each takes"
						value={String(rational(rule.each).valueOf())}
						use={(text) => each(rule.of, text)}
					/>
					<Pick
						label="for each {rule.of}"
						value={rule.material ?? ''}
						options={followers}
						onpick={(v) =>
							bench.change((d) => {
								const own = d.rules.find((r) => r.of === rule.of);
								if (own) own.material = v || null;
							})}
					/>
				</div>
				<p class="-mt-1">
					<Button
						kind="word"
						onclick={() => bench.change((d) => (d.rules = d.rules.filter((r) => r.of !== rule.of)))}
						>Back to the workspace’s rule</Button
					>
				</p>
			{/each}
			<ul class="text-[13px] text-muted">
				{#each workspace as rule (rule.of)}<li>
						each {rule.of}: {rule.each} × {nameOf(rule.material)}
					</li>{/each}
			</ul>
			{#if free.length > 0}
				<div class="flex items-end gap-2">
					<div class="min-w-0 flex-1">
						<Pick
							label="A rule of this design for each"
							value={adding || free[0]!}
							options={free.map((f) => [f, f] as const)}
							onpick={(v) => (adding = v)}
						/>
					</div>
					<Button onclick={add}>Add it</Button>
				</div>
			{/if}
		</section>
	</div>
</Popover>
