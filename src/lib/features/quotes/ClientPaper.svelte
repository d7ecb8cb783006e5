<script lang="ts">
	import { formatMoney } from '../../core/money/money.ts';
	import type { Snippet } from 'svelte';
	import { asShown, type ChosenQuote } from '../../core/quote/chosen.ts';
	import type { FrozenQuote } from '../../core/quote/frozen.ts';
	import { rateText } from '../../core/pricing/price-tape.ts';
	import Tape from '../../ui/tape/Tape.svelte';
	import TapeLine from '../../ui/tape/TapeLine.svelte';
	import PlacePicture from './PlacePicture.svelte';
	import MiniPicture from '../picture/MiniPicture.svelte';
	import { dayWords, longDayWords } from '../../core/quote/day-words.ts';

	/** What of a quote stands on its tape. */
	interface Props {
		/** Frozen when sent: nothing here is looked up or worked out again. */
		frozen: FrozenQuote;
		/** Where photos lie for whoever reads it. */
		photos: string;
		/** As it was chosen; a quote without a choice is as it was sent. */
		chosen?: ChosenQuote;
		/** Where photos of the client's place lie. */
		places?: string;
		/** What is done with it, between the sums and the small print. */
		children?: Snippet;
	}
	let { frozen, photos, chosen, places = photos, children }: Props = $props();
	/** What is on the tape: as it was chosen, else as it was sent. */
	const told = $derived(chosen ?? asShown(frozen));
	const isOn = $derived(new Set(told.lines.map((l) => l.at)));
	/** What can be looked at; a fee has nothing to show. */
	const seen = $derived(
		frozen.lines.flatMap((line, at) => (line.picture || line.photo ? [{ line, at }] : []))
	);
	const hasHeadings = $derived(frozen.lines.some((l) => l.heading));
	const HEIGHT = 300;
	/** So many alike are drawn beside each other; of more the caption says how many. */
	const MOST_ALIKE = 4;
	const scale = $derived((HEIGHT - 6) / Math.max(1500, ...frozen.lines.map((l) => l.picture?.height ?? 0)));
	const taxWords = (percent: string) =>
		frozen.exempt
			? `no tax: ${frozen.exempt}`
			: `tax ${rateText(percent, frozen.formats)}${frozen.taxInclusive ? ', included' : ''}`;
</script>

