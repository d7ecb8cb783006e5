import { describe, expect, test } from 'vitest';
import { askFirst, effectWords, type StockEffect } from './stock-effect.ts';

const say = (minor: number) => (minor / 100).toFixed(2);
const nothing: StockEffect = { designs: [], drafts: 0 };
const studio = { settings: { decimal: '.' } } as never;
const changed = { id: 'a' } as never;

describe('what a change of the Stockroom would move', () => {
	test('is a sentence with how many, and the largest by how much; nothing moved is no sentence', () => {
		expect(effectWords(nothing, say)).toBe('');
		const moved = { ...nothing, designs: [{ name: 'Lighthouse', by: 420 }, { name: 'Crab', by: -10 }], drafts: 2 }; // prettier-ignore
		expect(effectWords(moved, say)).toBe('This moves 2 designs and 2 drafts; the largest by +4.20, Lighthouse.');
		expect(effectWords({ ...nothing, drafts: 1 }, say)).toBe('This moves 1 draft.');
		expect(effectWords({ ...moved, designs: [{ name: 'Crab', by: null }] }, say)).toContain('not all that it costs is known');
	}); // prettier-ignore
	test('is asked once: meant only where the very same is sent again', async () => {
		const work = () => Promise.resolve({ ...nothing, drafts: 1 });
		const first = await askFirst(work, studio, changed, { price: '12' });
		expect(first.say).toBe('This moves 1 draft.');
		expect((await askFirst(work, studio, changed, { price: '12', meant: first.about })).say).toBe('');
		expect((await askFirst(work, studio, changed, { price: '13', meant: first.about })).say).not.toBe('');
		expect((await askFirst(work, studio, changed, { price: '12', meant: 'yes' })).say).not.toBe('');
	});
});
