import type { Point } from '../kit/strand.ts';
import type { Frame } from './document.ts';

/** Each guy line of a frame: from where it is made fast to its stake, mm; the first goes to the front left. */
export function guySpots({
	guys
}: Pick<Frame, 'guys'>): readonly { readonly from: Point; readonly to: Point }[] {
	if (!guys) return [];
	const { count, at, reach } = guys;
	return Array.from({ length: count }, (_, i) => {
		const angle = (2 * Math.PI * (i + 0.5)) / count + Math.PI / 2;
		return {
			from: { x: 0, y: 0, z: at / 1000 },
			to: { x: (reach / 1000) * Math.cos(angle), y: (reach / 1000) * Math.sin(angle), z: 0 }
		};
	});
}
