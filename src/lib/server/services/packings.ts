import type { Packing, Packed } from '../../core/structures/run/pack-job.ts';
import { packNow } from '../../core/structures/run/pack-run.ts';

/** Packings kept in memory: a Shelf shows the same runs again and again. */
const MOST_KEPT = 200;
const kept = new Map<string, Packing>();

/** Packs at once, and keeps it: at the server nobody is typing. The same job gives the same picture as on the Bench. */
export const packAtOnce: Packed = (job) => {
	const cached = kept.get(job.key);
	if (cached) return cached;
	const packing = packNow(job);
	if (kept.size >= MOST_KEPT) kept.delete(kept.keys().next().value!);
	kept.set(job.key, packing);
	return packing;
};
