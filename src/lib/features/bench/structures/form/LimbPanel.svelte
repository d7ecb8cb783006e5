<script lang="ts">
	import { MOST_ALIKE } from '../../../../core/document/limits.ts';
	import type { Mutable } from '../../../../core/document/mutable.ts';
	import { slotName } from '../../../../core/document/names.ts';
	import { dropUnusedSlots, type RecipeDraft } from '../../../../core/recipe/draft.ts';
	import type { Id } from '../../../../core/document/id.ts';
	import { SHAPE_WORDS } from '../../../../core/structures/form/by-hand.ts';
	import { lengthOf, lengthsText, slotsOf, turnsOf } from '../../../../core/structures/form/count.ts';
	import {
		changeLimb,
		lengthenLimb,
		seatLimb,
		shapeLimb,
		tieLimb
	} from '../../../../core/structures/form/edit.ts';
	import {
		carriesBelt,
		GOES_ROUND,
		SHAPINGS,
		type FormPiece,
		type Shaping
	} from '../../../../core/structures/form/document.ts';
	import { hostsOf } from '../../../../core/structures/registry/refs.ts';
	import { formatQuarters } from '../../../../core/units/length.ts';
	import { parseBounded, parseCount } from '../../../../core/units/number.ts';
	import Button from '../../../../ui/button/Button.svelte';
	import Pick from '../../../../ui/pick/Pick.svelte';
	import Popover from '../../../../ui/popover/Popover.svelte';
	import TypedField from '../../../../ui/typed/TypedField.svelte';
	import ColourChip from '../../../colours/ColourChip.svelte';
	import ColourName from '../../../colours/ColourName.svelte';
	import { farHosts, hostChoices } from '../../kit/host-choices.ts';
	import SlotPick from '../../kit/SlotPick.svelte';
	import NameField from '../../kit/NameField.svelte';
	import type { Bench } from '../../bench.svelte.ts';

	interface Props {
		bench: Bench;
		piece: FormPiece;
		/** What its section stands by; null stands by itself. */
		carrier: Id | null;
		/** As it is built: with the length its way makes. */
		built: FormPiece | undefined;
	}
	let { bench, piece, carrier, built }: Props = $props();

	const TAKES = [
		['whole', 'a whole balloon'],
		['part', 'a part, the rest is kept'],
		['trimmed', 'a part, the rest is thrown away'],
		['scrap', 'a left-over end']
	] as const;
	const change = (work: (limb: Mutable<FormPiece>) => void) =>
		bench.change((d) => changeLimb(d, piece.id, work));
	/** What stands by itself may be put on the first section that has rows. */
	const onto = $derived(
		carrier ?? bench.recipe.sections.find((s) => (hostsOf(s.structure).rows ?? []).length > 0)?.id ?? null
	);
	const hosts = $derived(
		hostChoices(
			bench.recipe,
			onto,
			piece.id,
			[piece.at, piece.to].flatMap((h) => h ?? [])
		)
	);
	/** Its other end may be tied to a row of another section. */
	const far = $derived(farHosts(bench.recipe, onto));
	const ends = $derived([...hosts.filter(([key]) => !isFar(key)), ...far]);
	const options = $derived(hosts.map(([key, , words]) => [key, words] as const));
	const hostAt = (key: string) => ends.find(([k]) => k === key)?.[1];
	const isFar = (key: string) => far.some(([k]) => k === key);
	const goesRound = $derived(GOES_ROUND.has(piece.shaping) || piece.to !== undefined);
	const fitted = $derived(piece.fits && built ? formatQuarters(lengthOf(built)) : '');

	const counted = (what: string, max: number, use: (limb: Mutable<FormPiece>, n: number) => void) => (text: string) => {
		const parsed = parseCount(text, { what, min: 1, max });
		if (parsed.ok) change((p) => use(p, parsed.value));
		return parsed.ok ? '' : parsed.say;
	}; // prettier-ignore
	const lengths = (text: string) => {
		let say = '';
		change((p) => (say = lengthenLimb(p, text)));
		return say;
	};
	const turned = (text: string) => {
		const isBent = piece.shaping === 'bent';
		const parsed = parseBounded(text, {
			what: isBent ? 'What it is bent over' : 'How often it goes round',
			min: isBent ? 1 : 0.25,
			max: isBent ? 360 : 20
		});
		if (parsed.ok) change((p) => (p.angle = parsed.value.valueOf() * (isBent ? 1 : 360)));
		return parsed.ok ? '' : parsed.say;
	};
	/** In one step with the slot that is made for it. @param at which of its colours; one past the last is one more */
	const recolour = (at: number) => (slotIn: (draft: RecipeDraft) => string) =>
		bench.change((d) => {
			const to = slotIn(d);
			changeLimb(d, piece.id, (p) => {
				if (at === 0) p.slot = to;
				else p.more = [...(p.more ?? []).slice(0, at - 1), to, ...(p.more ?? []).slice(at)];
			});
			dropUnusedSlots(d);
		});
	const fewer = () =>
		bench.change((d) => {
			changeLimb(d, piece.id, (p) => {
				const more = (p.more ?? []).slice(0, -1);
				if (more.length > 0) p.more = more;
				else delete p.more;
			});
			dropUnusedSlots(d);
		});
