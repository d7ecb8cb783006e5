<script lang="ts">
	import { CAMERA } from '../../core/scene/camera.ts';
	import type { Bench } from './bench.svelte.ts';

	interface Props {
		bench: Bench;
	}
	let { bench }: Props = $props();
	const exact = (radians: number) => (radians * 180) / Math.PI;
	const degrees = (radians: number) => Math.round(exact(radians));
	const now = $derived(bench.camera ?? CAMERA[bench.view]);
</script>

{#snippet slider(word: 'turn' | 'tilt', min: number, max: number, by: (degrees: number) => void)}
	<label class="turn">
		{word}
		<input
			type="range"
			{min}
			{max}
			step="5"
			value={degrees(now[word])}
			aria-valuetext="{degrees(now[word])}°"
			oninput={(e) => by(e.currentTarget.valueAsNumber - exact(now[word]))}
		/>
	</label>
{/snippet}
{@render slider('turn', -180, 180, (by) => bench.turnBy(by, 0))}
{@render slider('tilt', 0, 80, (by) => bench.turnBy(0, by))}

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
