import type { Measure } from '../document/measure.ts';
import { carries, withCarriers } from './carriers.ts';
import { leads, lengthened, scaled, sizeOf } from '../structures/registry/variant.ts';
import { toEighth } from '../structures/kit/scale.ts';
import type { PumpProfile } from '../sizing/strokes.ts';
import type { Recipe, Section } from './recipe.ts';
import { alongHost, scaleHost } from '../structures/kit/scale.ts';
import type { Stand } from '../document/stand.ts';

export interface Scaled {
	readonly recipe: Recipe;
	/** What had to give way, in words. */
	readonly notes: readonly string[];
}

/**
 * Every balloon of a design larger or smaller by the same factor, so that it comes out at a height: layers and
 * proportions stay. A bag keeps its size while the new size is one it can be inflated to, from half its nominal size to
 * all of it; then the balloon moves to the bag it fills most like before, and the notes say so.
 * @param height wanted, mm, above 0 @param of what it is said of
 */
export function scaleToHeight(
	recipe: Recipe,
	height: number,
	pumps: readonly PumpProfile[] = [],
	of: Measure = 'rows'
): Scaled {
	const { mm: body } = leadSize(recipe, pumps, of);
	if (body <= 0) return { recipe, notes: [] };
	const scaled = scaleBy(recipe, height / body);
	return { ...scaled, recipe: withCarriers(recipe, scaled.recipe, pumps, of) };
}

/**
 * What a size of a design is the size of: the body of its first column, or how far its first run reaches, whichever comes
 * first; of a bare frame its height.
 */
export function leadingSection({ sections }: Pick<Recipe, 'sections'>): Section | undefined {
	const leading = sections.filter((s) => leads(s.structure) !== null);
	return leading.find((s) => leads(s.structure) !== 'where nothing else does') ?? leading[0];
}

/** Height of a column's body, of an arch, length of a level run, mm, and whether it is known; 0 where there is neither. */
export function leadSize(
	recipe: Pick<Recipe, 'sections'>,
	pumps: readonly PumpProfile[] = [],
	of: Measure = 'rows'
) {
	const lead = leadingSection(recipe)?.structure;
	return lead ? sizeOf(lead, pumps, of) : { mm: 0, known: false };
}

/** Runs longer or shorter by the same factor, with what sits along them; everything else as it is. */
export const runsBy = (recipe: Recipe, factor: number): Recipe => ({
	...recipe,
	sections: recipe.sections.map((section) => ({
		...section,
		stand: section.stand.at ? { ...section.stand, at: alongHost(section.stand.at, factor) } : section.stand,
		structure: lengthened(section.structure, { factor, name: section.name, note: () => undefined })
	}))
});

/** @param factor above 0; 1 changes nothing */
export function scaleBy(recipe: Recipe, factor: number): Scaled {
	const notes = new Set<string>();
	const note = (words: string) => void notes.add(words);
	const sections = recipe.sections.map((section): Section => ({
		...section,
		stand: scaleStand(section.stand, factor),
		// A post follows what is threaded over it: of that there is nothing to say.
		structure: scaled(section.structure, {
			factor,
			name: section.name,
			note: carries(recipe, section) ? () => undefined : note
		})
	}));
	return { recipe: { ...recipe, sections }, notes: [...notes] };
}

const scaleStand = (stand: Stand, factor: number): Stand => ({
	...stand,
	height: stand.height === null || stand.height === 0 ? stand.height : toEighth(stand.height * factor),
	gap: stand.gap === 0 ? 0 : toEighth(stand.gap * factor),
	...(stand.at && { at: scaleHost(stand.at, factor) })
});
