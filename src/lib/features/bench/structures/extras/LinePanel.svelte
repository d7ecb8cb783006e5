<script lang="ts">
	import { MOST_OF_A_LINE } from '../../../../core/document/limits.ts';
	import { changeLine, chooseLine } from '../../../../core/structures/extras/edit.ts';
	import type { Mutable } from '../../../../core/document/mutable.ts';
	import { LINE_ROLES, ROLE_WORDS, type LineRole } from '../../../../core/document/line-role.ts';
	import type { ExtraLine } from '../../../../core/structures/extras/document.ts';
	import { parseBounded } from '../../../../core/units/number.ts';
	import { rational, rationalText, type Rational } from '../../../../core/units/rational.ts';
	import Button from '../../../../ui/button/Button.svelte';
	import Field from '../../../../ui/field/Field.svelte';
	import Pick from '../../../../ui/pick/Pick.svelte';
	import Popover from '../../../../ui/popover/Popover.svelte';
	import TypedField from '../../../../ui/typed/TypedField.svelte';
	import type { Bench } from '../../bench.svelte.ts';
	import { servable } from '../../../../core/recipe/serving-lines.ts';

	interface Props {
		bench: Bench;
		line: ExtraLine;
		name: string;
	}
	let { bench, line, name }: Props = $props();
	const change = (work: (l: Mutable<ExtraLine>) => void) => bench.change((d) => changeLine(d, line.id, work));
	const text = (value: string) => String(Math.round(rational(value).valueOf() * 1000) / 1000);
	const bounds = { min: 0.001, max: MOST_OF_A_LINE };

	function quantity(typed: string): string {
		const ends = typed.split(/\s+to\s+|–/);
		const parsed = ends.map((t) => parseBounded(t, { what: 'How many', ...bounds }));
		const bad = parsed.find((p) => !p.ok);
		if (bad && !bad.ok) return bad.say;
		const [low, high] = parsed.map((p) => (p as { value: Rational }).value) as [Rational, Rational?];
		if (!high) {
			change((l) => Object.assign(l, { quantity: rationalText(low), range: null }));
			return '';
		}
		if (ends.length > 2 || high.compare(low) <= 0)
			return 'An estimate goes from the smaller number to the larger, like “2 to 4”.';
		const range = { low: rationalText(low), high: rationalText(high) };
		change((l) => Object.assign(l, { quantity: rationalText(low.add(high).div(2)), range }));
		return '';
	}
	const same = $derived(bench.catalogue.materials.get(line.material)?.kind);
	const others = $derived(
		[...bench.catalogue.materials.values()]
			.filter((m) => (same?.startsWith('foil') ? m.kind.startsWith('foil') : m.kind === same))
			.map((m) => [m.id, m.name] as const)
	);
	const group = (typed: string) => {
		const said = typed.trim().slice(0, 80);
		change((l) => (l.choice = said === '' ? null : { group: said, when: l.choice?.when ?? '' }));
		return '';
	};
	const served = $derived(servable(bench.recipe));
</script>

<Popover label="Change {name}" slim>
	{#snippet trigger()}<span class="quiet-link text-[13px]">change</span>{/snippet}
	<div class="grid gap-3">
		<TypedField
			label="How many"
			value={line.range ? `${text(line.range.low)} to ${text(line.range.high)}` : text(line.quantity)}
			hint="“2 to 4” is an estimate"
			use={quantity}
		/>
		<Pick
			label="It is"
			value={line.role}
			options={LINE_ROLES.map((r) => [r, ROLE_WORDS[r]] as const)}
			onpick={(v) => change((l) => (l.role = v as LineRole))}
		/>
		{#if line.role === 'optional' && !line.choice}
			<label class="flex items-center gap-2">
				<input
					type="checkbox"
					checked={line.taken}
					onchange={(e) => change((l) => (l.taken = e.currentTarget.checked))}
				/>
				taken: count it
			</label>
		{/if}
		<TypedField
			label="One of several ways to do"
			value={line.choice?.group ?? ''}
			hint="Lines of one name are alternatives; blank is none"
			placeholder="holding it down"
			use={group}
		/>
		{#if line.choice}
			<TypedField
				label="taken when"
				value={line.choice.when}
				placeholder="on grass"
				use={(typed) => {
					change((l) => {
						if (l.choice) l.choice.when = typed.trim().slice(0, 80);
					});
					return '';
				}}
			/>
			<p><Button onclick={() => bench.change((d) => chooseLine(d, line.id))}>Take this one</Button></p>
		{/if}
		<Field label="Serves" hint="Counted once, shown at each">
			{#snippet children(attributes)}
				<select
					{...attributes}
					multiple
					class="control w-full"
					size={Math.min(6, Math.max(2, served.length))}
					onchange={(e) => {
						const chosen = [...e.currentTarget.selectedOptions].map((o) => o.value);
						change((l) => (l.serves = chosen));
					}}
				>
					{#each served as [id, words] (id)}<option value={id} selected={line.serves.includes(id)}
							>{words}</option
						>{/each}
				</select>
			{/snippet}
		</Field>
		<label class="flex items-center gap-2">
			<input
				type="checkbox"
				checked={line.onSpot ?? false}
				onchange={(e) => change((l) => (l.onSpot = e.currentTarget.checked || undefined))}
			/>
			measured on the spot: so much is taken along for it
		</label>
		<label class="flex items-center gap-2">
			<input
				type="checkbox"
				checked={line.swappable}
				onchange={(e) => change((l) => (l.swappable = e.currentTarget.checked))}
			/>
			swappable: another in its place, in one step
		</label>
		{#if line.swappable}
			<Pick
				label="Swap it for"
				value={line.material}
				options={others}
				onpick={(v) => void bench.exchange(line.id, v, false)}
			/>
		{/if}
	</div>
</Popover>
