import { ranged, type Many } from '../document/count-range.ts';
import { wholeCount } from './host.ts';
import type { Reader } from './reader.ts';

/** `3`, `2 to 4`, `4 or 6`: as many as lie in the middle, where it may be fewer or more. */
export function rangedCount(r: Reader): Many | undefined {
	const low = wholeCount(r);
	const from = r.at;
	const high = low !== undefined && r.word('to', 'or') ? wholeCount(r) : undefined;
	if (low === undefined) return undefined;
	if (high === undefined) r.at = from;
	return high === undefined || high === low ? { count: low } : ranged(low, high);
}
