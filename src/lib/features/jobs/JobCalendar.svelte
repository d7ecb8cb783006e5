<script lang="ts" module>
	import type { CalendarEntry } from '../../core/job/calendar.ts';

	/** What is in it between two days, both included. */
	export type Entries = (from: string, to: string) => Promise<readonly CalendarEntry[]>;
</script>

<script lang="ts">
	import '@event-calendar/core/index.css';
	import { onMount } from 'svelte';
	import type { Calendar as Kit } from '@event-calendar/core';

	interface Props {
		/** `2027-05-01` */
		today: string;
		/** Of a week: 0 is Sunday. */
		firstDay: 0 | 1;
		entries: Entries;
		/** Something in it is pressed, or a day. */
		onopen: (href: string) => void;
	}
	let { today, firstDay, entries, onopen }: Props = $props();
	/** Loaded beside the page: what is listed under it is there before. */
	let kit = $state.raw<typeof import('@event-calendar/core')>();
	let narrow = $state(false);
	let trouble = $state('');
	onMount(() => {
		narrow = matchMedia('(max-width: 640px)').matches;
		void import('@event-calendar/core').then((loaded) => (kit = loaded));
	});
	/**
	 * The package calls its months tables and gives them no rows, so that a reader of screens loses its way: they are a
	 * group of days here, each with what is on it.
	 */
	function plainRoles(node: HTMLElement) {
		const put = () => {
			for (const table of node.querySelectorAll('[role="table"]')) {
				table.setAttribute('role', 'group');
				table.setAttribute('aria-label', 'Days');
			}
			for (const part of node.querySelectorAll(
				'[role="row"], [role="rowgroup"], [role="columnheader"], [role="cell"]'
			))
				for (const name of ['role', 'aria-colindex', 'aria-rowindex', 'aria-colspan', 'aria-rowspan'])
					part.removeAttribute(name);
		};
		put();
		const watch = new MutationObserver(put);
		watch.observe(node, { childList: true, subtree: true, attributes: true, attributeFilter: ['role'] });
		return () => watch.disconnect();
	}
	/** A day as it is there, whatever zone the browser is in: the calendar hands over days at this machine's midnight. */
	const dayText = (date: Date) =>
		`${date.getFullYear()}-${String(date.getMonth() + 1).padStart(2, '0')}-${String(date.getDate()).padStart(2, '0')}`;

	const rank = ({ extendedProps }: Kit.Event) => Number((extendedProps as { kind: string }).kind !== 'event');

	async function events({ start, end }: { start: Date; end: Date }): Promise<Kit.EventInput[]> {
		try {
			const found = await entries(dayText(start), dayText(new Date(end.getTime() - 1)));
			trouble = '';
			return found.map(({ id, kind, title, start: from, end: to, allDay, href }) => ({
				id,
				title,
				start: from,
				end: to,
				allDay,
				classNames: [`entry-${kind.replace(' ', '-')}`],
				extendedProps: { href, kind }
			}));
		} catch {
			trouble = 'The calendar could not be read. Look whether you are connected, and turn the page again.';
			return [];
		}
	}
	const options = $derived<Kit.Options>({
		view: narrow ? 'listWeek' : 'dayGridMonth',
		date: today,
		firstDay,
		height: narrow ? 'auto' : '640px',
		// Whose event it is stands first in its day, then what leads to it by the hour.
		eventOrder: (a, b) => rank(a) - rank(b) || a.start.getTime() - b.start.getTime(),
		dayMaxEvents: true,
		nowIndicator: true,
		headerToolbar: { start: 'prev,next today', center: 'title', end: narrow ? 'listWeek,dayGridMonth' : 'dayGridMonth,timeGridWeek,timeGridDay,listWeek' },
		buttonText: { today: 'Today', dayGridMonth: 'Month', timeGridWeek: 'Week', timeGridDay: 'Day', listWeek: 'List', close: 'Close', next: 'Later', prev: 'Earlier' },
		noEventsContent: 'Nothing in these days.',
		moreLinkContent: ({ num }) => `and ${num} more`,
		eventSources: [{ events }],
		eventClick: ({ event, jsEvent }) => {
			const { href } = event.extendedProps as { href: string | null };
			if (href === null) return;
			jsEvent.preventDefault();
			onopen(href);
		},
		dateClick: ({ date }) => onopen(`/jobs/day/${dayText(date)}`)
	}); // prettier-ignore
</script>

{#if trouble}<p class="pb-2 text-[13.5px] text-bad" role="alert">{trouble}</p>{/if}
<div class="calendar" class:waits={!kit} data-ready={kit ? '' : undefined} {@attach plainRoles}>
	{#if kit}
		{@const { Calendar, DayGrid, TimeGrid, List, Interaction } = kit}
		<Calendar plugins={[DayGrid, TimeGrid, List, Interaction]} {options} />
	{:else}<p class="p-6 text-muted">The calendar is opened …</p>{/if}
</div>

<style>
	.calendar {
		background: var(--paper);
		border-top: 2px solid var(--ink);
		padding: 10px 12px 12px;
		font-size: 13.5px;
	}
	.waits {
		min-height: 640px;
	}
	/* The look of the house over that of the package: true greys, ink, one outline a kind. */
	.calendar :global(.ec) {
		--ec-bg-color: var(--paper);
		--ec-text-color: var(--ink);
		--ec-border-color: var(--line);
		--ec-event-bg-color: var(--tint);
		--ec-event-text-color: var(--ink);
		--ec-today-bg-color: var(--tint);
		--ec-now-indicator-color: var(--ink);
		--ec-button-bg-color: var(--paper);
		--ec-button-text-color: var(--ink);
		--ec-button-border-color: var(--line);
		--ec-button-active-bg-color: var(--ink);
		--ec-button-active-border-color: var(--ink);
		--ec-button-active-text-color: var(--paper);
		--ec-popup-bg-color: var(--paper);
		--ec-highlight-color: var(--tint);
	}
	.calendar :global(.ec-title) {
		font-family: var(--font-head);
		font-size: 19px;
	}
	.calendar :global(.ec-event) {
		border: 1px solid var(--line);
		border-left: 3px solid var(--muted);
		border-radius: 3px;
		background: var(--paper);
		color: var(--ink);
		cursor: pointer;
	}
	.calendar :global(.entry-event) {
		border-color: var(--ink);
		background: var(--ink);
		color: var(--paper);
	}
	.calendar :global(.entry-build) {
		background: var(--tint);
		border-left-color: var(--ink);
	}
	.calendar :global(.entry-comes),
	.calendar :global(.entry-other) {
		border-style: dashed;
		cursor: default;
	}
</style>
