import { describe, expect, test } from 'vitest';
import { LINES, said } from '../../../../tests/kit/entry-lines.ts';
import { applyEntry } from './apply.ts';
import type { RecipeDraft } from '../recipe/draft.ts';
import { recipeSchema } from '../recipe/recipe.schema.ts';

/** Figures beyond what anybody means, and at the edges of what is kept. */
const FIGURES = ['0', '1', '0.000000000001', '1/999999999', '1/3', '24', '25', '200', '201', '999', '10001', '999999', '123456789012', '0.333333333333'] as const; // prettier-ignore

/** Each line with one of its figures exchanged for another. */
function* mutations(line: string): Generator<string> {
	for (const found of line.matchAll(/\d[\d./½]*/g))
		for (const figure of FIGURES)
			yield line.slice(0, found.index) + figure + line.slice(found.index + found[0].length);
	yield line.replace(/ [a-z]+$/, ` ${'long '.repeat(40)}`);
}

describe('what the entry line accepts can be kept', () => {
	test.each(Object.entries(LINES))('%s', (_, groups) => {
		let n = 0;
		const refused: string[] = [];
		for (const [before, ...lines] of groups) {
			const { recipe, section, read } = said(before);
			for (const line of lines)
				for (const changed of mutations(line)) {
					const parsed = read(changed);
					if (!parsed.ok) continue;
					const draft = structuredClone(recipe) as RecipeDraft;
					applyEntry(draft, parsed.value, { section }, () => `id-${n++}`);
					const kept = recipeSchema.safeParse(draft);
					if (!kept.success)
						refused.push(
							`${changed}: ${kept.error.issues[0]!.path.join(' ')} ${kept.error.issues[0]!.message}`
						);
				}
		}
		expect(refused).toEqual([]);
	});
});
