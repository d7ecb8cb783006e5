<script lang="ts">
	import { applyRemedy } from '../../core/checks/remedy.ts';
	import { findingKey, type Finding } from '../../core/checks/finding.ts';
	import Button from '../../ui/button/Button.svelte';
	import Notice from '../../ui/notice/Notice.svelte';
	import type { Bench } from './bench.svelte.ts';

	interface Props {
		bench: Bench;
	}
	let { bench }: Props = $props();
	/** Finding being silenced, and the reason as typed. */
	let hushing = $state<string | null>(null);
	let reason = $state('');
	let trouble = $state('');
	let showSilenced = $state(false);
	const findings = $derived([
		...bench.tally.findings.filter((f) => f.level === 'bad'),
		...bench.tally.findings.filter((f) => f.level === 'watch')
	]);
	const silenced = $derived(bench.tally.silenced);
	const reasonOf = (finding: Finding) =>
		bench.recipe.silenced.find((s) => s.finding === findingKey(finding))?.reason ?? '';

	function remedy(finding: Finding) {
		trouble = '';
		const { act } = finding.remedy!;
		const tools = { newId: () => crypto.randomUUID(), pumps: bench.context.rates.pumps };
		bench.change((d) => void (trouble = applyRemedy(d, act, tools) ?? ''));
	}
	function hush(finding: Finding) {
		if (reason.trim() === '') {
			trouble = 'Say why it may stay so, and I keep quiet about it.';
			return;
		}
		const entry = { finding: findingKey(finding), reason: reason.trim().slice(0, 300) };
		bench.change((d) => void d.silenced.push(entry));
		[hushing, reason, trouble] = [null, '', ''];
	}
	const speak = (finding: Finding) =>
		bench.change((d) => void (d.silenced = d.silenced.filter((s) => s.finding !== findingKey(finding))));
</script>

{#if findings.length > 0 || silenced.length > 0}
	<div class="findings" role="region" aria-label="Findings">
		{#if trouble}<p class="text-[13px] text-bad" role="alert">{trouble}</p>{/if}
		{#each findings as finding, index (index)}
			{@const key = findingKey(finding)}
			<div class="finding">
				<div title={finding.why}><Notice level={finding.level}>{finding.say}</Notice></div>
				<span class="acts">
					{#if finding.remedy}<button type="button" class="act" onclick={() => remedy(finding)}
							>{finding.remedy.label}</button
						>{/if}
					{#if finding.level === 'watch' && hushing !== key}<button
							type="button"
							class="act quiet"
							aria-label="It is fine as it is: {finding.say}"
							onclick={() => ([hushing, reason, trouble] = [key, '', ''])}>fine as it is</button
						>{/if}
				</span>
			</div>
			{#if hushing === key}
				<form
					class="flex items-center gap-2 pb-1"
					onsubmit={(e) => {
						e.preventDefault();
						hush(finding);
					}}
				>
					<input
						class="control min-w-0 flex-1"
						bind:value={reason}
						maxlength="300"
						aria-label="Why it may stay so"
						placeholder="why it may stay so"
						autocomplete="off"
					/>
					<Button type="submit">It is fine as it is</Button>
					<Button kind="word" onclick={() => (hushing = null)}>no</Button>
				</form>
			{/if}
			{#if finding.why}<p class="why">{finding.why}</p>{/if}
		{/each}
		{#if silenced.length > 0}
			<button
				type="button"
				class="act quiet justify-self-start"
				aria-expanded={showSilenced}
				onclick={() => (showSilenced = !showSilenced)}
				>{silenced.length === 1 ? 'one hint let be' : `${silenced.length} hints let be`}</button
			>
			{#if showSilenced}
				{#each silenced as finding, index (index)}
					<p class="why">
						{finding.say} Let be: {reasonOf(finding)}
						<button type="button" class="act" onclick={() => speak(finding)}>say it again</button>
					</p>
				{/each}
			{/if}
		{/if}
	</div>
{/if}

<style>
	.findings {
		display: grid;
		gap: 2px;
		max-height: 118px;
		overflow-y: auto;
		margin: 6px 20px 0;
		scrollbar-width: thin;
	}
	.finding {
		display: flex;
		align-items: start;
		justify-content: space-between;
		gap: 10px;
	}
	.acts {
		display: flex;
		flex: none;
		gap: 8px;
	}
	.act {
		font-size: 13px;
		font-weight: 600;
		text-decoration: underline;
		text-decoration-color: var(--line);
		text-underline-offset: 3px;
	}
	.act:hover {
		text-decoration-color: var(--ink);
	}
	.quiet {
		font-weight: 400;
		color: var(--muted);
	}
	.why {
		padding-left: 24px;
		font-size: 12.6px;
		line-height: 1.35;
		color: var(--muted);
	}
</style>
