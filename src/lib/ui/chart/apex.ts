import type { ApexOptions } from 'apexcharts';
import type { Attachment } from 'svelte/attachments';

/** A colour of the page as it is in this theme: the library paints with values, not with variables. */
export const inkOf = (element: Element, name: string): string =>
	getComputedStyle(element).getPropertyValue(name).trim();

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
