<script lang="ts">
	import { tick } from 'svelte';
	import { enhance } from '$app/forms';
	import { minutesOf, STAGE_WORDS, type JobDay } from '../../core/job/job.ts';
	import { printHour } from '../../core/job/read-days.ts';
	import { dayWords } from '../../core/quote/day-words.ts';
	import type { DateStyle } from '../../core/workspace/formats.ts';
	import Button from '../../ui/button/Button.svelte';
	import { overNewer } from './over-newer.ts';
	import DayForm from './DayForm.svelte';

	interface Props {
		days: readonly JobDay[];
		people: readonly { readonly id: string; readonly name: string }[];
		dates: DateStyle;
		revision: number;
		mayChange: boolean;
		fresh: string;
		/** What was sent last and not taken, with why. */
		typed?: Readonly<Record<string, string>> | undefined;
		errors?: Readonly<Record<string, string>> | undefined;
	}
	let { days, people, dates, revision, mayChange, fresh, typed, errors }: Props = $props();
	/** The day that is said anew; `new` is one more. */
	let open = $state('');
	const names = $derived(new Map(people.map((p) => [p.id, p.name])));
	const hours = (day: JobDay) =>
		day.from === null ? '' : `${printHour(day.from)}${day.to === null ? '' : `–${printHour(day.to)}`}`;
	const long = (day: JobDay) => {
		const minutes = minutesOf(day);
		return minutes === null ? '' : `${Math.round(minutes / 6) / 10} h`;
	};
	const uid = $props.id();
	/** The form closes, and the focus goes back to what opened it. */
	async function close(of: string) {
		open = '';
		await tick();
		document.getElementById(`${uid}-${of}`)?.querySelector('button')?.focus();
	}
	const own = (of: string) => (typed?.of === of ? { typed, errors: errors ?? {} } : {});
</script>

<ul class="border-t-2 border-ink bg-paper">
	{#each days as day (day.id)}
		<li class="border-b border-line">
			<div
				class="grid grid-cols-[90px_160px_150px_1fr_auto] items-baseline gap-x-4 px-4 py-2 max-sm:grid-cols-[1fr_auto] max-sm:gap-y-0 max-sm:px-3"
			>
				<b>{STAGE_WORDS[day.stage]}</b>
				<a
					class="figures text-[13.5px] quiet-link w-fit max-sm:order-first max-sm:col-span-2"
					href="/jobs/day/{day.day}">{dayWords(day.day, { dates })}</a
				>
				<span class="figures text-[13.5px]"
					>{hours(day) || (day.stage === 'event' ? '' : 'hours open')}
					<span class="text-muted">{long(day)}</span></span
				>
				<span class="min-w-0 max-sm:col-span-2"
					>{day.people.map((p) => names.get(p) ?? 'somebody who is gone').join(', ')}
					{#if day.note}<span class="text-muted">{day.people.length > 0 ? '· ' : ''}{day.note}</span
						>{/if}</span
				>
				{#if mayChange}<span id="{uid}-{day.id}" class="flex gap-x-3 text-[13.5px]">
						<button
							type="button"
							class="quiet-link min-h-[30px]"
							aria-expanded={open === day.id}
							aria-label="Change {STAGE_WORDS[day.stage]} on {day.day}"
							onclick={() => (open = open === day.id ? '' : day.id)}>change</button
						>
						<form method="post" action="?/takeOut" use:enhance={overNewer()}>
							<input type="hidden" name="revision" value={revision} />
							<input type="hidden" name="of" value={day.id} />
							<button
								class="quiet-link min-h-[30px]"
								aria-label="Take out {STAGE_WORDS[day.stage]} on {day.day}">take out</button
							>
						</form>
					</span>{/if}
			</div>
			{#if open === day.id}
				<DayForm {day} {people} {revision} {fresh} {...own(day.id)} ondone={() => void close(day.id)} />
			{/if}
		</li>
	{:else}<li class="border-b border-line px-4 py-3 text-muted">No day is said yet.</li>{/each}
</ul>
{#if mayChange}
	{#if open === 'new'}<DayForm {people} {revision} {fresh} {...own('')} ondone={() => void close('new')} />
	{:else}<p id="{uid}-new" class="pt-2"><Button onclick={() => (open = 'new')}>Add a day</Button></p>{/if}
{/if}
