import { ranged, type CountRange } from '../structures/kit/ends.ts';
import { wholeCount } from './host.ts';
import type { Reader } from './reader.ts';

/** `3`, `2 to 4`, `4 or 6`: as many as lie in the middle, where it may be fewer or more. */
export function rangedCount(r: Reader): { readonly count: number; readonly range?: CountRange } | undefined {
	const low = wholeCount(r);
	const from = r.at;
	const high = low !== undefined && r.word('to', 'or') ? wholeCount(r) : undefined;
	if (low === undefined) return undefined;
	if (high === undefined) r.at = from;
	return high === undefined || high === low ? { count: low } : ranged(low, high);
}
