<script lang="ts">
	import ArrowDown from '@lucide/svelte/icons/arrow-down';
	import ArrowUp from '@lucide/svelte/icons/arrow-up';
	import GripVertical from '@lucide/svelte/icons/grip-vertical';
	import { dragHandle } from 'svelte-dnd-action';
	import { formatWait } from '../../core/units/duration.ts';
	import type { ShownStep } from '../../core/plan/arrange.ts';
	import { PLACE_WORDS } from './step.ts';

	interface Props {
		step: ShownStep;
		/** As it is counted; nothing where it is left out. */
		number: number | null;
		/** Photos there are: one that came with a file may not be here. */
		photos?: ReadonlySet<string>;
		/** False for the steps of a design inside: they are changed on their own plan. */
		editable: boolean;
		first?: boolean;
		last?: boolean;
		onedit?: () => void;
		onadd?: () => void;
		onmove?: (by: -1 | 1) => void;
		onremove?: () => void;
		onasmade?: () => void;
	}
	let {
		step,
		number,
		photos = new Set(),
		editable,
		first = false,
		last = false,
		onedit,
		onadd,
		onmove,
		onremove,
		onasmade
	}: Props = $props();
	const how = $derived(
		[
			step.place === 'bench' ? '' : PLACE_WORDS[step.place],
			step.method,
			step.tool && `with: ${step.tool}`,
			step.wait > 0 ? `then wait ${formatWait(step.wait)}` : ''
		]
			.filter(Boolean)
			.join(' · ')
	);
	const name = $derived(step.text.slice(0, 60));
	const changed = $derived(!step.own && Object.keys(step.says).length > 0);
</script>

<div class="step" class:out={step.out}>
	<span class="box" aria-hidden="true"></span>
	<span class="figures number">{number ?? '–'}</span>
	<div class="min-w-0">
		<p class="text">{step.text}</p>
		{#if step.lines.length > 0}
			<ul class="lines">
				{#each step.lines as line, index (index)}
					<li>
						<span class="figures count">{line.count}</span> ×
						{#each line.hexes as hex, h (h)}<span class="dot" style:background={hex} aria-hidden="true"
							></span>{/each}
						{line.text}
					</li>
				{/each}
			</ul>
		{/if}
		{#if how}<p class="quiet">{how}</p>{/if}
		{#if step.check}<p class="quiet">Check: {step.check}.</p>{/if}
		{#if step.lost}<p class="text-watch">
				Lost: what it is about is not in the recipe any more. Change it to be about something else, or take it
				out.
			</p>{/if}
		{#if step.out}<p class="quiet">Left out of the plan; its work is still counted.</p>{/if}
		{#if step.photo && photos.has(step.photo)}<img
				src="/photo/{step.photo}"
				alt=""
				class="photo"
				loading="lazy"
			/>{/if}
		{#if editable}
			<p class="acts no-print">
				<button type="button" class="quiet-link" onclick={onedit} aria-label="Change: {name}">change</button>
				<button type="button" class="quiet-link" onclick={onadd} aria-label="Add a step after: {name}"
					>add after</button
				>
				{#if step.out || changed}
					<button type="button" class="quiet-link" onclick={onasmade} aria-label="As it is made: {name}"
						>as it is made</button
					>
				{/if}
				{#if !step.out}
					<button
						type="button"
						class="quiet-link"
						onclick={onremove}
						aria-label="{step.own || step.lost ? 'Take out' : 'Leave out'}: {name}"
						>{step.own || step.lost ? 'take out' : 'leave out'}</button
					>
				{/if}
				<button
					type="button"
					class="tool"
					disabled={first}
					onclick={() => onmove?.(-1)}
					aria-label="Earlier: {name}"><ArrowUp size={14} aria-hidden="true" /></button
				>
				<button
					type="button"
					class="tool"
					disabled={last}
					onclick={() => onmove?.(1)}
					aria-label="Later: {name}"><ArrowDown size={14} aria-hidden="true" /></button
				>
			</p>
		{/if}
	</div>
	<span class="figures minutes">{step.minutes >= 0.5 ? `${Math.round(step.minutes)} min` : ''}</span>
	{#if editable}
		<span class="handle no-print" use:dragHandle aria-label="Drag {name}"
			><GripVertical size={15} aria-hidden="true" /></span
		>
	{/if}
</div>

<style>
	.step {
		display: grid;
		grid-template-columns: 16px 30px minmax(0, 1fr) 64px 20px;
		gap: 8px;
		padding: 9px 10px 7px;
		border-bottom: 1px solid var(--line);
		background: var(--paper);
		break-inside: avoid;
	}
	.out .text {
		text-decoration: line-through;
	}
	.out {
		color: var(--muted);
	}
	.box {
		width: 14px;
		height: 14px;
		margin-top: 4px;
		border: 1px solid var(--muted);
	}
	.out .box {
		visibility: hidden;
	}
	.number {
		text-align: right;
		color: var(--muted);
	}
	.minutes {
		text-align: right;
		font-size: 12.6px;
		line-height: 23px;
		color: var(--muted);
	}
	.lines {
		margin: 2px 0;
		font-size: 14px;
	}
	.count {
		display: inline-block;
		min-width: 3ch;
		text-align: right;
		font-weight: 600;
	}
	.dot {
		display: inline-block;
		width: 10px;
		height: 10px;
		margin-right: 2px;
		border-radius: 50%;
		border: 1px solid rgb(27 35 51 / 0.25);
	}
	.quiet {
		font-size: 13.5px;
		color: var(--muted);
	}
	.photo {
		max-height: 180px;
		margin-top: 6px;
	}
	.acts {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 2px 14px;
		min-height: 26px;
		font-size: 13px;
	}
	.tool {
		padding: 4px;
		color: var(--muted);
	}
	.tool:disabled {
		opacity: 0.35;
	}
	.handle {
		padding-top: 4px;
		color: var(--muted);
		cursor: grab;
	}
</style>
