<script lang="ts">
	import { ON_THE_FLOOR } from '../../core/document/stand.ts';
	import { STARTS } from '../../core/structures/registry/language.ts';
	import { isBareStack } from '../../core/structures/stack/edit.ts';
	import { designUse } from '../../core/structures/design/empty.ts';
	import Button from '../../ui/button/Button.svelte';
	import Field from '../../ui/field/Field.svelte';
	import Pick from '../../ui/pick/Pick.svelte';
	import Popover from '../../ui/popover/Popover.svelte';
	import type { Bench } from './bench.svelte.ts';
	import { SCREENS } from './structures/screens.ts';

	interface Props {
		bench: Bench;
	}
	let { bench }: Props = $props();
	const KINDS = Object.values(SCREENS).flatMap((s) => (s.starts ? [s.starts] : []));
	let open = $state(false);
	let name = $state('');
	let kind = $state<string>(KINDS[0]![0]);
	let design = $state('');
	const designs = $derived(bench.entryContext.designs ?? []);
	/** The newest section with something in it: a new one stands on top of it until told otherwise. */
	const stand = $derived.by(() => {
		const host = bench.current ?? bench.recipe.sections[0];
		// The empty stack of a new design is nothing to stand on: it gives way.
		return host && !isBareStack(host.structure) ? { ...ON_THE_FLOOR, by: host.id } : ON_THE_FLOOR;
	});

	function add() {
		const structure = STARTS.get(kind)!();
		void bench.addSection({ name: name.trim() || kind, times: 1, mirror: false, stand, structure });
		done();
	}
	function use() {
		const chosen = designs.find((d) => d.id === design);
		if (!chosen) return;
		void bench.addSection({
			name: chosen.name,
			times: 1,
			mirror: false,
			stand,
			structure: designUse(design)
		});
		done();
	}
	function done() {
		[name, design, open] = ['', '', false];
	}
</script>

<Popover label="Add a section" bind:open>
	{#snippet trigger()}<span class="quiet-link text-[13px] text-muted">add a section</span>{/snippet}
	<div class="grid gap-3">
		<Pick label="A new section" value={kind} options={KINDS} onpick={(v) => (kind = v)} />
		<Field label="Its name">
			{#snippet children(attributes)}
				<input
					{...attributes}
					class="control"
					bind:value={name}
					maxlength="80"
					placeholder="arm"
					autocomplete="off"
					onkeydown={(e) => {
						if (e.key === 'Enter') add();
					}}
				/>
			{/snippet}
		</Field>
		<p><Button onclick={add}>Add it</Button></p>
		<Field
			label="Or a design you keep"
			hint={designs.length === 0 ? 'No other kept design may stand here.' : ''}
		>
			{#snippet children(attributes)}
				<select {...attributes} class="control" bind:value={design}>
					<option value="">choose a design</option>
					{#each designs as one (one.id)}<option value={one.id}>{one.name}</option>{/each}
				</select>
			{/snippet}
		</Field>
		<p><Button onclick={use} disabled={design === ''}>Use it</Button></p>
	</div>
</Popover>
