<script lang="ts">
	import { enhance } from '$app/forms';
	import { askBeforeLeaving, unsaved } from '$lib/features/shell/unsaved.ts';
	import YearlyCosts from '$lib/features/timing/YearlyCosts.svelte';
	import Button from '$lib/ui/button/Button.svelte';
	import Field from '$lib/ui/field/Field.svelte';
	import Notice from '$lib/ui/notice/Notice.svelte';

	let { data, form } = $props();
	askBeforeLeaving();
	/** Puts what an hour comes to into its field, as if it had been typed. */
	function takeOverhead(text: string) {
		const put = (name: string, value: string) => {
			const field = document.querySelector<HTMLInputElement | HTMLSelectElement>(`[name="${name}"]`);
			if (!field) return;
			field.value = value;
			field.dispatchEvent(new Event('input', { bubbles: true }));
		};
		put('overhead', text);
		put('overheadKind', 'hour');
	}
	const values = $derived({ ...data.values, ...((form?.typed ?? {}) as Record<string, string>) } as Record<
		string,
		string
	>);
	/** What the fields started from: a change of somebody else is seen by it. */
	const started = $derived(JSON.stringify(form && 'started' in form ? form.started : data.values));
	const errors = $derived((form?.errors ?? {}) as Record<string, string>);
	const wrong = $derived(Object.entries(errors).filter(([, say]) => say));
	/** Rules by what they come along with. */
	const GROUPS: readonly (readonly [name: string, of: RegExp])[] = [
		['With rows', /^(floor|cluster|layer)/],
		['With pieces fixed on', /^(strip|dash|dab|tape|tied|trial|attachment)/],
		['With frames', /^(elbow|tee|cross fitting|corner|four-way|coupling|flange|tube cap)/],
		['With gas, filling and paint', /./]
	];
	const groups = $derived.by(() => {
		const groupOf = (of: string) => GROUPS.findIndex(([, words]) => words.test(of));
		const all = data.rules.map((rule, index) => ({ rule, index }));
		return GROUPS.map(([name], at) => ({ name, rules: all.filter(({ rule }) => groupOf(rule.of) === at) }));
	});
</script>

