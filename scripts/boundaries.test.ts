import { ESLint } from 'eslint';
import { expect, test } from 'vitest';

const eslint = new ESLint();
const rulesBroken = async (filePath: string, code: string) => {
	const [result] = await eslint.lintText(code, { filePath });
	return result!.messages.map((m) => m.ruleId);
};

test.each([
	['src/lib/core/x.ts', `import { onMount } from 'svelte';\nonMount(() => {});`, 'no-restricted-imports'],
	['src/lib/core/x.ts', `export const now = Date.now();`, 'no-restricted-syntax'],
	['src/lib/core/x.ts', `export const now = new Date();`, 'no-restricted-syntax'],
	['src/lib/core/x.ts', `export const dice = Math.random();`, 'no-restricted-syntax'],
	['src/lib/core/x.ts', `export const id = crypto.randomUUID();`, 'no-restricted-globals'],
	[
		'src/lib/core/x.ts',
		`import { recipeSchema } from './recipe.schema.ts';\nexport { recipeSchema };`,
		'no-restricted-imports'
	],
	[
		'src/lib/ui/x.ts',
		`import { money } from '../core/money/money.ts';\nexport { money };`,
		'no-restricted-imports'
	],
	['src/routes/x.ts', `import { eq } from 'drizzle-orm';\nexport { eq };`, 'no-restricted-imports']
])('%s may not hold %j', async (path, code, rule) => {
	expect(await rulesBroken(path, code)).toContain(rule);
});
test('the core may use exact fractions, colour science and a given moment', async () => {
	const code = `import Fraction from 'fraction.js';\nexport const day = new Date(0);\nexport const half = new Fraction(1, 2);`;
	expect(await rulesBroken('src/lib/core/x.ts', code)).toEqual([]);
});
