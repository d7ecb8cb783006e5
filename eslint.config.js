import svelte from 'eslint-plugin-svelte';
import ts from 'typescript-eslint';
import svelteConfig from './svelte.config.js';

const pure = 'src/lib/core/** is pure: pass it in, or do it in server/, features/ or routes/.';
const deny = (regex, message) => ({ patterns: [{ regex, message }] });

export default ts.config(
	{ ignores: ['.svelte-kit/', 'build/', 'drizzle/', 'data/', '.dependency-cruiser.cjs', 'test-results/'] },
	...ts.configs.recommended,
	...svelte.configs.recommended,
	{
		files: ['**/*.svelte', '**/*.svelte.ts'],
		languageOptions: { parserOptions: { parser: ts.parser, svelteConfig } }
	},
	{
		rules: {
			'@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_' }],
			// Every address of this app stands at the root; there is no base path to resolve.
			'svelte/no-navigation-without-resolve': 'off',
			'svelte/prefer-svelte-reactivity': 'off'
		}
	},
	{
		files: ['src/lib/core/**/*.ts'],
		ignores: ['**/*.test.ts', '**/*.schema.ts', '**/*.bench.ts'],
		rules: {
			'no-restricted-imports': [
				'error',
				deny('^(?!\\.{1,2}/|(culori/fn|fraction\\.js)$)|\\.schema|/(ui|server|features)/', pure)
			],
			'no-restricted-globals': [
				'error',
				'window',
				'document',
				'fetch',
				'console',
				'process',
				'localStorage',
				'crypto',
				'performance'
			],
			'no-restricted-syntax': [
				'error',
				{
					selector: "MemberExpression[object.name='Math'][property.name='random']",
					message: 'Take a random source as an argument.'
				},
				{
					selector:
						"MemberExpression[object.name='Date'][property.name='now'], NewExpression[callee.name='Date'][arguments.length=0]",
					message: 'Take the time as an argument.'
				}
			]
		}
	},
	{
		files: ['src/lib/ui/**'],
		rules: {
			'no-restricted-imports': [
				'error',
				deny('^\\$app/|/(core|features|server)/', 'The kit knows nothing of the domain.')
			]
		}
	},
	{
		files: ['src/routes/**'],
		rules: {
			'no-restricted-imports': [
				'error',
				deny(
					'^(drizzle-orm|@libsql)|^\\$lib/server/db/tables',
					'Routes talk to repositories, never to tables.'
				)
			]
		}
	}
);
