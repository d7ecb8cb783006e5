import type { ApexOptions } from 'apexcharts';
import type { Attachment } from 'svelte/attachments';

/** A colour of the page as it is in this theme: the library paints with values, not with variables. */
const inkOf = (element: Element, name: string): string =>
	getComputedStyle(element).getPropertyValue(name).trim();

/** What every chart here has alike: its inks in this theme, no tools, no movement. @param height pixels */
export function chartFrame(element: Element, type: NonNullable<ApexOptions['chart']>['type'], height: number) {
	const [ink, muted, line] = [inkOf(element, '--chart-ink'), inkOf(element, '--chart-muted'), inkOf(element, '--chart-line')]; // prettier-ignore
	return {
		ink,
		muted,
		theme: inkOf(element, 'color-scheme').includes('dark') ? ('dark' as const) : ('light' as const),
		frame: {
			chart: { type, height, toolbar: { show: false }, zoom: { enabled: false }, animations: { enabled: false }, fontFamily: 'inherit', background: 'transparent' },
			grid: { borderColor: line, strokeDashArray: 0 }
		} satisfies ApexOptions
	};
} // prettier-ignore

/** Draws a chart into an element. The library is fetched only where one is shown. */
export const drawn =
	(options: (element: Element) => ApexOptions): Attachment<HTMLElement> =>
	(element) => {
		const wanted = options(element);
		let gone = false;
		let chart: { destroy(): void } | undefined;
		void import('apexcharts').then(async ({ default: ApexCharts }) => {
			if (gone) return;
			const made = new ApexCharts(element, wanted);
			chart = made;
			await made.render();
		});
		return () => {
			gone = true;
			chart?.destroy();
		};
	};
