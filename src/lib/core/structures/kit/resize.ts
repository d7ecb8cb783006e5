import type { Mutable } from '../../document/mutable.ts';
import { got, refuse, type Parsed } from '../../errors.ts';
import { checked } from '../../language/balloon.ts';
import { resolveSize } from '../../sizing/resolve.ts';
import type { Size } from '../../sizing/size.ts';
import { inches, um, type Micrometres } from '../../units/length.ts';

const HALF_INCH = inches(0.5);

/** What is inflated to a size. */
interface Inflated {
	readonly nominal: Micrometres;
	size: Size;
}

/**
 * Sizes balloons up or down by half an inch (by a stroke where they are pumped by count). A size nobody said becomes an
 * estimated one. Nothing changes where one of them would be refused.
 */
export function resizeAll(balloons: readonly Mutable<Inflated>[], halves: number): Parsed<null> {
	const sizes: Size[] = [];
	for (const { nominal, size: was } of balloons) {
		const size = stepSize(was as Size, nominal, halves);
		const outcome = size.kind === 'strokes' ? got(size) : checked(size, largest(size, nominal), nominal);
		if (!outcome.ok) return outcome;
		sizes.push(size);
	}
	balloons.forEach((b, i) => (b.size = sizes[i]! as Mutable<Size>));
	return got(null);
}

/** Every balloon of what was pressed: whatever says its bag and its size, but what is put into another. */
export function balloonsIn(pressed: unknown): Mutable<Inflated>[] {
	if (typeof pressed !== 'object' || pressed === null) return [];
	if (Array.isArray(pressed)) return pressed.flatMap(balloonsIn);
	if ('nominal' in pressed && 'size' in pressed) return [pressed as Mutable<Inflated>];
	return Object.values(pressed).flatMap(balloonsIn);
}

/** Said of what comes in sizes of its own. */
export const OWN_SIZES = refuse('refused', 'That comes in sizes of its own: choose another in its place.');

/** All balloons of what was pressed, where it has any. */
export function resizeBalloons(pressed: unknown, halves: number): Parsed<null> {
	const balloons = balloonsIn(pressed);
	return balloons.length === 0 ? OWN_SIZES : resizeAll(balloons, halves);
}

const largest = (size: Size, nominal: Micrometres): Micrometres =>
	size.kind === 'value' ? size.um : size.kind === 'range' ? size.high : nominal;

function stepSize(size: Size, nominal: Micrometres, halves: number): Size {
	const by = halves * HALF_INCH;
	switch (size.kind) {
		case 'value':
			return { ...size, um: um(Math.max(1, size.um + by)) };
		case 'range':
			return { ...size, low: um(Math.max(1, size.low + by)), high: um(Math.max(2, size.high + by)) };
		case 'strokes':
			return { ...size, strokes: Math.max(1, size.strokes + halves) };
		default: {
			const assumed = Math.round((resolveSize(size, nominal).assumed * 1000) / HALF_INCH) * HALF_INCH;
			return { kind: 'value', um: um(assumed + by), unit: 'in', origin: 'estimated' };
		}
	}
}
