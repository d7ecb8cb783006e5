<script lang="ts">
	import { MOST_ALIKE, MOST_FIXINGS } from '../../../../core/document/limits.ts';
	import { flatOf } from '../../../../core/materials/material.ts';
	import { changePiece } from '../../../../core/structures/applied/edit.ts';
	import type { Place } from '../../../../core/document/cluster.ts';
	import type { Mutable } from '../../../../core/document/mutable.ts';
	import { parseSizeText } from '../../../../core/language/balloon.ts';
	import { FIXINGS, type AppliedPiece, type Fixing } from '../../../../core/structures/applied/document.ts';
	import { WAYS } from '../../../../core/document/host.ts';
	import type { Id } from '../../../../core/document/id.ts';
	import { printSize } from '../../../../core/sizing/size.ts';
	import { FIXING_COUNTS } from '../../../../core/structures/applied/count.ts';
	import { parseBounded } from '../../../../core/units/number.ts';
	import { rational, rationalText } from '../../../../core/units/rational.ts';
	import Button from '../../../../ui/button/Button.svelte';
	import Pick from '../../../../ui/pick/Pick.svelte';
	import Popover from '../../../../ui/popover/Popover.svelte';
	import TypedField from '../../../../ui/typed/TypedField.svelte';
	import { slotName } from '../../../../core/document/names.ts';
	import { dropUnusedSlots, type RecipeDraft } from '../../../../core/recipe/draft.ts';
	import ColourChip from '../../../colours/ColourChip.svelte';
	import ColourName from '../../../colours/ColourName.svelte';
	import { manyWords } from '../../../../core/document/count-range.ts';
	import { parseCountRange } from '../../../../core/forms/count-range.ts';
	import { bare, hostChoices } from '../../kit/host-choices.ts';
	import SlotPick from '../../kit/SlotPick.svelte';
	import Treated from '../../kit/Treated.svelte';
	import NameField from '../../kit/NameField.svelte';
	import type { Bench } from '../../bench.svelte.ts';

	interface Props {
		bench: Bench;
		piece: AppliedPiece;
		/** Section that carries it; null is a wall. */
		host: Id | null;
	}
	let { bench, piece, host }: Props = $props();

	const change = (work: (p: Mutable<AppliedPiece>) => void) =>
		bench.change((d) => changePiece(d, piece.id, work));
	const hosts = $derived(
		hostChoices(
			bench.recipe,
			host,
			piece.id,
			piece.on.map((o) => bare(o.host))
		)
	);
	const foils = $derived(
		[...bench.catalogue.materials.values()]
			.filter((m) => m.kind.startsWith('foil') || m.kind === 'accent')
			.map((m) => [m.id, m.name] as const)
	);
	const count = (at: number) => (text: string) => {
		const parsed = parseCountRange(text, { what: 'How many', min: 1, max: MOST_ALIKE });
		if (parsed.ok)
			change((p) => {
				p.on[at] = { host: p.on[at]!.host, ...parsed.value };
			});
		return parsed.ok ? '' : parsed.say;
	};
	const each = (text: string) => {
		const parsed = parseBounded(text, { what: 'Fixings a piece', min: 0, max: MOST_FIXINGS });
		if (parsed.ok) change((p) => (p.each = rationalText(parsed.value)));
		return parsed.ok ? '' : parsed.say;
	};
	const size = (text: string) => {
		if (piece.what.kind !== 'balloon') return '';
		const parsed = parseSizeText(text, piece.what.balloon.nominal, bench.entryContext);
		if (parsed.ok)
			change((p) => {
				if (p.what.kind === 'balloon') p.what.balloon.size = parsed.value;
			});
		return parsed.ok ? '' : parsed.say;
	};
	function seat(at: number, key: string) {
		const to = hosts.find(([k]) => k === key)?.[1];
		if (to) change((p) => (p.on[at]!.host = { ...to }));
	}
	const toward = (at: number, way: string) =>
		change((p) => {
			const { host: on } = p.on[at]!;
			if (on.on === 'place' || on.on === 'piece') on.way = WAYS.find((w) => w === way);
		});
	const slot = $derived(piece.what.kind === 'balloon' ? piece.what.balloon.slot : null);
	/** In one step with the slot that is made for it. */
	const recolour = (slotIn: (draft: RecipeDraft) => string) =>
		bench.change((d) => {
			const to = slotIn(d);
			changePiece(d, piece.id, (p) => {
				if (p.what.kind === 'balloon') p.what.balloon.slot = to;
			});
			dropUnusedSlots(d);
		});
	const treat = (work: (place: Mutable<Place>) => void) =>
		change((p) => {
			if (p.what.kind === 'balloon') work(p.what.balloon as Mutable<Place>);
		});
	const material = (id: string) => {
		const found = bench.catalogue.materials.get(id);
		const flat = found ? flatOf(found) : null;
		change((p) => (p.what = { kind: 'material', material: id, flat }));
	};
