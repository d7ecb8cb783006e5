/**
 * Splits a count by weights so that the parts always add up to it: the largest remainder, ties to the earlier.
 * @param weights 0 or more, at least one above 0
 */
export function splitCount(count: number, weights: readonly number[]): number[] {
	const all = weights.reduce((a, w) => a + w, 0);
	if (!(all > 0)) return weights.map(() => 0);
	const exact = weights.map((w) => (count * w) / all);
	const given = exact.map(Math.floor);
	let left = count - given.reduce((a, g) => a + g, 0);
	const order = exact
		.map((e, i) => [e - Math.floor(e), i] as const)
		.sort((a, b) => b[0] - a[0] || a[1] - b[1]);
	for (const [, i] of order) if (left-- > 0) given[i]!++;
	return given;
}
