import { expect, test } from 'vitest';
import { designOf, floating } from '../../../../../tests/kit/studio.ts';
import { asKind } from '../kinds.ts';
import { estimateUsed, packJob, packKey } from './organic.ts';
import type { Run } from './document.ts';
import { packingsToTake } from './take-packing.ts';

const garland = (...more: string[]) =>
	designOf(floating, 'garland', [
		'run garland',
		'line 6 ft',
		'60 % 5 at 4½ of white',
		'40 % 11 at 9 of red',
		...more
	]);
const runOf = (recipe: ReturnType<typeof garland>) => asKind(recipe.sections[0]!.structure, 'run') as Run;

test('a run counted by packing takes what its own packing came to, once', () => {
	const recipe = garland('counted by packing');
	const job = packJob(runOf(recipe), null)!;
	const done = (key: string) => (key === job.key ? ({ counts: [30, 12] } as never) : undefined);
	const [taken, ...others] = packingsToTake(recipe.sections, done);
	expect(others).toEqual([]);
	expect(taken).toEqual({
		section: recipe.sections[0]!.id,
		packed: { key: packKey(runOf(recipe)), length: 6 * 304_800, counts: [30, 12] }
	});
	const run = { ...runOf(recipe), organic: { ...runOf(recipe).organic, packed: taken!.packed } };
	expect(estimateUsed(run).counts).toEqual([30, 12]);
	expect(packingsToTake([{ ...recipe.sections[0]!, structure: run }], done)).toEqual([]);
});

test('what was packed of another run, or is counted another way, is not taken', () => {
	expect(packingsToTake(garland('counted by packing').sections, () => undefined)).toEqual([]);
	expect(packingsToTake(garland().sections, () => ({ counts: [1, 1] }) as never)).toEqual([]);
});
