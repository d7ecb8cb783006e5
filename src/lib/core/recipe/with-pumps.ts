import { pumped } from '../structures/registry/variant.ts';
import type { Size } from '../sizing/size.ts';
import { calibrate, diameterAfter, type PumpProfile } from '../sizing/strokes.ts';
import { um } from '../units/length.ts';
import type { Recipe, Section } from './recipe.ts';

const counted = new WeakMap<object, boolean>();

/** Whether anything is said in strokes. Nothing of a recipe ever changes: a row that stays is looked at once. */
function hasStrokes(part: object): boolean {
	const before = counted.get(part);
	if (before !== undefined) return before;
	const found =
		('kind' in part && part.kind === 'strokes') ||
		Object.values(part).some((v: unknown) => typeof v === 'object' && v !== null && hasStrokes(v));
	counted.set(part, found);
	return found;
}

export const saysStrokes = ({ sections }: Pick<Recipe, 'sections'>): boolean => sections.some(hasStrokes);

/**
 * A recipe whose sizes in strokes know what their pumps bring them to: every count that hangs on a size (clusters along
 * a run, rows of a weave, a mix) is made with it. On a pump nobody measured they stay as they are.
 */
export function withPumps(recipe: Recipe, pumps: readonly PumpProfile[]): Recipe {
	const stroke = new Map(pumps.filter((p) => p.pairs.length > 0).map((p) => [p.id, calibrate(p.pairs).k]));
	if (stroke.size === 0 || !saysStrokes(recipe)) return recipe;
	const sections = recipe.sections.map((s) => {
		if (!hasStrokes(s)) return s;
		const section = reached(s, stroke) as Section;
		return { ...section, structure: pumped(section.structure, stroke) };
	});
	return { ...recipe, sections };
}

function reached(value: unknown, stroke: ReadonlyMap<string, number>): unknown {
	if (Array.isArray(value)) return value.map((v) => reached(v, stroke));
	if (typeof value !== 'object' || value === null) return value;
	if ('kind' in value && value.kind === 'strokes') {
		const size = value as Extract<Size, { kind: 'strokes' }>;
		const k = stroke.get(size.pump ?? '');
		return k === undefined
			? value
			: { ...size, reaches: um(Math.round(1000 * diameterAfter(size.strokes, k))) };
	}
	return Object.fromEntries(Object.entries(value).map(([key, v]) => [key, reached(v, stroke)]));
}
