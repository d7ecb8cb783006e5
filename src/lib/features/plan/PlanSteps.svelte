<script lang="ts">
	import { applyAction, deserialize } from '$app/forms';
	import { invalidateAll } from '$app/navigation';
	import { flip } from 'svelte/animate';
	import { dragHandleZone, type DndEvent } from 'svelte-dnd-action';
	import StepForm from './StepForm.svelte';
	import StepRow from './StepRow.svelte';
	import type { ShownStep } from '../../core/plan/arrange.ts';
	import type { StepChoices } from './step.ts';

	interface Props {
		steps: readonly ShownStep[];
		choices: StepChoices;
		/** What the last form said: the step it was about, what was wrong, what was typed. */
		refused?:
			| {
					readonly id: string;
					readonly trouble: Readonly<Record<string, string>>;
					readonly typed: Readonly<Record<string, string>>;
					readonly started?: Readonly<Record<string, string>> | undefined;
			  }
			| undefined;
	}
	let { steps, choices, refused }: Props = $props();
	/** The step whose form is open: itself, or for one to come after it. */
	let open = $state<{ id: string; add: boolean } | null>(null);
	let dragged = $state.raw<ShownStep[] | null>(null);
	let trouble = $state('');
	const photos = $derived(new Set(choices.photos.map((p) => p.id)));
	const rows = $derived(dragged ?? [...steps]);
	const numbers = $derived.by(() => {
		let n = 0;
		return new Map(rows.map((s) => [s.id, s.out ? null : ++n]));
	});

	/** One press of a button: the same ids of the save, so that twice is once. */
	async function act(action: string, fields: Record<string, string>) {
		trouble = '';
		const body = new FormData();
		body.set('saveId', crypto.randomUUID());
		for (const [name, value] of Object.entries(fields)) body.set(name, value);
		const response = await fetch(`?/${action}`, {
			method: 'POST',
			body,
			headers: { 'x-sveltekit-action': 'true' }
		}).catch(() => undefined);
		if (!response) {
			trouble = 'The plan cannot be reached just now. Try again in a moment.';
			dragged = null;
			return;
		}
		const result = deserialize(await response.text());
		await applyAction(result);
		if (result.type === 'failure') trouble = String((result.data?.trouble as { text?: string })?.text ?? '');
		await invalidateAll();
		dragged = null;
	}
	const move = (id: string, to: string | undefined) =>
		to !== undefined && to !== id && void act('move', { id, to });
	function dropped({ detail }: CustomEvent<DndEvent<ShownStep>>) {
		const { id } = detail.info;
		const place = detail.items.findIndex((s) => s.id === id);
		dragged = detail.items;
		const to = steps[place]?.id;
		if (to === undefined || to === id) dragged = null;
		else move(id, to);
	}
</script>

{#if trouble}<p class="my-2 text-bad" role="alert">{trouble}</p>{/if}
<ol
	class="border-t-2 border-ink"
	use:dragHandleZone={{
		items: [...rows],
		flipDurationMs: 120,
		dropTargetStyle: {},
		autoAriaDisabled: true,
		zoneTabIndex: -1,
		zoneItemTabIndex: -1
	}}
	onconsider={({ detail }) => (dragged = detail.items as ShownStep[])}
	onfinalize={dropped}
>
	{#each rows as step, index (step.id)}
		<li animate:flip={{ duration: 120 }}>
			{#if open?.id === step.id && !open.add}
				<StepForm
					{step}
					{choices}
					trouble={refused?.id === step.id ? refused.trouble : undefined}
					typed={refused?.id === step.id ? refused.typed : undefined}
					started={refused?.id === step.id ? refused.started : undefined}
					onclose={() => (open = null)}
				/>
			{:else}
				<StepRow
					{step}
					{photos}
					number={numbers.get(step.id) ?? null}
					editable
					first={index === 0}
					last={index === rows.length - 1}
					onedit={() => (open = { id: step.id, add: false })}
					onadd={() => (open = { id: step.id, add: true })}
					onmove={(by) => move(step.id, rows[index + by]?.id)}
					onremove={() => void act('remove', { id: step.id })}
					onasmade={() => void act('asMade', { id: step.id })}
				/>
			{/if}
			{#if open?.id === step.id && open.add}
				{@const own = refused && !steps.some((s) => s.id === refused.id) ? refused : undefined}
				<StepForm
					after={step.id}
					{choices}
					trouble={own?.trouble}
					typed={own?.typed}
					onclose={() => (open = null)}
				/>
			{/if}
		</li>
	{/each}
</ol>
