<script lang="ts">
	import { nameOf } from '../../../../core/document/names.ts';
	import { fitSquash, bodyHeight } from '../../../../core/geometry/heights.ts';
	import { stackOf } from '../../../../core/structures/stack/edit.ts';
	import { JOININGS, type Joining } from '../../../../core/document/cluster.ts';
	import { UPRIGHTS, type StandsOn, type Upright } from '../../../../core/structures/stack/document.ts';
	import { placeStack } from '../../../../core/structures/stack/place.ts';
	import { carriedBy, tooShort } from '../../../../core/materials/carries.ts';
	import {
		formatFeet,
		formatLength,
		parseLength,
		um,
		type Millimetres
	} from '../../../../core/units/length.ts';
	import Pick from '../../../../ui/pick/Pick.svelte';
	import TypedField from '../../../../ui/typed/TypedField.svelte';
	import Popover from '../../../../ui/popover/Popover.svelte';
	import type { Bench } from '../../bench.svelte.ts';

	interface Props {
		bench: Bench;
	}
	let { bench }: Props = $props();
	const stack = $derived(bench.stack);
	const upright = $derived(stack?.upright);
	const stands = $derived(
		[...bench.catalogue.materials.values()].filter((m) => m.kind === 'base' || m.kind === 'pipe')
	);
	const STANDS = [
		['the floor', 'the floor, a patch under each balloon'],
		['table', 'a table or shelf'],
		['board', 'a board'],
		['box', 'a box']
	] as const;
	const set = (change: Partial<Upright>) =>
		bench.change((d) => Object.assign(stackOf(d, bench.current?.id)!.upright, change));
	/** Why what was chosen was not taken. */
	let short = $state('');
	/** A stand that does not reach is not taken; one that says how long it is, is that long. */
	function take(id: string) {
		const chosen = stands.find((m) => m.id === id);
		const { placed } = bench;
		short = (placed?.upright.known && tooShort(chosen, placed.upright.usual, stands)) || '';
		if (short) return;
		const long = chosen && carriedBy(chosen);
		set({ material: id || null, ...(long === undefined ? {} : { length: um(Math.round(long * 1000)) }) });
	}
	const shownLength = $derived(upright?.length ? formatLength({ um: upright.length, unit: 'ft' }) : '');

	function setLength(text: string): string {
		if (text.trim() === '') {
			set({ length: null });
			return '';
		}
		const parsed = parseLength(text, 'ft');
		if (!parsed.ok) return parsed.say;
		if (parsed.value.um < 152_400) return 'An upright is at least 6 in long.';
		set({ length: parsed.value.um });
		return '';
	}

	/** Fits the squash from a stack that was built and measured. */
	function fit(text: string): string {
		if (!stack || text.trim() === '') return '';
		const parsed = parseLength(text, 'ft');
		if (!parsed.ok) return parsed.say;
		const body = (squash: number) =>
			bodyHeight(placeStack({ ...stack, squash }, bench.context.rates.pumps).layers);
		const squash = fitSquash(body, parsed.value.um / 1000);
		if (squash === undefined)
			return 'No settling explains that height. Check the sizes, or measure from the floor to the top of the body.';
		bench.change((d) => (stackOf(d, bench.current?.id)!.squash = Math.round(squash * 1000) / 1000));
		return '';
	}
	const heights = $derived.by(() => {
		const { placed } = bench;
		if (!placed) return [];
		const say = (at: { usual: number; low: number; high: number; known: boolean }) =>
			at.known
				? `${formatFeet(at.usual as Millimetres)} (${formatFeet(at.low as Millimetres)} to ${formatFeet(at.high as Millimetres)})`
				: '—';
		return [
			['body', say(placed.body)],
			['upright needed', say(placed.upright)],
			['overall', say(placed.overall)]
		];
	});
	const words = $derived(
		!upright || upright.kind === 'none'
			? 'no pole'
			: `${upright.kind}${upright.material ? `: ${nameOf(bench.catalogue.materials, upright.material)}` : ', stand not chosen'}`
	);
</script>

{#if stack && upright}
	<div class="-ml-2 flex flex-wrap items-center text-[13px] text-muted">
		<Popover label="Pole, joining and settling">
			{#snippet trigger()}<span class="quiet-link">{words} · rows {stack.joining}</span>{/snippet}
			<div class="grid gap-3">
				<Pick
					label="Held up by"
					value={upright.kind}
					options={UPRIGHTS.map((k) => [k, k] as const)}
					onpick={(kind) => set({ kind: kind as Upright['kind'] })}
				/>
				{#if upright.kind !== 'none'}
					<TypedField label="Its length" value={shownLength} placeholder="7 ft" use={setLength} />
					<Pick
						label="Stand, pole or line"
						value={upright.material ?? ''}
						options={[['', 'not chosen yet (cost unknown)'], ...stands.map((m) => [m.id, m.name] as const)]}
						onpick={take}
					/>
					{#if short}<p class="text-[13px] text-bad" role="alert">{short}</p>{/if}
				{/if}
				<Pick
					label="Layers are joined"
					value={stack.joining}
					options={JOININGS.map((j) => [j, j] as const)}
					onpick={(joining) =>
						bench.change((d) => (stackOf(d, bench.current?.id)!.joining = joining as Joining))}
				/>
				<Pick
					label="It stands on"
					value={stack.onFloor ? 'the floor' : (stack.on ?? 'table')}
					options={STANDS.map(([on, words]) => [on, words] as const)}
					onpick={(on) =>
						bench.say(
							on === 'the floor'
								? { kind: 'stands', onFloor: true }
								: { kind: 'stands', onFloor: false, on: on === 'table' ? undefined : (on as StandsOn) }
						)}
				/>
				<dl class="figures grid grid-cols-[auto_1fr] gap-x-3 text-[12.6px]">
					{#each heights as [name, value] (name)}<dt class="text-muted">{name}</dt>
						<dd>{value}</dd>{/each}
				</dl>
				<TypedField
					label="Built one? Its body height settles the sums (now {Math.round(stack.squash * 100)} %)"
					value=""
					placeholder="5 ft 2 in"
					use={fit}
				/>
			</div>
		</Popover>
	</div>
{/if}
