import { describe, expect, test } from 'vitest';
import { LINES, PUMPS, said, STOCK } from '../../../../tests/kit/entry-lines.ts';
import { figuresOf } from '../../../../tests/kit/kept.ts';
import { catalogueOf, colours, designOf, rates } from '../../../../tests/kit/studio.ts';
import { applyEntry } from '../language/apply.ts';
import type { RecipeDraft } from './draft.ts';
import type { Recipe } from './recipe.ts';

/**
 * Figures that came out once, of documents that hold everything a recipe can hold. They say nothing about what is right
 * (the tests beside each computation do); they say that something changed, so that nobody changes a figure without
 * knowing it. `npx vitest run kept-figures -u` writes them anew; the difference is read before it is committed.
 */
const context = {
	catalogue: catalogueOf(STOCK, colours),
	rates: { ...rates, pumps: PUMPS },
	library: () => said([]).recipe
};

/** Whole pieces as they are built, with what the lines of the language test do not come to. */
const PIECES: Readonly<Record<string, readonly string[]>> = {
	'stepped column': ['pole 7 ft', '4 16 at 13 grey', '4 11 at 9 white + 2 5 at 4 red', '4 11 at 8½ spiral white / red x6', '3 11 at 7 checker white / red x3', '1 16 at 12 red', 'put 3 5 at 4 gold on row 2 front with glue', 'put 1 16 at 12 white filled with 5 at 4 red on row 3 round', '1 fairy lights'],
	'uneven rings': ['4 11 at 9 white + 1 11 at 5 red', '5 11 at 6 to 9 white', '2 11 at 9 red back tier 1', '1 5 at 4 gold front', '4 11 at 10 white straight x2'],
	'four round a host': ['4 11 at 9 white x4', 'section leg round column x4', '4 5 at 4 red x2', 'section arm x3 left of column gap 5 ft', '3 5 at 4 gold', 'section top mirrored on column', '1 16 at 12 grey'],
	'garland with limbs': ['run garland', 'corners up 6 ft, right 8 ft, down 6 ft', '60 % 11 at 9 of white', '40 % 5 at 4 of red', 'tee at 3 ft left 2 ft', 'cross at 12 ft up 2 ft', 'thicker in the middle', 'infill 2 to 4 a foot 5 at 3 red', 'hung on hooks every 2 ft with wall hook', 'spine soft line tails 2 ft 2 loops 4 ties a metre'],
	'helix of clusters': ['run twist', 'helix 5 ft across 2 ft high 3 turns', '4 5 at 4 white', '3 11 at 7 red x2', 'section foot', '4 11 at 9 grey'],
	'packed round a pole': ['run coil', 'helix 2 ft across 3 ft high 1 turns', '60 % 11 at 9 of white', '40 % 5 at 4 of red'],
	'swag along a pole': ['run swag', 'catenary 8 ft by 2 ft', '4 5 at 4 white / red x2', '1 11 at 9 gold', 'put 1 16 at 12 red on swag at 4 ft'],
	'drawn curve': ['run drift', 'curve 0 by 0, 2 by 3, 4 by 0, 6 by 2 ft', '4 5 at 4 white apart 3 in', 'on a table'],
	'bouquet on a column': ['4 11 at 9 white x3', 'bunch tops on column', '3 11 at 10 white', '2 moon foil in helium', '1 buoy foil on 4 ft thin ribbon', 'letters TIDE of red', 'weight sack'],
	'air foils': ['bunch low', '5 moon foil in air firm', '2 11 at 11 red', 'weight 5 at 3 white filled with sand'],
	'bent figure': ['4 11 at 9 white', '4 11 at 9 red', 'form limbs on column', '6 260 red 7 as leg on column row 2 round', '5 260 red 12 bent 180', '3 260 white 20 3 together', '5 260 red 12 growing 9½', '2 350 red 10 + 6 as leg', '8 260 red 40 wound'],
	'basket with a handle': ['weave basket', 'basket of 10 links at 9', '3 rows 8 white / 8 red', 'bent over 6 ft', 'handle of 8 red over 6 ft to 4 ft', 'edge quad', 'joined with 5 at 2 white'],
	'wall of links': ['weave wall', 'wall of 10 links at 9', '4 rows 6 white', '2 rows 3 red / 3 gold', 'held 1 of 3 staggered 1', 'hung on backdrop'],
	'honeycomb of rounds': ['weave comb', 'honeycomb of 11 rounds at 9', '3 rows 5 white', 'inner duplet', 'edge single'],
	'base below a column': ['weave foot', 'base of 10 links at 9, 8 by 4 with 2 cross pieces', 'section column on foot', '4 11 at 9 white x5'],
	'unknown sizes': ['4 11 at ? white', '4 11 at loose red x2', '4 11 at random gold', '1 11 at 4 strokes of hand pump white', '2 to 4 stake', 'size small 4 ft scaled'],
	'painted and filled': ['4 11 at 9 white painted', '1 16 at 12 white filled with water', '1 16 at 12 red filled with marbles', 'stands on a box', 'mast 6 ft', 'each strip takes 2 adhesive strip', 'leave out red']
}; // prettier-ignore

const lines = (name: string, recipe: Recipe) => [`# ${name}`, ...figuresOf(recipe, context), ''];

describe('what came out once still comes out', () => {
	test.each(Object.entries(PIECES))('%s', async (name, own) => {
		const recipe = designOf(STOCK, name, own, PUMPS);
		const file = `../../../../tests/kept/${name.replaceAll(' ', '-')}.txt`;
		await expect(lines(name, recipe).join('\n')).toMatchFileSnapshot(file);
	});
	test.each(Object.entries(LINES))('each line of %s', async (name, groups) => {
		const figures = groups.flatMap(([before, ...own]) => {
			const { recipe, section } = said(before);
			const draft = structuredClone(recipe) as RecipeDraft;
			let n = 0;
			for (const line of own) {
				const parsed = said(before, draft as Recipe).read(line);
				if (parsed.ok) applyEntry(draft, parsed.value, { section }, () => `id-${n++}`);
			}
			return lines(own[0] ?? name, draft as Recipe);
		});
		await expect(figures.join('\n')).toMatchFileSnapshot(`../../../../tests/kept/line-${name}.txt`);
	});
});
