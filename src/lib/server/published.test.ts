import { Ajv2020 } from 'ajv/dist/2020.js';
import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { demoDesigns } from '../../../scripts/demo/designs.ts';
import { demoRecipe } from '../../../scripts/demo/load.ts';
import { design } from '../../../tests/kit/studio.ts';
import { recipeSchema } from '../core/recipe/recipe.schema.ts';
import { exampleFiles } from '../../../scripts/demo/examples.ts';
import { readRecipeFile } from '../core/files/bundle.schema.ts';
import { bundleJsonSchema, openApi, recipeJsonSchema, RECIPE_SCHEMA_PATH } from './published.ts';

/** An independent validator of JSON Schema 2020-12. */
const validate = new Ajv2020({ strict: false, allErrors: true }).compile(recipeJsonSchema());
const plain = design('plain', '4 11 at 9 white', 'put 2 5 at 4 red as eyes on row 1 front', 'size 5 ft');
const asJson = (recipe: unknown): Record<string, unknown> => JSON.parse(JSON.stringify(recipe)) as Record<string, unknown>; // prettier-ignore

describe('the published schema of recipes', () => {
	test.each(demoDesigns.map((d) => [d.name, d] as const))('%s is one', (_, demo) => {
		expect(validate(asJson(demoRecipe(demo)))).toBe(true);
	});
	test('older files are brought to it by reading them', () => {
		for (const old of JSON.parse(readFileSync('tests/recipes/version-2.json', 'utf8')) as unknown[]) {
			expect(validate(old)).toBe(false);
			expect(validate(asJson(recipeSchema.parse(old)))).toBe(true);
		}
	});
	test.each<[string, (r: Record<string, unknown>) => unknown]>([
		['an unknown field', (r) => ({ ...r, cost: 5 })],
		['another version', (r) => ({ ...r, version: 9 })],
		['no colourway', (r) => ({ ...r, colourways: [] })],
		['a section without structure', (r) => ({ ...r, sections: [{ id: 'x' }] })],
		['a name of nothing', (r) => ({ ...r, name: '' })]
	])('%s is refused by both, the validator and ours', (_, change) => {
		const broken = change(asJson(plain));
		expect(validate(broken)).toBe(false);
		expect(recipeSchema.safeParse(broken).success).toBe(false);
	});
	test('the example of each structure is one, and is what the demo says today', () => {
		const ajv = new Ajv2020({ strict: false, schemas: [recipeJsonSchema()] });
		const bundle = ajv.compile(bundleJsonSchema());
		const kinds = new Set<string>();
		for (const [name, content] of exampleFiles()) {
			const text = readFileSync(`static/examples/${name}`, 'utf8');
			expect([name, JSON.parse(text)]).toEqual([name, asJson(content)]);
			const valid = name.endsWith('.recipes.json') ? bundle(JSON.parse(text)) : validate(JSON.parse(text));
			expect([name, valid]).toEqual([name, true]);
			const read = readRecipeFile(text, () => 'own');
			expect([name, read.ok && read.misread]).toEqual([name, []]);
			if (read.ok)
				for (const d of read.bundle.designs) for (const s of d.recipe.sections) kinds.add(s.structure.kind);
		}
		expect([...kinds].sort()).toEqual([
			'applied',
			'bunch',
			'design',
			'extras',
			'form',
			'frame',
			'run',
			'stack',
			'weave'
		]);
		expect(
			bundle({
				format: 'bright-tally/recipes',
				version: 1,
				colours: [],
				materials: [],
				designs: [{ id: 'x', recipe: {} }]
			})
		).toBe(false);
	});
	test.each([
		[3, { steps: undefined }],
		[4, {}],
		[5, {}]
	])('the schema of version %i lies where it lay', (version, less) => {
		const old = JSON.parse(readFileSync(`static/schema/recipe-${version}.json`, 'utf8')) as { $id: string };
		expect(old.$id).toBe(`/schema/recipe-${version}.json`);
		const older = { ...asJson(plain), version, ...less };
		expect(new Ajv2020({ strict: false }).compile(old)(asJson(older))).toBe(true);
	});
	test('says where it lives, and the interface refers to it', () => {
		expect(recipeJsonSchema()).toMatchObject({
			$id: RECIPE_SCHEMA_PATH,
			$schema: 'https://json-schema.org/draft/2020-12/schema'
		});
		const api = openApi();
		expect(api.openapi).toBe('3.1.0');
		const { schema } = api.paths['/api/tally'].post.requestBody.content['application/json'];
		expect(schema.required).toEqual(['recipe']);
		expect(schema.properties!.recipe).toMatchObject({ $ref: RECIPE_SCHEMA_PATH });
		expect(Object.keys(schema.properties!)).toEqual([
			'recipe',
			'colourway',
			'size',
			'quantity',
			'materials',
			'colours',
			'designs'
		]);
	});
});
