import { nestedIn } from '../structures/registry/refs.ts';
import type { PumpProfile } from '../sizing/strokes.ts';
import { sharesPath, withPaths } from './shared-paths.ts';
import { exchange } from './swap.ts';
import { hasFits, withFits } from './fit-limbs.ts';
import { hasOpen, withoutOpen } from './open-sections.ts';
import { scaleToHeight } from './scale.ts';
import { toHeight } from './to-height.ts';
import { omittingSlots } from './omit-slots.ts';
import { saysStrokes, withPumps } from './with-pumps.ts';
import type { Id } from '../document/id.ts';
import type { Recipe, SizeOption } from './recipe.ts';

/** Which of the things a design can be is meant. */
export interface Choice {
	readonly colourway: Id | null;
	readonly size: Id | null;
}

export interface Resolved {
	/** The design as it is built: size option applied, slots left out taken away. */
	readonly recipe: Recipe;
	/** What had to give way, in words: balloons that moved to another bag, things that did not grow. */
	readonly notes: readonly string[];
}

const NO_PUMPS: readonly PumpProfile[] = [];
const kept = new WeakMap<Recipe, Map<string, { pumps: readonly PumpProfile[]; resolved: Resolved }>>();

/** Recipes whose limbs have their lengths. */
const fitted = new WeakSet<Recipe>();

/**
 * A design in one colourway and size, as it is built. Recipes never change, so the last outcome is kept for each;
 * a design without size and with every slot in place is itself.
 */
export function resolve(recipe: Recipe, choice: Choice, pumps: readonly PumpProfile[] = NO_PUMPS): Resolved {
	const size = choice.size === null ? undefined : recipe.sizes.find((s) => s.id === choice.size);
	const colourway = recipe.colourways.find((c) => c.id === choice.colourway) ?? recipe.colourways[0];
	const out = colourway?.without ?? [];
	const plain =
		!size &&
		out.length === 0 &&
		!sharesPath(recipe) &&
		!hasOpen(recipe) &&
		(fitted.has(recipe) || !hasFits(recipe));
	if (plain && (pumps.length === 0 || !saysStrokes(recipe))) return { recipe, notes: [] };
	const byChoice =
		kept.get(recipe) ?? new Map<string, { pumps: readonly PumpProfile[]; resolved: Resolved }>();
	kept.set(recipe, byChoice);
	const key = `${colourway?.id ?? ''}/${size?.id ?? ''}`;
	const cached = byChoice.get(key);
	if (cached && cached.pumps === pumps) return cached.resolved;
	const closed = withPumps(omittingSlots(withoutOpen(recipe, size), new Set(out)), pumps);
	const sized = size ? inSize(closed, size, pumps) : { recipe: closed, notes: [] };
	const resolved = { ...sized, recipe: withFits(withPaths(sized.recipe), pumps, colourway) };
	fitted.add(resolved.recipe);
	byChoice.set(key, { pumps, resolved });
	return resolved;
}

/** The design in one of its sizes: swaps first, then the sizes of its parts, then its height. */
function inSize(recipe: Recipe, size: SizeOption, pumps: readonly PumpProfile[]): Resolved {
	const swapped = Object.entries(size.swaps).reduce((r, [element, to]) => exchange(r, element, to), recipe);
	const sections = swapped.sections.map((s) => {
		const part = size.parts[s.id];
		const use = nestedIn(s.structure);
		return part !== undefined && use ? { ...s, structure: { ...use, size: part } } : s;
	});
	const parts = { ...swapped, sections };
	if (size.height === null) return { recipe: parts, notes: [] };
	const of = size.of ?? 'rows';
	if (size.by === 'layers')
		return { recipe: toHeight(parts, size.height / 1000, pumps, of).recipe, notes: [] };
	return scaleToHeight(parts, size.height / 1000, pumps, of);
}
