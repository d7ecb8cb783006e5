import { DomainError } from '../errors.ts';

/**
 * P(X ≤ k) for X binomial(n, p), summed from logarithms so that large n does not underflow.
 * @param p 0 to under 1
 */
export function binomialAtMost(k: number, n: number, p: number): number {
	if (p === 0 || k >= n) return 1;
	const odds = Math.log(p) - Math.log1p(-p);
	let log = n * Math.log1p(-p);
	let sum = 0;
	for (let i = 0; i <= k; i++) {
		sum += Math.exp(log);
		log += Math.log((n - i) / (i + 1)) + odds;
	}
	return Math.min(1, sum);
}

/**
 * The smallest number of spares s with P(losses among n + s ≤ s) ≥ service level, losses being independent.
 * It rises with s, so it is bracketed by doubling and then bisected.
 *
 * @param needed pieces that must survive, a whole number of 0 or more
 * @param loss share lost per piece, 0 to under 1
 * @param service 0 to under 1
 * @throws {DomainError} `out-of-range` for a loss or service level outside its range
 */
export function sparesFor(needed: number, loss: number, service: number): number {
	if (!(loss >= 0 && loss < 1)) throw new DomainError('out-of-range', `a loss of ${loss} a piece`);
	if (!(service >= 0 && service < 1)) throw new DomainError('out-of-range', `a service level of ${service}`);
	if (needed === 0 || loss === 0) return 0;
	const enough = (s: number) => binomialAtMost(s, needed + s, loss) >= service;
	if (enough(0)) return 0;
	let high = 1;
	while (!enough(high)) high *= 2;
	let low = Math.floor(high / 2);
	while (high - low > 1) {
		const middle = Math.floor((low + high) / 2);
		if (enough(middle)) high = middle;
		else low = middle;
	}
	return high;
}

/** Pieces of one material with the share of them that is lost. */
export interface AtRisk {
	readonly needed: number;
	/** 0 to under 1 */
	readonly loss: number;
}

/**
 * Spares of several lines that are covered together: the fewest, one after the other where it helps most, with which
 * none of the lines runs short, P = Π P(losses of a line ≤ its spares) ≥ service level, losses being independent.
 * One after the other is the least there is, because ln P of a line is concave in its spares.
 *
 * @returns spares of each line
 * @throws {DomainError} `out-of-range` as {@link sparesFor}
 */
export function sparesTogether(lines: readonly AtRisk[], service: number): number[] {
	const spares = lines.map(() => 0);
	for (const { needed, loss } of lines) sparesFor(needed, loss, service);
	const lasts = (i: number, s: number) => {
		const { needed, loss } = lines[i]!;
		return loss === 0 ? 1 : binomialAtMost(s, needed + s, loss);
	};
	const now = lines.map((_, i) => lasts(i, 0));
	while (now.reduce((a, p) => a * p, 1) < service) {
		let [best, most] = [-1, 1];
		for (let i = 0; i < lines.length; i++) {
			const gain = lasts(i, spares[i]! + 1) / now[i]!;
			if (gain > most) [best, most] = [i, gain];
		}
		if (best < 0) break;
		spares[best]! += 1;
		now[best] = lasts(best, spares[best]!);
	}
	return spares;
}