</script>

<Popover label="Change {piece.name}" slim>
	{#snippet trigger()}<span class="quiet-link text-[13px]">change</span>{/snippet}
	<div class="grid gap-3">
		<NameField
			value={piece.name}
			missing="Give it a name, like “eye”."
			onname={(name) => change((p) => (p.name = name))}
		/>
		{#if piece.what.kind === 'balloon'}
			<div class="grid grid-cols-2 gap-3">
				<TypedField
					label="Inflated to"
					value={piece.what.balloon.size.kind === 'unknown' ? '' : printSize(piece.what.balloon.size)}
					use={size}
				/>
				<div class="grid content-start gap-1 text-[13px]">
					<span class="font-medium text-muted">Its colour</span>
					<ColourChip>
						<SlotPick
							{bench}
							label="Colour of {piece.name}"
							now={bench.recipe.slots.find((s) => s.id === slot)}
							onpick={recolour}
						>
							{#snippet trigger()}<ColourName
									colour={bench.catalogue.colours.get(bench.chosen.fills[slot ?? ''] ?? '')}
									name={slotName(slot, bench.shownByColour.slots)}
								/>{/snippet}
						</SlotPick>
					</ColourChip>
				</div>
			</div>
			<Treated {bench} place={piece.what.balloon} onchange={treat} />
		{:else}
			<Pick label="Which" value={piece.what.material ?? ''} options={foils} onpick={material} />
		{/if}
		<fieldset class="grid gap-2">
			<legend class="text-[13px] font-medium text-muted">How many, tier by tier</legend>
			{#each piece.on as seatOf, at (at)}
				<div class="grid grid-cols-[64px_minmax(0,1fr)] gap-2">
					<TypedField label="Count" value={manyWords(seatOf)} use={count(at)} />
					<Pick
						label="on"
						value={JSON.stringify(bare(seatOf.host))}
						options={hosts.map(([key, , words]) => [key, words] as const)}
						onpick={(key) => seat(at, key)}
					/>
					{#if seatOf.host.on === 'place' || seatOf.host.on === 'piece'}
						<span></span>
						<Pick
							label="where on it"
							value={seatOf.host.way ?? ''}
							options={[['', 'away from the middle'] as const, ...WAYS.map((w) => [w, w] as const)]}
							onpick={(way) => toward(at, way)}
						/>
					{/if}
				</div>
			{/each}
			<span class="flex gap-2">
				<Button
					onclick={() =>
						change((p) => {
							const last = p.on.at(-1)!;
							p.on.push({ count: last.count, host: { ...last.host } });
						})}>One more tier</Button
				>
				{#if piece.on.length > 1}
					<Button kind="word" onclick={() => change((p) => void p.on.pop())}>Without the last</Button>
				{/if}
			</span>
		</fieldset>
		<div class="grid grid-cols-2 gap-3">
			<Pick
				label="Fixed with"
				value={piece.fixing}
				options={FIXINGS.map((f) => [f, f] as const)}
				hint={FIXING_COUNTS[piece.fixing].length === 0 ? 'Takes no material.' : ''}
				onpick={(v) => change((p) => (p.fixing = v as Fixing))}
			/>
			<TypedField label="Fixings a piece" value={String(rational(piece.each).valueOf())} use={each} />
			<Pick
				label="And then for good"
				value={piece.then ?? ''}
				options={[['', 'stays so'] as const, ...FIXINGS.map((f) => [f, f] as const)]}
				hint="Fixed on trial first, then so."
				onpick={(v) => change((p) => (v === '' ? delete p.then : (p.then = v as Fixing)))}
			/>
		</div>
		{#if piece.what.kind === 'material'}
			<label class="flex items-center gap-2">
				<input
					type="checkbox"
					checked={piece.swappable}
					onchange={(e) => change((p) => (p.swappable = e.currentTarget.checked))}
				/>
				swappable: another in its place, in one step
			</label>
		{/if}
	</div>
</Popover>