</script>

<Popover label="Change {piece.name}" slim>
	{#snippet trigger()}<span class="quiet-link text-[13px]">change</span>{/snippet}
	<div class="grid gap-3">
		<div class="grid grid-cols-[minmax(0,1fr)_88px] gap-3">
			<NameField
				value={piece.name}
				missing="Give it a name, like “arm”."
				onname={(name) => change((p) => (p.name = name))}
			/>
			<TypedField
				label="How many"
				value={String(piece.count)}
				use={counted('How many', MOST_ALIKE, (p, n) => (p.count = n))}
			/>
		</div>
		<Pick
			label="Shape"
			value={piece.shaping}
			options={SHAPINGS.filter((s) => s !== 'belt' || carriesBelt(piece.at)).map(
				(s) => [s, SHAPE_WORDS[s]] as const
			)}
			onpick={(s) => change((p) => shapeLimb(p, s as Shaping))}
		/>
		<div class="grid grid-cols-2 gap-3">
			<TypedField
				label="Length, in"
				value={lengthsText(piece)}
				hint={fitted
					? `As long as its way: ${fitted} in.`
					: goesRound
						? 'Blank is as long as its way.'
						: 'Twisted in one: 7 + 6.'}
				use={lengths}
			/>
			{#if piece.shaping === 'bent' || piece.shaping === 'twined'}
				<TypedField
					label={piece.shaping === 'bent' ? 'Bent over, degrees' : 'Times round'}
					value={String(piece.shaping === 'bent' ? piece.angle : turnsOf(piece))}
					use={turned}
				/>
			{:else}
				<TypedField
					label="Wound together"
					value={String(piece.strands)}
					use={counted('Wound together', 6, (p, n) => (p.strands = n))}
				/>
			{/if}
		</div>
		{#if options.length > 0}
			<Pick
				label="Fixed on"
				value={JSON.stringify(piece.at)}
				options={[['null', 'nothing, it stands by itself'] as const, ...options]}
				onpick={(key) => bench.change((d) => seatLimb(d, piece.id, hostAt(key) ?? null, onto))}
			/>
			{#if piece.at !== null}
				<Pick
					label="Its other end"
					value={piece.to ? JSON.stringify(piece.to) : ''}
					options={[['', 'is free'] as const, ...ends.map(([k, , w]) => [k, `tied to ${w}`] as const)]}
					onpick={(key) => change((p) => tieLimb(p, hostAt(key)))}
				/>
			{/if}
		{/if}
		{#if piece.take.kind !== 'cut'}
			<Pick
				label="Made of"
				value={piece.take.kind}
				options={TAKES}
				onpick={(kind) => change((p) => (p.take = { kind: kind as (typeof TAKES)[number][0] }))}
			/>
		{/if}
		<fieldset class="grid justify-items-start gap-2 text-[13px]">
			<legend class="font-medium text-muted">Colours, balloon after balloon</legend>
			<div class="flex flex-wrap gap-2">
				{#each slotsOf(piece) as slot, at (at)}
					<ColourChip>
						<SlotPick
							{bench}
							label="Colour {at + 1} of {piece.name}"
							now={bench.recipe.slots.find((s) => s.id === slot)}
							onpick={recolour(at)}
						>
							{#snippet trigger()}<ColourName
									colour={bench.catalogue.colours.get(bench.chosen.fills[slot] ?? '')}
									name={slotName(slot, bench.shownByColour.slots)}
								/>{/snippet}
						</SlotPick>
					</ColourChip>
				{/each}
				{#if slotsOf(piece).length < 12}
					<ColourChip>
						<SlotPick
							{bench}
							label="One more colour of {piece.name}"
							onpick={recolour(slotsOf(piece).length)}
						>
							{#snippet trigger()}one more{/snippet}
						</SlotPick>
					</ColourChip>
				{/if}
			</div>
			{#if piece.more}<Button kind="word" onclick={fewer}>Without the last colour</Button>{/if}
		</fieldset>
	</div>
</Popover>
