import fc from 'fast-check';
import { expect, test } from 'vitest';
import { LINES, said } from '../../../../tests/kit/entry-lines.ts';
import { NOW, tempStudio } from '../../../../tests/kit/temp-db.ts';
import { readRecipeFile } from '../../core/files/bundle.schema.ts';
import { bundleOf } from '../../core/files/bundle.ts';
import { namesIn } from '../../core/files/remap.ts';
import type { Material } from '../../core/materials/material.ts';
import { parseBounded } from '../../core/units/number.ts';
import { applyEntry } from '../../core/language/apply.ts';
import type { RecipeDraft } from '../../core/recipe/draft.ts';
import type { Recipe } from '../../core/recipe/recipe.ts';
import { rationalText } from '../../core/units/rational.ts';
import type { Repos } from '../repos/index.ts';
import { readBrought } from './import-designs.ts';
import { loadStudio } from './studio.ts';

const groups = Object.values(LINES).flat();
/** A recipe of any kind: what stands there first, and some of the lines that can be said then. */
const recipes = fc
	.tuple(fc.nat(groups.length - 1), fc.array(fc.nat(40), { maxLength: 4 }), fc.string({ unit: 'grapheme', minLength: 1, maxLength: 30 }))
	.map(([at, picks, name]): Recipe => {
		const [before, ...lines] = groups[at]!;
		const { recipe, section, read } = said(before);
		const draft = structuredClone(recipe) as RecipeDraft;
		let n = 0;
		for (const pick of picks) {
			const parsed = read(lines[pick % lines.length]!);
			if (parsed.ok) applyEntry(draft, parsed.value, { section }, () => `id-${n++}`);
		}
		return { ...(draft as Recipe), name: name.trim() || 'design' };
	}); // prettier-ignore
/** A loss as it may be typed, with any number of places. */
const losses = fc
	.tuple(fc.nat(99), fc.string({ unit: fc.constantFrom(...'0123456789'), maxLength: 12 }))
	.map(([whole, places]) => (places ? `${whole}.${places}` : String(whole)));

/** Everything a studio has, as the file that leaves it. */
async function exported(repos: Repos): Promise<string> {
	const rows = await repos.designs.shelf();
	const { designs } = await repos.designs.those(rows.map((r) => r.id));
	return JSON.stringify(
		bundleOf(
			designs.map(({ id, recipe }) => ({ id, recipe })),
			await loadStudio(repos)
		)
	);
}

test('whatever is stored can be exported, read back and brought in, and is the same there (property)', async () => {
	await fc.assert(
		fc.asyncProperty(
			fc.array(recipes, { minLength: 1, maxLength: 4 }),
			fc.array(losses, { minLength: 3, maxLength: 3 }),
			async (made, typed) => {
				const [here, there] = [await tempStudio(), await tempStudio()];
				for (const [i, recipe] of made.entries()) await here.repos.designs.create(`d${i}`, recipe, NOW);
				const first = (await here.repos.stock.materials())[0]!;
				for (const [i, text] of typed.entries()) {
					const loss = parseBounded(text, { what: 'The loss', min: 0, max: 90 });
					if (!loss.ok) continue;
					const lost: Material = { ...first, packs: [], id: `m${i}`, name: `Ωx ${i}`, loss: rationalText(loss.value.div(100)) };
					await here.repos.stock.addMaterial({ ...lost, pack: { id: `p${i}`, supplierId: 'quayside', count: 10, priceMinor: 100 } });
				} // prettier-ignore
				const file = await exported(here.repos);
				const read = readRecipeFile(file, () => 'unused');
				if (!read.ok) throw new Error(read.say);
				expect(read.misread).toEqual([]);
				const { colours, materials, designs } = read.bundle;
				const brought = readBrought(JSON.stringify({ colours, materials, designs }));
				if ('say' in brought) throw new Error(brought.say);
				await there.repos.stock.importMaterials(brought.value);
				await there.repos.designs.importDesigns(brought.value.designs, NOW);
				for (const [i, recipe] of made.entries())
					expect((await there.repos.designs.find(`d${i}`))?.recipe).toEqual(recipe);
				const names = new Set(made.flatMap((recipe) => [...namesIn(recipe).materials]));
				const ids = (await there.repos.stock.materials()).map((m) => m.id);
				const known = (await here.repos.stock.materials()).map((m) => m.id);
				expect([...names].filter((id) => known.includes(id) && !ids.includes(id))).toEqual([]);
				expect(JSON.parse(await exported(there.repos))).toEqual(JSON.parse(file));
			}
		),
		{ numRuns: 12, seed: 13 }
	);
}, 60_000);
