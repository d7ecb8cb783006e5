import type { Bench } from './bench.svelte.ts';

/** In one size only: another in the place of what is swappable; nothing is as it stands. */
export async function swapInSize(
	bench: Pick<Bench, 'change' | 'fetchDesign'>,
	size: string,
	{ element, to, design }: { readonly element: string; readonly to: string; readonly design: boolean }
): Promise<void> {
	if (design && to && !(await bench.fetchDesign(to))) return;
	bench.change((d) => {
		const own = d.sizes.find((s) => s.id === size);
		if (own && to) own.swaps[element] = to;
		else if (own) delete own.swaps[element];
	});
}
