<script lang="ts">
	import { answerErrors, firstAnswers } from '../../core/by-hand/answers.ts';
	import { ANY_COLOUR } from '../../core/document/slot.ts';
	import { coloursField, type Answers } from '../../core/by-hand/asked.ts';
	import { putByHand } from '../../core/language/put-by-hand.ts';
	import type { Section } from '../../core/recipe/recipe.ts';
	import type { HandKit } from '../../core/structures/kit/by-hand.ts';
	import type { HandForm } from '../../core/structures/facets/by-hand.ts';
	import type { Structure } from '../../core/structures/kinds.ts';
	import { handFormsOf } from '../../core/structures/registry/by-hand.ts';
	import Button from '../../ui/button/Button.svelte';
	import Popover from '../../ui/popover/Popover.svelte';
	import AskedFields from '../by-hand/AskedFields.svelte';
	import type { Bench } from './bench.svelte.ts';

	interface Props {
		bench: Bench;
		/** Its kind says what can be put; where the section is not there yet, it is made. */
		section: { readonly id?: string; readonly name: string; readonly structure: Pick<Structure, 'kind'> };
		/** A part that is changed in place of one that is put. */
		part?: { readonly id: string; readonly name: string } | null;
		/** What was pressed for it: a piece goes on that. */
		on?: HandKit['on'];
	}
	let { bench, section, part = null, on }: Props = $props();
	let open = $state(false);
	let trouble = $state('');
	const forms = $derived(handFormsOf(section.structure));
	/** The form of the part with what it says, where its fields can say all of it. */
	const own = $derived.by((): { form: HandForm<Structure>; values: Answers } | null => {
		if (!part) return null;
		const there = bench.recipe.sections.find((s: Section) => s.id === section.id);
		for (const form of forms) {
			const said = there && form.of?.(there.structure, part.id);
			if (said) return { form, values: shown(form, said) };
		}
		return null;
	});
	let chosen = $state('');
	const form = $derived(own?.form ?? forms.find((f) => f.id === chosen) ?? forms[0]);
	let said = $state.raw<Answers>({});
	/** What is so already of what is said of the whole. */
	const now = $derived.by(() => {
		const there = bench.recipe.sections.find((s: Section) => s.id === section.id);
		return (there && form?.now?.(there.structure)) ?? {};
	});
	const values = $derived(
		form ? { ...firstAnswers(form.fields, bench.data), ...now, ...own?.values, ...said } : {}
	);
	const errors = $derived.by((): Readonly<Record<string, string>> => {
		if (!form) return {};
		const each = answerErrors(form.fields, values);
		return Object.keys(each).length > 0 ? each : (form.conflicts?.(values) ?? {});
	});

	/** Slots as the colours they hold: what is picked is a colour. */
	function shown(of: HandForm<Structure>, answers: Answers): Answers {
		const name = coloursField(of.fields);
		if (name === undefined) return answers;
		const slots = answers[name] as readonly string[];
		const unseen = new Set(bench.recipe.slots.filter((s) => s.any).map((s) => s.id));
		return {
			...answers,
			[name]: slots.flatMap((s) => bench.chosen.fills[s] ?? (unseen.has(s) ? ANY_COLOUR : []))
		};
	}
	function put() {
		if (!form) return;
		const colours = coloursField(form.fields);
		if (colours !== undefined && (values[colours] as readonly string[]).length === 0) {
			trouble = 'In which colour? Pick one; colours are kept in the Stockroom.';
			return;
		}
		let done = false;
		const place = {
			section: section.id,
			editing: part?.id ?? null,
			colourway: bench.chosen.id,
			nameOf: (colour: string) => bench.catalogue.colourNames.get(colour) ?? 'colour',
			material: (id: string) => bench.catalogue.materials.get(id),
			on
		};
		bench.change((d) => void (done = putByHand(d, form, values, place, () => crypto.randomUUID())));
		trouble = done ? '' : (form.missing ?? '');
		if (done) [open, said] = [false, {}];
	}
</script>

{#if forms.length > 0 && (!part || own)}
	<Popover
		label={part ? `Fields of ${part.name}` : `Put to ${section.name} by hand`}
		width={440}
		slim
		bind:open
	>
		{#snippet trigger()}<span class="quiet-link text-[13px]"
				>{part ? 'fields' : `add ${forms[0]!.title}${forms.length > 1 ? ' …' : ''}`}</span
			>{/snippet}
		<div class="grid gap-3">
			{#if !own && forms.length > 1}
				<div class="flex flex-wrap gap-1.5" role="group" aria-label="What to put">
					{#each forms as one (one.id)}
						<button
							type="button"
							aria-pressed={one === form}
							class="rounded-control border border-line px-2 py-1 aria-pressed:bg-ink aria-pressed:text-[var(--on-ink)] pointer-coarse:min-h-[44px]"
							onclick={() => ([chosen, said, trouble] = [one.id, {}, ''])}>{one.title}</button
						>
					{/each}
				</div>
			{/if}
			{#if form}
				{#key form.id}
					<AskedFields
						fields={form.fields}
						{values}
						{errors}
						data={{ ...bench.data, unseen: true }}
						onset={(name, value) => (said = { ...said, [name]: value })}
					/>
				{/key}
				{#if trouble}<p class="text-[13px] text-bad" role="alert">{trouble}</p>{/if}
				<p>
					<Button kind="strong" onclick={put} disabled={Object.keys(errors).length > 0}
						>{part ? 'Change it' : 'Put it there'}</Button
					>
				</p>
			{/if}
		</div>
	</Popover>
{/if}
