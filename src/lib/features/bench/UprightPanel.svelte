<script lang="ts">
	import { fitSquash, bodyHeight } from '../../core/geometry/heights.ts';
	import { stackOf } from '../../core/recipe/edit.ts';
	import { JOININGS, UPRIGHTS, type Joining, type Upright } from '../../core/recipe/recipe.ts';
	import { placeStack } from '../../core/structures/stack.ts';
	import { formatFeet, formatLength, parseLength, type Millimetres } from '../../core/units/length.ts';
	import Field from '../../ui/field/Field.svelte';
	import Popover from '../../ui/popover/Popover.svelte';
	import type { Bench } from './bench.svelte.ts';

	interface Props {
		bench: Bench;
	}
	let { bench }: Props = $props();
	const stack = $derived(bench.stack);
	const upright = $derived(stack?.upright);
	const stands = $derived(
		[...bench.catalogue.materials.values()].filter((m) => m.kind === 'base' || m.kind === 'pipe')
	);
	let lengthText = $state<string | null>(null);
	let lengthTrouble = $state('');
	let measured = $state('');
	let measuredTrouble = $state('');

	const set = (change: Partial<Upright>) =>
		bench.change((d) => Object.assign(stackOf(d, bench.current?.id)!.upright, change));
	const shownLength = $derived(upright?.length ? formatLength({ um: upright.length, unit: 'ft' }) : '');

	function setLength() {
		if (lengthText === null) return;
		if (lengthText.trim() === '') {
			lengthTrouble = '';
			set({ length: null });
			lengthText = null;
			return;
		}
		const parsed = parseLength(lengthText, 'ft');
		lengthTrouble = parsed.ok
			? parsed.value.um < 152_400
				? 'An upright is at least 6 in long.'
				: ''
			: parsed.say;
		if (!parsed.ok || lengthTrouble) return;
		set({ length: parsed.value.um });
		lengthText = null;
	}

	/** Fits the squash from a stack that was built and measured. */
	function fit() {
		if (!stack) return;
		const parsed = parseLength(measured, 'ft');
		measuredTrouble = parsed.ok ? '' : parsed.say;
		if (!parsed.ok) return;
		const body = (squash: number) =>
			bodyHeight(placeStack({ ...stack, squash }, bench.context.rates.pumps).layers);
		const squash = fitSquash(body, parsed.value.um / 1000);
		if (squash === undefined)
			measuredTrouble =
				'No settling explains that height. Check the sizes, or measure from the floor to the top of the body.';
		else {
			bench.change((d) => (stackOf(d, bench.current?.id)!.squash = Math.round(squash * 1000) / 1000));
			measured = '';
		}
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
			? 'no upright'
			: `${upright.kind}${upright.material ? `: ${bench.catalogue.materials.get(upright.material)?.name ?? 'not in the Stockroom'}` : ', stand not chosen'}`
	);
</script>

{#if stack && upright}
	<div class="-ml-2 flex flex-wrap items-center text-[13px] text-muted">
		<Popover label="Upright, joining and settling">
			{#snippet trigger()}<span class="quiet-link">{words} · {stack.joining}</span>{/snippet}
			<div class="grid gap-3">
				<Field label="Upright">
					{#snippet children(attributes)}
						<select
							{...attributes}
							class="control"
							value={upright.kind}
							onchange={(e) => set({ kind: e.currentTarget.value as Upright['kind'] })}
						>
							{#each UPRIGHTS as kind (kind)}<option>{kind}</option>{/each}
						</select>
					{/snippet}
				</Field>
				{#if upright.kind !== 'none'}
					<Field label="Its length" error={lengthTrouble || undefined}>
						{#snippet children(attributes)}
							<input
								{...attributes}
								class="control figures"
								value={lengthText ?? shownLength}
								oninput={(e) => (lengthText = e.currentTarget.value)}
								onchange={setLength}
								placeholder="7 ft"
							/>
						{/snippet}
					</Field>
					<Field label="Stand, pole or line">
						{#snippet children(attributes)}
							<select
								{...attributes}
								class="control"
								value={upright.material ?? ''}
								onchange={(e) => set({ material: e.currentTarget.value || null })}
							>
								<option value="">not chosen yet (cost unknown)</option>
								{#each stands as material (material.id)}<option value={material.id}>{material.name}</option
									>{/each}
							</select>
						{/snippet}
					</Field>
				{/if}
				<Field label="Layers are joined">
					{#snippet children(attributes)}
						<select
							{...attributes}
							class="control"
							value={stack.joining}
							onchange={(e) =>
								bench.change(
									(d) => (stackOf(d, bench.current?.id)!.joining = e.currentTarget.value as Joining)
								)}
						>
							{#each JOININGS as joining (joining)}<option>{joining}</option>{/each}
						</select>
					{/snippet}
				</Field>
				<label class="flex items-center gap-2">
					<input
						type="checkbox"
						checked={stack.onFloor}
						onchange={(e) =>
							bench.change((d) => (stackOf(d, bench.current?.id)!.onFloor = e.currentTarget.checked))}
					/>
					lowest balloons touch the floor (a patch under each)
				</label>
				<dl class="figures grid grid-cols-[auto_1fr] gap-x-3 text-[12.6px]">
					{#each heights as [name, value] (name)}<dt class="text-muted">{name}</dt>
						<dd>{value}</dd>{/each}
				</dl>
				<Field
					label="Built one? Its body height settles the sums (now {Math.round(stack.squash * 100)} %)"
					error={measuredTrouble || undefined}
				>
					{#snippet children(attributes)}
						<input
							{...attributes}
							class="control figures"
							bind:value={measured}
							onchange={fit}
							placeholder="5 ft 2 in"
						/>
					{/snippet}
				</Field>
			</div>
		</Popover>
	</div>
{/if}
