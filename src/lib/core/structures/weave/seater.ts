import type { Point } from '../kit/strand.ts';
import type { WeaveSize } from './count.ts';
import type { Weave } from './document.ts';
import { graphOf } from './graph.ts';
import type { GridPoint } from './grid.ts';

/** Where a point of the grid is, mm: flat, bent to a bow in plan, closed to a ring, or lying as a base. */
export function seaterOf(weave: Weave, size: WeaveSize): (at: GridPoint, out?: number) => Point {
	const { pitch, row, width, deep, across, bow, lift } = size;
	if (deep !== null) {
		const { width: along, height: posts } = graphOf(weave);
		const back = weave.base?.across ?? 0;
		const half = (size.height - posts * row) / 2;
		return ([x, y, z = 0], out = 0) => {
			const [px, py] = [(x - along / 2) * pitch, (y - back / 2) * pitch];
			// Outwards from its middle.
			const far = Math.hypot(px, py) || 1;
			return { x: px + (px / far) * out, y: py + (py / far) * out, z: z * pitch + half };
		};
	}
	if (weave.shape === 'base')
		return ([x, y], out = 0) => ({
			x: x * pitch - width / 2,
			y: y * pitch - size.height / 2,
			z: pitch * 0.42 + out
		});
	if (across !== null) {
		const whole = Math.max(1, graphOf(weave).width);
		return ([x, z], out = 0) => {
			const angle = -Math.PI / 2 + (2 * Math.PI * x) / whole;
			const r = across / 2 + out;
			return { x: r * Math.cos(angle), y: r * Math.sin(angle), z: z * row + lift };
		};
	}
	if (bow && bow.angle > 0)
		return ([x, z], out = 0) => {
			const angle = ((x * pitch) / width - 0.5) * bow.angle;
			// It bends away from the audience at its middle.
			const r = bow.radius + out;
			return { x: r * Math.sin(angle), y: -r * Math.cos(angle) + bow.radius, z: z * row + lift };
		};
	return ([x, z], out = 0) => ({ x: x * pitch - width / 2, y: -out, z: z * row + lift });
}
