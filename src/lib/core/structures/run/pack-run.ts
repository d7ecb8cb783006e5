import type { Packing, PackJob, Placed } from './pack-job.ts';
import { Packer, PULL } from './packer.ts';

/** Share of that which packing begins with: what is missing comes by the gaps. It does not decide the count. */
const BEGIN = 0.6;
/** How the first rough picture is relaxed, how a packing is, and how often gaps are filled and balls taken out. */
const [ROUGH, ROUNDS, AFTER, FILLS, THINS] = [8, 100, 20, 40, 40];

/**
 * Packs a run, telling how far it is, 0 to 1, between its rounds. Balls are set along the path, relaxed, and set into
 * gaps until none that is seen from where guests stand is over the limit; then they are taken out again while none is.
 * House model: balls on a spine, rigid but for what latex gives.
 */
export function* packing(job: PackJob): Generator<number, Packing> {
	const packer = new Packer(job, job.counts === null ? BEGIN : 1);
	for (let i = 0; i < 5; i++) {
		packer.rounds(ROUNDS / 5, i < 2 ? PULL.first : PULL.then);
		yield (i + 1) / 10;
	}
	packer.rounds(AFTER, PULL.last);
	if (job.counts !== null) return packer.result();
	const closed = function* (from: number, share: number) {
		for (let i = 0; i < FILLS && packer.fill() > 0; i++) {
			// What has come is at rest when the gaps are looked at.
			packer.rounds(AFTER, PULL.last);
			yield from + (share * (i + 1)) / FILLS;
		}
	};
	yield* closed(0.5, 0.25);
	let best = { count: packer.count, back: packer.snapshot() };
	for (let i = 0, vain = 0; i < THINS && vain < 4 && packer.thin() > 0; i++) {
		packer.rounds(AFTER, PULL.last);
		yield* closed(0.75 + (0.25 * i) / THINS, 0);
		vain++;
		if (packer.count >= best.count || packer.isOpen()) continue;
		best = { count: packer.count, back: packer.snapshot() };
		vain = 0;
	}
	best.back();
	return packer.result();
}

export function packNow(job: PackJob): Packing {
	const going = packing(job);
	for (;;) {
		const step = going.next();
		if (step.done) return step.value;
	}
}

/** A first picture, at once: the same balls, hardly relaxed. */
export function packRoughly(job: PackJob): Placed {
	const packer = new Packer(job);
	packer.rounds(ROUGH, PULL.first);
	return packer.placed();
}
