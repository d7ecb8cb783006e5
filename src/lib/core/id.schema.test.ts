import { expect, test } from 'vitest';
import { design } from '../../../tests/kit/studio.ts';
import { idSchema } from './id.schema.ts';
import { recipeSchema } from './recipe/recipe.schema.ts';

test.each([
	'__proto__',
	'constructor',
	'toString',
	'..',
	'.',
	'a/b',
	'a\\b',
	'a?b',
	'a#b',
	'',
	'x'.repeat(65),
	'a\nb'
])('“%s” is no id', (id) => expect(idSchema.safeParse(id).success).toBe(false));
test.each(['11-white', 'quote-regatta', 'd.1', 'foil star', '3f2a'])('“%s” is one', (id) =>
	expect(idSchema.safeParse(id).success).toBe(true)
);
test('a recipe whose section is called by a name that objects have is refused', () => {
	const recipe = design('d', '4 11 at 9 white');
	const [section] = recipe.sections;
	const named = { ...recipe, sections: [{ ...section, id: '__proto__' }] };
	expect(recipeSchema.safeParse(JSON.parse(JSON.stringify(named))).success).toBe(false);
	expect(recipeSchema.safeParse(JSON.parse(JSON.stringify(recipe))).success).toBe(true);
});
