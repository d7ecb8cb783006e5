import { DomainError } from '../../core/errors.ts';
import { countLines, type CountLine } from '../../core/count-back/count-lines.ts';
import { printNumber } from '../../core/units/print-number.ts';
import type { Repos } from '../repos/index.ts';
import { loadDesign, headOf, type LoadedDesign, type DesignQuery } from '../services/design-query.ts';

/** The lines a design is counted back by, or why it cannot be. */
export function linesOf({ design, context, colourway, size, quantity }: LoadedDesign): {
	lines: CountLine[];
	refused: string;
} {
	const choice = { colourway: colourway.id, size: size?.id ?? null, quantity };
	try {
		return { lines: countLines(design.recipe, choice, context), refused: '' };
	} catch (error) {
		if (!(error instanceof DomainError)) throw error;
		return { lines: [], refused: `This design cannot be counted: ${error.message}.` };
	}
}

/** What the page of a count back starts with: every line with what the recipe says. */
export async function countPage(repos: Repos, wanted: DesignQuery) {
	const found = await loadDesign(repos, wanted);
	const { studio } = found;
	const { lines, refused } = linesOf(found);
	const style = { decimal: studio.settings.decimal };
	return {
		...headOf(found),
		zone: studio.settings.zone,
		refused,
		lines: lines.map(({ key, what, label, recipe, inside }) => ({
			key,
			what,
			label,
			recipe: recipe.toFraction(true),
			/** The field filled: read back it is exactly what the recipe says. */
			prefilled: printNumber(recipe, style),
			inside: inside.equals(0) ? '' : inside.toFraction(true)
		}))
	};
}
