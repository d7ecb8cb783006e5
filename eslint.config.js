import { readdirSync } from 'node:fs';
import svelte from 'eslint-plugin-svelte';
import ts from 'typescript-eslint';
import svelteConfig from './svelte.config.js';

const pure = 'src/lib/core/** is pure: pass it in, or do it in server/, features/ or routes/.';
/** A kind has a folder of its own: a new one is known by it. */
const KINDS = `^(${readdirSync('src/lib/core/structures', { withFileTypes: true })
	.filter((e) => e.isDirectory() && !['facets', 'registry', 'kit'].includes(e.name))
	.map((e) => e.name)
	.join('|')})$`;
const ASK = 'Ask a registry of core/structures: a kind that is compared here is forgotten here.';
/** A kind of structure is known to its rooms alone. */
const noKinds = [
	{
		selector: `BinaryExpression[operator=/^[!=]==$/]:has(> MemberExpression[property.name='kind']):has(> Literal[value=/${KINDS}/])`,
		message: ASK
	},
	{
		selector: `SwitchStatement[discriminant.property.name='kind'] > SwitchCase > Literal[value=/${KINDS}/]`,
		message: ASK
	},
	{ selector: 'CallExpression[callee.name=/^(asKind|ofKind)$/]', message: ASK }
];
const noChance = [
	{
		selector: "MemberExpression[object.name='Math'][property.name='random']",
		message: 'Take a random source as an argument.'
	},
	{
		selector:
			"MemberExpression[object.name='Date'][property.name='now'], NewExpression[callee.name='Date'][arguments.length=0]",
		message: 'Take the time as an argument.'
	}
];
/** What is about one kind alone and has no room of its own yet. This list only becomes shorter. */
const SPEAK_OF_KINDS = [
	// Documents of old versions, with the kinds they had.
	'src/lib/core/recipe/upgrade.ts',
	// Lines that hold something: what extras are for.
	'src/lib/core/recipe/serving-lines.ts',
	// Stacks are rebuilt, mixes learn: what is counted back to.
	'src/lib/core/rebuild/as-clusters.ts',
	'src/lib/core/count-back/as-counted.ts',
	// What floats, on the day.
	'src/lib/core/quote/day.ts',
	// The stack in hand, whose layers the entry line stands between; the choices of a design inside.
	'src/lib/features/bench/bench.svelte.ts',
	'src/lib/features/bench/SectionPanel.svelte'
];
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
				deny(
					'^(?!\\.{1,2}/|(culori/fn|d3-contour|d3-random|fraction\\.js|jstat|papaparse|simplify-js|svgpath)$)|\\.schema|/(ui|server|features)/',
					pure
				)
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
			'no-restricted-syntax': ['error', ...noChance]
		}
	},
	{
		files: ['src/**/*.{ts,svelte}'],
		ignores: [
			'**/*.test.ts',
			'src/lib/core/structures/**',
			'src/lib/features/bench/structures/**',
			...SPEAK_OF_KINDS
		],
		rules: { 'no-restricted-syntax': ['error', ...noKinds] }
	},
	{
		files: ['src/lib/core/**/*.ts'],
		ignores: ['**/*.test.ts', '**/*.schema.ts', 'src/lib/core/structures/**', ...SPEAK_OF_KINDS],
		rules: { 'no-restricted-syntax': ['error', ...noChance, ...noKinds] }
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
