import type { Bill } from '../bom/bill.ts';
import type { Tally } from '../tally/tally.ts';
import { type Money, subtract } from '../money/money.ts';
import type { Recipe } from '../recipe/recipe.ts';
import { sayRecipe, type NameOf } from './say-recipe.ts';

/** A line of text that stands in one version, in the other, or in both. */
export interface ComparedLine {
	readonly text: string;
	readonly where: 'both' | 'first' | 'second';
}

/** A material whose number differs between two versions. */
export interface ComparedMaterial {
	readonly label: string;
	readonly first: number;
	readonly second: number;
}

export interface Comparison {
	/** Rows of the recipe as they are said, section by section, lowest first. */
	readonly lines: readonly ComparedLine[];
	/** Only what differs. */
	readonly materials: readonly ComparedMaterial[];
	/** Second less first. */
	readonly cost: Money;
	readonly seconds: number;
	/** Undefined where one of them has no price. */
	readonly price: Money | undefined;
}

/** What changed from one version of a design to another: rows, materials, cost, price and time. */
export function compare(
	first: { readonly recipe: Recipe; readonly tally: Tally },
	second: { readonly recipe: Recipe; readonly tally: Tally },
	nameOf: NameOf = (id) => id
): Comparison {
	const [a, b] = [first.tally, second.tally];
	const price =
		a.price.status === 'priced' && b.price.status === 'priced'
			? subtract(b.price.said, a.price.said)
			: undefined;
	return {
		lines: longestCommon(sayRecipe(first.recipe, nameOf), sayRecipe(second.recipe, nameOf)),
		materials: materials(a.bill, b.bill),
		cost: subtract(b.cost.total.known, a.cost.total.known),
		seconds: b.cost.seconds.valueOf() - a.cost.seconds.valueOf(),
		price
	};
}

function materials(a: Bill, b: Bill): ComparedMaterial[] {
	const counts = (bill: Bill) => new Map(bill.lines.map((l) => [l.label, l.used.valueOf()]));
	const [first, second] = [counts(a), counts(b)];
	return [...new Set([...first.keys(), ...second.keys()])]
		.map((label) => ({ label, first: first.get(label) ?? 0, second: second.get(label) ?? 0 }))
		.filter((m) => m.first !== m.second);
}

/**
 * Merges two lists so that as many lines as can be stand once for both: the longest common subsequence by dynamic
 * programming, O(n · m). Of lines between two common ones the first list's come first.
 * Source: Cormen et al., Introduction to Algorithms, “Longest common subsequence” (from memory).
 */
export function longestCommon(first: readonly string[], second: readonly string[]): ComparedLine[] {
	const [n, m] = [first.length, second.length];
	const best = Array.from({ length: n + 1 }, () => new Array<number>(m + 1).fill(0));
	for (let i = n - 1; i >= 0; i--) {
		for (let j = m - 1; j >= 0; j--) {
			best[i]![j] =
				first[i] === second[j] ? best[i + 1]![j + 1]! + 1 : Math.max(best[i + 1]![j]!, best[i]![j + 1]!);
		}
	}
	const merged: ComparedLine[] = [];
	let [i, j] = [0, 0];
	while (i < n || j < m) {
		if (i < n && j < m && first[i] === second[j]) {
			merged.push({ text: first[i]!, where: 'both' });
			i++;
			j++;
		} else if (j >= m || (i < n && best[i + 1]![j]! >= best[i]![j + 1]!))
			merged.push({ text: first[i++]!, where: 'first' });
		else merged.push({ text: second[j++]!, where: 'second' });
	}
	return merged;
}
