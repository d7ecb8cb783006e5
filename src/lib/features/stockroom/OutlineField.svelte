<script lang="ts">
	import { edgeOfPhoto, LOOKED_AT } from '../../core/photo/photo-edge.ts';
	import { readOutline } from '../../core/scene/own-outline.ts';
	import { pathOf } from '../../core/scene/outlines.ts';
	import { NO_PHOTO, pixelsOf } from '../picture/pixels-of.ts';
	import Field from '../../ui/field/Field.svelte';

	interface Props {
		/** As it was sent before. */
		typed: string;
		error: string | undefined;
	}
	let { typed, error }: Props = $props();
	/** What was typed or taken from a file since; nothing yet is what was sent before. */
	let own = $state<string | null>(null);
	/** Why a photo gave no edge. */
	let trouble = $state<string | undefined>();
	const text = $derived(own ?? typed);
	const read = $derived(text.trim() === '' ? null : readOutline(text));

	async function take(event: Event & { currentTarget: HTMLInputElement }) {
		const file = event.currentTarget.files?.[0];
		event.currentTarget.value = '';
		if (!file) return;
		trouble = undefined;
		if (!file.type.startsWith('image/') || file.type.includes('svg')) own = await file.text();
		else
			try {
				const edge = edgeOfPhoto(await pixelsOf(file, LOOKED_AT));
				if (edge.ok) own = edge.value;
				else trouble = edge.say;
			} catch {
				trouble = NO_PHOTO;
			}
	}
</script>

<div class="col-span-full grid grid-cols-[1fr_auto] items-start gap-3">
	<Field
		label="Edge of a foil of a shape of its own, as SVG (blank: by its shape)"
		error={trouble ?? error ?? (own !== null && read && !read.ok ? read.say : undefined)}
	>
		{#snippet children(attributes)}
			<textarea
				{...attributes}
				name="outline"
				rows="2"
				class="control w-full"
				placeholder="M0 0 L100 0 L50 80 Z, or the whole file"
				value={text}
				oninput={(e) => ((own = e.currentTarget.value), (trouble = undefined))}></textarea>
			<label class="quiet-link mt-1 inline-block text-[13px]">
				from a drawing, or a photo on a plain ground
				<input
					type="file"
					accept=".svg,image/svg+xml,image/jpeg,image/png,image/webp"
					class="sr-only"
					onchange={take}
				/>
			</label>
		{/snippet}
	</Field>
	{#if read?.ok}
		<svg
			viewBox="-55 -55 110 110"
			width="72"
			height="72"
			role="img"
			aria-label="Its edge as it will be drawn"
		>
			<path d={pathOf(`own ${read.value}`, 50)} fill="var(--ink)" fill-opacity="0.25" stroke="var(--ink)" />
		</svg>
	{/if}
</div>
