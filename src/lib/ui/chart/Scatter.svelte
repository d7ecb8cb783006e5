<script lang="ts">
	import type { ApexOptions } from 'apexcharts';
	import { chartFrame, drawn } from './apex.ts';

	interface Props {
		label: string;
		across: string;
		up: string;
		/** Points with what they are called; each series has its own mark, so that none is told by its colour alone. */
		series: readonly {
			readonly name: string;
			readonly points: readonly (readonly [x: number, y: number, called: string])[];
		}[];
		/** A point to mark. */
		here?: readonly [number, number] | undefined;
	}
	let { label, across, up, series, here }: Props = $props();
	const MARKS = ['circle', 'cross', 'square'] as const;
	const whole = (value: number) => String(Math.round(value));

	const options = (element: Element): ApexOptions => {
		const { ink, muted, theme, frame } = chartFrame(element, 'scatter', 260);
		const title = (text: string) => ({ text, style: { color: muted, fontWeight: 400 } });
		return {
			...frame,
			series: series.map(({ name, points }) => ({ name, data: points.map(([x, y]) => ({ x, y })) })),
			colors: [ink, muted, ink],
			markers: { size: 6, shape: MARKS.slice(0, series.length) as never, strokeWidth: 1.5 },
			legend: { show: true, showForSingleSeries: true, labels: { colors: ink } },
			tooltip: {
				theme,
				x: { formatter: (_, at) => series[at?.seriesIndex ?? 0]?.points[at?.dataPointIndex ?? 0]?.[2] ?? '' },
				y: { formatter: (value) => value.toFixed(2) }
			},
			xaxis: {
				type: 'numeric',
				tickAmount: 6,
				title: title(across),
				labels: { formatter: (v) => whole(Number(v)), style: { colors: muted } }
			},
			yaxis: { min: 0, title: title(up), labels: { formatter: whole, style: { colors: muted } } },
			annotations: here
				? {
						points: [
							{
								x: here[0],
								y: here[1],
								marker: { size: 8, fillColor: '#ffd84d', strokeColor: ink, strokeWidth: 2 },
								label: {
									text: 'this one',
									borderColor: 'transparent',
									style: { background: 'transparent', color: ink }
								}
							}
						]
					}
				: {}
		};
	};
</script>

<!-- The numbers stand in a table beside it. -->
<div class="chart" role="img" aria-label={label} {@attach drawn(options)}></div>

<style>
	.chart {
		--chart-ink: var(--ink);
		--chart-muted: var(--muted);
		--chart-line: var(--line);
		min-height: 260px;
		max-width: 760px;
	}
</style>
