import { reachOf } from '../structures/run/path.ts';
import { placeStack } from '../structures/stack/place.ts';
import type { PumpProfile } from '../sizing/strokes.ts';
import { leadOf, runsBy } from './scale.ts';
import { MOST_REPEATS } from '../document/limits.ts';
import type { Recipe } from './recipe.ts';
import type { Stack } from '../structures/stack/document.ts';

export interface ToHeight {
	readonly recipe: Recipe;
	/** The body height it comes out at, mm. */
	readonly body: number;
}

/**
 * The same design made taller or shorter: rows that repeat are repeated more or less, in proportion (by largest
 * remainder, one layer at a time); base, collar and topper (rows of one) stay, unless no row repeats. Sizes never change.
 * @param height body height wanted, mm, above 0
 * @returns the nearest it can come; the recipe itself where it has no stack
 */
export function toHeight(recipe: Recipe, height: number, pumps: readonly PumpProfile[] = []): ToHeight {
	const lead = leadOf(recipe);
	// A run goes further: it takes more balloons, none of them larger.
	if (lead?.kind === 'run') return { recipe: runsBy(recipe, height / reachOf(lead)), body: height };
	const stack = lead;
	if (!stack) return { recipe, body: 0 };
	const anyRepeats = stack.layers.some((l) => l.repeat > 1);
	const weights = stack.layers.map((l) => (anyRepeats && l.repeat === 1 ? 0 : l.repeat));
	const rows = weights.filter((w) => w > 0).length;
	const grown = (total: number): Stack => {
		const shares = shared(total, weights);
		return {
			...stack,
			layers: stack.layers.map((l, i) => (weights[i] === 0 ? l : { ...l, repeat: shares[i]! }))
		};
	};
	const body = (s: Stack) => placeStack(s, pumps).body.usual;
	const now = weights.reduce((a, w) => a + w, 0);
	// A taller total is a taller body: the first that reaches the height is found by halving, and its neighbour looked at.
	let [low, high] = [rows, Math.min(rows * MOST_REPEATS, Math.max(now, rows + 1))];
	while (high < rows * MOST_REPEATS && body(grown(high)) < height)
		high = Math.min(rows * MOST_REPEATS, high * 2);
	while (low < high) {
		const middle = Math.floor((low + high) / 2);
		if (body(grown(middle)) < height) low = middle + 1;
		else high = middle;
	}
	const near = [now, low, Math.max(rows, low - 1)].map((total) => {
		const candidate = total === now ? stack : grown(total);
		return { stack: candidate, body: body(candidate) };
	});
	const best = near.reduce((a, b) => (Math.abs(b.body - height) < Math.abs(a.body - height) ? b : a));
	const sections = recipe.sections.map((s) => (s.structure === stack ? { ...s, structure: best.stack } : s));
	return { recipe: { ...recipe, sections }, body: best.body };
}

/** `total` layers in proportion to `weights`, at least one where a weight is above 0: largest remainder, ties to the lower row. */
function shared(total: number, weights: readonly number[]): number[] {
	const all = weights.reduce((a, w) => a + w, 0);
	const exact = weights.map((w) => (w * total) / all);
	const shares = exact.map((e, i) =>
		weights[i] === 0 ? 0 : Math.max(1, Math.min(MOST_REPEATS, Math.floor(e)))
	);
	const order = exact.map((_, i) => i).filter((i) => weights[i]! > 0);
	let left = total - shares.reduce((a, s) => a + s, 0);
	while (left !== 0) {
		const step = Math.sign(left);
		const open = order.filter((i) => (step > 0 ? shares[i]! < MOST_REPEATS : shares[i]! > 1));
		if (open.length === 0) break;
		const next = open.reduce((a, b) =>
			step * (exact[b]! - shares[b]!) > step * (exact[a]! - shares[a]!) ? b : a
		);
		shares[next]! += step;
		left -= step;
	}
	return shares;
}
