import type { Id } from '../document/id.ts';
import type { Want } from './buying.ts';

/** So many pieces of a material are taken on a day, or come on it. */
export interface OnDay {
	readonly material: Id;
	/** Above 0; part pieces where it is bought by length. */
	readonly pieces: number;
	/** `YYYY-MM-DD` */
	readonly day: string;
}

/**
 * What the shelf and what is on its way leave short, day by day: need − stock − on order. What comes on a day is there for
 * what is taken on it; what is short on one day is bought for it, and is short no more on the next.
 * @param onHand pieces on the shelf; below 0 is nothing
 */
export function wantsOf(needs: readonly OnDay[], onHand: ReadonlyMap<Id, number>, coming: readonly OnDay[]): Want[] {
	const wants: Want[] = [];
	const materials = [...new Set(needs.map((n) => n.material))];
	for (const material of materials) {
		const own = needs.filter((n) => n.material === material).toSorted((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : 0));
		const arriving = coming.filter((c) => c.material === material);
		const shelf = Math.max(0, onHand.get(material) ?? 0);
		let [taken, bought] = [0, 0];
		for (const [i, { pieces, day }] of own.entries()) {
			taken += pieces;
			// Of one day all is taken together.
			if (own[i + 1]?.day === day) continue;
			const there = shelf + bought + arriving.filter((c) => c.day <= day).reduce((a, c) => a + c.pieces, 0);
			const short = Math.ceil(taken - there - 1e-9);
			if (short <= 0) continue;
			bought += short;
			wants.push({ material, pieces: short, by: day });
		}
	}
	return wants;
} // prettier-ignore
