import type { Assembly } from '../assembly/assemble.ts';
import type { Catalogue } from '../materials/catalogue.ts';
import type { Spot } from '../structures/kit/spot.ts';
import type { Point, Strand } from '../structures/kit/strand.ts';
import { BAG_HEX, type Tube } from './tubes.ts';

/** What of a brush it takes. */
interface Brush {
	strand(strand: Strand, spot: Spot, as: { colour: string | null; row: number }): void;
	tube(from: Point, to: Point, spot: Spot, look: Pick<Tube, 'width' | 'hex'>): void;
	moved(section: string, spot: Spot): Spot;
}

/** How large a bow and a sandbag are drawn, mm. House rules: they are seen, they are not measured. */
const BOW = { wide: 190, ribbon: 34 } as const;
const BAG = { wide: 180, thick: 85 } as const;

/** Bows, on the front of what they serve, and weights, at its foot: of what lines fix to a piece, what is seen. */
export function drawFixed({ fixed = [] }: Assembly, brush: Brush, { materials }: Catalogue) {
	for (const { material, count, of, front, half, spots } of fixed) {
		const thing = materials.get(material);
		const bow = thing?.kind === 'ribbon' && thing.unit === 'piece';
		if (!bow && thing?.kind !== 'weight') continue;
		for (const spot of spots) {
			const at = brush.moved(of, spot);
			if (bow) {
				const middle = { x: front.x, y: front.y - front.d / 2 - 2, z: front.z };
				for (const path of bowPaths(middle))
					brush.strand({ piece: '', path, d: BOW.ribbon, slot: null, material }, at, {
						colour: thing.colour,
						row: -1
					});
				continue;
			}
			for (let n = 0; n < count; n++) {
				// One at the right, one at the left, the next further out.
				const side = n % 2 === 0 ? 1 : -1;
				const x = side * (half + BAG.wide * (0.4 + Math.floor(n / 2)));
				const [y, z] = [0, BAG.thick / 2 - at.z];
				brush.tube({ x: x - BAG.wide / 2, y, z }, { x: x + BAG.wide / 2, y, z }, at, {
					width: BAG.thick,
					hex: BAG_HEX
				});
			}
		}
	}
}

/** Two loops and two tails, flat before what they are tied to. */
function bowPaths({ x, y, z }: Point): Point[][] {
	const w = BOW.wide / 2;
	const at = (dx: number, dz: number): Point => ({ x: x + dx * w, y, z: z + dz * w });
	return [-1, 1].flatMap((side) => [
		[at(0, 0), at(0.15 * side, -0.6), at(0.32 * side, -1.25)],
		[at(0, 0), at(0.55 * side, 0.5), at(side, 0.42), at(0.95 * side, -0.12), at(0.5 * side, -0.2), at(0, 0)]
	]);
}