<article class="paper">
	{#if frozen.place}<PlacePicture {frozen} place={frozen.place} {places} {isOn} />{/if}
	<div class="pictures" aria-label="What it looks like">
		{#each seen as { line, at } (at)}
			<figure class:off={!isOn.has(at)}>
				{#if line.photo}<img
						src="{photos}/{line.photo}"
						alt="{line.name}, as it was built before"
						class="photo"
						style:max-height="{HEIGHT}px"
					/>{/if}
				<div class="alike">
					{#each { length: Math.min(line.quantity, MOST_ALIKE) }, n (n)}
						<MiniPicture list={line.picture} {scale} height={HEIGHT} />
					{/each}
				</div>
				<figcaption>
					<b>{line.quantity > 1 ? `${line.quantity} × ` : ''}{line.name}</b>{isOn.has(at)
						? ''
						: ', if you choose it'}<br /><span>{line.colourway}<br />{line.about}</span>
				</figcaption>
			</figure>
		{/each}
	</div>
	<div class="words">
		<h1>{frozen.occasion || 'Your balloons'}</h1>
		<p>for {frozen.client.name}</p>
		<dl>
			{#if frozen.eventDate}<dt>When</dt>
				<dd>{longDayWords(frozen.eventDate, frozen.formats)}</dd>{/if}
			{#if frozen.venue}<dt>Where</dt>
				<dd>{frozen.venue}, {frozen.setting === 'outdoor' ? 'outdoors' : 'indoors'}</dd>{/if}
			<dt>Quote</dt>
			<dd>
				no. {frozen.number}{(frozen.revision ?? 1) > 1 ? `, revision ${frozen.revision}` : ''}, stands until {dayWords(
					frozen.validUntil,
					frozen.formats
				)}
			</dd>
		</dl>
		{#if frozen.note}<p class="whitespace-pre-line">{frozen.note}</p>{/if}
	</div>
	<div class="tape">
		<Tape label="What it costs">
			{#each told.lines as { line, at, amount }, index (at)}
				{#if hasHeadings && (line.heading ?? '') !== (told.lines[index - 1]?.line.heading ?? '')}
					<p class="heading">{line.heading ?? 'besides'}</p>
				{/if}
				<TapeLine
					label={line.name}
					count={`×${line.quantity}`}
					amount={formatMoney(amount, frozen.formats)}
				/>
				{#if line.note}<p class="note">{line.note}</p>{/if}
			{/each}
			{#if told.delivery.minor > 0}<TapeLine
					label="delivery, set up"
					amount={formatMoney(told.delivery, frozen.formats)}
				/>{/if}
			{#if told.discount.minor > 0}
				<TapeLine label="" amount={formatMoney(told.subtotal, frozen.formats)} rule="sub" />
				<TapeLine
					label="discount"
					amount={formatMoney({ ...told.discount, minor: -told.discount.minor }, frozen.formats)}
				/>
			{/if}
			{#each told.taxes as { percent, tax } (percent)}<TapeLine
					label={taxWords(percent)}
					amount={formatMoney(tax, frozen.formats)}
					rule={frozen.taxInclusive ? 'aside' : 'none'}
				/>{/each}
			<TapeLine label="Total" amount={formatMoney(told.total, frozen.formats)} rule="big" name="total" />
			{#if told.deposit.minor > 0}<TapeLine
					label="deposit to hold the date"
					amount={formatMoney(told.deposit, frozen.formats)}
				/>{/if}
		</Tape>
	</div>
	{#if children}<div class="answer">{@render children()}</div>{/if}
	<section class="small">
		<h2>Please know</h2>
		{#each frozen.cautions as caution, index (index)}<p>{caution}</p>{/each}
		<h2>Terms</h2>
		<p>{frozen.business.terms}</p>
		<p>{frozen.rounding}</p>
		<p>
			<b>{frozen.business.name}</b> · {frozen.business.address} · {frozen.business.phone} · {frozen.business
				.email}
		</p>
	</section>
</article>

<style>
	.off .alike,
	.off .photo {
		opacity: 0.45;
	}
	.heading {
		margin-top: 6px;
		font-weight: 600;
	}
	.note {
		font-size: 12.6px;
		color: var(--muted);
	}
	.photo {
		max-width: 100%;
		margin-bottom: 8px;
	}
	.paper {
		display: grid;
		grid-template-columns: minmax(0, 1fr) 320px;
		gap: 22px 40px;
	}
	.pictures {
		grid-column: 1 / -1;
		display: flex;
		flex-wrap: wrap;
		justify-content: center;
		gap: 0 26px;
	}
	figure {
		display: grid;
		min-width: 0;
		max-width: 100%;
		justify-items: center;
	}
	.alike {
		display: flex;
		min-width: 0;
		max-width: 100%;
		align-items: flex-end;
		justify-content: center;
		gap: 6px;
	}
	.alike > :global(*) {
		min-width: 0;
		flex: 0 1 auto;
	}
	figcaption {
		width: 100%;
		border-top: 2px solid var(--ink);
		padding: 6px 10px;
		text-align: center;
		font-size: 13.5px;
	}
	figcaption span {
		color: var(--muted);
		font-size: 13px;
	}
	h1 {
		font-size: 28px;
		line-height: 1.15;
	}
	dl {
		display: grid;
		grid-template-columns: auto 1fr;
		gap: 3px 14px;
		margin: 12px 0;
	}
	dt {
		color: var(--muted);
	}
	.answer {
		grid-column: 1 / -1;
	}
	.small {
		grid-column: 1 / -1;
		max-width: 72ch;
		font-size: 13px;
		color: var(--muted);
	}
	.small h2 {
		margin-top: 10px;
		font-size: 14px;
		color: var(--ink);
	}
	.small p {
		margin-top: 4px;
	}
	@media (max-width: 720px) {
		.paper {
			grid-template-columns: minmax(0, 1fr);
		}
		.tape {
			grid-column: 1;
		}
	}
	@media print {
		figure,
		.tape {
			break-inside: avoid;
		}
	}
</style>
