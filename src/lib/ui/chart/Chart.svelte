<script lang="ts">
	import type { ApexOptions } from 'apexcharts';
	import { chartFrame, drawn } from './apex.ts';

	interface Props {
		/** Said to screen readers; the numbers stand in a table for them. */
		label: string;
		across: string;
		up: string;
		series: readonly { readonly name: string; readonly points: readonly (readonly [number, number])[] }[];
		/** A point to mark. */
		here?: readonly [number, number] | undefined;
	}
	let { label, across, up, series, here }: Props = $props();

	/** Whole numbers where the axis is long enough for them. */
	const long = $derived(Math.max(0, ...series.flatMap((s) => s.points.map(([x]) => Math.abs(x)))) > 12);
	const round = (value: number) => (long ? String(Math.round(value)) : short(value));
	const short = (value: number) => String(Math.round(value * 10) / 10);

	const options = (element: Element): ApexOptions => {
		const { ink, muted, theme, frame } = chartFrame(element, 'line', 240);
		return {
			...frame,
			series: series.map(({ name, points }) => ({ name, data: points.map(([x, y]) => ({ x, y })) })),
			colors: [ink, muted],
			stroke: { width: [2, 1.5], dashArray: [0, 5], curve: 'straight' },
			legend: { show: series.length > 1, labels: { colors: ink } },
			tooltip: {
				theme,
				x: { formatter: short }
			},
			xaxis: {
				type: 'numeric',
				tickAmount: 6,
				decimalsInFloat: 0,
				title: { text: across, style: { color: muted, fontWeight: 400 } },
				labels: { formatter: (v) => round(Number(v)), style: { colors: muted } }
			},
			yaxis: {
				title: { text: up, style: { color: muted, fontWeight: 400 } },
				labels: { formatter: short, style: { colors: muted } }
			},
			annotations: here
				? {
						points: [
							{
								x: here[0],
								y: here[1],
								marker: {
									size: 6,
									fillColor: '#ffd84d',
									strokeColor: ink,
									strokeWidth: 2
								}
							}
						]
					}
				: {}
		};
	};
</script>

<figure>
	<div class="chart" aria-hidden="true" {@attach drawn(options)}></div>
	<table class="sr-only">
		<caption>{label}</caption>
		<thead
			><tr
				><th>{across}</th>{#each series as { name } (name)}<th>{name}, {up}</th>{/each}</tr
			></thead
		>
		<tbody>
			{#each series[0]?.points ?? [] as [x], i (i)}
				<tr
					><td>{short(x)}</td>{#each series as { name, points } (name)}<td>{short(points[i]?.[1] ?? 0)}</td
						>{/each}</tr
				>
			{/each}
		</tbody>
	</table>
</figure>

<style>
	.chart {
		--chart-ink: light-dark(#1b2333, #e9ecf1);
		--chart-muted: light-dark(#5c6573, #a5adba);
		--chart-line: light-dark(#d9dde3, #333b48);
		min-height: 240px;
	}
</style>
