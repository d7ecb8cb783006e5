import { describe, expect, test } from 'vitest';
import { colours, counter, designOf, entryContext, floating } from '../../../../tests/kit/studio.ts';
import type { RecipeDraft } from '../recipe/draft.ts';
import { recipeSchema } from '../recipe/recipe.schema.ts';
import type { Recipe } from '../recipe/recipe.ts';
import type { Kind } from '../structures/kinds.ts';
import { examplesOf, holdsLines, startOf, STARTS } from '../structures/registry/language.ts';
import { applyEntry, whyNot } from './apply.ts';
import { parseEntry } from './read.ts';

const KINDS: readonly Kind[] = [
	'stack',
	'applied',
	'extras',
	'bunch',
	'form',
	'run',
	'weave',
	'frame',
	'design'
];
const stock = [
	...floating,
	...['reeds', 'sandbag', 'stakes'].map((name) => ({
		...floating.find((m) => m.id === 'star card')!,
		id: name,
		name
	}))
];

const named = ['black', 'clear', 'blue'].map((name) => ({ ...colours[0]!, id: name, name }));

/** A design with a section of a kind in hand, on rows that pieces can sit on. */
function inHand(kind: Kind): { recipe: Recipe; section: string } {
	const begins = startOf({ kind });
	const lines = ['4 11 at 9 white x3', ...(begins && begins !== 'section' ? [`${begins} hand`] : [])];
	const recipe = designOf(stock, 'examples', lines);
	return { recipe, section: recipe.sections.at(-1)!.id };
}

describe.each(KINDS.filter((kind) => examplesOf({ kind }).length > 0))('%s', (kind) => {
	test.each(examplesOf({ kind }))('the example “%s” is read, done and kept', (line) => {
		const { recipe, section } = inHand(kind);
		const entry = parseEntry(line, {
			...entryContext(recipe),
			materials: stock,
			colours: [...colours, ...named],
			section
		});
		if (!entry.ok) throw new Error(entry.say);
		expect(whyNot(recipe, entry.value, { section })).toBeUndefined();
		const draft = structuredClone(recipe) as RecipeDraft;
		applyEntry(draft, entry.value, { section }, counter('e'));
		expect(recipeSchema.safeParse(JSON.parse(JSON.stringify(draft))).error?.issues ?? []).toEqual([]);
	});
});

test('a word begins each kind the line can stand in, and no other', () => {
	expect(KINDS.filter((kind) => holdsLines({ kind }))).toEqual(
		KINDS.filter((kind) => startOf({ kind }) !== null)
	);
	for (const [word, empty] of STARTS) expect(startOf(empty())).toBe(word);
	expect([...STARTS.keys()].sort()).toEqual(['bunch', 'form', 'frame', 'run', 'section', 'weave']);
});

test('a layer said where nothing holds layers is refused; said elsewhere it goes to the first stack', () => {
	const bunch = designOf(floating, 'bunch', ['bunch buoy', '3 11 at full white']);
	const [{ id }] = bunch.sections as [Recipe['sections'][number]];
	const layer = parseEntry('pole 7 ft', { ...entryContext(bunch), section: id });
	if (!layer.ok) throw new Error(layer.say);
	expect(whyNot(bunch, layer.value, { section: id })).toMatch(/No section here holds layers/);
	const { recipe, section } = inHand('bunch');
	const draft = structuredClone(recipe) as RecipeDraft;
	expect(whyNot(recipe, layer.value, { section })).toBeUndefined();
	expect(applyEntry(draft, layer.value, { section, index: 0 }, counter('e'))).toBe(recipe.sections[0]!.id);
});
