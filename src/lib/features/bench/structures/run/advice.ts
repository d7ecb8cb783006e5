import type { Run } from '../../../../core/structures/run/document.ts';
import { changeRun } from '../../../../core/structures/run/edit.ts';
import { estimateUsed, packJob } from '../../../../core/structures/run/organic.ts';
import type { Bench } from '../../bench.svelte.ts';
import type { Advice } from '../screen.ts';

/** Packing asks for so much more before it is said beside the price. House rule. */
const MORE = 1.1;

/** A mix through which one sees: packed until no gap is too wide it takes clearly more than it is priced with. */
export function advice(
	run: Run,
	bench: Bench,
	section: { readonly id: string; readonly name: string }
): Advice | null {
	if (run.mix.length === 0 || run.organic.by === 'packed') return null;
	const packing = bench.packer.find(packJob(run, null)?.key);
	const used = estimateUsed(run).total;
	const asked = packing?.counts.reduce((a, c) => a + c, 0) ?? 0;
	if (used === null || asked < used * MORE) return null;
	return {
		say: `One sees through ${section.name}: ${used} balloons where packing asks ${asked}.`,
		does: `take ${asked}`,
		act: () => void bench.change((d) => changeRun(d, section.id, (r) => (r.organic.by = 'packed')))
	};
}
