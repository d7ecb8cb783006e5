<script lang="ts">
	import type { ApexOptions } from 'apexcharts';
	import { drawn, inkOf } from './apex.ts';

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

	const options = (element: Element): ApexOptions => ({
		chart: {
			type: 'line',
			height: 240,
			toolbar: { show: false },
			zoom: { enabled: false },
			animations: { enabled: false },
			fontFamily: 'inherit',
			background: 'transparent'
		},
		series: series.map(({ name, points }) => ({ name, data: points.map(([x, y]) => ({ x, y })) })),
		colors: [inkOf(element, '--chart-ink'), inkOf(element, '--chart-muted')],
		stroke: { width: [2, 1.5], dashArray: [0, 5], curve: 'straight' },
		grid: { borderColor: inkOf(element, '--chart-line'), strokeDashArray: 0 },
		legend: { show: series.length > 1, labels: { colors: inkOf(element, '--chart-ink') } },
		tooltip: {
			theme: inkOf(element, 'color-scheme').includes('dark') ? 'dark' : 'light',
			x: { formatter: short }
		},
		xaxis: {
			type: 'numeric',
			tickAmount: 6,
			decimalsInFloat: 0,
			title: { text: across, style: { color: inkOf(element, '--chart-muted'), fontWeight: 400 } },
			labels: { formatter: (v) => round(Number(v)), style: { colors: inkOf(element, '--chart-muted') } }
		},
		yaxis: {
			title: { text: up, style: { color: inkOf(element, '--chart-muted'), fontWeight: 400 } },
			labels: { formatter: short, style: { colors: inkOf(element, '--chart-muted') } }
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
								strokeColor: inkOf(element, '--chart-ink'),
								strokeWidth: 2
							}
						}
					]
				}
			: {}
	});
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
