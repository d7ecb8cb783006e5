<script lang="ts">
	import { formatAmount } from '../../core/money/money.ts';
	import { formatHours } from '../../core/labour/standards.ts';
	import { JOB_PHASES } from '../../core/labour/job.ts';
	import type { RawJob } from '../../core/quote/read-job.ts';
	import Button from '../../ui/button/Button.svelte';
	import Field from '../../ui/field/Field.svelte';
	import Pick from '../../ui/pick/Pick.svelte';
	import type { QuoteDraft } from './quote-draft.svelte.ts';

	interface Props {
		draft: QuoteDraft;
	}
	let { draft }: Props = $props();
	const job = $derived(draft.priced.job);
	const rates = $derived(draft.context.rates);
	const raw = $derived(draft.raw.job);
	const change = (more: Partial<RawJob>) => {
		draft.raw.job = { ...draft.raw.job, ...more };
		draft.touch();
	};
	const isOn = (id: string) => (raw.crew ?? rates.crew).includes(id);
	const people = (id: string, on: boolean) =>
		change({ crew: rates.people.map((p) => p.id).filter((p) => (p === id ? on : isOn(p))) });
	const setLine = (at: number, more: Partial<RawJob['lines'][number]>) =>
		change({ lines: raw.lines.map((l, i) => (i === at ? { ...l, ...more } : l)) });
	const minutesText = (minutes: number) => String(Math.round(minutes));
</script>

{#snippet number(label: string, field: 'miles' | 'trips' | 'goers', stands: number)}
	<Field {label} error={draft.errors[field]}>
		{#snippet children(attributes)}
			<input
				{...attributes}
				class="control figures w-full min-w-0 text-right"
				inputmode="decimal"
				placeholder={String(stands)}
				value={raw[field]}
				oninput={(e) => change({ [field]: e.currentTarget.value })}
				autocomplete="off"
			/>
		{/snippet}
	</Field>
{/snippet}

<section class="grid gap-3" aria-label="The job around it">
	<div>
		<h2 class="text-base">The job around it</h2>
		<p class="text-[13px] text-muted" data-name="job-sum">
			{formatHours(job.seconds)} hours and {formatAmount(job.total)} besides the pieces; a blank is as the kind
			of job says.
		</p>
	</div>
	<div class="grid grid-cols-4 gap-x-5 gap-y-3 max-sm:grid-cols-2">
		<Pick
			label="Kind of job"
			value={raw.template || job.job.template.id}
			options={rates.jobs.templates.map((t) => [t.id, t.name] as const)}
			onpick={(template) => change({ template })}
		/>
		{@render number('Miles, one way', 'miles', job.job.miles)}
		{@render number('Times there and back', 'trips', job.job.trips)}
		{@render number('People going along', 'goers', job.job.goers)}
	</div>
	{#if rates.people.length > 0}
		<!-- Who goes is for whoever knows what each is paid. -->
		<fieldset class="flex flex-wrap gap-x-5 gap-y-1" data-asks="settings">
			<legend class="text-[13px] text-muted">Who does it</legend>
			{#each rates.people as person (person.id)}
				<label class="flex min-h-8 items-center gap-2"
					><input
						type="checkbox"
						checked={isOn(person.id)}
						onchange={(e) => people(person.id, e.currentTarget.checked)}
					/>{person.name}</label
				>
			{/each}
			{#if draft.errors.crew}<p class="w-full text-[13px] text-bad" role="alert">{draft.errors.crew}</p>{/if}
		</fieldset>
	{/if}
	<details>
		<summary class="cursor-pointer py-1 font-semibold">Every minute of it</summary>
		<div class="mt-1 grid grid-cols-2 gap-x-8 max-sm:grid-cols-1">
			{#each JOB_PHASES as phase (phase)}
				{@const part = job.parts.find((p) => p.phase === phase)}
				<div class="mb-3">
					<h3 class="flex justify-between border-b border-line text-[13px] font-semibold">
						{phase}<span class="figures">{formatHours(part?.seconds ?? 0)}</span>
					</h3>
					{#each part?.work ?? [] as work (work.task)}
						<div class="grid grid-cols-[minmax(0,1fr)_84px] items-center gap-2 border-b border-line py-0.5">
							{#if work.task === 'drive'}
								<span>drive</span><span class="figures text-right" data-name="drive"
									>{minutesText(work.minutes)} min</span
								>
							{:else}
								{@const id = `minutes-${work.task}`}
								<label for={id}>{work.task}</label>
								<input
									{id}
									class="control figures min-h-8! w-full py-0! text-right"
									inputmode="decimal"
									aria-label="{work.task}, minutes"
									aria-invalid={draft.errors[`minutes ${work.task}`] !== undefined}
									placeholder={minutesText(work.minutes)}
									value={raw.minutes[work.task] ?? ''}
									oninput={(e) => change({ minutes: { ...raw.minutes, [work.task]: e.currentTarget.value } })}
								/>
								{#if draft.errors[`minutes ${work.task}`]}
									<p class="col-span-2 text-[13px] text-bad" role="alert">
										{draft.errors[`minutes ${work.task}`]}
									</p>
								{/if}
							{/if}
						</div>
					{/each}
				</div>
			{/each}
		</div>
		<h3 class="text-[13px] font-semibold">Paid besides: parking, hire, the tip</h3>
		{#each job.job.template.lines as line, i (i)}
			<p class="flex justify-between border-b border-line py-1">
				{line.label} <span class="figures">{(line.minor / 100).toFixed(2)}</span>
			</p>
		{/each}
		{#each raw.lines as line, i (i)}
			<div class="grid grid-cols-[minmax(0,1fr)_110px_auto] items-center gap-2 py-1">
				<input
					class="control w-full"
					aria-label="What is paid for, line {i + 1}"
					value={line.label}
					oninput={(e) => setLine(i, { label: e.currentTarget.value })}
				/>
				<input
					class="control figures w-full text-right"
					inputmode="decimal"
					aria-label="Amount, line {i + 1}"
					value={line.amount}
					oninput={(e) => setLine(i, { amount: e.currentTarget.value })}
				/>
				<Button kind="word" onclick={() => change({ lines: raw.lines.filter((_, at) => at !== i) })}
					>take out</Button
				>
				{#if draft.errors[`job line ${i}`]}<p class="col-span-3 text-[13px] text-bad" role="alert">
						{draft.errors[`job line ${i}`]}
					</p>{/if}
			</div>
		{/each}
		<Button
			kind="word"
			disabled={raw.lines.length >= 20}
			onclick={() => change({ lines: [...raw.lines, { label: '', amount: '' }] })}>Add a line</Button
		>
	</details>
</section>
