<script lang="ts">
	import { CAMERA } from '../../core/scene/camera.ts';
	import type { Bench } from './bench.svelte.ts';

	interface Props {
		bench: Bench;
	}
	let { bench }: Props = $props();
	const degrees = (radians: number) => Math.round((radians * 180) / Math.PI);
	const now = $derived(bench.camera ?? CAMERA[bench.view]);
</script>

<label class="turn">
	turn
	<input
		type="range"
		min="-180"
		max="180"
		step="5"
		value={degrees(now.turn)}
		aria-valuetext="{degrees(now.turn)}°"
		oninput={(e) => bench.turnBy(e.currentTarget.valueAsNumber - degrees(now.turn), 0)}
	/>
</label>
<label class="turn">
	tilt
	<input
		type="range"
		min="0"
		max="80"
		step="5"
		value={degrees(now.tilt)}
		aria-valuetext="{degrees(now.tilt)}°"
		oninput={(e) => bench.turnBy(0, e.currentTarget.valueAsNumber - degrees(now.tilt))}
	/>
</label>

<style>
	.turn {
		display: flex;
		align-items: center;
		gap: 5px;
	}
	input {
		width: 50px;
		accent-color: var(--ink);
	}
</style>
