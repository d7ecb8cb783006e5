import { z } from 'zod';
import { bundleShell } from '../core/files/bundle.schema.ts';
import { BUNDLE_VERSION } from '../core/files/bundle.ts';
import { newestRecipe } from '../core/recipe/recipe.schema.ts';
import { RECIPE_VERSION } from '../core/recipe/recipe.ts';
import { tallyRequestSchema } from '../core/tally/request.schema.ts';

/** Where the recipe's JSON Schema is served, for as long as the version is. */
export const RECIPE_SCHEMA_PATH = `/schema/recipe-${RECIPE_VERSION}.json`;

/** The recipe document as JSON Schema 2020-12, made from the schema that guards every edge. */
export const recipeJsonSchema = () => ({
	$id: RECIPE_SCHEMA_PATH,
	title: `Bright Tally recipe, version ${RECIPE_VERSION}`,
	...z.toJSONSchema(newestRecipe, { target: 'draft-2020-12', io: 'input' })
});

/** Where the JSON Schema of files of several recipes is served. */
export const BUNDLE_SCHEMA_PATH = `/schema/recipes-${BUNDLE_VERSION}.json`;

/** A file of several recipes as JSON Schema 2020-12; each recipe in it is a document of its own. */
export const bundleJsonSchema = () => ({
	$id: BUNDLE_SCHEMA_PATH,
	title: `Bright Tally recipes, version ${BUNDLE_VERSION}`,
	...z.toJSONSchema(bundleShell, {
		target: 'draft-2020-12',
		io: 'input',
		override: ({ jsonSchema, path }) => {
			if (path.join('/') === 'properties/designs/items/properties/recipe')
				Object.assign(jsonSchema, { $ref: RECIPE_SCHEMA_PATH });
		}
	})
});

/** What the tally interface takes and answers, as OpenAPI 3.1. */
export function openApi() {
	const request = z.toJSONSchema(tallyRequestSchema, {
		target: 'draft-2020-12',
		io: 'input',
		unrepresentable: 'any',
		// A recipe has a document of its own; here it is named.
		override: ({ jsonSchema, path }) => {
			if (
				path.join('/') === 'properties/recipe' ||
				path.join('/') === 'properties/designs/additionalProperties'
			)
				Object.assign(jsonSchema, { $ref: RECIPE_SCHEMA_PATH });
		}
	});
	const message = { type: 'object', properties: { message: { type: 'string' } }, required: ['message'] };
	const says = (description: string) => ({
		description,
		content: { 'application/json': { schema: message } }
	});
	return {
		openapi: '3.1.0',
		info: {
			title: 'Bright Tally: the tally',
			version: '1',
			description:
				'A recipe in, its bill, work, cost and price out. The same path as the Bench; nothing is saved.'
		},
		paths: {
			'/api/tally': {
				post: {
					summary: 'Works out one recipe',
					requestBody: { required: true, content: { 'application/json': { schema: request } } },
					responses: {
						200: {
							description:
								'Quantities are exact fractions, money is in whole minor units, an unknown cost is null.',
							content: { 'application/json': { schema: { type: 'object' } } }
						},
						400: says('What cannot be read, with its place named.'),
						413: says('Too large.')
					}
				}
			}
		}
	};
}
