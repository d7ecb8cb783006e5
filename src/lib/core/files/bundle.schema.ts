import { z } from 'zod';
import { idSchema } from '../id.schema.ts';
import { firstIssue } from '../first-issue.schema.ts';
import { colourSchema, filedMaterialSchema } from '../materials/material.schema.ts';
import { recipeSchema } from '../recipe/recipe.schema.ts';
import { RECIPE_FORMAT } from '../recipe/recipe.ts';
import { BUNDLE_FORMAT, BUNDLE_VERSION, type Bundle } from './bundle.ts';

const id = idSchema.regex(
	/^[\w.-]{1,60}$/,
	'An id has letters, figures, hyphens, points and underscores only.'
);

/** Most designs of one file. */
export const MOST_DESIGNS = 2000;

/** Everything of a bundle but its recipes, which are read one by one. */
export const bundleShell = z.strictObject({
	format: z.literal(BUNDLE_FORMAT),
	version: z.literal(
		BUNDLE_VERSION,
		'This file is of another version. Bring the app up to date, or save the file again.'
	),
	colours: z.array(colourSchema).max(2000),
	materials: z.array(filedMaterialSchema).max(5000),
	designs: z
		.array(z.strictObject({ id, recipe: z.unknown() }))
		.min(1, 'There is no design in it.')
		.max(MOST_DESIGNS)
});

/** What can be wrong with one recipe of a file, with its place named. */
export interface Misread {
	/** As the file calls it, or its place in the file. */
	readonly name: string;
	readonly say: string;
}
export type ReadFile =
	| { readonly ok: true; readonly bundle: Bundle; readonly misread: readonly Misread[] }
	| { readonly ok: false; readonly say: string };

/** Largest file that is read, bytes. */
export const LARGEST_FILE = 30 * 1024 * 1024;

/**
 * Reads a recipe file, of one design or of many. A recipe with a mistake is named and left out; the others are read.
 * @param onread called after every recipe with how many are read and how many there are
 */
export function readRecipeFile(
	text: string,
	newId: () => string,
	onread?: (done: number, all: number) => void
): ReadFile {
	const no = (say: string): ReadFile => ({ ok: false, say });
	if (text.trim() === '')
		return no('That file is empty. A recipe file comes from “take away” on the Bench or the Shelf.');
	if (text.length > LARGEST_FILE)
		return no('That file is over 30 MB. Take fewer designs away at once, in several files.');
	let content: unknown;
	try {
		content = JSON.parse(text);
	} catch {
		return no(
			'This is not a recipe file: it cannot be read as JSON. A recipe file comes from “take away” on the Bench or the Shelf.'
		);
	}
	const format = (content as { format?: unknown } | null)?.format;
	if (format === RECIPE_FORMAT) {
		const recipe = recipeSchema.safeParse(content);
		if (!recipe.success) return no(`This recipe has a mistake at ${firstIssue(recipe.error)}`);
		onread?.(1, 1);
		const designs = [{ id: newId(), recipe: recipe.data }];
		return {
			ok: true,
			bundle: { format: BUNDLE_FORMAT, version: BUNDLE_VERSION, colours: [], materials: [], designs },
			misread: []
		};
	}
	if (format !== BUNDLE_FORMAT)
		return no(
			'This file is not a recipe: it does not say it is one. A recipe file comes from “take away” on the Bench or the Shelf.'
		);
	const shell = bundleShell.safeParse(content);
	if (!shell.success) return no(`This file has a mistake at ${firstIssue(shell.error)}`);
	const designs: { id: string; recipe: Bundle['designs'][number]['recipe'] }[] = [];
	const misread: Misread[] = [];
	shell.data.designs.forEach((design, i) => {
		const recipe = recipeSchema.safeParse(design.recipe);
		if (recipe.success) designs.push({ id: design.id, recipe: recipe.data });
		else misread.push({ name: nameOf(design.recipe, i), say: firstIssue(recipe.error) });
		onread?.(i + 1, shell.data.designs.length);
	});
	const seen = new Set<string>();
	for (const { id: own } of designs) {
		if (seen.has(own)) return no(`Two designs of this file have the id “${own}”. Give one of them another.`);
		seen.add(own);
	}
	return { ok: true, bundle: { ...shell.data, designs }, misread };
}

function nameOf(recipe: unknown, at: number): string {
	const name = (recipe as { name?: unknown } | null)?.name;
	return typeof name === 'string' && name !== '' ? name.slice(0, 80) : `design ${at + 1}`;
}
