import type { Colour, Material } from '../../core/materials/material.ts';
import type { UsableDesign } from '../../core/language/context.ts';
import type { Recipe } from '../../core/recipe/recipe.ts';
import type { Settings } from '../../core/workspace/settings.ts';

export interface BenchData {
	readonly id: string;
	readonly recipe: Recipe;
	readonly revision: number;
	readonly keptNumber: number;
	readonly kept: Recipe | null;
	readonly settings: Settings;
	readonly materials: readonly Material[];
	readonly colours: readonly Colour[];
	readonly library: readonly (readonly [string, Recipe])[];
	/** Number of the last kept version of every design inside. */
	readonly partVersions: Readonly<Record<string, number>>;
	/** Kept designs this one may use: none that uses it. */
	readonly designs: readonly UsableDesign[];
}
