import { type Packing, type PackJob } from '../core/structures/run/pack-job.ts';
import { packing } from '../core/structures/run/pack-run.ts';

/** What the worker tells: how far it is, 0 to 1, then the packing. */
export type PackingTell = { readonly share: number } | { readonly done: Packing };

addEventListener('message', ({ data }: MessageEvent<PackJob>) => {
	const going = packing(data);
	for (;;) {
		const step = going.next();
		if (step.done) {
			postMessage({ done: step.value } satisfies PackingTell);
			return;
		}
		postMessage({ share: step.value } satisfies PackingTell);
	}
});
