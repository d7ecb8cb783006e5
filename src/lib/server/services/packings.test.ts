import { expect, test } from 'vitest';
import { demoDesigns } from '../../../../scripts/demo/designs.ts';
import { demoRecipe } from '../../../../scripts/demo/load.ts';
import type { Run } from '../../core/structures/run/document.ts';
import { packJob, packKey } from '../../core/structures/run/organic.ts';
import { packNow } from '../../core/structures/run/pack-run.ts';
import { packAtOnce } from './packings.ts';

const tail = demoRecipe(demoDesigns.find((d) => d.id === 'comet-tail-garland')!).sections[0]!
	.structure as Run;

test('the server packs what the Bench packs: the same balls, kept for the next who looks', () => {
	const job = packJob(tail, null)!;
	const first = packAtOnce(job)!;
	expect(first).toEqual(packNow(structuredClone(job)));
	expect(packAtOnce(structuredClone(job))).toBe(first);
	expect(tail.organic.packed).toMatchObject({ key: packKey(tail), counts: first.counts });
});

test('what has not been looked at for long is packed anew', () => {
	const short: Run = { ...tail, path: { kind: 'line', length: 300_000 as never } };
	const jobs = Array.from({ length: 205 }, (_, seed) => packJob({ ...short, organic: { ...tail.organic, seed } }, null)!); // prettier-ignore
	const [first] = jobs.map((job) => packAtOnce(job));
	const again = packAtOnce(jobs[0]!);
	expect(again).not.toBe(first);
	expect(again).toEqual(first);
});
