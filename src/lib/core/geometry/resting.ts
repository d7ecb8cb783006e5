import type { Ball } from './ring.ts';

/**
 * Height at which a ball comes to rest on balls below it: the largest of zᵢ + s · √(((dᵢ + d) / 2)² − ρᵢ²)
 * over those it can touch, ρᵢ being the distance in plan, less than the sum of the radii.
 * Model: rigid spheres whose rise over each contact is lowered by the squash s.
 *
 * @param ball where it stands in plan and its diameter, mm
 * @param squash 0 to 1, the share of the rigid rise that latex keeps
 * @returns mm, or undefined where it can touch none of them
 */
export function restingHeight(
	ball: { readonly x: number; readonly y: number; readonly d: number },
	lower: readonly Ball[],
	squash: number
): number | undefined {
	let best: number | undefined;
	for (const below of lower) {
		const reach = (below.d + ball.d) / 2;
		const dx = below.x - ball.x;
		const dy = below.y - ball.y;
		const gap = reach * reach - dx * dx - dy * dy;
		if (gap <= 0) continue;
		const z = below.z + squash * Math.sqrt(gap);
		if (best === undefined || z > best) best = z;
	}
	return best;
}
