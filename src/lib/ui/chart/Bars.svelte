<script lang="ts">
	import type { ApexOptions } from 'apexcharts';
	import { chartFrame, drawn } from './apex.ts';

	interface Props {
		/** What each group of bars stands for. */
		names: readonly string[];
		series: readonly { readonly name: string; readonly values: readonly (number | null)[] }[];
		/** Up from the ground, along from the left, or a line over time. */
		as: 'columns' | 'bars' | 'lines';
		/** A figure as it is said. */
		say: (value: number) => string;
	}
	let { names, series, as, say }: Props = $props();
	const height = $derived(as === 'bars' ? 70 + names.length * (series.length > 1 ? 40 : 28) : 260);

	const options = (element: Element): ApexOptions => {
		const { ink, muted, theme, frame } = chartFrame(element, as === 'lines' ? 'line' : 'bar', height);
		const labels = { style: { colors: muted } };
		const figures = { labels: { ...labels, formatter: (v: number | string) => (typeof v === 'number' ? say(v) : v) } }; // prettier-ignore
		return {
			...frame,
			series: series.map(({ name, values }) => ({ name, data: [...values] })),
			colors: series.length > 1 ? [muted, ink] : [ink],
			plotOptions: { bar: { horizontal: as === 'bars', columnWidth: '62%', barHeight: '68%', borderRadius: 0 } },
			fill: { type: 'solid', opacity: series.length > 1 ? [0.45, 1] : 1 },
			stroke: { width: as === 'lines' ? 2 : 0, curve: 'straight' },
			markers: { size: as === 'lines' ? 4 : 0 },
			dataLabels: { enabled: false },
			legend: { show: series.length > 1, position: 'top', horizontalAlign: 'left', labels: { colors: ink } },
			tooltip: { theme, y: { formatter: (v: number | null) => (v === null || v === undefined ? 'not known' : say(v)) } },
			xaxis: { categories: [...names], ...(as === 'bars' ? figures : { labels: { ...labels, rotate: -35, hideOverlappingLabels: true } }) },
			yaxis: as === 'bars' ? { labels: { ...labels, maxWidth: 190 } } : figures
		};
	}; // prettier-ignore
</script>

<div class="chart" aria-hidden="true" style:min-height="{height}px" {@attach drawn(options)}></div>

<style>
	.chart {
		--chart-ink: light-dark(#1b2333, #e9ecf1);
		--chart-muted: light-dark(#5c6573, #a5adba);
		--chart-line: light-dark(#d9dde3, #333b48);
	}
</style>
