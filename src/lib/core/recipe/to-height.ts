import { placeStack } from '../structures/stack.ts';
import type { PumpProfile } from '../sizing/strokes.ts';
import { stackIn } from './edit.ts';
import { MOST_REPEATS, type Recipe, type Stack } from './recipe.ts';

export interface ToHeight {
	readonly recipe: Recipe;
	/** The body height it comes out at, mm. */
	readonly body: number;
}

/**
 * The same design made taller or shorter: rows that repeat are repeated more or less, in proportion; base,
 * collar and topper (rows of one) stay, unless no row repeats. Sizes never change.
 * @param height body height wanted, mm, above 0
 * @returns the nearest it can come; the recipe itself where it has no stack
 */
export function toHeight(recipe: Recipe, height: number, pumps: readonly PumpProfile[] = []): ToHeight {
	const stack = stackIn(recipe);
	if (!stack || stack.layers.length === 0) return { recipe, body: 0 };
	const anyRepeats = stack.layers.some((l) => l.repeat > 1);
	const grown = (factor: number): Stack => ({
		...stack,
		layers: stack.layers.map((layer) =>
			anyRepeats && layer.repeat === 1
				? layer
				: { ...layer, repeat: Math.max(1, Math.min(MOST_REPEATS, Math.round(layer.repeat * factor))) }
		)
	});
	const body = (s: Stack) => placeStack(s, pumps).body.usual;
	let best = { stack, body: body(stack) };
	// Every distinct outcome lies at a factor where some row gains a layer: (k + ½) / repeat.
	const reach = Math.max(2, (4 * height) / Math.max(1, best.body));
	const factors = new Set([1]);
	for (const repeat of new Set(stack.layers.map((l) => l.repeat))) {
		for (let k = 0; (k + 0.5) / repeat <= reach && k < 400; k++) factors.add((k + 0.5) / repeat + 1e-9);
	}
	for (const factor of [...factors].sort((a, b) => a - b)) {
		const candidate = grown(factor);
		const tall = body(candidate);
		if (Math.abs(tall - height) < Math.abs(best.body - height)) best = { stack: candidate, body: tall };
		if (tall > height * 1.5) break;
	}
	const sections = recipe.sections.map((s) => (s.structure === stack ? { ...s, structure: best.stack } : s));
	return { recipe: { ...recipe, sections }, body: best.body };
}