{#snippet text(label: string, name: string, unit = '')}
	<Field {label} error={errors[name]}>
		{#snippet children(attributes)}
			<span class="flex items-center gap-1.5"
				><input
					{...attributes}
					{name}
					class="control min-w-0 {unit ? 'figures w-28 text-right' : 'w-full'}"
					value={values[name]}
					autocomplete="off"
				/>{#if unit}<span class="text-muted">{unit}</span>{/if}</span
			>
		{/snippet}
	</Field>
{/snippet}
{#snippet choice(label: string, name: string, options: readonly (readonly [string, string, ...string[]])[])}
	<Field {label} error={errors[name]}>
		{#snippet children(attributes)}
			<select {...attributes} {name} class="control w-full min-w-0"
				>{#each options as [value, words] (value)}<option {value} selected={values[name] === value}
						>{words}</option
					>{/each}</select
			>
		{/snippet}
	</Field>
{/snippet}

<svelte:head><title>Settings · Bright Tally</title></svelte:head>
<main class="mx-auto max-w-4xl px-6 pb-12 max-sm:px-3">
	<h1 class="py-3 text-[25px]">Settings</h1>
	{#if form?.saved}<div class="mb-3">
			<Notice level="good" live
				>Saved. Designs are priced with this from now on, quotes begun from now on start with it; quotes that
				are written or sent keep the tax, margin and deposit they say.</Notice
			>
		</div>{/if}
	<form
		method="post"
		class="grid gap-6"
		{@attach unsaved}
		use:enhance={() =>
			({ update }) =>
				update({ reset: false })}
	>
		<input type="hidden" name="started" value={started} />
		<fieldset class="grid grid-cols-3 gap-x-5 gap-y-3 max-sm:grid-cols-2">
			<legend class="mb-2 font-head text-base font-bold">How prices are made</legend>
			{@render choice('Priced by', 'method', data.methods)}
			{#each data.methods as [method, , label, unit] (method)}{@render text(label, method, unit)}{/each}
			{@render text('By factor an hour is charged at', 'chargePerHour', ' ')}
			{@render text('Prices go to a multiple of', 'pricePoint', ' ')}
			{@render choice('which one', 'pricePointMode', [
				['up', 'the next one up'],
				['nearest', 'the nearest']
			])}
			{@render text('Minimum order', 'minimum', ' ')}
			{@render text('Deposit', 'deposit', '%')}
			{@render text('Tax rate', 'tax', '%')}
			{@render choice('Prices', 'taxKind', [
				['exclusive', 'are before tax'],
				['inclusive', 'include tax']
			])}
			{@render text('Payment fee', 'fee', '%')}
			{@render text('and a payment', 'feeFixed', ' ')}
			{@render choice('A price by markup', 'feeOnTop', [
				['yes', 'has the payment fees on top'],
				['no', 'pays the payment fees itself']
			])}
		</fieldset>
		<fieldset class="grid grid-cols-3 gap-x-5 gap-y-3 max-sm:grid-cols-2">
			<legend class="mb-2 font-head text-base font-bold">What work and waste cost</legend>
			<div>
				{@render text('Labour', 'labour', 'an hour')}
				{#if data.crew > 0}<p class="text-[12.6px] text-muted">
						for jobs nobody is named on: your usual people have their own
					</p>{/if}
			</div>
			{@render text('Overhead', 'overhead', ' ')}
			{@render choice('Overhead is', 'overheadKind', [
				['hour', 'money an hour'],
				['percent', 'per cent of materials and labour']
			])}
			{@render text('Off list prices for you', 'purchaseDiscount', '%')}
			{@render text('Tax on materials, not reclaimed', 'purchaseTax', '%')}
			{@render text('Loss of balloons', 'loss', '%')}
			{@render text('Chance that spares are enough', 'service', '%')}
			{@render choice('Of several prices counts', 'packPrice', [
				['cheapest', 'the lowest a piece'],
				['usual', 'that of the pack I usually buy'],
				['last', 'the one I paid last'],
				['average', 'what is on the shelf cost on average']
			])}
			{@render choice('Balloons cost a job', 'counting', [
				['piece', 'the pieces it takes'],
				['bag', 'every bag it opens']
			])}
		</fieldset>
		<div class="grid gap-1">
			<YearlyCosts style={{ decimal: data.decimal }} ontake={takeOverhead} />
			<p class="text-[13.5px]">
				<a class="quiet-link" href="/settings/work">Work and people</a>: what each thing takes, timed builds,
				kinds of job, wages, the rate card.
			</p>
			<p class="text-[13.5px]">
				<a class="quiet-link" href="/settings/people">People who sign in</a>: helpers, the office, the books,
				and what each of them sees.
			</p>
			<p class="text-[13.5px]">
				<a class="quiet-link" href="/settings/changes">What was changed</a>: by whom, when, from what to what.
			</p>
			<p class="text-[13.5px]">
				<a class="quiet-link" href="/settings/backups">Backups</a>: made by themselves, and by a button; and
				the way back.
			</p>
			<p class="text-[13.5px]">
				<a class="quiet-link" href="/settings/studio-file">Your studio as a file</a>: take everything out, or
				bring it into an empty studio.
			</p>
			<p class="text-[13.5px]">
				<a class="quiet-link" href="/settings/health">How the server is</a>: room on the disk, the last
				backup, what went wrong, what is new.
			</p>
		</div>
		<fieldset class="grid grid-cols-2 gap-x-5 gap-y-3 max-sm:grid-cols-1">
			<legend class="mb-2 font-head text-base font-bold">Business</legend>
			{@render text('Name', 'name')}{@render text('Address', 'address')}{@render text(
				'Email',
				'email'
			)}{@render text('Phone', 'phone')}
			{@render text('Mark on papers, up to three letters', 'mark')}{@render text(
				'Its colour, like #2c6e91',
				'colour'
			)}
			<div class="col-span-full">
				<Field label="Terms under every quote"
					>{#snippet children(attributes)}<textarea {...attributes} name="terms" class="control" rows="3"
							>{values.terms}</textarea
						>{/snippet}</Field
				>
			</div>
		</fieldset>
		<fieldset class="grid grid-cols-4 gap-x-5 gap-y-3 max-sm:grid-cols-2">
			<legend class="mb-2 font-head text-base font-bold">How it is written</legend>
			{@render choice(
				'Money is',
				'currency',
				data.currencies.map((c) => [c, c] as const)
			)}
			{@render choice('Figures', 'decimal', [
				['.', '1,204.50'],
				[',', '1.204,50']
			])}
			{@render choice('Days', 'dates', [
				['month first', 'Jun 12, 2027'],
				['day first', '12 Jun 2027'],
				['year first', '2027-06-12']
			])}
			{@render choice('You measure in', 'lengths', [
				['in', 'inches and feet'],
				['cm', 'centimetres']
			])}
		</fieldset>
		<fieldset class="grid gap-y-2">
			<legend class="mb-1 font-head text-base font-bold">Pumps</legend>
			<p class="text-[13px] text-muted">
				What you measured: strokes and the size they reached, like “4 = 4½, 8 = 5⅝”. Strokes then have a size
				on the Bench and on the sizing sheet. A name taken away takes the pump away; designs that count its
				strokes keep the count and lose the size.
			</p>
			{#each data.pumps as pump, index (pump)}
				<div class="grid grid-cols-[minmax(0,1fr)_minmax(0,1.6fr)] items-start gap-x-5 max-sm:grid-cols-1">
					{@render text(
						index === data.pumps.length - 1 ? 'Another pump' : 'Name of the pump',
						`pump-${index}`
					)}
					<div>
						{@render text('Strokes = size', `pairs-${index}`)}
						{#if data.fits[index]}<p class="text-[13px] text-muted">{data.fits[index]}</p>{/if}
					</div>
				</div>
			{/each}
		</fieldset>
		<fieldset class="grid gap-y-2">
			<legend class="mb-1 font-head text-base font-bold">What follows from a count</legend>
			<p class="text-[13px] text-muted">
				Lines that nobody says: the bill works them out. ¼ for each cluster is one piece for four. A blank is
				no rule.
			</p>
			{#each groups as { name, rules } (name)}
				<h2 class="mt-2 text-[14px]">{name}</h2>
				{#each rules as { rule, index } (index)}
					<div
						class="grid grid-cols-[minmax(0,1fr)_130px_minmax(0,1.2fr)] items-start gap-x-5 max-sm:grid-cols-1"
					>
						<p class="pt-7 max-sm:pt-1">for each {rule.of}</p>
						<input type="hidden" name="of-{index}" value={rule.of} />
						{@render text('Pieces', `each-${index}`, ' ')}
						{@render choice('Of', `material-${index}`, [
							['', 'not chosen yet'],
							...(rule.gone === null ? [] : [[rule.gone, 'no longer in the Stockroom'] as const]),
							...rule.choices.map((m) => [m.id, m.name] as const)
						])}
					</div>
				{/each}
			{/each}
		</fieldset>
		<div class="grid gap-3">
			{#if wrong.length > 0}
				<Notice level="bad" live>
					Not saved yet: {wrong.length === 1
						? 'one field needs another answer'
						: `${wrong.length} fields need another answer`}.
					{#each wrong as [name, say] (name)}
						<button
							type="button"
							class="block text-left underline underline-offset-4"
							onclick={() => document.querySelector<HTMLElement>(`[name="${name}"]`)?.focus()}>{say}</button
						>
					{/each}
				</Notice>
			{:else if form?.saved}
				<Notice level="good">It counts from now on.</Notice>
			{/if}
			<p><Button kind="strong" type="submit">Save</Button></p>
		</div>
	</form>
</main>
