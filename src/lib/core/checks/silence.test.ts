import { expect, test } from 'vitest';
import { design, rates, studio } from '../../../../tests/kit/studio.ts';
import { tally } from '../tally/tally.ts';
import { findingKey, wordKey } from './finding.ts';
import { byWhatItIsAbout, isSilenced } from './silence.ts';

// Tall, and nothing holds it down: the sentence says how tall.
const recipe = design('tall', '4 11 at 10.5 white x9', '4 11 at 8.5 white');
const { findings } = tally(recipe, null, 1, { catalogue: studio, rates, library: () => undefined });
const finding = findings.find((f) => f.code === 'light-base');

test('a reworded sentence stays silenced', () => {
	const silenced = [{ finding: findingKey(finding!), reason: 'wanted so' }];
	expect(isSilenced(finding!, silenced)).toBe(true);
	expect(isSilenced({ ...finding!, say: 'Other words: altogether.' }, silenced)).toBe(true);
	expect(isSilenced({ ...finding!, about: 'another row' }, silenced)).toBe(false);
	expect(isSilenced({ ...finding!, tell: 'another of it' }, silenced)).toBe(false);
});

test('what was silenced by words is heard, and known by what it is about from then on', () => {
	const before = [
		{ finding: wordKey(finding!), reason: 'wanted so' },
		{ finding: 'gone/no such words', reason: 'was there once' }
	];
	expect(isSilenced(finding!, before)).toBe(true);
	const after = byWhatItIsAbout(before, findings);
	expect(after).toEqual([{ finding: findingKey(finding!), reason: 'wanted so' }, before[1]]);
	expect(byWhatItIsAbout(after, findings)).toBe(after);
});
