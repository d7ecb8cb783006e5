import { got, refuse, type Parsed } from '../errors.ts';
import { parseCount } from '../units/number.ts';
import { ranged, type Many } from '../document/count-range.ts';

/**
 * A count, or the fewest and the most: `3`, `2 to 4`, `2 or 4`.
 * @returns the count in the middle, with its ends where it has any; `refused` where the fewest do not come first
 */
export function parseCountRange(text: string, bounds: Parameters<typeof parseCount>[1]): Parsed<Many> {
	const both = text.split(/\s+(?:to|or)\s+|\s*–\s*/);
	if (both.length > 2) return refuse('refused', 'Type one count, or the fewest and the most, like “2 to 4”.');
	const low = parseCount(both[0]!, bounds);
	if (!low.ok || both.length === 1) return low.ok ? got({ count: low.value }) : low;
	const high = parseCount(both[1]!, bounds);
	if (!high.ok) return high;
	if (high.value < low.value) return refuse('refused', 'The fewest come first, like “2 to 4”.');
	return got(high.value === low.value ? { count: low.value } : ranged(low.value, high.value));
}
